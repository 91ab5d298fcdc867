import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { Refusal } from '../../base/problems/index.ts';
import type { Person } from '../../base/access/index.ts';

/** Argon2id with the package's defaults, which follow OWASP's recommendation (19 MiB, 2 passes). */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** Those of the 49,000 most common passwords that are long enough to be chosen here; read when somebody first chooses one. */
const commonOnes = async (): Promise<ReadonlySet<string>> => {
  const { dictionary } = await import('@zxcvbn-ts/language-common');
  return new Set(dictionary['passwords-common']);
};
let common: Promise<ReadonlySet<string>> | undefined;

/**
 * What is kept of a password that somebody chooses.
 * @throws Refusal bad-input for one that everybody tries first (OWASP ASVS 4.0.3, 2.1.7)
 */
export const hashNew = async (password: string): Promise<string> => {
  common ??= commonOnes();
  if (!(await common).has(password.toLowerCase())) return hashPassword(password);
  throw new Refusal(
    'bad-input',
    'Password: it’s on the lists of passwords people try first. Choose another one; nothing was saved.',
  );
};

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
