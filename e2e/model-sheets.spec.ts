import { expect, test } from '@playwright/test';
import { atYard, demo, enter, expectSound, goTo, openUnit, row, signIn, typeInto } from './yard.ts';

test('a sheet fills a new unit, and what is otherwise is offered, taken over, and touches its units', async ({
  page,
}) => {
  await atYard(page, 'maren');
  await page.getByRole('button', { name: 'Add a unit' }).click();
  const given = { 'Stock number': 'TQ-0470', Series: 'Pell', 'Floor plan': '14T' };
  for (const [label, text] of Object.entries(given)) await typeInto(page.getByLabel(label), text);
  await typeInto(page.getByLabel('Model year'), '2026');
  await page.getByRole('button', { name: /^(Import|Add it with) / }).click();
  await expect(page.locator('.particulars')).toContainText('TQ-0470');

  await goTo(page, /^15 Kitchen/);
  await page.getByRole('button', { name: /^Same as the model sheet: \d+ fields/ }).click();
  await expect(row(page, 'fridgeSize')).toContainText('maker’s sheet');
  await expect(page.getByText(/of them only from the model sheet/)).toBeVisible();

  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await page.getByRole('button', { name: /^Fill in \d+ fields from the sheet/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'fields filled in' })).toBeVisible();
  await expect(page.getByText('everything matches the sheet')).toBeVisible();

  await page.getByRole('link', { name: 'Record', exact: true }).click();
  await goTo(page, /^15 Kitchen/);
  await enter(page, 'fridgeSize', '4 ft³', 'Read');
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  const difference = page.locator('[data-difference="fridgeSize"]');
  await expect(difference).toContainText('3.1 ft³');
  await expect(difference).toContainText('4 ft³');
  await expectSound(page, 'the unit’s sheet');
  await difference.getByRole('button', { name: /^Suggest/ }).click();
  await expect(difference).toContainText('suggested');

  await page.getByRole('link', { name: 'Pell 14 T 2026' }).click();
  await expect(page.getByText('Fridge size: 4 ft³')).toBeVisible();
  await expectSound(page, 'the sheet');
  await page.getByRole('button', { name: 'Add it', exact: true }).click();
  await expectSound(page, 'the sheet being changed');
  await page.getByRole('button', { name: 'See what changes' }).click();
  await expect(page.getByRole('heading', { name: /^What this changes: \d+ units/ })).toBeVisible();
  await expectSound(page, 'what it touches');
  await page.getByRole('button', { name: /^Save the sheet and change \d+ unit/ }).click();
  await expect(page.getByRole('heading', { name: 'Packages and options' })).toBeVisible();
  await expect(page.getByText('Found on units')).toHaveCount(0);

  await page.goto(demo('/yard'));
  await openUnit(page, 'TQ-0403');
  await goTo(page, /^15 Kitchen/);
  await expect(row(page, 'fridgeSize')).toContainText('4');
});

test('two sources that disagree are both kept, until somebody decides', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^11 Label panel/);
  await enter(page, 'uvw', '2,450 lb', 'Told');
  await expect(row(page, 'uvw')).toContainText('2,310');
  await expect(row(page, 'uvw')).toContainText('also: 2,450 lb, told, Ines');
  const note = page.locator('[data-check="sources-in-conflict:uvw"]');
  await expect(note).toContainText('2 sources disagree on UVW');

  await page.getByRole('link', { name: 'To confirm' }).click();
  await expect(page.locator('[data-confirm="uvw"]')).toContainText('two sources disagree');
  await expectSound(page, 'to confirm');
  await page.locator('[data-confirm="uvw"] a').click();
  await note.getByRole('button', { name: 'Use 2,310 lb (read off the label)' }).click();
  await expect(note).toHaveCount(0);
  await expect(row(page, 'uvw')).not.toContainText('also:');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(row(page, 'uvw')).toContainText('also: 2,450 lb');
});
