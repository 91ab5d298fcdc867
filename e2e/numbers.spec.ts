import { expect, test, type Page } from '@playwright/test';
import { atYard, demo, expectSound, openUnit, phone, signIn, typeInto } from './yard.ts';

const numbersOf = async (page: Page, unit: string): Promise<string> => {
  await openUnit(page, unit);
  return page.url().replace(/(\/units\/[^/]+).*/, '$1/numbers');
};

test('a buyer’s questions have their answers, and everything may be tried', async ({ page }) => {
  await atYard(page);
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(numbers);
  const list = page.getByRole('navigation', { name: 'The buyer’s questions' });
  await expect(list.getByRole('link')).toHaveCount(6);
  await expect(list.getByRole('link', { name: /How much can I still load\?/ })).toContainText(
    '1,466 lb',
  );
  // 47 gal × 8.345 lb = 392 lb less in the fresh tank.
  const fresh = page.getByRole('slider', { name: 'Fresh tank' });
  await fresh.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('0 gal, empty').first()).toBeVisible();
  await expect(list.getByRole('link', { name: /How much can I still load\?/ })).toContainText(
    '1,858 lb',
  );
  await expect(page.locator('.sentence')).toContainText('There’s room for 1,858 lb more');
  await page.getByRole('slider', { name: 'Rear rack' }).focus();
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.sentence')).toContainText(
    'on the light side: below 10% a trailer can sway',
  );
  await page.getByText('As a table').click();
  await expect(page.getByRole('cell', { name: '50%' })).toBeVisible();
  await expectSound(page, 'what may be loaded');
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(page.locator('.sentence')).toContainText('There’s room for 1,466 lb more');
  await expect(page.getByText('everything saved')).toBeVisible();

  await list.getByRole('link', { name: /What can tow it\?/ }).click();
  await typeInto(page.getByLabel('Payload', { exact: true }), '900');
  await page.getByLabel('Payload', { exact: true }).press('Tab');
  await expect(page.getByLabel('Payload, where it is from')).toContainText('door label');
  await expect(page.locator('.sentence')).toContainText('It’s too much for this vehicle: it’s');
  await page.getByRole('button', { name: '20% to spare' }).click();
  await expect(page.getByRole('rowheader', { name: /^20% to spare/ })).toBeVisible();
  await expectSound(page, 'what should tow it');
});

test('what is missing is named, and one tap from being entered', async ({ page }) => {
  await atYard(page);
  const numbers = await numbersOf(page, 'TQ-0438');
  await page.goto(`${numbers}/load`);
  await expect(page.locator('.sentence')).toContainText('We can’t say yet');
  await page.getByRole('link', { name: 'UVW', exact: true }).click();
  await expect(page.locator('[data-field="uvw"]').getByRole('textbox').first()).toBeVisible();
});

test('three weighings by the stand-in go before what was worked out, and a trial becomes a card', async ({
  page,
}) => {
  await atYard(page);
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(`${numbers}/scale`);
  const weigh = page.getByRole('button', { name: /^Weigh (the|vehicle)/ });
  for (let i = 0; i < 3; i++) await weigh.click();
  await expect(weigh).toHaveCount(0);
  await expect(page.locator('.sentence')).toContainText('On the scale it weighs');
  const together = page.getByLabel('Vehicle and trailer', { exact: true });
  await typeInto(together, '5,000 lb');
  await together.press('Tab');
  await expect(page.getByText('together weigh no more than the vehicle alone')).toBeVisible();
  await typeInto(together, '12,400');
  await together.press('Tab');
  await expect(page.locator('.sentence')).toContainText('more than we figured');

  const name = `Weighed ${Date.now() % 10_000}`;
  await typeInto(page.getByLabel('Save what you tried under a name'), name);
  await page.getByRole('button', { name: 'Save it', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: name });
  await row.getByRole('button', { name: 'Add it to the walk as a card' }).click();
  await expect(row.getByRole('button', { name: 'Remove its card from the walk' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name })).toBeVisible();
  await expectSound(page, 'kept trials');
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(page.locator('.sentence')).toContainText('We can’t say yet');
  await row.getByRole('button', { name: 'Open' }).click();
  await expect(page.locator('.sentence')).toContainText('On the scale it weighs');

  await page.goto(numbers.replace('/numbers', '/walk'));
  const card = page.getByRole('checkbox', { name: /^On the scale it weighs/ });
  await expect(card).toBeChecked();
  await page.goto(`${numbers}/scale`);
  await page
    .getByRole('listitem')
    .filter({ hasText: name })
    .getByRole('button', { name: 'Remove', exact: true })
    .click();
  await expect(page.getByRole('listitem').filter({ hasText: name })).toHaveCount(0);
});

