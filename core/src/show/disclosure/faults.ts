import { findingKind } from '../../unit/catalog/index.ts';
import type { Look } from '../../unit/checks/index.ts';
import { isDisclosedFirst, openFindings, type FoundThing } from '../../unit/condition/index.ts';
import type { UnitRecord } from '../../unit/record/index.ts';
import type { Fault } from './fault.ts';
import { knownFaults } from './known-faults.ts';
import { idAbout } from '../about/index.ts';

/** Words with one full stop at their end. */
export const ended = (words: string): string => words.trim().replace(/[^.?!]$/, '$&.');

const entered = (found: FoundThing): Fault => {
  const { kind, station, note } = found.finding;
  const { label, plain } = findingKind(kind);
  return {
    id: idAbout('finding', found.id),
    title: label,
    where: station,
    text: note ? `${plain} ${ended(note)}` : plain,
    first: isDisclosedFirst(found),
    about: [],
  };
};

/**
 * All that is wrong with a unit and not repaired, whoever found it, each once: what is told first before the rest, what
 * people found before what the record knows by itself.
 */
export const faultsOf = (record: UnitRecord, look: Look): readonly Fault[] => {
  const open = openFindings(record);
  const kinds = new Set<string>(open.map(({ finding }) => finding.kind));
  const all = [...open.map(entered), ...knownFaults(record, look, kinds)];
  return [...all.filter(({ first }) => first), ...all.filter(({ first }) => !first)];
};
