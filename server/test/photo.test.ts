import { randomUUID } from 'node:crypto';
import { crc32, deflateSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import exifr from 'exifr';
import { strToU8, unzipSync, zipSync } from 'fflate';
import piexif from 'piexifjs';
import sharp from 'sharp';
import { bench, editOf, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let ask: Asker;
let technician: Asker;
let unit: string;
beforeAll(async () => {
  b = await bench();
  ask = await signedIn(b.app, 'ines@thornquay.example');
  technician = await signedIn(b.app, 'bram@thornquay.example');
  unit = (await unitNamed(ask, 'TQ-0404')).id;
});
afterAll(() => b.close());

const octets = { 'content-type': 'application/octet-stream' };
const pathOf = (id: string): string => `/api/units/${unit}/photos/${id}`;
const piece = (id: string, bytes: Buffer, from = 0, of = bytes.length, as = ask) =>
  as('PUT', `${pathOf(id)}/upload?from=${from}&of=${of}`, bytes, octets);

/** Sends a whole photo in pieces, as a device does. */
const send = async (id: string, bytes: Buffer, size = 200_000) => {
  let answer = await ask('GET', `${pathOf(id)}/upload`);
  while (answer.status === 200 && !answer.body.done) {
    const from = answer.body.received as number;
    answer = await piece(id, bytes.subarray(from, from + size), from, bytes.length);
  }
  return answer;
};

/** The picture itself: inject gives text, so it is asked for as bytes. */
const picture = async (id: string, size: 'whole' | 'thumb' = 'whole'): Promise<Buffer> => {
  const cookie = await cookieOf();
  const response = await b.app.inject({ url: `${pathOf(id)}?size=${size}`, headers: { cookie } });
  if (response.statusCode !== 200) throw new Error(response.body);
  return response.rawPayload;
};
let had: string | undefined;
const cookieOf = async (): Promise<string> => {
  if (had) return had;
  const response = await b.app.inject({
    method: 'POST',
    url: '/api/session',
    payload: { email: 'ines@thornquay.example', password: 'spring-ferry-22' },
  });
  had = response.cookies.map((c) => `${c.name}=${c.value}`).join('; ');
  return had;
};

const plain = (width: number, height: number): sharp.Sharp =>
  sharp({ create: { width, height, channels: 3, background: '#204060' } });

/** A picture with noise, which does not pack well: several pieces long. */
const large = async (): Promise<Buffer> => {
  const [width, height] = [1600, 1200];
  const noise = Buffer.alloc(width * height * 3);
  let seed = 7;
  for (let i = 0; i < noise.length; i++) {
    seed = (seed * 1_103_515_245 + 12_345) & 0x7fffffff;
    noise[i] = seed >> 16;
  }
  return sharp(noise, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 70 })
    .toBuffer();
};

/** EXIF as a camera writes it, by another library than the one that takes it out. */
const withExif = (jpeg: Buffer, orientation: number): Buffer => {
  const exif = piexif.dump({
    '0th': { [piexif.ImageIFD.Make]: 'Camera', [piexif.ImageIFD.Orientation]: orientation },
    GPS: {
      [piexif.GPSIFD.GPSLatitudeRef]: 'N',
      [piexif.GPSIFD.GPSLatitude]: [
        [51, 1],
        [30, 1],
        [0, 1],
      ],
      [piexif.GPSIFD.GPSLongitudeRef]: 'W',
      [piexif.GPSIFD.GPSLongitude]: [
        [0, 1],
        [7, 1],
        [0, 1],
      ],
    },
  });
  return Buffer.from(piexif.insert(exif, jpeg.toString('latin1')), 'latin1');
};

/*
 * Where the upright picture's top left corner lies in the stored one, by TIFF 6.0, tag 274: which side row 0 and
 * column 0 stand for.
 */
const corners: readonly (readonly [number, 'first' | 'last', 'first' | 'last'])[] = [
  [1, 'first', 'first'],
  [2, 'first', 'last'],
  [3, 'last', 'last'],
  [4, 'last', 'first'],
  [5, 'first', 'first'],
  [6, 'last', 'first'],
  [7, 'last', 'last'],
  [8, 'first', 'last'],
];

describe('a photo', () => {
  it('is kept without what the camera wrote into it', async () => {
    const jpeg = withExif(await plain(300, 200).jpeg().toBuffer(), 1);
    expect(await exifr.gps(jpeg)).toMatchObject({ latitude: 51.5 });
    const id = randomUUID();
    expect((await send(id, jpeg)).body).toMatchObject({ done: true, width: 300, height: 200 });
    for (const size of ['whole', 'thumb'] as const) {
      const kept = await picture(id, size);
      expect(await exifr.gps(kept)).toBeUndefined();
      expect(await exifr.parse(kept, true)).toBeUndefined();
    }
  });

  it.each(corners)('of orientation %s stands upright', async (orientation, row, column) => {
    const [width, height] = orientation < 5 ? [160, 80] : [80, 160];
    const block = 24;
    const red = {
      create: { width: block, height: block, channels: 3, background: '#ff0000' },
    } as const;
    const stored = await plain(width, height)
      .composite([
        {
          input: await sharp(red).png().toBuffer(),
          left: column === 'first' ? 0 : width - block,
          top: row === 'first' ? 0 : height - block,
        },
      ])
      .jpeg({ quality: 95 })
      .toBuffer();
    const id = randomUUID();
    await send(id, withExif(stored, orientation));
    const { data, info } = await sharp(await picture(id))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([160, 80]);
    const at = (10 * info.width + 10) * info.channels;
    expect(data[at]).toBeGreaterThan(200);
    expect(data[at + 2]).toBeLessThan(80);
  });

  it.each(['jpeg', 'png', 'webp'] as const)('may be a %s, and is made smaller', async (format) => {
    const id = randomUUID();
    await send(id, await plain(3000, 1500).toFormat(format).toBuffer());
    const meta = await sharp(await picture(id)).metadata();
    expect(meta).toMatchObject({ format: 'jpeg', width: 2000, height: 1000 });
    expect((await sharp(await picture(id, 'thumb')).metadata()).width).toBe(360);
  });

  it('goes on from where the network was cut, and is made once', async () => {
    const id = randomUUID();
    const bytes = await large();
    expect(bytes.length).toBeGreaterThan(400_000);
    await piece(id, bytes.subarray(0, 100_000), 0, bytes.length);
    // The answer was lost and the piece is sent again; then one that skips ahead.
    const again = await piece(id, bytes.subarray(0, 100_000), 0, bytes.length);
    expect(again.body).toEqual({ received: 100_000, done: false });
    const ahead = await piece(id, bytes.subarray(300_000, 400_000), 300_000, bytes.length);
    expect(ahead.body).toEqual({ received: 100_000, done: false });
    expect((await send(id, bytes)).body).toMatchObject({ done: true, width: 1600 });
    expect((await piece(id, bytes.subarray(0, 100), 0, bytes.length)).body.done).toBe(true);
    const other = await piece(id, Buffer.alloc(100_000, 1), 0, bytes.length);
    expect([other.status, other.body.code]).toEqual([409, 'other-body']);
    expect((await piece(id, bytes.subarray(0, 100), 0, 7000)).body.code).toBe('other-body');
    const [left] = await b.source.query(
      'SELECT count(*)::int AS n FROM photo_piece WHERE photo_id = $1',
      [id],
    );
    expect(left.n).toBe(0);
  });

  it('sent by two requests at once is one photo', async () => {
    const id = randomUUID();
    const bytes = await plain(400, 300).jpeg().toBuffer();
    const answers = await Promise.all([piece(id, bytes), piece(id, bytes), piece(id, bytes)]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect((await ask('GET', `${pathOf(id)}/upload`)).body.done).toBe(true);
  });

  it('that is not here yet says so', async () => {
    const { status, body } = await ask('GET', pathOf(randomUUID()));
    expect(status).toBe(404);
    expect(body.detail).toContain('The device that took it sends it');
  });
});

/** A PNG's head that promises a picture of so many pixels, and little else. */
const bomb = (side: number): Buffer => {
  const chunk = (type: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(8 + data.length + 4);
    out.writeUInt32BE(data.length, 0);
    body.copy(out, 4);
    out.writeUInt32BE(crc32(body), 8 + data.length);
    return out;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(100_000))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
};

describe('what is no photo', () => {
  const svg = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>';
  it.each([
    ['a text called .jpg', Buffer.from('this is no picture at all')],
    ['a drawing with a script', Buffer.from(svg)],
    ['a picture that unpacks to 900 million pixels', bomb(30_000)],
    ['the beginning of a JPEG and no more', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16])],
  ])('%s is refused in a sentence, and nothing of it is kept', async (_what, bytes) => {
    const id = randomUUID();
    const { status, body } = await send(id, bytes);
    expect([status, body.code]).toEqual([422, 'bad-picture']);
    expect(body.detail).toMatch(/nothing was kept\.$/);
    expect((await ask('GET', `${pathOf(id)}/upload`)).body).toEqual({ received: 0, done: false });
  });

  it('30 MB are refused before they are sent', async () => {
    const { status, body } = await piece(randomUUID(), Buffer.alloc(1000, 1), 0, 30_000_000);
    expect([status, body.code]).toEqual([413, 'too-large']);
    expect(body.detail).toContain('12 MB');
  });

  it('a piece that is empty, or larger than a piece, is refused', async () => {
    expect((await piece(randomUUID(), Buffer.alloc(0), 0, 100)).status).toBe(400);
    const { status, body } = await piece(randomUUID(), Buffer.alloc(600_000), 0, 700_000);
    expect(status).toBe(413);
    // What it says is how much this route takes, not how much most do.
    expect(body.detail).toContain('larger than 512 kB');
  });

  it('a guest takes none', async () => {
    const guest = await signedIn(b.app, 'ivo@thornquay.example');
    expect((await piece(randomUUID(), Buffer.from('x'), 0, 1, guest)).status).toBe(403);
  });

  it('with the server’s disk full is told, and goes on when there is room', async () => {
    const id = randomUUID();
    const bytes = await large();
    await piece(id, bytes.subarray(0, 100_000), 0, bytes.length);
    await b.source.query(`CREATE FUNCTION full_disk() RETURNS trigger LANGUAGE plpgsql AS
      $$ BEGIN RAISE EXCEPTION 'No space left on device' USING ERRCODE = '53100'; END $$`);
    await b.source.query(
      `CREATE TRIGGER full_disk BEFORE INSERT ON photo_piece EXECUTE FUNCTION full_disk()`,
    );
    const { status, body } = await piece(
      id,
      bytes.subarray(100_000, 200_000),
      100_000,
      bytes.length,
    );
    expect([status, body.code]).toEqual([507, 'disk-full']);
    await b.source.query('DROP TRIGGER full_disk ON photo_piece');
    expect((await send(id, bytes)).body.done).toBe(true);
  });
});

