import type { FastifyError, FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';
import { QueryFailedError } from 'typeorm';
import { sentence } from '@fair-gable/core/base/problems';
import { featureEntry, isFeatureKey, isSpecKey, specEntry } from '@fair-gable/core/unit/catalog';
import { changeProblem } from '@fair-gable/core/unit/record';
import type { Change } from '@fair-gable/core/unit/record';
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

const constraintRefusals: Readonly<Record<string, Refusal>> = {
  unit_stock_number: new Refusal(
    'stock-number-taken',
    'Stock number: another unit in stock has it. Give this one another, or correct the other one first.',
  ),
  unit_vin: new Refusal(
    'vin-taken',
    'VIN: another unit in stock has it. Read both labels again; one was misread or entered twice.',
  ),
  model_sheet_model: new Refusal(
    'sheet-taken',
    'This yard has a sheet of that series, floor plan and year already. Change that one, or give this one another floor plan or year.',
  ),
};

const fieldLabel = (key: string): string => {
  if (isSpecKey(key)) return specEntry(key).label;
  return isFeatureKey(key) ? featureEntry(key).label : key;
};

/** The sentence for a change that the catalogue cannot take, by the core's own wording. */
const changeSentence = (body: unknown): string | undefined => {
  const changes = (body as { changes?: Change[] } | null)?.changes;
  if (!Array.isArray(changes)) return undefined;
  for (const change of changes) {
    try {
      const problem = changeProblem(change);
      if (problem) return sentence(fieldLabel(change.key), problem);
    } catch {
      return undefined;
    }
  }
  return undefined;
};

const fromValidation = (error: FastifyError, body: unknown): Refusal => {
  const first = error.validation?.[0];
  const path = first?.instancePath.split('/').filter(Boolean).join('.') ?? '';
  const plain = `${path || 'The input'}: ${first?.message ?? 'cannot be read'}. Correct it and send again; nothing was saved.`;
  return new Refusal('bad-input', changeSentence(body) ?? plain, { field: path });
};

interface Driver {
  readonly code?: string;
  readonly constraint?: string;
}

const fromDatabase = (error: FastifyError): Refusal | undefined => {
  const driver: Driver =
    error instanceof QueryFailedError ? (error.driverError as Driver) : (error as Driver);
  const code = String(driver.code ?? '');
  if (code === uniqueViolation) return constraintRefusals[driver.constraint ?? ''];
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

const toRefusal = (error: FastifyError, body: unknown): Refusal => {
  if (error instanceof Refusal) return error;
  if (hasZodFastifySchemaValidationErrors(error)) return fromValidation(error, body);
  const fromIt = fromDatabase(error);
  if (fromIt) return fromIt;
  if (error.statusCode === 429) return new Refusal('too-many', error.message);
  if (error.statusCode === 413) {
    return new Refusal(
      'too-large',
      'The input is larger than 2 MB. Send less at once; nothing was saved.',
    );
  }
  if (error.statusCode && error.statusCode < 500) {
    return new Refusal('bad-input', 'The request cannot be read. Nothing was saved.');
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
export const problemsPlugin = fp(async (app: FastifyInstance) => {
  app.setErrorHandler((error: FastifyError, request, reply) => {
    const refusal = toRefusal(error, request.body);
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
});

/** The answer to an address that is not there. */
export const refuseAddress = (): never => {
  throw new Refusal(
    'not-found',
    'There is nothing at this address. Go back to where you came from.',
  );
};
