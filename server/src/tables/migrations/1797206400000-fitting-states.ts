import type { MigrationInterface, QueryRunner } from 'typeorm';
import {
  featureKinds,
  features,
  statesOf,
  type FeatureKey,
  type FeatureKind,
} from '@fair-gable/core/unit/catalog';
import { withFittingStates } from '@fair-gable/core/unit/versions';
import { throughJson, type JsonColumns } from '../through-json.ts';

/** Where states stand in JSON beside the name of their feature. */
const beside: readonly JsonColumns[] = [
  { table: 'record_field', json: ['value'], where: `"part" = 'questions'` },
  { table: 'model_sheet', json: ['sheet'], where: 'true' },
  { table: 'model_sheet_offer', json: ['offer'], where: 'true' },
];

interface Kind {
  readonly keys: readonly FeatureKey[];
  readonly states: readonly string[];
}

/** Features by the states that they can have. */
const kinds: readonly Kind[] = (Object.keys(featureKinds) as FeatureKind[]).map((of) => ({
  keys: features.filter(({ kind = 'equipment' }) => kind === of).map(({ key }) => key),
  states: statesOf(of).map(({ key }) => key),
}));

/** What a state that a feature cannot have was: there, or not. */
const fitting = (state: string): string =>
  `CASE WHEN ${state} = ANY ($2::text[]) THEN ${state}
        WHEN ${state} IN ('standard', 'option', 'ours') THEN 'standard' ELSE 'none' END`;

const others = (state: string): string =>
  `(SELECT jsonb_agg(jsonb_set(o, '{value,state}', to_jsonb((${state})::text)) ORDER BY i)
    FROM jsonb_array_elements("others") WITH ORDINALITY AS e (o, i))`;

const oddIn = (value: string): string => `("${value}"->>'state') <> ALL ($2::text[])`;
const oddOthers = `EXISTS (SELECT 1 FROM jsonb_array_elements("others") o
                           WHERE (o->'value'->>'state') <> ALL ($2::text[]))`;

/** Puts every feature of every record into a state that it can have. */
const fit = async (runner: QueryRunner, { keys, states }: Kind): Promise<void> => {
  const of = `"part" = 'features' AND "key" = ANY ($1::text[])`;
  const given = [keys, states];
  await runner.query(
    `UPDATE "record_field"
     SET "value" = jsonb_set("value", '{state}', to_jsonb((${fitting(`"value"->>'state'`)})::text))
     WHERE ${of} AND ${oddIn('value')}`,
    given,
  );
  await runner.query(
    `UPDATE "record_field" SET "others" = ${others(fitting(`o->'value'->>'state'`))}
     WHERE ${of} AND jsonb_typeof("others") = 'array' AND ${oddOthers}`,
    given,
  );
};

/** Labels, proofs, loose items and positions have states of their own. Histories say what was said. */
export class FittingStates1797206400000 implements MigrationInterface {
  name = 'FittingStates1797206400000';

  async up(runner: QueryRunner): Promise<void> {
    const tables = [...new Set(beside.map(({ table }) => `"${table}"`))].join(', ');
    await runner.query(`LOCK TABLE ${tables}, "unit" IN SHARE ROW EXCLUSIVE MODE`);
    for (const kind of kinds) await fit(runner, kind);
    for (const place of beside) await throughJson(runner, place, withFittingStates);
    // Made anew out of the records.
    await runner.query(
      `UPDATE "unit" SET "summary" = NULL, "summary_shown" = NULL, "summary_for" = NULL`,
    );
  }

  /** The program before knows no label that is unreadable, and nothing missing: both are not there. */
  async down(runner: QueryRunner): Promise<void> {
    const before = ['standard', 'option', 'ours', 'prep', 'room', 'none'];
    await fit(runner, { keys: features.map(({ key }) => key), states: before });
    for (const column of ['from_value', 'to_value']) {
      await runner.query(
        `UPDATE "record_change" SET "${column}" = jsonb_set("${column}", '{state}', '"none"')
         WHERE "part" = 'features' AND "${column}"->>'state' <> ALL ($1::text[])`,
        [before],
      );
    }
  }
}
