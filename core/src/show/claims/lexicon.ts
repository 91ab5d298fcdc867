/**
 * Words by what they mean: who or what is spoken of, what is said of it, and how far that goes. A claim is worded in
 * these, so that it is found however somebody puts it. Pieces of regular expressions; case is left aside.
 */
export const lexicon = {
  // What is spoken of.
  vehicle:
    '(?:(?:half|quarter|three[- ]quarter|1/2|½)[- ]?tons?|trucks?|pickups?|suvs?|minivans?|vans?|crossovers?|cars?|wagons?|vehicles?|v6|v8|four[- ]cylinder)',
  stabilizer: '(?:stabili[sz](?:ers?|ing jacks?)|(?<!tongue |hitch |bottle |floor |front )jacks)',
  wall: '(?:walls?|sidewalls?|panels?|skins?|roofs?|floors?|substrates?|structures?|frames?|trailers?|units?|campers?|wood|deck(?:ing)?)',
  seal: '(?:roofs?|seals?|sealants?|windows?|seams?|walls?|slides?|membranes?|trailers?|units?|campers?|boxes|it)',
  pest: '(?:mice|mouse|rodents?|bugs?|insects?|ants?|wasps?|pests?|critters?|varmints?)',
  unbreakable:
    '(?:t[iy]res?|glass|windows?|windshields?|skylights?|rims?|axles?|bearings?|frames?|springs?|hitches|couplers?|doors?)',
  fire: '(?:fires?|flames?|blazes?)',
  bed: '(?:bunks?|beds?|berths?|dinettes?|mattress(?:es)?|sofas?)',
  person:
    '(?:adults?|grown[- ]?ups?|anybody|anyone|everybody|everyone|man|men|guests?|body|six[- ]footers?|teenagers?|size)',
  // What is said of it.
  tows: '(?:tows?|towed|towing|towable|pulls?|pulled|pulling|hauls?|hauled|handles?|drags?)',
  levels:
    '(?:(?<!’s |’re |is |are |be |once |when |stands |stays |keep |keeps |sits |more |eye |water )levels?|level(?:l?ing)|lifts?|lifting|raises?)',
  fits: '(?:fits?|sleeps?|can sleep|is fine|holds?|takes?|lies?|stretch(?:es)? out|big enough|long enough|strong enough|comfortable)',
  fails:
    '(?:blow(?:s|ing)?(?: out| up)?|fails?|failing|burst(?:s|ing)?|break(?:s|ing)?|crack(?:s|ing)?|shatter(?:s|ing)?|go(?:es)? flat|wear(?:s)? out|rust(?:s)?|bend(?:s)?|pop(?:s)?)',
  damaged:
    '(?:delaminat\\w*|rots?|rotting|swells?|warps?|separates?|bubbles?|comes? apart|mou?ld(?:s|y)?|mildew)',
  enters:
    '(?:gets?(?:ting)? (?:in|into|through|inside)|comes? (?:in|into)|moves? in(?:to)?|enters?|nests?|chews?|finds? a way in)',
  stops: '(?:puts? out|extinguish(?:es)?|stops?|kills?|smothers?|handles?|takes? care of)',
  saves: '(?:saves?|cuts?|improves?|betters?|boosts?|less|better|more)',
  fuel: '(?:fuel|gas(?:oline)?|diesel|mpg|mileage|miles (?:per|to the|a) gallon|at the pump)',
  shape:
    '(?:shapes?|shaped|nose|front cap|aerodynamic\\w*|streamlin\\w*|profile|rounded|tapered|v[- ]nose|teardrop|wind)',
  value: '(?:value|resale|worth|investment|price)',
  keeps:
    '(?:holds?|keeps?|retains?|maintains?|gains?|goes up|appreciates?|never loses?|won’t lose|doesn’t lose|barely loses?)',
  repairs: '(?:repairs?|repaired|repairing|fix(?:es|ed|ing)?|service|maintain|replace|parts|own)',
  cheap:
    '(?:cheap(?:er|est)?|less expensive|half the (?:price|cost)|for next to nothing|pennies|inexpensive|costs? (?:less|nothing))',
  hookup:
    '(?:hook-?ups?|plugg(?:ed|ing)(?: it)?(?: in)?|shore power|generators?|batter(?:y|ies)|off[- ]grid|boondock\\w*|dry[- ]camp\\w*|solar|sun|tanks?|propane|cylinders?)',
  // How far it goes.
  any: '(?:any|every|each|most|all|almost any|just about any|pretty much any|your|a small|a mid-?size|a)',
  never:
    '(?:never|can’t|cannot|can not|won’t|will not|doesn’t|does not|don’t|no|not|nothing|impossible)',
  cannot:
    '(?:can’t|cannot|can not|can never|could never|couldn’t|won’t|will not|will never|never|no way|doesn’t|does not|has no way to|have no way to|isn’t going to)(?: ever)?',
  number:
    '(?:\\d[\\d,.]*|an?|an? (?:whole|full|good|solid|couple|long)|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty|fifty|sixty|seventy|eighty|ninety|a hundred|a couple of|a few|several|many)',
  span: '(?:nights?|days?|weeks?|weekends?|months?|hours?)',
  largely: '(?:totally|completely|fully|absolutely|perfectly|100 ?%|one hundred percent)',
} as const;
type Meaning = keyof typeof lexicon;

/** So many words may stand between two that belong together, none of them the end of a thought. */
const gap = String.raw`[ ,]+(?:[\w’%$/.-]+,? ){0,6}?`;

/**
 * A pattern of meanings as a regular expression: `{vehicle}` is any of these words, ` .. ` lets up to six words stand
 * between; the rest is as in any regular expression.
 * @example worded('{any} {vehicle} .. {tows}')
 */
export const worded = (pattern: string): string =>
  pattern
    .replaceAll(/\{(\w+)\}/g, (_, key: string) => lexicon[key as Meaning] ?? key)
    .replaceAll(' .. ', gap);
