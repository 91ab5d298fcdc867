// Who uses the database of a folder: each program that does has a file there, and only one at a time starts or stops it.
import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { Failure } from './steps.mjs';

/** When a process began, in ticks since the machine did: a number that comes again is not the same process. @param {number} pid */
const beganAt = (pid) => {
  try {
    // What stands in brackets is the program's name, and may hold anything.
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ') ?? [];
    // One that is over and whose parent has not looked yet is over.
    return fields[0] === 'Z' || fields[0] === 'X' ? undefined : fields[19];
  } catch {
    return undefined;
  }
};

const own = () => `${process.pid} ${beganAt(process.pid)}`;

/** @param {string} file @returns {number | undefined} the process that wrote it, where it still runs */
const holderOf = (file) => {
  try {
    const [pid, began] = readFileSync(file, 'utf8').split(' ');
    return began !== undefined && beganAt(Number(pid)) === began ? Number(pid) : undefined;
  } catch {
    return undefined;
  }
};

/**
 * Holds a name of this machine until it is let go of, or this process is gone: the system itself sees to that, so a killed
 * start leaves nothing behind.
 * @param {string} name @returns {Promise<(() => Promise<void>) | undefined>} lets go of it; nothing where somebody else holds it
 */
const hold = (name) =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', (error) =>
      /** @type {NodeJS.ErrnoException} */ (error).code === 'EADDRINUSE'
        ? resolve(undefined)
        : reject(error),
    );
    // An address that begins with a zero byte is no file.
    server.listen(`\0fair-gable-${name}`, () =>
      resolve(() => new Promise((done) => server.close(() => done()))),
    );
    server.unref();
  });

/** Installing over a slow line takes its time. */
const longest = 15 * 60_000;
const lookEvery = 100;
/** Starting and stopping in one process come one after another too. @type {Promise<unknown>} */
let last = Promise.resolve();

/** @template T @param {string} base @param {() => Promise<T>} work @returns {Promise<T>} */
const alone = async (base, work) => {
  const name = createHash('sha256').update(resolve(base)).digest('hex');
  const until = Date.now() + longest;
  let letGo = await hold(name);
  while (!letGo) {
    if (Date.now() > until) {
      throw new Failure(
        `Another start in ${base} has not come to its end in a quarter of an hour. Stop that one, then start again.`,
      );
    }
    await pause(lookEvery);
    letGo = await hold(name);
  }
  try {
    return await work();
  } finally {
    await letGo();
  }
};

/**
 * Does something to a folder's database while nobody else does.
 * @template T
 * @param {string} base the folder
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
export const oneAtATime = (base, work) => {
  const next = last.catch(() => {}).then(() => alone(base, work));
  last = next;
  return next;
};

let made = 0;
/** @param {string} base */
const usersIn = (base) => join(base, 'users');

/** Notes that this process uses a folder's database. @param {string} base @returns {() => void} takes it back */
export const use = (base) => {
  const folder = usersIn(base);
  mkdirSync(folder, { recursive: true });
  made += 1;
  const file = join(folder, `${process.pid}-${made}`);
  writeFileSync(file, own());
  return () => rmSync(file, { force: true });
};

/** The processes that use a folder's database; what a killed one left is taken away. @param {string} base @returns {readonly number[]} */
export const users = (base) => {
  const folder = usersIn(base);
  let names;
  try {
    names = readdirSync(folder);
  } catch {
    return [];
  }
  return names.flatMap((name) => {
    const pid = holderOf(join(folder, name));
    if (pid === undefined) rmSync(join(folder, name), { force: true });
    return pid ?? [];
  });
};
