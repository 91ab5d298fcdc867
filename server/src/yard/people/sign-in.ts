import { randomBytes } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { waitAfter, waitWords } from '@fair-gable/core/yard/people';
import { Refusal } from '../../base/problems/index.ts';
import {
  KnownDevice,
  Membership,
  Person,
  SignInTry,
  type Account,
} from '../../base/access/index.ts';
import { digest, isPassword } from './hashes.ts';
import { placeOf } from './place.ts';

/** Who tries to sign in, and from where. */
export interface Try {
  readonly email: string;
  readonly password: string;
  readonly ip: string;
  /** What an earlier sign-in left in this browser. */
  readonly device: string | undefined;
}

/**
 * Tries are counted by account and by where they come from. A browser in which this person has signed in before is a place
 * of its own: nobody beside it, nor behind the same proxy, can lock it out.
 */
const keyOf = async (
  source: DataSource,
  person: Person | null,
  { email, ip, device }: Try,
): Promise<string> => {
  const tokenHash = digest(device ?? '');
  const isKnown =
    person &&
    device &&
    (await source.manager.existsBy(KnownDevice, { personId: person.id, tokenHash }));
  return digest(`${email} ${isKnown ? `device ${tokenHash}` : placeOf(ip)}`);
};

const day = 86_400_000;

/**
 * Counts a try before it is looked at, or refuses it: forty at once are counted one after the other. A right one is taken
 * back. Those of yesterday no longer count.
 * @throws Refusal too-many with the seconds to wait
 */
const countTry = (source: DataSource, key: string): Promise<void> =>
  source.transaction(async (manager) => {
    // Found or made in one statement, and locked: a right try beside it may take the row away at any time.
    const [row] = await manager.query(
      `INSERT INTO sign_in_try AS t (key, failures, last_at) VALUES ($1, 0, clock_timestamp())
       ON CONFLICT (key) DO UPDATE SET failures = t.failures
       RETURNING failures, extract(epoch FROM clock_timestamp() - last_at) * 1000 AS ago`,
      [key],
    );
    const ago = Number(row.ago);
    const failures = ago > day ? 0 : row.failures;
    const seconds = Math.ceil(waitAfter(failures) - ago / 1000);
    if (seconds > 0) {
      throw new Refusal(
        'too-many',
        `Too many wrong tries. Wait ${waitWords(seconds)}, then try again.`,
        { wait: seconds },
      );
    }
    await manager.query(
      `UPDATE sign_in_try SET failures = $2, last_at = clock_timestamp() WHERE key = $1`,
      [key, failures + 1],
    );
  });

/** The yard where one begins: that at which one was last. */
const firstYard = async (source: DataSource, personId: string): Promise<string | undefined> => {
  const [yard] = await source.query(
    `SELECT y.id FROM membership m JOIN yard y ON y.id = m.yard_id
     WHERE m.person_id = $1 ORDER BY m.used_at DESC NULLS LAST, m.joined_at, y.id LIMIT 1`,
    [personId],
  );
  return yard?.id;
};

/**
 * Whether somebody’s password is right; the try is counted, and a right one taken back.
 * @throws Refusal too-many with the seconds to wait
 */
export const isRight = async (
  source: DataSource,
  person: Person | null,
  given: Try,
): Promise<boolean> => {
  const key = await keyOf(source, person, given);
  await countTry(source, key);
  const isSo = await isPassword(person, given.password);
  if (isSo) await source.manager.delete(SignInTry, { key });
  return isSo;
};

/**
 * The account of an address and password.
 * @throws Refusal wrong-password, no-yard, too-many with the seconds to wait
 */
export const accountFor = async (source: DataSource, given: Try): Promise<Account> => {
  const person = await source.manager.findOneBy(Person, { email: given.email });
  if (!(await isRight(source, person, given)) || !person) {
    throw new Refusal(
      'wrong-password',
      'Address and password do not belong together. Check both and try again.',
    );
  }
  const yardId = await firstYard(source, person.id);
  if (!yardId) {
    throw new Refusal(
      'no-yard',
      'You belong to no yard at present. Ask the manager of one for a link.',
    );
  }
  await source.manager.update(Membership, { personId: person.id, yardId }, { usedAt: new Date() });
  return { personId: person.id, yardId };
};

/**
 * Makes a browser known to whoever signed in there.
 * @param device what an earlier sign-in of anybody left there
 * @returns what is left there
 */
export const knowDevice = async (
  manager: EntityManager,
  personId: string,
  device: string | undefined,
): Promise<string> => {
  const token = device ?? randomBytes(18).toString('base64url');
  const row = { personId, tokenHash: digest(token), seenAt: new Date() };
  await manager.upsert(KnownDevice, row, ['personId', 'tokenHash']);
  return token;
};

/** Takes out tries that count no longer. */
export const sweepTries = async (manager: EntityManager): Promise<void> => {
  await manager.query(`DELETE FROM sign_in_try WHERE last_at < now() - interval '1 day'`);
};
