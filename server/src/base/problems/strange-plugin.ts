import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { strangeIn, strangeSentence } from '@fair-gable/core/base/problems';
import { Refusal } from '../refusal/index.ts';

declare module 'fastify' {
  interface FastifyContextConfig {
    /** A text of it may have any characters: the route says line by line what is wrong. */
    readonly anyCharacters?: true;
  }
}

/** No body has a key of the language or a broken character in it: refused aloud, by its place, before anything reads it. */
export const strangePlugin = fp(
  async (app: FastifyInstance) => {
    app.addHook('preValidation', async ({ body, routeOptions }) => {
      if (typeof body !== 'object' || body === null || Buffer.isBuffer(body)) return;
      const strange = strangeIn(body);
      if (!strange || (strange.what === 'character' && routeOptions.config.anyCharacters)) return;
      throw new Refusal('bad-input', strangeSentence(strange), { field: strange.at });
    });
  },
  { name: 'strange', dependencies: ['problems'] },
);
