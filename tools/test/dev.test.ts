import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, expect, it, jest } from '@jest/globals';
import { freePort, removeCluster } from '../lib/postgres.mjs';
import { killAll, ownFolder, startBy } from './support.ts';

// A machine that does other things beside is slow, not wrong.
jest.setTimeout(600_000);

const folder = ownFolder();
afterAll(async () => {
  killAll();
  await removeCluster(folder);
  rmSync(folder, { recursive: true, force: true });
});

it('npm run dev serves web and API under one address, and stops its database with it', async () => {
  const port = String(await freePort());
  const address = `http://127.0.0.1:${port}`;
  const dev = startBy(['node', 'tools/dev.mjs'], { FAIR_GABLE_DATA: folder, PORT: port });
  await dev.says(/server … listening/);
  const page = await fetch(`${address}/yard`);
  expect(await page.text()).toContain('/src/main.ts');
  expect(await (await fetch(`${address}/api/health`)).json()).toMatchObject({ ok: true });
  const signIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ email: 'ines@thornquay.example', password: 'spring-ferry-22' }),
  });
  expect(signIn.status).toBe(204);
  dev.child.kill('SIGTERM');
  expect(await dev.ended).toBe(0);
  expect(existsSync(join(folder, 'postgres/postmaster.pid'))).toBe(false);
});
