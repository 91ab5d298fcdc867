import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { applyChange, emptyRecord, type Change, type UnitNow } from '@fair-gable/core/unit/record';
import { checkedOn, summaryOf, type UnitSummary } from '@fair-gable/core/yard/summary';
import { Refused, reasonOf } from '../src/base/api/client.ts';
import {
  device,
  keepFetched,
  keepUnits,
  keptRevisions,
  keptUnit,
  keptUnitIds,
} from '../src/base/device/index.ts';
import { mostKept } from '../src/unit/units/keeping.ts';
import { drafted, objectionsTo, useUnits } from '../src/unit/units/units.ts';
import { fakeServer, newPage, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const at = '2026-04-15T09:00:00.000Z';
const id = '00000000-0000-4000-8000-000000000001';
const gvwr = (amount: number, basedOn = 0): Change => ({
  part: 'specs',
  key: 'gvwr',
  value: { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});
const known = applyChange(emptyRecord, gvwr(7490), 'Ines', at);

const other = '00000000-0000-4000-8000-000000000002';
const today = new Date().toISOString().slice(0, 10);
const summarized = ({ id: unit, record }: UnitNow, revision: number): UnitSummary =>
  summaryOf(unit, revision, checkedOn(record, today));
let server: FakeServer;
/** The units as the server has them. */
let there: UnitNow[];
const answer = (path: string): { status: number; body: unknown } => {
  const total = there.length;
  if (path.includes('summaries')) {
    const units = there.map((unit) => summarized(unit, unit.revision));
    return { status: 200, body: { total, units } };
  }
  if (path.includes('?')) return { status: 200, body: { total, units: there } };
  const unit = there.find((one) => path.endsWith(one.id));
  return unit
    ? { status: 200, body: unit }
    : { status: 404, body: { code: 'not-found', detail: 'There is no such unit.' } };
};
/** What the device does beside the page. */
const settled = async (done: () => Promise<boolean>): Promise<void> => {
  while (!(await done())) await new Promise((resolve) => setTimeout(resolve, 5));
};
const keptAll = (): Promise<void> =>
  settled(async () => {
    const revisions = await keptRevisions();
    return there.every(({ id: one, revision }) => revisions.get(one) === revision);
  });
const changed = (unit: UnitNow, amount: number): UnitNow => ({
  ...unit,
  record: applyChange(unit.record, gvwr(amount, unit.record.specs.gvwr?.version ?? 0), 'Osk', at),
  revision: unit.revision + 1,
});
const asked = (): readonly string[] =>
  server.sent.map(({ path }) => path).filter((path) => path.startsWith('/api/units'));

beforeEach(async () => {
  newPage();
  server = fakeServer();
  for (const store of ['kept', 'units', 'summaries'] as const) await (await device()).clear(store);
  there = [
    { id, record: known, revision: 1 },
    { id: other, record: emptyRecord, revision: 1 },
  ];
  server.answer = answer;
});

describe('the yard on a device', () => {
  it('is read in brief, and its records are kept beside the page', async () => {
    const units = useUnits();
    await units.load();
    expect(units.list.map(({ id: one }) => one)).toEqual([id, other]);
    expect(units.list[0]?.record.specs.gvwr).toEqual({
      value: { kind: 'quantity', amount: 7490 },
      how: 'read',
    });
    expect(units.units.size).toBe(0);
    await keptAll();
    const before = asked().length;
    await units.load();
    await keptAll();
    // What is kept already is not fetched again.
    expect(asked().slice(before)).toEqual([expect.stringContaining('summaries')]);
  });

  it('never puts what was fetched over what came here meanwhile', async () => {
    await keepUnits([{ id, record: known, revision: 1 }]);
    const before = await keptRevisions();
    const newer = changed(there[0]!, 8000);
    await keepUnits([newer]);
    await keepFetched(there, before);
    expect((await keptUnit(id))?.record).toEqual(newer.record);
    expect(await keptUnitIds()).toEqual([id, other]);
  });

  it('fetches again what changed, and drops what is gone', async () => {
    const units = useUnits();
    await units.load();
    await keptAll();
    there = [changed(there[0]!, 8000)];
    const before = asked().length;
    await units.load();
    await keptAll();
    await settled(async () => (await keptUnitIds()).length === 1);
    expect(asked().slice(before)).toEqual([
      expect.stringContaining('summaries'),
      `/api/units/${id}`,
    ]);
    expect((await keptUnit(id))?.record.specs.gvwr?.value).toEqual({
      kind: 'quantity',
      amount: 8000,
    });
  });

  it('of a yard too large for a phone keeps what was opened, and says so', async () => {
    const ids = Array.from({ length: mostKept + 1 }, (_, i) =>
      id.replace(/.{4}$/, String(i).padStart(4, '0')),
    );
    there = ids.map((one) => ({ id: one, record: emptyRecord, revision: 1 }));
    server.answer = (path) =>
      path.includes('from=500')
        ? {
            status: 200,
            body: {
              total: there.length,
              units: there.slice(500).map((unit) => summarized(unit, 1)),
            },
          }
        : path.includes('summaries')
          ? {
              status: 200,
              body: {
                total: there.length,
                units: there.slice(0, 500).map((unit) => summarized(unit, 1)),
              },
            }
          : answer(path);
    const units = useUnits();
    await units.load();
    expect([units.list.length, units.isKeptWhole]).toEqual([mostKept + 1, false]);
    await units.open(ids[7]!);
    await settled(async () => (await keptUnitIds()).length > 0);
    expect(await keptUnitIds()).toEqual([ids[7]]);
    expect(asked().filter((path) => /units\?/.test(path))).toEqual([]);
  });

  it('shows what it last had while the server is out of reach, and opens it', async () => {
    await useUnits().load();
    await keptAll();
    newPage();
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.list.map(({ id: one }) => one)).toEqual([id, other]);
    expect(units.problem).toBeUndefined();
    expect(await units.open(id)).toBe(true);
    expect(units.units.get(id)?.record).toEqual(known);
    await expect(units.open('00000000-0000-4000-8000-000000000009')).rejects.toThrow(
      /isn’t answering/,
    );
  });

  it('finds anew, without a network, what was found on another day', async () => {
    server.answer = (path) => {
      const { status, body } = answer(path);
      return { status, body: JSON.parse(JSON.stringify(body).replaceAll(today, '2001-01-01')) };
    };
    await useUnits().load();
    await keptAll();
    newPage();
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.list.map(({ verdict }) => verdict.day)).toEqual([today, today]);
  });

  it('stands in by the records alone, where an older page left no more', async () => {
    await keepUnits(there.map(({ id: one, record }) => ({ id: one, record })));
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.list.map(({ id: one }) => one)).toEqual([id, other]);
  });

  it('says so when there is nothing to show', async () => {
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.problem).toMatch(/^The server isn’t answering/);
  });
});

