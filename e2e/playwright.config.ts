import { defineConfig } from '@playwright/test';
import { browser } from '../tools/lib/setup.mjs';

export default defineConfig({
  testDir: '.',
  outputDir: 'results',
  globalSetup: './global-setup.ts',
  // Each worker has a yard in a database of its own, and goes through it one test after the other.
  workers: 2,
  fullyParallel: false,
  // Looking through every page in every mode takes its time, twice as long with two at work on two cores.
  timeout: 900_000,
  // What is looked for comes at once on a desk; a machine with a slow disk may take its time over it.
  expect: { timeout: 90_000 },
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // Keeping the shell costs each test a second: only those keep it that go without a network (`withShell`).
    serviceWorkers: 'block',
    // Colors are looked at when they have arrived, not on their way.
    contextOptions: { reducedMotion: 'reduce' },
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: browser,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // A voice memo is recorded from a sound that the browser makes.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
