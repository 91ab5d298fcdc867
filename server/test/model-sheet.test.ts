import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { KeptSheet, ModelSheet } from '@fair-gable/core/unit/model-sheet';
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
let maren: Asker;
let ines: Asker;
beforeAll(async () => {
  b = await bench();
  maren = await signedIn(b.app, 'maren@thornquay.example');
  ines = await signedIn(b.app, 'ines@thornquay.example');
});
afterAll(() => b.close());

const sheets = async (ask: Asker = ines): Promise<readonly KeptSheet[]> =>
  (await ask('GET', '/api/model-sheets')).body.sheets;

const fenlark = async (): Promise<KeptSheet> => {
  const found = (await sheets()).find(
    ({ sheet }) => sheet.floorPlan === '24 RKD' && sheet.year === 2026,
  );
  if (!found) throw new Error('no sheet');
  return found;
};

const withSleeps = (sheet: ModelSheet, number: number): ModelSheet => ({
  ...sheet,
  values: {
    ...sheet.values,
    specs: { ...sheet.values.specs, sleeps: { kind: 'number', number } },
  },
});

const keep = (ask: Asker, sheet: ModelSheet, basedOn: number, units: readonly string[]) =>
  ask('PUT', `/api/model-sheets/${sheet.id}`, { sheet, basedOn, units });

describe('a change of a sheet', () => {
  it('shows the units it touches before anything is changed', async () => {
    const { sheet } = await fenlark();
    const before = await unitNamed(ines, 'TQ-0418');
    const url = `/api/model-sheets/${sheet.id}/preview`;
    const { status, body } = await maren('POST', url, { sheet: withSleeps(sheet, 5) });
    expect(status).toBe(200);
    const touched = body.units.find((u: { stockNumber: string }) => u.stockNumber === 'TQ-0418');
    expect(touched.changes).toEqual([
      {
        part: 'specs',
        key: 'sleeps',
        value: { kind: 'number', number: 5 },
        how: 'sheet',
        basedOn: 1,
      },
    ]);
    expect(body.units.map((u: { name: string }) => u.name)).not.toContain('Pell 14 T');
    expect((await unitNamed(ines, 'TQ-0418')).record).toEqual(before.record);
  });

  it('changes the units named and no other, with its history', async () => {
    const { sheet, version } = await fenlark();
    const unit = await unitNamed(ines, 'TQ-0418');
    const other = await unitNamed(ines, 'TQ-0417');
    const { status, body } = await keep(maren, withSleeps(sheet, 5), version, [unit.id]);
    expect(status).toBe(200);
    const kept = body.sheets.find((k: KeptSheet) => k.sheet.id === sheet.id) as KeptSheet;
    expect([kept.version, kept.by]).toEqual([version + 1, 'Maren Holt']);
    expect((await unitNamed(ines, 'TQ-0418')).record.specs.sleeps?.value).toEqual({
      kind: 'number',
      number: 5,
    });
    expect((await unitNamed(ines, 'TQ-0417')).record).toEqual(other.record);
    const history = await ines('GET', `/api/units/${unit.id}/history?part=specs&key=sleeps`);
    expect(history.body.changes[0]).toMatchObject({ how: 'sheet', by: 'Maren Holt' });
    const rows = await b.source.query('SELECT units, by FROM model_sheet_change WHERE version > 1');
    expect(rows).toEqual([{ units: 1, by: 'Maren Holt' }]);
  });

  it('is refused over somebody else’s, and for two sheets of one model', async () => {
    const { sheet, version } = await fenlark();
    expect((await keep(maren, sheet, version - 1, [])).body).toMatchObject({ code: 'stale' });
    const twin = { ...sheet, id: randomUUID() };
    expect((await keep(maren, twin, 0, [])).body).toMatchObject({
      code: 'sheet-taken',
      detail: expect.stringContaining('This yard has a sheet of that series'),
    });
  });

  it('is kept whole or not at all', async () => {
    const { sheet, version } = await fenlark();
    const { status } = await keep(maren, withSleeps(sheet, 9), version, [randomUUID()]);
    expect(status).toBe(404);
    expect((await fenlark()).version).toBe(version);
  });

  it('says in a sentence what a sheet cannot say', async () => {
    const { sheet, version } = await fenlark();
    const specs = { ...sheet.values.specs, vin: { kind: 'text', text: '9TPRK2460T1000417' } };
    const wrong = { ...sheet, values: { ...sheet.values, specs } } as ModelSheet;
    const { status, body } = await keep(maren, wrong, version, []);
    expect([status, body.detail]).toEqual([400, expect.stringContaining('each unit’s own')]);
  });

  it('is for whoever keeps the yard', async () => {
    const { sheet, version } = await fenlark();
    expect((await keep(ines, sheet, version, [])).status).toBe(403);
  });

  it('leaves the units what they took over when the sheet goes', async () => {
    const marl = (await sheets()).find(({ sheet }) => sheet.floorPlan === '20 BH');
    const before = await unitNamed(ines, 'TQ-0382');
    expect((await maren('DELETE', `/api/model-sheets/${marl?.sheet.id}`)).status).toBe(204);
    expect((await sheets()).map((k) => k.sheet.id)).not.toContain(marl?.sheet.id);
    expect((await unitNamed(ines, 'TQ-0382')).record).toEqual(before.record);
    expect((await maren('DELETE', `/api/model-sheets/${marl?.sheet.id}`)).status).toBe(404);
  });
});

