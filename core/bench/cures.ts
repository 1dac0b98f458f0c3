/**
 * Plants a fault in each of our formulas that are in no ground, and asks for the cure: writes docs/science/cures.md, and the
 * batter's weight before and after into docs/science/adapt.md.
 * Run by `npm run cures`; takes a minute.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { applyChanges, assess, isConflict, rebalance } from '../src/index.js';
import { batterG, faults, planted, undone, unseenFormulas } from '../test/support/cures.js';

const root = new URL('../../', import.meta.url);
const unseen = unseenFormulas();

interface Count {
  cases: number;
  advice: number;
  first: number;
  any: number;
  more: number;
}
const none = (): Count => ({ cases: 0, advice: 0, first: 0, any: 0, more: 0 });
const all = none();
const byFault = new Map(faults.map((f) => [f.name, none()]));
const changes: number[] = [];
for (const f of unseen)
  for (const fault of faults) {
    const bad = planted(f, fault);
    if (!bad) continue;
    // names are told apart from amounts: the sum is of those that were counted from the first
    const counts = [...('as' in fault ? [] : [all]), byFault.get(fault.name) ?? none()];
    const add = (key: keyof Count): void => counts.forEach((c) => (c[key] += 1));
    add('cases');
    const [advice] = assess(bad).advice;
    if (advice && undone(fault, advice.formula ?? applyChanges(bad, advice.changes), f, bad, 0.6)) add('advice');
    const out = await rebalance(bad);
    if (isConflict(out) || !out[0]) continue;
    if (undone(fault, out[0].formula, f, bad)) add('first');
    if (out.some((p) => undone(fault, p.formula, f, bad))) add('any');
    changes.push(batterG(out[0].formula) / batterG(bad));
    const again = await rebalance(out[0].formula);
    if (isConflict(again) || again.some((p) => p.kind !== 'hint')) add('more');
  }
const ordinary = await Promise.all(unseen.map(async (f) => rebalance(f)));
const offered = ordinary.map((o) => (isConflict(o) ? 'restored' : (o[0]?.kind ?? 'nothing')));
const pc = (n: number, of: number): string => `${Math.round((100 * n) / of)} %`;
const row = (name: string, c: Count): string =>
  `| ${name} | ${c.cases} | ${pc(c.advice, c.cases)} | ${pc(c.first, c.cases)} | ${pc(c.any, c.cases)} | ${pc(c.more, c.cases)} |`;
const steps = [0, 0.6, 0.75, 0.83, 0.9, 0.97, 1.03, 1.1, 1.2, 1.35, 1.6, Infinity];
const histogram = steps.slice(1).map((to, n) => {
  const from = steps[n] as number;
  const share = changes.filter((x) => x >= from && x < to).length / changes.length;
  return `| ${from} – ${to === Infinity ? '' : to} | ${Math.round(100 * share)} % | ${'▇'.repeat(Math.round(50 * share))} |`;
});
const doc = `# What the cures are worth

Made by \`npm run cures\`. [How they are found](adapt.md). One fault is planted in each of ${unseen.length} formulas of our own that are in no ground and that nothing was fitted
to, in all their lines of a kind; then the cure is asked for. It leads back when it undoes half of the fault or more (six tenths may be left for advice), with the batter within a fifth of what it was;
what goes under another name is to have its own again, in about its amount, with all else much as it was.

| fault | cases | first advice leads back | first proposal | any of them | repaired, still named |
| --- | --- | --- | --- | --- | --- |
${faults.flatMap((f) => ('as' in f ? [] : [row(f.name, byFault.get(f.name) ?? none())])).join('\n')}
${row('**all of these**', all)}
${faults.flatMap((f) => ('as' in f ? [row(f.name, byFault.get(f.name) ?? none())] : [])).join('\n')}

Of the ${unseen.length} as they are, ${pc(offered.filter((k) => k === 'nothing').length, unseen.length)} are left alone, ${pc(offered.filter((k) => k === 'hint').length, unseen.length)} get a hint for whoever asks, and
${pc(offered.filter((k) => k === 'restored').length, unseen.length)} are put right that were not wrong.
`;
writeFileSync(new URL('docs/science/cures.md', root), doc);
const adapt = new URL('docs/science/adapt.md', root);
const table = `| times | share | |\n| --- | --- | --- |\n${histogram.join('\n')}`;
const marked = /(<!-- batter -->\n)[\s\S]*?(<!-- \/batter -->)/;
const text = readFileSync(adapt, 'utf8');
if (!marked.test(text)) throw new Error('docs/science/adapt.md has no place for the histogram');
writeFileSync(adapt, text.replace(marked, `$1\n${table}\n\n$2`));
console.log(doc);
