import type { AtStation, SpecEntry } from '../types.ts';

/** The walls that may have windows; each is told by itself. */
export const windowWalls = [
  { key: 'Door', where: 'on the door side', label: 'door side' },
  { key: 'OffDoor', where: 'on the off-door side', label: 'off-door side' },
  { key: 'Front', where: 'in front', label: 'front' },
  { key: 'Rear', where: 'at the rear', label: 'rear' },
  { key: 'Slide', where: 'in the slide', label: 'slide' },
] as const;

/** How they open is told on one card, which the first leads. */
const [{ key: first }, ...rest] = windowWalls;
const others = rest.map(({ key }) => key);

type WallKey = (typeof windowWalls)[number]['key'];
type WindowSpec<K extends string> = AtStation<SpecEntry> & { readonly key: `${K}${WallKey}` };

const ofSlide = (key: WallKey) => (key === 'Slide' ? { partOf: 'slide' } : {});

const counts = windowWalls.map(({ key, label, where }): WindowSpec<'windows'> => ({
  key: `windows${key}`,
  public: true,
  label: `Windows, ${label}`,
  explain: 'How many windows this wall has.',
  check: 'Count them from outside.',
  say: [`You’ve got {:window} ${where}.`, 'Count the windows as we walk around.'],
  audiences: [],
  value: { kind: 'number', plausible: { from: 0, to: 8 } },
  ...ofSlide(key),
}));

const kinds = windowWalls.map(({ key, label, where }): WindowSpec<'windowOpening'> => ({
  key: `windowOpening${key}`,
  public: true,
  label: `How they open, ${label}`,
  explain: 'Fixed, sliding, pushed out at the bottom, or a mixture.',
  check: 'Open each.',
  say: [`The windows ${where} are {}.`, 'Try a window and see how it opens.'],
  sayWhen: {
    fixed: `The windows ${where} are fixed.`,
    sliding: `The windows ${where} slide open.`,
    'push-out': `The windows ${where} push out at the bottom.`,
    mixed: `The windows ${where} open in different ways; let’s try them.`,
  },
  ...(key === first ? { numbers: others.map((other) => `windowOpening${other}`) } : {}),
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

const panes = windowWalls.map(({ key, label, where }): WindowSpec<'windowPanes'> => ({
  key: `windowPanes${key}`,
  public: true,
  label: `Panes, ${label}`,
  explain: 'One pane or two; two keep warmth in and sweat less.',
  check: 'Hold a light against the glass and count its reflections in pairs.',
  say: [`The windows ${where} are {} pane.`, 'Hold a light to the glass and count the panes.'],
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
