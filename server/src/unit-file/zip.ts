import { setImmediate as pause } from 'node:timers/promises';
import { Unzip, UnzipInflate, Zip, ZipPassThrough, type UnzipFile } from 'fflate';
import { readUnitFile, type UnitFile } from '@fair-gable/core';
import type { InYard } from '../database/index.ts';
import {
  keepPicture,
  madeAnew,
  photoLimit,
  photosHere,
  pictureOf,
  type Picture,
} from '../photo/index.ts';
import { Refusal } from '../problems/index.ts';

/** Bytes of a zip that is taken in. */
export const zipLimit = 100_000_000;
/** Bytes of a unit unpacked, as much as it may have alone. */
const unitLimit = 2_000_000;
const mostFiles = 300;
/** Bytes unpacked in one go: a thousand times as many may come of them. */
const step = 4096;

const unitName = 'unit.json';
const photoName = /^photos\/([0-9a-f-]{36})\.jpg$/;

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

const badZip = (why: string): Refusal =>
  new Refusal('bad-file', `${why} Nothing was taken in. Export the unit again.`);

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

/**
 * The files of a zip, a little at a time: others are served between, and what unpacks to too much is stopped early.
 * @throws Refusal bad-file
 */
const unpacked = async (bytes: Buffer): Promise<ReadonlyMap<string, Buffer>> => {
  const files = new Map<string, Buffer>();
  let count = 0;
  const unzip = new Unzip((entry) => {
    count += 1;
    if (count > mostFiles) throw badZip(`There are more than ${mostFiles} files in it.`);
    const limit = limitOf(entry.name);
    if (limit === undefined) return;
    if ((entry.originalSize ?? 0) > limit) throw tooLarge(entry.name, limit);
    gather(entry, limit, (content) => {
      if (files.has(entry.name)) throw badZip(`There are two ${entry.name} in it.`);
      files.set(entry.name, content);
    });
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += step) {
      unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
      await pause();
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

/**
 * A unit and its pictures out of a zip, every picture made anew.
 * @throws Refusal bad-file, bad-picture
 */
export const unpackUnit = async (
  bytes: Buffer,
): Promise<{ readonly file: UnitFile; readonly pictures: ReadonlyMap<string, Picture> }> => {
  const files = await unpacked(bytes);
  const read = readUnitFile(asJson(files.get(unitName)));
  if (!read.ok) throw new Refusal('bad-file', read.message);
  const pictures = new Map<string, Picture>();
  for (const [name, content] of files) {
    const id = photoName.exec(name)?.[1];
    if (id && read.file.record.photos[id]) pictures.set(id, await madeAnew(content));
  }
  return { file: read.file, pictures };
};

/** Keeps a unit's pictures in the transaction in which the unit is taken in. */
export const keepingPictures =
  (unitId: string, by: string, pictures: ReadonlyMap<string, Picture>) =>
  async (yard: InYard): Promise<void> => {
    for (const [id, picture] of pictures) await keepPicture(yard, { unitId, id, by }, picture);
  };
