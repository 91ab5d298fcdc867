import { inText } from '../../base/words/index.ts';
import {
  inspectionItems,
  isFeatureKey,
  type FeatureKey,
  type InspectionItem,
  type InspectionKey,
} from '../catalog/index.ts';
import { dayIn, formatDate } from '../../base/dates/index.ts';
import type { Change, Entry, Inspected, UnitRecord } from '../record/index.ts';
import { gravityNow, needsTechnician, openFindings } from './findings.ts';

/** An item that is to be tried on this unit, and how it came out. */
export interface ItemOn {
  readonly item: InspectionItem & { readonly key: InspectionKey };
  readonly entry: Entry<Inspected> | undefined;
  /** Measured, and outside what is usual. */
  readonly unusual: boolean;
}

const isOn = (record: UnitRecord, { of }: InspectionItem): boolean =>
  of === undefined || !isFeatureKey(of) || record.features[of]?.value.state !== 'none';

const isUnusual = ({ measure }: InspectionItem, measured: number | undefined): boolean =>
  measure !== undefined &&
  measured !== undefined &&
  (measured < measure.from || measured > measure.to);

/** The inspection of a unit, in walking order; what it has not got is not asked for. */
export const inspectionOf = (record: UnitRecord): readonly ItemOn[] =>
  inspectionItems
    .filter((item) => isOn(record, item))
    .map((item) => {
      const entry = record.inspection[item.key];
      return { item, entry, unusual: isUnusual(item, entry?.value.measured) };
    });

/** Where an inspection stands. */
export interface InspectionState {
  readonly passed: number;
  readonly failed: readonly ItemOn[];
  readonly notTried: readonly ItemOn[];
  readonly left: readonly ItemOn[];
  readonly of: number;
  /** Signed by a technician, for what stands there now. */
  readonly signed: boolean;
}

/** What a signature of the inspection is given for. */
export const inspectionInputs = (record: UnitRecord): string =>
  inspectionOf(record)
    .map(
      ({ item, entry }) => `${item.key}=${entry ? entry.value.result : ''}:${entry?.version ?? 0}`,
    )
    .join(' ');

export const inspectionState = (record: UnitRecord): InspectionState => {
  const items = inspectionOf(record);
  const like = (result: Inspected['result']) =>
    items.filter(({ entry }) => entry?.value.result === result);
  const signature = record.signatures['inspection'];
  return {
    passed: like('pass').length,
    failed: like('fail'),
    notTried: like('not-tried'),
    left: items.filter(({ entry }) => !entry),
    of: items.length,
    signed: signature?.value.inputs === inspectionInputs(record),
  };
};

/** The changes by which a technician signs the inspection: the papers have its day and the name as well. */
export const signInspection = (
  record: UnitRecord,
  { by, today, note }: { readonly by: string; readonly today: string; readonly note?: string },
): readonly Change[] => [
  {
    part: 'signatures',
    key: 'inspection',
    value: { verdict: 'inspected', inputs: inspectionInputs(record), ...(note ? { note } : {}) },
    how: 'seen',
    basedOn: record.signatures['inspection']?.version ?? 0,
  },
  {
    part: 'specs',
    key: 'inspected',
    value: { kind: 'date', date: today },
    how: 'seen',
    basedOn: record.specs.inspected?.version ?? 0,
    others: [],
  },
  {
    part: 'specs',
    key: 'inspectedBy',
    value: { kind: 'text', text: by.slice(0, 40) },
    how: 'seen',
    basedOn: record.specs.inspectedBy?.version ?? 0,
    others: [],
  },
];

/** Whether a unit may be operated in front of anybody, and why not. */
export interface Operable {
  readonly may: boolean;
  readonly why: string;
  /** When that was signed, an ISO time, where it may. */
  readonly inspectedAt?: string | undefined;
  /** Told but not operated although the rest may be: what failed, or could not be tried. */
  readonly toldOnly: ReadonlySet<FeatureKey>;
}

const listed = (items: readonly ItemOn[]): string =>
  items.map(({ item }) => inText(item.label)).join(', ');

const featuresOf = (items: readonly ItemOn[]): readonly FeatureKey[] =>
  items.flatMap(({ item }) => (item.of && isFeatureKey(item.of) ? [item.of] : []));

/** When a technician signed the inspection as it stands now, an ISO time; undefined where none did. */
export const inspectedAt = (record: UnitRecord): string | undefined => {
  const { signed } = inspectionState(record);
  return signed ? record.signatures['inspection']?.at : undefined;
};

/** Why nothing may be operated, as far as that is the inspection's doing. */
const notYet = ({
  passed,
  failed,
  notTried,
  left,
  signed,
}: InspectionState): string | undefined => {
  const isBegun = passed + failed.length + notTried.length > 0;
  const items = `${left.length} ${left.length === 1 ? 'item is' : 'items are'} left`;
  if (!isBegun) return 'Not inspected yet. Show and tell only: don’t operate anything.';
  if (!signed)
    return `The inspection isn’t signed${left.length > 0 ? `, ${items}` : ''}. Show and tell only: don’t operate anything.`;
  return left.length > 0
    ? `The inspection isn’t complete, ${items}. Show and tell only: don’t operate anything.`
    : undefined;
};

/**
 * Whether a unit may be operated: a technician signed its whole inspection, and nothing stands against it that a
 * technician has to decide. What failed or was not tried is told, and not operated. A date alone opens nothing.
 */
export const operableOf = (record: UnitRecord): Operable => {
  const state = inspectionState(record);
  const { failed, notTried } = state;
  const toldOnly = new Set([...featuresOf(failed), ...featuresOf(notTried)]);
  const no = (why: string): Operable => ({ may: false, why, toldOnly });
  const inspection = notYet(state);
  if (inspection) return no(inspection);
  const grave = openFindings(record).find(
    (found) => gravityNow(found) === 'do-not-show' && needsTechnician(found),
  );
  if (grave)
    return no(
      'A finding marked “don’t show it” needs a technician’s signature first: don’t operate anything until then.',
    );
  const most = failed.filter(({ item }) => item.concern === 'brakes' || item.concern === 'gas');
  if (most.length > 0) return no(`Failed: ${listed(most)}. Don’t operate anything.`);
  const but = [...failed, ...notTried];
  const except = but.length > 0 ? ` Failed or not tried: ${listed(but)}.` : '';
  return { may: true, why: except, toldOnly, inspectedAt: inspectedAt(record) };
};

/** Whether a unit may be operated, in words. @param timeZone where the yard stands */
export const operableWords = ({ why, inspectedAt: at }: Operable, timeZone: string): string =>
  at ? `Inspected ${formatDate(dayIn(at, timeZone))}.${why}` : why;
