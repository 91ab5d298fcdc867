import type { Display } from '../../../base/quantity/index.ts';
import type { StationKey } from '../types.ts';
import type { Concern } from './finding-kinds.ts';

/** One thing that is tried before a unit is operated in front of anybody. */
export interface InspectionItem {
  readonly key: string;
  readonly label: string;
  readonly station: StationKey;
  readonly concern: Concern;
  /** What is done, and what is to be seen. */
  readonly how: string;
  readonly caution?: string;
  /** The feature it is about: where that is not fitted, there is nothing to try. */
  readonly of?: string;
  /** What is measured, and between which values it usually lies, in the internal unit. */
  readonly measure?: {
    readonly display: Display;
    readonly from: number;
    readonly to: number;
  };
}

/**
 * The pre-delivery inspection, in the order of a walk round. Common practice: the maker's own list and local code
 * go before it, and gas, wiring, brakes and structure are for people licensed for them.
 */
export const inspectionItems = [
  {
    key: 'coupler',
    label: 'Coupler, latch and chains',
    station: 'hitch',
    concern: 'structure',
    how: 'The latch closes behind the ball and takes its pin; chains and hooks sound, crossed.',
    caution: 'Hands and feet out from under the tongue.',
  },
  {
    key: 'breakaway',
    label: 'Breakaway switch',
    station: 'hitch',
    concern: 'brakes',
    of: 'breakaway',
    how: 'With the plug out and the battery charged, pull the pin: the brakes hold. Put it back.',
    caution: 'Wheels chocked; do not leave the pin out, the brakes drain the battery and heat up.',
  },
  {
    key: 'lights',
    label: 'Running, brake and turn lights',
    station: 'hitch',
    concern: 'electrical',
    how: 'With a tow vehicle or a tester at the 7-way plug, one function after another.',
  },
  {
    key: 'jack',
    label: 'Tongue jack, up and down',
    station: 'hitch',
    concern: 'structure',
    of: 'tongueJack',
    how: 'Full travel, and the override by hand.',
  },
  {
    key: 'battery-volts',
    label: 'Battery at rest',
    station: 'hitch',
    concern: 'electrical',
    of: 'battery',
    how: 'Nothing switched on, off the charger for some hours, at the posts.',
    measure: { display: 'voltage', from: 12.2, to: 13.6 },
  },
  {
    key: 'gas-tight',
    label: 'Propane system holds pressure',
    station: 'hitch',
    concern: 'gas',
    how: 'Leak test by a licensed person, by local code; dated.',
    caution:
      'No flame, not soap alone, nobody unlicensed. If it smells: shut it off, get out, call.',
  },
  {
    key: 'brakes-work',
    label: 'Brakes on every wheel',
    station: 'running-gear',
    concern: 'brakes',
    how: 'Each wheel by itself, by whoever works on brakes.',
    caution: 'By a licensed person; chocked, on stands that are rated for it.',
  },
  {
    key: 'lug-torque',
    label: 'Lug nuts at their torque',
    station: 'running-gear',
    concern: 'tires',
    how: 'In a star pattern, with a wrench set to the maker’s figure; again after the first miles.',
    measure: { display: 'torque', from: 65, to: 140 },
  },
  {
    key: 'cold-pressure',
    label: 'Tires at the label’s cold pressure',
    station: 'running-gear',
    concern: 'tires',
    how: 'Cold, every wheel and the spare; write down the lowest.',
    measure: { display: 'pressure', from: 35, to: 110 },
  },
  {
    key: 'bearings',
    label: 'Hubs turn freely, no play',
    station: 'running-gear',
    concern: 'brakes',
    how: 'Wheel off the ground, by whoever is allowed to lift it; spin, listen, rock.',
    caution: 'Lift only where the maker says.',
  },
  {
    key: 'shore-power',
    label: 'Shore power: polarity and ground',
    station: 'utilities',
    concern: 'electrical',
    of: 'shoreInlet',
    how: 'A tester in an outlet inside; write down the volts under load.',
    caution: 'By somebody who may work on wiring.',
    measure: { display: 'voltage', from: 108, to: 126 },
  },
  {
    key: 'water-tight',
    label: 'Water system holds pressure',
    station: 'utilities',
    concern: 'water',
    of: 'cityWater',
    how: 'Pump on, all faucets shut: it stops and stays stopped. Then feel each joint with a dry hand.',
  },
  {
    key: 'tanks-drain',
    label: 'Dump valves open, close and hold',
    station: 'utilities',
    concern: 'water',
    of: 'dumpOutlet',
    how: 'Each valve by its own handle; nothing drips at the cap.',
  },
  {
    key: 'water-heater',
    label: 'Water heater',
    station: 'utilities',
    concern: 'gas',
    of: 'waterHeater',
    how: 'Fill it first: water at the relief lever while it’s cold. Then on gas and on electric, as fitted.',
    caution: 'Never run the element dry; never lift the relief lever on hot water.',
  },
  {
    key: 'slide',
    label: 'Slide, out and in',
    station: 'utilities',
    concern: 'structure',
    of: 'slide',
    how: 'Clear inside and out, level, on power; all the way both ways; show the override to whoever signs.',
    caution: 'Nobody in its way, inside or out.',
  },
  {
    key: 'awning',
    label: 'Awning, out and in',
    station: 'door-side',
    concern: 'structure',
    of: 'awning',
    how: 'In still air; arms clear of the door; stop when the valance hangs straight.',
    caution: 'Not in wind.',
  },
  {
    key: 'steps',
    label: 'Steps and grab handle',
    station: 'entry',
    concern: 'structure',
    of: 'steps',
    how: 'Unfolded, locked, level; somebody stands on each.',
  },
  {
    key: 'stabilizers',
    label: 'Stabilizers',
    station: 'underside',
    concern: 'structure',
    of: 'stabilizers',
    how: 'Each one down to a board and back up. They steady; they don’t lift.',
  },
  {
    key: 'roof-seals',
    label: 'Roof seams and seals',
    station: 'roof',
    concern: 'water',
    how: 'Every seam, vent and light, from a ladder or on a walk-on roof; dated.',
    caution: 'Never on ice, never alone.',
  },
  {
    key: 'moisture',
    label: 'Moisture around corners and openings',
    station: 'construction',
    concern: 'water',
    how: 'The meter at each corner, window and vent, and a dry place for comparison.',
  },
  {
    key: 'air-conditioner',
    label: 'Air conditioner cools',
    station: 'roof',
    concern: 'electrical',
    how: 'On for 15 minutes; compare air in with air out.',
  },
  {
    key: 'converter',
    label: 'Converter charges',
    station: 'climate',
    concern: 'electrical',
    of: 'converter',
    how: 'On shore power, at the battery.',
    measure: { display: 'voltage', from: 13.2, to: 14.8 },
  },
  {
    key: 'furnace',
    label: 'Furnace lights and runs a cycle',
    station: 'climate',
    concern: 'gas',
    of: 'furnaceFitted',
    how: 'Three tries are normal after a cylinder change; exhaust clear and hot.',
    caution: 'By a licensed person where code asks for one.',
  },
  {
    key: 'fridge',
    label: 'Fridge gets cold',
    station: 'kitchen',
    concern: 'electrical',
    of: 'fridge',
    how: 'On each power source; check a thermometer after its cool-down time.',
    measure: { display: 'temperature', from: 272, to: 279 },
  },
  {
    key: 'cooktop',
    label: 'Cooktop burns blue',
    station: 'kitchen',
    concern: 'gas',
    of: 'cooktop',
    how: 'Each burner, fan on and a window open.',
    caution: 'Never use it for heat.',
  },
  {
    key: 'toilet-shower',
    label: 'Toilet, shower and drains',
    station: 'bath',
    concern: 'water',
    of: 'toilet',
    how: 'Water in, water out, no leaks; the toilet seal holds a cup of water.',
  },
  {
    key: 'alarms',
    label: 'Smoke, CO and LP alarms sound',
    station: 'safety',
    concern: 'gas',
    how: 'By their buttons; dates read off the back.',
  },
  {
    key: 'extinguisher',
    label: 'Extinguisher charged',
    station: 'safety',
    concern: 'electrical',
    of: 'extinguisher',
    how: 'Needle in the green, pin and date.',
  },
  {
    key: 'gfci',
    label: 'GFCI trips and resets',
    station: 'safety',
    concern: 'electrical',
    of: 'gfci',
    how: 'Press its test button; the outlets after it go dead.',
  },
  {
    key: 'egress',
    label: 'Egress window opens',
    station: 'safety',
    concern: 'structure',
    of: 'egress',
    how: 'Opened once from inside, and closed.',
  },
] as const satisfies readonly InspectionItem[];

export type InspectionKey = (typeof inspectionItems)[number]['key'];

export const isInspectionKey = (key: string): key is InspectionKey =>
  inspectionItems.some((item) => item.key === key);

export const inspectionItem = (key: InspectionKey): InspectionItem =>
  inspectionItems.find((item) => item.key === key) as InspectionItem;
