/**
 * Words as part of an id or of a file's name: small letters, digits and hyphens.
 * @example slugOf('Only two steps!') // 'only-two-steps'
 */
export const slugOf = (text: string, longest = 60): string =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, longest)
    .replaceAll(/^-+|-+$/g, '');
