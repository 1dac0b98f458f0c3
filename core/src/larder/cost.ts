import { allItems, ingredientFor } from '../formula/formula.js';
import type { Band, Formula, Kitchen } from '../formula/types.js';
import { boughtFor } from './used.js';

/** What heating an oven takes. */
export interface OvenEnergy {
  /** kWh, from the oven's size, its heat and its time. */
  readonly kWh: Band;
  /** In the kitchen's money; null while no price of a kWh is known. */
  readonly cost: Band | null;
}

export interface Cost {
  /** In the kitchen's money: what the ingredients of the batch cost that have a price. */
  readonly ingredients: number;
  readonly lines: readonly { readonly itemId: string; readonly name: string; readonly cost: number | null }[];
  /** Ingredients without a price, which are missing from the sum. */
  readonly missing: readonly string[];
  readonly energy: OvenEnergy | null;
  /** Ingredients and, where its price is known, the oven. */
  readonly batch: number;
  readonly pieces: number;
  readonly perPiece: number;
}

/** Pieces that a formula makes: as it says, its cups, or one. */
export function piecesOf(f: Formula): number {
  const said = f.yield?.pieces;
  if (said !== undefined && said > 0) return said;
  const cups = (f.tins ?? []).reduce((s, t) => s + (t.tin.cups ?? 0) * t.count, 0);
  return cups > 1
    ? cups
    : Math.max(
        1,
        (f.tins ?? []).reduce((s, t) => s + t.count, 0),
      );
}

/** Price of a weight of an ingredient; null when the kitchen knows none. Brewed drinks cost what goes into them. */
export function priceOf(ingredient: string, grams: number, kitchen: Kitchen): number | null {
  if (ingredient === 'water') return 0;
  const own = kitchen.prices[ingredient];
  if (own && own.perG > 0) return (grams * own.price) / own.perG;
  let sum = 0;
  for (const [id, g] of Object.entries(boughtFor({ [ingredient]: grams }))) {
    const p = kitchen.prices[id];
    if (!p || !(p.perG > 0)) return null;
    sum += (g * p.price) / p.perG;
  }
  return sum;
}

/**
 * What a batch costs: ingredients by weight from pack prices, and the oven's energy beside it.
 * @param bake heat and time in the oven, °C and min; without it no energy is reckoned
 */
export function cost(
  formula: Formula,
  kitchen: Kitchen,
  bake?: { ovenC: number; minutes: number; ovenId?: string },
): Cost {
  const lines = allItems(formula).map((i) => ({
    itemId: i.id,
    name: ingredientFor(formula, i, kitchen).name,
    cost: priceOf(i.ingredient, Math.max(0, i.grams || 0), kitchen),
  }));
  const ingredients = lines.reduce((s, l) => s + (l.cost ?? 0), 0);
  const energy = bake ? ovenEnergy(bake, kitchen) : null;
  const batch = ingredients + (energy?.cost?.typical ?? 0);
  const pieces = piecesOf(formula);
  return {
    ingredients,
    lines,
    missing: [...new Set(lines.filter((l) => l.cost === null).map((l) => l.name))],
    energy,
    batch,
    pieces,
    perPiece: batch / pieces,
  };
}

/** Steel, enamel and glass that warm up, and walls that let heat out, for a litre of oven and a kelvin. Judgements: a 60-litre
 * oven takes about half a kWh to 180 °C and then 0.7 kW. A fan changes little of it. */
const WARM_KWH = 0.5 / 60 / 160;
const HOLD_KW = 0.7 / 60 / 160;

/** Energy of one bake in an oven heated for it alone, kWh, good to about a third. */
export function ovenEnergy(bake: { ovenC: number; minutes: number; ovenId?: string }, kitchen: Kitchen): OvenEnergy {
  const oven = kitchen.ovens.find((o) => o.id === bake.ovenId) ?? kitchen.ovens[0];
  const size = Math.max(5, oven?.litres ?? 60);
  const rise = Math.max(0, bake.ovenC - kitchen.roomC);
  const typical = size * rise * (WARM_KWH + HOLD_KW * (Math.max(0, bake.minutes) / 60));
  const kWh: Band = { low: 0.7 * typical, typical, high: 1.35 * typical };
  const price = kitchen.energyPerKwh;
  return {
    kWh,
    cost: price === undefined ? null : { low: kWh.low * price, typical: typical * price, high: kWh.high * price },
  };
}

/** An amount of money as the kitchen writes it. */
export function money(x: number, kitchen: Kitchen): string {
  try {
    return new Intl.NumberFormat(kitchen.locale.language || 'en', { style: 'currency', currency: kitchen.locale.currency || 'EUR' }).format(x); // prettier-ignore
  } catch {
    return `${x.toFixed(2)} ${kitchen.locale.currency}`;
  }
}
