import type { DataSource, EntityManager } from 'typeorm';
import { forgetSent, inYard, isFirst, type InYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { readUnit } from '../record/index.ts';
import { PhotoRow } from './entities.ts';
import { madeInThread, photoLimit, type Picture } from '../../base/picture/index.ts';
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

/** How much of a photo is here. */
export interface Arrived {
  readonly received: number;
  readonly done: boolean;
  readonly width?: number;
  readonly height?: number;
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
  const [row] = await yard.manager.query(
    `SELECT coalesce(max(starts + octet_length(bytes)), 0)::int AS received
     FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`,
    [yard.yardId, unitId, id],
  );
  return row.received as number;
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
  const [row] = await yard.manager.query(
    `SELECT string_agg(bytes, ''::bytea ORDER BY starts) AS whole
     FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`,
    [yard.yardId, unitId, id],
  );
  return row.whole as Buffer | null;
};

const dropPieces = (yard: InYard, unitId: string, photoId: string): Promise<unknown> =>
  yard.manager.query(
    `DELETE FROM photo_piece WHERE yard_id = $1 AND unit_id = $2 AND photo_id = $3`,
    [yard.yardId, unitId, photoId],
  );

/** A picture that cannot be read may be sent again under its id, as another. */
const dropAll = async (yard: InYard, unitId: string, photoId: string): Promise<void> => {
  await dropPieces(yard, unitId, photoId);
  await forgetSent(yard, ['photo', 'piece'], photoId);
};

/** Keeps a picture under its id; one that is there stays. */
export const keepPicture = async (
  yard: InYard,
  { unitId, id, by }: { readonly unitId: string; readonly id: string; readonly by: string },
  { picture, thumb, width, height }: Picture,
): Promise<void> => {
  await yard.manager.query(
    `INSERT INTO photo (yard_id, unit_id, id, width, height, picture, thumb, by, at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, clock_timestamp()) ON CONFLICT DO NOTHING`,
    [yard.yardId, unitId, id, width, height, picture, thumb, by],
  );
};

/** Where photos are kept, and made anew. */
export interface Taking {
  readonly source: DataSource;
  readonly threads: Threads;
}

/** A photo on its way is one person's at a time; two requests with the same piece wait for one another. */
const alone = (yard: InYard, id: string): Promise<unknown> =>
  yard.manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 4781))', [
    `${yard.yardId} ${id}`,
  ]);

/** Pieces nobody went on with for a week: the device sends the photo anew, from the start. */
const dropStalePieces = (manager: EntityManager): Promise<unknown> =>
  manager.query(
    `DELETE FROM photo_piece p USING (
       SELECT yard_id, unit_id, photo_id FROM photo_piece
       GROUP BY yard_id, unit_id, photo_id HAVING max(at) < now() - interval '7 days') old
     WHERE p.yard_id = old.yard_id AND p.unit_id = old.unit_id AND p.photo_id = old.photo_id`,
  );

const addPiece = async (yard: InYard, piece: Piece): Promise<Arrived> => {
  const { unitId, id, from, bytes } = piece;
  await readUnit(yard, unitId);
  await alone(yard, id);
  await isFirst(yard, 'photo', { id, body: { unitId, of: piece.of } });
  await isFirst(yard, 'piece', { id: `${id}/${from}/${bytes.length}`, body: bytes });
  const there = await kept(yard, unitId, id);
  if (there) return there;
  if (from === 0) await dropStalePieces(yard.manager);
  const received = await receivedOf(yard, unitId, id);
  // It came before, or something before it did not come: the sender goes on from what is here.
  if (from !== received) return { received, done: false };
  await yard.manager.query(
    `INSERT INTO photo_piece (yard_id, unit_id, photo_id, starts, bytes, at)
     VALUES ($1, $2, $3, $4, $5, clock_timestamp())`,
    [yard.yardId, unitId, id, from, bytes],
  );
  return { received: received + bytes.length, done: false };
};

/** Makes the picture of a photo that is here whole; no connection waits for it meanwhile, and of two that do the first stays. */
const finish = async (
  { source, threads }: Taking,
  yardId: string,
  { unitId, id }: Piece,
  by: string,
): Promise<Arrived> => {
  const whole = await wholeOf(inYard(source.manager, yardId), unitId, id);
  const picture = whole && (await madeInThread(threads, whole));
  return source.transaction(async (manager) => {
    const yard = inYard(manager, yardId);
    await alone(yard, id);
    const there = await kept(yard, unitId, id);
    if (there) return there;
    // Its pieces went while it was looked for: it begins again.
    if (!picture) return { received: 0, done: false };
    await keepPicture(yard, { unitId, id, by }, picture);
    await dropPieces(yard, unitId, id);
    return done(picture);
  });
};

/**
 * Takes a piece of a photo; with the last one it is made anew and kept. Sent twice, a piece is taken once.
 * @returns how much is here; a device goes on from there, whatever it sent
 * @throws Refusal not-found, too-large, other-body; bad-picture, and then nothing of it is kept
 */
export const takePiece = async (
  taking: Taking,
  yardId: string,
  piece: Piece,
  by: string,
): Promise<Arrived> => {
  const { source } = taking;
  const { from, of, bytes, unitId, id } = piece;
  if (of > photoLimit || from + bytes.length > of) throw tooLarge;
  const now = await source.transaction((manager) => addPiece(inYard(manager, yardId), piece));
  if (now.done || now.received < of) return now;
  try {
    return await finish(taking, yardId, piece, by);
  } catch (error) {
    // A server that has no thread for it now has one in a moment.
    if (error instanceof Refusal && error.code !== 'busy')
      await dropAll(inYard(source.manager, yardId), unitId, id);
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
  const [row] = await yard.manager.query(
    `SELECT ${column} AS bytes FROM photo WHERE yard_id = $1 AND unit_id = $2 AND id = $3`,
    [yard.yardId, unitId, id],
  );
  if (!row) {
    throw new Refusal(
      'not-found',
      'This photo is not here yet. The device that took it sends it when it has a network.',
    );
  }
  return row.bytes as Buffer;
};

/** Which of a unit's photos are here. */
export const photosHere = async (yard: InYard, unitId: string): Promise<readonly string[]> => {
  const rows = await yard.find(PhotoRow, { unitId });
  return rows.map(({ id }) => id);
};
