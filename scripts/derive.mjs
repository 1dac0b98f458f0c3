// Writes what is kept with the sources though it follows from them: the published schemas, and what the sample kitchen's
// log teaches. Tests hold both to what they follow from.
import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './lib/packages.mjs';
import { root } from './lib/run.mjs';

await ensureInstalled();
const program = `
  import { writeFileSync } from 'node:fs';
  import { taught } from './core/test/support/sample.ts';
  import { published } from './core/test/support/schemas.ts';

  const keep = (path, what, space) => writeFileSync(path, JSON.stringify(what, null, space) + '\\n');
  for (const [name, schema] of Object.entries(published())) keep('docs/formats/' + name, schema, 2);
  keep('demo/taught.json', taught());
`;
const done = spawnSync(process.execPath, ['--import', 'tsx', '--input-type=module', '--eval', program], {
  cwd: root,
  stdio: 'inherit',
});
process.exit(done.status ?? 1);
