import fc from 'fast-check';

/** As much of JSON Schema as the OpenAPI document uses. */
export interface JsonSchema {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly nullable?: boolean;
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: boolean | JsonSchema;
  readonly items?: JsonSchema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly format?: string;
}

const someDay = '2026-04-13T11:30:00.000Z';

const text = ({ format, minLength = 0, maxLength = 30 }: JsonSchema): fc.Arbitrary<string> => {
  if (format === 'uuid') return fc.uuid({ version: 4 });
  if (format === 'date-time') return fc.constant(someDay);
  if (format === 'email') return fc.constant('somebody@thornquay.example');
  return fc.string({ minLength, maxLength: Math.min(maxLength, minLength + 20), unit: 'grapheme' });
};

const objectOf = (schema: JsonSchema): fc.Arbitrary<unknown> => {
  const { properties = {}, required = [], additionalProperties } = schema;
  const known = fc.record(
    Object.fromEntries(Object.entries(properties).map(([key, of]) => [key, drawn(of)])),
    { requiredKeys: [...required] },
  );
  if (!additionalProperties || additionalProperties === true) return known;
  const more = fc.dictionary(fc.string({ maxLength: 12 }), drawn(additionalProperties), {
    maxKeys: 2,
  });
  return fc.tuple(known, more).map(([a, b]) => ({ ...b, ...a }));
};

const bare = (schema: JsonSchema): fc.Arbitrary<unknown> => {
  const { minimum = -1000, maximum = 1_000_000 } = schema;
  switch (schema.type) {
    case 'string':
      return text(schema);
    case 'integer':
      return fc.integer({ min: minimum, max: Math.min(maximum, 2 ** 31) });
    case 'number':
      return fc.double({ min: minimum, max: maximum, noNaN: true });
    case 'boolean':
      return fc.boolean();
    case 'array': {
      const { items = {}, minItems = 0, maxItems = 4 } = schema;
      return fc.array(drawn(items), {
        minLength: minItems,
        maxLength: Math.min(maxItems, minItems + 2),
      });
    }
    case 'object':
      return objectOf(schema);
    default:
      return fc.jsonValue({ maxDepth: 2 });
  }
};

/** Values that a schema allows. */
export const drawn = (schema: JsonSchema): fc.Arbitrary<unknown> => {
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const choices = schema.anyOf ?? schema.oneOf ?? schema.allOf;
  const value = choices ? fc.oneof(...choices.map(drawn)) : bare(schema);
  return schema.nullable ? fc.option(value) : value;
};

const nasty: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  2 ** 53,
  0.1,
  '',
  ' ',
  'x'.repeat(5000),
  'a\u0000b',
  'a\ud800b',
  '\u202Etxet',
  "'; DROP TABLE unit; --",
  '${7*7}',
  '=1+1',
  '../../etc/passwd',
  '00000000-0000-0000-0000-000000000000',
  '9999-99-99T99:99:99Z',
  [],
  {},
  [[[[[]]]]],
  { __proto__: { role: 'manager' } },
  { toString: 1 },
];

type Json = unknown;

/** Every place in a value: the way that leads there. */
const placesIn = (value: Json, way: readonly (string | number)[] = []): (string | number)[][] => {
  if (value === null || typeof value !== 'object') return [[...way]];
  const inside = Object.keys(value).flatMap((key) =>
    placesIn((value as Record<string, Json>)[key], [
      ...way,
      Array.isArray(value) ? Number(key) : key,
    ]),
  );
  return [[...way], ...inside];
};

/** A value with one place given to a function; undefined takes the place out. */
const changedAt = (
  value: Json,
  [step, ...rest]: readonly (string | number)[],
  to: (old: Json) => Json,
): Json => {
  if (step === undefined) return to(value);
  if (Array.isArray(value)) return value.map((v, i) => (i === step ? changedAt(v, rest, to) : v));
  const entries = Object.entries(value as object).map(([k, v]) => [
    k,
    k === step ? changedAt(v, rest, to) : v,
  ]);
  return Object.fromEntries(entries.filter(([, v]) => v !== undefined));
};

/** A value broken on purpose in one or two places: another kind, missing, too much, or nasty. */
export const broken = (value: Json): fc.Arbitrary<Json> => {
  const places = placesIn(value);
  const one = fc.tuple(fc.constantFrom(...places), fc.constantFrom(...nasty), fc.nat(3));
  return fc.array(one, { minLength: 1, maxLength: 2 }).map((breaks) =>
    breaks.reduce<Json>((v, [way, bad, how]) => {
      try {
        if (how === 0) return changedAt(v, way, () => undefined);
        if (how === 1) return changedAt(v, way, (old) => [old, bad]);
        if (how === 2)
          return changedAt(v, way, (old) =>
            old && typeof old === 'object' ? { ...old, extra: bad } : bad,
          );
        return changedAt(v, way, () => bad);
      } catch {
        return bad;
      }
    }, value),
  );
};
