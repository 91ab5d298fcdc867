// `npm run pictures`: one current picture of each main view, from the demo yard, into docs/screenshots/.
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { browser as browserPath } from './lib/setup.mjs';
import { networkFrom, serve } from '../server/dist/program/index.js';
import { build } from './lib/build.mjs';
import { startCluster } from './lib/postgres.mjs';
import { root } from './lib/setup.mjs';

const folder = join(root, 'docs/screenshots');
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

interface View {
  readonly file: string;
  /** Who looks; the demo's specialist where nobody is named. */
  readonly who?: 'maren';
  readonly mode?: 'dark' | 'sunlight';
  readonly size: typeof desk;
  readonly go: (page: Page) => Promise<void>;
}

const openUnit = async (page: Page, stockNumber: string): Promise<void> => {
  await page.locator('.rows a', { hasText: stockNumber }).click();
  await page.locator('.particulars', { hasText: stockNumber }).waitFor();
};

const atStation = async (page: Page, stockNumber: string, station: string): Promise<void> => {
  await openUnit(page, stockNumber);
  await page.goto(page.url().replace(/record.*/, `record/${station}`));
  await page.locator('.station h2').waitFor();
};

const atPlace = async (page: Page, stockNumber: string, place: string): Promise<void> => {
  await openUnit(page, stockNumber);
  await page.goto(page.url().replace(/record.*/, place));
};

const beginWalk = async (page: Page): Promise<void> => {
  await openUnit(page, 'TQ-0417');
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('article').waitFor();
};

const press = async (page: Page, name: string | RegExp, times = 1): Promise<void> => {
  for (let i = 0; i < times; i++) await page.getByRole('button', { name, exact: true }).click();
};

const given = async (page: Page): Promise<void> => {
  await beginWalk(page);
  await press(page, /^Said/, 2);
  await press(page, 'Later');
  await press(page, 'Shown', 2);
  await press(page, 'Asked');
  await page.getByLabel('In a few words').fill('How long does it last without a hookup?');
  await press(page, 'Save');
  await press(page, /^Said/, 3);
  await press(page, 'Jump to…');
  await page.getByRole('button', { name: /^10 Utilities/ }).click();
  await page.locator('.p-drawer').waitFor({ state: 'detached' });
  await press(page, /^Said/);
};

/** Somebody else changes a field of the unit that is open on the page. */
const meanwhile = async (page: Page, pounds: number): Promise<void> => {
  const other = await page.context().browser()?.newContext();
  const post = (path: string, data: unknown) =>
    other?.request.post(new URL(path, page.url()).href, { data });
  await post('/api/session', { email: 'bram@thornquay.example', password: 'spring-ferry-22' });
  const unit = page.url().split('/')[4] ?? '';
  const answer = await other?.request.get(new URL(`/api/units/${unit}`, page.url()).href);
  const { record } = (await answer?.json()) as {
    record: { specs: { hitchWeight?: { version: number } } };
  };
  const change = {
    part: 'specs',
    key: 'hitchWeight',
    value: { kind: 'quantity', amount: pounds },
    how: 'measured',
    basedOn: record.specs.hitchWeight?.version ?? 0,
  };
  await post(`/api/units/${unit}/edits`, { id: randomUUID(), changes: [change] });
  await other?.close();
};

