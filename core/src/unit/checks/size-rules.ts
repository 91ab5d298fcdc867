import { counted, inText } from '../../base/words/index.ts';
import { entryFor, locatedEntries, type SpecKey } from '../catalog/index.ts';
import { amountOf, hasFeature, sidesOf, textOf, type UnitRecord } from '../record/index.ts';
import { feet, inches, asFinding } from './as-finding.ts';
import type { Rule } from './types.ts';

/** Something that cannot be longer or higher than what it is part of. */
const within = (
  key: string,
  [part, whole]: readonly [SpecKey, SpecKey],
  words: { readonly about: string; readonly title: string; readonly because: string },
): Rule => ({
  key,
  about: words.about,
  needs: [part, whole],
  doubts: [part, whole],
  source: 'By definition of the two',
  test: (record, { system }) => {
    const [a, b] = [amountOf(record, part), amountOf(record, whole)];
    if (a === undefined || b === undefined || a <= b) return [];
    return [
      asFinding({
        field: part,
        severity: 'wrong',
        title: words.title,
        sentence: `${feet(a, system)} does not go into ${feet(b, system)}: ${words.because}`,
        also: [whole],
      }),
    ];
  },
});

/** Hitch and bumper together, inches. */
const usualHitch = { from: 30, to: 84 } as const;

const hitchLength: Rule = {
  key: 'hitch-length',
  about: 'What the overall length has over the box is a hitch and a bumper',
  needs: ['overallLength', 'boxLength'],
  source: 'A-frame and bumper together 2 ½ to 7 ft: common practice',
  test: (record, { system }) => {
    const [overall, box] = [amountOf(record, 'overallLength'), amountOf(record, 'boxLength')];
    if (overall === undefined || box === undefined || box >= overall) return [];
    const rest = overall - box;
    if (rest >= usualHitch.from && rest <= usualHitch.to) return [];
    return [
      asFinding({
        field: 'boxLength',
        severity: 'doubtful',
        title: 'An odd length of hitch',
        sentence: `${feet(overall, system)} overall less a box of ${feet(box, system)} leaves ${feet(rest, system)} for hitch and bumper; ${feet(usualHitch.from, system)} to ${feet(usualHitch.to, system)} is usual.`,
        also: ['overallLength'],
      }),
    ];
  },
};

const heights: Rule = {
  key: 'height-inside-out',
  about: 'Outside height and inside height leave a floor, a roof and wheels',
  needs: ['heightWithAc', 'insideHeight'],
  doubts: ['heightWithAc', 'insideHeight'],
  source: 'Outside less inside 2 to 5 ½ ft: common practice',
  test: (record, { system }) => {
    const [outside, inside] = [amountOf(record, 'heightWithAc'), amountOf(record, 'insideHeight')];
    if (outside === undefined || inside === undefined) return [];
    const rest = outside - inside;
    if (rest >= 24 && rest <= 66) return [];
    return [
      asFinding({
        field: 'heightWithAc',
        severity: rest < 0 ? 'wrong' : 'doubtful',
        title: 'Outside and inside height do not go together',
        sentence: `${feet(outside, system)} outside and ${feet(inside, system)} inside leave ${feet(Math.abs(rest), system)}${rest < 0 ? ' too little' : ''} for wheels, floor, roof and air conditioner. Measure it before a low bridge does.`,
        also: ['insideHeight'],
      }),
    ];
  },
};

/** From one step to the next, inches. */
const usualRise = { from: 5, to: 11 } as const;

const steps: Rule = {
  key: 'steps-and-floor',
  about: 'The number of steps goes with the floor’s height',
  needs: ['stepCount', 'floorHeight'],
  source: 'Rises of 5 to 11 in: common practice',
  test: (record, { system }) => {
    const count = Number(textOf(record, 'stepCount'));
    const height = amountOf(record, 'floorHeight');
    if (!count || height === undefined) return [];
    const rise = height / (count + 1);
    if (rise >= usualRise.from && rise <= usualRise.to) return [];
    return [
      asFinding({
        field: 'stepCount',
        severity: 'doubtful',
        title: 'Steps and floor do not go together',
        sentence: `${counted(count, 'step')} up to a floor at ${inches(height, system)}: rises of ${inches(rise, system)}; ${inches(usualRise.from, system)} to ${inches(usualRise.to, system)} is usual.`,
        also: ['floorHeight'],
      }),
    ];
  },
};

/** What a dome over the shower adds to its height, inches. */
const skylight = 10;

const shower: Rule = {
  key: 'shower-height',
  about: 'The shower is not much higher than the room',
  needs: ['showerHeight', 'insideHeight'],
  source: 'A skylight adds to about 10 in: common practice',
  test: (record, { system }) => {
    const [height, room] = [amountOf(record, 'showerHeight'), amountOf(record, 'insideHeight')];
    if (height === undefined || room === undefined || height <= room + skylight) return [];
    return [
      asFinding({
        field: 'showerHeight',
        severity: 'doubtful',
        title: 'A shower higher than its room',
        sentence: `${feet(height, system)} in the shower under a ceiling of ${feet(room, system)}: a skylight adds about ${inches(skylight, system)}.`,
        also: ['insideHeight'],
      }),
    ];
  },
};

const placesOf = (record: UnitRecord) =>
  locatedEntries.flatMap(({ key }) => {
    const place = record.places[key]?.value;
    return place ? [{ key, place }] : [];
  });

