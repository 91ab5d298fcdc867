import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { waitAfter, waitWords } from '@fair-gable/core/yard/people';
import { passwordLink } from '../src/yard/people/index.ts';
import { asker, bench, password, signedIn, type Asker, type Bench } from './support.ts';

let b: Bench;
let maren: Asker;
beforeAll(async () => {
  b = await bench();
  maren = await signedIn(b.app, 'maren@thornquay.example');
});
afterAll(() => b.close());

const signIn = (email: string, given: string) =>
  asker(b.app)('POST', '/api/session', { email, password: given });
const byLink = (token: string, given: string) =>
  asker(b.app)('POST', '/api/password', { token, password: given });
const ids = async (ask: Asker): Promise<string[]> =>
  (await ask('GET', '/api/me/sessions')).body.sessions.map((s: { id: string }) => s.id);

describe('a new person', () => {
  it('gets a one-time link, sets a password with it once, and signs in', async () => {
    const given = { name: 'Petra Lune', email: 'Petra@thornquay.example', role: 'specialist' };
    const { status, body } = await maren('POST', '/api/people', given);
    expect(status).toBe(201);
    expect((await signIn('petra@thornquay.example', '')).status).toBe(400);
    expect((await signIn('petra@thornquay.example', 'anything at all')).body.code).toBe(
      'wrong-password',
    );
    expect((await byLink(body.link.token, 'short')).body).toMatchObject({ field: 'password' });
    expect((await byLink(body.link.token, 'a long enough one')).status).toBe(204);
    expect((await byLink(body.link.token, 'another long one')).body.code).toBe('wrong-link');
    expect((await signIn('petra@thornquay.example', 'a long enough one')).status).toBe(204);
    const { people } = (await maren('GET', '/api/people')).body;
    expect(people).toContainEqual(expect.objectContaining({ name: 'Petra Lune', ready: true }));
    expect((await maren('POST', '/api/people', given)).body.code).toBe('already-member');
  });

  it('cannot be made in another role by asking for more than the form has', async () => {
    const given = {
      name: 'X',
      email: 'x@thornquay.example',
      role: 'viewer',
      yardId: 'else',
      passwordHash: 'mine',
    };
    expect((await maren('POST', '/api/people', given)).status).toBe(400);
  });
});

describe('a forgotten password', () => {
  it('is reset by a manager’s link; the older link and all sign-ins end', async () => {
    const osk = await signedIn(b.app, 'osk@thornquay.example');
    const id = (await osk('GET', '/api/session')).body.person.id;
    const first = (await maren('POST', `/api/people/${id}/link`)).body;
    const second = (await maren('POST', `/api/people/${id}/link`)).body;
    expect((await byLink(first.token, 'a long enough one')).status).toBe(403);
    expect((await byLink(second.token, 'a long enough one')).status).toBe(204);
    expect((await osk('GET', '/api/session')).status).toBe(401);
    expect((await signIn('osk@thornquay.example', password)).status).toBe(401);
    expect((await signIn('osk@thornquay.example', 'a long enough one')).status).toBe(204);
    const { changes } = (await maren('GET', '/api/yard/history')).body;
    expect(changes[0]).toMatchObject({
      what: 'password-link',
      subject: 'Osk Tamber',
      by: 'Maren Holt',
    });
  });

  it('is reset from the server when no manager can, and an old link is refused', async () => {
    const { token } = await passwordLink(b.source.manager, ' Bram@thornquay.example ');
    await b.source.query(`UPDATE password_link SET expires_at = now() - interval '1 minute'`);
    expect((await byLink(token, 'a long enough one')).body.code).toBe('wrong-link');
    await expect(passwordLink(b.source.manager, 'no@body.example')).rejects.toThrow(
      /Nobody here signs in/,
    );
  });
});

describe('one’s own account', () => {
  it('changes its password only with the present one, and ends the other sign-ins', async () => {
    const here = await signedIn(b.app, 'ivo@thornquay.example');
    const there = await signedIn(b.app, 'ivo@thornquay.example');
    const wrong = await here('PUT', '/api/me/password', {
      present: 'no',
      next: 'a long enough one',
    });
    expect(wrong.body).toMatchObject({ code: 'wrong-present', field: 'present' });
    const answer = await b.app.inject({
      method: 'POST',
      url: '/api/session',
      payload: { email: 'ivo@thornquay.example', password },
    });
    const cookie = answer.cookies.map((c) => `${c.name}=${c.value}`).join('; ');
    const changed = await b.app.inject({
      method: 'PUT',
      url: '/api/me/password',
      headers: { cookie },
      payload: { present: password, next: 'a long enough one' },
    });
    expect(changed.statusCode).toBe(204);
    expect(changed.cookies[0]?.name).toBe('fair-gable');
    expect((await here('GET', '/api/session')).status).toBe(401);
    expect((await there('GET', '/api/session')).status).toBe(401);
  });

  it('lists its sign-ins by device, and ends one or all others', async () => {
    const phone = {
      'user-agent':
        'Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/131.0 Mobile Safari/537.36',
    };
    const response = await b.app.inject({
      method: 'POST',
      url: '/api/session',
      headers: phone,
      payload: { email: 'ines@thornquay.example', password },
    });
    const onPhone = asker(b.app, response.cookies.map((c) => `${c.name}=${c.value}`).join('; '));
    const desk = await signedIn(b.app, 'ines@thornquay.example');
    const third = await signedIn(b.app, 'ines@thornquay.example');
    const { sessions } = (await onPhone('GET', '/api/me/sessions')).body;
    expect(sessions).toHaveLength(3);
    const here = sessions.filter((s: { here: boolean }) => s.here);
    expect(here).toEqual([expect.objectContaining({ device: 'Chrome on Android' })]);

    const mine = await ids(third);
    const [other] = mine.filter((id) => id !== here[0].id);
    expect((await onPhone('DELETE', `/api/me/sessions/${other}`)).status).toBe(204);
    expect((await onPhone('DELETE', `/api/me/sessions/${other}`)).status).toBe(404);
    expect((await onPhone('DELETE', '/api/me/sessions')).status).toBe(204);
    expect(await ids(onPhone)).toEqual([here[0].id]);
    expect((await desk('GET', '/api/session')).status).toBe(401);
    const [osk] = (await b.source.query(
      `SELECT s.id FROM session s JOIN person p ON p.id = s.person_id WHERE p.name = 'Maren Holt'`,
    )) as { id: string }[];
    expect((await onPhone('DELETE', `/api/me/sessions/${osk?.id}`)).status).toBe(404);
  });

  it('has units of its own, or takes the yard’s', async () => {
    const ines = await signedIn(b.app, 'ines@thornquay.example');
    await ines('PUT', '/api/me', { name: 'Ines Rook', system: 'metric' });
    expect((await ines('GET', '/api/session')).body).toMatchObject({
      person: { system: 'metric' },
      yard: { system: 'us' },
    });
    await ines('PUT', '/api/me', { name: 'Ines Rook', system: null });
    expect((await ines('GET', '/api/session')).body.person.system).toBeNull();
  });
});

