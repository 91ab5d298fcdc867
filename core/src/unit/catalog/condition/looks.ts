import type { LookKey } from './finding-kinds.ts';
import type { Gravity } from './gravities.ts';

/** What an answer speaks for: a reading of what is seen. */
export interface Explanation {
  readonly key: string;
  /** As part of a sentence: “points to …”. */
  readonly label: string;
  /** How bad it is where the look points or leans to it: it is told first, and waits for a technician. */
  readonly proposes?: Gravity;
}

export interface Ask {
  readonly key: string;
  /** To be answered by yes, no or cannot tell, by whoever stands there. */
  readonly ask: string;
  /** Where to look and how. */
  readonly how: string;
  /** What a yes and a no speak for, and in which words. */
  readonly yes?: { readonly for: string; readonly says: string };
  readonly no?: { readonly for: string; readonly says: string };
}

/** A guided look: what is asked in which order, and between which readings the answers decide. */
export interface GuidedLook {
  readonly key: LookKey;
  readonly label: string;
  readonly asks: readonly Ask[];
  readonly explanations: readonly Explanation[];
  /** What holds whatever the answers say: for whoever looks. */
  readonly always: string;
  /** What a buyer is told of it, whatever the answers say. */
  readonly toBuyer: string;
}

/** All of it common practice; the person decides, and where it can hurt a technician does. */
export const looks: readonly GuidedLook[] = [
  {
    key: 'tire-mismatch',
    label: 'A tire that doesn’t match',
    explanations: [
      { key: 'puncture', label: 'a puncture, and one tire replaced' },
      { key: 'blowout', label: 'a tire that came apart on the road', proposes: 'technician' },
      { key: 'alignment', label: 'an axle or a spindle out of line', proposes: 'technician' },
      { key: 'overload', label: 'overloading or low air', proposes: 'technician' },
      { key: 'age', label: 'tires replaced one by one as they aged' },
    ],
    asks: [
      {
        key: 'newer',
        ask: 'Was this tire built later than the others?',
        how: 'The last four digits after DOT: week and year. Look at each tire, spare included.',
        yes: { for: 'puncture', says: 'it was built later than the others' },
        no: { for: 'age', says: 'it is no newer than the others' },
      },
      {
        key: 'well-torn',
        ask: 'Is the liner torn or the skirt bent above it?',
        how: 'Put a hand or a light up into the wheel well: cuts, black whip marks, cut wires.',
        yes: { for: 'blowout', says: 'the well above it is torn' },
        no: { for: 'puncture', says: 'the well above it is clean' },
      },
      {
        key: 'wear-even',
        ask: 'Are the other tires worn evenly across the tread?',
        how: 'A gauge at the outer edge, the middle and the inner edge of each.',
        yes: { for: 'puncture', says: 'the others are worn evenly' },
      },
      {
        key: 'one-edge',
        ask: 'Is a tire on this axle worn on one edge?',
        how: 'Feel across with the palm; a saw-tooth feels sharp one way.',
        yes: { for: 'alignment', says: 'a tire of this axle is worn at one edge' },
      },
      {
        key: 'both-edges',
        ask: 'Are tires worn on both edges?',
        how: 'The middle stands higher than the two sides.',
        yes: { for: 'overload', says: 'tires are worn at both edges' },
      },
      {
        key: 'same-side',
        ask: 'Are two tires on the same side newer than the rest?',
        how: 'Compare brands and dates along one side.',
        yes: { for: 'blowout', says: 'two of one side were replaced together' },
      },
      {
        key: 'spare-used',
        ask: 'Has the spare been on the road?',
        how: 'Worn tread or marks where the lug nuts sit; a date like the other tires.',
        yes: { for: 'puncture', says: 'the spare has been used' },
      },
      {
        key: 'old',
        ask: 'Are the other tires six years old or more?',
        how: 'Go by their dates, whatever the tread.',
        yes: { for: 'age', says: 'the others are six years old or more' },
      },
      {
        key: 'heavy',
        ask: 'Is cargo capacity low?',
        how: 'CCC under about 800 lb (360 kg), or signs of heavy loads: sagging springs, a full rack.',
        yes: { for: 'overload', says: 'little may be carried' },
      },
    ],
    always:
      'A wheel and brake technician decides. Until then, tell the buyer every tire’s cold pressure, lug torque and age.',
    toBuyer: 'Have the wheels and brakes looked at before you tow it far.',
  },
  {
    key: 'wall-waves',
    label: 'Bubbles or waves in a wall',
    explanations: [
      { key: 'sun', label: 'sun on the skin only, cosmetic' },
      { key: 'water', label: 'water behind the skin', proposes: 'technician' },
    ],
    asks: [
      {
        key: 'small',
        ask: 'Are they small blisters, none bigger than a coin?',
        how: 'Look along the wall with the sun low, or a light held flat to it.',
        yes: { for: 'sun', says: 'the blisters are small' },
        no: { for: 'water', says: 'the waves are broad' },
      },
      {
        key: 'sunny-side',
        ask: 'Are they only where the sun hits, or under dark decals?',
        how: 'Compare with the shaded side and with bare white skin.',
        yes: { for: 'sun', says: 'they are only where the sun falls' },
        no: { for: 'water', says: 'they are also where no sun falls' },
      },
      {
        key: 'seam-above',
        ask: 'Is there a window, light, rail or seam right above?',
        how: 'Water runs down: look up from the spot to the next opening.',
        yes: { for: 'water', says: 'there is an opening right above' },
        no: { for: 'sun', says: 'there is no opening above' },
      },
      {
        key: 'seal-cracked',
        ask: 'Is the seal above cracked, lifted or redone?',
        how: 'Along the rail and around the opening; a second layer over an old one is a repair.',
        yes: { for: 'water', says: 'the seal above is cracked or was renewed' },
      },
      {
        key: 'gives',
        ask: 'Does it give when you press with a flat hand?',
        how: 'Compare with a firm spot next to it; knock, and listen for a dull sound.',
        yes: { for: 'water', says: 'the wall gives' },
        no: { for: 'sun', says: 'the wall is firm' },
      },
      {
        key: 'moist',
        ask: 'Does the moisture meter read higher than at a dry spot?',
        how: 'Both sides of the wall, and a dry spot to compare.',
        yes: { for: 'water', says: 'the meter reads higher than at a dry place' },
        no: { for: 'sun', says: 'the meter reads as at a dry place' },
      },
      {
        key: 'inside',
        ask: 'Is there a stain, swelling or smell inside, at the same spot?',
        how: 'Open the cabinet, lift the cushion, and smell before it airs out.',
        yes: { for: 'water', says: 'it shows inside as well' },
        no: { for: 'sun', says: 'nothing shows inside' },
      },
    ],
    always:
      'A technician decides whether it’s structural. Tell the buyer either way, before anything else.',
    toBuyer: 'A technician decides whether it goes deeper than the skin.',
  },
  {
    key: 'water-signs',
    label: 'Signs of water',
    explanations: [
      { key: 'live', label: 'water that still gets in', proposes: 'technician' },
      { key: 'old', label: 'water that once got in and has dried' },
      { key: 'spill', label: 'a spill or condensation from inside' },
    ],
    asks: [
      {
        key: 'wet',
        ask: 'Is it wet or cool to the touch right now?',
        how: 'Back of your hand first, then the meter.',
        yes: { for: 'live', says: 'it is wet now' },
        no: { for: 'old', says: 'it is dry now' },
      },
      {
        key: 'after-rain',
        ask: 'Has it rained in the last two days?',
        how: 'Dry right after rain means more than dry after a dry month.',
      },
      {
        key: 'opening',
        ask: 'Is the seal of the nearest opening cracked or missing?',
        how: 'Roof seams, vents, windows, lamps and corners above; from outside.',
        yes: { for: 'live', says: 'the nearest seal is cracked or missing' },
      },
      {
        key: 'resealed',
        ask: 'Was it resealed?',
        how: 'A fresh layer, a different color, tape over a seam.',
        yes: { for: 'old', says: 'the place above was sealed anew' },
      },
      {
        key: 'edge',
        ask: 'Does the stain have a hard brown edge?',
        how: 'Rings inside rings mean it got wet several times.',
        yes: { for: 'old', says: 'the stain has a hard edge' },
      },
      {
        key: 'gives',
        ask: 'Is the spot soft, or does a screw spin loose?',
        how: 'Press with your thumb; stay off a roof that isn’t a walk-on roof.',
        yes: { for: 'live', says: 'the place is soft' },
      },
      {
        key: 'plumbing',
        ask: 'Is there a faucet, a trap, a heater or a cold window nearby?',
        how: 'Run the water and look again; wipe the window’s lower edge.',
        yes: { for: 'spill', says: 'there is plumbing or a cold pane close by' },
      },
      {
        key: 'low',
        ask: 'Is the stain lowest at that pipe or window, with none above it?',
        how: 'Water leaves its mark below where it comes from.',
        yes: { for: 'spill', says: 'the mark begins at the pipe or pane' },
      },
    ],
    always:
      'A technician finds where it came from. Tell the buyer about a spot that was wet, even if it’s dry now.',
    toBuyer: 'A technician finds out where the water came from.',
  },
  {
    key: 'last-owner',
    label: 'How it was kept',
    explanations: [
      { key: 'kept', label: 'a careful owner' },
      { key: 'neglected', label: 'little care' },
    ],
    asks: [
      {
        key: 'seals',
        ask: 'Are the roof seals sound and maintained?',
        how: 'Dates in the paperwork, and sealant without cracks.',
        yes: { for: 'kept', says: 'the seals are whole' },
        no: { for: 'neglected', says: 'the seals were let go' },
      },
      {
        key: 'compartments',
        ask: 'Are the outside compartments clean and dry?',
        how: 'Check the floor, corners and door seals of each.',
        yes: { for: 'kept', says: 'the compartments are clean and dry' },
        no: { for: 'neglected', says: 'the compartments are dirty or damp' },
      },
      {
        key: 'gloss',
        ask: 'Does the finish still have its gloss?',
        how: 'Wipe with a dark cloth: chalk comes away.',
        yes: { for: 'kept', says: 'the skin has its gloss' },
        no: { for: 'neglected', says: 'the skin is chalky' },
      },
      {
        key: 'scuffs',
        ask: 'Are the entry, the steps and the bath free of scuffs?',
        how: 'Door frame, threshold, tub floor, toilet seat.',
        yes: { for: 'kept', says: 'entry and bath are free of scuffs' },
        no: { for: 'neglected', says: 'entry or bath is scuffed' },
      },
      {
        key: 'papers',
        ask: 'Are the manuals, keys and service records there?',
        how: 'Usually in the drawer by the door.',
        yes: { for: 'kept', says: 'papers and keys are there' },
        no: { for: 'neglected', says: 'papers or keys are missing' },
      },
      {
        key: 'repairs',
        ask: 'Are there makeshift repairs?',
        how: 'Tape, zip ties, odd screws, silicone where it doesn’t belong.',
        yes: { for: 'neglected', says: 'there are makeshift repairs' },
        no: { for: 'kept', says: 'there are no makeshift repairs' },
      },
      {
        key: 'covered',
        ask: 'Was it kept covered or under a roof?',
        how: 'Ask; compare the sunny side with the shaded side.',
        yes: { for: 'kept', says: 'it was kept covered' },
      },
    ],
    always: 'These are signs, not a history: say what you saw, and let the buyer judge.',
    toBuyer: 'These are signs of how it was kept, not a history.',
  },
];

/** A guided look by its key. */
export const lookEntry = (key: LookKey): GuidedLook =>
  looks.find((l) => l.key === key) as GuidedLook;
