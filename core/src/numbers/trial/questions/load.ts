import { hedged } from '../../../unit/outcome/index.ts';
import { formatQuantity } from '../../../base/quantity/index.ts';
import type { WeightValue } from '../../weight/index.ts';
import type { Question } from '../asking.ts';
import { loading, weighing } from '../weighed.ts';

/** What may still be loaded. What was weighed goes before what was worked out. */
export const load: Question<WeightValue> = {
  key: 'load',
  words: 'How much can I still load?',
  station: 'labels',
  asks: ['uvw', 'hitchWeight', 'gvwr', 'axleRating', 'overallLength', 'lpCylinders', 'freshTank', 'grayTank', 'blackTank'], // prettier-ignore
  asksAxle: true,
  work: loading,
  sureness: (asking) => {
    const scale = asking.of(weighing);
    return scale.value === undefined ? asking.of(loading).confidence : scale.confidence;
  },
  short: (value, asking) => {
    const scale = asking.of(weighing);
    const weighed = scale.value?.limits.map(({ left }) => left) ?? [];
    const isWeighed = weighed.length > 0;
    const left = isWeighed ? Math.min(...weighed) : value.left;
    if (left === undefined) return 'no rating is read';
    const about = isWeighed ? scale.confidence : asking.of(loading).confidence;
    const words = hedged(formatQuantity(Math.abs(left), 'weight', asking.system), about);
    return left < 0 ? `${words} too heavy` : words;
  },
};
