import { describe, expect, it } from '@jest/globals';
import type { FeatureKey, FeatureState, SpecKey } from '@fair-gable/core/unit/catalog';
import { checkAgain, checkRecord, rules, type Severity } from '@fair-gable/core/unit/checks';
import {
  applyChange,
  emptyRecord,
  typedSpec,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoFiles } from './demo-units.ts';

const at = '2026-04-15T09:00:00.000Z';
const look = { system: 'us', today: '2026-04-15' } as const;

type Specs = Partial<Record<SpecKey, string>>;
type Features = Partial<Record<FeatureKey, FeatureState>>;

/** A record of a few fields, as typed. */
const recordOf = (
  specs: Specs,
  features: Features = {},
  how: Change['how'] = 'read',
): UnitRecord => {
  const changes: readonly Change[] = [
    ...Object.entries(specs).map(([key, text]): Change => {
      const read = typedSpec(key as SpecKey, text, 'us');
      if (!read.ok) throw new Error(`${key}: ${text}`);
      return { part: 'specs', key, value: read.value, how, basedOn: 0 };
    }),
    ...Object.entries(features).map(([key, state]): Change => ({
      part: 'features',
      key,
      value: { state },
      how,
      basedOn: 0,
    })),
  ];
  return changes.reduce((record, change) => applyChange(record, change, 'Ines', at), emptyRecord);
};

const found = (rule: string, record: UnitRecord) =>
  checkRecord(record, look).filter((o) => o.rule === rule);

type Case = readonly [
  rule: string,
  severity: Severity | 'quiet',
  specs: Specs,
  features?: Features,
];

/**
 * Each rule at its boundary: what it objects to, and the nearest thing that it lets pass. The boundaries
 * are those of each rule's own source; where that is common practice or memory, so are these.
 */
