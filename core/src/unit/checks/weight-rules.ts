import { inText, listed, percent } from '../../base/words/index.ts';
import { labelLine } from '../cargo-label/index.ts';
import { specEntry, type SpecKey } from '../catalog/index.ts';
import { labelPoundsPerGallon, poundsPerGallon, type System } from '../../base/quantity/index.ts';
import { amountOf, howMany, hasFeature, howOf, textOf } from '../record/index.ts';
import { manyAre, asFinding } from './as-finding.ts';
import type { RuleFinding, Rule } from './types.ts';
import { pounds } from './ways.ts';

const emptyOverGross: Rule = {
  key: 'empty-over-gross',
  about: 'The UVW is below the GVWR',
  needs: ['uvw', 'gvwr'],
  doubts: ['uvw', 'gvwr'],
  source: 'By definition of the two',
  test: (record, { system }) => {
    const [uvw, gvwr] = [amountOf(record, 'uvw'), amountOf(record, 'gvwr')];
    if (uvw === undefined || gvwr === undefined || uvw < gvwr) return [];
    return [
      asFinding({
        field: 'uvw',
        severity: 'wrong',
        title: 'Heavier empty than it may be full',
        sentence: `As built ${pounds(uvw, system)}, and it may weigh ${pounds(gvwr, system)}: the two were swapped, or one is misread.`,
        also: ['gvwr'],
      }),
    ];
  },
};

const hitchShare: Rule = {
  key: 'hitch-share',
  about: 'The hitch weight is a sensible share of the UVW',
  needs: ['hitchWeight', 'uvw'],
  doubts: ['hitchWeight', 'uvw'],
  source: '10–15% of the loaded weight for a bumper pull; as built 8–18% is usual: common practice',
  test: (record, { system }) => {
    const [hitch, uvw] = [amountOf(record, 'hitchWeight'), amountOf(record, 'uvw')];
    if (!hitch || !uvw) return [];
    const share = hitch / uvw;
    if (share >= 0.08 && share <= 0.18) return [];
    return [
      asFinding({
        field: 'hitchWeight',
        severity: share < 0.05 || share > 0.25 ? 'wrong' : 'doubtful',
        title: share < 0.08 ? 'Very light on the hitch' : 'Very heavy on the hitch',
        sentence: `${pounds(hitch, system)} on the hitch is ${percent(share)} of ${pounds(uvw, system)}; as built 8 to 18% is usual. Weigh it before anybody tows it.`,
        also: ['uvw'],
      }),
    ];
  },
};

const capacityWithWater: Rule = {
  key: 'capacity-with-water',
  about: 'With full water something may still be loaded',
  needs: ['ccc', 'freshTank', 'heaterTank'],
  source: 'Water counts as cargo: 49 CFR 571.110 S9.3, from memory; 300 lb left: common practice',
  test: (record, { system }) => {
    const ccc = amountOf(record, 'ccc');
    const fresh = amountOf(record, 'freshTank');
    if (ccc === undefined || fresh === undefined) return [];
    const gallons = fresh + (amountOf(record, 'heaterTank') ?? 0);
    const left = ccc - gallons * poundsPerGallon;
    if (left >= 300) return [];
    const water = `Full water weighs ${pounds(gallons * poundsPerGallon, system)} of the ${pounds(ccc, system)} that may be loaded`;
    return [
      asFinding({
        field: 'ccc',
        severity: left < 0 ? 'doubtful' : 'look',
        title: left < 0 ? 'Full water is already too much' : 'Little is left beside full water',
        sentence:
          left < 0
            ? `${water}: it may not be filled. Read both again.`
            : `${water}, so ${pounds(left, system)} remain for people’s things. Say so to a family.`,
        also: ['freshTank'],
      }),
    ];
  },
};

