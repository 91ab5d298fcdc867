import { describe, expect, it } from '@jest/globals';
import { sentence, type ProblemCode } from '@fair-gable/core/base/problems';
import { firstAccountSchema, signInSchema } from '@fair-gable/core/yard/people';

const params = {
  typed: 'what was typed', unit: 'furlong', wanted: 'ft', value: 0, limit: 10, length: 30, choices: 'new, used', field: 'specs.x',
}; // prettier-ignore

const codes: readonly ProblemCode[] = [
  'empty', 'not-a-quantity', 'not-a-number', 'unknown-unit', 'other-dimension', 'negative', 'impossible', 'count',
  'too-long', 'not-a-choice', 'wrong-kind', 'unknown-field',
]; // prettier-ignore

describe('problems', () => {
  it.each(codes)('%s is one or two sentences that name the field', (code) => {
    const text = sentence('Width', { code, params });
    expect(text).toMatch(/^Width .+\.$/);
    expect(text).not.toMatch(/undefined|\[object/);
  });

  it.each(codes.filter((code) => code !== 'other-dimension'))('%s says what to do', (code) => {
    expect(sentence('Width', { code, params }).split(/[.:,] /).length).toBeGreaterThan(1);
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
