import type { SpecKey } from '../catalog/index.ts';
import {
  amountOf,
  countedOf,
  howMany,
  formatSpec,
  hasFeature,
  textOf,
  type UnitRecord,
} from '../record/index.ts';
import { amps, asFinding, watts } from './as-finding.ts';
import type { System } from '../../base/quantity/index.ts';
import type { Rule, RuleFinding } from './types.ts';

const panelWatts = (record: UnitRecord): number | undefined => {
  const panels = countedOf(record, 'solarPanels');
  return panels && panels.count * panels.each;
};

/** A choice by its label. */
const choiceOf = (record: UnitRecord, key: SpecKey): string => {
  const value = record.specs[key]?.value;
  return value ? formatSpec(key, value, 'us', 'read') : '';
};

/** Volts at which a 12 V battery is charged; common practice. */
const chargingVolts = 14.4;

const shoreSizes = [15, 20, 30, 50] as const;

const shoreSize: Rule = {
  key: 'shore-size',
  about: 'Shore power is a size pedestals have',
  needs: ['shoreAmps'],
  doubts: 'its field',
  source: 'NEC 551, from memory',
  test: (record, { system }) => {
    const rated = amountOf(record, 'shoreAmps');
    if (rated === undefined || shoreSizes.some((size) => size === rated)) return [];
    return [
      asFinding({
        field: 'shoreAmps',
        severity: 'doubtful',
        title: 'Shore power isn’t a standard size',
        sentence: `No pedestal has ${amps(rated, system)}; they come in ${shoreSizes.join(', ')} A. Read the plate on the inlet.`,
      }),
    ];
  },
};

const shoreForCooling: Rule = {
  key: 'shore-for-cooling',
  about: 'Shore power is enough for the air conditioners',
  needs: ['shoreAmps', 'acUnits'],
  source: 'Two air conditioners need 50 A or load management: common practice',
  test: (record, { system }) => {
    const [rated, cooling] = [amountOf(record, 'shoreAmps'), howMany(record, 'acUnits')];
    if (rated === undefined || cooling === undefined || cooling < 2 || rated >= 50) return [];
    return [
      asFinding({
        field: 'shoreAmps',
        severity: 'doubtful',
        title: 'Shore power is short for two A/Cs',
        sentence: `There are ${cooling} air conditioners on ${amps(rated, system)}. Together they trip the breaker unless something shares the load. Find out which one runs.`,
        also: ['acUnits'],
      }),
    ];
  },
};

const coolingCount: Rule = {
  key: 'cooling-count',
  about: 'The number of air conditioners matches the second one',
  needs: ['acUnits', 'secondAc'],
  doubts: ['acUnits'],
  source: 'By definition',
  test: (record) => {
    const count = howMany(record, 'acUnits');
    const second = record.features.secondAc?.value.state;
    if (count === undefined || second === undefined) return [];
    const isThere = hasFeature(record, 'secondAc');
    if (isThere === count > 1) return [];
    return [
      asFinding({
        field: 'secondAc',
        severity: 'wrong',
        title: 'Air conditioners don’t match',
        sentence: isThere
          ? `A second air conditioner is recorded as fitted, but the count is ${count}. Count the covers on the roof.`
          : `The count is ${count}, but the second one is recorded as not fitted. A framed opening is prep only.`,
        also: ['acUnits'],
      }),
    ];
  },
};

const controllerMissing: Rule = {
  key: 'solar-controller',
  about: 'A solar panel has a controller',
  needs: ['solar', 'solarController'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'solar')) return [];
    if (record.features.solarController?.value.state !== 'none') return [];
    return [
      asFinding({
        field: 'solarController',
        severity: 'doubtful',
        title: 'Solar panel has no controller',
        sentence:
          'There’s a solar panel but no controller; a 12 V battery overcharges without one. Look behind the panel by the door.',
        also: ['solar'],
      }),
    ];
  },
};

/** What a 12 V panel's watts are in amperes, about: a panel works at some 18 V. Common practice; its plate decides. */
const panelVolts = 18;

