import { expect, test, type Browser, type Page } from '@playwright/test';
import { dayIn, formatDate } from '@fair-gable/core/base/dates';
import {
  atYard,
  demo,
  desk,
  enter,
  expectSound,
  goTo,
  openUnit,
  phone,
  recordOf,
  row,
  shellKept,
  signIn,
  typeInto,
  withShell,
} from './yard.ts';

/** Another browser, signed in as somebody. */
const another = async (
  browser: Browser,
  who: 'ines' | 'maren' | 'bram' | 'ivo' | 'osk',
): Promise<Page> => {
  const page = await (await browser.newContext({ viewport: desk })).newPage();
  await atYard(page, who);
  return page;
};

const saved = (page: Page) => expect(page.getByText('everything saved')).toBeVisible();

test('what one changes is on the other’s screen; two fields merge, one field is chosen in the margin', async ({
  page,
  browser,
}) => {
  await atYard(page);
  const bram = await another(browser, 'bram');
  for (const p of [page, bram]) {
    await openUnit(p, 'TQ-0377');
    await goTo(p, /^11 Label panel/);
  }
  await enter(page, 'hitchWeight', '480 lb', 'Measured');
  await expect(row(bram, 'hitchWeight')).toContainText('480');
  await expect(row(bram, 'hitchWeight')).toContainText('Ines');

  // Bram has the field open, with 480 on his screen, while Ines changes it again.
  await row(bram, 'hitchWeight').getByRole('button').first().click();
  await typeInto(row(bram, 'hitchWeight').getByRole('textbox').first(), '500 lb');
  await enter(page, 'hitchWeight', '490 lb', 'Read');
  await expect(row(bram, 'hitchWeight').getByRole('button').first()).toContainText('490');
  await expect(row(bram, 'hitchWeight').getByRole('textbox').first()).toHaveValue('500 lb');
  await row(bram, 'hitchWeight').getByRole('radio', { name: 'Told' }).check({ force: true });
  await row(bram, 'hitchWeight')
    .getByRole('button', { name: /^Save( both)?$/ })
    .click();

  const clash = bram.locator('[data-clash="specs.hitchWeight"]');
  await expect(clash).toContainText('Hitch weight (dry): two values');
  await expect(clash).toContainText('read off the label, Ines Rook');
  await expect(clash).toContainText('told, you');
  await expect(bram.getByText('1 to decide')).toBeVisible();
  await expect(bram.getByText('everything saved')).toHaveCount(0);
  await expectSound(bram, 'clash');
  await bram.reload();
  await clash.getByRole('button', { name: 'Use 500 lb' }).click();
  await expect(clash).toHaveCount(0);
  await saved(bram);
  await expect(row(page, 'hitchWeight')).toContainText('500');
  await bram.context().close();
});

test('a label that was being typed overwrites nothing that another read meanwhile', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await openUnit(page, 'TQ-0365');
  const unit = page.url().replace(/\/record.*/, '');
  await page.goto(`${unit}/labels`);
  await page.getByRole('button', { name: /^Weight label/ }).click();
  const typed = page.locator('[data-label-field="ccc"]').getByRole('textbox');
  await typeInto(typed, '2,2');
  const bram = await another(browser, 'bram');
  await bram.goto(`${unit}/record/labels`);
  await enter(bram, 'ccc', '2,111 lb', 'Read');
  await saved(bram);
  await page.keyboard.type('22 lb');
  await page.getByRole('button', { name: /as read$/ }).click();
  const mine = page.getByRole('button', { name: /replace the other/ });
  const clash = page.getByText('1 to decide');
  await mine.or(clash).first().waitFor();
  if (await mine.isVisible()) await mine.click();
  await expect(clash).toBeVisible();
  expect((await recordOf(bram)).specs.ccc.value.amount).toBe(2111);
  await page.goto(`${unit}/record/labels`);
  const note = page.locator('[data-clash="specs.ccc"]');
  await note.getByRole('button', { name: 'Use 2,222 lb' }).click();
  await expect(note).toHaveCount(0);
  await saved(page);
  expect((await recordOf(bram)).specs.ccc.value.amount).toBe(2222);
  await bram.context().close();
});

