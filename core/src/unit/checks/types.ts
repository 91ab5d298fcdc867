import type { FeatureKey, SpecKey } from '../catalog/index.ts';
import type { Change, UnitRecord } from '../record/index.ts';
import type { System } from '../../base/quantity/index.ts';

/** Who looks, and when: the core has no clock of its own. */
export interface Look {
  /** The reader's units, for the sentences. */
  readonly system: System;
  /** Today, `2026-04-15`; alarms and tires are held against it. */
  readonly today: string;
  /** Where the yard stands: on which day something was written goes by it. */
  readonly timeZone?: string;
}

/** Wrong cannot be true; doubtful is unlikely; a look is explained or harmless but worth knowing. */
export type Severity = 'wrong' | 'doubtful' | 'look';

/** A way to settle an objection, a button in the margin. */
export type Way =
  | { readonly kind: 'enter'; readonly label: string; readonly changes: readonly Change[] }
  | { readonly kind: 'go'; readonly label: string; readonly field: SpecKey | FeatureKey }
  | { readonly kind: 'reason'; readonly label: string; readonly suggested?: string };

/** What one rule has to say about one field. */
export interface RuleFinding {
  readonly field: SpecKey | FeatureKey;
  readonly severity: Severity;
  readonly title: string;
  /** One or two sentences with the numbers in them. */
  readonly sentence: string;
  readonly ways: readonly Way[];
}

export interface Rule {
  readonly key: string;
  /** In a few words, for a list of the checks. */
  readonly about: string;
  /** The fields it reads: it is given no others, and is run when one of them changes. */
  readonly needs: readonly (SpecKey | FeatureKey)[];
  /** Fields it looks at besides, for its words or for whether it applies: a note that was let stand stays so when they change. */
  readonly besides?: readonly (SpecKey | FeatureKey)[];
  /** Whole parts of the record that it reads besides; `others`: what worse sources say of its fields. */
  readonly reads?: readonly (
    'features' | 'places' | 'others' | 'wheels' | 'inspection' | 'signatures' | 'photos'
  )[];
  /** It looks at each field by itself, so only that field's value brings a settled one back. */
  readonly fieldByField?: true;
  /**
   * What nobody says while its finding is open: the field itself, or figures of which one must be wrong where they
   * cannot all be so.
   */
  readonly doubts?: 'its field' | readonly SpecKey[];
  readonly source: string;
  /** @param record what it needs and reads of the record, and nothing else */
  readonly test: (record: UnitRecord, look: Look) => readonly RuleFinding[];
}

/** A finding that stands in the margin. */
export interface Objection extends RuleFinding {
  /** Rule and field: `ccc-identity:ccc`. */
  readonly id: string;
  readonly rule: string;
  /** The values it was raised for; when they change, a settled one comes back. */
  readonly inputs: string;
  /** Those of its fields that are only guessed: what it says is no better than they are. */
  readonly guesses: readonly SpecKey[];
  /** The reason it was let stand, while its inputs are the same. */
  readonly settled?: { readonly reason: string; readonly by: string; readonly at: string };
}
