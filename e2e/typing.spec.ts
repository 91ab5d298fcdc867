import { expect, test, type Locator, type Page } from '@playwright/test';
import {
  atYard,
  demo,
  desk,
  goTo,
  idOf,
  inUnit,
  openUnit,
  phone,
  recordOf,
  row,
  signIn,
  typeInto,
} from './yard.ts';

/** Key by key: every key does what it says, and nothing that was typed is lost. */
const fieldIn = (page: Page, key: string): Locator => row(page, key).getByRole('textbox').first();
const openRow = (page: Page, key: string): Promise<void> =>
  row(page, key).getByRole('button').first().click();

test('digits set a state on the row alone, not in a field that is open in it', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0436', 'record/door-side');
  const before = (await recordOf(page)).features.awning.value;
  await openRow(page, 'awning');
  const back = row(page, 'awning').getByLabel('Back from the coupler');
  await typeInto(back, '11\'4"');
  await expect(back).toHaveValue('11\'4"');
  await typeInto(back, "12'6");
  await page.keyboard.press('Control+0');
  await row(page, 'awning').getByRole('button', { name: 'Save position' }).click();
  await expect(row(page, 'awning').getByText('Saved: 12 ft 6 in back')).toBeVisible();
  expect((await recordOf(page)).features.awning.value).toEqual(before);
  expect((await recordOf(page)).places.awning.value.back).toBe(150);

  // On the row itself the digit is a state, and with another key it is none.
  await row(page, 'porchLight').locator('.head').focus();
  await page.keyboard.press('Control+5');
  await page.keyboard.press('1');
  await expect
    .poll(async () => (await recordOf(page)).features.porchLight?.value.state)
    .toBe('standard');
});

test('what is typed waits where it was typed: another row, another page, a closed tab', async ({
  page,
  context,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0403', 'record/labels');
  await openRow(page, 'gvwr');
  await typeInto(fieldIn(page, 'gvwr'), '3,2');
  await openRow(page, 'uvw');
  await expect(row(page, 'gvwr').getByText('typed, not saved yet')).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageUp');
  await openRow(page, 'gvwr');
  await expect(fieldIn(page, 'gvwr')).toHaveValue('3,2');
  await page.keyboard.press('Escape');
  await expect(row(page, 'gvwr').locator('.head')).toBeFocused();

  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(row(again, 'gvwr').getByText('typed, not saved yet')).toBeVisible();
  await again.goto(demo('/unsent'));
  await expect(again.getByText('Pell 14 T TQ-0403')).toBeVisible();
  await again.getByRole('link', { name: 'GVWR' }).click();
  await openRow(again, 'gvwr');
  await expect(fieldIn(again, 'gvwr')).toHaveValue('3,2');
  await row(again, 'gvwr').getByRole('button', { name: 'Cancel', exact: true }).click();
  await expect(fieldIn(again, 'gvwr')).toHaveValue('3,200 lb');
  await expect(row(again, 'gvwr').getByText('typed, not saved yet')).toHaveCount(0);
});

test('one’s own change is never in one’s way: a note’s button, and undo twice', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await openUnit(page, 'TQ-0365');
  const { version } = (await recordOf(page)).specs.ccc;
  const value = { kind: 'quantity', amount: 3690 };
  await page.request.post(demo(`/api/units/${idOf(page)}/edits`), {
    data: {
      id: crypto.randomUUID(),
      changes: [{ part: 'specs', key: 'ccc', value, how: 'read', basedOn: version, others: [] }],
    },
  });
  await page.goto(demo(`/units/${idOf(page)}/record/labels`));
  await openRow(page, 'ccc');
  await expect(fieldIn(page, 'ccc')).toHaveValue('3,690 lb');
  await page.getByRole('button', { name: 'Use 3,190 lb' }).click();
  await expect(fieldIn(page, 'ccc')).toHaveValue('3,190 lb');
  await typeInto(fieldIn(page, 'ccc'), '3,195 lb');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await recordOf(page)).specs.ccc.value.amount).toBe(3195);
  for (const amount of [3190, 3690]) {
    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await expect.poll(async () => (await recordOf(page)).specs.ccc.value.amount).toBe(amount);
  }
  await expect(page.locator('[data-clash]')).toHaveCount(0);
});

