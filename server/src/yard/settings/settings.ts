import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import { percent } from '@fair-gable/core/base/words';
import { waterStyles, type YardWater } from '@fair-gable/core/numbers/water';
import { schoolEntry, schools, type SchoolKey } from '@fair-gable/core/unit/catalog';
import type { GlossaryRow } from '@fair-gable/core/unit/identity';
import { legs, routesOf, type Route } from '@fair-gable/core/unit/route';
import type { YardSettings } from '@fair-gable/core/yard/settings';
import { noteOnYard, Yard, type Noted } from '../../base/access/index.ts';
import type { WithinYard } from '../../base/database/index.ts';

const systemWords: Readonly<Record<System, string>> = { us: 'feet and pounds', metric: 'metric' };

/** What a code of a floor plan is read as; null where the yard has no reading of its own. */
const readingsOf = (glossary: readonly GlossaryRow[], code: string): string | null =>
  glossary.find((row) => row.code === code)?.readings.join(' or ') ?? null;

const gallons = (n: number): string => formatQuantity(n, 'volume', 'us');

/** A style's figures as a yard has set them; null where it goes by what is usual. */
const waterWords = (water: YardWater, key: keyof YardWater): string | null => {
  const rates = water[key];
  if (!rates) return null;
  const { gray, galleyShare, black, drunk } = rates;
  const share = `${percent(galleyShare, 0)} of it at the galley`;
  return `gray ${gallons(gray)}, ${share}; black ${gallons(black)}; drunk ${gallons(drunk)}`;
};

const legLabel = (key: string): string => legs.find((leg) => leg.key === key)?.label ?? key;

/** A route of the yard's own in words; null where it has none of this key. */
const routeWords = (routes: readonly Route[], key: string): string | null => {
  const route = routes.find((row) => row.key === key);
  if (!route) return null;
  const closed = route.endsClosed ? ', ends with the slide closed' : '';
  return `${route.legs.map(legLabel).join(' → ')}${closed}`.slice(0, 200);
};

/** What a change of the yard's settings comes to, one line for each thing changed. */
const changesOf = (before: Yard, after: Yard): readonly Noted[] => {
  const sideOf = (key: SchoolKey, side: string | undefined): string | null =>
    schoolEntry(key).sides.find((s) => s.key === side)?.label ?? null;
  const codes = [...new Set([...before.glossary, ...after.glossary].map((row) => row.code))];
  const routeKeys = [...new Set([...before.routes, ...after.routes].map(({ key }) => key))];
  const routeLabel = (key: string): string =>
    routesOf([...after.routes, ...before.routes]).find((route) => route.key === key)?.label ?? key;
  const all: readonly Noted[] = [
    { what: 'yard-name', subject: '', from: before.name, to: after.name },
    {
      what: 'yard-units',
      subject: '',
      from: systemWords[before.system],
      to: systemWords[after.system],
    },
    { what: 'time-zone', subject: '', from: before.timeZone, to: after.timeZone },
    {
      what: 'keep-buyers',
      subject: '',
      from: `${before.keepBuyers} days`,
      to: `${after.keepBuyers} days`,
    },
    ...waterStyles.map(({ key, label }) => ({
      what: 'water',
      subject: label,
      from: waterWords(before.water, key),
      to: waterWords(after.water, key),
    })),
    ...schools.map(({ key, about }) => ({
      what: 'house-view',
      subject: about,
      from: sideOf(key, before.houseViews[key]),
      to: sideOf(key, after.houseViews[key]),
    })),
    ...routeKeys.map((key) => ({
      what: 'route',
      subject: routeLabel(key),
      from: routeWords(before.routes, key),
      to: routeWords(after.routes, key),
    })),
    ...codes.map((code) => ({
      what: 'glossary',
      subject: code,
      from: readingsOf(before.glossary, code),
      to: readingsOf(after.glossary, code),
    })),
  ];
  return all.filter(({ from, to }) => from !== to);
};

/** Sets what is given; the history of the yard has a line for each thing changed. */
export const changeYard = async (yard: WithinYard, given: YardSettings): Promise<void> => {
  const before = await yard.manager.findOneOrFail(Yard, {
    where: { id: yard.yardId },
    lock: { mode: 'pessimistic_write' },
  });
  const after = {
    ...before,
    name: given.name,
    system: given.system,
    timeZone: given.timeZone ?? before.timeZone,
    houseViews: given.houseViews ?? before.houseViews,
    routes: given.routes ?? before.routes,
    glossary: given.glossary ?? before.glossary,
    keepBuyers: given.keepBuyers ?? before.keepBuyers,
    water: given.water ?? before.water,
  };
  await yard.manager.save(Yard, after);
  for (const noted of changesOf(before, after)) await noteOnYard(yard, noted);
};
