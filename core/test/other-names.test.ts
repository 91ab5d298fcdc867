import { describe, expect, it } from '@jest/globals';
import {
  entryFor,
  findEntries,
  isFeatureKey,
  isSpecKey,
  otherNames,
} from '@fair-gable/core/unit/catalog';
import { columnsOf } from '@fair-gable/core/unit/stock-list';
import { isFoundIn, searchText } from '@fair-gable/core/yard/list';
import { demoRecord } from './demo-units.ts';

/* What else the trade calls things: one list for the finder, the yard's search and the headings of lists. */
describe('other names', () => {
  it.each([
    ['payload', 'ccc'],
    ['tongue weight', 'hitchWeight'],
    ['sleeps', 'sleeps'],
    ['TPMS', 'tireMonitor'],
    ['backup camera', 'rearCamera'],
    ['AC', 'acUnits'],
    ['bed', 'bedSize'],
    ['cargo rack', 'rearRackRating'],
    ['refrigerator', 'fridgeSize'],
    ['brand', 'series'],
    ['dry weight', 'uvw'],
  ])('“%s” finds its field among the first', (typed, key) => {
    expect(findEntries(typed, 4).map((entry) => entry.key)).toContain(key);
  });

  it('are headings that other programs write', () => {
    const headings = {
      'Serial # / VIN': 'vin',
      Make: 'series',
      Model: 'floorPlan',
      Year: 'modelYear',
      'Dry Wt.': 'uvw',
      'Fresh Water Cap.': 'freshTank',
      'LP Tanks': 'lpCylinders',
      'Internet Price': 'askingPrice',
      'Date Received': 'arrived',
      'Stock #': 'stockNumber',
      Sleeps: 'sleeps',
      'Tongue Weight (lbs)': 'hitchWeight',
    };
    expect(columnsOf(Object.keys(headings))).toEqual(Object.values(headings));
  });

  it('find units by what is on them', () => {
    const text = searchText(demoRecord('TQ-0391'));
    expect(isFoundIn(text, 'backup camera')).toBe(true);
    expect(isFoundIn(text, 'toy hauler')).toBe(false);
  });

  it('are of fields that there are, and none is a field’s own label', () => {
    for (const [key, names = []] of Object.entries(otherNames)) {
      expect([key, isSpecKey(key) || isFeatureKey(key)]).toEqual([key, true]);
      expect(new Set(names).size).toBe(names.length);
      for (const name of names) expect(name).toBe(name.toLowerCase());
      expect(names).not.toContain(entryFor(key as 'gvwr').label.toLowerCase());
    }
  });
});
