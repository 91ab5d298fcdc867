import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { addYard, passwordLink } from '../src/yard/people/index.ts';
import { asker, bench, password, signedIn, type Asker, type Bench } from './support.ts';

/** Nobody gets into an account, or a yard, through another yard. */
let b: Bench;
let maren: Asker;
let una: Asker;
beforeAll(async () => {
  b = await bench();
  maren = await signedIn(b.app, 'maren@thornquay.example');
  una = await signedIn(b.app, 'una@other.example');
});
afterAll(() => b.close());

const long = 'a long enough one';
const nobody = () => asker(b.app);
/** As a yard calls whoever it invites: nobody else there is called so. */
const calledAs = (email: string): string => `Petra of ${email}`;
const invite = (by: Asker, email: string, role = 'specialist') =>
  by('POST', '/api/people', { name: calledAs(email), email, role });
const set = (token: string, given: string) =>
  nobody()('POST', '/api/password', { token, password: given });
const signIn = (email: string, given: string) =>
  nobody()('POST', '/api/session', { email, password: given });
const asNew = async (email: string, given: string): Promise<Asker> => {
  const { cookies } = await b.app.inject({
    method: 'POST',
    url: '/api/session',
    payload: { email, password: given },
  });
  return asker(b.app, cookies.map((c) => `${c.name}=${c.value}`).join('; '));
};
const yardsOf = async (who: Asker): Promise<string[]> =>
  (await who('GET', '/api/session')).body.yards.map((y: { name: string }) => y.name);

describe('an invitation', () => {
  it('is not taken over by another yard that adds the same address', async () => {
    const email = 'pending@new.example';
    const first = (await invite(maren, email)).body.link.token;
    const second = (await invite(una, email)).body.link.token;
    // The link of the one holds still, and lets into the one yard alone.
    expect((await set(first, long)).status).toBe(204);
    expect((await set(second, 'another long one')).body.code).toBe('sign-in-first');
    expect((await signIn(email, 'another long one')).status).toBe(401);
    const petra = await asNew(email, long);
    expect(await yardsOf(petra)).toEqual(['Thornquay yard']);
    // Whoever made the account does not get into the other yard without its link.
    expect((await petra('POST', '/api/invitations/accept', { token: 'made-up' })).body.code).toBe(
      'wrong-link',
    );
    expect((await petra('POST', '/api/invitations/accept', { token: second })).status).toBe(204);
    expect((await yardsOf(petra)).toSorted()).toEqual(['Other yard', 'Thornquay yard']);
    expect((await petra('POST', '/api/invitations/accept', { token: second })).body.code).toBe(
      'wrong-link',
    );
  });

  it('of an address with an account answers like any other, and tells no name', async () => {
    const known = await invite(una, 'ines@thornquay.example');
    const unknown = await invite(una, 'never@seen.example');
    expect([known.status, Object.keys(known.body)]).toEqual([
      unknown.status,
      Object.keys(unknown.body),
    ]);
    const { people } = (await una('GET', '/api/people')).body;
    const two = people.filter(({ email }: { email: string }) =>
      ['ines@thornquay.example', 'never@seen.example'].includes(email),
    );
    expect(two).toHaveLength(2);
    for (const one of two) {
      expect(one).toMatchObject({ name: calledAs(one.email), ready: false });
    }
    const look = (token: string) => nobody()('POST', '/api/links/look', { token });
    expect((await look(known.body.link.token)).body).toEqual(
      (await look(unknown.body.link.token)).body,
    );
    // Her password is hers: the link sets none.
    expect((await set(known.body.link.token, long)).status).toBe(409);
    expect((await signIn('ines@thornquay.example', password)).status).toBe(204);
  });

  it('is accepted signed in, with the invited address alone', async () => {
    const { token } = (await invite(una, 'osk@thornquay.example', 'viewer')).body.link;
    expect((await nobody()('POST', '/api/invitations/accept', { token })).status).toBe(401);
    const bram = await signedIn(b.app, 'bram@thornquay.example');
    expect((await bram('POST', '/api/invitations/accept', { token })).body.code).toBe(
      'not-your-invitation',
    );
    const osk = await signedIn(b.app, 'osk@thornquay.example');
    expect((await osk('POST', '/api/invitations/accept', { token })).status).toBe(204);
    const { yard, person } = (await osk('GET', '/api/session')).body;
    expect([yard.name, person.role]).toEqual(['Other yard', 'viewer']);
    const { changes } = (await una('GET', '/api/yard/history')).body;
    expect(changes[0]).toMatchObject({ what: 'person-added', subject: 'Osk Tamber', to: 'viewer' });
  });

  it('lets back in who belongs to no yard at present, by their own password', async () => {
    const { people } = (await maren('GET', '/api/people')).body;
    const { id } = people.find((p: { name: string }) => p.name === 'Bram Oake');
    await maren('DELETE', `/api/people/${id}`);
    const email = 'bram@thornquay.example';
    expect((await signIn(email, password)).body.code).toBe('no-yard');
    expect((await signIn(email, 'not his')).body.code).toBe('wrong-password');
    const { token } = (await invite(maren, email, 'technician')).body.link;
    // Who holds the link does not get in by guessing either.
    for (let i = 0; i < 4; i++) expect((await set(token, `${long} ${i}`)).status).toBe(409);
    expect((await set(token, long)).status).toBe(429);
    await b.source.query('DELETE FROM sign_in_try');
    expect((await set(token, password)).status).toBe(204);
    expect(await yardsOf(await asNew(email, password))).toEqual(['Thornquay yard']);
  });

  it('may be given another role, another link, and be taken back', async () => {
    const { id, link } = (await invite(maren, 'later@new.example')).body;
    expect((await invite(maren, 'later@new.example')).body.code).toBe('already-member');
    expect((await maren('PUT', `/api/people/${id}`, { role: 'guest' })).status).toBe(204);
    const again = (await maren('POST', `/api/people/${id}/link`)).body;
    expect((await set(link.token, long)).body.code).toBe('wrong-link');
    expect((await una('DELETE', `/api/people/${id}`)).status).toBe(404);
    expect((await maren('DELETE', `/api/people/${id}`)).status).toBe(204);
    expect((await set(again.token, long)).body.code).toBe('wrong-link');
  });
});

