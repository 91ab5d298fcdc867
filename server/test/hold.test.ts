import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { zipSync } from 'fflate';
import {
  bench,
  editOf,
  password,
  specChange,
  unitNamed,
  signedIn,
  type Asker,
  type Bench,
} from './support.ts';

jest.setTimeout(120_000);

let b: Bench;
let ines: Asker;
let una: Asker;
let address: string;
let cookie: string;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  una = await signedIn(b.app, 'una@other.example');
  address = await b.app.listen({ host: '127.0.0.1', port: 0 });
  const response = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ email: 'ines@thornquay.example', password }),
  });
  cookie = response.headers.get('set-cookie')?.split(';')[0] ?? '';
});
afterAll(() => b.close());

const preview = (ask: Asker, text: string, headers = {}) =>
  ask('POST', '/api/stock-list/preview', { text, system: 'us', how: 'told' }, headers);

/** The longest that another yard waits for an answer while something is at work, ms. */
const slowest = async (work: Promise<unknown>): Promise<number> => {
  let [over, worst] = [false, 0];
  const done = work.finally(() => (over = true));
  while (!over) {
    const began = performance.now();
    const { status } = await una('GET', '/api/units?limit=1');
    expect(status).toBe(200);
    worst = Math.max(worst, performance.now() - began);
  }
  await done;
  return worst;
};

/** Lists, cells of which cost as much as cells can. */
const hostile: Readonly<Record<string, string>> = {
  'a million empty cells': `Stock,GVWR${',x'.repeat(998)}\n${`A${','.repeat(999)}\n`.repeat(1000)}`,
  'brackets in its headings': `${'('.repeat(80_000)},Stock\n1,A-1\n`,
  'sizes that never end': `Stock,Bed size\n${Array.from({ length: 300 }, (_, i) => `A-${i},${'60 x '.repeat(4000)}\n`).join('')}`,
  'one stock number on twenty thousand lines': `Stock,GVWR\n${'A-1,5000\n'.repeat(20_000)}`,
  'one cell of ten megabytes': `Stock,GVWR\nA-1,${'9'.repeat(10_000_000)}\n`,
  'twenty thousand lines': `Stock,GVWR,Dry weight\n${Array.from({ length: 20_000 }, (_, i) => `A-${i},${5000 + (i % 900)},3000\n`).join('')}`,
};

describe('a list with', () => {
  it.each(Object.entries(hostile))('%s keeps no other yard waiting', async (_, text) => {
    const answer = preview(ines, text);
    // A freeze of a second is seen with room to spare; how slow a busy machine is meanwhile is not.
    expect(await slowest(answer)).toBeLessThan(1000);
    expect((await answer).status).toBeLessThan(500);
  });

  it('more than comes in at once is told so, and nothing is taken in', async () => {
    const line = `A,${'1,'.repeat(500)}\n`;
    const headings = (await ines('GET', '/api/stock-list.csv')).body.split('\r\n')[0] as string;
    const text = `${headings}\n${line.repeat(9000)}`;
    const { status, body } = await preview(ines, text);
    expect(status).toBe(422);
    expect(body.detail).toMatch(/^The list has more than 1,000,000 values/);
  });
});

describe('long work', () => {
  const many = (n: number, prefix = 'L') =>
    `Stock,GVWR\n${Array.from({ length: n }, (_, i) => `${prefix}-${i},5000\n`).join('')}`;

  it('of a yard is done one at a time; a third is told to wait', async () => {
    const answers = await Promise.all([1, 2, 3, 4].map(() => preview(ines, many(4000))));
    const statuses = answers.map(({ status }) => status).toSorted();
    expect(statuses).toEqual([200, 200, 429, 429]);
    const busy = answers.find(({ status }) => status === 429)?.body;
    expect([busy.code, busy.detail]).toEqual([
      'busy',
      expect.stringMatching(/^This yard is already working on a list/),
    ]);
  });

  it('holds up no edit of its own yard but of what it changes, and nobody else’s', async () => {
    const { id, record } = await unitNamed(ines, 'TQ-0412');
    const list = ines('POST', '/api/stock-list', {
      text: many(1500, 'M'),
      system: 'us',
      how: 'told',
      onlyGood: false,
    });
    let version = record.specs.jackRating?.version ?? 0;
    let count = 0;
    const done = list.finally(() => (version = -1));
    while (version >= 0) {
      const edit = editOf([specChange('jackRating', 2000 + count, version)]);
      const { status, body } = await ines('POST', `/api/units/${id}/edits`, edit);
      expect(status).toBe(200);
      count += 1;
      if (version >= 0) version = body.record.specs.jackRating.version;
    }
    expect((await done).body).toMatchObject({ fresh: 1500 });
    expect(count).toBeGreaterThan(1);
  });

  it('tells whoever asked how far it is', async () => {
    const work = randomUUID();
    const ear = await fetch(`${address}/api/live`, { headers: { cookie } });
    const reader = ear.body?.getReader();
    await preview(ines, many(15_000, 'P'), { 'fair-gable-work': work });
    let heard = '';
    while (!heard.includes('event: work')) {
      heard += new TextDecoder().decode((await reader?.read())?.value);
    }
    expect(heard).toContain(`"id":"${work}"`);
    expect(heard).toMatch(/"progress":\{"phase":"(reading|comparing)","done":\d+,"of":15000\}/);
    await reader?.cancel();
  });

  it('ends where whoever asked leaves, and leaves nothing behind', async () => {
    const leaving = new AbortController();
    const asked = fetch(`${address}/api/stock-list`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: address, cookie },
      body: JSON.stringify({ text: many(15_000, 'Q'), system: 'us', how: 'told', onlyGood: false }),
      signal: leaving.signal,
    });
    setTimeout(() => leaving.abort(), 1200);
    await expect(asked).rejects.toThrow();
    // The next one has its turn at once.
    expect((await preview(ines, many(2, 'R'))).status).toBe(200);
    expect((await ines('GET', '/api/units?text=q-1&limit=1')).body.total).toBe(0);
  });
});

