// Times one step of pulling something in the real application: what the page's main thread does for one move of the mouse.

export const at = (list, share) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;

/** The reference of the core's figures, in the browser: a million dependent multiply-adds, ms, median. */
export const referenceIn = (page) =>
  page.evaluate(() => {
    const all = [];
    let x = 1;
    for (let n = 0; n < 15; n++) {
      const t = performance.now();
      for (let i = 0; i < 1_000_000; i++) x = x * 1.0000001 + 1e-9;
      all.push(performance.now() - t + (x > 1e300 ? 1 : 0));
      x = 1;
    }
    return all.sort((a, b) => a - b)[7];
  });

/**
 * Pulls `handle` to and fro and gives, in ms on the main thread, the median and 95th percentile of a step beyond an idle
 * frame, and how many tasks took over 50 ms.
 * @param reach px to either side of where it is taken hold of; `rise` px up and down
 * @param from share of the handle's width and height where it is taken hold of
 */
export async function pullOf(page, handle, { reach, rise = 0, from = [0.5, 0.5], steps: count = 120 }) {
  await handle.scrollIntoViewIfNeeded();
  await page.evaluate(() => {
    window['longTasks'] = [];
    window['watching']?.disconnect();
    window['watching'] = new PerformanceObserver((l) =>
      window['longTasks'].push(...l.getEntries().map((e) => e.duration)),
    );
    window['watching'].observe({ type: 'longtask' });
  });
  const box = await handle.boundingBox();
  const [x, y] = [box.x + box.width * from[0], box.y + box.height * from[1]];
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const busy = async () =>
    (await cdp.send('Performance.getMetrics')).metrics.find((m) => m.name === 'TaskDuration').value * 1000;
  const frame = () =>
    page.evaluate(() => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(() => r()))));
  await page.mouse.move(x, y);
  await page.mouse.down();
  const idle = [];
  const steps = [];
  for (let i = 0; i < count; i++) {
    const a = await busy();
    await frame();
    const b = await busy();
    idle.push(b - a);
    await page.mouse.move(x + reach * Math.sin((i + 1) / 9), y + rise * Math.sin((i + 1) / 13));
    await frame();
    steps.push((await busy()) - b);
  }
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await cdp.detach();
  const empty = at(idle, 0.5);
  const own = steps.map((s) => Math.max(0, s - empty));
  return { median: at(own, 0.5), p95: at(own, 0.95), long: (await page.evaluate(() => window['longTasks'])).length };
}
