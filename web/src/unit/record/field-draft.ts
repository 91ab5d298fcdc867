import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { Feature, HowKnown, Spec } from '@fair-gable/core/unit/catalog';
import { howOf, type UnitRecord } from '@fair-gable/core/unit/record';
import { useDraft, type Drafting } from '../../base/draft/index.ts';
import type { PlaceDraft } from './typed-place.ts';
import type { SpecDraft } from './typed-spec.ts';
import { asTyped } from './typing.ts';

interface Of {
  readonly unit: string;
  readonly record: UnitRecord;
  readonly system: System;
}

/** @param of is called anew whenever something in it changes */
export const useSpecDraft = (
  of: () => Of & { readonly spec: Spec; readonly usualHow: HowKnown },
): Drafting<SpecDraft> =>
  useDraft({
    place: () => `${of().unit}.specs.${of().spec.key}`,
    what: () => of().spec.label,
    fresh: () => {
      const { record, spec, system, usualHow } = of();
      const entry = record.specs[spec.key];
      const before = howOf(record, spec.key);
      return {
        text: asTyped(spec, entry, system),
        // What only the sheet says is looked at now: it will be read, measured or seen.
        how: before && before !== 'sheet' ? before : usualHow,
        basedOn: entry?.version ?? 0,
      };
    },
    typed: ({ text, how }) => [text, how],
  });

/** @param of is called anew whenever something in it changes */
export const usePlaceDraft = (
  of: () => Of & { readonly entry: Spec | Feature },
): Drafting<PlaceDraft> =>
  useDraft({
    place: () => `${of().unit}.places.${of().entry.key}`,
    what: () => `${of().entry.label}, position`,
    fresh: () => {
      const { record, entry, system } = of();
      const known = record.places[entry.key];
      const shown = (inches: number | undefined): string =>
        inches === undefined ? '' : formatQuantity(inches, 'feet', system);
      return {
        back: shown(known?.value.back),
        length: shown(known?.value.length),
        depth: shown(known?.value.depth),
        side: known?.value.side ?? entry.located?.side ?? 'door',
        how: known?.how ?? 'measured',
        basedOn: known?.version ?? 0,
      };
    },
    typed: ({ basedOn: _, ...rest }) => rest,
  });
