import { specEntry, type Choice, type SpecKey, type ValueKind } from '../catalog/index.ts';
import { formerChoices } from '../versions/index.ts';
import {
  longestFigure,
  parseCount,
  parseCounted,
  parseQuantity,
  parseRough,
  parseSize,
  readNumber,
  toInternal,
  withFigures,
  type Parsed,
  type System,
} from '../../base/quantity/index.ts';
import { inOneSpelling } from '../../base/words/index.ts';
import { parseDate } from '../../base/dates/index.ts';
import type { Problem } from '../../base/problems/index.ts';
import { specProblem } from './change.ts';
import type { SpecValue } from './values/spec.ts';

/** Above this in internal units nothing on a trailer can be: a slip of the hand, not a measurement. */
const impossibleAbove = 1_000_000;

const refuse = (problem: Problem): Parsed<never> => ({ ok: false, problem });

type Of<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;

/** A label as it may be typed: fractions as figures, without its unit, in any case. */
const plainChoice = (text: string): string =>
  inOneSpelling(text.toLowerCase())
    .normalize('NFKC')
    .replaceAll('⁄', '/')
    .replaceAll(/["”″]|\binch(?:es)?\b|\bin\b\.?/g, '')
    .replaceAll(/[\s-]+/g, ' ')
    .trim();

/** A choice is typed by its key, by its label, as it is said, or by a label that it had, in any case. */
const choiceNamed = (choices: readonly Choice[], text: string): string => {
  const typed = plainChoice(text);
  const isNamed = ({ key, label, said = label }: Choice): boolean =>
    [key, label, said, ...(formerChoices[label] ?? [])].some((name) => plainChoice(name) === typed);
  return choices.find(isNamed)?.key ?? text;
};

/** A sum of money as people write it: `$52,897.00`, `52.9k`. */
const money = (text: string): string => {
  const bare = text.replace(/^[$€£]\s*/, '').replace(/[.,]00$/, '');
  const thousands = /^(\d[\d.,]*)\s*k$/i.exec(bare)?.[1];
  return thousands === undefined ? bare : String(Math.round(readNumber(thousands) * 1000));
};

/** Only how many was typed; not where it can be the size of one. */
const countAlone = (
  text: string,
  { counts, plausible, display }: Of<'counted'>,
  system: System,
) => {
  const count = parseCount(text);
  if (count === undefined || count < 1) return undefined;
  const isMarked = text.includes('?');
  const each = parseQuantity(String(count), display, system);
  const least = toInternal(plausible.from, plausible.unit);
  const isTooSmall = each.ok && each.value < least;
  return isMarked || (isTooSmall && count <= counts.to) ? count : undefined;
};

const valued = <T>(read: Parsed<T>, value: (read: T) => SpecValue): Parsed<SpecValue> =>
  read.ok ? { ok: true, value: value(read.value) } : read;

/** How each kind of field reads what was typed into it. */
const readers: {
  readonly [K in ValueKind['kind']]: (
    text: string,
    kind: Of<K>,
    system: System,
  ) => Parsed<SpecValue>;
} = {
  text: (text) => ({ ok: true, value: { kind: 'text', text } }),
  choice: (text, { choices }) => ({
    ok: true,
    value: { kind: 'choice', choice: choiceNamed(choices, text) },
  }),
  number: (text, kind) => {
    const bare = kind.noun ? text.replace(new RegExp(`\\s*${kind.noun}s?$`, 'i'), '') : text;
    const number = readNumber(kind.money ? money(bare) : withFigures(bare));
    return Number.isInteger(number)
      ? { ok: true, value: { kind: 'number', number } }
      : refuse({ code: 'not-a-number', params: { typed: text } });
  },
  quantity: (text, { display }, system) =>
    valued(parseRough(text, display, system), (rough) => ({ kind: 'quantity', ...rough })),
  counted: (text, kind, system) => {
    const count = countAlone(text, kind, system);
    if (count !== undefined) return { ok: true, value: { kind: 'counted', count } };
    return valued(parseCounted(text, kind.display, system), (counted) => ({
      kind: 'counted',
      ...counted,
    }));
  },
  size: (text, { display, sides }, system) =>
    valued(parseSize(text, display, sides.length, system), (read) => ({
      kind: 'size',
      sides: [...read],
    })),
  date: (text, { to }, system) =>
    valued(parseDate(text, to, system), (date) => ({ kind: 'date', date })),
};

const rawValue = (key: SpecKey, typed: string, system: System): Parsed<SpecValue> => {
  const text = typed.trim();
  if (text === '') return refuse({ code: 'empty', params: {} });
  const kind = specEntry(key).value;
  // A text has a limit of its own, which its field tells.
  if (kind.kind !== 'text' && text.length > longestFigure) {
    return refuse({ code: 'too-long', params: { length: text.length, limit: longestFigure } });
  }
  const read = readers[kind.kind] as (
    text: string,
    kind: ValueKind,
    system: System,
  ) => Parsed<SpecValue>;
  return read(text, kind, system);
};

/** The figure that cannot be nothing or beyond all measure; a count of none is a count. */
const sizeOf = (value: SpecValue): number | undefined => {
  // A quantity of nothing is for its field to judge: there are steps of 0 in.
  if (value.kind === 'quantity') return value.amount === 0 ? undefined : value.amount;
  if (value.kind === 'counted') return value.each;
  if (value.kind === 'size') return Math.min(...value.sides);
  return value.kind === 'number' && value.number !== 0 ? value.number : undefined;
};

/**
 * What was typed into a spec's field, as its value.
 * A doubtful number is taken (the checks object to it); an impossible one is refused.
 * @returns the value, or a coded problem that `sentence` words
 * @example typedSpec('lpCylinders', '2 x 30', 'us') // { ok: true, value: { kind: 'counted', count: 2, each: 30 } }
 */
export const typedSpec = (key: SpecKey, typed: string, system: System): Parsed<SpecValue> => {
  const read = rawValue(key, typed, system);
  if (!read.ok) return read;
  const size = sizeOf(read.value);
  if (size !== undefined && (size <= 0 || size > impossibleAbove)) {
    return refuse({ code: 'impossible', params: { value: typed.trim(), limit: impossibleAbove } });
  }
  const problem = specProblem(key, read.value);
  return problem ? refuse(problem) : read;
};
