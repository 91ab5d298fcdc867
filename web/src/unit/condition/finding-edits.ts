import { findingInputs, type FoundThing } from '@fair-gable/core/unit/condition';
import type { Change, Finding, UnitRecord, Verdict } from '@fair-gable/core/unit/record';

/** A change of a finding; null takes it off. @param basedOn the version that was on the screen when it was begun */
export const findingChange = (
  { id, entry }: FoundThing,
  value: Finding | null,
  basedOn: number = entry.version,
): Change => ({
  part: 'findings',
  key: id,
  value,
  how: 'seen',
  basedOn,
});

/** A repair as it is typed. */
export interface RepairDraft {
  on: string;
  by: string;
  what: string;
}

/** A finding with its repair; undefined while nobody says who did it and when. */
export const withRepair = (finding: Finding, typed: RepairDraft): Finding | undefined => {
  const [by, what] = [typed.by.trim(), typed.what.trim()];
  if (!by || !typed.on) return undefined;
  return { ...finding, repaired: { on: typed.on, by, ...(what ? { what } : {}) } };
};

/** What a technician signs of a finding, with what they signed it by. */
export const signatureChange = (
  record: UnitRecord,
  { id, finding }: FoundThing,
  typed: { readonly verdict: Verdict; readonly note: string },
): Change => {
  const key = `findings.${id}`;
  const note = typed.note.trim();
  const inputs = findingInputs(record, finding);
  return {
    part: 'signatures',
    key,
    value: { verdict: typed.verdict, inputs, ...(note ? { note } : {}) },
    how: 'seen',
    basedOn: record.signatures[key]?.version ?? 0,
  };
};
