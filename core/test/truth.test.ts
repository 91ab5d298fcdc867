import { describe, expect, it } from '@jest/globals';
import { toInternal } from '@fair-gable/core/base/quantity';
import { pointsOf, type Point } from '@fair-gable/core/show/cards';
import { disclosureOf, buyersChecks } from '@fair-gable/core/show/disclosure';
import { screenOf } from '@fair-gable/core/show/screen';
import { logOf, type WalkPlan } from '@fair-gable/core/show/walk';
import {
  wordsFor,
  blanksIn,
  features,
  leadOf,
  specEntry,
  specs,
  specsOnCard,
  wordingsOf,
  type Feature,
  type HowKnown,
  type Spec,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { checkRecord, rules } from '@fair-gable/core/unit/checks';
import { inspectedAt } from '@fair-gable/core/unit/condition';
import {
  applyChange,
  emptyRecord,
  type Change,
  type SpecValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { draftLetter } from '@fair-gable/core/yard/follow-up';
import { demoFiles, us } from './demo-units.ts';
import { figureFor } from './sample-values.ts';

const here = { ...us, timeZone: 'Etc/UTC' } as const;

/*
 * Nothing false leaves: over every entry of the catalog, a guess is on no card, letter, screen, paper or disclosure, and
 * a sentence is as well known as the worst thing in it.
 */
const at = '2026-04-15T09:00:00.000Z';
const put = (record: UnitRecord, change: object): UnitRecord =>
  applyChange(record, { basedOn: 0, ...change } as Change, 'Ines Rook', at);

/** What follows from a signature is said where one stands, and tried apart. */
const isSigned = (entry: Spec | Feature): boolean => 'bySignature' in entry;

const withSpec = (record: UnitRecord, key: SpecKey, how: HowKnown): UnitRecord =>
  put(record, { part: 'specs', key, value: figureFor(specEntry(key)), how });

/** Three axles, so that every tire there may be has its place. */
const bare = put(emptyRecord, {
  part: 'specs',
  key: 'axleRating',
  value: { kind: 'counted', count: 3, each: 3500 },
  how: 'read',
});
/** The entry's thing is there: seen, where it is a feature. */
const baseFor = (entry: Spec | Feature): UnitRecord => {
  const base = entry.fromAxles ? bare : emptyRecord;
  return 'noun' in entry
    ? put(base, { part: 'features', key: entry.key, value: { state: 'standard' }, how: 'seen' })
    : base;
};
/** What a unit is called is its name, on every page; it is no figure. */
const names: ReadonlySet<string> = new Set(['series', 'floorPlan']);

/** Every figure of a value as it is written, in both systems. */
const figuresOf = (record: UnitRecord, key: SpecKey): readonly string[] => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'text') return [value.text];
  if (value?.kind === 'date') return [value.date.slice(0, 4)];
  if (value?.kind === 'number') return [`${value.number}`];
  return [];
};

const entries = [...specs, ...features];
/** What an entry's wordings ask for. */
const asks = (entry: Spec | Feature): readonly SpecKey[] => [
  ...new Set(
    wordingsOf(wordsFor(entry.key).say).flatMap((w) =>
      blanksIn(w, entry.key).map(({ spec }) => spec),
    ),
  ),
];

