import { z } from 'zod';
import {
  audiences,
  features,
  featureKinds,
  featureStates,
  knownBy,
  schools,
  specs,
  stations,
  wordsFor,
} from '@fair-gable/core/unit/catalog';
import type { App } from '../../base/app/index.ts';

const entry = z.looseObject({ key: z.string(), label: z.string() });
const row = z.looseObject({ key: z.string() });

const catalog = {
  stations: [...stations],
  specs: specs.map((spec) => ({ ...spec, ...wordsFor(spec.key) })),
  features: features.map((feature) => ({ ...feature, ...wordsFor(feature.key) })),
  featureStates: [...featureStates],
  featureKinds,
  knownBy: [...knownBy],
  audiences: [...audiences],
  schools: [...schools],
};

const example = {
  answer: {
    stations: [{ key: 'hitch', label: 'Hitch' }],
    specs: [{ key: 'gvwr', label: 'GVWR' }],
    features: [{ key: 'coupler', label: 'Coupler' }],
    featureStates: [{ key: 'standard' }],
    featureKinds: { proof: [{ key: 'standard', label: 'yes' }] },
    knownBy: [{ key: 'read' }],
    audiences: [{ key: 'winter', label: 'Winter camper' }],
    schools: [{ key: 'slide-topper', about: 'Slide toppers: wanted or not' }],
  },
};

/** The catalog as data, for programs that read unit files. */
export const catalogPlugin = async (app: App) => {
  app.get(
    '/api/catalog',
    {
      config: { access: 'anyone' },
      schema: {
        tags: ['catalog'],
        summary: 'The catalog: stations, specs, features, and what they are told by',
        example,
        response: {
          200: z.strictObject({
            stations: z.array(entry),
            specs: z.array(entry),
            features: z.array(entry),
            featureStates: z.array(row),
            featureKinds: z.record(z.string(), z.array(row)),
            knownBy: z.array(row),
            audiences: z.array(row),
            schools: z.array(row),
          }),
        },
      },
    },
    async () => catalog as never,
  );
};
