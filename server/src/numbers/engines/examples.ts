import type { Example } from '../../base/app/index.ts';

const known = (amount: number) => ({ amount, how: 'read' });
const outcome = {
  steps: [{ what: 'All of them', arithmetic: '4 × 2,150 lb = 8,600 lb' }],
  assumptions: ['Every tire carries the same.'],
  source: 'common practice',
  confidence: 'stated',
  missing: [],
  sentence: 'They carry 8,600 lb, 23% more than lies on them.',
};

/** What each engine is given and says, by its key. */
export const examples = {
  weight: {
    body: {
      uvw: known(5200),
      hitch: known(640),
      axle: known(216),
      gvwr: known(7490),
      items: [{ key: 'front', label: 'Front store', weight: known(250), back: known(84) }],
    },
    answer: {
      ...outcome,
      value: {
        total: 5450,
        hitch: 792.8,
        axles: 4657.2,
        share: 0.1455,
        limits: [{ key: 'gross', label: 'GVWR', used: 5450, rating: 7490, left: 2040 }],
        first: 'gross',
        left: 2040,
        lightest: { share: 0.1455, full: [] },
        heaviest: { share: 0.1455, full: [] },
      },
    },
  },
  tow: {
    body: { loaded: known(6516), share: known(0.132), payload: known(1700), reserve: 0.2 },
    answer: {
      ...outcome,
      value: {
        hitch: 860,
        share: 0.132,
        limits: [],
        unchecked: [],
        taken: 'loaded',
        as: 'as loaded here',
        largest: 10_303,
        binding: 'payload',
        fits: true,
        least: { payload: 1075, towRating: 8145, receiver: 1075 },
        schools: [{ reserve: 0, fits: true, binding: 'payload', largest: 12_879 }],
      },
    },
  },
  tires: {
    body: { each: known(2150), gawr: known(7000), count: 4 },
    answer: { ...outcome, value: { each: 2150, all: 8600, reserve: 0.2286, enough: true } },
  },
  water: {
    body: { fresh: known(47), gray: known(34), people: 2, style: 'usual' },
    answer: {
      ...outcome,
      value: { nights: 2, days: 2.83, first: 'gray', tanks: [], saved: 0.57 },
    },
  },
  'cargo-label': {
    body: { gvwr: known(7490), uvw: known(5572), ccc: known(1858), propane: known(60) },
    answer: {
      ...outcome,
      value: {
        left: 1918,
        difference: 60,
        agrees: false,
        explained: [{ words: 'full propane cylinders', pounds: 60 }],
        line: 100,
        toLine: 100,
        rule: '49 CFR 571.110 S9–S10',
      },
    },
  },
  scale: {
    body: { vehicle: known(5760), together: known(12_120), trailerAxles: known(5540) },
    answer: {
      ...outcome,
      value: { total: 6360, hitch: 820, axles: 5540, share: 0.1289, limits: [] },
    },
  },
  drag: {
    body: {
      height: known(118),
      width: known(96),
      otherHeight: known(130),
      otherWidth: known(96),
      speed: 60,
    },
    answer: { ...outcome, value: { force: 576, other: 634, saved: 0.0923 } },
  },
} as const satisfies Readonly<Record<string, Example>>;
