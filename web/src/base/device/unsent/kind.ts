import type { System } from '@fair-gable/core/base/quantity';
import type { UnitNow } from '@fair-gable/core/unit/record';
import type { Unsent } from '../device.ts';

export type KindOf = Unsent['kind'];
export type ItemOf<K extends KindOf> = Extract<Unsent, { kind: K }>;

/** What something means to whoever reads what is not sent. */
export interface InWords {
  readonly what: string;
  readonly where: string;
}

/** Something that waits to be sent: all there is to one kind of it. */
export interface UnsentKind<K extends KindOf> {
  readonly kind: K;
  /** Photos and sounds go last: what was typed does not wait for them. */
  readonly isLarge: boolean;
  /** Whether another goes in the same request. */
  readonly takesAlong?: (first: ItemOf<K>, next: ItemOf<K>) => boolean;
  /**
   * Sends some in one request; several only where one takes others along.
   * @returns the unit as the server has it now, where a unit was sent
   * @throws Refused, NoNetwork
   */
  readonly send: (items: readonly [ItemOf<K>, ...ItemOf<K>[]]) => Promise<UnitNow | undefined>;
  /** @param nameOf the name of a unit by its id */
  readonly describe: (item: ItemOf<K>, nameOf: (unit: string) => string, system: System) => InWords;
  /** The walk that is kept on the device for it, also when its person signs out. */
  readonly walk?: (item: ItemOf<K>) => string;
  /** What of it lies beside the queue, and goes where it is left out for good. */
  readonly beside?: (item: ItemOf<K>) => {
    readonly store: 'pictures' | 'memos';
    readonly key: string;
  };
}

/** A kind, held to what it says. */
export const unsentKind = <K extends KindOf>(kind: UnsentKind<K>): UnsentKind<K> => kind;
