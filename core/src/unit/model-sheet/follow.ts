import type { FeatureKey, SpecKey, StationKey } from '../catalog/index.ts';
import { entryFor, isFeatureKey, isSpecKey } from '../catalog/index.ts';
import {
  agree,
  entryOf,
  isSameValue,
  statementsOf,
  type Change,
  type Entry,
  type FieldValue,
  type Part,
  type UnitRecord,
} from '../record/index.ts';
import type { SheetValues } from './schema.ts';

type SheetPart = Extract<Part, 'specs' | 'features' | 'places'>;
const sheetParts = ['specs', 'features', 'places'] as const satisfies readonly SheetPart[];

const valueAt = (values: SheetValues, part: SheetPart, key: string): FieldValue | undefined => {
  if (part === 'specs') return values.specs[key as SpecKey];
  if (part === 'places') return values.places[key as SpecKey | FeatureKey];
  const state = values.features[key as FeatureKey];
  return state && { state };
};

const saysSheet = (entry: Entry<FieldValue> | undefined): FieldValue | undefined =>
  statementsOf(entry).find(({ how }) => how === 'sheet')?.value;

/** The change by which a field says what its sheet says; undefined where it does, or knows as much. */
const following = (
  entry: Entry<FieldValue> | undefined,
  { part, key, value }: { part: SheetPart; key: string; value: FieldValue },
): Change | undefined => {
  const said = saysSheet(entry);
  if (said && isSameValue(said, value)) return undefined;
  const others = statementsOf(entry).filter(({ how }) => how !== 'sheet' && how !== 'guessed');
  // A place is one thing at a time: what was measured here stands.
  if (others.length > 0 && part === 'places') return undefined;
  if (!said && others.some((other) => agree(other.value, value, key))) return undefined;
  return { part, key, value, how: 'sheet', basedOn: entry?.version ?? 0 } as Change;
};

/** The change by which a field no longer says what its sheet no longer does. */
const letting = (
  entry: Entry<FieldValue> | undefined,
  part: SheetPart,
  key: string,
): Change | undefined => {
  if (!entry || !saysSheet(entry)) return undefined;
  const [first, ...others] = statementsOf(entry)
    .filter(({ how }) => how !== 'sheet')
    .map(({ value, how }) => ({ value, how }));
  const rest = part === 'places' ? {} : { others };
  if (!first) return { part, key, value: null, how: 'sheet', basedOn: entry.version } as Change;
  return { part, key, ...first, basedOn: entry.version, ...rest } as Change;
};

const keysOf = (values: SheetValues, part: SheetPart): readonly string[] =>
  Object.keys(values[part]);

/**
 * The changes by which a unit says what its sheet says. What is better known on the unit stays shown,
 * and what the sheet says otherwise stands beside it.
 * @param values what the sheet says now
 * @param before what it said when the unit last followed it; what is no longer said is let go
 * @param station only what belongs to one station
 */
export const changesToFollow = (
  record: UnitRecord,
  values: SheetValues,
  { before, station }: { before?: SheetValues; station?: StationKey } = {},
): readonly Change[] => {
  const isMeant = (key: string): boolean =>
    !station || ((isSpecKey(key) || isFeatureKey(key)) && entryFor(key).station === station);
  return sheetParts.flatMap((part) => {
    const now = keysOf(values, part).filter(isMeant);
    const gone = (before ? keysOf(before, part) : []).filter(
      (key) => isMeant(key) && !now.includes(key),
    );
    return [
      ...now.flatMap((key) => {
        const value = valueAt(values, part, key);
        return (value && following(entryOf(record, part, key), { part, key, value })) ?? [];
      }),
      ...gone.flatMap((key) => letting(entryOf(record, part, key), part, key) ?? []),
    ];
  });
};

const onlyWhere = (values: SheetValues, other: SheetValues): SheetValues => {
  const differing = (part: SheetPart) =>
    Object.fromEntries(
      Object.keys(values[part])
        .map((key) => [key, valueAt(values, part, key), valueAt(other, part, key)] as const)
        .filter(([, ours, theirs]) => !ours || !theirs || !isSameValue(ours, theirs))
        .map(([key]) => [key, (values[part] as Record<string, unknown>)[key]]),
    );
  return Object.fromEntries(
    sheetParts.map((part) => [part, differing(part)]),
  ) as unknown as SheetValues;
};

/** Whether a unit has taken anything over from its sheet. */
export const followsSheet = (record: UnitRecord): boolean =>
  sheetParts.some((part) =>
    Object.keys(record[part]).some((key) => saysSheet(entryOf(record, part, key))),
  );

/**
 * What a change of its sheet changes on a unit. On one that follows it already only what changed on the
 * sheet: what people decided since is not brought up again.
 * @param before what the sheet said of this unit; undefined where there was none
 */
export const changesBySheet = (
  record: UnitRecord,
  before: SheetValues | undefined,
  after: SheetValues,
): readonly Change[] => {
  if (!before || !followsSheet(record)) return changesToFollow(record, after);
  return changesToFollow(record, onlyWhere(after, before), { before: onlyWhere(before, after) });
};
