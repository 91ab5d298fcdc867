import { isSpecKey, specEntry } from '../../catalog/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { formatSpec } from '../values/spec-text.ts';
import { specValueSchema } from '../values/spec.ts';
import { part } from './part.ts';

/** What is known by the catalog's specs. */
export const specs = part({
  schema: specValueSchema,
  isKey: isSpecKey,
  label: entryLabel,
  text: (value, { key, how, system }) =>
    isSpecKey(key) ? formatSpec(key, value, system, how) : '',
  // What follows from a signature is the technician's who signs.
  right: (key) => (isSpecKey(key) && specEntry(key).bySignature ? 'inspect' : 'record'),
  isDisputable: true,
  example: ['gvwr', { kind: 'quantity', amount: 7490 }],
});
