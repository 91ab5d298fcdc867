import type { Display, UnitKey } from '../../base/quantity/index.ts';
import type { Audience } from './audiences.ts';
import type { Choice } from './choice.ts';
import type { FeatureKind } from './states.ts';
import type { SchoolKey } from './schools.ts';
import type { UsualPlace } from './station-entry.ts';
import type { stations } from './stations.ts';

export type { Layer, Side, StationEntry, UsualPlace } from './station-entry.ts';

export type StationKey = (typeof stations)[number]['key'];
/** How a located thing is drawn. */
export type Shape =
  'inlet' | 'tank' | 'axle' | 'door' | 'slide' | 'awning' | 'battery' | 'cylinder';

/** What runs in it; the only colors inside the drawing. */
export type Medium = 'water' | 'waste' | 'gas' | 'power';

export interface Located extends UsualPlace {
  readonly shape: Shape;
  readonly medium?: Medium;
}

/**
 * Wordings of one sentence, the fullest first. Braces stand for values, as they are said:
 * `{}` for the entry's own and `{freshTank}` for another's (46 gallons), `{heaterTank-}` before a noun (six-gallon),
 * `{bunkCount:bunk}` for a count with its noun (two bunks), `{each:axle}` for how many of which size (two 3,500-pound
 * axles), `{:battery/batteries}` for a noun whose plural is not its singular and an s. The last needs no value: it is said
 * where none is known well enough to be said.
 */
export type Wordings = string | readonly [string, ...string[]];

/** Words that hold for some kinds of a thing: where the spec is one of these, or nobody knows which it is. */
export interface WordsIf {
  readonly words: string;
  /** A choice, or a counted size: `one` or `several`. */
  readonly spec: string;
  readonly is: readonly string[];
  /** Only where the kind is known. */
  readonly known?: true;
}
/** Words for every unit, or those that hold for its kind. */
export type Advice = string | readonly WordsIf[];

/** What is said of an entry: long words, which a page loads where it says them (`wordsFor`). */
export interface EntryWords {
  /** In plain words, for a newcomer. */
  readonly explain: string;
  /** How to check it on the lot. */
  readonly check: string;
  /** What it is easily taken for, as a sentence of its own. */
  readonly notToBeConfused?: Advice;
  /** Where it can hurt: the usual caution, deferring to label, local code and licensed people. */
  readonly caution?: Advice;
  /** What is normal where that worries people. */
  readonly normal?: string;
  /** What to demonstrate beside the card's sentence, and how long the doing takes. */
  readonly show?: { readonly what: string; readonly seconds: number };
  /** The card's sentence, where the thing has a card of its own: of a feature, when it is fitted. */
  readonly say?: Wordings;
  /** The whole sentence for some choices, where the choice's label does not fit into one. */
  readonly sayWhen?: Readonly<Record<string, string>>;
  /** Said when it is not fitted and a buyer would ask: that it is not there, and nothing that this merely suggests. */
  readonly lack?: string;
  /** The card's sentence where another feature, without which it does less, is recorded as not there. */
  readonly sayWithout?: Readonly<Record<string, string>>;
}

interface Entry extends Pick<
  EntryWords,
  'explain' | 'check' | 'notToBeConfused' | 'caution' | 'normal' | 'show'
> {
  readonly key: string;
  readonly label: string;
  /** The usual station; the unit's own place overrides it. */
  readonly station: StationKey;
  /** Asked for before the unit is shown to anybody. */
  readonly basic?: true;
  /**
   * May be put before somebody outside the yard: what anybody sees or reads on the unit itself. Never prices, papers, numbers of
   * the chassis, who inspected, or free text, where anything may be typed. What does not say so is the yard's own.
   */
  readonly public?: true;
  /** Each unit's own: no model sheet can say it. */
  readonly unitOnly?: true;
  /** Follows from a technician’s signature of the inspection; nobody types it. */
  readonly bySignature?: true;
  readonly located?: Located;
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
  /** Specs that are told on the same card: one thing, one card. */
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
      /** What is counted, where the number alone would not say it. */
      readonly noun?: 'month';
    }
  | { readonly kind: 'choice'; readonly choices: readonly Choice[] }
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

export interface SpecEntry extends Entry, Pick<EntryWords, 'say' | 'sayWhen'> {
  readonly value: ValueKind;
  /** A figure of our own business: not for guests, nor in anything published. */
  readonly ours?: true;
  /** Why it is not for speech; every other spec is told on some card. */
  readonly silent?: string;
}

export interface FeatureEntry extends Entry, Pick<EntryWords, 'lack' | 'sayWithout'> {
  /** What sort of thing it is, and so which states it can have: equipment where it does not say. */
  readonly kind?: FeatureKind;
  readonly say: Wordings;
  /** “a rear camera”: for “prepared for …”. */
  readonly noun: string;
  /** Features that make up for its lack. */
  readonly madeUpBy?: readonly string[];
  /** Where this holds another card says it already: there is none of its own. */
  readonly saidBy?: Omit<WordsIf, 'words'>;
}

/** An entry as its station's file has it: the station is the file's. */
export type AtStation<E extends Entry> = Omit<E, 'station'>;

/** What there is to know at one station. */
export interface StationEntries {
  readonly specs: readonly AtStation<SpecEntry>[];
  readonly features: readonly AtStation<FeatureEntry>[];
}
