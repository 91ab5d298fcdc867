import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { expect, test, type Page } from '@playwright/test';
import { asTheFileSays } from '@fair-gable/core/unit/unit-file';
import {
  atYard,
  demo,
  desk,
  enter,
  expectSound,
  goTo,
  openFromYard,
  openUnit,
  phone,
  row,
  shellKept,
  signIn,
  typeInto,
  unitsInDemo,
  walkSent,
  withShell,
} from './yard.ts';

/** The whole way, as one would go it: record, check, take in, walk, log, file. */
test.describe.configure({ mode: 'serial' });

test('a spec is corrected at its station, a check objects in the margin and is settled', async ({
  page,
}) => {
  await atYard(page);
  await expect
    .poll(() => page.getByRole('link', { name: /Outline of/ }).count())
    .toBeGreaterThanOrEqual(unitsInDemo);
  await openUnit(page, 'TQ-0417');
  await goTo(page, /^11 Label panel/);
  await expect(page.getByRole('button', { name: /^10 Utilities, partly known/ })).toBeVisible();

  await enter(page, 'ccc', '2,418', 'Read');
  await expect(row(page, 'ccc')).toContainText('2,418');
  await expect(row(page, 'ccc')).toContainText('read off the label');
  const note = page.locator('[data-check="ccc-identity:ccc"]');
  await expect(note).toContainText(
    'GVWR minus UVW is 1,918 lb (7,490 lb − 5,572 lb), but the label says 2,418 lb. That’s 500 lb more',
  );
  await expect(
    page.getByRole('button', { name: /^11 Label panel, numbers disagree/ }),
  ).toBeVisible();

  await note.getByRole('button', { name: 'It’s right: say why' }).click();
  await typeInto(
    note.getByLabel(/Why are the numbers right/),
    'Label of a heavier sister, maker asked.',
  );
  await note.getByRole('button', { name: 'Accept' }).click();
  await expect(note).toContainText(
    'Accepted by Ines Rook: “Label of a heavier sister, maker asked.”',
  );

  // Another value, and the settled note is back; its own button puts things right.
  await enter(page, 'ccc', '2,500 lb', 'Read');
  await expect(note).toContainText('582 lb more');
  await note.getByRole('button', { name: 'Use 1,918 lb' }).click();
  await expect(note).toHaveCount(0);
  await expect(row(page, 'ccc')).toContainText('1,918');

  // It does not move under the pointer while the words beside it change.
  const undo = page.getByRole('button', { name: /^Undo/ });
  const before = await undo.boundingBox();
  await expect(page.getByText('everything saved')).toBeVisible();
  expect((await undo.boundingBox())?.x).toBe(before?.x);
  await undo.click();
  await expect(row(page, 'ccc')).toContainText('2,500');
  await page.reload();
  await expect(row(page, 'ccc')).toContainText('2,500');
  await page
    .locator('[data-check="ccc-identity:ccc"]')
    .getByRole('button', { name: 'Use 1,918 lb' })
    .click();
  await expect(page.getByText('everything saved')).toBeVisible();
});

