/** What people type in another spelling, of the beginning of a word too: it is looked for while they type. */
const ours: Readonly<Record<string, string>> = {
  tyre: 'tire', // voice: kept
  colour: 'color', // voice: kept
  alumini: 'alumin',
  fibre: 'fiber',
  mould: 'mold', // voice: kept
  centre: 'center', // voice: kept
  theatre: 'theater', // voice: kept
  metre: 'meter', // voice: kept
  litre: 'liter', // voice: kept
  grey: 'gray', // voice: kept
  vapour: 'vapor',
  armour: 'armor',
  labell: 'label',
  levell: 'level',
  stabilis: 'stabiliz', // voice: kept
  winteris: 'winteriz', // voice: kept
  equalis: 'equaliz',
  galvanis: 'galvaniz',
};
const theirs = new RegExp(
  String.raw`\b(?:${Object.keys(ours).join('|')})|(?<=\w)(?:metre|litre)`,
  'g',
); // voice: kept

/**
 * What somebody typed to look for something, in the catalog's spelling.
 * @param text in small letters
 * @example inOneSpelling('stabiliser jacks') // 'stabilizer jacks'; voice: kept
 */
export const inOneSpelling = (text: string): string =>
  text.replaceAll(theirs, (found) => ours[found] ?? found);
