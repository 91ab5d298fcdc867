import type { FeatureKey, SpecKey } from '../../unit/catalog/index.ts';

/**
 * Words that promise more than anybody can see beside a unit, with the evidence each needs and a wording that holds.
 * Which words are risky, and what would prove them: common practice. Data; how each is judged is in judge.ts.
 */
export interface ClaimRow {
  readonly key: string;
  /** What is claimed, in a word or two. */
  readonly about: string;
  /** Patterns of meanings (lexicon.ts), case left aside; each is looked for as whole words. */
  readonly words: readonly string[];
  /** What would have to be known before anybody says so. */
  readonly needs: string;
  /** What can be said instead. Places in braces are filled from the record. */
  readonly instead: string;
  readonly judged: Judged;
  /** Risky as advice too. */
  readonly evenAdvised?: true;
}

/** How the evidence for a claim is weighed. */
export type Judged =
  /** Nobody can know: it never holds, whatever the record says. */
  | { readonly by: 'never'; readonly because: string }
  /** All of these have to be on the unit. */
  | { readonly by: 'features'; readonly features: readonly FeatureKey[] }
  /** A spec has to be one of these choices, all of them that are named. */
  | { readonly by: 'choices'; readonly choices: Readonly<Partial<Record<SpecKey, string[]>>> }
  /** A weight: judged against the one that is named, the GVWR where none is. */
  | { readonly by: 'weight' }
  /** A number that stands beside the words has to be the record’s. */
  | { readonly by: 'number'; readonly spec: SpecKey }
  /** Somebody signed the inspection, with nothing failed. */
  | { readonly by: 'inspection' }
  /** The unit is sold as new, and nothing is found on it. */
  | { readonly by: 'new' }
  /** A paper of this unit has to say so. */
  | { readonly by: 'paper'; readonly feature: FeatureKey };

const most =
  '(?:the )?(?:very )?(?:best|finest|greatest|number one|no\\. ?1|leading|premier|ultimate)';

