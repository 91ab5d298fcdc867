import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { pointsOf } from '@fair-gable/core/show/cards';
import type { KeptSheet } from '@fair-gable/core/unit/model-sheet';
import { inYard, nobody, withinYard } from '../src/base/database/index.ts';
import { BuyerRow } from '../src/yard/follow-up/index.ts';
import { buildApp } from '../src/app.ts';
import { bench, secret, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
let maren: Asker;
let yardId: string;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  maren = await signedIn(b.app, 'maren@thornquay.example');
  yardId = (await ines('GET', '/api/session')).body.yard.id;
});
afterAll(() => b.close());

const buyer = { name: 'Orla Tamm', email: 'orla@harbor.example', phone: null };
const row = () => ({ id: randomUUID(), ...buyer, keepUntil: '2099-01-01' });

describe('one way into the database', () => {
  it('keeps all of a piece of work, or none of it', async () => {
    const yard = inYard(b.source.manager, yardId, nobody);
    const kept = row();
    const work = yard.within(async (within) => {
      await within.insert(BuyerRow, [kept]);
      throw new Error('half way');
    });
    await expect(work).rejects.toThrow('half way');
    expect(await yard.findOne(BuyerRow, { id: kept.id })).toBeNull();
    await yard.within((within) => within.insert(BuyerRow, [kept]));
    expect(await yard.findOne(BuyerRow, { id: kept.id })).toMatchObject({ yardId });
  });

  it('writes nothing outside of a transaction', () => {
    expect(() => withinYard(b.source.manager, yardId, nobody)).toThrow('no transaction');
    expect(inYard(b.source.manager, yardId, nobody)).not.toHaveProperty('insert');
  });

  it.each([
    'SELECT * FROM buyer',
    'SELECT * FROM buyer WHERE id = $1',
    'SELECT yard_id FROM buyer',
  ])('takes no statement that does not go by the yard: %s', async (statement) => {
    const yard = inYard(b.source.manager, yardId, nobody);
    await expect(yard.query(statement)).rejects.toThrow('does not go by its yard');
  });
});

interface Change {
  readonly what: string;
  readonly subject: string;
  readonly from: string | null;
  readonly to: string | null;
  readonly by: string;
}
const history = async (): Promise<readonly Change[]> =>
  (await maren('GET', '/api/yard/history')).body.changes;

/** What a deed leaves in the yard's history. */
const leaves = async (deed: () => Promise<{ readonly status: number }>) => {
  const before = (await history()).length;
  expect((await deed()).status).toBeLessThan(300);
  const all = await history();
  return all.slice(0, all.length - before).map(({ what, by }) => ({ what, by }));
};

describe('what is done on a yard', () => {
  let walk: string;
  let unit: string;
  beforeAll(async () => {
    const found = await unitNamed(ines, 'TQ-0417');
    [walk, unit] = [randomUUID(), found.id];
    const points = pointsOf(found.record, { system: 'us', today: '2026-04-15' });
    await ines('PUT', `/api/walks/${walk}`, { id: walk, unit, minutes: 15, points });
  });
  const orla = { id: randomUUID(), name: 'Orla Tamm', email: 'orla@harbor.example' };
  const followUp = () => ({
    id: randomUUID(),
    walk,
    unit,
    kind: 'promise',
    text: 'Send the manual',
    due: '2026-04-14',
    who: 'Ines Rook',
  });

  it('to a buyer is in its history, and never whom', async () => {
    const put = () => ines('PUT', `/api/buyers/${orla.id}`, orla);
    const by = 'Ines Rook';
    expect(await leaves(put)).toEqual([{ what: 'buyer-kept', by }]);
    expect(await leaves(put)).toEqual([{ what: 'buyer-changed', by }]);
    const name = (id: string | null) => () =>
      ines('PUT', `/api/walks/${walk}/buyer`, { buyer: id });
    expect(await leaves(name(orla.id))).toEqual([{ what: 'buyer-named', by }]);
    expect(await leaves(name(orla.id))).toEqual([]);
    const letter = { id: randomUUID(), walk, subject: 'The unit', text: 'Thank you.' };
    const send = () => ines('PUT', `/api/letters/${letter.id}`, letter);
    expect(await leaves(send)).toEqual([{ what: 'letter-written', by }]);
    expect(await leaves(send)).toEqual([]);
    expect(await leaves(name(null))).toEqual([{ what: 'buyer-unnamed', by }]);
    expect(await leaves(() => ines('DELETE', `/api/buyers/${orla.id}`))).toEqual([
      { what: 'buyer-forgotten', by },
    ]);
    expect(JSON.stringify(await history())).not.toContain('Orla');
  });

  it('to screens, follow-ups and sheets is in its history', async () => {
    const screens = `/api/walks/${walk}/screens`;
    const by = 'Ines Rook';
    expect(await leaves(() => ines('POST', screens))).toEqual([{ what: 'screen-opened', by }]);
    expect(await leaves(() => ines('DELETE', screens))).toEqual([{ what: 'screens-closed', by }]);
    const one = followUp();
    await ines('PUT', `/api/follow-ups/${one.id}`, { followUp: one, basedOn: 0 });
    expect(await leaves(() => ines('DELETE', `/api/follow-ups/${one.id}`))).toEqual([
      { what: 'follow-up-dropped', by },
    ]);
    const { sheets } = (await maren('GET', '/api/model-sheets')).body as { sheets: KeptSheet[] };
    const id = sheets[0]?.sheet.id;
    expect(await leaves(() => maren('DELETE', `/api/model-sheets/${id}`))).toEqual([
      { what: 'sheet-dropped', by: 'Maren Holt' },
    ]);
  });
});

describe('housekeeping', () => {
  it('is done by one of several servers at a time, and one chore does not stop the others', async () => {
    const other = await buildApp({ source: b.source, secret, signInsPerMinute: 1000 });
    let [atOnce, most, done] = [0, 0, 0];
    for (const app of [b.app, other]) {
      app.chore({
        name: 'A chore that fails',
        work: async () => {
          throw new Error('not today');
        },
      });
      app.chore({
        name: 'A slow chore',
        work: async () => {
          most = Math.max(most, ++atOnce);
          await new Promise((resolve) => setTimeout(resolve, 200));
          atOnce -= 1;
          done += 1;
        },
      });
    }
    await other.ready();
    await Promise.all([b.app.keepHouse(), other.keepHouse(), b.app.keepHouse()]);
    await other.close();
    expect(most).toBe(1);
    expect(done).toBeGreaterThan(0);
  });
});
