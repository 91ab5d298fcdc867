import { z } from 'zod';
import { stations, type Layer, type Side, type StationKey } from '../catalog/index.ts';
import {
  hitchFirstDoorSide,
  isOnRing,
  layoutLength,
  stationPlaces,
  type StationPlace,
} from '../outline/index.ts';
import type { UnitRecord } from '../record/index.ts';

/** A part of a walk. What is named stands there wherever it is on the unit; the rest follows the unit's own places. */
interface Leg {
  readonly key: string;
  readonly label: string;
  readonly stations?: readonly StationKey[];
  readonly side?: Side;
  readonly layer?: Layer;
}

export const legs = [
  { key: 'numbers', label: 'The labels', stations: ['labels'] },
  { key: 'build', label: 'How it is built', stations: ['construction'] },
  { key: 'utilities', label: 'Hookups and tanks', stations: ['utilities'] },
  { key: 'hitch', label: 'Hitch and front', side: 'front' },
  { key: 'door', label: 'Door side', side: 'door' },
  { key: 'rear', label: 'Rear', side: 'rear' },
  { key: 'off-door', label: 'Off-door side', side: 'off-door' },
  { key: 'roof', label: 'Roof', layer: 'roof' },
  { key: 'inside', label: 'Inside', layer: 'inside' },
  { key: 'papers', label: 'Paperwork and loose items', layer: 'papers' },
] as const satisfies readonly Leg[];
export type LegKey = (typeof legs)[number]['key'];

const legKeys = legs.map(({ key }) => key) as [LegKey, ...LegKey[]];

/** A route that has a name; a yard may write its own. */
export const routeSchema = z.strictObject({
  key: z.string().regex(/^[a-z0-9-]{3,40}$/),
  label: z.string().trim().min(1).max(60),
  legs: z
    .array(z.enum(legKeys))
    .min(1)
    .max(legKeys.length)
    .refine((all) => new Set(all).size === all.length, 'Each part of a route once.'),
  /** Whether the slide goes in at the end, to show what can still be reached on the road. */
  endsClosed: z.boolean(),
});
export interface Route {
  readonly key: string;
  readonly label: string;
  readonly legs: readonly LegKey[];
  readonly endsClosed: boolean;
}

const ring = ['hitch', 'door', 'rear', 'off-door'] as const;
const backwards = ['hitch', 'off-door', 'rear', 'door'] as const;
const within = ['roof', 'build', 'inside', 'papers'] as const;

/** The schools of practitioners; the first is the most common. */
export const usualRoutes: readonly Route[] = [
  {
    key: 'hitch-door',
    label: 'Hitch first, door side',
    legs: [...ring, ...within],
    endsClosed: false,
  },
  {
    key: 'hitch-off-door',
    label: 'Hitch first, off-door side',
    legs: [...backwards, ...within],
    endsClosed: false,
  },
  {
    key: 'inside-first',
    label: 'Inside first',
    legs: ['inside', ...ring, 'roof', 'build', 'papers'],
    endsClosed: false,
  },
  {
    key: 'inside-middle',
    label: 'Inside in the middle',
    legs: ['numbers', 'inside', ...ring, 'roof', 'build', 'papers'],
    endsClosed: false,
  },
  {
    key: 'numbers-first',
    label: 'Numbers first',
    legs: ['numbers', ...ring, ...within],
    endsClosed: false,
  },
  {
    key: 'build-first',
    label: 'Build first',
    legs: ['build', ...ring, 'roof', 'inside', 'papers'],
    endsClosed: false,
  },
  {
    key: 'utilities-first',
    label: 'Utilities first',
    legs: ['utilities', 'hitch', 'off-door', 'rear', 'door', ...within],
    endsClosed: false,
  },
];

/** A yard's routes: the usual ones, each as the yard has written it, then its own. */
export const routesOf = (own: readonly Route[]): readonly Route[] => {
  const written = new Map(own.map((route) => [route.key, route]));
  const usual = new Set(usualRoutes.map(({ key }) => key));
  return [
    ...usualRoutes.map((route) => written.get(route.key) ?? route),
    ...own.filter(({ key }) => !usual.has(key)),
  ];
};

const rowOf = (key: LegKey): Leg => legs.find((leg) => leg.key === key) as Leg;

/** One goes round one way: the side that comes first from the hitch to the rear, the other back. */
const goesBack = (order: readonly LegKey[], side: Side): boolean => {
  const [door, off] = [order.indexOf('door'), order.indexOf('off-door')];
  const isSecond = side === 'door' ? off >= 0 && off < door : door >= 0 && door < off;
  return (side === 'door' || side === 'off-door') && isSecond;
};

const ofLeg = (leg: Leg, place: StationPlace): boolean => {
  if (leg.stations) return leg.stations.includes(place.station.key);
  if (leg.side) return isOnRing(place.station) && place.side === leg.side;
  return place.station.layer === leg.layer;
};

/**
 * The stations of a unit in the order of a route. What no part of it names comes at the end, so that nothing is lost.
 * @example stationsOn(record, usualRoutes[0])[0] // 'hitch'
 */
export const stationsOn = (record: UnitRecord, { legs: order }: Route): readonly StationKey[] => {
  const places = stationPlaces(record, layoutLength(record));
  const named = order.map(rowOf).filter((leg) => leg.stations);
  const isNamed = (place: StationPlace): boolean => named.some((leg) => ofLeg(leg, place));
  const walked = order.flatMap((key) => {
    const leg = rowOf(key);
    const here = places.filter((place) => ofLeg(leg, place) && (leg.stations || !isNamed(place)));
    if (!leg.side) return here.map(({ station }) => station.key);
    const way = goesBack(order, leg.side) ? -1 : 1;
    return here.toSorted((a, b) => way * (a.back - b.back)).map(({ station }) => station.key);
  });
  const rest = stations.map(({ key }) => key).filter((key) => !walked.includes(key));
  return [...walked, ...rest];
};

/** Stations in the order of the most common route: hitch first, door side. */
export const routeOf = (record: UnitRecord): readonly StationKey[] =>
  hitchFirstDoorSide(stationPlaces(record, layoutLength(record)));

/** The most common route. */
export const usualRoute = usualRoutes[0] as Route;

/** A route with one part moved; as it is where there is no such place. */
export const movedLeg = (route: Route, from: number, to: number): Route => {
  const leg = route.legs[from];
  if (!leg || to < 0 || to >= route.legs.length) return route;
  const rest = route.legs.filter((_, at) => at !== from);
  return { ...route, legs: [...rest.slice(0, to), leg, ...rest.slice(to)] };
};
