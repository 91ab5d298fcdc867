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
  if (fitting.length === 0) return 'I and O are read for 1 and 0, Q for 0.';
  if (position === 9) return `The other sixteen ask for ${fitting.join()}.`;
  if (likely && fitting.includes(likely)) return `With ${likely} in its place the VIN checks.`;
  return `If the others are right it is ${fitting.length > 1 ? 'one of ' : ''}${fitting.join(', ')}.`;
};

const sentenceOf = (reading: VinReading): string | undefined => {
  switch (reading.kind) {
    case 'good':
      return undefined;
    case 'length':
      return `It has ${reading.length} characters, not 17. Older, foreign and home-built trailers have other numbers; else one was left out.`;
    case 'character':
      return `Character ${reading.position} is “${reading.character}”, which no VIN has. ${otherwise(reading)}`;
    case 'check-digit':
      return `The ninth character is ${reading.found}, but the other sixteen ask for ${reading.expected}. One character was misread.`;
  }
};

/** The VIN's own check digit. */
export const vinCheck: Rule = {
  key: 'vin',
  about: 'The VIN has 17 characters and its ninth checks the others',
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
        title: 'The VIN does not check',
        sentence: `${sentence} It is kept as typed.`,
        ways: [goTo('vin', 'Read it again'), withReason()],
      },
    ];
  },
};
