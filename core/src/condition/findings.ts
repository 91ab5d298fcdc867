import {
  findingKind,
  gravities,
  stations,
  technicianDecides,
  type Gravity,
} from '../catalogue/index.ts';
import type { Entry, Finding, Signature, UnitRecord } from '../record/index.ts';

/** A finding with its id, who found it, and what was signed of it. */
export interface FoundThing {
  readonly id: string;
  readonly entry: Entry<Finding>;
  readonly finding: Finding;
  /** A technician's word on it as it stands now; what was changed since is not signed. */
  readonly signed: Entry<Signature> | undefined;
}

/** What a signature of a finding is given for. */
export const findingInputs = (finding: Finding): string => {
  const { kind, gravity, station, note = '', repaired } = finding;
  return JSON.stringify([kind, gravity, station, note, repaired?.on ?? '', repaired?.by ?? '']);
};

const gravityOf = (key: Gravity): number => gravities.findIndex((row) => row.key === key);
const stationOf = (key: string): number => stations.findIndex((row) => row.key === key);

/** What still stands comes before what was repaired, then what is said first, then the worst, then the way round. */
const byWeight = (a: FoundThing, b: FoundThing): number =>
  Number(Boolean(a.finding.repaired)) - Number(Boolean(b.finding.repaired)) ||
  Number(b.finding.saidFirst) - Number(a.finding.saidFirst) ||
  gravityOf(b.finding.gravity) - gravityOf(a.finding.gravity) ||
  stationOf(a.finding.station) - stationOf(b.finding.station) ||
  (a.id < b.id ? -1 : 1);

/** Everything found on a unit, in the order in which it is told. */
export const findingsOf = (record: UnitRecord): readonly FoundThing[] =>
  Object.entries(record.findings)
    .flatMap(([id, entry]): FoundThing[] => {
      if (!entry) return [];
      const signature = record.signatures[`findings.${id}`];
      const isOfThis = signature?.value.inputs === findingInputs(entry.value);
      return [{ id, entry, finding: entry.value, signed: isOfThis ? signature : undefined }];
    })
    .toSorted(byWeight);

/** What is told before anything else. */
export const saidFirst = (record: UnitRecord): readonly FoundThing[] =>
  findingsOf(record).filter(({ finding }) => finding.saidFirst && !finding.repaired);

/** Whether only a technician may say that it is well: the program never clears it. */
export const needsTechnician = ({ finding, signed }: FoundThing): boolean => {
  const { concern } = findingKind(finding.kind);
  const isGrave = finding.gravity === 'technician' || finding.gravity === 'do-not-show';
  return (technicianDecides.has(concern) || isGrave) && signed === undefined;
};

/** Offered for a new finding: all that is more than a matter of looks is said first. */
export const isSaidFirst = (gravity: Gravity): boolean => gravity !== 'cosmetic';
