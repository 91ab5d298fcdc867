import { expect, test, type Browser, type Page } from '@playwright/test';
import { demo, desk, expectSound, openUnit, phone, row, signIn, typeInto } from './yard.ts';

/** A picture as a camera gives it: drawn in the page, so that no file of ours is needed. */
const photo = async (page: Page, shade: string): Promise<Buffer> => {
  const address = await page.evaluate((colour) => {
    const canvas = document.createElement('canvas');
    canvas.width = 800;
    canvas.height = 600;
    const ink = canvas.getContext('2d');
    if (ink) {
      ink.fillStyle = colour;
      ink.fillRect(0, 0, 800, 600);
    }
    return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
  }, shade);
  return Buffer.from(address, 'base64');
};
const jpegs = async (page: Page, count: number) =>
  Promise.all(
    Array.from({ length: count }, async (_, i) => ({
      name: `photo-${i}.jpg`,
      mimeType: 'image/jpeg',
      buffer: await photo(page, `hsl(${(i * 37) % 360} 40% 50%)`),
    })),
  );

const unitPath = (page: Page): string => page.url().replace(/(\/units\/[^/]+).*/, '$1');
const recordOf = async (page: Page) => {
  const id = /units\/([^/]+)/.exec(page.url())?.[1] ?? '';
  const answer = await page.request.get(demo(`/api/units/${id}`));
  return (await answer.json()).record;
};
const allSent = (page: Page) =>
  expect(page.getByText('everything saved')).toBeVisible({ timeout: 30_000 });

/** A new unit of this test's own, taken in by its papers; its page. */
const takeIn = async (page: Page, stockNumber: string): Promise<string> => {
  await page.goto(demo('/yard/take-in'));
  await typeInto(page.getByLabel('Stock number'), stockNumber);
  await typeInto(page.getByLabel('Series'), 'Pell');
  await typeInto(page.getByLabel('Floor plan'), '12 K');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.locator('.particulars')).toContainText(stockNumber);
  await allSent(page);
  return unitPath(page);
};

const onPhone = async (page: Page): Promise<void> => {
  await page.setViewportSize(phone);
  await signIn(page);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
};

const editor = (page: Page) => page.locator('.editor');
const pad = (page: Page) => page.getByRole('group', { name: 'Keypad' });
const press = async (page: Page, keys: readonly string[]): Promise<void> => {
  for (const key of keys) await pad(page).getByRole('button', { name: key, exact: true }).click();
};

/** Opens a step of the station where one stands. */
const step = async (page: Page, id: string): Promise<void> => {
  // What slid under the thumb is not hit for a moment.
  await page.waitForTimeout(450);
  const line = page.locator(`[data-step="${id}"]`);
  if ((await line.count()) === 0)
    await page.getByRole('button', { name: /more could be looked at/ }).click();
  if ((await line.locator('.editor').count()) === 0) await line.getByRole('button').first().click();
  await expect(line.locator('.editor')).toBeVisible();
  await page.waitForTimeout(450);
};

test('a round is made with no network from start to end, photos too', async ({ page }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0601');
  await page.goto(`${unit}/round/hitch`);
  await expect(page.getByRole('heading', { level: 2, name: '1 Hitch' })).toBeVisible();
  await page.context().setOffline(true);

  await step(page, 'features.coupler');
  await editor(page).getByRole('button', { name: 'It is there' }).click();
  await step(page, 'specs.lpCylinders');
  await press(page, ['1', '×', '2', '0', 'lb']);
  await editor(page).getByRole('radio', { name: 'Seen' }).click();
  await pad(page).getByRole('button', { name: 'Next' }).click();
  await step(page, 'places.lpCylinders');
  await editor(page)
    .getByRole('img', { name: /Tap where it is/ })
    .click({ position: { x: 90, y: 60 } });
  await press(page, ['2', 'ft', '9', 'in', '½ ¼ ⅛']);
  const [taken] = await jpegs(page, 1);
  await pad(page)
    .getByLabel('Photo')
    .setInputFiles([taken as never]);
  await expect(editor(page).getByRole('button', { name: /Look at the photo/ })).toBeVisible();
  await pad(page).getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText(/[4-9] not sent/).first()).toBeVisible();

  // The tab is closed and opened again, still without a network: it goes on where it was left.
  await page.goto(`${unit}/round`);
  await expect(page.getByRole('heading', { level: 2, name: '1 Hitch' })).toBeVisible();
  await page.getByText(/seen here/).click();
  await expect(page.locator('[data-step="specs.lpCylinders"]')).toContainText('1 × 20 lb');

  await page.context().setOffline(false);
  await allSent(page);
  const record = await recordOf(page);
  expect(record.features.coupler.value.state).toBe('standard');
  expect(record.specs.lpCylinders).toMatchObject({ how: 'seen', value: { count: 1, each: 20 } });
  expect(record.places.lpCylinders).toMatchObject({ how: 'measured', value: { back: 33.5 } });
  const [id] = Object.keys(record.photos);
  expect(record.photos[id ?? ''].value.of).toEqual(['places.lpCylinders']);
  expect(
    (await page.request.get(`${unit.replace('/units', '/api/units')}/photos/${id}`)).ok(),
  ).toBe(true);
});

