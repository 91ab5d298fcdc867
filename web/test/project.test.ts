import { describe, expect, it } from '@jest/globals';
import { outlineOf } from '@fair-gable/core/unit/outline';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { frameLines, spot, turned } from '../src/unit/outline/project.ts';

describe('turning the outline', () => {
  it('puts the hitch up or left, with the door side right or below', () => {
    expect(spot('up', 48, 100)).toEqual({ x: 48, y: 100 });
    expect(spot('left', 48, 100)).toEqual({ x: 100, y: 48 });
    expect(turned('left', { x: -48, y: 44, width: 96, height: 290 })).toEqual({
      x: 44,
      y: -48,
      width: 290,
      height: 96,
    });
  });

  it('draws the A-frame from corner to coupler to corner', () => {
    const outline = outlineOf(emptyRecord);
    expect(frameLines(outline, 'up')).toBe('M-24.96 44L0 3L24.96 44');
    expect(frameLines(outline, 'left')).toBe('M44 -24.96L3 0L44 24.96');
  });
});