describe('a zip', () => {
  const send = (bytes: Uint8Array) =>
    ines('POST', '/api/unit-files/zip', Buffer.from(bytes), { 'content-type': 'application/zip' });

  it.each([
    ['that unpacks to gigabytes', { 'unit.json': new Uint8Array(40_000_000) }],
    [
      'of hundreds of photos that are none',
      Object.fromEntries(
        Array.from({ length: 25 }, () => [
          `photos/${randomUUID()}.jpg`,
          new Uint8Array(11_000_000),
        ]),
      ),
    ],
  ] as const)('%s is refused, and keeps nobody waiting', async (_, files) => {
    const bytes = zipSync(files, { level: 6 });
    const answer = send(bytes);
    expect(await slowest(answer)).toBeLessThan(1000);
    const { status, body } = await answer;
    expect([status, body.code]).toEqual([422, 'bad-file']);
    expect(body.detail).toMatch(/larger than (2|200) MB/);
  });
});

describe('however much a yard asks at once', () => {
  it('others are served, and each of its own is answered in its turn', async () => {
    const flood = Promise.all(
      Array.from({ length: 200 }, () => ines('GET', '/api/units?limit=200')),
    );
    expect(await slowest(flood)).toBeLessThan(5000);
    expect((await flood).every(({ status }) => status === 200)).toBe(true);
  });
});

describe('a request', () => {
  it('by HEAD for a stream is answered, and ends', async () => {
    const { status } = await fetch(`${address}/api/live`, { method: 'HEAD', headers: { cookie } });
    expect(status).toBe(200);
    const screen = await fetch(`${address}/api/screens/${'x'.repeat(30)}/live`, { method: 'HEAD' });
    expect(screen.status).toBe(404);
  });

  it.each([
    ['a unit', `/api/units/${'x'.repeat(150)}`],
    ['a unit of two thousand letters', `/api/units/${'x'.repeat(2000)}`],
    ['a screen', `/api/screens/${'x'.repeat(150)}`],
    ['a vehicle', `/api/vehicles/${'%20'.repeat(120)}`],
    ['a broken escape', '/api/units/%E0%A4%A'],
    ['a zero byte', '/api/units/%00'],
  ])('for %s with a parameter that cannot be is a problem in words', async (_, url) => {
    const { status, body, headers } = await ines('GET', url);
    expect([400, 404]).toContain(status);
    expect(headers['content-type']).toMatch(/^application\/problem\+json/);
    expect(body.detail).toMatch(/\.$/);
  });

  it('with a head that is too long is a problem in words', async () => {
    const response = await fetch(`${address}/api/health`, {
      headers: { 'x-a': 'a'.repeat(20_000) },
    });
    expect(response.status).toBe(431);
    expect(await response.json()).toMatchObject({
      code: 'bad-input',
      detail: expect.stringMatching(/\.$/),
    });
  });
});

describe('health', () => {
  it('answers within two seconds when the database is frozen', async () => {
    const [{ pid }] = await b.source.query(
      `SELECT pid FROM pg_stat_activity WHERE backend_type = 'client backend' AND pid = pg_backend_pid()`,
    );
    const rows: { pid: number }[] = await b.source.query(
      `SELECT pid FROM pg_stat_activity WHERE datname = current_database() AND backend_type = 'client backend'`,
    );
    expect(pid).toBeGreaterThan(0);
    // Every process of this database stands still, and new connections find nobody either way: the pool is full of them.
    const pids = rows.map((row) => String(row.pid));
    const own = ['-u', 'postgres', '--'];
    const signal = (name: string) => {
      try {
        execFileSync('kill', [`-${name}`, ...pids]);
      } catch {
        execFileSync('runuser', [...own, 'kill', `-${name}`, ...pids]);
      }
    };
    signal('STOP');
    try {
      const began = Date.now();
      // Also to a browser in which somebody is signed in.
      const response = await fetch(`${address}/api/health`, { headers: { cookie } });
      expect(Date.now() - began).toBeLessThan(2000);
      expect([response.status, (await response.json()).database]).toEqual([503, 'away']);
    } finally {
      signal('CONT');
    }
    expect((await fetch(`${address}/api/health`)).status).toBe(200);
  });
});
