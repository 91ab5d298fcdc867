import { counted, inText } from '../../base/words/index.ts';
import {
  displayRow,
  formatCounted,
  formatQuantity,
  fromInternal,
  toInternal,
  type Display,
  type System,
  type UnitKey,
} from '../../base/quantity/index.ts';
import type { SpecValue } from '../record/index.ts';
import { isWithin, type Range } from './plausible.ts';

/**
 * What was probably meant by a figure that cannot be: each kind of slip with its own sentence. Where several readings fit
 * all are offered; where none does, none. Which slips people make: common practice.
 */
export interface Reading {
  readonly kind:
    | 'thousand'
    | 'point'
    | 'inches-as-feet'
    | 'run-together'
    | 'hundreds'
    | 'together-as-each'
    | 'count-alone';
  readonly value: SpecValue;
  /** What happened, in a sentence with the figures in it. */
  readonly sentence: string;
}

interface Field {
  readonly display: Display;
  readonly range: Range;
}

/** The figure as somebody typed it: in the unit of the two in which it is round. */
const typedIn = (
  amount: number,
  display: Display,
): { readonly digits: string; readonly unit: UnitKey } => {
  const { us, metric } = displayRow(display);
  const units = [us.unit, metric.unit];
  const unit =
    units.find((one) => {
      const n = fromInternal(amount, one);
      return Math.abs(n - Math.round(n)) < 1e-6;
    }) ?? us.unit;
  return { digits: String(Math.round(fromInternal(amount, unit))), unit };
};

const quantity = (amount: number): SpecValue => ({ kind: 'quantity', amount });

/** 13.5 for 13,500: said, and written, in thousands. */
const thousand = (
  amount: number,
  { display, range }: Field,
  system: System,
): readonly Reading[] => {
  if (!isWithin(amount * 1000, range)) return [];
  const show = (a: number): string => formatQuantity(a, display, system);
  return [
    {
      kind: 'thousand',
      value: quantity(amount * 1000),
      sentence: `Meant in thousands, it’s ${show(amount * 1000)}.`,
    },
  ];
};

const shifts = [10, 100, 0.1, 0.01, 0.001] as const;

/** A point, or a nought, in the wrong place. */
const point = (amount: number, { display, range }: Field, system: System): readonly Reading[] =>
  shifts
    .filter((by) => isWithin(amount * by, range))
    .map((by) => {
      const places = Math.abs(Math.round(Math.log10(by)));
      const show = formatQuantity(amount * by, display, system);
      return {
        kind: 'point' as const,
        value: quantity(amount * by),
        sentence: `Move the decimal point ${counted(places, 'place')} ${by > 1 ? 'right' : 'left'} and it’s ${show}.`,
      };
    });

const inchesPerFoot = 12;

/** Inches typed where feet were meant: 316 for 26 ft 4 in. */
const inchesAsFeet = (
  amount: number,
  { display, range }: Field,
  system: System,
): readonly Reading[] => {
  const inches = amount / inchesPerFoot;
  if (display !== 'feet' || !isWithin(inches, range)) return [];
  return [
    {
      kind: 'inches-as-feet',
      value: quantity(inches),
      sentence: `Read as inches, it’s ${formatQuantity(inches, display, system)}.`,
    },
  ];
};

/** “Fifty-two ten” taken down as 50,210: a nought too many between hundreds and tens. */
const hundreds = (
  amount: number,
  { display, range }: Field,
  system: System,
): readonly Reading[] => {
  const { digits, unit } = typedIn(amount, display);
  const shorter = [...digits].flatMap((digit, i) => {
    const isInner = i > 0 && i < digits.length - 1;
    return digit === '0' && isInner ? [digits.slice(0, i) + digits.slice(i + 1)] : [];
  });
  return (
    [...new Set(shorter)]
      // A nought less at the end is a point in the wrong place.
      .filter((text) => Number(digits) !== Number(text) * 10)
      .map((text) => toInternal(Number(text), unit))
      .filter((meant) => isWithin(meant, range))
      .map((meant) => ({
        kind: 'hundreds' as const,
        value: quantity(meant),
        sentence: `Without the extra 0, it’s ${formatQuantity(meant, display, system)}.`,
      }))
  );
};

