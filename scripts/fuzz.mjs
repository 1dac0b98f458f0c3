// Kitchens' files that are spoiled at random: npm run fuzz -- [--files=20000] [--opened=20] [--seed=1]. Whatever is read of
// one must fit the open format, and whatever is left out must be named; a sample is taken in by the application, and every
// view is opened on it.
import { readFileSync, readdirSync } from 'node:fs';
import { defaultKitchen } from '@orvin/core';
import { checkKitchenFile, readFile } from '@orvin/core/format';
import { chromium } from '@playwright/test';
import { browserPath, chromiumArgs, lightPath } from '../e2e/src/browser.mjs';
import { chance } from '../server/src/standins/chance.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { serve } from './lib/serve.mjs';

const argument = (name, usual) => Number(process.argv.find((a) => a.startsWith(`--${name}=`))?.split('=')[1] ?? usual);
const files = argument('files', 20_000);
const opened = argument('opened', 20);
const seed = argument('seed', 1);
const dice = chance(`fuzz ${seed}`);
const upTo = (n) => Math.floor(dice.even(0, n));
const oneOf = (list) => list[upTo(list.length)];
const json = (path) => JSON.parse(readFileSync(new URL(`../demo/${path}`, import.meta.url), 'utf8'));

/** A small kitchen with something of everything. */
function whole() {
  const log = json('log.json');
  const names = readdirSync(new URL('../demo/formulas', import.meta.url)).slice(0, 3);
  const formulas = names.map((n) => ({ formula: json(`formulas/${n}`), plan: {} }));
  const ids = formulas.map((f) => f.formula.id);
  return {
    format: 'orvin.kitchen',
    version: 1,
    exportedAt: Date.now(),
    kitchen: json('kitchen.json'),
    formulas,
    versions: log.versions.filter((v) => ids.includes(v.formulaId)),
    bakes: log.bakes.slice(0, 4),
    day: { bakes: ids.slice(0, 2), without: [], serve: { date: '2026-10-03', time: '15:30' }, pins: {}, quick: false, people: 1, frozen: [] },
    shopping: { bakes: [{ id: ids[0], times: 2 }], basket: ['salt'] },
  };
} // prettier-ignore

/** What may stand where something else belongs. */
const ODD = [
  null, undefined, true, '', ' ', 'x', '<img src=x onerror=alert(1)>', '__proto__', '𝔘𝔫𝔦', 'a'.repeat(5000), 0, -1, 1e308, -1e308, 0.1 + 0.2, 1e-9,
  [], {}, [null], [[]], { id: null }, '2026-13-40', '25:99', 'NaN', 'javascript:alert(1)', { toString: 'x' }, { constructor: { prototype: 1 } },
]; // prettier-ignore

const places = (x, path = []) =>
  typeof x !== 'object' || x === null ? [path] : [path, ...Object.keys(x).flatMap((k) => places(x[k], [...path, k]))];

/** Spoils one place: puts something odd there, takes it away, doubles it, or moves something else there. */
function spoil(file, all) {
  const path = oneOf(all);
  if (path.length === 0) return;
  const last = path.at(-1);
  const parent = path.slice(0, -1).reduce((o, k) => o?.[k], file);
  if (typeof parent !== 'object' || parent === null) return;
  const how = upTo(10);
  if (how < 5) parent[last] = structuredClone(oneOf(ODD));
  else if (how < 7) {
    if (Array.isArray(parent)) parent.splice(Number(last), 1);
    else delete parent[last];
  } else if (how < 8) {
    if (Array.isArray(parent)) parent.push(structuredClone(parent[Number(last)]));
  } else if (how < 9) {
    const from = oneOf(all).reduce((o, k) => o?.[k], file);
    parent[last] = JSON.parse(JSON.stringify(from ?? null));
  } else if (typeof parent[last] === 'number') parent[last] *= oneOf([-1, 1000, 1e-6, 0]);
  else if (typeof parent[last] === 'string') parent[last] += JSON.stringify(oneOf(ODD)) ?? '';
}

