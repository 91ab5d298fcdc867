/**
 * What a page is called in tabs, in histories and by screen readers: the place first, then whose it is, then the program.
 * @example pageTitle('Wheels', 'Fenlark 24 RKD') // 'Wheels · Fenlark 24 RKD · Fair Gable'
 */
export const pageTitle = (...parts: readonly (string | undefined)[]): string =>
  [...parts.filter((part) => part), 'Fair Gable'].join(' · ');

/** Calls the page so, until another does. */
export const callPage = (...parts: readonly (string | undefined)[]): void => {
  document.title = pageTitle(...parts);
};
