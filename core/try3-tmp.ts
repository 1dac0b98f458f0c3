import { readFileSync } from 'node:fs';
import { allItems } from './src/index.js';
import { replacements } from './src/adapt/replacements.js';
import { demo, demoIds } from './test/support/make.js';
const k = JSON.parse(readFileSync(new URL('../demo/kitchen.json', import.meta.url),'utf8'));
const seen=new Set<string>();
for(const d of demoIds){ const f=demo(d); for(const i of allItems(f)){ if(seen.has(i.ingredient)) continue; seen.add(i.ingredient); const r=replacements(f,i.id,k); console.log(i.ingredient,i.grams,'→',r.length,r.slice(0,8).map(x=>`${x.ingredient} ${x.grams} (${x.score.toFixed(2)})`).join(', ')); } }
