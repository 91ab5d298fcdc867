import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { examples } from '../src/api-docs/index.ts';
import { nameOf, routesOf, type Route } from './routes.ts';
import {
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  type Answer,
  type Asker,
  type Bench,
} from './support.ts';

/** A word that stands in everything the one yard has: an answer to the other yard with it has told too much. */
const marker = 'Quorlax';

let b: Bench;
let una: Asker;
let yard: string;
let seeded: Seeded;
beforeAll(async () => {
  b = await bench();
  [{ id: yard }] = await b.source.query(`SELECT id FROM yard WHERE name = 'Thornquay yard'`);
  una = await signedIn(b.app, 'una@other.example');
  seeded = await seed(await signedIn(b.app, 'maren@thornquay.example'));
});
afterAll(() => b.close());

/** What stands in an address after each word of it, by what the yard has. */
interface Seeded {
  readonly units: string;
  readonly walks: string;
  readonly photos: string;
  readonly memos: string;
  readonly buyers: string;
  readonly 'follow-ups': string;
  readonly letters: string;
  readonly vehicles: string;
  readonly 'model-sheets': string;
  readonly offers: string;
  readonly people: string;
  readonly sessions: string;
}

const octets = { 'content-type': 'application/octet-stream' };

/** Gives the yard one of everything, by its own interface. */
const seed = async (maren: Asker): Promise<Seeded> => {
  const sent = async (...given: Parameters<Asker>): Promise<Answer> => {
    const answer = await maren(...given);
    if (answer.status >= 300) throw new Error(`${given[1]}: ${JSON.stringify(answer.body)}`);
    return answer;
  };
  const { id: unit, record } = await unitNamed(maren, 'TQ-0417');
  const ids = {
    units: unit,
    walks: randomUUID(),
    photos: randomUUID(),
    memos: randomUUID(),
    buyers: randomUUID(),
    'follow-ups': randomUUID(),
    letters: randomUUID(),
    vehicles: 'quorlax-truck',
    offers: randomUUID(),
  };
  const series = specChange('series', marker, record.specs.series?.version);
  await sent('POST', `/api/units/${unit}/edits`, editOf([series]));
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#204060' },
  })
    .jpeg()
    .toBuffer();
  const upload = `/api/units/${unit}/photos/${ids.photos}/upload?from=0&of=${picture.length}`;
  await sent('PUT', upload, picture, octets);
  // And one that is on its way.
  const half = `/api/units/${unit}/photos/${randomUUID()}/upload?from=0&of=900`;
  await sent('PUT', half, Buffer.alloc(300, marker), octets);
  const point = {
    id: 'specs.gvwr',
    station: 'labels',
    label: marker,
    sentence: marker,
    numbers: [],
    seconds: 10,
  };
  const plan = { id: ids.walks, unit, minutes: 10, points: [point] };
  await sent('PUT', `/api/walks/${ids.walks}`, plan);
  const mark = { kind: 'mark', point: 'specs.gvwr', mark: 'liked', note: marker, memo: ids.memos };
  const event = { id: randomUUID(), device: unit, counter: 1, elapsed: 0, what: mark };
  await sent('POST', `/api/walks/${ids.walks}/events`, { events: [event] });
  const sound = Buffer.concat([Buffer.from('1a45dfa3', 'hex'), Buffer.from(marker)]);
  await sent('PUT', `/api/walks/${ids.walks}/memos/${ids.memos}`, sound, octets);
  const buyer = { id: ids.buyers, name: `${marker} Buyer`, email: 'q@buyer.example' };
  await sent('PUT', `/api/buyers/${ids.buyers}`, buyer);
  await sent('PUT', `/api/walks/${ids.walks}/buyer`, { buyer: ids.buyers });
  const followUp = {
    id: ids['follow-ups'],
    walk: ids.walks,
    unit,
    kind: 'promise',
    text: marker,
    due: '2027-01-01',
    who: marker,
  };
  await sent('PUT', `/api/follow-ups/${followUp.id}`, { followUp, basedOn: 0 });
  const letter = { id: ids.letters, walk: ids.walks, subject: marker, text: marker };
  await sent('PUT', `/api/letters/${ids.letters}`, letter);
  await sent('POST', `/api/walks/${ids.walks}/screens`);
  const [kept] = (await sent('GET', '/api/model-sheets')).body.sheets;
  const sheet = { ...kept.sheet, source: marker };
  const path = `/api/model-sheets/${sheet.id}`;
  await sent('PUT', path, { sheet, basedOn: kept.version, units: [] });
  const offer = {
    id: ids.offers,
    unit,
    unitName: marker,
    part: 'features',
    key: 'awning',
    feature: 'standard',
  };
  await sent('POST', `${path}/offers`, offer);
  const [vehicle] = (await sent('GET', '/api/vehicles')).body.vehicles;
  const truck = { ...vehicle, key: ids.vehicles, label: marker };
  await sent('PUT', `/api/vehicles/${ids.vehicles}`, truck);
  const invited = { name: `${marker} Ash`, email: 'ash@buyer.example', role: 'viewer' };
  const person = (await sent('POST', '/api/people', invited)).body.id as string;
  const [session] = (await sent('GET', '/api/me/sessions')).body.sessions;
  return { ...ids, 'model-sheets': sheet.id, people: person, sessions: session.id };
};

