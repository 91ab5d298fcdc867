/** What lists of choices say where the library has its own words. */
export const listWords = {
  emptyFilterMessage: 'Nothing here is called so. Try another word.',
  emptySearchMessage: 'Nothing here is called so. Try another word.',
  emptySelectionMessage: 'Nothing chosen',
  emptyMessage: 'There is nothing to choose yet.',
};
