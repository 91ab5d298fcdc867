import { z } from 'zod';
import { formatQuantity, type System } from '../../../base/quantity/index.ts';
import { inspectionItem, isInspectionKey } from '../../catalog/index.ts';
import { words } from '../values/spot.ts';
import { part } from './part.ts';

export const inspectionResults = ['pass', 'fail', 'not-tried'] as const;
export type InspectionResult = (typeof inspectionResults)[number];

/** One item of the pre-delivery inspection, as it came out. */
export const inspectedSchema = z
  .strictObject({
    result: z.enum(inspectionResults),
    /** In the internal unit of what the item measures. */
    measured: z.number().min(0).max(100_000).optional(),
    note: words.optional(),
  })
  .refine(({ result, note }) => result !== 'not-tried' || note !== undefined, {
    message: 'say why it was not tried',
    path: ['note'],
  });
export type Inspected = z.infer<typeof inspectedSchema>;

const inspectedText = (
  key: string,
  { result, measured, note }: Inspected,
  system: System,
): string => {
  const display = isInspectionKey(key) ? inspectionItem(key).measure?.display : undefined;
  const words = { pass: 'passed', fail: 'failed', 'not-tried': 'not tried' } as const;
  return [
    words[result],
    measured !== undefined && display && formatQuantity(measured, display, system),
    note && `“${note}”`,
  ]
    .filter(Boolean)
    .join(', ');
};

/** The pre-delivery inspection, item by item. */
export const inspection = part({
  schema: inspectedSchema,
  isKey: isInspectionKey,
  label: (key) => (isInspectionKey(key) ? inspectionItem(key).label : key),
  text: (value, { key, system }) => inspectedText(key, value, system),
  right: 'inspect',
  example: ['breakaway', { result: 'pass' }],
});
