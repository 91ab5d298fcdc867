import { z } from 'zod';
import { isTimeZone } from '../../base/dates/index.ts';
import { nameSchema } from '../../base/words/index.ts';
import { yardWaterSchema } from '../../numbers/water/index.ts';
import { isSchoolKey, schoolEntry, schools, type SchoolKey } from '../../unit/catalog/index.ts';
import { routeSchema } from '../../unit/route/index.ts';
import { keepDays } from '../follow-up/index.ts';

export const systemSchema = z.enum(['us', 'metric']);

/** A place on the clock: a name of the IANA time zone database. */
export const timeZoneSchema = z
  .string()
  .max(60)
  .refine(isTimeZone, 'Time zone: choose one from the list, such as America/Denver.');

const schoolKeys = schools.map((s) => s.key) as [SchoolKey, ...SchoolKey[]];

/** The side a yard takes where practitioners disagree, by the disagreement's key. */
export const houseViewsSchema = z
  .partialRecord(z.enum(schoolKeys), z.string().max(40))
  .refine(
    (views) =>
      Object.entries(views).every(
        ([key, side]) =>
          isSchoolKey(key) && schoolEntry(key).sides.some((known) => known.key === side),
      ),
    'A house view is one of the two sides.',
  );
export type HouseViews = Readonly<Partial<Record<SchoolKey, string>>>;

/** The yard's own readings of letters in floor-plan codes; they stand before the common ones. */
export const glossarySchema = z
  .array(
    z.strictObject({
      code: z
        .string()
        .trim()
        .regex(/^[A-Z]{1,4}$/, 'Up to 4 capital letters.'),
      readings: z.array(z.string().trim().min(1).max(40)).min(1).max(4),
    }),
  )
  .max(60);

/** Routes as this yard has written them. */
export const routesSchema = z
  .array(routeSchema)
  .max(20)
  .refine(
    (routes) => new Set(routes.map(({ key }) => key)).size === routes.length,
    'Each route has its own key.',
  );

/** What a manager sets for the yard; what is left out stays as it is. */
export const yardSettingsSchema = z.strictObject({
  name: nameSchema,
  system: systemSchema,
  timeZone: timeZoneSchema.optional(),
  houseViews: houseViewsSchema.optional(),
  routes: routesSchema.optional(),
  glossary: glossarySchema.optional(),
  water: yardWaterSchema.optional(),
  keepBuyers: z
    .number()
    .int()
    .min(keepDays.least, `Days: at least ${keepDays.least}.`)
    .max(keepDays.most, `Days: at most ${keepDays.most}.`)
    .optional(),
});
export type YardSettings = z.infer<typeof yardSettingsSchema>;
