import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { Change } from '@fair-gable/core/unit/record';
import type { WaitingEdit } from '@fair-gable/core/yard/outbox';
import { device, forgetPerson, keptPicture, useOutbox } from '../src/base/device/index.ts';
import { fakeServer, newPage, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const ines = 'person-ines';
const yard = 'yard-1';
const unit = '00000000-0000-4000-8000-000000000001';
const photo = '00000000-0000-4000-8000-0000000000aa';
const second = '00000000-0000-4000-8000-0000000000bb';
/** Three pieces long. */
const size = 700_000;
let server: FakeServer;

beforeEach(async () => {
  newPage();
  server = fakeServer();
  const db = await device();
  for (const store of ['outbox', 'kept', 'clashes', 'declined', 'pictures'] as const) {
    await db.clear(store);
  }
});
afterEach(() => useOutbox().close());

const editWith = (changes: readonly Change[]): WaitingEdit => ({
  id: crypto.randomUUID(),
  unit,
  changes,
  what: 'a photo',
  by: 'Ines',
  at: '2026-04-15T09:00:00.000Z',
  tried: false,
});
const shows = (id: string): Change => ({
  part: 'photos',
  key: id,
  value: { of: ['specs.gvwr'], width: 800, height: 600 },
  how: 'seen',
  basedOn: 0,
});
const gvwr: Change = {
  part: 'specs',
  key: 'gvwr',
  value: { kind: 'quantity', amount: 7490 },
  how: 'read',
  basedOn: 0,
};
const picture = (id: string) => ({ id, unit, blob: new Blob([new Uint8Array(size).fill(7)]) });

/** A server that keeps pieces, and may lose the network after so many of them. */
const keeping = (cutAfter = Infinity) => {
  const received = new Map<string, number>();
  let pieces = 0;
  const answer = (path: string, method: string, body: unknown) => {
    const id = /photos\/([^/]+)\/upload/.exec(path)?.[1];
    if (!id) return { status: 200, body: { id: unit, record: {} } };
    if (method === 'GET')
      return { status: 200, body: { received: received.get(id) ?? 0, done: false } };
    pieces += 1;
    if (pieces > cutAfter) throw new TypeError('Failed to fetch');
    const from = Number(/from=(\d+)/.exec(path)?.[1]);
    const now = from + (body as Uint8Array).length;
    received.set(id, now);
    return { status: 200, body: { received: now, done: now >= size } };
  };
  return { answer, received };
};
const puts = (): string[] =>
  server.sent
    .filter(({ method }) => method === 'PUT')
    .map(({ path }) => /from=(\d+)/.exec(path)?.[1] ?? '');

describe('a photo on its way', () => {
  it('is on the device with what it shows before anything is sent, and is let go when it is there', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    expect(outbox.unsent).toBe(2);
    expect((await keptPicture(photo))?.size).toBe(size);

    const { answer, received } = keeping();
    server.answer = answer;
    await outbox.flush();
    expect(outbox.unsent).toBe(0);
    expect(received.get(photo)).toBe(size);
    expect(await keptPicture(photo)).toBeUndefined();
    expect(puts()).toEqual(['0', '256000', '512000']);
  });

  it('does not hold up what is typed after it', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    await outbox.addEdit(editWith([gvwr]));
    server.answer = keeping().answer;
    await outbox.flush();
    const paths = server.sent.map(({ path }) => (path.includes('/edits') ? 'edit' : 'photo'));
    expect(paths).toEqual(['edit', 'edit', 'photo', 'photo', 'photo', 'photo']);
  });

  it('goes on from where the network was cut, also after the page was closed', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    const kept = keeping(1);
    server.answer = kept.answer;
    await outbox.flush();
    expect(outbox.unsent).toBe(1);
    expect(kept.received.get(photo)).toBe(256_000);
    outbox.close();

    newPage();
    server.sent.length = 0;
    const rest = keeping();
    rest.received.set(photo, 256_000);
    server.answer = rest.answer;
    const again = useOutbox();
    await again.openFor(ines, yard);
    expect(again.unsent).toBe(0);
    // What had arrived is not sent again.
    expect(puts()).toEqual(['256000', '512000']);
  });

  it('that is refused is set aside with the reason, and its picture stays until somebody decides', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    await outbox.addPicture(picture(second), editWith([shows(second)]));
    const { answer } = keeping();
    server.answer = (path, method, body) =>
      path.includes(photo) && method === 'PUT'
        ? { status: 422, body: { code: 'bad-picture', detail: 'This is not a picture.' } }
        : answer(path, method, body);
    await outbox.flush();
    expect(outbox.unsent).toBe(0);
    expect(outbox.waiting.declined.map(({ reason }) => reason)).toEqual(['This is not a picture.']);
    expect(await keptPicture(photo)).toBeDefined();
    expect(await keptPicture(second)).toBeUndefined();
    await outbox.takeUp(outbox.waiting.declined, false);
    expect(await keptPicture(photo)).toBeUndefined();
  });

  it('stays, sealed, when its owner signs out', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    outbox.close();
    await forgetPerson();
    expect(await keptPicture(photo)).toBeDefined();
    newPage();
    const other = useOutbox();
    await other.openFor('person-osk', yard);
    expect(other.unsent).toBe(0);
    other.close();
    newPage();
    const back = useOutbox();
    await back.openFor(ines, yard);
    expect(back.unsent).toBe(2);
  });

  it('replaced on the same field while it waits is one edit, and both photos are kept', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPicture(picture(photo), editWith([shows(photo)]));
    const withArrow: Change = {
      ...shows(photo),
      value: {
        of: ['specs.gvwr'],
        width: 800,
        height: 600,
        arrows: [{ from: [0, 0], to: [1, 1] }],
      },
    } as Change;
    await outbox.addEdit(editWith([withArrow]));
    await outbox.addPicture(picture(second), editWith([shows(second)]));
    expect(outbox.edits.map(({ changes }) => changes.map(({ key }) => key))).toEqual([
      [photo],
      [second],
    ]);
    server.answer = keeping().answer;
    await outbox.flush();
    const edits = server.sent.filter(({ path }) => path.includes('/edits'));
    expect(JSON.stringify(edits[0]?.body)).toContain('arrows');
    expect(outbox.unsent).toBe(0);
  });
});
