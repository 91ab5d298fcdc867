import { expect, test, type Page } from '@playwright/test';
import { demo, expectSound, openUnit, phone, signIn } from './yard.ts';

const numbersOf = async (page: Page, unit: string): Promise<string> => {
  await openUnit(page, unit);
  return page.url().replace(/(\/units\/[^/]+).*/, '$1/numbers');
};

test('a buyer’s questions have their answers, and everything may be tried', async ({ page }) => {
  await signIn(page);
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(numbers);
  const list = page.getByRole('navigation', { name: 'The buyer’s questions' });
  await expect(list.getByRole('link')).toHaveCount(4);
  await expect(list.getByRole('link', { name: /What may I still load\?/ })).toContainText(
    '1,466 lb',
  );
  // 47 gal × 8.345 lb = 392 lb less in the fresh tank.
  const fresh = page.getByRole('slider', { name: 'Fresh tank' });
  await fresh.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('0 gal, empty').first()).toBeVisible();
  await expect(list.getByRole('link', { name: /What may I still load\?/ })).toContainText(
    '1,858 lb',
  );
  await expect(page.locator('.sentence')).toContainText('There is room for 1,858 lb more');
  await page.getByRole('slider', { name: 'Rear rack' }).focus();
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.sentence')).toContainText(
    'that is light: under ten per cent it may sway',
  );
  await page.getByText('As a table').click();
  await expect(page.getByRole('cell', { name: '50 %' })).toBeVisible();
  await expectSound(page, 'what may be loaded');
  await page.getByRole('button', { name: 'As it was' }).click();
  await expect(page.locator('.sentence')).toContainText('There is room for 1,466 lb more');
  await expect(page.getByText('everything saved')).toBeVisible();

  await list.getByRole('link', { name: /What should tow it\?/ }).click();
  await page.getByLabel('Payload, off the driver’s door').fill('900');
  await page.getByLabel('People and gear in it').click();
  await expect(page.locator('.sentence')).toContainText(
    'This vehicle does not take it: its payload is passed by',
  );
  await page.getByRole('button', { name: 'a fifth kept in hand' }).click();
  await expect(page.getByText(/20 % kept in hand/).first()).toBeVisible();
  await expectSound(page, 'what should tow it');
});

test('what is missing is named, and one tap from being entered', async ({ page }) => {
  await signIn(page);
  const numbers = await numbersOf(page, 'TQ-0438');
  await page.goto(`${numbers}/load`);
  await expect(page.locator('.sentence')).toContainText('That cannot be said yet');
  await page.getByRole('link', { name: 'weight as built', exact: true }).click();
  await expect(page.locator('[data-field="uvw"]').getByRole('textbox').first()).toBeVisible();
});

test('on a phone each question is one screen', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page);
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(numbers);
  await expectSound(page, 'questions');
  for (const [question, heading] of [
    [/How many nights/, 'How many nights off the hookups?'],
    [/Are the tyres/, 'Are the tyres enough?'],
    [/What may I/, 'What may I still load?'],
    [/What should/, 'What should tow it?'],
  ] as const) {
    await page.getByRole('link', { name: question }).click();
    await expect(page.getByRole('heading', { level: 2, name: heading })).toBeVisible();
    await expect(page.locator('.sentence')).toBeVisible();
    await expectSound(page, heading);
    await page.getByRole('link', { name: 'All questions' }).click();
  }
  await page.getByRole('link', { name: /How many nights/ }).click();
  await page.getByRole('button', { name: '6', exact: true }).click();
  await expect(page.locator('.sentence')).toContainText('Not a whole night for 6');
  await page.goto(demo('/yard'));
});
