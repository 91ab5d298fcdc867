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
        label: 'Framed, opens wide',
        for: 'They slide wide open and let the most air through.',
        against: 'The seal is exposed, and they look plainer.',
      },
      {
        key: 'frameless',
        label: 'Frameless',
        for: 'The seal is covered, they can stay open in rain, and they look clean.',
        against: 'They only open a few inches, so less air comes in.',
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
        for: 'Cold in a couple of hours, roomier, and it doesn’t care about level.',
        against: 'Off hookups it runs off the battery.',
      },
      {
        key: 'absorption',
        label: 'Gas absorption',
        for: 'Runs a long time off-grid on little propane.',
        against: 'Slow to cool, needs to sit level, and struggles in real heat.',
      },
    ],
  },
  {
    key: 'steps-kind',
    about: 'Steps: solid to the ground or folding',
    sides: [
      {
        key: 'solid',
        label: 'Solid, on the ground',
        for: 'Firm underfoot, and adjustable to uneven ground.',
        against: 'They take up the doorway in transit and need a minute to set.',
      },
      {
        key: 'folding',
        label: 'Folding under the frame',
        for: 'Light, quick, and out of the way of the door.',
        against: 'They hang from the frame, so they flex, and they catch dirt.',
      },
    ],
  },
  {
    key: 'dinette-kind',
    about: 'Dinette: U-shaped or booth',
    sides: [
      {
        key: 'u',
        label: 'U-shaped dinette',
        for: 'More people fit around it, and it makes a bigger bed.',
        against: 'Somebody always has to move to let you out.',
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
    about: 'Under-bed storage: lift-top, drawer or door',
    sides: [
      {
        key: 'lift-top',
        label: 'Lift-top',
        for: 'You reach the whole space, even for big things.',
        against: 'You lift the bedding every time.',
      },
      {
        key: 'drawer',
        label: 'Drawers',
        for: 'You use them without touching the bed.',
        against: 'You lose some of the space behind them.',
      },
      {
        key: 'door',
        label: 'A door, inside or out',
        for: 'Long things slide in from outside.',
        against: 'You kneel, and what’s at the back stays there.',
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
        for: 'Bakes without a hookup.',
        against: 'You light it and watch it; it heats unevenly and warms the room.',
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
        for: 'Leaves counter to work on; most meals don’t need a third.',
        against: 'You cook a big meal in turns.',
      },
      {
        key: 'three',
        label: 'Three burners',
        for: 'A whole meal at once, often with one strong burner.',
        against: 'Takes counter, and three big pans don’t fit anyway.',
      },
    ],
  },
  {
    key: 'bed-direction',
    about: 'Bed: crosswise or lengthwise',
    sides: [
      {
        key: 'across',
        label: 'Crosswise',
        for: 'Leaves length for the living room.',
        against: 'Whoever sleeps on the inside climbs over.',
      },
      {
        key: 'lengthwise',
        label: 'Lengthwise',
        for: 'You can walk around it on both sides.',
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
        for: 'Quiet, each wheel on its own, and nothing to grease.',
        against: 'Shares load between axles only when level; you replace the whole axle.',
      },
      {
        key: 'leaf',
        label: 'Leaf springs with equalizer',
        for: 'Shares the load between the axles, and any shop can fix it.',
        against: 'Rides harder, and the bushings wear.',
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
        for: 'Lighter, easier to turn by hand, two fewer tires to buy.',
        against: 'If a tire fails, it’s the only one on that side.',
      },
      {
        key: 'tandem',
        label: 'Tandem axle',
        for: 'Tracks straighter and calmer, and forgives a blown tire.',
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
        for: 'You replace one dented panel; cheaper to buy and to fix.',
        against: 'Heavier, with many seams, and less stiff.',
      },
      {
        key: 'laminated',
        label: 'Laminated',
        for: 'Stiff, smooth, light, and insulated all the way through.',
        against: 'Water inside loosens the bond, and that’s costly to fix.',
      },
    ],
  },
  {
    key: 'substrate',
    about: 'Skin backing: composite or luan plywood',
    sides: [
      {
        key: 'composite',
        label: 'Composite',
        for: 'Doesn’t rot or swell when water gets in.',
        against: 'Costs more, and screws don’t hold as well.',
      },
      {
        key: 'plywood',
        label: 'Luan plywood',
        for: 'Bonds well, holds screws, and has been used for decades.',
        against: 'Soaks up water, and then lets go of the skin.',
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
        against: 'Slower to make, and costs more.',
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
        for: 'Affordable, stiff, and any shop can weld it.',
        against: 'Heavier, and it rusts where the paint’s gone.',
      },
      {
        key: 'aluminum',
        label: 'Aluminum',
        for: 'Light, and it doesn’t rust.',
        against: 'Costs more, and few shops weld it.',
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
        against: 'Flaps in wind, and it’s one more fabric to replace.',
      },
      {
        key: 'unwanted',
        label: 'Better without',
        for: 'Nothing to flap, and you can see and sweep the slide roof.',
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
        against: 'You kneel in the wet four times.',
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
        for: 'Vents by itself, and swaps in minutes.',
        against: 'Cold, and easy to steal.',
      },
      {
        key: 'inside',
        label: 'Inside',
        for: 'Warm, which lithium needs, and locked away.',
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
        for: 'Costs less, and charges below freezing.',
        against: 'Heavy, and only half of it should be used.',
      },
      {
        key: 'lithium',
        label: 'Lithium',
        for: 'Light, nearly all of it usable, thousands of charges.',
        against: 'Costs more, needs its own charger setting, and won’t charge below freezing.',
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
        for: 'You can exchange it anywhere, and it’s easy to carry.',
        against: 'Empty sooner.',
      },
      {
        key: 'thirty',
        label: '30 lb',
        for: 'Half again as much between fills.',
        against: 'Has to be refilled, and it’s heavy to lift.',
      },
    ],
  },
  {
    key: 'heat-path',
    about: 'Heat: floor vents, cabinet vents, or direct discharge',
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
        label: 'Direct discharge',
        for: 'Little to fail, and no heat lost in ducts.',
        against: 'Hot next to it and cool at the ends.',
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
        against: 'Weaker at each vent.',
      },
      {
        key: 'direct',
        label: 'Direct',
        for: 'All of it at once, right where you sit.',
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
        for: 'Easy to reach and easy to fix.',
        against: 'Everybody touches the handle.',
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
        for: 'Short pipes, and the galley gets its own tank.',
        against: 'You move the hose, and on a site both need a connection.',
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
        for: 'The maker tested to it; every limit holds on its own.',
        against: 'Leaves nothing for hills, heat, wind or a wrong guess.',
      },
      {
        key: 'margin',
        label: 'With a margin',
        for: 'Calmer to drive, easier on the vehicle, room for what you add later.',
        against: 'Rules out vehicles that would do.',
      },
    ],
  },
  {
    key: 'list-price',
    about: 'MSRP: said, hinted at or kept back',
    sides: [
      {
        key: 'told',
        label: 'Said',
        for: 'Buyers can compare, and they trust it.',
        against: 'A recording keeps it past its day.',
      },
      {
        key: 'hinted',
        label: 'Hinted at',
        for: 'Gives the price range without a figure.',
        against: 'Sounds evasive.',
      },
      {
        key: 'withheld',
        label: 'Kept back',
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
        against: 'Unfamiliar to buyers from across the border.',
      },
      {
        key: 'metric',
        label: 'Metric',
        for: 'As buyers across the border think.',
        against: 'Never what the label says; round numbers turn odd.',
      },
    ],
  },
] as const satisfies readonly SchoolEntry[];

export type SchoolKey = (typeof schools)[number]['key'];
