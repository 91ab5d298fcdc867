// Says what is being done and how long it took.

/** A failure that people can do something about: printed as one sentence, without a stack. */
export class Failure extends Error {}

/** @param {number} began by performance.now() */
const secondsSince = (began) => `${((performance.now() - began) / 1000).toFixed(1)} s`;

/** What a step says of its result: a text, or the `note` of an object. @param {any} result */
const noteOf = (result) => (typeof result === 'string' ? result : (result?.note ?? ''));

/** A printer for steps that report themselves when they are over. */
export const stepPrinter = () => {
  let began = performance.now();
  return (/** @type {string} */ what) => {
    process.stdout.write(`  ${what} … ${secondsSince(began)}\n`);
    began = performance.now();
  };
};

/**
 * Runs one step and prints how long it took.
 * @template T
 * @param {string} what in a few words
 * @param {() => Promise<T> | T} work
 * @returns {Promise<T>}
 */
export const step = async (what, work) => {
  const began = performance.now();
  process.stdout.write(`  ${what} … `);
  try {
    const result = await work();
    const note = noteOf(result);
    process.stdout.write(`${note && `${note}, `}${secondsSince(began)}\n`);
    return result;
  } catch (error) {
    process.stdout.write('failed\n');
    throw error;
  }
};

/** Causes that a person can mend, by the code or the words in which a program reports them. */
const causes = [
  {
    is: /ENOSPC|53100|No space left on device|Check free disk space/i,
    say: 'The disk is full. Free some space and start again; what was saved before is safe.',
  },
  {
    is: /EACCES|EPERM|Permission denied/i,
    say: 'A folder may not be written by this user. Start as the owner of this folder, or give the folder back with chown.',
  },
];

/**
 * An error as one sentence.
 * @param {unknown} error
 * @param {{ port?: string }} [context]
 */
export const sentenceFor = (error, { port } = {}) => {
  const problem = /** @type {Error & { code?: string, output?: string }} */ (error);
  if (problem.code === 'EADDRINUSE') {
    return `Port ${port} is in use by another program. Stop that one, or choose another port: PORT=4781 npm start`;
  }
  if (problem.code === 'ECONNREFUSED') {
    return 'The database named by DATABASE_URL does not answer. Check the address, or leave DATABASE_URL out.';
  }
  const text = `${problem.code ?? ''} ${problem.message} ${problem.output ?? ''}`;
  const cause = error instanceof Failure ? undefined : causes.find(({ is }) => is.test(text));
  return cause ? `${cause.say} (${problem.message.split('\n')[0]})` : problem.message;
};
