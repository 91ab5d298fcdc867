import { expect, test, type Page } from '@playwright/test';
import {
  atYard,
  demo,
  openUnit,
  phone,
  sayCard,
  shellKept,
  signIn,
  walkSent,
  withShell,
} from './yard.ts';

test.use(withShell);

/** Begins a walk of a unit on a phone; its address. */
const begin = async (page: Page, unit: string): Promise<string> => {
  await page.setViewportSize(phone);
  await atYard(page);
  await shellKept(page);
  await openUnit(page, unit);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  return page.url();
};

const card = (page: Page) => page.getByRole('article').getByRole('heading');
const said = (page: Page) => page.getByRole('button', { name: /^Said/ });

test('two devices on one walk agree in the end', async ({ page, browser }) => {
  const address = await begin(page, 'TQ-0377');
  await expect(card(page)).toContainText('outer skin has come loose');
  await walkSent(page);
  const context = await browser.newContext({ viewport: phone });
  const second = await context.newPage();
  await signIn(second);
  await second.goto(address);
  await expect(card(second)).toContainText('outer skin has come loose');

  await page.context().setOffline(true);
  await sayCard(page, 1);
  await sayCard(second, 1);
  await sayCard(second, 2);
  await page.context().setOffline(false);
  await walkSent(page);
  await walkSent(second);
  await page.reload();
  await second.reload();
  for (const p of [page, second]) await expect(p.getByText(/^card 3 of/)).toBeVisible();
  await expect(card(second)).toHaveText(await card(page).innerText());
  await context.close();
});

test('keys and a clicker double the buttons', async ({ page }) => {
  await begin(page, 'TQ-0402');
  const first = await card(page).innerText();
  await page.locator('body').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('ArrowRight');
  await expect(card(page)).not.toHaveText(first);
  await page.keyboard.press('u');
  await expect(card(page)).toHaveText(first);
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: /1 missed so far/ })).toBeVisible();
  await page.keyboard.press('PageUp');
  await expect(card(page)).toHaveText(first);
});

test('signing out warns of what is not sent, and nobody else ever sends it', async ({ page }) => {
  // Only the walk's requests find no network; a service worker would hide them from a route.
  await page.addInitScript(() => {
    const real = window.fetch.bind(window);
    window.fetch = (input, init) =>
      localStorage.getItem('cut') && String(input).includes('/api/walks/')
        ? Promise.reject(new TypeError('Failed to fetch'))
        : real(input, init);
  });
  await begin(page, 'TQ-0377');
  await expect(page.getByText(/^card 1 of/)).toBeVisible();
  await walkSent(page);
  await page.evaluate(() => localStorage.setItem('cut', 'yes'));
  await said(page).click();
  await expect(page.getByText(/^card 2 of/)).toBeVisible();
  await expect(page.getByText('1 not sent')).toBeVisible();
  await page.goto(demo('/settings'));
  await expect(page.getByText('1 not sent yet')).toBeVisible();

  const warnings: string[] = [];
  page.once('dialog', (dialog) => {
    warnings.push(dialog.message());
    void dialog.dismiss();
  });
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  expect(warnings[0]).toContain('1 entry is not sent yet');

  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  const sent: string[] = [];
  await page.evaluate(() => localStorage.removeItem('cut'));
  page.on('request', (request) =>
    sent.push(`${request.method()} ${new URL(request.url()).pathname}`),
  );
  await atYard(page, 'osk');
  await expect(page.getByText('everything saved')).toBeVisible();
  await page.waitForTimeout(5000);
  expect(sent.filter((line) => /POST .*\/events/.test(line))).toEqual([]);

  await page.goto(demo('/settings'));
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await atYard(page, 'ines');
  await expect.poll(() => sent.filter((line) => /POST .*\/events/.test(line)).length).toBe(1);
});
