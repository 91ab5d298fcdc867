import { isFeatureKey, isSpecKey, type FeatureKey, type SpecKey } from '../catalog/index.ts';
import { byWhom, type Entry, type FieldValue, type UnitRecord } from '../record/index.ts';
import { axlesAndHitch } from './axles-and-hitch.ts';
import { cccIdentity } from './ccc-identity.ts';
import { countTimesSize } from './count-times-size.ts';
import { plausibleRange } from './range.ts';
import type { RuleFinding, Look, Objection, Rule } from './types.ts';
import { evidenceRules } from './evidence-rules.ts';
import { fieldsOf, givenTo } from './given.ts';
import { comfortRules } from './comfort-rules.ts';
import { identityRules } from './identity-rules.ts';
import { plausibleNumbers, plausibleSizes } from './numbers-and-sizes.ts';
import { powerRules } from './power-rules.ts';
import { ratingRules } from './rating-rules.ts';
import { safetyRules } from './safety-rules.ts';
import { sizeRules } from './size-rules.ts';
import { tirePressure } from './tire-pressure.ts';
import { tireRules } from './tire-rules.ts';
import { vinCheck } from './vin-check-digit.ts';
import { waterRules } from './water-rules.ts';
import { wheelRules } from './wheel-rules.ts';
import { weightRules } from './weight-rules.ts';

/** Every check there is, in the order in which the margin shows them. */
export const rules: readonly Rule[] = [
  ...evidenceRules,
  vinCheck,
  ...safetyRules,
  cccIdentity,
  axlesAndHitch,
  ...weightRules,
  tirePressure,
  ...tireRules,
  ...wheelRules,
  ...ratingRules,
  ...identityRules,
  ...sizeRules,
  ...waterRules,
  ...powerRules,
  ...comfortRules,
  plausibleRange,
  plausibleNumbers,
  plausibleSizes,
  countTimesSize,
];

const entryAt = (record: UnitRecord, key: SpecKey | FeatureKey): Entry<FieldValue> | undefined =>
  isSpecKey(key) ? record.specs[key] : record.features[key];

/** The fields a finding rests on. */
const restsOn = (rule: Rule, finding: RuleFinding): Rule['needs'] =>
  rule.fieldByField ? [finding.field] : rule.needs;

const guessesAmong = (keys: Rule['needs'], record: UnitRecord): readonly SpecKey[] =>
  keys.filter(isSpecKey).filter((key) => record.specs[key]?.how === 'guessed');

const saidBeside = (record: UnitRecord, key: SpecKey | FeatureKey): unknown =>
  (entryAt(record, key)?.others ?? []).map(({ value, how }) => ({ value, how }));

const valueOf = (record: UnitRecord, key: string): unknown => {
  if (isSpecKey(key)) return record.specs[key]?.value;
  return isFeatureKey(key) ? record.features[key]?.value.state : undefined;
};

/** The values a finding rests on, as comparable text. */
const inputsOf = (rule: Rule, finding: RuleFinding, record: UnitRecord): string => {
  const keys = restsOn(rule, finding);
  const values = keys.map((key) => valueOf(record, key) ?? null);
  const place = rule.reads?.includes('places') ? record.places[finding.field]?.value : undefined;
  const others = rule.reads?.includes('others')
    ? keys.map((k) => saidBeside(record, k))
    : undefined;
  const wheels = rule.reads?.includes('wheels')
    ? Object.entries(record.wheels).map(([key, entry]) => [key, entry?.value])
    : undefined;
  const photos = rule.reads?.includes('photos')
    ? Object.values(record.photos).map((entry) => entry?.value.of)
    : undefined;
  const more = [place, others, wheels, photos].filter((one) => one !== undefined);
  return JSON.stringify(inOrder([...values, ...more]));
};

/** The same value with its keys in one order: a database and a file give them each in its own. */
const inOrder = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(inOrder);
  if (value === null || typeof value !== 'object') return value;
  const entries = Object.entries(value).map(([key, of]) => [key, inOrder(of)] as const);
  return Object.fromEntries(entries.toSorted(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)));
};

