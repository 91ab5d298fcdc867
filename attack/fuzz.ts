import { Worker } from 'node:worker_threads';
import fc from 'fast-check';
import { Client } from 'pg';
import { may, type Right, type Role, roles } from '@fair-gable/core/base/rights';
import { asker, type Answer, type Ask } from './asker.ts';
import { openGround, type Ground, type Memory } from './ground.ts';
import { makeOtherYard, marker, sumsOf, type OtherYard } from './other-yard.ts';
import { requestsTo, routesIn, type Request, type Route } from './requests.ts';

/** Whoever wants another run gives another seed; the same one sends the same requests. */
const seed = Number(process.env['ATTACK_SEED'] ?? 20261128);
const requests = Number(process.env['ATTACK_REQUESTS'] ?? 100_000);
/** Requests to each route in a round, so many at once. */
const each = 10;
const atOnce = 8;
/** Longer than this nobody waits for health, ms. */
const freeze = 1000;
/** What a process may have more at the end than after it had warmed up, MB. */
const memoryMore = { heap: 40, outside: 80 };
const warmRounds = 5;
const password = 'spring-ferry-22';
const mostTold = 30;

const demoPeople: Readonly<Record<Role, string>> = {
  manager: 'maren',
  specialist: 'ines',
  technician: 'bram',
  guest: 'ivo',
  viewer: 'osk',
};
const emailOf = (role: Role): string => `${demoPeople[role]}@thornquay.example`;

interface Caller {
  /** null: nobody, who has not signed in. */
  readonly role: Role | null;
  readonly ask: Ask;
}

interface Attack {
  readonly ground: Ground;
  readonly database: Client;
  readonly callers: readonly Caller[];
  readonly other: OtherYard;
  readonly routes: readonly Route[];
  readonly failures: Set<string>;
  /** How often each status was answered: a run in which nothing gets through has tried nothing. */
  readonly statuses: Map<number, number>;
}

/** People whose rights end the attack for others: what it does to them is put right between the rounds. */
const keptPeople = async (database: Client) => {
  const emails = roles.map(emailOf);
  const { rows: people } = await database.query(
    `SELECT p.id, p.name, p.email, p.password_hash, m.yard_id, m.role FROM person p JOIN membership m ON m.person_id = p.id
     WHERE p.email = ANY ($1)`,
    [emails],
  );
  return async (): Promise<void> => {
    await database.query('DELETE FROM sign_in_try');
    for (const { id, name, email, password_hash: hash, yard_id: yard, role } of people) {
      await database.query(
        `INSERT INTO person (id, name, email, password_hash) VALUES ($1, $2, $3, $4)
         ON CONFLICT (id) DO UPDATE SET name = $2, password_hash = $4`,
        [id, name, email, hash],
      );
      await database.query(
        `INSERT INTO membership (yard_id, person_id, role) VALUES ($1, $2, $3)
         ON CONFLICT (yard_id, person_id) DO UPDATE SET role = $3`,
        [yard, id, role],
      );
    }
  };
};

/** What somebody is by now: a manager among the callers may have made them another. */
const roleNow = async ({ database }: Attack, role: Role | null): Promise<Role | null> => {
  if (role === null) return null;
  const { rows } = await database.query(
    `SELECT m.role FROM membership m JOIN person p ON p.id = m.person_id WHERE p.email = $1`,
    [emailOf(role)],
  );
  return (rows[0]?.role as Role | undefined) ?? null;
};

const mayCall = (role: Role | null, { right }: Route): boolean =>
  right === 'anyone' || (role !== null && may(role, right as Right));

/** What is wrong with an answer; undefined where nothing is. */
const faultOf = (caller: Caller, route: Route, answer: Answer): string | undefined => {
  const who = caller.role ?? 'nobody';
  const name = `${route.method} ${route.path}`;
  if (answer.status >= 500)
    return `${name} answered ${answer.status} to ${who}: ${answer.text.slice(0, 300)}`;
  if (answer.text.includes(marker)) return `${name} told ${who} of another yard`;
  if (answer.status >= 400 && !answer.type.startsWith('application/problem+json')) {
    return `${name} answered ${answer.status} as ${answer.type || 'nothing'}`;
  }
  return undefined;
};

const sendOne = async (
  attack: Attack,
  caller: Caller,
  route: Route,
  { path, sent }: Request,
): Promise<void> => {
  const { failures, statuses } = attack;
  try {
    const answer = await caller.ask.raw(route.method, path, sent);
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    const fault = faultOf(caller, route, answer);
    if (fault) failures.add(fault);
    const isIn = answer.status < 300 && !mayCall(caller.role, route);
    if (isIn && !mayCall(await roleNow(attack, caller.role), route)) {
      failures.add(`${route.method} ${route.path} let ${caller.role ?? 'nobody'} in`);
    }
  } catch (error) {
    failures.add(`${route.method} ${route.path} broke the connection: ${String(error)}`);
  }
};

/** Some work, so many at once. */
const together = async (work: readonly (() => Promise<void>)[]): Promise<void> => {
  const left = [...work];
  const one = async (): Promise<void> => {
    for (let next = left.pop(); next; next = left.pop()) await next();
  };
  await Promise.all(Array.from({ length: atOnce }, one));
};

