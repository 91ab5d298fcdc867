import { inText } from '../../base/words/index.ts';
import {
  entryFor,
  findingKind,
  gravities,
  stations,
  type StationKey,
} from '../../unit/catalog/index.ts';
import { findingsOf, gravityNow, inspectionState } from '../../unit/condition/index.ts';
import { isAnswered, modelKeyOf, questionsIn, type UnitOf } from '../../unit/questions/index.ts';
import { nameOf, type UnitRecord, type YardUnit } from '../../unit/record/index.ts';
import { toConfirm, type Why } from './to-confirm.ts';

export const chores = ['measure', 'confirm', 'ask', 'repair'] as const;
export type Chore = (typeof chores)[number];

/** One thing that is left to do at one unit. */
export interface LeftRow {
  readonly chore: Chore;
  readonly unit: string;
  readonly unitName: string;
  readonly station: StationKey;
  readonly label: string;
  /** Why it is left, in a few words. */
  readonly why: string;
  /** How much leans on it: checks, cards, units of the model; for a fault how bad it is. */
  readonly weight: number;
  /** The field, finding, item or question: `specs.gvwr`, `findings.<id>`. */
  readonly target: string;
  readonly due?: string | undefined;
}

const whys: Readonly<Record<Why, { readonly chore: Chore; readonly text: string }>> = {
  conflict: { chore: 'confirm', text: 'sources disagree' },
  guess: { chore: 'measure', text: 'only guessed' },
  missing: { chore: 'measure', text: 'not checked yet' },
  told: { chore: 'confirm', text: 'only what we were told' },
};

type Base = Pick<LeftRow, 'unit' | 'unitName'>;

const fieldsLeft = (record: UnitRecord, base: Base): readonly LeftRow[] =>
  toConfirm(record).map(({ part, key, why, hangs }) => ({
    ...base,
    chore: whys[why].chore,
    station: entryFor(key).station,
    label: entryFor(key).label,
    why: whys[why].text,
    weight: hangs.checks.length + hangs.cards.length,
    target: `${part}.${key}`,
  }));

const gravityOf = (key: string): number => gravities.findIndex((row) => row.key === key);

const repairsLeft = (record: UnitRecord, base: Base): readonly LeftRow[] => [
  ...findingsOf(record)
    .filter((found) => !found.finding.repaired && gravityNow(found) !== 'cosmetic')
    .map((found) => ({ ...found, gravity: gravityNow(found) }))
    .map(({ id, finding, gravity }) => ({
      ...base,
      chore: 'repair' as const,
      station: finding.station,
      label: findingKind(finding.kind).label,
      why: inText(gravities[gravityOf(gravity)]?.label ?? ''),
      weight: gravityOf(gravity) * 2,
      target: `findings.${id}`,
    })),
  ...inspectionState(record).failed.map(({ item, entry }) => ({
    ...base,
    chore: 'repair' as const,
    station: item.station,
    label: item.label,
    why: entry?.value.note ? `failed: ${entry.value.note}` : 'failed at the inspection',
    weight: 8,
    target: `inspection.${item.key}`,
  })),
];

/** A question of a model is one thing to do, however many units of it stand there. */
export const questionsLeft = (units: readonly UnitOf[]): readonly LeftRow[] =>
  questionsIn(units)
    .filter((asked) => !isAnswered(asked))
    .flatMap((asked) => {
      const at = units.find(({ id }) => id === asked.unit);
      if (!at) return [];
      const { text, scope, about, asked: whom, due } = asked.question;
      const key = modelKeyOf(at.record);
      const touched =
        scope === 'model' ? units.filter((u) => modelKeyOf(u.record) === key).length : 1;
      const field = about?.split('.')[1] as Parameters<typeof entryFor>[0] | undefined;
      const of = scope === 'model' && touched > 1 ? `, for ${touched} units` : '';
      return [
        {
          chore: 'ask' as const,
          unit: asked.unit,
          unitName: nameOf(at.record),
          station: field ? entryFor(field).station : ('papers' as const),
          label: text,
          why: `${whom ? `ask ${whom}` : 'nobody’s been asked yet'}${of}`,
          weight: touched * 2,
          target: `questions.${asked.id}`,
          due,
        },
      ];
    });

/** What is left to do at one unit: to measure, to confirm, to repair. */
export const leftAt = ({ id, record }: YardUnit): readonly LeftRow[] => {
  const base = { unit: id, unitName: nameOf(record) };
  return [...repairsLeft(record, base), ...fieldsLeft(record, base)];
};

/** Everything that is left to do on a yard: to measure, to confirm, to ask, to repair. */
export const leftIn = (units: readonly YardUnit[]): readonly LeftRow[] => [
  ...units.flatMap(leftAt),
  ...questionsLeft(units),
];

const stationAt = (key: StationKey): number => stations.findIndex((row) => row.key === key);

/** How the list is walked: by what hangs on each, or unit by unit and station by station. */
export const leftInOrder = (
  rows: readonly LeftRow[],
  order: 'weight' | 'walk',
): readonly LeftRow[] => {
  if (order === 'weight') {
    return rows.toSorted((a, b) => b.weight - a.weight || a.unitName.localeCompare(b.unitName));
  }
  const units = [...new Set(rows.map(({ unit }) => unit))];
  return rows.toSorted(
    (a, b) =>
      units.indexOf(a.unit) - units.indexOf(b.unit) ||
      stationAt(a.station) - stationAt(b.station) ||
      b.weight - a.weight,
  );
};
