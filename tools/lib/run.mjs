// Running other programs.
import { spawn } from 'node:child_process';
import { Failure } from './steps.mjs';

/** What runs at the moment and may be ended where we are stopped. @type {Set<import('node:child_process').ChildProcess>} */
const running = new Set();

/** Ends what runs at the moment; what must come to its own end is waited for by whoever began it. */
export const endRunning = () => {
  for (const child of running) child.kill('SIGTERM');
};

/**
 * Runs a program to its end.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions & { input?: string }} [options] a `detached` one hears no Ctrl-C and is not
 *   ended where we are stopped
 * @returns {Promise<{ code: number, output: string }>} exit code, and what it printed unless it was inherited
 */
export const run = (command, args, { input, ...options } = {}) =>
  new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    if (!options.detached) running.add(child);
    child.on('close', () => running.delete(child));
    /** @type {Buffer[]} */
    const chunks = [];
    child.stdout?.on('data', (chunk) => chunks.push(chunk));
    child.stderr?.on('data', (chunk) => chunks.push(chunk));
    child.on('error', reject);
    child.on('close', (code) =>
      resolve({ code: code ?? 1, output: Buffer.concat(chunks).toString() }),
    );
    if (input !== undefined) child.stdin?.end(input);
  });

/** A program that should have succeeded; `output` is all it said. */
class CommandFailed extends Error {
  /** @param {string} command @param {number} code @param {string} output */
  constructor(command, code, output) {
    const last = output.trim().split('\n').slice(-3).join(' / ');
    super(`${command} ended with ${code}: ${last}`);
    this.output = output;
  }
}

/**
 * Runs a program that must succeed.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions} [options]
 * @returns {Promise<string>} what it printed
 */
export const must = async (command, args, options) => {
  const { code, output } = await run(command, args, options);
  if (code !== 0) throw new CommandFailed(command, code, output);
  return output;
};

/** @param {string} command */
export const hasCommand = async (command) =>
  (await run('sh', ['-c', `command -v ${command}`])).code === 0;

/** Stops where this Node is too old, in words. */
export const checkNode = () => {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Failure(
      `Node ${process.versions.node} is too old; Fair Gable needs 20.19 or newer. Install it and start again.`,
    );
  }
};
