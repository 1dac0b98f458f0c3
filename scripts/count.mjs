// Share of tests among all code: non-blank lines of .ts, .html, .scss, .mjs, without data tables, corpora and demo files.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const files = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard', '*.ts', '*.html', '*.scss', '*.mjs'],
  { encoding: 'utf8' },
)
  .trim()
  .split('\n');
const data =
  /^(?:core\/src\/(?:ingredient|adapt)\/table\/|core\/src\/plausible\/(?:ordinary\/|weights\.ts)|core\/src\/balance\/family-rows\.ts|demo\/)/;
const isTest = (f) => /\.spec\.ts$|(?:^|\/)(?:e2e|test|testing)\//.test(f);
const lines = (f) =>
  readFileSync(f, 'utf8')
    .split('\n')
    .filter((l) => l.trim() !== '').length;
let tests = 0;
let code = 0;
const parts = new Map();
for (const f of files.filter((x) => !data.test(x))) {
  const n = lines(f);
  if (isTest(f)) tests += n;
  else code += n;
  const part = `${f.split('/')[0]}${isTest(f) ? ' tests' : ''}`;
  parts.set(part, (parts.get(part) ?? 0) + n);
}
for (const [part, n] of [...parts].sort((a, b) => b[1] - a[1])) console.log(`${String(n).padStart(6)}  ${part}`);
console.log(
  `${String(code + tests).padStart(6)}  in all; tests are ${((100 * tests) / (code + tests)).toFixed(1)} % of it (aim 25 to 33 %)`,
);
