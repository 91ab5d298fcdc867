import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { networkFrom, serve } from '../server/dist/index.js';
import { startCluster } from '../tools/lib/postgres.mjs';
const folder = mkdtempSync('/var/tmp/fgshot-'); chmodSync(folder, 0o755);
const cluster = await startCluster(folder, { throwAway: true });
const serving = await serve({ databaseUrl: cluster.url, network: { ...networkFrom({}), port: 0 }, webRoot: '/work/main/web/dist', demoFolder: '/work/main/demo' });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] });
const mod = await import(process.argv[2]!);
try { await mod.default({ browser, address: serving.address, open: async (who: string, w: number, h: number) => {
  const page = await browser.newPage({ viewport: { width: w, height: h } });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message)); page.on('console', (m) => { if (m.type() === 'error' || m.type() === 'warning') console.log('CONSOLE', m.text().slice(0, 300)); });
  await page.goto(serving.address + '/sign-in');
  await page.getByLabel('E-mail').fill(`${who}@thornquay.example`); await page.getByLabel('Password').fill('spring-ferry-22');
  await page.getByRole('button', { name: 'Sign in' }).click(); await page.locator('.rows a').first().waitFor();
  return page; } }); } finally { await browser.close(); await serving.stop(); await cluster.stop(); rmSync(folder, { recursive: true, force: true }); }
