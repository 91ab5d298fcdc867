import {
  chmodSync,
  existsSync,
  mkdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { dataFolder, removeCluster, startCluster } from '../lib/postgres.mjs';
import { ownFolder } from './support.ts';

jest.setTimeout(600_000);

describe('the private PostgreSQL', () => {
  const folder = ownFolder();
  afterAll(async () => {
    await removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  });

  it('listens on loopback only, with a password of its own that others cannot read', async () => {
    const cluster = await startCluster(folder, { throwAway: true });
    expect(cluster.note).toContain('made in');
    expect(new URL(cluster.url).hostname).toBe('127.0.0.1');
    expect(new URL(cluster.url).password).toHaveLength(24);
    expect(statSync(join(folder, 'password')).mode & 0o077).toBe(0);
    expect(statSync(join(folder, 'postgres')).mode & 0o077).toBe(0);
    const rules = readFileSync(join(folder, 'postgres/pg_hba.conf'), 'utf8').split('\n');
    expect(
      rules.filter((line) => /^(local|host)/.test(line) && !line.includes('scram-sha-256')),
    ).toEqual([]);
    await cluster.stop();
  });

  it('starts again with the same password, on whatever port is free', async () => {
    const password = readFileSync(join(folder, 'password'), 'utf8');
    const cluster = await startCluster(folder, { throwAway: true });
    expect(cluster.note).toContain('started in');
    expect(new URL(cluster.url).password).toBe(password);
    const second = await startCluster(folder, { throwAway: true });
    expect(second.note).toContain('running, shared');
    expect(second.url).toBe(cluster.url);
    await cluster.stop();
    expect(existsSync(join(folder, 'postgres/postmaster.pid'))).toBe(true);
    await second.stop();
    expect(existsSync(join(folder, 'postgres/postmaster.pid'))).toBe(false);
  });

  it('of another version is named and left alone', async () => {
    const other = ownFolder();
    mkdirSync(join(other, 'postgres'));
    writeFileSync(join(other, 'postgres/PG_VERSION'), '9.6\n');
    await expect(startCluster(other)).rejects.toThrow(
      /is of PostgreSQL 9\.6, but this machine has .*nothing in it was touched/,
    );
    expect(readFileSync(join(other, 'postgres/PG_VERSION'), 'utf8')).toBe('9.6\n');
    rmSync(other, { recursive: true });
  });
});

describe('where it lies', () => {
  const open = ownFolder();
  const closed = join(open, 'home');
  beforeAll(() => {
    mkdirSync(join(closed, 'checkout'), { recursive: true });
  });
  afterAll(() => rmSync(open, { recursive: true }));

  it('is inside a checkout that can be reached', () => {
    expect(dataFolder(open)).toBe(join(open, '.data'));
  });

  it('is under /var/lib for a checkout in a closed home of root', () => {
    chmodSync(closed, 0o700);
    // An ordinary user runs the server as itself and reaches its own home.
    const wanted =
      process.getuid?.() === 0 ? /^\/var\/lib\/fair-gable-[0-9a-f]{10}$/ : /checkout\/\.data$/;
    expect(dataFolder(join(closed, 'checkout'))).toMatch(wanted);
  });
});
