import { inText } from '../../base/words/index.ts';
import {
  entryFor,
  features,
  isFitted,
  labelTargets,
  lawfulLabels,
  knownBy,
  specs,
  type FeatureKey,
  type HowKnown,
  type SpecKey,
} from '../catalog/index.ts';
import {
  entryOf,
  fieldText,
  hasFeature,
  howOf,
  isAsSheet,
  statementsOf,
  type Change,
  type FieldValue,
  type Statement,
  type UnitRecord,
} from '../record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import { asFinding } from './as-finding.ts';
import type { RuleFinding, Rule, Way } from './types.ts';

type Key = SpecKey | FeatureKey;
type DisputablePart = 'specs' | 'features';

const sources: Readonly<Record<HowKnown, string>> = {
  read: 'the label says',
  measured: 'we measured',
  seen: 'we saw',
  sheet: 'the model sheet says',
  told: 'we were told',
  guessed: 'we estimated',
};

const byline = ({ how, by }: Statement<FieldValue>): string => {
  const first = by.split(' ')[0] ?? by;
  return how === 'sheet' ? '' : ` (${first})`;
};

const inWords = (part: DisputablePart, key: Key, said: Statement<FieldValue>, system: System) =>
  `${sources[said.how]} ${fieldText(part, key, said.value, said.how, system)}${byline(said)}`;

/** A button that lets one source decide; what the others say leaves the record and stays in its history. */
const decide = (
  part: DisputablePart,
  key: Key,
  { said, version, system }: { said: Statement<FieldValue>; version: number; system: System },
): Way => {
  const word = knownBy.find((row) => row.key === said.how)?.word ?? said.how;
  return {
    kind: 'enter',
    label: `Use ${fieldText(part, key, said.value, 'read', system)} (${word})`,
    changes: [
      { part, key, value: said.value, how: said.how, basedOn: version, others: [] } as Change,
    ],
  };
};

const conflict = (
  record: UnitRecord,
  part: DisputablePart,
  key: Key,
  system: System,
): RuleFinding | undefined => {
  const entry = entryOf(record, part, key);
  if (!entry?.others?.length) return undefined;
  const all = statementsOf(entry);
  const onlySheet = all.slice(1).every(({ how }) => how === 'sheet');
  if (onlySheet && all.slice(1).every((s) => isAsSheet(key, s.value, entry.value)))
    return undefined;
  return asFinding({
    field: key,
    severity: onlySheet ? 'look' : 'doubtful',
    title: onlySheet ? 'Unit differs from the model sheet' : 'Sources disagree',
    sentence: `${all.length} sources disagree on ${inText(entryFor(key).label)}: ${all.map((s) => inWords(part, key, s, system)).join('; ')}. We show the surest one. Pick the one that’s right.`,
    ways: all.map((said) => decide(part, key, { said, version: entry.version, system })),
  });
};

const specKeys = specs.map((s) => s.key);
const featureKeys = features.map((f) => f.key);

const sourcesInConflict: Rule = {
  key: 'sources-in-conflict',
  about: 'No two sources disagree on a field',
  needs: [...specKeys, ...featureKeys],
  reads: ['others'],
  fieldByField: true,
  source: 'Both are kept and the better is shown: common practice',
  test: (record, { system }) => [
    ...specKeys.flatMap((key) => conflict(record, 'specs', key, system) ?? []),
    ...featureKeys.flatMap((key) => conflict(record, 'features', key, system) ?? []),
  ],
};

/** What is read off the three labels, and quoted to buyers for as long as the unit stands here. */
const offLabels = ['vin', 'gvwr', 'uvw', 'ccc', 'axleRating', 'coldPressure'] as const;

const labelPhotoMissing: Rule = {
  key: 'label-photo-missing',
  about: 'Labels that were read are photographed',
  needs: ['labelPhotos', ...offLabels],
  source: 'Common practice',
  test: (record) => {
    const read = offLabels.filter((key) => howOf(record, key) === 'read').length;
    if (read < 3 || hasFeature(record, 'labelPhotos')) return [];
    return [
      asFinding({
        field: 'labelPhotos',
        severity: 'look',
        title: 'Labels not photographed',
        sentence: `${read} figures were read off labels, but there’s no photo of them. Take one of each label while you’re here.`,
      }),
    ];
  },
};

const labelTickWithoutPhotos: Rule = {
  key: 'label-tick-without-photos',
  about: 'Labels marked as photographed have a photo each',
  needs: ['labelPhotos'],
  reads: ['photos'],
  source: 'Common practice',
  test: (record) => {
    const entry = record.features.labelPhotos;
    if (!entry || !isFitted(entry.value.state)) return [];
    const shown = new Set(Object.values(record.photos).flatMap((photo) => photo?.value.of ?? []));
    const missing = lawfulLabels.filter(
      (kind) => !labelTargets(kind).some((target) => shown.has(target)),
    );
    if (missing.length === 0) return [];
    const names = missing.map(({ label }) => inText(label)).join(', ');
    return [
      asFinding({
        field: 'labelPhotos',
        severity: 'doubtful',
        title: 'Label photos missing',
        sentence: `The labels are marked as photographed, but there’s no photo of: ${names}. Take it, or clear the mark.`,
        ways: [
          {
            kind: 'enter',
            label: 'Clear the mark',
            changes: [
              {
                part: 'features',
                key: 'labelPhotos',
                value: null,
                how: entry.how,
                basedOn: entry.version,
              },
            ],
          },
        ],
      }),
    ];
  },
};

export const evidenceRules: readonly Rule[] = [
  sourcesInConflict,
  labelPhotoMissing,
  labelTickWithoutPhotos,
];
