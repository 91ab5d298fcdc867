import { describe, expect, it } from '@jest/globals';
import { inText } from '@fair-gable/core/base/words';
import { sentence } from '@fair-gable/core/base/problems';
import { pointsOf } from '@fair-gable/core/show/cards';
import {
  applyChange,
  emptyRecord,
  fieldLabel,
  fieldText,
  ourKeys,
  typedSpec,
  withoutOurs,
  type FieldValue,
  type Part,
} from '@fair-gable/core/unit/record';
import { demoRecord, us } from './demo-units.ts';

describe('a field in words', () => {
  const rows: readonly [Part, string, FieldValue | null, string, string][] = [
    ['specs', 'gvwr', { kind: 'quantity', amount: 7490 }, 'GVWR', '7,490 lb'],
    ['specs', 'askingPrice', { kind: 'number', number: 38900 }, 'Asking price', '38,900'],
    ['specs', 'gvwr', null, 'GVWR', 'not known'],
    [
      'features',
      'awning',
      { state: 'standard', tried: 'works' },
      'Awning',
      'standard, tried and works',
    ],
    [
      'places',
      'awning',
      { back: 90, side: 'door', length: 120 },
      'Awning, position',
      '7 ft 6 in back, door side, 10 ft long',
    ],
    [
      'settlements',
      'ccc-identity:ccc',
      { reason: 'Maker asked.', inputs: '' },
      'Note on CCC',
      '“Maker asked.”',
    ],
  ];
  it.each(rows)('%s.%s', (part, key, value, label, text) => {
    expect([fieldLabel(part, key), fieldText(part, key, value, 'read', 'us')]).toEqual([
      label,
      text,
    ]);
  });

  it('says that a guess is one', () => {
    expect(
      fieldText('specs', 'gvwr', { kind: 'quantity', amount: 7490 }, 'guessed', 'metric'),
    ).toBe('about 3,397 kg');
  });
});

describe('prices', () => {
  it('are typed with or without their comma, and refused where they cannot be', () => {
    expect(typedSpec('askingPrice', '38,900', 'us')).toEqual({
      ok: true,
      value: { kind: 'number', number: 38_900 },
    });
    const odd = typedSpec('listPrice', '9,000,000', 'us');
    expect(odd.ok ? '' : sentence('MSRP', odd.problem)).toMatch(/^MSRP can’t be 9,000,000/);
    expect(typedSpec('modelYear', '20260', 'us').ok).toBe(false);
  });

  it('are on no card, and in nothing that is not ours', () => {
    const record = demoRecord('TQ-0417');
    for (const key of ourKeys) expect(record.specs[key as 'listPrice']).toBeDefined();
    const text = JSON.stringify([withoutOurs(record), pointsOf(record, us)]);
    for (const key of ourKeys) expect(text).not.toContain(key);
    expect(text).not.toContain('38,900');
    expect(withoutOurs(record).features).toBe(record.features);
  });
});

describe('a guest presenter’s cards', () => {
  it('say the same, and operate nothing', () => {
    const record = demoRecord('TQ-0417');
    const [ours, theirs] = [pointsOf(record, us), pointsOf(record, { ...us, operates: false })];
    expect(theirs.map((p) => p.sentence)).toEqual(ours.map((p) => p.sentence));
    expect(ours.some((p) => p.show?.startsWith('Lift'))).toBe(true);
    expect(new Set(theirs.flatMap((p) => p.show ?? []))).toEqual(
      new Set(['Point it out; don’t operate anything.']),
    );
  });

  it('have nothing to show where there is nothing', () => {
    const none = applyChange(
      emptyRecord,
      { part: 'features', key: 'awning', value: { state: 'none' }, how: 'seen', basedOn: 0 },
      'I',
      '',
    );
    expect(pointsOf(none, { ...us, operates: false })[0]?.show).toBeUndefined();
  });
});

describe('a label within a sentence', () => {
  it.each([
    ['Fresh tank', 'fresh tank'],
    ['LP changeover', 'LP changeover'],
    ['TV bracket', 'TV bracket'],
    ['A/C quick dump', 'A/C quick dump'],
    ['', ''],
  ])('%s', (label, within) => {
    expect(inText(label)).toBe(within);
  });
});
