import { readVin, type VinReading } from '../identity/index.ts';
import { textOf } from '../record/index.ts';
import type { Rule } from './types.ts';
import { goTo, withReason } from './ways.ts';

type Unreadable = Extract<VinReading, { kind: 'character' }>;

/** Letters that no VIN has, and what they are read for. */
const readFor: Readonly<Record<string, string>> = { I: '1', O: '0', Q: '0' };

/** What may stand where a character cannot be read, by the check digit. */
const otherwise = ({ character, position, fitting }: Unreadable): string => {
  const likely = readFor[character];
  if (fitting.length === 0) return 'I is often a 1; O and Q are often a 0.';
  if (position === 9) return `By the other sixteen it should be ${fitting.join()}.`;
  if (likely && fitting.includes(likely)) return `With a ${likely} there, the VIN checks out.`;
  return `If the others are right, it’s ${fitting.length > 1 ? 'one of ' : ''}${fitting.join(', ')}.`;
};

const sentenceOf = (reading: VinReading): string | undefined => {
  switch (reading.kind) {
    case 'good':
      return undefined;
    case 'length':
      return `The VIN has ${reading.length} characters, not 17. Older, foreign and home-built trailers can differ; otherwise one was left out.`;
    case 'character':
      return `Character ${reading.position} is “${reading.character}”, which VINs don’t use. ${otherwise(reading)}`;
    case 'check-digit':
      return `The ninth character is ${reading.found}, but by the other sixteen it should be ${reading.expected}. One character was misread.`;
  }
};

/** The VIN's own check digit. */
export const vinCheck: Rule = {
  key: 'vin',
  about: 'The VIN has 17 characters and its check digit is right',
  needs: ['vin'],
  source: '49 CFR 565.15(c)',
  test: (record) => {
    const vin = textOf(record, 'vin');
    const sentence = vin === undefined ? undefined : sentenceOf(readVin(vin));
    if (!sentence) return [];
    return [
      {
        field: 'vin',
        severity: 'doubtful',
        title: 'VIN doesn’t check out',
        sentence: `${sentence} We kept it as typed.`,
        ways: [goTo('vin', 'Go to VIN'), withReason()],
      },
    ];
  },
};
