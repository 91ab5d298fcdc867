import type { Box, Outline } from '@fair-gable/core/unit/outline';

/** Up: hitch at the top, as at the desk. Left: hitch at the left, door side below, as in lists and on the phone. */
export type Heading = 'up' | 'left';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A point of the outline on the drawing. */
export const spot = (heading: Heading, x: number, y: number): Spot =>
  heading === 'up' ? { x, y } : { x: y, y: x };

/** A box of the outline on the drawing. */
export const turned = (heading: Heading, box: Box): Box =>
  heading === 'up' ? box : { x: box.y, y: box.x, width: box.height, height: box.width };

/** The A-frame, from the coupler to the front corners of the body. */
export const frameLines = (outline: Pick<Outline, 'body'>, heading: Heading): string => {
  const { body } = outline;
  const half = body.width * 0.26;
  const points = [
    { x: -half, y: body.y },
    { x: 0, y: 3 },
    { x: half, y: body.y },
  ].map((p) => spot(heading, p.x, p.y));
  return points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('');
};

/** The walking path: a rounded way round the unit with room for the pegs. */
export const pathBox = (outline: Outline, heading: Heading): Box => turned(heading, outline.path);
