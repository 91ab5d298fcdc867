import { amountOf, type UnitRecord } from '../record/index.ts';
import { betweenThirds, drainMinutes, fillMinutes, recoveryMinutes } from './times.ts';

/** Gallons a minute of a yard's tap; kelvin by which a heater lifts its tank after a shower. Common practice. */
const tapFlow = 4;
const showerRise = 33.3;
const gasEfficiency = 0.75;
const elementEfficiency = 1;

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
      what: 'Fresh tank filled by a hose',
      minutes: fresh && fillMinutes(fresh, tapFlow),
      by: `${tapFlow} gal (15 L) a minute`,
    },
    {
      what: 'Gray tank let out',
      minutes: gray && drainMinutes(gray, 3),
      by: 'a three-inch valve, a hose that falls',
    },
    {
      what: 'Hot again after a shower, by gas',
      minutes: heated(record, 'heaterGas', gasEfficiency),
      by: 'three quarters of the burner into the water, a rise of 60 °F (33 °C)',
    },
    {
      what: 'Hot again after a shower, by its element',
      minutes: heated(record, 'heaterElement', elementEfficiency),
      by: 'all of the element into the water, a rise of 60 °F (33 °C)',
    },
  ];
  return rows.flatMap(({ minutes, ...row }) => (minutes ? [{ ...row, minutes }] : []));
};

/** What the panel's lamps say of the fresh tank, gallons from and to for none to three lit. */
export const panelOf = (record: UnitRecord): readonly { from: number; to: number }[] => {
  const fresh = amountOf(record, 'freshTank');
  return fresh === undefined ? [] : ([0, 1, 2, 3] as const).map((lit) => betweenThirds(fresh, lit));
};
