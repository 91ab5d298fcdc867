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
        sentence: `It’s ${feet(a, system)} against ${feet(b, system)}. ${words.because}`,
        also: [whole],
      }),
    ];
  },
});

/** Hitch and bumper together, inches. */
const usualHitch = { from: 30, to: 84 } as const;

const hitchLength: Rule = {
  key: 'hitch-length',
  about: 'Overall length minus box length leaves a hitch and a bumper',
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
        title: 'Box and overall length don’t fit',
        sentence: `${feet(overall, system)} overall minus the ${feet(box, system)} box leaves ${feet(rest, system)} for hitch and bumper; ${feet(usualHitch.from, system)} to ${feet(usualHitch.to, system)} is usual. Tape both again.`,
        also: ['overallLength'],
      }),
    ];
  },
};

const heights: Rule = {
  key: 'height-inside-out',
  about: 'Height and interior height leave room for floor, roof and wheels',
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
        title: 'Height and interior height don’t fit',
        sentence: `${feet(outside, system)} outside and ${feet(inside, system)} inside ${rest < 0 ? `is ${feet(Math.abs(rest), system)} short` : `leaves ${feet(rest, system)}`} for wheels, floor, roof and A/C. Measure the height again before anybody drives under a bridge.`,
        also: ['insideHeight'],
      }),
    ];
  },
};

/** From one step to the next, inches. */
const usualRise = { from: 5, to: 11 } as const;

const steps: Rule = {
  key: 'steps-and-floor',
  about: 'The number of steps fits the floor height',
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
        title: 'Steps and floor height don’t fit',
        sentence: `${counted(count, 'step')} up to a floor at ${inches(height, system)} makes a rise of ${inches(rise, system)}; ${inches(usualRise.from, system)} to ${inches(usualRise.to, system)} is usual. Count the steps again.`,
        also: ['floorHeight'],
      }),
    ];
  },
};

/** What a dome over the shower adds to its height, inches. */
const skylight = 10;

const shower: Rule = {
  key: 'shower-height',
  about: 'The shower isn’t much taller than the room',
  needs: ['showerHeight', 'insideHeight'],
  source: 'A skylight adds to about 10 in: common practice',
  test: (record, { system }) => {
    const [height, room] = [amountOf(record, 'showerHeight'), amountOf(record, 'insideHeight')];
    if (height === undefined || room === undefined || height <= room + skylight) return [];
    return [
      asFinding({
        field: 'showerHeight',
        severity: 'doubtful',
        title: 'Shower is taller than the room',
        sentence: `The shower has ${feet(height, system)} under a ${feet(room, system)} ceiling; a skylight adds about ${inches(skylight, system)}. Tape it again.`,
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
  about: 'Everything sits between coupler and bumper',
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
          title: 'Placed behind the bumper',
          sentence: `The ${inText(entryFor(key).label)} is placed ${feet(place.back, system)} back from the coupler, but the unit is ${feet(overall, system)} long. Measure it from the coupler.`,
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
  about: 'A queen or king bed is that size',
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
        title: 'Bed is shorter than its name',
        sentence: `It’s called a ${textOf(record, 'bedName') ?? ''}, but it’s ${inches(wide, system)} × ${inches(long, system)}: a short one. Tell buyers the inches.`,
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
        title: 'Sleeping capacity doesn’t add up',
        sentence: `It’s said to sleep ${told}, but the beds on record sleep ${places}${marked}. Count every bed, and say which are for kids.`,
        also: ['bedSize'],
      }),
    ];
  },
};

export const sizeRules: readonly Rule[] = [
  within('box-in-length', ['boxLength', 'overallLength'], {
    about: 'The box is shorter than the whole trailer',
    title: 'Box is longer than the trailer',
    because: 'One of the two was taped to another point.',
  }),
  hitchLength,
  heights,
  within('slide-in-room', ['slideHeight', 'insideHeight'], {
    about: 'The slide isn’t taller than the room',
    title: 'Slide is taller than the room',
    because: 'The slide has to fit back into the room. Tape both again.',
  }),
  within('awning-on-box', ['awningLength', 'boxLength'], {
    about: 'The awning isn’t longer than the box',
    title: 'Awning is longer than the box',
    because: 'It hangs on the wall. Tape it along the roller.',
  }),
  within('garage-in-box', ['garageLength', 'boxLength'], {
    about: 'The garage isn’t longer than the box',
    title: 'Garage is longer than the box',
    because: 'Tape it along the floor to the closed door.',
  }),
  steps,
  shower,
  onTheUnit,
  bedName,
  sleeps,
];
