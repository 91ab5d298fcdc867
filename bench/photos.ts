// Photos: 200 sent against the same bytes written with pg, and what a phone gets when it opens a unit with 60.
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import sharp from 'sharp';
import { openGround, timed, type Ground } from './ground.ts';

const sent = 200;
const shown = 60;
/** Bytes of a piece, as a phone sends them. */
const piece = 256_000;

/** A photo as a phone sends it after making it smaller: 2,000 pixels, texture that does not pack well. */
const photo = async (): Promise<Buffer> => {
  const [width, height] = [2000, 1500];
  const rough = Buffer.alloc((width / 4) * (height / 4) * 3);
  let seed = 11;
  for (let i = 0; i < rough.length; i++) {
    seed = (seed * 1_103_515_245 + 12_345) & 0x7fffffff;
    rough[i] = seed >> 16;
  }
  return sharp(rough, { raw: { width: width / 4, height: height / 4, channels: 3 } })
    .resize(width, height)
    .jpeg({ quality: 86 })
    .toBuffer();
};

const send = async ({ serving, cookie }: Ground, unit: string, bytes: Buffer): Promise<string> => {
  const id = randomUUID();
  const headers = { cookie, 'content-type': 'application/octet-stream' };
  for (let from = 0; from < bytes.length; from += piece) {
    const answer = await fetch(
      `${serving.address}/api/units/${unit}/photos/${id}/upload?from=${from}&of=${bytes.length}`,
      { method: 'PUT', headers, body: new Uint8Array(bytes.subarray(from, from + piece)) },
    );
    if (!answer.ok) throw new Error(await answer.text());
  }
  return id;
};

const bytesOf = async (ground: Ground, path: string): Promise<number> => {
  const answer = await fetch(`${ground.serving.address}${path}`, {
    headers: { cookie: ground.cookie, 'accept-encoding': 'identity' },
  });
  return (await answer.arrayBuffer()).byteLength;
};

const benchSending = async (ground: Ground, client: Client, unit: string) => {
  const bytes = await photo();
  const ids: string[] = [];
  const ours = await timed(async () => {
    for (let i = 0; i < sent; i++) ids.push(await send(ground, unit, bytes));
  });
  await client.query('CREATE TABLE bench_photo (id uuid PRIMARY KEY, bytes bytea NOT NULL)');
  await client.query('ALTER TABLE bench_photo ALTER bytes SET STORAGE EXTERNAL');
  const theirs = await timed(async () => {
    for (let i = 0; i < sent; i++) {
      await client.query('INSERT INTO bench_photo VALUES ($1, $2)', [randomUUID(), bytes]);
    }
  });
  const remaking = await timed(async () => {
    for (let i = 0; i < 20; i++) {
      const whole = await sharp(bytes)
        .rotate()
        .resize(2000, 2000, { fit: 'inside' })
        .jpeg({ quality: 82 })
        .toBuffer();
      await sharp(whole).resize(360, 360, { fit: 'inside' }).jpeg({ quality: 70 }).toBuffer();
    }
  });
  const eachMs = ours / sent;
  console.log(
    `${(ours / theirs).toFixed(0)} × the same bytes written with pg: ${sent} photos of ${(bytes.length / 1000).toFixed(0)} kB sent in pieces, checked, made anew and kept (${eachMs.toFixed(0)} ms each, of which ${(remaking / 20).toFixed(0)} ms are making it anew)`,
  );
  return ids;
};

const benchOpening = async (ground: Ground, unit: string, ids: readonly string[]) => {
  const some = ids.slice(0, shown);
  const [record, thumbs, wholes] = await Promise.all([
    bytesOf(ground, `/api/units/${unit}`),
    Promise.all(some.map((id) => bytesOf(ground, `/api/units/${unit}/photos/${id}?size=thumb`))),
    Promise.all(some.map((id) => bytesOf(ground, `/api/units/${unit}/photos/${id}`))),
  ]);
  const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);
  const small = record + sum(thumbs);
  console.log(
    `${(small / (record + sum(wholes))).toFixed(3)} × the whole pictures: a unit with ${shown} photos opened on a phone (${(small / 1000).toFixed(0)} kB, of which the record is ${(record / 1000).toFixed(0)} kB)`,
  );
};

/** Prints the ratios. */
export const benchPhotos = async (): Promise<void> => {
  const ground = await openGround();
  const client = new Client({ connectionString: ground.url });
  await client.connect();
  try {
    const { rows } = await client.query(`SELECT id FROM unit WHERE stock_number = 'TQ-0417'`);
    const unit = (rows[0] as { id: string }).id;
    const ids = await benchSending(ground, client, unit);
    await benchOpening(ground, unit, ids);
  } finally {
    await client.end();
    await ground.close();
  }
};
