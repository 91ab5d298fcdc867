import { randomBytes } from 'node:crypto';
import { MoreThan, type EntityManager } from 'typeorm';
import { announceEnd } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { KnownDevice, PasswordLink, Person, SessionRow } from '../../base/access/index.ts';
import { digest, hashNew, isPassword } from './hashes.ts';
import { acceptBy, linkDays, wrongLink } from './invitations.ts';
import type { Try } from './sign-in.ts';

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
  await manager.update(Person, { id: personId }, { passwordHash: await hashNew(password) });
  await manager.delete(SessionRow, { personId });
  await announceEnd(manager);
  await manager.delete(PasswordLink, { personId });
  await manager.delete(KnownDevice, { personId });
};

/**
 * Sets a password by a one-time link, and by that of an invitation makes the account; whoever was signed in by the old one no longer is.
 * @throws Refusal wrong-link, sign-in-first
 */
export const setByLink = async (
  manager: EntityManager,
  token: string,
  password: string,
  from: Omit<Try, 'email' | 'password'>,
): Promise<void> => {
  const link = await manager.findOne(PasswordLink, {
    where: { tokenHash: digest(token), expiresAt: MoreThan(new Date()) },
    lock: { mode: 'pessimistic_write' },
  });
  if (!link) {
    if (await acceptBy(manager, token, password, from)) return;
    throw wrongLink();
  }
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
