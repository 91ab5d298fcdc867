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
 * @param empty as built, or as it was weighed
 * @param axle inches from the coupler to the middle of the axles; above 0
 * @example balance({ total: 5200, hitch: 640 }, 216, [{ weight: 250, back: 84 }]).hitch // 792.8
 */
export const balance = (
  empty: Pick<Standing, 'total' | 'hitch'>,
  axle: number,
  items: readonly Located[],
): Standing => {
  const added = items.reduce((sum, { weight }) => sum + weight, 0);
  const onHitch = items.reduce((sum, { weight, back }) => sum + weight * hitchPart(back, axle), 0);
  const total = empty.total + added;
  const hitch = empty.hitch + onHitch;
  return { total, hitch, axles: total - hitch };
};

export const hitchShare = ({ total, hitch }: Standing): number => (total > 0 ? hitch / total : 0);

/** A filling at which the share of the hitch is least or most: which tanks are full. */
export interface Extreme {
  readonly share: number;
  readonly full: readonly number[];
}

const filled = (
  base: Standing,
  axle: number,
  tanks: readonly Located[],
  full: readonly number[],
): number =>
  hitchShare(
    balance(
      base,
      axle,
      full.flatMap((i) => tanks[i] ?? []),
    ),
  );

/**
 * The filling of all tanks at which the hitch has its least, or its greatest, share of the whole: exactly. The share is
 * a ratio of two linear functions, so that it is least at a corner: each tank is full or empty, and the full ones are
 * those whose part on the hitch is below the share itself. In that order they are tried one after the other.
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
  const order = tanks
    .map(({ back }, i) => ({ i, part: sign * hitchPart(back, axle) }))
    .toSorted((a, b) => a.part - b.part)
    .map(({ i }) => i);
  const steps = order.map((_, n) => order.slice(0, n + 1));
  const best = [[], ...steps].reduce<Extreme>(
    (least, full) => {
      const share = filled(base, axle, tanks, full);
      return sign * share < sign * least.share ? { share, full } : least;
    },
    { share: hitchShare(base), full: [] },
  );
  return { ...best, full: best.full.toSorted((a, b) => a - b) };
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