describe('a password link', () => {
  const linkOf = () => passwordLink(b.source.manager, 'ivo@thornquay.example');

  it('dies with a change of password', async () => {
    const { token } = await linkOf();
    const ivo = await signedIn(b.app, 'ivo@thornquay.example');
    expect((await ivo('PUT', '/api/me/password', { present: password, next: long })).status).toBe(
      204,
    );
    expect((await set(token, 'a stranger’s one')).body.code).toBe('wrong-link');
  });

  it('dies when the account gets rights elsewhere', async () => {
    const { token } = await linkOf();
    const ivo = await asNew('ivo@thornquay.example', long);
    const invited = (await invite(una, 'ivo@thornquay.example')).body.link;
    await ivo('POST', '/api/invitations/accept', { token: invited.token });
    expect((await set(token, 'a stranger’s one')).body.code).toBe('wrong-link');
  });
});

describe('the yard at which one signs in', () => {
  it('is the one at which one was last, whatever another is called', async () => {
    const ines = await signedIn(b.app, 'ines@thornquay.example');
    // The server's own keeper adds a yard to an account; nobody else can.
    await addYard(b.source, { yard: 'AAA', name: 'Ines Rook', email: 'ines@thornquay.example' });
    const at = async (): Promise<string> =>
      (await (await signedIn(b.app, 'ines@thornquay.example'))('GET', '/api/session')).body.yard
        .name;
    expect(await at()).toBe('Thornquay yard');
    const { yards } = (await ines('GET', '/api/session')).body;
    const { id } = yards.find((y: { name: string }) => y.name === 'AAA');
    await ines('PUT', '/api/session/yard', { yard: id });
    expect(await at()).toBe('AAA');
  });
});
