import { randomUUID } from 'node:crypto';
import type { Example } from '../src/base/app/index.ts';
import type { Answer, Asker, Bench } from './support.ts';

interface Schema {
  readonly safeParse: (value: unknown) => { readonly success: boolean };
}
interface Schemas {
  /** The kind of bytes it takes, where it is no JSON. */
  readonly takes?: string;
  readonly example?: Example;
  readonly body?: Schema;
  readonly response?: Readonly<Record<string, Schema>>;
}

/** A route of the API as a test walks it. */
export interface Route {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly url: string;
  readonly access: string;
  readonly schema?: Schemas | undefined;
}

/** Every route there is; those that answer HEAD are the GETs again. */
export const routesOf = (b: Bench): readonly Route[] =>
  b.app.routeTable.filter(({ method }) => method !== 'HEAD') as unknown as readonly Route[];

export const nameOf = ({ method, url }: Route): string => `${method} ${url}`;

/** What is told as an example of a route, by its name. */
export const exampleOf = (b: Bench, name: string): Example => {
  const route = routesOf(b).find((one) => nameOf(one) === name);
  if (!route) throw new Error(`There is no route ${name}.`);
  return route.schema?.example ?? {};
};

/** Calls a route with the example of its documentation, or with nothing where none is told. */
export const call = (ask: Asker, route: Route, id: string = randomUUID()): Promise<Answer> =>
  ask(route.method, route.url.replace(':id', id), route.schema?.example?.body);