describe('what was found on a unit', () => {
  it('is offered once, signed, and taken off the list', async () => {
    const { sheet } = await fenlark();
    const unit = await unitNamed(ines, 'TQ-0418');
    const offer = {
      id: randomUUID(),
      unit: unit.id,
      unitName: 'Fenlark 24 RKD · TQ-0418',
      part: 'specs',
      key: 'galleyTank',
      spec: { kind: 'quantity', amount: 30 },
    };
    const url = `/api/model-sheets/${sheet.id}/offers`;
    expect((await ines('POST', url, offer)).status).toBe(204);
    expect((await ines('POST', url, offer)).status).toBe(204);
    const { offers } = await fenlark();
    expect(offers).toEqual([{ ...offer, by: 'Ines Rook', at: expect.any(String) }]);
    expect((await ines('DELETE', `${url}/${offer.id}`)).status).toBe(403);
    expect((await maren('DELETE', `${url}/${offer.id}`)).status).toBe(204);
    expect((await fenlark()).offers).toEqual([]);
  });

  it('is a list to send back, as another program reads it', async () => {
    const unit = await unitNamed(ines, 'TQ-0418');
    const { status, body } = await ines('GET', `/api/units/${unit.id}/as-ordered.csv`);
    expect(status).toBe(200);
    const text = String(body).replace(/^\uFEFF/, '');
    const { data, errors } = Papa.parse<Record<string, string>>(text, {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data.find((row) => row['Field'] === 'Tank heaters')).toEqual({
      Field: 'Tank heaters',
      'By the sheet': 'option',
      'On this unit': 'not fitted',
      'Known by': 'seen or counted',
      Who: 'Ines Rook',
      When: '2026-04-09',
    });
    const lone = await unitNamed(ines, 'TQ-0390');
    expect((await ines('GET', `/api/units/${lone.id}/as-ordered.csv`)).status).toBe(404);
  });
});

describe('a guest', () => {
  it('sees sheets without the yard’s prices', async () => {
    const guest = await signedIn(b.app, 'ivo@thornquay.example');
    const priced = (all: readonly KeptSheet[]) =>
      all.filter(({ sheet }) => 'listPrice' in sheet.values.specs).length;
    expect(priced(await sheets())).toBeGreaterThan(3);
    expect(priced(await sheets(guest))).toBe(0);
    const [first] = await sheets(guest);
    const file = await guest('GET', `/api/model-sheets/${first?.sheet.id}/file`);
    expect([file.status, file.body.format]).toEqual([200, 'fair-gable/model-sheet']);
    expect(JSON.stringify(file.body)).not.toContain('listPrice');
  });
});

describe('several sources of one field', () => {
  it('are kept by the server, told in the history, and decided', async () => {
    const { id, record } = await unitNamed(ines, 'TQ-0402');
    const version = record.specs.gvwr?.version ?? 0;
    const told = { ...specChange('gvwr', 3400, version), how: 'told' };
    const after = await ines('POST', `/api/units/${id}/edits`, editOf([told]));
    expect(after.body.record.specs.gvwr).toMatchObject({
      how: 'read',
      value: { amount: 3200 },
      others: [{ how: 'told', value: { amount: 3400 }, by: 'Ines Rook' }],
    });
    expect((await ines('GET', `/api/units/${id}`)).body).toEqual(after.body);
    const history = await ines('GET', `/api/units/${id}/history?part=specs&key=gvwr&limit=1`);
    expect(history.body.changes[0]).toMatchObject({
      from: { amount: 3200 },
      to: { amount: 3400 },
      how: 'told',
      beside: true,
    });
    const file = await ines('GET', `/api/units/${id}/file`);
    expect(file.body.record.specs.gvwr.others).toHaveLength(1);
    const decided = { ...specChange('gvwr', 3200, version + 1), others: [] };
    const { body } = await ines('POST', `/api/units/${id}/edits`, editOf([decided]));
    expect(body.record.specs.gvwr.others).toBeUndefined();
  });

  it('must each be possible', async () => {
    const { id, record } = await unitNamed(ines, 'TQ-0402');
    const change = {
      ...specChange('gvwr', 3200, record.specs.gvwr?.version ?? 0),
      others: [{ value: { kind: 'text', text: 'much' }, how: 'told' }],
    };
    const { status, body } = await ines('POST', `/api/units/${id}/edits`, editOf([change]));
    expect([status, body.detail]).toEqual([
      400,
      'GVWR has the wrong kind of value. It needs a quantity.',
    ]);
  });
});
