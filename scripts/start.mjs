// Sets everything up and serves Orvin: npm start [-- --port=4310] [-- --lan]
import { ensureBuilt } from './lib/ready.mjs';

ensureBuilt();
await import('../server/src/main.mjs');