test.describe('without a network', () => {
  test.use(withShell);

  test('the record goes on; it is sent when it is back', async ({ page }) => {
    await page.setViewportSize(phone);
    await atYard(page);
    await shellKept(page);
    await openUnit(page, 'TQ-0365');
    await page.goto(page.url().replace(/record.*/, 'record/hitch'));
    await expect(row(page, 'powerJack')).toBeVisible();
    await page.context().setOffline(true);
    await row(page, 'powerJack').getByRole('button', { name: 'standard' }).click();
    await expect(page.getByText('1 not sent yet')).toBeVisible();
    await page.goto(page.url().replace(/record.*/, 'record/labels'));
    await enter(page, 'hitchWeight', '612 lb', 'Measured');
    await expect(page.getByText('2 not sent yet')).toBeVisible();
    await page.reload();
    await expect(row(page, 'hitchWeight')).toContainText('612');
    await page.getByText('2 not sent yet').click();
    await expect(page.getByRole('heading', { name: 'Waiting for the server' })).toBeVisible();
    await expect(page.getByRole('listitem')).toHaveCount(2);
    await expect(page.getByText('Hitch weight (dry): 612 lb')).toBeVisible();
    await expectSound(page, 'unsent');
    await page.context().setOffline(false);
    await expect(page.getByText('Everything’s on the server')).toBeVisible();
    await saved(page);
  });

  test('a lapsed sign-in loses nothing', async ({ page, browser }) => {
    await signIn(page, 'bram');
    await openUnit(page, 'TQ-0365');
    await goTo(page, /^11 Label panel/);
    await shellKept(page);
    await page.context().setOffline(true);
    await enter(page, 'ccc', '2,222 lb', 'Read');
    const elsewhere = await another(browser, 'bram');
    await elsewhere.goto(demo('/settings'));
    await elsewhere
      .getByRole('button', { name: /^Sign (it out|out everywhere else)/ })
      .last()
      .click();
    await expect(elsewhere.getByRole('status').filter({ hasText: /[Ss]igned out/ })).toBeVisible();
    await page.context().setOffline(false);
    // Nothing of the yard stays on a screen that nobody is signed in at.
    await expect(page).toHaveURL(/sign-in\?then=/);
    await typeInto(page.getByLabel('E-mail'), 'bram@thornquay.example');
    await typeInto(page.getByLabel('Password'), 'spring-ferry-22');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(row(page, 'ccc')).toContainText('2,222');
    await saved(page);
    await elsewhere.context().close();
  });
});

test('a value’s history stands beside it, and a unit’s on its page; any change can be put back', async ({
  page,
}) => {
  await signIn(page);
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^11 Label panel/);
  await enter(page, 'hitchWeight', '310 lb', 'Measured');
  await expect(row(page, 'hitchWeight')).toContainText('310');
  await row(page, 'hitchWeight').getByRole('button').first().click();
  const beside = row(page, 'hitchWeight').getByRole('region', { name: 'History of this value' });
  await expect(beside.getByRole('listitem').nth(0)).toContainText('310 lb');
  await expect(beside.getByRole('listitem').nth(0)).toContainText('measured, Ines Rook, just now');
  await expect(beside.getByRole('listitem').nth(1)).toContainText('290 lb');

  await page.getByRole('link', { name: 'History', exact: true }).click();
  const first = page.locator('[data-history]').first();
  await expect(first).toContainText(/Hitch weight \(dry\).*290 lb.*310 lb.*Ines Rook/s);
  await expectSound(page, 'history');
  await first.getByRole('button', { name: /^Restore/ }).click();
  await expect(page.getByText('Hitch weight (dry) is 290 lb again.')).toBeVisible();
  await expect(page.locator('[data-history]').first()).toContainText(/310 lb.*290 lb/s);
  await page.getByRole('link', { name: 'Record', exact: true }).click();
  await goTo(page, /^11 Label panel/);
  await expect(row(page, 'hitchWeight')).toContainText('290');
});

