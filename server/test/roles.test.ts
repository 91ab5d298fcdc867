import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { ourKeys } from '@fair-gable/core/unit/record';
import { may, type Right, rights, type Role, roles } from '@fair-gable/core/base/rights';
import { buildApp } from '../src/app.ts';
import { accessTable } from './access-table.ts';
import { call, nameOf, routesOf } from './routes.ts';
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

const demoPeople: Readonly<Record<Role, string>> = {
  manager: 'maren@thornquay.example',
  specialist: 'ines@thornquay.example',
  technician: 'bram@thornquay.example',
  guest: 'ivo@thornquay.example',
  viewer: 'osk@thornquay.example',
};

let b: Bench;
const as = {} as Record<Role, Asker>;
beforeAll(async () => {
  b = await bench();
  // What is put in order at the start is done before anything is held against it.
  await b.app.keepHouse();
  for (const role of roles) as[role] = await signedIn(b.app, demoPeople[role]);
});
afterAll(() => b.close());

/** A live stream never ends, so nobody asks for it here; its own test does. */
const endless = 'GET /api/live';

describe('route × role', () => {
  it('has a rule for every route, and a route for every rule', () => {
    const found = routesOf(b).map((route) => [nameOf(route), route.access]);
    expect(Object.fromEntries(found)).toEqual(accessTable);
    expect(found).toHaveLength(Object.keys(accessTable).length);
  });

  it('refuses to register a route that has none', async () => {
    const app = await buildApp({ source: b.source, secret: 'x'.repeat(32) });
    expect(() => app.get('/api/forgotten', async () => 'open')).toThrow(
      /GET \/api\/forgotten does not say who may call it/,
    );
    await app.close();
  });

  it('lets nobody in without a sign-in', async () => {
    for (const route of routesOf(b).filter(({ access }) => access !== 'anyone')) {
      const { status, body } = await call(asker(b.app), route);
      expect([nameOf(route), status, body.code]).toEqual([nameOf(route), 401, 'not-signed-in']);
    }
  });

  // Deleting one's own sign-ins would end the walk through the table.
  const walked = routesOfRules().filter(
    ({ name }) =>
      name !== endless && !name.startsWith('DELETE /api/me') && name !== 'PUT /api/me/password',
  );
  it.each(roles)('holds a %s to the table, route by route', async (role) => {
    for (const { name, access } of walked) {
      const route = routesOf(b).find((r) => nameOf(r) === name)!;
      const { status, body } = await call(as[role], route);
      const isRefused = body?.code === 'not-your-role';
      expect([name, role, isRefused]).toEqual([name, role, !may(role, access)]);
      expect([name, role, status < 500]).toEqual([name, role, true]);
    }
  });

  it('gives the rights that the handbook gives', () => {
    const of = (role: Role) => Object.keys(rights).filter((right) => may(role, right as Right));
    expect(of('guest')).toEqual(['look', 'present']);
    expect(of('viewer')).toEqual(['look', 'see-prices']);
    expect(of('technician')).toEqual([
      'look',
      'present',
      'record',
      'join-walks',
      'inspect',
      'operate',
      'see-prices',
    ]);
    // A manager signs for no inspection: that is a technician's trade, not a rank.
    expect(of('manager')).toEqual(Object.keys(rights).filter((right) => right !== 'inspect'));
  });
});

function routesOfRules(): readonly { name: string; access: Right }[] {
  return Object.entries(accessTable).flatMap(([name, access]) =>
    access === 'anyone' ? [] : [{ name, access }],
  );
}

describe('a guest presenter', () => {
  it('sees no prices of ours: not in the list, a unit, its history or its file', async () => {
    const { id } = await unitNamed(as.manager, 'TQ-0402');
    const seen = async (ask: Asker): Promise<string> => {
      const answers = await Promise.all(
        [
          '/api/units',
          `/api/units/${id}`,
          `/api/units/${id}/history?limit=200`,
          `/api/units/${id}/file`,
        ].map((url) => ask('GET', url)),
      );
      for (const { status } of answers) expect(status).toBe(200);
      return JSON.stringify(answers.map(({ body }) => body));
    };
    expect(ourKeys).toEqual(['listPrice', 'askingPrice']);
    for (const key of ourKeys) {
      expect(await seen(as.manager)).toContain(`"${key}"`);
      expect(await seen(as.guest)).not.toContain(`"${key}"`);
    }
    expect(await seen(as.guest)).not.toContain('21900');
  });

  it('presents: a walk of theirs is kept', async () => {
    const { id: unit } = await unitNamed(as.guest, 'TQ-0402');
    const id = randomUUID();
    const points = [
      { id: 'a', station: 'hitch', label: 'a', sentence: 'a', numbers: [], seconds: 5 },
    ];
    expect(
      (await as.guest('PUT', `/api/walks/${id}`, { id, unit, minutes: 5, points })).status,
    ).toBe(204);
  });
});

