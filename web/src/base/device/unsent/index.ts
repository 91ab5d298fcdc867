import type { System } from '@fair-gable/core/base/quantity';
import type { Unsent } from '../device.ts';
import { edit } from './edit.ts';
import { event } from './event.ts';
import type { InWords, KindOf, UnsentKind } from './kind.ts';
import { memo } from './memo.ts';
import { photo } from './photo.ts';
import { plan } from './plan.ts';
import { unit } from './unit.ts';

/** All that can wait, by kind. */
export const unsentKinds: { readonly [K in KindOf]: UnsentKind<K> } = {
  plan,
  event,
  unit,
  edit,
  photo,
  memo,
};

/** The kind of an item; undefined for one that a newer page left, and sends. */
export const kindOf = (item: Unsent): UnsentKind<KindOf> | undefined =>
  unsentKinds[item.kind] as unknown as UnsentKind<KindOf> | undefined;

/**
 * What somebody did, in words, for the list of what is not sent.
 * @param nameOf the name of a unit by its id
 */
export const describe = (item: Unsent, nameOf: (unit: string) => string, system: System): InWords =>
  kindOf(item)?.describe(item, nameOf, system) ?? {
    what: 'something from a newer version of this page; reload the page to send it',
    where: '',
  };
