// Keys and taps of the ten jobs that are done most often, by a driven hand that counts. What was counted before the work on
// typing stands beside what is counted now; docs/record.md has both.
import type { Locator, Page } from '@playwright/test';
import { openPhone, signIn, unitAt, type Phone } from './phone.ts';

/** A hand at a page: each key and each tap counts one. */
class Hand {
  keys = 0;
  taps = 0;
  readonly #page: Page;

  constructor(page: Page) {
    this.#page = page;
  }

  async tap(target: Locator): Promise<void> {
    await target.click();
    this.taps += 1;
  }

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) await this.#page.keyboard.press(key);
    this.keys += keys.length;
  }

  async type(text: string): Promise<void> {
    await this.#page.keyboard.type(text);
    this.keys += text.length;
  }

  /** Tab until something has the focus, or something in it. */
  async tabTo(target: Locator): Promise<void> {
    for (let i = 0; i < 100; i++) {
      if (await target.evaluate((el) => el.contains(document.activeElement))) return;
      await this.press('Tab');
    }
    throw new Error(`A hundred Tabs do not lead to ${String(target)}.`);
  }
}

interface Job {
  readonly what: string;
  readonly on: 'desk' | 'phone';
  /** Keys and taps before what was typed was kept (26 November 2026); none where the same keys did not do it. */
  readonly before: readonly [keys: number, taps: number] | null;
  /** Goes where the job begins, and returns its doing. */
  readonly ready: (phone: Phone) => Promise<(hand: Hand) => Promise<void>>;
}

const row = (page: Page, key: string): Locator => page.locator(`[data-field="${key}"]`);
const button = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('button', { name }).first();
/** Whatever waits to be sent is sent: the job is done. */
const saved = (page: Page): Promise<void> =>
  page
    .getByText(/everything saved|● kept|● Kept/)
    .first()
    .waitFor();

