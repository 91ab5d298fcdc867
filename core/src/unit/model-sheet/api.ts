import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { changeSchema, type Change } from '../record/index.ts';
import { modelSheetFileSchema, type ModelSheetFile } from './file.ts';
import {
  modelSheetSchema,
  offerSchema,
  type KeptSheet,
  type ModelSheet,
  type Offer,
} from './schema.ts';

/** A unit that a change of a sheet touches, and how. */
export interface Touched {
  readonly id: string;
  readonly name: string;
  readonly stockNumber: string | null;
  readonly changes: readonly Change[];
}

/** A change of a sheet: what it was, what it became, and how many units followed. */
export interface SheetChange {
  readonly id: string;
  readonly version: number;
  readonly from: ModelSheet | null;
  readonly to: ModelSheet;
  readonly units: number;
  readonly by: string;
  readonly at: string;
}

const params = z.strictObject({ id: z.uuid() });
const sheet = shaped<ModelSheet>(modelSheetSchema);
const version = z.number().int();

const kept = z.strictObject({
  sheet: modelSheetSchema,
  version,
  by: z.string(),
  at: z.iso.datetime(),
  offers: z.array(offerSchema),
});
const list = z.strictObject({ sheets: z.array(shaped<KeptSheet>(kept)) });

const touched = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  stockNumber: z.string().nullable(),
  changes: z.array(changeSchema),
});

const sheetChange = z.strictObject({
  id: z.uuid(),
  version,
  from: modelSheetSchema.nullable(),
  to: modelSheetSchema,
  units: z.number().int(),
  by: z.string(),
  at: z.iso.datetime(),
});

/** What makers say of their models, and which units follow. */
export const modelSheetApi = contract({
  'GET /api/model-sheets': { answer: list },
  'GET /api/model-sheets/:id/file': {
    params,
    answer: shaped<ModelSheetFile>(modelSheetFileSchema),
  },
  'GET /api/model-sheets/:id/history': {
    params,
    answer: z.strictObject({ changes: z.array(shaped<SheetChange>(sheetChange)) }),
  },
  'POST /api/model-sheets/:id/preview': {
    params,
    body: z.strictObject({ sheet }),
    answer: z.strictObject({ units: z.array(shaped<Touched>(touched)) }),
  },
  'PUT /api/model-sheets/:id': {
    params,
    body: z.strictObject({
      sheet,
      basedOn: z.number().int().min(0),
      units: z.array(z.uuid()).max(2000),
    }),
    answer: list,
  },
  'DELETE /api/model-sheets/:id': { params },
  'POST /api/model-sheets/:id/offers': {
    params,
    body: shaped<Omit<Offer, 'by' | 'at'>>(offerSchema.omit({ by: true, at: true })),
  },
  'DELETE /api/model-sheets/:id/offers/:offer': {
    params: z.strictObject({ id: z.uuid(), offer: z.uuid() }),
  },
});
