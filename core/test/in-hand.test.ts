import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { claimsIn, withClaimMended } from '@fair-gable/core/show/claims';
import {
  hasCards,
  readyNeeds,
  usualWishes,
  withCards,
  withoutCards,
  withReady,
} from '@fair-gable/core/show/plan';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { listedAt, roundOf, type AtStop } from '@fair-gable/core/unit/round';
import { legs, movedLeg, usualRoute } from '@fair-gable/core/unit/route';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const untouched: AtStop = { later: [], all: false };

describe('a stop’s list', () => {
  const stops = demoFiles.flatMap(({ record }) => roundOf(record));

  it('has every step once, or counts it among what more could be looked at', () => {
    for (const { steps } of stops) {
      for (const all of [false, true]) {
        const { ahead, behind, more } = listedAt(steps, { ...untouched, all });
        const ids = [...ahead, ...behind].map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(ids.length + more).toBe(steps.length);
        expect(behind.every(({ state }) => state === 'seen')).toBe(true);
        if (all) expect(more).toBe(0);
      }
    }
  });

  it('begins with what is in hand: what was gone to, else the first that was not put off', () => {
    const steps = roundOf(emptyRecord)[0]?.steps ?? [];
    const [first, second, third] = listedAt(steps, untouched).wanted;
    expect(listedAt(steps, untouched).ahead[0]).toBe(first);
    expect(listedAt(steps, { ...untouched, later: [first!.id] }).current).toBe(second);
    const goneTo = listedAt(steps, { ...untouched, later: [first!.id], chosen: third!.id });
    expect(goneTo.ahead[0]).toBe(third);
    // What is put off stays in the list.
    expect(goneTo.ahead).toContain(first);
  });

  it('comes back to what was put off when nothing else is left', () => {
    const steps = roundOf(emptyRecord)[0]?.steps ?? [];
    const later = listedAt(steps, untouched).wanted.map(({ id }) => id);
    const { current, wanted } = listedAt(steps, { ...untouched, later });
    expect(current).toBe(wanted[0]);
    expect(current).toBeDefined();
  });

  it('has nothing in hand where all that is wanted was seen, and shows what is gone to all the same', () => {
    const seen = roundOf(emptyRecord)[0]!.steps.map(
      (step) => ({ ...step, state: 'seen' }) as const,
    );
    expect(listedAt(seen, untouched).current).toBeUndefined();
    const { current, ahead, behind } = listedAt(seen, { ...untouched, chosen: seen[0]!.id });
    expect(current).toBe(seen[0]);
    expect(ahead).toEqual([seen[0]]);
    expect(behind).not.toContain(seen[0]);
  });
});

describe('what is wished of a walk', () => {
  const cards = ['specs.gvwr', 'specs.uvw', 'features.awning'];

  it('has no card in and out at once, whatever is wished after what', () => {
    const wish = fc.record({ ids: fc.subarray(cards, { minLength: 1 }), isIn: fc.boolean() });
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 12 }), (all) => {
        const after = all.reduce((w, { ids, isIn }) => withCards(w, ids, isIn), usualWishes);
        const both = [...after.pinned, ...after.dropped];
        expect(new Set(both).size).toBe(both.length);
        const last = all.at(-1);
        for (const id of last?.ids ?? []) {
          expect((last?.isIn ? after.pinned : after.dropped).includes(id)).toBe(true);
        }
        expect(hasCards(after)).toBe(both.length > 0);
        expect(hasCards(withoutCards(after))).toBe(false);
      }),
    );
  });

  it('says a thing ready, and no longer, and touches nothing else', () => {
    expect(readyNeeds.toSorted()).toEqual(['awning', 'power', 'slide']);
    const out = withReady(withReady(usualWishes, 'slide'), 'power');
    expect(out.ready).toEqual(['slide', 'power']);
    expect(withReady(out, 'slide')).toEqual({ ...usualWishes, ready: ['power'] });
  });
});

describe('a part of a route', () => {
  it('goes where it is moved, and the others keep their order', () => {
    const last = usualRoute.legs.length - 1;
    expect(movedLeg(usualRoute, 0, last).legs.at(-1)).toBe(usualRoute.legs[0]);
    fc.assert(
      fc.property(fc.nat(last), fc.nat(last), (from, to) => {
        const { legs: after } = movedLeg(usualRoute, from, to);
        const leg = usualRoute.legs[from]!;
        expect(after[to]).toBe(leg);
        expect(after.filter((l) => l !== leg)).toEqual(usualRoute.legs.filter((l) => l !== leg));
        expect(after.length).toBeLessThanOrEqual(legs.length);
      }),
    );
  });

  it('stays where there is no such place', () => {
    expect(movedLeg(usualRoute, 0, -1)).toBe(usualRoute);
    expect(movedLeg(usualRoute, 0, usualRoute.legs.length)).toBe(usualRoute);
    expect(movedLeg(usualRoute, 99, 0)).toBe(usualRoute);
  });
});

describe('a claim that does not hold', () => {
  const record = demoRecord('TQ-0417');
  const asked = { record, stock: [], system: us.system };

  it('is put in other words where it stands, and the rest is as written', () => {
    const text = 'Look at it. It has a four-season package, and bunks.';
    const [claim] = claimsIn(text, asked);
    expect(claim?.grade).not.toBe('holds');
    const mended = withClaimMended(text, claim!);
    expect(mended.startsWith(text.slice(0, claim!.at).trim())).toBe(true);
    expect(mended).toContain(claim!.instead);
    expect(mended).toContain('and bunks.');
    expect(mended).not.toContain(claim!.words);
  });
});
