import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import {
  applyChange,
  emptyRecord,
  type Change,
  type Edit,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import type { Session } from '@fair-gable/core/yard/people';
import { device, useOutbox } from '../src/base/device/index.ts';
import { useSession } from '../src/base/session/session.ts';
import { NotKept, useEdits } from '../src/unit/record/edits.ts';
import { checkedOn, summaryOf } from '@fair-gable/core/yard/summary';
import { useUnits } from '../src/unit/units/units.ts';
import { fakeServer, newPage, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const at = '2026-04-15T09:00:00.000Z';
const id = '00000000-0000-4000-8000-000000000001';
const who: Session = {
  person: {
    id: 'p',
    name: 'Ines Rook',
    email: 'i@x.example',
    role: 'specialist',
    system: null,
    pace: null,
    learnedPace: null,
    views: [],
  },
  yard: {
    id: 'y',
    name: 'Thornquay',
    system: 'us',
    timeZone: 'America/Denver',
    houseViews: {},
    routes: [],
    glossary: [],
    keepBuyers: 180,
    water: {},
    demo: false,
  },
  yards: [],
  now: '2026-04-15T09:00:00.000Z',
};

const gvwr = (amount: number | null, basedOn: number): Change => ({
  part: 'specs',
  key: 'gvwr',
  value: amount === null ? null : { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});

/** A server with one unit, that holds changes to their versions as ours does. */
let record: UnitRecord;
let server: FakeServer;
const take = (edit: Edit): { status: number; body: unknown } => {
  const stale = edit.changes.filter((c) => (record.specs.gvwr?.version ?? 0) !== c.basedOn);
  if (stale.length > 0) {
    const conflicts = stale.map(({ part, key }) => ({
      part,
      key,
      theirs: record.specs.gvwr ?? null,
    }));
    return { status: 409, body: { code: 'stale', detail: 'Somebody was faster.', conflicts } };
  }
  record = edit.changes.reduce((r, c) => applyChange(r, c, 'Ines Rook', at), record);
  return { status: 200, body: now() };
};
const now = () => ({ id, record, revision: record.specs.gvwr?.version ?? 1 });
const online = (path: string, method: string, body: unknown) => {
  if (path.startsWith('/api/session')) return { status: 200, body: who };
  if (path.endsWith('/edits')) return take(body as Edit);
  if (path === `/api/units/${id}`) return { status: 200, body: now() };
  const summary = summaryOf(now().id, now().revision, checkedOn(now().record, at.slice(0, 10)));
  return {
    status: 200,
    body: { total: 1, units: path.includes('summaries') ? [summary] : [now()] },
  };
};

const amount = (): number | undefined => {
  const value = useUnits().units.get(id)?.record.specs.gvwr?.value;
  return value?.kind === 'quantity' ? value.amount : undefined;
};

beforeEach(async () => {
  newPage();
  server = fakeServer();
  server.answer = online;
  record = applyChange(emptyRecord, gvwr(7490, 0), 'Osk', at);
  const db = await device();
  for (const store of ['kept', 'outbox', 'clashes', 'declined', 'units', 'summaries'] as const)
    await db.clear(store);
  await useSession().load();
  await useUnits().load();
  await useUnits().open(id);
});
afterEach(() => useOutbox().close());

describe('changing a record', () => {
  it('is on the screen and on the server, and is taken back by another change', async () => {
    const edits = useEdits();
    await edits.change(id, [gvwr(8000, 1)], 'GVWR');
    expect([amount(), edits.lastUndo?.what]).toEqual([8000, 'GVWR']);
    expect(record.specs.gvwr).toMatchObject({ version: 2, value: { amount: 8000 } });
    await edits.undo();
    expect([amount(), edits.lastUndo]).toEqual([7490, undefined]);
    expect(record.specs.gvwr?.version).toBe(3);
  });

  it('takes back a value that was not known before, and one that was taken away', async () => {
    const edits = useEdits();
    await edits.change(id, [gvwr(null, 1)], 'GVWR');
    expect(amount()).toBeUndefined();
    await edits.undo();
    expect(amount()).toBe(7490);
  });

  it('waits on the device without a network, outlives the page, and is sent when it is back', async () => {
    server.answer = undefined;
    await useEdits().change(id, [gvwr(8000, 1)], 'GVWR');
    expect([amount(), useOutbox().unsent, record.specs.gvwr?.version]).toEqual([8000, 1, 1]);
    await useEdits().change(id, [gvwr(8100, 2)], 'GVWR');
    // The first may have arrived, for all this device knows; so the second comes after it.
    expect([amount(), useOutbox().unsent]).toEqual([8100, 2]);
    useOutbox().close();

    newPage();
    await useSession().load();
    await useUnits().load();
    await useUnits().open(id);
    expect([amount(), useOutbox().unsent]).toEqual([8100, 2]);
    server.answer = online;
    await useOutbox().flush();
    expect([amount(), useOutbox().unsent]).toEqual([8100, 0]);
    expect(record.specs.gvwr).toMatchObject({ version: 3, value: { amount: 8100 } });
  });

  it('can be undone while it waits: the server sees the old value once more', async () => {
    server.answer = undefined;
    await useEdits().change(id, [gvwr(8000, 1)], 'GVWR');
    await useEdits().undo();
    expect(amount()).toBe(7490);
    server.answer = online;
    await useOutbox().flush();
    expect(record.specs.gvwr?.value).toEqual({ kind: 'quantity', amount: 7490 });
  });

  it('shows a unit that was taken in without a network', async () => {
    server.answer = undefined;
    const mine = '00000000-0000-4000-8000-000000000002';
    await useEdits().create(mine, [gvwr(5000, 0)], 'a unit taken in');
    expect(useUnits().units.get(mine)?.record.specs.gvwr).toMatchObject({
      by: 'Ines Rook',
      version: 1,
    });
  });

  it('with somebody faster keeps both, offers no undo, and one tap settles for either', async () => {
    for (const mine of [true, false]) {
      const edits = useEdits();
      const outbox = useOutbox();
      const version = record.specs.gvwr?.version ?? 0;
      record = applyChange(record, gvwr(9999, version), 'Osk', at);
      await edits.change(id, [gvwr(8000, version)], 'GVWR');
      expect([amount(), edits.lastUndo]).toEqual([9999, undefined]);
      const [clash] = outbox.waiting.clashes;
      expect(clash?.change.value).toEqual({ kind: 'quantity', amount: 8000 });
      await edits.settle(clash!, mine);
      expect(outbox.waiting.clashes).toEqual([]);
      expect(amount()).toBe(mine ? 8000 : 9999);
    }
  });

  it('that the server refuses is told, and nothing stays changed', async () => {
    server.answer = (path, method, body) =>
      path.endsWith('/edits')
        ? { status: 409, body: { code: 'vin-taken', detail: 'VIN: another unit has it.' } }
        : online(path, method, body);
    const tried = useEdits().change(id, [gvwr(8000, 1)], 'GVWR');
    await expect(tried).rejects.toThrow('VIN: another unit has it.');
    expect([amount(), useEdits().lastUndo, useEdits().saving]).toEqual([7490, undefined, 0]);
  });

  it('on a full device is told, and nothing is changed or lost', async () => {
    const db = await device();
    const real = db.transaction.bind(db);
    db.transaction = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    const tried = useEdits().change(id, [gvwr(8000, 1)], 'x');
    await expect(tried).rejects.toBeInstanceOf(NotKept);
    db.transaction = real;
    expect([amount(), useOutbox().unsent]).toEqual([7490, 0]);
  });

  it('with a lapsed sign-in waits, says so, and goes on after signing in', async () => {
    server.answer = () => ({ status: 401, body: { code: 'not-signed-in', detail: 'Sign in.' } });
    await useEdits().change(id, [gvwr(8000, 1)], 'GVWR');
    expect([amount(), useOutbox().unsent, useOutbox().halt?.why]).toEqual([8000, 1, 'sign-in']);
    server.answer = online;
    await useSession().signIn('i@x.example', 'x');
    expect([useOutbox().unsent, record.specs.gvwr?.version]).toEqual([0, 2]);
  });

  it('by a device whose clock is wrong by a day is ordered and dated by the server', async () => {
    const clock = jest.spyOn(Date, 'now').mockReturnValue(Date.parse(at) - 86_400_000);
    await useEdits().change(id, [gvwr(8000, 1)], 'GVWR');
    await useEdits().change(id, [gvwr(8200, 2)], 'GVWR');
    clock.mockRestore();
    expect(useUnits().units.get(id)?.record.specs.gvwr).toMatchObject({
      at,
      version: 3,
      value: { amount: 8200 },
    });
  });
});
