import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type { Person } from './entities.ts';

/** Argon2id with the package's defaults, which follow OWASP's recommendation (19 MiB, 2 passes). */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** Compared against when there is nothing to compare with, so that both cases take equally long. */
const nobody = hashPassword(randomBytes(16).toString('hex'));

/** Whether a password is right; takes as long where there is no such person or password. */
export const isPassword = async (
  person: Pick<Person, 'passwordHash'> | null,
  password: string,
): Promise<boolean> => {
  const isRight = await verify(person?.passwordHash ?? (await nobody), password);
  return isRight && Boolean(person?.passwordHash);
};

/** What is kept of a token: nobody who reads the table can use it. */
export const digest = (token: string): string => createHash('sha256').update(token).digest('hex');
