import type { AtStation, SpecEntry } from '../types.ts';

/** The walls that may have windows; each is told by itself. */
export const windowWalls = [
  { key: 'Door', label: 'door side' },
  { key: 'OffDoor', label: 'off-door side' },
  { key: 'Front', label: 'front' },
  { key: 'Rear', label: 'rear' },
  { key: 'Slide', label: 'slide' },
] as const;

type WallKey = (typeof windowWalls)[number]['key'];
type WindowSpec<K extends string> = AtStation<SpecEntry> & { readonly key: `${K}${WallKey}` };

const ofSlide = (key: WallKey) => (key === 'Slide' ? { partOf: 'slide' } : {});

const counts = windowWalls.map(({ key, label }): WindowSpec<'windows'> => ({
  key: `windows${key}`,
  label: `Windows, ${label}`,
  explain: 'How many windows this wall has.',
  check: 'Count them from outside.',
  audiences: [],
  value: { kind: 'number', plausible: { from: 0, to: 8 } },
  ...ofSlide(key),
}));

const kinds = windowWalls.map(({ key, label }): WindowSpec<'windowOpening'> => ({
  key: `windowOpening${key}`,
  label: `How they open, ${label}`,
  explain: 'Fixed, sliding, pushed out at the bottom, or a mixture.',
  check: 'Open each.',
  audiences: ['pets'],
  value: {
    kind: 'choice',
    choices: [
      { key: 'fixed', label: 'fixed' },
      { key: 'sliding', label: 'sliding' },
      { key: 'push-out', label: 'pushed out' },
      { key: 'mixed', label: 'mixed' },
    ],
  },
  ...ofSlide(key),
}));

const panes = windowWalls.map(({ key, label }): WindowSpec<'windowPanes'> => ({
  key: `windowPanes${key}`,
  label: `Panes, ${label}`,
  explain: 'One pane or two; two keep warmth in and sweat less.',
  check: 'Hold a light against the glass and count its reflections in pairs.',
  audiences: ['winter'],
  value: {
    kind: 'choice',
    choices: [
      { key: 'single', label: 'single' },
      { key: 'double', label: 'double' },
    ],
  },
  ...ofSlide(key),
}));

/** Windows, wall by wall. */
export const windowSpecs = [...counts, ...kinds, ...panes];
