import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Vehicle } from '@fair-gable/core/unit/record';
import { bench, signedIn, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
});
afterAll(() => b.close());

const truck: Vehicle = {
  key: 'gray-truck',
  label: 'Gray truck',
  kind: 'buyer',
  figures: { payload: { amount: 1480, from: 'label' }, towRating: { amount: 8200, from: 'guide' } },
};
const path = (key: string): string => `/api/vehicles/${key}`;
/** The demo keeps others; this one is the test's. */
const ours = async (somebody: Asker): Promise<readonly Vehicle[]> =>
  (await somebody('GET', '/api/vehicles')).body.vehicles.filter(
    ({ key }: Vehicle) => key === truck.key,
  );

describe('a yard’s vehicles', () => {
  it('are kept, changed and taken off, and the yard’s history says who did it', async () => {
    expect((await ines('PUT', path(truck.key), truck)).status).toBe(204);
    expect(await ours(ines)).toEqual([truck]);
    const lighter = { ...truck, figures: { payload: { amount: 1300, from: 'label' } } };
    expect((await ines('PUT', path(truck.key), lighter)).status).toBe(204);
    expect(await ours(ines)).toEqual([lighter]);
    expect((await ines('DELETE', path(truck.key))).status).toBe(204);
    expect(await ours(ines)).toEqual([]);

    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const { body } = await maren('GET', '/api/yard/history');
    const mine = body.changes.filter(({ subject }: { subject: string }) => subject === truck.label);
    expect(mine.map(({ to, by }: { to: string; by: string }) => [to, by])).toEqual([
      [null, 'Ines Rook'],
      ['other figures', 'Ines Rook'],
      ['kept', 'Ines Rook'],
    ]);
  });

  it('are one yard’s own', async () => {
    await ines('PUT', path(truck.key), truck);
    const una = await signedIn(b.app, 'una@other.example');
    expect(await ours(una)).toEqual([]);
    expect((await una('DELETE', path(truck.key))).status).toBe(404);
    expect(await ours(ines)).toEqual([truck]);
  });

  it.each([
    [
      'a figure of nought',
      { ...truck, figures: { payload: { amount: 0, from: 'label' } } },
      'payload',
    ],
    [
      'a source nobody knows',
      { ...truck, figures: { payload: { amount: 9, from: 'dream' } } },
      'from',
    ],
    ['no name', { ...truck, label: ' ' }, 'label'],
    ['another key than its address', { ...truck, key: 'other-truck' }, 'address'],
  ])('refuse %s, and keep what was there', async (_, body, word) => {
    const before = (await ines('GET', '/api/vehicles')).body;
    const { status, body: answer } = await ines('PUT', path(truck.key), body);
    expect(status).toBe(400);
    expect(answer.detail).toContain(word);
    expect((await ines('GET', '/api/vehicles')).body).toEqual(before);
  });

  it('are looked at by everybody, and written by whoever records', async () => {
    for (const name of ['ivo', 'osk']) {
      const somebody = await signedIn(b.app, `${name}@thornquay.example`);
      expect((await somebody('GET', '/api/vehicles')).status).toBe(200);
      expect((await somebody('PUT', path(truck.key), truck)).status).toBe(403);
    }
  });
});
