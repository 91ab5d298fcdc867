import type { AnswerOf, GivenTo, Method, RouteName } from '@fair-gable/core/base/contract';
import { apiVersion } from '@fair-gable/core/yard/outbox';
import type { Routes } from './routes.ts';

/** An error whose message was written for people. */
export class Plain extends Error {}

/** What the server refused, in its own words. */
export class Refused extends Plain {
  constructor(
    readonly status: number,
    readonly code: string,
    detail: string,
    readonly more: Readonly<Record<string, unknown>>,
  ) {
    super(detail);
  }
}

/** The server was not reached; nothing is known of what it would have said. */
export class NoNetwork extends Plain {
  constructor() {
    super(
      'The server isn’t answering. What you typed is still here; try again when you’re connected.',
    );
  }
}

/** Told when the server knows this browser no more: signed out elsewhere, taken off the yard, or run out. */
const lapses = new Set<() => void>();
export const onLapse = (told: () => void): void => void lapses.add(told);

/** Somebody pressed Stop. What the server had done by then stays done. */
export class Stopped extends Plain {
  constructor() {
    super('Stopped. If it wasn’t finished by then, nothing was added. Check the yard’s list.');
  }
}

const answersWithin = 20_000;

/** How something is sent that may take long. */
export interface Sending {
  readonly signal?: AbortSignal;
  /** Past this nobody waits for it, ms. */
  readonly within?: number;
  /** Under which its progress is told. */
  readonly work?: string;
}

const asRefused = async (response: Response): Promise<Refused> => {
  const details = (await response.json().catch(() => ({}))) as Record<string, unknown>;
  const detail = typeof details['detail'] === 'string' ? details['detail'] : response.statusText;
  return new Refused(response.status, String(details['code'] ?? 'unexpected'), detail, details);
};

interface Sent {
  readonly type: string;
  readonly content: BodyInit;
}

const send = async <T>(
  method: Method,
  path: string,
  sent?: Sent,
  { signal, within = answersWithin, work }: Sending = {},
): Promise<T> => {
  const headers: Record<string, string> = {
    accept: 'application/json',
    'fair-gable-version': String(apiVersion),
    ...(work ? { 'fair-gable-work': work } : {}),
  };
  // Where a network swallows everything, nobody waits for ever.
  const late = AbortSignal.timeout(within);
  const init: RequestInit = {
    method,
    headers,
    signal: signal ? AbortSignal.any([signal, late]) : late,
  };
  if (sent) {
    init.body = sent.content;
    headers['content-type'] = sent.type;
  }
  const response = await fetch(path, init).catch(() => {
    throw signal?.aborted ? new Stopped() : new NoNetwork();
  });
  if (!response.ok) {
    const refused = await asRefused(response);
    if (refused.code === 'not-signed-in') for (const told of lapses) told();
    throw refused;
  }
  return (response.status === 204 ? undefined : await response.json()) as T;
};

type Values = Readonly<Record<string, unknown>>;

/** What a route may be given, as it is before its types are looked at. */
interface Given {
  readonly params?: Values;
  readonly query?: Values;
  readonly body?: unknown;
}

/** The address of a route with its values put in. @example pathOf('/api/units/:id', { params: { id: 'a' } }) // '/api/units/a' */
export const pathOf = (url: string, { params = {}, query = {} }: Given): string => {
  const path = url.replaceAll(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(String(params[name])),
  );
  const asked = Object.entries(query).filter(([, value]) => value !== undefined);
  const words = new URLSearchParams(asked.map(([name, value]) => [name, String(value)]));
  return asked.length > 0 ? `${path}?${words}` : path;
};

/** What must be given may not be left out. */
type Args<G> = Given extends G ? [given?: G, as?: Sending] : [given: G, as?: Sending];

/**
 * Asks the server by a route of the contract: what it takes and what it answers is the core's to say.
 * @returns the answer's body; undefined where it has none
 * @throws Refused with the server's sentence; NoNetwork when it was not reached
 * @example const { walks } = await ask('GET /api/units/:id/walks', { params: { id } });
 */
export const ask = <N extends RouteName & keyof Routes>(
  name: N,
  ...[given = {} as GivenTo<Routes[N]>, as]: Args<GivenTo<Routes[N]>>
): Promise<AnswerOf<Routes[N]>> => {
  const [method, url] = name.split(' ') as [Method, string];
  const { body } = given as Given;
  return send(
    method,
    pathOf(url, given as Given),
    body === undefined ? undefined : { type: 'application/json', content: JSON.stringify(body) },
    as,
  );
};

/** Sends a piece of something. @throws Refused, NoNetwork */
export const sendBytes = <N extends RouteName & keyof Routes>(
  name: N,
  given: GivenTo<Routes[N]>,
  bytes: ArrayBuffer,
): Promise<AnswerOf<Routes[N]>> => {
  const [method, url] = name.split(' ') as [Method, string];
  const sent = { type: 'application/octet-stream', content: bytes };
  return send(method, pathOf(url, given as Given), sent);
};

/** Sends a file as it is. @throws Refused, NoNetwork, Stopped */
export const sendFile = <N extends RouteName & keyof Routes>(
  name: N,
  file: Blob,
  type: string,
  as?: Sending,
): Promise<AnswerOf<Routes[N]>> => {
  const [method, url] = name.split(' ') as [Method, string];
  return send(method, url, { type, content: file }, as);
};

/** Any error as a sentence to show. */
export const reasonOf = (error: unknown): string =>
  error instanceof Plain
    ? error.message
    : 'Something went wrong on this page. Reload it; everything saved is safe.';
