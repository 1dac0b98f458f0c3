import { aFamily, familyOf } from '../balance/families.js';
import { batterTemperature, densityOf, looseness } from '../balance/totals.js';
import { rangeOf } from '../balance/verdicts.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { OrvinError } from '../errors.js';
import { exactly } from '../formula/bands.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Band, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { LEAK_HALF_LIFE_MIN, pressureRatio, SPLIT } from '../leavening/lift.js';
import { acidOf, powderTypeOf } from '../leavening/parts.js';
import { powderKind } from '../leavening/powders.js';
import { asMeasured, densityIn } from '../quantity/amount.js';
import { plain } from '../quantity/numbers.js';

export interface Explanation {
  readonly words: string;
  /** The equation with this formula's numbers in it. */
  readonly equation: string;
  readonly inputs: readonly {
    readonly name: string;
    readonly value: number;
    readonly unit: string;
    readonly from: string;
  }[];
  readonly band?: Band;
  readonly source: string;
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
const general = 'General baking knowledge, not looked up; docs/science/balance.md';
const chemistry = 'Stoichiometry (computed) with acid values of general knowledge; docs/science/leavening.md';

/** Keys that can be explained for a formula; item keys are `grams:<itemId>` and `bakersPct:<itemId>`. */
export const explainable = [
  'lift',
  'stand',
  'ledger',
  'fat',
  'sugar',
  'egg',
  'water',
  'salt',
  'batterG',
  'flourG',
  'temperature',
  'density',
  'consistency',
  'merit',
] as const;
export type ExplainKey = (typeof explainable)[number] | `grams:${string}` | `bakersPct:${string}`;

/**
 * Says where a figure on the screen comes from: in words, as an equation with this formula's numbers, with its inputs,
 * its uncertainty and its source.
 * @throws OrvinError `unknown-key`, `unknown-item`
 */
export function explain(formula: Formula, key: ExplainKey | string, kitchen: Kitchen = defaultKitchen): Explanation {
  const w = weigh(formula, kitchen);
  const [head, id] = key.split(':');
  if (head === 'grams' || head === 'bakersPct') return explainItem(formula, head, id ?? '', w, kitchen);
  switch (key) {
    case 'lift':
      return explainLift(formula, w, kitchen);
    case 'stand':
      return explainStand(w);
    case 'ledger':
      return explainLedger(w);
    case 'fat':
    case 'sugar':
    case 'egg':
    case 'water':
    case 'salt':
      return explainMeasure(formula, key, w);
    default:
      return explainBatter(formula, key, w, kitchen);
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

function explainLift(formula: Formula, w: Weighed, kitchen: Kitchen): Explanation {
  const parts = w.lift.bySource
    .filter((s) => s.mmol.typical > 0.05)
    .map((s) => `${plain(s.mmol.typical)} ${s.source}, in the ${s.when}`);
  const [lo, hi] = w.lift.target;
  const powder = w.lines.find((l) => l.ingredient.leavener === 'powder');
  const kind = powder ? powderKind(powderTypeOf(powder.ingredient, kitchen)) : null;
  const thin = pressureRatio(kitchen.altitudeM);
  const ml = Math.round(w.lift.airMl.typical);
  const air = ml > 0 ? ` Air beaten in comes on top: about ${ml} ml here.` : '';
  return {
    words: `Carbon dioxide that this batter can really get, for each 100 g of flour and cocoa. ${capital(aFamily(familyOf(formula.family)))} usually wants ${plain(lo)}–${plain(hi)}. Soda counts only as far as acid meets it; heat splits ${Math.round(SPLIT.low * 100)}–${Math.round(SPLIT.high * 100)} % more out of what is left over.${air}`,
    equation: `${parts.join(' + ')} = ${plain(w.lift.mmolPer100gBase.typical)} mmol`,
    inputs: [
      { name: 'flour and cocoa', value: w.totals.baseG, unit: 'g', from: 'sum of the lines' },
      ...(kind
        ? [
            {
              name: `soda in the powder (${kind.name.toLowerCase()})`,
              value: 100 * kind.soda.typical,
              unit: '%',
              from: 'general knowledge, not looked up',
            },
          ]
        : []),
      {
        name: 'air pressure against sea level',
        value: thin,
        unit: '',
        from: `${Math.round(kitchen.altitudeM)} m, standard atmosphere; the band is scaled by it`,
      },
    ],
    band: w.lift.mmolPer100gBase,
    source: chemistry,
  };
}

function explainStand(w: Weighed): Explanation {
  const bowl = w.lift.bySource.filter((s) => s.when === 'bowl').reduce((s, x) => s + x.mmol.typical, 0);
  const half = LEAK_HALF_LIFE_MIN[w.consistency];
  return {
    words: `Gas that comes in the bowl leaks out of a standing batter; in ${w.consistency === 'dough' ? 'a dough' : `a ${w.consistency} batter`} half of it is gone in about ${half} minutes. The limit is where a fifth of the lift is lost, or the band's low edge.`,
    equation: `${plain(w.lift.mmolPer100gBase.typical)} − ${plain(bowl)} × (1 − 2^(−t/${half})) → t = ${w.lift.standMin} min`,
    inputs: [
      { name: 'gas that comes in the bowl', value: bowl, unit: 'mmol/100 g', from: 'lift by source' },
      { name: 'half-life', value: half, unit: 'min', from: 'general knowledge, ±40 %' },
    ],
    source: chemistry,
  };
}

function explainLedger(w: Weighed): Explanation {
  const l = w.ledger;
  const acids = w.lines
    .map((x) => ({ x, meq: acidOf(x, 'typical') }))
    .filter((a) => a.meq > 0.3)
    .sort((a, b) => b.meq - a.meq);
  return {
    words: `Every milliequivalent of acid uses up 84 mg of soda. Dissolved acid meets free soda first, then the powder's; the powder's own acids meet the rest. ${Math.round(100 * l.unmetShare)} % of the soda has no acid to meet. Left-over soda tastes soapy and browns; left-over acid tastes tangy.`,
    equation: `(${plain(l.bicarbonateMmol)} mmol soda − ${plain(l.bicarbonateMmol * (1 - l.unmetShare))} met) × 0.084 g ÷ ${plain(w.totals.batterG)} g batter = ${plain(l.leftSodaGPer100gBatter.typical)} g per 100 g`,
    inputs: acids.slice(0, 6).map(({ x, meq }) => ({
      name: `acid of ${x.ingredient.name.toLowerCase()}`,
      value: meq,
      unit: 'meq',
      from: `${plain(x.grams)} g × ${plain(x.ingredient.acidMeq?.typical ?? 0)} meq per 100 g, ${x.ingredient.basis}`,
    })),
    band: l.leftSodaGPer100gBatter,
    source: chemistry,
  };
}

function explainMeasure(formula: Formula, m: 'fat' | 'sugar' | 'egg' | 'water' | 'salt', w: Weighed): Explanation {
  const t = w.totals;
  const grams = { fat: t.fatG, sugar: t.sugarG, egg: t.eggG, water: t.waterG, salt: t.saltG }[m];
  const pct = { fat: t.fatPct, sugar: t.sugarPct, egg: t.eggPct, water: t.waterPct, salt: t.saltPct }[m];
  const family = familyOf(formula.family);
  const [lo, hi] = rangeOf(family, m, t);
  const what = {
    fat: 'Pure fat of butter, oil, creams and chocolate; fat of milk, yolk and nuts is shown apart.',
    sugar: 'All sugars and syrup solids; fruit’s and milk’s own are apart.',
    egg: 'Eggs without shell.',
    water: 'All water but flour’s own and that inside whole pieces.',
    salt: 'Salt, and that of salted butter and cheese.',
  }[m];
  return {
    words: `${what} ${family.id === 'free' ? 'No family is chosen, so there is no range.' : `${capital(aFamily(family))} usually has ${plain(lo)}–${plain(hi)} % of its flour.`}`,
    equation: `${plain(grams)} g ÷ ${plain(t.flourG)} g flour × 100 = ${plain(pct)} %`,
    inputs: [
      { name: m, value: grams, unit: 'g', from: 'composition of the lines' },
      { name: 'all flour', value: t.flourG, unit: 'g', from: 'sum of the flour lines' },
    ],
    source: general,
  };
}

function explainBatter(formula: Formula, key: string, w: Weighed, kitchen: Kitchen): Explanation {
  const t = w.totals;
  const family = familyOf(formula.family);
  const base = { source: general };
  switch (key) {
    case 'batterG':
      return {
        ...base,
        words: 'Everything that goes into the batter; toppings, fillings and icings are apart.',
        equation: `sum of ${w.lines.length} lines = ${plain(t.batterG)} g`,
        inputs: [],
      };
    case 'flourG':
      return {
        ...base,
        words: 'All flours, meals and starches together are 100 in baker’s percentages.',
        equation: `sum of the flour lines = ${plain(t.flourG)} g`,
        inputs: [],
      };
    case 'temperature': {
      const c = batterTemperature(w.lines, family, kitchen.roomC);
      return {
        ...base,
        words:
          'Heat balance of the ingredients: room-warm unless the line says cold, melted, hot, boiling or frozen; fat and liquids from the fridge where the fat is rubbed in.',
        equation: `Σ m c T ÷ Σ m c = ${plain(c)} °C`,
        inputs: [{ name: 'room', value: kitchen.roomC, unit: '°C', from: 'your kitchen' }],
        band: { low: c - 2, typical: c, high: c + 2 },
      };
    }
    case 'density': {
      const d = densityOf(t, family);
      return {
        ...base,
        words: `Raw batter of ${aFamily(family)}: lighter when creamed, heavier when wet.`,
        equation: `${family.density[0]}–${family.density[1]} g/ml, here ${d.toFixed(2)}`,
        inputs: [],
        band: { low: family.density[0], typical: d, high: family.density[1] },
      };
    }
    case 'consistency':
      return {
        ...base,
        words:
          'Free water with a share of the fat and of the dissolved sugar, over flour and cocoa; below 0.92 a dough, below 1.15 it drops, below 1.72 it is thick, above it pours.',
        equation: `looseness = ${looseness(t).toFixed(2)}`,
        inputs: [
          { name: 'water', value: t.waterG, unit: 'g', from: 'composition' },
          { name: 'drunk by cocoa, bran, coconut', value: t.drunkG, unit: 'g', from: 'general knowledge' },
        ],
      };
    case 'merit':
      return {
        ...base,
        words: 'How far this formula is from its family: the sum of distances outside each band, 0 when all is within.',
        equation: `${plain(w.merit)}`,
        inputs: [],
        band: exactly(w.merit),
      };
    default:
      throw new OrvinError('unknown-key', `Nothing is known under '${key}'.`);
  }
}
