import { dialIn } from '../quantity/degrees.js';
import { familyOf, type MixingMethod } from '../balance/families.js';
import type { Weighed } from '../balance/weigh.js';
import type { Formula, Kitchen, MethodStep, TinUse } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { shortName } from './proposal.js';
import { isDrySugar, isFirmFat, isGum, isSyrup } from '../ingredient/kinds.js';

const named = (lines: readonly Line[]): string => {
  const names = [...new Set(lines.map((l) => shortName(l.ingredient)))];
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
};
const ids = (lines: readonly Line[]): string[] => lines.map((l) => l.item.id);

/** How a tin of this shape is got ready. */
function readyTin(uses: readonly TinUse[]): string {
  const tin = uses[0]?.tin;
  if (!tin || tin.shape === 'mound' || tin.shape === 'slab') return 'line a tray with paper';
  if (tin.shape === 'cup') return 'put paper cases into the tray';
  if (tin.shape === 'tube') return 'grease and flour the tin well, the tube too';
  return tin.material === 'cast iron'
    ? 'grease the pan and let it get hot in the oven'
    : 'grease the tin and line it with paper';
}

/**
 * A method written from the way of mixing and the lines, in the order the hands work. Each step knows its lines, so that
 * the Counter can weigh them in where they are used.
 */