/** What the panels can push: off their plates, else about what their watts come to. */
const panelCurrent = (
  record: UnitRecord,
): { readonly amount: number; readonly isAbout: boolean } | undefined => {
  const read = amountOf(record, 'solarShortCircuit');
  if (read !== undefined) return { amount: read, isAbout: false };
  const power = panelWatts(record);
  return power === undefined ? undefined : { amount: power / panelVolts, isAbout: true };
};

const askForPlate = 'Read the short-circuit current off the panels’ plates.';

/** MPPT takes what it can and leaves the rest. */
const beyondPower = (power: number, limit: number, system: System): RuleFinding | undefined => {
  const current = power / chargingVolts;
  if (current <= limit) return undefined;
  return asFinding({
    field: 'controllerAmps',
    severity: 'look',
    title: 'More solar than the controller can use',
    sentence: `${watts(power, system)} of solar makes up to ${amps(current, system)}, but the controller passes ${amps(limit, system)}. The rest is lost.`,
    also: ['solarPanels'],
  });
};

/** PWM, or nobody knows: all that the panels push goes through it. */
const beyondCurrent = (
  power: number,
  current: ReturnType<typeof panelCurrent>,
  limit: number,
  system: System,
): RuleFinding | undefined => {
  if (current === undefined || current.amount <= limit) return undefined;
  const { amount, isAbout } = current;
  return asFinding({
    field: 'controllerAmps',
    severity: isAbout ? 'doubtful' : 'wrong',
    title: 'Solar controller is overloaded',
    sentence: `${watts(power, system)} of solar makes ${isAbout ? 'about ' : ''}${amps(amount, system)}, but the controller is rated for ${amps(limit, system)}. ${isAbout ? askForPlate : 'Don’t connect it like this.'}`,
    also: ['solarShortCircuit', 'solarPanels'],
  });
};

const controllerSize: Rule = {
  key: 'controller-size',
  about: 'The solar controller can take what the panels make',
  needs: ['solarPanels', 'controllerAmps', 'controllerKind', 'solarShortCircuit'],
  source:
    'Watts over charging volts (MPPT), panel current (PWM), about watts ÷ 18 where no plate was read: common practice',
  test: (record, { system }) => {
    const [power, limit] = [panelWatts(record), amountOf(record, 'controllerAmps')];
    if (power === undefined || limit === undefined) return [];
    const found =
      textOf(record, 'controllerKind') === 'mppt'
        ? beyondPower(power, limit, system)
        : beyondCurrent(power, panelCurrent(record), limit, system);
    return found ? [found] : [];
  },
};

const portSize: Rule = {
  key: 'solar-port-size',
  about: 'The panels stay within the solar port’s limit',
  needs: ['solarPanels', 'solarPortAmps', 'solarPort', 'solarShortCircuit'],
  source: 'The port’s label decides; about watts ÷ 18 where no plate was read: common practice',
  test: (record, { system }) => {
    const [current, limit] = [panelCurrent(record), amountOf(record, 'solarPortAmps')];
    if (!current || limit === undefined || !hasFeature(record, 'solarPort')) return [];
    if (current.amount <= limit) return [];
    const about = current.isAbout ? 'about ' : '';
    return [
      asFinding({
        field: 'solarPortAmps',
        severity: 'look',
        title: 'Panels are over the solar port’s limit',
        sentence: `The panels make ${about}${amps(current.amount, system)}, but the solar port is for ${amps(limit, system)}. They can’t feed through it. ${current.isAbout ? askForPlate : 'Follow their wires to make sure they don’t.'}`,
        also: ['solarPanels', 'solarShortCircuit'],
      }),
    ];
  },
};

const wiringSize: Rule = {
  key: 'solar-wiring',
  about: 'The panels stay within the prewire limit',
  needs: ['solarPanels', 'solarAllowance'],
  source: 'The maker’s sheet decides: common practice',
  test: (record, { system }) => {
    const [power, limit] = [panelWatts(record), amountOf(record, 'solarAllowance')];
    if (power === undefined || limit === undefined || power <= limit) return [];
    return [
      asFinding({
        field: 'solarAllowance',
        severity: 'doubtful',
        title: 'More solar than the wiring allows',
        sentence: `There’s ${watts(power, system)} of solar on wiring for ${watts(limit, system)}. Have an electrician look before it’s used.`,
        also: ['solarPanels'],
      }),
    ];
  },
};

