/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { featureEntry, specEntry } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import FeatureRow from '../../src/unit/record/FeatureRow.vue';
import FieldForm from '../../src/unit/record/FieldForm.vue';
import SpecRow from '../../src/unit/record/SpecRow.vue';
import { button, buttonNames, onPage } from './mounted.ts';

const by = 'Ines Rook';
const at = '2026-04-15T09:00:00.000Z';
const after = (...changes: readonly Change[]): UnitRecord =>
  changes.reduce((record, change) => applyChange(record, change, by, at), emptyRecord);
const weighs = (amount: number, how: Change['how'] = 'read', basedOn = 0): Change => ({
  part: 'specs',
  key: 'uvw',
  value: { kind: 'quantity', amount },
  how,
  basedOn,
});
const awning: Change = {
  part: 'features',
  key: 'awning',
  value: { state: 'standard' },
  how: 'sheet',
  basedOn: 0,
};

/** What was kept; the next is refused while `refuse`. */
let kept: Change[];
let refuse: boolean;
const keep = async (change: Change): Promise<boolean> => {
  kept.push(change);
  return !refuse;
};

const row = {
  unit: 'u1',
  system: 'us',
  open: true,
  refusal: '',
  placeRefusal: '',
  mayWrite: true,
  keep,
};
const specRow = (record: UnitRecord, more: Record<string, unknown> = {}) =>
  onPage(SpecRow, {
    ...row,
    spec: specEntry('uvw'),
    record,
    objections: [],
    usualHow: 'read',
    ...more,
  });
const featureRow = (record: UnitRecord, more: Record<string, unknown> = {}) =>
  onPage(FeatureRow, { ...row, feature: featureEntry('awning'), record, ...more });

beforeEach(() => {
  kept = [];
  refuse = false;
  localStorage.clear();
});
enableAutoUnmount(afterEach);

describe('the form of a row', () => {
  const form = (more: Record<string, unknown> = {}) =>
    onPage(
      FieldForm,
      { label: 'Save', ready: true, isTyped: false, how: 'read', ...more },
      { default: '<input class="text" />' },
    );
  const told = (page: ReturnType<typeof form>) => page.emitted('update:how')?.at(-1)?.[0];

  it('says by a letter how it is known: alone among the marks, with Alt while typing', async () => {
    const page = form();
    await page.find('.text').trigger('keydown', { key: 'm' });
    expect(told(page)).toBeUndefined();
    await page.find('.text').trigger('keydown', { key: 'm', altKey: true });
    expect(told(page)).toBe('measured');
    await page.find('input[type=radio]').trigger('keydown', { key: 'g' });
    expect(told(page)).toBe('guessed');
    // The browser's own keys stay its own.
    await page.find('input[type=radio]').trigger('keydown', { key: 's', ctrlKey: true });
    expect(told(page)).toBe('guessed');
  });

  it('keeps by Enter what can be kept, and nothing else', async () => {
    const page = form();
    await page.find('form').trigger('submit');
    expect(page.emitted('keep')).toHaveLength(1);
    await page.setProps({ ready: false });
    await page.find('form').trigger('submit');
    expect(page.emitted('keep')).toHaveLength(1);
  });

  it('offers to leave it as it was where something was typed', async () => {
    const page = form();
    expect(buttonNames(page)).not.toContain('Cancel');
    await page.setProps({ isTyped: true });
    await button(page, 'Cancel').trigger('click');
    expect(page.emitted('clear')).toHaveLength(1);
  });
});

