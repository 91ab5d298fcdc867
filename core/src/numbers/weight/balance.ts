/*
 * Balance by moments about the axle group: the hitch carries w(1 − x/L) of an item of weight w that lies x behind the
 * coupler, the axles w·x/L, L from the coupler to the middle of the axle group. Statics of a beam on two supports.
 * Pounds and inches. It knows no left and right, and takes the axles of a group to share equally.
 */

/** Something that weighs, and where: inches back from the coupler. */
export interface Located {
  readonly weight: number;
  readonly back: number;
}

/** A trailer as it stands. Pounds. */
export interface Standing {
  readonly total: number;
  readonly hitch: number;
  readonly axles: number;
}

/** What of an item lies on the hitch, 1 at the coupler, 0 over the axles, below 0 behind them. */
export const hitchPart = (back: number, axle: number): number => 1 - back / axle;

/**
 * A trailer with items on it.
 * @param empty dry, or weighed
 * @param axle inches from the coupler to the middle of the axles; above 0
 * @example balance({ total: 5200, hitch: 640 }, 216, [{ weight: 250, back: 84 }]).hitch // 792.8
 */
export const balance = (
  empty: Pick<Standing, 'total' | 'hitch'>,
  axle: number,
  items: readonly Located[],
): Standing => {
  let { total, hitch } = empty;
  for (const { weight, back } of items) {
    total += weight;
    hitch += weight * hitchPart(back, axle);
  }
  return { total, hitch, axles: total - hitch };
};

export const hitchShare = ({ total, hitch }: Standing): number => (total > 0 ? hitch / total : 0);

/** A filling at which the share of the hitch is least or most: which tanks are full. */
export interface Extreme {
  readonly share: number;
  readonly full: readonly number[];
}

/**
 * The filling of all tanks at which the hitch has its least, or its greatest, share of the whole: exactly. The share is
 * a ratio of two linear functions, so that it is least at a corner: each tank is full or empty, and the full ones are
 * those whose part on the hitch is below the share itself. In that order they are filled one after the other.
 * @param base with nothing in the tanks that are swept
 * @param tanks full
 */
export const extremeFilling = (
  base: Standing,
  axle: number,
  tanks: readonly Located[],
  which: 'least' | 'most',
): Extreme => {
  const sign = which === 'least' ? 1 : -1;
  const parts = tanks.map(({ back }) => sign * hitchPart(back, axle));
  const order = [...tanks.keys()].toSorted((a, b) => (parts[a] ?? 0) - (parts[b] ?? 0));
  let { total, hitch } = base;
  let best = { share: hitchShare(base), count: 0 };
  order.forEach((i, n) => {
    const { weight, back } = tanks[i] as Located;
    total += weight;
    hitch += weight * hitchPart(back, axle);
    const share = total > 0 ? hitch / total : 0;
    if (sign * share < sign * best.share) best = { share, count: n + 1 };
  });
  return { share: best.share, full: order.slice(0, best.count).toSorted((a, b) => a - b) };
};

/** The share of the hitch as one tank is filled, at so many levels from empty to full. */
export const sweep = (
  base: Standing,
  axle: number,
  tank: Located,
  levels = 21,
): readonly { readonly level: number; readonly share: number }[] =>
  Array.from({ length: levels }, (_, i) => {
    const level = i / (levels - 1);
    const part = { ...tank, weight: tank.weight * level };
    return { level, share: hitchShare(balance(base, axle, [part])) };
  });
