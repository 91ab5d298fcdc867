import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { dayIn, daysAfter } from '@fair-gable/core/base/dates';
import type { Session } from '@fair-gable/core/yard/people';
import { bench, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let maren: Asker;
let una: Asker;
beforeAll(async () => {
  b = await bench();
  maren = await signedIn(b.app, 'maren@thornquay.example');
  una = await signedIn(b.app, 'una@other.example');
});
afterAll(() => b.close());

const sessionOf = async (somebody: Asker): Promise<Session> =>
  (await somebody('GET', '/api/session')).body;
const stand = async (timeZone: string, somebody = maren): Promise<void> => {
  const { name, system } = (await sessionOf(somebody)).yard;
  const { status } = await somebody('PUT', '/api/yard', { name, system, timeZone });
  expect(status).toBe(204);
};

/** Two places where it is never the same day: UTC−11 and UTC+14, by the IANA time zone database. */
const [west, east] = ['Pacific/Pago_Pago', 'Pacific/Kiritimati'] as const;

describe('a yard’s clock', () => {
  it('says where the yard stands, and the database’s time', async () => {
    await stand(west);
    const { yard, now } = await sessionOf(maren);
    expect(yard.timeZone).toBe(west);
    const [row] = await b.source.query('SELECT clock_timestamp() AS now');
    expect(Math.abs(row.now.getTime() - Date.parse(now))).toBeLessThan(60_000);
  });

  it('is one of the list', async () => {
    const { name, system } = (await sessionOf(maren)).yard;
    const answer = await maren('PUT', '/api/yard', { name, system, timeZone: 'Mars/Olympus' });
    expect([answer.status, answer.body.detail]).toEqual([
      400,
      expect.stringContaining('Time zone: choose one from the list'),
    ]);
  });

  it.each([west, east])('keeps buyers from the day it is there: %s', async (zone) => {
    await stand(zone);
    const { yard, now } = await sessionOf(maren);
    const id = randomUUID();
    const { body } = await maren('PUT', `/api/buyers/${id}`, {
      id,
      name: 'Orla Tamm',
      phone: '555 0100',
    });
    expect(body.keepUntil).toBe(daysAfter(dayIn(now, zone), yard.keepBuyers));
  });

  it('forgets where the day is over, and nowhere else', async () => {
    await stand(east, maren);
    await stand(west, una);
    const today = dayIn((await sessionOf(una)).now, west);
    const kept = async (somebody: Asker): Promise<string> => {
      const id = randomUUID();
      await somebody('PUT', `/api/buyers/${id}`, { id, name: 'Orla Tamm', phone: '555 0100' });
      // The last day of both, by the western yard: in the east it was yesterday.
      await b.source.query('UPDATE buyer SET keep_until = $2 WHERE id = $1', [id, today]);
      return id;
    };
    const [eastern, western] = [await kept(maren), await kept(una)];
    await b.app.keepHouse();
    expect((await maren('GET', `/api/buyers/${eastern}`)).status).toBe(404);
    expect((await una('GET', `/api/buyers/${western}`)).status).toBe(200);
  });

  it('dates what is written to the maker by the yard’s day', async () => {
    const { id } = await unitNamed(maren, 'TQ-0417');
    const dates = async (zone: string): Promise<readonly string[]> => {
      await stand(zone);
      const { body } = await maren('GET', `/api/units/${id}/as-ordered.csv`);
      return [...String(body).matchAll(/\d{4}-\d\d-\d\d/g)].map(([day]) => day);
    };
    const [there, here] = [await dates(east), await dates(west)];
    expect(there.length).toBeGreaterThan(0);
    // Most of the demo was written in the afternoon, Greenwich time: in the east that is the day after.
    expect(there.some((day, i) => day > (here[i] ?? ''))).toBe(true);
  });

  it('is in the yard’s history when it is set', async () => {
    await stand('America/Denver');
    await stand('America/Boise');
    const { changes } = (await maren('GET', '/api/yard/history')).body;
    expect(changes[0]).toMatchObject({
      what: 'time-zone',
      from: 'America/Denver',
      to: 'America/Boise',
      by: 'Maren Holt',
    });
  });
});
