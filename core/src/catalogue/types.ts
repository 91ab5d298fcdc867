import type { Display, UnitKey } from '../quantity/index.ts';
import type { Audience } from './audiences.ts';
import type { SchoolKey } from './schools.ts';
import type { UsualPlace } from './station-entry.ts';
import type { stations } from './stations.ts';

export type { Layer, Side, StationEntry, UsualPlace } from './station-entry.ts';

export type StationKey = (typeof stations)[number]['key'];
/** How a located thing is drawn. */
export type Shape =
  'inlet' | 'tank' | 'axle' | 'door' | 'slide' | 'awning' | 'battery' | 'cylinder';

/** What runs in it; the only colours inside the drawing. */
export type Medium = 'water' | 'waste' | 'gas' | 'power';

export interface Located extends UsualPlace {
  readonly shape: Shape;
  readonly medium?: Medium;
}

interface Entry {
  readonly key: string;
  readonly label: string;
  /** In plain words, for a newcomer. */
  readonly explain: string;
  /** The usual station; the unit's own place overrides it. */
  readonly station: StationKey;
  /** Asked for before the unit is shown to anybody. */
  readonly basic?: true;
  /** Each unit's own: no model sheet can say it. */
  readonly unitOnly?: true;
  /** How to check it on the lot. */
  readonly check: string;
  readonly notToBeConfused?: string;
  /** Where it can hurt: the usual caution, deferring to label, local code and licensed people. */
  readonly caution?: string;
  readonly located?: Located;
  /** What is normal where that worries people. */
  readonly normal?: string;
  /** Who cares most; empty where it matters to everyone alike. */
  readonly audiences: readonly Audience[];
  /** The disagreement among practitioners that it belongs to. */
  readonly school?: SchoolKey;
  /** The feature it belongs to: where that is not fitted, there is nothing to know here. */
  readonly partOf?: string;
  /** Nothing to know where another spec says so: no tank where the heater is tankless. */
  readonly unless?: { readonly spec: string; readonly is: string };
  /** On units with at least so many axles only. */
  readonly fromAxles?: number;
  /** What to demonstrate beside the card's sentence, and how long the doing takes. */
  readonly show?: { readonly what: string; readonly seconds: number };
  /** Other specs whose numbers stand on the same card. */
  readonly numbers?: readonly string[];
}

export interface Plausible {
  readonly from: number;
  readonly to: number;
  readonly unit: UnitKey;
}

export type ValueKind =
  | { readonly kind: 'text'; readonly limit: number }
  /** A calendar date, to the month or to the day. */
  | { readonly kind: 'date'; readonly to: 'month' | 'day' }
  | {
      readonly kind: 'number';
      readonly plausible: { readonly from: number; readonly to: number };
      /** Whole units of the yard's currency. */
      readonly money?: true;
    }
  | { readonly kind: 'choice'; readonly choices: readonly { key: string; label: string }[] }
  | { readonly kind: 'quantity'; readonly display: Display; readonly plausible: Plausible }
  | {
      readonly kind: 'counted';
      readonly display: Display;
      /** Of each. */
      readonly plausible: Plausible;
      readonly counts: { readonly from: number; readonly to: number };
    }
  | {
      readonly kind: 'size';
      readonly display: Display;
      /** What each number is, in the order typed: wide, high, deep. */
      readonly sides: readonly string[];
      /** Of each side. */
      readonly plausible: Plausible;
    };

export interface SpecEntry extends Entry {
  readonly value: ValueKind;
  /** A figure of our own business: not for guests, nor in anything published. */
  readonly ours?: true;
  /** The card's sentence; `{}` stands for the value. Without it the number only appears on others' cards. */
  readonly say?: string;
}

export interface FeatureEntry extends Entry {
  /** “a rear camera”: for “prepared for …”. */
  readonly noun: string;
  /** The card's sentence when it is fitted. */
  readonly say: string;
  /** Said when it is not fitted and a buyer would ask. */
  readonly lack?: string;
  /** Features that make up for its lack. */
  readonly madeUpBy?: readonly string[];
}

/** An entry as its station's file has it: the station is the file's. */
export type AtStation<E extends Entry> = Omit<E, 'station'>;

/** What there is to know at one station. */
export interface StationEntries {
  readonly specs: readonly AtStation<SpecEntry>[];
  readonly features: readonly AtStation<FeatureEntry>[];
}
