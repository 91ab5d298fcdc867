import { describe, expect, it } from '@jest/globals';
import { features, specs } from '@fair-gable/core/unit/catalog';
import type { SheetObjection } from '@fair-gable/core/unit/model-sheet';
import { objectionIn, objectionLine } from '../src/unit/model-sheet/objections.ts';

describe('an objection as a line', () => {
  it.each<[string, SheetObjection]>([
    ['Too few steps. = The floor is low.', { says: 'Too few steps.', answer: 'The floor is low.' }],
    [
      'Too few steps. = The floor is low. = Step count',
      { says: 'Too few steps.', answer: 'The floor is low.', about: 'stepCount' },
    ],
    ['Only words', { says: 'Only words', answer: '' }],
    ['a = b = nothing there is', { says: 'a', answer: 'b', about: '?nothing there is' }],
  ])('%s', (line, objection) => {
    const label = specs.find(({ key }) => key === 'stepCount')?.label ?? '';
    expect(objectionIn(line.replace('Step count', label))).toEqual(objection);
  });

  it('is read back as written, whatever brings it up', () => {
    for (const { key } of [...specs, ...features]) {
      const objection = { says: 'They say.', answer: 'We answer.', about: key };
      const back = objectionIn(objectionLine(objection));
      // Where a spec and a feature are called the same, the first is meant.
      expect({ ...back, about: '' }).toEqual({ ...objection, about: '' });
      expect(back.about?.startsWith('?')).toBe(false);
    }
  });

  it('keeps what was typed while nothing is called so', () => {
    const line = 'a = b = nothing there is';
    expect(objectionLine(objectionIn(line))).toBe(line);
  });
});