export function methodText(
  formula: Formula,
  w: Weighed,
  method: MixingMethod,
  tins: readonly TinUse[],
  kitchen?: Kitchen,
): MethodStep[] {
  const family = familyOf(formula.family);
  const lines = w.lines.filter((l) => l.grams > 0);
  const pick = (test: (l: Line) => boolean): Line[] => lines.filter(test);
  const foldIn = pick((l) => l.whole);
  const flavour = (l: Line): boolean => l.ingredient.role === 'flavour';
  const wetFlavour = (l: Line): boolean => flavour(l) && l.ingredient.kind === 'extract';
  const flours = pick((l) => !l.whole && (l.ingredient.base !== undefined || isGum(l.ingredient)));
  const dryAddin = pick(
    (l) => !l.whole && l.ingredient.role === 'addin' && !flours.includes(l) && l.ingredient.per100.water < 20,
  );
  const dry = [
    ...flours,
    ...pick((l) => l.ingredient.role === 'leavener' || l.ingredient.role === 'salt'),
    ...pick((l) => flavour(l) && !wetFlavour(l) && !l.whole),
    ...dryAddin,
  ];
  const fats = pick((l) => l.ingredient.role === 'fat' && !l.whole);
  const sugars = pick((l) => l.ingredient.role === 'sugar' && !l.whole);
  const syrups = sugars.filter((l) => isSyrup(l.ingredient));
  const drySugars = sugars.filter((l) => isDrySugar(l.ingredient));
  const eggs = pick((l) => l.ingredient.role === 'egg');
  const used = new Set([...foldIn, ...dry, ...fats, ...sugars, ...eggs].map((l) => l.item.id));
  const wet = pick((l) => !used.has(l.item.id));
  const solid = fats.some((l) => isFirmFat(l.ingredient));
  const steps: MethodStep[] = [];
  const step = (text: string, of: readonly Line[] = []): void => void steps.push({ text, itemIds: ids(of) });
  const ovenC = formula.bake?.ovenC ?? Math.round((family.ovenC[0] + family.ovenC[1]) / 10) * 5;

  step(
    `Heat the oven to ${dialIn(kitchen?.display.temperature, ovenC)} and ${readyTin(tins)}. Weigh everything out first.`,
  );
  switch (method) {
    case 'rub-in':
      step(`Whisk ${named([...dry, ...drySugars])} together.`, [...dry, ...drySugars]);
      step(
        `Cut the cold ${named(fats)} into cubes and rub it into the flour until it looks like coarse crumbs, with a few flakes left.`,
        fats,
      );
      if (foldIn.length > 0) step(`Toss in ${named(foldIn)}.`, foldIn);
      step(
        `Stir ${named([...wet, ...eggs, ...syrups])} together, pour it over and bring the dough together with a knife, in as few strokes as you can.`,
        [...wet, ...eggs, ...syrups],
      );
      break;
    case 'creaming': {
      step(`Beat the soft ${named([...fats, ...sugars])} until pale and fluffy, 4 to 6 minutes.`, [...fats, ...sugars]);
      if (eggs.length > 0)
        step(
          `Beat in ${named(eggs)} a little at a time; a spoonful of the flour brings it back if it looks curdled.`,
          eggs,
        );
      step(`Whisk ${named(dry)} together.`, dry);
      if (wet.length > 0)
        step(`Fold in the dry mixture in three parts and ${named(wet)} in two, beginning and ending with dry.`, wet);
      else step('Fold in the dry mixture in three parts, only until smooth.');
      if (foldIn.length > 0) step(`Fold in ${named(foldIn)}.`, foldIn);
      break;
    }
    case 'melt-and-stir':
      step(`Melt ${named([...fats, ...sugars])} together over low heat, and let it cool until it is only warm.`, [
        ...fats,
        ...sugars,
      ]);
      step(`Whisk ${named(dry)} together in a large bowl.`, dry);
      step(`Whisk ${named([...wet, ...eggs])} into the warm mixture, pour it onto the flour and stir until smooth.`, [
        ...wet,
        ...eggs,
      ]);
      if (foldIn.length > 0) step(`Fold in ${named(foldIn)}.`, foldIn);
      break;
    case 'whisking':
      step(`Whisk ${named([...eggs, ...drySugars])} until thick, pale and three times the volume.`, [
        ...eggs,
        ...drySugars,
      ]);
      step(`Whisk ${named(dry)} together, sift it over in two parts and fold it in.`, dry);
      if (fats.length + wet.length + syrups.length > 0)
        step(
          `Fold in ${named([...fats, ...wet, ...syrups])}${solid ? ', melted and only warm,' : ''} along the side of the bowl.`,
          [...fats, ...wet, ...syrups],
        );
      if (foldIn.length > 0) step(`Fold in ${named(foldIn)}.`, foldIn);
      break;
    case 'one-bowl':
      step(`Whisk ${named([...dry, ...drySugars])} in one bowl.`, [...dry, ...drySugars]);
      if (foldIn.length > 0) step(`Toss in ${named(foldIn)}.`, foldIn);
      step(`Add ${named([...wet, ...eggs, ...fats, ...syrups])} all at once and stir until there are no dry patches.`, [
        ...wet,
        ...eggs,
        ...fats,
        ...syrups,
      ]);
      break;
    default:
      step(`Whisk ${named(dry)} together.`, dry);
      step(
        `Whisk ${named([...eggs, ...sugars, ...fats, ...wet])} in another bowl until smooth${solid ? '; melt the fat first and let it cool' : ''}.`,
        [...eggs, ...sugars, ...fats, ...wet],
      );
      step('Pour the wet onto the dry and fold only until no flour shows; a few lumps are fine.');
      if (foldIn.length > 0) step(`Fold in ${named(foldIn)} with three or four strokes.`, foldIn);
  }
  step(shapeWords(formula, tins));
  const cool = family.coolTinMin > 0 && tins.some((u) => u.tin.shape !== 'mound' && u.tin.shape !== 'slab');
  step(
    `Bake until done: ${family.signs}. ${cool ? `Leave it ${family.coolTinMin} minutes in the tin, then` : 'Then'} cool it on a rack.`,
  );
  return steps;
}

function shapeWords(formula: Formula, tins: readonly TinUse[]): string {
  const shape = tins[0]?.tin.shape;
  switch (formula.family) {
    case 'biscuit':
    case 'scone':
      return 'Pat the dough out on a floured board, cut straight down without twisting, and set the pieces close together on the tray.';
    case 'drop-biscuit':
      return 'Drop spoonfuls onto the tray, a little apart.';
    case 'soda-bread':
      return 'Shape it into a round on the tray and cut a deep cross into it.';
    default:
      return shape === 'cup' ? 'Share the batter out over the cases.' : 'Scrape it into the tin and level the top.';
  }
}
