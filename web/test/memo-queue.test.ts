import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { nextEvent, type WalkEvent } from '@fair-gable/core/show/walk';
import { device, forgetPerson, keptMemo, useOutbox } from '../src/base/device/index.ts';
import { describe as inWords } from '../src/base/device/index.ts';
import { fakeServer, keptWalk, newPage, planOf, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const ines = 'person-ines';
const yard = 'yard-1';
const memo = '00000000-0000-4000-8000-0000000000aa';
const plan = planOf(7);
const spoken = new Blob([new Uint8Array([0x1a, 0x45, 0xdf, 0xa3, 1, 2, 3])]);
let server: FakeServer;

beforeEach(async () => {
  newPage();
  server = fakeServer();
  const db = await device();
  for (const store of ['outbox', 'walks', 'kept', 'clashes', 'declined', 'memos'] as const) {
    await db.clear(store);
  }
});
afterEach(() => useOutbox().close());

const marked = (): WalkEvent =>
  nextEvent(
    [],
    { id: crypto.randomUUID(), device: crypto.randomUUID(), elapsed: 0 },
    { kind: 'mark', point: 'h1', mark: 'asked', memo },
  );
const speak = async (): Promise<void> => {
  const event = marked();
  await useOutbox().addMemo({ ...keptWalk(plan), events: [event] }, event, spoken);
};

describe('a voice memo', () => {
  it('stays on the device while there is no network, through a closed page', async () => {
    server.answer = undefined;
    await useOutbox().openFor(ines, yard);
    await speak();
    await useOutbox().flush();
    expect(useOutbox().unsent).toBe(2);
    expect((await keptMemo(memo))?.size).toBe(spoken.size);
    useOutbox().close();
    newPage();
    await useOutbox().openFor(ines, yard);
    expect(useOutbox().unsent).toBe(2);
  });

  it('goes after all that was typed, whole, and is then no longer kept here', async () => {
    server.answer = undefined;
    await useOutbox().openFor(ines, yard);
    await speak();
    const later = { ...marked(), counter: 2 };
    await useOutbox().addEvent({ ...keptWalk(plan), events: [later] }, later);
    await useOutbox().flush();
    server.answer = () => ({ status: 204 });
    await useOutbox().flush();
    expect(server.sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      `POST /api/walks/${plan.id}/events`,
      `PUT /api/walks/${plan.id}/memos/${memo}`,
    ]);
    expect(server.sent[1]?.body).toHaveLength(spoken.size);
    expect(useOutbox().unsent).toBe(0);
    expect(await keptMemo(memo)).toBeUndefined();
  });

  it('that the server will not have is set aside with its reason, and is let go of by hand alone', async () => {
    server.answer = (path) =>
      path.includes('memos')
        ? { status: 400, body: { code: 'bad-input', detail: 'The voice memo is not sound.' } }
        : { status: 204 };
    await useOutbox().openFor(ines, yard);
    await speak();
    await useOutbox().flush();
    const [declined] = useOutbox().waiting.declined;
    expect(declined).toMatchObject({ reason: 'The voice memo is not sound.' });
    expect(await keptMemo(memo)).toBeDefined();
    await useOutbox().takeUp(useOutbox().waiting.declined, false);
    expect(await keptMemo(memo)).toBeUndefined();
  });

  it('is still there when somebody else signs in, who never sends it', async () => {
    server.answer = undefined;
    await useOutbox().openFor(ines, yard);
    await speak();
    useOutbox().close();
    await forgetPerson();
    server.answer = () => ({ status: 204 });
    await useOutbox().openFor('person-osk', yard);
    await useOutbox().flush();
    expect(server.sent).toEqual([]);
    expect(await keptMemo(memo)).toBeDefined();
  });

  it('is named in the list of what is not sent', () => {
    const item = { kind: 'memo', person: ines, walk: plan.id, memo } as const;
    expect(inWords(item, () => 'Fenlark', 'us').what).toBe('a voice memo');
  });
});
