// Loads the built package by its name, in Node alone, and bakes something with it.
import assert from 'node:assert/strict';
import { assess, isConflict, predictBake, readRecipe, rebalance } from '@orvin/core';
import { readFile } from '@orvin/core/format';

const { formula } = readRecipe(
  'Scones\n300 g flour\n14 g baking powder\n60 g butter\n30 g sugar\n2 g salt\n170 g milk',
);
const a = assess(formula);
assert.ok(a.lift.mmolPer100gBase.typical > 10);
const tin = { id: 't', name: 't', shape: 'slab', topMm: 65, depthMm: 25, cups: 8, material: 'none' };
assert.ok(predictBake({ batterG: 560, tin, family: 'scone', ovenC: 215 }).minutes.likely > 8);
assert.equal(readFile(JSON.stringify(formula)).kind, 'formula');
// its own solver is found and put to work
const [p] = await rebalance({
  ...formula,
  groups: formula.groups.map((g) => ({
    ...g,
    items: g.items.map((i) => (i.ingredient === 'butter' ? { ...i, grams: 6 } : i)),
  })),
});
assert.ok(p && !isConflict(p) && p.merit < 0.05);
