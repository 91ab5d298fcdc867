import type { EntityManager } from 'typeorm';
import { forgetSent, isFirst, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { readUnit } from '../record/index.ts';
import { PhotoRow } from './entities.ts';
import { madeInThread, type Picture } from '../../base/picture/index.ts';
import { photoLimit, type Arrived } from '@fair-gable/core/unit/photo';
import type { Threads } from '../../base/threads/index.ts';

/** The longest a piece of a photo may be, bytes. */
export const pieceLimit = 512_000;

/** A piece of a photo, and where it belongs. */
export interface Piece {
  readonly unitId: string;
  readonly id: string;
  readonly from: number;
  /** Bytes of the whole. */
  readonly of: number;
  readonly bytes: Buffer;
}

const tooLarge = new Refusal(
  'too-large',
  'A photo may have 12 MB. Take it with a smaller size, or make it smaller; nothing was kept.',
);

const done = ({ width, height }: Pick<Picture, 'width' | 'height'>): Arrived => ({
  received: photoLimit,
  done: true,
  width,
  height,
});

const kept = async (yard: InYard, unitId: string, id: string): Promise<Arrived | undefined> => {
  const row = await yard.findOne(PhotoRow, { unitId, id });
  if (!row) return undefined;
  return done(row);
};

const receivedOf = async (yard: InYard, unitId: string, id: string): Promise<number> => {
  const [row] = await yard.query<{ received: number }>(
    `SELECT coalesce(max(starts + octet_length(bytes)), 0)::int AS received
     FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`,
    [unitId, id],
  );
  return row?.received ?? 0;
};

/** How much of a photo is here: from there a device goes on. @throws Refusal not-found */
export const arrived = async (yard: InYard, unitId: string, id: string): Promise<Arrived> => {
  await readUnit(yard, unitId);
  return (
    (await kept(yard, unitId, id)) ?? {
      received: await receivedOf(yard, unitId, id),
      done: false,
    }
  );
};

const wholeOf = async (yard: InYard, unitId: string, id: string): Promise<Buffer | null> => {
  const [row] = await yard.query<{ whole: Buffer | null }>(
    `SELECT string_agg(bytes, ''::bytea ORDER BY starts) AS whole
     FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`,
    [unitId, id],
  );
  return row?.whole ?? null;
};

const dropPieces = (yard: WithinYard, unitId: string, photoId: string): Promise<unknown> =>
  yard.run(`DELETE FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`, [
    unitId,
    photoId,
  ]);

/** A picture that cannot be read may be sent again under its id, as another. */
const dropAll = async (yard: WithinYard, unitId: string, photoId: string): Promise<void> => {
  await dropPieces(yard, unitId, photoId);
  await forgetSent(yard, ['photo', 'piece'], photoId);
};

/** Keeps a picture under its id; one that is there stays. */
export const keepPicture = async (
  yard: WithinYard,
  { unitId, id }: { readonly unitId: string; readonly id: string },
  { picture, thumb, width, height }: Picture,
): Promise<void> => {
  await yard.run(
    `INSERT INTO photo (yard_id, unit_id, id, width, height, picture, thumb, by, at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, clock_timestamp()) ON CONFLICT DO NOTHING`,
    [unitId, id, width, height, picture, thumb, yard.author.name],
  );
};

/** A photo on its way is one person's at a time; two requests with the same piece wait for one another. */
const alone = (yard: WithinYard, id: string): Promise<void> => yard.alone(`photo ${id}`);

/** Drops pieces nobody went on with for a week: the device sends the photo anew, from the start. */
export const dropStalePieces = async (manager: EntityManager): Promise<void> => {
  await manager.query(
    `DELETE FROM photo_piece p USING (
       SELECT yard_id, unit_id, photo_id FROM photo_piece
       GROUP BY yard_id, unit_id, photo_id HAVING max(at) < now() - interval '7 days') old
     WHERE p.yard_id = old.yard_id AND p.unit_id = old.unit_id AND p.photo_id = old.photo_id`,
  );
};

const addPiece = async (yard: WithinYard, piece: Piece): Promise<Arrived> => {
  const { unitId, id, from, bytes } = piece;
  await readUnit(yard, unitId);
  await alone(yard, id);
  await isFirst(yard, 'photo', { id, body: { unitId, of: piece.of } });
  await isFirst(yard, 'piece', { id: `${id}/${from}/${bytes.length}`, body: bytes });
  const there = await kept(yard, unitId, id);
  if (there) return there;
  const received = await receivedOf(yard, unitId, id);
  // It came before, or something before it did not come: the sender goes on from what is here.
  if (from !== received) return { received, done: false };
  await yard.run(
    `INSERT INTO photo_piece (yard_id, unit_id, photo_id, starts, bytes, at)
     VALUES ($1, $2, $3, $4, $5, clock_timestamp())`,
    [unitId, id, from, bytes],
  );
  return { received: received + bytes.length, done: false };
};

/** Makes the picture of a photo that is here whole; no connection waits for it meanwhile, and of two that do the first stays. */
const finish = async (yard: InYard, threads: Threads, { unitId, id }: Piece): Promise<Arrived> => {
  const whole = await wholeOf(yard, unitId, id);
  const picture = whole && (await madeInThread(threads, whole));
  return yard.within(async (within) => {
    await alone(within, id);
    const there = await kept(within, unitId, id);
    if (there) return there;
    // Its pieces went while it was looked for: it begins again.
    if (!picture) return { received: 0, done: false };
    await keepPicture(within, { unitId, id }, picture);
    await dropPieces(within, unitId, id);
    return done(picture);
  });
};

/**
 * Takes a piece of a photo; with the last one it is made anew and kept. Sent twice, a piece is taken once.
 * @returns how much is here; a device goes on from there, whatever it sent
 * @throws Refusal not-found, too-large, other-body; bad-picture, and then nothing of it is kept
 */
export const takePiece = async (yard: InYard, threads: Threads, piece: Piece): Promise<Arrived> => {
  const { from, of, bytes, unitId, id } = piece;
  if (of > photoLimit || from + bytes.length > of) throw tooLarge;
  const now = await yard.within((within) => addPiece(within, piece));
  if (now.done || now.received < of) return now;
  try {
    return await finish(yard, threads, piece);
  } catch (error) {
    // A server that has no thread for it now has one in a moment.
    if (error instanceof Refusal && error.code !== 'busy')
      await yard.within((within) => dropAll(within, unitId, id));
    throw error;
  }
};

/** A photo's bytes. @throws Refusal not-found */
export const pictureOf = async (
  yard: InYard,
  unitId: string,
  id: string,
  size: 'whole' | 'thumb',
): Promise<Buffer> => {
  const column = size === 'thumb' ? 'thumb' : 'picture';
  const [row] = await yard.query<{ bytes: Buffer }>(
    `SELECT ${column} AS bytes FROM photo WHERE yard_id = $1 AND unit_id = $2 AND id = $3`,
    [unitId, id],
  );
  if (!row) {
    throw new Refusal(
      'not-found',
      'This photo is not here yet. The device that took it sends it when it has a network.',
    );
  }
  return row.bytes;
};

/** Which of a unit's photos are here. */
export const photosHere = async (yard: InYard, unitId: string): Promise<readonly string[]> => {
  const rows = await yard.find(PhotoRow, { unitId });
  return rows.map(({ id }) => id);
};
