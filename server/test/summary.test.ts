import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { dayIn } from '@fair-gable/core/base/dates';
import { withoutOurs, type YardUnit } from '@fair-gable/core/unit/record';
import { checkedOn, summaryOf, type UnitSummary } from '@fair-gable/core/yard/summary';
import { inYard, nobody } from '../src/base/database/index.ts';
import { Unit } from '../src/unit/record/index.ts';
import { madeOn, renewAll, renewSummaries } from '../src/yard/summary/renewing.ts';
import { bench, signedIn, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
let guest: Asker;
let yardId: string;
let today: string;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  guest = await signedIn(b.app, 'ivo@thornquay.example');
  const { body } = await ines('GET', '/api/session');
  yardId = body.yard.id;
  today = dayIn(Date.parse(body.now), body.yard.timeZone);
});
afterAll(() => b.close());

const summariesFor = async (ask: Asker): Promise<readonly UnitSummary[]> =>
  (await ask('GET', '/api/units/summaries')).body.units;
const recordsFor = async (ask: Asker): Promise<readonly YardUnit[]> =>
  (await ask('GET', '/api/units?limit=200')).body.units;
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
const keptAt = async (id: string): Promise<Unit> =>
  (await inYard(b.source.manager, yardId, nobody).findOne(Unit, { id })) as Unit;
const lacking = async (): Promise<number> => {
  const [{ count }] = await b.source.query(
    `SELECT count(*)::int AS count FROM unit WHERE summary_for IS DISTINCT FROM revision || '/' || $1`,
    [madeOn(today)],
  );
  return count;
};
const edit = (unit: string, amount: number, basedOn: number, key = 'gvwr') => {
  const value = { kind: 'quantity', amount };
  return ines('POST', `/api/units/${unit}/edits`, {
    id: randomUUID(),
    changes: [{ part: 'specs', key, value, how: 'read', basedOn }],
  });
};

describe('the yard in brief', () => {
  it('says of every unit what its whole record says, when it is checked and when that is kept', async () => {
    const records = await recordsFor(ines);
    const first = await summariesFor(ines);
    const again = await summariesFor(ines);
    expect(first).toHaveLength(records.length);
    const own = records.map(({ id, record }, i) =>
      summaryOf(id, first[i]?.revision ?? 0, checkedOn(record, today)),
    );
    expect(first).toEqual(plain(own));
    expect(again).toEqual(first);
  });

  it('comes in pages, each unit once', async () => {
    const whole = (await summariesFor(ines)).map(({ id }) => id);
    const pages: string[] = [];
    for (let from = 0; from < whole.length; from += 7) {
      const { body } = await ines('GET', `/api/units/summaries?from=${from}&limit=7`);
      expect(body.total).toBe(whole.length);
      pages.push(...body.units.map(({ id }: UnitSummary) => id));
    }
    expect(pages).toEqual(whole);
    expect((await ines('GET', '/api/units/summaries?limit=501')).status).toBe(400);
  });

  it('hides the yard’s own figures from a guest, and finds what can be found without them', async () => {
    const records = await recordsFor(ines);
    const seen = await summariesFor(guest);
    const own = records.map(({ id, record }, i) =>
      summaryOf(id, seen[i]?.revision ?? 0, checkedOn(withoutOurs(record), today)),
    );
    expect(seen).toEqual(plain(own));
    expect(records.some(({ record }) => record.specs.askingPrice)).toBe(true);
    expect(JSON.stringify(seen)).not.toContain('askingPrice');
    await summariesFor(ines);
    expect(await summariesFor(guest)).toEqual(seen);
  });

  it('follows every change of a record, also where two are made between two looks', async () => {
    const [unit] = await recordsFor(ines);
    if (!unit) throw new Error('no unit');
    const before = (await summariesFor(ines))[0]!;
    const version = unit.record.specs.gvwr?.version ?? 0;
    expect((await edit(unit.id, 90_000, version)).status).toBe(200);
    const wrong = (await summariesFor(ines))[0]!;
    expect(wrong.revision).toBe(before.revision + 1);
    expect(wrong.verdict.left.disagree).toBeGreaterThan(before.verdict.left.disagree);
    expect(wrong.verdict.need.urgency).toBe('now');
    await edit(unit.id, 91_000, version + 1);
    await edit(unit.id, 7490, version + 2);
    const right = (await summariesFor(ines))[0]!;
    expect(right.revision).toBe(before.revision + 3);
    expect(right.record.specs.gvwr?.value).toEqual({ kind: 'quantity', amount: 7490 });
  });

  it('keeps nothing of a record that was changed while it was checked, or is being changed', async () => {
    const yard = inYard(b.source.manager, yardId, nobody);
    const [unit] = await recordsFor(ines);
    if (!unit) throw new Error('no unit');
    await summariesFor(ines);
    const kept = await keptAt(unit.id);
    expect(kept.summaryFor).toBe(`${kept.revision}/${madeOn(today)}`);
    await b.source.query('UPDATE unit SET revision = revision + 1 WHERE id = $1', [unit.id]);
    // As if the checks had gone by the record before: what they found is of a revision that is over.
    await yard.within(async (within) => {
      await within.lockOne(Unit, { id: unit.id });
      const found = await renewSummaries(yard, [unit.id], today);
      const all = JSON.parse(found.get(unit.id)?.all ?? '{}') as UnitSummary;
      expect(all.verdict.day).toBe(today);
    });
    expect((await keptAt(unit.id)).summaryFor).toBe(kept.summaryFor);
    await summariesFor(ines);
    expect((await keptAt(unit.id)).summaryFor).toBe(`${kept.revision + 1}/${madeOn(today)}`);
  });

  it('is of the day: what was found yesterday is found anew', async () => {
    await summariesFor(ines);
    await b.source.query(
      `UPDATE unit SET summary_for = replace(summary_for, '${today}', '2001-01-01'), summary = jsonb_set(summary::jsonb, '{verdict,day}', '"2001-01-01"')::json`,
    );
    const days = (await summariesFor(ines)).map(({ verdict }) => verdict.day);
    expect(new Set(days)).toEqual(new Set([today]));
  });

  it('is looked after by the clock, so that who looks first waits for nothing', async () => {
    await b.source.query('UPDATE unit SET summary_for = NULL');
    // A server that is being stopped does not begin.
    await renewAll(b.source.manager, AbortSignal.abort());
    expect(await lacking()).toBeGreaterThan(20);
    await renewAll(b.source.manager, new AbortController().signal);
    expect(await lacking()).toBe(0);
  });

  it('is found anew where another program kept it, and not where this one did before', async () => {
    const before = await summariesFor(ines);
    const spoil = `summary = jsonb_set(summary::jsonb, '{verdict,left,look}', '999')::json`;
    const looks = async () =>
      new Set((await summariesFor(ines)).map(({ verdict }) => verdict.left.look));
    // What this program kept is taken as it stands.
    await b.source.query(`UPDATE unit SET ${spoil}`);
    expect(await looks()).toEqual(new Set([999]));
    await b.source.query(
      `UPDATE unit SET summary_for = revision || '/${today}/0123456789abcdef', ${spoil}`,
    );
    expect(await summariesFor(ines)).toEqual(before);
  });
});
