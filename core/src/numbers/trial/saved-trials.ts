import type { System } from '../../base/quantity/index.ts';
import type { KeptTrial, QuestionKey, UnitRecord } from '../../unit/record/index.ts';
import { answered } from './answered.ts';
import { askingOf } from './asking.ts';
import { questionOf, questions } from './questions/index.ts';

/** A kept trial with what its question answers today. */
export interface TrialAnswer {
  readonly id: string;
  readonly kept: KeptTrial;
  /** In a few words; undefined where something is missing. */
  readonly answer: string | undefined;
  readonly sentence: string;
}

/**
 * The trials a unit keeps, by name. Tires are as old as on the day they were tried.
 * @param wanted those of some, such as the cards of a walk; nothing is worked out for the others
 */
export const keptTrials = (
  record: UnitRecord,
  system: System,
  wanted: (kept: KeptTrial) => boolean = () => true,
): readonly TrialAnswer[] =>
  Object.entries(record.trials)
    .flatMap(([id, entry]) => (entry && wanted(entry.value) ? [{ id, kept: entry.value }] : []))
    .map(({ id, kept }) => {
      const asking = askingOf(record, kept.trial, system, kept.on);
      const question = questionOf(kept.question);
      const { answer } = answered(question, asking);
      return { id, kept, answer, sentence: asking.of(question.work).sentence };
    })
    .toSorted((a, b) => a.kept.name.localeCompare(b.kept.name, 'en'));

/** A row of two trials side by side. */
export interface TrialRow {
  readonly key: QuestionKey;
  readonly question: string;
  readonly answers: readonly (string | undefined)[];
  readonly differs: boolean;
}

/** Trials side by side: each question with the answer of each; those the first can answer come first. */
export const compareTrials = (
  record: UnitRecord,
  trials: readonly KeptTrial[],
  system: System,
): readonly TrialRow[] =>
  questions
    .map((question) => {
      const answers = trials.map(
        ({ trial, on }) => answered(question, askingOf(record, trial, system, on)).answer,
      );
      const { key, words } = question;
      return { key, question: words, answers, differs: new Set(answers).size > 1 };
    })
    .toSorted((a, b) => Number(a.answers[0] === undefined) - Number(b.answers[0] === undefined));