const everything = (record: UnitRecord): string => {
  const texts = (['us', 'metric'] as const).flatMap((system) => {
    const points = pointsOf(record, { ...us, system });
    const plan: WalkPlan = {
      id: '00000000-0000-4000-8000-000000000001',
      unit: '00000000-0000-4000-8000-000000000002',
      minutes: 15,
      points: points.length > 0 ? [...points] : [placeholder],
    };
    const liked = points.map(({ id, label }) => ({
      id,
      point: id,
      label,
      mark: 'liked' as const,
      at: 0,
    }));
    const asked = points.map(({ id, label }) => ({
      id: `${id}?`,
      point: id,
      label,
      mark: 'asked' as const,
      at: 0,
    }));
    const letter = draftLetter({
      walk: plan.id,
      record,
      log: { ...logOf(plan, []), marks: [...liked, ...asked] },
      points,
      followUps: [],
      buyer: 'Ada',
      from: 'Ines Rook',
      yard: 'Thornquay',
      system,
      withPrice: true,
    });
    const screens = points.map((point) => {
      const shown = { record, points, system, today: us.today };
      const seen = screenOf({ ...plan, points: [point] }, begun, shown);
      // Its drawing is all figures; screen.test.ts looks at it.
      return JSON.stringify({ ...seen, drawing: undefined });
    });
    return [
      JSON.stringify(points.map(({ caution: _c, not: _n, ...said }) => said)),
      letter.text,
      ...screens,
      JSON.stringify(disclosureOf(record, { ...here, system })),
    ];
  });
  return texts.join('\n');
};
const placeholder: Point = {
  id: 'own.x',
  station: 'hitch',
  label: 'x',
  sentence: 'x',
  numbers: [],
  seconds: 5,
};
const begun = [
  {
    id: '00000000-0000-4000-8000-000000000003',
    device: '00000000-0000-4000-8000-000000000004',
    counter: 1,
    elapsed: 0,
    what: { kind: 'begin' as const },
  },
];

describe('a guess', () => {
  const guessable = entries.filter((entry) => asks(entry).length > 0 && !isSigned(entry));

  it.each(guessable.map((entry) => [entry.key, entry] as const))(
    'is nowhere said, where every number of %s is one',
    (_, entry) => {
      const base = baseFor(entry);
      const keys = [...new Set([...asks(entry), ...specsOnCard(entry)])];
      const record = keys.reduce((r, key) => withSpec(r, key, 'guessed'), base);
      const without = everything(base);
      const said = everything(record);
      const measured = keys.reduce((r, key) => withSpec(r, key, 'measured'), base);
      // The same figures, measured, are said: it is the guess that is held back.
      const points = pointsOf(measured, us);
      const texts = points.flatMap(({ numbers }) => numbers.flatMap(({ text }) => text ?? []));
      expect(texts.length + points.length).toBeGreaterThan(0);
      for (const text of [
        ...texts,
        ...keys.filter((key) => !names.has(key)).flatMap((key) => figuresOf(measured, key)),
      ]) {
        if (
          without.includes(text) ||
          text.startsWith('Zx series') ||
          text.startsWith('Zx floorPlan')
        )
          continue;
        expect([text, said.includes(text)]).toEqual([text, false]);
      }
    },
  );

  it('is held back in words that a buyer may hear', () => {
    const record = put(withSpec(emptyRecord, 'rearRackRating', 'guessed'), {
      part: 'features',
      key: 'rearRack',
      value: { state: 'standard' },
      how: 'seen',
    });
    const [card] = pointsOf(record, us);
    expect(card?.sentence).toMatch(/^There’s a rack at the rear.*I’d want to measure that/);
    expect(card?.numbers).toEqual([{ label: specEntry('rearRackRating').label, how: 'guessed' }]);
  });
});

