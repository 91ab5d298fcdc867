import { entryFor, featureEntry, type FeatureKey, type SpecKey } from '../catalog/index.ts';
import { inText } from '../../base/words/index.ts';
import { fieldText, hasFeature } from '../record/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { specsOfKind } from './plausible.ts';
import { asFinding } from './as-finding.ts';
import type { Rule, RuleFinding } from './types.ts';

/** What carries people or things and has a rating of its own, and what it is part of. */
const rated: readonly {
  readonly spec: SpecKey;
  readonly of: FeatureKey;
  readonly where: string;
}[] = [
  { spec: 'rearRackRating', of: 'rearRack', where: 'its plate' },
  { spec: 'rearReceiverRating', of: 'rearReceiver', where: 'its plate' },
  { spec: 'rampRating', of: 'ramp', where: 'its plate' },
  { spec: 'tipOutRating', of: 'tipOutBeds', where: 'the label beside the bed' },
  { spec: 'roofRackRating', of: 'roofRack', where: 'its plate, or the maker’s sheet' },
  { spec: 'stepRating', of: 'steps', where: 'the plate on the steps' },
  { spec: 'frontTrayLimit', of: 'frontTray', where: 'its plate' },
];

const unread = (spec: SpecKey, where: string, how: 'told' | 'guessed', text: string): RuleFinding =>
  asFinding({
    field: spec,
    severity: 'doubtful',
    title: 'Rating not read off the plate',
    sentence: `${entryFor(spec).label}: ${text} is only ${how === 'told' ? 'what we were told' : 'an estimate'}. Read it off ${where} before anybody relies on it.`,
  });

const missing = (spec: SpecKey, of: FeatureKey, where: string, system: System): RuleFinding => {
  const range = rangeByKey.get(spec);
  const show = (amount: number): string => formatQuantity(amount, 'weight', system);
  const usual = range ? `; ${show(range.from)} to ${show(range.to)} is usual` : '';
  return asFinding({
    field: spec,
    severity: 'look',
    title: `${entryFor(spec).label} isn’t recorded`,
    sentence: `There’s no rating on record for the ${inText(featureEntry(of).label)}${usual}. Read it off ${where}.`,
    also: [of],
  });
};

const rangeByKey = new Map(specsOfKind('quantity').map(({ key, range }) => [key, range]));

/** What carries people and things has a rating that somebody read. */
const ratingRead: Rule = {
  key: 'rating-unread',
  about: 'Ratings of racks, receivers, ramps, tip-outs, steps and trays were read',
  needs: rated.flatMap(({ spec, of }) => [spec, of]),
  fieldByField: true,
  source: 'The plate decides: common practice',
  test: (record, { system }) =>
    rated.flatMap(({ spec, of, where }) => {
      if (!hasFeature(record, of)) return [];
      const entry = record.specs[spec];
      if (!entry) return [missing(spec, of, where, system)];
      const { how } = entry;
      if (how !== 'told' && how !== 'guessed') return [];
      return [unread(spec, where, how, fieldText('specs', spec, entry.value, how, system))];
    }),
};

export const ratingRules: readonly Rule[] = [ratingRead];
