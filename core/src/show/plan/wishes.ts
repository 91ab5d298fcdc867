import type { NeedKey } from '../cards/index.ts';
import type { Audience } from '../../unit/catalog/index.ts';
import { usualRoute } from '../../unit/route/index.ts';

/** What somebody wants of a walk. */
export interface Wishes {
  readonly minutes: number;
  readonly audiences: readonly Audience[];
  /** The key of a route. */
  readonly route: string;
  /** What is out or plugged in already. */
  readonly ready: readonly NeedKey[];
  /** Cards that are given whatever they are worth, by id, and those that are not. */
  readonly pinned: readonly string[];
  readonly dropped: readonly string[];
}

export const usualWishes: Wishes = {
  minutes: 15,
  audiences: [],
  route: usualRoute.key,
  ready: [],
  pinned: [],
  dropped: [],
};

/** With cards wished in or out: that goes before what they are worth. */
export const withCards = (wishes: Wishes, ids: readonly string[], isIn: boolean): Wishes => {
  const others = (list: readonly string[]): readonly string[] =>
    list.filter((id) => !ids.includes(id));
  const pinned = others(wishes.pinned);
  const dropped = others(wishes.dropped);
  return isIn
    ? { ...wishes, pinned: [...pinned, ...ids], dropped }
    : { ...wishes, pinned, dropped: [...dropped, ...ids] };
};

/** Every card by its worth alone. */
export const withoutCards = (wishes: Wishes): Wishes => ({ ...wishes, pinned: [], dropped: [] });

export const hasCards = ({ pinned, dropped }: Wishes): boolean =>
  pinned.length + dropped.length > 0;

/** What can be said to be ready before a walk. */
export const readyNeeds = ['slide', 'awning', 'power'] as const satisfies readonly NeedKey[];

/** Said to be ready, or no longer. */
export const withReady = (wishes: Wishes, key: NeedKey): Wishes => {
  const others = wishes.ready.filter((one) => one !== key);
  const was = others.length < wishes.ready.length;
  return { ...wishes, ready: was ? others : [...others, key] };
};
