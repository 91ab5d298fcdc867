/** A group of letters in a floor-plan code, with every reading that makers give it. */
export interface GlossaryRow {
  readonly code: string;
  readonly readings: readonly string[];
}

/** Source: common practice; makers differ, so several readings stand side by side and a yard may edit them. */
export const floorPlanGlossary: readonly GlossaryRow[] = [
  { code: 'BH', readings: ['bunkhouse'] },
  { code: 'RB', readings: ['rear bath', 'rear bunk'] },
  { code: 'RK', readings: ['rear kitchen'] },
  { code: 'RL', readings: ['rear living'] },
  { code: 'RD', readings: ['rear dinette'] },
  { code: 'RE', readings: ['rear entertainment'] },
  { code: 'FK', readings: ['front kitchen'] },
  { code: 'FB', readings: ['front bed', 'front bath'] },
  { code: 'FL', readings: ['front living'] },
  { code: 'MB', readings: ['wall bed', 'mid bunk'] },
  { code: 'MK', readings: ['mid kitchen'] },
  { code: 'DB', readings: ['double bunk'] },
  { code: 'QB', readings: ['quad bunk'] },
  { code: 'IK', readings: ['island kitchen'] },
  { code: 'TH', readings: ['toy hauler'] },
  { code: 'G', readings: ['garage'] },
  { code: 'D', readings: ['dinette', 'trim'] },
  { code: 'T', readings: ['tent ends', 'trim'] },
  { code: 'S', readings: ['slide'] },
];

export interface PlanPart {
  readonly code: string;
  /** Empty where the glossary has nothing: perhaps the trim. */
  readonly readings: readonly string[];
}

export interface PlanReading {
  /** Nominal feet: never the overall length. */
  readonly feet: number | undefined;
  readonly digits: string;
  readonly parts: readonly PlanPart[];
}

const unread = (parts: readonly PlanPart[]): number =>
  parts.reduce((sum, { code, readings }) => sum + (readings.length > 0 ? 0 : code.length), 0);

/** A letter the glossary does not have, joined to others of its kind. */
const withUnread = (letter: string, rest: readonly PlanPart[]): readonly PlanPart[] => {
  const [next, ...others] = rest;
  if (!next || next.readings.length > 0) return [{ code: letter, readings: [] }, ...rest];
  return [{ ...next, code: letter + next.code }, ...others];
};

/** Letters cut into groups of the glossary, so that the fewest stay unread, in the fewest groups. */
const cut = (letters: string, glossary: readonly GlossaryRow[]): readonly PlanPart[] => {
  if (letters === '') return [];
  const ways = [
    ...glossary
      .filter(({ code }) => letters.startsWith(code))
      .map((row) => [{ ...row }, ...cut(letters.slice(row.code.length), glossary)]),
    withUnread(letters.slice(0, 1), cut(letters.slice(1), glossary)),
  ];
  return ways.toSorted((a, b) => unread(a) - unread(b) || a.length - b.length)[0] ?? [];
};

/** No floor plan is called so long: what is longer is no code. */
const longestCode = 60;

/**
 * A floor-plan code read: its first two digits are nominal feet, its letters the layout.
 * @param typed such as `24 RKD`, `2607BH`, `18MB`
 * @returns undefined where there is no number in it
 * @example readFloorPlan('24 RKD') // feet 24, rear kitchen, then dinette or trim
 */
export const readFloorPlan = (
  typed: string,
  glossary: readonly GlossaryRow[] = floorPlanGlossary,
): PlanReading | undefined => {
  const code = typed.trim().toUpperCase();
  if (code.length > longestCode) return undefined;
  const m = /^[A-Z]*\s*-?\s*(\d{2,4})\s*-?\s*([A-Z]*)/.exec(code);
  if (!m) return undefined;
  const [, digits = '', letters = ''] = m;
  const feet = Number(digits.slice(0, 2));
  const isSensible = feet >= 8 && feet <= 45;
  return { feet: isSensible ? feet : undefined, digits, parts: cut(letters, glossary) };
};

/** A reading in words: `nominally 24 ft; RK rear kitchen; D dinette or trim`. */
export const planInWords = ({ feet, parts }: PlanReading): string => {
  const length = feet === undefined ? [] : [`nominally ${feet} ft, which isn’t its length`];
  const words = parts.map(({ code, readings }) =>
    readings.length > 0 ? `${code} ${readings.join(' or ')}` : `${code} maybe the trim`,
  );
  return [...length, ...words].join('; ');
};
