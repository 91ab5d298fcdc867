import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { nameOf, routesOf } from './routes.ts';
import {
  asker,
  bench,
  demoFolder,
  editOf,
  password,
  signedIn,
  specChange,
  unitNamed,
  type Asker,
  type Bench,
} from './support.ts';

let b: Bench;
let maren: Asker;
let address: URL;
beforeAll(async () => {
  b = await bench(1000, { webRoot: demoFolder, requestTimeout: 1000 });
  maren = await signedIn(b.app, 'maren@thornquay.example');
  address = new URL(await b.app.listen({ host: '127.0.0.1', port: 0 }));
});
afterAll(() => b.close());

describe('a page of another site', () => {
  const writing = () => routesOf(b).filter(({ method }) => method !== 'GET');

  it('cannot change anything on any route, whether it shows its origin or not', async () => {
    expect(writing().length).toBeGreaterThan(15);
    for (const { method, url } of writing()) {
      for (const headers of [
        { origin: 'https://elsewhere.example' },
        { origin: 'null' },
        { 'sec-fetch-site': 'cross-site' },
      ] as Record<string, string>[]) {
        const answer = await maren(method, url.replace(':id', randomUUID()), {}, headers);
        expect([method, url, answer.body.code]).toEqual([method, url, 'foreign-origin']);
      }
    }
  });

  it('cannot send a form in place of JSON', async () => {
    const response = await b.app.inject({
      method: 'POST',
      url: '/api/session',
      headers: { 'content-type': 'text/plain' },
      payload: JSON.stringify({ email: 'ines@thornquay.example', password }),
    });
    expect(response.statusCode).toBe(400);
    expect(response.cookies).toEqual([]);
  });

  it('cannot put ours into a frame, run scripts in it, or sniff its kinds', async () => {
    const { headers } = await maren('GET', '/api/health');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).toMatch(/script-src 'self'(;|$)/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toContain("object-src 'none'");
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'cross-origin-opener-policy': 'same-origin',
      'cross-origin-resource-policy': 'same-origin',
    });
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('more than is asked for', () => {
  it.each(['yardId', 'personId', 'id2', 'role2', '__proto__', 'constructor'])(
    'is refused on every route: %s',
    async (extra) => {
      for (const route of routesOf(b)) {
        const body = route.schema?.example?.body;
        // The unit file's own format is checked in a test of its own.
        if (body === undefined || nameOf(route) === 'POST /api/unit-files') continue;
        const text = JSON.stringify(body).replace(/^\{/, `{"${extra}":"mine",`);
        const response = await b.app.inject({
          method: route.method,
          url: route.url.replace(':id', randomUUID()),
          headers: { 'content-type': 'application/json', cookie: await cookie() },
          payload: text,
        });
        expect([nameOf(route), extra, response.statusCode]).toEqual([nameOf(route), extra, 400]);
      }
    },
  );
});

let kept: string | undefined;
const cookie = async (): Promise<string> => {
  if (kept) return kept;
  const payload = { email: 'maren@thornquay.example', password };
  const response = await b.app.inject({ method: 'POST', url: '/api/session', payload });
  const [own] = response.cookies.filter(({ name }) => name === 'fair-gable');
  kept = `fair-gable=${own?.value}`;
  return kept;
};

describe('a session cookie', () => {
  it('that is made up or tampered with opens nothing', async () => {
    const real = await cookie();
    for (const forged of [
      'fair-gable=abc',
      `${real}x`,
      real.replace(/\.[^.]*$/, '.AAAA'),
      'fair-gable=',
    ]) {
      expect([forged, (await asker(b.app, forged)('GET', '/api/session')).status]).toEqual([
        forged,
        401,
      ]);
    }
    expect((await asker(b.app, real)('GET', '/api/session')).status).toBe(200);
  });

  it('that is an old one signs nobody out of the newer one', async () => {
    const payload = { email: 'maren@thornquay.example', password };
    const first = (await b.app.inject({ method: 'POST', url: '/api/session', payload })).cookies[0];
    const old = `${first?.name}=${first?.value}`;
    await b.app.inject({ method: 'POST', url: '/api/session', payload, headers: { cookie: old } });
    const late = await b.app.inject({ url: '/api/session', headers: { cookie: old } });
    expect([late.statusCode, late.cookies]).toEqual([401, []]);
  });

  it('is another one after signing in, so that a planted one is worth nothing', async () => {
    const payload = { email: 'maren@thornquay.example', password };
    const signIn = (headers: Record<string, string>) =>
      b.app.inject({ method: 'POST', url: '/api/session', payload, headers });
    const first = (await signIn({})).cookies[0];
    const second = (await signIn({ cookie: `${first?.name}=${first?.value}` })).cookies[0];
    expect(second?.value).not.toBe(first?.value);
    const planted = asker(b.app, `${first?.name}=${first?.value}`);
    expect((await planted('GET', '/api/session')).status).toBe(401);
  });
});

describe('paths', () => {
  it.each([
    '/../package.json',
    '/..%2f..%2fpackage.json',
    '/%2e%2e/%2e%2e/etc/passwd',
    '/units/..%5c..%5cyard.json',
    '/.built-from',
    '//etc/passwd',
    '/api/../../package.json',
    '/api/units/%E0%A4%A',
    '/api/units/%00',
    `/api/units/${'x'.repeat(5000)}`,
    '/api/units/..%2f..%2fsession',
  ])('%s leads nowhere it should not', async (path) => {
    const response = await b.app.inject({
      method: 'GET',
      url: path,
      headers: { cookie: await cookie() },
    });
    expect([path, response.statusCode]).toEqual([path, expect.any(Number)]);
    expect([400, 403, 404, 414]).toContain(response.statusCode);
    expect(response.body).not.toMatch(/root:|"workspaces"/);
  });
});

describe('an answer', () => {
  it('of the API is kept by no cache', async () => {
    for (const path of [
      '/api/units',
      '/api/session',
      '/api/people',
      '/api/health',
      '/api/nothing',
    ]) {
      const { headers } = await maren('GET', path);
      expect([path, headers['cache-control']]).toEqual([path, 'no-store']);
    }
  });
});

describe('a password', () => {
  it.each(['1qaz2wsx3edc', 'QWERTY123456', 'leavemealone'])(
    'that is tried first is not taken: %s',
    async (next) => {
      const body = { present: 'spring-ferry-22', next };
      const answer = await maren('PUT', '/api/me/password', body);
      expect([answer.status, answer.body.detail]).toEqual([
        400,
        expect.stringMatching(/^Password: it’s on the lists of passwords people try first/),
      ]);
    },
  );
});

describe('an exported name', () => {
  it('cannot break out of its header, nor be taken for a formula', async () => {
    const { id } = await unitNamed(maren, 'TQ-0402');
    const { body } = await maren('GET', `/api/units/${id}`);
    const nasty = '=HYPERLINK("x")\r\nSet-Cookie: a=b; ../../';
    const edit = editOf([
      specChange('series', nasty.slice(0, 40), body.record.specs.series.version),
      specChange('floorPlan', '+1-1@SUM(A1)', body.record.specs.floorPlan.version),
    ]);
    expect((await maren('POST', `/api/units/${id}/edits`, edit)).status).toBe(200);
    const { headers } = await maren('GET', `/api/units/${id}/file`);
    expect(headers['content-disposition']).toMatch(/^attachment; filename="[\w-]+\.unit\.json"$/);
    expect(headers['set-cookie']).toBeUndefined();
    expect(headers['content-type']).toMatch(/^application\/json/);
  });
});

describe('what cannot be stored', () => {
  it.each([
    ['a zero byte', 'a\u0000b'],
    ['half a character', 'a\ud800b'],
  ])('%s is refused, and nothing is half-saved', async (_, text) => {
    const id = randomUUID();
    const changes = [specChange('gvwr', 7000), specChange('series', text)];
    const answer = await maren('POST', '/api/units', { id, changes });
    expect([answer.status, answer.body.code]).toEqual([400, 'bad-input']);
    expect((await maren('GET', `/api/units/${id}`)).status).toBe(404);
  });
});

describe('a request', () => {
  /** What the server answers to bytes, until it ends the connection. */
  const raw = (bytes: string): Promise<{ text: string; ms: number }> =>
    new Promise((resolve, reject) => {
      const began = Date.now();
      const socket = connect(Number(address.port), '127.0.0.1', () => socket.write(bytes));
      let text = '';
      socket.on('data', (chunk) => (text += chunk.toString()));
      socket.on('close', () => resolve({ text, ms: Date.now() - began }));
      socket.on('error', reject);
    });
  const head = 'POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\n';

  it('whose body never comes is ended, and the server goes on', async () => {
    const { text, ms } = await raw(`${head}Content-Length: 500\r\n\r\n{"email":`);
    expect(text).toMatch(/^HTTP\/1\.1 408|^$/);
    expect(ms).toBeLessThan(8000);
    expect((await maren('GET', '/api/health')).status).toBe(200);
  });

  it('that claims two lengths, or is no HTTP at all, is refused', async () => {
    const close = 'Connection: close\r\n';
    const two = await raw(`${head}${close}Content-Length: 5\r\nContent-Length: 6\r\n\r\n{}   `);
    expect(two.text).toMatch(/^HTTP\/1\.1 400/);
    expect((await raw('hello\r\n\r\n')).text).toMatch(/^HTTP\/1\.1 400/);
  });

  it('that is too large is refused before it is read', async () => {
    const { text } = await raw(`${head}Content-Length: 900000000\r\nConnection: close\r\n\r\n{`);
    expect(text).toMatch(/^HTTP\/1\.1 413/);
  });

  it('of anything but JSON, or of broken JSON, is refused in a sentence', async () => {
    for (const payload of ['{', '[[[[', '{"a":1,}', '\u0000', 'NaN', '']) {
      const response = await b.app.inject({
        method: 'POST',
        url: '/api/session',
        headers: { 'content-type': 'application/json' },
        payload,
      });
      expect([payload, response.statusCode]).toEqual([payload, 400]);
      expect(response.json().detail).toMatch(/\.$/);
    }
  });

  it('nested beyond reason is refused', async () => {
    const deep = `${'['.repeat(50_000)}${']'.repeat(50_000)}`;
    const response = await b.app.inject({
      method: 'POST',
      url: '/api/unit-files',
      headers: { 'content-type': 'application/json', cookie: await cookie() },
      payload: deep,
    });
    expect(response.statusCode).toBeLessThan(500);
  });
});
