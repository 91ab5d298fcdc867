import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { applyChange, emptyRecord, type Change } from '@fair-gable/core/unit/record';
import { Refused, saying } from '../src/base/api/client.ts';
import { device } from '../src/base/device/index.ts';
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

let server: FakeServer;
beforeEach(async () => {
  newPage();
  server = fakeServer();
  await (await device()).clear('kept');
  await (await device()).clear('units');
  server.answer = () => ({ status: 200, body: { total: 1, units: [{ id, record: known }] } });
});

describe('the yard on a device', () => {
  it('shows what it last had while the server is out of reach', async () => {
    await useUnits().load();
    newPage();
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.list).toEqual([{ id, record: known }]);
    expect(units.problem).toBeUndefined();
  });

  it('says so when there is nothing to show', async () => {
    server.answer = undefined;
    const units = useUnits();
    await units.load();
    expect(units.problem).toMatch(/^The server does not answer/);
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
    expect(saying(new TypeError('x is undefined'))).toMatch(/^Something went wrong in this page/);
    expect(saying(new Refused(409, 'stale', 'Somebody was faster.', {}))).toBe(
      'Somebody was faster.',
    );
  });
});
