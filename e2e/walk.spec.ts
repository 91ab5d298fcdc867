import { expect, test, type Page } from '@playwright/test';
import {
  atYard,
  demo,
  desk,
  expectSound,
  openUnit,
  phone,
  shellKept,
  signIn,
  typeInto,
  walkSent,
  withShell,
} from './yard.ts';

const planOf = async (page: Page, unit: string): Promise<void> => {
  await openUnit(page, unit);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await expect(page.getByText(/\d+ cards, about/)).toBeVisible();
};
const sum = (page: Page) => page.locator('.sum strong');
const card = (page: Page) => page.getByRole('article').getByRole('heading');

test('a walk is planned for an audience, and says why what is left out is left out', async ({
  page,
}) => {
  await atYard(page);
  await planOf(page, 'TQ-0377');
  // Faults come before all else, and nobody can take them out.
  await expect(page.getByRole('heading', { name: 'Disclose first' })).toBeVisible();
  const first = page.locator('.stop').first();
  await expect(first).toContainText('The outer skin has come loose from the wall');
  await expect(first.getByRole('checkbox')).toHaveCount(0);

  await page.locator('.p-multiselect').click();
  await page.getByRole('option', { name: 'Winter camper' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/of little interest to winter camper/).first()).toBeVisible();
  await expectSound(page, 'a plan');

  await typeInto(page.getByLabel('Minutes the buyer has'), '1');
  await page.getByLabel('Minutes the buyer has').press('Tab');
  await expect(page.getByText(/What has to be said is .* too long/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Route' }).selectOption('Inside first');
  await typeInto(page.getByLabel('Minutes the buyer has'), '20');
  await page.getByLabel('Minutes the buyer has').press('Tab');
  await expect(page.locator('.stop h2').nth(1)).toContainText(/Control panel|Kitchen|Living/);
});

test('nothing is said to be left out before it is planned', async ({ page }) => {
  await atYard(page);
  let plan = (): void => undefined;
  const planning = new Promise<void>((resolve) => (plan = resolve));
  await page.route('**/walk.worker-*.js', async (route) => {
    await planning;
    await route.continue();
  });
  await openUnit(page, 'TQ-0377');
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await expect(page.locator('.stop').nth(3)).toBeVisible();
  await expect(page.getByText('left out')).toHaveCount(0);
  plan();
  await expect(page.getByText(/\d+ cards, about/)).toBeVisible();
  await expect(page.getByText('left out').first()).toBeVisible();
});

test('two taps in one breath on a card are two: the second is what is wished', async ({ page }) => {
  await atYard(page);
  await planOf(page, 'TQ-0417');
  const box = page.getByRole('checkbox', { name: /coupler drops over/ });
  const settled = () => expect(page.locator('.sum:not(.busy)')).toBeVisible();
  await box.check();
  await settled();
  await box.evaluate((input: HTMLInputElement) => {
    input.click();
    input.click();
  });
  await settled();
  await expect(box).toBeChecked();
  await expect(page.getByText('taken out by you')).toHaveCount(0);
  await box.click();
  await expect(page.getByText('taken out by you')).toHaveCount(1);
  await expect(box).not.toBeChecked();
});

test.describe('without a network', () => {
  test.use(withShell);

  test('with eight minutes left the best of what is left is given, and undo takes that back', async ({
    page,
  }) => {
    await page.setViewportSize(phone);
    await atYard(page);
    await shellKept(page);
    await planOf(page, 'TQ-0417');
    await page.getByRole('button', { name: 'Start the walk' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    const total = Number((await page.getByText(/^card 1 of/).innerText()).match(/of (\d+)/)?.[1]);
    await page.context().setOffline(true);
    await page.getByRole('button', { name: /^Said/ }).click();
    await page.getByRole('button', { name: 'Re-plan' }).click();
    await typeInto(page.getByLabel('Minutes left'), '3');
    await page.getByLabel('Minutes left').press('Tab');
    await expect(page.getByText(/\d+ left out:/)).toBeVisible();
    await expectSound(page, 'a new plan');
    await page.getByRole('button', { name: 'Use this plan' }).click();
    await expect(page.locator('[data-clock]')).toContainText(/of [34] min/);
    const after = Number((await page.getByText(/^card 2 of/).innerText()).match(/of (\d+)/)?.[1]);
    expect(after).toBeLessThan(total);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(`card 2 of ${total}`)).toBeVisible();
    await page.context().setOffline(false);
    await walkSent(page);
  });
});

test('a rehearsal counts what was missed, and leaves no log', async ({ page }) => {
  await page.setViewportSize(phone);
  await atYard(page);
  await planOf(page, 'TQ-0404');
  const walks = (await page.request.get(demo('/api/walks'))).json();
  const before = ((await walks) as { walks: unknown[] }).walks.length;
  await page.getByRole('button', { name: 'Rehearse alone' }).click();
  await expect(page.getByRole('heading', { name: /^Rehearsal: \d+ cards/ })).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  const first = await card(page).innerText();
  await page.getByRole('button', { name: /^Said/ }).click();
  await expect(card(page)).not.toHaveText(first);
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await expect(page.getByText(/^\d+ missed:/)).toBeVisible();
  await expectSound(page, 'a rehearsal');
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await expect(sum(page)).toBeVisible();
  const now = (await page.request.get(demo('/api/walks'))).json();
  expect(((await now) as { walks: unknown[] }).walks).toHaveLength(before);
});

test('a yard writes its own route, by key, and plans by it', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page, 'maren');
  await page.goto(demo('/settings'));
  const routes = page.getByRole('region', { name: 'Routes' });
  await routes.getByRole('button', { name: 'A route of your own' }).click();
  await typeInto(routes.getByLabel('Its name'), 'Ferry way');
  const parts = routes.getByRole('list', { name: 'Parts in walking order' }).getByRole('listitem');
  await expect(parts.first()).toContainText('Hitch and front');
  const later = routes.getByRole('button', { name: 'Hitch and front later' });
  await later.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(parts.nth(2)).toContainText('Hitch and front');
  await expect(later).toBeFocused();
  await routes.getByText('End with the slide closed').click();
  await expectSound(page, 'routes');
  await routes.getByRole('button', { name: 'Save route' }).click();
  await expect(routes.getByText('Ferry way is saved.')).toBeVisible();
  await expect(page.getByText(/^route Ferry way: as usual → Door side/)).toBeVisible();

  await page.goto(demo('/yard'));
  await planOf(page, 'TQ-0417');
  await page.getByRole('combobox', { name: 'Route' }).selectOption('Ferry way');
  await expect(page.locator('.stop h2').first()).not.toContainText('Hitch');

  await page.goto(demo('/settings'));
  await routes.getByRole('combobox', { name: 'Route' }).selectOption('Ferry way');
  await routes.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(routes.getByText('Removed.')).toBeVisible();
});
