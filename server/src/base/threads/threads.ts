import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { Refusal, valueOf, type Answered } from '../refusal/index.ts';

/** How far something long has come. */
export interface Progress {
  readonly phase: 'reading' | 'pictures' | 'comparing' | 'keeping';
  readonly done: number;
  readonly of: number;
}

/** What a thread is given: its task, and where it says how it goes on. */
export interface Given<T> {
  readonly task: T;
  readonly port: MessagePort;
}

/** What a thread says beside its answer: that it has begun or ended, how far it is, or a piece of its answer. */
export type Reported<P> =
  { readonly at: 'began' | 'ended' } | { readonly progress: Progress } | { readonly piece: P };

export interface Apart<P> {
  /** Longer than this it does not work. */
  readonly seconds: number;
  readonly signal?: AbortSignal | undefined;
  readonly onProgress?: ((progress: Progress) => void) | undefined;
  readonly onPiece?: ((piece: P) => void) | undefined;
}

const mostThreads = 2;
const mostWaiting = 20;
/** More than this no list, zip or photo needs, MB. */
const memory = 512;
/** A thread nobody needs is let go after this, ms. */
const idle = 20_000;

/**
 * The compiled file of a thread: Node runs no TypeScript by itself, so from the sources it is the one beside them in dist.
 * @param from `import.meta.url` of whoever starts it
 */
export const threadFile = (name: string, from: string): string => {
  const here = new URL(`./${name}.js`, from).href;
  return from.endsWith('.ts') ? here.replace(/\/src\/(?!.*\/src\/)/, '/dist/') : here;
};

const tooLong = (seconds: number): Refusal =>
  new Refusal(
    'too-heavy',
    `It took longer than ${seconds} seconds to read, so nothing was added. Split it in two and send each half.`,
  );
const tooMuch = (): Refusal =>
  new Refusal(
    'too-heavy',
    'It needs more memory than the server allows for one file, so nothing was added. Split it in two and send each half.',
  );
const full = (): Refusal =>
  new Refusal(
    'busy',
    'The server is busy reading other files. Wait a minute, then send it again. Nothing was added.',
  );

const codeOf = (error: unknown): unknown => (error as { code?: unknown } | null)?.code;
const isFull = (error: unknown): boolean =>
  error instanceof Error && /queue is at (its )?limit/i.test(error.message);

/** Threads for what people bring: what a file makes them do ends with them, and everybody else is served meanwhile. */
export class Threads {
  private readonly pool = new Piscina({
    minThreads: 0,
    maxThreads: mostThreads,
    maxQueue: mostWaiting,
    idleTimeout: idle,
    resourceLimits: { maxOldGenerationSizeMb: memory },
  });

  /**
   * Runs a task in a thread.
   * @param file of the thread, by `threadFile`
   * @throws Refusal what the thread refused; too-heavy past its time or memory; busy where too many wait. The signal's own
   * reason when it says so
   */
  async run<T, P = never>(
    file: string,
    task: unknown,
    { seconds, signal, onProgress, onPiece }: Apart<P>,
  ): Promise<T> {
    const { port1, port2 } = new MessageChannel();
    const late = new AbortController();
    let clock: ReturnType<typeof setTimeout> | undefined;
    // Pieces come another way than the answer, which may overtake them.
    const hasEnded = new Promise<void>((resolve) => {
      port1.on('message', (reported: Reported<P>) => {
        if ('progress' in reported) onProgress?.(reported.progress);
        else if ('piece' in reported) onPiece?.(reported.piece);
        else if (reported.at === 'ended') resolve();
        // Waiting for a thread is nothing that the file is to blame for.
        else clock = setTimeout(() => late.abort(), seconds * 1000);
      });
    });
    const signals = signal ? [signal, late.signal] : [late.signal];
    try {
      const given = { task, port: port2 } satisfies Given<unknown>;
      const answered: Answered<T> = await this.pool.run(given, {
        filename: file,
        transferList: [port2],
        signal: AbortSignal.any(signals),
      });
      await hasEnded;
      return valueOf(answered);
    } catch (error) {
      if (signal?.aborted) throw signal.reason;
      if (late.signal.aborted) throw tooLong(seconds);
      if (codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY') throw tooMuch();
      if (isFull(error)) throw full();
      throw error;
    } finally {
      clearTimeout(clock);
      port1.close();
    }
  }

  /** Ends all threads. */
  stop(): Promise<void> {
    return this.pool.destroy();
  }
}