describe('a record', () => {
  it('is opened from the device at once, and comes as the server has it now', async () => {
    await useUnits().load();
    await keptAll();
    newPage();
    there = [changed(there[0]!, 8000), there[1]!];
    const units = useUnits();
    expect(await units.open(id)).toBe(true);
    expect(units.units.get(id)?.record).toEqual(known);
    await settled(async () => units.units.get(id)?.record.specs.gvwr?.version === 2);
  });

  it('that was opened follows the yard: what is told of it elsewhere is what it says', async () => {
    const units = useUnits();
    await units.load();
    await units.open(id);
    there = [changed(there[0]!, 8000), there[1]!];
    await units.load();
    await settled(async () => units.units.get(id)?.record.specs.gvwr?.version === 2);
    expect(units.summaries.get(id)).toEqual(summarized(there[0]!, 2));
  });

  it('that is nowhere is said to be', async () => {
    const units = useUnits();
    await units.load();
    expect(await units.open('00000000-0000-4000-8000-000000000009')).toBe(false);
  });

  it('of another yard does not stay', async () => {
    const units = useUnits();
    await units.load();
    await units.open(id);
    units.leave();
    expect([units.units.size, units.list.length, units.loaded]).toEqual([0, 0, false]);
  });
});

describe('records on the page', () => {
  it('are checked once for each unit system', () => {
    const record = drafted(emptyRecord, [gvwr(749)], 'you');
    expect(objectionsTo(record, 'us')).toBe(objectionsTo(record, 'us'));
    expect(objectionsTo(record, 'us')[0]?.sentence).toContain('749 lb');
    expect(objectionsTo(record, 'metric')[0]?.sentence).toContain('340 kg');
  });

  it('never show a program’s own words for an error', () => {
    expect(reasonOf(new TypeError('x is undefined'))).toMatch(/^Something went wrong on this page/);
    expect(reasonOf(new Refused(409, 'stale', 'Somebody was faster.', {}))).toBe(
      'Somebody was faster.',
    );
  });
});
