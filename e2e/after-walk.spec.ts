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
  withShell,
} from './yard.ts';

const toPlan = async (page: Page, unit: string): Promise<void> => {
  await openUnit(page, unit);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await expect(page.getByText(/\d+ cards, about/)).toBeVisible();
};
const begin = async (page: Page, unit: string): Promise<void> => {
  await toPlan(page, unit);
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
};
const card = (page: Page) => page.getByRole('article').getByRole('heading');
/** Gives card after card until one has some words; each has come before the next is given. */
const sayUntil = async (page: Page, words: string): Promise<void> => {
  for (;;) {
    const text = await card(page).innerText();
    if (text.includes(words)) return;
    await said(page).click();
    await expect(card(page)).not.toHaveText(text);
  }
};
const said = (page: Page) => page.getByRole('button', { name: /^Said/ });

test('a card is worded by us: claims are graded, the words hold till the record changes', async ({
  page,
}) => {
  await atYard(page);
  await toPlan(page, 'TQ-0391');
  const row = page.locator('.stop li').filter({ hasText: 'of fresh water' });
  const before = await row.locator('label span').first().innerText();
  await page.getByRole('button', { name: 'Reword it: Fresh tank' }).click();
  const form = page.getByRole('dialog', { name: 'Fresh tank' });
  await typeInto(form.getByLabel('What you say'), 'The best in its class for water.');
  await expect(form.getByText('doesn’t hold')).toBeVisible();
  await expectSound(page, 'wording a card');
  await typeInto(form.getByLabel('What you say'), 'Water for two careful people.');
  await expect(form.getByText('doesn’t hold')).toHaveCount(0);
  await form.getByRole('button', { name: 'always' }).click();
  await form.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Water for two careful people.')).toBeVisible();
  await expect(page.getByText('our words').first()).toBeVisible();

  // Somebody reads the label again: the words stay, and say that the number is another.
  const id = page.url().split('/').at(-2) ?? '';
  const unit = await (await page.request.get(demo(`/api/units/${id}`))).json();
  const had = unit.record.specs.freshTank;
  await page.request.post(demo(`/api/units/${id}/edits`), {
    data: {
      id: crypto.randomUUID(),
      changes: [
        {
          part: 'specs',
          key: 'freshTank',
          value: { kind: 'quantity', amount: had.value.amount + 7 },
          how: 'read',
          basedOn: had.version,
        },
      ],
    },
  });
  await expect(page.getByText('the record has changed since')).toBeVisible();
  await page.getByRole('button', { name: 'Reword it: Fresh tank' }).click();
  await form.getByRole('button', { name: 'Reset to the usual words' }).click();
  await expect(page.getByText('Water for two careful people.')).toHaveCount(0);
  await expect(row.locator('label span').first()).not.toHaveText(before);

  await page.getByRole('button', { name: 'Add a card of our own' }).click();
  const own = page.getByRole('dialog', { name: 'A card of your own' });
  await typeInto(own.getByLabel('What it is called'), 'Ferry');
  await typeInto(own.getByLabel('What you say'), 'It goes on the Friday ferry.');
  await own.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('It goes on the Friday ferry.')).toBeVisible();
});

test('a number that changes while one presents is the new one, on the card and before the buyer', async ({
  page,
  browser,
}) => {
  await page.setViewportSize(phone);
  await atYard(page);
  await begin(page, 'TQ-0411');
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: /A screen for the buyer/ }).click();
  const address = await page
    .getByRole('link', { name: 'Open it on this device' })
    .getAttribute('href');
  await expect(page.getByAltText('The address as a code')).toBeVisible();
  await expectSound(page, 'the address of a screen');
  // Whoever looks needs no sign-in.
  const buyer = await (await browser.newContext({ viewport: desk })).newPage();
  await buyer.goto(address ?? '');
  await expect(buyer.getByRole('heading', { name: 'We’ll be right back.' })).toBeVisible();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: 'Jump to…' }).click();
  await page.getByRole('button', { name: /Label panel/ }).click();
  await expect(buyer.getByText('Label panel')).toBeVisible();
  await sayUntil(page, 'all loaded up');
  await expect(buyer.getByRole('heading', { name: 'GVWR' })).toBeVisible();
  await expectSound(buyer, 'the screen of the buyer');

  const walk = page.url().split('/').at(-1) ?? '';
  const { plan } = await (await page.request.get(demo(`/api/walks/${walk}`))).json();
  const unit = await (await page.request.get(demo(`/api/units/${plan.unit}`))).json();
  const { value } = unit.record.specs.gvwr;
  // The label's capacity with it: a rating that does not agree with its label is said by nobody.
  const changes = ['gvwr', 'ccc'].map((key) => ({
    part: 'specs',
    key,
    value: { kind: 'quantity', amount: unit.record.specs[key].value.amount + 111 },
    how: 'read',
    basedOn: unit.record.specs[key].version,
  }));
  await page.request.post(demo(`/api/units/${plan.unit}/edits`), {
    data: { id: crypto.randomUUID(), changes },
  });
  const now = (value.amount + 111).toLocaleString('en-US');
  await expect(card(page)).toContainText(now);
  await expect(page.getByText('Changed since you planned it')).toBeVisible();
  await expect(buyer.getByText(now)).toBeVisible();
  await expect(buyer.getByText('all loaded up')).toHaveCount(0);

  // A manager looks in, and touches nothing.
  const maren = await (await browser.newContext({ viewport: desk })).newPage();
  await signIn(maren, 'maren');
  await maren.goto(demo('/walks'));
  await maren
    .locator('.way')
    .filter({ hasText: 'Skerry 31 TH' })
    .getByRole('link', { name: 'Watch' })
    .click();
  await expect(card(maren)).toContainText(now);
  await expectSound(maren, 'looking in');
  const shown = await card(page).innerText();
  await said(page).click();
  await expect(card(maren)).not.toHaveText(shown);
  await expect(maren.getByRole('button', { name: /^Said/ })).toHaveCount(0);

  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: /A screen for the buyer/ }).click();
  await page.getByRole('button', { name: 'Close this walk’s screens' }).click();
  await expect(page.getByRole('button', { name: /A screen for the buyer/ })).toBeVisible();
  await buyer.reload();
  await expect(buyer.getByRole('heading', { name: 'This screen is closed' })).toBeVisible();
  await buyer.context().close();
  await maren.context().close();
});

