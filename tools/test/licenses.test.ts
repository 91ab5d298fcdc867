import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { root } from './support.ts';

interface Locked {
  readonly license?: string;
  readonly dev?: boolean;
  readonly link?: boolean;
  readonly version?: string;
}

const lock = JSON.parse(readFileSync(`${root}/package-lock.json`, 'utf8')) as {
  packages: Record<string, Locked>;
};

/** Licenses that let anybody use, change and ship; fonts under the Open Font License. */
const permissive = new Set([
  'MIT', 'ISC', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'Apache-2.0', 'BlueOak-1.0.0', 'Unlicense', 'CC0-1.0',
  'OFL-1.1', 'Python-2.0',
]); // prettier-ignore

/**
 * Pictures are decoded by libvips, under the LGPL: a shared library in packages of its own, used as it comes and open to
 * be replaced, which is what that license asks for.
 */
const ofItsOwn = /^node_modules\/@img\/sharp-(libvips-|wasm32$|win32-)/;

const isPermissive = (license: string | undefined): boolean =>
  (license ?? 'none')
    .replaceAll(/[()]/g, '')
    .split(' OR ')
    .some((one) => one.split(' AND ').every((part) => permissive.has(part)));

const runTime = Object.entries(lock.packages).filter(
  ([path, p]) => path.startsWith('node_modules/') && !p.dev && !p.link,
);

describe('packages', () => {
  it('that run have permissive licenses', () => {
    expect(runTime.length).toBeGreaterThan(50);
    const others = runTime
      .filter(([path, p]) => !isPermissive(p.license) && !ofItsOwn.test(path))
      .map(([path, p]) => `${path} ${p.license}`);
    expect(others).toEqual([]);
  });

  it('are pinned exactly', () => {
    for (const workspace of ['', 'core/', 'server/', 'web/']) {
      const { dependencies = {}, devDependencies = {} } = JSON.parse(
        readFileSync(`${root}/${workspace}package.json`, 'utf8'),
      ) as Record<string, Record<string, string>>;
      for (const [name, version] of Object.entries({ ...dependencies, ...devDependencies })) {
        expect(`${name} ${version}`).toMatch(/ \d+\.\d+\.\d+$/);
      }
    }
  });

  it('name no registry host in the lockfile', () => {
    expect(JSON.stringify(lock)).not.toMatch(/"resolved":"https?:/);
  });
});
