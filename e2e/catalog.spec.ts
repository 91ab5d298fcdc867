import { expect, test } from '@playwright/test';
import { demo, expectSound, goTo, openUnit, row, signIn, typeInto } from './yard.ts';

test('both views stand beside a feature; the yard’s own is named first', async ({ page }) => {
  await signIn(page, 'maren');
  await page.goto(demo('/settings'));
  await page.getByText(/of \d+ taken/).click();
  await page
    .getByRole('combobox', { name: 'Slide toppers: wanted or not' })
    .selectOption('Better without');
  await page.getByRole('button', { name: 'Save views' }).click();
  await expect(page.getByText(/^1 of \d+ taken/)).toBeVisible();
  await expectSound(page, 'house views');

  await typeInto(page.getByLabel('Letters', { exact: true }), 'RKD');
  await typeInto(page.getByLabel(/^Stand for/), 'rear kitchen and dinette');
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.locator('[data-glossary="RKD"]')).toContainText('rear kitchen and dinette');
  await expect(page.getByText(/^nominally 24 ft.*RKD rear kitchen and dinette$/)).toBeVisible();

  await page.goto(demo('/yard'));
  await openUnit(page, 'TQ-0417');
  await goTo(page, /^10 Utilities/);
  await row(page, 'slideTopper')
    .getByRole('button', { name: /Slide topper/ })
    .first()
    .click();
  const views = row(page, 'slideTopper').locator('[data-school="slide-topper"]');
  await expect(views.getByRole('listitem')).toHaveCount(2);
  await expect(views.getByRole('listitem').first()).toContainText('Better without · our view');
  await expectSound(page, 'both views');

  await typeInto(page.getByLabel('Find a field').first(), 'floor plan');
  await page.getByRole('option', { name: /^Floor plan/ }).click();
  await expect(row(page, 'floorPlan')).toContainText('RKD rear kitchen and dinette');
});

test('codes are read out, dates and sizes are typed in any usual way', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0381');
  await goTo(page, /^11 Label panel/);
  await row(page, 'vin').getByRole('button').first().click();
  await expect(row(page, 'vin')).toContainText(
    'The check digit is right; model year 1995 or 2025.',
  );
  await row(page, 'buildDate').getByRole('button').first().click();
  await typeInto(row(page, 'buildDate').getByRole('textbox').first(), '10/24');
  await expect(row(page, 'buildDate')).toContainText('Oct 2024');
  await row(page, 'buildDate').getByRole('button', { name: 'Save', exact: true }).click();
  await expect(row(page, 'buildDate').getByRole('button').first()).toContainText('Oct 2024');

  await goTo(page, /^18 Bunks/);
  await row(page, 'bunkSize').getByRole('button').first().click();
  await typeInto(row(page, 'bunkSize').getByRole('textbox').first(), '30');
  await expect(row(page, 'bunkSize').getByRole('alert')).toContainText(
    'Bunk size can’t be read: “30”. Type 2 sides with an x between them',
  );
  await typeInto(row(page, 'bunkSize').getByRole('textbox').first(), '30 x 76');
  await expect(row(page, 'bunkSize')).toContainText('30 × 76 in = 76 × 193 cm');
  await row(page, 'bunkSize').getByRole('button', { name: 'Save', exact: true }).click();
  await expect(row(page, 'bunkSize').getByRole('button').first()).toContainText('30 × 76 in');
  const note = page.locator('[data-check="bunk-rating:bunkRating"]');
  await expect(note).toContainText('There are 2 bunks and no rating on record');
  await note.getByRole('button', { name: 'Go to bunk rating' }).click();
  await expect(row(page, 'bunkRating').getByRole('textbox').first()).toBeFocused();
});

test('who went elsewhere while a unit was being taken in is not led away', async ({ page }) => {
  await signIn(page);
  let answered = 0;
  await page.route('**/api/units', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
    answered += 1;
  });
  await page.goto(demo('/yard/take-in'));
  await typeInto(page.getByLabel('Stock number'), 'TQ-LATE');
  await page.getByRole('button', { name: /^(Import|Add it with) / }).click();
  await page.getByRole('link', { name: 'Walks', exact: true }).click();
  await expect.poll(() => answered).toBe(1);
  await expect(page.getByText('saved')).toBeVisible();
  await page.waitForTimeout(500);
  expect(page.url()).toMatch(/\/walks$/);
});

test('what is kept late opens nothing where one has gone on meanwhile', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0381');
  let answered = 0;
  await page.route('**/edits', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  page.on('requestfinished', (request) => (answered += Number(request.url().endsWith('/edits'))));
  await goTo(page, /^11 Label panel/);
  await row(page, 'buildDate').getByRole('button').first().click();
  await typeInto(row(page, 'buildDate').getByRole('textbox').first(), '11/24');
  await row(page, 'buildDate').getByRole('button', { name: 'Save', exact: true }).click();
  await goTo(page, /^18 Bunks/);
  await row(page, 'bunkSize').getByRole('button').first().click();
  const field = row(page, 'bunkSize').getByRole('textbox').first();
  await typeInto(field, '31 x');
  await expect.poll(() => answered).toBe(1);
  await expect(page.getByText('everything saved')).toBeVisible();
  await field.pressSequentially(' 77');
  await expect(row(page, 'bunkSize')).toContainText('31 × 77 in = 79 × 196 cm');
});
