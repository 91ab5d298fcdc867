import type { FastifyInstance, FastifyRequest, RouteOptions } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { may, type Right, type Role } from '@fair-gable/core/base/rights';
import type { System } from '@fair-gable/core/base/quantity';
import type { YardWater } from '@fair-gable/core/numbers/water';
import type { Route } from '@fair-gable/core/unit/route';
import type { SavedView } from '@fair-gable/core/yard/list';
import { type HouseViews } from '@fair-gable/core/yard/settings';
import { inYard, type InYard } from '../database/index.ts';
import { Refusal } from '../problems/index.ts';

/** Who may call a route: anyone, or those whose role has a right. */
export type Access = 'anyone' | Right;

export interface Caller {
  readonly personId: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly ownSystem: System | null;
  readonly pace: number | null;
  readonly learnedPace: number | null;
  readonly views: readonly SavedView[];
  readonly yardId: string;
  readonly yardName: string;
  readonly yardSystem: System;
  readonly timeZone: string;
  /** The database's own time: the one clock there is. */
  readonly now: Date;
  readonly houseViews: HouseViews;
  readonly routes: readonly Route[];
  readonly keepBuyers: number;
  readonly water: YardWater;
  readonly glossary: { code: string; readings: string[] }[];
  readonly demo: boolean;
}

export interface RouteRule {
  readonly method: string;
  readonly url: string;
  readonly access: Access;
  /** What it takes and gives, for the documents and tests that are derived from it. */
  readonly schema: RouteOptions['schema'];
}

export interface AccessOptions {
  readonly source: DataSource;
  /** The address under which people open the program, where it is not the request's own host. */
  readonly publicUrl?: string | undefined;
}

declare module 'fastify' {
  interface FastifyInstance {
    /** Every route of the API with its rule. */
    routeTable: RouteRule[];
  }
  interface FastifyContextConfig {
    access?: Access;
  }
  interface Session {
    personId?: string;
    yardId?: string;
    device?: string;
  }
  interface FastifyRequest {
    caller: Caller | null;
  }
}

/** The rule of a route; files of the interface and the pages about the API are for anyone. */
const ruleOf = (route: RouteOptions): RouteRule | undefined => {
  if (!route.url.startsWith('/api/') || route.url.startsWith('/api/docs')) return undefined;
  const method = String(route.method);
  const access = route.config?.access;
  if (!access) {
    throw new Error(
      `The route ${method} ${route.url} does not say who may call it: give it a config with its access.`,
    );
  }
  return { method, url: route.url, access, schema: route.schema };
};

const callerQuery = `
  SELECT p.id AS "personId", p.name, p.email, m.role, m.views, p.system AS "ownSystem",
         p.pace, p.learned_pace AS "learnedPace",
         y.id AS "yardId", y.name AS "yardName", y.system AS "yardSystem",
         y.time_zone AS "timeZone", clock_timestamp() AS now,
         y.house_views AS "houseViews", y.routes, y.glossary, y.keep_buyers AS "keepBuyers", y.water,
         EXISTS (SELECT 1 FROM secret WHERE key = 'demo-yard') AS demo
  FROM membership m JOIN person p ON p.id = m.person_id JOIN yard y ON y.id = m.yard_id
  WHERE m.yard_id = $1 AND m.person_id = $2`;

/** The signed-in person on the yard they are at; null when nobody is, or no longer belongs there. */
const callerOf = async (source: DataSource, request: FastifyRequest): Promise<Caller | null> => {
  const { personId, yardId } = request.session;
  if (!personId || !yardId) return null;
  const [caller] = await source.query(callerQuery, [yardId, personId]);
  return caller ?? null;
};

const isOwnOrigin = (origin: string, request: FastifyRequest, publicUrl?: string): boolean => {
  if (!URL.canParse(origin)) return false;
  if (publicUrl) return new URL(origin).origin === new URL(publicUrl).origin;
  return new URL(origin).host === request.headers.host;
};

/** A page elsewhere cannot make this browser change anything here. */
const refuseForeign = (request: FastifyRequest, publicUrl?: string): void => {
  if (request.method === 'GET' || request.method === 'HEAD') return;
  const { origin } = request.headers;
  const isForeign = origin
    ? !isOwnOrigin(origin, request, publicUrl)
    : request.headers['sec-fetch-site'] === 'cross-site';
  if (isForeign) {
    throw new Refusal('foreign-origin', 'Open Fair Gable at its own address and try again there.');
  }
};

const notYours: Readonly<Record<Exclude<Access, 'anyone' | 'look'>, string>> = {
  record: 'Ask a specialist or manager of this yard to change it.',
  'join-walks': 'Ask a specialist of this yard to go on with it.',
  present: 'Ask a specialist of this yard to present it.',
  inspect: 'Ask a technician of this yard to inspect it.',
  operate: 'Ask somebody of this yard to operate it.',
  'see-prices': 'Ask somebody of this yard for prices.',
  'see-buyers': 'Ask a specialist or manager of this yard about its buyers.',
  manage: 'Ask a manager of this yard to do it.',
};

/** Puts the caller on each request and holds every route to its rule. */
export const accessPlugin = fp(
  async (app: FastifyInstance, options: AccessOptions) => {
    const { source, publicUrl } = options;
    app.decorateRequest('caller', null);
    app.decorate('routeTable', []);
    app.addHook('onRoute', (route) => {
      const rule = ruleOf(route);
      if (!rule) return;
      app.routeTable.push(rule);
    });
    app.addHook('onRequest', async (request) => refuseForeign(request, publicUrl));
    // Before the body is read: nobody sends a hundred megabytes who may not.
    app.addHook('onRequest', async (request) => {
      const { access } = request.routeOptions.config;
      if (!access || access === 'anyone') return;
      request.caller = await callerOf(source, request);
      if (!request.caller) {
        throw new Refusal('not-signed-in', 'Sign in, then try again; what you typed is kept.');
      }
      if (access !== 'look' && !may(request.caller.role, access)) {
        throw new Refusal('not-your-role', notYours[access]);
      }
    });
  },
  { name: 'access', dependencies: ['problems'] },
);

/** The caller of a route that is not for anyone. */
export const callerIn = (request: FastifyRequest): Caller => {
  if (!request.caller) throw new Refusal('not-signed-in', 'Sign in first.');
  return request.caller;
};

/** The tables of the caller's yard; what is written there is theirs. */
export const yardOf = (source: DataSource, request: FastifyRequest): InYard => {
  const { yardId, personId, name } = callerIn(request);
  return inYard(source.manager, yardId, { personId, name });
};
