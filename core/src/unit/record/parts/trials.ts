import { isMadeKey } from '../values/spot.ts';
import { keptTrialSchema, type KeptTrial } from '../values/trial.ts';
import { part } from './part.ts';

/** What was tried on the benches and kept under a name. */
export const trials = part<KeptTrial, string>({
  schema: keptTrialSchema,
  isKey: isMadeKey,
  label: () => 'A saved trial',
  text: ({ name, card }) => (card ? `“${name}”, with a card on the walk` : `“${name}”`),
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    {
      name: 'Half-ton',
      question: 'tow',
      card: false,
      on: '2026-04-13',
      trial: {
        levels: {},
        gear: {},
        propane: true,
        people: 2,
        style: 'usual',
        days: 0,
        vehicle: { key: 'half-ton', label: 'Half-ton', kind: 'class', figures: {} },
        aboard: 0,
        hardware: 0,
        distributing: true,
        reserve: 0,
        pressures: {},
        weighings: {},
      },
    },
  ],
});
