import { readFileSync } from 'node:fs';
import { bakeInputOf, fitTins } from '/work/main/core/src/index.ts';
import { forecast, forecastPlan } from '/work/main/core/src/bake/forecast.ts';
import { strangeBake, matchedBake } from '/work/main/core/test/support/strange-oven.ts';
const kitchen = JSON.parse(readFileSync('/work/main/demo/kitchen.json','utf8'));
const ids=JSON.parse(readFileSync('/work/main/demo/index.json','utf8')).formulas.map((f:string)=>f.replace(/^.*\/|\.json$/g,''));
const N=Number(process.argv[2]??40);
for (const kind of ['matched','strange'] as const) {
 const plans=new Map<string,any>(); 
 const shares=[0,0.25,0.5,0.75];
 const res=shares.map(()=>({within:0,cover:0,err:[] as number[],width:[] as number[], before:0}));
 let bias:number[]=[]; let t0=performance.now();
 for(let i=0;i<N;i++){ const id=ids[i%ids.length]; const f=JSON.parse(readFileSync(`/work/main/demo/formulas/${id}.json`,'utf8')); const fit=fitTins(f,f.tins,kitchen)[0]; const input=bakeInputOf(f,fit,kitchen);
  let p=plans.get(id); if(!p){p=forecastPlan(input,kitchen); plans.set(id,p);} if(!p){console.log('no plan',id);continue;}
  const b=(kind==='matched'?matchedBake:strangeBake)(input,kitchen,i+1);
  shares.forEach((sh,k)=>{ const r=b.readings.filter(x=>x.s<=sh*b.doneMin*60); const f=forecast(sh===0?[]:r,p); const e=f.minutes.typical/b.doneMin-1; res[k].err.push(e); if(Math.abs(e)<=0.08)res[k].within++; if(b.doneMin>=f.minutes.low&&b.doneMin<=f.minutes.high)res[k].cover++; res[k].width.push((f.minutes.high-f.minutes.low)/b.doneMin); if(sh===0.5) bias.push(f.biasC.typical-b.biasC); });
 }
 console.log(kind, ((performance.now()-t0)/N).toFixed(0),'ms each');
 res.forEach((r,k)=>console.log('  at',shares[k],'within 8%:',(100*r.within/r.err.length).toFixed(0),'cover',(100*r.cover/r.err.length).toFixed(0),'rms',(100*Math.sqrt(r.err.reduce((s,x)=>s+x*x,0)/r.err.length)).toFixed(1),'mean',(100*r.err.reduce((s,x)=>s+x,0)/r.err.length).toFixed(1),'width',(100*r.width.sort((a,b)=>a-b)[r.width.length>>1]).toFixed(0)));
 const sb=bias.map(Math.abs).sort((a,b)=>a-b); console.log('  |bias err| median',sb[sb.length>>1].toFixed(1));
}
