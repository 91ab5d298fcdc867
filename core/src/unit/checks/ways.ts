import { inText } from '../../base/words/index.ts';
import { entryFor, type FeatureKey, type HowKnown, type SpecKey } from '../catalog/index.ts';
import { formatSpec, type Change, type SpecValue, type UnitRecord } from '../record/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import type { Way } from './types.ts';

/** A button that puts another value in, known in the same way as the one it replaces. */
export const enter = (
  record: UnitRecord,
  field: SpecKey,
  value: SpecValue,
  system: System,
): Way => {
  const entry = record.specs[field];
  const how: HowKnown = entry?.how ?? 'read';
  const change: Change = {
    part: 'specs',
    key: field,
    value,
    how,
    basedOn: entry?.version ?? 0,
  };
  return {
    kind: 'enter',
    label: `Use ${formatSpec(field, value, system, 'read')}`,
    changes: [change],
  };
};

/** A button that leads to a field, to correct or prove it. */
export const goTo = (field: SpecKey | FeatureKey, label?: string): Way => ({
  kind: 'go',
  field,
  label: label ?? `Go to ${inText(entryFor(field).label)}`,
});

/** A button that lets the numbers stand with a reason. */
export const withReason = (label = 'It’s right: say why', suggested?: string): Way =>
  suggested === undefined ? { kind: 'reason', label } : { kind: 'reason', label, suggested };

/** Weights, the commonest number in a sentence. */
export const pounds = (amount: number, system: System): string =>
  formatQuantity(amount, 'weight', system);
