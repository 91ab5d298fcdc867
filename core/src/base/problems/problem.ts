/** What each problem says after the field’s label, by what it has to be told. */
const wordings = {
  empty: (_: Record<string, never>) => 'is empty. Type a value, or leave it as not known.',
  'not-a-quantity': (p: { readonly typed: string }) =>
    `can’t be read: “${p.typed}”. Type a number and a unit, like 26 ft 4 in, 8.03 m or 6,340 lb.`,
  'not-a-number': (p: { readonly typed: string }) =>
    `can’t be read: “${p.typed}”. Type a whole number in figures.`,
  'not-a-range': (p: { readonly typed: string }) =>
    `runs backward: “${p.typed}”. Type the smaller figure first, like 16 to 18 ft.`,
  'unknown-unit': (p: { readonly unit: string }) =>
    `has a unit we don’t know: “${p.unit}”. Use ft, in, m, cm, lb, kg, gal, L, ft³, psi, kPa, BTU/h, kW, W, A, Ah, V, CFM, °F, °C, mph or km/h.`,
  'other-dimension': (p: { readonly unit: string; readonly wanted: string }) =>
    `is in ${p.unit}, which measures something else. Type it in ${p.wanted}.`,
  negative: (p: { readonly typed: string }) =>
    `can’t be less than zero: “${p.typed}”. Type it without the minus sign.`,
  impossible: (p: { readonly value: string | number; readonly limit: string | number }) =>
    `can’t be ${p.value}. Type a number above 0 and below ${p.limit}.`,
  'too-far': (p: { readonly value: string | number; readonly limit: string | number }) =>
    `can’t be ${p.value} from the coupler; the longest travel trailers are ${p.limit}. Measure it again.`,
  count: (p: { readonly typed: string }) =>
    `has a count that can’t be right: “${p.typed}”. Type it like 2 × 30.`,
  sides: (p: { readonly typed: string; readonly count: number }) =>
    `can’t be read: “${p.typed}”. Type ${p.count} sides with an x between them, like ${p.count === 3 ? '22 x 14 x 96' : '60 x 80'}.`,
  'not-a-date': (p: { readonly typed: string; readonly example: string }) =>
    `isn’t a date we can read: “${p.typed}”. Type it like ${p.example}.`,
  'too-long': (p: { readonly length: number; readonly limit: string | number }) =>
    `is ${p.length} characters long; there’s room for ${p.limit}. Shorten it.`,
  'not-a-choice': (p: { readonly typed: string; readonly choices: string }) =>
    `can’t be “${p.typed}”. Choose one of: ${p.choices}.`,
  'wrong-kind': (p: { readonly wanted: string }) =>
    `has the wrong kind of value. It needs ${p.wanted}.`,
  'unknown-field': (p: { readonly field: string }) =>
    `“${p.field}” isn’t a field in this version. Update the program, or remove it.`,
} satisfies Record<string, (p: never) => string>;

export type ProblemCode = keyof typeof wordings;

/** What belongs to a problem. */
export type ParamsOf<C extends ProblemCode> = Parameters<(typeof wordings)[C]>[0];

/** What is wrong, as data: a code, and what belongs to it; `sentence` words it. */
export type Problem = {
  [C in ProblemCode]: { readonly code: C; readonly params: ParamsOf<C> };
}[ProblemCode];

/** What is wrong. @example problemOf('not-a-number', { typed: 'ten' }) */
export const problemOf = <C extends ProblemCode>(code: C, params: ParamsOf<C>): Problem =>
  ({ code, params }) as Problem;

/**
 * A problem as one plain sentence that names the field and says what to do.
 * @param label the field's label
 * @example sentence('GVWR', { code: 'empty', params: {} })
 */
export const sentence = (label: string, problem: Problem): string =>
  `${label} ${(wordings[problem.code] as (p: Problem['params']) => string)(problem.params)}`;
