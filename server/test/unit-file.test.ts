import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { asTheFileSays, type UnitFile } from '@fair-gable/core/unit/unit-file';
import {
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  type Asker,
  type Bench,
} from './support.ts';

let b: Bench;
let ines: Asker;
let una: Asker;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  una = await signedIn(b.app, 'una@other.example');
});
afterAll(() => b.close());

const fileOf = async (ask: Asker, stockNumber: string): Promise<UnitFile> => {
  const { id } = await unitNamed(ask, stockNumber);
  return (await ask('GET', `/api/units/${id}/file`)).body;
};

describe('a unit file', () => {
  it('is offered under the unit’s name', async () => {
    const { id } = await unitNamed(ines, 'TQ-0417');
    const { headers } = await ines('GET', `/api/units/${id}/file`);
    expect(headers['content-disposition']).toBe('attachment; filename="fenlark-24-rkd.unit.json"');
  });

  it('taken into an empty yard is the same unit, marked as the file says, its changes counted anew', async () => {
    const { id } = await unitNamed(ines, 'TQ-0377');
    await ines('POST', `/api/units/${id}/edits`, editOf([specChange('gvwr', 4950, 1)]));
    const file = await fileOf(ines, 'TQ-0377');
    const taken = await una('POST', '/api/unit-files', file);
    expect([taken.status, taken.body.name]).toEqual([201, 'Marl 18 MB']);
    const { inspected, ...specs } = file.record.specs;
    const brought = { ...file.record, specs, inspection: {}, signatures: {} };
    const there = await fileOf(una, 'TQ-0377');
    expect(there).toEqual({ ...file, record: asTheFileSays(brought) });
    // Carried on once more it is the same file.
    expect(there.record.specs.gvwr).toMatchObject({ by: 'Ines Rook', filed: true, version: 1 });
  });

  it('leaves no field that can never be changed again', async () => {
    const file = await fileOf(ines, 'TQ-0391');
    const { stockNumber, vin, ...specs } = file.record.specs;
    const last = { ...specs, gvwr: { ...specs.gvwr, version: 2_147_483_647 } };
    const id = '00000000-0000-4000-8000-0000000000c1';
    const forged = { ...file, id, record: { ...file.record, specs: last, photos: {} } };
    expect((await ines('POST', '/api/unit-files', forged)).status).toBe(201);
    const edit = editOf([specChange('gvwr', 6100, 1)]);
    const { status, body } = await ines('POST', `/api/units/${id}/edits`, edit);
    expect([status, body.record.specs.gvwr.version]).toEqual([200, 2]);
    // What somebody here read stands in their own name.
    expect(body.record.specs.gvwr).toMatchObject({ by: 'Ines Rook', value: { amount: 6100 } });
    expect(body.record.specs.gvwr.filed).toBeUndefined();
  });

  it.each(['__proto__', 'constructor', 'prototype'])(
    'with a key called %s anywhere is refused aloud',
    async (key) => {
      const file = JSON.stringify(await fileOf(ines, 'TQ-0391'));
      for (const place of ['{', '"specs":{']) {
        const forged = file.replace(place, `${place}"${key}":{"x":1},`);
        const { status, body } = await ines('POST', '/api/unit-files', forged, {
          'content-type': 'application/json',
        });
        expect([key, status >= 400 && status < 500]).toEqual([key, true]);
        expect(body.detail).toContain(key);
      }
    },
  );

  it('opens no unit by a signature that a specialist brought along', async () => {
    const bram = await signedIn(b.app, 'bram@thornquay.example');
    const file = await fileOf(ines, 'TQ-0403');
    expect(file.record.signatures['inspection']).toBeDefined();
    const as = (id: string, stock: string): UnitFile => {
      const { stockNumber, ...specs } = file.record.specs;
      const value = { kind: 'text' as const, text: stock };
      const renamed = stockNumber && { stockNumber: { ...stockNumber, value } };
      const other = Object.fromEntries(Object.entries(specs).filter(([key]) => key !== 'vin'));
      const record = { ...file.record, specs: { ...other, ...renamed }, photos: {} };
      return { ...file, id, record } as UnitFile;
    };
    const forged = as('00000000-0000-4000-8000-0000000000b1', 'TQ-B1');
    const taken = await ines('POST', '/api/unit-files', forged);
    expect([taken.status, taken.body.unsigned]).toEqual([201, true]);
    const { record } = (await ines('GET', `/api/units/${forged.id}`)).body;
    expect([record.signatures, record.inspection, record.specs.inspected]).toEqual([
      {},
      {},
      undefined,
    ]);
    // Not even a technician signs by a file: what was tried comes in for them to sign.
    const byBram = as('00000000-0000-4000-8000-0000000000b2', 'TQ-B2');
    const own = await bram('POST', '/api/unit-files', byBram);
    expect([own.status, own.body.unsigned]).toEqual([201, true]);
    const his = (await bram('GET', `/api/units/${byBram.id}`)).body.record as UnitRecord;
    expect([his.signatures, his.specs.inspected]).toEqual([{}, undefined]);
    const tried = Object.values(his.inspection);
    expect(tried.length).toBeGreaterThan(0);
    expect(tried.every((entry) => entry?.filed)).toBe(true);
  });

  it('taken in twice changes nothing and says so', async () => {
    const file = await fileOf(ines, 'TQ-0417');
    const again = await ines('POST', '/api/unit-files', file);
    expect([again.status, again.body.code]).toEqual([409, 'already-here']);
  });

  it('with a stock number that is taken leaves nothing behind', async () => {
    const file = await fileOf(ines, 'TQ-0417');
    const { vin, ...specs } = file.record.specs;
    const record = { ...file.record, specs };
    const other = { ...file, record, id: '00000000-0000-4000-8000-0000000000aa' };
    expect((await ines('POST', '/api/unit-files', other)).body.code).toBe('stock-number-taken');
    expect((await ines('GET', `/api/units/${other.id}`)).status).toBe(404);
  });

  it.each([
    ['a foreign file', { rows: [] }, /isn’t a Fair Gable unit file/],
    [
      'a later version',
      { format: 'fair-gable/unit', version: 11 },
      /version 11; this program reads up to 10/,
    ],
    ['a broken one', { format: 'fair-gable/unit', version: 1, id: 'x' }, /“id”/],
  ])('refuses %s in a sentence', async (_, content, words) => {
    const { status, body } = await una('POST', '/api/unit-files', content);
    expect(status).toBe(422);
    expect(body).toMatchObject({ code: 'bad-file', detail: expect.stringMatching(words) });
  });

  it('refuses what is not JSON', async () => {
    const response = await b.app.inject({
      method: 'POST',
      url: '/api/unit-files',
      headers: { 'content-type': 'application/json' },
      payload: '{"format":',
    });
    // Who may not send anything is told so before it is read.
    expect(response.statusCode).toBe(401);
    const { status, body } = await una('POST', '/api/unit-files', '{"format":', {
      'content-type': 'application/json',
    });
    expect([status, body.code]).toEqual([400, 'bad-input']);
  });
});
