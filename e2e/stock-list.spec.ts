import { expect, test } from '@playwright/test';
import { atYard, demo, expectSound, openFromYard, signIn, typeInto, unitsInDemo } from './yard.ts';

const list = [
  'Stock #,Series,Plan,Dry Weight,Color of the roof',
  'TQ-0481,Tarn,19 RD,3900,white',
  'TQ-0482,Tarn,19 RD,light,white',
  'TQ-0403,Pell,14 T,2316,white',
].join('\r\n');

test('a list is looked at, its good lines are taken in, and again nothing changes', async ({
  page,
}) => {
  await atYard(page);
  await page.getByRole('button', { name: 'Import a list' }).click();
  const offer = () =>
    page
      .getByLabel('List file')
      .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
  await offer();
  const says = page.getByRole('status').filter({ hasText: '3 lines' });
  // A cell that can’t be read is left out, not its line.
  await expect(says).toContainText('2 new units');
  await expect(says).toContainText('1 cell skipped');
  await expect(page.getByText('understood: 3,900 lb')).toBeVisible();
  await expect(page.getByText('Skipped, because we don’t know what they are: Color')).toBeVisible();
  await expect(page.getByText(/UVW can’t be read: “light”/)).toBeVisible();
  await expectSound(page, 'a list');
  await page.getByRole('combobox', { name: 'Color of the roof' }).click();
  await typeInto(page.getByRole('searchbox'), 'decor');
  await page.getByRole('option', { name: 'Decor', exact: true }).click();
  await expect(says).toContainText('1 unit here');
  await page.getByRole('button', { name: 'Import what can be read: 3 units' }).click();
  await openFromYard(page, 'TQ-0481');
  await page.goto(demo('/yard/list'));
  await offer();
  await expect(page.getByRole('status').filter({ hasText: '3 lines' })).toContainText(
    '0 new units',
  );
});

test('a long list says how far it is, and is stopped by key with nothing taken in', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(demo('/yard/list'));
  const lines = Array.from({ length: 15_000 }, (_, i) => `ZZ-${i},Tarn,19 RD,3900`);
  const buffer = Buffer.from(['Stock #,Series,Plan,Dry Weight', ...lines].join('\r\n'));
  await page
    .getByLabel('List file')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer });
  await expect(page.getByRole('status').filter({ hasText: '15,000 lines' })).toBeVisible();
  await page.getByRole('button', { name: 'Import 15,000 units' }).press('Enter');
  await expect(page.getByRole('status').filter({ hasText: /^Saving: \d+%$/ })).toBeVisible();
  await expectSound(page, 'a list at work');
  await page.getByRole('button', { name: 'Stop' }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('Stopped. If it wasn’t finished by then');
  // What was looked at is still there, and goes in when asked again; here nothing of it has.
  await expect(page.getByRole('button', { name: 'Import 15,000 units' })).toBeEnabled();
  const here = await page.request.get(demo('/api/units?text=zz-1&limit=1'));
  expect((await here.json()).total).toBe(0);
});

test('the yard is looked through, by words and by a sentence that is kept', async ({ page }) => {
  await atYard(page);
  const units = page.getByRole('list', { name: 'Units' }).getByRole('listitem');
  await expect.poll(() => units.count()).toBeGreaterThanOrEqual(unitsInDemo);
  const all = await units.count();
  await typeInto(page.getByRole('searchbox', { name: /^Find units/ }), 'bunks fenlark');
  await expect(units).toHaveCount(1);
  await typeInto(page.getByRole('searchbox', { name: /^Find units/ }), '');
  await page.getByRole('button', { name: 'All units, by length' }).click();
  await typeInto(page.getByLabel('up to this long'), '18 ft');
  await page.getByLabel('up to this long').blur();
  await page.getByRole('combobox', { name: 'by', exact: true }).selectOption('GVWR');
  await expect(page.getByRole('button', { name: 'All units, up to 18 ft, by GVWR' })).toBeVisible();
  await expect.poll(() => units.count()).toBeLessThan(all);
  const short = await units.count();
  expect(short).toBeGreaterThanOrEqual(5);
  await page.locator('.filter .p-multiselect').last().click();
  await typeInto(page.getByRole('searchbox').last(), 'fresh tank');
  await page.getByRole('option', { name: 'Fresh tank', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(units.first()).toContainText('Fresh tank');
  await expectSound(page, 'the yard with its filter');
  await typeInto(page.getByLabel('Save this view as'), 'For the ferry');
  await page.getByRole('button', { name: 'Save view' }).click();
  await page.getByRole('button', { name: 'Show all units' }).click();
  await expect(units).toHaveCount(all);
  await page.getByRole('button', { name: 'For the ferry', exact: true }).click();
  await expect(units).toHaveCount(short);
  await page.getByRole('button', { name: 'Delete the view For the ferry' }).click();
  await expect(page.getByRole('button', { name: 'For the ferry', exact: true })).toHaveCount(0);
});

test('a limit that can’t be read is told, and the yard stays as it was', async ({ page }) => {
  await atYard(page);
  await page.getByRole('button', { name: 'All units, by length' }).click();
  await typeInto(page.getByLabel('GVWR up to'), 'heavy');
  await page.getByLabel('GVWR up to').blur();
  await expect(page.getByRole('alert')).toContainText('GVWR can’t be read: “heavy”');
});