describe('two yards', () => {
  it('never see or change each other, on any route', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    const unit = await unitNamed(as.manager, 'TQ-0417');
    const person = (await as.manager('GET', '/api/people')).body.people[0].id as string;
    const before = await everything(b);
    for (const route of routesOf(b).filter(({ url }) => url.includes(':id'))) {
      for (const id of [unit.id, person]) {
        const { status, body } = await call(una, route, id);
        const isNothing = [400, 404].includes(status) || JSON.stringify(body) === '{"walks":[]}';
        expect([nameOf(route), id, isNothing]).toEqual([nameOf(route), id, true]);
      }
    }
    expect((await una('GET', '/api/units')).body).toEqual({ total: 0, units: [] });
    expect((await una('GET', '/api/people')).body.people).toHaveLength(1);
    expect((await una('GET', '/api/yard/history')).body.changes).toEqual([]);
    expect(await everything(b)).toEqual(before);
  });

  it('can both have one person, who goes from one to the other', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    const added = await una('POST', '/api/people', {
      name: 'Ines',
      email: 'ines@thornquay.example',
      role: 'manager',
    });
    const ines = await signedIn(b.app, 'ines@thornquay.example');
    const { token } = added.body.link;
    expect((await ines('POST', '/api/invitations/accept', { token })).status).toBe(204);
    const { body } = await ines('GET', '/api/session');
    expect(body.yards.map((y: { name: string }) => y.name)).toEqual([
      'Other yard',
      'Thornquay yard',
    ]);
    const there = body.yards.find((y: { name: string }) => y.name === 'Other yard').id;
    const here = body.yards.find((y: { name: string }) => y.name === 'Thornquay yard').id;
    expect((await ines('PUT', '/api/session/yard', { yard: there })).status).toBe(204);
    expect((await ines('GET', '/api/session')).body).toMatchObject({
      person: { name: 'Ines Rook', role: 'manager' },
      yard: { name: 'Other yard', system: 'metric' },
    });
    expect((await ines('GET', '/api/units')).body.total).toBe(0);
    expect((await ines('PUT', '/api/session/yard', { yard: randomUUID() })).status).toBe(404);
    await ines('PUT', '/api/session/yard', { yard: here });
    // No single yard may let itself into the other one.
    const id = body.person.id as string;
    const link = await una('POST', `/api/people/${id}/link`);
    expect([link.status, link.body.code]).toEqual([403, 'other-yards']);
    expect((await una('DELETE', `/api/people/${id}`)).status).toBe(204);
    expect((await ines('GET', '/api/session')).body.yards).toHaveLength(1);
  });

  it('may both have the same stock number', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    const changes = [specChange('stockNumber', 'TQ-0417')];
    expect((await una('POST', '/api/units', { id: randomUUID(), changes })).status).toBe(201);
  });

  it('whoever is taken off a yard is out at once', async () => {
    const id = (await as.technician('GET', '/api/session')).body.person.id as string;
    const bram = await signedIn(b.app, 'bram@thornquay.example');
    expect((await as.manager('DELETE', `/api/people/${id}`)).status).toBe(204);
    const unit = await unitNamed(as.manager, 'TQ-0417');
    const late = await bram(
      'POST',
      `/api/units/${unit.id}/edits`,
      editOf([specChange('gvwr', 1, 1)]),
    );
    expect([late.status, late.body.code]).toEqual([401, 'not-signed-in']);
  });
});

/** All rows of one yard's tables, to see that nothing changed. */
async function everything({ source }: Bench): Promise<unknown> {
  const tables = ['unit', 'record_field', 'record_change', 'walk', 'walk_event', 'membership'];
  return Promise.all(
    tables.map((table) =>
      source.query(`SELECT md5(string_agg(t::text, '|' ORDER BY t::text)) FROM "${table}" t`),
    ),
  );
}
