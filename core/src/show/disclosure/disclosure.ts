import { inText } from '../../base/words/index.ts';
import {
  findingKind,
  gravities,
  stationEntry,
  tirePositions,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import type { Look } from '../../unit/checks/index.ts';
import {
  answersTo,
  conclude,
  findingsOf,
  gravityNow,
  inspectedAt,
  inspectionState,
  needsTechnician,
  wheelsOf,
  type FoundThing,
  type WheelOn,
} from '../../unit/condition/index.ts';
import { dayIn, formatDate } from '../../base/dates/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { hasFeature, howOf, verdicts, type UnitRecord } from '../../unit/record/index.ts';
import { ended, faultsOf } from './faults.ts';
import type { Fault } from './fault.ts';
import { idAbout } from '../about/index.ts';

/** One fault as the buyer reads it. */
export interface Disclosed {
  readonly id: string;
  readonly title: string;
  readonly where: string;
  readonly text: string;
  /** How bad it is; nothing where the record alone found it. */
  readonly gravity: string | undefined;
}

/** A tire as the buyer reads it. */
export interface DisclosedWheel {
  readonly key: string;
  readonly label: string;
  readonly text: string;
}

/** What the buyer of a unit is told in writing, faults first. */
export interface Disclosure {
  readonly faults: readonly Disclosed[];
  readonly repaired: readonly Disclosed[];
  readonly wheels: readonly DisclosedWheel[];
  /** Moisture readings, each in a sentence. */
  readonly moisture: readonly string[];
  readonly inspection: string;
  /** What nobody looked at, so that nobody takes silence for an answer. */
  readonly leftOut: readonly string[];
  readonly silent: string;
}

/** A look with its yard’s place on the clock. */
type Told = Required<Look>;

const lookWords = ({ finding }: FoundThing, record: UnitRecord, today: string): string => {
  const { look } = findingKind(finding.kind);
  const answers = look ? answersTo(look, finding.answers ?? {}, record, today) : {};
  return look && Object.keys(answers).length > 0 ? conclude(look, answers).toBuyer : '';
};

const signedWords = ({ signed }: FoundThing, timeZone: string): string => {
  if (!signed) return '';
  const verdict = verdicts.find((row) => row.key === signed.value.verdict)?.label ?? '';
  const note = signed.value.note ? `, “${signed.value.note}”` : '';
  return `${verdict}: our technician, ${formatDate(dayIn(signed.at, timeZone))}${note}.`;
};

const repairWords = ({ finding: { repaired } }: FoundThing): string => {
  if (!repaired) return '';
  const what = repaired.what ? `: ${repaired.what}` : '';
  return ended(`Repaired by ${repaired.by}, ${formatDate(repaired.on)}${what}`);
};

const findingWords = (found: FoundThing, record: UnitRecord, look: Told): string =>
  [
    findingKind(found.finding.kind).plain,
    found.finding.note && ended(found.finding.note),
    lookWords(found, record, look.today),
    signedWords(found, look.timeZone),
    needsTechnician(found) && !found.finding.repaired
      ? 'A technician hasn’t decided on it yet.'
      : '',
    repairWords(found),
  ]
    .filter(Boolean)
    .join(' ');

const gravityWords = (found: FoundThing): string =>
  found.finding.repaired
    ? 'repaired'
    : (gravities.find((row) => row.key === gravityNow(found))?.said ?? '');

const entered = (found: FoundThing, record: UnitRecord, look: Told): Disclosed => ({
  id: idAbout('finding', found.id),
  title: findingKind(found.finding.kind).label,
  where: stationEntry(found.finding.station).label,
  text: findingWords(found, record, look),
  gravity: gravityWords(found),
});

const known = ({ id, title, where, text }: Fault): Disclosed => ({
  id,
  title,
  where: stationEntry(where).label,
  text,
  gravity: undefined,
});

const treadText = (tread: readonly number[] | undefined, system: System): string | undefined => {
  if (!tread) return undefined;
  return system === 'us'
    ? `tread ${tread.map((inches) => Math.round(inches * 32)).join(', ')} thirty-seconds of an inch`
    : `tread ${tread.map((inches) => (inches * 25.4).toFixed(1)).join(', ')} mm`;
};

const wheelTold = ({ key, label, wheel, ageTold }: WheelOn, system: System): DisclosedWheel => {
  const parts = [
    wheel.make,
    wheel.size,
    wheel.range && `load range ${wheel.range}`,
    ageTold,
    treadText(wheel.tread, system),
    wheel.pressure !== undefined &&
      `${formatQuantity(wheel.pressure, 'pressure', system)} when measured`,
  ].filter(Boolean);
  return { key, label, text: parts.length > 0 ? parts.join(', ') : 'not looked at yet' };
};

const moistureOf = (record: UnitRecord, timeZone: string): readonly string[] =>
  Object.values(record.moisture).flatMap((entry) => {
    if (!entry) return [];
    const { percent, dry, note, at } = entry.value;
    const spot = note ?? (at.layer === 'roof' ? 'on the roof' : at.layer);
    const compared = dry ? ', a dry place for comparison' : '';
    return [`${percent}% ${spot}${compared}, ${formatDate(dayIn(entry.at, timeZone))}.`];
  });

const inspectionWords = (record: UnitRecord, timeZone: string): string => {
  const { notTried, left } = inspectionState(record);
  const on = inspectedAt(record);
  const names = notTried.map(({ item, entry }) =>
    [inText(item.label), entry?.value.note].filter(Boolean).join(', '),
  );
  return [
    on
      ? `Inspected, and signed by our technician ${formatDate(dayIn(on, timeZone))}.`
      : 'Its inspection isn’t signed.',
    names.length > 0 && `Not tried: ${names.join('; ')}.`,
    on && left.length > 0 && `${left.length} items weren’t checked.`,
  ]
    .filter(Boolean)
    .join(' ');
};

const isRead = (record: UnitRecord, key: SpecKey): boolean =>
  !['guessed', undefined].includes(howOf(record, key));

/** What a page like this should have, and has not. */
const leftOutOf = (record: UnitRecord, today: string): readonly string[] => {
  const undated = wheelsOf(record, today).filter(({ ageTold }) => ageTold === undefined);
  const labels = new Map(tirePositions.map(({ key, label }) => [key, label]));
  const alarms = (
    [
      ['coAlarm', 'smokeAlarmDate', 'the smoke alarm’s date'],
      ['coAlarm', 'coAlarmDate', 'the CO alarm’s date'],
      ['lpDetector', 'lpDetectorDate', 'the LP detector’s date'],
    ] as const
  ).filter(
    ([feature, spec]) => record.features[feature]?.value.state !== 'none' && !isRead(record, spec),
  );
  return [
    undated.length > 0 && `tire dates: ${undated.map(({ key }) => labels.get(key)).join('; ')}`,
    ...alarms.map(([, , words]) => words),
    Object.keys(record.moisture).length === 0 && 'moisture readings',
    !isRead(record, 'recallChecked') && 'recalls',
    !hasFeature(record, 'vinLabel') && 'what the VIN label says',
  ].filter((words) => typeof words === 'string');
};

/**
 * The disclosure of a unit: what is wrong, whoever found it, in the order in which it is told; what was repaired; every
 * tire; what was measured; and what nobody has looked at. It speaks to the buyer.
 */
export const disclosureOf = (record: UnitRecord, look: Told): Disclosure => {
  const { system, today, timeZone } = look;
  const found = new Map(findingsOf(record).map((one) => [idAbout('finding', one.id), one]));
  const told = (fault: Fault): Disclosed => {
    const finding = found.get(fault.id);
    return finding ? entered(finding, record, look) : known(fault);
  };
  return {
    faults: faultsOf(record, look).map(told),
    repaired: findingsOf(record)
      .filter(({ finding }) => finding.repaired)
      .map((one) => entered(one, record, look)),
    wheels: wheelsOf(record, today).map((wheel) => wheelTold(wheel, system)),
    moisture: moistureOf(record, timeZone),
    inspection: inspectionWords(record, timeZone),
    leftOut: leftOutOf(record, today),
    silent:
      'This page lists what we saw and measured without taking the unit apart. It isn’t a warranty. What it doesn’t list, we didn’t find; it may still be there.',
  };
};
