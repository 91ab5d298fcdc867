import type { Readable } from 'node:stream';
import { z } from 'zod';
import { shaped, type RouteShape, type DeepReadonly } from '@fair-gable/core/base/contract';

/** One of what a route takes and gives; a test holds it to the schemas. */
export interface Example {
  readonly body?: unknown;
  readonly answer?: unknown;
}

/** A route in words, for whoever reads about the API. */
export interface Described {
  readonly tags: string[];
  readonly summary: string;
  readonly description?: string;
  /** What kind of bytes are sent, where it is no JSON. */
  readonly takes?: string;
}

declare module 'fastify' {
  interface FastifySchema {
    takes?: string;
    example?: Example;
  }
}

type Sample<S> = S extends z.ZodType ? DeepReadonly<z.input<S>> : never;
/** An example of all that a route takes and gives, where that is anything. */
type Exemplified<R> = R extends { readonly body: z.ZodType } | { readonly answer: z.ZodType }
  ? {
      readonly example: (R extends { readonly body: infer S }
        ? { readonly body: Sample<S> }
        : unknown) &
        (R extends { readonly answer: infer S } ? { readonly answer: Sample<S> } : unknown);
    }
  : unknown;

const done = z.null().describe('Done.');

/** The answers of a route, by their status. */
type Answers<R> = R extends { readonly answer: infer A; readonly makes: infer M }
  ? { readonly [C in M extends 'once' ? 200 | 201 : 201]: A }
  : R extends { readonly answer: infer A }
    ? { readonly 200: A }
    : { readonly 204: typeof done };

type SchemaOf<R> = Described &
  (R extends { readonly params: infer S } ? { readonly params: S } : unknown) &
  (R extends { readonly query: infer S } ? { readonly querystring: S } : unknown) &
  (R extends { readonly body: infer S } ? { readonly body: S } : unknown) & {
    readonly response: Answers<R>;
  };

const answersOf = ({ answer, makes }: RouteShape) => {
  if (!answer) return { 204: done };
  if (makes === 'once') return { 200: answer.describe('It was made before.'), 201: answer };
  return makes ? { 201: answer } : { 200: answer };
};

/** A route of a contract as Fastify takes it, with what is said of it. */
export const schemaOf = <const R extends RouteShape>(
  route: R,
  described: Described & Exemplified<R>,
): SchemaOf<R> => {
  const { params, query, body } = route;
  return {
    ...described,
    ...(params ? { params } : {}),
    ...(query ? { querystring: query } : {}),
    ...(body ? { body } : {}),
    response: answersOf(route),
  } as unknown as SchemaOf<R>;
};

/** Bytes as an answer, in the documents of the API; sent as they are. */
export const bytes = shaped<Buffer | Readable>(z.string().meta({ format: 'binary' }));

/** An answer that PostgreSQL has written as JSON already; it is what the route's schema says. */
export const asWritten = (json: string): never => json as never;
