import { sentence } from '@fair-gable/core/base/problems';
import { formatQuantity, parseQuantity, type System } from '@fair-gable/core/base/quantity';
import type { ItemOn } from '@fair-gable/core/unit/condition';
import type { Change, InspectionResult } from '@fair-gable/core/unit/record';

/** One item of the inspection as it is typed. */
export interface ItemDraft {
  measured: string;
  note: string;
  /** The version that was on the screen when the typing began: what others do meanwhile is not overwritten. */
  basedOn?: number;
}

/** What is known of an item, as it would be typed; nothing of none. */
export const itemAsTyped = (on: ItemOn | undefined, system: System): ItemDraft => {
  const { measured, note = '' } = on?.entry?.value ?? {};
  const display = on?.item.measure?.display;
  const isFigure = measured !== undefined && display !== undefined;
  return {
    measured: isFigure ? formatQuantity(measured, display, system) : '',
    note,
    basedOn: on?.entry?.version ?? 0,
  };
};

/** The change that keeps how an item came out, or the sentence that says what is wanted for it. */
export const itemChange = (
  { item, entry }: ItemOn,
  result: InspectionResult,
  typed: ItemDraft,
  system: System,
): Change | string => {
  const note = typed.note.trim();
  if (result === 'not-tried' && !note) {
    return `${item.label}: say in a few words why it was not tried, such as “winterized” or “no gas on the lot”.`;
  }
  const isFigure = item.measure !== undefined && typed.measured.trim() !== '';
  const read = isFigure ? parseQuantity(typed.measured, item.measure.display, system) : undefined;
  if (read && !read.ok) return sentence(item.label, read.problem);
  return {
    part: 'inspection',
    key: item.key,
    value: { result, ...(read ? { measured: read.value } : {}), ...(note ? { note } : {}) },
    how: 'seen',
    basedOn: typed.basedOn ?? entry?.version ?? 0,
  };
};

/** The item after one, where it is still open: nobody is led to what is decided. */
export const openAfter = (items: readonly ItemOn[], key: string): ItemOn | undefined => {
  const next = items[items.findIndex(({ item }) => item.key === key) + 1];
  return next && !next.entry ? next : undefined;
};
