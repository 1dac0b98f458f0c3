import { readFileSync } from 'node:fs';
import { allItems, assess } from './src/index.js';
import { substitute } from './src/adapt/substitute.js';
import { demo } from './test/support/make.js';
const k = JSON.parse(readFileSync(new URL('../demo/kitchen.json', import.meta.url),'utf8'));
const tries:[string,string,string,any?][]=[
['cardamom-yogurt-round','butter','neutral-oil'],['plum-and-almond-pound-cake','butter','neutral-oil'],['maize-and-chive-skillet-bread','buttermilk','milk'],['rye-and-pear-loaf','buttermilk','milk'],['cardamom-yogurt-round','yogurt','sour-cream'],
['wholemeal-seeded-soda-loaf','baking-soda','baking-powder'],['spelt-stout-gingerbread','baking-soda','baking-powder'],['lime-and-coconut-tray-cake','baking-powder','baking-soda'],['buckwheat-cocoa-squares','cocoa-natural','cocoa-alkalised'],['cardamom-yogurt-round','plain-flour','wholemeal-flour'],
['cardamom-yogurt-round','plain-flour','spelt-flour'],['parsnip-and-ginger-muffins','plain-flour','oat-flour'],['rye-and-pear-loaf','plain-flour','rye-flour'],['cardamom-yogurt-round','plain-flour','gluten-free-blend'],['cardamom-yogurt-round','plain-flour','self-raising-flour'],
['cardamom-yogurt-round','caster-sugar','honey'],['parsnip-and-ginger-muffins','light-brown-sugar','maple-syrup'],['cardamom-yogurt-round','egg','aquafaba'],['parsnip-and-ginger-muffins','egg','ground-flax'],['rye-and-pear-loaf','egg','apple-puree'],['oat-and-rhubarb-muffins','rhubarb','rhubarb',{state:'frozen'}],['rye-and-pear-loaf','salt','salt-coarse'],['rye-and-pear-loaf','neutral-oil','butter'],['spelt-stout-gingerbread','stout','tea']];
for(const [d,a,b,o] of tries){ const f=demo(d); const t=performance.now(); const p=await substitute(f,allItems(f).find(i=>i.ingredient===a)!.id,b,k,o); const ms=performance.now()-t;
 console.log('\n##',d,a,'→',b,ms.toFixed(0)+'ms merit',assess(f,k).merit.toFixed(3),'→',p.merit.toFixed(3),p.after.words); for(const l of p.lines) console.log('     ',l.words,'—',l.reason); console.log('    costs:',p.costs.join('; ')); }
