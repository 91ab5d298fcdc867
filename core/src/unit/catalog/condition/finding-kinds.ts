import type { Gravity } from './gravities.ts';

/** What a finding can touch where the program never judges by itself. */
export type Concern = 'structure' | 'brakes' | 'gas' | 'electrical' | 'water' | 'tires' | 'looks';

/** The guided looks, which gather evidence for and against. */
export type LookKey = 'tire-mismatch' | 'wall-waves' | 'water-signs' | 'last-owner';

export interface FindingKind {
  readonly key: string;
  readonly label: string;
  /** What else people call it: common practice. */
  readonly also: readonly string[];
  /** In plain words, for whoever has not met it. */
  readonly explain: string;
  /** As a buyer reads it on the disclosure page. */
  readonly plain: string;
  readonly concern: Concern;
  /** Offered first; the person who sees it decides. */
  readonly usually: Gravity;
  readonly look?: LookKey;
}

/**
 * What can be found on a unit that is used, or damaged on its way. Common practice; on anything structural, on
 * brakes, gas or wiring a technician decides.
 */
export const findingKinds = [
  {
    key: 'skin-bubbling',
    label: 'Skin bubbling',
    also: ['bubbles', 'blisters'],
    explain:
      'Small blisters in the outer skin, most often where the sun falls; the wall behind is firm.',
    plain: 'There are blisters in the outer skin.',
    concern: 'looks',
    usually: 'cosmetic',
    look: 'wall-waves',
  },
  {
    key: 'delamination',
    label: 'Delamination suspected',
    also: ['delam', 'bubble', 'waves', 'wavy wall'],
    explain:
      'The skin stands off the wall in waves; it gives when pressed. Water behind it until shown otherwise.',
    plain: 'The outer skin stands off the wall in places. Water may have got in.',
    concern: 'structure',
    usually: 'technician',
    look: 'wall-waves',
  },
  {
    key: 'soft-spot',
    label: 'Soft spot',
    also: ['rot', 'soft floor', 'spongy'],
    explain: 'A floor, wall or roof that gives under a hand or a foot.',
    plain: 'A place gives when it is pressed.',
    concern: 'structure',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'seal-crack',
    label: 'Crack in a seal',
    also: ['sealant', 'caulk', 'gasket'],
    explain: 'Sealant that is cracked, lifted or missing at a seam, window, vent or lamp.',
    plain: 'A seal is cracked or lifted.',
    concern: 'water',
    usually: 'broken',
    look: 'water-signs',
  },
  {
    key: 'leak-stain',
    label: 'Stain of a leak',
    also: ['water stain', 'water damage', 'leak', 'watermark'],
    explain: 'A brown edge, a swelling or a musty smell at a corner, a window or under a vent.',
    plain: 'There is a stain of water. Whether it is old is not known.',
    concern: 'water',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'mold',
    label: 'Mold or musty smell',
    also: ['mold', 'mildew', 'musty'],
    explain: 'Dark specks, or a smell when a closed cabinet is opened.',
    plain: 'There is mold, or it smells of it.',
    concern: 'water',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'decal-failure',
    label: 'Decals failing',
    also: ['stripes', 'graphics', 'sticker'],
    explain: 'Stripes and letters that crack, curl or have gone pale.',
    plain: 'The stripes are cracked or curling.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'fading',
    label: 'Fading or chalking',
    also: ['oxidation', 'chalky', 'sun damage', 'pale'],
    explain: 'The skin has lost its gloss; a thumb comes away white.',
    plain: 'The outside has lost its gloss.',
    concern: 'looks',
    usually: 'cosmetic',
    look: 'last-owner',
  },
  {
    key: 'dent',
    label: 'Dent or scrape',
    also: ['scratch', 'ding', 'hole', 'puncture'],
    explain:
      'A dent, a scrape or a hole in skin, cap, door or bumper; say whether it goes through.',
    plain: 'There is a dent or a scrape.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'hail',
    label: 'Hail marks',
    also: ['hail damage'],
    explain: 'Many small round dents on roof, cap or metal skin.',
    plain: 'Hail has left marks.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'rust',
    label: 'Rust',
    also: ['corrosion'],
    explain:
      'On frame, hitch, springs or fixings: a bloom on the surface, or flakes that come away.',
    plain: 'There is rust.',
    concern: 'structure',
    usually: 'worn',
  },
  {
    key: 'frame-damage',
    label: 'Frame bent or cracked',
    also: ['bent frame', 'chassis', 'weld'],
    explain: 'A bent outrigger, a cracked weld, a tongue out of true.',
    plain: 'The frame is bent or cracked in a place.',
    concern: 'structure',
    usually: 'do-not-show',
  },
  {
    key: 'wheel-well',
    label: 'Wheel-well damage',
    also: ['fender', 'blowout', 'blown tire'],
    explain: 'Torn lining, bent skirt or cut wires above a wheel: a tire has come apart there.',
    plain: 'A wheel well is damaged.',
    concern: 'tires',
    usually: 'technician',
    look: 'tire-mismatch',
  },
  {
    key: 'tire-mismatch',
    label: 'Tire unlike the others',
    also: ['mismatched tire', 'odd tire'],
    explain: 'One tire of another make, size, age or tread than its neighbors.',
    plain: 'One tire is not like the others.',
    concern: 'tires',
    usually: 'worn',
    look: 'tire-mismatch',
  },
  {
    key: 'tire-age',
    label: 'Tires old',
    also: ['aged out', 'dry rot', 'cracked sidewall', 'old tires'],
    explain: 'Built five years ago or more by the code after DOT, or cracked in the sidewall.',
    plain: 'The tires are old and should be replaced.',
    concern: 'tires',
    usually: 'worn',
  },
  {
    key: 'uneven-wear',
    label: 'Tire worn unevenly',
    also: ['alignment', 'axle bent', 'cupping', 'bald'],
    explain: 'One edge, both edges, the middle, or cups along it.',
    plain: 'A tire is worn unevenly.',
    concern: 'tires',
    usually: 'technician',
    look: 'tire-mismatch',
  },
  {
    key: 'brakes',
    label: 'Brakes',
    also: ['brake', 'breakaway'],
    explain: 'Grinding, dragging, a lamp, a cut wire, a breakaway switch that does nothing.',
    plain: 'The brakes need to be looked at.',
    concern: 'brakes',
    usually: 'do-not-show',
  },
  {
    key: 'gas',
    label: 'Gas: smell, leak or damage',
    also: ['propane', 'LP', 'leak'],
    explain: 'A smell, a damaged hose, a regulator out of date. Off, out, and call.',
    plain: 'The gas system needs to be looked at by somebody licensed.',
    concern: 'gas',
    usually: 'do-not-show',
  },
  {
    key: 'electrical',
    label: 'Wiring, scorch or shock',
    also: ['electric', 'burnt plug', 'breaker', 'shock'],
    explain: 'A scorched plug, a breaker that trips, a wire that hangs, a tingle at the skin.',
    plain: 'The electrical system needs to be looked at by somebody licensed.',
    concern: 'electrical',
    usually: 'do-not-show',
  },
  {
    key: 'window-glass',
    label: 'Glass cracked or clouded',
    also: ['window', 'fogged', 'cracked window'],
    explain: 'A crack, a chip, or mist between two panes.',
    plain: 'A window is cracked or clouded.',
    concern: 'looks',
    usually: 'worn',
  },
  {
    key: 'awning-fabric',
    label: 'Awning torn or stained',
    also: ['awning', 'tear'],
    explain: 'A tear, a bare stitch, mildew, or an arm out of true.',
    plain: 'The awning is torn or stained.',
    concern: 'looks',
    usually: 'worn',
  },
  {
    key: 'slide-fault',
    label: 'Slide out of true',
    also: ['slide-out', 'sticks', 'out of adjustment'],
    explain: 'Scrapes on the floor, a corner that lags, a seal rolled under.',
    plain: 'A slide does not run as it should.',
    concern: 'structure',
    usually: 'technician',
  },
  {
    key: 'upholstery',
    label: 'Cushion, curtain or floor worn',
    also: ['carpet', 'cushion', 'seat', 'linoleum', 'tear'],
    explain: 'A tear, a flat cushion, a burn, a loose edge of the floor covering.',
    plain: 'Something soft inside is worn or torn.',
    concern: 'looks',
    usually: 'cosmetic',
    look: 'last-owner',
  },
  {
    key: 'smell',
    label: 'Smell of smoke or pets',
    also: ['odor', 'smoke', 'pet'],
    explain: 'Notice it at the door, before the nose is used to it.',
    plain: 'It smells of smoke or of animals.',
    concern: 'looks',
    usually: 'worn',
    look: 'last-owner',
  },
  {
    key: 'pests',
    label: 'Traces of mice or insects',
    also: ['mouse', 'mice', 'rodent', 'ants', 'wasps', 'droppings'],
    explain: 'Droppings, gnawed wires, nests in a furnace vent or behind a drawer.',
    plain: 'There are traces of mice or insects.',
    concern: 'electrical',
    usually: 'technician',
  },
  {
    key: 'missing-part',
    label: 'Part missing',
    also: ['lost', 'gone'],
    explain: 'A cap, a cover, a shade, a handle, a latch, a cushion.',
    plain: 'A part is missing.',
    concern: 'looks',
    usually: 'broken',
  },
  {
    key: 'not-working',
    label: 'Does not work',
    also: ['broken', 'dead', 'faulty'],
    explain: 'Something that was tried and did nothing, or not all it should.',
    plain: 'Something does not work.',
    concern: 'looks',
    usually: 'broken',
  },
  {
    key: 'other',
    label: 'Something else',
    also: ['anything else'],
    explain: 'Say in a few words what is seen, and where.',
    plain: 'Something else was found.',
    concern: 'looks',
    usually: 'worn',
  },
] as const satisfies readonly FindingKind[];

export type FindingKindKey = (typeof findingKinds)[number]['key'];

const byKey = new Map<string, FindingKind>(findingKinds.map((row) => [row.key, row]));

export const isFindingKind = (key: string): key is FindingKindKey => byKey.has(key);

/** The row of a kind. @throws where there is none */
export const findingKind = (key: FindingKindKey): FindingKind => byKey.get(key) as FindingKind;

/** What a technician decides, and the program never clears. */
export const technicianDecides: ReadonlySet<Concern> = new Set([
  'structure',
  'brakes',
  'gas',
  'electrical',
]);
