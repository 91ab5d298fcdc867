import type {
  FastifyBaseLogger,
  FastifyInstance,
  FastifyTypeProvider,
  RawReplyDefaultExpression,
  RawRequestDefaultExpression,
  RawServerDefault,
} from 'fastify';
import type { z } from 'zod';
import type { DeepReadonly } from '@fair-gable/core/base/contract';

/** The core's Zod schemas as types: what comes in is as they say, and what goes out may be read-only. */
export interface Provider extends FastifyTypeProvider {
  readonly validator: this['schema'] extends z.ZodType ? z.output<this['schema']> : unknown;
  readonly serializer: this['schema'] extends z.ZodType
    ? DeepReadonly<z.input<this['schema']>>
    : unknown;
}

/** The application as capabilities see it. */
export type App = FastifyInstance<
  RawServerDefault,
  RawRequestDefaultExpression,
  RawReplyDefaultExpression,
  FastifyBaseLogger,
  Provider
>;
