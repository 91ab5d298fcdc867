import { counted, listed } from '../../base/words/index.ts';
import { amountOf, hasFeature, isKnownMissing, textOf } from '../record/index.ts';
import { heat, asFinding } from './as-finding.ts';
import type { Rule } from './types.ts';
import { pounds } from './ways.ts';
import type { FeatureKey } from '../catalog/index.ts';

const coldEvidence: readonly { readonly key: FeatureKey; readonly words: string }[] = [
  { key: 'enclosedBelly', words: 'the underbelly is open' },
  { key: 'bellyHeat', words: 'no furnace heat reaches the underbelly' },
  { key: 'tankHeat', words: 'the tanks have no heaters' },
  { key: 'doublePane', words: 'the windows are single-pane' },
  { key: 'valvesInside', words: 'the dump valves are outside' },
];

const coldClaim: Rule = {
  key: 'cold-claim',
  about: 'A four-season decal has something behind it',
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
        title: 'Four-season decal isn’t backed up',
        sentence: `It has the decal, but ${missing.length} of ${coldEvidence.length} things that would back it up are missing: ${listed(missing.map((m) => m.words))}. Don’t repeat the decal.`,
        also: missing.slice(0, 2).map((m) => m.key),
      }),
    ];
  },
};

const furnaceThere: Rule = {
  key: 'furnace-there',
  about: 'A furnace rating has a furnace',
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
        title: 'Furnace rating without a furnace',
        sentence: `The record has a furnace of ${heat(rated, system)}, but says none is fitted. Correct one of them.`,
        also: ['furnace'],
      }),
    ];
  },
};

const slideOverride: Rule = {
  key: 'slide-override',
  about: 'The slide’s manual override is on record',
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
        title: 'Slide override not recorded',
        sentence:
          'There’s a slide, but nobody wrote down where its manual override is. Find it, and the tool, before a buyer asks.',
        also: ['slide'],
      }),
    ];
  },
};

/** What labels of bunks mostly say, lb. */
const usualRating = { from: 150, to: 350 } as const;

const bunksRated: Rule = {
  key: 'bunk-rating',
  about: 'The bunk rating was read',
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
        title: 'Bunk rating not recorded',
        sentence: `There ${count === 1 ? 'is' : 'are'} ${count ? counted(count, 'bunk') : 'bunks'} and no rating on record; ${pounds(usualRating.from, system)} to ${pounds(usualRating.to, system)} is usual. Read the label before anybody sleeps there.`,
        also: ['bunks'],
      }),
    ];
  },
};

const ladderRoof: Rule = {
  key: 'ladder-and-roof',
  about: 'A roof ladder leads to a walk-on roof',
  needs: ['ladder', 'walkableRoof'],
  source: 'Common practice; the maker’s sheet decides',
  test: (record) => {
    if (!hasFeature(record, 'ladder') || !isKnownMissing(record, 'walkableRoof')) return [];
    return [
      asFinding({
        field: 'ladder',
        severity: 'look',
        title: 'Ladder to a roof you can’t walk on',
        sentence:
          'There’s a ladder, but the maker doesn’t allow anybody on the roof. Tell the buyer when you show the ladder.',
        also: ['walkableRoof'],
      }),
    ];
  },
};

const spareInWay: Rule = {
  key: 'spare-in-the-way',
  about: 'The spare tire doesn’t block the rear door',
  needs: ['spareCarrier', 'rearDoor'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'spareCarrier') || !hasFeature(record, 'rearDoor')) return [];
    return [
      asFinding({
        field: 'spareCarrier',
        severity: 'look',
        title: 'Spare tire may block the rear door',
        sentence:
          'The spare tire hangs at the rear, and there’s a door there, too. Open it, and see whether it clears.',
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
