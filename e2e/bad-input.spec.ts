import { expect, test } from '@playwright/test';
import { atYard, demo, enter, goTo, openUnit, row, signIn, typeInto } from './yard.ts';

test('a wrong password is told in a sentence', async ({ page }) => {
  await page.goto(demo('/sign-in'));
  await typeInto(page.getByLabel('E-mail'), 'ines@thornquay.example');
  await typeInto(page.getByLabel('Password'), 'not this');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText(
    'Address and password do not belong together. Check both and try again.',
  );
});

test('an impossible number or unit is told beside its field and not kept', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^13 Construction/);
  await row(page, 'width').getByRole('button').first().click();
  const field = row(page, 'width').getByRole('textbox').first();
  const keep = row(page, 'width').getByRole('button', { name: 'Save', exact: true });
  const cases = {
    '-7 ft': /^Width can’t be less than zero/,
    '7 lb': /^Width is in lb, which measures something else. Type it in ft/,
    '7 cubits': /^Width has a unit we don’t know: “cubits”/,
    wide: /^Width can’t be read: “wide”/,
    '0': /^Width can’t be 0/,
  };
  for (const [typed, sentence] of Object.entries(cases)) {
    await typeInto(field, typed);
    await expect(row(page, 'width').getByRole('alert')).toHaveText(sentence);
    await expect(keep).toBeDisabled();
  }
  await page.reload();
  await expect(row(page, 'width')).toContainText('7 ft');
});

test('a VIN with a wrong digit is recorded and objected to', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^11 Label panel/);
  await enter(page, 'vin', '1M8GDM9A1KP042788', 'Read');
  await expect(row(page, 'vin')).toContainText('1M8GDM9A1KP042788');
  await expect(page.locator('[data-check="vin:vin"]')).toContainText(
    'The ninth character is 1, but by the other sixteen it should be X',
  );
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.locator('[data-check="vin:vin"]')).toHaveCount(0);
});

test('an over-long text and a stock number that is taken are told, and what was typed stays', async ({
  page,
}) => {
  await signIn(page);
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^24 Paperwork/);
  await row(page, 'stockNumber').getByRole('button').first().click();
  const field = row(page, 'stockNumber').getByRole('textbox').first();
  await typeInto(field, 'X'.repeat(30));
  await expect(row(page, 'stockNumber').getByRole('alert')).toHaveText(
    /30 characters long; there’s room for 24/,
  );
  await typeInto(field, 'TQ-0377');
  await row(page, 'stockNumber').getByRole('button', { name: 'Save', exact: true }).click();
  await expect(row(page, 'stockNumber').getByRole('alert')).toContainText(
    'another unit in stock has it',
  );
  await expect(field).toHaveValue('TQ-0377');
});

test('files that are not unit files are refused by name', async ({ page }) => {
  await atYard(page);
  const offer = async (name: string, content: string): Promise<void> => {
    await page
      .getByLabel('Unit file', { exact: true })
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  };
  const alert = page.getByRole('alert');
  await offer('notes.json', 'just text');
  await expect(alert).toContainText('“notes.json” isn’t a unit file');
  await offer('other.json', '{"hello":1}');
  await expect(alert).toContainText('This isn’t a Fair Gable unit file');
  await offer('later.json', '{"format":"fair-gable/unit","version":99}');
  await expect(alert).toContainText(/version 99; this program reads up to \d+/);
  await expect(page.getByRole('link', { name: /Outline of/ })).toHaveCount(
    await page.getByRole('listitem').count(),
  );
});
