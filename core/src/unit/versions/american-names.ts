/**
 * The names of fields, choices and the like as they were up to version 8 of the unit file and version 1 of the model
 * sheet, and as they are now: in the trade's own words and in one spelling.
 */
export const americanNames: Readonly<Record<string, string>> = {
  // Specs and features
  tyreSize: 'tireSize',
  tyreLoad: 'tireLoad',
  tyreMake: 'tireMake',
  tyreTread: 'tireTread',
  tyreMonitor: 'tireMonitor',
  tyreLabel: 'tireLabel',
  tyreDateDoorFront: 'tireDateDoorFront',
  tyreDateDoorMiddle: 'tireDateDoorMiddle',
  tyreDateDoorRear: 'tireDateDoorRear',
  tyreDateOffDoorFront: 'tireDateOffDoorFront',
  tyreDateOffDoorMiddle: 'tireDateOffDoorMiddle',
  tyreDateOffDoorRear: 'tireDateOffDoorRear',
  tyreDateSpare: 'tireDateSpare',
  labelTyreSize: 'labelTireSize',
  wheelBolts: 'lugNuts',
  rubberEqualiser: 'rubberEqualizer',
  stabilisers: 'stabilizers',
  stabiliserCount: 'stabilizerCount',
  powerStabilisers: 'powerStabilizers',
  rearStabiliserReach: 'rearStabilizerReach',
  levellingSystem: 'levelingSystem',
  wallArmour: 'wallArmor',
  winteriseKit: 'winterizeKit',
  theatreSeats: 'theaterSeats',
  storeDoorSize: 'baggageDoorSize',
  storeDoorThickness: 'baggageDoorThickness',
  storeFinish: 'storageFinish',
  storeClear: 'storageClear',
  storeLight: 'storageLight',
  heatedStore: 'heatedStorage',
  bikeOrKayakStore: 'longStorage',
  batteryPlace: 'batteryLocation',
  fanFlow: 'fanAirflow',
  heatOutlets: 'floorVents',
  gearSpace: 'garageSpace',
  gasHose: 'lpHose',
  // Choices
  moulded: 'molded',
  aluminium: 'aluminum',
  'aluminium-welded': 'aluminum-welded',
  'aluminium-screwed': 'aluminum-screwed',
  fibreglass: 'fiberglass',
  theatre: 'theater',
  centre: 'center',
  // Findings, labels, questions
  mould: 'mold',
  tyre: 'tire',
  tyres: 'tires',
  'tyre-mismatch': 'tire-mismatch',
  // Checks, by which notes are let stand
  'tyre-age': 'tire-age',
  'tyre-code': 'tire-code',
  'tyre-date-code': 'tire-date-code',
  'tyre-dates-mixed': 'tire-dates-mixed',
  'tyre-label-range': 'tire-label-range',
  'tyre-label-size': 'tire-label-size',
  'tyre-load-table': 'tire-load-table',
  'tyre-pressure': 'tire-pressure',
  'tyre-rim': 'tire-rim',
  'tyre-speed': 'tire-speed',
  'tyre-tread': 'tire-tread',
  'tyres-against-build': 'tires-against-build',
  'tyres-carry-axle': 'tires-carry-axle',
};

/** Backward, for a database that goes back to the program before. */
export const formerNames: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(americanNames).map(([before, now]) => [now, before]),
);

type Names = Readonly<Record<string, string>>;

/** What people wrote themselves, a single word of which may look like a name. */
const ownWords: ReadonlySet<string> = new Set([
  ...['text', 'note', 'reason', 'words', 'instead', 'caption', 'label', 'what', 'name', 'by'],
  ...['answer', 'asked', 'says', 'make', 'size', 'where', 'source', 'series', 'floorPlan', 'route'],
  ...['unitName', 'sentence', 'readings', 'letters', 'wouldChange'],
]);

/** Names stand alone, or one after the other: `places.awning`, `tyre-age:tyreDateSpare`. */
const isMadeOfNames = /^[A-Za-z0-9-]+(?:[.:][A-Za-z0-9-]+)*$/;

/**
 * A name as it is now.
 * @example renamed('tyre-age:tyreDateSpare', americanNames) // 'tire-age:tireDateSpare'
 */
export const renamed = (text: string, names: Names): string =>
  isMadeOfNames.test(text)
    ? text.replaceAll(/[A-Za-z0-9-]+/g, (name) =>
        Object.hasOwn(names, name) ? (names[name] ?? name) : name,
      )
    : text;

/** A signature of a finding is for its kind, gravity, station, note, and by whom and when it was repaired. */
const ofFinding = (inputs: readonly unknown[]): boolean =>
  inputs.length > 5 && inputs.slice(0, 6).every((one) => typeof one === 'string');

const listIn = (inputs: string): readonly unknown[] | undefined => {
  try {
    return JSON.parse(inputs) as readonly unknown[];
  } catch {
    return undefined;
  }
};

/** What something was let stand or signed for, which is held against what is there now: JSON, or `item=result:version`. */
const inputsRenamed = (inputs: string, names: Names): string => {
  if (!inputs.startsWith('['))
    return inputs.replaceAll(/[A-Za-z0-9-]+(?==)/g, (item) => renamed(item, names));
  const values = listIn(inputs);
  if (!values) return inputs;
  const isOwn = (at: number): boolean => at > 2 && at < 6 && ofFinding(values);
  return JSON.stringify(values.map((one, at) => (isOwn(at) ? one : withNames(one, names))));
};

const isText = (value: unknown): boolean =>
  typeof value === 'string' ||
  (Array.isArray(value) && value.every((one) => typeof one === 'string'));

const valueRenamed = (key: string, value: unknown, names: Names): unknown => {
  if (key === 'inputs' && typeof value === 'string') return inputsRenamed(value, names);
  return ownWords.has(key) && isText(value) ? value : withNames(value, names);
};

/**
 * Anything that JSON can say, with names as they are now; what people wrote in words of their own is left as it is.
 * @param names by what they were before: `americanNames`, or `formerNames` to go back
 */
export const withNames = (json: unknown, names: Names = americanNames): unknown => {
  if (typeof json === 'string') return renamed(json, names);
  if (Array.isArray(json)) return json.map((one: unknown) => withNames(one, names));
  if (json === null || typeof json !== 'object') return json;
  const entries = Object.entries(json).map(([key, value]) => [
    renamed(key, names),
    valueRenamed(key, value, names),
  ]);
  return Object.fromEntries(entries) as unknown;
};
