// Taps by which the two units at the gate (demo/labels) are taken in on a phone, with no network, by a driven thumb.
import type { Locator, Page } from '@playwright/test';
import { openPhone, signIn } from './phone.ts';

/** A field of a label sheet: a state, or keys of the pad. */
interface Entry {
  readonly station: string;
  readonly id: string;
  readonly state?: 'It is there' | 'Not there';
  readonly keys?: string;
}

const there = (station: string, ...keys: readonly string[]): readonly Entry[] =>
  keys.map((key) => ({ station, id: `features.${key}`, state: 'It is there' }));
const none = (station: string, ...keys: readonly string[]): readonly Entry[] =>
  keys.map((key) => ({ station, id: `features.${key}`, state: 'Not there' }));
const typed = (station: string, key: string, keys: string): Entry => ({
  station,
  id: `specs.${key}`,
  keys,
});

/** What can be seen and measured by the two sheets, in walking order. */
const sheets: Readonly<Record<string, readonly Entry[]>> = {
  'Pell 12 K': [
    ...there('hitch', 'coupler', 'safetyChains', 'breakaway'),
    ...none('hitch', 'powerJack'),
    typed('hitch', 'lpCylinders', '1 × 2 0 lb'),
    ...there('door-side', 'awning'),
    typed('door-side', 'awningLength', '8 ft 6 in'),
    typed('utilities', 'shoreAmps', '3 0 A'),
    typed('utilities', 'freshTank', '1 8 gal'),
    ...none('utilities', 'dumpOutlet', 'waterHeater'),
    typed('roof', 'acUnits', '1 × 9 0 0 0'),
    typed('construction', 'overallLength', '1 5 ft 9 in'),
    typed('construction', 'boxLength', '1 2 ft 1 in'),
    typed('construction', 'width', '6 ft 1 1 in'),
    typed('construction', 'heightWithAc', '9 ft 2 in'),
    typed('kitchen', 'fridgeSize', '3 . 1 ft³'),
    typed('climate', 'furnace', '1 2 0 0 0'),
    typed('labels', 'hitchWeight', '2 6 5 lb'),
  ],
  'Skerry 21 G': [
    ...there('hitch', 'coupler', 'safetyChains', 'breakaway'),
    typed('hitch', 'lpCylinders', '2 × 3 0 lb'),
    typed('utilities', 'freshTank', '6 0 gal'),
    typed('utilities', 'grayTank', '3 6 gal'),
    typed('utilities', 'blackTank', '3 6 gal'),
    typed('utilities', 'heaterTank', '6 gal'),
    typed('utilities', 'shoreAmps', '3 0 A'),
    typed('roof', 'acUnits', '1 × 1 3 5 0 0'),
    typed('construction', 'overallLength', '2 5 ft 2 in'),
    typed('construction', 'boxLength', '2 1 ft 4 in'),
    typed('construction', 'width', '8 ft 6 in'),
    typed('kitchen', 'fridgeSize', '8 ft³'),
    typed('climate', 'furnace', '2 5 0 0 0'),
    ...there('garage', 'garageSpace', 'ramp', 'fuelVents'),
    typed('garage', 'garageLength', '9 ft 6 in'),
    typed('garage', 'tieDowns', '4 × 1 5 0 0 lb'),
    typed('labels', 'hitchWeight', '7 0 0 lb'),
  ],
};

/** A thumb that counts its taps. */
const thumb = () => {
  let taps = 0;
  const tap = async (target: Locator): Promise<void> => {
    await target.click();
    taps += 1;
  };
  return { tap, count: () => taps };
};

const makeRound = async (page: Page, unit: string, entries: readonly Entry[]) => {
  const { tap, count } = thumb();
  const places = { opened: 0, typing: 0 };
  let here = '';
  for (const { station, id, state, keys } of entries) {
    if (station !== here) {
      // One tap on the way: “On to …”, or the outline; loading the page stands for it.
      await page.goto(`${unit}/round/${station}`);
      here = station;
      places.opened += 1;
    }
    const step = page.locator(`[data-step="${id}"]`);
    await page.locator('.round h2').waitFor();
    if ((await step.count()) === 0) {
      await tap(page.getByRole('button', { name: /more could be looked at/ }));
      places.opened += 1;
    }
    if ((await step.locator('.editor').count()) === 0) {
      await tap(step.getByRole('button').first());
      places.opened += 1;
    }
    const editor = step.locator('.editor');
    if (state) await tap(editor.getByRole('button', { name: state }));
    if (keys) {
      const pad = page.getByRole('group', { name: 'Keypad' });
      for (const key of keys.split(' ')) {
        await tap(pad.getByRole('button', { name: key, exact: true }));
        places.typing += 1;
      }
      await tap(pad.getByRole('button', { name: 'Next' }));
    }
    await step.locator('.editor').waitFor({ state: 'detached' });
  }
  return { taps: count(), ...places };
};

/** Prints taps a field. */
export const benchRound = async (): Promise<void> => {
  const phone = await openPhone();
  try {
    const { page, ground } = phone;
    await signIn(phone);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    for (const [name, entries] of Object.entries(sheets)) {
      await page.context().setOffline(false);
      await page.goto(`${ground.serving.address}/yard/take-in`);
      const words = name.split(' ');
      await page.getByLabel('Stock number').fill(`TQ-${words[1]}${words[2]}`);
      await page.getByLabel('Series').fill(words[0] ?? '');
      await page.getByLabel('Floor plan').fill(words.slice(1).join(' '));
      await page.getByRole('button', { name: 'Take it in' }).click();
      await page.locator('.particulars').waitFor();
      await page.waitForTimeout(500);
      const unit = page.url().replace(/(\/units\/[^/]+).*/, '$1');
      await page.goto(`${unit}/round`);
      await page.locator('.round h2').waitFor();
      await page.context().setOffline(true);
      const { taps, opened, typing } = await makeRound(page, unit, entries);
      console.log(
        `${(taps / entries.length).toFixed(1)} × one tap a field: ${name} taken in on a phone with no network, ${entries.length} fields (${taps} taps, of which ${typing} are figures; ${opened} to get to a station or a step)`,
      );
    }
  } finally {
    await phone.close();
  }
};
