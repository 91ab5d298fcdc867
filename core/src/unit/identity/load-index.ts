/**
 * Load index and speed symbol on a sidewall, such as 107M.
 * Source: ISO 4000-1, load-index and speed-symbol tables; written from memory.
 */
const firstIndex = 60;
const kilograms = [
  250, 257, 265, 272, 280, 290, 300, 307, 315, 325,
  335, 345, 355, 365, 375, 387, 400, 412, 425, 437,
  450, 462, 475, 487, 500, 515, 530, 545, 560, 580,
  600, 615, 630, 650, 670, 690, 710, 730, 750, 775,
  800, 825, 850, 875, 900, 925, 950, 975, 1000, 1030,
  1060, 1090, 1120, 1150, 1180, 1215, 1250, 1285, 1320, 1360,
  1400, 1450, 1500, 1550, 1600, 1650, 1700,
] as const; // prettier-ignore

/**
 * What a tire of a load index carries.
 * @returns kilograms; undefined outside 60 to 126, which trailers do not use
 * @example loadOfIndex(107) // 975
 */
export const loadOfIndex = (index: number): number | undefined => kilograms[index - firstIndex];

/** Kilometers an hour. */
const speeds: Readonly<Record<string, number>> = {
  B: 50, C: 60, D: 65, E: 70, F: 80, G: 90, J: 100, K: 110, L: 120, M: 130, N: 140,
  P: 150, Q: 160, R: 170, S: 180, T: 190, U: 200, H: 210, V: 240, W: 270, Y: 300,
}; // prettier-ignore

/**
 * The speed a symbol stands for.
 * @returns km/h; undefined when no tire bears it
 * @example speedOfSymbol('M') // 130
 */
export const speedOfSymbol = (symbol: string): number | undefined => speeds[symbol.toUpperCase()];
