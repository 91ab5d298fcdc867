import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { networkFrom, serve } from '../server/dist/index.js';
import { startCluster } from '../tools/lib/postgres.mjs';
const folder = mkdtempSync('/var/tmp/fgbig-'); chmodSync(folder, 0o755);
const cluster = await startCluster(folder, { throwAway: true });
const serving = await serve({ databaseUrl: cluster.url, network: { ...networkFrom({}), port: 0 }, webRoot: '/work/main/web/dist', demoFolder: '/work/main/demo' });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(serving.address);
  const s = await page.request.post(`${serving.address}/api/session`, { data: { email: 'ines@thornquay.example', password: 'spring-ferry-22' }, headers: { origin: serving.address } });
  console.log(s.status());
  for (let part = 0; part < 2; part++) {
    const text = ['Stock #,Series,Plan,Year,GVWR,Dry weight,Fresh tank,Length', ...Array.from({ length: 4988 }, (_, i) => `B${part}-${i},Tarn,19 RD,2026,${4000 + (i % 900)},${3000 + (i % 700)},30,${17 + (i % 9)} ft ${i % 12}`)].join('\r\n');
    const r = await page.request.post(`${serving.address}/api/stock-list`, { data: { text, system: 'us', how: 'told', onlyGood: false }, headers: { origin: serving.address }, timeout: 60000 });
    console.log(r.status());
  }
  await page.addInitScript(() => { (window as any).__long = []; new PerformanceObserver((l) => { for (const e of l.getEntries()) (window as any).__long.push([Math.round(e.startTime), Math.round(e.duration)]); }).observe({ type: 'longtask', buffered: true }); });
  const cdp = await page.context().newCDPSession(page); await cdp.send('Profiler.enable'); await cdp.send('Profiler.start');
  await page.goto(serving.address + '/yard');
  await page.locator('.rows li').first().waitFor({ timeout: 60000 });
  await page.waitForTimeout(15000);
  const { profile } = await cdp.send('Profiler.stop');
  const self: Record<string, number> = {}; const byId = new Map(profile.nodes.map((n) => [n.id, n]));
  profile.samples!.forEach((id, i) => { const n = byId.get(id)!; const k = n.callFrame.functionName + ' ' + n.callFrame.url.split('/').pop() + ':' + n.callFrame.lineNumber + ':' + n.callFrame.columnNumber; self[k] = (self[k] ?? 0) + (profile.timeDeltas![i] ?? 0); });
  console.log(Object.entries(self).sort((a, b) => b[1] - a[1]).slice(0, 14).map(([k, v]) => Math.round(v / 1000) + 'ms ' + k).join('\n'));
  console.log('opening', JSON.stringify(await page.evaluate(() => (window as any).__long)));
  const wheel = async (dy: number, n: number, gap: number) => {
    await page.evaluate(`window.__long = []; window.__f = []; window.__t = performance.now(); window.__on = true; window.__g = function(){ var n = performance.now(); window.__f.push(n - window.__t); window.__t = n; if (window.__on) requestAnimationFrame(window.__g); }; requestAnimationFrame(window.__g);`);
    await page.mouse.move(500, 500); await cdp.send('Profiler.start');
    for (let i = 0; i < n; i++) { await page.mouse.wheel(0, dy); await page.waitForTimeout(gap); }
    await page.waitForTimeout(800);
  const { profile } = await cdp.send('Profiler.stop');
  const self: Record<string, number> = {}; const byId = new Map(profile.nodes.map((n) => [n.id, n]));
  profile.samples!.forEach((id, i) => { const n = byId.get(id)!; const k = n.callFrame.functionName + ' ' + n.callFrame.url.split('/').pop() + ':' + n.callFrame.lineNumber + ':' + n.callFrame.columnNumber; self[k] = (self[k] ?? 0) + (profile.timeDeltas![i] ?? 0); });
  console.log(Object.entries(self).sort((a, b) => b[1] - a[1]).slice(0, 14).map(([k, v]) => Math.round(v / 1000) + 'ms ' + k).join('\n'));
    console.log(dy, 'long', JSON.stringify(await page.evaluate(() => (window as any).__long.map((l: number[]) => l[1]))), 'frames>34ms', await page.evaluate(() => { (window as any).__on = false; const f = (window as any).__f as number[]; return JSON.stringify({ n: f.length, over34: f.filter((x) => x > 34).map(Math.round), p95: Math.round(f.toSorted((a, b) => a - b)[Math.floor(f.length * .95)]!) }); }));
  };
  await wheel(4000, 30, 30);
  await wheel(400, 40, 30);
  await page.evaluate(() => { (window as any).__long = []; });
  await page.getByRole('searchbox').or(page.getByPlaceholder(/search|find/i)).first().pressSequentially('tarn 4', { delay: 120 }).catch((e) => console.log(String(e).slice(0, 200)));
  await page.waitForTimeout(1000);
  console.log('typing', JSON.stringify(await page.evaluate(() => (window as any).__long)));
} finally { await browser.close(); await serving.stop(); await cluster.stop(); rmSync(folder, { recursive: true, force: true }); }
