/** What is wrong, as data; `sentence` words it. */
export interface Problem {
  readonly code: ProblemCode;
  readonly params: Readonly<Record<string, string | number>>;
}

type Params = Problem['params'];

const wordings = {
  empty: () => 'is empty. Type a value, or leave it as not known.',
  'not-a-quantity': (p: Params) =>
    `cannot be read: “${p['typed']}”. Type a number and a unit, like 26 ft 4 in, 8.03 m or 6,340 lb.`,
  'not-a-number': (p: Params) => `cannot be read: “${p['typed']}”. Type a whole number in figures.`,
  'not-a-range': (p: Params) =>
    `runs backward: “${p['typed']}”. Type the smaller figure first, like 16 to 18 ft.`,
  'unknown-unit': (p: Params) =>
    `has a unit nobody here knows: “${p['unit']}”. Use ft, in, m, cm, lb, kg, gal, L, ft³, psi, kPa, BTU/h, kW, W, A, Ah, V, CFM, °F, °C, mph or km/h.`,
  'other-dimension': (p: Params) =>
    `is given in ${p['unit']}, which measures something else. Give it in ${p['wanted']}.`,
  negative: (p: Params) =>
    `cannot be less than nothing: “${p['typed']}”. Type it without the minus.`,
  impossible: (p: Params) =>
    `cannot be ${p['value']}. Give a number above 0 and below ${p['limit']}.`,
  'too-far': (p: Params) =>
    `cannot be ${p['value']} from the coupler; the longest travel trailers end at ${p['limit']}. Measure it again.`,
  count: (p: Params) => `has a count that cannot be: “${p['typed']}”. Type it like 2 × 30.`,
  sides: (p: Params) =>
    `cannot be read: “${p['typed']}”. Type ${p['count']} sides with an x between them, like ${p['count'] === 3 ? '22 x 14 x 96' : '60 x 80'}.`,
  'not-a-date': (p: Params) =>
    `is no date that can be read: “${p['typed']}”. Type it like ${p['example']}.`,
  'too-long': (p: Params) =>
    `is ${p['length']} characters long; there is room for ${p['limit']}. Shorten it.`,
  'not-a-choice': (p: Params) => `cannot be “${p['typed']}”. Choose one of: ${p['choices']}.`,
  'wrong-kind': (p: Params) => `holds the wrong kind of value. It wants ${p['wanted']}.`,
  'unknown-field': (p: Params) =>
    `“${p['field']}” is not in this version's catalogue. Bring the program up to date, or take it out.`,
} satisfies Record<string, (p: Params) => string>;

export type ProblemCode = keyof typeof wordings;

/**
 * A problem as one plain sentence that names the field and says what to do.
 * @param label the field's label
 * @example sentence('Gross weight rating', { code: 'empty', params: {} })
 */
export const sentence = (label: string, problem: Problem): string =>
  `${label} ${wordings[problem.code](problem.params)}`;
