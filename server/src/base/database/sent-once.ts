import { createHash } from 'node:crypto';
import stringify from 'safe-stable-stringify';
import { Refusal } from '../problems/index.ts';
import type { WithinYard } from './in-yard.ts';

/** What a device sends under an id of its own, so that it may send it again. */
export type SentKind =
  'unit' | 'edit' | 'walk' | 'event' | 'memo' | 'photo' | 'piece' | 'letter' | 'offer';

/** Something sent, and its id; bytes, or anything that JSON can say. */
export interface Sent {
  readonly id: string;
  readonly body: unknown;
}

const digestOf = (body: unknown): string =>
  createHash('sha256')
    .update(Buffer.isBuffer(body) ? body : (stringify(body) ?? ''))
    .digest('hex');

const otherBody = (): Refusal =>
  new Refusal(
    'other-body',
    'Something different was already sent under this id, and that one stays. Enter yours again so it gets its own id; nothing was saved.',
  );

/**
 * Notes what was sent, within the transaction that keeps it: whoever sends the same id at the same time waits for it. What
 * came before this was noted is known by its id alone.
 * @returns the ids that are here for the first time
 * @throws Refusal other-body, where something else was sent under one of them
 */
export const firstSent = async (
  yard: WithinYard,
  kind: SentKind,
  sent: readonly Sent[],
): Promise<ReadonlySet<string>> => {
  const given = sent.map(({ id, body }) => ({ id, digest: digestOf(body) }));
  const own = [kind, given.map(({ id }) => id), given.map(({ digest }) => digest)];
  // Several are noted in one order, so that no two senders wait for each other.
  const fresh = await yard.run<{ id: string }>(
    `INSERT INTO sent_once (yard_id, kind, id, digest)
     SELECT $1, $2, g.id, g.digest FROM unnest($3::text[], $4::text[]) AS g(id, digest) ORDER BY g.id
     ON CONFLICT DO NOTHING RETURNING id`,
    own,
  );
  const others = await yard.query(
    `SELECT 1 FROM sent_once s JOIN unnest($3::text[], $4::text[]) AS g(id, digest) ON g.id = s.id
     WHERE s.yard_id = $1 AND s.kind = $2 AND s.digest <> g.digest LIMIT 1`,
    own,
  );
  if (others.length > 0) throw otherBody();
  return new Set(fresh.map(({ id }) => id));
};

/** Whether this is the first time that it is sent. @throws Refusal other-body */
export const isFirst = async (yard: WithinYard, kind: SentKind, sent: Sent): Promise<boolean> =>
  (await firstSent(yard, kind, [sent])).has(sent.id);

/** Forgets that something was sent, and its pieces: it was not kept, and may come again. */
export const forgetSent = async (
  yard: WithinYard,
  kinds: readonly SentKind[],
  id: string,
): Promise<void> => {
  await yard.run(
    `DELETE FROM sent_once WHERE yard_id = $1 AND kind = ANY ($2) AND split_part(id, '/', 1) = $3`,
    [kinds, id],
  );
};
