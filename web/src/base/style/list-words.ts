/** What lists of choices say where the library has its own words. */
export const listWords = {
  emptyFilterMessage: 'No match. Try another word.',
  emptySearchMessage: 'No match. Try another word.',
  emptySelectionMessage: 'Nothing chosen',
  emptyMessage: 'Nothing to choose from yet.',
};
