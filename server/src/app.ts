import { constants } from 'node:zlib';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import Fastify, { type FastifyServerOptions } from 'fastify';
import {
  serializerCompiler,
  validatorCompiler,
  type ZodTypeProvider,
} from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { apiDocsPlugin } from './base/api-docs/index.ts';
import type { App } from './base/app/index.ts';
import { catalogPlugin } from './unit/catalog/index.ts';
import { followUpPlugin, type MailOutbox } from './yard/follow-up/index.ts';
import { anonymousPlugin, drainPlugin, healthPlugin } from './base/health/index.ts';
import { livePlugin } from './base/live/index.ts';
import { fairSharePlugin, longWorkPlugin } from './base/long-work/index.ts';
import { modelSheetPlugin } from './unit/model-sheet/index.ts';
import type { Network } from './network.ts';
import { numbersPlugin } from './numbers/engines/index.ts';
import { peoplePlugin } from './yard/people/index.ts';
import { settingsPlugin } from './yard/settings/index.ts';
import { sessionPlugin } from './base/access/index.ts';
import { photoPlugin } from './unit/photo/index.ts';
import {
  beforeRoutes,
  freshPlugin,
  problemsPlugin,
  refuseAddress,
  strangePlugin,
  versionPlugin,
} from './base/problems/index.ts';
import { summaryPlugin } from './yard/summary/index.ts';
import { recordPlugin } from './unit/record/index.ts';
import { stockListPlugin } from './unit/stock-list/index.ts';
import { vehiclesPlugin } from './numbers/vehicles/index.ts';
import { screenPlugin } from './show/screen/index.ts';
import { threadsPlugin } from './base/threads/index.ts';
import { unitFilePlugin } from './unit/unit-file/index.ts';
import { walkPlugin } from './show/walk/index.ts';
import { webPlugin } from './base/web/index.ts';
import { housekeepingPlugin } from './base/housekeeping/index.ts';

export interface AppOptions {
  readonly source: DataSource;
  /** Signs the session cookie; at least 32 characters. */
  readonly secret: string;
  /** Folder of the built interface; without it only the API is served. */
  readonly webRoot?: string;
  /** The address under which people open it; by default that of each request. */
  readonly publicUrl?: string | undefined;
  /** Certificate and key, to speak https itself. */
  readonly tls?: { readonly cert: Buffer; readonly key: Buffer } | undefined;
  /** Whether a proxy in front says who asks and how. */
  readonly trustProxy?: Network['trustProxy'] | undefined;
  readonly signInsPerMinute?: number | undefined;
  /** Milliseconds in which a request must have arrived. */
  readonly requestTimeout?: number | undefined;
  /** What takes letters to people; by default a tray in the yard, which sends nothing. */
  readonly mail?: MailOutbox | undefined;
  readonly logger?: FastifyServerOptions['logger'];
}

const bodyLimit = 2_000_000;

/** Zod checks and writes everything: Fastify's own compilers, a tenth of a start, are never loaded. */
const schemaController = {
  compilersFactory: {
    buildValidator: () => validatorCompiler,
    buildSerializer: () => serializerCompiler,
  },
  // Fastify types them as its own compilers'.
} as unknown as NonNullable<FastifyServerOptions['schemaController']>;

/** A hundred megabytes over a yard's line; a request that takes longer to arrive is nobody's. Looked after this often. */
const arrivesWithin = 120_000;
const lookEvery = 2000;

/** Node takes the longer of its two limits for the body, so the one for the head must not be longer. */
const connectionsFor = (requestTimeout: number) => ({
  connectionsCheckingInterval: lookEvery,
  headersTimeout: Math.min(requestTimeout, 10_000),
});
const day = 86_400;

const security = (isSecure: boolean) => ({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // PrimeVue writes its design tokens into style elements.
      styleSrc: ["'self'", "'unsafe-inline'"],
      // A photo that was just taken is shown from the device itself.
      imgSrc: ["'self'", 'data:', 'blob:'],
      // So is a voice memo heard.
      mediaSrc: ["'self'", 'blob:'],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
      upgradeInsecureRequests: isSecure ? [] : null,
    },
  },
  strictTransportSecurity: isSecure ? { maxAge: day, includeSubDomains: false } : false,
});

/** The day's units over a yard's bad line are a tenth of their bytes; a middling quality costs the server little. */
const compression = {
  encodings: ['br' as const, 'gzip' as const],
  threshold: 1024,
  brotliOptions: { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } },
};

/** Fastify as every capability finds it: schemas, problems, headers, limits, sessions and rules. */
const groundwork = async (app: App, options: AppOptions): Promise<void> => {
  const { source, secret, publicUrl } = options;
  await app.register(problemsPlugin);
  await app.register(helmet, security(publicUrl?.startsWith('https:') ?? false));
  await app.register(compress, compression);
  await app.register(rateLimit, {
    global: false,
    errorResponseBuilder: (_request, { after }) =>
      Object.assign(new Error(`Too many tries. Wait ${after}, then try again.`), {
        statusCode: 429,
      }),
  });
  await app.register(drainPlugin);
  await app.register(housekeepingPlugin, { source });
  await app.register(anonymousPlugin);
  await app.register(versionPlugin);
  await app.register(strangePlugin);
  await app.register(freshPlugin);
  await app.register(sessionPlugin, { source, secret, publicUrl });
  await app.register(apiDocsPlugin);
  await app.register(livePlugin, { source });
  await app.register(threadsPlugin);
  await app.register(longWorkPlugin, { source });
  await app.register(fairSharePlugin);
};

/** The application, ready to listen or to be injected into by a test. */
export const buildApp = async (options: AppOptions): Promise<App> => {
  const { source, webRoot, tls, trustProxy = false, signInsPerMinute = 60 } = options;
  const { requestTimeout = arrivesWithin } = options;
  const connections = connectionsFor(requestTimeout);
  const app = Fastify({
    logger: options.logger ?? false,
    bodyLimit,
    schemaController,
    ...beforeRoutes,
    // Refused aloud, by its place, in strangePlugin.
    onProtoPoisoning: 'ignore',
    onConstructorPoisoning: 'ignore',
    requestTimeout,
    // As many proxies as stand in front: what stands before them in the header somebody else has written.
    trustProxy: typeof trustProxy === 'number' ? (_address, hop) => hop < trustProxy : trustProxy,
    // What is at work is finished; connections that are only kept open are closed.
    forceCloseConnections: 'idle',
    ...(tls ? { https: { ...tls, ...connections } } : { http: connections }),
  }).withTypeProvider<ZodTypeProvider>() as unknown as App;
  await groundwork(app, options);
  await app.register(peoplePlugin, { source, signInsPerMinute });
  await app.register(settingsPlugin, { source });
  await app.register(healthPlugin, { source });
  await app.register(catalogPlugin);
  await app.register(recordPlugin, { source });
  await app.register(photoPlugin, { source });
  await app.register(modelSheetPlugin, { source });
  await app.register(stockListPlugin, { source });
  await app.register(unitFilePlugin, { source });
  await app.register(numbersPlugin);
  await app.register(vehiclesPlugin, { source });
  await app.register(walkPlugin, { source });
  await app.register(screenPlugin, { source });
  await app.register(summaryPlugin, { source });
  await app.register(followUpPlugin, { source, mail: options.mail });
  if (webRoot) await app.register(webPlugin, { root: webRoot });
  else app.setNotFoundHandler(refuseAddress);
  return app;
};
