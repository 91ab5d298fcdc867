import { expect, test } from '@playwright/test';
import { allSent, takeIn, unitPath } from './on-the-lot.ts';
import { desk, expectSound, openUnit, signIn, typeInto } from './yard.ts';

test('a finding is tapped, looked into, signed and told first', async ({ page, browser }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0608');
  await page.goto(`${unit}/condition`);
  await page.getByRole('button', { name: 'Add a finding' }).click();
  await page.getByRole('group', { name: /Tap where it is/ }).click({ position: { x: 60, y: 250 } });
  await page.getByRole('combobox', { name: 'What' }).click();
  await page.getByRole('option', { name: 'Delamination suspected' }).click();
  await typeInto(page.getByLabel(/In a few words/), 'Waves below the window');
  await page.getByRole('button', { name: 'Save finding' }).click();
  const found = page.locator('[data-finding="delamination"]');
  await expect(found).toContainText('a technician hasn’t decided yet');
  // Two taps in one breath are two answers.
  const yes = (ask: string) =>
    found
      .getByRole('radiogroup', { name: ask })
      .getByRole('radio', { name: 'Yes' })
      .elementHandle();
  const taps = await Promise.all([
    yes('Does it give when you press with a flat hand?'),
    yes('Does the moisture meter read higher than at a dry spot?'),
  ]);
  await page.evaluate((all) => all.forEach((radio) => (radio as HTMLElement).click()), taps);
  await expect(found.getByRole('status')).toContainText('points to water behind the skin');
  await expect(found.getByRole('status')).toContainText('A technician decides');
  await expect(found.getByRole('button', { name: 'Sign' })).toHaveCount(0);
  await expectSound(page, 'condition');
  await allSent(page);

  const context = await browser.newContext({ viewport: desk });
  const technician = await context.newPage();
  await signIn(technician, 'bram');
  await technician.goto(`${unit}/condition`);
  const same = technician.locator('[data-finding="delamination"]');
  await same.getByRole('button').first().click();
  await typeInto(same.getByLabel('Note'), 'opened: wet foam');
  await same.getByRole('button', { name: 'Sign' }).click();
  await expect(same).toContainText('As found, needs repair: Bram Oake');
  await allSent(technician);
  await context.close();

  await page.goto(`${unit}/disclosure`);
  const fault = page.getByRole('listitem').filter({ hasText: 'Delamination suspected' });
  await expect(fault).toContainText('Waves below the window.');
  await expect(fault).toContainText('opened: wet foam');
  await expectSound(page, 'disclosure');
});

test('a technician inspects and signs; until then nothing is operated', async ({
  page,
  browser,
}) => {
  await signIn(page, 'bram');
  await openUnit(page, 'TQ-0436');
  const unit = unitPath(page);
  await page.goto(`${unit}/inspection`);
  await expect(page.getByText('Show and tell only.')).toBeVisible();
  await page.goto(`${unit}/walk`);
  await expect(page.getByText('Show and tell only.')).toBeVisible();
  await page.goto(`${unit}/inspection`);
  const item = (key: string) => page.locator(`[data-item="${key}"]`);
  await item('furnace').getByRole('button').first().click();
  await item('furnace').getByRole('button', { name: 'Not tried' }).click();
  await expect(page.getByRole('alert')).toContainText('say in a few words why it was not tried');
  await typeInto(item('furnace').getByLabel('In a few words'), 'no gas on the lot');
  await item('furnace').getByRole('button', { name: 'Not tried' }).click();
  await expect(item('furnace')).toContainText('no gas on the lot');
  await item('battery-volts').getByRole('button').first().click();
  await typeInto(item('battery-volts').getByLabel('Measured'), '11.2');
  await item('battery-volts').getByRole('button', { name: 'Passed', exact: true }).click();
  await expect(item('battery-volts')).toContainText('usual is 12.2 V to 13.6 V');
  for (;;) {
    const open = page
      .locator('[data-item]')
      .filter({ has: page.locator('.result', { hasText: /^open$/ }) });
    if ((await open.count()) === 0) break;
    const key = (await open.first().getAttribute('data-item')) ?? '';
    if ((await item(key).getByRole('button', { name: 'Passed', exact: true }).count()) === 0) {
      await item(key).getByRole('button').first().click();
    }
    await item(key).getByRole('button', { name: 'Passed', exact: true }).click();
    await expect(item(key).locator('.result')).toHaveText('Passed');
  }
  await page.getByRole('button', { name: 'Sign the inspection' }).click();
  await expect(page.getByText('OK to operate.')).toBeVisible();
  await expectSound(page, 'inspection');
  await allSent(page);

  const context = await browser.newContext({ viewport: desk });
  const specialist = await context.newPage();
  await signIn(specialist);
  await specialist.goto(`${unit}/inspection`);
  await specialist.locator('[data-item="coupler"]').getByRole('button').first().click();
  await expect(specialist.getByText('A technician fills it in and signs it.')).toBeVisible();
  await expect(specialist.getByRole('button', { name: 'Passed', exact: true })).toHaveCount(0);
  await context.close();
});
