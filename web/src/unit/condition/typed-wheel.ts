import { sentence } from '@fair-gable/core/base/problems';
import { formatQuantity, parseQuantity, type System } from '@fair-gable/core/base/quantity';
import type { SpecKey, WheelKey } from '@fair-gable/core/unit/catalog';
import type { WheelOn } from '@fair-gable/core/unit/condition';
import { builtOn, dotWeek, readDotDate } from '@fair-gable/core/unit/identity';
import {
  textOf,
  typedSpec,
  type Change,
  type UnitRecord,
  type Wheel,
} from '@fair-gable/core/unit/record';

/** What is typed of one wheel, in the order in which one reads it off the sidewall and then measures. */
export const wheelFields = [
  { key: 'make', label: 'Brand', maxlength: 40 },
  {
    key: 'size',
    label: 'Size',
    maxlength: 24,
    placeholder: 'ST205/75R14',
    autocapitalize: 'characters',
  },
  { key: 'range', label: 'Load range', class: 'short', maxlength: 1, autocapitalize: 'characters' },
  { key: 'index', label: 'Load index, single', class: 'short', maxlength: 3, inputmode: 'numeric' },
  { key: 'dot', label: 'Date, last four after DOT', placeholder: '3625', inputmode: 'numeric' },
  { key: 'outer', label: 'Tread, outer (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'middle', label: 'Tread, middle (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'inner', label: 'Tread, inner (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'pressure', label: 'Cold pressure', class: 'short', inputmode: 'decimal' },
] as const;

/** A wheel as its editor holds it. */
export interface WheelDraft extends Record<(typeof wheelFields)[number]['key'] | 'note', string> {
  chosen: Pick<Wheel, 'wear' | 'well' | 'wheel'>;
  /** The version of the wheel, and of its tire's date, when the typing began. */
  basedOn: number;
  dateBasedOn: number;
}

export const thirtySeconds = (inches: number | undefined): string =>
  inches === undefined ? '' : String(Math.round(inches * 32));

const asText = (value: string | number | undefined): string => String(value ?? '');

const dateOf = (key: WheelKey): SpecKey => `tireDate${key}` as SpecKey;

/** What is known of a wheel, as it would be typed. */
export const wheelAsTyped = (
  record: UnitRecord,
  { key, wheel }: WheelOn,
  system: System,
): WheelDraft => {
  const [outer, middle, inner] = wheel.tread ?? [];
  return {
    make: asText(wheel.make),
    size: asText(wheel.size),
    range: asText(wheel.range),
    index: asText(wheel.index),
    dot: asText(textOf(record, dateOf(key))),
    outer: thirtySeconds(outer),
    middle: thirtySeconds(middle),
    inner: thirtySeconds(inner),
    pressure:
      wheel.pressure === undefined ? '' : formatQuantity(wheel.pressure, 'pressure', system),
    note: asText(wheel.note),
    chosen: { wear: wheel.wear, well: wheel.well, wheel: wheel.wheel },
    basedOn: record.wheels[key]?.version ?? 0,
    dateBasedOn: record.specs[dateOf(key)]?.version ?? 0,
  };
};

/** A tread in thirty-seconds of an inch, or a length with its unit; undefined where it can’t be read. */
const tread = (text: string, system: System): number | undefined => {
  if (/^\d{1,2}$/.test(text.trim())) return Number(text) / 32;
  const read = parseQuantity(text, 'fineInches', system);
  return read.ok && read.value < 2 ? read.value : undefined;
};

const treadOf = (typed: WheelDraft, system: System): Wheel['tread'] | 'bad' => {
  const texts = [typed.outer, typed.middle, typed.inner];
  if (texts.every((text) => text.trim() === '')) return undefined;
  const read = texts.map((text) => tread(text, system));
  return read.every((n) => n !== undefined) ? (read as [number, number, number]) : 'bad';
};

/** Size, load range and index as the sidewall has them, or the sentence that says which of them cannot be so. */
const figuresOf = (typed: WheelDraft): Pick<Wheel, 'size' | 'range' | 'index'> | string => {
  const size = typed.size.trim().toUpperCase();
  const range = typed.range.trim().toUpperCase();
  const index = typed.index.trim();
  if (range && !/^[B-G]$/.test(range)) return 'Load range: a letter from B to G, off the sidewall.';
  if (index && !(/^\d{2,3}$/.test(index) && Number(index) >= 60 && Number(index) <= 126))
    return 'Load index: a number from 60 to 126, the one for a single tire.';
  return {
    ...(size ? { size } : {}),
    ...(range ? { range } : {}),
    ...(index ? { index: Number(index) } : {}),
  };
};

/** What was typed of a wheel, or the sentence that says what of it can’t be read. */
const typedWheel = (typed: WheelDraft, system: System): Wheel | string => {
  const read = treadOf(typed, system);
  if (read === 'bad') {
    return 'Tread: give all three as thirty-seconds of an inch, such as 8, 8 and 7, or with a unit.';
  }
  const pressure = typed.pressure.trim()
    ? parseQuantity(typed.pressure, 'pressure', system)
    : undefined;
  if (pressure && !pressure.ok) return sentence('Pressure', pressure.problem);
  const figures = figuresOf(typed);
  if (typeof figures === 'string') return figures;
  const given: Wheel = {
    make: typed.make.trim() || undefined,
    ...figures,
    tread: read,
    pressure: pressure?.value,
    note: typed.note.trim() || undefined,
    ...typed.chosen,
  };
  return Object.fromEntries(
    Object.entries(given).filter(([, value]) => value !== undefined && value !== null),
  );
};

/** Whose wheel it is, and when it is typed. */
interface At {
  readonly record: UnitRecord;
  readonly key: WheelKey;
  readonly system: System;
  /** `2026-04-15` */
  readonly today: string;
}

const dateChange = (
  typed: WheelDraft,
  { record, key, system, today }: At,
): readonly Change[] | string => {
  const spec = dateOf(key);
  if (typed.dot.trim() === (textOf(record, spec) ?? '')) return [];
  const base = { part: 'specs', key: spec, how: 'read', basedOn: typed.dateBasedOn } as const;
  if (typed.dot.trim() === '') return [{ ...base, value: null }];
  const read = typedSpec(spec, typed.dot, system);
  if (!read.ok) return sentence('Tire date', read.problem);
  const week = readDotDate(typed.dot);
  if (week.kind === 'good' && builtOn(week.date) > today)
    return `Tire date: ${dotWeek(week.date)} hasn’t come yet. Read the last four after DOT again.`;
  return [{ ...base, value: read.value }];
};

/** The changes that keep what was typed of a wheel, or the sentence that says what of it can’t be read. */
export const wheelChanges = (typed: WheelDraft, at: At): readonly Change[] | string => {
  const value = typedWheel(typed, at.system);
  if (typeof value === 'string') return value;
  const date = dateChange(typed, at);
  if (typeof date === 'string') return date;
  return [{ part: 'wheels', key: at.key, value, how: 'seen', basedOn: typed.basedOn }, ...date];
};
