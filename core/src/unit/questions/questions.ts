import { isFeatureKey, isSpecKey } from '../catalog/index.ts';
import {
  entryOf,
  textOf,
  type Basics,
  type Change,
  type Entry,
  type Question,
  type YardUnit,
} from '../record/index.ts';

/** A unit of the yard, as questions need it. */
export interface UnitOf {
  readonly id: string;
  readonly record: Basics;
}

/** A question, and the unit at which it was asked. */
export interface Asked {
  readonly id: string;
  readonly unit: string;
  readonly entry: Entry<Question>;
  readonly question: Question;
}

const plain = (text: string | undefined): string =>
  (text ?? '').replaceAll(/\W+/g, '').toLowerCase();

/** Series, plan and year by which units are of one model; undefined where these are not known. */
export const modelKeyOf = (record: Basics): string | undefined => {
  const [series, plan, year] = (['series', 'floorPlan', 'modelYear'] as const).map((key) =>
    plain(textOf(record, key)),
  );
  return series && plan && year ? `${series}/${plan}/${year}` : undefined;
};

/** The units of one model, the given one among them. */
export const ofSameModel = <U extends UnitOf>(unit: U, units: readonly U[]): readonly U[] => {
  const key = modelKeyOf(unit.record);
  if (key === undefined) return [unit];
  return units.filter((other) => other.id === unit.id || modelKeyOf(other.record) === key);
};

const askedAt = ({ id: unit, record }: UnitOf): readonly Asked[] =>
  Object.entries(record.questions).flatMap(([id, entry]) =>
    entry ? [{ id, unit, entry, question: entry.value }] : [],
  );

const byDue = (a: Asked, b: Asked): number =>
  Number(Boolean(a.question.answer)) - Number(Boolean(b.question.answer)) ||
  (a.question.due ?? '9999').localeCompare(b.question.due ?? '9999') ||
  a.entry.at.localeCompare(b.entry.at);

/** All questions of a yard, open ones first, by when they are wanted. */
export const questionsIn = (units: readonly UnitOf[]): readonly Asked[] =>
  units.flatMap(askedAt).toSorted(byDue);

/** The questions that concern a unit: its own, and those of its model that were asked at others. */
export const questionsAbout = (unit: UnitOf, units: readonly UnitOf[]): readonly Asked[] =>
  ofSameModel(unit, units.some(({ id }) => id === unit.id) ? units : [...units, unit])
    .flatMap(askedAt)
    .filter((asked) => asked.unit === unit.id || asked.question.scope === 'model')
    .toSorted(byDue);

export const isAnswered = ({ question }: Asked): boolean => question.answer !== undefined;

/** Whether it was wanted by now. */
export const isOverdue = ({ question }: Asked, today: string): boolean =>
  question.answer === undefined && question.due !== undefined && question.due < today;

/** The field a question is about. */
export const fieldAsked = ({
  about,
}: Question): { readonly part: 'specs' | 'features'; readonly key: string } | undefined => {
  const [part = '', key = ''] = (about ?? '').split('.');
  if (part === 'specs' && isSpecKey(key)) return { part, key };
  return part === 'features' && isFeatureKey(key) ? { part, key } : undefined;
};

/** What the answer says of the field asked about; it is what we were told, and a better source stays shown. */
export type AnswerValue = Pick<
  Extract<Change, { part: 'specs' | 'features' }>,
  'part' | 'key' | 'value'
>;

/**
 * The changes by which a question is answered: at the unit where it was asked, and of the field on every unit that
 * it is about.
 * @param value what the answer says of the field; left out where it says nothing of one
 * @returns by unit; a unit with nothing to change is left out
 */
export const changesToAnswer = (
  asked: Asked,
  answer: string,
  units: readonly YardUnit[],
  value?: AnswerValue,
): readonly { readonly unit: string; readonly changes: readonly Change[] }[] => {
  const at = units.find(({ id }) => id === asked.unit);
  if (!at) return [];
  const touched = asked.question.scope === 'model' ? ofSameModel(at, units) : [at];
  const own: Change = {
    part: 'questions',
    key: asked.id,
    value: { ...asked.question, answer },
    how: 'told',
    basedOn: asked.entry.version,
  };
  return touched
    .map(({ id, record }) => {
      const field = value && {
        ...value,
        how: 'told' as const,
        basedOn: entryOf(record, value.part, value.key)?.version ?? 0,
      };
      return {
        unit: id,
        changes: [...(id === asked.unit ? [own] : []), ...(field ? [field as Change] : [])],
      };
    })
    .filter(({ changes }) => changes.length > 0);
};
