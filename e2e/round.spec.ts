import { expect, test, type Browser, type Page } from '@playwright/test';
import { allSent, editor, jpegs, onPhone, pad, press, step, takeIn } from './on-the-lot.ts';
import { atYard, phone, recordOf, shellKept, withShell } from './yard.ts';

test.use(withShell);

test('a round is made with no network from start to end, photos too', async ({ page }) => {
  await onPhone(page);
  const unit = await takeIn(page, 'TQ-0601');
  await page.goto(`${unit}/round/hitch`);
  await expect(page.getByRole('heading', { level: 2, name: '1 Hitch' })).toBeVisible();
  await page.context().setOffline(true);

  await step(page, 'features.coupler');
  await editor(page).getByRole('button', { name: 'It’s there' }).click();
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
  await expect(page.getByText(/5 not sent/).first()).toBeVisible();

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
      .getByRole('button', { name: i % 3 === 2 ? 'Not there' : 'It’s there' })
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
  await expect(page.getByText('No photos yet')).toBeVisible();
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
  await atYard(page, 'maren');
  await shellKept(page);
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
  await tap(page, 'coupler', 'It’s there');
  await tap(page, 'tongueJack', 'It’s there');
  await tap(other.page, 'breakaway', 'It’s there');
  await tap(other.page, 'tongueJack', 'Not there');
  await page.context().setOffline(false);
  await allSent(page);
  await other.context.setOffline(false);
  await expect(other.page.getByText('not sent')).toHaveCount(0);
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
  await expect(page.getByRole('alert')).toContainText('30 MB; 12 is the most');
  await give('text.jpg', Buffer.from('this is a text'));
  await expect(page.getByRole('alert')).toContainText('can’t read this as a picture');
  await expect(page.getByText('No photos yet')).toBeVisible();
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
  await expect(page.getByRole('alert')).toContainText('This device couldn’t save that');
  await expect(page.locator('.photos li')).toHaveCount(1);
  await page.evaluate(() => localStorage.removeItem('full'));
  await page.context().setOffline(false);
  await allSent(page);
  expect(Object.keys((await recordOf(page)).photos)).toHaveLength(1);
});