describe('inspections and signatures', () => {
  const item = {
    part: 'inspection',
    key: 'coupler',
    value: { result: 'pass' },
    how: 'seen',
    basedOn: 0,
  };
  const signature = {
    part: 'signatures',
    key: 'inspection',
    value: { verdict: 'inspected', inputs: 'x' },
    how: 'seen',
    basedOn: 0,
  };
  const edit = (as: Asker, change: object) =>
    as('POST', `/api/units/${unit}/edits`, editOf([change]));

  it.each([
    ['an item', item],
    ['a signature', signature],
  ])('%s is entered by a technician and by nobody else', async (_what, change) => {
    for (const email of ['ines', 'maren']) {
      const { status, body } = await edit(
        await signedIn(b.app, `${email}@thornquay.example`),
        change,
      );
      expect([email, status, body.code]).toEqual([email, 403, 'not-inspector']);
    }
    const { status, body } = await edit(technician, change);
    expect(status).toBe(200);
    expect(body.record[change.part][change.key].by).toContain('Bram');
  });

  it('a day of inspection follows from the signature, whoever types it', async () => {
    const day = {
      part: 'specs',
      key: 'inspected',
      value: { kind: 'date', date: '2026-04-10' },
      how: 'read',
      basedOn: 0,
    };
    const asked = await edit(ask, day);
    expect([asked.status, asked.body.code]).toEqual([403, 'not-inspector']);
    const typed = await edit(technician, day);
    expect([typed.status, typed.body.detail]).toEqual([
      400,
      expect.stringMatching(/^Inspected \(PDI\).*Sign the inspection/),
    ]);
    const later = { ...signature, basedOn: 1 };
    const signed = await technician('POST', `/api/units/${unit}/edits`, editOf([later, day]));
    expect(signed.status).toBe(200);
  });

  it('says which value it cannot take', async () => {
    const { status, body } = await edit(technician, {
      ...item,
      key: 'furnace',
      value: { result: 'not-tried' },
    });
    expect(status).toBe(400);
    expect(body.detail).toContain('say why it was not tried');
  });
});

