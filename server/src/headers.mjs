import helmet from 'helmet';
import { policy } from './policy.mjs';

/** @type {Record<string, string>} */
const collected = {};
helmet({
  contentSecurityPolicy: { useDefaults: false, directives: policy },
  crossOriginEmbedderPolicy: { policy: 'require-corp' },
  strictTransportSecurity: false,
})(
  /** @type {import('node:http').IncomingMessage} */ ({}),
  /** @type {import('node:http').ServerResponse} */ (
    /** @type {unknown} */ ({
      setHeader: (/** @type {string} */ name, /** @type {string} */ value) => (collected[name.toLowerCase()] = value),
      removeHeader: () => undefined,
    })
  ),
  () => undefined,
);

/** What every answer carries, whatever it is: also one to a request that could not be understood. */
export const HEADERS = Object.freeze({ ...collected });

/**
 * Sends somebody away in words. What asked for a socket is let go of as well, which nothing else would do.
 *
 * @param {import('fastify').FastifyRequest} request
 * @param {import('fastify').FastifyReply} reply
 * @param {number} code
 * @param {string} words
 */
export function turnAway(request, reply, code, words) {
  if (request.headers.upgrade !== undefined) reply.raw.once('finish', () => request.raw.socket.end());
  return reply.code(code).header('cache-control', 'no-store').type('text/plain').send(words);
}

/**
 * An answer to what is no HTTP at all.
 *
 * @param {import('node:net').Socket} socket
 */
export function refuse(socket) {
  if (!socket.writable) return void socket.destroy();
  const lines = Object.entries({
    ...HEADERS,
    'content-type': 'text/plain',
    'content-length': '15',
    connection: 'close',
  });
  socket.end(`HTTP/1.1 400 Bad Request\r\n${lines.map(([k, v]) => `${k}: ${v}\r\n`).join('')}\r\nNot understood.`);
}
