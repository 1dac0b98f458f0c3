import { wholeMethods } from './test/support/methods.js';
import { readRecipe } from './src/index.js';
for (const m of wholeMethods('voices')) { if (process.argv[2] && !m.id.includes(process.argv[2])) continue;
const r = readRecipe(m.text); const f = r.formula; console.log('=====', m.id, '|', f.title, '|', f.tins?.map((t) => JSON.stringify(t).slice(0, 90)).join(), f.bake?.ovenC, JSON.stringify(f.bake?.minutes ?? f.bake)?.slice(0, 120)); console.log(f.groups.map((g) => (g.name ?? g.kind) + ': ' + g.items.map((i) => i.id + ' ' + i.ingredient + ' ' + Math.round(i.grams)).join(', ')).join('\n'));
console.log(f.method.map((s) => '  > ' + JSON.stringify(s.words ?? s)).join('\n')); console.log('notes', JSON.stringify(f.notes)); console.log(r.doubts?.map((d: any) => '  ? ' + JSON.stringify(d).slice(0, 160)).join('\n')); }