test('the network may be cut in every step of a round', async ({ page }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0602');
  await page.goto(`${unit}/round/hitch`);
  const keys = [
    'coupler',
    'safetyChains',
    'breakaway',
    'plug7way',
    'tongueJack',
    'battery',
  ] as const;
  for (const [i, key] of keys.entries()) {
    await page.context().setOffline(i % 2 === 0);
    await step(page, `features.${key}`);
    await editor(page)
      .getByRole('button', { name: i % 3 === 2 ? 'Not there' : 'It is there' })
      .click();
    await expect(page.locator(`[data-step="features.${key}"] .editor`)).toHaveCount(0);
  }
  await page.context().setOffline(false);
  await allSent(page);
  const { features } = await recordOf(page);
  expect(keys.map((key) => features[key]?.value.state)).toEqual([
    'standard',
    'standard',
    'none',
    'standard',
    'standard',
    'none',
  ]);
});

test('a tab killed with ten photos unsent loses none', async ({ page, context }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0603');
  await page.goto(`${unit}/photos`);
  await expect(page.getByText('No photo yet')).toBeVisible();
  await context.setOffline(true);
  await page.getByLabel('Photo of the unit').setInputFiles((await jpegs(page, 10)) as never);
  await expect(page.locator('.photos li')).toHaveCount(10);
  await expect(page.getByText('20 not sent').first()).toBeVisible();
  await page.close({ runBeforeUnload: false });

  const again = await context.newPage();
  await again.setViewportSize(phone);
  await again.goto(`${unit}/photos`);
  await expect(again.locator('.photos li')).toHaveCount(10);
  await expect(again.locator('.photos img').first()).toHaveJSProperty('complete', true);
  await context.setOffline(false);
  await allSent(again);
  const { photos } = await recordOf(again);
  const ids = Object.keys(photos);
  expect(ids).toHaveLength(10);
  for (const id of ids) {
    const answer = await again.request.get(`${unit.replace('/units', '/api/units')}/photos/${id}`);
    expect([id, answer.status(), answer.headers()['content-type']]).toEqual([
      id,
      200,
      'image/jpeg',
    ]);
  }
});

const secondPhone = async (browser: Browser, unit: string) => {
  const context = await browser.newContext({ viewport: phone });
  const page = await context.newPage();
  await signIn(page, 'maren');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto(`${unit}/round/hitch`);
  return { context, page };
};

test('the same unit taken in on two phones keeps what both saw', async ({ page, browser }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0604');
  const other = await secondPhone(browser, unit);
  await page.goto(`${unit}/round/hitch`);
  await page.context().setOffline(true);
  await other.context.setOffline(true);
  const tap = async (p: Page, key: string, name: string): Promise<void> => {
    await step(p, `features.${key}`);
    await editor(p).getByRole('button', { name }).click();
    await expect(p.locator(`[data-step="features.${key}"] .editor`)).toHaveCount(0);
  };
  await tap(page, 'coupler', 'It is there');
  await tap(page, 'tongueJack', 'It is there');
  await tap(other.page, 'breakaway', 'It is there');
  await tap(other.page, 'tongueJack', 'Not there');
  await page.context().setOffline(false);
  await allSent(page);
  await other.context.setOffline(false);
  await expect(other.page.getByText('not sent')).toHaveCount(0, { timeout: 30_000 });
  const { features } = await recordOf(page);
  expect(features.coupler.value.state).toBe('standard');
  expect(features.breakaway.value.state).toBe('standard');
  // Where they disagree the first stands, and the second phone asks.
  expect(features.tongueJack.value.state).toBe('standard');
  await other.page.goto(`${unit}/record/hitch`);
  await expect(other.page.getByText(/somebody else/i).first()).toBeVisible();
  await other.context.close();
});

