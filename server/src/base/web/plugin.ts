import fastifyStatic from '@fastify/static';
import type { App } from '../app/index.ts';
import { refuseAddress } from '../problems/index.ts';

/** The built interface; any path that is not a file or the API opens its first page. */
export const webPlugin = async (app: App, { root }: { root: string }) => {
  await app.register(fastifyStatic, {
    root,
    wildcard: false,
    // Names of built files carry a hash of their content; the pages that name them must be fresh.
    setHeaders: (reply, path) => {
      const hashed = path.includes('/assets/');
      void reply.header(
        'cache-control',
        hashed ? 'public, max-age=31536000, immutable' : 'no-cache',
      );
    },
  });
  app.setNotFoundHandler(async (request, reply) => {
    const isPage = !/^\/api\/|\.\w+$/.test(request.url.split('?')[0] ?? '');
    if (request.method !== 'GET' || !isPage) return refuseAddress();
    return reply.header('cache-control', 'no-cache').sendFile('index.html');
  });
};
