import { featureEntry, isSpecKey, specEntry, type FeatureKey } from '../../unit/catalog/index.ts';
import { formatSpec, hasFeature, type UnitRecord } from '../../unit/record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import { compare, judge, judgeFigure, type Evidence, type Judgement } from './judge.ts';
import { worded } from './lexicon.ts';
import { claimRows, comparedRows, type ClaimRow } from './rows.ts';
import { figuresIn } from './spoken.ts';

/** A risky claim in some words, with what the record says to it. */
export interface Claim extends Judgement {
  readonly key: string;
  readonly about: string;
  /** As said. */
  readonly words: string;
  /** Where it stands in the text. */
  readonly at: number;
  /** What would have to be known. */
  readonly needs: string;
  /** A wording that holds. */
  readonly instead: string;
}

const pattern = (words: readonly string[]): RegExp =>
  new RegExp(String.raw`(?<![\w-])(?:${words.map(worded).join('|')})(?![\w-])`, 'gi');

const claims = claimRows.map((row) => ({ row, pattern: pattern(row.words) }));
const comparisons = comparedRows.map((row) => ({ row, pattern: pattern(row.words) }));

/** “Not the best”, “nobody can promise it never leaks”: who denies or doubts a claim does not make it. */
const denied =
  /(?:\bnot|n’t|\bnever|\bnor|\bnobody|\bno one|\bnone|\bhardly|\bdoubt|\brather than|\binstead of|\bwithout|\bdon’t believe|\bwary of|\bno such thing as|\bfar from|\bif)(?: [\w’-]+){0,6} $/i;
/** Who cannot doubt it, or says more than that, claims it all the same. */
const affirmed =
  /\b(?:no|without (?:a |any )?|don’t|never|not) (?:doubt|only|just|kidding|exaggerat\w*)(?: [\w’-]+){0,6} $/i;

/** “We were told: …”, “the label says …”, “people call it …”: it is told as somebody else’s. */
const attributed =
  /\b(?:told|says|said|call(?:s|ed)?(?: it)?|claims?|read(?:s|ing)?|brochure|so-called|advertis\w+|buyers? ask|you’ll hear|they’ll tell you)\b:?[^.?!;]*$/i;

/** “A four-season label”: what is stuck on it is named, not claimed. */
const named =
  /^ (?:label|decal|sticker|badge|sign|brochure|means nothing|is (?:just |only )?(?:a|their) (?:word|name|slogan))/i;

/** What it depends on is said with it, or it is asked. */
const opened =
  /\b(?:depends?|whether|it all comes down to|look (?:it )?up|your own vehicle’s door|ask the|let’s (?:see|check|work)|we’ll (?:check|see|work|find|look)|i’d (?:have to|want to) (?:check|look)|decides)\b/i;

/** Who says what to do claims nothing by it. */
const advised =
  /^\W*(?:please |always |then |first |just )?(?:keep|look|check|set|leave|put|open|turn|read|measure|level|plug|grease|cook|shut|empty (?:the|both|all)|replace|reseal|close|walk|stand|drain|chock)(?! it forget| and forget)(?!,)\b/i;

const clauseEnd = /[.!?;:—]|, (?:but|so|and)\b|\bbut\b/g;
/** The thought before a place in a text: what is denied further back is another one. */
const clauseBefore = (text: string, at: number): string => {
  const before = text.slice(0, at);
  const last = [...before.matchAll(clauseEnd)].at(-1);
  return last ? before.slice(last.index + last[0].length) : before;
};

/** The sentence round a place, with how it ends. */
const sentenceAt = (text: string, at: number): string => {
  const from = Math.max(...['.', '!', '?'].map((end) => text.lastIndexOf(`${end} `, at)), -1) + 1;
  const rest = text.slice(at).search(/[.!?](?:\s|$)/);
  return rest < 0 ? text.slice(from) : text.slice(from, at + rest + 1);
};

const isMade = (text: string, at: number, words: string, evenAdvised = false): boolean => {
  const before = clauseBefore(text, at);
  const sentence = sentenceAt(text, at);
  if (sentence.trim().endsWith('?') || opened.test(sentence)) return false;
  if (!evenAdvised && advised.test(sentence)) return false;
  if (attributed.test(text.slice(0, at)) || named.test(text.slice(at + words.length))) return false;
  return affirmed.test(before) || !denied.test(before);
};