/** A table with what it has of the first yard, as one sum. */
type Sums = Readonly<Record<string, string>>;

const yardTables = async (): Promise<readonly string[]> => {
  const rows: { name: string }[] = await b.source.query(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND column_name = 'yard_id' ORDER BY 1`,
  );
  return rows.map(({ name }) => name);
};

const sums = async (): Promise<Sums> => {
  const all: Record<string, string> = {};
  for (const table of await yardTables()) {
    const [row] = await b.source.query(
      `SELECT count(*) || ' ' || md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum
       FROM "${table}" t WHERE yard_id = $1`,
      [yard],
    );
    all[table] = row.sum;
  }
  return all;
};

/** The address of a route with ids of the first yard, by the word before each of them. */
const addressOf = ({ url }: Route): string =>
  url.replaceAll(/(?<=\/([\w-]+))\/:(\w+)/g, (_, word: keyof Seeded) => {
    // A route of something new gives the yard one of it first.
    if (!(word in seeded)) throw new Error(`${url}: seed gives the yard no ${word}`);
    return `/${seeded[word]}`;
  });

const idIn = (name: string, ...path: readonly string[]): string =>
  path.reduce<unknown>(
    (of, key) => (of as Record<string, unknown>)[key],
    examples[name]?.body ?? examples[name]?.answer,
  ) as string;

/** The example of a route with the ids in it replaced by those of the first yard. */
const bodyOf = (route: Route): unknown => {
  const { body } = examples[nameOf(route)] ?? {};
  if (body === undefined) return undefined;
  const swaps: readonly (readonly [string, string])[] = [
    [idIn('GET /api/units/:id', 'id'), seeded.units],
    [idIn('PUT /api/walks/:id', 'id'), seeded.walks],
    [idIn('PUT /api/buyers/:id', 'id'), seeded.buyers],
    [idIn('PUT /api/letters/:id', 'id'), seeded.letters],
    [idIn('PUT /api/follow-ups/:id', 'followUp', 'id'), seeded['follow-ups']],
    [idIn('PUT /api/model-sheets/:id', 'sheet', 'id'), seeded['model-sheets']],
  ];
  return JSON.parse(
    swaps.reduce((text, [from, to]) => text.replaceAll(from, to), JSON.stringify(body)),
  );
};

/** What stands in the way of a look at every route: a stream that does not end, and one's own way out. */
const leftOut = new Set([
  'GET /api/live',
  'DELETE /api/session',
  'DELETE /api/me/sessions',
  'PUT /api/me/password',
  'PUT /api/session/yard',
]);
const isOurs = ({ url, access }: Route): boolean =>
  access !== 'anyone' && !url.includes('/screens/:token');

describe('another yard', () => {
  it('has one of everything to be kept from', async () => {
    const has = await sums();
    const empty = Object.keys(has).filter((table) => has[table]?.startsWith('0 '));
    expect(empty).toEqual([]);
  });

  it('is neither read nor changed, whatever is asked with its ids and otherwise in order', async () => {
    const before = await sums();
    const routes = routesOf(b).filter((route) => isOurs(route) && !leftOut.has(nameOf(route)));
    expect(routes.length).toBeGreaterThan(60);
    for (const route of routes) {
      const name = nameOf(route);
      const { bytes } = examples[name] ?? {};
      const path = addressOf(route);
      const query = name.includes('/upload') && route.method === 'PUT' ? '?from=0&of=4' : '';
      const answer = bytes
        ? await una(route.method, path + query, Buffer.from('abcd'), { 'content-type': bytes })
        : await una(route.method, path, bodyOf(route));
      const text = JSON.stringify(answer.body);
      expect([name, text.includes(marker), answer.status < 500]).toEqual([name, false, true]);
      const after = await sums();
      const changed = Object.keys(before).filter((table) => after[table] !== before[table]);
      expect([name, changed]).toEqual([name, []]);
    }
  });
});