describe('a unit with its photos', () => {
  const zipOf = async (id: string): Promise<Buffer> => {
    const cookie = await cookieOf();
    const response = await b.app.inject({ url: `/api/units/${id}/file.zip`, headers: { cookie } });
    return response.rawPayload;
  };
  /** 60 MB of nothing in 60 kB. */
  const bomb = (): Uint8Array => zipSync({ 'unit.json': new Uint8Array(60_000_000).fill(32) });
  /** The same, whose two headers say that it unpacks to ten bytes. */
  const lying = (zip: Uint8Array): Uint8Array => {
    const said = Buffer.from(zip);
    said.writeUInt32LE(10, 22);
    said.writeUInt32LE(10, said.indexOf('PK\u0001\u0002', 0, 'latin1') + 24);
    return said;
  };

  it('that is made to stop the server stops nobody: others are answered meanwhile', async () => {
    let isOver = false;
    const taking = take(ask, lying(bomb())).then(() => (isOver = true));
    const answers: number[] = [];
    while (!isOver) {
      const began = performance.now();
      await ask('GET', '/api/health');
      answers.push(performance.now() - began);
    }
    await taking;
    expect(Math.max(...answers)).toBeLessThan(1000);
  });

  const take = (as: Asker, zip: Uint8Array) =>
    as('POST', '/api/unit-files/zip', Buffer.from(zip), { 'content-type': 'application/zip' });

  it('goes out as a zip and comes into another yard, pictures made anew', async () => {
    const id = randomUUID();
    await send(id, await plain(640, 480).jpeg().toBuffer());
    await ask(
      'POST',
      `/api/units/${unit}/edits`,
      editOf([
        {
          part: 'photos',
          key: id,
          value: {
            of: ['specs.gvwr'],
            width: 640,
            height: 480,
            arrows: [{ from: [0, 0], to: [0.5, 0.5] }],
          },
          how: 'seen',
          basedOn: 0,
        },
      ]),
    );
    const zip = await zipOf(unit);
    // Only what is on the record goes along.
    expect(Object.keys(unzipSync(zip)).toSorted()).toEqual([`photos/${id}.jpg`, 'unit.json']);
    const other = await signedIn(b.app, 'una@other.example');
    const { status, body } = await take(other, zip);
    expect([status, body.id]).toEqual([201, unit]);
    const there = await other('GET', `/api/units/${unit}/photos/${id}`);
    expect(there.headers['content-type']).toBe('image/jpeg');
    const { record } = (await other('GET', `/api/units/${unit}`)).body;
    expect(record.photos[id].value.arrows).toHaveLength(1);
  });

  it.each([
    ['no zip', strToU8('PK but no more'), 'no'],
    ['a zip without a unit', zipSync({ 'readme.txt': strToU8('hello') }), 'no unit.json'],
    ['a zip whose unit is no JSON', zipSync({ 'unit.json': strToU8('{') }), 'no JSON'],
    [
      'a zip of more files than any unit has',
      zipSync(Object.fromEntries(Array.from({ length: 1001 }, (_, i) => [`f${i}`, strToU8('')]))),
      'more than 300 files',
    ],
    ['a unit that unpacks to more than it may', bomb(), 'larger than 2 MB'],
    ['one that says it is small and is not', lying(bomb()), 'larger than 2 MB'],
  ])('%s is refused in a sentence', async (_what, zip, words) => {
    const { status, body } = await take(ask, zip as Uint8Array);
    expect([status, body.code]).toEqual([422, 'bad-file']);
    expect(body.detail).toContain(words);
    expect(body.detail).toContain('Nothing was imported');
  });
});
