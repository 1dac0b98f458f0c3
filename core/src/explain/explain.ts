import { heldAgainst } from '../balance/held.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { OrvinError } from '../errors.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { asMeasured, densityIn } from '../quantity/amount.js';
import { plain } from '../quantity/numbers.js';
import {
  explainBatter,
  explainFamily,
  explainHydration,
  explainMeasure,
  explainMerit,
  explainPlausible,
} from './balance.js';
import {
  explainCrumb,
  explainEntry,
  explainLedger,
  explainLift,
  explainStand,
  explainThumb,
  explainVolume,
} from './leavening.js';
import { inUnits, type Explanation } from './types.js';

export type { Explanation } from './types.js';

/** Keys that can be explained for a formula; the keys of a line are `ItemKey`s. */
export const explainable = [
  'lift',
  'stand',
  'volume',
  'ledger',
  'ph',
  'sodium',
  'thumb',
  'structure',
  'family',
  'hydration',
  'fat',
  'sugar',
  'egg',
  'water',
  'salt',
  'method',
  'texture:crumb',
  'texture:bite',
  'texture:mouth',
  'texture:colour',
  'batterG',
  'flourG',
  'temperature',
  'density',
  'consistency',
  'merit',
  'plausible',
] as const;
/** What can be asked of one line, followed by its item id. */
export const explainableOfItem = ['grams', 'bakersPct', 'pull', 'entry'] as const;
export type ExplainKey = (typeof explainable)[number] | `${(typeof explainableOfItem)[number]}:${string}`;

/**
 * Says where a figure on the screen comes from: in words, as an equation with this formula's numbers, with its inputs,
 * its uncertainty and its source.
 * @throws OrvinError `unknown-key`, `unknown-item`
 */
export function explain(formula: Formula, key: ExplainKey | string, kitchen: Kitchen = defaultKitchen): Explanation {
  return inUnits(explained(formula, key, kitchen), kitchen);
}

function explained(formula: Formula, key: string, kitchen: Kitchen): Explanation {
  const w = weigh(formula, kitchen, true);
  const [head, id] = key.split(':');
  if (head === 'grams' || head === 'bakersPct') return explainItem(formula, head, id ?? '', w, kitchen);
  if (head === 'entry') return explainEntry(w, id ?? '', kitchen);
  switch (key) {
    case 'lift':
      return explainLift(w, kitchen);
    case 'stand':
      return explainStand(w);
    case 'volume':
      return explainVolume(w, kitchen);
    case 'ledger':
      return explainLedger(w);
    case 'ph':
    case 'sodium':
      return explainCrumb(w, key, kitchen);
    case 'thumb':
      return explainThumb(formula, w, kitchen);
    case 'fat':
    case 'sugar':
    case 'egg':
    case 'water':
    case 'salt':
      return explainMeasure(key, w, heldAgainst(formula, w, kitchen));
    case 'hydration':
      return explainHydration(w, heldAgainst(formula, w, kitchen));
    case 'family':
      return explainFamily(w, heldAgainst(formula, w, kitchen));
    case 'merit':
      return explainMerit(heldAgainst(formula, w, kitchen));
    case 'plausible':
      return explainPlausible(heldAgainst(formula, w, kitchen));
    default: {
      const of = explainBatter(key, w, kitchen);
      if (!of) throw new OrvinError('unknown-key', `Nothing is known under '${key}'.`);
      return of;
    }
  }
}

function explainItem(
  formula: Formula,
  head: 'grams' | 'bakersPct',
  id: string,
  w: Weighed,
  kitchen: Kitchen,
): Explanation {
  const item = allItems(formula).find((i) => i.id === id);
  if (!item) throw new OrvinError('unknown-item', `The formula has no item '${id}'.`);
  const ingredient = ingredientFor(formula, item, kitchen);
  if (head === 'bakersPct')
    return {
      words: `Baker's percentage: its weight against all flour as 100. Flours, meals and starches count as flour together.`,
      equation: `${plain(item.grams)} g ÷ ${plain(w.totals.flourG)} g × 100 = ${plain((100 * item.grams) / Math.max(w.totals.flourG, 1e-9))} %`,
      inputs: [
        { name: ingredient.name, value: item.grams, unit: 'g', from: 'this line' },
        { name: 'all flour', value: w.totals.flourG, unit: 'g', from: 'sum of the flour lines' },
      ],
      source: 'Convention of the trade',
    };
  const d = densityIn(ingredient, formula.source, item.form);
  return {
    words: `The line says "${item.words}". Grams were set when it was read and are the truth since; your cups and spoons only change how it is shown.`,
    equation: `${plain(item.grams)} g ≈ ${asMeasured(item.grams, ingredient, kitchen.measures, item.form)} at ${d.toFixed(2)} g/ml`,
    inputs: [
      { name: 'weight', value: item.grams, unit: 'g', from: 'this line' },
      { name: 'density as measured', value: d, unit: 'g/ml', from: ingredient.basis },
    ],
    source: `Composition and density: ${ingredient.basis}`,
  };
}