const cases: readonly Case[] = [
  ['vin-year', 'doubtful', { vin: '1M8GDM9AXKP042788', modelYear: '2020' }],
  ['vin-year', 'quiet', { vin: '1M8GDM9AXKP042788', modelYear: '2019' }],
  ['vin-year', 'quiet', { vin: '12345', modelYear: '2019' }],
  ['build-year', 'doubtful', { buildDate: '12/2023', modelYear: '2025' }],
  ['build-year', 'quiet', { buildDate: '1/2024', modelYear: '2025' }],
  ['build-year', 'quiet', { buildDate: '12/2025', modelYear: '2025' }],
  ['build-year', 'doubtful', { buildDate: '1/2026', modelYear: '2025' }],
  ['built-then-arrived', 'wrong', { buildDate: '3/2026', arrived: '2026-02-28' }],
  ['built-then-arrived', 'quiet', { buildDate: '3/2026', arrived: '2026-03-01' }],
  ['arrived-then-inspected', 'wrong', { arrived: '2026-03-02', inspected: '2026-03-01' }],
  ['arrived-then-inspected', 'quiet', { arrived: '2026-03-02', inspected: '2026-03-02' }],
  ['future-date', 'wrong', { arrived: '2026-04-16' }],
  ['future-date', 'quiet', { arrived: '2026-04-15', buildDate: '4/2026' }],
  ['nominal-length', 'wrong', { floorPlan: '24 RKD', overallLength: '22 ft 11' }],
  ['nominal-length', 'doubtful', { floorPlan: '24 RKD', overallLength: "23'6" }],
  ['nominal-length', 'quiet', { floorPlan: '24 RKD', overallLength: '30 ft' }],
  ['nominal-length', 'doubtful', { floorPlan: '24 RKD', overallLength: "30'1" }],
  ['recall-stale', 'look', { recallChecked: '2026-01-15' }],
  ['recall-stale', 'quiet', { recallChecked: '2026-01-16' }],
  ['price-over-list', 'doubtful', { askingPrice: '20001', listPrice: '20000' }],
  ['price-over-list', 'quiet', { askingPrice: '20000', listPrice: '20000' }],
  ['option-without-package', 'look', {}, { awning: 'option', solar: 'option', tv: 'option' }],
  ['option-without-package', 'quiet', { packages: 'Shoreline' }, { awning: 'option', solar: 'option', tv: 'option' }],
  // Options are ordered one by one as well.
  ['option-without-package', 'quiet', {}, { awning: 'option', solar: 'option' }],
  ['inspection-unsigned', 'doubtful', { inspected: '2026-04-01' }],
  ['inspection-unsigned', 'quiet', {}],

  ['empty-over-gross', 'wrong', { uvw: '5000', gvwr: '5000' }],
  ['empty-over-gross', 'quiet', { uvw: '4999', gvwr: '5000' }],
  ['hitch-share', 'doubtful', { hitchWeight: '399', uvw: '5000' }],
  ['hitch-share', 'quiet', { hitchWeight: '400', uvw: '5000' }],
  ['hitch-share', 'quiet', { hitchWeight: '900', uvw: '5000' }],
  ['hitch-share', 'wrong', { hitchWeight: '200', uvw: '5000' }],
  // 40 gal × 8.345 = 333.8 lb.
  ['capacity-with-water', 'look', { ccc: '633', freshTank: '40' }],
  ['capacity-with-water', 'quiet', { ccc: '634', freshTank: '40' }],
  ['capacity-with-water', 'doubtful', { ccc: '333', freshTank: '40' }],
  // 46 gal × 8.3 = 381.8 lb; within 5%, 19.1 lb.
  ['label-water', 'quiet', { labelWater: '400', freshTank: '40', heaterTank: '6' }],
  ['label-water', 'doubtful', { labelWater: '402', freshTank: '40', heaterTank: '6' }],
  ['coupler-rating', 'wrong', { couplerRating: '4999', gvwr: '5000' }],
  ['coupler-rating', 'quiet', { couplerRating: '5000', gvwr: '5000' }],
  ['jack-rating', 'doubtful', { jackRating: '1049', gvwr: '7000' }],
  ['jack-rating', 'quiet', { jackRating: '1050', gvwr: '7000' }],
  ['ball-size', 'doubtful', { ballSize: '2', gvwr: '8001' }],
  ['ball-size', 'quiet', { ballSize: '2', gvwr: '8000' }],
  ['ball-size', 'quiet', { ballSize: '2-5-16', gvwr: '12000' }],
  ['single-axle-weight', 'doubtful', { axleRating: '1 x 5000', uvw: '4201' }],
  ['single-axle-weight', 'quiet', { axleRating: '1 x 5000', uvw: '4200' }],
  ['single-axle-weight', 'quiet', { axleRating: '2 x 3500', uvw: '5000' }],
  ['weight-label-after-fitting', 'look', {}, { battery: 'ours', solar: 'ours' }],
  ['weight-label-after-fitting', 'quiet', {}, { battery: 'ours', solar: 'standard' }],
  ['weight-label-after-fitting', 'quiet', {}, { battery: 'ours', solar: 'ours', weightCorrection: 'ours' }],
  // The lesser of 100 lb and 1.5% of the rating: 75 lb of 5,000, 100 lb of 8,000.
  ['weight-label-after-fitting', 'wrong', { fittedWeight: '76', gvwr: '5000' }],
  ['weight-label-after-fitting', 'quiet', { fittedWeight: '75', gvwr: '5000' }],
  ['weight-label-after-fitting', 'wrong', { fittedWeight: '101', gvwr: '8000' }],
  ['weight-label-after-fitting', 'quiet', { fittedWeight: '100', gvwr: '8000' }],
  ['weight-label-after-fitting', 'quiet', { fittedWeight: '300', gvwr: '8000' }, { weightCorrection: 'ours' }],
  ['weight-label-after-fitting', 'quiet', { fittedWeight: '300', gvwr: '8000', condition: 'used' }],
  ['label-photo-missing', 'look', { gvwr: '5000', uvw: '4000', ccc: '980' }],
  ['label-photo-missing', 'quiet', { gvwr: '5000', uvw: '4000' }],
  ['label-photo-missing', 'quiet', { gvwr: '5000', uvw: '4000', ccc: '980' }, { labelPhotos: 'standard' }],
  ['label-tick-without-photos', 'doubtful', {}, { labelPhotos: 'standard' }],
  ['label-tick-without-photos', 'quiet', { gvwr: '5000' }],
  ['breakaway-power', 'doubtful', {}, { breakaway: 'standard', battery: 'none' }],
  ['breakaway-power', 'quiet', {}, { breakaway: 'standard', battery: 'ours' }],
  ['breakaway-power', 'quiet', {}, { breakaway: 'standard' }],

  // Week 15 of 2021 began on 2021-04-11: five years old on 2026-04-15; week 16 of 2021 is not yet.
  ['tire-age', 'look', { tireDateDoorFront: '1521' }],
  ['tire-age', 'quiet', { tireDateDoorFront: '1621' }],
  ['tire-age', 'doubtful', { tireDateDoorFront: '1419' }],
  ['tire-date-code', 'wrong', { tireDateDoorFront: '5424' }],
  ['tire-date-code', 'quiet', { tireDateDoorFront: '5324' }],
  ['tire-date-code', 'wrong', { tireDateDoorFront: '1726' }],
  ['tire-date-code', 'wrong', { tireDateDoorFront: '408' }],
  ['tire-date-code', 'wrong', { tireDateDoorFront: 'worn off' }],
  ['tire-dates-mixed', 'doubtful', { tireDateDoorFront: '1023', tireDateOffDoorFront: '1124' }],
  ['tire-dates-mixed', 'quiet', { tireDateDoorFront: '1023', tireDateOffDoorFront: '0924' }],
  ['tire-dates-mixed', 'quiet', { tireDateDoorFront: '1023', tireDateSpare: '1019' }],
  ['tires-against-build', 'look', { tireDateDoorFront: '1023', buildDate: '11/2024' }],
  ['tires-against-build', 'quiet', { tireDateDoorFront: '1023', buildDate: '10/2024' }],
  ['tires-against-build', 'look', { tireDateDoorFront: '2025', buildDate: '3/2025' }],
  ['tire-code', 'doubtful', { tireSize: '205/75R15' }],
  ['tire-code', 'look', { tireSize: 'big ones' }],
  ['tire-code', 'quiet', { tireSize: 'ST205/75R15' }],
  ['tire-rim', 'wrong', { tireSize: 'ST205/75R15', wheelSize: '14 in' }],
  ['tire-rim', 'quiet', { tireSize: 'ST205/75R15', wheelSize: '15 in' }],
  ['tire-label-size', 'doubtful', { tireSize: 'ST205/75R15', labelTireSize: 'ST205/75R14' }],
  ['tire-label-size', 'quiet', { tireSize: 'st205/75 r15 107M', labelTireSize: 'ST205/75R15' }],
  ['tire-label-range', 'wrong', { loadRange: 'C', labelLoadRange: 'D' }],
  ['tire-label-range', 'quiet', { loadRange: 'E', labelLoadRange: 'D' }],
  ['tires-carry-axle', 'wrong', { tireLoad: '1749', axleRating: '2 x 3500' }],
  ['tires-carry-axle', 'quiet', { tireLoad: '1750', axleRating: '2 x 3500' }],
  ['tire-load-table', 'look', { tireLoad: '1570', tireSize: 'ST205/75R14', loadRange: 'C' }],
  ['tire-load-table', 'quiet', { tireLoad: '1760', tireSize: 'ST205/75R14', loadRange: 'C' }],
  // Index 107 is 975 kg, 2,150 lb.
  ['tire-load-table', 'quiet', { tireLoad: '2150', tireSize: 'ST215/75R14 107M', loadRange: 'D' }],
  // L is 120 km/h, 74.6 mph; J is 100 km/h, 62.1 mph: ISO 4000-1, from memory.
  ['tire-speed', 'doubtful', { tireSize: 'ST205/75R14 100J' }],
  ['tire-speed', 'quiet', { tireSize: 'ST205/75R14 100L' }],
  ['tire-speed', 'quiet', { tireSize: 'ST205/75R14' }],
  ['cap-pressure', 'wrong', { capPressure: '50', coldPressure: '65' }, { pressureCaps: 'ours' }],
  ['cap-pressure', 'quiet', { capPressure: '65', coldPressure: '65' }, { pressureCaps: 'ours' }],
  ['cap-pressure', 'quiet', { capPressure: '50', coldPressure: '65' }, { pressureCaps: 'none' }],
  ['rating-unread', 'look', {}, { rearRack: 'standard' }],
  ['rating-unread', 'look', {}, { ramp: 'standard' }],
  ['rating-unread', 'look', {}, { tipOutBeds: 'standard' }],
  ['rating-unread', 'look', {}, { roofRack: 'standard' }],
  ['rating-unread', 'look', {}, { steps: 'standard' }],
  ['rating-unread', 'look', {}, { rearReceiver: 'standard' }],
  ['rating-unread', 'quiet', { rearRackRating: '300' }, { rearRack: 'standard' }],
  ['rating-unread', 'quiet', {}, { rearRack: 'prep' }],
  ['tire-tread', 'doubtful', { tireTread: '4/32' }],
  ['tire-tread', 'quiet', { tireTread: '5/32' }],
  ['tire-tread', 'wrong', { tireTread: '2/32' }],

  ['box-in-length', 'wrong', { boxLength: '20 ft 1', overallLength: '20 ft' }],
  ['box-in-length', 'quiet', { boxLength: '20 ft', overallLength: '20 ft' }],
  ['hitch-length', 'doubtful', { boxLength: '20 ft', overallLength: "22'5" }],
  ['hitch-length', 'quiet', { boxLength: '20 ft', overallLength: "22'6" }],
  ['hitch-length', 'doubtful', { boxLength: '20 ft', overallLength: "27'1" }],
  ['height-inside-out', 'doubtful', { heightWithAc: '8 ft 5', insideHeight: "6'6" }],
  ['height-inside-out', 'quiet', { heightWithAc: "8'6", insideHeight: "6'6" }],
  ['height-inside-out', 'wrong', { heightWithAc: '6 ft', insideHeight: "6'6" }],
  ['slide-in-room', 'wrong', { slideHeight: "6'7", insideHeight: "6'6" }],
  ['slide-in-room', 'quiet', { slideHeight: "6'6", insideHeight: "6'6" }],
  ['awning-on-box', 'wrong', { awningLength: "18'1", boxLength: '18 ft' }],
  ['awning-on-box', 'quiet', { awningLength: '18 ft', boxLength: '18 ft' }],
  ['garage-in-box', 'wrong', { garageLength: "18'1", boxLength: '18 ft' }],
  ['garage-in-box', 'quiet', { garageLength: '10 ft', boxLength: '18 ft' }],
  ['steps-and-floor', 'doubtful', { stepCount: '1', floorHeight: '23' }],
  ['steps-and-floor', 'quiet', { stepCount: '1', floorHeight: '22' }],
  ['shower-height', 'doubtful', { showerHeight: '7 ft 5', insideHeight: "6'6" }],
  ['shower-height', 'quiet', { showerHeight: '7 ft 4', insideHeight: "6'6" }],
  ['bed-name', 'wrong', { bedName: 'queen', bedSize: '60 x 75' }],
  ['bed-name', 'quiet', { bedName: 'queen', bedSize: '60 x 80' }],
  ['bed-name', 'quiet', { bedName: 'short-queen', bedSize: '60 x 74' }],
  ['sleeps-and-beds', 'doubtful', { sleeps: '5', bedSize: '60 x 80', dinetteBed: '40 x 72' }],
  ['sleeps-and-beds', 'quiet', { sleeps: '4', bedSize: '60 x 80', dinetteBed: '40 x 72' }],
  // A bunk 46 in or wider sleeps two: common practice.
  ['sleeps-and-beds', 'quiet', { sleeps: '6', bedSize: '60 x 80', bunkCount: '2', bunkSize: '46 x 74' }],
  ['sleeps-and-beds', 'doubtful', { sleeps: '6', bedSize: '60 x 80', bunkCount: '2', bunkSize: '45 x 74' }],
  // A dinette or a sofa that makes a bed counts as its kind usually does, though nobody has taped it.
  ['sleeps-and-beds', 'quiet', { sleeps: '6', bedSize: '60 x 80' }, { dinetteConverts: 'standard', sofaConverts: 'standard' }],
  // Tip-outs count where they are on the unit.
  ['sleeps-and-beds', 'doubtful', { sleeps: '6', bedSize: '60 x 80', tipOutSize: '60 x 74' }, { tipOutBeds: 'prep' }],
  ['sleeps-and-beds', 'quiet', { sleeps: '6', bedSize: '60 x 80', tipOutSize: '60 x 74' }, { tipOutBeds: 'standard' }],

  ['dump-outlets', 'wrong', { dumpOutletCount: '2' }, { dumpOutlet: 'standard', galleyOutlet: 'none' }],
  ['dump-outlets', 'quiet', { dumpOutletCount: '2' }, { dumpOutlet: 'standard' }],
  ['dump-outlets', 'wrong', { dumpOutletCount: '1' }, { dumpOutlet: 'none' }],
  ['dump-outlets', 'quiet', { dumpOutletCount: '0' }, { dumpOutlet: 'none' }],
  ['galley-tank', 'look', {}, { galleyOutlet: 'standard' }],
  ['galley-tank', 'quiet', { galleyTank: '30' }, { galleyOutlet: 'standard' }],
  ['gray-tank-sum', 'doubtful', { grayTank: '62', galleyTank: '28' }],
  ['gray-tank-sum', 'doubtful', { grayTank: '62' }, { galleyOutlet: 'standard' }],
  ['gray-tank-sum', 'quiet', { grayTank: '34', galleyTank: '28' }],
  ['gray-tank-sum', 'quiet', { grayTank: '62' }],
  ['black-flush', 'look', { blackTank: '30' }, { blackFlush: 'none' }],
  ['black-flush', 'quiet', { blackTank: '30' }, { blackFlush: 'option' }],
  ['toilet-and-tank', 'wrong', { blackTank: '30' }, { toilet: 'none' }],
  ['toilet-and-tank', 'quiet', { blackTank: '30', toiletFlush: 'cassette' }, { toilet: 'none' }],
  ['heater-kind', 'wrong', { heaterKind: 'tankless', heaterTank: '6' }],
  ['heater-kind', 'quiet', { heaterKind: 'tank', heaterTank: '6' }],
  ['heater-element', 'wrong', { heaterFuel: 'gas', heaterElement: '1440 W' }],
  ['heater-element', 'quiet', { heaterFuel: 'both', heaterElement: '1440 W' }],

  ['shore-size', 'doubtful', { shoreAmps: '45' }],
  ['shore-size', 'quiet', { shoreAmps: '50' }],
  ['shore-for-cooling', 'doubtful', { shoreAmps: '30', acUnits: '2 x 13500' }],
  ['shore-for-cooling', 'quiet', { shoreAmps: '50', acUnits: '2 x 13500' }],
  ['cooling-count', 'wrong', { acUnits: '1 x 13500' }, { secondAc: 'standard' }],
  ['cooling-count', 'quiet', { acUnits: '1 x 13500' }, { secondAc: 'prep' }],
  ['solar-controller', 'doubtful', {}, { solar: 'standard', solarController: 'none' }],
  ['solar-controller', 'quiet', {}, { solar: 'prep', solarController: 'none' }],
  // 3 × 200 W ÷ 14.4 V = 41.7 A.
  ['controller-size', 'look', { solarPanels: '3 x 200', controllerAmps: '40', controllerKind: 'mppt' }],
  ['controller-size', 'quiet', { solarPanels: '3 x 200', controllerAmps: '42', controllerKind: 'mppt' }],
  [
    'controller-size', 'wrong',
    { solarPanels: '3 x 200', controllerAmps: '30', controllerKind: 'pwm', solarShortCircuit: '31' },
  ],
  // Without a plate about W ÷ 18: 600 W are about 33 A.
  ['controller-size', 'doubtful', { solarPanels: '3 x 200', controllerAmps: '30', controllerKind: 'pwm' }],
  ['controller-size', 'quiet', { solarPanels: '3 x 200', controllerAmps: '40', controllerKind: 'pwm' }],
  ['solar-port-size', 'look', { solarPanels: '2 x 200', solarPortAmps: '15' }, { solarPort: 'standard' }],
  ['solar-port-size', 'quiet', { solarPanels: '1 x 200', solarPortAmps: '15' }, { solarPort: 'standard' }],
  ['solar-port-size', 'quiet', { solarPanels: '2 x 200', solarPortAmps: '15' }, { solarPort: 'none' }],
  ['solar-wiring', 'doubtful', { solarPanels: '3 x 200', solarAllowance: '599' }],
  ['solar-wiring', 'quiet', { solarPanels: '3 x 200', solarAllowance: '600' }],
  ['controller-setting', 'wrong', { controllerSetting: 'lithium', batteryKind: 'agm' }],
  ['controller-setting', 'doubtful', { controllerSetting: 'flooded', batteryKind: 'agm' }],
  ['controller-setting', 'quiet', { controllerSetting: 'agm', batteryKind: 'agm' }],
  ['converter-setting', 'wrong', { converterSetting: 'lead-acid', batteryKind: 'lithium' }],
  ['converter-setting', 'quiet', { converterSetting: 'automatic', batteryKind: 'lithium' }],
  ['battery-volts', 'wrong', { batteryVolts: '6', batteryWiring: 'parallel', batteryCharge: '2 x 220' }],
  ['battery-volts', 'quiet', { batteryVolts: '6', batteryWiring: 'series', batteryCharge: '2 x 220' }],
  ['battery-volts', 'quiet', { batteryVolts: '6', batteryWiring: 'both', batteryCharge: '4 x 220' }],
  ['inverter-bank', 'doubtful', { inverterWatts: '2412', batteryCharge: '2 x 100' }],
  ['inverter-bank', 'quiet', { inverterWatts: '2400', batteryCharge: '2 x 100' }],

  ['cold-claim', 'doubtful', {}, { fourSeasonLabel: 'standard', tankHeat: 'none', doublePane: 'none' }],
  ['cold-claim', 'quiet', {}, { fourSeasonLabel: 'standard', tankHeat: 'none' }],
  ['cold-claim', 'quiet', {}, { fourSeasonLabel: 'none', tankHeat: 'none', doublePane: 'none' }],
  ['furnace-there', 'wrong', { furnace: '20000' }, { furnaceFitted: 'none' }],
  ['furnace-there', 'quiet', { furnace: '20000' }, { furnaceFitted: 'standard' }],
  ['slide-override', 'look', {}, { slide: 'standard' }],
  ['slide-override', 'quiet', { slideOverride: 'behind the panel' }, { slide: 'standard' }],
  ['slide-override', 'quiet', { slideMechanism: 'manual' }, { slide: 'standard' }],
  ['bunk-rating', 'look', { bunkCount: '2' }, { bunks: 'standard' }],
  ['bunk-rating', 'quiet', { bunkCount: '2', bunkRating: '300' }, { bunks: 'standard' }],
  ['ladder-and-roof', 'look', {}, { ladder: 'standard', walkableRoof: 'none' }],
  ['ladder-and-roof', 'quiet', {}, { ladder: 'prep', walkableRoof: 'none' }],
  ['spare-in-the-way', 'look', {}, { spareCarrier: 'standard', rearDoor: 'standard' }],
  ['spare-in-the-way', 'quiet', {}, { spareCarrier: 'standard', rearDoor: 'none' }],

  ['alarm-date', 'wrong', { coAlarmDate: '3/2026' }],
  ['alarm-date', 'quiet', { coAlarmDate: '4/2026' }],
  ['extinguisher-age', 'doubtful', { extinguisherDate: '4/2014' }],
  ['extinguisher-age', 'quiet', { extinguisherDate: '5/2014' }],
  ['safety-missing', 'wrong', {}, { extinguisher: 'none' }],
  ['safety-missing', 'quiet', {}, { extinguisher: 'standard' }],
  // Where there is no propane there need be no detector.
  ['safety-missing', 'quiet', {}, { lpDetector: 'none' }],
  ['label-missing', 'doubtful', {}, { vinLabel: 'none' }],
  ['label-missing', 'quiet', {}, { vinLabel: 'standard' }],
  ['not-inspected', 'look', { arrived: '2026-04-01' }],
  ['not-inspected', 'quiet', { arrived: '2026-04-01', inspected: '2026-04-02' }],
  ['fuel-vents', 'wrong', {}, { garageSpace: 'standard', fuelVents: 'none' }],
  ['fuel-vents', 'quiet', {}, { garageSpace: 'none', fuelVents: 'none' }],
  ['tie-downs-floor', 'doubtful', { tieDowns: '4 x 1200', tieDownsInto: 'floor' }],
  ['tie-downs-floor', 'quiet', { tieDowns: '4 x 1200', tieDownsInto: 'frame' }],
  ['quick-connect-pressure', 'doubtful', { lpQuickPressure: 'high', outsideCookerFuel: 'trailer-gas' }],
  ['quick-connect-pressure', 'quiet', { lpQuickPressure: 'low', outsideCookerFuel: 'trailer-gas' }],
  ['number-range', 'doubtful', { stepCount: '6' }],
  ['number-range', 'quiet', { stepCount: '5' }],
  ['size-range', 'doubtful', { bedSize: '45 x 80' }],
  ['size-range', 'quiet', { bedSize: '46 x 80' }],
]; // prettier-ignore

