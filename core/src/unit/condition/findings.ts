import {
  findingKind,
  gravities,
  stations,
  technicianDecides,
  type Gravity,
} from '../catalog/index.ts';
import type { Entry, Finding, Signature, UnitRecord } from '../record/index.ts';
import { conclude } from './conclude.ts';
import { answersTo } from './wheels.ts';

/** A finding with its id, who found it, what the look into it points to, and what was signed of it. */
export interface FoundThing {
  readonly id: string;
  readonly entry: Entry<Finding>;
  readonly finding: Finding;
  /** How bad the look into it says that it is, where that is worse than what is recorded. */
  readonly proposes: Gravity | undefined;
  /** A technician's word on it as it stands now; what was changed since is not signed. */
  readonly signed: Entry<Signature> | undefined;
}

/** Told first whatever anybody calls them, until a technician has signed: nobody sees from outside how deep they go. */
const firstUntilSigned: ReadonlySet<string> = new Set([
  'skin-bubbling',
  'delamination',
  'tire-mismatch',
]);

/** No day: what hangs on a tire's age alone is no part of what is signed. */
const noDay = '2000-01-01';

/** What the look into a finding rests on: what was answered, and what the wheels answer by themselves. */
const lookInputs = (record: UnitRecord, { kind, answers = {} }: Finding): readonly string[] => {
  const { look } = findingKind(kind);
  if (!look) return [];
  const given = Object.entries(answersTo(look, answers, record, noDay))
    .filter(([key]) => key !== 'old' || answers.old !== undefined)
    .map(([key, answer]) => `${key}=${answer}`);
  return given.length > 0 ? [given.toSorted().join(' ')] : [];
};

/** What a signature of a finding is given for: the finding, and the look that it rests on. */
export const findingInputs = (record: UnitRecord, finding: Finding): string => {
  const { kind, gravity, station, note = '', repaired } = finding;
  const stated = [kind, gravity, station, note, repaired?.on ?? '', repaired?.by ?? ''];
  return JSON.stringify([...stated, ...lookInputs(record, finding)]);
};

const gravityOf = (key: Gravity): number => gravities.findIndex((row) => row.key === key);
const stationOf = (key: string): number => stations.findIndex((row) => row.key === key);

/** What the look points to, where it is worse than what somebody recorded. */
const proposedFor = (record: UnitRecord, { kind, gravity, answers = {} }: Finding) => {
  const { look } = findingKind(kind);
  if (!look) return undefined;
  const { proposes } = conclude(look, answersTo(look, answers, record, noDay));
  return proposes && gravityOf(proposes) > gravityOf(gravity) ? proposes : undefined;
};

/** How bad a finding is: as it is recorded, or worse by the look into it that nobody has signed. */
export const gravityNow = ({ finding, proposes, signed }: FoundThing): Gravity =>
  proposes && !signed ? proposes : finding.gravity;

/** Whether a buyer is told of it before anything else. */
export const isDisclosedFirst = (found: FoundThing): boolean => {
  const { finding, proposes, signed } = found;
  if (finding.repaired) return false;
  const isUnsigned = signed === undefined;
  return (
    finding.saidFirst ||
    (isUnsigned && (proposes !== undefined || firstUntilSigned.has(finding.kind)))
  );
};

/** What still stands comes before what was repaired, then what is told first, then the worst, then the route. */
const byWeight = (a: FoundThing, b: FoundThing): number =>
  Number(Boolean(a.finding.repaired)) - Number(Boolean(b.finding.repaired)) ||
  Number(isDisclosedFirst(b)) - Number(isDisclosedFirst(a)) ||
  gravityOf(gravityNow(b)) - gravityOf(gravityNow(a)) ||
  stationOf(a.finding.station) - stationOf(b.finding.station) ||
  (a.id < b.id ? -1 : 1);

/** Everything found on a unit, in the order in which it is told. */
export const findingsOf = (record: UnitRecord): readonly FoundThing[] =>
  Object.entries(record.findings)
    .flatMap(([id, entry]): FoundThing[] => {
      if (!entry) return [];
      const finding = entry.value;
      const signature = record.signatures[`findings.${id}`];
      const isOfThis = signature?.value.inputs === findingInputs(record, finding);
      const signed = isOfThis ? signature : undefined;
      return [{ id, entry, finding, proposes: proposedFor(record, finding), signed }];
    })
    .toSorted(byWeight);

/** What is found, and not repaired. */
export const openFindings = (record: UnitRecord): readonly FoundThing[] =>
  findingsOf(record).filter(({ finding }) => !finding.repaired);

/** What is told before anything else. */
export const disclosedFirst = (record: UnitRecord): readonly FoundThing[] =>
  findingsOf(record).filter(isDisclosedFirst);

/** Whether only a technician may say that it is well: the program never clears it. */
export const needsTechnician = (found: FoundThing): boolean => {
  const { concern } = findingKind(found.finding.kind);
  const gravity = gravityNow(found);
  const isGrave = gravity === 'technician' || gravity === 'do-not-show';
  return (technicianDecides.has(concern) || isGrave) && found.signed === undefined;
};

/** Offered for a new finding: all that is more than a matter of looks is said first. */
export const isUsuallyFirst = (gravity: Gravity): boolean => gravity !== 'cosmetic';