const matches = (
  text: string,
  of: RegExp,
  evenAdvised = false,
): readonly { words: string; at: number }[] =>
  [...text.matchAll(of)]
    .map((match) => ({ words: match[0], at: match.index }))
    .filter(({ words, at }) => isMade(text, at, words, evenAdvised));

/** A sentence of a wording in which something would have to be said that nobody knows, or only guesses. */
const filledPart = (part: string, { judged }: ClaimRow, record: UnitRecord, system: System) => {
  const features: readonly FeatureKey[] = judged.by === 'features' ? judged.features : [];
  const has = features.filter(
    (key) => hasFeature(record, key) && isSure(record.features[key]?.how),
  );
  const blanks = [...part.matchAll(/\{(\w+)\}/g)].map(([, key = '']) => key);
  const text = (key: string): string | undefined => {
    if (key === 'features') return has.map((of) => featureEntry(of).noun).join(', ') || undefined;
    const entry = isSpecKey(key) ? record.specs[key] : undefined;
    if (!isSpecKey(key) || !entry || !isSure(entry.how)) return undefined;
    return formatSpec(key, entry.value, system, entry.how);
  };
  if (blanks.some((key) => text(key) === undefined)) return undefined;
  return part.replaceAll(/\{(\w+)\}/g, (_, key: string) => text(key) ?? '');
};

const isSure = (how: string | undefined): boolean =>
  how !== undefined && how !== 'guessed' && how !== 'told';

/** Puts what is known into a wording; sentences that would say what nobody knows are left out. */
const filled = (row: ClaimRow, record: UnitRecord, system: System): string =>
  row.instead
    .split(/(?<=[.;]) /)
    .flatMap((part) => filledPart(part, row, record, system) ?? [])
    .join(' ')
    .replace(/;$/, '.') || 'I’d want to look that up before I say it.';

const claimed = (text: string, evidence: Evidence): readonly Claim[] =>
  claims.flatMap(({ row, pattern: of }) =>
    matches(text, of, row.evenAdvised).map(({ words, at }) => ({
      key: row.key,
      about: row.about,
      words,
      at,
      needs: row.needs,
      instead: filled(row, evidence.record, evidence.system),
      ...judge(row, words, evidence),
    })),
  );

/** What something would allow is not what is there. */
const allowed = /\b(?:allows?|wiring|prepped|room for|wired for)\b/i;

const figured = (text: string, evidence: Evidence): readonly Claim[] =>
  figuresIn(text, evidence.about ?? [])
    .filter(({ words, at }) => isMade(text, at, words) && !allowed.test(sentenceAt(text, at)))
    .map((figure) => {
      const label = specEntry(figure.key).label;
      const judgement = judgeFigure(figure, evidence);
      return {
        key: `figure-${figure.key}`,
        about: label,
        words: figure.words,
        at: figure.at,
        needs: 'the number itself, read or measured on this unit',
        instead: judgement.because,
        ...judgement,
      };
    });

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

/** Nothing that is said or written to a buyer is longer: what takes such texts in refuses more. */
export const longestText = 8000;

/**
 * The risky claims in a text, in the order in which they are said, each graded by the record and the yard’s stock.
 * Of two that overlap the longer counts.
 * @example claimsIn('It is the best in its class.', evidence)[0]?.key // 'best'
 */
export const claimsIn = (text: string, evidence: Evidence): readonly Claim[] => {
  const words = typographic(text.slice(0, longestText));
  const all = [
    ...claimed(words, evidence),
    ...figured(words, evidence),
    ...compared(words, evidence),
  ].toSorted((a, b) => a.at - b.at || b.words.length - a.words.length);
  return all.filter(
    (claim, i) => !all.slice(0, i).some((before) => claim.at < before.at + before.words.length),
  );
};

/** Claims that should not be made as they stand. */
export const riskyIn = (text: string, evidence: Evidence): readonly Claim[] =>
  claimsIn(text, evidence).filter(({ grade }) => grade !== 'holds');

/** A text with the wording that holds in the place of one that does not. */
export const withClaimMended = (text: string, { at, words, instead }: Claim): string => {
  const before = text.slice(0, at).trim();
  const after = text.slice(at + words.length).replace(/^[\s.,;]+/, '');
  return [before, instead, after].filter(Boolean).join(' ');
};
