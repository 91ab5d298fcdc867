import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { apiVersion } from '@fair-gable/core/yard/outbox';
import { Refusal } from '../refusal/index.ts';

/** Devices say which version they speak; other programs need not. */
export const versionHeader = 'fair-gable-version';

/**
 * Holds off changes from a page of another version, before it can be misunderstood. Such a page
 * keeps what it has and brings itself up to date.
 */
export const versionPlugin = fp(
  async (app: FastifyInstance) => {
    app.addHook('onRequest', async (request) => {
      const theirs = request.headers[versionHeader];
      if (request.method === 'GET' || theirs === undefined || theirs === String(apiVersion)) return;
      throw new Refusal(
        'other-version',
        'The server was brought up to date meanwhile. Load this page again; what is not sent stays on this device and is sent then.',
        { version: apiVersion },
      );
    });
  },
  { name: 'version', dependencies: ['problems'] },
);