test.describe('without a network', () => {
  test.use(withShell);

  test('what was asked, spoken and promised becomes follow-ups and a message, without a network till the end', async ({
    page,
  }) => {
    await page.setViewportSize(phone);
    await atYard(page);
    await shellKept(page);
    await begin(page, 'TQ-0403');
    await page.context().setOffline(true);
    await page.getByRole('button', { name: 'Liked' }).click();
    await said(page).click();
    await page.getByRole('button', { name: 'Promise' }).click();
    await page.getByRole('button', { name: /Say it instead/ }).click();
    await expect(page.getByRole('button', { name: /^Stop at 0:0[1-9]/ })).toBeVisible();
    await page.getByRole('button', { name: /^Stop at/ }).click();
    await expect(page.locator('audio')).toBeVisible();
    await typeInto(page.getByLabel('In a few words'), 'send the manual');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await said(page).click();
    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.context().setOffline(false);
    await page.setViewportSize(desk);
    await expect(page.getByText(/^From this walk: .*send the manual/)).toBeVisible();
    // What was said into the phone is heard here.
    const memo = page.locator('[data-part="marks"] audio');
    await expect
      .poll(async () =>
        (await page.request.get(demo((await memo.getAttribute('src')) ?? ''))).status(),
      )
      .toBe(200);
    await page.getByRole('button', { name: 'Add to the list' }).click();
    const followUp = page.getByRole('region', { name: 'To follow up' }).getByRole('listitem');
    await expect(followUp).toHaveCount(1);
    // What could not be kept isn’t shown as done.
    await page.context().setOffline(true);
    await followUp.getByRole('checkbox').click();
    await expect(
      page.getByRole('region', { name: 'To follow up' }).getByRole('alert'),
    ).toBeVisible();
    await expect(followUp.getByRole('checkbox')).not.toBeChecked();
    await page.context().setOffline(false);
    await typeInto(page.getByLabel(/^Due:/), '2030-01-02');
    await expect(page.getByText('2 Jan 2030').first()).toBeVisible();

    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Name');
    await typeInto(page.getByLabel('Name', { exact: true }), 'Asa Fenn');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('E-mail or phone');
    await typeInto(page.getByLabel('E-mail'), 'asa@harbor.example');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('button', { name: 'Draft a message' }).click();
    const text = page.getByLabel('Message', { exact: true });
    await expect(text).toHaveValue(/^Hello Asa Fenn,/);
    await expect(text).toHaveValue(/By 2 Jan 2030: .*send the manual/);
    await expect(text).not.toHaveValue(/price/);
    await page.getByText('With the asking price').click();
    await expect(text).toHaveValue(/asking price/);
    await page.getByText('With the asking price').click();
    await expectSound(page, 'after a walk');
    await page.getByRole('button', { name: 'Send it to asa@harbor.example' }).click();
    await expect(page.getByText('Sent to asa@harbor.example.')).toBeVisible();

    await page.goto(demo('/walks'));
    await expect(page.getByText('send the manual').first()).toBeVisible();
    await expect(page.getByRole('heading', { name: /^Over \d+ walks/ })).toBeVisible();
    await expectSound(page, 'walks');

    // They ask to be forgotten.
    const context = await page.context().browser()?.newContext({ viewport: desk });
    const maren = await context!.newPage();
    await signIn(maren, 'maren');
    await maren.goto(demo('/settings'));
    const buyers = maren.getByRole('region', { name: 'Buyers' });
    const asa = buyers.getByRole('listitem').filter({ hasText: 'Asa Fenn' });
    const file = maren.waitForEvent('download');
    await asa.getByRole('button', { name: 'Save a copy' }).click();
    expect((await file).suggestedFilename()).toBe('what-we-keep-of-asa-fenn.json');
    await asa.getByRole('button', { name: 'Delete…' }).click();
    await asa.getByRole('button', { name: 'Delete Asa Fenn' }).click();
    await expect(asa).toHaveCount(0);
    await expect(maren.getByText('a buyer was deleted').first()).toBeVisible();
    await context!.close();
  });
});
