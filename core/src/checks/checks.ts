import { isFeatureKey, isSpecKey } from '../catalogue/index.ts';
import type { UnitRecord } from '../record/index.ts';
import type { System } from '../quantity/index.ts';
import { axlesAndHitch } from './axles-and-hitch.ts';
import { cccIdentity } from './ccc-identity.ts';
import { countTimesSize } from './count-times-size.ts';
import { plausibleRange } from './range.ts';
import type { Finding, Objection, Rule } from './types.ts';
import { tyrePressure } from './tyre-pressure.ts';
import { vinCheck } from './vin-check-digit.ts';

/** Every check there is, in the order in which the margin shows them. */
export const rules: readonly Rule[] = [
  vinCheck,
  cccIdentity,
  axlesAndHitch,
  plausibleRange,
  countTimesSize,
  tyrePressure,
];

const valueOf = (record: UnitRecord, key: string): unknown => {
  if (isSpecKey(key)) return record.specs[key]?.value;
  return isFeatureKey(key) ? record.features[key]?.value.state : undefined;
};

/** The values a finding rests on, as comparable text. */
const inputsOf = (rule: Rule, finding: Finding, record: UnitRecord): string => {
  const keys = rule.fieldByField ? [finding.field] : rule.needs;
  return JSON.stringify(keys.map((key) => valueOf(record, key) ?? null));
};

const objectionOf = (rule: Rule, finding: Finding, record: UnitRecord): Objection => {
  const id = `${rule.key}:${finding.field}`;
  const inputs = inputsOf(rule, finding, record);
  const base = { ...finding, id, rule: rule.key, inputs };
  const entry = record.settlements[id];
  if (entry?.value.inputs !== inputs) return base;
  return { ...base, settled: { reason: entry.value.reason, by: entry.by, at: entry.at } };
};

/**
 * What the checks object to in a record; settled ones are there too, marked.
 * @param system the reader's units, for the sentences
 */
export const checkRecord = (record: UnitRecord, system: System): readonly Objection[] =>
  rules.flatMap((rule) =>
    rule.test(record, system).map((finding) => objectionOf(rule, finding, record)),
  );

/** Those that still want an answer. */
export const openObjections = (objections: readonly Objection[]): readonly Objection[] =>
  objections.filter((o) => !o.settled);
