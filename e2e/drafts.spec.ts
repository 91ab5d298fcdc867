import { expect, test, type Locator, type Page } from '@playwright/test';
import { atYard, demo, desk, idOf, inUnit, openUnit, row, signIn, typeInto } from './yard.ts';

/** Every editor, through everything that happens to a page: what was typed is there again. */
interface Editor {
  readonly what: string;
  readonly who?: 'maren' | 'bram';
  /** Goes to its page. */
  readonly at: (page: Page) => Promise<void>;
  /** Opens it there, where it is not open by itself. */
  readonly open?: (page: Page) => Promise<void>;
  readonly field: (page: Page) => Locator;
  readonly typed: string;
  /** Keeps it while there is no network: it waits to be sent, or it is said and is typed still. */
  readonly keep: (page: Page, field: Locator) => Promise<void>;
  readonly offline: 'waits' | 'is said';
}

const press = (name: string | RegExp) => (page: Page) =>
  page.getByRole('button', { name }).first().click();
const enter = (_: Page, field: Locator) => field.press('Enter');
const at = (path: string) => async (page: Page) => {
  await page.goto(demo(path));
};
const unitAt = (stock: string, place: string) => (page: Page) => inUnit(page, stock, place);
const label = (name: string | RegExp) => (page: Page) => page.getByLabel(name).first();

/** A walk of a few cards, given to its end. */
const walked = async (page: Page): Promise<void> => {
  await openUnit(page, 'TQ-0404');
  const unit = idOf(page);
  await page.goto(demo(`/units/${unit}/walk`));
  await press('Start the walk')(page);
  await press('Begin')(page);
  await press(/^Said/)(page);
  await press('Finish')(page);
  await page.getByRole('link', { name: 'Go on after all' }).waitFor();
  await page.goto(demo(`/units/${unit}/log`));
};

