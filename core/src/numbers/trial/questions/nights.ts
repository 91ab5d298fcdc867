import { water, waterInputOf, type WaterValue } from '../../water/index.ts';
import { workOf, type Question } from '../asking.ts';

/** How many nights off the hookups. */
export const nights: Question<WaterValue> = {
  key: 'nights',
  words: 'How many nights without hookups?',
  station: 'utilities',
  asks: ['freshTank', 'grayTank', 'galleyTank', 'blackTank'],
  asksAxle: false,
  work: workOf({
    tries: ['people', 'style', 'rates'],
    needs: {},
    engine: ({ record, trial, system }) => water(waterInputOf(record, trial), system),
  }),
  short: ({ nights: count, first }) =>
    `about ${count}, the ${first} tank ${first === 'fresh' ? 'runs dry' : 'fills'} first`,
};
