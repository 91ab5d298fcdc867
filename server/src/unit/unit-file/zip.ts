import { Zip, ZipPassThrough } from 'fflate';
import type { UnitFile } from '@fair-gable/core/unit/unit-file';
import type { InYard, WithinYard } from '../../base/database/index.ts';
import type { AtWork } from '../../base/long-work/index.ts';
import { keepPicture, photosHere, pictureOf } from '../photo/index.ts';
import { pictureFrom, type Picture } from '../../base/picture/index.ts';
import { threadFile, type Threads } from '../../base/threads/index.ts';
import { unitName, type NamedPicture } from './unpack.ts';

/** Bytes of a zip that is taken in. */
export const zipLimit = 100_000_000;
/** Three hundred photos need thirty, seconds. */
const unpacksWithin = 60;

const thread = threadFile('unpack-thread', import.meta.url);

/** A unit's file with the photos that are here, as a zip, a photo at a time. */
export const packUnit = async function* (yard: InYard, file: UnitFile): AsyncGenerator<Buffer> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  const add = (name: string, bytes: Uint8Array): void => {
    const entry = new ZipPassThrough(name);
    zip.add(entry);
    entry.push(bytes, true);
  };
  const sent = function* (): Generator<Buffer> {
    for (const chunk of ready.splice(0)) yield Buffer.from(chunk);
  };
  add(unitName, Buffer.from(JSON.stringify(file)));
  yield* sent();
  const named = new Set(Object.keys(file.record.photos));
  for (const id of await photosHere(yard, file.id)) {
    // A photo that was taken off the record is not handed on.
    if (!named.has(id)) continue;
    add(`photos/${id}.jpg`, await pictureOf(yard, file.id, id, 'whole'));
    yield* sent();
  }
  zip.end();
  yield* sent();
};

/**
 * A unit and its pictures out of a zip, read in a thread.
 * @throws Refusal bad-file, bad-picture, too-heavy, busy
 */
export const unpackInThread = async (
  threads: Threads,
  bytes: Buffer,
  { signal, tell }: AtWork,
): Promise<{ readonly file: UnitFile; readonly pictures: ReadonlyMap<string, Picture> }> => {
  const pictures = new Map<string, Picture>();
  const file = await threads.run<UnitFile, NamedPicture>(thread, bytes, {
    seconds: unpacksWithin,
    signal,
    onProgress: tell,
    onPiece: ({ id, picture }) => pictures.set(id, pictureFrom(picture)),
  });
  return { file, pictures };
};

/** Keeps a unit's pictures in the transaction in which the unit is taken in. */
export const keepingPictures =
  (unitId: string, pictures: ReadonlyMap<string, Picture>) =>
  async (yard: WithinYard): Promise<void> => {
    for (const [id, picture] of pictures) await keepPicture(yard, { unitId, id }, picture);
  };
