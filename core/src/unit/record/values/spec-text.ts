import { formatDate } from '../../../base/dates/index.ts';
import {
  formatCounted,
  formatQuantity,
  formatSize,
  formatWhole,
  type System,
} from '../../../base/quantity/index.ts';
import { counted } from '../../../base/words/index.ts';
import { specEntry, type HowKnown, type SpecKey, type ValueKind } from '../../catalog/index.ts';
import { isExact, withBounds, type SpecOf, type SpecValue } from './spec.ts';

/**
 * A spec's value as the trade writes it; a guess bears “about”, everywhere.
 * @example formatSpec('gvwr', { kind: 'quantity', amount: 7490 }, 'us', 'read') // '7,490 lb'
 */
export const formatSpec = (
  key: SpecKey,
  value: SpecValue,
  system: System,
  how: HowKnown,
): string => {
  const text = bareSpec(key, value, system);
  return how === 'guessed' && isExact(value) ? `about ${text}` : text;
};

const choiceLabel = (
  { choices }: { readonly choices: readonly { key: string; label: string }[] },
  choice: string,
): string => choices.find((c) => c.key === choice)?.label ?? choice;

type Kind<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;

/** How each kind of value is written. */
const written: {
  readonly [K in ValueKind['kind']]: (value: SpecOf<K>, kind: Kind<K>, system: System) => string;
} = {
  text: ({ text }) => text,
  number: ({ number }, { money, noun }) => {
    if (money) return formatWhole(number);
    return noun ? counted(number, noun) : String(number);
  },
  choice: ({ choice }, kind) => choiceLabel(kind, choice),
  quantity: (value, { display }, system) =>
    withBounds(value, (amount) => formatQuantity(amount, display, system)),
  counted: ({ count, each }, { display }, system) =>
    each === undefined ? `${count} × ?` : formatCounted({ count, each }, display, system),
  size: ({ sides }, { display }, system) => formatSize(sides, display, system),
  date: ({ date }) => formatDate(date),
};

/** Nothing for a value of another kind than its field: the record's schema lets none in. */
const bareSpec = (key: SpecKey, value: SpecValue, system: System): string => {
  const kind = specEntry(key).value;
  if (kind.kind !== value.kind) return '';
  const write = written[kind.kind] as (value: SpecValue, kind: ValueKind, system: System) => string;
  return write(value, kind, system);
};
