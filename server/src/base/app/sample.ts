/** What the examples of the API are about, from one room to the next: one unit, shown once, at one yard. */
export const sample = {
  unit: '7f3a0000-0000-4000-8000-000000000192',
  walk: 'c0ffee00-0000-4000-8000-000000000007',
  person: 'a11ce000-0000-4000-8000-000000000001',
  yard: 'ba5e0000-0000-4000-8000-000000000001',
  at: '2026-04-13T11:30:00.000Z',
} as const;
