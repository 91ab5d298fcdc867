import type { System } from '@fair-gable/core/base/quantity';
import {
  isSpecKey,
  wordsFor,
  type FeatureState,
  type HowKnown,
  type Spec,
} from '@fair-gable/core/unit/catalog';
import {
  formatSpec,
  type Change,
  type Entry,
  type FieldValue,
  type SpecValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import type { Step } from '@fair-gable/core/unit/round';
import { readDistance, type PlaceDraft } from '../record/typed-place.ts';
import { readTyped } from '../record/typing.ts';

/** What a step’s field knows so far. */
export const entryAt = (
  record: UnitRecord,
  { part, entry }: Step,
): Entry<FieldValue> | undefined => {
  const entries = record[part] as Partial<Record<string, Entry<FieldValue>>>;
  return entries[entry.key];
};

/** What is typed at a step, as it is understood. */
export interface TypedStep {
  readonly value: SpecValue | undefined;
  /** Of a place: inches back from the coupler. */
  readonly inches?: number | undefined;
  readonly echo: string;
  readonly problem: string;
}

export const readStep = ({ part, entry }: Step, text: string, system: System): TypedStep =>
  part === 'specs'
    ? readTyped(entry as Spec, text, system)
    : { value: undefined, ...readDistance(`${entry.label}, position`, text, system) };

/** A change of a step’s field. @param basedOn the version that was on the screen */
export const stepChange = (
  { part, entry }: Step,
  value: unknown,
  { how, basedOn }: { readonly how: HowKnown; readonly basedOn: number },
): Change => ({ part, key: entry.key, value, how, basedOn }) as Change;

/** A feature’s state as seen. */
export const stateChange = (record: UnitRecord, step: Step, state: FeatureState): Change =>
  stepChange(step, { state }, { how: 'seen', basedOn: entryAt(record, step)?.version ?? 0 });

/** What the sheet says, taken over: whoever takes its word has neither read nor measured it. */
export const asTheSheetSays = (record: UnitRecord, step: Step): Change => {
  const known = entryAt(record, step);
  return stepChange(step, known?.value, { how: 'sheet', basedOn: known?.version ?? 0 });
};

/** A place as taped, or where it was only tapped on the outline, as a guess; the rest of it as it was. */
export const placeAt = (record: UnitRecord, step: Step, draft: PlaceDraft, system: System) => {
  const { inches } = readStep(step, draft.back, system);
  const had = entryAt(record, step)?.value ?? {};
  const { side, basedOn } = draft;
  return stepChange(
    step,
    { ...had, back: inches ?? draft.tapped, side },
    // What was only tapped is no measurement.
    { how: inches === undefined ? 'guessed' : draft.how, basedOn },
  );
};

/** What the sheet says of a number or word, as it reads; nothing of a state or a place. */
export const sheetText = (record: UnitRecord, step: Step, system: System): string | undefined => {
  const { key } = step.entry;
  const known = isSpecKey(key) && step.part === 'specs' ? record.specs[key] : undefined;
  return known && isSpecKey(key) ? formatSpec(key, known.value, system, known.how) : undefined;
};

/** Long things are measured to their forward edge, small ones to their middle. */
const edged = new Set(['slide', 'awning', 'door']);

/** How it is looked at, for whoever stands before it. */
export const hintAt = ({ part, entry, state }: Step): string => {
  if (part === 'places') {
    const to = edged.has(entry.located?.shape ?? '') ? 'forward edge' : 'middle';
    return `Tape along the wall to its ${to}; tap for the side.`;
  }
  const { check } = wordsFor(entry.key);
  return state === 'offered' ? `The sheet says so. ${check}` : check;
};
