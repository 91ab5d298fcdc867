import { expect, test } from '@playwright/test';
import { allSent, jpegs, takeIn, unitPath } from './on-the-lot.ts';
import { demo, expectSound, openUnit, recordOf, row, signIn, typeInto } from './yard.ts';

test('labels are read: a photo beside its fields, its code by the scanner', async ({ page }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0607');
  await page.goto(`${unit}/labels`);
  const noCamera = page.getByRole('button', { name: 'No camera? Use a demo label' });
  await expect(noCamera).toBeVisible();
  await page.context().setOffline(true);
  await noCamera.click();
  await expect(page.getByRole('alert')).toContainText('Type what the label says');
  await page.context().setOffline(false);
  await page.reload();
  await noCamera.click();
  await page.getByRole('button', { name: 'Read its code' }).click();
  const vin = page.locator('[data-label-field="vin"]');
  await expect(vin.getByRole('textbox')).toHaveValue('9TPKT1211T1000460');
  await typeInto(page.locator('[data-label-field="gvwr"]').getByRole('textbox'), '2,950 lb');
  await page.getByRole('button', { name: 'Larger' }).click();
  await page.getByRole('button', { name: 'Turn by a quarter' }).click();
  await noCamera.hover();
  await expectSound(page, 'labels, a button of words pointed at');
  await page.getByRole('button', { name: 'Save 2 as read' }).click();
  await expect(vin).toContainText('9TPKT1211T1000460');
  await allSent(page);
  const { specs, photos } = await recordOf(page);
  expect(specs.gvwr).toMatchObject({ how: 'read', value: { amount: 2950 } });
  const [shown] = Object.values(photos) as { value: { of: string[] } }[];
  expect(shown?.value.of).toContain('specs.gvwr');
  // The field itself shows the photo that proves it.
  await page.goto(`${unit}/record/labels`);
  await row(page, 'gvwr').getByRole('button').first().click();
  await expect(row(page, 'gvwr').getByRole('button', { name: /Look at the photo/ })).toBeVisible();

  await page.goto(`${unit}/labels`);
  await page.getByRole('button', { name: /^Stock tag/ }).click();
  await page.getByRole('button', { name: 'No camera? Use a demo label' }).click();
  await page.getByRole('button', { name: 'Read its code' }).click();
  await expect(page.locator('[data-label-field="stockNumber"]').getByRole('textbox')).toHaveValue(
    'TQ-0460',
  );

  // What stands in for the scanner wants no photo.
  await page.getByRole('button', { name: /^VIN label/ }).click();
  await page.getByRole('button', { name: /scanner/ }).click();
  await expect(vin.getByRole('textbox')).toHaveValue('9TPKT1211T1000460');
});

test('what was read off one label is not put into another', async ({ page }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0697');
  let read = (): void => undefined;
  const reading = new Promise<void>((resolve) => (read = resolve));
  await page.route('**/stand-in-labels-*.js', async (route) => {
    await reading;
    await route.continue();
  });
  await page.goto(`${unit}/labels`);
  await page.getByRole('button', { name: /scanner/ }).click();
  await page.getByRole('button', { name: /^Stock tag/ }).click();
  read();
  await expect(page.getByRole('alert')).toHaveText(/^VIN label: you left it before its code/);
  await expect(page.getByText('typed, not saved')).toHaveCount(0);
});

test('an answer goes to every unit of the model', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  await page.goto(`${unitPath(page)}/questions`);
  await typeInto(page.getByLabel('What nobody here can answer'), 'How loud is the roof fan?');
  await typeInto(page.getByLabel('Who to ask'), 'the maker');
  await page.getByRole('combobox', { name: 'Field' }).click();
  await typeInto(page.getByRole('searchbox'), 'fan');
  await page
    .getByRole('option', { name: 'Fan turns both ways' })
    .or(page.getByRole('option').first())
    .first()
    .click();
  await page.getByRole('button', { name: 'Add question' }).click();
  const asked = page.locator('[data-question]').filter({ hasText: 'How loud is the roof fan?' });
  await expect(asked).toContainText('asked of the maker');
  await asked.getByRole('button').first().click();
  await typeInto(asked.getByLabel('The answer, in words'), 'Like a hair dryer in the next room.');
  await asked.getByRole('button', { name: 'Save answer' }).click();
  await expect(asked).toContainText('Like a hair dryer');
  await expectSound(page, 'questions');
  await allSent(page);
  await page.goto(demo('/yard'));
  await openUnit(page, 'TQ-0418');
  await page.goto(`${unitPath(page)}/questions`);
  await expect(page.getByText('Like a hair dryer in the next room.')).toBeVisible();
});

test('a photo is turned, drawn on with keys, and taken off again', async ({ page }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0609');
  await page.goto(`${unit}/photos`);
  await page.getByLabel('Photo of the unit').setInputFiles((await jpegs(page, 1)) as never);
  await page.locator('.photos button').click();
  const viewer = page.getByRole('dialog');
  await viewer.getByRole('button', { name: 'Draw an arrow' }).click();
  await viewer.getByRole('img', { name: /arrows on the photo/ }).focus();
  for (const key of ['Enter', ...Array.from({ length: 6 }, () => 'ArrowRight'), 'Enter']) {
    await page.keyboard.press(key);
  }
  await expect(viewer.getByRole('img', { name: '1 arrow on the photo' })).toBeVisible();
  await typeInto(viewer.getByLabel('In a few words'), 'the dent');
  await viewer.getByRole('button', { name: 'Save note' }).click();
  await expectSound(page, 'a photo');
  await allSent(page);
  const [entry] = Object.values((await recordOf(page)).photos) as {
    value: { arrows: object[]; caption: string };
  }[];
  expect(entry?.value).toMatchObject({ caption: 'the dent', arrows: [{ from: [0.5, 0.5] }] });
  await viewer.getByRole('button', { name: 'Remove the photo' }).click();
  await expect(page.getByText('No photos yet')).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.locator('.photos li')).toHaveCount(1);
});