test('another wheel and another label lose nothing', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0403', 'wheels');
  const wheel = (key: string): Locator => page.locator(`[data-wheel="${key}"]`);
  await wheel('DoorFront').getByRole('button').first().click();
  await typeInto(wheel('DoorFront').getByLabel('Brand'), 'Brant');
  await wheel('Spare').getByRole('button').first().click();
  await expect(wheel('DoorFront').getByText('typed, not saved yet')).toBeVisible();
  await page.getByRole('link', { name: 'Findings' }).click();
  await page.getByRole('link', { name: 'Wheels' }).click();
  await wheel('DoorFront').getByRole('button').first().click();
  await expect(wheel('DoorFront').getByLabel('Brand')).toHaveValue('Brant');

  await page.goto(demo(`/units/${idOf(page)}/labels`));
  const gvwr = page.locator('[data-label-field="gvwr"]').getByRole('textbox');
  await typeInto(gvwr, '3,200');
  await page.getByRole('button', { name: /^Weight label/ }).click();
  await page.getByRole('button', { name: /^VIN label/ }).click();
  await expect(gvwr).toHaveValue('3,200');
});

test('a wheel that could not be kept is told, and takes no key from the one in hand', async ({
  page,
}) => {
  await signIn(page);
  await inUnit(page, 'TQ-0404', 'wheels');
  await page.route('**/edits', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1000));
    const problem = { code: 'bad-input', status: 400, detail: 'Brand is too long.' };
    await route.fulfill({
      status: 400,
      contentType: 'application/problem+json',
      body: JSON.stringify(problem),
    });
  });
  const wheel = (key: string): Locator => page.locator(`[data-wheel="${key}"]`);
  await wheel('DoorFront').getByRole('button').first().click();
  await typeInto(wheel('DoorFront').getByLabel('Brand'), 'Brant');
  await wheel('DoorFront').getByRole('button', { name: 'Save, next wheel' }).click();
  const next = page.locator('[data-wheel].open');
  await expect(next).not.toHaveAttribute('data-wheel', 'DoorFront');
  await typeInto(next.getByLabel('Brand'), 'Sal');
  await expect(wheel('DoorFront').getByRole('alert')).toHaveText('Brand is too long.');
  await page.keyboard.type('low');
  await expect(next.getByLabel('Brand')).toHaveValue('Sallow');
  await expect(wheel('DoorFront').getByText('typed, not saved yet')).toBeVisible();
});

test('a place is corrected from what is known, and what cannot be is said on the spot', async ({
  page,
}) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await inUnit(page, 'TQ-0411', 'round/utilities');
  const known = (await recordOf(page)).places;
  const [key] = Object.keys(known).filter((one) => one === 'freshFill' || one === 'cityWater');
  await page.getByText(/\d+ seen here/).click();
  await page.locator(`[data-step="places.${key}"]`).getByRole('button').first().click();
  const editor = page.locator('.editor');
  const field = editor.getByRole('textbox');
  await expect(field).not.toHaveValue('');
  await expect(editor.locator('svg circle').last()).toBeVisible();
  for (const digit of ['7', '7']) {
    await page.locator('.pad').getByRole('button', { name: digit, exact: true }).click();
  }
  await expect(editor.getByRole('alert')).toContainText('can’t be 77 ft from the coupler');
  await typeInto(field, '55 ft');
  await expect(editor.getByText(/55 ft back is behind the trailer/)).toBeVisible();
  await typeInto(field, '20 ft');
  await page.waitForTimeout(450);
  await page.locator('.pad').getByRole('button', { name: 'Next' }).click();
  await expect
    .poll(async () => (await recordOf(page)).places[key!].value)
    .toMatchObject({ back: 240, side: known[key!].value.side });
});

test('the round stays where one stands', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await openUnit(page, 'TQ-0404');
  await page.goto(demo(`/units/${idOf(page)}/round`));
  await expect(page).toHaveURL(/round\/[a-z-]+$/);
  const address = page.url();
  const first = page.locator('.editor h3');
  const [name] = [await first.innerText()];
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(first).not.toHaveText(name!);
  const second = await first.innerText();
  // What slid under the thumb is not hit.
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(first).toHaveText(second);
  await page.goto(demo('/yard'));
  await page.goBack();
  await expect(page).toHaveURL(address);
  await expect(first).toHaveText(second);
});

test('Tab goes from field to field while a unit is taken in, and the tire label is the label’s', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await atYard(page);
  await page.getByRole('button', { name: 'Add a unit' }).click();
  await page.getByLabel('Stock number').focus();
  for (const text of ['TQ-0777', 'Pell', '14 T', '2026']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  }
  // New or used: one field, one Tab; letters choose in it, a whole word too.
  await page.keyboard.type('used');
  await expect(page.getByRole('button', { name: 'used' })).toHaveAttribute('aria-pressed', 'true');
  // How it is known, whether one by one, and the VIN.
  for (let i = 0; i < 3; i++) await page.keyboard.press('Tab');
  await page.keyboard.type('9TPPT1419T1000777');
  await expect(page.getByLabel('VIN', { exact: true })).toHaveValue('9TPPT1419T1000777');
  await typeInto(page.locator('[data-take="labelTireSize"]').getByRole('textbox'), 'ST205/75R14');
  await typeInto(page.locator('[data-take="tireSize"]').getByRole('textbox'), 'ST185/80R13');
  await page.reload();
  await expect(page.getByLabel('VIN', { exact: true })).toHaveValue('9TPPT1419T1000777');
  await page.getByRole('button', { name: /^Add it with/ }).click();
  await expect(page.locator('.particulars')).toContainText('TQ-0777');
  const { specs } = await recordOf(page);
  expect(specs.labelTireSize).toMatchObject({ how: 'read', value: { text: 'ST205/75R14' } });
  expect(specs.tireSize).toMatchObject({ value: { text: 'ST185/80R13' } });
  await goTo(page, /^7 Running gear/);
  await expect(page.getByText('Tire size isn’t what the label says')).toBeVisible();
});

