import { describe, expect, it } from '@jest/globals';
import { featureKinds, knownBy } from '@fair-gable/core/unit/catalog';
import { givingKeys, isKeyAlone, keyGroups } from '../src/base/keys/keys.ts';

const pressed = (more: object = {}, inField = ''): KeyboardEvent =>
  ({
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    defaultPrevented: false,
    target: {
      closest: (fields: string) => (inField && fields.includes(inField) ? {} : null),
    },
    ...more,
  }) as unknown as KeyboardEvent;

describe('the page of keys', () => {
  it('has each key once at its place, and says what it does', () => {
    for (const { place, rows } of keyGroups) {
      const keys = rows.flatMap((row) => row.keys);
      expect([place, new Set(keys).size]).toEqual([place, keys.length]);
      for (const { does } of rows) expect(does.length).toBeGreaterThan(2);
    }
  });

  it('has a digit for every state of a feature and a letter for every way of knowing', () => {
    const keys = keyGroups.flatMap(({ rows }) => rows.flatMap((row) => row.keys));
    for (const choices of Object.values(featureKinds))
      choices.forEach((_, i) => expect(keys).toContain(String(i + 1)));
    for (const { letter } of knownBy) expect(keys).toContain(letter.toUpperCase());
  });

  it('gives no key of a walk two meanings', () => {
    const presses = givingKeys.flatMap(({ keys }) => keys.map(({ press }) => press));
    expect(new Set(presses).size).toBe(presses.length);
    expect(givingKeys.map(({ act }) => act)).toEqual(['said', 'shown', 'later', 'undo']);
  });
});

describe('a key by itself', () => {
  it('is ours away from every field', () => {
    expect(isKeyAlone(pressed())).toBe(true);
  });

  it.each(['input', 'textarea', '[contenteditable]', '[role=combobox]', '[role=dialog]'])(
    'is not ours in %s',
    (field) => expect(isKeyAlone(pressed({}, field))).toBe(false),
  );

  it.each(['ctrlKey', 'metaKey', 'altKey', 'defaultPrevented'])('is not ours with %s', (held) =>
    expect(isKeyAlone(pressed({ [held]: true }))).toBe(false),
  );
});
