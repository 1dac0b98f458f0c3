import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compress from '@fastify/compress';
import files from '@fastify/static';
import fastify from 'fastify';
import { HEADERS, refuse, turnAway } from './headers.mjs';
import { hostsOf } from './hosts.mjs';
import { pairing } from './pairing.mjs';
import { FILE, HASHED, WORKER, workerPolicy } from './policy.mjs';
import { standIns } from './standins/socket.mjs';

const NOT_BUILT = 'Orvin is not built here. Stop the server and start it again with npm start, which builds it.';
/** @param {string} root folder of the built application */
export const isBuilt = (root) => existsSync(join(root, 'index.html'));

/**
 * The server of the built application. It holds no data: kitchens live in the browser. A simulated scale and probe for
 * trying out are all that it has of its own.
 *
 * @param {{ root: string, port: number, lan?: readonly string[], code?: string }} options root: folder of the built
 *   application; lan: names and addresses by which other devices in the house may come, once they are paired; code: what
 *   they pair with, made up when it is left out
 * @returns {Promise<import('fastify').FastifyInstance & { pairCode?: string }>}
 */
export async function makeApp({ root, port, lan, code }) {
  const hosts = hostsOf(port, lan);
  /** @type {import('fastify').FastifyInstance & { pairCode?: string }} */
  const app = fastify({
    logger: false,
    forceCloseConnections: true,
    routerOptions: { ignoreTrailingSlash: true },
    clientErrorHandler: (_, socket) => refuse(/** @type {import('node:net').Socket} */ (socket)),
    // an address that cannot be decoded reaches no hook
    frameworkErrors: (_, __, reply) => {
      const answer = /** @type {import('fastify').FastifyReply} */ (/** @type {unknown} */ (reply));
      void answer.code(400).headers(HEADERS).type('text/plain').send('Not understood.');
    },
  });

  app.addHook('onRequest', async (request, reply) => {
    reply.headers(HEADERS);
    const host = request.headers.host ?? '';
    // a site whose name is made to point here is not answered
    if (!hosts.known(host)) return turnAway(request, reply, 421, 'Not at this address.');
    // one origin, since a browser keeps a kitchen under the address it was made at
    if (hosts.aside(host)) return reply.redirect(`http://${hosts.canonical}${request.url}`, 308);
  });
  if (lan) {
    const local = /^(?:127\.|::1$|::ffff:127\.)/;
    const trusted = (/** @type {import('fastify').FastifyRequest} */ r) => local.test(r.ip) && hosts.own(r.headers.host ?? '');
    app.pairCode = pairing(app, { trusted, ...(code !== undefined && { code }) });
  } // prettier-ignore
  // files lie compressed beside themselves; what does not is compressed as it goes out
  const brotliOptions = { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } };
  await app.register(compress, { encodings: ['br', 'gzip'], threshold: 1024, brotliOptions });
  await app.register(files, {
    root,
    wildcard: true,
    cacheControl: false,
    preCompressed: true,
    setHeaders: (reply, path) => {
      const name = path
        .slice(root.length)
        .replaceAll('\\', '/')
        .replace(/\.(?:br|gz)$/, '');
      if (WORKER.test(name)) reply.header('content-security-policy', workerPolicy);
      // only a name that changes with what is in it can be kept without asking
      reply.header('cache-control', HASHED.test(name) ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  await standIns(app, { origin: (host) => (hosts.known(host) ? `http://${host}` : null) });
  app.get('/health', async (_, reply) => reply.header('cache-control', 'no-store').send({ ok: true }));
  app.setNotFoundHandler(async (request, reply) => {
    const path = request.url.split('?')[0] ?? '';
    const asks = request.method === 'GET' || request.method === 'HEAD';
    if (!asks || FILE.test(path)) return reply.code(404).type('text/plain').send('Not here.');
    if (!isBuilt(root)) return reply.code(503).type('text/plain').send(NOT_BUILT);
    return reply.header('cache-control', 'no-cache').sendFile('index.html');
  });
  return app;
}
