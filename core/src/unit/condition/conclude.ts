import { listed } from '../../base/words/index.ts';
import {
  lookEntry,
  type Ask,
  type Gravity,
  type GuidedLook,
  type LookKey,
} from '../catalog/index.ts';
import type { Answer } from '../record/index.ts';

export type Answers = Readonly<Partial<Record<string, Answer>>>;

/** One explanation, with what was seen that speaks for it. */
export interface Weighed {
  readonly key: string;
  readonly label: string;
  readonly signs: readonly string[];
}

/** What a guided look comes to. */
export interface Conclusion {
  /** `points` by two signs more than any other explanation, `leans` by one; else the answers do not tell. */
  readonly strength: 'points' | 'leans' | 'open';
  readonly weighed: readonly Weighed[];
  /** What was not answered yet, in the order in which it is asked. */
  readonly open: readonly Ask[];
  /** How bad what it points or leans to is; undefined where the answers do not tell, or it is nothing grave. */
  readonly proposes: Gravity | undefined;
  /** Worded with care: what was seen, what it speaks for, and who decides. */
  readonly sentence: string;
  /** The same for a buyer, who is told and not instructed. */
  readonly toBuyer: string;
}

/** By so many signs the leading explanation must be ahead to be named without a “perhaps”; common practice. */
const clear = 2;

const signOf = (ask: Ask, answer: Answer | undefined): Ask['yes'] =>
  answer === 'yes' ? ask.yes : answer === 'no' ? ask.no : undefined;

const weigh = ({ asks, explanations }: GuidedLook, answers: Answers): readonly Weighed[] => {
  const signs = asks.flatMap((ask) => signOf(ask, answers[ask.key]) ?? []);
  return explanations
    .map(({ key, label }) => ({
      key,
      label,
      signs: signs.filter((sign) => sign.for === key).map((sign) => sign.says),
    }))
    .toSorted((a, b) => b.signs.length - a.signs.length);
};

const strengthOf = ([first, second]: readonly Weighed[]): Conclusion['strength'] => {
  const ahead = (first?.signs.length ?? 0) - (second?.signs.length ?? 0);
  if (ahead >= clear) return 'points';
  return ahead > 0 ? 'leans' : 'open';
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const against = (weighed: readonly Weighed[]): string => {
  const others = weighed.slice(1).filter(({ signs }) => signs.length > 0);
  if (others.length === 0) return '';
  return ` Against it: ${others.map(({ label, signs }) => `${listed(signs)} (${label})`).join('; ')}.`;
};

const worded = (strength: Conclusion['strength'], weighed: readonly Weighed[]): string => {
  const [first] = weighed;
  const all = weighed.flatMap(({ signs }) => signs);
  if (!first || all.length === 0) return 'Nothing seen so far points one way or the other.';
  if (strength === 'open') return `What you saw doesn’t settle it: ${listed(all)}.`;
  const verb = strength === 'points' ? 'points to' : 'leans toward';
  return `${capital(listed(first.signs))}: that ${verb} ${first.label}.${against(weighed)}`;
};

/**
 * Weighs the answers of a guided look. The program names what speaks for what; it never decides.
 * Source: common practice, see the table of worked cases in the tests.
 * @param answers by the key of what was asked; what is left out was not answered
 */
export const conclude = (key: LookKey, answers: Answers): Conclusion => {
  const look = lookEntry(key);
  const weighed = weigh(look, answers);
  const strength = strengthOf(weighed);
  const words = worded(strength, weighed);
  const likely = look.explanations.find((row) => row.key === weighed[0]?.key);
  return {
    strength,
    weighed,
    open: look.asks.filter((ask) => answers[ask.key] === undefined),
    proposes: strength === 'open' ? undefined : likely?.proposes,
    sentence: `${words} ${look.always}`,
    toBuyer: `${words} ${look.toBuyer}`,
  };
};
