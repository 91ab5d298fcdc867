/** Figures without those that are not known. */
export const known = <T extends object>(entries: Readonly<Record<string, unknown>>): T =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined)) as T;
