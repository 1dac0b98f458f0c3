/** A program outside the repository, compiled against what `npm run build -w core` emits. */
import {
  applyChanges,
  assess,
  defaultKitchen,
  explain,
  families,
  fitTins,
  ingredients,
  planDay,
  powders,
  predictBake,
  readRecipe,
  readRecipes,
  scale,
  settle,
  shapes,
  write,
  differences,
  calibrationFor,
  adapt,
  compose,
  isConflict,
  rebalance,
  replacements,
  substitute,
  type Assessment,
  type Band,
  type BakePrediction,
  type Formula,
  type Conflict,
  type Kitchen,
  type Proposal,
  type Request,
  type RecipeDraft,
  type Tin,
} from '@orvin/core';
import { checkFormula, type KitchenFile } from '@orvin/core/format';

const kitchen: Kitchen = defaultKitchen;
const draft: RecipeDraft = readRecipe('Scones\n300 g flour\n15 g baking powder\n150 g milk', kitchen);
const settled: RecipeDraft = draft.doubts.reduce<RecipeDraft>((d, x) => settle(d, x.id, x.likely), draft);
const formula: Formula = applyChanges(settled.formula, [{ itemId: 'i1', grams: 310 }]);
const a: Assessment = assess(formula, kitchen);
const lift: Band = a.lift.mmolPer100gBase;
const tin: Tin = { id: 't', name: 't', shape: 'round', topMm: 200, depthMm: 50, material: 'light metal' };
const fits = fitTins(formula, [{ tin, count: 2 }], kitchen);
const bake: BakePrediction = predictBake(
  { batterG: 500, tin, family: formula.family, ovenC: 180, known: { tin, batterG: 500, ovenC: 180, minutes: 30 } },
  kitchen,
);
const when: number[] = planDay([{ id: 'a', formula }], kitchen, 0, 0).tasks.map((t) => t.startsAt);
const words: string[] = [
  explain(formula, 'lift').words,
  write(formula, 'text'),
  ...readRecipes('').map((r) => r.formula.title),
  ...differences(formula, formula).map((d) => d.words),
];
const request: Request = { locked: ['i1'], wishes: [{ kind: 'change', of: 'sugar', byPct: -25 }] };
const proposals: Promise<Proposal[] | Conflict> = rebalance(formula, request, kitchen, { maxNodes: 500 });
const swap: Promise<Proposal> = substitute(
  formula,
  'i1',
  replacements(formula, 'i1', kitchen)[0]?.ingredient ?? 'spelt-flour',
  kitchen,
);
const made: Promise<readonly string[]> = Promise.all([
  adapt(formula, 'eggless', kitchen),
  compose({ family: 'muffin', flavours: ['pear'] }, kitchen),
]).then((all) => all.map((x) => (isConflict(x) ? x.words : (x[0]?.words ?? ''))));
const file: KitchenFile['version'] = 1;

export const all = {
  lift,
  fits,
  bake,
  when,
  words,
  file,
  proposals,
  swap,
  made,
  ok: checkFormula(formula).ok,
  speed: calibrationFor({ ovenId: 'oven', tin: { id: 't', shape: 'round' } }, null, defaultKitchen).speed,
  factor: scale(formula, { by: 'factor', factor: 2 }).factor,
  n: [families, ingredients, powders, shapes].map((x) => x.length),
};
