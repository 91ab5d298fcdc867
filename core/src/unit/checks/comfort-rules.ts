import { counted, listed } from '../../base/words/index.ts';
import { amountOf, hasFeature, isKnownMissing, textOf } from '../record/index.ts';
import { heat, asFinding } from './as-finding.ts';
import type { Rule } from './types.ts';
import { pounds } from './ways.ts';
import type { FeatureKey } from '../catalog/index.ts';

const coldEvidence: readonly { readonly key: FeatureKey; readonly words: string }[] = [
  { key: 'enclosedBelly', words: 'the underbelly is open' },
  { key: 'bellyHeat', words: 'no furnace air goes down' },
  { key: 'tankHeat', words: 'the tanks have no heaters' },
  { key: 'doublePane', words: 'the windows have one pane' },
  { key: 'valvesInside', words: 'the valves hang outside' },
];

const coldClaim: Rule = {
  key: 'cold-claim',
  about: 'A four-season label rests on something',
  needs: ['fourSeasonLabel', ...coldEvidence.map((row) => row.key)],
  source: 'No standard says what the label means: common practice',
  test: (record) => {
    if (!hasFeature(record, 'fourSeasonLabel')) return [];
    const missing = coldEvidence.filter(({ key }) => isKnownMissing(record, key));
    if (missing.length < 2) return [];
    return [
      asFinding({
        field: 'fourSeasonLabel',
        severity: 'doubtful',
        title: 'A four-season label without the rest',
        sentence: `It bears the label, and ${missing.length} of ${coldEvidence.length} things that would hold it up are missing: ${listed(missing.map((m) => m.words))}. Do not repeat the label.`,
        also: missing.slice(0, 2).map((m) => m.key),
      }),
    ];
  },
};

const furnaceThere: Rule = {
  key: 'furnace-there',
  about: 'A furnace with a rating is there',
  needs: ['furnace', 'furnaceFitted'],
  doubts: ['furnace'],
  source: 'By definition',
  test: (record, { system }) => {
    const rated = amountOf(record, 'furnace');
    if (rated === undefined || !isKnownMissing(record, 'furnaceFitted')) return [];
    return [
      asFinding({
        field: 'furnaceFitted',
        severity: 'wrong',
        title: 'A rating without a furnace',
        sentence: `A furnace of ${heat(rated, system)} is on record, and none as fitted.`,
        also: ['furnace'],
      }),
    ];
  },
};

const slideOverride: Rule = {
  key: 'slide-override',
  about: 'Somebody knows how the slide is moved by hand',
  needs: ['slide', 'slideOverride', 'slideMechanism'],
  source: 'Common practice; the maker’s manual decides',
  test: (record) => {
    if (!hasFeature(record, 'slide') || record.specs.slideOverride) return [];
    // A slide that is pushed by hand has nothing to override.
    if (textOf(record, 'slideMechanism') === 'manual') return [];
    return [
      asFinding({
        field: 'slideOverride',
        severity: 'look',
        title: 'How does the slide move by hand?',
        sentence:
          'There is a slide, and nobody wrote down where it is moved with 0 V in the battery. Find the place and the tool before a buyer asks.',
        also: ['slide'],
      }),
    ];
  },
};

/** What labels of bunks mostly say, lb. */
const usualRating = { from: 150, to: 350 } as const;

const bunksRated: Rule = {
  key: 'bunk-rating',
  about: 'Bunks have a rating that was read',
  needs: ['bunks', 'bunkRating'],
  besides: ['bunkCount'],
  source: 'The label decides: common practice',
  test: (record, { system }) => {
    if (!hasFeature(record, 'bunks') || record.specs.bunkRating) return [];
    const count = Number(textOf(record, 'bunkCount'));
    return [
      asFinding({
        field: 'bunkRating',
        severity: 'look',
        title: 'What may a bunk carry?',
        sentence: `${count ? counted(count, 'bunk') : 'Bunks'}, and no rating on record; ${pounds(usualRating.from, system)} to ${pounds(usualRating.to, system)} are usual. Read the label before anybody is put to bed.`,
        also: ['bunks'],
      }),
    ];
  },
};

const ladderRoof: Rule = {
  key: 'ladder-and-roof',
  about: 'A ladder leads to a roof that may be walked on',
  needs: ['ladder', 'walkableRoof'],
  source: 'Common practice; the maker’s sheet decides',
  test: (record) => {
    if (!hasFeature(record, 'ladder') || !isKnownMissing(record, 'walkableRoof')) return [];
    return [
      asFinding({
        field: 'ladder',
        severity: 'look',
        title: 'A ladder to a roof not to be walked on',
        sentence:
          'There is 1 ladder, and the maker does not let anybody walk on the roof. Say so beside it.',
        also: ['walkableRoof'],
      }),
    ];
  },
};

const spareInWay: Rule = {
  key: 'spare-in-the-way',
  about: 'The spare does not hang before a rear door',
  needs: ['spareCarrier', 'rearDoor'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'spareCarrier') || !hasFeature(record, 'rearDoor')) return [];
    return [
      asFinding({
        field: 'spareCarrier',
        severity: 'look',
        title: 'A spare before the rear door?',
        sentence:
          'The spare hangs at the rear, and there is 1 door there: open it, and see whether it clears.',
        also: ['rearDoor'],
      }),
    ];
  },
};

export const comfortRules: readonly Rule[] = [
  coldClaim,
  furnaceThere,
  slideOverride,
  bunksRated,
  ladderRoof,
  spareInWay,
];
