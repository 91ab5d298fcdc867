import { inText } from '@fair-gable/core/base/words';
import { entryFor, features, isFeatureKey, isSpecKey, specs } from '@fair-gable/core/unit/catalog';
import type { SheetObjection } from '@fair-gable/core/unit/model-sheet';

const between = ' = ';

/** An objection as a line: what they say = the answer = what brings it up, which may be left out. */
export const objectionLine = ({ says, answer, about }: SheetObjection): string => {
  const label =
    about !== undefined && (isSpecKey(about) || isFeatureKey(about))
      ? entryFor(about).label
      : about?.replace(/^\?/, '');
  return [says, answer, ...(label ? [label] : [])].join(between);
};

/** What a line says; a spec or feature that there is not keeps its words, after a “?”. */
export const objectionIn = (line: string): SheetObjection => {
  const [says = '', answer = '', label = ''] = line.split('=').map((part) => part.trim());
  if (label === '') return { says, answer };
  const found = [...specs, ...features].find((entry) => inText(entry.label) === inText(label));
  return { says, answer, about: found?.key ?? `?${label}` };
};
