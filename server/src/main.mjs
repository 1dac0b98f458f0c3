import { fileURLToPath } from 'node:url';
import { isBuilt, makeApp } from './app.mjs';
import { houseAddresses } from './hosts.mjs';

/** @param {string} name */
const argument = (name) => process.argv.find((a) => a.startsWith(`--${name}=`))?.split('=')[1];
const port = Number(argument('port') ?? process.env['PORT'] ?? 4310);
const lan = process.argv.includes('--lan');
const root = argument('root') ?? fileURLToPath(new URL('../../web/dist', import.meta.url));

if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(
    `"${argument('port') ?? process.env['PORT']}" is no port. Use a number from 1024 to 65535: npm start -- --port=4311`,
  );
  process.exit(2);
}

if (!isBuilt(root)) {
  console.error('Orvin is not built yet. `npm start` in its folder builds and serves it.');
  process.exit(4);
}

// a name that the house knows this machine by can be added to its addresses
const name = argument('name');
const house = [...houseAddresses(), ...(name ? [name.toLowerCase()] : [])];
const code = argument('code');
if (code !== undefined && !/^[A-Za-z0-9]{6,20}$/.test(code)) {
  console.error(
    `"${code}" is no code for pairing. Use six letters or digits or more: npm start -- --lan --code=482915`,
  );
  process.exit(2);
}
const app = await makeApp({ root, port, ...(lan && { lan: house, ...(code !== undefined && { code }) }) });
try {
  await app.listen({ port, host: lan ? '0.0.0.0' : 'localhost' });
} catch (e) {
  if (/** @type {{ code?: string }} */ (e).code === 'EADDRINUSE') {
    console.error(`Port ${port} is taken, perhaps by another Orvin: look at http://localhost:${port} first.`);
    console.error(
      `If it is something else, stop it, or run  npm start -- --port=${port < 65535 ? port + 1 : port - 1}`,
    );
    console.error('A kitchen belongs to the address it was made at, so Orvin never changes the port by itself.');
    process.exit(3);
  }
  throw e;
}
console.log(`Orvin is at http://localhost:${port}`);
if (lan) {
  for (const at of house) console.log(`  in the house: http://${at}:${port}`);
  console.log(`  Code for pairing another device: ${app.pairCode}`);
  console.log(
    '  Over the house network these need a secure address and stay off: offline start, keeping the screen awake, notifications.',
  );
  console.log('  A kitchen does not travel by itself: export it on one device, import it on the other.');
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void app.close().then(() => process.exit(0)));
