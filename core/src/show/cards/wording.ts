import { slugOf } from '../../base/words/index.ts';
import { entryFor, isFeatureKey, isSpecKey, type StationKey } from '../../unit/catalog/index.ts';
import {
  seriesSheetOf,
  sheetFor,
  type ModelSheet,
  type SheetObjection,
} from '../../unit/model-sheet/index.ts';
import type { UnitRecord, Wording } from '../../unit/record/index.ts';
import { grid, secondsFor, type Point } from './point.ts';
import { idAbout, isAbout } from '../about/index.ts';

/** What a unit’s model sheet has to say on a walk. */
export interface ModelTalk {
  readonly objections: readonly SheetObjection[];
  readonly wouldChange: readonly string[];
  readonly wordings: Readonly<Record<string, Wording>>;
}

export const noTalk: ModelTalk = { objections: [], wouldChange: [], wordings: {} };

/** What the sheets of a unit’s model and of its series say on a walk; the model’s own wording goes before. */
export const modelTalk = (record: UnitRecord, sheets: readonly ModelSheet[]): ModelTalk => {
  const sheet = sheetFor(record, sheets);
  if (!sheet) return noTalk;
  const series = seriesSheetOf(sheet, sheets);
  return {
    objections: [...sheet.objections, ...(series?.objections ?? [])],
    wouldChange: [...sheet.wouldChange, ...(series?.wouldChange ?? [])],
    wordings: { ...series?.wordings, ...sheet.wordings },
  };
};

/** Where an objection is answered: where one stands before what brings it up; else at the door. */
const stationOf = ({ about }: SheetObjection): StationKey =>
  about !== undefined && (isSpecKey(about) || isFeatureKey(about))
    ? entryFor(about).station
    : 'entry';

/** What people say of the model, with its honest answer; and what the yard itself would change. */
export const modelPoints = (
  { objections, wouldChange }: ModelTalk,
  pace: number,
): readonly Point[] => [
  ...objections.map((objection) => ({
    id: idAbout('objection', slugOf(objection.says)),
    station: stationOf(objection),
    label: objection.says.slice(0, 200),
    asked: objection.says,
    sentence: objection.answer,
    numbers: [],
    seconds: secondsFor(objection.answer, pace),
  })),
  ...wouldChange.map((text) => ({
    id: idAbout('change', slugOf(text)),
    station: 'papers' as const,
    label: 'We would change',
    asked: 'We would change',
    sentence: text,
    numbers: [],
    seconds: secondsFor(text, pace),
  })),
];

/** A card as somebody worded it, with what the record says now where that has changed under the words. */
const worded = (
  point: Point,
  wording: Wording | undefined,
  by: 'unit' | 'sheet',
  pace: number,
): Point => {
  if (!wording) return point;
  const wanted = wording.wanted ? { wanted: wording.wanted } : {};
  if (wording.words === undefined) return { ...point, ...wanted };
  const isStale = wording.instead !== undefined && wording.instead !== point.sentence;
  const saved = secondsFor(wording.words, pace) - secondsFor(point.sentence, pace);
  // Whoever worded it answers for its words.
  return {
    ...point,
    how: undefined,
    ...wanted,
    sentence: wording.words,
    wordedBy: by,
    ...(isStale ? { changed: point.sentence } : {}),
    seconds: Math.max(grid, point.seconds + saved),
  };
};

/** The cards that somebody wrote for this unit. */
const ownPoints = (record: UnitRecord, pace: number): readonly Point[] =>
  Object.entries(record.wordings).flatMap(([id, entry]) => {
    const { words, station, label = 'Our own', wanted } = entry?.value ?? {};
    if (!isAbout('own', { id }) || words === undefined || station === undefined) return [];
    return [
      {
        id,
        station,
        label,
        sentence: words,
        numbers: [],
        wordedBy: 'unit' as const,
        ...(wanted ? { wanted } : {}),
        seconds: secondsFor(words, pace),
      },
    ];
  });

/** Cards as people worded them, on the unit before on the sheet, and those they wrote themselves. */
export const asWorded = (
  points: readonly Point[],
  record: UnitRecord,
  talk: ModelTalk,
  pace: number,
): readonly Point[] => [
  ...points.map((point) => {
    const own = record.wordings[point.id]?.value;
    return own
      ? worded(point, own, 'unit', pace)
      : worded(point, talk.wordings[point.id], 'sheet', pace);
  }),
  ...ownPoints(record, pace),
];
