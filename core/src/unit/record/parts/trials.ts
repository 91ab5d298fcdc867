import { isMadeKey } from '../values/spot.ts';
import { keptTrialSchema, type KeptTrial } from '../values/trial.ts';
import { part } from './part.ts';

/** What was tried on the benches and kept under a name. */
export const trials = part<KeptTrial, string>({
  schema: keptTrialSchema,
  isKey: isMadeKey,
  label: () => 'A trial that was kept',
  text: ({ name, card }) => (card ? `“${name}”, with a card on the walk` : `“${name}”`),
  right: 'record',
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    {
      name: 'Half-ton, full of water',
      question: 'tow',
      card: false,
      on: '2026-04-13',
      trial: {
        levels: { freshTank: 1 },
        gear: {},
        propane: true,
        people: 2,
        style: 'careful',
        days: 0,
        vehicle: { key: 'half-ton', label: 'Half-ton', kind: 'class', figures: {} },
        aboard: 300,
        hardware: 60,
        distributing: true,
        reserve: 0.2,
        pressures: {},
        weighings: {},
      },
    },
  ],
});
