import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { generate } from 'selfsigned';
import { networkFrom } from '../src/network.ts';
import { placeOf } from '../src/yard/people/place.ts';
import { serve, type Serving } from '../src/serve.ts';
import { asker, bench, demoFolder, freshDatabase, password } from './support.ts';

describe('the network', () => {
  it('is this machine alone unless it is opened', () => {
    expect(networkFrom({})).toEqual({
      host: '127.0.0.1',
      port: 4780,
      publicUrl: undefined,
      tls: undefined,
      trustProxy: false,
    });
  });

  it('is opened with a certificate, or behind a proxy that has one', () => {
    const own = {
      HOST: '0.0.0.0',
      PUBLIC_URL: 'https://yard.example:4780',
      TLS_CERT: 'c',
      TLS_KEY: 'k',
    };
    expect(networkFrom(own)).toMatchObject({
      publicUrl: 'https://yard.example:4780',
      tls: { cert: 'c', key: 'k' },
    });
    const proxied = { PUBLIC_URL: 'https://yard.example/', TRUST_PROXY: '1' };
    expect(networkFrom(proxied)).toMatchObject({
      host: '127.0.0.1',
      publicUrl: 'https://yard.example',
      trustProxy: 1,
    });
  });

  it.each([
    [{ PORT: 'eighty' }, /^PORT=eighty is not a port/],
    [{ HOST: '0.0.0.0' }, /Set PUBLIC_URL too/],
    [
      { HOST: '192.168.1.9', PUBLIC_URL: 'http://192.168.1.9:4780' },
      /is not https.*set TLS_CERT and TLS_KEY/,
    ],
    [{ HOST: '0.0.0.0', PUBLIC_URL: 'https://yard.example' }, /nothing here speaks it/],
    [{ PUBLIC_URL: 'https://yard.example' }, /nothing here speaks it/],
    [{ PUBLIC_URL: 'yard.example' }, /is not an address to open/],
    [{ PUBLIC_URL: 'https://yard.example/app' }, /is not an address to open/],
    [{ TLS_CERT: 'c' }, /^TLS_CERT is set, TLS_KEY is not/],
    [{ TLS_KEY: 'k' }, /^TLS_KEY is set, TLS_CERT is not/],
    [{ TRUST_PROXY: 'perhaps' }, /^TRUST_PROXY=perhaps says no proxy/],
    [{ TRUST_PROXY: '10.0.0.5,nobody' }, /says no proxy/],
    [{ TRUST_PROXY: '10.0.0.0/33' }, /says no proxy/],
    [{ PORT: '0x10' }, /^PORT=0x10 is not a port/],
    [{ PORT: '4e3' }, /^PORT=4e3 is not a port/],
  ])('%j is told in a sentence', (environment, words) => {
    expect(() => networkFrom(environment as Record<string, string>)).toThrow(words);
  });
});

/** A yard of its own on https, with a certificate made on the spot. */
describe('a yard on https', () => {
  let folder: string;
  let serving: Serving;
  let cert: string;
  const publicUrl = 'https://localhost:4799';

  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'fair-gable-tls-'));
    const made = await generate([{ name: 'commonName', value: 'localhost' }], {
      extensions: [{ name: 'subjectAltName', altNames: [{ type: 2, value: 'localhost' }] }],
    });
    cert = made.cert;
    writeFileSync(join(folder, 'cert.pem'), made.cert);
    writeFileSync(join(folder, 'key.pem'), made.private);
    serving = await serve({
      databaseUrl: await freshDatabase(),
      network: {
        ...networkFrom({
          PUBLIC_URL: publicUrl,
          TLS_CERT: join(folder, 'cert.pem'),
          TLS_KEY: join(folder, 'key.pem'),
        }),
        port: 4799,
      },
      webRoot: demoFolder,
    });
  });
  afterAll(async () => {
    await serving.stop();
    rmSync(folder, { recursive: true });
  });

  const ask = (method: string, path: string, body?: unknown, origin = publicUrl) =>
    new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
      (resolve, reject) => {
        const headers = { origin, ...(body ? { 'content-type': 'application/json' } : {}) };
        const call = request(`${publicUrl}${path}`, { method, ca: cert, headers }, (response) => {
          let text = '';
          response.on('data', (chunk) => (text += chunk));
          response.on('end', () =>
            resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
          );
        });
        call.on('error', reject);
        call.end(body ? JSON.stringify(body) : undefined);
      },
    );

  it('gives its public address, and takes its first account with a Secure cookie', async () => {
    expect(serving.address).toBe(publicUrl);
    const { status, headers } = await ask('POST', '/api/first-account', {
      token: serving.token,
      yard: 'North',
      name: 'Ada',
      email: 'ada@north.example',
      password: 'a long enough one',
    });
    expect(status).toBe(204);
    expect(String(headers['set-cookie'])).toMatch(/; Secure/);
    expect(headers['strict-transport-security']).toBe('max-age=86400');
  });

  it('takes changes from its own address only', async () => {
    const body = { email: 'ada@north.example', password: 'wrong' };
    expect((await ask('POST', '/api/session', body)).status).toBe(401);
    expect((await ask('POST', '/api/session', body, 'https://localhost:1234')).status).toBe(403);
    expect((await ask('POST', '/api/session', body, 'http://localhost:4799')).status).toBe(403);
  });

  it('names a certificate that can’t be read, and one that is none', async () => {
    const start = async (cert: string) =>
      serve({
        databaseUrl: await freshDatabase(),
        network: { ...networkFrom({}), port: 0, tls: { cert, key: join(folder, 'key.pem') } },
        webRoot: demoFolder,
      });
    await expect(start('/nowhere.pem')).rejects.toThrow(/^TLS_CERT=\/nowhere\.pem can’t be read/);
    writeFileSync(join(folder, 'text.pem'), 'hello');
    await expect(start(join(folder, 'text.pem'))).rejects.toThrow(/is not a PEM file/);
  });
});

