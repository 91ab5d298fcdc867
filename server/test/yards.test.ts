import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { createYard } from '../src/yard/people/index.ts';
import { exampleOf, nameOf, routesOf, type Route } from './routes.ts';
import {
  bench,
  editOf,
  password,
  signedIn,
  specChange,
  type Answer,
  type Asker,
  type Bench,
} from './support.ts';

/** A word that stands in everything the one yard has: an answer to the other yard with it has told too much. */
const marker = 'Quorlax';

let b: Bench;
let yard: string;
let seeded: Seeded;
beforeAll(async () => {
  b = await bench();
  // What is put in order at the start is done before anything is held against it.
  await b.app.keepHouse();
  [{ id: yard }] = await b.source.query(`SELECT id FROM yard WHERE name = 'Thornquay yard'`);
  const maren = await signedIn(b.app, 'maren@thornquay.example');
  await seed(maren, marker);
  seeded = { ...ids, ...(await peopleOf(maren)) };
  // What is kept of its units is of today, and would be told as it is.
  expect((await maren('GET', '/api/units/summaries')).status).toBe(200);
});
afterAll(() => b.close());

/** What stands in an address after each word of it, by what a yard has. */
const ids = {
  units: randomUUID(),
  walks: randomUUID(),
  photos: randomUUID(),
  /** A photo that is on its way. */
  coming: randomUUID(),
  memos: randomUUID(),
  buyers: randomUUID(),
  'follow-ups': randomUUID(),
  letters: randomUUID(),
  vehicles: 'some-truck',
  'model-sheets': randomUUID(),
  offers: randomUUID(),
};
type Seeded = typeof ids & Record<'people' | 'members' | 'sessions', string>;

const octets = { 'content-type': 'application/octet-stream' };

/** Sends what must be taken. */
const sending =
  (ask: Asker) =>
  async (...given: Parameters<Asker>): Promise<Answer> => {
    const answer = await ask(...given);
    if (answer.status >= 300) throw new Error(`${given[1]}: ${JSON.stringify(answer.body)}`);
    return answer;
  };

/** How wide a photo of the first yard is: a number that is in nothing else. */
const wide = 1987;

/** An event counted so far on. */
const paused = (counter: number) => ({
  id: randomUUID(),
  device: ids.units,
  counter,
  elapsed: counter,
  what: { kind: 'pause' },
});

const picture = (width: number): Promise<Buffer> =>
  sharp({ create: { width, height: 30, channels: 3, background: '#204060' } })
    .jpeg()
    .toBuffer();

/** A unit with a photo, another on its way, and a walk on which something was spoken. */
const seedUnit = async (sent: ReturnType<typeof sending>, word: string): Promise<void> => {
  const changes = [specChange('series', word)];
  await sent('POST', '/api/units', { id: ids.units, changes });
  await sent('POST', `/api/units/${ids.units}/edits`, editOf([specChange('series', word, 1)]));
  await sent('POST', `/api/units/${ids.units}/edits`, editOf([specChange('floorPlan', word)]));
  const bytes = await picture(word === marker ? wide : 40);
  const upload = (id: string, of: number) =>
    `/api/units/${ids.units}/photos/${id}/upload?from=0&of=${of}`;
  // Of photos the other yard has one of its own, so that this one is asked for where there is none.
  const photo = word === marker ? ids.photos : randomUUID();
  await sent('PUT', upload(photo, bytes.length), bytes, octets);
  const coming = word === marker ? ids.coming : randomUUID();
  await sent('PUT', upload(coming, 900), Buffer.alloc(300, word), octets);
  const point = {
    id: 'specs.gvwr',
    station: 'labels',
    label: word,
    sentence: word,
    numbers: [],
    seconds: 10,
  };
  const path = `/api/walks/${ids.walks}`;
  await sent('PUT', path, { id: ids.walks, unit: ids.units, minutes: 10, points: [point] });
  const mark = { kind: 'mark', point: 'specs.gvwr', mark: 'liked', note: word, memo: ids.memos };
  const events = ['begin', mark].map((what, i) => ({
    id: randomUUID(),
    device: ids.units,
    counter: i + 1,
    elapsed: i,
    what: typeof what === 'string' ? { kind: what } : what,
  }));
  await sent('POST', `${path}/events`, { events });
  if (word === marker) await sent('POST', `${path}/events`, { events: [paused(400)] });
  const sound = Buffer.concat([Buffer.from('1a45dfa3', 'hex'), Buffer.from(word)]);
  await sent('PUT', `${path}/memos/${ids.memos}`, sound, octets);
  await sent('POST', `${path}/screens`);
};

