// every method's text, to compare before and after
import { wholeMethods } from './test/support/methods.js';
import { recipeCorpus } from './test/support/corpus.js';
import { unseen } from './test/support/unseen.js';
import { readRecipe } from './src/index.js';
import { readFileSync, writeFileSync } from 'node:fs';
const all: [string, string][] = [...recipeCorpus().map((r): [string, string] => [r.id ?? r.text.slice(0, 20), r.text]), ...wholeMethods().map((m): [string, string] => [m.id, m.text]), ...unseen('plain').map((u): [string, string] => [u.id ?? u.text.slice(0, 20), u.text]), ...unseen('messy').map((u): [string, string] => [u.id ?? '', u.text]),
 ...JSON.parse(readFileSync('/work/shared/corpus/recipes.json', 'utf8')).map((r: any): [string, string] => ['S ' + r.id, r.text])];
const out: Record<string, unknown> = {};
for (const [id, t] of all) { const f = readRecipe(t).formula; out[id] = { m: f.method.map((s) => s.text), i: f.groups.map((g) => g.role + ': ' + g.items.map((x) => x.ingredient + ' ' + Math.round(x.grams)).join(', ')), n: f.notes, t: f.title, b: [f.bake?.ovenC, f.bake?.minutes], tins: f.tins?.map((x) => x.tin.id) }; }
writeFileSync(process.argv[2]!, JSON.stringify(out, null, 1));
