import { randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import type { System } from '@fair-gable/core/base/quantity';
import type { Role } from '@fair-gable/core/base/rights';
import { nobody, withinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Membership, PasswordLink, Person, Secret, Yard } from '../../base/access/index.ts';
import { digest, hashNew } from './hashes.ts';
import { invite } from './invitations.ts';

export interface NewPerson {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly role: Role;
}

/** A yard with its first people, in the caller's transaction. */
export const createYard = async (
  manager: EntityManager,
  yard: { readonly name: string; readonly system: System; readonly timeZone?: string | undefined },
  people: readonly NewPerson[],
): Promise<string> => {
  const yardId = randomUUID();
  // Where nobody says otherwise it stands where the server does.
  const { timeZone = new Intl.DateTimeFormat().resolvedOptions().timeZone } = yard;
  await manager.insert(Yard, { id: yardId, ...yard, timeZone });
  for (const { name, email, password, role } of people) {
    const had = await manager.findOneBy(Person, { email });
    const personId = had?.id ?? randomUUID();
    if (!had) {
      const passwordHash = await hashNew(password);
      await manager.insert(Person, { id: personId, name, email, passwordHash, system: null });
    }
    await manager.insert(Membership, { yardId, personId, role });
  }
  return yardId;
};

/**
 * Another yard on the same server, with its manager. Who has an account already keeps it.
 * @returns the link by which the manager accepts and sets a password, where they have no account yet
 */
export const addYard = (
  source: DataSource,
  given: { readonly yard: string; readonly name: string; readonly email: string },
): Promise<{ token: string; until: string } | null> =>
  source.transaction(async (manager) => {
    const { name, yard } = given;
    const email = given.email.trim().toLowerCase();
    const yardId = await createYard(manager, { name: yard, system: 'us' }, []);
    const had = await manager.findOneBy(Person, { email });
    const within = withinYard(manager, yardId, nobody);
    if (!had) return (await invite(within, { name, email, role: 'manager' })).link;
    await manager.insert(Membership, { yardId, personId: had.id, role: 'manager' });
    await manager.delete(PasswordLink, { personId: had.id });
    return null;
  });

const tokenKey = 'first-account';

/** A fresh one-time token for the first account; only its hash is kept. */
export const firstAccountToken = async (source: DataSource): Promise<string> => {
  const token = randomBytes(9).toString('base64url');
  await source.manager.save(Secret, { key: tokenKey, value: digest(token) });
  return token;
};

/**
 * Makes the first yard and its manager, once.
 * @throws Refusal wrong-token
 */
export const firstAccount = async (
  source: DataSource,
  given: {
    token: string;
    yard: string;
    name: string;
    email: string;
    password: string;
    timeZone?: string | undefined;
  },
): Promise<void> =>
  source.transaction(async (manager) => {
    const kept = await manager.findOne(Secret, {
      where: { key: tokenKey },
      lock: { mode: 'pessimistic_write' },
    });
    const offered = Buffer.from(digest(given.token));
    if (!kept || !timingSafeEqual(Buffer.from(kept.value), offered)) {
      throw new Refusal(
        'wrong-token',
        'One-time token: it is not the one printed at the last start, or it was used. Start again to print a new one.',
      );
    }
    const { name, email, password, timeZone } = given;
    await createYard(manager, { name: given.yard, system: 'us', timeZone }, [
      { name, email, password, role: 'manager' },
    ]);
    await manager.delete(Secret, { key: tokenKey });
  });

/** A secret of this installation, made on first use. */
export const installationSecret = async (source: DataSource, key: string): Promise<string> => {
  const made = { key, value: randomBytes(48).toString('base64url') };
  await source.createQueryBuilder().insert().into(Secret).values(made).orIgnore().execute();
  return (await source.manager.findOneByOrFail(Secret, { key })).value;
};

/** Whether nobody has set up a yard yet. */
export const isEmpty = async (source: DataSource): Promise<boolean> =>
  (await source.manager.count(Yard)) === 0;
