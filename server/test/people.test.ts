import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/tables/index.ts';
import { firstAccountToken, installationSecret } from '../src/yard/people/index.ts';
import { PostgresSessionStore } from '../src/base/access/index.ts';
import { asker, bench, freshDatabase, password, signedIn, type Bench } from './support.ts';

let b: Bench;
beforeAll(async () => {
  b = await bench();
});
afterAll(() => b.close());

describe('signing in', () => {
  it('opens the yard one belongs to', async () => {
    const ask = await signedIn(b.app, 'INES@thornquay.example ');
    const { body } = await ask('GET', '/api/session');
    expect(body).toMatchObject({
      person: { name: 'Ines Rook', role: 'specialist' },
      yard: { name: 'Thornquay yard', system: 'us' },
    });
  });

  it.each([
    ['a wrong password', 'ines@thornquay.example', 'wrong'],
    ['an unknown address', 'nobody@thornquay.example', password],
  ])('refuses %s with the same sentence', async (_, email, given) => {
    const { status, body } = await asker(b.app)('POST', '/api/session', { email, password: given });
    expect([status, body.code]).toEqual([401, 'wrong-password']);
    expect(body.detail).toBe(
      'Address and password do not belong together. Check both and try again.',
    );
  });

  it.each([
    ['no address', { email: 'ines', password }, 'email'],
    ['no password', { email: 'ines@thornquay.example' }, 'password'],
    ['more than is asked', { email: 'ines@thornquay.example', password, role: 'manager' }, ''],
  ])('refuses %s and names the field', async (_, body, field) => {
    const answer = await asker(b.app)('POST', '/api/session', body);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code: 'bad-input', field });
  });

  it('sets a cookie that scripts cannot read and other sites do not send', async () => {
    const response = await b.app.inject({
      method: 'POST',
      url: '/api/session',
      payload: { email: 'ines@thornquay.example', password },
    });
    const [cookie] = response.cookies.filter(({ name }) => name === 'fair-gable');
    expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax', path: '/' });
  });

  it('ends with signing out, also for a copied cookie', async () => {
    const ask = await signedIn(b.app, 'ines@thornquay.example');
    expect((await ask('DELETE', '/api/session')).status).toBe(204);
    expect((await ask('GET', '/api/session')).status).toBe(401);
  });

  it('of many at once is no fault, whichever takes its try back first', async () => {
    const body = { email: 'bram@thornquay.example', password };
    for (let round = 0; round < 5; round += 1) {
      const answers = await Promise.all(
        Array.from({ length: 30 }, () => asker(b.app)('POST', '/api/session', body)),
      );
      // Those that find too many tries begun beside them wait; none is a fault of the server.
      expect(answers.map(({ status }) => status).filter((s) => s !== 204 && s !== 429)).toEqual([]);
      await b.source.query('DELETE FROM sign_in_try');
    }
  });

  it('keeps no usable session id in the database', async () => {
    await signedIn(b.app, 'ines@thornquay.example');
    const rows: { id: string }[] = await b.source.query('SELECT id FROM session');
    for (const { id } of rows) expect(id).toMatch(/^[0-9a-f]{64}$/);
  });

  it('sweeps out what has expired', async () => {
    await b.source.query(`UPDATE session SET expires_at = now() - interval '1 day'`);
    await new PostgresSessionStore(b.source).sweep();
    expect(await b.source.query('SELECT id FROM session')).toEqual([]);
  });

  it('makes one wait after too many tries, and says how long', async () => {
    const strict = await bench(3);
    const wrong = () =>
      asker(strict.app)('POST', '/api/session', { email: 'ines@thornquay.example', password: 'x' });
    const answers = [await wrong(), await wrong(), await wrong(), await wrong()];
    expect(answers.map((a) => a.status)).toEqual([401, 401, 401, 429]);
    expect(answers[3]?.body.detail).toMatch(/Wait .+, then try again/);
    await strict.close();
  });
});

describe('other sites', () => {
  it.each([
    ['https://elsewhere.example', 403],
    ['null', 403],
    ['http://localhost:4780', 401],
  ])('an Origin of %s answers %d', async (origin, status) => {
    const headers = { origin, host: 'localhost:4780' };
    const answer = await asker(b.app)('POST', '/api/units', {}, headers);
    expect(answer.status).toBe(status);
  });

  it('cannot run scripts in our pages', async () => {
    const { headers } = await asker(b.app)('GET', '/api/health');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(headers['x-content-type-options']).toBe('nosniff');
  });
});

describe('an empty yard', () => {
  it('takes its first account by the printed token, once', async () => {
    const source = await openDatabase(await freshDatabase());
    const app = await buildApp({ source, secret: await installationSecret(source, 'session') });
    const ask = asker(app);
    expect((await ask('GET', '/api/first-account')).body).toEqual({ wanted: true });
    const token = await firstAccountToken(source);
    const given = {
      token,
      yard: 'Sallow North',
      name: 'Ada Finch',
      email: 'ada@north.example',
      password: 'a long enough one',
    };

    const wrong = await ask('POST', '/api/first-account', { ...given, token: 'guess' });
    expect([wrong.status, wrong.body.code]).toEqual([403, 'wrong-token']);
    const short = await ask('POST', '/api/first-account', { ...given, password: 'short' });
    expect(short.body).toMatchObject({ code: 'bad-input', field: 'password' });
    expect((await ask('POST', '/api/first-account', given)).status).toBe(204);
    expect(
      (await ask('POST', '/api/first-account', { ...given, email: 'b@north.example' })).body.code,
    ).toBe('wrong-token');
    expect((await ask('GET', '/api/first-account')).body).toEqual({ wanted: false });
    await app.close();
    await source.destroy();
  });
});
