import type { DataSource } from 'typeorm';
import { waitAfter, waitWords } from '@fair-gable/core';
import { Refusal } from '../problems/index.ts';
import { Person, SignInTry } from './entities.ts';
import { digest, isPassword } from './passwords.ts';

export interface Account {
  readonly personId: string;
  readonly yardId: string;
}

/** Who tries to sign in, and from where. */
export interface Try {
  readonly email: string;
  readonly password: string;
  readonly ip: string;
}

/** Tries are counted by address and place: nobody can lock somebody else out from elsewhere. */
const keyOf = ({ email, ip }: Try): string => digest(`${email} ${ip}`);

const refuseTooSoon = async (source: DataSource, key: string): Promise<void> => {
  const before = await source.manager.findOneBy(SignInTry, { key });
  if (!before) return;
  const over = before.lastAt.getTime() + waitAfter(before.failures) * 1000;
  const seconds = Math.ceil((over - Date.now()) / 1000);
  if (seconds <= 0) return;
  throw new Refusal(
    'too-many',
    `Too many wrong tries. Wait ${waitWords(seconds)}, then try again.`,
    { wait: seconds },
  );
};

/** One more wrong try; those of yesterday no longer count. */
const countFailure = (source: DataSource, key: string): Promise<unknown> =>
  source.query(
    `INSERT INTO sign_in_try AS t (key, failures, last_at) VALUES ($1, 1, now())
     ON CONFLICT (key) DO UPDATE SET last_at = now(),
       failures = CASE WHEN t.last_at < now() - interval '1 day' THEN 1 ELSE t.failures + 1 END`,
    [key],
  );

/** The yard where one begins: of several, the first by name; one goes on to the others from there. */
const firstYard = async (source: DataSource, personId: string): Promise<string | undefined> => {
  const [yard] = await source.query(
    `SELECT y.id FROM membership m JOIN yard y ON y.id = m.yard_id
     WHERE m.person_id = $1 ORDER BY y.name, y.id LIMIT 1`,
    [personId],
  );
  return yard?.id;
};

/**
 * The account of an address and password.
 * @throws Refusal wrong-password, too-many with the seconds to wait
 */
export const accountFor = async (source: DataSource, given: Try): Promise<Account> => {
  const key = keyOf(given);
  await refuseTooSoon(source, key);
  const person = await source.manager.findOneBy(Person, { email: given.email });
  const isRight = await isPassword(person, given.password);
  const yardId = person && isRight ? await firstYard(source, person.id) : undefined;
  if (!person || !yardId) {
    await countFailure(source, key);
    throw new Refusal(
      'wrong-password',
      'Address and password do not belong together. Check both and try again.',
    );
  }
  await source.manager.delete(SignInTry, { key });
  return { personId: person.id, yardId };
};
