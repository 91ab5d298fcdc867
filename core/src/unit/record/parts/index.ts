import { features } from './features.ts';
import { findings } from './findings.ts';
import { fitted } from './fitted.ts';
import { inspection } from './inspection.ts';
import { moisture } from './moisture.ts';
import { photos } from './photos.ts';
import { places } from './places.ts';
import { questions } from './questions.ts';
import { settlements } from './settlements.ts';
import { signatures } from './signatures.ts';
import { specs } from './specs.ts';
import { stowed } from './stowed.ts';
import { trials } from './trials.ts';
import { wheels } from './wheels.ts';
import { wordings } from './wordings.ts';
import type { RecordPart } from './part.ts';

/** The parts of a record, in the order in which they are written. */
export const partRows = {
  specs,
  features,
  places,
  settlements,
  findings,
  wheels,
  moisture,
  photos,
  inspection,
  signatures,
  stowed,
  fitted,
  questions,
  trials,
  wordings,
} as const;
export type Part = keyof typeof partRows;
export const parts = Object.keys(partRows) as Part[];

/** The keys a part's fields have. */
export type KeyOf<P extends Part> = (typeof partRows)[P]['example'][0];
/** What a part's fields hold. */
export type ValueOf<P extends Part> = (typeof partRows)[P]['example'][1];
export type FieldValue = { [P in Part]: ValueOf<P> }[Part];

/** A part as whoever takes all alike sees it. */
export const partRow = (part: Part): RecordPart<FieldValue> =>
  partRows[part] as unknown as RecordPart<FieldValue>;