describe('the row of a spec', () => {
  const text = '.input input';

  it('opens with the field in hand, and keeps what is typed with how it is known', async () => {
    const page = specRow(emptyRecord);
    await flushPromises();
    expect(document.activeElement).toBe(page.find(text).element);
    await page.find(text).setValue('5,180 lb');
    await page.find('form').trigger('submit');
    expect(kept).toEqual([weighs(5180)]);
  });

  it('has what was refused still typed, also after it was closed and opened again', async () => {
    refuse = true;
    const page = specRow(emptyRecord);
    await page.find(text).setValue('5180');
    await page.find('form').trigger('submit');
    await flushPromises();
    await page.setProps({ open: false, refusal: 'Empty weight: try again.' });
    expect(page.find('[role=alert]').text()).toBe('Empty weight: try again.');
    expect(page.text()).toContain('typed, not saved yet');
    await page.setProps({ open: true });
    expect((page.find(text).element as HTMLInputElement).value).toBe('5180');
  });

  it('keeps what can’t be read out of the record, and says why', async () => {
    const page = specRow(emptyRecord);
    await page.find(text).setValue('heavy');
    await page.find('form').trigger('submit');
    expect(kept).toEqual([]);
    expect(page.find('[role=alert]').text()).toMatch(/^UVW can’t be read/);
  });

  it('keeps two sources beside one another, or one in place of the others', async () => {
    const record = after(weighs(5180));
    const page = specRow(record);
    await page.find(text).setValue('5,300');
    await page.find('input[value=told]').setValue();
    await button(page, 'Save both').trigger('submit');
    expect(kept).toEqual([weighs(5300, 'told', 1)]);
    await flushPromises();
    await page.find(text).setValue('5,300');
    await page.find('input[value=told]').setValue();
    await button(page, 'Replace the others').trigger('click');
    expect(kept[1]).toEqual({ ...weighs(5300, 'told', 1), others: [] });
  });

  it('is not known after all, by a button, as long as nothing is typed', async () => {
    const page = specRow(after(weighs(5180)));
    await button(page, 'Clear it: not known').trigger('click');
    expect(kept).toEqual([{ ...weighs(0, 'read', 1), value: null }]);
    await flushPromises();
    await page.find(text).setValue('5,300');
    expect(buttonNames(page)).not.toContain('Clear it: not known');
  });

  it('goes back to its own head by Escape, and may be gone on from', async () => {
    const page = specRow(emptyRecord);
    await flushPromises();
    await page.find(text).trigger('keydown', { key: 'Escape' });
    expect(page.emitted('toggle')).toHaveLength(1);
    expect(document.activeElement).toBe(page.find('.head').element);
    await button(page, 'Next field').trigger('click');
    expect(page.emitted('next')).toHaveLength(1);
  });

  it('shows a viewer what is known, and nothing to type in', () => {
    const page = specRow(after(weighs(5180)), { mayWrite: false });
    expect(page.find('.value').text()).toBe('5,180 lb');
    expect(page.findAll('input')).toHaveLength(0);
  });
});

describe('the row of a feature', () => {
  it('takes a digit for a state on the row itself, never in a field that is open in it', async () => {
    const page = featureRow(after(awning));
    await page.find('.fields input').trigger('keydown', { key: '5' });
    expect(kept).toEqual([]);
    await page.find('.head').trigger('keydown', { key: '5', ctrlKey: true });
    await page.find('.head').trigger('keydown', { key: 'x' });
    expect(kept).toEqual([]);
    await page.find('.head').trigger('keydown', { key: '6' });
    await page.find('.head').trigger('keydown', { key: '0' });
    expect(kept.map(({ value, how }) => [value, how])).toEqual([
      [{ state: 'none' }, 'seen'],
      [{ state: 'standard' }, 'seen'],
    ]);
  });

  it('takes no digit from whoever may not write', async () => {
    const page = featureRow(after(awning), { mayWrite: false });
    await page.find('.head').trigger('keydown', { key: '1' });
    expect(kept).toEqual([]);
  });

  it('says of a place that could not be kept why: in its form, or on the closed row', async () => {
    const placeRefusal = 'Awning, position: somebody else was faster.';
    const page = featureRow(after(awning), { placeRefusal });
    expect(page.findAll('[role=alert]').map((p) => p.text())).toEqual([placeRefusal]);
    expect(page.find('form [role=alert]').exists()).toBe(true);
    await page.setProps({ open: false });
    expect(page.findAll('[role=alert]').map((p) => p.text())).toEqual([placeRefusal]);
  });

  it('asks where it is only of what is there', () => {
    const gone: Change = { ...awning, value: { state: 'none' } } as Change;
    expect(buttonNames(featureRow(after(awning)))).toContain('Save position');
    expect(buttonNames(featureRow(after(gone)))).not.toContain('Save position');
    expect(buttonNames(featureRow(emptyRecord))).not.toContain('Save position');
  });
});