describe('rules at their boundaries', () => {
  const rows = cases.map(([rule, severity, specs, features = {}]) => ({
    rule,
    severity,
    specs,
    features,
  }));
  it.each(rows)('$rule is $severity of $specs $features', ({ rule, severity, specs, features }) => {
    const objections = found(rule, recordOf(specs, features));
    expect(objections.map((o) => o.severity)).toEqual(severity === 'quiet' ? [] : [severity]);
  });

  it('are tried here or in a test of their own, every one of them', () => {
    const elsewhere = [
      'vin', 'ccc-identity', 'axles-and-hitch', 'range', 'count-times-size', 'tire-pressure',
      'ratings-by-label', 'place-on-unit', 'fresh-behind-axles', 'sources-in-conflict', 'wheel-against-label',
    ]; // prettier-ignore
    const tried = new Set([...cases.map(([rule]) => rule), ...elsewhere]);
    expect(rules.map((rule) => rule.key).filter((key) => !tried.has(key))).toEqual([]);
    const both = (key: string) =>
      new Set(cases.filter(([r]) => r === key).map(([, s]) => s === 'quiet'));
    expect([...new Set(cases.map(([rule]) => rule))].filter((key) => both(key).size < 2)).toEqual(
      [],
    );
  });

  it('objects to a rating that is only told, and not to one that is read', () => {
    expect(found('ratings-by-label', recordOf({ gvwr: '7000' }, {}, 'told'))).toHaveLength(1);
    expect(found('ratings-by-label', recordOf({ gvwr: '7000' }))).toEqual([]);
  });

  const placed = (record: UnitRecord, key: string, back: number): UnitRecord =>
    applyChange(
      record,
      { part: 'places', key, value: { back, side: 'center' }, how: 'measured', basedOn: 0 },
      'Ines',
      at,
    );

  it('objects to a place behind the bumper, and takes it up again when the place changes', () => {
    const unit = recordOf({ overallLength: '20 ft', freshTank: '40' });
    expect(found('place-on-unit', placed(unit, 'freshTank', 246))).toEqual([]);
    const [objection] = found('place-on-unit', placed(unit, 'freshTank', 260));
    expect(objection?.severity).toBe('wrong');
    const settled = applyChange(
      placed(unit, 'freshTank', 260),
      {
        part: 'settlements',
        key: objection?.id ?? '',
        value: { reason: 'it hangs behind', inputs: objection?.inputs ?? '' },
        how: 'told',
        basedOn: 0,
      },
      'Ines',
      at,
    );
    expect(found('place-on-unit', settled)[0]?.settled?.reason).toBe('it hangs behind');
    expect(found('place-on-unit', placed(settled, 'freshTank', 270))[0]?.settled).toBeUndefined();
  });

  it('weighs a fresh tank behind the axles by moments', () => {
    // w (x − L) / L off the hitch: 40 gal × 8.345 lb × 60 in ÷ 180 in = 111 lb. Physics.
    const unit = recordOf({ freshTank: '40', axleRating: '2 x 3500' });
    const behind = placed(placed(unit, 'axleRating', 180), 'freshTank', 240);
    expect(found('fresh-behind-axles', behind)[0]?.sentence).toContain(
      'about 111 lb off the hitch',
    );
    expect(found('fresh-behind-axles', placed(behind, 'freshTank', 185))).toEqual([]);
  });
});