const jobs: readonly Job[] = [
  {
    what: 'a figure off a label',
    on: 'desk',
    before: [7, 0],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0403')}/record/labels`);
      await row(page, 'gvwr').locator('.head').focus();
      return async (hand) => {
        await hand.press('Enter');
        await hand.type('3,250');
        await hand.press('Enter');
        await saved(page);
      };
    },
  },
  {
    what: 'ten features of a station',
    on: 'desk',
    before: [80, 0],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0404')}/record/hitch`);
      const rows = page.locator('.rows .row:has(.states)');
      await rows.first().waitFor();
      const fields = await rows.evaluateAll((all) =>
        all.map((one) => (one as HTMLElement).dataset['field'] ?? ''),
      );
      const nameOf = (key: string): Locator => row(page, key).locator('.name');
      await nameOf(fields[0] ?? '').focus();
      return async (hand) => {
        for (const key of fields.slice(0, 10)) {
          await hand.tabTo(nameOf(key));
          await hand.press('1');
        }
        await saved(page);
      };
    },
  },
  {
    what: 'a place corrected',
    on: 'desk',
    before: null,
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0436')}/record/door-side`);
      await row(page, 'awning').locator('.name').focus();
      return async (hand) => {
        const back = row(page, 'awning').getByLabel('Back from the coupler');
        await hand.press('Enter');
        await hand.tabTo(back);
        await hand.type("12'6");
        await hand.press('Enter');
        await row(page, 'awning')
          .getByText(/12 ft 6 in/)
          .first()
          .waitFor();
      };
    },
  },
  {
    what: 'a unit taken in with its labels, 12 fields',
    on: 'desk',
    before: [83, 0],
    ready: async ({ page }) => {
      await page.goto(new URL('/yard/take-in', page.url()).href);
      const fields: readonly (readonly [string, string])[] = [
        ['stockNumber', 'TQ-0777'],
        ['series', 'Pell'],
        ['floorPlan', '14 T'],
        ['modelYear', '2026'],
        ['condition', 'n'],
        ['vin', '9TPPT1419T1000777'],
        ['gvwr', '3200'],
        ['uvw', '2316'],
        ['ccc', '884'],
        ['axleRating', '3500'],
        ['tireSize', 'ST205/75R14'],
        ['overallLength', '17 2'],
      ];
      await page.getByLabel('Stock number').focus();
      return async (hand) => {
        for (const [key, text] of fields) {
          const field = page.locator(`[data-take="${key}"]`);
          await hand.tabTo(field);
          await hand.type(text);
        }
        await hand.press('Enter');
        await page.locator('.particulars').waitFor();
      };
    },
  },
  {
    what: 'a unit found from anywhere',
    on: 'desk',
    before: null,
    ready: async ({ page }) => {
      await page.goto(new URL('/walks', page.url()).href);
      await page.getByRole('heading', { name: 'Walks' }).waitFor();
      return async (hand) => {
        await hand.press('f');
        await hand.type('0403');
        await hand.press('Enter');
        await page.locator('.particulars').waitFor();
      };
    },
  },
  {
    what: 'a figure on a model sheet',
    on: 'desk',
    before: null,
    ready: async ({ page }) => {
      const maren = { email: 'maren@thornquay.example', password: 'spring-ferry-22' };
      await page.request.post(new URL('/api/session', page.url()).href, { data: maren });
      await page.goto(new URL('/model-sheets', page.url()).href);
      await page.getByRole('link', { name: /24 RKD · 2026/ }).click();
      await button(page, 'Change it').click();
      const labels = page.locator('fieldset', { hasText: 'What every unit of it has' });
      await labels.getByText(/^11 Label panel/).click();
      const field = labels.locator('[data-sheet-field="gvwr"]').getByRole('textbox');
      return async (hand) => {
        await hand.tap(field);
        await hand.press('Control+a');
        await hand.type('7,600');
        await hand.press('Enter');
        await page.getByText('GVWR: 7,490 lb → 7,600 lb').waitFor();
      };
    },
  },
  {
    what: 'six steps of a station on the round',
    on: 'phone',
    before: [0, 6],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0369')}/round/utilities`);
      await page.locator('.round h2').waitFor();
      return async (hand) => {
        for (let i = 0; i < 6; i++) {
          const editor = page.locator('.editor');
          if ((await editor.count()) === 0) {
            await hand.tap(page.locator('[data-step]').first().getByRole('button').first());
          }
          const name = await editor.locator('h3').innerText();
          const there = editor.getByRole('button', { name: 'It is there' });
          if ((await there.count()) > 0) await hand.tap(there);
          else await hand.tap(editor.getByRole('button', { name: 'Later' }));
          await page.waitForTimeout(450);
          await page.locator('.round').waitFor();
          if ((await editor.count()) > 0 && (await editor.locator('h3').innerText()) === name)
            throw new Error(`${name} stays.`);
        }
      };
    },
  },
  {
    what: 'a walk of five cards, one of them liked',
    on: 'phone',
    before: [0, 9],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0402')}/walk`);
      await page.getByText(/\d+ cards, about/).waitFor();
      return async (hand) => {
        await hand.tap(button(page, 'Start the walk'));
        await hand.tap(button(page, 'Begin'));
        for (let i = 1; i <= 5; i++) {
          await page.getByText(new RegExp(`^card ${i} of`)).waitFor();
          if (i === 2) await hand.tap(button(page, 'Liked'));
          await hand.tap(button(page, /^Said/));
        }
        await hand.tap(button(page, 'Finish'));
      };
    },
  },
  {
    what: 'a promise, written down on a walk',
    on: 'phone',
    before: [16, 1],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0402')}/walk`);
      await page.getByText(/\d+ cards, about/).waitFor();
      await button(page, 'Start the walk').click();
      await button(page, 'Begin').click();
      return async (hand) => {
        await hand.tap(button(page, 'Promise'));
        await hand.type('send the manual');
        await hand.press('Enter');
        await page.getByLabel('In a few words').waitFor({ state: 'detached' });
      };
    },
  },
  {
    what: 'a note let stand, with a reason',
    on: 'desk',
    before: [28, 1],
    ready: async (phone) => {
      const { page } = phone;
      await page.goto(`${await unitAt(phone, 'TQ-0425')}/record/utilities`);
      const note = page.locator('[data-check="shore-size:shoreAmps"]');
      await note.waitFor();
      return async (hand) => {
        await hand.tap(note.getByRole('button', { name: 'It is right, because…' }));
        await hand.type('Rewired by its first owner');
        await hand.tabTo(note.getByRole('button', { name: 'Let it stand' }));
        await hand.press('Enter');
        await note.getByText(/^Let stand by/).waitFor();
      };
    },
  },
];

const sizes = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

/** Prints keys and taps of each job against those before. */
export const benchHands = async (): Promise<void> => {
  const phone = await openPhone();
  const { page, ground } = phone;
  try {
    await signIn(phone);
    for (const { what, on, before, ready } of jobs) {
      await page.setViewportSize(sizes[on]);
      await page.goto(`${ground.serving.address}/yard`);
      const hand = new Hand(page);
      const work = await ready(phone);
      await work(hand);
      const done = `${hand.keys} keys, ${hand.taps} taps`;
      const ratio = before && (hand.keys + hand.taps) / (before[0] + before[1]);
      console.log(
        `${ratio?.toFixed(2) ?? '–'} × before: ${what}, on the ${on} (${done}; ${before ? `${before[0]} and ${before[1]} before` : 'the same keys did not do it before'})`,
      );
    }
  } finally {
    await phone.close();
  }
};
