import { readFileSync } from 'node:fs';
import { bowlOf } from './src/adapt/bowl.js';
import { modelOf } from './src/adapt/model.js';
import { defaultSolver } from './src/adapt/solver.js';
import { allItems, applyChanges } from './src/index.js';
import { demo, demoIds } from './test/support/make.js';
const k = JSON.parse(readFileSync(new URL('../demo/kitchen.json', import.meta.url),'utf8'));
const s=await defaultSolver(); s.solve('Minimize\nobj: x\nSubject To\nr: x >= 1\nEnd');
function rng(seed:number){return ()=>{seed=(seed*1664525+1013904223)%4294967296;return seed/4294967296;};}
const W={fewest:{ merit: 400, touch: 3, change: 1, character: 1.2 },nearest:{ merit: 400, touch: 0.6, change: 0.8, character: 6 }};
const opts:Record<string,any>={base:{mip_rel_gap:.01},g3:{mip_rel_gap:.03},g5:{mip_rel_gap:.05},nosym:{mip_rel_gap:.03,mip_detect_symmetry:false},heur0:{mip_rel_gap:.03,mip_heuristic_effort:0},nopre:{mip_rel_gap:.03,presolve:'off'},heur2:{mip_rel_gap:.03,mip_heuristic_effort:.2}};
for (const w of ['fewest','nearest'] as const) for(const [n,o] of Object.entries(opts)){ const ts:number[]=[]; const r=rng(7); let bad=0; let objs=0;
 for (const id of demoIds) for(let q=0;q<2;q++){ let f=demo(id); const items=allItems(f).filter(i=>i.grams>20||/baking/.test(i.ingredient)); const it=items[Math.floor(r()*items.length)]!; const fac=r()<.5?0.3:2.8; f=applyChanges(f,[{itemId:it.id,grams:Math.round(it.grams*fac*10)/10}]);
  const b=bowlOf(f,{},k,[]); const m=modelOf(b,b.start,W[w]); const text=m.programme.text(); const t=performance.now(); const out=s.solve(text,{output_flag:false,mip_max_nodes:4000,random_seed:1,threads:1,...o}); ts.push(performance.now()-t); objs+=(out as any).ObjectiveValue; if(out.Status!=='Optimal')bad++; }
 ts.sort((a,b)=>a-b); console.log(w,n,'median',ts[14]!.toFixed(0),'p95',ts[26]!.toFixed(0),'max',ts[27]!.toFixed(0),'bad',bad,'obj',objs.toFixed(1)); }
