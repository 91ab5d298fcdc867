import { z } from 'zod';
import { longestText } from '../../show/claims/index.ts';

const day = z
  .string()
  .regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'A day, as 2026-03-14.');
const words = z.string().trim().min(1).max(500);

/** What is left to do after a walk. */
export const followUpKinds = [
  { key: 'promise', label: 'Promised', days: 1 },
  { key: 'question', label: 'To be answered', days: 2 },
  { key: 'fault', label: 'Not working', days: 1 },
  { key: 'call', label: 'To call', days: 3 },
] as const;
export type FollowUpKind = (typeof followUpKinds)[number]['key'];

export const followUpSchema = z.strictObject({
  id: z.uuid(),
  walk: z.uuid(),
  unit: z.uuid(),
  kind: z.enum(followUpKinds.map(({ key }) => key) as [FollowUpKind, ...FollowUpKind[]]),
  text: words,
  due: day,
  /** Who sees to it. */
  who: z.string().trim().max(80).default(''),
  /** The day on which it was done. */
  done: day.optional(),
});
export type FollowUp = z.infer<typeof followUpSchema>;

const phone = z
  .string()
  .trim()
  .regex(/^\+?[\d ()./-]{5,30}$/, 'Phone: digits, with a + before the country if there is one.');

/** Somebody who was shown something: only what a follow-up needs. */
export const buyerSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string().trim().min(1, 'Name: what they are called.').max(80),
    email: z.email('E-mail: one address, as name@place.example.').max(200).optional(),
    phone: phone.optional(),
  })
  .refine(({ email, phone: by }) => email !== undefined || by !== undefined, {
    message: 'E-mail or phone: one of them, or there is no way to follow up.',
    path: ['email'],
  });
export type Buyer = z.infer<typeof buyerSchema>;

/** Longest time that buyers’ names are kept, in days; and what a yard that says nothing keeps them. */
export const keepDays = { least: 7, most: 730, usual: 180 } as const;

export const letterSchema = z.strictObject({
  id: z.uuid(),
  walk: z.uuid(),
  subject: z.string().trim().min(1, 'Subject: a few words.').max(120),
  text: z.string().trim().min(1, 'Message: some words.').max(longestText),
});
export type Letter = z.infer<typeof letterSchema>;