test('what is no photo is refused on the phone, in a sentence', async ({ page }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0605');
  await page.goto(`${unit}/photos`);
  const give = (name: string, buffer: Buffer) =>
    page.getByLabel('Photo of the unit').setInputFiles([{ name, mimeType: 'image/jpeg', buffer }]);
  await give('huge.jpg', Buffer.alloc(30_000_000, 1));
  await expect(page.getByRole('alert')).toContainText('30 MB; it may have 12');
  await give('text.jpg', Buffer.from('this is a text'));
  await expect(page.getByRole('alert')).toContainText('no picture that can be read');
  await expect(page.getByText('No photo yet')).toBeVisible();
  await allSent(page);
});

test('a full phone says so, and drops nothing that was kept', async ({ page }) => {
  await page.addInitScript(() => {
    const real = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given: [unknown]) {
      if (localStorage.getItem('full') && this.name === 'pictures') {
        throw new DOMException('no room', 'QuotaExceededError');
      }
      return real.apply(this, given);
    };
  });
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0606');
  await page.goto(`${unit}/photos`);
  await page.context().setOffline(true);
  const [first, second] = await jpegs(page, 2);
  await page.getByLabel('Photo of the unit').setInputFiles([first as never]);
  await expect(page.locator('.photos li')).toHaveCount(1);
  await page.evaluate(() => localStorage.setItem('full', 'yes'));
  await page.getByLabel('Photo of the unit').setInputFiles([second as never]);
  await expect(page.getByRole('alert')).toContainText('This device could not keep that');
  await expect(page.locator('.photos li')).toHaveCount(1);
  await page.evaluate(() => localStorage.removeItem('full'));
  await page.context().setOffline(false);
  await allSent(page);
  expect(Object.keys((await recordOf(page)).photos)).toHaveLength(1);
});

test('labels are read: a photo beside its fields, its code by the scanner', async ({ page }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0607');
  await page.goto(`${unit}/labels`);
  const noCamera = page.getByRole('button', { name: 'No camera here: use a demo label' });
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
  await page.getByRole('button', { name: 'Keep 2 as read' }).click();
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
  await page.getByRole('button', { name: 'No camera here: use a demo label' }).click();
  await page.getByRole('button', { name: 'Read its code' }).click();
  await expect(page.locator('[data-label-field="stockNumber"]').getByRole('textbox')).toHaveValue(
    'TQ-0460',
  );

  // What stands in for the scanner wants no photo.
  await page.getByRole('button', { name: /^VIN label/ }).click();
  await page.getByRole('button', { name: /hand scanner/ }).click();
  await expect(vin.getByRole('textbox')).toHaveValue('9TPKT1211T1000460');
});

