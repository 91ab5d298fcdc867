import { z } from 'zod';

/** What people may do on a yard, from most to least. */
export const roles = ['manager', 'specialist', 'technician', 'guest', 'viewer'] as const;
export type Role = (typeof roles)[number];

const email = z.string().trim().toLowerCase().pipe(z.email().max(254));
const password = z.string().min(1).max(200);

export const signInSchema = z.strictObject({ email, password });

/** The first account of an empty yard, made with the token that the start command prints. */
export const firstAccountSchema = z.strictObject({
  token: z.string().trim().min(1).max(100),
  yard: z.string().trim().min(1).max(80),
  name: z.string().trim().min(1).max(80),
  email,
  password: z.string().min(10, 'Use at least 10 characters.').max(200),
});

export const sessionSchema = z.strictObject({
  person: z.strictObject({ id: z.uuid(), name: z.string(), role: z.enum(roles) }),
  yard: z.strictObject({ id: z.uuid(), name: z.string(), system: z.enum(['us', 'metric']) }),
});
export type Session = z.infer<typeof sessionSchema>;

/** Roles that may change a unit's record. */
export const writers: readonly Role[] = ['manager', 'specialist', 'technician'];
