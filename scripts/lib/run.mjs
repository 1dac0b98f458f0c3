// Running a command in the repository, and remembering for what something was last made. Needs only Node.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository's folder, with a slash at its end; whatever is in its name. */
export const root = fileURLToPath(new URL('../../', import.meta.url));

const quiet = () => ({ ...process.env, NG_CLI_ANALYTICS: 'false', NO_UPDATE_NOTIFIER: '1' });

/** Runs a command in the repository, with all else waiting; how it ended. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: quiet(), ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

/** Runs a command in the repository, beside other work; how it ended. */
export async function ran(command, args, env = {}) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...quiet(), ...env } });
  const [status] = await once(child, 'close');
  return status ?? 1;
}

/** Runs a command to its end beside other work, and stops the script when it fails. */
export async function must(command, args, why, env = {}) {
  if ((await ran(command, args, env)) === 0) return;
  console.error(`${why} failed: ${command} ${args.join(' ')}`);
  process.exit(1);
}

const cache = join(root, '.cache');
/** A word for all of the parts together. */
export const stampOf = (parts) => parts.reduce((h, p) => h.update(p), createHash('sha256')).digest('hex');
/** Whether something was last made for this. */
export const same = (name, stamp) => existsSync(join(cache, name)) && readFileSync(join(cache, name), 'utf8') === stamp;
export const keep = (name, stamp) => {
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), stamp);
};
