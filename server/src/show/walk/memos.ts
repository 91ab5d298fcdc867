import { isFirst, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk } from './entities.ts';

/** The longest a voice memo may be, bytes: some three minutes as phones record speech. */
export const memoLimit = 3_000_000;

/** How each kind of sound that browsers record begins; from the formats’ own specifications. */
const beginnings: readonly { readonly type: string; readonly is: (bytes: Buffer) => boolean }[] = [
  // EBML header, RFC 8794.
  { type: 'audio/webm', is: (bytes) => bytes.subarray(0, 4).toString('hex') === '1a45dfa3' },
  // Ogg page, RFC 3533.
  { type: 'audio/ogg', is: (bytes) => bytes.subarray(0, 4).toString('latin1') === 'OggS' },
  // File type box, ISO/IEC 14496-12.
  { type: 'audio/mp4', is: (bytes) => bytes.subarray(4, 8).toString('latin1') === 'ftyp' },
];

/**
 * Keeps a voice memo of a walk, within a transaction; sent twice it is kept once. What it is goes by its content, whatever it was sent as.
 * @throws Refusal not-found, also where whoever it is of was forgotten; bad-input, other-body
 */
export const keepMemo = async (
  yard: WithinYard,
  { walk, id, bytes }: { readonly walk: string; readonly id: string; readonly bytes: Buffer },
): Promise<void> => {
  const its = await yard.findOne(Walk, { id: walk });
  if (!its) {
    throw new Refusal('not-found', 'There is no such walk in this yard. Send its plan first.');
  }
  if (its.buyerForgotten) {
    throw new Refusal(
      'not-found',
      'The buyer on this walk was forgotten, and the voice memo with them. Leave it out.',
    );
  }
  const kind = beginnings.find(({ is }) => is(bytes));
  if (!kind) {
    throw new Refusal(
      'bad-input',
      'The voice memo is not WebM, Ogg or MP4 sound. Record it again on this page.',
    );
  }
  if (!(await isFirst(yard, 'memo', { id, body: bytes }))) return;
  await yard.run(
    `INSERT INTO memo (yard_id, walk_id, id, type, bytes, by, at)
     VALUES ($1, $2, $3, $4, $5, $6, clock_timestamp()) ON CONFLICT DO NOTHING`,
    [walk, id, kind.type, bytes, yard.author.name],
  );
  await yard.announce('walk', walk);
};

/** A voice memo. @throws Refusal not-found */
export const readMemo = async (
  yard: InYard,
  walk: string,
  id: string,
): Promise<{ readonly type: string; readonly bytes: Buffer }> => {
  const [row] = await yard.query<{ type: string; bytes: Buffer }>(
    `SELECT type, bytes FROM memo WHERE yard_id = $1 AND walk_id = $2 AND id = $3`,
    [walk, id],
  );
  if (!row) {
    throw new Refusal('not-found', 'This voice memo is not here yet, or was forgotten.');
  }
  return row;
};
