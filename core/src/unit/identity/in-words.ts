import { formatQuantity, toInternal, type System } from '../../base/quantity/index.ts';
import { builtOn, dotWeek, readDotDate, tireMonths } from './dot-date.ts';
import { planInWords, readFloorPlan, type GlossaryRow } from './floor-plan.ts';
import { loadOfIndex, speedOfSymbol } from './load-index.ts';
import { modelYearsOf } from './model-year.ts';
import { readTireCode } from './tire-code.ts';
import { readVin } from './vin.ts';

interface By {
  readonly system: System;
  /** Today, `2026-04-15`. */
  readonly today: string;
  readonly glossary: readonly GlossaryRow[];
}

const vinInWords = (typed: string): string | undefined => {
  if (readVin(typed).kind !== 'good') return undefined;
  const years = modelYearsOf(typed);
  const year = years.length > 0 ? `; model year ${years.join(' or ')}` : '';
  return `The check digit is right${year}.`;
};

const planWords = (typed: string, { glossary }: By): string | undefined => {
  const read = readFloorPlan(typed, glossary);
  return read && `${planInWords(read)}.`.replace(/^./, (c) => c.toUpperCase());
};

const tireWords = (typed: string, { system }: By): string | undefined => {
  const read = readTireCode(typed);
  if (!read) return undefined;
  const inches = (amount: number): string => formatQuantity(amount, 'inches', system);
  const load = read.loadIndex === undefined ? undefined : loadOfIndex(read.loadIndex);
  const speed = read.speed === undefined ? undefined : speedOfSymbol(read.speed);
  const parts = [
    `${read.construction}, ${inches(read.width / 25.4)} wide`,
    read.diameter === undefined ? undefined : `${inches(read.diameter)} across`,
    `on a rim of ${inches(read.rim)}`,
    load === undefined
      ? undefined
      : `index ${read.loadIndex} carries ${formatQuantity(toInternal(load, 'kg'), 'weight', system)}`,
    speed === undefined
      ? undefined
      : `${read.speed} to ${formatQuantity(toInternal(speed, 'km/h'), 'speed', system)}`,
  ];
  return `${parts.filter(Boolean).join(', ')}.`.replace(/^./, (c) => c.toUpperCase());
};

const tireDateWords = (typed: string, { today }: By): string | undefined => {
  const read = readDotDate(typed);
  if (read.kind !== 'good') return undefined;
  const week = dotWeek(read.date);
  if (builtOn(read.date) > today) return `W${week.slice(1)} hasn’t come yet: read it again.`;
  const months = tireMonths(read.date, today);
  const age = months < 24 ? `${months} months` : `${Math.floor(months / 12)} years`;
  return `Built in ${week}, ${age} ago.`;
};

/**
 * What a code means, in words, where a field holds one: VIN, floor plan, tire size, tire date.
 * @param key the spec's key
 * @returns undefined where there is nothing to read out of it
 * @example codeInWords('tireSize', 'ST225/75R15', by) // 'Radial, 8.9 in wide, 28.3 in across, on a rim of 15 in.'
 */
export const codeInWords = (key: string, typed: string, by: By): string | undefined => {
  if (key === 'vin') return vinInWords(typed);
  if (key === 'floorPlan') return planWords(typed, by);
  if (key === 'tireSize' || key === 'labelTireSize') return tireWords(typed, by);
  return key.startsWith('tireDate') ? tireDateWords(typed, by) : undefined;
};
