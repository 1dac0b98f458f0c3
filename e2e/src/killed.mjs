import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath, chromiumArgs, lightPath } from './browser.mjs';

/**
 * A browser that can be killed as a power cut does.
 *
 * @typedef {object} Mortal
 * @property {() => Promise<import('@playwright/test').Page>} page a new page, whose addresses are of the base
 * @property {() => Promise<void>} kill ends all of its processes at once; nothing of its pages runs any more
 */

const pause = (/** @type {number} */ ms) => new Promise((done) => setTimeout(done, ms));

/** @param {string} dir @param {() => boolean} alive */
async function address(dir, alive) {
  for (;;) {
    if (!alive()) throw new Error('the browser did not start');
    try {
      const [port, path] = readFileSync(join(dir, 'DevToolsActivePort'), 'utf8').split('\n');
      if (port && path) return `ws://127.0.0.1:${port}${path}`;
    } catch {
      // not written yet
    }
    await pause(20);
  }
}

/** A profile on disk, and browsers on it one after another. */
export class Profile {
  constructor() {
    this.dir = mkdtempSync(join(tmpdir(), 'orvin-killed-'));
    /** @type {number | null} */
    this.alive = null;
    // whatever ends the run leaves no browser behind
    this.end = () => this.alive !== null && process.kill(-this.alive, 'SIGKILL');
    process.once('exit', this.end);
  }

  /** @param {string} baseURL @returns {Promise<Mortal>} */
  async start(baseURL) {
    rmSync(join(this.dir, 'DevToolsActivePort'), { force: true });
    const path = lightPath() ?? browserPath() ?? '';
    const args = ['--headless', ...chromiumArgs, '--remote-debugging-port=0', `--user-data-dir=${this.dir}`, 'about:blank'];
    // a group of its own, so that its helpers end with it
    const child = spawn(path, args, { detached: true, stdio: 'ignore' });
    this.alive = child.pid ?? null;
    const browser = await chromium.connectOverCDP(await address(this.dir, () => child.exitCode === null));
    const page = async () => {
      const context = browser.contexts()[0];
      if (!context) throw new Error('no context');
      const p = await context.newPage();
      const goto = p.goto.bind(p);
      p.goto = (to, options) => goto(new URL(to, baseURL).href, options);
      await p.setViewportSize({ width: 1280, height: 800 });
      return p;
    };
    const kill = async () => {
      const gone = new Promise((done) => child.once('exit', done));
      if (this.alive !== null && child.exitCode === null && child.signalCode === null) {
        process.kill(-this.alive, 'SIGKILL');
        await gone;
      }
      this.alive = null;
      await browser.close().catch(() => undefined);
    };
    return { page, kill };
  } // prettier-ignore

  remove() {
    this.end();
    this.alive = null;
    process.removeListener('exit', this.end);
    rmSync(this.dir, { recursive: true, force: true, maxRetries: 5, retryDelay: 100 });
  }
}
