import { pressureOfRange } from '../identity/index.ts';
import { amountOf, textOf } from '../record/index.ts';
import { formatQuantity } from '../../base/quantity/index.ts';
import type { Rule } from './types.ts';
import { goTo, withReason } from './ways.ts';

/** Label pressure against what the load range allows; less is no fault, the label may ask for less. */
export const tirePressure: Rule = {
  key: 'tire-pressure',
  about: 'The label does not ask for more pressure than the tire’s load range allows',
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
        title: 'More pressure than the tire takes',
        sentence: `The label asks for ${show(pressure)}, but load range ${letter} takes at most ${show(limit)}. Either the label belongs to other tires, or these are not the tires it left with. Do not inflate past the sidewall.`,
        ways: [goTo('coldPressure'), goTo('loadRange'), withReason()],
      },
    ];
  },
};
