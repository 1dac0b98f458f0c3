// A first visit as a baker has it: a profile that never saw Orvin, the service worker on, nothing warm.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { browserPath, chromiumArgs } from '../../e2e/src/browser.mjs';
import { at } from './pulling.mjs';

/** Waits that a baker might make before the first press: at once, and in the middle of what goes on behind. */
const LOOKS_MS = [0, 2500];

/** One visit: ms until the Shelf, then the Bench after a press on a formula, then the Tins after a press on the rail. */
async function visit(chromium, base, looksMs) {
  const profile = mkdtempSync(join(tmpdir(), 'orvin-first-'));
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: browserPath() ?? undefined,
    args: chromiumArgs,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
  });
  try {
    const page = await context.newPage();
    await page.goto('about:blank');
    const since = async (act, what) => {
      const from = performance.now();
      await act();
      await what.waitFor();
      return performance.now() - from;
    };
    const shelf = await since(
      () => page.goto(`${base}/shelf`, { waitUntil: 'commit' }),
      page.getByRole('link', { name: /Rye and pear loaf/ }),
    );
    await new Promise((r) => setTimeout(r, looksMs));
    const bench = await since(
      () => page.getByRole('link', { name: /Rye and pear loaf/ }).click(),
      page.getByRole('slider', { name: 'Buttermilk, acid' }),
    );
    await new Promise((r) => setTimeout(r, looksMs));
    const tins = await since(
      () => page.getByRole('link', { name: 'Tins', exact: true }).click(),
      page.locator('p.minutes'),
    );
    return { shelf, bench, tins };
  } finally {
    await context.close();
    rmSync(profile, { recursive: true, force: true });
  }
}

/** Prints the medians of some first visits; each on a profile of its own. */
export async function firstVisits(chromium, base, say, runs = 5) {
  const aims = { shelf: 1200, bench: 800, tins: 1200 };
  for (const looks of LOOKS_MS) {
    const all = [];
    for (let i = 0; i < runs; i++) all.push(await visit(chromium, base, looks));
    const words = Object.entries(aims).map(([view, aim]) => {
      const list = all.map((v) => v[view]);
      return `${view} ${Math.round(at(list, 0.5))} ms (${list.map((x) => Math.round(x)).join(', ')}; aim ${aim})`;
    });
    say(`first visit, ${looks === 0 ? 'pressing on at once' : `looking ${looks} ms before each press`}: ${words.join('; ')}`); // prettier-ignore
  }
}