describe('a sentence', () => {
  it.each(
    entries
      .filter((entry) => asks(entry).length > 0 && !isSigned(entry))
      .map((entry) => [entry.key, entry] as const),
  )('of %s is as well known as the worst thing in it', (_, entry) => {
    const base = baseFor(entry);
    const record = asks(entry).reduce((r, key) => withSpec(r, key, 'told'), base);
    const card = pointsOf(record, us).find(({ id }) => id.endsWith(`.${entry.key}`));
    expect(card?.how).toBe('told');
    expect(card?.sentence).toMatch(/^We’re told: /);
  });

  it('has one without the number wherever it holds one, and no placeholder in any', () => {
    for (const entry of entries) {
      const wordings = wordingsOf(wordsFor(entry.key).say);
      if (wordings.length === 0) continue;
      expect([entry.key, wordings.at(-1)]).toEqual([entry.key, expect.not.stringMatching(/[{}]/)]);
      for (const wording of wordings) {
        for (const { spec } of blanksIn(wording, entry.key)) {
          const isTogether =
            spec === entry.key || specsOnCard(entry).includes(spec) || isSibling(entry, spec);
          expect([entry.key, spec, isTogether]).toEqual([entry.key, spec, true]);
        }
      }
    }
    for (const { id, record } of demoFiles) {
      for (const { sentence } of pointsOf(record, us)) {
        expect([id, sentence]).toEqual([
          id,
          expect.not.stringMatching(/[{}?]|nobody has|undefined|size not/),
        ]);
      }
    }
  });

  it('is never an instruction to whoever presents, nor an announcement of a later one', () => {
    for (const entry of entries) {
      for (const wording of [
        ...wordingsOf(wordsFor(entry.key).say),
        wordsFor(entry.key).lack ?? '',
      ]) {
        expect([entry.key, wording]).toEqual([
          entry.key,
          expect.not.stringMatching(
            /I(’ll| will)? show you|later|underneath you|Give no|Promise nothing/i,
          ),
        ]);
      }
    }
  });
});

describe('a weight that a bench can work out', () => {
  it('is predicted by no sentence of the catalog', () => {
    const guesses =
      /(will|’ll|adds?|gets?|be|is) (up to )?(\w+ )?(more|heavier|lighter|less) (loaded|on the hitch|with water|when|once)/i;
    expect('Loaded it will be more on the hitch.').toMatch(guesses);
    for (const entry of entries) {
      const { say, normal = '', explain } = wordsFor(entry.key);
      for (const words of [...wordingsOf(say), normal, explain]) {
        expect([entry.key, words]).toEqual([entry.key, expect.not.stringMatching(guesses)]);
      }
    }
  });
});

/** A member of a group may name the others of its group. */
const isSibling = (entry: Spec | Feature, spec: SpecKey): boolean => {
  const lead = 'value' in entry ? leadOf(entry.key) : undefined;
  return lead !== undefined && (specsOnCard(lead).includes(spec) || lead.key === spec);
};

const unsayable = '\u0000';

/** Whether a card says what the spec's first choice, number or text is, under its sentence or in it. */
const isSaid = (spec: Spec, own: Point | undefined): boolean => {
  if (!own) return false;
  const choice = spec.value.kind === 'choice' ? spec.value.choices[0] : undefined;
  const whole = wordsFor(spec.key).sayWhen?.[choice?.key ?? ''];
  if (whole !== undefined) return own.sentence === whole;
  const text = own.numbers.find(({ label }) => label === spec.label)?.text;
  const words = choice?.label ?? unsayable;
  return text !== undefined || own.sentence.includes(words) || /20\d\d|Zx/.test(own.sentence);
};

describe('what is known', () => {
  it.each(
    specs
      .filter((spec) => spec.silent === undefined && !isSigned(spec))
      .map((spec) => [spec.key, spec] as const),
  )('of %s is on a card, though it is all that is known', (key, spec) => {
    const record = withSpec(baseFor(spec), key, 'measured');
    const points = pointsOf(record, us);
    const own = points.find(({ id }) => id === `specs.${key}`);
    expect([own?.sentence, isSaid(spec, own)]).toEqual([own?.sentence, true]);
  });

  it('says why a spec is not for speech, and says nothing of it', () => {
    const silent = specs.filter((spec) => spec.silent !== undefined);
    expect(silent.map(({ key }) => key).toSorted()).toEqual(
      ['arrived', 'askingPrice', 'inspectedBy', 'listPrice', 'stockNumber', 'vin'].toSorted(),
    );
    for (const { key, silent: why } of silent) {
      expect([key, wordsFor(key).say]).toEqual([key, undefined]);
      expect(why).toMatch(/\w+ \w+ \w+/);
    }
  });

  it('of a thing stands on one card: the thing, its kind and its numbers', () => {
    for (const { id, record } of demoFiles) {
      const told = pointsOf(record, us).flatMap(({ numbers }) => numbers.map(({ label }) => label));
      const twice = told.filter((label, i) => told.indexOf(label) !== i);
      expect([id, twice]).toEqual([id, []]);
    }
  });

  it('is led by one entry alone, and no lead is led by another', () => {
    const members = entries.flatMap((entry) => specsOnCard(entry));
    expect(members.filter((key, i) => members.indexOf(key) !== i)).toEqual([]);
    for (const key of members) expect([key, specsOnCard(specEntry(key))]).toEqual([key, []]);
  });
});