describe('a yard', () => {
  it('always keeps a manager', async () => {
    const { people } = (await maren('GET', '/api/people')).body;
    const { id } = people.find((p: { name: string }) => p.name === 'Maren Holt');
    expect((await maren('PUT', `/api/people/${id}`, { role: 'viewer' })).body.code).toBe(
      'last-manager',
    );
    expect((await maren('DELETE', `/api/people/${id}`)).body.detail).toMatch(
      /^Maren Holt is the only manager/,
    );
  });

  it('takes a side where practitioners disagree, reads letters its own way, and notes both', async () => {
    const kept = { name: 'Thornquay yard', system: 'us' };
    const houseViews = { 'slide-topper': 'unwanted' };
    const glossary = [{ code: 'RKD', readings: ['rear kitchen and dinette'] }];
    const put = (more: object) => maren('PUT', '/api/yard', { ...kept, ...more });
    expect((await put({ houseViews, glossary })).status).toBe(204);
    expect((await put({})).status).toBe(204);
    const { yard } = (await maren('GET', '/api/session')).body;
    expect(yard).toMatchObject({ houseViews, glossary });
    const { changes } = (await maren('GET', '/api/yard/history')).body;
    expect(changes).toContainEqual(
      expect.objectContaining({ what: 'house-view', from: null, to: 'Better without' }),
    );
    expect(changes).toContainEqual(
      expect.objectContaining({ what: 'glossary', subject: 'RKD', to: 'rear kitchen and dinette' }),
    );
    expect((await put({ houseViews: { 'slide-topper': 'sideways' } })).status).toBe(400);
    expect((await put({ houseViews: { weather: 'fine' } })).status).toBe(400);
    expect((await put({ glossary: [{ code: 'rk', readings: [] }] })).status).toBe(400);
    expect((await put({ houseViews: {}, glossary: [] })).status).toBe(204);
  });

  it('is renamed and re-measured by its manager, which is noted', async () => {
    expect((await maren('PUT', '/api/yard', { name: 'Thornquay', system: 'metric' })).status).toBe(
      204,
    );
    const { changes } = (await maren('GET', '/api/yard/history')).body;
    expect(
      changes
        .slice(0, 2)
        .map((c: { what: string; to: string }) => [c.what, c.to])
        .toSorted(),
    ).toEqual([
      ['yard-name', 'Thornquay'],
      ['yard-units', 'metric'],
    ]);
  });
});

describe('wrong tries to sign in', () => {
  it('cost nothing at first, then a wait that doubles, up to a quarter of an hour', () => {
    expect([0, 4, 5, 6, 7, 11, 30].map(waitAfter)).toEqual([0, 0, 15, 30, 60, 900, 900]);
    expect([0.2, 1, 30, 89, 90, 900].map(waitWords)).toEqual([
      '1 second',
      '1 second',
      '30 seconds',
      '89 seconds',
      '2 minutes',
      '15 minutes',
    ]);
  });

  it('make one wait, say how long, and let the right password in afterwards', async () => {
    const email = 'bram@thornquay.example';
    for (let i = 0; i < 5; i++) expect((await signIn(email, 'wrong')).status).toBe(401);
    const { status, body, headers } = await signIn(email, password);
    expect([status, body.code]).toEqual([429, 'too-many']);
    expect(body.detail).toMatch(/^Too many wrong tries\. Wait 1\d seconds, then try again\.$/);
    expect(Number(headers['retry-after'])).toBe(body.wait);
    expect((await signIn('maren@thornquay.example', password)).status).toBe(204);
    await b.source.query(`UPDATE sign_in_try SET last_at = last_at - interval '16 seconds'`);
    expect((await signIn(email, password)).status).toBe(204);
    expect(await b.source.query(`SELECT key FROM sign_in_try WHERE failures >= 5`)).toEqual([]);
  });

  it('are counted in the database: another process makes one wait as well', async () => {
    const email = 'nobody@thornquay.example';
    const other = await bench();
    await other.close();
    for (let i = 0; i < 5; i++) await signIn(email, 'wrong');
    expect((await b.source.query('SELECT max(failures) AS n FROM sign_in_try'))[0].n).toBe(5);
  });
});
