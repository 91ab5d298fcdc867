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
    title: 'Not at the label’s pressure',
    sentence: `The label asks for ${psi(label, system)} cold; measured ${listed(read)}. Check them cold, and look for a leak.`,
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
    title: 'A weaker tire than the label asks for',
    sentence: `The label asks for load range ${label}; ${names(weaker)} has 1 range or more below it. Not to be towed on it.`,
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
    title: 'More air than the tire takes',
    sentence: `${capital(first.label)}: ${psi(first.wheel.pressure ?? 0, system)} is above what its load range takes. Let it down cold; the sidewall decides.`,
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
    title: 'A tire of another size',
    sentence: `${capital(names(other))}: ${first.wheel.size ?? ''}, where ${label} belongs. Tires of one axle have to be the same.`,
    also: ['tireSize'],
  });
};

/** Each wheel by itself against the label, and so against the others. */
const wheelAgainstLabel: Rule = {
  key: 'wheel-against-label',
  about: 'Every wheel has the pressure, load range and size of the label',
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
  about: 'Mechanical pressure caps are made for the label’s pressure',
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
        title: 'Caps for another pressure',
        sentence: `The caps are stamped ${psi(cap, system)}, and the label asks for ${psi(label, system)}: their color says nothing of these tires. Change the caps.`,
        also: ['coldPressure'],
      }),
    ];
  },
};

/** The speed that people tow at, mph: common practice. */
const towedAt = 65;

const speed: Rule = {
  key: 'tire-speed',
  about: 'The tires are made for the speed that people tow at',
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
        title: 'Slow tires',
        sentence: `Speed symbol ${symbol} is good for ${show(mph)}; people tow at ${show(towedAt)}. Say so before anybody drives off.`,
      }),
    ];
  },
};

export const wheelRules: readonly Rule[] = [wheelAgainstLabel, capPressure, speed];
