import { describe, expect, it } from '@jest/globals';
import { ask, pathOf } from '../src/base/api/client.ts';
import { fakeServer } from './support.ts';

describe('an address', () => {
  it.each([
    ['/api/units/:id', { params: { id: 'a/b?c' } }, '/api/units/a%2Fb%3Fc'],
    [
      '/api/units',
      { query: { limit: 50, from: 0, text: undefined } },
      '/api/units?limit=50&from=0',
    ],
    ['/api/units', { query: { text: 'two & three' } }, '/api/units?text=two+%26+three'],
    ['/api/units', { query: {} }, '/api/units'],
    ['/api/a/:id/b/:other', { params: { id: 1, other: 'x' } }, '/api/a/1/b/x'],
  ])('of %s has its values put in', (url, given, path) => {
    expect(pathOf(url, given)).toBe(path);
  });
});

describe('asking', () => {
  it('goes by the route’s name, with a body where it takes one', async () => {
    const server = fakeServer();
    server.answer = () => ({ status: 200, body: { version: 2 } });
    const followUp = { id: 'f', walk: 'w', unit: 'u', kind: 'call', text: 'Call', due: '2026-04-14', who: 'Ines' } as const; // prettier-ignore
    const given = { params: { id: 'f' }, body: { followUp, basedOn: 1 } };
    expect(await ask('PUT /api/follow-ups/:id', given)).toEqual({ version: 2 });
  });
});
