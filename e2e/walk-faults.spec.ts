import { expect, test, type Page } from '@playwright/test';
import {
  atYard,
  demo,
  openUnit,
  phone,
  sayCard,
  shellKept,
  signIn,
  typeInto,
  walkSent,
  withShell,
} from './yard.ts';

test.use(withShell);

/** Begins a walk of a unit on a phone, all of it sent; the walk's id. */
const begin = async (
  page: Page,
  unit: string,
  name: 'ines' | 'maren' = 'ines',
): Promise<string> => {
  await page.setViewportSize(phone);
  await atYard(page, name);
  await shellKept(page);
  await openUnit(page, unit);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText(/^card 1 of/)).toBeVisible();
  return page.url().split('/').at(-1) ?? '';
};

const card = (page: Page) => page.getByRole('article').getByRole('heading');
const said = (page: Page) => page.getByRole('button', { name: /^Said/ });
interface Told {
  readonly events: readonly { what: { kind: string; point?: string; event?: string } }[];
}
/** What the server has of a walk. */
const toldOf = async (page: Page, walk: string): Promise<Told> =>
  (await (await page.request.get(demo(`/api/walks/${walk}`))).json()) as Told;
const kindsOf = async (page: Page, walk: string): Promise<readonly string[]> =>
  (await toldOf(page, walk)).events.map(({ what }) => what.kind).toSorted();

test('the network may be cut at every step of a walk', async ({ page }) => {
  const walk = await begin(page, 'TQ-0437');
  const cut = (isCut: boolean) => page.context().setOffline(isCut);
  await cut(true);
  await said(page).click();
  await cut(false);
  await page.getByRole('button', { name: 'Shown', exact: true }).click();
  await cut(true);
  await page.getByRole('button', { name: 'Later', exact: true }).click();
  await cut(false);
  await page.getByRole('button', { name: 'Liked' }).click();
  await cut(true);
  await page.getByRole('button', { name: 'Asked' }).click();
  await typeInto(page.getByLabel('In a few words'), 'How long is it?');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await cut(false);
  await page.getByRole('button', { name: 'Jump to…' }).click();
  await page.getByRole('button', { name: /Utilities/ }).click();
  await cut(true);
  await said(page).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await cut(false);
  await page.getByRole('button', { name: 'Pause' }).click();
  await cut(true);
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: /missed so far/ }).click();
  await page.getByRole('button', { name: /to come back to/ }).click();
  await said(page).click();
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  // Its log is read on the device.
  await expect(page.getByText('This is what’s on this device.')).toBeVisible();
  await expect(page.getByText('How long is it?')).toBeVisible();
  await cut(false);
  await expect(page.getByRole('heading', { name: 'To follow up' })).toBeVisible();
  const expected = [
    'begin',
    'finish',
    'jump',
    'later',
    'mark',
    'mark',
    'pause',
    'resume',
    'said',
    'said',
    'said',
    'shown',
    'turn-to',
    'undo',
  ];
  await expect.poll(() => kindsOf(page, walk)).toEqual(expected);
});

test('a tab killed in mid-walk loses no tick, and the walk goes on where it was', async ({
  page,
  context,
}) => {
  const walk = await begin(page, 'TQ-0402');
  await context.setOffline(true);
  for (let nth = 1; nth <= 5; nth++) await sayCard(page, nth);
  const next = await card(page).innerText();
  await page.close({ runBeforeUnload: false });

  const again = await context.newPage();
  await again.setViewportSize(phone);
  await again.goto(demo(`/walks/${walk}`));
  await expect(again.getByText(/^card 6 of/)).toBeVisible();
  await expect(card(again)).toHaveText(next);
  await context.setOffline(false);
  await walkSent(again);
  const kinds = await kindsOf(again, walk);
  expect(kinds.filter((kind) => kind === 'said')).toHaveLength(5);
});

test('a device whose clock is a day off keeps the times of the walk', async ({ page }) => {
  await page.addInitScript(() => {
    const day = 86_400_000;
    const real = Date.now.bind(Date);
    // From some moment on the device believes it is yesterday.
    Date.now = () => real() - (localStorage.getItem('yesterday') ? day : 0);
  });
  const walk = await begin(page, 'TQ-0391');
  await sayCard(page, 1);
  await page.evaluate(() => localStorage.setItem('yesterday', 'yes'));
  await sayCard(page, 2);
  await page.reload();
  await sayCard(page, 3);
  await page.evaluate(() => localStorage.removeItem('yesterday'));
  await sayCard(page, 4);
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await expect(page.getByText(/^4 of \d+ cards in/)).toBeVisible();
  const { events } = (await toldOf(page, walk)) as unknown as {
    events: { counter: number; elapsed: number }[];
  };
  const times = events.toSorted((a, b) => a.counter - b.counter).map(({ elapsed }) => elapsed);
  // Never back in time, and no day in it.
  expect(times).toEqual(times.toSorted((a, b) => a - b));
  expect(times.at(-1)).toBeLessThan(120_000);
});

test('a full phone says so, marks nothing, and drops nothing that is not sent', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const real = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = function (this: IDBObjectStore, ...given: [unknown]) {
      if (localStorage.getItem('full') && this.name === 'outbox') {
        throw new DOMException('no room', 'QuotaExceededError');
      }
      return real.apply(this, given);
    };
  });
  const walk = await begin(page, 'TQ-0419');
  await page.context().setOffline(true);
  await said(page).click();
  await expect(page.getByText(/^card 2 of/)).toBeVisible();
  await page.evaluate(() => localStorage.setItem('full', 'yes'));
  await said(page).click();
  await expect(page.getByRole('alert')).toContainText('This device couldn’t save that');
  await expect(page.getByText(/^card 2 of/)).toBeVisible();
  await page.evaluate(() => localStorage.removeItem('full'));
  await said(page).click();
  await expect(page.getByText(/^card 3 of/)).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.context().setOffline(false);
  await walkSent(page);
  expect(await kindsOf(page, walk)).toEqual(['begin', 'said', 'said']);
});

test('a sign-in that lapses in mid-walk stops nothing but the sending', async ({
  page,
  browser,
}) => {
  const walk = await begin(page, 'TQ-0430', 'maren');
  const elsewhere = await (await browser.newContext()).newPage();
  await signIn(elsewhere, 'maren');
  await elsewhere.goto(demo('/settings'));
  await elsewhere
    .getByRole('button', { name: /^Sign (it out|out everywhere else)/ })
    .last()
    .click();
  await expect(elsewhere.getByRole('status').filter({ hasText: /[Ss]igned out/ })).toBeVisible();
  await sayCard(page, 1);
  await sayCard(page, 2);
  await expect(page.getByText('Sign in again to send what’s on this device.')).toBeVisible();
  await page.getByRole('link', { name: 'Sign in' }).click();
  await typeInto(page.getByLabel('E-mail'), 'maren@thornquay.example');
  await typeInto(page.getByLabel('Password'), 'spring-ferry-22');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText(/^card 3 of/)).toBeVisible();
  await walkSent(page);
  expect(await kindsOf(page, walk)).toEqual(['begin', 'said', 'said']);
  await elsewhere.context().close();
});
