import { inText, listed, numberSpoken, spokenNumber } from '../../base/words/index.ts';
import {
  featureEntry,
  specEntry,
  type FeatureKey,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import { findingsOf, inspectionState } from '../../unit/condition/index.ts';
import {
  formatSpec,
  hasFeature,
  isExact,
  textOf,
  type SpecValue,
  type Brief,
  type UnitRecord,
} from '../../unit/record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { ClaimRow, ComparedRow, Judged } from './rows.ts';
import { type SpokenFigure } from './spoken.ts';

/** Whether a claim may be made: yes; no; or nobody knows enough. */
export type Grade = 'holds' | 'not' | 'open';

export interface Judgement {
  readonly grade: Grade;
  /** The evidence, in a sentence. */
  readonly because: string;
}

/** What a claim is held against. */
export interface Evidence {
  readonly record: UnitRecord;
  /** The other units of the yard, for comparisons. */
  readonly stock: readonly Brief[];
  readonly system: System;
  /** What the words are of: a figure in them needs no name. */
  readonly about?: readonly SpecKey[];
}

/** What somebody told us proves nothing; this does: what was read, measured or seen on the unit itself, or said by its maker. */
const isEvidence = (how: string | undefined): boolean =>
  how === 'read' || how === 'measured' || how === 'seen' || how === 'sheet';

const nounsOf = (keys: readonly FeatureKey[], last?: 'or'): string =>
  listed(
    keys.map((key) => featureEntry(key).noun),
    last,
  );

/** Any that is surely missing decides; of the others each has to be known well. */
const byFeatures = (keys: readonly FeatureKey[], record: UnitRecord): Judgement => {
  const known = keys.filter((key) => isEvidence(record.features[key]?.how));
  const missing = known.filter((key) => !hasFeature(record, key));
  if (missing.length > 0) return { grade: 'not', because: `Not on it: ${nounsOf(missing)}.` };
  const unknown = keys.filter((key) => !known.includes(key));
  if (unknown.length > 0)
    return { grade: 'open', because: `Nobody has looked for ${nounsOf(unknown, 'or')}.` };
  return { grade: 'holds', because: `It has ${nounsOf(keys)}.` };
};

const valueText = (record: UnitRecord, key: SpecKey, system: System): string | undefined => {
  const entry = record.specs[key];
  return entry && formatSpec(key, entry.value, system, entry.how);
};

const byChoices = (
  choices: Readonly<Partial<Record<SpecKey, string[]>>>,
  { record, system }: Evidence,
): Judgement => {
  const keys = Object.keys(choices) as SpecKey[];
  const wrong = keys.find((key) => {
    const choice = textOf(record, key);
    return choice !== undefined && !choices[key]?.includes(choice);
  });
  const told = (key: SpecKey): string =>
    `${specEntry(key).label}: ${valueText(record, key, system) ?? 'not known'}`;
  if (wrong) return { grade: 'not', because: `${told(wrong)}.` };
  const unknown = keys.filter((key) => !isEvidence(record.specs[key]?.how));
  if (unknown.length > 0) return { grade: 'open', because: `${unknown.map(told).join('; ')}.` };
  return { grade: 'holds', because: `${keys.map(told).join('; ')}.` };
};

const amountIn = (value: SpecValue | undefined): number | undefined => {
  if (value?.kind === 'quantity') return isExact(value) ? value.amount : undefined;
  if (value?.kind === 'number') return value.number;
  if (value?.kind !== 'counted' || value.each === undefined) return undefined;
  return value.count * value.each;
};

/** Pounds in a kilogram; NIST SP 811, appendix B.8, turned round. */
const poundsInKilogram = 2.204623;

const firstNumber = new RegExp(spokenNumber, 'i');

/** The first number of some words, pounds where it is kilograms. @example numberIn('only 4,980 lb') // 4980 */
const numberIn = (words: string): number | undefined => {
  const found = firstNumber.exec(words)?.[0];
  if (found === undefined) return undefined;
  return numberSpoken(found) * (/k(?:g|ilo)/i.test(words) ? poundsInKilogram : 1);
};

/** Which weight is meant, by the words beside it; the GVWR where none is named, for it is towed loaded. */
const weightNamed = (words: string): SpecKey => {
  if (/hitch|tongue/i.test(words)) return 'hitchWeight';
  return /dry|empty|unloaded|as built/i.test(words) ? 'uvw' : 'gvwr';
};

/** Whoever rounds to the last figure but two says the same number. */
const isAbout = (said: number | undefined, value: number): boolean =>
  said !== undefined && Math.abs(said - value) <= value * 0.002;

const byNumber = (key: SpecKey, words: string, { record, system }: Evidence): Judgement => {
  const value = amountIn(record.specs[key]?.value);
  const said = numberIn(words);
  const text = valueText(record, key, system);
  const label = inText(specEntry(key).label);
  if (value === undefined || text === undefined || !isEvidence(record.specs[key]?.how))
    return { grade: 'open', because: `The ${label} is not known well enough.` };
  return isAbout(said, value)
    ? { grade: 'holds', because: `The ${label} is ${text}.` }
    : { grade: 'not', because: `The ${label} is ${text}, which is another number.` };
};

const byInspection = (record: UnitRecord): Judgement => {
  const { signed, failed, notTried, left } = inspectionState(record);
  const open = failed.length + notTried.length + left.length;
  if (!signed) return { grade: 'open', because: 'The inspection is not signed.' };
  return open > 0
    ? { grade: 'not', because: `At the inspection ${open} did not pass, or could not be tried.` }
    : { grade: 'holds', because: 'The inspection is signed, and all of it passed.' };
};

const byNew = (record: UnitRecord): Judgement => {
  const found = findingsOf(record).length;
  if (textOf(record, 'condition') === 'used')
    return { grade: 'not', because: 'It is sold as used.' };
  if (found > 0) return { grade: 'not', because: `${found} found on it.` };
  return textOf(record, 'condition') === 'new'
    ? { grade: 'holds', because: 'It is sold as new, and nothing is found on it.' }
    : { grade: 'open', because: 'Whether it is new is not recorded.' };
};

const byPaper = (key: FeatureKey, record: UnitRecord): Judgement => {
  const noun = featureEntry(key).noun;
  return hasFeature(record, key)
    ? { grade: 'open', because: `There is ${noun}: it may be said as far as that goes.` }
    : { grade: 'open', because: `There is no ${noun} to say so.` };
};

/** Judges a claim of some row by the record. @param words as they were said */
export const judge = (row: ClaimRow, words: string, evidence: Evidence): Judgement => {
  const { record } = evidence;
  const judged: Judged = row.judged;
  switch (judged.by) {
    case 'never':
      return { grade: 'not', because: judged.because };
    case 'features':
      return byFeatures(judged.features, record);
    case 'choices':
      return byChoices(judged.choices, evidence);
    case 'weight':
      return byNumber(weightNamed(words), words, evidence);
    case 'number':
      return byNumber(judged.spec, words, evidence);
    case 'inspection':
      return byInspection(record);
    case 'new':
      return byNew(record);
    case 'paper':
      return byPaper(judged.feature, record);
  }
};

/** By so much may differ what is said with “about”, and what is said flatly: somebody rounds. */
const roughly = { about: 0.06, flat: 0.02 } as const;

/** Whether a figure is as said: about so much, under it, over it, or just so. */
const isAsSaid = ({ amount, hedge }: SpokenFigure, value: number): boolean => {
  const off = Math.abs(amount - value) / value;
  if (/under/.test(hedge)) return value <= amount && off <= 0.15;
  if (/over|more|least|good/.test(hedge)) return value >= amount && off <= 0.15;
  return off <= (hedge ? roughly.about : roughly.flat);
};

/** What may be said of a value: of several the size of each as well as all together. */
const amountsIn = (value: SpecValue | undefined): readonly number[] => {
  const all = amountIn(value);
  if (all === undefined) return [];
  return value?.kind === 'counted' && value.each !== undefined ? [all, value.each] : [all];
};

/** Judges a figure that was said of something by what the record has of it. */
export const judgeFigure = (said: SpokenFigure, { record, system }: Evidence): Judgement => {
  const { key } = said;
  const { label } = specEntry(key);
  const amounts = amountsIn(record.specs[key]?.value);
  const text = valueText(record, key, system);
  if (amounts.length === 0 || text === undefined || !isEvidence(record.specs[key]?.how))
    return { grade: 'open', because: `${label}: not known well enough to say a number.` };
  return amounts.some((amount) => isAsSaid(said, amount))
    ? { grade: 'holds', because: `${label}: ${text}.` }
    : { grade: 'not', because: `${label}: ${text}, which is another number.` };
};

/**
 * Judges a comparison by the yard’s stock: among the others whose number is known as well.
 * One that is as large shares the place, so that it holds only where none is larger.
 */
export const compare = (
  { key, most }: ComparedRow,
  { record, stock, system }: Evidence,
): Judgement => {
  const own = record.specs[key];
  const mine = amountIn(own?.value);
  const label = inText(specEntry(key).label);
  if (!own || mine === undefined || !isEvidence(own.how))
    return { grade: 'open', because: `The ${label} of this unit is not known well enough.` };
  const others = stock.flatMap((other) => {
    const entry = other.specs[key];
    const amount = isEvidence(entry?.how) ? amountIn(entry?.value) : undefined;
    return amount === undefined ? [] : [amount];
  });
  const text = formatSpec(key, own.value, system, own.how);
  const beyond = others.filter((amount) => (most ? amount > mine : amount < mine)).length;
  const among = `among ${others.length + 1} on this yard whose ${label} is known`;
  if (others.length === 0)
    return { grade: 'open', because: `${text}; of no other unit here is the ${label} known.` };
  return beyond === 0
    ? { grade: 'holds', because: `${text}, none is ${most ? 'more' : 'less'} ${among}.` }
    : {
        grade: 'not',
        because: `${text}: ${beyond} ${beyond === 1 ? 'is' : 'are'} ${most ? 'more' : 'less'} ${among}.`,
      };
};
