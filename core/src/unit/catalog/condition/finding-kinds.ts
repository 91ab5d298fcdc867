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
      'Small blisters in the outer skin, usually where the sun hits; the wall behind is firm.',
    plain: 'The outer skin has some blisters.',
    concern: 'looks',
    usually: 'cosmetic',
    look: 'wall-waves',
  },
  {
    key: 'delamination',
    label: 'Delamination suspected',
    also: ['delam', 'bubble', 'waves', 'wavy wall'],
    explain:
      'The skin has waves and gives when you press it. Assume water behind it until shown otherwise.',
    plain: 'The outer skin has come loose from the wall in places. Water may have gotten in.',
    concern: 'structure',
    usually: 'technician',
    look: 'wall-waves',
  },
  {
    key: 'soft-spot',
    label: 'Soft spot',
    also: ['rot', 'soft floor', 'spongy'],
    explain: 'A floor, wall or roof that gives under a hand or a foot.',
    plain: 'There’s a soft spot that gives when you press it.',
    concern: 'structure',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'seal-crack',
    label: 'Cracked seal',
    also: ['sealant', 'caulk', 'gasket'],
    explain: 'Sealant that is cracked, lifted or missing at a seam, window, vent or lamp.',
    plain: 'A seal is cracked or lifted.',
    concern: 'water',
    usually: 'broken',
    look: 'water-signs',
  },
  {
    key: 'leak-stain',
    label: 'Water stain',
    also: ['water stain', 'water damage', 'leak', 'watermark'],
    explain: 'A brown edge, a swelling or a musty smell at a corner, a window or under a vent.',
    plain: 'There’s a water stain. We don’t know yet whether it’s old.',
    concern: 'water',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'mold',
    label: 'Mold or musty smell',
    also: ['mold', 'mildew', 'musty'],
    explain: 'Dark specks, or a smell when a closed cabinet is opened.',
    plain: 'There’s mold, or it smells musty.',
    concern: 'water',
    usually: 'technician',
    look: 'water-signs',
  },
  {
    key: 'decal-failure',
    label: 'Decals failing',
    also: ['stripes', 'graphics', 'sticker'],
    explain: 'Stripes and letters that crack, curl or fade.',
    plain: 'The stripes are cracked or curling.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'fading',
    label: 'Fading or chalking',
    also: ['oxidation', 'chalky', 'sun damage', 'pale'],
    explain: 'The skin has lost its gloss; your thumb comes away white.',
    plain: 'The finish outside has lost its gloss.',
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
    plain: 'There’s a dent or a scrape.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'hail',
    label: 'Hail damage',
    also: ['hail damage'],
    explain: 'Many small round dents on roof, cap or metal skin.',
    plain: 'There’s hail damage.',
    concern: 'looks',
    usually: 'cosmetic',
  },
  {
    key: 'rust',
    label: 'Rust',
    also: ['corrosion'],
    explain: 'On the frame, hitch, springs or fasteners: surface rust, or flakes that come off.',
    plain: 'There’s some rust.',
    concern: 'structure',
    usually: 'worn',
  },
  {
    key: 'frame-damage',
    label: 'Frame bent or cracked',
    also: ['bent frame', 'chassis', 'weld'],
    explain: 'A bent outrigger, a cracked weld, a crooked tongue.',
    plain: 'The frame is bent or cracked in one spot.',
    concern: 'structure',
    usually: 'do-not-show',
  },
  {
    key: 'wheel-well',
    label: 'Wheel-well damage',
    also: ['fender', 'blowout', 'blown tire'],
    explain: 'Torn liner, bent skirt or cut wires above a wheel: a tire blew out there.',
    plain: 'A wheel well is damaged.',
    concern: 'tires',
    usually: 'technician',
    look: 'tire-mismatch',
  },
  {
    key: 'tire-mismatch',
    label: 'Tire doesn’t match the others',
    also: ['mismatched tire', 'odd tire'],
    explain: 'One tire of a different brand, size, age or tread than the others.',
    plain: 'One tire doesn’t match the others.',
    concern: 'tires',
    usually: 'worn',
    look: 'tire-mismatch',
  },
  {
    key: 'tire-age',
    label: 'Old tires',
    also: ['aged out', 'dry rot', 'cracked sidewall', 'old tires'],
    explain: 'Built five years ago or more by the code after DOT, or cracked in the sidewall.',
    plain: 'The tires are old and should be replaced.',
    concern: 'tires',
    usually: 'worn',
  },
  {
    key: 'uneven-wear',
    label: 'Uneven tire wear',
    also: ['alignment', 'axle bent', 'cupping', 'bald'],
    explain: 'One edge, both edges, the middle, or cups along it.',
    plain: 'One tire is worn unevenly.',
    concern: 'tires',
    usually: 'technician',
    look: 'tire-mismatch',
  },
  {
    key: 'brakes',
    label: 'Brakes',
    also: ['brake', 'breakaway'],
    explain:
      'Grinding, dragging, a warning light, a cut wire, a breakaway switch that does nothing.',
    plain: 'The brakes need to be looked at.',
    concern: 'brakes',
    usually: 'do-not-show',
  },
  {
    key: 'gas',
    label: 'Propane: smell, leak or damage',
    also: ['propane', 'LP', 'leak'],
    explain: 'A smell, a damaged hose, an expired regulator. Shut it off, get out, and call.',
    plain: 'A licensed technician needs to look at the propane system.',
    concern: 'gas',
    usually: 'do-not-show',
  },
  {
    key: 'electrical',
    label: 'Electrical: scorch or shock',
    also: ['electric', 'burnt plug', 'breaker', 'shock'],
    explain: 'A scorched plug, a breaker that trips, a hanging wire, a tingle from the skin.',
    plain: 'A licensed electrician needs to look at the electrical system.',
    concern: 'electrical',
    usually: 'do-not-show',
  },
  {
    key: 'window-glass',
    label: 'Cracked or cloudy glass',
    also: ['window', 'fogged', 'cracked window'],
    explain: 'A crack, a chip, or mist between two panes.',
    plain: 'A window is cracked or cloudy.',
    concern: 'looks',
    usually: 'worn',
  },
  {
    key: 'awning-fabric',
    label: 'Torn or stained awning',
    also: ['awning', 'tear'],
    explain: 'A tear, loose stitching, mildew, or a bent arm.',
    plain: 'The awning is torn or stained.',
    concern: 'looks',
    usually: 'worn',
  },
  {
    key: 'slide-fault',
    label: 'Slide out of adjustment',
    also: ['slide-out', 'sticks', 'out of adjustment'],
    explain: 'Scrapes on the floor, a corner that lags, a seal rolled under.',
    plain: 'The slide doesn’t run right.',
    concern: 'structure',
    usually: 'technician',
  },
  {
    key: 'upholstery',
    label: 'Worn cushion, curtain or floor',
    also: ['carpet', 'cushion', 'seat', 'linoleum', 'tear'],
    explain: 'A tear, a flat cushion, a burn, a loose edge of the flooring.',
    plain: 'Something inside is worn or torn: a cushion, a curtain or the floor.',
    concern: 'looks',
    usually: 'cosmetic',
    look: 'last-owner',
  },
  {
    key: 'smell',
    label: 'Smoke or pet smell',
    also: ['odor', 'smoke', 'pet'],
    explain: 'Notice it at the door, before your nose gets used to it.',
    plain: 'It smells of smoke or pets.',
    concern: 'looks',
    usually: 'worn',
    look: 'last-owner',
  },
  {
    key: 'pests',
    label: 'Mice or insects',
    also: ['mouse', 'mice', 'rodent', 'ants', 'wasps', 'droppings'],
    explain: 'Droppings, gnawed wires, nests in a furnace vent or behind a drawer.',
    plain: 'There are signs of mice or insects.',
    concern: 'electrical',
    usually: 'technician',
  },
  {
    key: 'missing-part',
    label: 'Missing part',
    also: ['lost', 'gone'],
    explain: 'A cap, a cover, a shade, a handle, a latch, a cushion.',
    plain: 'A part’s missing.',
    concern: 'looks',
    usually: 'broken',
  },
  {
    key: 'not-working',
    label: 'Doesn’t work',
    also: ['broken', 'dead', 'faulty'],
    explain: 'Something you tried that did nothing, or not everything it should.',
    plain: 'Something on it doesn’t work.',
    concern: 'looks',
    usually: 'broken',
  },
  {
    key: 'other',
    label: 'Something else',
    also: ['anything else'],
    explain: 'Say in a few words what you see, and where.',
    plain: 'We found something else.',
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
