import { formatQuantity } from '../../../base/quantity/index.ts';
import {
  cargoLabel,
  cargoLabelInputOf,
  type CargoLabelValue,
} from '../../../unit/cargo-label/index.ts';
import { hedged, type Outcome } from '../../../unit/outcome/index.ts';
import { workOf, type Question } from '../asking.ts';

const work = workOf({
  tries: [],
  needs: {},
  engine: ({ record, system }): Outcome<CargoLabelValue> =>
    cargoLabel(cargoLabelInputOf(record), system),
});

/** Whether the cargo label adds up. */
export const label: Question<CargoLabelValue> = {
  key: 'label',
  words: 'Does the label add up?',
  station: 'labels',
  asks: ['gvwr', 'uvw', 'ccc', 'lpCylinders', 'freshTank', 'heaterTank'],
  asksAxle: false,
  work,
  short: ({ agrees, explained = [], difference }, asking) => {
    const { confidence } = asking.of(work);
    if (agrees) return `it does${confidence === 'about' ? ', as far as these figures go' : ''}`;
    const gap = formatQuantity(Math.abs(difference), 'weight', asking.system);
    const apart = `${hedged(gap, confidence)} apart`;
    if (explained.length === 0) return `${apart}, unexplained`;
    const isSure = explained.length === 1 && !explained[0]?.couldBe;
    return `${apart}, ${isSure ? 'explained' : 'maybe explained'}`;
  },
};
