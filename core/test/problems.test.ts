import { describe, expect, it } from '@jest/globals';
import {
  sentence,
  type ParamsOf,
  type Problem,
  type ProblemCode,
} from '@fair-gable/core/base/problems';
import { firstAccountSchema, signInSchema } from '@fair-gable/core/yard/people';

/** One of every problem; the compiler sees to it that none is left out, and that each is told all of its sentence. */
const one: { readonly [C in ProblemCode]: ParamsOf<C> } = {
  empty: {},
  'not-a-quantity': { typed: 'a lot' },
  'not-a-number': { typed: 'ten' },
  'not-a-range': { typed: '18 to 16 ft' },
  'unknown-unit': { unit: 'furlong' },
  'other-dimension': { unit: 'lb', wanted: 'ft' },
  negative: { typed: '-3 ft' },
  impossible: { value: 0, limit: 10 },
  'too-far': { value: '70 ft', limit: '60 ft' },
  count: { typed: '0 × 30' },
  sides: { typed: '60', count: 2 },
  'not-a-date': { typed: 'soon', example: '4/2026' },
  'too-long': { length: 30, limit: 24 },
  'not-a-choice': { typed: 'old', choices: 'new, used' },
  'wrong-kind': { wanted: 'a date' },
  'unknown-field': { field: 'specs.x' },
};
const all = (Object.keys(one) as ProblemCode[]).map(
  (code) => [code, { code, params: one[code] } as Problem] as const,
);

describe('problems', () => {
  it.each(all)('%s is one or two sentences that name the field', (_, problem) => {
    const text = sentence('Width', problem);
    expect(text).toMatch(/^Width .+\.$/);
    expect(text).not.toMatch(/undefined|\[object/);
    for (const told of Object.values(problem.params)) {
      // How many sides there are is told by an example.
      if (problem.code !== 'sides') expect(text).toContain(String(told));
    }
  });

  it.each(all)('%s says what to do', (_, problem) => {
    expect(sentence('Width', problem).split(/[.:,;] /).length).toBeGreaterThan(1);
  });
});

describe('people', () => {
  it('sign in with an address in any case', () => {
    expect(signInSchema.parse({ email: ' Ines@Thornquay.example ', password: 'x' }).email).toBe(
      'ines@thornquay.example',
    );
  });

  it('begin a yard with a password of at least twelve characters', () => {
    const given = {
      token: 't',
      yard: 'North',
      name: 'Ada',
      email: 'ada@north.example',
      password: 'a'.repeat(11),
    };
    expect(firstAccountSchema.safeParse(given).error?.issues[0]?.message).toBe(
      'Use at least 12 characters.',
    );
    expect(firstAccountSchema.safeParse({ ...given, password: 'a'.repeat(12) }).success).toBe(true);
  });
});
