import { pressureOfRange } from '../identity/index.ts';
import { amountOf, textOf } from '../record/index.ts';
import { formatQuantity } from '../../base/quantity/index.ts';
import type { Rule } from './types.ts';
import { goTo, withReason } from './ways.ts';

/** Label pressure against what the load range allows; less is no fault, the label may ask for less. */
export const tirePressure: Rule = {
  key: 'tire-pressure',
  about: 'The label’s pressure is within the tire’s load range',
  needs: ['coldPressure', 'loadRange'],
  doubts: ['coldPressure', 'loadRange'],
  source: 'C 50, D 65, E 80 psi: common practice for ST sizes; the sidewall decides',
  test: (record, { system }) => {
    const pressure = amountOf(record, 'coldPressure');
    const letter = textOf(record, 'loadRange') ?? '';
    const limit = pressureOfRange(letter);
    if (pressure === undefined || limit === undefined || pressure <= limit) return [];
    const show = (psi: number): string => formatQuantity(psi, 'pressure', system);
    return [
      {
        field: 'coldPressure',
        severity: 'wrong',
        title: 'Label pressure is over the tire’s limit',
        sentence: `The label calls for ${show(pressure)}, but load range ${letter} takes ${show(limit)} at most. Is the label for other tires, or are these not the originals? Don’t inflate past the sidewall.`,
        ways: [goTo('coldPressure'), goTo('loadRange'), withReason()],
      },
    ];
  },
};
