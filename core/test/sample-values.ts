import { toInternal } from '@fair-gable/core/base/quantity';
import type { Spec } from '@fair-gable/core/unit/catalog';
import type { SpecValue } from '@fair-gable/core/unit/record';

/** Sides, counts and amounts at the upper end of what is plausible; text as given. */
const sample = ({ value }: Spec, text: string, number: (to: number) => number): SpecValue => {
  switch (value.kind) {
    case 'text':
      return { kind: 'text', text: text.slice(0, value.limit) };
    case 'number':
      return { kind: 'number', number: number(value.plausible.to) };
    case 'choice':
      return { kind: 'choice', choice: value.choices[0]?.key ?? '' };
    case 'date':
      return { kind: 'date', date: value.to === 'month' ? '2025-03' : '2026-03-14' };
    case 'quantity':
      return { kind: 'quantity', amount: toInternal(value.plausible.to, value.plausible.unit) };
    case 'counted': {
      const each = toInternal(value.plausible.to, value.plausible.unit);
      return { kind: 'counted', count: value.counts.to, each };
    }
    case 'size': {
      const side = toInternal(value.plausible.to, value.plausible.unit);
      return { kind: 'size', sides: value.sides.map(() => side) };
    }
  }
};

/** A value that a field can hold. */
export const valueFor = (spec: Spec): SpecValue => sample(spec, spec.key, (to) => to);

/**
 * A value of an unmistakable figure, found again wherever it is said. A tire's date is a week that a tire can have: what
 * cannot be is not said, however it is known.
 */
export const figureFor = (spec: Spec): SpecValue =>
  sample(spec, spec.key.startsWith('tireDate') ? '1021' : `Zx ${spec.key}`, (to) =>
    Math.max(to - 1, 2),
  );
