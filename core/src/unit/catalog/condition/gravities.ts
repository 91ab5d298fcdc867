/** How bad a finding is, least first; `worst` counts for the order in which faults are told. */
export const gravities = [
  { key: 'cosmetic', label: 'Cosmetic', said: 'a matter of looks' },
  { key: 'worn', label: 'Worn but works', said: 'worn, but it still works' },
  { key: 'broken', label: 'Doesn’t work', said: 'not working' },
  {
    key: 'technician',
    label: 'Technician first',
    said: 'to be looked at by a technician before the unit is shown working',
  },
  { key: 'do-not-show', label: 'Don’t show it', said: 'a reason not to show the unit yet' },
] as const;

export type Gravity = (typeof gravities)[number]['key'];
