import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { Point } from '@fair-gable/core/show/cards';
import type { WalkPlan } from '@fair-gable/core/show/walk';
import type { KeptWalk } from '../src/base/device/index.ts';

/** The server as these tests see it: what it was sent, and how it answers. */
export interface FakeServer {
  readonly sent: { method: string; path: string; body: unknown }[];
  /** undefined: out of reach. */
  answer:
    | ((path: string, method: string, body: unknown) => { status: number; body?: unknown })
    | undefined;
}

/** What was sent: JSON taken apart, bytes as they are. */
const bodyOf = (body: unknown): unknown => {
  if (body === undefined) return undefined;
  return body instanceof ArrayBuffer ? new Uint8Array(body) : JSON.parse(String(body));
};

export const fakeServer = (): FakeServer => {
  const server: FakeServer = { sent: [], answer: () => ({ status: 204 }) };
  globalThis.fetch = jest.fn(async (path: unknown, init?: { method?: string; body?: unknown }) => {
    if (!server.answer) throw new TypeError('Failed to fetch');
    const method = init?.method ?? 'GET';
    const sentBody = bodyOf(init?.body);
    const { status, body } = server.answer(String(path), method, sentBody);
    server.sent.push({ method, path: String(path), body: sentBody });
    return new Response(body === undefined ? null : JSON.stringify(body), { status });
  }) as unknown as typeof fetch;
  return server;
};

/** A page as it is after a load: new stores, the same device. */
export const newPage = (): void => {
  setActivePinia(createPinia());
};

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const card = (id: string, station: Point['station']): Point => ({
  id,
  station,
  label: id,
  sentence: `Say ${id}.`,
  numbers: [],
  seconds: 10,
});

export const cards: readonly Point[] = [
  card('h1', 'hitch'),
  card('h2', 'hitch'),
  card('u1', 'utilities'),
];

export const planOf = (n: number): WalkPlan => ({
  id: uuid(n),
  unit: uuid(900),
  minutes: 5,
  points: [...cards],
});

export const keptWalk = (plan: WalkPlan): KeptWalk => ({
  plan,
  events: [],
  unitName: 'Fenlark',
  anchor: { elapsed: 0, at: Date.now() },
});
