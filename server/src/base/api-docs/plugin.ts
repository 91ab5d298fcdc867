import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import fp from 'fastify-plugin';
import { jsonSchemaTransform, type ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { App } from '../app/index.ts';
import type { RouteRule } from '../access/index.ts';
import { refusals } from '../problems/index.ts';

const about = `
Everything the interface does goes through these routes, by the same schemas.

Sign in with \`POST /api/session\` and keep the cookie. Quantities are in inches, pounds, US gallons, psi, watts and
amperes. Refusals are problem details (RFC 9457) whose \`code\` is one of:
${Object.entries(refusals)
  .map(([code, { status, title }]) => `- \`${code}\` (${status}): ${title}`)
  .join('\n')}`;

interface Media {
  schema?: unknown;
  example?: unknown;
}
interface Operation {
  requestBody?: { required?: boolean; content?: Record<string, Media> };
  responses?: Record<string, { content?: Record<string, Media>; [more: string]: unknown }>;
  [more: string]: unknown;
}

const json = 'application/json';
const binary = { type: 'string', format: 'binary' } as const;
const pathAsRegistered = (path: string): string => path.replaceAll(/\{(\w+)\}/g, ':$1');

/** An operation with its example, whom it is for, and how refusals look. */
const told = (operation: Operation, rule: RouteRule | undefined): Operation => {
  const { takes, example = {} } = rule?.schema ?? {};
  const { body, answer } = example;
  const { requestBody, responses = {} } = operation;
  const request = requestBody?.content?.[json];
  const shown = Object.fromEntries(
    Object.entries(responses).map(([status, response]) => {
      const media = response.content?.[json];
      if (!media || answer === undefined || status.startsWith('5')) return [status, response];
      return [status, { ...response, content: { [json]: { ...media, example: answer } } }];
    }),
  );
  return {
    ...operation,
    ...(takes ? { requestBody: { required: true, content: { [takes]: { schema: binary } } } } : {}),
    ...(request
      ? { requestBody: { ...requestBody, content: { [json]: { ...request, example: body } } } }
      : {}),
    responses: { ...shown, default: { $ref: '#/components/responses/refusal' } },
    security: rule?.access === 'anyone' ? [] : [{ session: [] }],
    'x-right': rule?.access,
  };
};

const withExamples = (
  document: Record<string, unknown>,
  rules: ReadonlyMap<string, RouteRule>,
): Record<string, unknown> => {
  const paths = (document['paths'] ?? {}) as Record<string, Record<string, Operation>>;
  const all = Object.entries(paths).map(([path, operations]) => [
    path,
    Object.fromEntries(
      Object.entries(operations).map(([verb, operation]) => {
        const name = `${verb.toUpperCase()} ${pathAsRegistered(path)}`;
        return [verb, told(operation, rules.get(name))];
      }),
    ),
  ]);
  return { ...document, paths: Object.fromEntries(all) };
};

const problem = z.looseObject({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  code: z.string(),
});

const components = {
  securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'fair-gable' } },
  responses: {
    refusal: {
      description: 'Refused, with a sentence that says what to do.',
      content: {
        'application/problem+json': { schema: z.toJSONSchema(problem, { target: 'openapi-3.0' }) },
      },
    },
  },
} as const;

/** The API as OpenAPI, and a page to read it; registered before the routes that it tells of. */
export const apiDocsPlugin = fp(
  async (app: App) => {
    await app.register(swagger, {
      openapi: {
        openapi: '3.0.3',
        info: { title: 'Fair Gable', version: '2', description: about },
        components: components as never,
      },
      transform: jsonSchemaTransform,
      transformObject: (given) =>
        withExamples(
          ('openapiObject' in given ? given.openapiObject : {}) as never,
          new Map(app.routeTable.map((rule) => [`${rule.method} ${rule.url}`, rule])),
        ) as never,
    });
    await app.register(swaggerUi, {
      routePrefix: '/api/docs',
      staticCSP: true,
      uiConfig: { docExpansion: 'list', displayRequestDuration: true },
      theme: { title: 'Fair Gable: the API' },
    });
    app
      .withTypeProvider<ZodTypeProvider>()
      .get(
        '/api/openapi.json',
        { config: { access: 'anyone' }, schema: { hide: true } },
        async () => app.swagger(),
      );
  },
  { name: 'api-docs', dependencies: ['session'] },
);
