// A file under a passphrase: Node's own scrypt and AES-256-GCM, so that a changed or cut file is known as one.
import { createCipheriv, createDecipheriv, randomBytes, scrypt } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  openSync,
  readSync,
  closeSync,
  statSync,
} from 'node:fs';
import { appendFile } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { promisify } from 'node:util';
import { Failure } from './steps.mjs';

/** How a sealed file begins: this, a salt, and a nonce. It ends with the mark by which it is known to be whole. */
const beginning = Buffer.from('FAIR GABLE SEALED 1\n');
const salted = 16;
const nonced = 12;
const marked = 16;
const head = beginning.length + salted + nonced;

/** Memory-hard, as OWASP recommends for scrypt: 128 MiB a try. */
const cost = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 1024 * 1024 };
const derive =
  /** @type {(passphrase: string, salt: Buffer, length: number, cost: object) => Promise<Buffer>} */ (
    promisify(scrypt)
  );
const shortest = 12;

/** @param {string | undefined} passphrase @returns {string} @throws Failure where it is too short to hold */
export const checked = (passphrase) => {
  if (passphrase && passphrase.length >= shortest) return passphrase;
  throw new Failure(
    `Set FAIR_GABLE_PASSPHRASE to a passphrase of at least ${shortest} characters. Without it nobody opens the backup again.`,
  );
};

/** @param {string} from @param {string} to @param {string} passphrase */
export const seal = async (from, to, passphrase) => {
  const [salt, nonce] = [randomBytes(salted), randomBytes(nonced)];
  const key = await derive(passphrase, salt, 32, cost);
  const cipher = createCipheriv('aes-256-gcm', key, nonce);
  const out = createWriteStream(to, { mode: 0o600 });
  out.write(Buffer.concat([beginning, salt, nonce]));
  await pipeline(createReadStream(from), cipher, out);
  await appendFile(to, cipher.getAuthTag());
};

/** @param {string} file @param {number} at @param {number} length */
const bytesAt = (file, at, length) => {
  const opened = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(length);
    readSync(opened, bytes, 0, length, at);
    return bytes;
  } finally {
    closeSync(opened);
  }
};

/** Whether a file is sealed. @param {string} file */
export const isSealed = (file) => bytesAt(file, 0, beginning.length).equals(beginning);

/** @param {string} from @param {string} to @param {string} passphrase @throws Failure where it is another one, or the file was changed */
export const unseal = async (from, to, passphrase) => {
  const { size } = statSync(from);
  const start = bytesAt(from, beginning.length, salted + nonced);
  const key = await derive(passphrase, start.subarray(0, salted), 32, cost);
  const open = createDecipheriv('aes-256-gcm', key, start.subarray(salted));
  open.setAuthTag(bytesAt(from, size - marked, marked));
  const sealed = createReadStream(from, { start: head, end: size - marked - 1 });
  try {
    await pipeline(sealed, open, createWriteStream(to, { mode: 0o600 }));
  } catch {
    throw new Failure(
      `${from} does not open: the passphrase is another one, or the file was changed.`,
    );
  }
};
