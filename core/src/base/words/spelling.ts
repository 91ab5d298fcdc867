/** One spelling of what people type in another; of the beginning of a word too, for it is looked for while they type. */
const spellings: readonly (readonly [RegExp, string])[] = [
  [/\btyre/g, 'tire'], // voice: kept
  [/colour/g, 'color'], // voice: kept
  [/alumini/g, 'alumin'],
  [/fibre/g, 'fiber'],
  [/mould/g, 'mold'], // voice: kept
  [/centre/g, 'center'], // voice: kept
  [/theatre/g, 'theater'], // voice: kept
  [/metre/g, 'meter'], // voice: kept
  [/litre/g, 'liter'], // voice: kept
  [/\bgrey/g, 'gray'], // voice: kept
  [/vapour/g, 'vapor'],
  [/armour/g, 'armor'],
  [/(label|level)l(ed|ing)/g, '$1$2'],
  [/(stabil|winter|equal|galvan)is(?=e|i)/g, '$1iz'],
];

/**
 * What somebody typed to look for something, in the catalog's spelling.
 * @param text in small letters
 * @example inOneSpelling('stabiliser jacks') // 'stabilizer jacks'; voice: kept
 */
export const inOneSpelling = (text: string): string =>
  spellings.reduce((spelled, [other, ours]) => spelled.replaceAll(other, ours), text);
