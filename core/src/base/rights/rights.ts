/** What people are on a yard. */
export const roles = ['manager', 'specialist', 'technician', 'guest', 'viewer'] as const;
export type Role = (typeof roles)[number];

/**
 * What a role may do; the server holds every route to it and the screen offers no more.
 * A guest presenter looks, reads and tells, but changes nothing and operates nothing.
 */
export const rights = {
  look: roles,
  present: ['manager', 'specialist', 'technician', 'guest'],
  record: ['manager', 'specialist', 'technician'],
  /** Goes on with a walk that a colleague gives, and hears what was spoken on it; a guest has their own alone. */
  'join-walks': ['manager', 'specialist', 'technician'],
  /** Tries what is to be tried before a unit is shown working, and signs for it. */
  inspect: ['technician'],
  operate: ['manager', 'specialist', 'technician'],
  'see-prices': ['manager', 'specialist', 'technician', 'viewer'],
  /** Names and contacts of buyers: whoever follows up. */
  'see-buyers': ['manager', 'specialist'],
  manage: ['manager'],
} as const satisfies Readonly<Record<string, readonly Role[]>>;
export type Right = keyof typeof rights;

/** Whether a role has a right. */
export const may = (role: Role, right: Right): boolean =>
  (rights[right] as readonly Role[]).includes(role);

/** What each role is for, for whoever chooses one. */
export const roleWords: Readonly<Record<Role, string>> = {
  manager: 'does everything a specialist does, and manages the yard’s people and settings',
  specialist: 'records units and presents them',
  technician: 'records and inspects units, and may present them',
  guest: 'presents another yard’s units: changes nothing, operates nothing, sees no prices',
  viewer: 'looks at everything and changes nothing',
};
