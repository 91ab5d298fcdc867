import { expect, it } from '@jest/globals';
import { pageTitle } from '../src/base/title/index.ts';

it.each([
  [['Wheels', 'Fenlark 24 RKD'], 'Wheels · Fenlark 24 RKD · Fair Gable'],
  [['Yard'], 'Yard · Fair Gable'],
  [['Label panel', undefined], 'Label panel · Fair Gable'],
  [[], 'Fair Gable'],
])('a page of %j is called %s', (parts, title) => {
  expect(pageTitle(...parts)).toBe(title);
});
