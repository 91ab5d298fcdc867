import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { HistoryRow } from '@fair-gable/core/unit/record';
import { bench, editOf, signedIn, specChange, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
let bram: Asker;
let id: string;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  bram = await signedIn(b.app, 'bram@thornquay.example');
  id = randomUUID();
  await ines('POST', '/api/units', {
    id,
    changes: [specChange('gvwr', 7000), specChange('uvw', 5000)],
  });
  await bram(
    'POST',
    `/api/units/${id}/edits`,
    editOf([{ ...specChange('gvwr', 7100, 1), how: 'measured', others: [] }]),
  );
  await ines('POST', `/api/units/${id}/edits`, editOf([specChange('gvwr', null, 2)]));
});
afterAll(() => b.close());

const history = async (query = ''): Promise<HistoryRow[]> =>
  (await ines('GET', `/api/units/${id}/history${query}`)).body.changes;

describe('the history of a unit', () => {
  it('of one value tells who, when, from and to, latest first', async () => {
    const rows = await history('?part=specs&key=gvwr');
    const amount = (n: number) => ({ kind: 'quantity', amount: n });
    expect(rows.map(({ from, fromHow, to, how, by }) => ({ from, fromHow, to, how, by }))).toEqual([
      { from: amount(7100), fromHow: 'measured', to: null, how: 'read', by: 'Ines Rook' },
      { from: amount(7000), fromHow: 'read', to: amount(7100), how: 'measured', by: 'Bram Oake' },
      { from: null, fromHow: null, to: amount(7000), how: 'read', by: 'Ines Rook' },
    ]);
    for (const { at } of rows) expect(Math.abs(Date.parse(at) - Date.now())).toBeLessThan(60_000);
  });

  it('comes in pages that neither repeat nor leave out', async () => {
    const whole = await history();
    expect(whole).toHaveLength(4);
    const paged: HistoryRow[] = [];
    for (let before = ''; ; before = `&before=${paged.at(-1)?.id}`) {
      const page = await history(`?limit=1${before}`);
      if (page.length === 0) break;
      paged.push(...page);
    }
    expect(paged).toEqual(whole);
  });

  it.each([
    ['an unknown part', '?part=wings'],
    ['a page too large', '?limit=1000'],
    ['a row that is no id', '?before=yesterday'],
    ['more than there is to ask', '?who=ines'],
  ])('refuses %s', async (_, query) => {
    expect((await ines('GET', `/api/units/${id}/history${query}`)).status).toBe(400);
  });

  it('of a unit that is not there answers 404', async () => {
    expect((await ines('GET', `/api/units/${randomUUID()}/history`)).status).toBe(404);
  });
});

describe('an edit', () => {
  it('sent twice is made once, even when both arrive together', async () => {
    const edit = editOf([specChange('hitchWeight', 600)]);
    const answers = await Promise.all(
      [edit, edit, edit].map((e) => ines('POST', `/api/units/${id}/edits`, e)),
    );
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200]);
    expect(answers[0]?.body.record.specs.hitchWeight.version).toBe(1);
    expect(await history('?part=specs&key=hitchWeight')).toHaveLength(1);
  });

  it('of one field merges with another person’s of another field', async () => {
    const [one, two] = await Promise.all([
      ines('POST', `/api/units/${id}/edits`, editOf([specChange('ccc', 1500)])),
      bram('POST', `/api/units/${id}/edits`, editOf([specChange('overallLength', 300)])),
    ]);
    expect([one.status, two.status]).toEqual([200, 200]);
    const { body } = await ines('GET', `/api/units/${id}`);
    expect(body.record.specs).toMatchObject({
      ccc: { by: 'Ines Rook' },
      overallLength: { by: 'Bram Oake' },
    });
  });

  it('whose time is wrong by a day on the device is dated by the server', async () => {
    const tomorrow = new Date(Date.now() + 86_400_000).toUTCString();
    const answer = await ines(
      'POST',
      `/api/units/${id}/edits`,
      editOf([specChange('series', 'Tarn')]),
      { date: tomorrow },
    );
    expect(Math.abs(Date.parse(answer.body.record.specs.series.at) - Date.now())).toBeLessThan(
      60_000,
    );
  });
});

describe('a page of the list', () => {
  it('is sorted, searched and filtered by the server, unknown ones last', async () => {
    const list = async (query: string) => (await ines('GET', `/api/units?${query}`)).body;
    const lengths = async (order: string) =>
      (await list(`sort=length&order=${order}`)).units.map(
        (u: { record: { specs: { overallLength?: { value: { amount: number } } } } }) =>
          u.record.specs.overallLength?.value.amount,
      );
    const up = await lengths('asc');
    expect(up).toEqual(up.toSorted((x: number, y: number) => x - y));
    expect((await lengths('desc')).filter(Boolean)).toEqual(up.filter(Boolean).toReversed());
    const texts = (await list('limit=200')).units.map((u: { record: object }) =>
      JSON.stringify(u.record),
    );
    const having = (word: string): number => texts.filter((t: string) => t.includes(word)).length;
    expect((await list('text=fenlark')).total).toBe(having('"Fenlark"'));
    expect((await list('text=TQ-04')).total).toBe(having('"TQ-04'));
    expect((await list('text=%25')).total).toBe(0);
    const used = await list('condition=used');
    expect(used.total).toBeGreaterThan(0);
    expect(used.total).toBe(used.units.length);
    const all = await list('sort=name');
    const second = await list('sort=name&from=1&limit=2');
    expect([second.total, second.units]).toEqual([all.total, all.units.slice(1, 3)]);
    expect((await ines('GET', '/api/units?sort=color')).status).toBe(400);
  });

  it('gives the same unit as asking for it alone', async () => {
    const { body } = await ines('GET', '/api/units');
    for (const unit of body.units) {
      expect((await ines('GET', `/api/units/${unit.id}`)).body).toEqual(unit);
    }
  });
});