describe('what a check doubts', () => {
  const told = (record: UnitRecord) =>
    pointsOf(record, us).map(({ sentence, numbers }) => JSON.stringify([sentence, numbers]));
  const typed = (key: SpecKey, value: SpecValue) =>
    put(emptyRecord, { part: 'specs', key, value, how: 'measured' });

  it.each([
    ['insideHeight', { kind: 'quantity', amount: 128 }, '10 ft 8 in'],
    ['stepCount', { kind: 'number', number: 9 }, '9'],
    ['bedSize', { kind: 'size', sides: [60, 800] }, '800'],
    ['tireDateDoorFront', { kind: 'text', text: '6024' }, '6024'],
    ['acUnits', { kind: 'counted', count: 1, each: 3.96 }, '13.5'],
  ] as const)('of %s is not said until somebody lets it stand', (key, value, figure) => {
    const record = typed(key, value as SpecValue);
    for (const card of told(record)) expect(card).not.toContain(figure);
    const [note] = checkRecord(record, us).filter(({ field }) => field === key);
    expect(note).toBeDefined();
    const settled = put(record, {
      part: 'settlements',
      key: note?.id,
      value: { reason: 'Measured twice.', inputs: note?.inputs },
      how: 'seen',
    });
    expect(told(settled).length).toBeGreaterThanOrEqual(told(record).length);
  });

  it('is said once it stands with a reason', () => {
    const record = typed('insideHeight', { kind: 'quantity', amount: 128 });
    const [note] = checkRecord(record, us).filter(({ field }) => field === 'insideHeight');
    const settled = put(record, {
      part: 'settlements',
      key: note?.id,
      value: { reason: 'Measured twice.', inputs: note?.inputs },
      how: 'seen',
    });
    expect(told(settled).join()).toContain('10 ft 8 in');
  });
});

describe('figures that cannot both be so', () => {
  type Known = readonly [SpecKey, SpecValue, HowKnown];
  const pounds = (key: SpecKey, amount: number, how: HowKnown = 'read'): Known => [
    key,
    { kind: 'quantity', amount },
    how,
  ];
  const written = (...all: readonly Known[]): UnitRecord =>
    all.reduce(
      (record, [key, value, how]) => put(record, { part: 'specs', key, value, how }),
      emptyRecord,
    );
  const told = (record: UnitRecord): string =>
    JSON.stringify(pointsOf(record, us).map(({ sentence, numbers }) => [sentence, numbers]));

  it.each([
    ['empty over gross', [pounds('gvwr', 3950), pounds('uvw', 5000)], ['3,950', '5,000']],
    [
      'a label that does not add up',
      [pounds('gvwr', 7490), pounds('uvw', 5572), pounds('ccc', 1300)],
      ['7,490', '5,572', '1,300'],
    ],
    [
      'a box longer than the whole',
      [pounds('overallLength', 212), pounds('boxLength', 226)],
      ['17 ft 8', '18 ft 10'],
    ],
    ['a feather on the hitch', [pounds('hitchWeight', 100), pounds('uvw', 5000)], ['100 lb']],
    [
      'axles too weak for the rating',
      [
        pounds('gvwr', 9500),
        ['axleRating', { kind: 'counted', count: 1, each: 3500 }, 'read'] as Known,
      ],
      ['9,500', '3,500'],
    ],
    [
      'a tankless heater with a tank',
      [
        ['heaterKind', { kind: 'choice', choice: 'tankless' }, 'read'] as Known,
        pounds('heaterTank', 6),
      ],
      ['6 gal', 'tankless'],
    ],
    ['a cord for which there is no pedestal', [pounds('shoreAmps', 45)], ['45 A']],
  ])('are not said, neither of them: %s', (_, all, figures) => {
    const cards = told(written(...all));
    for (const figure of figures) expect(cards).not.toContain(figure);
  });

  it('are said but for a guess among them: it is the one that is doubted', () => {
    const cards = told(written(pounds('gvwr', 3950), pounds('uvw', 5000, 'guessed')));
    expect(cards).toContain('3,950 lb');
    expect(cards).not.toContain('5,000 lb');
  });

  it('say nothing of a place of which nobody knows that it is there', () => {
    expect(told(written(pounds('garageLength', 240, 'guessed')))).toBe('[]');
    expect(told(written(pounds('garageLength', 144, 'measured')))).toContain('12 ft');
  });
});

