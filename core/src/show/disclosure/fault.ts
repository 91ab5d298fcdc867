import type { FeatureKey, SpecKey, StationKey } from '../../unit/catalog/index.ts';

/** Something wrong with a unit, in the words in which a buyer is told, whoever or whatever found it. */
export interface Fault {
  /** `findings.<id>`, `checks.<rule>`, `inspection.<item>` or `faulty.<feature>`. */
  readonly id: string;
  readonly title: string;
  readonly where: StationKey;
  readonly text: string;
  /** Told before anything else. */
  readonly first: boolean;
  /** The fields it tells of: they are told no second time. */
  readonly about: readonly (SpecKey | FeatureKey)[];
}
