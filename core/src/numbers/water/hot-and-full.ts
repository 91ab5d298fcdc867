import { amountOf, tankKeys, type TankKey, type UnitRecord } from '../../unit/record/index.ts';
import {
  betweenThirds,
  drainMinutes,
  fillMinutes,
  recoveryMinutes,
  recoveryRate,
} from './times.ts';

/** Gallons a minute of a yard's tap; kelvin by which a heater lifts its tank after a shower. Common practice. */
const tapFlow = 4;
const showerRise = 33.3;
/** Of the burner's heat and of the element's that reaches the water; common practice. */
const gasEfficiency = 0.72;
const elementEfficiency = 0.98;
/** Inches of water over the valve of a full tank; tanks are flat. Common practice. */
const tankHead = 9;

/** How long something with water takes, and by what it was worked out. */
export interface WaterTime {
  readonly what: string;
  readonly minutes: number;
  readonly by: string;
}

const heated = (
  record: UnitRecord,
  key: 'heaterGas' | 'heaterElement',
  efficiency: number,
): number | undefined => {
  const [gallons, watts] = [amountOf(record, 'heaterTank'), amountOf(record, key)];
  if (gallons === undefined || watts === undefined || watts <= 0) return undefined;
  return recoveryMinutes(gallons, watts, efficiency, showerRise);
};

/** Filling, draining and getting hot again, of what this unit has; nothing where a figure is not known. */
export const waterTimes = (record: UnitRecord): readonly WaterTime[] => {
  const fresh = amountOf(record, 'freshTank');
  const gray = amountOf(record, 'grayTank');
  const rows = [
    {
      what: 'Filling the fresh tank with a hose',
      minutes: fresh && fillMinutes(fresh, tapFlow),
      by: `${tapFlow} gal (15 L) a minute`,
    },
    {
      what: 'Emptying the gray tank',
      minutes: gray && drainMinutes(gray, 3, tankHead),
      by: 'a three-inch valve under nine inches (23 cm) of water, by Torricelli; a hose makes it longer',
    },
    {
      what: 'Hot again after a shower, on gas',
      minutes: heated(record, 'heaterGas', gasEfficiency),
      by: '72% of the burner’s heat into the water, a rise of 60 °F (33 °C)',
    },
    {
      what: 'Hot again after a shower, on electric',
      minutes: heated(record, 'heaterElement', elementEfficiency),
      by: '98% of the element’s heat into the water, a rise of 60 °F (33 °C)',
    },
  ];
  return rows.flatMap(({ minutes, ...row }) => (minutes ? [{ ...row, minutes }] : []));
};

/** What the panel's lamps say of a tank: gallons from and to, for none to three lit. */
export interface Panel {
  readonly tank: TankKey;
  readonly readings: readonly { readonly from: number; readonly to: number }[];
}

/** What the panel's lamps say of each tank that a unit has. */
export const panelsOf = (record: UnitRecord): readonly Panel[] =>
  tankKeys.flatMap((tank) => {
    const gallons = amountOf(record, tank);
    if (gallons === undefined) return [];
    return [{ tank, readings: ([0, 1, 2, 3] as const).map((lit) => betweenThirds(gallons, lit)) }];
  });

/** What a heater lifts by 100 °F in an hour, gallons: rates, not volumes. */
export interface HeaterRate {
  readonly by: 'gas' | 'element' | 'both';
  readonly gallons: number;
}

const rateRise = 55.56;

/** How much hot water an hour: by gas, by the element, by both together, as far as they are known. */
export const heaterRates = (record: UnitRecord): readonly HeaterRate[] => {
  const rate = (key: 'heaterGas' | 'heaterElement', efficiency: number): number =>
    recoveryRate(amountOf(record, key) ?? 0, efficiency, rateRise);
  const gas = rate('heaterGas', gasEfficiency);
  const element = rate('heaterElement', elementEfficiency);
  const rows: readonly HeaterRate[] = [
    { by: 'gas', gallons: gas },
    { by: 'element', gallons: element },
    { by: 'both', gallons: gas > 0 && element > 0 ? gas + element : 0 },
  ];
  return rows.filter(({ gallons }) => gallons > 0);
};
