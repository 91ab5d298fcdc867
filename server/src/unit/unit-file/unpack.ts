import { Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import { readUnitFile, type UnitFile } from '@fair-gable/core/unit/unit-file';
import { photoLimit } from '@fair-gable/core/unit/photo';
import { madeAnew, type Picture } from '../../base/picture/index.ts';
import { Refusal } from '../../base/refusal/index.ts';
import type { Reporting } from '../../base/threads/index.ts';

/** Bytes of a unit unpacked, as much as it may have alone; and of all that is unpacked together. */
const unitLimit = 2_000_000;
const allLimit = 200_000_000;
const mostFiles = 300;
/** Bytes unpacked in one go: a thousand times as many may come of them. */
const step = 4096;

export const unitName = 'unit.json';
const photoName = /^photos\/([0-9a-f-]{36})\.jpg$/;

const badZip = (why: string): Refusal =>
  new Refusal('bad-file', `${why} Nothing was imported. Export the unit again.`);

/** What may be unpacked, and how large it may be; anything else in a zip is left packed. */
const limitOf = (name: string): number | undefined => {
  if (name === unitName) return unitLimit;
  return photoName.test(name) ? photoLimit : undefined;
};

const tooLarge = (name: string, limit: number): Refusal =>
  badZip(`Its ${name} is larger than ${limit / 1_000_000} MB.`);

/** Gathers one file as it is unpacked, and stops where it grows too large: what a zip says of sizes is not believed. */
const gather = (entry: UnzipFile, limit: number, done: (content: Buffer) => void): void => {
  const chunks: Uint8Array[] = [];
  let size = 0;
  entry.ondata = (error, chunk, isLast) => {
    if (error) throw error;
    size += chunk.length;
    if (size > limit) throw tooLarge(entry.name, limit);
    chunks.push(chunk);
    if (isLast) done(Buffer.concat(chunks));
  };
  entry.start();
};

type Files = ReadonlyMap<string, Buffer>;

/** The files of a zip, a little at a time, so that what unpacks to too much is stopped early. @throws Refusal bad-file */
const unpacked = (bytes: Uint8Array, progress: (done: number) => void): Files => {
  const files = new Map<string, Buffer>();
  let count = 0;
  let together = 0;
  const unzip = new Unzip((entry) => {
    count += 1;
    if (count > mostFiles) throw badZip(`There are more than ${mostFiles} files in it.`);
    const limit = limitOf(entry.name);
    if (limit === undefined) return;
    if ((entry.originalSize ?? 0) > limit) throw tooLarge(entry.name, limit);
    gather(entry, limit, (content) => {
      together += content.length;
      if (together > allLimit) {
        throw badZip(`All in it together is larger than ${allLimit / 1_000_000} MB.`);
      }
      if (files.has(entry.name)) throw badZip(`There are two ${entry.name} in it.`);
      files.set(entry.name, content);
    });
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += step) {
      unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
      progress(at);
    }
    return files;
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw badZip('This is not a zip that can be read.');
  }
};

const asJson = (bytes: Uint8Array | undefined): unknown => {
  if (!bytes) throw badZip('There is no unit.json in it.');
  try {
    return JSON.parse(Buffer.from(bytes).toString('utf8'));
  } catch {
    throw badZip('Its unit.json is no JSON.');
  }
};

/** A picture of a unit, by its photo's id. */
export interface NamedPicture {
  readonly id: string;
  readonly picture: Picture;
}

/**
 * A unit out of a zip; its pictures, every one made anew, are handed over one by one.
 * @throws Refusal bad-file, bad-picture
 */
export const unpackUnit = async (
  bytes: Uint8Array,
  { progress, piece }: Reporting<NamedPicture>,
): Promise<UnitFile> => {
  const files = unpacked(bytes, (done) => progress({ phase: 'reading', done, of: bytes.length }));
  const read = readUnitFile(asJson(files.get(unitName)));
  if (!read.ok) throw new Refusal('bad-file', read.message);
  const { photos } = read.file.record;
  const named = [...files].flatMap(([name, content]) => {
    const id = photoName.exec(name)?.[1];
    return id && photos[id] ? [{ id, content }] : [];
  });
  for (const [done, { id, content }] of named.entries()) {
    progress({ phase: 'pictures', done, of: named.length });
    piece({ id, picture: await madeAnew(content) });
  }
  return read.file;
};