const isLead = (kind: string): boolean => ['flooded', 'agm', 'gel'].includes(kind);

const controllerSetting: Rule = {
  key: 'controller-setting',
  about: 'The solar controller is set for this battery',
  needs: ['controllerSetting', 'batteryKind'],
  source: 'Common practice; the battery maker’s sheet decides',
  test: (record) => {
    const [setting, kind] = [textOf(record, 'controllerSetting'), textOf(record, 'batteryKind')];
    if (!setting || !kind || setting === kind) return [];
    return [
      asFinding({
        field: 'controllerSetting',
        severity: isLead(setting) === isLead(kind) ? 'doubtful' : 'wrong',
        title: 'Solar controller setting is wrong',
        sentence: `The solar controller is set for ${choiceOf(record, 'controllerSetting')}, but the battery is ${choiceOf(record, 'batteryKind')}. Change the setting before it charges.`,
        also: ['batteryKind'],
      }),
    ];
  },
};

const converterSetting: Rule = {
  key: 'converter-setting',
  about: 'The converter is set for this battery',
  needs: ['converterSetting', 'batteryKind'],
  source: 'Common practice; the battery maker’s sheet decides',
  test: (record) => {
    const [setting, kind] = [textOf(record, 'converterSetting'), textOf(record, 'batteryKind')];
    if (!setting || !kind || setting === 'automatic') return [];
    if ((setting === 'lithium') === (kind === 'lithium')) return [];
    return [
      asFinding({
        field: 'converterSetting',
        severity: 'wrong',
        title: 'Converter setting is wrong',
        sentence: `The converter is set for ${choiceOf(record, 'converterSetting')}, but the battery is ${choiceOf(record, 'batteryKind')}. Change the setting before you plug it in.`,
        also: ['batteryKind'],
      }),
    ];
  },
};

const batteryVolts: Rule = {
  key: 'battery-volts',
  about: 'The batteries add up to 12 V',
  needs: ['batteryVolts', 'batteryWiring', 'batteryCharge'],
  doubts: ['batteryVolts', 'batteryWiring', 'batteryCharge'],
  source: 'In series volts add up, in parallel amp-hours: physics',
  test: (record) => {
    const volts = amountOf(record, 'batteryVolts');
    const wiring = textOf(record, 'batteryWiring');
    const count = howMany(record, 'batteryCharge') ?? 1;
    if (volts === undefined || !wiring) return [];
    const inRow = wiring === 'series' ? count : wiring === 'both' ? 2 : 1;
    if (volts * inRow === 12) return [];
    return [
      asFinding({
        field: 'batteryWiring',
        severity: 'wrong',
        title: 'Batteries don’t add up to 12 V',
        sentence: `${count} × ${volts} V wired ${wiring === 'single' ? 'singly' : `in ${wiring === 'both' ? 'pairs' : wiring}`} makes ${volts * inRow} V, but the trailer runs on 12 V. Check the voltage and the cables.`,
        also: ['batteryVolts', 'batteryCharge'],
      }),
    ];
  },
};

const inverterBank: Rule = {
  key: 'inverter-bank',
  about: 'The batteries can run the inverter',
  needs: ['inverterWatts', 'batteryCharge'],
  source: 'No more amps than the bank has amp-hours: common practice',
  test: (record, { system }) => {
    const inverter = amountOf(record, 'inverterWatts');
    const bank = countedOf(record, 'batteryCharge');
    if (inverter === undefined || !bank) return [];
    const current = inverter / 12;
    const hours = bank.count * bank.each;
    if (current <= hours) return [];
    return [
      asFinding({
        field: 'inverterWatts',
        severity: 'doubtful',
        title: 'Battery is small for the inverter',
        sentence: `At ${watts(inverter, system)} the inverter draws ${amps(current, system)} from a ${hours} Ah bank: empty within the hour, and hard on it. Find out what it’s meant to run.`,
        also: ['batteryCharge'],
      }),
    ];
  },
};

export const powerRules: readonly Rule[] = [
  shoreSize,
  shoreForCooling,
  coolingCount,
  controllerMissing,
  controllerSize,
  portSize,
  wiringSize,
  controllerSetting,
  converterSetting,
  batteryVolts,
  inverterBank,
];
