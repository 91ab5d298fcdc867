import type { FeatureKey, SpecKey } from '../catalogue/index.ts';

/**
 * Words that promise more than anybody can see beside a unit, with the evidence each needs and a wording that holds.
 * Which words are risky, and what would prove them: common practice. Data; how each is judged is in judge.ts.
 */
export interface ClaimRow {
  readonly key: string;
  /** What is claimed, in a word or two. */
  readonly about: string;
  /** Pieces of regular expressions, case left aside; each is looked for as whole words. */
  readonly words: readonly string[];
  /** What would have to be known before anybody says so. */
  readonly needs: string;
  /** What can be said instead. Places in braces are filled from the record. */
  readonly instead: string;
  readonly judged: Judged;
}

/** How the evidence for a claim is weighed. */
export type Judged =
  /** Nobody can know: it never holds, whatever the record says. */
  | { readonly by: 'never'; readonly because: string }
  /** All of these have to be on the unit. */
  | { readonly by: 'features'; readonly features: readonly FeatureKey[] }
  /** A spec has to be one of these choices, all of them that are named. */
  | { readonly by: 'choices'; readonly choices: Readonly<Partial<Record<SpecKey, string[]>>> }
  /** A number that stands beside the words has to be the record’s. */
  | { readonly by: 'number'; readonly spec: SpecKey }
  /** Somebody signed the inspection, with nothing failed. */
  | { readonly by: 'inspection' }
  /** The unit is sold as new, and nothing is found on it. */
  | { readonly by: 'new' }
  /** A paper of this unit has to say so. */
  | { readonly by: 'paper'; readonly feature: FeatureKey };

const most =
  '(?:the )?(?:best|finest|greatest|number one|no\\. ?1|leading|premier|ultimate|unbeatable|unmatched)';