const editors: readonly Editor[] = [
  {
    what: 'a finding',
    at: unitAt('TQ-0403', 'condition'),
    open: async (page) => {
      const add = page.getByRole('button', { name: 'Add a finding' });
      const isOpen = page.getByLabel(/^In a few words/);
      await add.or(isOpen).first().waitFor();
      if ((await isOpen.count()) === 0) await add.click();
    },
    field: label(/^In a few words/),
    typed: 'a dent, as long as a thumb',
    keep: async (page) => {
      await page.getByRole('combobox', { name: 'What' }).focus();
      await page.keyboard.type('scratch');
      // Its search has all that was typed before the keys go on.
      await expect(page.locator('.p-select-filter')).toHaveValue('scratch');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Enter');
      await page.getByLabel('Station').first().selectOption({ index: 2 });
      await press('Save finding')(page);
    },
    offline: 'waits',
  },
  {
    what: 'an item of the inspection',
    who: 'bram',
    at: unitAt('TQ-0403', 'inspection'),
    open: (page) => page.locator('.head').first().click(),
    field: label('In a few words'),
    typed: 'holds, three minutes',
    keep: (page) => page.locator('.body').getByRole('button', { name: 'Passed' }).click(),
    offline: 'waits',
  },
  {
    what: 'what was fitted',
    at: unitAt('TQ-0403', 'aboard'),
    field: (page) => page.getByLabel('What', { exact: true }),
    typed: 'Bike rack',
    keep: async (page) => {
      await typeInto(page.getByLabel('Weight'), '48 lb');
      await typeInto(page.getByLabel('Back from the coupler'), "20'");
      await press('Add to the list')(page);
    },
    offline: 'waits',
  },
  {
    what: 'a question',
    at: unitAt('TQ-0403', 'questions'),
    field: label('What nobody here can answer'),
    typed: 'Is the floor of one piece?',
    keep: enter,
    offline: 'waits',
  },
  {
    what: 'the name of a trial',
    at: unitAt('TQ-0403', 'numbers/load'),
    field: label('Save what you tried under a name'),
    typed: 'Two weeks by the water',
    keep: enter,
    offline: 'waits',
  },
  {
    what: 'words of a card',
    at: unitAt('TQ-0403', 'walk'),
    open: press('Add a card of our own'),
    field: label('What you say'),
    typed: 'It goes on the Friday ferry.',
    keep: press('Save'),
    offline: 'waits',
  },
  {
    what: 'a vehicle',
    at: at('/vehicles'),
    open: press('A buyer’s vehicle'),
    field: label(/^What to call it/),
    typed: 'Gray truck, Saturday',
    keep: enter,
    offline: 'is said',
  },
  {
    what: 'for whom a walk was given',
    at: walked,
    field: label('Name'),
    typed: 'Ada Quill',
    keep: async (page, field) => {
      await typeInto(page.getByLabel('E-mail').first(), 'ada@quill.example');
      await field.press('Enter');
    },
    offline: 'is said',
  },
  {
    what: 'something to follow up',
    at: walked,
    field: label('Something else to do'),
    typed: 'send the manual',
    keep: enter,
    offline: 'is said',
  },
  {
    what: 'the yard’s name',
    who: 'maren',
    at: at('/settings'),
    field: label('Name of the yard'),
    typed: 'Thornquay Ferry yard',
    keep: enter,
    offline: 'is said',
  },
  {
    what: 'one’s own name',
    at: at('/settings'),
    field: (page) => page.locator('#my-name'),
    typed: 'Ines Rook, yard',
    keep: enter,
    offline: 'is said',
  },
  {
    what: 'somebody to invite',
    who: 'maren',
    at: at('/settings'),
    field: (page) => page.locator('form', { hasText: 'Invite somebody' }).getByLabel('Name'),
    typed: 'Tove Lind',
    keep: async (page) => {
      await typeInto(
        page.locator('form', { hasText: 'Invite somebody' }).getByLabel('E-mail'),
        'tove@thornquay.example',
      );
      await page.keyboard.press('Enter');
    },
    offline: 'is said',
  },
  {
    what: 'a route',
    who: 'maren',
    at: at('/settings'),
    open: async (page) => {
      const name = page.getByLabel('Its name');
      await name.waitFor();
      if (!/quay/.test(await name.inputValue())) await press('A route of your own')(page);
    },
    field: label('Its name'),
    typed: 'From the quay',
    keep: enter,
    offline: 'is said',
  },
  {
    what: 'letters in floor plans',
    who: 'maren',
    at: at('/settings'),
    field: label(/^Stand for/),
    typed: 'rear den, rear desk',
    keep: async (page) => {
      await typeInto(page.getByLabel('Letters', { exact: true }), 'RX');
      await page.keyboard.press('Enter');
    },
    offline: 'is said',
  },
  {
    what: 'a model sheet',
    who: 'maren',
    at: async (page) => {
      await page.goto(demo('/model-sheets'));
      await page.getByRole('link', { name: /14 T · 2026/ }).click();
    },
    open: async (page) => {
      const change = page.getByRole('button', { name: 'Change it' });
      const isOpen = page.getByRole('button', { name: 'See what changes' });
      await change.or(isOpen).first().waitFor();
      if (await change.isVisible()) await change.click();
    },
    field: (page) => page.locator('.form').getByRole('textbox').first(),
    typed: 'Pell Two',
    keep: press('See what changes'),
    offline: 'is said',
  },
];

