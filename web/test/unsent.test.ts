import { beforeEach, describe as about, expect, it, jest } from '@jest/globals';
import {
  device,
  describe,
  forgetPerson,
  useOutbox,
  type Unsent,
} from '../src/base/device/index.ts';
import { nextBatch } from '../src/base/device/send.ts';
import { unsentKinds } from '../src/base/device/unsent/index.ts';
import { fakeServer, keptWalk, newPage, planOf, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const owner = { person: 'person-ines', yard: 'yard-1' };
const plan = planOf(1);
const what = { kind: 'said', point: 'specs.gvwr' } as const;
const event = (walk: string) =>
  ({ ...owner, kind: 'event', walk, event: { id: 'e', device: 'd', counter: 1, elapsed: 0, what } }) as const; // prettier-ignore
const change = { part: 'specs', key: 'gvwr', value: { kind: 'quantity', amount: 7490 }, how: 'read', basedOn: 0 } as const; // prettier-ignore
const made = { what: 'x', by: 'Ines', at: '2026-04-15T09:00:00.000Z' };
/** One of each kind. */
const all: readonly Unsent[] = [
  { ...owner, kind: 'plan', plan },
  event('w'),
  { ...owner, kind: 'unit', unit: { ...made, id: 'u', changes: [change] } },
  {
    ...owner,
    kind: 'edit',
    edit: { ...made, id: 'i', unit: 'u', changes: [change], tried: false },
  },
  { ...owner, kind: 'photo', unit: 'u', photo: 'p' },
  { ...owner, kind: 'memo', walk: 'w', memo: 'm' },
];
const queue = (items: readonly Unsent[]) => items.map((item, key) => ({ key, item }));
/** What only a newer page would leave. */
const unknown = { ...owner, kind: 'hand-over', of: 'u' } as unknown as Unsent;

let server: FakeServer;
beforeEach(async () => {
  newPage();
  server = fakeServer();
  const db = await device();
  for (const store of ['outbox', 'walks', 'declined', 'pictures', 'memos'] as const)
    await db.clear(store);
});

about('something unsent', () => {
  it('is of a kind that says all there is to it', () => {
    expect(all.map(({ kind }) => kind).toSorted()).toEqual(Object.keys(unsentKinds).toSorted());
    for (const [key, { kind }] of Object.entries(unsentKinds)) expect(kind).toBe(key);
  });

  it('is told in words', () => {
    const words = all.map((item) => describe(item, () => 'Fenlark 24 K', 'us'));
    expect(words.map((one) => one.what)).toEqual([
      'a walk planned',
      'on a walk: said',
      'a unit taken in',
      'GVWR: 7,490 lb',
      'a photo',
      'a voice memo',
    ]);
    expect(words.filter(({ where }) => where === 'Fenlark 24 K')).toHaveLength(4);
  });

  it('goes in the order in which it was done, what is large last', () => {
    const order: string[] = [];
    let left = queue(all.toReversed());
    while (left.length > 0) {
      const batch = nextBatch(left);
      order.push(batch.map(({ item }) => item.kind).join('+'));
      left = left.filter((one) => !batch.includes(one));
    }
    expect(order).toEqual(['edit', 'unit', 'event', 'plan', 'memo', 'photo']);
  });

  it('takes along what is of the same walk, and stops at another', () => {
    const items = queue([event('w'), event('w'), event('v'), event('w')]);
    expect(nextBatch(items)).toEqual(items.slice(0, 2));
    expect(nextBatch(items.slice(2))).toEqual(items.slice(2, 3));
  });
});

about('what a newer page left', () => {
  it('waits for it, told in words, and holds up nothing', async () => {
    const db = await device();
    for (const item of [unknown, { ...owner, kind: 'plan', plan } as Unsent])
      await db.add('outbox', item);
    const outbox = useOutbox();
    await outbox.openFor(owner.person, owner.yard);
    await outbox.flush();
    expect(server.sent.map(({ path }) => path)).toEqual([`/api/walks/${plan.id}`]);
    expect(await db.getAll('outbox')).toEqual([unknown]);
    expect(describe(unknown, () => '', 'us').what).toMatch(/newer version/);
    outbox.close();
  });

  it('is there after its person signed out, and so is a walk that something waits for', async () => {
    const db = await device();
    for (const item of [unknown, event(plan.id)]) await db.add('outbox', item);
    await db.put('walks', keptWalk(plan), plan.id);
    await db.put('walks', keptWalk(planOf(2)), planOf(2).id);
    await forgetPerson();
    expect(await db.count('outbox')).toBe(2);
    expect(await db.getAllKeys('walks')).toEqual([plan.id]);
  });
});
