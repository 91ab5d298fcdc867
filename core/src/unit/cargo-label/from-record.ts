import { givenOf, sumOf, worstHow, type Given } from '../outcome/index.ts';
import { hasFeature, textOf, type UnitRecord } from '../record/index.ts';
import type { CargoLabelInput } from './cargo-label.ts';
import type { DryCounts } from './explain.ts';

const waterOf = (record: UnitRecord): Given | undefined => {
  const [fresh, heater] = [givenOf(record, 'freshTank'), givenOf(record, 'heaterTank')];
  if (!fresh) return heater;
  return heater
    ? { amount: fresh.amount + heater.amount, how: worstHow(fresh.how, heater.how) }
    : fresh;
};

const fittedOf = (record: UnitRecord): Given | undefined => {
  const lines = Object.values(record.fitted).flatMap((entry) => entry ?? []);
  const amount = lines.reduce((sum, { value }) => sum + value.weight, 0);
  if (lines.length === 0) return givenOf(record, 'fittedWeight');
  return { amount, how: worstHow('seen', ...lines.map(({ how }) => how)) };
};

/** What the dry weight counts already, by its small print. */
export const countsOf = (record: UnitRecord): DryCounts | undefined =>
  textOf(record, 'uvwCounts') as DryCounts | undefined;

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
  const counts = countsOf(record);
  return {
    ...Object.fromEntries(Object.entries(entries).filter(([, given]) => given)),
    ...(record.features.battery ? { battery: hasFeature(record, 'battery') } : {}),
    ...(counts ? { counts } : {}),
    used: textOf(record, 'condition') === 'used',
  };
};