test('a model sheet takes a figure whole, where it stands, and shows what it changes', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await signIn(page, 'maren');
  await page.goto(demo('/model-sheets'));
  await page.getByRole('link', { name: /24 RKD · 2026/ }).click();
  await page.getByRole('button', { name: 'Change it' }).click();
  const address = page.url();
  const labels = page.locator('fieldset', { hasText: 'What every unit has' });
  await labels.getByText(/^11 Label panel/).click();
  const gvwr = labels.locator('[data-sheet-field="gvwr"]').getByRole('textbox');
  await typeInto(gvwr, '9,600 lb');
  await expect(gvwr).toHaveValue('9,600 lb');
  await expect(gvwr).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('GVWR: 7,490 lb → 9,600 lb')).toBeVisible();
  // What can’t be read stays as typed, and is said beside the field.
  const uvw = labels.locator('[data-sheet-field="uvw"]').getByRole('textbox');
  await typeInto(uvw, 'light');
  await page.keyboard.press('Tab');
  await expect(uvw).toHaveValue('light');
  await expect(page.getByText('One value can’t be read yet')).toBeVisible();
  // Another page, and back: it is unchanged.
  await page.goto(demo('/yard'));
  await page.goto(address);
  await labels.getByText(/^11 Label panel/).click();
  await expect(uvw).toHaveValue('light');
  await typeInto(uvw, '9,700 lb');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'See what changes' }).click();
  await expect(page.getByText('UVW is over GVWR')).toBeVisible();
  await expect(page.getByText(/GVWR: 7,490 lb → 9,600 lb/).first()).toBeVisible();
  await page
    .getByRole('button', { name: 'Save the sheet, change no units' })
    .or(page.getByRole('button', { name: /^Save the sheet and change/ }))
    .click();
  const change = page.locator('[data-sheet-change]').first();
  await expect(change).toContainText('GVWR: 7,490 lb → 9,600 lb');
  await change.getByRole('button', { name: 'Restore this version' }).click();
  await expect(page.getByText('GVWR: 9,600 lb → 7,490 lb')).toBeVisible();
  await page.getByRole('button', { name: 'See what changes' }).click();
  await page.getByRole('button', { name: /^Save the sheet/ }).click();
  await expect(page.locator('[data-sheet-change]')).not.toHaveCount(1);
});

test('a finished walk is gone on with, a liking is taken back, and a walk never begun leaves no log', async ({
  page,
}) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await inUnit(page, 'TQ-0402', 'walk');
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await page.goto(demo(`/walks`));
  await expect(page.getByText('Pell 14 T · TQ-0402')).toHaveCount(0);

  await page.goto(demo('/yard'));
  await inUnit(page, 'TQ-0402', 'walk');
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  const liked = page.getByRole('button', { name: 'Liked' });
  await liked.click();
  await expect(liked).toHaveAttribute('aria-pressed', 'true');
  await liked.click();
  await expect(liked).toHaveAttribute('aria-pressed', 'false');
  await page.getByRole('button', { name: /^Said/ }).click();
  await expect(page.getByText(/^card 2 of/)).toBeVisible();
  const here = await page.getByRole('article').innerText();
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await page.getByRole('link', { name: 'Go on after all' }).click();
  await page.getByRole('button', { name: 'Go on after all' }).click();
  await expect(page.getByRole('article')).toHaveText(here, { useInnerText: true });
  await page.getByRole('button', { name: 'Promise' }).click();
  await page.keyboard.type('the manual, by mail');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Promise' }).click();
  await expect(page.getByLabel('In a few words')).toHaveValue('the manual, by mail');
});

