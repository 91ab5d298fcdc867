/** How bad a finding is, least first; `worst` counts for the order in which faults are told. */
export const gravities = [
  { key: 'cosmetic', label: 'Cosmetic', said: 'a matter of looks' },
  { key: 'worn', label: 'Works but worn', said: 'worn, and still working' },
  { key: 'broken', label: 'Does not work', said: 'not working' },
  {
    key: 'technician',
    label: 'Technician before it is shown',
    said: 'to be looked at by a technician before the unit is shown working',
  },
  { key: 'do-not-show', label: 'Do not show', said: 'a reason not to show the unit yet' },
] as const;

export type Gravity = (typeof gravities)[number]['key'];