const labelWater: Rule = {
  key: 'label-water',
  about: 'The label’s weight of water goes with the tanks',
  needs: ['labelWater', 'freshTank', 'heaterTank'],
  source: '8.3 lb per gallon on the label: 49 CFR 571.110 S9.3, from memory',
  test: (record, { system }) => {
    const label = amountOf(record, 'labelWater');
    const fresh = amountOf(record, 'freshTank');
    if (label === undefined || fresh === undefined) return [];
    const gallons = fresh + (amountOf(record, 'heaterTank') ?? 0);
    const computed = gallons * labelPoundsPerGallon;
    if (Math.abs(label - computed) <= Math.max(0.05 * computed, 10)) return [];
    return [
      asFinding({
        field: 'labelWater',
        severity: 'doubtful',
        title: 'The label’s water is not that of the tanks',
        sentence: `The label counts ${pounds(label, system)} of water; the tanks hold ${pounds(computed, system)}. Is a tank misread, or the heater left out?`,
        also: ['freshTank', 'heaterTank'],
      }),
    ];
  },
};

const atLeast = (
  key: string,
  field: SpecKey,
  share: number,
  words: { readonly about: string; readonly title: string; readonly what: string },
): Rule => ({
  key,
  about: words.about,
  needs: [field, 'gvwr'],
  source:
    share === 1
      ? 'The lowest rating decides: common practice'
      : 'Hitch up to 15% of the GVWR: common practice',
  test: (record, { system }) => {
    const [rating, gvwr] = [amountOf(record, field), amountOf(record, 'gvwr')];
    if (rating === undefined || gvwr === undefined || rating >= gvwr * share) return [];
    const wanted =
      share === 1
        ? pounds(gvwr, system)
        : `${pounds(gvwr * share, system)}, ${percent(share)} of ${pounds(gvwr, system)}`;
    return [
      asFinding({
        field,
        severity: share === 1 ? 'wrong' : 'doubtful',
        title: words.title,
        sentence: `${words.what} is rated ${pounds(rating, system)}, and ${wanted} may come on it. Not to be towed so; the maker’s labels decide.`,
        also: ['gvwr'],
      }),
    ];
  },
});

/** The heaviest trailers that balls of a size usually carry, lb: common practice; the stamp decides. */
const ballLimits: Readonly<Record<string, number>> = { '1-7-8': 2000, '2': 8000 };

const ballSize: Rule = {
  key: 'ball-size',
  about: 'The ball’s size goes with the GVWR',
  needs: ['ballSize', 'gvwr'],
  source: '1 ⅞ in to about 2,000 lb, 2 in to about 8,000 lb: common practice; the stamp decides',
  test: (record, { system }) => {
    const size = textOf(record, 'ballSize') ?? '';
    const gvwr = amountOf(record, 'gvwr');
    const limit = ballLimits[size];
    if (gvwr === undefined || limit === undefined || gvwr <= limit) return [];
    return [
      asFinding({
        field: 'ballSize',
        severity: 'doubtful',
        title: 'A small ball for this weight',
        sentence: `Balls of this size usually carry up to ${pounds(limit, system)}; this trailer may weigh ${pounds(gvwr, system)}. Read the stamp on the coupler again.`,
        also: ['gvwr'],
      }),
    ];
  },
};

const singleAxle: Rule = {
  key: 'single-axle-weight',
  about: 'A single-axle trailer is not heavier than those are built',
  needs: ['axleRating', 'uvw'],
  source: 'Single axles to about 4,200 lb as built: common practice',
  test: (record, { system }) => {
    const axles = howMany(record, 'axleRating');
    const uvw = amountOf(record, 'uvw');
    if (axles !== 1 || uvw === undefined || uvw <= 4200) return [];
    return [
      asFinding({
        field: 'axleRating',
        severity: 'doubtful',
        title: 'Heavy for one axle',
        sentence: `${pounds(uvw, system)} as built on 1 axle; single-axle trailers end at about ${pounds(4200, system)}. Was the second axle counted?`,
        also: ['uvw'],
      }),
    ];
  },
};

const ratings: readonly SpecKey[] = ['gvwr', 'uvw', 'ccc', 'axleRating', 'coldPressure'];

