/**
 * A count and its noun.
 * @param noun in the singular; its plural has an s
 * @example counted(1, 'unit') // '1 unit'
 * @example counted(1200, 'unit') // '1,200 units'
 */
export const counted = (n: number, noun: string): string =>
  `${n.toLocaleString('en-US')} ${noun}${n === 1 ? '' : 's'}`;

/**
 * A share of one as people read it.
 * @param places behind the point
 * @example percent(0.125) // '12.5%'
 */
export const percent = (share: number, places = 1): string => `${(share * 100).toFixed(places)}%`;
