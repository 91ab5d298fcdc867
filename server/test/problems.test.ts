import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { QueryFailedError } from 'typeorm';
import { refusals } from '../src/problems/index.ts';
import { asker, bench, type Bench } from './support.ts';

let b: Bench;
beforeAll(async () => {
  b = await bench();
});
afterAll(() => b.close());

/** The answer to a health check while the database fails in a given way. */
const whileDatabaseFails = async (error: Error) => {
  const query = b.source.query.bind(b.source);
  b.source.query = () => Promise.reject(error);
  const answer = await asker(b.app)('GET', '/api/health');
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

  it('of an address that is not there are in words', async () => {
    const { status, body } = await asker(b.app)('GET', '/api/nothing');
    expect([status, body.detail]).toEqual([404, expect.stringMatching(/\.$/)]);
  });
});
