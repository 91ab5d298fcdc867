import type { FastifyInstance, FastifyRequest, RouteOptions } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { writers, type Role, type System } from '@fair-gable/core';
import { inYard, type InYard } from '../database/index.ts';
import { Refusal } from '../problems/index.ts';
import { Membership, Person, Yard } from './entities.ts';

/** Who may call a route; a route of the API that does not say so is not registered. */
export type Access = 'anyone' | 'member' | 'writer';

export interface Caller {
  readonly personId: string;
  readonly name: string;
  readonly role: Role;
  readonly yardId: string;
  readonly yardName: string;
  readonly system: System;
}

export interface RouteRule {
  readonly method: string;
  readonly url: string;
  readonly access: Access;
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
  }
  interface FastifyRequest {
    caller: Caller | null;
  }
}

/** Files of the interface are for anyone; everything of the API says whom it is for. */
const ruleOf = (route: RouteOptions): RouteRule | undefined => {
  if (!route.url.startsWith('/api/')) return undefined;
  const method = String(route.method);
  const access = route.config?.access;
  if (!access) throw new Error(`The route ${method} ${route.url} does not say who may call it.`);
  return { method, url: route.url, access };
};

/** The signed-in person on the yard they are at; null when nobody is, or no longer belongs there. */
const callerOf = async (source: DataSource, request: FastifyRequest): Promise<Caller | null> => {
  const { personId, yardId } = request.session;
  if (!personId || !yardId) return null;
  const membership = await inYard(source.manager, yardId).findOne(Membership, { personId });
  if (!membership) return null;
  const person = await source.manager.findOneByOrFail(Person, { id: personId });
  const yard = await source.manager.findOneByOrFail(Yard, { id: yardId });
  return {
    personId,
    name: person.name,
    role: membership.role,
    yardId,
    yardName: yard.name,
    system: yard.system,
  };
};

const refuseForeignOrigin = (request: FastifyRequest): void => {
  const { origin } = request.headers;
  if (request.method === 'GET' || request.method === 'HEAD' || !origin) return;
  const isOwn = URL.canParse(origin) && new URL(origin).host === request.headers.host;
  if (!isOwn) {
    throw new Refusal('foreign-origin', 'Open Fair Gable at its own address and try again there.');
  }
};

/** Puts the caller on each request and holds every route to its rule. */
export const accessPlugin = fp(async (app: FastifyInstance, { source }: { source: DataSource }) => {
  app.decorateRequest('caller', null);
  app.decorate('routeTable', []);
  app.addHook('onRoute', (route) => {
    const rule = ruleOf(route);
    if (rule) app.routeTable.push(rule);
  });
  app.addHook('onRequest', async (request) => refuseForeignOrigin(request));
  app.addHook('preValidation', async (request) => {
    const { access } = request.routeOptions.config;
    if (!access || access === 'anyone') return;
    request.caller = await callerOf(source, request);
    if (!request.caller) {
      throw new Refusal('not-signed-in', 'Sign in, then try again; what you typed is kept.');
    }
    if (access === 'writer' && !writers.includes(request.caller.role)) {
      throw new Refusal('not-your-role', 'Ask a specialist or manager of this yard to change it.');
    }
  });
});

/** The caller of a route for members. */
export const callerIn = (request: FastifyRequest): Caller => {
  if (!request.caller) throw new Refusal('not-signed-in', 'Sign in first.');
  return request.caller;
};

/** The tables of the caller's yard. */
export const yardOf = (source: DataSource, request: FastifyRequest): InYard =>
  inYard(source.manager, callerIn(request).yardId);
