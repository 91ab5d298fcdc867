import { describe, expect, it } from '@jest/globals';
import { outlineOf, type Outline, type Peg } from '@fair-gable/core/unit/outline';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { nameOutside, nameWithin } from '../src/unit/outline/names.ts';

const peg = (more: Partial<Peg>): Peg => ({
  station: 'kitchen',
  number: 15,
  short: 'kitchen',
  x: 0,
  y: 100,
  side: 'center',
  ...more,
});
const outline: Outline = outlineOf(emptyRecord);
const wall = outline.body.x + outline.body.width;
const withSlide: Outline = {
  ...outline,
  parts: [
    {
      key: 'slide',
      label: 'Slide',
      shape: 'slide',
      station: 'utilities',
      side: 'door',
      known: true,
      box: { x: wall, y: 80, width: 30, height: 90 },
    },
  ],
};

describe('the name of a station', () => {
  it.each([
    ['door', 94, { x: 114, anchor: 'start' }],
    ['off-door', -94, { x: -114, anchor: 'end' }],
    ['rear', 0, { x: 20, anchor: 'start' }],
  ] as const)('at the %s stands away from the trailer', (side, x, place) => {
    expect(nameOutside(peg({ side, x }), [])).toEqual(place);
  });

  it('goes to the left where another peg stands close at its right', () => {
    const [left, right] = [peg({ side: 'front', x: -27 }), peg({ side: 'front', x: 27 })];
    expect(nameOutside(left, [left, right]).anchor).toBe('end');
    expect(nameOutside(right, [left, right]).anchor).toBe('start');
  });

  it('inside stands beyond the wall, and beyond a slide, with a line to it', () => {
    expect(nameWithin(peg({ x: 17 }), outline)).toEqual({
      x: wall + 10,
      anchor: 'start',
      leader: { from: 31, to: wall + 6 },
    });
    expect(nameWithin(peg({ x: 17 }), withSlide).x).toBe(wall + 40);
  });

  it('left of the middle stands at the left, where two columns of pegs leave each room', () => {
    const { x, anchor } = nameWithin(peg({ x: -17 }), withSlide);
    expect([x, anchor]).toEqual([outline.body.x - 10, 'end']);
  });
});