export const claimRows: readonly ClaimRow[] = [
  {
    key: 'four-season',
    about: 'All seasons',
    words: [
      '(?:four|4|all)[- ]seasons?',
      'arctic',
      'polar',
      'winter(?:[- ]ready|[- ]proof|ized|[- ]package)',
      'any (?:weather|climate|temperature)',
      'all weathers?',
      'sub-?zero',
      '(?:all[- ]?year|year[- ]?round|all year long|(?:12|twelve) months (?:a|of the) year|365 days|every (?:month|season))',
      '(?:all|through(?:out)?|the whole|in the dead of|any) (?:the )?winter',
      'warm .. (?:minus|below zero|blizzard|snowstorm|however cold|no matter how cold)',
      '(?:however|no matter how) cold',
      '(?:camp|live|use it|comfortable) .. (?:snow|blizzard|freezing|zero degrees)',
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
      '(?:half|quarter|1/2|½)[- ]?ton[- ]?(?:towable|friendly|ready|capable)',
      'light(?:est)?[- ](?:to[- ])?tow(?:ing)?',
      'easy (?:to (?:tow|pull)|towing|pulling)',
      '(?:tows?|pulls?|follows?) (?:like a dream|like it’s not there|like nothing|beautifully|easily|effortlessly)',
      '{vehicle}(?! (?:that|which|you|must|should)) .. {tows}',
      '{vehicle} {tows}',
      '{tows} .. (?:behind|with|by) .. {any} .. {vehicle}',
      '{tows} (?:behind|with|by) {any} .. {vehicle}',
      '{tows} (?:behind|with|by) {any} {vehicle}',
      '{vehicle}[- ]towable',
      '(?:don’t|do not|won’t) need .. (?:big|bigger|heavy|huge|special) .. {vehicle}',
      '{vehicle} .. (?:all (?:it takes|you need)|is enough|is plenty|will do)',
      'enough {vehicle}',
      '(?:barely|hardly|never) .. (?:notice|feel|know) .. (?:back there|behind you|it’s there)',
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
      '{never} .. delaminat\\w*',
      '{never} delaminat\\w*',
      'delaminat\\w*[- ](?:proof|free)',
      '(?:rot|mou?ld|mildew|rust|corrosion)[- ]?(?:proof|free|resistant for life)',
      '{wall} .. {never} .. {damaged}',
      '{wall} {never} {damaged}',
      '(?:impervious|immune) to .. (?:water|moisture|mou?ld|mildew|rot|rust)',
      '(?:impervious|immune) to (?:water|moisture|mou?ld|mildew|rot|rust)',
      '(?:mou?ld|mildew|rot|rust) .. (?:can’t|cannot|won’t|will never|never) .. (?:grow|start|take hold|form|happen)',
      '(?:mou?ld|mildew|rot|rust) (?:can’t|cannot|won’t|will never|never) (?:grow|start|take hold|form|happen)',
      '(?:can|will|could) (?:never|not) {damaged}',
      '(?:lasts?|last) (?:forever|for ever|a lifetime|longer than you)',
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
      `${most} (?:in|of) (?:its|the|their|this) (?:class|category|segment|kind|industry|market|line|lot)`,
      `(?:it|this|that|these|they|here)(?:’s| is|’re| are) (?:simply |hands down |easily |just )?${most}(?! (?:in|of) (?:its|the|their|this|both)\\b)(?! (?:suited|fit|if|when|to|for|way|thing to do|\\w+ to |(?:i|we|you|they|he|she) (?:can|could|know|have)|time|place))`,
      `(?:have|has|with|got|of|build|makes?|sells?) ${most}(?! (?:of both|suited|to|i can|way to))`,
      `${most} (?:trailer|unit|camper|kitchen|bath|bed|bathroom|layout|floor plan|insulation|quality|brand|build|warranty|construction|walls?|roof|furnace|tank|storage|one)(?:s)?`,
      'in a class (?:of its own|by itself)',
      'nothing (?:else )?(?:out there )?(?:compares|comes close|beats it|touches it)',
      'second to none',
      'state[- ]of[- ]the[- ]art',
      '(?:unbeatable|unmatched|unrivaled|unequaled|unparalleled|world[- ]class|top[- ]of[- ]the[- ]line|industry[- ]leading)',
      '(?:better|tougher|stronger|quieter|warmer|nicer|built better) than (?:any|anything|every|all|the (?:rest|others|competition))',
      '(?:beats?|blows away|outclasses|outsells) (?:any|anything|every|all|the (?:rest|others|competition))',
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
      'the only (?:one|trailer|unit|camper|brand|maker|model|floor plan|layout)',
      '(?:nobody|no one|no other \\w+) (?:else )?(?:has|makes|offers|builds|gives you)',
      'exclusive(?:ly)? (?:to|ours|theirs|here|feature)',
      '(?:you|you’ll) (?:won’t|never|will not|can’t) find (?:this|it|that|another|one)',
      '(?:rarely|hardly ever|seldom|almost never|never) (?:do |will )?(?:you |we |i )?(?:ever )?(?:seen|see|find|found|offered|get) .. (?:size|class|length|price|short|small|this)',
      '(?:rare|unheard of|unusual|uncommon) (?:in|at|for) .. (?:size|class|length|price)',
      '(?:one of a kind|there’s nothing like it|unheard of)',
    ],
    needs: 'a look at everything that is made, which nobody has had',
    instead: 'Of the units on this yard, say which others have it.',
    judged: { by: 'never', because: 'Nobody here has looked at all the others.' },
  },
  {
    key: 'multiple',
    about: 'So many times as much',
    words: [
      '{number} ?(?:times|x) (?:as|the|more|stronger|longer|better|thicker|less|warmer|faster|bigger)',
      '(?:twice|double|triple) (?:as|the)',
      '(?:half|a third|a quarter) (?:as|of what|the (?:price|cost|weight|size|time|effort|water|fuel|gas|propane|money|noise|work))',
      '(?:\\d+|ten|twenty|thirty|forty|fifty) ?(?:%|per ?cent) (?:more|less|stronger|lighter|better|faster|warmer|bigger|cheaper|quieter)',
      '(?:doubles?|triples?|halves|cuts? in half)(?: (?:the|your))',
      '(?:twice|double|half) (?:what|that of)',
    ],
    needs: 'both numbers: of this, and of what it is compared with',
    instead: 'Give both numbers, and what the other one is.',
    judged: { by: 'never', because: 'The other number is not said.' },
  },
  {
    key: 'level',
    about: 'Stabilizers that level',
    words: [
      '{stabilizer} .. {levels}',
      '{stabilizer} (?:that )?{levels}',
      '{levels} (?:it|this|the \\w+|itself)(?: \\w+)? (?:with|by|using|on) (?:the |its |these |those )?(?:\\w+ )?(?:stabili[sz]ers?|(?<!tongue |hitch )jacks)',
      '(?:auto|self)[- ]?level(?:s|l?ing)?',
      '(?:levels|leveling) (?:itself|by itself|at the push|with one button)',
      '(?:push|press) (?:a|one|the) button .. level',
    ],
    needs: 'a leveling system; stabilizers steady and do not lift',
    instead: 'The stabilizers steady it once it stands level; they do not lift it.',
    judged: { by: 'features', features: ['levelingSystem'] },
  },
  {
    key: 'no-upkeep',
    about: 'Nothing to do',
    words: [
      '(?:maintenance|worry|hassle|care|trouble|service)[- ]free',
      'no[- ](?:maintenance|upkeep|service)',
      '(?:zero|hardly any|next to no) (?:maintenance|upkeep)',
      '(?:never|nothing|don’t|won’t|no need) .. (?:maintain|maintenance|service|servicing|reseal\\w*|grease|caulk\\w*|upkeep)',
      '(?:never|nothing) (?:needs|to) (?:maintain|maintenance|service|servicing|reseal\\w*)',
      'lifetime (?:roof|seal|axle|bearing|warranty roof)s?',
      '(?:set|seal) it and forget it',
      '(?:takes?|needs?) care of itself',
    ],
    needs: 'nothing proves it: seals, bearings, filters and alarms are looked after on every unit',
    instead: 'Say what is looked after, and how often.',
    judged: { by: 'never', because: 'Every trailer has seals, bearings and alarms to look after.' },
  },
  {
    key: 'leak',
    about: 'No water in',
    words: [
      '(?:leak|water|weather)[- ]?(?:proof|tight)',
      '{seal} .. {cannot} leaks?',
      '{cannot} leaks?',
      '(?:no|zero) (?:leaks?|chance of (?:a )?leak)',
      '(?:water|rain|moisture|damp) .. {cannot} {enters}',
      '(?:water|rain|moisture|damp) {cannot} {enters}',
      '(?:no|never any) (?:water|moisture) (?:damage|intrusion)? ?(?:ever|possible|in it)',
      'bone[- ]dry',
      'sealed (?:for life|forever|for good)',
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
      '{largely} (?:off[- ]grid|self[- ](?:contained|sufficient))',
      'off[- ]grid .. {span}',
      '(?:indefinitely|unlimited|endless|forever) .. (?:power|water|off[- ]grid|solar|{hookup})',
      '(?:unlimited|endless) (?:power|water|days|hot water)',
      'never (?:have to |need to )?(?:plug|hook)(?: it)? (?:in|up)',
      '(?:never|don’t|won’t) (?:ever )?need .. {hookup}',
      '(?:never|don’t|won’t) (?:ever )?need (?:a |any |to )?{hookup}',
      'never run(?:s)? out of',
      'runs? (?:everything|anything|the (?:a/c|air ?con\\w*|ac|microwave|fridge)|it all) .. (?:solar|batter\\w+|sun|roof)',
      'run(?:s)? .. (?:a/c|ac|air ?con\\w*|everything) .. (?:solar|batter\\w+|sun)',
      '{number} {span} .. (?:without|off|with no|on|away from|from) .. {hookup}',
      '{number} {span} (?:without|off|with no|on|away from|from|of) {hookup}',
      '{number} {span} (?:without|off|with no|on|away from|from|of) .. {hookup}',
      '(?:lasts?|last you|go|stay|camp|good for|boondock|keeps? you going|out there) .. {number} {span}',
      '(?:boondock|dry[- ]camp) .. {span}',
      '(?:stay|be|camp|live|sit|go) (?:out|off)(?: there)? for .. {span}',
      '(?:stay|be|camp|live|sit|go) (?:out|off)(?: there)? for {span}',
      'for (?:days|weeks|nights|months|ages|long stretches) .. {hookup}',
      '(?:stay|camp|live|last|go) .. {number} {span} .. {hookup}',
      '{number} {span} of (?:boondocking|off[- ]grid|dry[- ]camping|power|water)',
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
      '{largely} (?:safe|secure|stable)',
      '(?:the )?safest',
      '(?:fool|idiot|child|kid|burglar|theft|fire|shatter|puncture|break|bullet|hail)[- ]?proof',
      'nothing can (?:go wrong|happen|break|hurt)',
      'you can’t (?:go wrong|break|hurt)',
      'sway[- ]?(?:proof|free)',
      '(?:never|won’t|doesn’t|can’t|no) sways?',
      '(?:never|won’t) .. sway',
      '(?:unbreakable|indestructible|bullet ?proof|puncture[- ]?proof|shatter[- ]?proof|fail[- ]?safe)',
      '{unbreakable} .. (?:can’t|cannot|won’t|will not|never|don’t|will never) (?:ever )?{fails}',
      '{unbreakable} (?:can’t|cannot|won’t|will not|never|don’t|will never) (?:ever )?{fails}',
      '(?:can’t|cannot|won’t|never) {fails} .. {unbreakable}',
      '{stops} .. (?:any|every|all|whatever) .. {fire}',
      '{stops} (?:any|every|all) {fire}',
      '(?:can’t|cannot|won’t|will never|never) (?:catch fire|burn|tip over|roll over|jackknife)',
      '(?:mice|rodent|bug|insect|pest|critter)[- ]?(?:proof|free|tight)',
      '{pest} .. {cannot} {enters}',
      '{pest} {cannot} {enters}',
      'no {pest} .. {enters}',
      'no {pest} (?:ever )?{enters}',
      'keeps? (?:all |every |the )*{pest} out',
      'keeps? out (?:all |every |the )*{pest}',
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
      '(?:everything|all of it|the whole thing)(?:’s| is) (?:working|in (?:perfect |good )?working order|been (?:checked|gone through|tested))',
      'all (?:systems )?(?:work|working|tested|go)',
      '{largely} (?:inspected|checked|tested|gone through)',
      'thoroughly (?:inspected|checked|tested)',
      '(?:it|this|that|trailer|unit|camper|one|she)(?:’s| is|’d be| will be)? (?:all |completely )?ready to (?:go|camp|roll)',
      'ready to (?:camp|roll)',
      'turn[- ]?key',
      '(?:nothing|not a thing) (?:is )?wrong with (?:it|this)',
      'no (?:issues|problems|defects)(?: at all| whatsoever)?',
      '(?:only|just|merely|purely) cosmetic',
      'cosmetic only',
      '(?:nothing but|no more than) (?:cosmetic|looks)',
    ],
    needs: 'a signed inspection in which nothing failed',
    instead: 'Say who inspected it, when, and what is still open.',
    judged: { by: 'inspection' },
  },
  {
    key: 'as-new',
    about: 'As good as new',
    words: [
      '(?:like|as good as|good as) (?:brand[- ])?new',
      '(?:mint|showroom|perfect|flawless|immaculate|pristine) (?:condition|shape)',
      'flawless',
      'immaculate',
      'pristine',
      'not a (?:scratch|mark|ding|dent)',
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
      '(?:we|i) (?:guarantee|promise|swear)',
      'guaranteed',
      '(?:warranty|coverage) covers? (?:everything|it all|anything)',
      'covered for life',
      '(?:you|you’ll) never pay (?:for|a)',
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
      '(?:no|zero|without) wood(?! (?:in|behind|inside) (?:the|its|these) (?:\\w+ )?(?:walls?|frames?|framing|studs?))(?: anywhere| at all| in (?:it|this|the (?:trailer|unit|camper|whole)))',
      '(?:there’s|there is|it has|has|contains|uses|with|got) (?:absolutely )?(?:no|zero|not a (?:stick|splinter|piece) of) wood(?! (?:in|behind|inside) (?:the|its|these) (?:\\w+ )?(?:walls?|frames?|framing|studs?))',
      'not a (?:stick|splinter|piece) of wood',
      'wood[- ]free',
      '(?:all|100 ?%|fully|completely|entirely)[- ](?:alumini?um|composite|fib(?:er|re)glass)(?! (?:frame|framing|wall frame|skin|rims?|wheels?|steps?))',
    ],
    needs: 'framing, substrate, deck and cabinets, each by itself',
    instead:
      'Framing {wallFraming}, substrate {substrateKind}, floor {floorDeck}, cabinets {cabinetKind}.',
    judged: {
      by: 'choices',
      choices: {
        wallFraming: ['aluminum-welded', 'aluminum-screwed', 'none'],
        substrateKind: ['composite', 'none'],
        floorDeck: ['composite'],
        cabinetKind: ['aluminum'],
      },
    },
  },
  {
    key: 'weighs-only',
    about: 'Its weight',
    words: [
      '(?:(?:dry|empty|unloaded|loaded|fully loaded|gross|hitch|tongue|as built)(?: weight)?,? (?:it |of |is |weight )?(?:is )?)?(?:only )?weighs? (?:in at |just |only |under |about |barely |less than )?[\\d,.]*\\d(?: ?(?:lbs?|pounds|kg|kilos?))?(?: (?:dry|empty|unloaded|loaded|fully loaded|as built|on the hitch|on the tongue))?',
      '(?:it’s|it is) (?:just|only) [\\d,.]*\\d ?(?:lbs?|pounds|kg|kilos?)(?: (?:dry|empty|unloaded|loaded|fully loaded|as built))?',
    ],
    needs: 'which weight: UVW, as it sits, or GVWR',
    instead: 'Dry it’s {uvw}, and fully loaded it can be {gvwr}: you tow it loaded.',
    judged: { by: 'weight' },
  },
  {
    key: 'sleeps',
    about: 'How many sleep in it',
    words: [
      'sleeps (?:up to )?(?:\\d+|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|a dozen)',
      '(?:room|beds?|bunks?) for (?:\\d+|two|three|four|five|six|seven|eight|nine|ten)(?: (?:people|adults|kids|to sleep))?(?! (?:chairs|bikes|bicycles|coats|hours|minutes|pairs|bags))',
    ],
    needs: 'the beds one by one, and for whom each is long and strong enough',
    instead: 'Places to sleep by the record: {sleeps}. Say who fits each.',
    judged: { by: 'number', spec: 'sleeps' },
  },
  {
    key: 'price',
    about: 'A price that will not last',
    words: [
      '(?:only|just) (?:for )?today',
      'today only',
      'price (?:goes|will go|is going|went) up',
      '(?:lowest|cheapest|best) price',
      'last (?:one|chance)',
      '(?:won’t|don’t|will not) last(?: long)?(?! (?:a|for|on|without|through|the))',
      '(?:a|it’s|what a|total) steal',
      'below (?:cost|invoice)',
      '(?:\\$|€)? ?\\d[\\d,.]*k?(?: ?(?:%|percent|dollars|grand|bucks))? (?:off|below|under|less than) .. (?:list|msrp|sticker|retail|price|invoice|new)',
      '(?:\\$|€)? ?\\d[\\d,.]*k?(?: ?(?:%|percent|dollars|grand|bucks))? (?:off|below|under) (?:list|msrp|sticker|retail|the price|invoice)',
      '(?:thousands|hundreds|a fortune|big|{number} (?:percent|%)) (?:off|below) (?:list|msrp|sticker|retail|the (?:list|sticker|price))',
      'save .. (?:\\$|thousands|hundreds|percent|%)',
      '(?:thousands|hundreds) (?:off|less)',
      '(?:grand|bucks|dollars|percent|thousand|hundred|k) (?:off|below|under) (?:the |its |their )?(?:list|msrp|sticker|retail|invoice|price)',
      '(?:save|saves|saving|saved) .. (?:off|below|under|compared)',
      'somebody else (?:is )?(?:looking|coming|interested)',
      '(?:going|gone) fast',
      'deal of the (?:year|century|week)',
    ],
    needs: 'nothing: it presses people, and a recording outlives it',
    instead: 'Say what it costs when you are asked, and until when that holds.',
    judged: { by: 'never', because: 'Words that press a buyer are not evidence of anything.' },
  },
  {
    key: 'range-heat',
    about: 'The range as a heater',
    evenAdvised: true,
    words: [
      '(?:range|stove|cooktop|burners?|oven) .. (?:heats?|warms?|heater|heat)(?! (?:up|evenly|the (?:pan|water|food|pot|air in the oven)))(?: (?:it|the|up the|your|this|a) .. (?:trailer|inside|living|room|unit|place|camper))',
      '(?:range|stove|cooktop|oven|burners?) (?:heats|warms|to heat|to warm|will heat|will warm) .. (?:trailer|inside|living|room|unit|place|camper|you)',
      '(?:heat|warm) .. (?:with|by|off) the (?:range|stove|cooktop|oven|burners?)',
      '(?:range|stove|cooktop|oven|burners?) .. (?:heats?|warms?)(?: up)? (?:it|the|this|your) (?:whole )?(?:trailer|inside|living|room|unit|place|camper)',
    ],
    needs: 'nothing: it is dangerous, and people have died of it',
    instead: 'The range is for cooking, with the vent open; heat with the furnace.',
    judged: {
      by: 'never',
      because: 'Burning gas to warm a closed room takes its air and gives carbon monoxide.',
    },
  },
  {
    key: 'bed-for-anybody',
    about: 'Anybody fits',
    words: [
      '{any} {person} .. {fits} .. {bed}',
      '(?:anybody|anyone|everybody|everyone) .. {fits} .. {bed}',
      '(?:anybody|anyone|everybody|everyone) {fits} .. {bed}',
      '{any} {person} {fits} .. {bed}',
      '{bed} .. {fits} (?:any|every|all) .. {person}',
      '{bed} .. {fits} (?:any|every|all) {person}',
      '{bed} {fits} (?:any|every|all) {person}',
      '{bed} .. (?:big|long|strong|roomy) enough for (?:any|every|all|two|six)',
      '(?:two|three|even (?:a |the )?(?:tall|big|large|long)?) ?{person} .. {fits} .. {bed}',
      'even (?:a |the )?(?:tall|big|large|long)? ?{person} {fits} .. {bed}',
    ],
    needs: 'the length, width and rating of each bed, and who is to lie in it',
    instead:
      'Bunks are rated for {bunkRating} each; measure who is to sleep there against the bed.',
    judged: { by: 'never', because: 'Beds have a length and a rating, and people differ.' },
  },
  {
    key: 'fuel',
    about: 'Fuel saved by its shape',
    words: [
      '{shape} .. {saves} .. {fuel}',
      '{saves} .. {fuel} .. {shape}',
      '{saves} (?:you )?(?:money )?(?:on |in )?{fuel}',
      '{saves} .. (?:money|a lot|dollars) .. {fuel}',
      '(?:better|more|great|amazing) (?:mpg|mileage|gas mileage|fuel economy)',
      '(?:cuts?|slices?) (?:right )?through the (?:wind|air)',
    ],
    needs: 'the drag of both at one speed; even then it is a sum, and drivers differ',
    instead:
      'Say how high and wide it is; what the wind takes is worked out at one speed, against another size.',
    judged: { by: 'never', because: 'It depends on speed, wind and the vehicle.' },
  },
  {
    key: 'resale',
    about: 'Keeps its value',
    words: [
      '{keeps} .. {value}',
      '{keeps} {value}',
      '{keeps} (?:its|their|your|the|more of its) {value}',
      '(?:great|good|excellent|best|strong) (?:resale|investment)',
      '(?:won’t|never|doesn’t) depreciate\\w*',
      '(?:get|sell|trade) .. (?:your money back|what you paid|for more than)',
      '(?:pays for itself|money in the bank)',
    ],
    needs: 'what the same model of other years sold for, and nobody knows the years to come',
    instead: 'Say what it costs; what it will bring one day nobody knows.',
    judged: { by: 'never', because: 'Nobody knows what it will bring.' },
  },
  {
    key: 'repair-cheap',
    about: 'Repairs cost little',
    words: [
      '{cheap} .. {repairs}',
      '{cheap} (?:to |on )?{repairs}',
      '{repairs} .. (?:is|are|’s|costs?|cost you) .. {cheap}',
      '{repairs} .. {cheap}',
      '(?:easy|easier|simple|simpler|quick) (?:and cheap )?to (?:fix|repair|service)',
      '(?:anybody|anyone|any shop|you) can (?:fix|repair|service) (?:it|this|anything)',
    ],
    needs: 'a workshop’s price for the same repair on both',
    instead:
      'Say how it is built and where its parts come from; a workshop says what a repair costs.',
    judged: { by: 'never', because: 'A repair costs what the workshop finds.' },
  },
  {
    key: 'air',
    about: 'Air changed',
    words: [
      '(?:changes?|replaces?|exchanges?|swaps?|moves?|clears?|empties|turns over|sucks? out) .. (?:all )?(?:the |of the )?air .. (?:minutes?|seconds?|hours?)',
      '{number} air changes?',
      'air .. (?:changed|replaced|exchanged|gone|fresh) .. (?:minutes?|seconds?|hours?)',
    ],
    needs: 'what the fan moves by its plate, and the room’s volume; with a window open',
    instead:
      'The fan moves {fanAirflow} by its plate; how often that changes the air is a sum with the room.',
    judged: { by: 'never', because: 'It is a sum of fan and room, with a window open.' },
  },
];

/** Comparatives that the yard’s own stock can decide: the words, of which number, and in which direction. */
export interface ComparedRow {
  readonly key: SpecKey;
  readonly words: readonly string[];
  readonly most: boolean;
}

const of = (size: string, thing: string): string => `${size} ${thing}`;
const large = '(?:biggest|largest|most)';
const small = '(?:smallest|least)';

export const comparedRows: readonly ComparedRow[] = [
  {
    key: 'overallLength',
    words: ['(?:the|our|its) longest(?! (?:part|time|way|side|wall|window|stretch|thing|day))'],
    most: true,
  },
  {
    key: 'overallLength',
    words: ['(?:the|our|its) shortest(?! (?:part|time|way|side|wall|window|stretch|thing|day))'],
    most: false,
  },
  {
    key: 'gvwr',
    words: ['(?:the|our|its) heaviest(?! (?:part|time|way|side|wall|window|stretch|thing|day))'],
    most: true,
  },
  {
    key: 'uvw',
    words: ['(?:the|our|its) lightest(?! (?:part|time|way|side|wall|window|stretch|thing|day))'],
    most: false,
  },
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
  { key: 'tireLoad', words: [of(small, 't[iy]res?')], most: false },
];
