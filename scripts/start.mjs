// Sets everything up and serves Orvin: npm start [-- --port=4310] [-- --lan]
import { ensureBuilt } from './lib/ready.mjs';

await ensureBuilt();
await import('../server/src/main.mjs');
