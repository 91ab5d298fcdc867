import type { FastifyError, FastifyInstance, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';
import { QueryFailedError } from 'typeorm';
import { Left, problemDetails, Refusal, refusals } from '../refusal/index.ts';

/** PostgreSQL's own codes. */
const uniqueViolation = '23505';
const diskFull = '53100';
/** A statement that was ended for its length, and a lock that was not given. */
const ended = /^(57014|55P03)$/;
/** Values that a column cannot hold, such as text with a zero byte. */
const dataException = /^22/;
/** Connections lost or refused, shutting down, starting up, too many: it may answer in a moment. */
const away = /^(08|57P0|53300|25P03|ECONN|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN)/;
const awayWords =
  /Connection terminated|Query read timeout|timeout exceeded when trying to connect|Client has encountered a connection error|not queryable|DataSource is not|Driver not Connected/i;

/** What a room adds to the words for what goes wrong: of its own tables and bodies. */
export interface OwnWords {
  /** Refusals by the names of the room's unique constraints. */
  readonly constraints?: Readonly<Record<string, Refusal>>;
  /** A sentence of the room's own for a body that its schema refused. */
  readonly refusedBody?: (body: unknown) => string | undefined;
}

declare module 'fastify' {
  interface FastifyInstance {
    /** Words of a room for what goes wrong in it. */
    ownWords: (words: OwnWords) => void;
  }
}

const fromValidation = (
  error: FastifyError,
  body: unknown,
  rooms: readonly OwnWords[],
): Refusal => {
  const first = error.validation?.[0];
  const path = first?.instancePath.split('/').filter(Boolean).join('.') ?? '';
  const plain = `${path || 'The input'}: ${first?.message ?? 'can’t be read'}. Correct it and send again; nothing was saved.`;
  const own = rooms.map(({ refusedBody }) => refusedBody?.(body)).find(Boolean);
  return new Refusal('bad-input', own ?? plain, { field: path });
};

interface Driver {
  readonly code?: string;
  readonly constraint?: string;
}

const fromDatabase = (error: FastifyError, rooms: readonly OwnWords[]): Refusal | undefined => {
  const driver: Driver =
    error instanceof QueryFailedError ? (error.driverError as Driver) : (error as Driver);
  const code = String(driver.code ?? '');
  if (code === uniqueViolation) {
    return rooms.map(({ constraints }) => constraints?.[driver.constraint ?? '']).find(Boolean);
  }
  if (code === diskFull) {
    return new Refusal(
      'disk-full',
      'The server’s disk is full and nothing was saved. Tell whoever runs it to free some space; what you typed is kept here.',
    );
  }
  if (ended.test(code)) {
    return new Refusal(
      'took-too-long',
      'The server is busy with a long job for this yard. Nothing was lost: what you typed is still here and will be sent again.',
    );
  }
  if (error instanceof QueryFailedError && dataException.test(code)) {
    return new Refusal(
      'bad-input',
      'The input has a character or number that cannot be stored. Correct it and send again; nothing was saved.',
    );
  }
  if (away.test(code) || awayWords.test(error.message)) {
    return new Refusal(
      'database-away',
      'The database does not answer at the moment. Nothing was lost: what you typed is kept here, and is sent when it is back.',
    );
  }
  return undefined;
};

const size = (bytes: number): string =>
  bytes < 1_000_000 ? `${bytes / 1000} kB` : `${bytes / 1_000_000} MB`;

const toRefusal = (
  error: FastifyError,
  { body, routeOptions }: FastifyRequest,
  rooms: readonly OwnWords[],
): Refusal => {
  if (error instanceof Refusal) return error;
  if (hasZodFastifySchemaValidationErrors(error)) return fromValidation(error, body, rooms);
  const fromIt = fromDatabase(error, rooms);
  if (fromIt) return fromIt;
  if (error.statusCode === 429) return new Refusal('too-many', error.message);
  if (error.statusCode === 413) {
    return new Refusal(
      'too-large',
      `The input is larger than ${size(routeOptions.bodyLimit)}. Send less at once; nothing was saved.`,
    );
  }
  if (error.statusCode && error.statusCode < 500) {
    return new Refusal('bad-input', 'The request can’t be read. Nothing was saved.');
  }
  return new Refusal(
    'unexpected',
    'Something went wrong on the server. Nothing was saved; try again.',
  );
};

/** Whoever asked closed the page before the answer was out: no fault of ours, and nobody reads what is said of it. */
const hasLeft = (error: FastifyError): boolean =>
  error instanceof Left || error.code === 'ERR_STREAM_PREMATURE_CLOSE';

/** Every error leaves as problem details; unexpected ones are logged and answered generically. */
export const problemsPlugin = fp(
  async (app: FastifyInstance) => {
    const rooms: OwnWords[] = [];
    app.decorate('ownWords', (words) => void rooms.push(words));
    app.setErrorHandler((error: FastifyError, request, reply) => {
      const refusal = toRefusal(error, request, rooms);
      if (hasLeft(error)) request.log.info('whoever asked has left');
      else if (refusals[refusal.code].status >= 500) request.log.error(error);
      const details = problemDetails(refusal);
      if (typeof refusal.more['wait'] === 'number')
        void reply.header('retry-after', refusal.more['wait']);
      // Not by the schema of the route's own answers.
      return reply
        .status(details.status)
        .type('application/problem+json')
        .serializer(JSON.stringify)
        .send(details);
    });
  },
  { name: 'problems' },
);

/** The answer to an address that is not there. */
export const refuseAddress = (): never => {
  throw new Refusal(
    'not-found',
    'There is nothing at this address. Go back to where you came from.',
  );
};
