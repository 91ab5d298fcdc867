import { spokenDate } from '../../../base/dates/index.ts';
import {
  formatWhole,
  quantityBefore,
  spokenCount,
  spokenQuantity,
  spokenSize,
  type System,
} from '../../../base/quantity/index.ts';
import { specEntry, type Blank, type SpecKey, type ValueKind } from '../../catalog/index.ts';
import { isExact, withBounds, type SpecOf, type SpecValue } from './spec.ts';

type Noun = Blank['noun'];
type Kind<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;

const withNoun = (count: number, noun: NonNullable<Noun>, between = ''): string =>
  `${spokenCount(count)} ${between}${count === 1 ? noun.one : noun.many}`;

const numberSaid = ({ number }: SpecOf<'number'>, kind: Kind<'number'>): string => {
  if (kind.noun) return withNoun(number, { one: kind.noun, many: `${kind.noun}s` });
  return kind.money ? formatWhole(number) : number < 10 ? spokenCount(number) : String(number);
};

/** How each kind of value is said behind a verb. */
const plain: {
  readonly [K in ValueKind['kind']]: (value: SpecOf<K>, kind: Kind<K>, system: System) => string;
} = {
  text: ({ text }) => text,
  number: numberSaid,
  choice: ({ choice }, { choices }) => {
    const row = choices.find(({ key }) => key === choice);
    return row?.said ?? row?.label ?? choice;
  },
  quantity: (value, { display }, system) =>
    withBounds(value, (amount) => spokenQuantity(amount, display, system)),
  // How many of which size takes a noun: `each`.
  counted: ({ count }) => spokenCount(count),
  size: ({ sides }, { display }, system) => spokenSize(sides, display, system),
  date: ({ date }, _, system) => spokenDate(date, system),
};

const plainOf = (kind: ValueKind, value: SpecValue, system: System): string => {
  const say = plain[kind.kind] as (value: SpecValue, kind: ValueKind, system: System) => string;
  return say(value, kind, system);
};

const countOf = (value: SpecValue): number | undefined => {
  if (value.kind === 'number') return value.number;
  return value.kind === 'counted' ? value.count : undefined;
};

const beforeOf = (kind: ValueKind, value: SpecValue, system: System): string | undefined =>
  kind.kind === 'quantity' && value.kind === 'quantity' && isExact(value)
    ? quantityBefore(value.amount, kind.display, system)
    : undefined;

const eachOf = (
  kind: ValueKind,
  value: SpecValue,
  noun: Noun,
  system: System,
): string | undefined =>
  kind.kind === 'counted' && value.kind === 'counted' && value.each !== undefined && noun
    ? withNoun(value.count, noun, `${quantityBefore(value.each, kind.display, system)} `)
    : undefined;

/**
 * A spec's value as a sentence says it; undefined where it cannot be said in that form: of which size, where nobody
 * read the size; before a noun, where it is only about so much.
 * @example spokenSpec('freshTank', { kind: 'quantity', amount: 46 }, { form: 'plain' }, 'us') // '46 gallons'
 * @example spokenSpec('lpCylinders', two of 30 lb, { form: 'each', noun: cylinder }, 'us') // 'two 30-pound cylinders'
 */
export const spokenSpec = (
  key: SpecKey,
  value: SpecValue,
  { form, noun }: Pick<Blank, 'form' | 'noun'>,
  system: System,
): string | undefined => {
  const kind = specEntry(key).value;
  if (kind.kind !== value.kind) return undefined;
  if (form === 'each') return eachOf(kind, value, noun, system);
  if (form === 'before') return beforeOf(kind, value, system);
  if (!noun) return plainOf(kind, value, system);
  const count = countOf(value);
  return count === undefined ? undefined : withNoun(count, noun);
};
