import { randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { Bucket } from './rate.mjs';
import { turnAway } from './headers.mjs';
import { NONCE, policy } from './policy.mjs';

const COOKIE = 'orvin-paired';
/** Tries of all devices together: so many at once, and so many a second. With a million codes that is 16 years of trying. */
const TRIES = 10;
const TRIES_A_SECOND = 1 / 60;

/** @param {string} a @param {string} b */
const equal = (a, b) => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

const pairPolicy = Object.entries({ ...policy, formAction: ["'self'"] })
  .map(([name, values]) => `${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)} ${values.join(' ')}`)
  .join('; ');

/** @param {string} words */
const page = (words) => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <title>Pair with Orvin</title>
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <style nonce="${NONCE}">
      body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: #edf2f7; color: #0f172a; font: 1.1rem/1.5 system-ui, sans-serif; border-top: 7px solid #1d3f94; box-sizing: border-box; }
      main { max-width: 26rem; margin: 1rem; padding: 1.5rem; background: #fff; border: 2px solid #1d3f94; border-radius: 14px; }
      h1 { margin: 0; font-size: 1.5rem; }
      label { display: block; font-weight: 600; }
      input, button { font: inherit; min-height: 3rem; box-sizing: border-box; border: 1.5px solid #1d3f94; border-radius: 10px; padding: 0 0.8rem; }
      input { width: 100%; margin: 0.3rem 0 0.8rem; letter-spacing: 0.15em; }
      button { width: 100%; background: #1d3f94; color: #fff; font-weight: 600; }
    </style>
  </head>
  <body>
    <main>
    <h1>Pair this device</h1>
    <p role="status">${words}</p>
    <form method="post" action="/pair">
      <label>Code <input name="code" autocomplete="one-time-code" maxlength="24" required autofocus /></label>
      <button>pair</button>
    </form>
    </main>
  </body>
</html>
`;

/**
 * Lets other devices of the house in once they have said the code that is printed where the server runs. It holds until
 * the server ends.
 *
 * @param {import('fastify').FastifyInstance} app
 * @param {{ trusted: (request: import('fastify').FastifyRequest) => boolean, code?: string }} options
 *   trusted: who need not pair
 * @returns {string} the code
 */
export function pairing(app, { trusted, code = String(randomInt(1_000_000)).padStart(6, '0') }) {
  const token = randomBytes(32).toString('hex');
  const tries = new Bucket(TRIES, TRIES_A_SECOND);
  const paired = (/** @type {import('fastify').FastifyRequest} */ request) =>
    (request.headers.cookie ?? '').split(/;\s*/).some((c) => c.startsWith(`${COOKIE}=`) && equal(c.slice(COOKIE.length + 1), token));
  const ask = (/** @type {import('fastify').FastifyReply} */ reply, /** @type {number} */ status, /** @type {string} */ words) =>
    reply.code(status).header('content-security-policy', pairPolicy).header('cache-control', 'no-store').type('text/html').send(page(words));
  const FIRST = 'The code stands where Orvin was started.';

  app.addContentTypeParser('application/x-www-form-urlencoded', { parseAs: 'string', bodyLimit: 200 }, (_, body, done) => done(null, body));
  app.addHook('onRequest', async (request, reply) => {
    if (request.routeOptions.url === '/pair' || trusted(request) || paired(request)) return;
    return request.headers.upgrade === undefined ? ask(reply, 401, FIRST) : turnAway(request, reply, 401, 'Pair first.');
  });
  app.get('/pair', async (_, reply) => ask(reply, 200, FIRST));
  app.post('/pair', async (request, reply) => {
    if (!tries.take()) return ask(reply, 429, 'Too many tries. Wait a minute.');
    const said = new URLSearchParams(String(request.body)).get('code')?.replace(/\s/g, '') ?? '';
    if (!equal(said, code)) return ask(reply, 403, 'That is not the code. It stands where Orvin was started.');
    return reply
      .header('set-cookie', `${COOKIE}=${token}; Path=/; HttpOnly; SameSite=Strict`)
      .header('cache-control', 'no-store')
      .redirect('/', 303);
  });
  return code;
} // prettier-ignore
