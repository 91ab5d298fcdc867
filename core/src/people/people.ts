import { z } from 'zod';
import { roles } from './roles.ts';

const email = z.string().trim().toLowerCase().pipe(z.email().max(254));
const password = z.string().min(1).max(200);
const newPassword = z.string().min(10, 'Use at least 10 characters.').max(200);
const name = z.string().trim().min(1).max(80);
const system = z.enum(['us', 'metric']);

export const signInSchema = z.strictObject({ email, password });

/** The first account of an empty yard, made with the token that the start command prints. */
export const firstAccountSchema = z.strictObject({
  token: z.string().trim().min(1).max(100),
  yard: name,
  name,
  email,
  password: newPassword,
});

export const sessionSchema = z.strictObject({
  person: z.strictObject({
    id: z.uuid(),
    name: z.string(),
    email: z.string(),
    role: z.enum(roles),
    /** One's own units; null takes the yard's. */
    system: system.nullable(),
  }),
  yard: z.strictObject({ id: z.uuid(), name: z.string(), system }),
  /** Every yard this person belongs to. */
  yards: z.array(z.strictObject({ id: z.uuid(), name: z.string(), role: z.enum(roles) })),
});
export type Session = z.infer<typeof sessionSchema>;

/** A change of one's own password: the present one proves who asks. */
export const passwordChangeSchema = z.strictObject({ present: password, next: newPassword });

/** A password set by a one-time link. */
export const passwordByLinkSchema = z.strictObject({
  token: z.string().trim().min(1).max(100),
  password: newPassword,
});

/** What a person sets for themselves. */
export const ownSettingsSchema = z.strictObject({ name, system: system.nullable() });

/** What a manager sets for the yard. */
export const yardSettingsSchema = z.strictObject({ name, system });

export const newPersonSchema = z.strictObject({ name, email, role: z.enum(roles) });

/** Somebody of this yard, as its people see them. */
export const personSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  email: z.string(),
  role: z.enum(roles),
  /** Whether they have ever set a password. */
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
