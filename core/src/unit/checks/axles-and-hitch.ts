import { percent } from '../../base/words/index.ts';
import { amountOf, countedOf, type UnitRecord } from '../record/index.ts';
import type { Counted, System } from '../../base/quantity/index.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, pounds, withReason } from './ways.ts';

/** Most of the loaded weight that may rest on a bumper-pull hitch: common practice, 10–15%. */
const largestShare = 0.15;

interface Given {
  readonly gvwr: number;
  readonly axles: Counted;
  readonly uvw: number | undefined;
  readonly hitch: number | undefined;
}

/** One more axle, when that alone would make the ratings agree. */
const oneMore = (given: Given): Counted | undefined => {
  const more = { count: given.axles.count + 1, each: given.axles.each };
  const share = (given.gvwr - more.count * more.each) / given.gvwr;
  return share <= largestShare && share > -largestShare ? more : undefined;
};

const finding = (record: UnitRecord, given: Given, system: System): RuleFinding | undefined => {
  const axles = given.axles.count * given.axles.each;
  const needed = given.gvwr - axles;
  if (needed <= 0) return undefined;
  const share = needed / given.gvwr;
  const base = `GAWR adds up to ${pounds(axles, system)} (${given.axles.count} × ${pounds(given.axles.each, system)}), but GVWR is ${pounds(given.gvwr, system)}. Fully loaded, at least ${pounds(needed, system)} (${percent(share)}) has to sit on the hitch.`;
  const more = share > largestShare ? oneMore(given) : undefined;
  const ways = [
    ...(more ? [enter(record, 'axleRating', { kind: 'counted', ...more }, system)] : []),
    goTo('axleRating'),
    goTo('gvwr'),
    withReason(),
  ];
  if (share > largestShare) {
    return {
      field: 'axleRating',
      severity: 'wrong',
      title: 'GAWR doesn’t cover GVWR',
      sentence: `${base} That’s over the 15% a hitch should take. Read both ratings again, and count the axles.`,
      ways,
    };
  }
  return given.uvw && given.hitch
    ? againstBuilt(given.hitch / given.uvw, share, base)
    : asksForWeights(given, base);
};

/** Whether the hitch takes so much nobody can say while it is not known what it takes. */
const asksForWeights = ({ uvw, hitch }: Given, base: string): RuleFinding => {
  const unknown: readonly ('hitchWeight' | 'uvw')[] = [
    ...(hitch ? [] : (['hitchWeight'] as const)),
    ...(uvw ? [] : (['uvw'] as const)),
  ];
  const names = unknown.map((key) => (key === 'uvw' ? 'UVW' : 'hitch weight'));
  return {
    field: 'axleRating',
    severity: 'look',
    title: 'GVWR relies on the hitch',
    sentence: `${base} Read the ${names.join(' and the ')} to see whether it does, or weigh it loaded.`,
    ways: [...unknown.map((key) => goTo(key)), goTo('axleRating'), withReason()],
  };
};

const againstBuilt = (builtShare: number, share: number, base: string): RuleFinding | undefined => {
  if (share <= builtShare) return undefined;
  return {
    field: 'axleRating',
    severity: 'doubtful',
    title: 'GVWR relies on the hitch',
    sentence: `${base} Dry, it’s ${percent(builtShare)}. Load it nose-heavy and weigh it before anyone uses the full GVWR.`,
    ways: [goTo('hitchWeight'), goTo('axleRating'), withReason()],
  };
};

const givenOf = (record: UnitRecord): Given | undefined => {
  const gvwr = amountOf(record, 'gvwr');
  const axles = countedOf(record, 'axleRating');
  if (gvwr === undefined || !axles) return undefined;
  return { gvwr, axles, uvw: amountOf(record, 'uvw'), hitch: amountOf(record, 'hitchWeight') };
};

/** Axle ratings plus the hitch's loaded share against the GVWR. */
export const axlesAndHitch: Rule = {
  key: 'axles-and-hitch',
  about: 'GAWR and a normal hitch weight add up to GVWR',
  needs: ['gvwr', 'axleRating', 'uvw', 'hitchWeight'],
  doubts: ['gvwr', 'axleRating'],
  source: 'Sum of GAWR + hitch at GVWR ≥ GVWR, hitch 10–15% of loaded weight: common practice',
  test: (record, { system }) => {
    const given = givenOf(record);
    const found = given && finding(record, given, system);
    return found ? [found] : [];
  },
};