describe('a thing that needs another', () => {
  const fitted = (key: string, state = 'standard') => ({
    part: 'features',
    key,
    value: { state },
    how: 'seen',
  });
  it('is told as it is without it: no battery, no brakes by the breakaway cable', () => {
    const record = [fitted('breakaway'), fitted('batteryDisconnect'), fitted('battery', 'none')];
    const sentences = pointsOf(record.reduce(put, emptyRecord), us).map(({ sentence }) => sentence);
    expect(sentences.join(' ')).not.toMatch(/sets the trailer’s brakes|nothing drains/);
    expect(sentences.join(' ')).toMatch(/needs a battery, and there’s none/);
  });
  it('is not told twice: a second air conditioner that was counted, seats that recline', () => {
    const two: readonly object[] = [
      {
        part: 'specs',
        key: 'acUnits',
        value: { kind: 'counted', count: 2, each: toInternal(15_000, 'BTU/h') },
        how: 'read',
      },
      fitted('secondAc'),
      { part: 'specs', key: 'sofaKind', value: { kind: 'choice', choice: 'theater' }, how: 'seen' },
      fitted('theaterSeats'),
    ];
    const points = pointsOf(two.reduce<UnitRecord>(put, emptyRecord), us);
    expect(points.map(({ sentence }) => sentence)).toEqual([
      expect.stringContaining('two 15,000-BTU air conditioners'),
      expect.stringContaining('theater seats'),
    ]);
  });
});

describe('what follows from a signature', () => {
  it('is said of no unit that nobody has signed, whatever somebody typed', () => {
    for (const { id, record } of demoFiles) {
      const said = pointsOf(record, us).some(({ sentence }) => sentence.includes('signed its'));
      expect([id, said]).toEqual([id, inspectedAt(record) !== undefined]);
    }
  });
});

describe('what is not there', () => {
  it('says that it is missing, and nothing that this merely suggests', () => {
    const suggestive =
      /curtain|cranked|hang in the|straight down|every room|folds? under|climbs? over|cold water only|turn your head|tote/i;
    for (const { key } of features) {
      const { lack } = wordsFor(key);
      if (lack) expect([key, lack]).toEqual([key, expect.not.stringMatching(suggestive)]);
    }
  });

  it('of what is only prepared no part is said to be there', () => {
    const record = put(withSpec(emptyRecord, 'solarPanels', 'sheet'), {
      part: 'features',
      key: 'solar',
      value: { state: 'prep' },
      how: 'seen',
    });
    expect(pointsOf(record, us).map(({ sentence }) => sentence)).toEqual([
      'It’s prepped for a solar panel, but that isn’t installed.',
    ]);
  });
});

