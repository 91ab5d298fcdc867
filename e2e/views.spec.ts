import { expect, test } from '@playwright/test';
import {
  atYard,
  demo,
  goTo,
  openFromYard,
  openUnit,
  phone,
  row,
  signIn,
  typeInto,
} from './yard.ts';

test('the keyboard walks round the outline and sets states', async ({ page }) => {
  await atYard(page);
  await openFromYard(page, 'TQ-0365');
  await goTo(page, /^9 Rear/);
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('heading', { level: 2, name: '6 Outside kitchen' })).toBeVisible();
  await expect(page).toHaveTitle(/^Outside kitchen · .+ · Fair Gable$/);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 2, name: '9 Rear' })).toBeVisible();
  const states = row(page, 'ladder').getByRole('button');
  await row(page, 'ladder').getByRole('button', { name: 'standard' }).focus();
  await page.keyboard.press('4');
  await expect(states.filter({ hasText: /^prep only$/ })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('0');
  await expect(row(page, 'ladder')).toContainText('not checked');
  await goTo(page, /^13 Construction/);
  await row(page, 'boxLength').getByRole('button').first().press('Enter');
  await expect(row(page, 'boxLength').getByRole('textbox').first()).toBeFocused();
  await page.keyboard.press('Alt+t');
  await expect(row(page, 'boxLength').getByRole('radio', { name: 'Told' })).toBeChecked();
  await page.keyboard.press('Escape');
  await typeInto(page.getByLabel('Find a field'), 'gross weight');
  await expect(page.getByRole('option', { name: /GVWR/ })).toBeVisible();
  await page.getByLabel('Find a field').press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: '11 Label panel' })).toBeVisible();
  await expect(row(page, 'gvwr').getByRole('textbox').first()).toBeFocused();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^8 Underside/ }).press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: '8 Underside' })).toBeVisible();
});

test('a phone walks round by thumb and by the drawing', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  await page.getByRole('button', { name: 'Choose a station on the outline' }).click();
  const round = page.getByRole('dialog');
  await round.getByRole('button', { name: /^Outside,/ }).click();
  await round.getByRole('button', { name: /^5 Entry/ }).click();
  await expect(page.getByRole('heading', { level: 2, name: '5 Entry' })).toBeVisible();
  await page.getByRole('button', { name: 'wheels →' }).click();
  await expect(page.getByRole('heading', { level: 2, name: '7 Running gear' })).toBeVisible();
  const small = await page.evaluate(
    () =>
      [...document.querySelectorAll('.thumbs button, .states button, .rows .head')]
        .map((b) => b.getBoundingClientRect())
        .filter((r) => r.height > 0 && r.height < 44).length,
  );
  expect(small).toBe(0);
});

test('a place that is measured moves the drawing', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  await goTo(page, /^10 Utilities/);
  await row(page, 'galleyOutlet')
    .getByRole('button', { name: /Second dump outlet/ })
    .click();
  await typeInto(row(page, 'galleyOutlet').getByLabel('Back from the coupler'), '26 ft 3');
  await row(page, 'galleyOutlet').getByRole('button', { name: 'Save position' }).click();
  const drawn = page
    .locator('.map svg g')
    .filter({ has: page.locator('title', { hasText: /^Second dump outlet$/ }) })
    .last();
  await expect(drawn).toHaveCount(1);
  await page.getByRole('button', { name: /^Undo position of second dump outlet/ }).click();
  await expect(
    page.locator('title', { hasText: 'Second dump outlet, position not measured' }).first(),
  ).toBeAttached();
});

test('a viewer looks and changes nothing', async ({ page }) => {
  await atYard(page, 'osk');
  await expect(page.getByRole('button', { name: 'Add a unit' })).toHaveCount(0);
  await openUnit(page, 'TQ-0365');
  await goTo(page, /^11 Label panel/);
  await row(page, 'ccc').getByRole('button').first().click();
  await expect(row(page, 'ccc').getByText('What you can still load')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toHaveCount(0);
  await expect(page.locator('[data-check="ccc-identity:ccc"]').getByRole('button')).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto(demo('/yard'));
  await expect(page).toHaveURL(/sign-in/);
});
