import type { HowKnown, Spec } from '@fair-gable/core/unit/catalog';
import {
  entryAfter,
  isSameValue,
  knownOtherwise,
  type Change,
  type Entry,
  type SpecValue,
} from '@fair-gable/core/unit/record';

/** A spec as it is typed, at the desk or on the lot: the same draft in both. */
export interface SpecDraft {
  text: string;
  how: HowKnown;
  /** The version that was on the screen when the typing began: what others do meanwhile is not overwritten. */
  basedOn: number;
}

type Known = Entry<SpecValue> | undefined;
type How = Pick<SpecDraft, 'how' | 'basedOn'>;

/** The change that says a spec's value as typed; null takes it back. */
export const specChange = (
  { key }: Spec,
  value: SpecValue | null,
  { how, basedOn }: How,
): Extract<Change, { part: 'specs' }> => ({ part: 'specs', key, value, how, basedOn });

/** Another source says otherwise and would stay: both would be kept, the better one shown. */
export const isDisputedBy = (spec: Spec, known: Known, value: SpecValue, draft: How): boolean => {
  if (known && isSameValue(known.value, value)) return false;
  const after = entryAfter(known, specChange(spec, value, draft), { by: '', at: '', version: 1 });
  return Boolean(after?.others?.length);
};

/** What *Keep* keeps: the value as typed, or only how it is known where the value is the same. */
export const keptSpec = (spec: Spec, known: Known, value: SpecValue, draft: How): Change => {
  if (!known || !isSameValue(known.value, value)) return specChange(spec, value, draft);
  return { ...knownOtherwise('specs', spec.key, known, draft.how), basedOn: draft.basedOn };
};

/** The same in place of all that others say of it. */
export const inPlaceOfOthers = (spec: Spec, value: SpecValue, draft: How): Change => ({
  ...specChange(spec, value, draft),
  others: [],
});