test('a buyer’s vehicle is read once and used for every unit', async ({ page }) => {
  await signIn(page);
  await page.goto(demo('/vehicles'));
  await page.getByRole('button', { name: 'A buyer’s vehicle' }).click();
  const name = `Gray truck ${Date.now() % 10_000}`;
  await typeInto(page.getByLabel(/What to call it/), name);
  await typeInto(page.getByLabel('Payload', { exact: true }), '1480');
  await typeInto(page.getByLabel('Tow rating', { exact: true }), '3,700 kg');
  await page.getByLabel('Tow rating', { exact: true }).press('Tab');
  await expectSound(page, 'vehicles');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('8,157 lb');

  await page.goto(demo('/yard'));
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(`${numbers}/tow`);
  await page.getByRole('combobox', { name: 'Vehicle' }).selectOption({ label: name });
  await expect(page.getByLabel('Payload', { exact: true })).toHaveValue('1,480 lb');
  await expect(page.locator('.missing')).toContainText('receiver rating');
  await page.getByText('Its rear axle too').click();
  for (const [label, value] of [
    ['Rear axle rating', '4100'],
    ['On the rear axle, empty', '2500'],
    ['Wheelbase', '145 in'],
    ['Rear axle to the ball', '50 in'],
  ] as const) {
    await typeInto(page.getByLabel(label, { exact: true }), value);
    await page.getByLabel(label, { exact: true }).press('Tab');
  }
  await expect(page.getByText(/^Rear axle of the vehicle, 4,100 lb/)).toBeVisible();

  await page.goto(demo('/vehicles'));
  await page.getByRole('button', { name: `Change ${name}` }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('row', { name: new RegExp(name) })).toHaveCount(0);
});

test('somebody who walks in is answered without a unit', async ({ page }) => {
  await page.setViewportSize(phone);
  await atYard(page);
  await page.getByRole('link', { name: 'Numbers', exact: true }).click();
  await page.getByRole('link', { name: /What can tow it\?/ }).click();
  await expect(page.locator('.sentence')).toContainText(
    'can tow a trailer of up to about 8,462 lb, loaded',
  );
  await typeInto(page.getByLabel('GVWR'), '6,000');
  await expect(page.locator('.sentence')).toContainText(
    'weighs 6,000 lb and puts about 780 lb on the hitch',
  );
  await page.getByRole('link', { name: 'All questions' }).click();
  await page.getByRole('link', { name: /How many nights/ }).click();
  await page.getByRole('button', { name: 'the fresh tank' }).click();
  await page.keyboard.type('40');
  await expect(page.locator('.sentence')).toContainText('for 2; the fresh tank runs dry first');
  await expectSound(page, 'a walk-in’s question');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.locator('.sentence')).toContainText('We can’t say yet');
});

test('on a phone each question is one screen', async ({ page }) => {
  await page.setViewportSize(phone);
  await atYard(page);
  const numbers = await numbersOf(page, 'TQ-0417');
  await page.goto(numbers);
  await expectSound(page, 'questions');
  for (const [question, heading] of [
    [/How many nights/, 'How many nights without hookups?'],
    [/Are the tires/, 'Are the tires enough?'],
    [/How much can I/, 'How much can I still load?'],
    [/What can tow/, 'What can tow it?'],
    [/Does the label/, 'Does the label add up?'],
    [/What does the scale/, 'What does the scale say?'],
  ] as const) {
    await page.getByRole('link', { name: question }).click();
    await expect(page.getByRole('heading', { level: 2, name: heading })).toBeVisible();
    await expect(page.locator('.sentence')).toBeVisible();
    await expectSound(page, heading);
    await page.getByRole('link', { name: 'All questions' }).click();
  }
  await page.getByRole('link', { name: /How many nights/ }).click();
  await page.getByRole('button', { name: '6', exact: true }).click();
  await expect(page.locator('.sentence')).toContainText('Less than one night for 6');
  await page.goto(demo('/yard'));
});
