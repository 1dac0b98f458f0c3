// Whether memory stays where it is: npm run steady -- [--changes=1000]. Goes from view to view and reads, after each tenth of
// the way, what is left once all that can be collected is.
import { chromium } from '@playwright/test';
import { browserPath, chromiumArgs, lightPath } from '../e2e/src/browser.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { serve } from './lib/serve.mjs';

const changes = Number(process.argv.find((a) => a.startsWith('--changes='))?.split('=')[1] ?? 1000);
const IDS = ['rye-and-pear-loaf', 'oat-and-rhubarb-muffins', 'cardamom-yogurt-round'];
const VIEWS = ['shelf', 'bench/:id', 'tins/:id', 'day/:id', 'counter/:id', 'log/:id', 'versions/:id', 'card/:id', 'label/:id', 'beside/:id', 'larder', 'larder?part=data', 'compose']; // prettier-ignore

await ensureBuilt();
const server = await serve(4399);
const browser = await chromium.launch({
  executablePath: lightPath() ?? browserPath() ?? undefined,
  args: chromiumArgs,
});
const page = await (await browser.newContext({ baseURL: server.base, serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })).newPage(); // prettier-ignore
const cdp = await page.context().newCDPSession(page);
await cdp.send('Performance.enable');

/** Megabytes of the heap, and the elements and listeners that are alive. */
async function left() {
  for (let i = 0; i < 3; i++) await cdp.send('HeapProfiler.collectGarbage');
  const { metrics } = await cdp.send('Performance.getMetrics');
  const of = (name) => metrics.find((m) => m.name === name)?.value ?? 0;
  return { mb: of('JSHeapUsedSize') / 1e6, nodes: of('Nodes'), listeners: of('JSEventListeners') };
}

const seen = [];
try {
  await page.goto('/shelf');
  await page.locator('.rail .kitchen').filter({ hasText: 'Hollin Lane' }).waitFor();
  for (let n = 0; n <= changes; n++) {
    const view = VIEWS[n % VIEWS.length].replace(':id', IDS[Math.floor(n / VIEWS.length) % IDS.length]);
    await page.evaluate(async (to) => {
      history.pushState(null, '', `/${to}`);
      dispatchEvent(new PopStateEvent('popstate', { state: null }));
      // long enough for a view to be drawn
      await new Promise((r) => setTimeout(r, 200));
    }, view);
    if (n % Math.ceil(changes / 10) === 0) {
      // always at the same place
      await page.evaluate(() => {
        history.pushState(null, '', '/shelf');
        dispatchEvent(new PopStateEvent('popstate', { state: null }));
      });
      await page.waitForTimeout(1500);
      const is = await left();
      seen.push(is);
      console.log(
        `${String(n).padStart(5)} changes: ${is.mb.toFixed(1)} MB, ${is.nodes} nodes, ${is.listeners} listeners`,
      );
    }
  }
} finally {
  await browser.close();
  server.stop();
}
const [from, to] = [seen[2], seen.at(-1)];
console.log(`From the second tenth to the last: ${(to.mb - from.mb).toFixed(1)} MB, ${to.nodes - from.nodes} nodes, ${to.listeners - from.listeners} listeners`); // prettier-ignore
process.exitCode = to.mb > 1.25 * from.mb + 5 ? 1 : 0;
