// Prints test cards, has the application read their pictures, and keeps how much was right in docs/science/pictures.md.
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { ensureLightBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/ready.mjs';
import { root, run } from './lib/run.mjs';

process.env['CHROME_BIN'] = await ensureLightBrowser();
await ensureBuilt();
const kept = `${root}.cache/pictures`;
rmSync(kept, { recursive: true, force: true });
const env = { ...process.env, ORVIN_PICTURES: '1' };
if (run('npx', ['playwright', 'test', '--project=pictures'], { cwd: `${root}e2e`, env }) !== 0) process.exit(1);
const studies = readdirSync(kept)
  .sort((a, b) => parseInt(a) - parseInt(b))
  .map((file) => JSON.parse(readFileSync(`${kept}/${file}`, 'utf8')));
const row = (name, all) => {
  const sum = (of) => all.reduce((s, m) => s + of(m), 0);
  const [facts, right] = [sum((m) => m.facts), sum((m) => m.right)];
  const letters = ((100 * sum((m) => m.letters)) / all.length).toFixed(1);
  return `| ${name} | ${letters} % | ${right} of ${facts} | ${sum((m) => m.silent.length)} | ${(sum((m) => m.needless) / all.length).toFixed(1)} |`;
};
const table = (of) =>
  [
    '| | letters right | facts right | silent | needless doubts a card |',
    '| --- | --- | --- | --- | --- |',
    ...studies.map((s) => row(s.name, s[of])),
    row(
      'all',
      studies.flatMap((s) => s[of]),
    ),
  ].join('\n');
const text = `# Pictures

Made by \`npm run pictures\`: invented cards (\`e2e/pictures/cards.ts\`), printed in the browser in ${studies.length} manners and taken in through
the Shelf. A fact is an ingredient with its amount, the heat, the time, the tin or the family, and right when it is what the same card
gives as text. Silent: wrong, and no doubt about it. Needless: a doubt about what is right as it was read.

## ${studies[0]?.fresh.length ?? 0} cards on which nothing was tuned

${table('fresh')}

## ${studies[0]?.all.length ?? 0} cards on which the reader was tried while it was made

${table('all')}
`;
writeFileSync(`${root}docs/science/pictures.md`, text);
run('npx', ['oxfmt', 'docs/science/pictures.md']);
console.log(text);
