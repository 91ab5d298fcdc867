import type { z } from 'zod';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
/** A route's name: `GET /api/walks/:id`. */
export type RouteName = `${Method} /api/${string}`;

/** What a route takes and what it answers. */
export interface RouteShape {
  readonly params?: z.ZodType;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  /** Left out, it answers nothing. */
  readonly answer?: z.ZodType;
  /** It answers that something was made; `once` where that may have been before. */
  readonly makes?: true | 'once';
}

/** The routes of a room, by name: what server and browser both hold to. */
export const contract = <const R extends Readonly<Record<RouteName, RouteShape>>>(routes: R): R =>
  routes;

/** Something as it is told: whoever hears it does not change it. */
export type DeepReadonly<T> = T extends readonly (infer E)[]
  ? readonly DeepReadonly<E>[]
  : T extends object
    ? { readonly [K in keyof T]: DeepReadonly<T[K]> }
    : T;

/**
 * A schema under the core's own, read-only type: Zod infers another of the same things, with unions opened and nothing
 * read-only.
 */
export const shaped = <T>(schema: z.ZodType): z.ZodType<T, T> => schema as z.ZodType<T, T>;

/** What a route answers; undefined where it answers nothing. */
export type AnswerOf<R> = R extends { readonly answer: infer S extends z.ZodType }
  ? z.output<S>
  : undefined;

type Input<S> = S extends z.ZodType ? DeepReadonly<z.input<S>> : never;

/** What a route is given. */
export type GivenTo<R> = (R extends { readonly params: infer S }
  ? { readonly params: Input<S> }
  : unknown) &
  (R extends { readonly query: infer S } ? { readonly query?: Partial<Input<S>> } : unknown) &
  (R extends { readonly body: infer S } ? { readonly body: Input<S> } : unknown);
