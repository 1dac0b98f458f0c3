// Fits the judgement of formulas to the ordinary ones in core/src/plausible/ordinary and writes weights.ts and
// docs/science/judgement.md: half an hour. To be run again when they, the ingredients' composition or how formulas are
// seen have changed.
import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './lib/packages.mjs';
import { root, run } from './lib/run.mjs';

await ensureInstalled();
const done = spawnSync(process.execPath, ['--import', 'tsx', 'core/bench/fit.ts'], { cwd: root, stdio: 'inherit' });
if (done.status === 0) run('npx', ['oxfmt', 'core/src/plausible/weights.ts', 'docs/science/judgement.md']);
process.exit(done.status ?? 1);
