import { formatQuantity, type System } from '../../base/quantity/index.ts';
import type { Given, Impossible } from './outcome.ts';

/** What the labels of a trailer say of its weights. Pounds. */
interface Ratings {
  readonly uvw?: Given | undefined;
  readonly hitch?: Given | undefined;
  readonly gvwr?: Given | undefined;
  readonly ccc?: Given | undefined;
}

/** What cannot be so, by the field that is most likely wrong; undefined where nothing contradicts. */
export const ratingsProblem = (
  { uvw, hitch, gvwr, ccc }: Ratings,
  system: System,
): Impossible | undefined => {
  const show = (given: Given): string => formatQuantity(given.amount, 'weight', system);
  if (uvw && gvwr && uvw.amount > gvwr.amount) {
    return {
      field: 'specs.uvw',
      label: 'UVW',
      sentence: `UVW, ${show(uvw)}, is more than GVWR, ${show(gvwr)}. Read both labels again.`,
    };
  }
  if (ccc && gvwr && ccc.amount >= gvwr.amount) {
    return {
      field: 'specs.ccc',
      label: 'CCC',
      sentence: `CCC, ${show(ccc)}, is as much as GVWR, ${show(gvwr)}, or more. Read both labels again.`,
    };
  }
  const whole = uvw ?? gvwr;
  if (hitch && whole && hitch.amount > whole.amount) {
    return {
      field: 'specs.hitchWeight',
      label: 'Hitch weight',
      sentence: `Hitch weight, ${show(hitch)}, is more than the whole trailer weighs, ${show(whole)}. Read it again.`,
    };
  }
  return undefined;
};
