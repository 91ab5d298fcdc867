import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';

/** The colors of each mode, as tokens.css has them; what a mode does not say is as in the light one. */
const css = readFileSync(new URL('../src/base/style/tokens.css', import.meta.url), 'utf8');
const colors = (selector: string): Record<string, string> => {
  const start = css.indexOf(`${selector} {`);
  const block = css.slice(start, css.indexOf('}', start));
  return Object.fromEntries(
    [...block.matchAll(/--([\w-]+): (#[0-9a-f]{3,6});/g)].map(([, name, value]) => [name, value]),
  );
};
const light = colors(':root');
const modes = {
  light,
  dark: { ...light, ...colors(":root[data-mode='dark']") },
  sunlight: { ...light, ...colors(":root[data-mode='sunlight']") },
};

/** Relative luminance and contrast: WCAG 2.2, definitions of those names. */
const luminance = (hex: string): number => {
  const full = hex.length === 4 ? hex.replaceAll(/[0-9a-f]/g, '$&$&') : hex;
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((i) => Number.parseInt(full.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string): number => {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].toSorted((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
};

const inks = ['ink', 'soft', 'spruce', 'amber', 'brick', 'water', 'gas'];
const grounds = ['paper', 'leaf', 'tint'];
const text: readonly (readonly [string, string])[] = [
  ...inks.flatMap((ink) => grounds.map((ground) => [ink, ground] as const)),
  ['on-spruce', 'spruce'],
  ['on-spruce', 'soft'],
  ['leaf', 'ink'],
  ['leaf', 'soft'],
  ['ink', 'sand'],
];

describe.each(Object.entries(modes))('the %s mode', (name, tokens) => {
  it.each(text)('shows %s on %s as WCAG AA wants of text (4.5 : 1)', (ink, ground) => {
    expect(contrast(tokens[ink] ?? '', tokens[ground] ?? '')).toBeGreaterThanOrEqual(4.5);
  });

  it.each(['paper', 'leaf'])('shows the edge of a control on %s (3 : 1)', (ground) => {
    expect(contrast(tokens['edge'] ?? '', tokens[ground] ?? '')).toBeGreaterThanOrEqual(3);
  });

  it('is black on white in the sun', () => {
    const strong = contrast(tokens['ink'] ?? '', tokens['paper'] ?? '');
    expect(strong).toBeGreaterThanOrEqual(name === 'sunlight' ? 21 : 7);
  });
});

it('measures contrast as the definition does', () => {
  expect(contrast('#000', '#fff')).toBeCloseTo(21, 5);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
});
