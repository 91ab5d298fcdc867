import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
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

/** How often another yard asks and is answered while something is at work. */
const servedBeside = async (work: Promise<unknown>): Promise<number> => {
  let [isOver, served] = [false, 0];
  const done = work.finally(() => (isOver = true));
  while (!isOver) {
    const { status } = await una('GET', '/api/units?limit=1');
    expect(status).toBe(200);
    served += 1;
  }
  await done;
  return served;
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
    // Whoever asks while a server stands still is answered once, when it is over.
    expect(await servedBeside(answer)).toBeGreaterThan(1);
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

  /** Listens to the yard's news until some are heard. */
  const hearing = async () => {
    const ear = await fetch(`${address}/api/live`, { headers: { cookie } });
    const reader = ear.body?.getReader();
    let heard = '';
    const until = async (words: RegExp): Promise<void> => {
      while (!words.test(heard)) {
        heard += new TextDecoder().decode((await reader?.read())?.value);
      }
    };
    return { until, close: () => reader?.cancel() };
  };

  it('tells whoever asked how far it is', async () => {
    const work = randomUUID();
    const { until, close } = await hearing();
    const seen = preview(ines, many(15_000, 'P'), { 'fair-gable-work': work });
    await until(
      new RegExp(
        `event: work\ndata: {"id":"${work}","progress":{"phase":"reading","done":\\d+,"of":15000}}`,
      ),
    );
    expect((await seen).status).toBe(200);
    await close();
  });

  it('ends where whoever asked leaves, and leaves nothing behind', async () => {
    const { until, close } = await hearing();
    const leaving = new AbortController();
    const asked = fetch(`${address}/api/stock-list`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        origin: address,
        cookie,
        'fair-gable-work': randomUUID(),
      },
      body: JSON.stringify({ text: many(15_000, 'Q'), system: 'us', how: 'told', onlyGood: false }),
      signal: leaving.signal,
    });
    // Once units are being kept, long before the last of them.
    await until(/"phase":"keeping"/);
    leaving.abort();
    await expect(asked).rejects.toThrow();
    await close();
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
    expect(await servedBeside(answer)).toBeGreaterThan(1);
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
    expect(await servedBeside(flood)).toBeGreaterThan(1);
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
  it('answers when the database is frozen', async () => {
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
      // Also to a browser in which somebody is signed in.
      const response = await fetch(`${address}/api/health`, {
        headers: { cookie },
        // Without an end of its own it would wait for the database, which says nothing for as long as this lasts.
        signal: AbortSignal.timeout(15_000),
      });
      expect([response.status, (await response.json()).database]).toEqual([503, 'away']);
    } finally {
      signal('CONT');
    }
    expect((await fetch(`${address}/api/health`)).status).toBe(200);
  });
});
