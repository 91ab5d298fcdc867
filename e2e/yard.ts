import { readdirSync } from 'node:fs';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';

/** How many units stand in the demo yard. */
export const unitsInDemo = readdirSync(new URL('../demo/units', import.meta.url)).length;

/** An address on the yard of this worker: nobody else changes it meanwhile. */
export const demo = (path: string): string =>
  new URL(path, process.env[`DEMO_ADDRESS_${process.env['TEST_PARALLEL_INDEX'] ?? '0'}`]).href;
export const phone = { width: 390, height: 844 } as const;
export const desk = { width: 1280, height: 800 } as const;

type Somebody = 'ines' | 'osk' | 'maren' | 'bram' | 'ivo';

/** Types into a field key by key, in the place of what stands there. */
export const typeInto = async (field: Locator, text: string): Promise<void> => {
  if ((await field.getAttribute('type')) === 'date') {
    // A date is typed month, day, year; the field itself goes from one to the next.
    const [year = '', month = '', day = ''] = text.split('-');
    await field.focus();
    await field.pressSequentially(`${month}${day}${year}`);
    return field.blur();
  }
  await field.click();
  await field.press('ControlOrMeta+a');
  await (text === '' ? field.press('Delete') : field.pressSequentially(text));
};

/** Signed in, and on no page yet. */
export const signIn = async (page: Page, name: Somebody = 'ines'): Promise<void> => {
  const data = { email: `${name}@thornquay.example`, password: 'spring-ferry-22' };
  await page.request.post(demo('/api/session'), { data });
};

/** Signed in, and before the yard. */
export const atYard = async (page: Page, name: Somebody = 'ines'): Promise<void> => {
  await signIn(page, name);
  await page.goto(demo('/yard'));
  await expect(page.getByRole('heading', { name: 'Thornquay yard' })).toBeVisible();
};

/** For tests that close and open a page without a network: the browser keeps the program's shell. Elsewhere it need not. */
export const withShell = { serviceWorkers: 'allow' } as const;

/** The shell is on the device, and the page runs by it. */
export const shellKept = (page: Page): Promise<void> =>
  page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

/** Opens a unit by its row, as one who stands before the yard. */
export const openFromYard = async (page: Page, stockNumber: string): Promise<void> => {
  await page.getByRole('link', { name: stockNumber }).first().click();
  await expect(page.locator('.particulars')).toContainText(stockNumber);
};

/** Where a unit stands in the program. */
const unitAddress = async (page: Page, stockNumber: string): Promise<string> => {
  const { units } = await (await page.request.get(demo('/api/units'))).json();
  const unit = units.find(
    ({ record }: { record: { specs: { stockNumber?: { value: { text: string } } } } }) =>
      record.specs.stockNumber?.value.text === stockNumber,
  );
  return demo(`/units/${unit.id}`);
};

/** Opens a unit's record by its address, as from a bookmark. */
export const openUnit = async (page: Page, stockNumber: string): Promise<void> => {
  await page.goto(`${await unitAddress(page, stockNumber)}/record`);
  await expect(page.locator('.particulars')).toContainText(stockNumber);
};

/** The unit whose page is open. */
export const idOf = (page: Page): string => /units\/([^/]+)/.exec(page.url())?.[1] ?? '';

/** The record of that unit, as the server has it. */
export const recordOf = async (page: Page) =>
  (await (await page.request.get(demo(`/api/units/${idOf(page)}`))).json()).record;

/** Opens a unit at one of its places: `record/labels`. */
export const inUnit = async (page: Page, stockNumber: string, place: string): Promise<void> => {
  await page.goto(`${await unitAddress(page, stockNumber)}/${place}`);
};

/** Goes to a station on the outline, in whichever of its layers it is. */
export const goTo = async (page: Page, station: RegExp): Promise<void> => {
  const map = page.getByRole('navigation', { name: 'Stations around the unit' });
  const peg = map.getByRole('button', { name: station });
  for (const layer of [/^Outside,/, /^Inside,/, /^Roof,/, /^Papers,/]) {
    if ((await peg.count()) > 0) break;
    await map.getByRole('button', { name: layer }).click();
  }
  await peg.click();
};

/** All that was tapped on a walk is on the server; a tap is in the queue a moment after it is on the screen. */
export const walkSent = async (page: Page): Promise<void> => {
  await page.waitForTimeout(300);
  const head = page.locator('[data-unsent]');
  await expect(head).toHaveAttribute('data-unsent', '0');
};

/** Says the card that is in hand; it is kept once the card after it stands there. */
export const sayCard = async (page: Page, nth: number): Promise<void> => {
  await expect(page.getByText(new RegExp(`^card ${nth} of`))).toBeVisible();
  await page.getByRole('button', { name: /^Said/ }).click();
  await expect(page.getByText(new RegExp(`^card ${nth + 1} of`))).toBeVisible();
};

/** A row of the record by its catalog key. */
export const row = (page: Page, key: string) => page.locator(`[data-field="${key}"]`);

/** Types a spec's value and says how it is known. */
export const enter = async (page: Page, key: string, typed: string, how: string): Promise<void> => {
  await row(page, key).getByRole('button').first().click();
  await typeInto(row(page, key).getByRole('textbox').first(), typed);
  await row(page, key).getByRole('radio', { name: how }).check({ force: true });
  const keep = row(page, key).getByRole('button', { name: /^Save( both)?$/ });
  await keep.click();
  await expect(keep).toHaveCount(0);
};

/**
 * What axe finds against a page. Only that is worked out, in the page itself: no view of ours has frames.
 * @param of colors alone
 */
export const axe = (page: Page, of?: 'colors') => {
  const look = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  return (of ? look.withRules(['color-contrast', 'link-in-text-block']) : look).analyze();
};

/**
 * Nothing serious for axe, and nothing that sticks out sideways.
 * @param of what alone may be otherwise than in a look before it: colors, where only the mode is another
 */
export const expectSound = async (page: Page, view: string, of?: 'colors'): Promise<void> => {
  const { violations } = await axe(page, of);
  const serious = violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${view}: ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
  expect(serious).toEqual([]);
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(`${view} sticks out by ${over}`).toBe(`${view} sticks out by 0`);
};