/** What comes after a walk. */
const seedAfter = async (sent: ReturnType<typeof sending>, word: string): Promise<void> => {
  const [walk, unit] = [ids.walks, ids.units];
  const buyer = { id: ids.buyers, name: `${word} Buyer`, email: `${word}@buyer.example` };
  await sent('PUT', `/api/buyers/${ids.buyers}`, buyer);
  await sent('PUT', `/api/walks/${walk}/buyer`, { buyer: ids.buyers });
  const id = ids['follow-ups'];
  const due = '2027-01-01';
  const followUp = { id, walk, unit, kind: 'promise', text: word, due, who: word };
  await sent('PUT', `/api/follow-ups/${id}`, { followUp, basedOn: 0 });
  const letter = { id: ids.letters, walk, subject: word, text: word };
  await sent('PUT', `/api/letters/${ids.letters}`, letter);
};

/** What a yard keeps beside its units. */
const seedYard = async (sent: ReturnType<typeof sending>, word: string): Promise<void> => {
  const id = ids['model-sheets'];
  const { sheet } = exampleOf(b, 'PUT /api/model-sheets/:id').body as { sheet: object };
  const own = { ...sheet, id, series: word, source: word };
  await sent('PUT', `/api/model-sheets/${id}`, { sheet: own, basedOn: 0, units: [] });
  const found = { part: 'features', key: 'awning', feature: 'standard' };
  const offer = { id: ids.offers, unit: ids.units, unitName: word, ...found };
  await sent('POST', `/api/model-sheets/${id}/offers`, offer);
  const vehicle = exampleOf(b, 'PUT /api/vehicles/:key').body as object;
  const truck = { ...vehicle, key: ids.vehicles, label: word };
  await sent('PUT', `/api/vehicles/${ids.vehicles}`, truck);
};

/** Gives a yard one of everything, by its own interface. */
const seed = async (ask: Asker, word: string): Promise<void> => {
  const sent = sending(ask);
  await seedUnit(sent, word);
  await seedAfter(sent, word);
  await seedYard(sent, word);
};

