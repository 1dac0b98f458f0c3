import { judgeMethod, wholeMethods } from './test/support/methods.js';
const only = process.argv[2];
const tot = new Map<string, [number, number]>();
for (const m of wholeMethods((process.env.SET ?? 'voices') as 'voices')) {
  if (only && !m.id.includes(only)) continue;
  const { facts, got } = judgeMethod(m);
  const bad = facts.filter((f) => !f.right);
  for (const f of facts) for (const k of [f.kind, m.style, 'all']) { const t = tot.get(k) ?? [0, 0]; t[0] += +f.right; t[1]++; tot.set(k, t); }
  if (process.argv[3] || only) for (const o of got) console.log('   ', o.phase, o.verb, o.takes.map((t) => t.itemId + (t.share === 1 ? '' : '=' + t.share)).join(','), o.forMin?.typical ?? '', o.heatC ?? '', '«' + o.words + '»');
  if (bad.length) console.log(m.id, facts.length - bad.length + '/' + facts.length, '\n   ', bad.map((b) => b.kind + ': ' + b.words).join('\n    '));
}
console.log([...tot].map(([k, [a, b]]) => `${k} ${a}/${b}`).join('; '));
