import { expect, type Page } from '@playwright/test';
import { atYard, demo, phone, shellKept, typeInto } from './yard.ts';

/** A picture as a camera gives it: drawn in the page, so that no file of ours is needed. */
const photo = async (page: Page, shade: string): Promise<Buffer> => {
  const address = await page.evaluate((color) => {
    const canvas = document.createElement('canvas');
    canvas.width = 800;
    canvas.height = 600;
    const ink = canvas.getContext('2d');
    if (ink) {
      ink.fillStyle = color;
      ink.fillRect(0, 0, 800, 600);
    }
    return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
  }, shade);
  return Buffer.from(address, 'base64');
};
export const jpegs = async (page: Page, count: number) =>
  Promise.all(
    Array.from({ length: count }, async (_, i) => ({
      name: `photo-${i}.jpg`,
      mimeType: 'image/jpeg',
      buffer: await photo(page, `hsl(${(i * 37) % 360} 40% 50%)`),
    })),
  );

export const unitPath = (page: Page): string => page.url().replace(/(\/units\/[^/]+).*/, '$1');
export const allSent = (page: Page) => expect(page.getByText('everything saved')).toBeVisible();

/** A new unit of this test's own, taken in by its papers; its page. */
export const takeIn = async (page: Page, stockNumber: string): Promise<string> => {
  await page.goto(demo('/yard/take-in'));
  await typeInto(page.getByLabel('Stock number'), stockNumber);
  await typeInto(page.getByLabel('Series'), 'Pell');
  await typeInto(page.getByLabel('Floor plan'), '12 K');
  await page.getByRole('button', { name: /^Add it with/ }).click();
  await expect(page.locator('.particulars')).toContainText(stockNumber);
  await allSent(page);
  return unitPath(page);
};

export const onPhone = async (page: Page): Promise<void> => {
  await page.setViewportSize(phone);
  await atYard(page);
  await shellKept(page);
};

export const editor = (page: Page) => page.locator('.editor');
export const pad = (page: Page) => page.getByRole('group', { name: 'Keypad' });
export const press = async (page: Page, keys: readonly string[]): Promise<void> => {
  for (const key of keys) await pad(page).getByRole('button', { name: key, exact: true }).click();
};

/** Opens a step of the station where one stands. */
export const step = async (page: Page, id: string): Promise<void> => {
  // What slid under the thumb is not hit for a moment.
  await page.waitForTimeout(450);
  const line = page.locator(`[data-step="${id}"]`);
  if ((await line.count()) === 0)
    await page.getByRole('button', { name: /more you could check/ }).click();
  if ((await line.locator('.editor').count()) === 0) await line.getByRole('button').first().click();
  await expect(line.locator('.editor')).toBeVisible();
  await page.waitForTimeout(450);
};
