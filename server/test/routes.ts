import { randomUUID } from 'node:crypto';
import { examples } from '../src/base/api-docs/index.ts';
import type { Answer, Asker, Bench } from './support.ts';

interface Schema {
  readonly safeParse: (value: unknown) => { readonly success: boolean };
}
interface Schemas {
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

/** Calls a route with the example of its documentation, or with nothing where none is told. */
export const call = (ask: Asker, route: Route, id: string = randomUUID()): Promise<Answer> =>
  ask(route.method, route.url.replace(':id', id), examples[nameOf(route)]?.body);
