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
  about: 'Shore power is of a size that pedestals have',
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
        title: 'No pedestal has this size',
        sentence: `${amps(rated, system)} is on no pedestal; there are ${shoreSizes.join(', ')} A. Read the plate of the inlet.`,
      }),
    ];
  },
};

const shoreForCooling: Rule = {
  key: 'shore-for-cooling',
  about: 'Shore power goes with the air conditioners',
  needs: ['shoreAmps', 'acUnits'],
  source: 'Two air conditioners want 50 A or load management: common practice',
  test: (record, { system }) => {
    const [rated, cooling] = [amountOf(record, 'shoreAmps'), howMany(record, 'acUnits')];
    if (rated === undefined || cooling === undefined || cooling < 2 || rated >= 50) return [];
    return [
      asFinding({
        field: 'shoreAmps',
        severity: 'doubtful',
        title: 'Little power for this cooling',
        sentence: `${cooling} air conditioners on ${amps(rated, system)}: both together trip it unless something shares the load. Which one runs?`,
        also: ['acUnits'],
      }),
    ];
  },
};

const coolingCount: Rule = {
  key: 'cooling-count',
  about: 'The count of air conditioners goes with the second one',
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
        title: 'How many air conditioners?',
        sentence: isThere
          ? `A second air conditioner is recorded as fitted, and ${count} is counted.`
          : `${count} are counted, and the second one is recorded as not fitted. A framed opening is prep.`,
        also: ['acUnits'],
      }),
    ];
  },
};

const controllerMissing: Rule = {
  key: 'solar-controller',
  about: 'A panel has a controller',
  needs: ['solar', 'solarController'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'solar')) return [];
    if (record.features.solarController?.value.state !== 'none') return [];
    return [
      asFinding({
        field: 'solarController',
        severity: 'doubtful',
        title: 'A panel without a controller',
        sentence:
          'A panel is fitted and no controller: 12 V batteries boil without one. Look behind the panel by the door.',
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
    title: 'Panels beyond the controller',
    sentence: `${watts(power, system)} of panel make up to ${amps(current, system)}; the controller is for ${amps(limit, system)}. What is above is lost.`,
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
    title: 'More current than the controller stands',
    sentence: `${watts(power, system)} of panel make ${isAbout ? 'about ' : ''}${amps(amount, system)}; the controller is for ${amps(limit, system)}. ${isAbout ? askForPlate : 'Not to be connected so.'}`,
    also: ['solarShortCircuit', 'solarPanels'],
  });
};

const controllerSize: Rule = {
  key: 'controller-size',
  about: 'The controller takes what the panels give',
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
  about: 'What plugs into the solar port stays within its limit',
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
        title: 'More panel than the port passes',
        sentence: `The panels make ${about}${amps(current.amount, system)}, and the port is for ${amps(limit, system)}: they can’t feed through it. ${current.isAbout ? askForPlate : 'Follow their wires to see that they don’t.'}`,
        also: ['solarPanels', 'solarShortCircuit'],
      }),
    ];
  },
};

const wiringSize: Rule = {
  key: 'solar-wiring',
  about: 'The panels stay within what the wiring allows',
  needs: ['solarPanels', 'solarAllowance'],
  source: 'The maker’s sheet decides: common practice',
  test: (record, { system }) => {
    const [power, limit] = [panelWatts(record), amountOf(record, 'solarAllowance')];
    if (power === undefined || limit === undefined || power <= limit) return [];
    return [
      asFinding({
        field: 'solarAllowance',
        severity: 'doubtful',
        title: 'More panel than the wiring allows',
        sentence: `${watts(power, system)} of panel on wiring for ${watts(limit, system)}. An electrician looks before the sun does.`,
        also: ['solarPanels'],
      }),
    ];
  },
};

const isLead = (kind: string): boolean => ['flooded', 'agm', 'gel'].includes(kind);

const controllerSetting: Rule = {
  key: 'controller-setting',
  about: 'The solar controller is set for the battery that is fitted',
  needs: ['controllerSetting', 'batteryKind'],
  source: 'Common practice; the battery maker’s sheet decides',
  test: (record) => {
    const [setting, kind] = [textOf(record, 'controllerSetting'), textOf(record, 'batteryKind')];
    if (!setting || !kind || setting === kind) return [];
    return [
      asFinding({
        field: 'controllerSetting',
        severity: isLead(setting) === isLead(kind) ? 'doubtful' : 'wrong',
        title: 'Set for another battery',
        sentence: `The controller is set for ${choiceOf(record, 'controllerSetting')}, and the 12 V battery is ${choiceOf(record, 'batteryKind')}. Change the setting before the sun comes out.`,
        also: ['batteryKind'],
      }),
    ];
  },
};

const converterSetting: Rule = {
  key: 'converter-setting',
  about: 'The converter is set for the battery that is fitted',
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
        title: 'The converter charges another kind',
        sentence: `The converter is set for ${choiceOf(record, 'converterSetting')}, and the 12 V battery is ${choiceOf(record, 'batteryKind')}. Set it before it is plugged in.`,
        also: ['batteryKind'],
      }),
    ];
  },
};

const batteryVolts: Rule = {
  key: 'battery-volts',
  about: 'The batteries make twelve volts together',
  needs: ['batteryVolts', 'batteryWiring', 'batteryCharge'],
  doubts: ['batteryVolts', 'batteryWiring', 'batteryCharge'],
  source: 'In series volts add up, in parallel ampere-hours: physics',
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
        title: 'Not twelve volts',
        sentence: `${count} of ${volts} V joined ${wiring === 'single' ? 'alone' : `in ${wiring === 'both' ? 'pairs' : wiring}`} make ${volts * inRow} V; the trailer runs on 12 V.`,
        also: ['batteryVolts', 'batteryCharge'],
      }),
    ];
  },
};

const inverterBank: Rule = {
  key: 'inverter-bank',
  about: 'The batteries can feed the inverter',
  needs: ['inverterWatts', 'batteryCharge'],
  source: 'No more than the bank’s ampere-hours in amperes: common practice',
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
        title: 'A small battery for this inverter',
        sentence: `${watts(inverter, system)} draw ${amps(current, system)} of a bank of ${hours} Ah: empty within the hour, and hard on it. What is it meant to run?`,
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
