import { describe, expect, it } from '@jest/globals';
import { specEntry, specs } from '@fair-gable/core/unit/catalog';
import {
  applies,
  applyChange,
  changeProblem,
  changeSchema,
  emptyRecord,
  formatSpec,
  inverseOf,
  nameOf,
  particularsOf,
  typedSpec,
  type Change,
} from '@fair-gable/core/unit/record';
import { nextNeed } from '@fair-gable/core/yard/to-do';
import { demoRecord } from './demo-units.ts';

const at = '2026-04-15T09:00:00.000Z';
const gvwr = (amount: number | null, basedOn = 0): Change => ({
  part: 'specs',
  key: 'gvwr',
  value: amount === null ? null : { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});

describe('a record', () => {
  it('keeps value, how known, who and when, and counts versions', () => {
    const once = applyChange(emptyRecord, gvwr(7490), 'Ines', at);
    const twice = applyChange(once, { ...gvwr(7500, 1), how: 'read' }, 'Osk', at);
    expect(twice.specs.gvwr).toEqual({
      value: { kind: 'quantity', amount: 7500 },
      how: 'read',
      by: 'Osk',
      at,
      version: 2,
    });
    expect(once.specs.gvwr?.version).toBe(1);
    expect(emptyRecord.specs.gvwr).toBeUndefined();
  });

  it('takes a value back to not known', () => {
    const known = applyChange(emptyRecord, gvwr(7490), 'Ines', at);
    expect(applyChange(known, gvwr(null, 1), 'Ines', at).specs).toEqual({});
  });

  it('undoes a change, a first one too', () => {
    const first = gvwr(7490);
    expect(inverseOf(emptyRecord, first, 1)).toEqual(gvwr(null, 1));
    const known = applyChange(emptyRecord, first, 'Ines', at);
    expect(inverseOf(known, { ...gvwr(1, 1), how: 'guessed' }, 2)).toEqual({
      ...gvwr(7490, 2),
      others: [],
    });
  });

  it('is called by series and floor plan, else by stock number', () => {
    expect(nameOf(demoRecord('TQ-0417'))).toBe('Fenlark 24 RKD');
    expect(particularsOf(demoRecord('TQ-0417'))).toBe('TQ-0417 · 2026 · new');
    expect(nameOf(emptyRecord)).toBe('Unnamed unit');
  });

  it('has nothing to know of what belongs to something not fitted', () => {
    const spec = specs.find((s) => s.key === 'heaterTank')!;
    expect(applies(demoRecord('TQ-0402'), spec)).toBe(false);
    expect(applies(demoRecord('TQ-0417'), spec)).toBe(true);
    expect(applies(emptyRecord, spec)).toBe(true);
  });

  it('asks no tankless heater for its tank, and keeps in sight what was written all the same', () => {
    const tank = specEntry('heaterTank');
    const put = (record: typeof emptyRecord, key: string, value: object) =>
      applyChange(
        record,
        { part: 'specs', key, value, how: 'read', basedOn: 0 } as Change,
        'Ines',
        at,
      );
    const tankless = put(emptyRecord, 'heaterKind', { kind: 'choice', choice: 'tankless' });
    expect([applies(emptyRecord, tank), applies(tankless, tank)]).toEqual([true, false]);
    const six = { kind: 'quantity', amount: 6 };
    expect(applies(put(tankless, 'heaterTank', six), tank)).toBe(true);
    expect(applies(put(emptyRecord, 'heaterKind', { kind: 'choice', choice: 'tank' }), tank)).toBe(
      true,
    );
  });
});

describe('a change', () => {
  it.each([
    ['an unknown field', { ...gvwr(1), key: 'wingspan' }, 'unknown-field'],
    ['a feature as a spec', { ...gvwr(1), key: 'awning' }, 'unknown-field'],
    ['the wrong kind', { ...gvwr(1), value: { kind: 'text', text: 'heavy' } }, 'wrong-kind'],
    [
      'a choice there is not',
      { ...gvwr(1), key: 'loadRange', value: { kind: 'choice', choice: 'Z' } },
      'not-a-choice',
    ],
    [
      'a long text',
      { ...gvwr(1), key: 'vin', value: { kind: 'text', text: 'X'.repeat(25) } },
      'too-long',
    ],
  ])('with %s is refused as %s', (_, change, code) => {
    expect(changeProblem(change as Change)?.code).toBe(code);
    expect(changeSchema.safeParse(change).success).toBe(false);
  });

  it.each([
    ['nothing', 0],
    ['less than zero', -5],
    ['more than anything weighs', 1e9],
    ['no number', Number.NaN],
  ])('to %s is refused by the schema', (_, amount) => {
    expect(changeSchema.safeParse(gvwr(amount)).success).toBe(false);
  });

  it('is refused with fields nobody asked for', () => {
    expect(changeSchema.safeParse({ ...gvwr(7490), yardId: 'other' }).success).toBe(false);
    expect(changeSchema.safeParse(gvwr(7490)).success).toBe(true);
  });
});

describe('typing into a field', () => {
  it.each([
    ['lpCylinders', '2 x 30', { kind: 'counted', count: 2, each: 30 }],
    ['overallLength', "26'4", { kind: 'quantity', amount: 316 }],
    ['modelYear', '2026', { kind: 'number', number: 2026 }],
    ['vin', ' 1M8GDM9AXKP042788 ', { kind: 'text', text: '1M8GDM9AXKP042788' }],
    ['condition', 'used', { kind: 'choice', choice: 'used' }],
    ['acUnits', '2 × 13,500', { kind: 'counted', count: 2, each: expect.closeTo(3956.46, 2) }],
  ] as const)('%s: “%s”', (key, typed, value) => {
    expect(typedSpec(key, typed, 'us')).toEqual({ ok: true, value });
  });

  it.each([
    ['gvwr', '0', 'impossible'],
    ['gvwr', '9999999', 'impossible'],
    ['modelYear', '2026.5', 'not-a-number'],
    ['modelYear', 'last year', 'not-a-number'],
    ['condition', 'nearly new', 'not-a-choice'],
    ['stockNumber', 'X'.repeat(25), 'too-long'],
    ['shoreAmps', '30 lb', 'other-dimension'],
  ] as const)('%s: “%s” is refused as %s', (key, typed, code) => {
    expect(typedSpec(key, typed, 'us')).toMatchObject({ ok: false, problem: { code } });
  });

  it('takes a doubtful number, for the checks to object to', () => {
    expect(typedSpec('gvwr', '749', 'us').ok).toBe(true);
    expect(typedSpec('vin', 'NOT A VIN', 'us').ok).toBe(true);
  });

  it('never shows a guess without “about”', () => {
    const value = { kind: 'quantity', amount: 131 } as const;
    expect(formatSpec('heightWithAc', value, 'us', 'guessed')).toBe('about 10 ft 11 in');
    expect(formatSpec('heightWithAc', value, 'us', 'measured')).toBe('10 ft 11 in');
  });
});

describe('what a unit needs next', () => {
  const need = (stock: string, objections: Parameters<typeof nextNeed>[1] = []) =>
    nextNeed(demoRecord(stock), objections);

  it('is its labels first', () => {
    expect(nextNeed(emptyRecord, [])).toMatchObject({ urgency: 'now', station: 'labels' });
  });

  it('is the guesses when nothing disagrees, and nothing when all is known', () => {
    expect(need('TQ-0417')).toMatchObject({ urgency: 'soon', station: 'construction' });
    expect(need('TQ-0402')).toEqual({ urgency: 'none', text: 'Ready to show', station: undefined });
  });

  it('is where to carry on when something was not looked at', () => {
    expect(need('TQ-0365')).toMatchObject({
      urgency: 'soon',
      text: expect.stringContaining('go on at'),
    });
  });
});
