import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  emptyRecord,
  entryOf,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import {
  afterConflict,
  fieldOf,
  keepMine,
  queued,
  withWaiting,
  type WaitingEdit,
} from '@fair-gable/core/yard/outbox';

const at = '2026-04-15T09:00:00.000Z';
const unit = 'unit-1';

const spec = (key: 'gvwr' | 'uvw' | 'ccc', amount: number | null, basedOn: number): Change => ({
  part: 'specs',
  key,
  value: amount === null ? null : { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});

let made = 0;
const edit = (changes: readonly Change[], more: Partial<WaitingEdit> = {}): WaitingEdit => ({
  id: `edit-${++made}`,
  unit,
  changes,
  what: 'GVWR',
  by: 'Ines',
  at,
  tried: false,
  ...more,
});

const amounts = (waiting: readonly WaitingEdit[]) =>
  waiting.map(({ changes }) =>
    changes.map((c) => [c.key, (c.value as { amount: number } | null)?.amount, c.basedOn]),
  );

describe('edits that wait on a device', () => {
  it('replace one another while none was sent, on the version of the first', () => {
    const first = queued([], edit([spec('gvwr', 7000, 3)]));
    const second = queued(first, edit([spec('gvwr', 7100, 4)]));
    expect(amounts(second)).toEqual([[['gvwr', 7100, 3]]]);
    expect(amounts(first)).toEqual([[['gvwr', 7000, 3]]]);
  });

  it('come after one that was sent, for it may have arrived', () => {
    const sent = [edit([spec('gvwr', 7000, 3)], { tried: true })];
    expect(amounts(queued(sent, edit([spec('gvwr', 7100, 4)])))).toEqual([
      [['gvwr', 7000, 3]],
      [['gvwr', 7100, 4]],
    ]);
  });

  it('keep the other fields of an edit, and other units, as they are', () => {
    const waiting = [
      edit([spec('gvwr', 7000, 0), spec('uvw', 5000, 0)]),
      edit([spec('gvwr', 1, 0)], { unit: 'unit-2' }),
    ];
    const next = queued(waiting, edit([spec('gvwr', 7100, 1)]));
    expect(amounts(next)).toEqual([[['uvw', 5000, 0]], [['gvwr', 1, 0]], [['gvwr', 7100, 0]]]);
  });

  it('are shown on top of what the server confirmed', () => {
    const confirmed = applyChange(emptyRecord, spec('gvwr', 7000, 0), 'Osk', at);
    const waiting = [edit([spec('uvw', 5000, 0)]), edit([spec('gvwr', null, 1)])];
    const shown = withWaiting(confirmed, unit, waiting);
    expect(shown.specs.uvw).toMatchObject({ by: 'Ines', version: 1 });
    expect(shown.specs.gvwr).toBeUndefined();
    expect(withWaiting(confirmed, 'unit-2', waiting)).toBe(confirmed);
  });
});

describe('a field that somebody else changed first', () => {
  const theirs = {
    value: { kind: 'quantity', amount: 9 },
    how: 'told',
    by: 'Osk',
    at,
    version: 7,
  } as const;
  const conflict = { part: 'specs', key: 'gvwr', theirs } as const;

  it('leaves the queue with all that was built on it; the rest of the edit is sent again', () => {
    const refused = edit([spec('gvwr', 7000, 3), spec('uvw', 5000, 0)], { tried: true });
    const later = edit([spec('gvwr', 7200, 4), spec('ccc', 10, 0)]);
    const { waiting, clashes } = afterConflict([refused, later], refused, [conflict], 'new-id');
    expect(amounts(waiting)).toEqual([[['uvw', 5000, 0]], [['ccc', 10, 0]]]);
    expect(waiting[0]).toMatchObject({ id: 'new-id', tried: false });
    expect(clashes).toEqual([{ unit, change: spec('gvwr', 7200, 4), at }]);
  });

  it('is settled for one’s own value over whatever is there now', () => {
    const clash = { unit, change: spec('gvwr', 7200, 4), at };
    expect(keepMine(clash, theirs).basedOn).toBe(7);
    expect(keepMine(clash, undefined).basedOn).toBe(0);
  });
});

describe('any way of editing without a network', () => {
  /** The server: takes an edit whose fields are at the versions it was based on. */
  const take = (record: UnitRecord, { changes }: WaitingEdit): UnitRecord | undefined => {
    const isFresh = changes.every(
      (c) => (entryOf(record, c.part, c.key)?.version ?? 0) === c.basedOn,
    );
    return isFresh ? changes.reduce((r, c) => applyChange(r, c, 'Ines', at), record) : undefined;
  };

  it('arrives as shown, whatever was edited in which order, and however often it was cut', () => {
    const step = fc.record({
      key: fc.constantFrom('gvwr', 'uvw', 'ccc' as const),
      amount: fc.integer({ min: 1, max: 9 }),
      sentMeanwhile: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 20 }), (steps) => {
        let server = applyChange(emptyRecord, spec('gvwr', 5, 0), 'Osk', at);
        let waiting: readonly WaitingEdit[] = [];
        const send = (): void => {
          for (const each of waiting) {
            const next = take(server, each);
            expect(next).toBeDefined();
            server = next ?? server;
          }
          waiting = [];
        };
        for (const { key, amount, sentMeanwhile } of steps) {
          const shown = withWaiting(server, unit, waiting);
          const basedOn = entryOf(shown, 'specs', key)?.version ?? 0;
          waiting = queued(waiting, edit([spec(key as 'gvwr', amount, basedOn)]));
          expect(new Set(waiting.flatMap((w) => w.changes.map(fieldOf))).size).toBe(
            waiting.flatMap((w) => w.changes).length,
          );
          if (sentMeanwhile) send();
        }
        const shown = withWaiting(server, unit, waiting);
        send();
        const values = (r: UnitRecord) =>
          Object.entries(r.specs)
            .map(([k, e]) => [k, e?.value])
            .toSorted();
        expect(values(server)).toEqual(values(shown));
      }),
      { seed: 20261125, numRuns: 300 },
    );
  });
});
