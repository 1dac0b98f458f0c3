import { spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './src/test';
import { goTo, sampleKitchen } from './src/steps';

test.use({ serviceWorkers: 'allow', alone: true });
const port = Number(process.env['ORVIN_PORT'] ?? 4380) + 11;
const base = `http://localhost:${port}`;

/** Makes another build of the one in a folder: a page that is marked, and a list of files that says so. */
function nextBuild(dir: string): void {
  const page = readFileSync(join(dir, 'index.html'), 'utf8').replace('<meta charset', '<meta name="build" content="second" /><meta charset'); // prettier-ignore
  writeFileSync(join(dir, 'index.html'), page);
  for (const packed of ['br', 'gz']) rmSync(join(dir, `index.html.${packed}`), { force: true });
  const list = JSON.parse(readFileSync(join(dir, 'ngsw.json'), 'utf8')) as { timestamp: number; hashTable: Record<string, string> }; // prettier-ignore
  list.timestamp++;
  list.hashTable['/index.html'] = createHash('sha1').update(page).digest('hex');
  writeFileSync(join(dir, 'ngsw.json'), JSON.stringify(list));
  for (const packed of ['br', 'gz']) rmSync(join(dir, `ngsw.json.${packed}`), { force: true });
}
const build = (page: Page): Promise<string | null> =>
  page.evaluate(() => document.querySelector('meta[name=build]')?.getAttribute('content') ?? null);

test('a newer build is offered to a tab that bakes, wherever it is; what is in hand goes on in it', async ({
  page,
  context,
}) => {
  test.setTimeout(300_000);
  const dir = mkdtempSync(join(tmpdir(), 'orvin-builds-'));
  cpSync(join(import.meta.dirname, '../web/dist'), dir, { recursive: true });
  const server: ChildProcess = spawn(process.execPath, ['../server/src/main.mjs', `--port=${port}`, `--root=${dir}`], { stdio: 'ignore' }); // prettier-ignore
  try {
    await expect.poll(() => fetch(`${base}/health`).then((r) => r.ok, () => false), { timeout: 60_000 }).toBe(true); // prettier-ignore
    await sampleKitchen(page, `${base}/counter/rye-and-pear-loaf`);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.locator('.goKey')).toBeVisible();
    await page.locator('.goKey').click();

    nextBuild(dir);
    // another tab asks, as any page does that is loaded
    const other = await context.newPage();
    await other.goto(`${base}/shelf`);
    const offer = page.getByText('A newer Orvin is ready');
    await expect(offer).toBeVisible();
    await expect(offer).toContainText('Something is being made');
    await goTo(page, '/shelf');
    await expect(offer).toBeVisible();
    await goTo(page, '/counter/rye-and-pear-loaf');
    expect(await build(page)).toBeNull();
    await page.getByRole('button', { name: 'Take it now' }).click();
    await expect.poll(() => build(page)).toBe('second');
    // not at its beginning, where it is asked whether to begin
    await expect(page.locator('.goKey')).toBeVisible();
    await expect(offer).toHaveCount(0);
  } finally {
    server.kill('SIGTERM');
    rmSync(dir, { recursive: true, force: true });
  }
});
