import { specEntry, type SpecKey } from '../catalogue/index.ts';
import {
  parseCounted,
  parseQuantity,
  readNumber,
  type Parsed,
  type System,
} from '../quantity/index.ts';
import type { Problem } from '../problems/index.ts';
import { specProblem } from './change.ts';
import type { SpecValue } from './schema.ts';

/** Above this in internal units nothing on a trailer can be: a slip of the hand, not a measurement. */
const impossibleAbove = 1_000_000;

const refuse = (problem: Problem): Parsed<never> => ({ ok: false, problem });

const rawValue = (key: SpecKey, typed: string, system: System): Parsed<SpecValue> => {
  const kind = specEntry(key).value;
  const text = typed.trim();
  if (text === '') return refuse({ code: 'empty', params: {} });
  switch (kind.kind) {
    case 'text':
      return { ok: true, value: { kind: 'text', text } };
    case 'choice':
      return { ok: true, value: { kind: 'choice', choice: text } };
    case 'number': {
      const number = readNumber(text);
      if (!Number.isInteger(number)) return refuse({ code: 'not-a-number', params: { typed } });
      return { ok: true, value: { kind: 'number', number } };
    }
    case 'quantity': {
      const read = parseQuantity(text, kind.display, system);
      return read.ok ? { ok: true, value: { kind: 'quantity', amount: read.value } } : read;
    }
    case 'counted': {
      const read = parseCounted(text, kind.display, system);
      return read.ok ? { ok: true, value: { kind: 'counted', ...read.value } } : read;
    }
  }
};

const sizeOf = (value: SpecValue): number | undefined => {
  if (value.kind === 'quantity') return value.amount;
  if (value.kind === 'counted') return value.each;
  return value.kind === 'number' ? value.number : undefined;
};

/**
 * What was typed into a spec's field, as its value.
 * A doubtful number is taken (the checks object to it); an impossible one is refused.
 * @returns the value, or a coded problem that `sentence` words
 * @example typedSpec('lpCylinders', '2 x 30', 'us') // { ok: true, value: { kind: 'counted', count: 2, each: 30 } }
 */
export const typedSpec = (key: SpecKey, typed: string, system: System): Parsed<SpecValue> => {
  const read = rawValue(key, typed, system);
  if (!read.ok) return read;
  const size = sizeOf(read.value);
  if (size !== undefined && (size <= 0 || size > impossibleAbove)) {
    return refuse({ code: 'impossible', params: { value: typed.trim(), limit: impossibleAbove } });
  }
  const problem = specProblem(key, read.value);
  return problem ? refuse(problem) : read;
};