export const claimRows: readonly ClaimRow[] = [
  {
    key: 'four-season',
    about: 'All seasons',
    words: [
      '(?:four|4|all)[- ]seasons?',
      'arctic',
      'polar',
      'winter(?: package|[- ]ready|[- ]proof)',
      'any weather',
      'sub-?zero',
    ],
    needs:
      'a closed and heated belly, heated tanks and lines, valves inside and double panes; even then for how long is worked out, never promised',
    instead:
      'Of what helps in the cold it has {features}. How cold it may get, and for how long, is worked out from furnace and walls.',
    judged: {
      by: 'features',
      features: [
        'enclosedBelly',
        'bellyHeat',
        'tankHeat',
        'heatedLines',
        'valvesInside',
        'doublePane',
      ],
    },
  },
  {
    key: 'half-ton',
    about: 'What can tow it',
    words: [
      '(?:half|1/2|½)[- ]?ton[- ]?(?:towable|friendly|ready)',
      'light(?:est)?[- ](?:to[- ])?tow(?:ing)?',
      'easy to tow',
      '(?:any|every|most|your) (?:truck|suv|car|vehicle)s? (?:can|will|could) (?:tow|pull)',
      '(?:suv|minivan|crossover|car)[- ]towable',
    ],
    needs: 'the door label and ratings of one vehicle, held against the loaded weight',
    instead:
      'Loaded it may weigh {gvwr}; the hitch carries a share of that. The label on your own vehicle’s door decides.',
    judged: {
      by: 'never',
      because: 'It depends on one vehicle’s own label, and on what is loaded.',
    },
  },
  {
    key: 'delaminate',
    about: 'Walls for ever',
    words: [
      '(?:cannot|can’t|can not|will not|won’t|never|no) delaminat\\w*',
      'delaminat\\w*[- ](?:proof|free)',
      'rot[- ]?proof',
      '(?:will|can) (?:never|not) rot',
    ],
    needs: 'nothing proves it: water gets into any wall whose seals are not looked after',
    instead:
      'The substrate is {substrateKind}; it stays sound while the seals do. Look at them twice a year.',
    judged: { by: 'never', because: 'Every wall comes apart where water gets in.' },
  },
  {
    key: 'best',
    about: 'Best of all',
    words: [
      `${most}(?: (?:in|of) (?:its|the|their) (?:class|category|segment|kind|industry|market))?`,
      'in a class of its own',
      'nothing (?:else )?(?:compares|comes close)',
      'second to none',
      'state of the art',
    ],
    needs: 'something named to be compared with, and a measure of it',
    instead:
      'Say what it is better than, and by how much: a number from this record beside a number from another.',
    judged: { by: 'never', because: 'It is compared with nothing that can be looked up.' },
  },
  {
    key: 'only',
    about: 'The only one',
    words: [
      'the only (?:one|trailer|unit|camper|brand)',
      'nobody else (?:has|makes|offers)',
      'exclusive(?:ly)?',
      'you won’t find (?:this|it|that) anywhere',
    ],
    needs: 'a look at everything that is made, which nobody has had',
    instead: 'Of the units on this yard, say which others have it.',
    judged: { by: 'never', because: 'Nobody here has looked at all the others.' },
  },
  {
    key: 'multiple',
    about: 'So many times as much',
    words: [
      '(?:two|three|four|five|ten|2|3|4|5|10)(?: times|x) (?:as|the|more|stronger|longer|better)',
      '(?:twice|double|triple) (?:as|the)',
      '\\d+ ?(?:%|percent|per cent) (?:more|less|stronger|lighter|better|faster|warmer)',
    ],
    needs: 'both numbers: of this, and of what it is compared with',
    instead: 'Give both numbers, and what the other one is.',
    judged: { by: 'never', because: 'The other number is not said.' },
  },
  {
    key: 'level',
    about: 'Stabilisers that level',
    words: [
      'stabili[sz]ers? (?:that )?(?:level|lift)s?',
      'stabili[sz]ers? (?:will|can) (?:level|lift)',
      '(?:auto|self)[- ]?level(?:s|ling|ing)?',
    ],
    needs: 'a levelling system; stabilisers steady and do not lift',
    instead: 'The stabilisers steady it once it stands level; they do not lift it.',
    judged: { by: 'features', features: ['levellingSystem'] },
  },
  {
    key: 'no-upkeep',
    about: 'Nothing to do',
    words: [
      '(?:maintenance|worry|hassle|care|trouble)[- ]free',
      'no (?:maintenance|upkeep)',
      '(?:never|nothing) (?:needs|to) (?:maintain|maintenance|service|servicing|reseal\\w*)',
      'lifetime (?:roof|seal|axle|bearing)s?',
    ],
    needs: 'nothing proves it: seals, bearings, filters and alarms are looked after on every unit',
    instead: 'Say what is looked after, and how often.',
    judged: { by: 'never', because: 'Every trailer has seals, bearings and alarms to look after.' },
  },
  {
    key: 'leak',
    about: 'No water in',
    words: [
      '(?:leak|water)[- ]?(?:proof|tight)',
      '(?:never|won’t|doesn’t|will not|does not|cannot) leaks?',
      'no leaks',
    ],
    needs:
      'moisture readings say that it is dry where somebody measured, on that day; nothing says more',
    instead: 'Where it was measured it was dry; say where, and on what day.',
    judged: { by: 'never', because: 'A reading holds for one spot on one day.' },
  },
  {
    key: 'off-grid',
    about: 'Weeks without a hookup',
    words: [
      '(?:fully|totally|completely) off[- ]grid',
      'off[- ]grid (?:for (?:ever|weeks|days)|indefinitely)',
      'unlimited (?:power|water|days)',
      'never (?:have to )?plug(?: it)? in',
      'runs? (?:everything|the (?:a/c|air ?con\\w*|ac)) (?:off|on|from) (?:the )?(?:solar|batter\\w+|sun)',
    ],
    needs: 'tanks, battery and panels held against what these people use',
    instead:
      'It carries {freshTank} of fresh water and {solarPanels} of panels; how many nights that is depends on you, and is worked out.',
    judged: { by: 'never', because: 'It depends on who lives in it, and on the weather.' },
  },
  {
    key: 'safe',
    about: 'Safe',
    words: [
      '(?:perfectly|completely|totally|absolutely|100 ?%) safe',
      '(?:the )?safest',
      'fool[- ]?proof',
      'nothing can (?:go wrong|happen)',
      'you can’t (?:go wrong|break)',
      'idiot[- ]?proof',
      'sway[- ]?(?:proof|free)',
      '(?:never|won’t) sway',
    ],
    needs: 'nobody can promise it',
    instead: 'Say what is fitted and what it does, and leave the judgement to them.',
    judged: {
      by: 'never',
      because: 'Safety is how it is loaded, hitched, driven and looked after.',
    },
  },
  {
    key: 'inspected',
    about: 'Everything works',
    words: [
      'everything works',
      'all (?:systems )?(?:works?|working|tested|go)',
      '(?:fully|completely|thoroughly) (?:inspected|checked|tested)',
      'ready to (?:go|camp|roll)',
      'turn[- ]?key',
    ],
    needs: 'a signed inspection in which nothing failed',
    instead: 'Say who inspected it, when, and what is still open.',
    judged: { by: 'inspection' },
  },
  {
    key: 'as-new',
    about: 'As good as new',
    words: [
      '(?:like|as good as|good as) new',
      '(?:mint|showroom|perfect|flawless|immaculate) condition',
      'flawless',
      'immaculate',
      'not a (?:scratch|mark)',
      'never (?:been )?used',
    ],
    needs: 'a unit sold as new, on which nothing is found',
    instead: 'Show what is found on it first; the rest shows itself.',
    judged: { by: 'new' },
  },
  {
    key: 'one-owner',
    about: 'Its past',
    words: [
      '(?:one|single)[- ]owner',
      '(?:never|not) (?:been )?(?:smoked|towed|wrecked|flooded)',
      'no accidents?',
      'garage[- ]kept',
      'always (?:kept )?(?:inside|covered)',
    ],
    needs: 'the papers of this unit',
    instead: 'Say what the papers say, and who said the rest.',
    judged: { by: 'paper', feature: 'serviceRecord' },
  },
  {
    key: 'warranty',
    about: 'Covered',
    words: [
      'life-?time (?:warranty|guarantee)',
      '(?:fully|all|everything(?: is|’s)?) covered',
      'bumper[- ]to[- ]bumper',
      '(?:we|i) (?:guarantee|promise)',
      'guaranteed',
    ],
    needs: 'the maker’s paper, with its months and what it leaves out',
    instead: 'The maker’s paper says {warrantyWhole} months on the whole; read what it leaves out.',
    judged: {
      by: 'never',
      because: 'What is covered is in the maker’s paper, with its exceptions.',
    },
  },
  {
    key: 'no-wood',
    about: 'No wood',
    words: [
      '(?:no|zero|without) wood',
      'wood[- ]free',
      '(?:all|100 ?%|fully|completely)[- ](?:aluminium|aluminum|composite|fibreglass|fiberglass)',
    ],
    needs: 'framing, substrate, deck and cabinets, each by itself',
    instead:
      'Framing {wallFraming}, substrate {substrateKind}, floor {floorDeck}, cabinets {cabinetKind}.',
    judged: {
      by: 'choices',
      choices: {
        wallFraming: ['aluminium-welded', 'aluminium-screwed', 'none'],
        substrateKind: ['composite', 'none'],
        floorDeck: ['composite'],
        cabinetKind: ['aluminium'],
      },
    },
  },
  {
    key: 'weighs-only',
    about: 'Its weight',
    words: [
      '(?:only )?weighs (?:just |only |under |about )?[\\d,.]*\\d(?: ?(?:lbs?|pounds|kg|kilos?))?',
      '(?:it’s|it is) (?:just|only) [\\d,.]*\\d ?(?:lbs?|pounds|kg|kilos?)',
    ],
    needs: 'which weight: empty as built, as it stands, or as it may be loaded',
    instead: 'Empty as built {uvw}, and as it may be loaded {gvwr}: one is towed loaded.',
    judged: { by: 'number', spec: 'gvwr' },
  },
  {
    key: 'sleeps',
    about: 'How many sleep in it',
    words: ['sleeps (?:up to )?\\d+', '(?:room|beds?) for \\d+ (?:people|adults|to sleep)'],
    needs: 'the beds one by one, and for whom each is long and strong enough',
    instead: 'Places to sleep by the record: {sleeps}. Say who fits each.',
    judged: { by: 'number', spec: 'sleeps' },
  },
  {
    key: 'price',
    about: 'A price that will not last',
    words: [
      '(?:only|just) today',
      'today only',
      'price (?:goes|will go|is going) up',
      '(?:lowest|cheapest|best) price',
      'last (?:one|chance)',
      'won’t last',
      'steal',
      'below (?:cost|invoice)',
    ],
    needs: 'nothing: it presses people, and a recording outlives it',
    instead: 'Say what it costs when you are asked, and until when that holds.',
    judged: { by: 'never', because: 'Words that press a buyer are not evidence of anything.' },
  },
  {
    key: 'range-heat',
    about: 'The range as a heater',
    words: [
      '(?:range|stove|cooktop|oven) (?:heats|warms|to heat|to warm|will heat|will warm)',
      'heat (?:it|the (?:trailer|inside|living)) with the (?:range|stove|cooktop|oven)',
    ],
    needs: 'nothing: it is dangerous, and people have died of it',
    instead: 'The range is for cooking, with the vent open; heat with the furnace.',
    judged: {
      by: 'never',
      because: 'Burning gas to warm a closed room takes its air and gives carbon monoxide.',
    },
  },
];

