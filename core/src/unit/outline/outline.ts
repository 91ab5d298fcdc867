import {
  locatedEntries,
  isSpecKey,
  type Feature,
  type Located,
  type Medium,
  type Shape,
  type Side,
  type Spec,
  type StationKey,
} from '../catalog/index.ts';
import { amountOf, howMany, hasFeature, type Place, type Brief } from '../record/index.ts';
import type { Box } from './box.ts';
import { endOfLiving, furnitureOf, type Furniture } from './furniture.ts';
import { isOnUnit } from './station-state.ts';
import { isOnRing, stationPlaces, type StationPlace } from './stations.ts';

/*
 * Conventions: inches; x across, door side positive, 0 on the center line; y back from the coupler.
 * A shape that is not measured is drawn where it usually is, and said to be so (`known: false`).
 */

export interface OutlinePart {
  readonly key: string;
  readonly label: string;
  readonly shape: Shape;
  readonly medium?: Medium;
  readonly station: StationKey;
  readonly box: Box;
  readonly side: Side;
  /** False when its place is not measured: dashed. */
  readonly known: boolean;
  /** What is written in it; internal units where it is a number. */
  readonly amount?: number;
}

export interface Peg {
  readonly station: StationKey;
  readonly number: number;
  readonly short: string;
  readonly x: number;
  readonly y: number;
  readonly side: Side;
}

export interface Outline {
  /** Overall length, and whether it is known. */
  readonly length: { readonly inches: number; readonly known: boolean };
  readonly body: Box & { readonly known: boolean };
  readonly parts: readonly OutlinePart[];
  readonly pegs: readonly Peg[];
  /** Pegs of the layers that are not walked round but looked at from within and above. */
  readonly within: Readonly<Record<'inside' | 'roof', readonly Peg[]>>;
  /** Beds, shower and garage of the inside, by the sizes recorded. */
  readonly furniture: readonly Furniture[];
  /** Distance of the walking path from the center line at the sides, and beyond coupler and rear. */
  readonly path: Box;
  /** Located things whose place nobody has measured. */
  readonly missing: readonly string[];
}

/** Drawn where nothing is known; the drawing says so. Common practice for a mid-size trailer. */
const assumed = { length: 288, width: 96, hitch: 44 } as const;
const axleSpacing = 34;
const wheel = { width: 9, height: 28 } as const;
const ring = 46;
const pegGap = 34;

/** Tanks drawn at 231 in³ per gallon and a depth of 6 in, half as wide again as long. */
const tankBox = (gallons: number | undefined): { width: number; height: number } => {
  const area = (231 * (gallons ?? 30)) / 6;
  const height = Math.sqrt(area / 1.5);
  return { width: Math.min(area / height, 64), height };
};

interface Frame {
  readonly length: number;
  readonly body: Box;
}

const bodyOf = (record: Brief): { frame: Frame; lengthKnown: boolean; known: boolean } => {
  const overall = amountOf(record, 'overallLength');
  const box = amountOf(record, 'boxLength');
  const length = overall ?? (box === undefined ? assumed.length : box + assumed.hitch);
  // A box as long as the whole, or longer, is a slip that a check names; the drawing keeps its hitch.
  const along = Math.min(box ?? length - assumed.hitch, length - assumed.hitch / 2);
  const across = amountOf(record, 'width') ?? assumed.width;
  const body = { x: -across / 2, y: length - along, width: across, height: along };
  return {
    frame: { length, body },
    lengthKnown: overall !== undefined,
    known: box !== undefined && amountOf(record, 'width') !== undefined,
  };
};

const isThere = (record: Brief, entry: Spec | Feature): boolean =>
  isSpecKey(entry.key) ? record.specs[entry.key] !== undefined : hasFeature(record, entry.key);

/** The wall a thing is on, as x; door side is positive. */
const wallX = (side: Side, body: Box): number => {
  if (side === 'door') return body.x + body.width;
  return side === 'off-door' ? body.x : 0;
};

const centered = (x: number, y: number, width: number, height: number): Box => ({
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
});

const outwards = (side: Side, body: Box, y: number, depth: number, along: number): Box => {
  const across = { x: -along / 2, width: along, height: depth };
  if (side === 'rear') return { ...across, y: body.y + body.height };
  if (side === 'front') return { ...across, y: body.y - depth };
  const wall = wallX(side, body);
  return { x: side === 'door' ? wall : wall - depth, y, width: depth, height: along };
};

/** Small things drawn at one size, inches: across the trailer, and along it. */
const fixedSizes = { battery: [14, 8], cylinder: [26, 12], inlet: [6, 6] } as const;