/** Somebody invited, and a browser in which somebody is signed in. */
const peopleOf = async (maren: Asker): Promise<Pick<Seeded, 'people' | 'members' | 'sessions'>> => {
  const sent = sending(maren);
  const invited = { name: `${marker} Ash`, email: 'ash@buyer.example', role: 'viewer' };
  const people = (await sent('POST', '/api/people', invited)).body.id as string;
  const [session] = (await sent('GET', '/api/me/sessions')).body.sessions;
  const members = (await maren('GET', '/api/people')).body.people[0].id as string;
  return { people, members, sessions: session.id };
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

const addressWith = (ids: Readonly<Record<string, string>>, { url }: Route): string =>
  url.replaceAll(/(?<=\/([\w-]+))\/:(\w+)/g, (_, word: string) => {
    // A route of something new gives the yard one of it first.
    if (!(word in ids)) throw new Error(`${url}: seed gives the yard no ${word}`);
    return `/${ids[word]}`;
  });

/** The addresses of a route with ids of the first yard, by the word before each of them; people are invited, or there. */
const addressesOf = (route: Route): readonly string[] => [
  ...new Set([
    addressWith(seeded, route),
    addressWith({ ...seeded, people: seeded.members }, route),
  ]),
];

const idIn = (name: string, ...path: readonly string[]): string => {
  const { body, answer } = exampleOf(b, name);
  return path.reduce<unknown>(
    (of, key) => (of as Record<string, unknown>)[key],
    body ?? answer,
  ) as string;
};

/** The example of a route with the ids in it replaced by those of the first yard. */
const bodyOf = (route: Route): unknown => {
  const { body } = route.schema?.example ?? {};
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

  const askOne = async (who: Asker, route: Route, path: string, before: Sums): Promise<void> => {
    const name = nameOf(route);
    const bytes = route.schema?.takes;
    const query = name.includes('/upload') && route.method === 'PUT' ? '?from=0&of=4' : '';
    const answer = bytes
      ? await who(route.method, path + query, Buffer.from('abcd'), { 'content-type': bytes })
      : await who(route.method, path, bodyOf(route));
    const text = JSON.stringify(answer.body);
    const hasTold = text.includes(marker) || text.includes(`${wide}`);
    expect([name, hasTold, answer.status < 500]).toEqual([name, false, true]);
    // They have no such photo, even where they have such a unit.
    if (name === 'GET /api/units/:id/photos/:photo') expect(answer.status).toBe(404);
    const after = await sums();
    const changed = Object.keys(before).filter((table) => after[table] !== before[table]);
    expect([name, changed]).toEqual([name, []]);
  };

  /** Asks every route with the ids of the first yard, as a manager of the second. */
  const askAll = async (who: Asker): Promise<void> => {
    const before = await sums();
    const routes = routesOf(b).filter((route) => isOurs(route) && !leftOut.has(nameOf(route)));
    expect(routes.length).toBeGreaterThan(60);
    for (const route of routes)
      for (const path of addressesOf(route)) await askOne(who, route, path, before);
  };

  it('is neither read nor changed, whatever is asked with its ids and otherwise in order', async () => {
    await askAll(await signedIn(b.app, 'una@other.example'));
  });

  it('is not either by whoever gives their own things the same ids', async () => {
    const tess = {
      name: 'Tess Vane',
      email: 'tess@third.example',
      role: 'manager',
      password,
    } as const;
    await b.source.transaction((manager) =>
      createYard(manager, { name: 'Third yard', system: 'us' }, [tess]),
    );
    const who = await signedIn(b.app, tess.email);
    await seed(who, 'Plain');
    // What was changed there since is nothing that stands in the way of one's own.
    const again = editOf([specChange('series', 'Plain as well')]);
    expect((await who('POST', `/api/units/${ids.units}/edits`, again)).status).toBe(200);
    // Theirs has come as far as ours: a summary is of a revision.
    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const more = editOf([specChange('series', marker)]);
    expect((await maren('POST', `/api/units/${ids.units}/edits`, more)).status).toBe(200);
    expect((await maren('GET', '/api/units/summaries')).status).toBe(200);
    // How far that walk has come there counts for nothing here.
    const ahead = { events: [paused(800)] };
    expect((await who('POST', `/api/walks/${ids.walks}/events`, ahead)).status).toBe(400);
    await askAll(who);
    // A photo under the id of one that is on its way there is made of its own pieces, and takes none of theirs away.
    const before = await sums();
    const path = `/api/units/${ids.units}/photos/${ids.coming}/upload`;
    expect((await who('GET', path)).body).toEqual({ received: 0, done: false });
    const bytes = await picture(40);
    for (const from of [0, 100]) {
      const piece = from === 0 ? bytes.subarray(0, 100) : bytes.subarray(100);
      const answer = await who('PUT', `${path}?from=${from}&of=${bytes.length}`, piece, octets);
      expect(answer.body).toMatchObject({ done: from > 0 });
    }
    expect(await sums()).toEqual(before);
  });
});