/** Comparatives that the yard’s own stock can decide: the words, of which number, and which way round. */
export interface ComparedRow {
  readonly key: SpecKey;
  readonly words: readonly string[];
  readonly most: boolean;
}

const of = (size: string, thing: string): string => `${size} ${thing}`;
const large = '(?:biggest|largest|most)';
const small = '(?:smallest|least)';

export const comparedRows: readonly ComparedRow[] = [
  { key: 'overallLength', words: ['longest'], most: true },
  { key: 'overallLength', words: ['shortest'], most: false },
  { key: 'gvwr', words: ['heaviest'], most: true },
  { key: 'uvw', words: ['lightest'], most: false },
  {
    key: 'ccc',
    words: [of(large, '(?:cargo|carrying)(?: capacity)?'), 'carries (?:the )?most'],
    most: true,
  },
  {
    key: 'hitchWeight',
    words: [of('(?:lightest|smallest|lowest)', '(?:hitch|tongue)(?: weight)?')],
    most: false,
  },
  {
    key: 'freshTank',
    words: [of(large, '(?:fresh ?water|fresh|water)(?: tank| capacity)?')],
    most: true,
  },
  { key: 'blackTank', words: [of(large, 'black(?: tank)?')], most: true },
  { key: 'grayTank', words: [of(large, 'gr[ae]y(?: tank)?')], most: true },
  { key: 'fridgeSize', words: [of(large, '(?:fridge|refrigerator)')], most: true },
  { key: 'furnace', words: [of('(?:biggest|largest|strongest)', 'furnace')], most: true },
  { key: 'awningLength', words: [of('(?:longest|biggest|largest)', 'awning')], most: true },
  {
    key: 'insideHeight',
    words: [of('(?:tallest|highest|most)', '(?:inside|ceiling|headroom)')],
    most: true,
  },
  { key: 'wallR', words: [of('(?:best|most|thickest)', '(?:insulat\\w+|walls?)')], most: true },
  { key: 'bunkCount', words: [of(large, 'bunks?')], most: true },
  { key: 'sleeps', words: ['sleeps (?:the )?most', of(large, 'beds?')], most: true },
  { key: 'floorHeight', words: [of('(?:lowest|least)', '(?:floor|step)')], most: false },
  { key: 'tyreLoad', words: [of(small, 'tyres?')], most: false },
];
