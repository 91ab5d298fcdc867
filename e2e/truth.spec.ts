import { expect, test } from '@playwright/test';
import { atYard, demo, desk, inUnit, phone, recordOf, signIn, typeInto } from './yard.ts';

/** What is kept is what was meant: by whom it is known, whose label it is, in whose units it was typed. */
test('a tap on what the sheet says is known by the sheet, not measured', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await inUnit(page, 'TQ-0404', 'round/hitch');
  const line = page.locator('[data-step="specs.lpCylinders"]');
  await expect(line).toBeVisible();
  const { version } = (await recordOf(page)).specs.lpCylinders;
  await page.waitForTimeout(450);
  await line.getByRole('button').first().click();
  await page.waitForTimeout(450);
  await page.getByRole('button', { name: /like the sheet says$/ }).click();
  await expect
    .poll(async () => (await recordOf(page)).specs.lpCylinders)
    .toMatchObject({ how: 'sheet', version: version + 1 });
});

test('a label that says another VIN asks whose it is before anything is replaced', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0404', 'labels');
  const before = (await recordOf(page)).specs.gvwr.value;
  const field = page.locator('[data-label-field="gvwr"]').getByRole('textbox');
  await typeInto(field, '3,900 lb');
  await page.getByRole('button', { name: 'Save as read' }).click();
  await expect(page.getByText('Whose label is this?')).toBeVisible();
  await expect(page.getByText('GVWR: 3,900 lb now, 3,200 lb before')).toBeVisible();
  await page.getByRole('button', { name: 'It’s another unit’s: change nothing' }).click();
  await expect(page.getByText('Nothing changed.')).toBeVisible();
  expect((await recordOf(page)).specs.gvwr.value).toEqual(before);

  await typeInto(field, '3,900 lb');
  await page.getByRole('button', { name: 'Save as read' }).click();
  await page.getByRole('button', { name: /^It’s this unit’s/ }).click();
  await expect.poll(async () => (await recordOf(page)).specs.gvwr.value.amount).toBe(3900);
});

test('a week that lies ahead is no date of a tire', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0404', 'wheels');
  const wheel = page.locator('[data-wheel="DoorFront"]');
  await wheel.getByRole('button').first().click();
  await typeInto(wheel.getByLabel('Date, last four after DOT'), '5249');
  await typeInto(wheel.getByLabel('Size', { exact: true }), 'ST205/75R14');
  await wheel.getByRole('button', { name: 'Save, next wheel' }).click();
  await expect(wheel.getByRole('alert')).toContainText('week 52 of 2049 hasn’t come yet');
  await expect(wheel.getByLabel('Size', { exact: true })).toHaveValue('ST205/75R14');
  await typeInto(wheel.getByLabel('Date, last four after DOT'), '1025');
  await wheel.getByRole('button', { name: 'Save, next wheel' }).click();
  await expect
    .poll(async () => (await recordOf(page)).wheels.DoorFront?.value)
    .toMatchObject({ size: 'ST205/75R14' });
});

test('9,000 lb stay 9,000 lb for whoever reads kilograms', async ({ page }) => {
  await page.setViewportSize(desk);
  await atYard(page, 'osk');
  const me = (await (await page.request.get(demo('/api/session'))).json()).person;
  const set = (system: string | null) =>
    page.request.put(demo('/api/me'), { data: { name: me.name, system } });
  expect((await set('metric')).ok()).toBe(true);
  await page.reload();
  await inUnit(page, 'TQ-0404', 'numbers/tow');
  const rating = page.getByLabel('Tow rating', { exact: true });
  await typeInto(rating, '9,000 lb');
  await rating.press('Tab');
  await page.reload();
  await expect(rating).toHaveValue('4,082 kg');
  await expect(page.getByText('9,000 lb', { exact: true })).toBeVisible();
  await expect(page.getByText('8,999 lb')).toHaveCount(0);
  await set(me.system);
});

test('a vehicle that was taken off keeps its name where it was tried', async ({ page }) => {
  await page.setViewportSize(desk);
  await atYard(page);
  const key = crypto.randomUUID();
  const label = `Blue van ${key.slice(0, 4)}`;
  const vehicle = { key, label, kind: 'buyer', figures: {} };
  const at = demo(`/api/vehicles/${key}`);
  expect((await page.request.put(at, { data: vehicle })).ok()).toBe(true);
  await inUnit(page, 'TQ-0404', 'numbers/tow');
  const choice = page.getByRole('combobox', { name: 'Vehicle' });
  await choice.selectOption({ label });
  await expect(choice.locator('option:checked')).toHaveText(label);
  await page.request.delete(at);
  await page.reload();
  await expect(choice.locator('option:checked')).toHaveText(label);
});

test('a sheet that is opened by its address knows which units follow it', async ({ page }) => {
  await page.setViewportSize(desk);
  await atYard(page, 'maren');
  const { sheets } = await (await page.request.get(demo('/api/model-sheets'))).json();
  const { sheet } = sheets.find(
    (one: { sheet: { series: string; floorPlan: string } }) =>
      one.sheet.series === 'Pell' && one.sheet.floorPlan.replace(' ', '') === '14T',
  );
  await page.goto(demo(`/model-sheets/${sheet.id}`));
  await page.getByRole('button', { name: 'Change it' }).click();
  const awning = page.locator('[data-sheet-field="awningLength"]');
  await page.locator('details').filter({ has: awning }).first().locator('summary').first().click();
  await typeInto(awning.getByRole('textbox'), '11 ft');
  await page.getByRole('button', { name: 'See what changes' }).click();
  const unit = page.getByRole('listitem').filter({ hasText: 'TQ-0404' });
  await expect(unit.getByRole('checkbox')).toBeChecked();
  await expect(unit).not.toContainText('wasn’t on the sheet');
});