/** A spoiled kitchen as text; sometimes the text itself is. */
function spoiled(base, all) {
  const file = structuredClone(base);
  for (let i = upTo(8); i >= 0; i--) spoil(file, all);
  const text = JSON.stringify(file) ?? 'null';
  if (upTo(20) > 0) return text;
  const at = upTo(text.length);
  return oneOf([
    text.slice(0, at),
    text.slice(0, at) + text.slice(at + 1 + upTo(40)),
    `${text}${text.slice(0, at)}`,
    `\uFEFF${text}`,
  ]);
}

const base = whole();
if (!checkKitchenFile(base).ok) throw new Error('the kitchen to spoil does not fit its own format');
const all = places(base);
const counts = { kitchen: 0, formula: 0, problem: 0, text: 0 };
const wrong = [];
/** What is wrong is said at once: a run takes its time. */
const amiss = (words) => {
  if (wrong.push(words) <= 40) console.error(words);
};
const sample = [];
for (let n = 0; n < files; n++) {
  const text = spoiled(base, all);
  try {
    const read = readFile(text, defaultKitchen);
    counts[read.kind]++;
    if (read.kind === 'kitchen') {
      const fits = checkKitchenFile(JSON.parse(JSON.stringify(read.value)));
      if (!fits.ok) amiss(`${n}: what was read does not fit: ${fits.problems[0]?.place} ${fits.problems[0]?.words}`);
      if (read.amiss.some((p) => !p.place || !p.words)) amiss(`${n}: something left out is not named`);
      if (read.amiss.length > 0 && sample.length < opened && upTo(3) === 0) sample.push({ n, text });
    } else if (read.kind === 'problem' && !read.problems[0]?.words) amiss(`${n}: refused without a word`);
  } catch (e) {
    amiss(`${n}: ${e instanceof Error ? e.stack : String(e)}`);
  }
  if (n % 2000 === 1999) console.log(`${n + 1} files: ${JSON.stringify(counts)}, ${wrong.length} wrong`);
}

const VIEWS = (id) => ['/shelf', `/bench/${id}`, `/beside/${id}`, `/versions/${id}`, `/card/${id}`, `/label/${id}`, `/tins/${id}`, `/day/${id}`, `/counter/${id}`, `/log/${id}`, '/log', '/larder', '/larder?part=shopping', '/larder?part=tins', '/larder?part=kit', '/larder?part=data', '/compose']; // prettier-ignore
if (opened > 0) {
  await ensureBuilt();
  const server = await serve(4398);
  const browser = await chromium.launch({
    executablePath: lightPath() ?? browserPath() ?? undefined,
    args: chromiumArgs,
  });
  try {
    for (const { n, text } of sample) {
      const context = await browser.newContext({ baseURL: server.base, serviceWorkers: 'block', viewport: { width: 1280, height: 800 } }); // prettier-ignore
      const page = await context.newPage();
      let at = 'the shelf';
      const here = (words) => amiss(`${n}, at ${at}: ${words}`);
      page.on('pageerror', (e) => here(e.stack ?? e.message));
      page.on('console', (m) => m.type() === 'error' && here(m.text()));
      page.on('dialog', (d) => (here('a script ran'), void d.dismiss()));
      await page.goto('/shelf');
      await page.locator('.rail .kitchen').filter({ hasText: 'Hollin Lane' }).waitFor();
      await page.getByLabel('open files').setInputFiles({ name: 'spoiled.json', mimeType: 'application/json', buffer: Buffer.from(text) }); // prettier-ignore
      await page.locator('.notice').first().waitFor();
      const ids = await page.evaluate(async () => {
        await new Promise((r) => setTimeout(r, 600));
        return [...document.querySelectorAll('a.stand')].map((a) => decodeURIComponent(a.getAttribute('href').replace('/bench/', ''))); // prettier-ignore
      });
      for (const view of VIEWS(encodeURIComponent(ids[0] ?? 'nothing'))) {
        at = view;
        await page.evaluate((to) => {
          history.pushState(null, '', to);
          dispatchEvent(new PopStateEvent('popstate', { state: null }));
        }, view);
        await page.waitForTimeout(350);
        if ((await page.locator('main').innerText()).trim() === '') here('nothing is on the screen');
      }
      await context.close();
    }
  } finally {
    await browser.close();
    server.stop();
  }
}
console.log(
  `Seed ${seed}: ${files} files ${JSON.stringify(counts)}; ${sample.length} opened in every view; ${wrong.length} wrong`,
);
process.exitCode = wrong.length > 0 ? 1 : 0;
