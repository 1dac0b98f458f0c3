import { readFileSync } from 'node:fs';
import { assess } from './src/index.js';
import { adapt } from './src/adapt/adapt.js';
import { presets } from './src/adapt/presets.js';
import { isConflict } from './src/adapt/types.js';
import { demo } from './test/support/make.js';
const k = JSON.parse(readFileSync(new URL('../demo/kitchen.json', import.meta.url),'utf8'));
const per:Record<string,string[]>={eggless:['cardamom-yogurt-round','parsnip-and-ginger-muffins'],'dairy-free':['cardamom-yogurt-round','cheese-and-thyme-scones','maize-and-chive-skillet-bread'],vegan:['rye-and-pear-loaf','cardamom-yogurt-round'],'whole-grain':['cardamom-yogurt-round','cheese-and-thyme-scones'],'less-sugar':['malt-and-fig-tea-loaf','lime-and-coconut-tray-cake'],'less-fat':['plum-and-almond-pound-cake'],'lower-sodium':['cheese-and-thyme-scones','parsnip-and-ginger-muffins'],'nut-free':['rye-and-pear-loaf','plum-and-almond-pound-cake'],'gluten-free':['rye-and-pear-loaf','spelt-stout-gingerbread'],'small-child':['malt-and-fig-tea-loaf','rye-and-pear-loaf'],'high-altitude':['cardamom-yogurt-round','parsnip-and-ginger-muffins'],'what-i-have':['cardamom-yogurt-round','maize-and-chive-skillet-bread','wholemeal-seeded-soda-loaf']};
for(const p of presets) for(const d of per[p.id]!){ const f=demo(d); const t=performance.now(); const out=await adapt(f,p.id,k); const ms=performance.now()-t;
 console.log('\n##',p.id,d,ms.toFixed(0)+'ms merit',assess(f,k).merit.toFixed(3)); const list=isConflict(out)?(console.log('  CONFLICT',out.words),out.nearest?[out.nearest]:[]):out; for(const q of list){ console.log('  *',q.title,q.merit.toFixed(3),q.after.words); for(const l of q.lines) console.log('      ',l.words,'—',l.reason); console.log('     costs:',q.costs.join('; ')); } }