const views: readonly View[] = [
  { file: 'yard', size: desk, go: async () => {} },
  {
    file: 'left',
    size: desk,
    go: async (page) => {
      await page.getByRole('link', { name: 'To measure or confirm' }).click();
      await page.locator('[data-left]').first().waitFor();
    },
  },
  {
    file: 'unit-sheet',
    size: desk,
    go: async (page) => {
      await openUnit(page, 'TQ-0418');
      await page.getByRole('link', { name: 'Sheet', exact: true }).click();
      await page.locator('table').waitFor();
    },
  },
  {
    file: 'model-sheet',
    who: 'maren',
    size: desk,
    go: async (page) => {
      await page.getByRole('link', { name: 'Model sheets' }).click();
      await page.getByRole('link', { name: /24 RKD · 2026/ }).click();
      await page.getByRole('heading', { name: 'Packages and options' }).waitFor();
    },
  },
  { file: 'yard-phone', size: phone, go: async () => {} },
  {
    file: 'record',
    size: desk,
    go: async (page) => {
      await atStation(page, 'TQ-0365', 'labels');
      await page.locator('[data-field="ccc"] .head').click();
    },
  },
  {
    file: 'round-phone',
    size: phone,
    go: async (page) => {
      await atPlace(page, 'TQ-0411', 'round/utilities');
      await page.locator('.editor').waitFor();
      await page.locator('.editor svg').click({ position: { x: 205, y: 20 } });
      for (const key of ['2', '1', 'ft', '9', 'in']) {
        await page.locator('.pad').getByRole('button', { name: key, exact: true }).click();
      }
    },
  },
  {
    file: 'labels',
    size: desk,
    go: async (page) => {
      await atPlace(page, 'TQ-0438', 'labels');
      await page.getByRole('button', { name: /No camera/ }).click();
      await page.getByRole('button', { name: 'Read its code' }).click();
      await page.getByText('We read the code').waitFor();
    },
  },
  {
    file: 'condition',
    size: desk,
    go: async (page) => {
      await atPlace(page, 'TQ-0377', 'condition');
      await page.locator('[data-finding="delamination"] button').first().click();
      await page.locator('.strip img').first().waitFor();
    },
  },
  {
    file: 'numbers',
    size: desk,
    go: async (page) => {
      await atPlace(page, 'TQ-0417', 'numbers/load');
      await page.locator('.drawing canvas').waitFor();
    },
  },
  {
    file: 'record-phone',
    size: phone,
    go: async (page) => {
      await atStation(page, 'TQ-0377', 'running-gear');
      await page.locator('.note').first().scrollIntoViewIfNeeded();
    },
  },
  {
    file: 'plan',
    size: desk,
    go: async (page) => {
      await openUnit(page, 'TQ-0417');
      await page.getByRole('link', { name: 'Walk', exact: true }).click();
      await page.locator('.plan').waitFor();
    },
  },
  { file: 'walk-phone', size: phone, go: given },
  {
    file: 'history',
    size: desk,
    go: async (page) => {
      await atStation(page, 'TQ-0417', 'labels');
      await meanwhile(page, 684);
      await meanwhile(page, 690);
      await page.getByRole('link', { name: 'History' }).click();
      await page.locator('[data-history]').first().waitFor();
    },
  },
  {
    file: 'settings',
    who: 'maren',
    size: desk,
    go: async (page) => {
      await page.getByRole('link', { name: 'Settings' }).click();
      await page.locator('[data-person]').first().waitFor();
    },
  },
  { file: 'walk-sunlight', mode: 'sunlight', size: phone, go: given },
  {
    file: 'log',
    size: desk,
    go: async (page) => {
      await given(page);
      await press(page, 'Finish');
      await page.locator('.log').waitFor();
    },
  },
  {
    file: 'walks',
    size: desk,
    go: async (page) => {
      await page.getByRole('link', { name: 'Walks', exact: true }).click();
      await page.getByRole('heading', { name: /^Over/ }).waitFor();
      await page.getByRole('heading', { name: /^Over/ }).scrollIntoViewIfNeeded();
      await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight / 3));
    },
  },
  {
    file: 'screen',
    size: { width: 1024, height: 700 },
    go: async (page) => {
      await beginWalk(page);
      await press(page, 'Jump to…');
      await page.getByRole('button', { name: /Label panel/ }).click();
      while (!(await page.getByRole('article').innerText()).includes('all loaded up')) {
        await press(page, /^Said/);
        await page.waitForTimeout(200);
      }
      await page.locator('[data-unsent="0"]').waitFor();
      const walk = page.url().split('/').at(-1) ?? '';
      const opened = await page.request.post(
        new URL(`/api/walks/${walk}/screens`, page.url()).href,
      );
      const { token } = (await opened.json()) as { token: string };
      await page.goto(new URL(`/screen#${token}`, page.url()).href);
      await page.getByRole('heading', { name: 'GVWR' }).waitFor();
    },
  },
];

const signIn = async (page: Page, address: string, who = 'ines'): Promise<void> => {
  await page.goto(`${address}/sign-in`);
  await page.getByLabel('E-mail').fill(`${who}@thornquay.example`);
  await page.getByLabel('Password').fill('spring-ferry-22');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.locator('.rows a').first().waitFor();
};

const picture = async (browser: Browser, address: string, view: View): Promise<void> => {
  const context = await browser.newContext({ viewport: view.size, locale: 'en-US' });
  const page = await context.newPage();
  const { mode } = view;
  if (mode) await page.addInitScript((m) => localStorage.setItem('fair-gable-mode', m), mode);
  await signIn(page, address, view.who);
  await view.go(page);
  await page.mouse.move(0, 0);
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(folder, `${view.file}.png`) });
  await context.close();
};

const asked = process.argv.slice(2);
const ground = mkdtempSync('/var/tmp/fair-gable-pictures-');
chmodSync(ground, 0o755);
await build();
const cluster = await startCluster(ground, { throwAway: true });
const serving = await serve({
  databaseUrl: cluster.url,
  network: { ...networkFrom({}), port: 0 },
  webRoot: join(root, 'web/dist'),
  demoFolder: join(root, 'demo'),
  signInsPerMinute: 1000,
});
const browser = await chromium.launch({
  executablePath: browserPath,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--font-render-hinting=none',
  ],
});
try {
  for (const view of views) {
    if (asked.length === 0 || asked.includes(view.file))
      await picture(browser, serving.address, view);
  }
} finally {
  await browser.close();
  await serving.stop();
  await cluster.stop();
  rmSync(ground, { recursive: true, force: true });
}
