import {
  changesToAnswer,
  ofSameModel,
  type AnswerValue,
  type Asked,
} from '@fair-gable/core/unit/questions';
import type { Change, Question, YardUnit } from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import { useEdits } from '../record/edits.ts';
import { useUnits } from '../units/units.ts';

/** Asks, answers and drops questions; each answer goes to every unit that it is about. */
export const useAsking = () => {
  const edits = useEdits();
  const units = useUnits();
  const { problem, attempt } = useAttempt();

  const ask = (unit: string, question: Question): Promise<boolean> =>
    attempt(() => {
      const key = crypto.randomUUID();
      const change: Change = { part: 'questions', key, value: question, how: 'told', basedOn: 0 };
      return edits.change(unit, [change], 'question');
    });

  /** The whole records of the units that a question is about. */
  const unitsAsked = async ({ unit, question }: Asked): Promise<readonly YardUnit[]> => {
    const at = units.summaries.get(unit);
    const all = at && question.scope === 'model' ? ofSameModel(at, units.list) : [{ id: unit }];
    for (const { id } of all) await units.open(id);
    return all.flatMap(({ id }) => units.units.get(id) ?? []);
  };

  /** The unit where it was asked comes last: where a device is cut off in between, the question stays open. */
  const answer = (asked: Asked, text: string, value?: AnswerValue): Promise<boolean> =>
    attempt(async () => {
      const all = changesToAnswer(asked, text, await unitsAsked(asked), value);
      for (const { unit, changes } of all.toSorted(
        (a, b) => Number(a.unit === asked.unit) - Number(b.unit === asked.unit),
      )) {
        await edits.change(unit, changes, 'answer to a question');
      }
    });

  const drop = ({ id, unit, entry }: Asked): Promise<boolean> =>
    attempt(() => {
      const basedOn = entry.version;
      const change: Change = { part: 'questions', key: id, value: null, how: 'told', basedOn };
      return edits.change(unit, [change], 'question taken off');
    });

  return { problem, ask, answer, drop };
};
