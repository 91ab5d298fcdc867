import { describe, expect, it } from '@jest/globals';
import type { System } from '@fair-gable/core/base/quantity';
import { askingOf, freshTrial, questionsFor } from '@fair-gable/core/numbers/trial';
import { pointsOf } from '@fair-gable/core/show/cards';
import { preparationsFor } from '@fair-gable/core/show/plan';
import { checkRecord, rules } from '@fair-gable/core/unit/checks';
import { questionKeys, type UnitRecord } from '@fair-gable/core/unit/record';
import { nextNeed } from '@fair-gable/core/yard/to-do';
import { answersFor } from './answers.ts';
import { demoFiles, us } from './demo-units.ts';

/** Every sentence the program makes is in the reader's units: both systems, over all of the demo yard. */
const today = '2026-04-15';
/** A figure and a unit of the other system. */
const foreign: Readonly<Record<System, RegExp>> = {
  metric:
    /\d[\s-]?(?:pounds?|foot|feet|inch(?:es)?|gallons?|BTUs?|lb|ft|in|gal|psi|°F|BTU|BTU\/h|ft³|lb·ft|mph)(?![\w⁄])/u,
  us: /\d[\s-](?:L|kilograms?|(?:centi|milli)?meters?|liters?|kilopascals?|kilowatts?)(?![\w²³])|\d\s?(?:kg|m|cm|mm|kPa|°C|kW|m³|N·m|km\/h)(?![\w²³])/u,
};
/** What is called by a size, whatever one measures in; and trade figures that stand in both. */
const names: Readonly<Record<string, RegExp>> = {
  'features.coupler': /2 5⁄16 in|2 in|1 ⅞ in/gu,
  'nominal-length': /nominally \d+ ft/gu,
  'tire-load-table': /ST205\/75R14 in range/gu,
  // 49 CFR 571.120 S9.3: how a label counts water, in both systems.
  'numbers.label': /8\.3 lb a gallon, 1 kg a liter/gu,
  'quick-connect-pressure': /11 in of water column \(28 mbar\)/gu,
};

interface Said {
  readonly by: string;
  readonly words: string;
}

const objections = (record: UnitRecord, system: System): readonly Said[] =>
  checkRecord(record, { system, today }).flatMap(({ id, title, sentence, ways }) =>
    [title, sentence, ...ways.map(({ label }) => label)].map((words) => ({
      by: id.split(':')[0] ?? id,
      words,
    })),
  );

const cards = (record: UnitRecord, system: System): readonly Said[] =>
  pointsOf(record, { ...us, system }).flatMap(({ id, sentence, numbers }) =>
    [sentence, ...numbers.flatMap(({ text }) => text ?? [])].map((words) => ({ by: id, words })),
  );

const numbers = (record: UnitRecord, system: System): readonly Said[] => {
  const answers = answersFor(record, freshTrial(), system, today);
  const asked = questionsFor(askingOf(record, freshTrial(), system, today)).map(
    ({ key, answer = '' }) => ({
      by: `numbers.${key}`,
      words: answer,
    }),
  );
  const opened = Object.entries(answers).flatMap(([key, { steps, assumptions, sentence }]) =>
    [sentence ?? '', ...assumptions, ...steps.flatMap((step: object) => Object.values(step))].map(
      (words) => ({ by: `numbers.${key}`, words: String(words) }),
    ),
  );
  return [...asked, ...opened];
};

const others = (record: UnitRecord, system: System): readonly Said[] => [
  { by: 'need', words: nextNeed(record, checkRecord(record, { system, today })).text },
  ...preparationsFor(record, pointsOf(record, { ...us, system }), ['inside', 'slide']).map(
    ({ what }) => ({
      by: 'preparation',
      words: what,
    }),
  ),
];

const strangersIn = (system: System): readonly string[] =>
  demoFiles.flatMap(({ record }) =>
    [objections, cards, numbers, others]
      .flatMap((say) => say(record, system))
      .filter(({ by, words }) => foreign[system].test(words.replaceAll(names[by] ?? /^$/gu, '')))
      .map(({ by, words }) => `${by}: ${words}`),
  );

describe.each(['us', 'metric'] as const)('sentences in %s units', (system) => {
  it('have no figure in units of the other system', () => {
    expect([...new Set(strangersIn(system))]).toEqual([]);
  });
});

/** What a slip in wording leaves behind. */
const slips = /undefined|NaN|\[object| {2}|\.\.|,,| [,.;]|(?<![.\d])\b1 [a-z]{3,}s\b|\b0 of 1\b/u;

describe.each(['us', 'metric'] as const)('sentences in %s units', (system) => {
  it('are whole, and begin and end as sentences do', () => {
    const spoken = demoFiles.flatMap(({ record }) => [
      ...checkRecord(record, { system, today }).map(({ sentence }) => sentence),
      ...pointsOf(record, { ...us, system }).map(({ sentence }) => sentence),
      ...Object.values(answersFor(record, freshTrial(), system, today)).flatMap(
        ({ sentence }: { readonly sentence?: string }) => sentence ?? [],
      ),
    ]);
    expect(spoken.length).toBeGreaterThan(2000);
    const odd = spoken.filter(
      (words) => slips.test(words) || !/^[A-Z\d“]/u.test(words) || !/[.?!]$/u.test(words),
    );
    expect([...new Set(odd)]).toEqual([]);
  });
});

it('the pattern finds what it is to find', () => {
  for (const words of [
    '118 lb off',
    '8 inches of talk',
    'a 30-pound one',
    '5 to 11 in is',
    '2 ½ to 7 ft',
    '65 psi.',
    '9 ft³',
  ]) {
    expect([words, foreign.metric.test(words)]).toEqual([words, true]);
  }
  for (const words of [
    '54 kg off',
    '23 liters of it',
    '28 cm is',
    '2.1 m.',
    '448 kPa',
    '178 L there',
  ]) {
    expect([words, foreign.us.test(words)]).toEqual([words, true]);
  }
  for (const words of ['2 into 3', '12 V', '5 minutes', '3 men']) {
    expect([words, foreign.metric.test(words), foreign.us.test(words)]).toEqual([
      words,
      false,
      false,
    ]);
  }
});

it('excuses only rules and cards that there are', () => {
  const keys = new Set<string>([
    ...rules.map(({ key }) => key),
    ...questionKeys.map((key) => `numbers.${key}`),
    ...demoFiles.flatMap(({ record }) => pointsOf(record, us).map(({ id }) => id)),
  ]);
  expect(Object.keys(names).filter((key) => !keys.has(key))).toEqual([]);
});
