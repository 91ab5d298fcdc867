import { featureEntry, isSpecKey, type FeatureKey } from '../catalogue/index.ts';
import { formatSpec, hasFeature, type UnitRecord } from '../record/index.ts';
import type { System } from '../quantity/index.ts';
import { compare, judge, type Evidence, type Judgement } from './judge.ts';
import { claimRows, comparedRows, type ClaimRow } from './rows.ts';

/** A risky claim in some words, with what the record says to it. */
export interface Claim extends Judgement {
  readonly key: string;
  readonly about: string;
  /** As it was said. */
  readonly words: string;
  /** Where it stands in the text. */
  readonly at: number;
  /** What would have to be known. */
  readonly needs: string;
  /** A wording that holds. */
  readonly instead: string;
}

const pattern = (words: readonly string[]): RegExp =>
  new RegExp(String.raw`(?<![\w-])(?:${words.join('|')})(?![\w-])`, 'gi');

const claims = claimRows.map((row) => ({ row, pattern: pattern(row.words) }));
const comparisons = comparedRows.map((row) => ({ row, pattern: pattern(row.words) }));

/** “Not the best”, “it isn’t leak-proof”: who denies a claim does not make it. */
const denied = /(?:\bnot|n’t|\bnever|\bnor)(?: \w+){0,2} $/i;

/** “We were told: …”, “the label says: …”: it is told as somebody else’s. */
const attributed = /\b(?:told|says|said): [^.?!]*$/i;

/** “A four-season label”: what is stuck on it is named, not claimed. */
const named = /^ (?:label|decal|sticker|badge)/i;

const isMade = (before: string, after: string): boolean =>
  !denied.test(before) && !attributed.test(before) && !named.test(after);

const matches = (text: string, of: RegExp): readonly { words: string; at: number }[] =>
  [...text.matchAll(of)]
    .map((match) => ({ words: match[0], at: match.index }))
    .filter(({ words, at }) => isMade(text.slice(0, at), text.slice(at + words.length)));

/** Puts what is known into a wording; what is not known is said to be so. */
const filled = ({ instead, judged }: ClaimRow, record: UnitRecord, system: System): string => {
  const features: readonly FeatureKey[] = judged.by === 'features' ? judged.features : [];
  const has = features.filter((key) => hasFeature(record, key));
  return instead.replaceAll(/\{(\w+)\}/g, (_, key: string) => {
    if (key === 'features')
      return has.map((of) => featureEntry(of).noun).join(', ') || 'nothing that was looked for';
    const entry = isSpecKey(key) ? record.specs[key] : undefined;
    return isSpecKey(key) && entry
      ? formatSpec(key, entry.value, system, entry.how)
      : 'what nobody has written down yet';
  });
};

const claimed = (text: string, evidence: Evidence): readonly Claim[] =>
  claims.flatMap(({ row, pattern: of }) =>
    matches(text, of).map(({ words, at }) => ({
      key: row.key,
      about: row.about,
      words,
      at,
      needs: row.needs,
      instead: filled(row, evidence.record, evidence.system),
      ...judge(row, words, evidence),
    })),
  );

const compared = (text: string, evidence: Evidence): readonly Claim[] =>
  comparisons.flatMap(({ row, pattern: of }) =>
    matches(text, of).map(({ words, at }) => {
      const judgement = compare(row, evidence);
      return {
        key: `most-${row.key}`,
        about: 'Compared with others',
        words,
        at,
        needs: 'the same number of every unit it is compared with',
        instead: `Say it with what it is compared with: ${judgement.because}`,
        ...judgement,
      };
    }),
  );

const typographic = (text: string): string => text.replaceAll("'", '’');

/**
 * The risky claims in a text, in the order in which they are said, each graded by the record and the yard’s stock.
 * Of two that overlap the longer counts.
 * @example claimsIn('It is the best in its class.', evidence)[0]?.key // 'best'
 */
export const claimsIn = (text: string, evidence: Evidence): readonly Claim[] => {
  const words = typographic(text);
  const all = [...claimed(words, evidence), ...compared(words, evidence)].toSorted(
    (a, b) => a.at - b.at || b.words.length - a.words.length,
  );
  return all.filter(
    (claim, i) => !all.slice(0, i).some((before) => claim.at < before.at + before.words.length),
  );
};

/** Claims that should not be made as they stand. */
export const riskyIn = (text: string, evidence: Evidence): readonly Claim[] =>
  claimsIn(text, evidence).filter(({ grade }) => grade !== 'holds');
