import type { StationKey, StationEntries } from '../types.ts';
import { bath } from './bath.ts';
import { bedroom } from './bedroom.ts';
import { bunks } from './bunks.ts';
import { climate } from './climate.ts';
import { construction } from './construction.ts';
import { controlPanel } from './control-panel.ts';
import { doorSide } from './door-side.ts';
import { entry } from './entry.ts';
import { front } from './front.ts';
import { garage } from './garage.ts';
import { hitch } from './hitch.ts';
import { kitchen } from './kitchen.ts';
import { labels } from './labels.ts';
import { living } from './living.ts';
import { looseItems } from './loose-items.ts';
import { outsideKitchen } from './outside-kitchen.ts';
import { papers } from './papers.ts';
import { passThrough } from './pass-through.ts';
import { rear } from './rear.ts';
import { roof } from './roof.ts';
import { runningGear } from './running-gear.ts';
import { safety } from './safety.ts';
import { underside } from './underside.ts';
import { utilities } from './utilities.ts';

/**
 * What there is to know of a unit, station by station: a file for each. Plausible ranges and cautions are
 * common practice among practitioners; ranges raise a doubt and never refuse, and label, maker's manual and
 * local code decide.
 */
export const byStation = {
  hitch,
  front,
  'pass-through': passThrough,
  'door-side': doorSide,
  entry,
  'outside-kitchen': outsideKitchen,
  'running-gear': runningGear,
  underside,
  rear,
  utilities,
  labels,
  roof,
  construction,
  'control-panel': controlPanel,
  kitchen,
  living,
  bedroom,
  bunks,
  bath,
  climate,
  safety,
  garage,
  'loose-items': looseItems,
  papers,
} as const satisfies Record<StationKey, StationEntries>;

type Entries = (typeof byStation)[StationKey];
export type SpecKey = Entries['specs'][number]['key'];
export type FeatureKey = Entries['features'][number]['key'];
