import { describe, expect, it } from '@jest/globals';
import { aboutOf, idAbout, isAbout } from '@fair-gable/core/show/about';
import { modelTalk, pointsOf } from '@fair-gable/core/show/cards';
import { faultsOf } from '@fair-gable/core/show/disclosure';
import { isFeatureKey, isSpecKey } from '@fair-gable/core/unit/catalog';
import { demoSheets } from './demo-sheets.ts';
import { demoFiles, us } from './demo-units.ts';

describe('what a card is about', () => {
  it('is told by its id, for every card and fault of the demo', () => {
    const kinds = new Set<string>();
    for (const { record } of demoFiles) {
      const points = pointsOf(record, { ...us, talk: modelTalk(record, demoSheets) });
      for (const { id } of [...points, ...faultsOf(record, us)]) {
        const about = aboutOf(id);
        expect([id, about !== undefined]).toEqual([id, true]);
        if (!about) continue;
        kinds.add(about.kind);
        expect(idAbout(about.kind, about.name)).toBe(id);
        if (about.kind === 'spec') expect([id, isSpecKey(about.name)]).toEqual([id, true]);
        if (about.kind === 'feature') expect([id, isFeatureKey(about.name)]).toEqual([id, true]);
      }
    }
    // The kinds that the demo has; of the others the tests of their rooms.
    expect([...kinds]).toEqual(expect.arrayContaining(['spec', 'feature', 'finding', 'check']));
  });

  it('is nothing for an id that no card has', () => {
    for (const id of ['', 'gvwr', '.gvwr', 'spec.gvwr', 'toString.x', '__proto__.x'])
      expect(aboutOf(id)).toBeUndefined();
  });

  it('keeps whatever stands behind the first dot', () => {
    expect(aboutOf('trials.a.b')).toEqual({ kind: 'trial', name: 'a.b' });
    expect(isAbout('trial', { id: 'trials.a.b' })).toBe(true);
    expect(isAbout('spec', { id: 'trials.a.b' })).toBe(false);
  });
});
