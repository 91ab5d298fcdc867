// All checks over one record in a browser whose CPU is slowed six times, against a frame.
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { browser as browserPath } from '../tools/lib/setup.mjs';
import { build } from 'vite';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';
import { frame, slowed } from './phone.ts';

const folder = new URL('../demo/units/', import.meta.url);
const records = readdirSync(folder).map((name): UnitRecord => {
  const read = readUnitFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!read.ok) throw new Error(read.message);
  return read.file.record;
});

const bundled = async (outDir: string): Promise<string> => {
  const entry = fileURLToPath(new URL('checks-on-phone.ts', import.meta.url));
  await build({
    configFile: false,
    logLevel: 'error',
    resolve: { conditions: ['@fair-gable/source', 'module', 'browser'] },
    build: {
      outDir,
      emptyOutDir: false,
      lib: { entry, formats: ['iife'], name: 'checks', fileName: () => 'checks.js' },
    },
  });
  return join(outDir, 'checks.js');
};

const middle = (times: readonly number[], share: number): number =>
  times.toSorted((a, b) => a - b)[Math.floor((times.length - 1) * share)] ?? Number.NaN;
const row = (what: string, ms: number): string =>
  `${(ms / frame).toFixed(2)} × a frame: ${what} (${ms.toFixed(1)} ms, the CPU slowed ${slowed} times)`;

/** Prints a line for each way of looking. */
export const benchChecks = async (): Promise<void> => {
  const ground = mkdtempSync(join(tmpdir(), 'fair-gable-bench-'));
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage();
    await page.addScriptTag({ path: await bundled(ground) });
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: slowed });
    const look = (): Promise<readonly number[]> =>
      page.evaluate(
        (all) => (globalThis as unknown as { timesOf: (r: typeof all) => number[] }).timesOf(all),
        records,
      );
    const first = await look();
    const again = await look();
    console.log(
      row('all checks of the very first record, the code itself made ready with it', first[0] ?? 0),
    );
    console.log(
      row(
        `all checks of one of ${records.length} records looked at for the first time, the middle one`,
        middle(first.slice(1), 0.5),
      ),
    );
    console.log(row('the slowest of them', middle(first.slice(1), 1)));
    console.log(row('looked at again, the middle one', middle(again, 0.5)));
    console.log(row('the slowest of them', middle(again, 1)));
  } finally {
    await browser.close();
    rmSync(ground, { recursive: true, force: true });
  }
};