test('a finding is tapped, looked into, signed and told first', async ({ page, browser }) => {
  await signIn(page);
  const unit = await takeIn(page, 'TQ-0608');
  await page.goto(`${unit}/condition`);
  await page.getByRole('button', { name: 'Add a finding' }).click();
  await page.getByRole('group', { name: /Tap where it is/ }).click({ position: { x: 60, y: 250 } });
  await page.getByRole('combobox', { name: 'What' }).click();
  await page.getByRole('option', { name: 'Delamination suspected' }).click();
  await typeInto(page.getByLabel(/In a few words/), 'Waves below the window');
  await page.getByRole('button', { name: 'Keep the finding' }).click();
  const found = page.locator('[data-finding="delamination"]');
  await expect(found).toContainText('a technician has not decided yet');
  for (const [ask, answer] of [
    ['Does it give when pressed with the flat hand?', 'Yes'],
    ['Does the moisture meter read higher than at a dry place?', 'Yes'],
  ] as const) {
    await found.getByRole('radiogroup', { name: ask }).getByRole('radio', { name: answer }).click();
  }
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
  await expect(same).toContainText('As found, to be repaired: Bram Oake');
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
  await expect(page.getByText('Told, not operated.')).toBeVisible();
  await page.goto(`${unit}/walk`);
  await expect(page.getByText('Told, not operated.')).toBeVisible();
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
  await expect(page.getByText('May be operated.')).toBeVisible();
  await expectSound(page, 'inspection');
  await allSent(page);

  const context = await browser.newContext({ viewport: desk });
  const specialist = await context.newPage();
  await signIn(specialist);
  await specialist.goto(`${unit}/inspection`);
  await specialist.locator('[data-item="coupler"]').getByRole('button').first().click();
  await expect(specialist.getByText('A technician enters and signs it.')).toBeVisible();
  await expect(specialist.getByRole('button', { name: 'Passed', exact: true })).toHaveCount(0);
  await context.close();
});

test('an answer goes to every unit of the model', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0417');
  await page.goto(`${unitPath(page)}/questions`);
  await typeInto(page.getByLabel('What nobody here can answer'), 'How loud is the roof fan?');
  await typeInto(page.getByLabel('Who is asked'), 'the maker');
  await page.getByRole('combobox', { name: 'Field' }).click();
  await typeInto(page.getByRole('searchbox'), 'fan');
  await page
    .getByRole('option', { name: 'Fan turns both ways' })
    .or(page.getByRole('option').first())
    .first()
    .click();
  await page.getByRole('button', { name: 'Ask it' }).click();
  const asked = page.locator('[data-question]').filter({ hasText: 'How loud is the roof fan?' });
  await expect(asked).toContainText('asked of the maker');
  await asked.getByRole('button').first().click();
  await typeInto(asked.getByLabel('The answer, in words'), 'Like a hair dryer in the next room.');
  await asked.getByRole('button', { name: 'Keep the answer' }).click();
  await expect(asked).toContainText('Like a hair dryer');
  await expectSound(page, 'questions');
  await allSent(page);
  await page.goto(demo('/yard'));
  await openUnit(page, 'TQ-0418');
  await page.goto(`${unitPath(page)}/questions`);
  await expect(page.getByText('Like a hair dryer in the next room.')).toBeVisible();
});

for (const [name, size] of Object.entries({ desk, phone })) {
  test(`the pages of taking in are sound at the ${name}, in each mode`, async ({ page }) => {
    await page.setViewportSize(size);
    await signIn(page);
    await openUnit(page, 'TQ-0377');
    const unit = unitPath(page);
    for (const mode of ['light', 'dark', 'sunlight']) {
      await page.evaluate((to) => (document.documentElement.dataset['mode'] = to), mode);
      for (const part of [
        'round',
        'labels',
        'photos',
        'condition',
        'wheels',
        'inspection',
        'aboard',
        'questions',
        'disclosure',
      ]) {
        await page.evaluate(
          (path) => history.pushState({}, '', path),
          `${new URL(unit).pathname}/${part}`,
        );
        await page.evaluate(() =>
          dispatchEvent(new PopStateEvent('popstate', { state: history.state })),
        );
        await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
        await expectSound(page, `${part}, ${mode}`);
      }
    }
    await page.goto(demo('/yard/left'));
    await page.getByRole('button', { name: /^to repair/ }).click();
    await page.getByRole('button', { name: 'as you walk' }).click();
    await expect(page.locator('[data-left]').first()).toBeVisible();
    await expectSound(page, 'what is left');
  });
}

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
  await viewer.getByRole('button', { name: 'Keep the words' }).click();
  await expectSound(page, 'a photo');
  await allSent(page);
  const [entry] = Object.values((await recordOf(page)).photos) as {
    value: { arrows: object[]; caption: string };
  }[];
  expect(entry?.value).toMatchObject({ caption: 'the dent', arrows: [{ from: [0.5, 0.5] }] });
  await viewer.getByRole('button', { name: 'Take the photo off the record' }).click();
  await expect(page.getByText('No photo yet')).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.locator('.photos li')).toHaveCount(1);
});
