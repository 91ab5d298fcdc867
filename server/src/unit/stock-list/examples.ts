import type { GivenTo } from '@fair-gable/core/base/contract';
import type { stockListApi } from '@fair-gable/core/unit/stock-list';

type Given = GivenTo<(typeof stockListApi)['POST /api/stock-list/preview']>['body'];

export const sampleList: Given = {
  text: 'Stock #,Dry weight\r\nTQ-0500,5200\r\n',
  system: 'us',
  how: 'told',
};

/** What such a list would do, or did. */
export const sampleCount = {
  rows: 1,
  fresh: 1,
  changed: 0,
  same: 0,
  problems: [],
  problemCount: 0,
  badCells: 0,
  badLines: 0,
};
