import { sentence } from '@fair-gable/core/base/problems';
import {
  formatCounted,
  formatSize,
  otherSystem,
  toInternal,
  type System,
} from '@fair-gable/core/base/quantity';
import type { Spec } from '@fair-gable/core/unit/catalog';
import { formatSpec, typedSpec, type Entry, type SpecValue } from '@fair-gable/core/unit/record';

/** What a typed text means for a spec: its value, how it reads in both systems, or what is wrong. */
export interface Typed {
  readonly value: SpecValue | undefined;
  /** The value as understood, in the yard's units and the other ones. */
  readonly echo: string;
  readonly problem: string;
}

const nothing: Typed = { value: undefined, echo: '', problem: '' };

/** Values that may be typed in many ways, and are shown back as understood. */
const isReadBack = (value: SpecValue): boolean =>
  ['quantity', 'counted', 'size', 'date'].includes(value.kind);

/** Reads what was typed into a spec's field. An empty field is nothing, not a problem. */
export const readTyped = (spec: Spec, text: string, system: System): Typed => {
  if (text.trim() === '') return nothing;
  const read = typedSpec(spec.key, text, system);
  if (!read.ok) return { ...nothing, problem: sentence(spec.label, read.problem) };
  const { value } = read;
  if (!isReadBack(value)) return { value, echo: '', problem: '' };
  const inBoth = [system, otherSystem(system)].map((s) => formatSpec(spec.key, value, s, 'read'));
  return { value, echo: [...new Set(inBoth)].join(' = '), problem: '' };
};

/** The text to start editing from: the value as it would be typed. */
export const asTyped = (
  spec: Spec,
  entry: Entry<SpecValue> | undefined,
  system: System,
): string => {
  if (!entry) return '';
  if (entry.value.kind === 'choice') return entry.value.choice;
  return formatSpec(spec.key, entry.value, system, 'read');
};

/** What one may type, for a field's hint. */
export const example = (spec: Spec, system: System): string => {
  const { value } = spec;
  if (value.kind === 'counted') {
    const { from, unit } = value.plausible;
    return formatCounted(
      { count: value.counts.to, each: toInternal(from, unit) },
      value.display,
      system,
    );
  }
  if (value.kind === 'date') return value.to === 'month' ? 'March 2025' : '14 March 2026';
  if (value.kind === 'size') {
    const sides = value.sides.map(() => toInternal(value.plausible.to, value.plausible.unit) / 2);
    return formatSize(sides, value.display, system);
  }
  if (value.kind !== 'quantity') return '';
  if (value.display === 'feet') return system === 'us' ? '26 ft 4' : '8.03 m';
  return '';
};
