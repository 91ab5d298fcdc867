import { nameSchema } from '../../base/words/index.ts';
import { z } from 'zod';
import { paces } from '../../show/cards/index.ts';
import { yardWaterSchema } from '../../numbers/water/index.ts';
import { savedViewsSchema } from '../list/index.ts';
import { roles } from '../../base/rights/index.ts';
import {
  glossarySchema,
  houseViewsSchema,
  routesSchema,
  systemSchema as system,
  timeZoneSchema,
} from '../settings/index.ts';

const email = z.string().trim().toLowerCase().pipe(z.email().max(254));
const password = z.string().min(1).max(200);
/** OWASP ASVS 4.0.3, 2.1.1 and 2.1.2. */
const newPassword = z
  .string()
  .min(12, 'Use at least 12 characters.')
  .max(128, 'Use at most 128 characters.');
const name = nameSchema;
const pace = z
  .number()
  .int()
  .min(paces.from, `Words a minute: at least ${paces.from}.`)
  .max(paces.to, `Words a minute: at most ${paces.to}.`);

export const signInSchema = z.strictObject({ email, password });

/** The first account of an empty yard, made with the token that the start command prints. */
export const firstAccountSchema = z.strictObject({
  token: z.string().trim().min(1).max(100),
  yard: name,
  name,
  email,
  password: newPassword,
  /** Where the browser stands that makes it. */
  timeZone: timeZoneSchema.optional(),
});

export const sessionSchema = z.strictObject({
  person: z.strictObject({
    id: z.uuid(),
    name: z.string(),
    email: z.string(),
    role: z.enum(roles),
    /** One's own units; null takes the yard's. */
    system: system.nullable(),
    /** Words a minute as one set it; null goes by one’s walks. */
    pace: pace.nullable(),
    /** Words a minute as one’s walks show it; null until there are enough. */
    learnedPace: pace.nullable(),
    /** Views of this yard kept under a name. */
    views: savedViewsSchema,
  }),
  yard: z.strictObject({
    id: z.uuid(),
    name: z.string(),
    system,
    timeZone: timeZoneSchema,
    houseViews: houseViewsSchema,
    /** Routes as this yard has written them. */
    routes: routesSchema,
    glossary: glossarySchema,
    /** Days for which buyers’ names are kept. */
    keepBuyers: z.number().int(),
    /** Water a person uses in a day, as this yard reckons it. */
    water: yardWaterSchema,
    /** Filled with the demo: stand-ins for a yard’s devices are offered. */
    demo: z.boolean(),
  }),
  /** Every yard this person belongs to. */
  yards: z.array(z.strictObject({ id: z.uuid(), name: z.string(), role: z.enum(roles) })),
  /** What time it is where all of it is kept. */
  now: z.iso.datetime(),
});
export type Session = z.infer<typeof sessionSchema>;

/** A change of one's own password: the present one proves who asks. */
export const passwordChangeSchema = z.strictObject({ present: password, next: newPassword });

/** A password set by a one-time link. */
export const passwordByLinkSchema = z.strictObject({
  token: z.string().trim().min(1).max(100),
  password: newPassword,
});

/** A one-time link's secret part. */
export const linkTokenSchema = z.strictObject({ token: z.string().trim().min(1).max(100) });

/** What a one-time link is for: a password of one's own, or a place on a yard. */
export const linkForSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('password') }),
  z.strictObject({ kind: z.literal('invitation'), yard: z.string(), role: z.enum(roles) }),
]);
export type LinkFor = z.infer<typeof linkForSchema>;

/** What a person sets for themselves. */
export const ownSettingsSchema = z.strictObject({
  name,
  system: system.nullable(),
  pace: pace.nullable().optional(),
});

export const newPersonSchema = z.strictObject({ name, email, role: z.enum(roles) });

/** Somebody of this yard, as its people see them. */
export const personSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  email: z.string(),
  role: z.enum(roles),
  /** False of somebody who is invited and has not accepted yet; `id` is then that of the invitation. */
  ready: z.boolean(),
});
export type YardPerson = z.infer<typeof personSchema>;

/** A one-time link, to be handed over by whoever made it. */
export const linkSchema = z.strictObject({ token: z.string(), until: z.iso.datetime() });

/** A browser in which somebody is signed in. */
export const signedInSchema = z.strictObject({
  id: z.string(),
  device: z.string(),
  since: z.iso.datetime(),
  seen: z.iso.datetime(),
  here: z.boolean(),
});
export type SignedIn = z.infer<typeof signedInSchema>;
