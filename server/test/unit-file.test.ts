import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { UnitFile } from '@fair-gable/core';
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

  it('taken into an empty yard is the same unit, to the last version', async () => {
    const { id } = await unitNamed(ines, 'TQ-0377');
    await ines('POST', `/api/units/${id}/edits`, editOf([specChange('gvwr', 4950, 1)]));
    const file = await fileOf(ines, 'TQ-0377');
    const taken = await una('POST', '/api/unit-files', file);
    expect([taken.status, taken.body.name]).toEqual([201, 'Marl 18 MB']);
    // What a technician signed comes in by a technician alone.
    const record = { ...file.record, inspection: {}, signatures: {} };
    expect(await fileOf(una, 'TQ-0377')).toEqual({ ...file, record });
  });

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
    const byBram = as('00000000-0000-4000-8000-0000000000b2', 'TQ-B2');
    const own = await bram('POST', '/api/unit-files', byBram);
    expect([own.status, own.body.unsigned]).toEqual([201, false]);
  });

  it('taken in twice changes nothing and says so', async () => {
    const file = await fileOf(ines, 'TQ-0417');
    const again = await ines('POST', '/api/unit-files', file);
    expect([again.status, again.body.code]).toEqual([409, 'already-here']);
  });

  it('with a stock number that is taken leaves nothing behind', async () => {
    const file = await fileOf(ines, 'TQ-0417');
    const other = { ...file, id: '00000000-0000-4000-8000-0000000000aa' };
    expect((await ines('POST', '/api/unit-files', other)).body.code).toBe('stock-number-taken');
    expect((await ines('GET', `/api/units/${other.id}`)).status).toBe(404);
  });

  it.each([
    ['a foreign file', { rows: [] }, /not a Fair Gable unit file/],
    [
      'a later version',
      { format: 'fair-gable/unit', version: 8 },
      /version 8; this program reads up to 7/,
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