/** Whether a note was let stand for these very values, in whatever order their keys were written. */
const isFor = (settled: string, inputs: string): boolean => {
  if (settled === inputs) return true;
  try {
    return JSON.stringify(inOrder(JSON.parse(settled))) === inputs;
  } catch {
    return false;
  }
};

const objectionOf = (rule: Rule, finding: RuleFinding, record: UnitRecord): Objection => {
  const id = `${rule.key}:${finding.field}`;
  const inputs = inputsOf(rule, finding, record);
  const guesses = guessesAmong(restsOn(rule, finding), record);
  const base = { ...finding, id, rule: rule.key, inputs, guesses };
  const entry = record.settlements[id];
  if (!entry || !isFor(entry.value.inputs, inputs)) return base;
  return { ...base, settled: { reason: entry.value.reason, by: byWhom(entry), at: entry.at } };
};

/** What a look at a record found, to begin the next look from. */
export interface Checked {
  readonly record: UnitRecord;
  readonly look: Look;
  readonly findings: readonly (readonly RuleFinding[])[];
  readonly objections: readonly Objection[];
}

/** Whether all that a rule reads is as it was. Entries are never changed, only replaced. */
const isUntouched = (rule: Rule, before: UnitRecord, record: UnitRecord): boolean =>
  fieldsOf(rule).every((key) => entryAt(before, key) === entryAt(record, key)) &&
  (rule.reads ?? []).every((part) => part === 'others' || before[part] === record[part]);

/**
 * What the checks object to in a record, running only those rules whose inputs changed since the last look.
 * @param before the last look at this record, or at any other; undefined at first
 */
export const checkAgain = (
  before: Checked | undefined,
  record: UnitRecord,
  look: Look,
): Checked => {
  const sameLook = before?.look.system === look.system && before.look.today === look.today;
  const findings = rules.map((rule, i) => {
    const had = sameLook && isUntouched(rule, before.record, record) && before.findings[i];
    return had || rule.test(givenTo(rule, record), look);
  });
  const objections = rules.flatMap((rule, i) =>
    (findings[i] ?? []).map((finding) => objectionOf(rule, finding, record)),
  );
  return { record, look, findings, objections };
};

/** What the checks object to in a record; settled ones are there too, marked. */
export const checkRecord = (record: UnitRecord, look: Look): readonly Objection[] =>
  checkAgain(undefined, record, look).objections;

/** Of figures that cannot all be so any may be the wrong one; where one is only guessed, it is that. */
const doubtedAmong = (record: UnitRecord, keys: readonly SpecKey[]): readonly SpecKey[] => {
  const guesses = keys.filter((key) => record.specs[key]?.how === 'guessed');
  return guesses.length > 0 ? guesses : keys;
};

const doubtedBy = (
  { doubts }: Rule,
  { field, severity }: Objection,
  record: UnitRecord,
): readonly SpecKey[] => {
  if (doubts === undefined) return [];
  if (doubts === 'its field') return isSpecKey(field) ? [field] : [];
  return severity === 'wrong' ? doubtedAmong(record, doubts) : [];
};

/** Specs whose figure a check doubts and nobody has let stand: they are not said. */
export const doubtedFigures = (record: UnitRecord, look: Look): ReadonlySet<SpecKey> =>
  new Set(
    rules
      .filter(({ doubts }) => doubts !== undefined)
      .flatMap((rule) =>
        rule
          .test(givenTo(rule, record), look)
          .map((finding) => objectionOf(rule, finding, record))
          .filter(({ settled }) => !settled)
          .flatMap((objection) => doubtedBy(rule, objection, record)),
      ),
  );

/** Those that still want an answer. */
export const openObjections = (objections: readonly Objection[]): readonly Objection[] =>
  objections.filter((o) => !o.settled);