describe('the demo yard', () => {
  it.each([
    ['another host', { host: '0.0.0.0' }],
    ['a public address', { publicUrl: 'https://yard.example' }],
  ])('is not served on %s', async (_, open) => {
    const network = { ...networkFrom({}), port: 0, ...open };
    const options = {
      databaseUrl: await freshDatabase(),
      network,
      webRoot: demoFolder,
      demoFolder,
    };
    await expect(serve(options)).rejects.toThrow(/demo yard.*this machine only/);
  });
});

describe('behind a proxy', () => {
  it('counts wrong tries by whoever asks, when the proxy is trusted', async () => {
    const b = await bench(1000, { trustProxy: 1 });
    const wrong = (ip: string) =>
      asker(b.app)(
        'POST',
        '/api/session',
        { email: 'ines@thornquay.example', password: 'x' },
        { 'x-forwarded-for': ip },
      );
    for (let i = 0; i < 5; i++) await wrong('10.0.0.1');
    expect((await wrong('10.0.0.1')).status).toBe(429);
    expect((await wrong('10.0.0.2')).status).toBe(401);
    const right = await asker(b.app)('POST', '/api/session', {
      email: 'ines@thornquay.example',
      password,
    });
    expect(right.status).toBe(204);
    await b.close();
  });

  it('counts from here, whatever a stranger wrote before it', async () => {
    const b = await bench(1000, { trustProxy: 1 });
    const wrong = (forwarded: string) =>
      asker(b.app)(
        'POST',
        '/api/session',
        { email: 'ines@thornquay.example', password: 'x' },
        { 'x-forwarded-for': forwarded },
      );
    // A proxy that appends: the stranger at 203.0.113.7 makes up another address each time.
    for (let i = 0; i < 5; i++) await wrong(`10.0.0.${i}, 203.0.113.7`);
    expect((await wrong('10.9.9.9, 203.0.113.7')).status).toBe(429);
    // Whom the stranger meant is not locked out.
    expect((await wrong('10.0.0.1, 198.51.100.4')).status).toBe(401);
    await b.close();
  });

  it('lets nobody behind the same proxy lock out a browser that is known', async () => {
    const b = await bench();
    const credentials = { email: 'ines@thornquay.example', password };
    const first = await b.app.inject({ method: 'POST', url: '/api/session', payload: credentials });
    const known = first.cookies.find(({ name }) => name === 'fair-gable-device');
    expect(known).toMatchObject({ httpOnly: true, sameSite: 'Lax', path: '/api' });
    const tries = Array.from({ length: 40 }, () =>
      asker(b.app)('POST', '/api/session', { ...credentials, password: 'x' }),
    );
    const answers = await Promise.all(tries);
    // Forty at once are forty: four are free, and the one that counts up to the wait.
    expect(answers.filter(({ status }) => status === 401)).toHaveLength(5);
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(35);
    expect((await asker(b.app)('POST', '/api/session', credentials)).status).toBe(429);
    const cookie = `fair-gable-device=${known?.value}`;
    const own = asker(b.app, cookie);
    expect((await own('POST', '/api/session', credentials)).status).toBe(204);
    // It is known to her alone.
    for (let i = 0; i < 5; i++)
      await own('POST', '/api/session', { email: 'osk@thornquay.example', password: 'x' });
    const osk = { email: 'osk@thornquay.example', password };
    expect((await asker(b.app)('POST', '/api/session', osk)).status).toBe(429);
    await b.close();
  });

  it.each([
    ['2001:db8:7:1::9', '2001:db8:7:1'],
    ['2001:db8:7:1:ffff::', '2001:db8:7:1'],
    ['2001:DB8::1', '2001:db8:0:0'],
    ['::1', '0:0:0:0'],
    ['fe80::1%eth0', 'fe80:0:0:0'],
    ['::ffff:10.0.0.1', '10.0.0.1'],
    ['10.0.0.1', '10.0.0.1'],
  ])('%s is of the place %s', (ip, place) => {
    expect(placeOf(ip)).toBe(place);
  });

  it('believes nobody about where they come from, when it is not', async () => {
    const b = await bench();
    const wrong = (ip: string) =>
      asker(b.app)(
        'POST',
        '/api/session',
        { email: 'ines@thornquay.example', password: 'x' },
        { 'x-forwarded-for': ip },
      );
    for (let i = 0; i < 5; i++) await wrong(`10.0.0.${i}`);
    expect((await wrong('10.0.0.9')).status).toBe(429);
    await b.close();
  });
});
