import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import Fastify, { type FastifyServerOptions } from 'fastify';
import {
  serializerCompiler,
  validatorCompiler,
  type ZodTypeProvider,
} from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import type { App } from './app-type.ts';
import { cataloguePlugin } from './catalogue/index.ts';
import { healthPlugin } from './health/index.ts';
import { peoplePlugin, sessionPlugin } from './people/index.ts';
import { problemsPlugin, refuseAddress } from './problems/index.ts';
import { recordPlugin } from './record/index.ts';
import { unitFilePlugin } from './unit-file/index.ts';
import { walkPlugin } from './walk/index.ts';
import { webPlugin } from './web/index.ts';

export interface AppOptions {
  readonly source: DataSource;
  /** Signs the session cookie; at least 32 characters. */
  readonly secret: string;
  /** Folder of the built interface; without it only the API is served. */
  readonly webRoot?: string;
  readonly signInsPerMinute?: number;
  readonly logger?: FastifyServerOptions['logger'];
}

const bodyLimit = 2_000_000;

const security = {
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // PrimeVue writes its design tokens into style elements.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
};

/** The application, ready to listen or to be injected into by a test. */
export const buildApp = async (options: AppOptions): Promise<App> => {
  const { source, secret, webRoot, signInsPerMinute = 10 } = options;
  const app: App = Fastify({
    logger: options.logger ?? false,
    bodyLimit,
  }).withTypeProvider<ZodTypeProvider>();
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  await app.register(problemsPlugin);
  await app.register(helmet, security);
  await app.register(rateLimit, {
    global: false,
    errorResponseBuilder: (_request, { after }) =>
      Object.assign(new Error(`Too many tries. Wait ${after}, then try again.`), {
        statusCode: 429,
      }),
  });
  const people = { source, secret, signInsPerMinute };
  await app.register(sessionPlugin, people);
  await app.register(peoplePlugin, people);
  await app.register(healthPlugin, { source });
  await app.register(cataloguePlugin);
  await app.register(recordPlugin, { source });
  await app.register(unitFilePlugin, { source });
  await app.register(walkPlugin, { source });
  if (webRoot) await app.register(webPlugin, { root: webRoot });
  else app.setNotFoundHandler(refuseAddress);
  return app;
};
