import websocket from '@fastify/websocket';
import { turnAway } from '../headers.mjs';
import { Bucket } from '../rate.mjs';
import { Benches } from './bench.mjs';
import { wishOf } from './messages.mjs';

const TOO_MANY = 'Too much at once; wait a moment.';
/** What may come in at once, bytes: a bake with its tin is the largest. */
const MOST_BYTES = 64 * 1024;
/** Pages of one kitchen, and of all of them. */
const MOST_PAGES = 8;
const MOST_SOCKETS = 64;
/** Messages of one page: so many at once, and so many a second; the sixth part of them when a cake is to be worked out. */
const MESSAGES = 30;
const MESSAGES_A_SECOND = 10;
const COSTS = { in: 6 };
/** Cakes that are worked out for all kitchens, some 60 ms each: so many at once, and so many a second. */
const CAKES = 6;
const CAKES_A_SECOND = 1;
/** Messages beyond that are refused; a page that does not listen to that is put out. */
const REFUSED = 50;

/**
 * The socket at which a page finds the simulated scale and probe of its kitchen.
 *
 * @param {import('fastify').FastifyInstance} app
 * @param {{ origin: (host: string) => string | null }} options the pages that may use it at a host
 */
export async function standIns(app, { origin }) {
  const benches = new Benches();
  const cakes = new Bucket(CAKES, CAKES_A_SECOND);
  let sockets = 0;
  await app.register(websocket, { options: { maxPayload: MOST_BYTES } });
  app.addHook('onClose', async () => benches.close());
  // another site's page could otherwise play with this kitchen; asked of the route, however its address is written
  /** @type {import('fastify').onRequestAsyncHookHandler} */
  const fromHere = async (request, reply) => {
    const asks = request.headers.origin;
    if (asks === undefined || asks !== origin(request.headers.host ?? '')) return turnAway(request, reply, 403, 'Not from there.');
  }; // prettier-ignore
  app.get('/devices', { websocket: true, onRequest: fromHere }, (socket, request) => {
    const key = /** @type {{ kitchen?: unknown }} */ (request.query).kitchen;
    const named = typeof key === 'string' && /^[\w.-]{1,80}$/.test(key);
    const bench = named && sockets < MOST_SOCKETS ? benches.get(key) : null;
    if (!bench || bench.listeners.size >= MOST_PAGES) {
      socket.close(1008, named ? 'no room for another' : 'which kitchen?');
      return;
    }
    sockets++;
    const messages = new Bucket(MESSAGES, MESSAGES_A_SECOND);
    let refused = 0;
    const say = (/** @type {object} */ message) => {
      if (socket.readyState === socket.OPEN) socket.send(JSON.stringify(message));
    };
    const tooMany = () => {
      refused++;
      if (refused === 1) say({ problem: TOO_MANY });
      if (refused > REFUSED) socket.terminate();
    };
    const done = (/** @type {import('./messages.mjs').Wish} */ wish) => {
      const cake = wish.do === 'in' && !bench.oven.holds(wish.bake.id);
      if (cake && !(messages.take(COSTS.in - 1) && cakes.take())) return TOO_MANY;
      return bench.do(wish);
    };
    const leave = bench.listen(say);
    socket.on('close', () => {
      sockets--;
      leave();
    });
    socket.on('error', () => socket.terminate());
    socket.on('message', (/** @type {Buffer} */ data, /** @type {boolean} */ binary) => {
      if (!messages.take()) return tooMany();
      const read = binary ? { problem: 'This message is no text.' } : wishOf(data.toString());
      const problem = 'problem' in read ? read.problem : done(read.wish);
      if (problem !== null) say({ problem });
    });
  });
}
