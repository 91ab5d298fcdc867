/** Who a buyer may be. What a thing is worth to them is told by the entries that name them. */
export const audiences = [
  { key: 'first-timer', label: 'First-timer', cares: 'What each thing is, and what can go wrong.' },
  { key: 'couple', label: 'Couple', cares: 'The bed, the table, and room to pass each other.' },
  {
    key: 'family',
    label: 'Family',
    cares: 'Bunks and their ratings, seats, and storage.',
  },
  {
    key: 'pets',
    label: 'With pets',
    cares: 'Floors, doors, a leash ring, and air while they wait.',
  },
  {
    key: 'limited-mobility',
    label: 'Limited mobility',
    cares: 'Steps, handles, thresholds and widths.',
  },
  {
    key: 'winter',
    label: 'Winter camper',
    cares: 'What’s heated, what’s insulated, and how long it holds.',
  },
  {
    key: 'off-grid',
    label: 'Off-grid camper',
    cares: 'Water, battery, solar and propane, in days.',
  },
  {
    key: 'entertainer',
    label: 'Entertainer',
    cares: 'Sound, screens, the outside kitchen and the awning.',
  },
  {
    key: 'seasonal',
    label: 'Seasonal site',
    cares: 'Comfort while it’s parked: storage, full hookups, upkeep.',
  },
  { key: 'small-tow', label: 'Small tow vehicle', cares: 'Weight, hitch load, height and length.' },
  {
    key: 'gear',
    label: 'Toy hauler',
    cares: 'Clear lengths, tie-downs, ratings and cargo capacity.',
  },
  {
    key: 'downsizer',
    label: 'Downsizer',
    cares: 'What’s as good as before, and what’s honestly less.',
  },
] as const;

export type Audience = (typeof audiences)[number]['key'];
