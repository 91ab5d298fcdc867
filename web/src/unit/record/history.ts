import type { HistoryRow, Part } from '@fair-gable/core/unit/record';
import { ask } from '../../base/api/client.ts';

export interface Wanted {
  readonly part?: Part;
  readonly key?: string;
  readonly before?: string | undefined;
  readonly limit?: number;
}

/** What was changed in a unit's record, or in one field of it, latest first. */
export const readHistory = async (
  unit: string,
  wanted: Wanted = {},
): Promise<readonly HistoryRow[]> => {
  const given = { params: { id: unit }, query: wanted };
  return (await ask('GET /api/units/:id/history', given)).changes;
};
