import { sentence } from '@fair-gable/core/base/problems';
import { parseQuantity, type System } from '@fair-gable/core/base/quantity';
import { isFeatureKey } from '@fair-gable/core/unit/catalog';
import type { Fitted } from '@fair-gable/core/unit/record';

/** A line of the ledger as it is typed. */
export interface FittedDraft {
  what: string;
  feature: string | null;
  weight: string;
  back: string;
  on: string;
  side: Fitted['side'];
}

/** What was fitted, as typed, or the sentence that says what of it can’t be read. */
export const typedFitted = (draft: FittedDraft, system: System): Fitted | string => {
  const { feature, side, on } = draft;
  const weight = parseQuantity(draft.weight, 'weight', system);
  if (!weight.ok) return sentence('Weight', weight.problem);
  const back = draft.back.trim() ? parseQuantity(draft.back, 'feet', system) : undefined;
  if (back && !back.ok) return sentence('Back from the coupler', back.problem);
  return {
    what: draft.what.trim(),
    weight: weight.value,
    on,
    ...(feature && isFeatureKey(feature) ? { feature } : {}),
    ...(back ? { back: back.value } : {}),
    ...(side ? { side } : {}),
  };
};
