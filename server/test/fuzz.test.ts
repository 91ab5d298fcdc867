import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';
import { broken, drawn, type JsonSchema } from './drawn.ts';
import { nameOf, routesOf, type Route } from './routes.ts';
import { asker, bench, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

jest.setTimeout(300_000);

/** How many requests are sent that the API must refuse. */
const requests = 10_000;

let b: Bench;
let maren: Asker;
let unit: string;
let schemas: Record<string, JsonSchema>;
beforeAll(async () => {
  b = await bench(1_000_000);
  // What is put in order at the start is done before anything is held against it.
  await b.app.keepHouse();
  maren = await signedIn(b.app, 'maren@thornquay.example');
  unit = (await unitNamed(maren, 'TQ-0402')).id;
  const { paths } = (await asker(b.app)('GET', '/api/openapi.json')).body;
  schemas = Object.fromEntries(
    routesOf(b).flatMap((route) => {
      const path = route.url.replaceAll(/:(\w+)/g, '{$1}');
      const body = paths[path]?.[route.method.toLowerCase()]?.requestBody;
      const json = body?.content['application/json'];
      return json ? [[nameOf(route), json.schema as JsonSchema]] : [];
    }),
  );
});
afterAll(() => b.close());

/** What is noted of tries and sign-ins goes on; everything else must stay as it is. */
const goesOn = new Set(['session', 'sign_in_try']);

const everything = async (): Promise<Record<string, string>> => {
  const names: { name: string }[] = await b.source.query(
    `SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1`,
  );
  const all: Record<string, string> = {};
  for (const { name } of names.filter((t) => !goesOn.has(t.name))) {
    const [row] = await b.source.query(
      `SELECT md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum FROM "${name}" t`,
    );
    all[name] = row.sum;
  }
  return all;
};

/** Whether the route's own schema would take a body; then it is not broken, and is not sent. */
const wouldTake = (route: Route, body: unknown): boolean => {
  // What JSON cannot say is not what is sent.
  const sent: unknown = body === undefined ? undefined : JSON.parse(JSON.stringify(body));
  if (nameOf(route) === 'POST /api/unit-files') return readUnitFile(sent).ok;
  return route.schema?.body?.safeParse(sent).success ?? true;
};

const badIds = [
  '00000000-0000-4000-8000-00000000dead',
  'nobody',
  '%00',
  "'%20OR%201=1",
  '..%2f..',
  '-1',
  'x'.repeat(300),
];
const badQueries = [
  'from=-1',
  'limit=0',
  'limit=1e9',
  'sort=color',
  'order=up',
  'extra=1',
  'from=%00',
  'part=x',
  'before=x',
  'limit[]=1',
];

/** A request that must be refused: a body that its schema does not take, or an address of nothing. */
const refusable = (route: Route): fc.Arbitrary<{ path: string; body: unknown }> | undefined => {
  const schema = schemas[nameOf(route)];
  const hasId = route.url.includes(':id');
  const ids = hasId ? fc.constantFrom(...badIds) : fc.constant('');
  if (schema) {
    const id = hasId ? fc.constantFrom(unit, randomUUID()) : fc.constant('');
    return fc
      .tuple(drawn(schema).chain(broken), id)
      .filter(([body]) => !wouldTake(route, body))
      .map(([body, given]) => ({ path: route.url.replace(':id', given), body }));
  }
  if (hasId) return ids.map((id) => ({ path: route.url.replace(':id', id), body: undefined }));
  if (route.url === '/api/units') {
    return fc
      .constantFrom(...badQueries)
      .map((query) => ({ path: `${route.url}?${query}`, body: undefined }));
  }
  return undefined;
};

describe('ten thousand requests broken on purpose', () => {
  it('are all refused, none with a fault of the server, and change nothing', async () => {
    const before = await everything();
    const routes = routesOf(b).flatMap((route) => {
      const request = refusable(route);
      return request ? [{ route, request }] : [];
    });
    expect(routes.length).toBeGreaterThan(20);
    const each = Math.ceil(requests / routes.length);
    let sent = 0;
    for (const { route, request } of routes) {
      for (const { path, body } of fc.sample(request, { seed: 20261125, numRuns: each })) {
        const { status } = await maren(route.method, path, body === undefined ? undefined : body);
        sent += 1;
        // A walk of a unit that is not there has none: asked in the right way, answered in the right way.
        const isEmptyList = status === 200 && route.url === '/api/units/:id/walks';
        if (!isEmptyList && (status < 400 || status >= 500)) {
          throw new Error(
            `${nameOf(route)} answered ${status} to ${path} ${JSON.stringify(body)?.slice(0, 400)}`,
          );
        }
      }
    }
    expect(sent).toBeGreaterThanOrEqual(requests);
    expect(await everything()).toEqual(before);
  });
});

describe('requests drawn from the schemas', () => {
  it('are never answered with a fault of the server', async () => {
    const own = await bench(1_000_000);
    const ask = await signedIn(own.app, 'maren@thornquay.example');
    for (const route of routesOf(own)) {
      const schema = schemas[nameOf(route)];
      // Changing one's own password would end the session that asks.
      if (!schema || nameOf(route) === 'PUT /api/me/password') continue;
      for (const body of fc.sample(drawn(schema), { seed: 7, numRuns: 40 })) {
        const { status } = await ask(route.method, route.url.replace(':id', unit), body);
        expect([nameOf(route), JSON.stringify(body)?.slice(0, 300), status < 500]).toEqual([
          nameOf(route),
          expect.anything(),
          true,
        ]);
      }
    }
    await own.close();
  });
});
