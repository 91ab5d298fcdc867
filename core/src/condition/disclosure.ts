import { findingKind, gravities, stationEntry } from '../catalogue/index.ts';
import { formatDate } from '../dates/index.ts';
import { textOf, verdicts, type UnitRecord } from '../record/index.ts';
import { conclude } from './conclude.ts';
import { findingsOf, needsTechnician, type FoundThing } from './findings.ts';
import { inspectionState } from './inspection.ts';
import { answersTo, wheelsOf, type WheelOn } from './wheels.ts';

/** One fault as the buyer reads it. */
export interface Disclosed {
  readonly id: string;
  readonly title: string;
  readonly where: string;
  readonly text: string;
  readonly gravity: string;
}

/** What the buyer of a used unit is told in writing, faults first. */
export interface Disclosure {
  readonly faults: readonly Disclosed[];
  readonly repaired: readonly Disclosed[];
  readonly wheels: readonly WheelOn[];
  /** What was not looked at: a page that is silent promises nothing. */
  readonly silent: string;
  readonly inspection: string;
}

/** What the look into a finding came to; nothing where nobody has looked. */
const lookWords = ({ finding }: FoundThing, record: UnitRecord, today: string): string => {
  const { look } = findingKind(finding.kind);
  const answers = look ? answersTo(look, finding.answers ?? {}, record, today) : {};
  return look && Object.keys(answers).length > 0 ? conclude(look, answers).sentence : '';
};

const signedWords = ({ signed }: FoundThing): string => {
  if (!signed) return '';
  const verdict = verdicts.find((row) => row.key === signed.value.verdict)?.label ?? '';
  const note = signed.value.note ? `, “${signed.value.note}”` : '';
  return `${verdict}: ${signed.by}, ${formatDate(signed.at.slice(0, 10))}${note}.`;
};

const repairWords = ({ finding: { repaired } }: FoundThing): string => {
  if (!repaired) return '';
  const what = repaired.what ? `: ${repaired.what}` : '';
  return `Repaired by ${repaired.by}, ${formatDate(repaired.on)}${what}.`;
};

const inWords = (found: FoundThing, record: UnitRecord, today: string): string =>
  [
    findingKind(found.finding.kind).plain,
    found.finding.note?.replace(/[.!?]?$/, '.'),
    lookWords(found, record, today),
    signedWords(found),
    needsTechnician(found) ? 'A technician has not decided on it yet.' : '',
    repairWords(found),
  ]
    .filter(Boolean)
    .join(' ');

const disclosed = (found: FoundThing, record: UnitRecord, today: string): Disclosed => ({
  id: found.id,
  title: findingKind(found.finding.kind).label,
  where: stationEntry(found.finding.station).label,
  text: inWords(found, record, today),
  gravity: found.finding.repaired
    ? 'repaired'
    : (gravities.find((row) => row.key === found.finding.gravity)?.said ?? ''),
});

/**
 * The disclosure of a unit: faults in the order in which they are told, then what was repaired, then every tyre.
 * @param today for the age of tyres, `2026-04-10`
 */
export const disclosureOf = (record: UnitRecord, today: string): Disclosure => {
  const all = findingsOf(record);
  const told = (found: FoundThing): Disclosed => disclosed(found, record, today);
  const { failed, notTried } = inspectionState(record);
  const inspected = textOf(record, 'inspected');
  const names = (items: typeof failed): string =>
    items.map(({ item }) => item.label.toLowerCase()).join(', ');
  const said = [
    inspected ? `Inspected ${formatDate(inspected)}.` : 'Not inspected yet.',
    failed.length > 0 && `Not passed: ${names(failed)}.`,
    notTried.length > 0 && `Not tried: ${names(notTried)}.`,
  ];
  return {
    faults: all.filter(({ finding }) => !finding.repaired).map(told),
    repaired: all.filter(({ finding }) => finding.repaired).map(told),
    wheels: wheelsOf(record, today),
    silent:
      'This page tells what was seen and measured by looking at the unit without taking it apart. It is no warranty. What it does not name was not found; that is not to say that it is not there.',
    inspection: said.filter(Boolean).join(' '),
  };
};
