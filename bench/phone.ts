// A phone of a benchmark's own: the demo yard in Chromium, somebody signed in, and what a page works for something.
import { chromium, type Page } from '@playwright/test';
import { browser as browserPath } from '../tools/lib/setup.mjs';
import { openGround, type Ground } from './ground.ts';

export interface Phone {
  readonly ground: Ground;
  readonly page: Page;
  readonly close: () => Promise<void>;
}

export const openPhone = async (): Promise<Phone> => {
  const ground = await openGround();
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const close = async (): Promise<void> => {
    await browser.close();
    await ground.close();
  };
  return { ground, page, close };
};

export const signIn = async ({ page, ground }: Phone): Promise<void> => {
  await page.goto(`${ground.serving.address}/sign-in`);
  await page.getByLabel('E-mail').fill('ines@thornquay.example');
  await page.getByLabel('Password').fill('spring-ferry-22');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.locator('.rows a').first().waitFor();
};

/** The address of a unit’s pages. */
export const unitAt = async ({ page }: Phone, stockNumber: string): Promise<string> => {
  await page.locator('.rows a', { hasText: stockNumber }).click();
  await page.locator('.particulars').waitFor();
  return page.url().replace(/(\/units\/[^/]+).*/, '$1');
};

export const frame = 1000 / 60;
export const slowed = 6;

/**
 * Main-thread work of one press of a key, its CPU slowed six times, ms: what the page does for it. Painting without a
 * graphics card is the machine’s, and a locator would work in the page itself.
 * @param between ms that somebody waits between two presses
 */
export const workOfKey = async (
  page: Page,
  key: string,
  presses: number,
  between = 0,
): Promise<number> => {
  const press = async (): Promise<void> => {
    await page.keyboard.press(key);
    if (between > 0) await page.waitForTimeout(between);
  };
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Performance.enable');
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slowed });
  const own = new Set(['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration']);
  const worked = async (): Promise<number> => {
    const { metrics } = await devtools.send('Performance.getMetrics');
    const counted = metrics.filter(({ name }) => own.has(name));
    return counted.reduce((sum, { value }) => sum + value * 1000, 0);
  };
  for (let i = 0; i < 5; i++) await press();
  const before = await worked();
  for (let i = 0; i < presses; i++) await press();
  return ((await worked()) - before) / presses;
};
