import { z } from 'zod';
import type { System } from '@fair-gable/core/base/quantity';
import { tires, tiresInputSchema, tiresOutcomeSchema } from '@fair-gable/core/numbers/tires';
import {
  drag,
  dragInputSchema,
  dragOutcomeSchema,
  tow,
  towInputSchema,
  towOutcomeSchema,
} from '@fair-gable/core/numbers/tow';
import { water, waterInputSchema, waterOutcomeSchema } from '@fair-gable/core/numbers/water';
import {
  scale,
  scaleInputSchema,
  scaleOutcomeSchema,
  weigh,
  weightInputSchema,
  weightOutcomeSchema,
} from '@fair-gable/core/numbers/weight';
import {
  cargoLabel,
  cargoLabelInputSchema,
  cargoLabelOutcomeSchema,
} from '@fair-gable/core/unit/cargo-label';
import type { App } from '../../base/app/index.ts';
import { callerIn } from '../../base/access/index.ts';
import { examples } from './examples.ts';

interface Engine {
  readonly key: keyof typeof examples;
  readonly summary: string;
  readonly input: z.ZodType;
  readonly outcome: z.ZodType;
  readonly run: (input: never, system: System) => unknown;
}

/** Every engine of the core, by the name of its capability. */
const engines: readonly Engine[] = [
  {
    key: 'weight',
    summary: 'What a loaded trailer weighs, what lies on hitch and axles, what may still be loaded',
    input: weightInputSchema,
    outcome: weightOutcomeSchema,
    run: weigh,
  },
  {
    key: 'tow',
    summary: 'What a loaded trailer asks of a vehicle, and the largest that a vehicle takes',
    input: towInputSchema,
    outcome: towOutcomeSchema,
    run: tow,
  },
  {
    key: 'tires',
    summary: 'What the tires carry at the pressure they have',
    input: tiresInputSchema,
    outcome: tiresOutcomeSchema,
    run: tires,
  },
  {
    key: 'water',
    summary: 'How many nights the tanks last without a hookup',
    input: waterInputSchema,
    outcome: waterOutcomeSchema,
    run: water,
  },
  {
    key: 'cargo-label',
    summary:
      'Whether the capacity on the label follows from rating and weight, and how far the line is',
    input: cargoLabelInputSchema,
    outcome: cargoLabelOutcomeSchema,
    run: cargoLabel,
  },
  {
    key: 'scale',
    summary: 'What a trailer weighs by three tickets of a public scale',
    input: scaleInputSchema,
    outcome: scaleOutcomeSchema,
    run: scale,
  },
  {
    key: 'drag',
    summary: 'What the air on a lower or narrower box saves, as a comparison',
    input: dragInputSchema,
    outcome: dragOutcomeSchema,
    run: drag,
  },
];

/** The numbers: each engine of the core over the API, by the same schemas as on the page. */
export const numbersPlugin = async (app: App) => {
  for (const { key, summary, input, outcome, run } of engines) {
    app.post(
      `/api/numbers/${key}`,
      {
        config: { access: 'look' },
        schema: {
          tags: ['numbers'],
          summary,
          description:
            'Quantities in internal units, each with how it is known; the answer’s words are in the caller’s units. Without what it needs there is no value, and `missing` says what. docs/numbers.md tells method, source and accuracy.',
          example: examples[key],
          body: input,
          response: { 200: outcome },
        },
      },
      async (request) => {
        const { ownSystem, yardSystem } = callerIn(request);
        return run(request.body as never, ownSystem ?? yardSystem) as never;
      },
    );
  }
};