for (const { what, who, at: go, open, field, typed, keep, offline } of editors) {
  test(`nothing typed is lost: ${what}`, async ({ page, context }) => {
    await page.setViewportSize(desk);
    await atYard(page, who);
    await go(page);
    const shows = async (of: Page): Promise<void> => {
      await expect(of.locator('main')).not.toBeEmpty();
      if (!(await field(of).isVisible())) await open?.(of);
      await expect(field(of)).toHaveValue(typed);
    };
    await open?.(page);
    await typeInto(field(page), typed);
    const there = page.url();
    // Leaving the field keeps nothing, and nothing of it goes.
    await page.keyboard.press('Tab');
    await expect(field(page)).toHaveValue(typed);
    // Elsewhere on the page; a sheet over it closes by that.
    await page.mouse.click(640, 790);
    await page.keyboard.press('PageDown');
    await page.keyboard.press('Escape');

    await page.getByRole('link', { name: 'Fair Gable, to the yard' }).click();
    await expect(page).toHaveURL(/\/yard$/);
    await page.goBack();
    await shows(page);
    await page.reload();
    await shows(page);
    await page.close();

    const again = await context.newPage();
    await again.setViewportSize(desk);
    await again.goto(demo('/yard'));
    await again.getByRole('link', { name: '1 typed and not saved yet' }).click();
    await again.locator('section', { hasText: 'Typed, not saved yet' }).getByRole('link').click();
    await expect.poll(() => new URL(again.url()).pathname).toBe(new URL(there).pathname);
    await shows(again);

    if (offline === 'is said') {
      // The server will not have it: it is said, and typed still.
      const detail = 'This cannot be kept so. Change it, then try again.';
      await again.route('**/api/**', (route) =>
        route.request().method() === 'GET'
          ? route.fallback()
          : route.fulfill({ status: 422, json: { code: 'bad-input', detail } }),
      );
      await keep(again, field(again));
      await expect(again.getByText(detail).first()).toBeVisible();
      await expect(field(again)).toHaveValue(typed);
      await again.unroute('**/api/**');
    }
    await context.setOffline(true);
    await keep(again, field(again));
    if (offline === 'is said') {
      await expect(again.getByRole('alert').first()).toBeVisible();
      await expect(field(again)).toHaveValue(typed);
    } else {
      await expect(again.getByText(/\d+ not sent yet/).first()).toBeVisible();
    }
    await context.setOffline(false);
  });
}

test('two vehicles are typed side by side, each in its own row', async ({ page }) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await page.goto(demo('/vehicles'));
  const name = page.locator('#vehicle-name');
  await press(/^Change Half-ton/)(page);
  const was = await name.inputValue();
  await typeInto(name, `${was}, gas`);
  await press('A buyer’s vehicle')(page);
  await expect(name).toHaveValue('');
  await typeInto(name, 'Silver van');
  await press(/^Change Half-ton/)(page);
  await expect(name).toHaveValue(`${was}, gas`);
  await press('Leave it')(page);
  await press(/^Change Half-ton/)(page);
  await expect(name).toHaveValue(was);
  await press('A buyer’s vehicle')(page);
  await expect(name).toHaveValue('Silver van');
});

test('a figure is there after a tab closed in the midst of it, and none is kept without one that can’t be read', async ({
  page,
  context,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await page.goto(demo('/vehicles'));
  await press('A buyer’s vehicle')(page);
  await typeInto(page.locator('#vehicle-name'), 'Silver van');
  await typeInto(page.getByLabel('Payload', { exact: true }), '1,640');
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  const payload = again.getByLabel('Payload', { exact: true });
  await expect(payload).toHaveValue(/^1,640/);
  const rating = again.getByLabel('Tow rating', { exact: true });
  await typeInto(rating, 'plenty');
  await press('Save')(again);
  await expect(rating).toBeFocused();
  await expect(rating).toHaveValue('plenty');
  await typeInto(rating, '7,000 lb');
  await press('Save')(again);
  await expect(again.getByText('Silver van is saved.')).toBeVisible();
});

test('what one tries for oneself is there again after a closed tab, and nobody else’s', async ({
  page,
  context,
}) => {
  await page.setViewportSize(desk);
  await signIn(page);
  await page.goto(demo('/numbers/label'));
  await typeInto(page.getByLabel('GVWR').first(), '6,200 lb');
  await page.keyboard.press('Tab');
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByLabel('GVWR').first()).toHaveValue('6,200 lb');
  // Somebody else on this device finds nothing of it.
  await signIn(again, 'osk');
  await again.goto(address);
  await expect(again.getByLabel('GVWR').first()).toHaveValue('');
  await expect(row(again, 'gvwr')).toHaveCount(0);
});