const tankAt = (place: Place, gallons: number | undefined, body: Box): Box => {
  const size = tankBox(gallons);
  const inset = { door: 1, 'off-door': -1, center: 0, front: 0, rear: 0 }[place.side];
  const x = inset * Math.max(body.width / 2 - size.width / 2 - 6, 0);
  return centered(x, place.back, size.width, size.height);
};

const shapeBox = (record: Brief, entry: Spec | Feature, place: Place, body: Box): Box => {
  const { shape } = entry.located as Located;
  const y = place.back;
  switch (shape) {
    case 'tank':
      return tankAt(place, isSpecKey(entry.key) ? amountOf(record, entry.key) : undefined, body);
    case 'slide':
      return outwards(place.side, body, y, place.depth ?? 30, place.length ?? 96);
    case 'awning':
      return outwards(place.side, body, y, 14, amountOf(record, 'awningLength') ?? 144);
    case 'door':
      return outwards(place.side, body, y, 4, 26);
    case 'axle':
      return centered(0, y, body.width, wheel.height);
    default:
      return centered(wallX(place.side, body), y, fixedSizes[shape][0], fixedSizes[shape][1]);
  }
};

/** Awnings, slides and doors are measured to their forward edge; a usual place is their middle. */
const usualPlace = (record: Brief, entry: Spec | Feature, length: number): Place => {
  const { shape, side, share } = entry.located as Located;
  const along = { slide: 96, awning: amountOf(record, 'awningLength') ?? 144, door: 26 } as const;
  const half = shape in along ? along[shape as keyof typeof along] / 2 : 0;
  return { side, back: Math.max(share * length - half, 0) };
};

const axleBoxes = (record: Brief, center: Box): readonly Box[] => {
  const count = howMany(record, 'axleRating') ?? 1;
  return Array.from({ length: Math.min(count, 3) }, (_, i) => ({
    ...center,
    y: center.y + (i - (Math.min(count, 3) - 1) / 2) * axleSpacing,
  }));
};

const partsOf = (record: Brief, entry: Spec | Feature, frame: Frame): readonly OutlinePart[] => {
  if (!isThere(record, entry)) return [];
  const located = entry.located as Located;
  const placed = record.places[entry.key];
  const place = placed?.value ?? usualPlace(record, entry, frame.length);
  const box = shapeBox(record, entry, place, frame.body);
  const amount = isSpecKey(entry.key) ? amountOf(record, entry.key) : undefined;
  const part: OutlinePart = {
    key: entry.key,
    label: entry.label,
    shape: located.shape,
    station: entry.station,
    side: place.side,
    // A guessed place is drawn where it is guessed, and dashed like one nobody measured.
    known: placed !== undefined && placed.how !== 'guessed',
    box,
    ...(located.medium ? { medium: located.medium } : {}),
    ...(amount === undefined ? {} : { amount }),
  };
  if (located.shape !== 'axle') return [part];
  return axleBoxes(record, box).map((b) => ({ ...part, box: b }));
};

/** Pegs of one side, pushed apart until they no longer touch. */
const spread = (places: readonly StationPlace[], from: number, to: number): readonly number[] => {
  const gap = Math.min(pegGap, (to - from) / Math.max(places.length - 1, 1));
  const sorted = places.map((p) => Math.min(Math.max(p.back, from), to));
  const apart = sorted.reduce<readonly number[]>(
    (ys, y) => [...ys, Math.max(y, (ys.at(-1) ?? -Infinity) + gap)],
    [],
  );
  const over = Math.max((apart.at(-1) ?? to) - to, 0);
  return apart.map((y) => y - over);
};

const pegsOnSide = (
  places: readonly StationPlace[],
  side: 'door' | 'off-door',
  path: Box,
): readonly Peg[] => {
  const here = places.filter((p) => p.side === side).toSorted((a, b) => a.back - b.back);
  const ys = spread(here, path.y + pegGap, path.y + path.height - pegGap);
  const x = side === 'door' ? path.x + path.width : path.x;
  return here.map((p, i) => pegAt(p, x, ys[i] ?? p.back));
};

const pegAt = (p: StationPlace, x: number, y: number): Peg => ({
  station: p.station.key,
  number: p.station.number,
  short: p.station.short,
  side: p.side,
  x,
  y,
});

const pegsAtEnd = (places: readonly StationPlace[], side: Side, y: number): readonly Peg[] => {
  const here = places.filter((p) => p.side === side);
  return here.map((p, i) => pegAt(p, (i - (here.length - 1) / 2) * pegGap * 1.6, y));
};

/** Pegs nearer to each other than this stand by turns left and right. */
const touching = 28;

