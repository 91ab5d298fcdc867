import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { RouteShape } from '@fair-gable/core/base/contract';
import { vehiclesApi } from '@fair-gable/core/numbers/tow';
import { screenApi } from '@fair-gable/core/show/screen';
import { summaryApi } from '@fair-gable/core/yard/summary';
import { walkApi } from '@fair-gable/core/show/walk';
import { modelSheetApi } from '@fair-gable/core/unit/model-sheet';
import { photoApi } from '@fair-gable/core/unit/photo';
import { recordApi } from '@fair-gable/core/unit/record';
import { stockListApi } from '@fair-gable/core/unit/stock-list';
import { unitFileApi } from '@fair-gable/core/unit/unit-file';
import { followUpApi } from '@fair-gable/core/yard/follow-up';
import { peopleApi } from '@fair-gable/core/yard/people';
import { settingsApi } from '@fair-gable/core/yard/settings';
import { bench, type Bench } from './support.ts';

const rooms = [
  followUpApi,
  modelSheetApi,
  peopleApi,
  settingsApi,
  photoApi,
  recordApi,
  screenApi,
  summaryApi,
  stockListApi,
  unitFileApi,
  vehiclesApi,
  walkApi,
];
const contracts = rooms.flatMap((room): [string, RouteShape][] => Object.entries(room));

let b: Bench;
beforeAll(async () => {
  b = await bench();
});
afterAll(() => b.close());

describe('the contract', () => {
  it('names each route once', () => {
    const names = contracts.map(([name]) => name);
    expect(new Set(names).size).toBe(names.length);
  });

  it.each(contracts)(
    'is what the server holds to: %s',
    (name, { params, query, body, answer, makes }) => {
      const rule = b.app.routeTable.find(({ method, url }) => `${method} ${url}` === name);
      const schema = (rule?.schema ?? {}) as Record<string, unknown>;
      expect(schema['params']).toBe(params);
      expect(schema['querystring']).toBe(query);
      expect(schema['body']).toBe(body);
      const answers = schema['response'] as Record<string, unknown>;
      expect(answers[makes ? '201' : answer ? '200' : '204']).toBeDefined();
      if (answer) expect(answers[makes ? '201' : '200']).toBe(answer);
    },
  );

  it('has every route that answers JSON, but for those nobody’s browser asks', () => {
    const known = new Set(contracts.map(([name]) => name));
    const isJson = (response: unknown): boolean =>
      Object.values((response ?? {}) as object).some((one) => typeof one.parse === 'function') &&
      !Object.values(response as object).some((one) => 'content' in one);
    const others = b.app.routeTable
      .filter(({ method }) => method !== 'HEAD')
      .filter(({ schema }) => isJson((schema as { response?: unknown } | undefined)?.response))
      .map(({ method, url }) => `${method} ${url}`)
      .filter((name) => !known.has(name) && !name.startsWith('POST /api/numbers/'));
    expect(others.toSorted()).toEqual(['GET /api/catalog', 'GET /api/health']);
  });
});
