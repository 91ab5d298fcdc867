import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import Fastify from 'fastify';
import { QueryFailedError } from 'typeorm';
import { apiVersion } from '@fair-gable/core/yard/outbox';
import { problemsPlugin, refusals } from '../src/base/problems/index.ts';
import { asker, bench, signedIn, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
});
afterAll(() => b.close());

/** The answer to a question while the database fails in a given way. */
const whileDatabaseFails = async (error: Error) => {
  const query = b.source.query.bind(b.source);
  b.source.query = () => Promise.reject(error);
  const answer = await ines('GET', '/api/session');
  b.source.query = query;
  return answer;
};

const pgError = (code: string): QueryFailedError =>
  new QueryFailedError('SELECT 1', [], Object.assign(new Error('could not extend file'), { code }));

describe('problem details', () => {
  it('have a status and a title for every code', () => {
    for (const { status, title } of Object.values(refusals)) {
      expect(status).toBeGreaterThanOrEqual(400);
      expect(title).toMatch(/^[A-Z].*[^.]$/);
    }
  });

  it('of a full disk say so', async () => {
    const { status, body } = await whileDatabaseFails(pgError('53100'));
    expect([status, body.code]).toEqual([507, 'disk-full']);
  });

  it('of anything unexpected say nothing of the inside', async () => {
    const { status, body, headers } = await whileDatabaseFails(new Error('secret table missing'));
    expect([status, body.code]).toEqual([500, 'unexpected']);
    expect(JSON.stringify(body)).not.toContain('secret');
    expect(headers['content-type']).toContain('application/problem+json');
  });

  it.each(['ECONNREFUSED', '57P01', '57P03', '08006'])(
    'of a database that is away (%s) say that nothing was lost',
    async (code) => {
      const { status, body } = await whileDatabaseFails(Object.assign(new Error('x'), { code }));
      expect([status, body.code]).toEqual([503, 'database-away']);
      expect(body.detail).toContain('Nothing was lost');
    },
  );

  it.each(['57014', '55P03'])(
    'of a statement that took too long, or waited too long (%s), say that it is tried again',
    async (code) => {
      const { status, body } = await whileDatabaseFails(pgError(code));
      expect([status, body.code]).toEqual([503, 'took-too-long']);
      expect(body.detail).toContain('will be sent again');
    },
  );

  it('of what a column cannot hold are the sender’s', async () => {
    const { status, body } = await whileDatabaseFails(pgError('22P05'));
    expect([status, body.code]).toEqual([400, 'bad-input']);
  });

  it('of a page of another version ask for it to be loaded again', async () => {
    const version = { 'fair-gable-version': '1' };
    const { status, body } = await ines('POST', '/api/units', {}, version);
    expect([status, body.code, body.version]).toEqual([409, 'other-version', apiVersion]);
    expect((await ines('GET', '/api/session', undefined, version)).status).toBe(200);
  });

  it('of an address that is not there are in words', async () => {
    const { status, body } = await asker(b.app)('GET', '/api/nothing');
    expect([status, body.detail]).toEqual([404, expect.stringMatching(/\.$/)]);
  });
});

describe('the log', () => {
  const logged = async (error: Error): Promise<string> => {
    const lines: string[] = [];
    const app = Fastify({ logger: { stream: { write: (line: string) => lines.push(line) } } });
    await app.register(problemsPlugin);
    app.get('/', () => {
      throw error;
    });
    await app.inject('/');
    await app.close();
    return lines.join('');
  };
  const isError = /"level":50/;

  it('has whatever is unexpected as an error, and no error where somebody only closed the page', async () => {
    expect(await logged(new Error('broken'))).toMatch(isError);
    const left = Object.assign(new Error('Premature close'), {
      code: 'ERR_STREAM_PREMATURE_CLOSE',
    });
    expect(await logged(left)).not.toMatch(isError);
    expect(await logged(left)).toContain('has left');
  });
});
