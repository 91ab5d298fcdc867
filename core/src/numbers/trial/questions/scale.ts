import { formatQuantity } from '../../../base/quantity/index.ts';
import { percent } from '../../../base/words/index.ts';
import { hedged } from '../../../unit/outcome/index.ts';
import type { ScaleValue } from '../../weight/index.ts';
import type { Question } from '../asking.ts';
import { weighing } from '../weighed.ts';

/** What the scale says. */
export const scale: Question<ScaleValue> = {
  key: 'scale',
  words: 'What does the scale say?',
  station: 'labels',
  asks: ['gvwr', 'axleRating'],
  asksAxle: false,
  work: weighing,
  short: ({ total, share }, asking) => {
    const { confidence } = asking.of(weighing);
    const weight = hedged(formatQuantity(total, 'weight', asking.system), confidence);
    return `${weight}, ${hedged(percent(share), confidence)} on the hitch`;
  },
};
