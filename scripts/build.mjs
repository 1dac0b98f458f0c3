// Builds core/dist and web/dist when they are stale.
import { ensureBuilt } from './lib/ready.mjs';

await ensureBuilt();
