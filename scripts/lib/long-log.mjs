// A log of thousands in the browser: how it opens, answers and scrolls, and how long all of it takes into a zip and back.
import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { at } from './pulling.mjs';

const BAKES = 5000;
const PHOTOS = 2000;

/** Copies the sample bakes into a long log with photos, straight into the open kitchen's database. */
async function fill([bakes, photos]) {
  const name = (await indexedDB.databases()).find((d) => d.name.startsWith('orvin-kitchen-')).name;
  const db = await new Promise((done) => {
    const open = indexedDB.open(name);
    open.onsuccess = () => done(open.result);
  });
  const all = await new Promise((done) => {
    const get = db.transaction('bakes').objectStore('bakes').getAll();
    get.onsuccess = () => done(get.result);
  });
  const jpeg = async (side, quality) => {
    const canvas = new OffscreenCanvas(side, (side * 3) / 4);
    const pen = canvas.getContext('2d');
    for (let i = 0; i < 2500; i++) {
      pen.fillStyle = `hsl(${30 + (i % 20)} ${40 + (i % 40)}% ${30 + ((i * 7) % 50)}%)`;
      pen.fillRect((i * 97) % side, (i * 61) % ((side * 3) / 4), side / 24, side / 24);
    }
    return (await canvas.convertToBlob({ type: 'image/jpeg', quality })).arrayBuffer();
  };
  const [photo, thumb] = [await jpeg(800, 0.8), await jpeg(176, 0.7)];
  for (let from = 0; from < bakes; from += 500) {
    const t = db.transaction(['bakes', 'photos', 'thumbs'], 'readwrite');
    for (let i = from; i < from + 500; i++) {
      const row = structuredClone(all[i % all.length]);
      const id = `long-${i}`;
      Object.assign(row, { id, revision: 1 });
      Object.assign(row.bake, { id, at: Date.now() - i * 18e6, photos: i < photos ? [`photo-${i}`] : [] });
      row.bake.minutes = Math.max(5, Math.round(row.bake.minutes * (0.9 + ((i * 37) % 21) / 100)));
      delete row.bake.trial;
      t.objectStore('bakes').put(row);
      if (i >= photos) continue;
      const of = { id: `photo-${i}`, bakeId: id, type: 'image/jpeg' };
      t.objectStore('photos').put({ ...of, width: 800, height: 600, bytes: photo });
      t.objectStore('thumbs').put({ ...of, bytes: thumb });
    }
    await new Promise((done) => (t.oncomplete = done));
  }
  db.close();
}

/** What a search takes from the key to the next frame, and each frame of a long scroll, ms. */
async function use() {
  const frame = () => new Promise((done) => requestAnimationFrame(done));
  const field = document.querySelector('#find-bake');
  const searches = [];
  for (const words of ['sunk', 'loaf', 'gummy november', 'dry', 'just right', '']) {
    const from = performance.now();
    field.value = words;
    field.dispatchEvent(new Event('input'));
    await frame();
    searches.push(performance.now() - from);
  }
  const port = document.querySelector('cdk-virtual-scroll-viewport');
  const frames = [];
  for (let i = 0; i < 120; i++) {
    const from = performance.now();
    port.scrollTop += 160;
    await frame();
    frames.push(performance.now() - from);
  }
  return { searches, frames };
}

export async function longLog(browser, base, say) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto(`${base}/shelf`);
  await page.waitForSelector('.shelves li');
  // the shelf is shown before its kitchen is stored
  await page.waitForFunction(async () =>
    (await indexedDB.databases()).some((d) => d.name.startsWith('orvin-kitchen-')),
  );
  await page.evaluate(fill, [BAKES, PHOTOS]);
  await page.goto(`${base}/shelf`);
  await page.waitForSelector('.shelves li');
  await page.waitForTimeout(20_000);
  const rail = page.getByRole('navigation', { name: 'Views' });
  const opens = [];
  for (let i = 0; i < 5; i++) {
    const from = Date.now();
    await rail.getByRole('link', { name: 'Log' }).click();
    await page.waitForSelector('.line');
    opens.push(Date.now() - from);
    await rail.getByRole('link', { name: 'Shelf' }).click();
    await page.waitForSelector('.shelves li');
  }
  await page.goto(`${base}/log`);
  await page.waitForSelector('.line');
  await page.waitForTimeout(15_000);
  const heap = async () => {
    const session = await context.newCDPSession(page);
    await session.send('HeapProfiler.collectGarbage');
    return (await session.send('Runtime.getHeapUsage')).usedSize / 1e6;
  };
  const before = await heap();
  const { searches, frames } = await page.evaluate(use);
  const after = await heap();
  say(
    `a log of ${BAKES} bakes and ${PHOTOS} photos: opens in ${at(opens, 0.5).toFixed(0)} ms (median)  aim < 1000; a search ${at(searches, 0.5).toFixed(0)} ms, at most ${at(searches, 1).toFixed(0)}  aim < 100; a frame of scrolling ${at(frames, 0.5).toFixed(0)} ms, 95th percentile ${at(frames, 0.95).toFixed(0)}; memory ${before.toFixed(0)} MB, after it ${after.toFixed(0)}`,
  );
  await page.goto(`${base}/larder?part=data`);
  let from = Date.now();
  const waiting = page.waitForEvent('download', { timeout: 180_000 });
  await page.getByRole('button', { name: 'back up everything' }).click();
  const file = join(tmpdir(), 'orvin-long-log.zip');
  await (await waiting).saveAs(file);
  const out = (Date.now() - from) / 1000;
  from = Date.now();
  await page.setInputFiles('orvin-own-data input[type=file]', file);
  await page.getByText('is restored').waitFor({ timeout: 300_000 });
  say(`all of it into a zip: ${out.toFixed(1)} s; restored: ${((Date.now() - from) / 1000).toFixed(1)} s`);
  rmSync(file);
  await context.close();
}
