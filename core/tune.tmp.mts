import { readFileSync } from 'node:fs';
import { bakeInputOf, fitTins } from '/work/main/core/src/index.ts';
import { forecast, forecastPlan } from '/work/main/core/src/bake/forecast.ts';
import { strangeBake, matchedBake } from '/work/main/core/test/support/strange-oven.ts';
const kitchen = JSON.parse(readFileSync('/work/main/demo/kitchen.json','utf8'));
const ids=JSON.parse(readFileSync('/work/main/demo/index.json','utf8')).formulas.map((f:string)=>f.replace(/^.*\/|\.json$/g,''));
const N=70; const plans=new Map<string,any>(); const sets:any={matched:[],strange:[]};
for (const kind of ['matched','strange'] as const) for(let i=0;i<N;i++){ const id=ids[i%ids.length]; const f=JSON.parse(readFileSync(`/work/main/demo/formulas/${id}.json`,'utf8')); const fit=fitTins(f,f.tins,kitchen)[0]; const input=bakeInputOf(f,fit,kitchen); if(!plans.has(id)) plans.set(id,forecastPlan(input,kitchen)); sets[kind].push([id,(kind==='matched'?matchedBake:strangeBake)(input,kitchen,1000+i)]); }
console.log('made');
const q=(a:number[])=>Math.sqrt(a.reduce((s,x)=>s+x*x,0)/a.length);
for (const T of [
 {offK:2.2,alike:240,bentSd:0.14,off:1.2,left:0.07},
 {offK:2.2,alike:240,bentSd:0.14,off:4,left:0.07},
 {offK:3,alike:400,bentSd:0.2,off:3,left:0.07},
 {offK:1.5,alike:240,bentSd:0.2,off:3,left:0.07},
 {offK:2.2,alike:240,bentSd:0.3,off:3,left:0.09},
 {offK:4,alike:300,bentSd:0.14,off:3,left:0.09},
] as any[]) {
 let line=JSON.stringify(T);
 for (const kind of ['matched','strange']) for (const sh of [0,0.5,0.75]) { let w=0,c=0; const e:number[]=[]; for(const [id,b] of sets[kind]){ const f=forecast(b.readings.filter((x:any)=>x.s<=sh*b.doneMin*60&&sh>0),plans.get(id),T); const er=f.minutes.typical/b.doneMin-1; e.push(er); if(Math.abs(er)<=0.08)w++; if(b.doneMin>=f.minutes.low&&b.doneMin<=f.minutes.high)c++; }
  line+=`\n    ${kind} ${sh}: within ${(100*w/N).toFixed(0)} cover ${(100*c/N).toFixed(0)} rms ${(100*q(e)).toFixed(1)} mean ${(100*e.reduce((s,x)=>s+x,0)/N).toFixed(1)}`; }
 console.log(line);
}
