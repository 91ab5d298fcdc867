import { numberSpoken, spokenNumber } from '../../base/words/index.ts';
import type { SpecKey } from '../../unit/catalog/index.ts';
import { toInternal, type UnitKey } from '../../base/quantity/index.ts';

/** What a figure is said of: its words, its spec, and in which units people say it. */
interface Sized {
  readonly key: SpecKey;
  readonly words: string;
  readonly units: Readonly<Record<string, UnitKey>>;
  /** What has to follow the figure, where the words alone say too little. */
  readonly tail?: string;
}

const gallons = { 'gallons?|gal': 'gal', 'lit(?:er|re)s?|l': 'L' } as const;
const feet = { 'feet|foot|ft': 'ft', 'met(?:er|re)s?|m': 'm' } as const;
const cubicFeet = { '(?:cubic[- ](?:feet|foot)|cu\\.? ?ft)': 'ft³' } as const;
const heat = { 'btus?|btu/h': 'BTU/h' } as const;

/** Figures that buyers are told every day; from the catalog's words for them. */
export const sizedRows: readonly Sized[] = [
  { key: 'freshTank', words: '(?:fresh|drinking|clean)(?: ?water)?', units: gallons },
  { key: 'grayTank', words: 'gr[ae]y(?: ?water)?', units: gallons },
  { key: 'galleyTank', words: 'galley', units: gallons },
  { key: 'blackTank', words: '(?:black|sewage)(?: ?water)?', units: gallons },
  { key: 'heaterTank', words: '(?:water heater|hot water)', units: gallons },
  {
    key: 'outsideFridgeSize',
    words: '(?:outside|outdoor|exterior) (?:fridge|refrigerator)',
    units: cubicFeet,
  },
  {
    key: 'fridgeSize',
    words: '(?<!outside |outdoor |exterior )(?:fridge|refrigerator)',
    units: cubicFeet,
  },
  { key: 'furnace', words: 'furnace', units: heat },
  { key: 'acUnits', words: '(?:air conditioners?|a/c|ac)', units: heat },
  { key: 'awningLength', words: 'awning', units: feet },
  {
    key: 'overallLength',
    words: '(?:overall|end to end|bumper to ball|ball to bumper)',
    units: feet,
  },
  {
    key: 'overallLength',
    words: '(?:it|this one|the trailer|the unit|this trailer)(?:’s| is)',
    units: feet,
    tail: ' long',
  },
  { key: 'shoreAmps', words: '(?:service|shore|cord|plug)', units: { 'amps?': 'A' } },
  { key: 'inverterWatts', words: 'inverter', units: { 'watts?|w': 'W' } },
  { key: 'solarPanels', words: '(?:solar|panels?)', units: { 'watts?|w': 'W' } },
];

const beforeNumber =
  'about|around|roughly|almost|nearly|just under|under|over|more than|at least|up to|a good|some';

/** A figure with its unit, as said. */
export interface SpokenFigure {
  readonly key: SpecKey;
  /** Internal units. */
  readonly amount: number;
  readonly hedge: string;
  readonly words: string;
  readonly at: number;
}

/** Feet that inches follow are a whole length of their own; a rate is no size. */
const alone = String.raw`(?![\w/])(?! \d+(?: \d+/\d+)? ?(?:in|inches|")(?!\w))(?! (?:a|per|an) )`;

/** Within one thought, so many words apart. */
const near = String.raw`(?:[\w’-]+ ){0,4}?`;

const figureWords = (unitWords: string): string =>
  String.raw`(?:(${beforeNumber}) )?(?:a |an )?(${spokenNumber})[- ]?(?:${unitWords})`;

interface Pattern {
  readonly key: SpecKey;
  readonly unit: UnitKey;
  readonly of: RegExp;
}

const patternsOf = (
  { key, units }: Sized,
  around: (figure: string) => readonly string[],
): readonly Pattern[] =>
  Object.entries(units).flatMap(([unitWords, unit]) =>
    around(figureWords(unitWords)).map((pattern) => ({
      key,
      unit,
      of: new RegExp(String.raw`(?<![\w.,]|[×x] )${pattern}`, 'gi'),
    })),
  );

/** A figure with what it is of before it or behind it. */
const named = sizedRows.flatMap((row) =>
  patternsOf(row, (figure) => {
    const before = String.raw`(?:${row.words}) ${near}${figure}${row.tail ?? ''}${alone}`;
    const after = String.raw`${figure}${alone}(?: of)? ${near}(?:${row.words})(?!\w)`;
    return row.tail ? [before] : [after, before];
  }),
);
const bare = sizedRows.flatMap((row) => patternsOf(row, (figure) => [`${figure}${alone}`]));

const found = (text: string, patterns: readonly Pattern[]): readonly SpokenFigure[] =>
  patterns.flatMap(({ key, unit, of }) =>
    [...text.matchAll(of)].map((match) => ({
      key,
      amount: toInternal(numberSpoken(match[2] ?? ''), unit),
      hedge: (match[1] ?? '').toLowerCase(),
      words: match[0],
      at: match.index,
    })),
  );

/**
 * Figures that are said of this unit's things, in figures or in words.
 * @param about what the card is of: of its own spec a figure needs no name, “it holds forty gallons”
 */
export const figuresIn = (text: string, about: readonly SpecKey[]): readonly SpokenFigure[] => [
  ...found(text, named),
  ...found(
    text,
    bare.filter(({ key }) => about.includes(key)),
  ),
];