/** Signs in again whoever was signed out by the round before. */
const comeBack = async (callers: readonly Caller[], repair: () => Promise<void>): Promise<void> => {
  await repair();
  for (const { role, ask } of callers) {
    if (role && (await ask('GET', '/api/session')).status !== 200) {
      await ask.signIn(emailOf(role), password);
    }
  }
};

/** Ids of what the yard has by now. */
const knownIds = async (
  callers: readonly Caller[],
  other: OtherYard,
): Promise<readonly string[]> => {
  const manager = callers.find(({ role }) => role === 'manager') as Caller;
  const lists = await Promise.all(
    [
      '/api/units?limit=20',
      '/api/walks?take=5',
      '/api/model-sheets',
      '/api/people',
      '/api/buyers',
      '/api/follow-ups',
    ].map(async (path) => (await manager.ask('GET', path)).text),
  );
  const own = lists.flatMap((text) =>
    [...text.matchAll(/"id":"([0-9a-f-]{36})"/g)].slice(0, 12).map(([, id]) => id as string),
  );
  return [...own, ...other.ids];
};

const round = async (attack: Attack, number: number): Promise<number> => {
  const { callers, routes, other } = attack;
  const known = await knownIds(callers, other);
  const work = routes.flatMap((route, r) =>
    fc
      .sample(requestsTo(route, known), { seed: seed + number * 1009 + r, numRuns: each })
      .map(
        (request, i) => () =>
          sendOne(attack, callers[(number + r + i) % callers.length] as Caller, route, request),
      ),
  );
  await together(work);
  return work.length;
};

const open = async (): Promise<Attack> => {
  const ground = await openGround();
  const database = new Client({ connectionString: ground.url });
  await database.connect();
  const callers: readonly Caller[] = [...roles, null].map((role) => ({
    role,
    ask: asker(ground.address),
  }));
  for (const { role, ask } of callers) if (role) await ask.signIn(emailOf(role), password);
  const manager = callers.find(({ role }) => role === 'manager') as Caller;
  const told = { address: ground.address, manager: manager.ask };
  const other = await makeOtherYard(told, database);
  const routes = routesIn((await manager.ask('GET', '/api/openapi.json')).body);
  return { ground, database, callers, other, routes, failures: new Set(), statuses: new Map() };
};

interface Watched {
  readonly slowest: number;
  readonly asked: number;
  readonly failed: number;
}

/** Asks for health beside all this. @returns how to end it, and what it saw */
const watching = (address: string): (() => Promise<Watched>) => {
  const thread = new Worker(new URL('./health-thread.mjs', import.meta.url), {
    workerData: address,
  });
  return async () => {
    const seen = new Promise<Watched>((resolve) => thread.once('message', resolve));
    thread.postMessage('end');
    const watched = await seen;
    await thread.terminate();
    return watched;
  };
};

const judged = (
  attack: Attack,
  {
    warm,
    end,
    watched,
    before,
    after,
  }: {
    readonly warm: Memory;
    readonly end: Memory;
    readonly watched: Watched;
    readonly before: Readonly<Record<string, string>>;
    readonly after: Readonly<Record<string, string>>;
  },
): readonly string[] => {
  const changed = Object.keys(before).filter((table) => before[table] !== after[table]);
  return [
    ...[...attack.failures].slice(0, mostTold),
    ...changed.map((table) => `another yard’s ${table} changed`),
    ...(watched.slowest > freeze ? [`health took ${Math.round(watched.slowest)} ms`] : []),
    ...(watched.failed > 0 ? [`health was bad ${watched.failed} times`] : []),
    ...(end.heap > warm.heap + memoryMore.heap
      ? [`the heap grew from ${warm.heap} to ${end.heap} MB`]
      : []),
    ...(end.outside > warm.outside + memoryMore.outside
      ? [`memory beside the heap grew from ${warm.outside} to ${end.outside} MB`]
      : []),
  ];
};

/** A hundred thousand requests over all routes and roles. @returns what did not hold */
export const fuzz = async (): Promise<readonly string[]> => {
  const attack = await open();
  const { ground, database, callers, other } = attack;
  try {
    const repair = await keptPeople(database);
    const before = await sumsOf(database, other.id);
    const end = watching(ground.address);
    const began = Date.now();
    let [sent, number] = [0, 0];
    let warm = await ground.memory();
    for (; sent < requests && !ground.isGone(); number += 1) {
      if (number === warmRounds) warm = await ground.memory();
      sent += await round(attack, number);
      await comeBack(callers, repair);
      if (number % 10 === 0) console.log(`  ${sent} requests, ${attack.failures.size} faults`);
    }
    const watched = await end();
    const last = await ground.memory();
    const after = await sumsOf(database, other.id);
    const seconds = Math.round((Date.now() - began) / 1000);
    console.log(
      `  ${sent} requests to ${attack.routes.length} routes as ${callers.length} in ${seconds} s (seed ${seed}); health asked ${watched.asked} times, slowest ${Math.round(watched.slowest)} ms; heap ${warm.heap} → ${last.heap} MB, beside it ${warm.outside} → ${last.outside} MB`,
    );
    const statuses = [...attack.statuses].toSorted(([a], [b]) => a - b);
    console.log(`  answers: ${statuses.map(([status, n]) => `${n} × ${status}`).join(', ')}`);
    return judged(attack, { warm, end: last, watched, before, after });
  } finally {
    await database.end();
    await ground.close();
  }
};
