import { unzipSync, Zip, ZipPassThrough } from 'fflate';
import { readUnitFile, type UnitFile } from '@fair-gable/core';
import type { InYard } from '../database/index.ts';
import { keepPicture, madeAnew, photosHere, pictureOf, type Picture } from '../photo/index.ts';
import { Refusal } from '../problems/index.ts';

/** Bytes of a zip that is taken in; and of all that it unpacks to. */
export const zipLimit = 100_000_000;
const unpackedLimit = 200_000_000;
const mostFiles = 1000;

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

/** The files of a zip; refused before anything is unpacked when they would be too many or too large. */
const unpacked = (bytes: Buffer): Readonly<Record<string, Uint8Array>> => {
  let size = 0;
  let count = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        size += originalSize;
        count += 1;
        if (size > unpackedLimit || count > mostFiles) throw badZip('The zip is too large.');
        return name === unitName || photoName.test(name);
      },
    });
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
  const files = unpacked(bytes);
  const read = readUnitFile(asJson(files[unitName]));
  if (!read.ok) throw new Refusal('bad-file', read.message);
  const pictures = new Map<string, Picture>();
  for (const [name, content] of Object.entries(files)) {
    const id = photoName.exec(name)?.[1];
    if (id && read.file.record.photos[id]) pictures.set(id, await madeAnew(Buffer.from(content)));
  }
  return { file: read.file, pictures };
};

/** Keeps a unit's pictures in the transaction in which the unit is taken in. */
export const keepingPictures =
  (unitId: string, by: string, pictures: ReadonlyMap<string, Picture>) =>
  async (yard: InYard): Promise<void> => {
    for (const [id, picture] of pictures) await keepPicture(yard, { unitId, id, by }, picture);
  };
