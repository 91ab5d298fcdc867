import type { FeatureKey } from '@fair-gable/core/unit/catalog';
import type { Change, UnitRecord } from '@fair-gable/core/unit/record';

/** Where loose items are kept as it is typed, by item; an older page kept the text alone. */
export type StowingDraft = Readonly<
  Record<string, string | { readonly text: string; readonly basedOn: number }>
>;

const versionIn = (record: UnitRecord, key: FeatureKey): number => record.stowed[key]?.version ?? 0;

/** The version that was on the screen when the typing of an item began: what others do meanwhile is not overwritten. */
const basedOn = (draft: StowingDraft, record: UnitRecord, key: FeatureKey): number => {
  const typed = draft[key];
  return typeof typed === 'object' ? typed.basedOn : versionIn(record, key);
};

/** What is typed of an item; undefined where nothing is. */
export const stowingText = (draft: StowingDraft, key: FeatureKey): string | undefined => {
  const typed = draft[key];
  return typeof typed === 'object' ? typed.text : typed;
};

export const withStowing = (
  draft: StowingDraft,
  record: UnitRecord,
  key: FeatureKey,
  text: string,
): StowingDraft => ({ ...draft, [key]: { text, basedOn: basedOn(draft, record, key) } });

export const withoutStowing = (draft: StowingDraft, key: FeatureKey): StowingDraft =>
  Object.fromEntries(Object.entries(draft).filter(([of]) => of !== key));

/** The change that keeps what was typed of an item; undefined where the record says so already. */
export const stowingChange = (
  draft: StowingDraft,
  record: UnitRecord,
  key: FeatureKey,
): Change | undefined => {
  const text = (stowingText(draft, key) ?? '').trim();
  if (text === (record.stowed[key]?.value.where ?? '')) return undefined;
  const value = text ? { where: text } : null;
  return { part: 'stowed', key, value, how: 'seen', basedOn: basedOn(draft, record, key) };
};