const firstOfEach = (readings: readonly Reading[]): readonly Reading[] => [
  ...new Map(readings.map((reading) => [JSON.stringify(reading.value), reading])).values(),
];

/** What a quantity out of its range was probably meant to be. */
export const readingsOf = (amount: number, field: Field, system: System): readonly Reading[] =>
  firstOfEach(
    [inchesAsFeet, thousand, hundreds, point].flatMap((slip) => slip(amount, field, system)),
  );

interface CountedField extends Field {
  readonly counts: { readonly from: number; readonly to: number };
}

const countedValue = (count: number, each: number): SpecValue => ({ kind: 'counted', count, each });

/** “Two thirties” taken down as 230: the first digit is the count, the rest the size. */
const runTogether = (
  each: number,
  { display, range, counts }: CountedField,
  system: System,
): readonly Reading[] => {
  const { digits, unit } = typedIn(each, display);
  const count = Number(digits[0]);
  const size = toInternal(Number(digits.slice(1)), unit);
  const fits = count > 1 && count <= counts.to && digits.length > 1 && isWithin(size, range);
  if (!fits) return [];
  return [
    {
      kind: 'run-together',
      value: countedValue(count, size),
      sentence: `If count and size ran together, it’s ${formatCounted({ count, each: size }, display, system)}.`,
    },
  ];
};

/** Both together taken for each: 2 × 7,000 for two axles of 3,500, or 60 for two cylinders of 30. */
const togetherAsEach = (
  value: { readonly count: number; readonly each: number },
  { display, range, counts }: CountedField,
  system: System,
): readonly Reading[] => {
  const tried =
    value.count > 1
      ? [value.count]
      : Array.from({ length: Math.max(counts.to - 1, 0) }, (_, i) => i + 2);
  return tried
    .map((count) => ({ count, each: value.each / count }))
    .filter(({ each }) => isWithin(each, range))
    .slice(0, 1)
    .map((meant) => ({
      kind: 'together-as-each' as const,
      value: countedValue(meant.count, meant.each),
      sentence: `If that’s all of them together, it’s ${formatCounted(meant, display, system)}.`,
    }));
};

/** 14 tie-downs typed where their rating belongs. */
const countAlone = (
  { count, each }: { readonly count: number; readonly each: number },
  { display, range, counts }: CountedField,
): readonly Reading[] => {
  const { digits } = typedIn(each, display);
  const many = Number(digits);
  if (count !== 1 || many <= 1 || many > 2 * counts.to || isWithin(each, range)) return [];
  return [
    {
      kind: 'count-alone',
      value: { kind: 'counted', count: many },
      sentence: `If that’s how many, it’s ${many} with the size still unknown.`,
    },
  ];
};

/** What a count and size out of their range were probably meant to be. */
export const countedReadingsOf = (
  value: { readonly count: number; readonly each: number },
  field: CountedField,
  system: System,
): readonly Reading[] => {
  const single = (readings: readonly Reading[]): readonly Reading[] =>
    readings.flatMap((reading) =>
      reading.value.kind === 'quantity'
        ? [{ ...reading, value: countedValue(value.count, reading.value.amount) }]
        : [],
    );
  return firstOfEach([
    ...runTogether(value.each, field, system),
    ...togetherAsEach(value, field, system),
    ...single(thousand(value.each, field, system)),
    ...countAlone(value, field),
    ...single(hundreds(value.each, field, system)),
    ...single(point(value.each, field, system)),
  ]);
};

/** What of several readings a note says. */
export const readingWords = (readings: readonly Reading[]): string =>
  readings.length === 0
    ? 'Read it again.'
    : readings.map(({ sentence }, i) => (i === 0 ? sentence : `Or ${inText(sentence)}`)).join(' ');
