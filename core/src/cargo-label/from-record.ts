import { givenOf, sumOf, type Given } from '../numbers/index.ts';
import { hasFeature, textOf, type UnitRecord } from '../record/index.ts';
import type { CargoLabelInput } from './cargo-label.ts';

const waterOf = (record: UnitRecord): Given | undefined => {
  const [fresh, heater] = [givenOf(record, 'freshTank'), givenOf(record, 'heaterTank')];
  if (!fresh) return heater;
  return heater ? { amount: fresh.amount + heater.amount, how: fresh.how } : fresh;
};

const fittedOf = (record: UnitRecord): Given | undefined => {
  const lines = Object.values(record.fitted).flatMap((entry) => entry ?? []);
  const amount = lines.reduce((sum, { value }) => sum + value.weight, 0);
  return lines.length > 0 ? { amount, how: 'seen' } : givenOf(record, 'fittedWeight');
};

/** A unit's own label, as the question wants it. What was fitted is its ledger, else the sum that was typed. */
export const cargoLabelInputOf = (record: UnitRecord): CargoLabelInput => {
  const entries: Readonly<Record<string, Given | undefined>> = {
    gvwr: givenOf(record, 'gvwr'),
    uvw: givenOf(record, 'uvw'),
    ccc: givenOf(record, 'ccc'),
    propane: sumOf(record, 'lpCylinders'),
    water: waterOf(record),
    fitted: fittedOf(record),
  };
  return {
    ...Object.fromEntries(Object.entries(entries).filter(([, given]) => given)),
    battery: hasFeature(record, 'battery'),
    used: textOf(record, 'condition') === 'used',
  };
};
