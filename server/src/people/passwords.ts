import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { MoreThan, type EntityManager } from 'typeorm';
import { Refusal } from '../problems/index.ts';
import { PasswordLink, Person, SessionRow } from './entities.ts';

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

const linkDays = 3;

/** A one-time link for a person to set a password; an older one stops working. */
export const makeLink = async (
  manager: EntityManager,
  personId: string,
): Promise<{ token: string; until: string }> => {
  const token = randomBytes(18).toString('base64url');
  const expiresAt = new Date(Date.now() + linkDays * 86_400_000);
  await manager.delete(PasswordLink, { personId });
  await manager.insert(PasswordLink, { tokenHash: digest(token), personId, expiresAt });
  return { token, until: expiresAt.toISOString() };
};

const set = async (manager: EntityManager, personId: string, password: string): Promise<void> => {
  await manager.update(Person, { id: personId }, { passwordHash: await hashPassword(password) });
  await manager.delete(SessionRow, { personId });
};

/**
 * Sets a password by a one-time link; whoever was signed in by the old one no longer is.
 * @throws Refusal wrong-link
 */
export const setByLink = async (
  manager: EntityManager,
  token: string,
  password: string,
): Promise<void> => {
  const link = await manager.findOne(PasswordLink, {
    where: { tokenHash: digest(token), expiresAt: MoreThan(new Date()) },
    lock: { mode: 'pessimistic_write' },
  });
  if (!link) {
    throw new Refusal(
      'wrong-link',
      'This link was used, or is older than three days. Ask a manager of your yard for another.',
    );
  }
  await manager.delete(PasswordLink, { tokenHash: link.tokenHash });
  await set(manager, link.personId, password);
};

/**
 * Changes one's own password; every sign-in ends, the caller begins a new one.
 * @throws Refusal wrong-present
 */
export const changeOwn = async (
  manager: EntityManager,
  personId: string,
  given: { readonly present: string; readonly next: string },
): Promise<void> => {
  const person = await manager.findOneByOrFail(Person, { id: personId });
  if (!(await isPassword(person, given.present))) {
    throw new Refusal(
      'wrong-present',
      'Present password: it is not the one you sign in with. Nothing was changed.',
      { field: 'present' },
    );
  }
  await set(manager, personId, given.next);
};

/**
 * A one-time link for whoever runs the server to hand over, when no manager can.
 * @throws Refusal not-found
 */
export const passwordLink = async (
  manager: EntityManager,
  email: string,
): Promise<{ token: string; until: string }> => {
  const person = await manager.findOneBy(Person, { email: email.trim().toLowerCase() });
  if (!person) throw new Refusal('not-found', `Nobody here signs in as ${email}.`);
  return makeLink(manager, person.id);
};