test('settings: one’s own units, three modes, and a new password by a manager’s link', async ({
  page,
  browser,
}) => {
  const maren = await another(browser, 'maren');
  await maren.getByRole('link', { name: 'Settings' }).click();
  await expectSound(maren, 'settings');
  await typeInto(maren.getByLabel('Their name'), 'Petra Lune');
  await typeInto(maren.getByLabel('Their e-mail'), 'petra@thornquay.example');
  await maren.getByRole('button', { name: 'Invite', exact: true }).click();
  const link = await maren.getByText(/\/password#/).innerText();
  await expect(maren.getByText('Petra Lune invited as specialist')).toBeVisible();

  await page.goto(link);
  await expectSound(page, 'password by link');
  await typeInto(page.getByLabel('Password'), 'tide-table-33');
  await page.getByRole('button', { name: 'Accept' }).click();
  await page.getByRole('link', { name: 'Sign in with your password' }).click();
  await typeInto(page.getByLabel('E-mail'), 'petra@thornquay.example');
  await typeInto(page.getByLabel('Password'), 'tide-table-33');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Petra Lune, specialist')).toBeVisible();

  await page.getByRole('link', { name: 'Settings' }).click();
  await page
    .getByRole('combobox', { name: 'Units' })
    .selectOption({ label: 'meters, kilograms, liters' });
  await page.getByRole('button', { name: 'Save', exact: true }).first().click();
  await expect(page.getByText('Saved.')).toBeVisible();
  for (const [label, mode] of [
    ['Dark', 'dark'],
    ['Sunlight', 'sunlight'],
    ['Light', 'light'],
  ]) {
    await page.getByRole('button', { name: label, exact: true }).click();
    await expect(page.locator('html')).toHaveAttribute('data-mode', mode ?? '');
    await expectSound(page, `settings, ${mode}`);
  }
  await page.getByRole('link', { name: 'Yard', exact: true }).click();
  await expect(page.getByText('kg UVW / GVWR').first()).toBeVisible();

  await maren.goto(demo('/settings'));
  const petra = maren.locator('[data-person="Petra Lune"]');
  // A role that could not be given is not shown as given.
  const role = petra.getByRole('combobox', { name: 'Role of Petra Lune' });
  const had = (await role.textContent()) ?? '';
  await maren.route('**/api/people/*', (route) => route.abort());
  await role.click();
  await maren.locator('[role="option"][aria-label="viewer"]').click();
  await expect(maren.getByRole('alert')).toBeVisible();
  await expect(role).toHaveText(had);
  await maren.unroute('**/api/people/*');
  maren.once('dialog', (dialog) => void dialog.accept());
  await petra.getByRole('button', { name: /^Remove/ }).click();
  await expect(petra).toHaveCount(0);
  await maren.context().close();
});

test('every page has the yard’s own day, wherever it is opened and whatever the device believes', async ({
  browser,
}) => {
  // Midway between them it is never the same day: UTC−11 and UTC+14.
  const [yardsZone, devicesZone] = ['Pacific/Pago_Pago', 'Pacific/Kiritimati'] as const;
  const maren = await another(browser, 'maren');
  const { yard } = await (await maren.request.get(demo('/api/session'))).json();
  await maren.goto(demo('/settings'));
  const zones = maren.getByRole('combobox', { name: 'Time zone' });
  await zones.click();
  await maren.keyboard.type('Pago');
  await maren.getByRole('option', { name: 'Pacific, Pago Pago' }).click();
  await maren.getByRole('button', { name: 'Save', exact: true }).nth(1).click();
  await expect(maren.getByText('Saved for everybody on this yard.')).toBeVisible();
  const now = (await (await maren.request.get(demo('/api/session'))).json()).now as string;
  const today = formatDate(dayIn(now, yardsZone));
  await expect(maren.getByText(`Today is ${today} here.`)).toBeVisible();

  const context = await browser.newContext({ timezoneId: devicesZone });
  const abroad = await context.newPage();
  await abroad.addInitScript(() => {
    const real = Date.now.bind(Date);
    Date.now = () => real() + 2 * 86_400_000;
  });
  await atYard(abroad);
  await openUnit(abroad, 'TQ-0391');
  await abroad.goto(abroad.url().replace(/record.*/, 'disclosure'));
  await expect(abroad.getByText(`Thornquay yard, ${today}`)).toBeVisible();
  await context.close();
  // The other tests of this yard find it where it stood.
  const { name, system, timeZone } = yard;
  await maren.request.put(demo('/api/yard'), { data: { name, system, timeZone } });
  await maren.context().close();
});

test('a guest presenter sees no price, changes nothing, and gives a walk that operates nothing', async ({
  page,
}) => {
  await signIn(page, 'ivo');
  await openUnit(page, 'TQ-0402');
  await goTo(page, /^24 Paperwork/);
  await expect(row(page, 'askingPrice')).toContainText('—');
  await row(page, 'series').getByRole('button').first().click();
  await expect(row(page, 'series').getByRole('textbox')).toHaveCount(0);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Point it out; don’t operate anything.')).toBeVisible();
  await page.goto(demo('/settings'));
  await expect(page.getByRole('heading', { name: 'Password' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'People on this yard' })).toHaveCount(0);
});

test('too many wrong passwords make one wait, and the wait is counted down', async ({ page }) => {
  await page.goto(demo('/sign-in'));
  await typeInto(page.getByLabel('E-mail'), 'nobody@thornquay.example');
  await typeInto(page.getByLabel('Password'), 'guess');
  for (let i = 0; i < 6; i++) {
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toBeVisible();
    await expect(page.getByRole('button', { name: /^(Sign in|Wait)/ })).not.toHaveAttribute(
      'data-p-loading',
      'true',
    );
    if (await page.getByText(/^Too many wrong tries/).isVisible()) break;
  }
  await expect(page.getByText(/^Too many wrong tries\. Wait \d+ seconds/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Wait \d+ seconds/ })).toBeDisabled();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeEnabled();
});
