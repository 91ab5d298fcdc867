import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';

declare module 'fastify' {
  interface FastifyContextConfig {
    /** It makes no difference who asks: nobody is looked up. */
    readonly anonymous?: true;
  }
}

/** Routes to which it makes no difference who asks answer without the database; registered before sessions are. */
export const anonymousPlugin = fp(
  async (app: FastifyInstance) => {
    app.addHook('onRequest', async ({ raw, routeOptions }) => {
      if (routeOptions.config.anonymous) delete raw.headers.cookie;
    });
  },
  { name: 'anonymous' },
);