test('a new unit is taken in from nothing by typing its labels', async ({ page }) => {
  await atYard(page);
  await page.getByRole('button', { name: 'Add a unit' }).click();
  const typed = {
    'Stock number': 'TQ-0444',
    Series: 'Tarn',
    'Floor plan': '19 RB',
    'Model year': '2026',
    VIN: '1M8GDM9AXKP042788',
    GVWR: '5,000',
    UVW: '1,800 kg',
    'GAWR (each axle)': '25000',
    'Overall length': "22'6",
    'Fresh tank': '30 gal',
  };
  for (const [label, text] of Object.entries(typed)) {
    await typeInto(page.getByLabel(label, { exact: true }), text);
  }
  await page
    .getByRole('group', { name: 'New or used' })
    .getByRole('button', { name: 'used' })
    .click();
  await expect(page.getByText('22 ft 6 in = 6.86 m')).toBeVisible();
  await expect(page.getByText('3,968 lb = 1,800 kg')).toBeVisible();

  const note = page.locator('[data-check="count-times-size:axleRating"]');
  await expect(note).toContainText('If count and size ran together, it’s 2 × 5,000 lb');
  await note.getByRole('button', { name: 'Use 2 × 5,000 lb' }).click();
  await page.getByRole('button', { name: /^Add it with 11 values/ }).click();

  await expect(page.getByRole('heading', { level: 1, name: 'Tarn 19 RB' })).toBeVisible();
  await expect(row(page, 'gvwr')).toContainText('5,000');
  await goTo(page, /^1 Hitch/);
  await row(page, 'coupler').getByRole('button', { name: 'standard' }).click();
  await expect(row(page, 'coupler')).toContainText('seen or counted');
  await row(page, 'powerJack').getByRole('button', { name: 'not fitted' }).press('1');
  await expect(row(page, 'powerJack').getByRole('button', { name: 'standard' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

/** What is ticked is what the newest plan says. */
const planned = (page: Page): Promise<void> =>
  expect(page.locator('.sum:not(.busy)')).toBeVisible();

test.describe('without a network', () => {
  test.use(withShell);

  test('a walk is planned, given on a phone with the network cut in the middle, and logged', async ({
    page,
    context,
  }) => {
    await signIn(page);
    await openUnit(page, 'TQ-0417');
    await page.getByRole('link', { name: 'Walk', exact: true }).click();
    await typeInto(page.getByLabel('Minutes the buyer has'), '10');
    await page.getByLabel('Minutes the buyer has').press('Tab');
    await expect(page.getByText(/2\d cards, about 8 min/)).toBeVisible();
    // Somebody’s wish goes before what a card is worth; for what is taken in something else gives way.
    for (const sentence of [
      /two 30-pound propane cylinders/,
      /coupler drops over/,
      /^Your safety chains cross/,
      /unhitched, this breakaway cable/,
      /^The tongue jack’s electric/,
      /house battery/,
      /^Turn this battery disconnect/,
      /47 gallons of fresh/,
      /^The gray tank/,
    ]) {
      await planned(page);
      const card = page.getByRole('checkbox', { name: sentence });
      if (!(await card.isChecked())) await card.click();
      await expect(card).toBeChecked();
    }
    // What else there is at the hitch is taken out, so that the walk goes from one of these to the next.
    for (const sentence of [
      /^One seven-way plug/,
      /^The plug parks/,
      /^This tongue jack lifts/,
      /^If the battery’s dead/,
      /^There’s a light at the hitch/,
      /^The battery box vents/,
    ]) {
      await planned(page);
      const card = page.getByRole('checkbox', { name: sentence });
      if (await card.isChecked()) await card.click();
      await expect(card).not.toBeChecked();
    }
    await planned(page);
    const cap = page.getByRole('checkbox', { name: /^This cover keeps weather off/ });
    if (!(await cap.isChecked())) await cap.click();
    await expect(cap).toBeChecked();
    await cap.click();
    await expect(cap).not.toBeChecked();
    await expect(page.getByText('taken out by you').first()).toBeVisible();
    await expect(page.getByRole('heading', { name: /^Get ready/ })).toBeVisible();
    // The shell must be on the device before the network goes.
    await shellKept(page);

    await page.setViewportSize(phone);
    await page.getByRole('button', { name: 'Start the walk' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    const card = page.getByRole('article').getByRole('heading');
    const said = page.getByRole('button', { name: /^Said/ });
    const shown = page.getByRole('button', { name: 'Shown', exact: true });
    const later = page.getByRole('button', { name: 'Later', exact: true });

    await expect(card).toHaveText('You’ve got two 30-pound propane cylinders.');
    await expect(page.getByText('Lift the access lid')).toBeVisible();
    await expect(page.getByText(/If you smell propane/)).toBeVisible();
    await expectSound(page, 'card');
    await said.click();
    await expect(card).toContainText('coupler');
    const coupler = await card.innerText();
    await shown.click();
    await expect(card).not.toHaveText(coupler);
    await later.click();
    await expect(card).toContainText('sets the trailer’s brakes');

    await walkSent(page);
    await context.setOffline(true);
    await said.click();
    await expect(card).toContainText('up and down with a switch');
    await page.getByRole('button', { name: 'Asked' }).click();
    await typeInto(page.getByLabel('In a few words, if you like'), 'How much does it lift?');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await shown.click();
    await said.click();
    // What was tapped is on the device once the next card is there and its count stands.
    await expect(card).toContainText('nothing drains the battery');
    await expect(page.getByText(/4 not sent/)).toBeVisible();
    // The tab is closed and opened again with no network: nothing is lost.
    await page.reload();
    await expect(card).toContainText('nothing drains the battery');
    await expect(page.getByText(/4 not sent/)).toBeVisible();
    await expect(page.getByText(/card 6 of \d+/)).toBeVisible();
    await context.setOffline(false);
    await walkSent(page);

    await said.click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(card).toContainText('nothing drains the battery');

    await page.getByRole('button', { name: 'Jump to…' }).click();
    await page.getByRole('button', { name: /^10 Utilities/ }).click();
    await expect(card).toContainText('47 gallons of fresh');
    await expect(page.getByRole('status')).toContainText('Fenlark');
    await said.click();
    await expect(page.getByText('do not say')).toBeVisible();
    await page.getByRole('button', { name: /missed so far/ }).click();
    await expect(
      page.getByRole('button', { name: /Safety chains.*to come back to/s }),
    ).toBeVisible();
    await page.getByRole('button', { name: /Safety chains/ }).click();
    await expect(card).toContainText('cross under here');
    await said.click();

    await page.getByRole('button', { name: 'Pause' }).click();
    // The clock stands still once the pause is written, not when the finger lifts.
    await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
    const stopped = await page.locator('[data-clock]').innerText();
    await page.waitForTimeout(1500);
    expect(await page.locator('[data-clock]').innerText()).toBe(stopped);
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.locator('[data-clock]')).not.toHaveText(stopped, { timeout: 5000 });

    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await expect(page.getByRole('heading', { name: /7 of \d+ cards in 0:\d\d/ })).toBeVisible();
    await expectSound(page, 'log on the phone');
    await page.setViewportSize(desk);
    const part = (name: string) => page.locator(`[data-part="${name}"]`);
    await expect(part('done')).toContainText('You’ve got two 30-pound propane cylinders.');
    await expect(part('done').getByRole('listitem')).toHaveCount(7);
    await expect(part('missed')).toContainText('Battery disconnect');
    await expect(part('missed')).not.toContainText('Safety chains');
    await expect(part('marks')).toContainText('asked');
    await expect(part('marks')).toContainText('Power tongue jack: “How much does it lift?”');
    await part('marks').getByRole('button', { name: 'Add to open questions' }).click();
    await part('marks').getByRole('link', { name: 'in open questions' }).click();
    await expect(page.getByRole('button', { name: /How much does it lift\?/ })).toBeVisible();
    await page.goBack();
    await expect(
      part('done')
        .getByText(/^0:\d\d$/)
        .first(),
    ).toBeVisible();
    await expect(page.getByText('finished · 10 minutes planned')).toBeVisible();
  });
});

test('the unit leaves as a file, and comes into an empty yard as the same unit', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a unit file' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('fenlark-24-rkd.unit.zip');
  const path = await saved.path();

  const context = await browser.newContext({ viewport: desk });
  const other = await context.newPage();
  await other.goto(process.env['EMPTY_ADDRESS'] ?? '');
  await expect(other.getByRole('heading', { name: 'This yard is empty' })).toBeVisible();
  await expectSound(other, 'first account');
  const given = {
    'One-time token': process.env['EMPTY_TOKEN'] ?? '',
    'Name of the yard': 'Sallow North',
    'Your name': 'Ada Finch',
    'E-mail': 'ada@north.example',
    Password: 'a long enough one',
  };
  for (const [label, text] of Object.entries(given)) await typeInto(other.getByLabel(label), text);
  await other.getByRole('button', { name: 'Create account' }).click();
  await expect(other.getByRole('heading', { name: 'No units here yet' })).toBeVisible();
  await other.getByLabel('Unit file', { exact: true }).setInputFiles(path);
  // Nobody signs by a file: what was signed stays behind, and whoever brings it in is told.
  await expect(other.getByText('Signatures don’t come with a file')).toBeVisible();
  await openFromYard(other, 'TQ-0417');
  await expect(other.getByRole('heading', { level: 1, name: 'Fenlark 24 RKD' })).toBeVisible();

  // Who wrote what is as the file says, and stands there so.
  await other.goto(other.url().replace(/record.*/, 'record/labels'));
  await expect(
    other.locator('.row, li').filter({ hasText: 'GVWR' }).getByText('from a file').first(),
  ).toBeVisible();

  const again = other.waitForEvent('download');
  await other.getByRole('link', { name: 'Save as a unit file' }).click();
  // The unit to the letter but for that mark and what a technician signed, and its photos beside it.
  const [before, after] = [path, await (await again).path()].map((at) =>
    unzipSync(readFileSync(at)),
  );
  expect(Object.keys(after ?? {}).toSorted()).toEqual(Object.keys(before ?? {}).toSorted());
  expect(Object.keys(after ?? {}).filter((name) => name.startsWith('photos/'))).toHaveLength(1);
  const unit = (files: typeof before) =>
    JSON.parse(Buffer.from(files?.['unit.json'] ?? []).toString('utf8'));
  const { record, ...file } = unit(before);
  const bySignature = ['inspected', 'inspectedBy'];
  const specs = Object.fromEntries(
    Object.entries(record.specs).filter(([key]) => !bySignature.includes(key)),
  );
  const brought = { ...record, specs, inspection: {}, signatures: {} };
  expect(unit(after)).toEqual({ ...file, record: asTheFileSays(brought) });
  await context.close();
});

test('the addresses lead where they say', async ({ page }) => {
  await page.goto(demo('/yard'));
  await expect(page).toHaveURL(/sign-in\?then=\/yard/);
  await signIn(page);
  await page.goto(demo('/nowhere'));
  await expect(
    page.getByRole('heading', { name: 'There’s nothing at this address' }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Back to the yard' }).click();
  await expect(page.getByRole('heading', { name: 'Thornquay yard' })).toBeVisible();
});

test('one key finds a unit and keeps the place where one stands; another shows every key', async ({
  page,
}) => {
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  await page.getByRole('link', { name: 'Condition', exact: true }).click();
  await page.keyboard.press('f');
  const field = page.getByRole('combobox', { name: 'Find a unit' });
  await expect(field).toBeFocused();
  await page.keyboard.type('0402');
  await expect(page.getByRole('option', { name: /Pell 14 T/ })).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.locator('.particulars')).toContainText('TQ-0402');
  await expect(page).toHaveURL(/\/condition/);

  await page.getByRole('button', { name: 'Find a unit' }).click();
  await page.keyboard.type('no such unit');
  await expect(page.getByRole('option', { name: 'No unit on this yard' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Find a unit' })).toBeFocused();

  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys.getByText('Page Down').first()).toBeVisible();
  await expectSound(page, 'keys');
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
});
