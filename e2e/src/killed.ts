import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { browserPath, chromiumArgs, lightPath } from './browser.mjs';

/** A browser that can be killed as a power cut does, and started again on the same profile. */
export interface Mortal {
  /** The context of the browser that is alive. */
  readonly context: BrowserContext;
  readonly page: () => Promise<Page>;
  /** Ends all of its processes at once; nothing of the page runs any more. */
  readonly kill: () => Promise<void>;
}

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

async function address(dir: string, alive: () => boolean): Promise<string> {
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
  readonly dir = mkdtempSync(join(tmpdir(), 'orvin-killed-'));

  async start(baseURL: string): Promise<Mortal> {
    rmSync(join(this.dir, 'DevToolsActivePort'), { force: true });
    const path = lightPath() ?? browserPath() ?? '';
    // a group of its own, so that its helpers end with it
    const child = spawn(path, ['--headless', ...chromiumArgs, '--remote-debugging-port=0', `--user-data-dir=${this.dir}`, 'about:blank'], { detached: true, stdio: 'ignore' }); // prettier-ignore
    const browser = await chromium.connectOverCDP(await address(this.dir, () => child.exitCode === null));
    const context = browser.contexts()[0] as BrowserContext;
    const page = async (): Promise<Page> => {
      const p = await context.newPage();
      const goto = p.goto.bind(p);
      p.goto = (to, options) => goto(new URL(to, baseURL).href, options);
      await p.setViewportSize({ width: 1280, height: 800 });
      return p;
    };
    const kill = async (): Promise<void> => {
      const gone = new Promise((done) => child.once('exit', done));
      if (child.exitCode === null && child.signalCode === null) {
        process.kill(-(child.pid as number), 'SIGKILL');
        await gone;
      }
      await browser.close().catch(() => undefined);
    };
    return { context, page, kill };
  }

  remove(): void {
    rmSync(this.dir, { recursive: true, force: true, maxRetries: 5, retryDelay: 100 });
  }
}
