import { mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import openapiTS, { astToString } from 'openapi-typescript';
import { nameOf, routesOf } from './routes.ts';
import { asker, bench, type Bench } from './support.ts';

interface Operation {
  readonly summary?: string;
  readonly tags?: readonly string[];
  readonly requestBody?: { content: Record<string, { schema: unknown; example?: unknown }> };
  readonly responses: Record<string, { content?: Record<string, { example?: unknown }> }>;
}
interface Document {
  readonly openapi: string;
  readonly paths: Record<string, Record<string, Operation>>;
}

let b: Bench;
let document: Document;
beforeAll(async () => {
  b = await bench();
  document = (await asker(b.app)('GET', '/api/openapi.json')).body;
});
afterAll(() => b.close());

const root = fileURLToPath(new URL('../..', import.meta.url));
/** The document does not tell of itself. */
const told = () => routesOf(b).filter((route) => nameOf(route) !== 'GET /api/openapi.json');
const operationOf = (method: string, url: string): Operation | undefined =>
  document.paths[url.replaceAll(/:(\w+)/g, '{$1}')]?.[method.toLowerCase()];

/** What an operation takes and gives as JSON. */
const mediaOf = (operation?: Operation): { example?: unknown }[] => {
  const good = operation?.responses['200'] ?? operation?.responses['201'];
  return [operation?.requestBody, good].flatMap(
    (part) => part?.content?.['application/json'] ?? [],
  );
};

describe('the OpenAPI document', () => {
  it('tells of every route, with a summary, a room and an example of all that it takes and gives', () => {
    expect(told().length).toBeGreaterThan(30);
    for (const { method, url } of told()) {
      const name = `${method} ${url}`;
      const operation = operationOf(method, url);
      expect([name, operation?.summary, operation?.tags?.length]).toEqual([
        name,
        expect.stringMatching(/^[A-Z].{3,}[^.]$/),
        1,
      ]);
      for (const media of mediaOf(operation)) {
        expect([name, media.example]).toEqual([name, expect.anything()]);
      }
    }
  });

  it('says what is sent, whatever kind it is', () => {
    const bodiless = told()
      .filter(({ method }) => method === 'POST' || method === 'PUT')
      .filter(({ method, url }) => operationOf(method, url)?.requestBody === undefined)
      .map(nameOf);
    // Nothing is sent with these but their address.
    expect(bodiless).toEqual(['POST /api/people/:id/link', 'POST /api/walks/:id/screens']);
    const kinds = told().flatMap(({ method, url }) =>
      Object.keys(operationOf(method, url)?.requestBody?.content ?? {}),
    );
    expect([...new Set(kinds)].toSorted()).toEqual([
      'application/json',
      'application/octet-stream',
      'application/zip',
    ]);
  });

  it('is read on a page whose scripts are all our own', async () => {
    const page = await b.app.inject({ method: 'GET', url: '/api/docs/' });
    expect(page.statusCode).toBe(200);
    expect(page.body).toContain('Fair Gable: the API');
    const policy = String(page.headers['content-security-policy']);
    expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
  });
});

interface Gives {
  readonly safeParse: (value: unknown) => unknown;
  readonly content?: Readonly<Record<string, { readonly schema: Gives }>>;
}

/** The schema of an answer, also where it is told by its media type. */
const asJson = (gives: unknown): Gives | undefined =>
  (gives as Gives | undefined)?.content?.['application/json']?.schema ??
  (gives as Gives | undefined);

describe('examples', () => {
  it('fit the schemas of their routes', () => {
    for (const route of told()) {
      const { response = {}, body: takes, example = {} } = route.schema ?? {};
      const { body, answer } = example;
      const gives = asJson(response['200'] ?? response['201']);
      if (body !== undefined) {
        expect([nameOf(route), takes?.safeParse(body)]).toEqual([
          nameOf(route),
          expect.objectContaining({ success: true }),
        ]);
      }
      if (answer !== undefined) {
        expect([nameOf(route), gives?.safeParse(answer)]).toEqual([
          nameOf(route),
          expect.objectContaining({ success: true }),
        ]);
      }
    }
  });
});

describe('a generated client', () => {
  it('type-checks, and refuses what the API would refuse', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fair-gable-client-'));
    try {
      symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
      const types = await openapiTS(document as never);
      writeFileSync(join(folder, 'api.ts'), astToString(types));
      writeFileSync(join(folder, 'client.ts'), client);
      const options = [
        '--noEmit',
        '--strict',
        '--skipLibCheck',
        '--module',
        'nodenext',
        '--target',
        'es2023',
        '--lib',
        'es2023,dom',
      ];
      const check = () =>
        execFileSync(join(root, 'node_modules/.bin/tsc'), [...options, 'client.ts'], {
          cwd: folder,
          stdio: 'pipe',
        });
      expect(() => check()).not.toThrow();
      writeFileSync(join(folder, 'client.ts'), client.replace("'measured'", "'heard'"));
      expect(() => check()).toThrow();
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

/** A program that a yard might write against the API. */
const client = `
import createClient from 'openapi-fetch';
import type { paths } from './api.js';

const api = createClient<paths>({ baseUrl: 'http://127.0.0.1:4780' });

export const weigh = async (unit: string, pounds: number, basedOn: number): Promise<string> => {
  await api.POST('/api/session', { body: { email: 'ines@thornquay.example', password: 'x' } });
  const { data: page } = await api.GET('/api/units', { params: { query: { sort: 'length', limit: 50 } } });
  const total: number = page?.total ?? 0;
  const { data, error } = await api.POST('/api/units/{id}/edits', {
    params: { path: { id: unit } },
    body: {
      id: crypto.randomUUID(),
      changes: [
        { part: 'specs', key: 'hitchWeight', value: { kind: 'quantity', amount: pounds }, how: 'measured', basedOn },
      ],
    },
  });
  if (error) return error.detail;
  return data.record.specs['hitchWeight']?.by ?? String(total);
};
`;