/** The stations of a layer that lies within a stretch of the body: each where it is, pushed apart until none touch. */
const pegsWithin = (
  places: readonly StationPlace[],
  body: Box,
  stretch: { readonly from: number; readonly to: number },
): readonly Peg[] => {
  const inset = { door: 1, 'off-door': -1, center: 0, front: 0, rear: 0 } as const;
  const here = places.toSorted((a, b) => a.back - b.back);
  const edge = pegGap / 2 + 6;
  const ys = spread(here, stretch.from + edge, stretch.to - edge);
  const isCrowded = ys.some((y, i) => i > 0 && y - (ys[i - 1] ?? 0) < touching);
  return here.map((p, i) => {
    const across = isCrowded ? (i % 2 ? 0.7 : -0.7) : inset[p.side];
    return pegAt(p, across * (body.width / 4), ys[i] ?? p.back);
  });
};

/** The stations inside: before the garage, and the garage within it. */
const pegsInside = (places: readonly StationPlace[], body: Box, end: number): readonly Peg[] => {
  const rear = body.y + body.height;
  const isGarage = ({ station }: StationPlace): boolean => station.key === 'garage' && end < rear;
  return [
    ...pegsWithin(
      places.filter((p) => !isGarage(p)),
      body,
      { from: body.y, to: end },
    ),
    ...pegsWithin(places.filter(isGarage), body, { from: end, to: rear }),
  ];
};

/** Where rooms usually are is a share of the whole: a garage at the rear moves them forward together. */
const placesInside = (
  places: readonly StationPlace[],
  body: Box,
  end: number,
): readonly StationPlace[] =>
  places
    .filter(({ station }) => station.layer === 'inside')
    .map((p) => ({ ...p, back: body.y + ((p.back - body.y) * (end - body.y)) / body.height }));

const pegHeight = (pegs: readonly Peg[], key: StationKey, otherwise: number): number =>
  pegs.find(({ station }) => station === key)?.y ?? otherwise;

const pegsOf = (places: readonly StationPlace[], path: Box): readonly Peg[] => {
  const onRing = places.filter((p) => isOnRing(p.station));
  return [
    ...pegsAtEnd(onRing, 'front', path.y),
    ...pegsAtEnd(onRing, 'rear', path.y + path.height),
    ...pegsOnSide(onRing, 'door', path),
    ...pegsOnSide(onRing, 'off-door', path),
  ].toSorted((a, b) => a.number - b.number);
};

const slideDepth = (parts: readonly OutlinePart[], side: Side): number =>
  Math.max(
    0,
    ...parts.filter((p) => p.shape === 'slide' && p.side === side).map((p) => p.box.width),
  );

const pathOf = (frame: Frame, parts: readonly OutlinePart[]): Box => {
  const half = frame.body.width / 2;
  const door = half + ring + slideDepth(parts, 'door');
  const off = half + Math.max(ring, slideDepth(parts, 'off-door') + 14);
  return { x: -off, y: -26, width: off + door, height: frame.length + 26 + 34 };
};

/**
 * The unit's outline to scale, seen from above, from what its record knows.
 * Nothing is assumed to be there that the record does not say is fitted.
 */
export const outlineOf = (record: Brief): Outline => {
  const { frame, lengthKnown, known } = bodyOf(record);
  const parts = locatedEntries.flatMap((entry) => partsOf(record, entry, frame));
  const path = pathOf(frame, parts);
  const places = stationPlaces(record, frame.length);
  const end = endOfLiving(record, frame.body);
  const rooms = placesInside(places, frame.body, end).filter((p) =>
    isOnUnit(record, p.station.key),
  );
  const inside = pegsInside(rooms, frame.body, end);
  const roof = places.filter(
    ({ station }) => station.layer === 'roof' && isOnUnit(record, station.key),
  );
  return {
    length: { inches: frame.length, known: lengthKnown },
    body: { ...frame.body, known },
    parts,
    path,
    pegs: pegsOf(places, path),
    within: {
      inside,
      roof: pegsWithin(roof, frame.body, {
        from: frame.body.y,
        to: frame.body.y + frame.body.height,
      }),
    },
    furniture: furnitureOf(record, frame.body, (station) =>
      pegHeight(inside, station, frame.length / 2),
    ),
    missing: [...new Set(parts.filter((p) => !p.known).map((p) => p.label))],
  };
};

/** As much of an outline as a small drawing from above needs. */
export type Drawing = Pick<Outline, 'length' | 'body' | 'parts' | 'pegs'>;

/** A unit drawn small, from above. */
export const drawingOf = (record: Brief): Drawing => {
  const { length, body, parts, pegs } = outlineOf(record);
  return { length, body, parts, pegs };
};

/** Overall length used for laying out a unit whose length nobody knows. */
export const layoutLength = (record: Brief): number => bodyOf(record).frame.length;
