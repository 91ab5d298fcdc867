import { givenOf } from '../../unit/outcome/index.ts';
import { hasFeature, type UnitRecord, type WaterRates } from '../../unit/record/index.ts';
import type { WaterInput } from './water.ts';

const known = (entries: Readonly<Record<string, unknown>>): object =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));

/** A unit's tanks with people and style, as the question wants them. */
export const waterInputOf = (
  record: UnitRecord,
  {
    people,
    style,
    rates,
  }: {
    readonly people: number;
    readonly style: string;
    readonly rates?: WaterRates | undefined;
  },
): WaterInput => {
  const gone = (key: 'dumpOutlet' | 'toilet'): boolean =>
    record.features[key]?.value.state === 'none';
  return {
    ...known({
      fresh: givenOf(record, 'freshTank'),
      gray: givenOf(record, 'grayTank'),
      galley: givenOf(record, 'galleyTank'),
      black: givenOf(record, 'blackTank'),
    }),
    without: [
      ...(gone('dumpOutlet') && !hasFeature(record, 'galleyOutlet') ? (['gray'] as const) : []),
      ...(gone('toilet') ? (['black'] as const) : []),
    ],
    people,
    style,
    ...(rates ? { rates } : {}),
  } as WaterInput;
};
