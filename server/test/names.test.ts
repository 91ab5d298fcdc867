import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  asker,
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  type Asker,
  type Bench,
} from './support.ts';

let b: Bench;
let ines: Asker;
let maren: Asker;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  maren = await signedIn(b.app, 'maren@thornquay.example');
});
afterAll(() => b.close());

const called = (ask: Asker, name: string) => ask('PUT', '/api/me', { name, system: null });
const invite = (ask: Asker, name: string, email: string) =>
  ask('POST', '/api/people', { name, email, role: 'specialist' });
const changes = async (ask = maren) =>
  (await ask('GET', '/api/yard/history')).body.changes as {
    what: string;
    from: string | null;
    to: string | null;
    by: string;
    account: string | null;
  }[];

describe('a name on a yard', () => {
  it.each(['Maren Holt', 'maren  holt', 'Maren\u200B Holt', 'Ｍaren Holt'])(
    'that a colleague has cannot be taken: %j',
    async (name) => {
      const { status, body } = await called(ines, name);
      expect([status, body.code, body.field]).toEqual([409, 'name-taken', 'name']);
      expect((await ines('GET', '/api/session')).body.person.name).toBe('Ines Rook');
    },
  );

  it('that shows nothing is refused', async () => {
    const { status, body } = await called(ines, '\u3164\u200B');
    expect([status, body.detail]).toEqual([400, expect.stringMatching(/^name: Type a name/)]);
  });

  it('is tidied, changed, and the change is in the yard’s history', async () => {
    expect((await called(ines, ' Ines\u202E  Rook-Vale ')).status).toBe(204);
    expect((await ines('GET', '/api/session')).body.person.name).toBe('Ines Rook-Vale');
    expect((await changes())[0]).toMatchObject({
      what: 'name',
      from: 'Ines Rook',
      to: 'Ines Rook-Vale',
      by: 'Ines Rook',
      account: 'ines@thornquay.example',
    });
    // The same again is no change.
    await called(ines, 'Ines Rook-Vale');
    expect((await changes()).filter(({ what }) => what === 'name')).toHaveLength(1);
    await called(ines, 'Ines Rook');
  });

  it('of whoever is gone can be taken, and the history still tells the accounts apart', async () => {
    const { id, record } = await unitNamed(ines, 'TQ-0417');
    const version = record.specs.gvwr?.version ?? 0;
    await ines('POST', `/api/units/${id}/edits`, editOf([specChange('gvwr', 7480, version)]));
    await called(ines, 'Somebody Else');
    await called(maren, 'Ines Rook');
    const edit = editOf([specChange('gvwr', 7490, version + 1)]);
    await maren('POST', `/api/units/${id}/edits`, edit);
    const path = `/api/units/${id}/history?part=specs&key=gvwr&limit=2`;
    const rows = (await maren('GET', path)).body.changes;
    expect(rows.map((row: { by: string; account: string }) => [row.by, row.account])).toEqual([
      ['Ines Rook', 'maren@thornquay.example'],
      ['Ines Rook', 'ines@thornquay.example'],
    ]);
    // Whoever only looks is not told addresses.
    const ivo = await signedIn(b.app, 'ivo@thornquay.example');
    expect((await ivo('GET', path)).body.changes[0].account).toBeUndefined();
    await called(maren, 'Maren Holt');
    await called(ines, 'Ines Rook');
  });

  it('taken by two at once is one’s', async () => {
    const bram = await signedIn(b.app, 'bram@thornquay.example');
    const answers = await Promise.all([called(ines, 'Twin Oak'), called(bram, 'Twin Oak')]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([204, 409]);
    await called(ines, 'Ines Rook');
    await called(bram, 'Bram Oake');
  });
});

describe('an invitation', () => {
  it('under a name that somebody has is refused, also an invited one’s', async () => {
    expect((await invite(maren, 'ines rook', 'new1@buyer.example')).body.code).toBe('name-taken');
    expect((await invite(maren, 'Nell Ash', 'new2@buyer.example')).status).toBe(201);
    expect((await invite(maren, 'nell ash', 'new3@buyer.example')).body.code).toBe('name-taken');
  });

  it('may be under a name that somebody has on another yard, or is invited by there', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    expect((await invite(una, 'Zed Moor', 'zed1@buyer.example')).status).toBe(201);
    expect((await invite(maren, 'Zed Moor', 'zed2@buyer.example')).status).toBe(201);
    expect((await invite(una, 'Bram Oake', 'zed3@buyer.example')).status).toBe(201);
  });

  it('of somebody called as a colleague is: they change it first, or are called as invited', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    await called(una, 'Ines Rook');
    const { link } = (await invite(maren, 'Una from next door', 'una@other.example')).body;
    const accept = () => una('POST', '/api/invitations/accept', { token: link.token });
    expect((await accept()).body.code).toBe('name-taken');
    await called(una, 'Una Vell');
    expect((await accept()).status).toBe(204);
    // On both yards she is told of by her account from now on.
    await called(una, 'Una Vell-Orr');
    expect((await changes()).some(({ to }) => to === 'Una Vell-Orr')).toBe(true);

    // Somebody of no yard cannot go anywhere to change it.
    await b.source.query(
      `DELETE FROM membership WHERE person_id = (SELECT id FROM person WHERE email = 'osk@thornquay.example')`,
    );
    await b.source.query(
      `UPDATE person SET name = 'Ines Rook' WHERE email = 'osk@thornquay.example'`,
    );
    const again = (await invite(maren, 'Osk of the gate', 'osk@thornquay.example')).body;
    const body = { token: again.link.token, password: 'spring-ferry-22' };
    expect((await asker(b.app)('POST', '/api/password', body)).status).toBe(204);
    const osk = await signedIn(b.app, 'osk@thornquay.example');
    expect((await osk('GET', '/api/session')).body.person.name).toBe('Osk of the gate');
  });
});
