/** One side of a disagreement: what speaks for it, and what against. */
export interface SchoolSide {
  readonly key: string;
  readonly label: string;
  readonly for: string;
  readonly against: string;
}

export interface SchoolEntry {
  readonly key: string;
  /** What the disagreement is about. */
  readonly about: string;
  readonly sides: readonly SchoolSide[];
}

/**
 * Where practitioners disagree: both views, with what speaks for and against each.
 * All of it is common practice; a yard may state a house view, and the card then leads with it.
 */
export const schools = [
  {
    key: 'window-frame',
    about: 'Windows: framed or frameless',
    sides: [
      {
        key: 'framed',
        label: 'Framed, opening wide',
        for: 'They slide wide open and let the most air through.',
        against: 'The seal stands exposed, and looks plainer.',
      },
      {
        key: 'frameless',
        label: 'Frameless',
        for: 'The seal is covered, they can stay open in rain, and they look clean.',
        against: 'They open a hand’s width, so less air comes in.',
      },
    ],
  },
  {
    key: 'fridge-kind',
    about: 'Fridge: 12 V compressor or gas absorption',
    sides: [
      {
        key: 'compressor',
        label: '12 V compressor',
        for: 'Cold in a couple of hours, larger inside, and indifferent to level.',
        against: 'Away from a hookup it lives off the battery.',
      },
      {
        key: 'absorption',
        label: 'Gas absorption',
        for: 'Runs for a long time off the grid on little propane.',
        against: 'Slow to cool, wants a level stand, and suffers in great heat.',
      },
    ],
  },
  {
    key: 'steps-kind',
    about: 'Steps: solid to the ground or folding',
    sides: [
      {
        key: 'solid',
        label: 'Solid, standing on the ground',
        for: 'Firm underfoot, and adjustable to uneven ground.',
        against: 'They take up the doorway in transit and need a minute to set.',
      },
      {
        key: 'folding',
        label: 'Folding under the frame',
        for: 'Light, quick, and out of the way of the door.',
        against: 'They hang from the frame, so they give, and catch dirt.',
      },
    ],
  },
  {
    key: 'dinette-kind',
    about: 'Dinette: U or booth',
    sides: [
      {
        key: 'u',
        label: 'U dinette',
        for: 'More people sit round it, and it makes a larger bed.',
        against: 'Somebody always has to move to let another out.',
      },
      {
        key: 'booth',
        label: 'Booth',
        for: 'Two benches, easy to slide in and out of, simple storage below.',
        against: 'Seats four at most, and makes a narrower bed.',
      },
    ],
  },
  {
    key: 'under-bed',
    about: 'Storage under the bed: lift-top, drawer or door',
    sides: [
      {
        key: 'lift-top',
        label: 'Lift-top',
        for: 'The whole space can be reached, for large things.',
        against: 'The bedding has to be lifted each time.',
      },
      {
        key: 'drawer',
        label: 'Drawers',
        for: 'Used without touching the bed.',
        against: 'Part of the space behind them is lost.',
      },
      {
        key: 'door',
        label: 'A door, inside or out',
        for: 'Long things slide in from outside.',
        against: 'One kneels, and what is at the back stays there.',
      },
    ],
  },
  {
    key: 'oven-kind',
    about: 'Baking: convection microwave or gas oven',
    sides: [
      {
        key: 'convection',
        label: 'Convection microwave',
        for: 'One appliance for both, even heat, and a drawer where the oven was.',
        against: 'Needs a hookup or a large inverter.',
      },
      {
        key: 'gas',
        label: 'Gas oven',
        for: 'Bakes away from any hookup.',
        against: 'Has to be lit and watched, heats unevenly, and warms the room.',
      },
    ],
  },
  {
    key: 'burner-count',
    about: 'Cooktop: two burners or three',
    sides: [
      {
        key: 'two',
        label: 'Two burners',
        for: 'Leaves counter to work on; most meals need no third.',
        against: 'A large meal is cooked in turns.',
      },
      {
        key: 'three',
        label: 'Three burners',
        for: 'A whole meal at once, often with one strong burner.',
        against: 'Takes counter, and three large pans do not fit anyway.',
      },
    ],
  },
  {
    key: 'bed-direction',
    about: 'Bed: across or lengthwise',
    sides: [
      {
        key: 'across',
        label: 'Across the trailer',
        for: 'Leaves length for the living room.',
        against: 'Whoever sleeps inside climbs over the other.',
      },
      {
        key: 'lengthwise',
        label: 'Lengthwise',
        for: 'Can be walked round from both sides.',
        against: 'Takes several feet of length.',
      },
    ],
  },
  {
    key: 'suspension',
    about: 'Suspension: torsion axles or leaf springs',
    sides: [
      {
        key: 'torsion',
        label: 'Torsion',
        for: 'Quiet, each wheel by itself, and nothing to grease.',
        against: 'Shares load between axles only when level; is replaced as a whole.',
      },
      {
        key: 'leaf',
        label: 'Leaf springs with equalizer',
        for: 'Shares the load between the axles, and can be repaired anywhere.',
        against: 'Harder on the road, with bushings that wear.',
      },
    ],
  },
  {
    key: 'axle-count',
    about: 'One axle or two',
    sides: [
      {
        key: 'single',
        label: 'Single axle',
        for: 'Lighter, easier to turn by hand, two tires fewer to buy.',
        against: 'A tire that fails is the only one on that side.',
      },
      {
        key: 'tandem',
        label: 'Tandem axle',
        for: 'Runs straighter and calmer, and forgives a failed tire.',
        against: 'Heavier, and it scrubs its tires in tight turns.',
      },
    ],
  },
  {
    key: 'wall-kind',
    about: 'Walls: framed with metal skin or laminated',
    sides: [
      {
        key: 'framed',
        label: 'Framed with metal skin',
        for: 'A dented panel is replaced by itself; cheaper to buy and to mend.',
        against: 'Heavier, with many seams, and less stiff.',
      },
      {
        key: 'laminated',
        label: 'Laminated',
        for: 'Stiff, smooth, light, and with insulation right through.',
        against: 'Water inside loosens the bond, and that is costly to mend.',
      },
    ],
  },
  {
    key: 'substrate',
    about: 'Behind the skin: composite or plywood',
    sides: [
      {
        key: 'composite',
        label: 'Composite',
        for: 'Does not rot or swell when water gets in.',
        against: 'Dearer, and screws hold less well in it.',
      },
      {
        key: 'plywood',
        label: 'Thin plywood (luan)',
        for: 'Bonds well, holds screws, has been used for decades.',
        against: 'Takes up water, and then lets the skin go.',
      },
    ],
  },
  {
    key: 'bonding',
    about: 'Lamination: pinch-rolled or vacuum-bonded',
    sides: [
      {
        key: 'pinch-rolled',
        label: 'Pinch-rolled',
        for: 'Quick and even, with the glue rolled through the whole panel.',
        against: 'Pressed only while it passes the rollers.',
      },
      {
        key: 'vacuum',
        label: 'Vacuum-bonded',
        for: 'Pressed over its whole face until it has set.',
        against: 'Slower to make, and dearer.',
      },
    ],
  },
  {
    key: 'chassis',
    about: 'Chassis: steel or aluminum',
    sides: [
      {
        key: 'steel',
        label: 'Steel',
        for: 'Cheap, stiff, welded anywhere.',
        against: 'Heavier, and rusts where the paint is through.',
      },
      {
        key: 'aluminum',
        label: 'Aluminum',
        for: 'Light, and does not rust.',
        against: 'Dearer, and welded by few shops.',
      },
    ],
  },
  {
    key: 'slide-topper',
    about: 'Slide toppers: wanted or not',
    sides: [
      {
        key: 'wanted',
        label: 'Wanted',
        for: 'Leaves and standing water stay off the slide roof.',
        against: 'Flaps in wind, and is one more cloth to replace.',
      },
      {
        key: 'unwanted',
        label: 'Better without',
        for: 'Nothing to flap, and the roof of the slide can be seen and swept.',
        against: 'Somebody has to sweep it before closing.',
      },
    ],
  },
  {
    key: 'jacks',
    about: 'Stabilizers: by hand or powered',
    sides: [
      {
        key: 'manual',
        label: 'Cranked by hand',
        for: 'Nothing to fail, light, and quick with a socket.',
        against: 'Four times kneeling down in the wet.',
      },
      {
        key: 'power',
        label: 'Powered',
        for: 'A switch does it.',
        against: 'Needs the battery, weighs more, and tempts people to lift with it.',
      },
    ],
  },
  {
    key: 'battery-place',
    about: 'Battery: outside or inside',
    sides: [
      {
        key: 'outside',
        label: 'Outside, at the hitch',
        for: 'Vents by itself, and is changed in minutes.',
        against: 'Cold, and easy to steal.',
      },
      {
        key: 'inside',
        label: 'Inside',
        for: 'Warm, which lithium wants, and locked away.',
        against: 'Lead-acid there needs a vented box.',
      },
    ],
  },
  {
    key: 'battery-kind',
    about: 'Battery: lead-acid or lithium',
    sides: [
      {
        key: 'lead-acid',
        label: 'Lead-acid',
        for: 'Cheap, and charges in frost.',
        against: 'Heavy, and only half of it should be used.',
      },
      {
        key: 'lithium',
        label: 'Lithium',
        for: 'Light, nearly all of it usable, thousands of charges.',
        against: 'Dear, wants its own charger setting, and no charging below freezing.',
      },
    ],
  },
  {
    key: 'cylinder-size',
    about: 'Propane: 20 lb or 30 lb cylinders',
    sides: [
      {
        key: 'twenty',
        label: '20 lb',
        for: 'Exchanged at any shop, and easily carried.',
        against: 'Empty sooner.',
      },
      {
        key: 'thirty',
        label: '30 lb',
        for: 'Half as much again between fills.',
        against: 'Has to be refilled, and is heavy to lift.',
      },
    ],
  },
  {
    key: 'heat-path',
    about: 'Heat: through the floor, the cabinets, or straight in',
    sides: [
      {
        key: 'floor',
        label: 'Through the floor',
        for: 'Warms the whole room evenly, and the underside with it.',
        against: 'Crumbs fall in, and the duct loses heat below.',
      },
      {
        key: 'cabinets',
        label: 'Through the cabinets',
        for: 'No holes in the floor, and the plumbing there stays warm.',
        against: 'Uneven, and a blocked vent goes unseen.',
      },
      {
        key: 'direct',
        label: 'Straight from the furnace',
        for: 'Little to fail, and nothing lost in ducts.',
        against: 'Hot beside it and cool at the ends.',
      },
    ],
  },
  {
    key: 'ac-ducts',
    about: 'Cooling: ducted or direct',
    sides: [
      {
        key: 'ducted',
        label: 'Ducted',
        for: 'Quieter, and cool air reaches every room.',
        against: 'Weaker at each outlet.',
      },
      {
        key: 'direct',
        label: 'Direct',
        for: 'All of it at once where one sits.',
        against: 'Loud, and far rooms stay warm.',
      },
    ],
  },
  {
    key: 'flush',
    about: 'Toilet: foot or hand flush',
    sides: [
      {
        key: 'foot',
        label: 'Foot flush',
        for: 'Hands stay clean; the pedal fills and flushes.',
        against: 'Awkward for weak knees.',
      },
      {
        key: 'hand',
        label: 'Hand flush',
        for: 'Easy to reach and easy to mend.',
        against: 'A handle that everybody touches.',
      },
    ],
  },
  {
    key: 'dump-outlets',
    about: 'One dump outlet or two',
    sides: [
      {
        key: 'one',
        label: 'One outlet',
        for: 'Everything in one place; one hose, once.',
        against: 'Long pipes under the floor.',
      },
      {
        key: 'two',
        label: 'Two outlets',
        for: 'Short pipes, and a galley tank of its own.',
        against: 'The hose moves, and at a site both want a connection.',
      },
    ],
  },
  {
    key: 'tow-margin',
    about: 'Tow ratings: in full or with a margin',
    sides: [
      {
        key: 'full',
        label: 'In full',
        for: 'The maker tested to it; every limit is held by itself.',
        against: 'Leaves nothing for hills, heat, wind and a wrong guess.',
      },
      {
        key: 'margin',
        label: 'With a margin',
        for: 'Calmer to drive, kinder to the vehicle, room for what is added later.',
        against: 'Rules out vehicles that would do.',
      },
    ],
  },
  {
    key: 'list-price',
    about: 'The list price: told, hinted or withheld',
    sides: [
      {
        key: 'told',
        label: 'Told',
        for: 'Buyers can compare, and trust it.',
        against: 'It outlives the day in a recording.',
      },
      {
        key: 'hinted',
        label: 'Hinted at',
        for: 'Says the class without a figure.',
        against: 'Sounds evasive.',
      },
      {
        key: 'withheld',
        label: 'Withheld',
        for: 'Only today’s asking price counts.',
        against: 'Buyers find it anyway.',
      },
    ],
  },
  {
    key: 'unit-system',
    about: 'Units: US or metric',
    sides: [
      {
        key: 'us',
        label: 'US units',
        for: 'As on every label.',
        against: 'Strange to buyers from across the border.',
      },
      {
        key: 'metric',
        label: 'Metric',
        for: 'As buyers across the border think.',
        against: 'Never what the label says; round figures become odd ones.',
      },
    ],
  },
] as const satisfies readonly SchoolEntry[];

export type SchoolKey = (typeof schools)[number]['key'];
