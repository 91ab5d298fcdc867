import { sentence } from '@fair-gable/core/base/problems';
import { featureEntry, isFeatureKey, isSpecKey, specEntry } from '@fair-gable/core/unit/catalog';
import { changeProblem, type Change } from '@fair-gable/core/unit/record';
import { Refusal } from '../../base/problems/index.ts';

const fieldLabel = (key: string): string => {
  if (isSpecKey(key)) return specEntry(key).label;
  return isFeatureKey(key) ? featureEntry(key).label : key;
};

/** The sentence for a change that the catalog cannot take, by the core's own wording. */
const changeSentence = (body: unknown): string | undefined => {
  const changes = (body as { changes?: Change[] } | null)?.changes;
  if (!Array.isArray(changes)) return undefined;
  for (const change of changes) {
    try {
      const problem = changeProblem(change);
      if (problem) return sentence(fieldLabel(change.key), problem);
    } catch {
      return undefined;
    }
  }
  return undefined;
};

/** What is said of a change that cannot be taken, and of labels that two units cannot share. */
export const ownWords = {
  constraints: {
    unit_stock_number: new Refusal(
      'stock-number-taken',
      'Stock number: another unit in stock has it. Give this one another, or correct the other one first.',
    ),
    unit_vin: new Refusal(
      'vin-taken',
      'VIN: another unit in stock has it. Read both labels again; one was misread or entered twice.',
    ),
  },
  refusedBody: changeSentence,
};
