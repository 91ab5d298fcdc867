import { describe, expect, it } from '@jest/globals';
import { specs, type Spec } from '@fair-gable/core/unit/catalog';
import { asTyped, example, readTyped } from '../src/unit/record/typing.ts';

const spec = (key: string): Spec => specs.find((s) => s.key === key)!;

describe('reading what is typed', () => {
  it('echoes a measure in both systems', () => {
    expect(readTyped(spec('overallLength'), "26'4", 'us').echo).toBe('26 ft 4 in = 8.03 m');
    expect(readTyped(spec('overallLength'), '8.03', 'metric').echo).toBe('8.03 m = 26 ft 4⅛ in');
    expect(readTyped(spec('shoreAmps'), '30', 'us').echo).toBe('30 A');
  });

  it('has nothing to say of an empty field, and names the field in a problem', () => {
    expect(readTyped(spec('width'), ' ', 'us')).toEqual({
      value: undefined,
      echo: '',
      problem: '',
    });
    expect(readTyped(spec('width'), 'x', 'us').problem).toMatch(/^Width can’t be read/);
  });

  it('reads back its own text to start editing from', () => {
    const entry = {
      value: { kind: 'counted', count: 2, each: 30 },
      how: 'guessed',
      by: 'I',
      at: '',
      version: 1,
    } as const;
    const text = asTyped(spec('lpCylinders'), entry, 'us');
    expect(text).toBe('2 × 30 lb');
    expect(readTyped(spec('lpCylinders'), text, 'us').value).toEqual(entry.value);
    expect(asTyped(spec('width'), undefined, 'us')).toBe('');
  });

  it.each(specs.map((s) => [s.key, s] as const))(
    'offers an example of %s that it can read itself',
    (_, s) => {
      for (const system of ['us', 'metric'] as const) {
        const text = example(s, system);
        expect(readTyped(s, text, system).problem).toBe('');
      }
    },
  );
});