const onTheUnit: Rule = {
  key: 'place-on-unit',
  reads: ['places'],
  about: 'Everything is placed between coupler and bumper',
  needs: ['overallLength'],
  source: 'By definition',
  test: (record, { system }) => {
    const overall = amountOf(record, 'overallLength');
    if (overall === undefined) return [];
    return placesOf(record)
      .filter(({ place }) => place.back > overall + 6)
      .map(({ key, place }) =>
        asFinding({
          field: key,
          severity: 'wrong',
          title: 'Placed behind the trailer',
          sentence: `${feet(place.back, system)} back from the coupler, on a unit of ${feet(overall, system)}: ${inText(entryFor(key).label)} was measured from somewhere else.`,
          also: ['overallLength'],
        }),
      );
  },
};

/** Names of beds and the least length that deserves them, inches. Source: common practice. */
const bedLengths: Readonly<Record<string, { readonly wide: number; readonly long: number }>> = {
  queen: { wide: 58, long: 79 },
  king: { wide: 74, long: 79 },
};

const bedName: Rule = {
  key: 'bed-name',
  about: 'A bed called queen or king has the size',
  needs: ['bedName', 'bedSize'],
  doubts: ['bedName'],
  source: 'Queen 60 × 80 in, king 76 × 80 in: common practice',
  test: (record, { system }) => {
    const full = bedLengths[textOf(record, 'bedName') ?? ''];
    const [wide, long] = sidesOf(record, 'bedSize') ?? [];
    if (!full || wide === undefined || long === undefined) return [];
    if (wide >= full.wide && long >= full.long) return [];
    return [
      asFinding({
        field: 'bedName',
        severity: 'wrong',
        title: 'A short bed under a long name',
        sentence: `Called a full bed, and it is ${inches(wide, system)} × ${inches(long, system)}: that is a short one. Say the inches.`,
        also: ['bedSize'],
      }),
    ];
  },
};

/** A bunk this wide or wider sleeps two: common practice, inches. */
const doubleBunk = 46;

/** A bed of some kind: how many it sleeps, and whether that is only what its kind usually does. */
interface Places {
  readonly people: number;
  readonly usual?: string;
}

const bunkPlaces = (record: UnitRecord): readonly Places[] => {
  const count = Number(textOf(record, 'bunkCount') ?? 0);
  const [wide = 0] = sidesOf(record, 'bunkSize') ?? [];
  return count > 0 ? [{ people: count * (wide >= doubleBunk ? 2 : 1) }] : [];
};

/** A bed that is made of something: by its size where it was measured, else as its kind usually does. */
const converted = (
  record: UnitRecord,
  size: 'dinetteBed' | 'sofaBed',
  feature: 'dinetteConverts' | 'sofaConverts',
  name: string,
): readonly Places[] => {
  if (record.specs[size]) return [{ people: 2 }];
  return hasFeature(record, feature) ? [{ people: 2, usual: name }] : [];
};

/** Tip-outs count where they are on the unit, two ends of two each: usual, for nobody records their number. */
const tipOutPlaces = (record: UnitRecord): readonly Places[] =>
  hasFeature(record, 'tipOutBeds') ? [{ people: 4, usual: 'tip-outs' }] : [];

const placesToSleep = (record: UnitRecord): readonly Places[] => [
  ...(record.specs.bedSize || record.specs.bedName ? [{ people: 2 }] : []),
  ...converted(record, 'dinetteBed', 'dinetteConverts', 'dinette'),
  ...converted(record, 'sofaBed', 'sofaConverts', 'sofa'),
  ...bunkPlaces(record),
  ...tipOutPlaces(record),
];

const sleeps: Rule = {
  key: 'sleeps-and-beds',
  about: 'The sleeping places are those of the beds',
  needs: [
    'sleeps',
    'bedSize',
    'bedName',
    'dinetteBed',
    'dinetteConverts',
    'sofaBed',
    'sofaConverts',
    'bunkCount',
    'bunkSize',
    'tipOutBeds',
  ],
  source:
    'Two to a bed, one to a bunk, two to a bunk 46 in or wider, converted beds as their kind usually does: common practice',
  test: (record) => {
    const told = Number(textOf(record, 'sleeps'));
    const all = placesToSleep(record);
    const places = all.reduce((sum, { people }) => sum + people, 0);
    if (!told || places === 0 || told <= places) return [];
    const usual = all.flatMap((bed) => bed.usual ?? []);
    const marked = usual.length > 0 ? `, with ${usual.join(' and ')} counted as usual` : '';
    return [
      asFinding({
        field: 'sleeps',
        severity: 'doubtful',
        title: 'More sleepers than beds',
        sentence: `It’s said to sleep ${told}, and the beds on record make ${places}${marked}. Count every bed, and say which are for children.`,
        also: ['bedSize'],
      }),
    ];
  },
};

export const sizeRules: readonly Rule[] = [
  within('box-in-length', ['boxLength', 'overallLength'], {
    about: 'The box is shorter than the whole trailer',
    title: 'The box is longer than the trailer',
    because: 'one of the two was taped to another point.',
  }),
  hitchLength,
  heights,
  within('slide-in-room', ['slideHeight', 'insideHeight'], {
    about: 'The slide is not higher than the room',
    title: 'The slide is higher than the room',
    because: 'a slide goes into the room it comes out of.',
  }),
  within('awning-on-box', ['awningLength', 'boxLength'], {
    about: 'The awning is not longer than the box',
    title: 'The awning is longer than the wall',
    because: 'it hangs on the wall. Was it taped along the roller?',
  }),
  within('garage-in-box', ['garageLength', 'boxLength'], {
    about: 'The garage is not longer than the box',
    title: 'The garage is longer than the trailer',
    because: 'tape it along the floor to the closed door.',
  }),
  steps,
  shower,
  onTheUnit,
  bedName,
  sleeps,
];
