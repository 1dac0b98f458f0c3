import { constants } from 'node:zlib';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import files from '@fastify/static';
import fastify from 'fastify';
import { standIns } from './standins/socket.mjs';
import { FILE, policy, UNHASHED, WORKER, workerPolicy } from './policy.mjs';

/**
 * The server of the built application. It holds no data: kitchens live in the browser. A simulated scale and probe for
 * trying out are all that it has of its own.
 *
 * @param {{ root: string, port: number, lan?: boolean }} options root: folder of the built application
 */
export async function makeApp({ root, port, lan = false }) {
  const app = fastify({ logger: false, forceCloseConnections: true });
  const canonical = `http://localhost:${port}`;

  // one origin, since a browser keeps a kitchen under the address it was made at
  app.addHook('onRequest', async (request, reply) => {
    const host = request.headers.host ?? '';
    if (!lan && /^127\.0\.0\.1(?::|$)|^\[::1\](?::|$)/.test(host))
      return reply.redirect(`${canonical}${request.url}`, 308);
  });
  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: policy },
    crossOriginEmbedderPolicy: { policy: 'require-corp' },
    strictTransportSecurity: false,
  });
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
      reply.header('cache-control', UNHASHED.test(name) ? 'no-cache' : 'public, max-age=31536000, immutable');
    },
  });
  await standIns(app, { origins: (host) => (lan ? [canonical, `http://${host}`] : [canonical]) });
  app.get('/health', async () => ({ ok: true }));
  app.setNotFoundHandler(async (request, reply) => {
    const path = request.url.split('?')[0] ?? '';
    if (request.method !== 'GET' || FILE.test(path)) return reply.code(404).type('text/plain').send('Not here.');
    return reply.header('cache-control', 'no-cache').sendFile('index.html');
  });
  return app;
}