test('every key on the page of keys does what it says', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0403', 'record/hitch');
  const title = page.locator('.station h2');
  await expect(title).toHaveText('1 Hitch');
  const dialog = page.getByRole('dialog');
  await page.keyboard.press('?');
  await expect(dialog).toBeVisible();
  const promised = await dialog.locator('kbd').allInnerTexts();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await page.keyboard.press('f');
  await expect(page.getByRole('combobox', { name: 'Find a unit' })).toBeFocused();
  await page.keyboard.press('Escape');

  // Station by station; the first field has the focus.
  await page.keyboard.press('PageDown');
  await expect(title).not.toHaveText('1 Hitch');
  await expect(page.locator('.rows button').first()).toBeFocused();
  await page.keyboard.press('PageUp');
  await expect(title).toHaveText('1 Hitch');

  // Enter opens a field and keeps it; letters say how it is known; Esc goes back to the row.
  await row(page, 'couplerRating').locator('.head').focus();
  await page.keyboard.press('Enter');
  const field = fieldIn(page, 'couplerRating');
  await expect(field).toBeFocused();
  const letters = {
    r: 'Read',
    m: 'Measured',
    s: 'Seen',
    h: 'Sheet',
    t: 'Told',
    g: 'Guess',
  };
  for (const [letter, label] of Object.entries(letters)) {
    await page.keyboard.press(`Alt+${letter}`);
    await expect(row(page, 'couplerRating').getByRole('radio', { name: label })).toBeChecked();
  }
  await page.keyboard.press('Tab');
  await expect(row(page, 'couplerRating').getByRole('radio', { name: 'Guess' })).toBeFocused();
  await page.keyboard.press('r');
  await expect(row(page, 'couplerRating').getByRole('radio', { name: 'Read' })).toBeChecked();
  await page.keyboard.press('Escape');
  await expect(row(page, 'couplerRating').locator('.head')).toBeFocused();

  // Every digit on a feature, and the arrows within its states.
  const name = row(page, 'jackLight').locator('.head');
  const states = ['standard', 'option', 'ours', 'prep', 'room', 'none'];
  for (const [i, state] of states.entries()) {
    await name.focus();
    await page.keyboard.press(String(i + 1));
    await expect
      .poll(async () => (await recordOf(page)).features.jackLight?.value.state)
      .toBe(state);
  }
  await page.keyboard.press('0');
  await expect.poll(async () => (await recordOf(page)).features.jackLight).toBeUndefined();
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowRight');
  await expect(row(page, 'jackLight').locator('.states button').nth(1)).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(row(page, 'jackLight').locator('.states button').first()).toBeFocused();
  await page.keyboard.type('none');
  await expect
    .poll(async () => (await recordOf(page)).features.jackLight?.value.state)
    .toBe('none');
  await page.keyboard.press('Tab');
  await expect(row(page, 'jackLight').locator('.states button:focus')).toHaveCount(0);

  // What the page promises is what was pressed here, and what a walk is given with.
  const pressed = ['F', '?', 'Esc', '←', '→', 'Page Down', 'Page Up', 'Tab', 'Enter'];
  const digits = ['0', '1', '2', '3', '4', '5', '6'];
  const marks = ['R', 'M', 'S', 'H', 'T', 'G'];
  const giving = ['Space', 'L', 'U'];
  expect(
    promised.filter((key) => ![...pressed, ...digits, ...marks, ...giving].includes(key)),
  ).toEqual([]);
});

test('whoever is quicker than the finder is understood: F, four digits and Enter in one go', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await page.goto(demo('/walks'));
  await expect(page.getByRole('heading', { name: 'Walks' })).toBeVisible();
  for (const key of ['f', '0', '4', '0', '3', 'Enter']) await page.keyboard.press(key);
  await expect(page.locator('.particulars')).toContainText('TQ-0403');
  // Letters alone: the list opens for what came before it was there, and the arrows choose in it.
  for (const key of ['f', 'P', 'e', 'l', 'l']) await page.keyboard.press(key);
  const finder = page.getByRole('combobox', { name: 'Find a unit' });
  await expect(finder).toHaveValue('Pell');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(finder).toHaveCount(0);
  await expect(page.locator('.particulars')).not.toContainText('TQ-0403');
});

test('a reason that was typed outlives a page, and is gone once the note is let stand', async ({
  page,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await inUnit(page, 'TQ-0425', 'record/utilities');
  const note = page.locator('[data-check="shore-size:shoreAmps"]');
  await note.getByRole('button', { name: 'It’s right: say why' }).click();
  await typeInto(note.getByLabel(/Why are the numbers right/), 'Rewired by its first owner');
  await page.reload();
  await expect(note.getByLabel(/Why are the numbers right/)).toHaveValue(
    'Rewired by its first owner',
  );
  await note.getByRole('button', { name: 'Accept' }).click();
  await expect(note).toContainText('Accepted by Ines Rook: “Rewired by its first owner”');
  await page.goto(demo('/unsent'));
  await expect(page.getByText('Typed, not saved yet')).toHaveCount(0);
});
