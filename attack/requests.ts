import fc from 'fast-check';
import { broken, drawn, type JsonSchema } from '../server/test/drawn.ts';
import type { Sent } from './asker.ts';

/** A route as the API's own document tells of it. */
export interface Route {
  readonly method: string;
  readonly path: string;
  /** The right it takes, or `anyone`. */
  readonly right: string;
  readonly json?: JsonSchema | undefined;
  /** A body as the document shows it. */
  readonly example?: unknown;
  /** What kind of bytes it takes, where that is no JSON. */
  readonly bytes?: string | undefined;
  readonly query: readonly { readonly name: string; readonly schema: JsonSchema }[];
}

/** A request that is sent as it is. */
export interface Request {
  readonly path: string;
  readonly sent?: Sent | undefined;
}

interface Operation {
  readonly 'x-right': string;
  readonly requestBody?: {
    readonly content: Readonly<
      Record<string, { readonly schema: JsonSchema; readonly example?: unknown }>
    >;
  };
  readonly parameters?: readonly {
    readonly in: string;
    readonly name: string;
    readonly schema: JsonSchema;
  }[];
}

const json = 'application/json';

/** The routes of an OpenAPI document. */
export const routesIn = (document: unknown): readonly Route[] => {
  const { paths } = document as { paths: Record<string, Record<string, Operation>> };
  return Object.entries(paths).flatMap(([path, operations]) =>
    Object.entries(operations).map(([method, operation]) => {
      const content = operation.requestBody?.content ?? {};
      return {
        method: method.toUpperCase(),
        path,
        right: operation['x-right'],
        json: content[json]?.schema,
        example: content[json]?.example,
        bytes: Object.keys(content).find((type) => type !== json),
        query: (operation.parameters ?? []).filter((parameter) => parameter.in === 'query'),
      };
    }),
  );
};

const strangeIds = [
  '00000000-0000-4000-8000-00000000dead',
  'nobody',
  '%00',
  "'%20OR%201=1",
  '..%2f..%2fetc',
  '-1',
  '%F0%9F%98%80',
  'x'.repeat(300),
];

const garbage: readonly string[] = [
  '{',
  '[[[[',
  '{"a":1,}',
  '\u0000',
  'NaN',
  '',
  'null',
  '"text"',
  '{"__proto__":{"role":"manager"}}',
  '{"constructor":{"prototype":{"role":"manager"}}}',
  `${'['.repeat(20_000)}${']'.repeat(20_000)}`,
  `{"id":"${'9'.repeat(50_000)}"}`,
  `{"text":"${'(1,'.repeat(20_000)}"}`,
];
const otherTypes = ['text/plain', 'application/xml', 'multipart/form-data; boundary=x', 'x'];

const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A body whose ids are, here and there, those of things that are there. */
const withIds = (value: unknown, pick: () => string | undefined): unknown => {
  if (typeof value === 'string') return uuid.test(value) ? (pick() ?? value) : value;
  if (Array.isArray(value)) return value.map((one) => withIds(one, pick));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withIds(one, pick)]));
};

const idIn = (body: unknown): string | undefined => {
  if (typeof body !== 'object' || body === null) return undefined;
  const own = (body as { id?: unknown }).id;
  if (typeof own === 'string') return own;
  return Object.values(body).map(idIn).find(Boolean);
};

/** Bytes that begin as sound, pictures and zips do, and go on anyhow. */
const beginnings = ['1a45dfa3', '4f676753', 'ffd8ff', '89504e470d0a1a0a', '504b0304', ''];
const someBytes = fc
  .tuple(fc.constantFrom(...beginnings), fc.uint8Array({ maxLength: 2000 }))
  .map(([head, rest]) => Buffer.concat([Buffer.from(head, 'hex'), rest]));

const contentFor = ({ json: schema, example, bytes }: Route): fc.Arbitrary<Sent | undefined> => {
  if (bytes) return someBytes.map((content) => ({ type: bytes, content }));
  if (!schema) return fc.constant(undefined);
  const asSent = (body: unknown): Sent => ({ type: json, content: JSON.stringify(body) ?? '' });
  return fc.oneof(
    { weight: 6, arbitrary: drawn(schema).map(asSent) },
    { weight: 5, arbitrary: drawn(schema).chain(broken).map(asSent) },
    { weight: 4, arbitrary: fc.constant(asSent(example ?? {})) },
    { weight: 3, arbitrary: broken(example ?? {}).map(asSent) },
    {
      weight: 2,
      arbitrary: fc.constantFrom(...garbage).map((content) => ({ type: json, content })),
    },
    {
      weight: 1,
      arbitrary: fc.tuple(fc.constantFrom(...otherTypes), drawn(schema)).map(([type, body]) => ({
        type,
        content: JSON.stringify(body) ?? '',
      })),
    },
  );
};

const queryFor = ({ query }: Route): fc.Arbitrary<string> =>
  fc
    .tuple(
      ...query.map(({ name, schema }) =>
        fc
          .option(fc.oneof(drawn(schema), fc.string({ maxLength: 12 })), { freq: 2 })
          .map((value) => (value === null ? [] : [`${name}=${encodeURIComponent(String(value))}`])),
      ),
    )
    .map((parts) => parts.flat().join('&'));

/**
 * Requests to a route: with bodies it takes, broken ones, and such as nobody should send.
 * @param known ids of things that are there, the caller's own and another yard's
 */
export const requestsTo = (route: Route, known: readonly string[]): fc.Arbitrary<Request> => {
  const anId = fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...known) },
    { weight: 1, arbitrary: fc.constantFrom(...strangeIds) },
    { weight: 2, arbitrary: fc.uuid({ version: 4 }) },
  );
  const mixed = fc.infiniteStream(fc.option(fc.constantFrom(...known), { freq: 1 }));
  return fc
    .tuple(contentFor(route), queryFor(route), fc.infiniteStream(anId), mixed, fc.nat(3))
    .map(([given, query, ids, picks, turn]) => {
      const next = <T>(of: Iterator<T>): T => of.next().value as T;
      // What is far longer than any body is sent as it is.
      const isPlain =
        given?.type === json && typeof given.content === 'string' && given.content.length < 20_000;
      const parsed = isPlain ? safely(given.content as string) : undefined;
      const body =
        parsed === undefined ? undefined : withIds(parsed, () => next(picks) ?? undefined);
      // Most often what is sent is what the address says.
      const own = turn > 0 ? idIn(body) : undefined;
      let isFirst = true;
      const path = route.path.replaceAll(/\{\w+\}/g, () => {
        const id = (isFirst ? own : undefined) ?? next(ids);
        isFirst = false;
        return id;
      });
      const sent = body === undefined ? given : { type: json, content: JSON.stringify(body) };
      return { path: query ? `${path}?${query}` : path, sent };
    });
};

const safely = (text: string): unknown => {
  try {
    return JSON.parse(text) ?? undefined;
  } catch {
    return undefined;
  }
};
