import { setImmediate as pause } from 'node:timers/promises';
import pLimit from 'p-limit';
import type { DataSource } from 'typeorm';
import { announce, inYard, type Author, type InYard } from '../database/index.ts';
import { Refusal } from '../refusal/index.ts';
import type { Progress } from '../threads/index.ts';

/** Something long that is at work. */
export interface AtWork {
  /** By a connection of its own, kept until it is over. */
  readonly yard: InYard;
  /** Says that whoever asked has left, or pressed Cancel. */
  readonly signal: AbortSignal;
  readonly tell: (progress: Progress) => void;
  /** Lets others be served for a moment. @throws where whoever asked has left */
  readonly breathe: () => Promise<void>;
}

/** Who asks for something long. */
export interface Asked {
  readonly yardId: string;
  readonly author: Author;
  /** Under which its progress is told; undefined where nobody listens. */
  readonly id?: string | undefined;
  readonly signal: AbortSignal;
}

/** So many at once in a process; each keeps a connection. */
const atOnce = 2;
/** Of a yard one is at work and one may wait: who changes something while a list is looked at looks again. */
const ofYard = 2;
const waitingAtMost = 12;
/** Between two words about progress, ms. */
const between = 250;
/** Between two looks whether another process is done with the yard, ms, and how often. */
const lookAgain = 250;
const looks = 40;

const busyYard = (): Refusal =>
  new Refusal(
    'busy',
    'This yard is already working on a list, a file or a model sheet. Wait until that’s done, then send this again. Nothing was added.',
  );
const busyServer = (): Refusal =>
  new Refusal(
    'busy',
    'The server is busy with other yards’ files. Wait a minute, then send this again. Nothing was added.',
  );

/** Tells how far it is, a few times a second. */
const teller = (source: DataSource, { yardId, id }: Asked) => {
  let last = 0;
  return (progress: Progress): void => {
    if (id === undefined || Date.now() - last < between) return;
    last = Date.now();
    // Nothing depends on it.
    void announce(source.manager, { yard: yardId, kind: 'work', id, progress }).catch(() => {});
  };
};

/** Long work on a yard's units, one at a time for each yard and few for all, so that nobody else waits for it. */
export class LongWork {
  private readonly limit = pLimit(atOnce);
  private readonly yards = new Map<string, Promise<unknown>[]>();

  constructor(private readonly source: DataSource) {}

  /**
   * Does something long when its turn comes.
   * @throws Refusal busy where too many wait already; whatever the work throws
   */
  async run<T>(asked: Asked, work: (at: AtWork) => Promise<T>): Promise<T> {
    const before = this.yards.get(asked.yardId) ?? [];
    if (before.length >= ofYard) throw busyYard();
    if (this.limit.pendingCount >= waitingAtMost) throw busyServer();
    const mine = Promise.allSettled(before).then(() => this.limit(() => this.alone(asked, work)));
    this.yards.set(asked.yardId, [...before, mine]);
    try {
      return await mine;
    } finally {
      const left = (this.yards.get(asked.yardId) ?? []).filter((one) => one !== mine);
      if (left.length > 0) this.yards.set(asked.yardId, left);
      else this.yards.delete(asked.yardId);
    }
  }

  /** Also where several processes serve: the yard is the database's to give. */
  private async alone<T>(asked: Asked, work: (at: AtWork) => Promise<T>): Promise<T> {
    const { yardId, author, signal } = asked;
    signal.throwIfAborted();
    const runner = this.source.createQueryRunner();
    const lock = [`long work ${yardId}`];
    const isMine = async (): Promise<boolean> => {
      const [row] = await runner.query(
        'SELECT pg_try_advisory_lock(hashtextextended($1, 4782)) AS mine',
        lock,
      );
      return row.mine as boolean;
    };
    try {
      for (let look = 1; !(await isMine()); look += 1) {
        if (look === looks) throw busyYard();
        await new Promise((resolve) => setTimeout(resolve, lookAgain));
        signal.throwIfAborted();
      }
      const breathe = async (): Promise<void> => {
        await pause();
        signal.throwIfAborted();
      };
      const yard = inYard(runner.manager, yardId, author);
      const at = { yard, signal, tell: teller(this.source, asked), breathe };
      return await work(at).finally(() =>
        // A connection that broke has given it up already.
        runner
          .query('SELECT pg_advisory_unlock(hashtextextended($1, 4782))', lock)
          .catch(() => undefined),
      );
    } finally {
      await runner.release();
    }
  }
}