const ratingsByLabel: Rule = {
  key: 'ratings-by-label',
  about: 'Ratings that people’s safety rests on are read off the label',
  needs: ratings,
  source: 'Common practice',
  test: (record) => {
    const poor = ratings.filter((key) => ['told', 'guessed'].includes(howOf(record, key) ?? ''));
    const [first] = poor;
    if (!first) return [];
    const names = listed(poor.map((key) => inText(specEntry(key).label)));
    return [
      asFinding({
        field: first,
        severity: 'doubtful',
        title: 'A rating nobody read',
        sentence: `${manyAre(poor.length, 'rating')} only told or guessed: ${names}. Read the label before anybody is told what tows it.`,
        also: poor.slice(1),
      }),
    ];
  },
};

/** What alone or with another brings the sum over the line: common practice. */
const heavyThings = [
  'battery',
  'solar',
  'secondAc',
  'roofRack',
  'generatorPrep',
  'frontTray',
] as const;

const addUp = (count: number): RuleFinding =>
  asFinding({
    field: 'weightCorrection',
    severity: 'look',
    title: 'Add up what was fitted here',
    sentence: `${count} heavy things were fitted here. More than 100 lb, or 1.5% of the rating, asks for a corrected weight label before the first sale.`,
    also: ['fittedWeight'],
  });

const overTheLine = (fitted: number, line: number, system: System): RuleFinding =>
  asFinding({
    field: 'weightCorrection',
    severity: 'wrong',
    title: 'Fitted here past the label’s line',
    sentence: `${pounds(fitted, system)} were fitted here; past ${pounds(line, system)} the weight label is corrected before the first sale, and this unit has no correction. The rule in force decides.`,
    also: ['fittedWeight'],
  });

const labelAfterFitting: Rule = {
  key: 'weight-label-after-fitting',
  about: 'Where much was fitted here, the weight label was corrected or the sum is below the line',
  needs: ['weightCorrection', 'fittedWeight', 'gvwr', 'condition', ...heavyThings],
  source: 'The lesser of 100 lb or 1.5% of the rating: 49 CFR 571.110 S10, from memory',
  test: (record, { system }) => {
    const isSold = textOf(record, 'condition') === 'used';
    if (hasFeature(record, 'weightCorrection') || isSold) return [];
    const fitted = amountOf(record, 'fittedWeight');
    const gvwr = amountOf(record, 'gvwr');
    if (fitted !== undefined && gvwr !== undefined) {
      const line = labelLine(gvwr);
      return fitted > line ? [overTheLine(fitted, line, system)] : [];
    }
    const heavy = heavyThings.filter((key) => record.features[key]?.value.state === 'ours');
    return heavy.length < 2 || record.features.weightCorrection ? [] : [addUp(heavy.length)];
  },
};

const breakawayPower: Rule = {
  key: 'breakaway-power',
  about: 'A breakaway switch has a battery to brake with',
  needs: ['breakaway', 'battery'],
  source: '49 CFR 393.43, from memory',
  test: (record) => {
    if (!hasFeature(record, 'breakaway')) return [];
    if (record.features.battery?.value.state !== 'none') return [];
    return [
      asFinding({
        field: 'battery',
        severity: 'doubtful',
        title: 'A breakaway switch without a battery',
        sentence:
          'The breakaway switch brakes from a 12 V battery, and there is none: not to be towed so.',
        also: ['breakaway'],
      }),
    ];
  },
};

export const weightRules: readonly Rule[] = [
  emptyOverGross,
  hitchShare,
  capacityWithWater,
  labelWater,
  atLeast('coupler-rating', 'couplerRating', 1, {
    about: 'The coupler is rated for the gross weight',
    title: 'The coupler is too weak',
    what: 'The coupler',
  }),
  atLeast('jack-rating', 'jackRating', 0.15, {
    about: 'The jack lifts the loaded hitch',
    title: 'The jack is too weak',
    what: 'The tongue jack',
  }),
  ballSize,
  singleAxle,
  ratingsByLabel,
  labelAfterFitting,
  breakawayPower,
];
