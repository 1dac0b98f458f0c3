import websocket from '@fastify/websocket';
import { Benches } from './bench.mjs';
import { wishOf } from './messages.mjs';

/** What may come in at once, bytes: a bake with its tin is the largest. */
const MOST_BYTES = 64 * 1024;

/**
 * The socket at which a page finds the simulated scale and probe of its kitchen.
 *
 * @param {import('fastify').FastifyInstance} app
 * @param {{ origins: (host: string) => string[] }} options which pages may use it
 */
export async function standIns(app, { origins }) {
  const benches = new Benches();
  await app.register(websocket, { options: { maxPayload: MOST_BYTES } });
  app.addHook('onClose', async () => benches.close());
  // another site's page could otherwise play with this kitchen
  app.addHook('onRequest', async (request, reply) => {
    if (request.url.split('?')[0] !== '/devices') return;
    const allowed = origins(request.headers.host ?? '');
    if (!allowed.includes(request.headers.origin ?? '')) return reply.code(403).type('text/plain').send('Not from there.');
  }); // prettier-ignore
  app.get('/devices', { websocket: true }, (socket, request) => {
    const key = /** @type {{ kitchen?: unknown }} */ (request.query).kitchen;
    const bench = typeof key === 'string' && /^[\w.-]{1,80}$/.test(key) ? benches.get(key) : null;
    if (!bench) {
      socket.close(1008, key === undefined ? 'which kitchen?' : 'no room for another kitchen');
      return;
    }
    const say = (/** @type {object} */ message) => {
      if (socket.readyState === socket.OPEN) socket.send(JSON.stringify(message));
    };
    const leave = bench.listen(say);
    socket.on('close', leave);
    socket.on('error', () => socket.terminate());
    socket.on('message', (/** @type {Buffer} */ data, /** @type {boolean} */ binary) => {
      const read = binary ? { problem: 'This message is no text.' } : wishOf(data.toString());
      const problem = 'problem' in read ? read.problem : bench.do(read.wish);
      if (problem !== null) say({ problem });
    });
  });
}
