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
  about: 'UVW is below GVWR',
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
        title: 'UVW is over GVWR',
        sentence: `UVW is ${pounds(uvw, system)}, but GVWR is ${pounds(gvwr, system)}. Were they swapped? Read both labels again.`,
        also: ['gvwr'],
      }),
    ];
  },
};

const hitchShare: Rule = {
  key: 'hitch-share',
  about: 'Hitch weight is a normal share of UVW',
  needs: ['hitchWeight', 'uvw'],
  doubts: ['hitchWeight', 'uvw'],
  source:
    '10–15% of the loaded weight for a bumper pull; 8–18% of UVW is usual dry: common practice',
  test: (record, { system }) => {
    const [hitch, uvw] = [amountOf(record, 'hitchWeight'), amountOf(record, 'uvw')];
    if (!hitch || !uvw) return [];
    const share = hitch / uvw;
    if (share >= 0.08 && share <= 0.18) return [];
    return [
      asFinding({
        field: 'hitchWeight',
        severity: share < 0.05 || share > 0.25 ? 'wrong' : 'doubtful',
        title: share < 0.08 ? 'Hitch weight is very light' : 'Hitch weight is very heavy',
        sentence: `Hitch weight is ${pounds(hitch, system)}, ${percent(share)} of the ${pounds(uvw, system)} UVW. Dry, 8 to 18% is usual. Weigh the hitch before anybody tows it.`,
        also: ['uvw'],
      }),
    ];
  },
};

const capacityWithWater: Rule = {
  key: 'capacity-with-water',
  about: 'With full water there’s still cargo capacity left',
  needs: ['ccc', 'freshTank', 'heaterTank'],
  source: 'Water counts as cargo: 49 CFR 571.110 S9.3, from memory; 300 lb left: common practice',
  test: (record, { system }) => {
    const ccc = amountOf(record, 'ccc');
    const fresh = amountOf(record, 'freshTank');
    if (ccc === undefined || fresh === undefined) return [];
    const gallons = fresh + (amountOf(record, 'heaterTank') ?? 0);
    const left = ccc - gallons * poundsPerGallon;
    if (left >= 300) return [];
    const water = `Full water weighs ${pounds(gallons * poundsPerGallon, system)}, and CCC is ${pounds(ccc, system)}`;
    return [
      asFinding({
        field: 'ccc',
        severity: left < 0 ? 'doubtful' : 'look',
        title: left < 0 ? 'Full water is over CCC' : 'Full water takes most of CCC',
        sentence:
          left < 0
            ? `${water}: don’t fill it all the way. Read both again.`
            : `${water}. That leaves ${pounds(left, system)} for gear. Tell a family so.`,
        also: ['freshTank'],
      }),
    ];
  },
};

const labelWater: Rule = {
  key: 'label-water',
  about: 'The label’s water weight matches the tanks',
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
        title: 'Label and tanks disagree on water',
        sentence: `The label counts ${pounds(label, system)} of water, but the tanks hold ${pounds(computed, system)}. Was a tank misread, or the heater left out?`,
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
        sentence: `${words.what} is rated for ${pounds(rating, system)}, but it may have to take ${wanted}. Don’t tow it like this; go by the maker’s labels.`,
        also: ['gvwr'],
      }),
    ];
  },
});

/** The heaviest trailers that balls of a size usually carry, lb: common practice; the stamp decides. */
const ballLimits: Readonly<Record<string, number>> = { '1-7-8': 2000, '2': 8000 };

const ballSize: Rule = {
  key: 'ball-size',
  about: 'Ball size fits the GVWR',
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
        title: 'Ball size is small for this weight',
        sentence: `Balls this size usually carry up to ${pounds(limit, system)}, but GVWR is ${pounds(gvwr, system)}. Read the stamp on the coupler again.`,
        also: ['gvwr'],
      }),
    ];
  },
};

const singleAxle: Rule = {
  key: 'single-axle-weight',
  about: 'A single-axle trailer isn’t heavier than those get',
  needs: ['axleRating', 'uvw'],
  source: 'Single axles up to about 4,200 lb dry: common practice',
  test: (record, { system }) => {
    const axles = howMany(record, 'axleRating');
    const uvw = amountOf(record, 'uvw');
    if (axles !== 1 || uvw === undefined || uvw <= 4200) return [];
    return [
      asFinding({
        field: 'axleRating',
        severity: 'doubtful',
        title: 'UVW is heavy for one axle',
        sentence: `UVW is ${pounds(uvw, system)} on 1 axle; single-axle trailers top out at about ${pounds(4200, system)}. Count the axles again.`,
        also: ['uvw'],
      }),
    ];
  },
};

const ratings: readonly SpecKey[] = ['gvwr', 'uvw', 'ccc', 'axleRating', 'coldPressure'];

const ratingsByLabel: Rule = {
  key: 'ratings-by-label',
  about: 'Safety ratings are read off the label',
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
        title: 'Rating not read off the label',
        sentence: `${manyAre(poor.length, 'rating')} only told or guessed: ${names}. Read the label before you tell anybody what can tow it.`,
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
    title: 'Weight added here isn’t added up',
    sentence: `${count} heavy things were added here. Past the lesser of 100 lb or 1.5% of GVWR, the weight label has to be corrected before the first sale. Add them up.`,
    also: ['fittedWeight'],
  });

const overTheLine = (fitted: number, line: number, system: System): RuleFinding =>
  asFinding({
    field: 'weightCorrection',
    severity: 'wrong',
    title: 'Weight label needs a correction',
    sentence: `We added ${pounds(fitted, system)} here, and the limit is ${pounds(line, system)}. Correct the weight label before the first sale; go by the rule in force.`,
    also: ['fittedWeight'],
  });

const labelAfterFitting: Rule = {
  key: 'weight-label-after-fitting',
  about: 'The weight label is corrected where enough was added here',
  needs: ['weightCorrection', 'fittedWeight', 'gvwr', 'condition', ...heavyThings],
  source: 'The lesser of 100 lb or 1.5% of GVWR: 49 CFR 571.110 S10, from memory',
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
  about: 'The breakaway switch has a battery',
  needs: ['breakaway', 'battery'],
  source: '49 CFR 393.43, from memory',
  test: (record) => {
    if (!hasFeature(record, 'breakaway')) return [];
    if (record.features.battery?.value.state !== 'none') return [];
    return [
      asFinding({
        field: 'battery',
        severity: 'doubtful',
        title: 'Breakaway switch has no battery',
        sentence:
          'The breakaway brakes run on a 12 V battery, and there isn’t one. Don’t tow it until there is.',
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
    about: 'The coupler is rated for GVWR',
    title: 'Coupler rating is below GVWR',
    what: 'The coupler',
  }),
  atLeast('jack-rating', 'jackRating', 0.15, {
    about: 'The tongue jack can lift the loaded hitch',
    title: 'Tongue jack rating is too low',
    what: 'The tongue jack',
  }),
  ballSize,
  singleAxle,
  ratingsByLabel,
  labelAfterFitting,
  breakawayPower,
];
