import type { System } from '../../base/quantity/index.ts';
import type { KeptTrial, QuestionKey, UnitRecord } from '../../unit/record/index.ts';
import { answersFor } from './trial.ts';
import { questionsFor } from './questions.ts';

/** A kept trial with what its question answers today. */
export interface TrialAnswer {
  readonly id: string;
  readonly kept: KeptTrial;
  /** In a few words; undefined where something is missing. */
  readonly answer: string | undefined;
  readonly sentence: string;
}

/** The trials a unit keeps, by name. Tyres are as old as on the day they were tried. */
export const keptTrials = (record: UnitRecord, system: System): readonly TrialAnswer[] =>
  Object.entries(record.trials)
    .flatMap(([id, entry]) => (entry ? [{ id, kept: entry.value }] : []))
    .map(({ id, kept }) => {
      const answers = answersFor(record, kept.trial, system, kept.on);
      const asked = questionsFor(answers, system).find(({ key }) => key === kept.question);
      return { id, kept, answer: asked?.answer, sentence: answers[kept.question].sentence };
    })
    .toSorted((a, b) => a.kept.name.localeCompare(b.kept.name, 'en'));

/** A row of two trials side by side. */
export interface TrialRow {
  readonly key: QuestionKey;
  readonly question: string;
  readonly answers: readonly (string | undefined)[];
  readonly differs: boolean;
}

/** Trials side by side: each question with the answer of each. */
export const compareTrials = (
  record: UnitRecord,
  trials: readonly KeptTrial[],
  system: System,
): readonly TrialRow[] => {
  const columns = trials.map(({ trial, on }) =>
    questionsFor(answersFor(record, trial, system, on), system),
  );
  return (columns[0] ?? []).map(({ key, question }) => {
    const answers = columns.map((asked) => asked.find((one) => one.key === key)?.answer);
    return { key, question, answers, differs: new Set(answers).size > 1 };
  });
};
