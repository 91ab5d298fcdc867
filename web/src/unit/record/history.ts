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
  const given = Object.entries(wanted).filter(([, value]) => value !== undefined);
  const query = new URLSearchParams(given.map(([key, value]) => [key, String(value)]));
  const path = `/api/units/${unit}/history?${query}`;
  return (await ask<{ changes: HistoryRow[] }>('GET', path)).changes;
};
