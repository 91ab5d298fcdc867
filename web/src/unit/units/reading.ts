import { mostSummaries, type UnitSummary } from '@fair-gable/core/yard/summary';
import type { UnitNow } from '@fair-gable/core/unit/record';
import { ask } from '../../base/api/client.ts';

/** How much of a long list has come. */
export interface Coming {
  readonly read: number;
  readonly of: number;
}

/** The whole yard in brief, page by page. @throws Refused, NoNetwork */
export const readSummaries = async (
  onPage: (coming: Coming) => void = () => undefined,
): Promise<readonly UnitSummary[]> => {
  const all: UnitSummary[] = [];
  for (;;) {
    const query = { limit: mostSummaries, from: all.length };
    const { units, total } = await ask('GET /api/units/summaries', { query });
    all.push(...units);
    onPage({ read: all.length, of: total });
    if (units.length < mostSummaries) return all;
  }
};

const recordsAtOnce = 100;

/** The whole records of the yard, a page at a time; none of them stays. @throws Refused, NoNetwork */
export const readRecords = async function* (): AsyncGenerator<readonly UnitNow[]> {
  for (let from = 0; ; from += recordsAtOnce) {
    const { units } = await ask('GET /api/units', { query: { limit: recordsAtOnce, from } });
    yield units;
    if (units.length < recordsAtOnce) return;
  }
};

/** One unit. @throws Refused, NoNetwork */
export const readUnit = (id: string): Promise<UnitNow> =>
  ask('GET /api/units/:id', { params: { id } });
