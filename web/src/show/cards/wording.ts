import { idAbout } from '@fair-gable/core/show/about';
import { modelTalk, noTalk, type ModelTalk, type Point } from '@fair-gable/core/show/cards';
import type { StationKey } from '@fair-gable/core/unit/catalog';
import { sheetFor } from '@fair-gable/core/unit/model-sheet';
import type { Change, UnitRecord, Wording, YardUnit } from '@fair-gable/core/unit/record';
import { Plain } from '../../base/api/client.ts';
import { without } from '../../base/controls/without.ts';
import { useSheets } from '../../unit/model-sheet/sheets.ts';
import { useEdits } from '../../unit/record/edits.ts';

/** Where words hold: on one unit, or on every unit of its model. */
export type Place = 'unit' | 'sheet';

/** A card as somebody wants it. */
export interface Draft {
  /** undefined for a new card of one’s own. */
  readonly id: string | undefined;
  readonly words: string;
  /** What the record alone would have said; undefined for a card of one’s own. */
  readonly plain: string | undefined;
  readonly wanted: 'as-worth' | 'always' | 'never';
  readonly place: Place;
  readonly station?: StationKey;
  readonly label?: string;
}

/** What of a draft differs from the record’s own card; undefined where nothing does. */
const wordingOf = ({ words, plain, wanted, station, label }: Draft): Wording | undefined => {
  const isWorded = words !== plain;
  if (!isWorded && wanted === 'as-worth') return undefined;
  return {
    ...(isWorded ? { words, ...(plain === undefined ? {} : { instead: plain }) } : {}),
    ...(wanted === 'as-worth' ? {} : { wanted }),
    ...(station ? { station } : {}),
    ...(label ? { label } : {}),
  };
};

/** Words cards otherwise, on the unit or on its model’s sheet. */
export const useWording = () => {
  const sheets = useSheets();
  const edits = useEdits();

  const talkOf = (record: UnitRecord | undefined): ModelTalk =>
    record ? modelTalk(record, sheets.plain) : noTalk;

  const onUnit = async (
    { id, record }: YardUnit,
    key: string,
    value: Wording | undefined,
  ): Promise<void> => {
    const had = record.wordings[key];
    if (!had && !value) return;
    const basedOn = had?.version ?? 0;
    const change: Change = { part: 'wordings', key, value: value ?? null, how: 'seen', basedOn };
    await edits.change(id, [change], 'what is said');
  };

  const onSheet = async (
    { record }: YardUnit,
    key: string,
    value: Wording | undefined,
  ): Promise<void> => {
    const sheet = sheetFor(record, sheets.plain);
    const kept = sheets.all.find((one) => one.sheet.id === sheet?.id);
    if (!sheet || !kept) throw new Plain('This unit’s model sheet is no longer here.');
    const others = without(sheet.wordings, key);
    const wordings = value ? { ...others, [key]: value } : others;
    await sheets.put({ ...sheet, wordings }, kept.version, []);
  };

  /** @throws Refused, NoNetwork where it is the sheet’s; NotKept */
  const keep = async (unit: YardUnit, draft: Draft): Promise<void> => {
    const key = draft.id ?? idAbout('own', crypto.randomUUID());
    const value = wordingOf(draft);
    if (draft.place === 'unit') return onUnit(unit, key, value);
    await onSheet(unit, key, value);
    // What this unit said for itself would go before.
    return onUnit(unit, key, undefined);
  };

  /** Back to what the record alone says. */
  const drop = (unit: YardUnit, { id, wordedBy }: Point): Promise<void> =>
    wordedBy === 'sheet' ? onSheet(unit, id, undefined) : onUnit(unit, id, undefined);

  return { talkOf, keep, drop };
};
