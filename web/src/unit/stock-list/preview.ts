import type { AnswerOf } from '@fair-gable/core/base/contract';
import type { Column } from '@fair-gable/core/unit/stock-list';
import type { Routes } from '../../base/api/routes.ts';

/** A list from elsewhere as it would be taken in. */
export type Preview = AnswerOf<Routes['POST /api/stock-list/preview']>;

/** The columns with one matched anew: a field is taken once, and the column chosen last has it. */
export const withColumn = (
  columns: readonly Column[],
  at: number,
  key: Column,
): readonly Column[] =>
  columns.map((had, i) => (i === at ? key : had === key && key !== null ? null : had));

/** Headings that are matched with no field. */
export const unmatched = (preview: Preview, columns: readonly Column[]): readonly string[] =>
  preview.headings.filter((_, i) => columns[i] === null);

/** Of a cell of the sample: what was understood where that is not what stands there, and what the unit says so far. */
export const understoodAt = (preview: Preview, line: number, column: number): readonly string[] => {
  const { says, before } = preview.understood[line]?.[column] ?? { says: null, before: null };
  if (says === null) return [];
  const isAsWritten = says === preview.sample[line]?.[column]?.trim();
  const isNews = before !== null && before !== says;
  return [
    ...(isAsWritten ? [] : [`understood: ${says}`]),
    ...(isNews ? [`so far: ${before}`] : []),
  ];
};

/** What is wrong with a cell, in a sentence. */
export const problemAt = (
  { problems }: Preview,
  line: number,
  column: number,
): string | undefined => problems.find((p) => p.line === line && p.column === column)?.sentence;

/** What would be taken in, and what would be left out. */
export const countsOf = ({ fresh, changed, badCells, badLines }: Preview) => ({
  good: fresh + changed,
  bad: badCells + badLines,
});
