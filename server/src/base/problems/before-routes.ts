import { STATUS_CODES } from 'node:http';
import type { Socket } from 'node:net';
import type { FastifyServerOptions } from 'fastify';
import { problemDetails, Refusal } from '../refusal/index.ts';

const type = 'application/problem+json';

/** An address that no route can have: too long, or with an escape that says nothing. */
const strangeAddress = problemDetails(
  new Refusal(
    'not-found',
    'There is nothing at this address: it is too long, or not written as addresses are. Go back to where you came from.',
  ),
);

const statusOf = (code: string | undefined): number => {
  if (code === 'HPE_HEADER_OVERFLOW') return 431;
  return code === 'ERR_HTTP_REQUEST_TIMEOUT' ? 408 : 400;
};

const noRequest = (status: number): string =>
  JSON.stringify({
    ...problemDetails(
      new Refusal('bad-input', 'The request can’t be read. Nothing was saved; send it again.'),
    ),
    status,
  });

/** Answers as problem details to what never comes to a route; for Fastify's own options. */
export const beforeRoutes = {
  frameworkErrors: (_error, _request, reply) => {
    const { raw } = reply;
    raw.writeHead(strangeAddress.status, { 'content-type': type });
    raw.end(JSON.stringify(strangeAddress));
  },
  clientErrorHandler: (error: NodeJS.ErrnoException, socket: Socket) => {
    if (error.code === 'ECONNRESET' || !socket.writable) return void socket.destroy();
    const status = statusOf(error.code);
    const body = noRequest(status);
    socket.end(
      `HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\nContent-Type: ${type}\r\nContent-Length: ${Buffer.byteLength(body)}\r\nConnection: close\r\n\r\n${body}`,
    );
  },
} satisfies Pick<FastifyServerOptions, 'frameworkErrors' | 'clientErrorHandler'>;