describe('cautions and look-alikes', () => {
  const fitted = (key: string): object => ({
    part: 'features',
    key,
    value: { state: 'standard' },
    how: 'seen',
  });
  const kind = (key: string, choice: string): object => ({
    part: 'specs',
    key,
    value: { kind: 'choice', choice },
    how: 'read',
  });
  const cautionOf = (id: string, ...changes: readonly object[]): string | undefined =>
    pointsOf(
      changes.reduce<UnitRecord>((r, change) => put(r, change), emptyRecord),
      us,
    ).find((p) => p.id === id)?.caution;

  it('hang on the kind that is recorded', () => {
    expect(
      cautionOf('features.fridge', fitted('fridge'), kind('fridgeKind', 'compressor')),
    ).toBeUndefined();
    expect(
      cautionOf('features.fridge', fitted('fridge'), kind('fridgeKind', 'absorption')),
    ).toMatch(/level/);
    expect(cautionOf('features.fridge', fitted('fridge'))).toMatch(/^An absorption fridge/);
    expect(
      cautionOf(
        'features.batteryVent',
        fitted('battery'),
        fitted('batteryVent'),
        kind('batteryKind', 'lithium'),
      ),
    ).toBeUndefined();
    expect(
      cautionOf('features.slide', fitted('slide'), kind('slideMechanism', 'manual')),
    ).not.toMatch(/power/);
    expect(
      cautionOf('features.waterHeater', fitted('waterHeater'), kind('heaterKind', 'tankless')),
    ).not.toMatch(/Fill it/);
  });

  it('read as sentences of their own', () => {
    for (const { key } of entries) {
      const { notToBeConfused } = wordsFor(key);
      const all =
        typeof notToBeConfused === 'string'
          ? [notToBeConfused]
          : (notToBeConfused ?? []).map(({ words }) => words);
      for (const words of all) {
        expect([key, words]).toEqual([key, expect.stringMatching(/^(?!Not\b).*\w.*\.$/)]);
      }
    }
  });
});

describe('what is wrong', () => {
  it('is told first, once, whoever found it, and heads the disclosure', () => {
    for (const { id, record } of demoFiles) {
      const points = pointsOf(record, us);
      const page = disclosureOf(record, here);
      const firsts = points.filter((p) => p.first);
      expect([id, points.slice(0, firsts.length).every((p) => p.first)]).toEqual([id, true]);
      for (const { id: fault } of firsts) expect(page.faults.map((row) => row.id)).toContain(fault);
      const ids = page.faults.map((row) => row.id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });

  it.each(Object.keys(buyersChecks))('is told to the buyer where the check %s finds it', (rule) => {
    const tripped = demoFiles.filter(({ record }) => {
      const all = checkRecord(record, us).filter((o) => o.rule === rule && o.guesses.length === 0);
      return all.length > 0;
    });
    expect([rule, rules.some(({ key }) => key === rule), tripped.length > 0]).toEqual([
      rule,
      true,
      true,
    ]);
  });

  it('speaks to the buyer: nothing that staff should do', () => {
    const orders =
      /\b(ask|read it again|look at each|do not repeat|tell it|say so|go to|enter|find out|before it is shown)\b/i;
    for (const { record } of demoFiles) {
      const { faults, repaired, wheels, inspection, leftOut } = disclosureOf(record, here);
      const all = [
        ...faults.map(({ text }) => text),
        ...repaired.map(({ text }) => text),
        ...wheels.map(({ text }) => text),
        inspection,
        ...leftOut,
      ];
      for (const text of all) expect(text).not.toMatch(orders);
    }
  });
});

describe('a word that agrees but for rounding', () => {
  it('is kept beside the better known one, as said and by whom', () => {
    const weight = (amount: number, how: HowKnown, record: UnitRecord) => {
      const value = { kind: 'quantity', amount };
      const basedOn = record.specs.hitchWeight?.version ?? 0;
      return put(record, { part: 'specs', key: 'hitchWeight', value, how, basedOn });
    };
    const { hitchWeight } = weight(500, 'told', weight(490, 'read', emptyRecord)).specs;
    expect(hitchWeight?.value).toMatchObject({ amount: 490 });
    expect(hitchWeight?.others).toMatchObject([{ how: 'told', value: { amount: 500 } }]);
  });
});