describe('looking again', () => {
  it('finds what looking afresh finds, whatever was changed before', () => {
    const records = demoFiles.map((file) => file.record);
    let before: ReturnType<typeof checkAgain> | undefined;
    for (const record of [...records, ...records.toReversed()]) {
      before = checkAgain(before, record, look);
      expect(before.objections).toEqual(checkRecord(record, look));
    }
  });

  it('runs only the rules whose inputs changed', () => {
    const [file] = demoFiles;
    if (!file) throw new Error('no demo unit');
    const first = checkAgain(undefined, file.record, look);
    const change: Change = {
      part: 'specs',
      key: 'stepCount',
      value: { kind: 'number', number: 4 },
      how: 'seen',
      basedOn: 1,
    };
    const second = checkAgain(first, applyChange(file.record, change, 'Ines', at), look);
    const ran = rules.filter((_, i) => first.findings[i] !== second.findings[i]).map((r) => r.key);
    expect(ran).toEqual(rules.filter((r) => r.needs.includes('stepCount')).map((r) => r.key));
    expect(ran.length).toBeGreaterThan(0);
  });

  it('looks at everything again on another day and in other units', () => {
    const [file] = demoFiles;
    if (!file) throw new Error('no demo unit');
    const first = checkAgain(undefined, file.record, look);
    const later = { ...look, today: '2036-04-15' };
    expect(checkAgain(first, file.record, later).objections).toEqual(
      checkRecord(file.record, later),
    );
  });
});
