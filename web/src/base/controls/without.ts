/** An object without one of its keys; the given one stays as it is. */
export const without = <T extends object>(of: T, key: PropertyKey): T =>
  Object.fromEntries(Object.entries(of).filter(([name]) => name !== key)) as T;
