import { readFileSync } from 'node:fs';
import { assess, applyChanges, allItems } from './src/index.js';
import { rebalance } from './src/adapt/rebalance.js';
import { isConflict } from './src/adapt/types.js';
import { demo, demoIds } from './test/support/make.js';
const k = JSON.parse(readFileSync(new URL('../demo/kitchen.json', import.meta.url),'utf8'));
function rng(seed:number){return ()=>{seed=(seed*1664525+1013904223)%4294967296;return seed/4294967296;};}
const r=rng(7); const times:number[]=[];
for (const id of demoIds) for (let n=0;n<2;n++){
  let f=demo(id);
  if(n>0){ const items=allItems(f).filter(i=>i.grams>20||/baking/.test(i.ingredient)); const it=items[Math.floor(r()*items.length)]!; const fac=r()<.5?0.3:2.8; f=applyChanges(f,[{itemId:it.id,grams:Math.round(it.grams*fac*10)/10}]); console.log('--',id,it.ingredient,'x',fac); } else console.log('--',id);
  const t=performance.now(); const out=await rebalance(f,{},k); const ms=performance.now()-t; times.push(ms);
  const m0=assess(f,k).merit;
  if(isConflict(out)) console.log('  CONFLICT',m0.toFixed(3),out.words, out.nearest?.words??'', ms.toFixed(0));
  else { console.log('  merit',m0.toFixed(3),'->',out.map(o=>o.merit.toFixed(3)).join(' '),ms.toFixed(0)+'ms'); for(const p of out){ console.log('   *',p.title,':',p.words,p.costs.join(',')); for(const l of p.lines) console.log('        ',l.words,'—',l.reason);} }
}
times.sort((a,b)=>a-b); console.log('median',times[times.length>>1],'p95',times[Math.floor(times.length*.95)]);
