import { listed } from '../../base/words/index.ts';
import { wheelPlaces } from '../catalog/index.ts';
import {
  loadRanges,
  pressureOfRange,
  readTireCode,
  sizeOf,
  speedOfSymbol,
} from '../identity/index.ts';
import { toInternal, formatQuantity } from '../../base/quantity/index.ts';
import { amountOf, hasFeature, textOf, type UnitRecord, type Wheel } from '../record/index.ts';
import { psi, asFinding } from './as-finding.ts';
import type { Rule, RuleFinding } from './types.ts';

interface On {
  readonly label: string;
  readonly wheel: Wheel;
}

/** The road wheels that somebody looked at. */
const wheelsOn = (record: UnitRecord): readonly On[] =>
  wheelPlaces.flatMap(({ key, label }) => {
    const wheel = key === 'Spare' ? undefined : record.wheels[key]?.value;
    return wheel ? [{ label, wheel }] : [];
  });

/** A cold tire this far from its label was let down or pumped up; gauges and weather do less. Common practice. */
const pressureSlack = 0.1;

const names = (wheels: readonly On[]): string => listed(wheels.map(({ label }) => label));

const capital = (text: string): string => text.replace(/^./, (first) => first.toUpperCase());

const byPressure = (record: UnitRecord, system: 'us' | 'metric'): RuleFinding | undefined => {
  const label = amountOf(record, 'coldPressure');
  if (label === undefined) return undefined;
  const off = wheelsOn(record).filter(
    ({ wheel: { pressure } }) =>
      pressure !== undefined && Math.abs(pressure - label) > label * pressureSlack,
  );
  if (off.length === 0) return undefined;
  const read = off.map(({ label: at, wheel }) => `${at} ${psi(wheel.pressure ?? 0, system)}`);
  return asFinding({
    field: 'coldPressure',
    severity: 'doubtful',
    title: 'Tire pressure is off',
    sentence: `The label calls for ${psi(label, system)} cold, but we measured ${listed(read)}. Check them cold, and look for a leak.`,
  });
};

const byRange = (record: UnitRecord): RuleFinding | undefined => {
  const label = textOf(record, 'labelLoadRange') ?? textOf(record, 'loadRange');
  const order = loadRanges.map(({ key }) => key);
  if (!label) return undefined;
  const weaker = wheelsOn(record).filter(
    ({ wheel: { range } }) => range !== undefined && order.indexOf(range) < order.indexOf(label),
  );
  if (weaker.length === 0) return undefined;
  return asFinding({
    field: 'labelLoadRange',
    severity: 'wrong',
    title: 'Load range is below the label',
    sentence: `The label calls for load range ${label}, but lower on: ${names(weaker)}. Don’t tow it on that tire.`,
    also: ['loadRange'],
  });
};

const byPumped = (record: UnitRecord, system: 'us' | 'metric'): RuleFinding | undefined => {
  const over = wheelsOn(record).filter(({ wheel: { pressure, range } }) => {
    const most = pressureOfRange(range ?? textOf(record, 'loadRange') ?? '');
    return pressure !== undefined && most !== undefined && pressure > most;
  });
  const [first] = over;
  if (!first) return undefined;
  return asFinding({
    field: 'loadRange',
    severity: 'wrong',
    title: 'Tire is overinflated',
    sentence: `${capital(first.label)}: ${psi(first.wheel.pressure ?? 0, system)} is more than its load range takes. Let air out when it’s cold; go by the sidewall.`,
    also: ['coldPressure'],
  });
};

const bySize = (record: UnitRecord): RuleFinding | undefined => {
  const label = textOf(record, 'labelTireSize') ?? textOf(record, 'tireSize');
  if (!label) return undefined;
  const other = wheelsOn(record).filter(
    ({ wheel: { size } }) => size !== undefined && sizeOf(size) !== sizeOf(label),
  );
  const [first] = other;
  if (!first) return undefined;
  return asFinding({
    field: 'labelTireSize',
    severity: 'doubtful',
    title: 'Tire size doesn’t match',
    sentence: `${capital(names(other))}: ${first.wheel.size ?? ''}, but ${label} belongs there. Both tires on an axle have to match.`,
    also: ['tireSize'],
  });
};

/** Each wheel by itself against the label, and so against the others. */
const wheelAgainstLabel: Rule = {
  key: 'wheel-against-label',
  about: 'Every wheel matches the label’s pressure, load range and size',
  needs: ['coldPressure', 'labelLoadRange', 'loadRange', 'labelTireSize', 'tireSize'],
  reads: ['wheels'],
  source: 'Within 10% of the label’s cold pressure: common practice; label and sidewall decide',
  test: (record, { system }) =>
    [byPressure(record, system), byPumped(record, system), byRange(record), bySize(record)].filter(
      (found) => found !== undefined,
    ),
};

const capPressure: Rule = {
  key: 'cap-pressure',
  about: 'The pressure caps match the label’s pressure',
  needs: ['capPressure', 'coldPressure', 'pressureCaps'],
  source: 'A cap shows whether the tire is below its own pressure: common practice',
  test: (record, { system }) => {
    const [cap, label] = [amountOf(record, 'capPressure'), amountOf(record, 'coldPressure')];
    if (cap === undefined || label === undefined || !hasFeature(record, 'pressureCaps')) return [];
    if (Math.abs(cap - label) < 1) return [];
    return [
      asFinding({
        field: 'capPressure',
        severity: 'wrong',
        title: 'Valve caps don’t match the pressure',
        sentence: `The caps are stamped ${psi(cap, system)}, but the label calls for ${psi(label, system)}. Their color tells you nothing about these tires. Change the caps.`,
        also: ['coldPressure'],
      }),
    ];
  },
};

/** The speed that people tow at, mph: common practice. */
const towedAt = 65;

const speed: Rule = {
  key: 'tire-speed',
  about: 'The tires are rated for towing speed',
  needs: ['tireSize'],
  source: 'Speed symbols: ISO 4000-1, from memory; 65 mph is what people tow at: common practice',
  test: (record, { system }) => {
    const symbol = readTireCode(textOf(record, 'tireSize') ?? '')?.speed;
    const most = symbol === undefined ? undefined : speedOfSymbol(symbol);
    if (symbol === undefined || most === undefined) return [];
    const mph = toInternal(most, 'km/h');
    if (mph >= towedAt) return [];
    const show = (amount: number): string => formatQuantity(amount, 'speed', system);
    return [
      asFinding({
        field: 'tireSize',
        severity: 'doubtful',
        title: 'Tire speed rating is low',
        sentence: `Speed symbol ${symbol} is good for ${show(mph)}, but people tow at ${show(towedAt)}. Tell the buyer before they drive off.`,
      }),
    ];
  },
};

export const wheelRules: readonly Rule[] = [wheelAgainstLabel, capPressure, speed];
