// Fits the judgement of formulas to the ordinary ones in core/src/plausible/ordinary and writes weights.ts: some ten
// minutes. To be run again when they, the ingredients' composition or how formulas are seen have changed.
import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './lib/packages.mjs';
import { root } from './lib/run.mjs';

await ensureInstalled();
const program = `
  import { writeFileSync } from 'node:fs';
  import { ordinaryFormulas } from './core/src/plausible/data.ts';
  import { learnExpected, learnTelling } from './core/src/plausible/learn.ts';
  import { crossValidated, namedRightly, sharesAt, weightsOf } from './core/test/support/plausible.ts';

  const all = ordinaryFormulas();
  const judged = crossValidated(all);
  const pc = (x) => (100 * x).toFixed(1) + ' %';
  for (const [hand, of] of [['others', judged.filter((j) => !j.formula.own)], ['own', judged.filter((j) => j.formula.own)]]) {
    for (const fa of [0.05, 0.08, 0.12]) {
      const s = sharesAt(of, fa);
      console.log(hand, pc(fa), 'false alarms: found', pc(s.found), 'gross', pc(s.foundGross));
    }
    const n = namedRightly(of);
    console.log(hand, 'first suspect', pc(n.first), 'in three', pc(n.three));
  }
  const weights = weightsOf(learnExpected(all), learnTelling(judged), judged);
  writeFileSync(
    'core/src/plausible/weights.ts',
    '/** Made by \`npm run fit\` from the ordinary formulas; see model.ts and docs/science/plausibility.md. */\\n' +
      'export const weights = ' + JSON.stringify(weights) + ';\\n',
  );
`;
const done = spawnSync(process.execPath, ['--import', 'tsx', '--input-type=module', '--eval', program], {
  cwd: root,
  stdio: 'inherit',
});
if (done.status === 0) spawnSync('npx', ['oxfmt', 'core/src/plausible/weights.ts'], { cwd: root, stdio: 'inherit' });
process.exit(done.status ?? 1);
