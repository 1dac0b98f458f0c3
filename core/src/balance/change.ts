import { applyChanges, batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Change, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { teaspoonMl } from '../quantity/units.js';
import { linesOf, type Line } from '../leavening/parts.js';
import { totalsOf, type Totals } from './totals.js';
import { weigh } from './weigh.js';

const tidy = (g: number): number => Math.round(g * 100) / 100;

/**
 * Changes that bring the batter to a total weight with its ratios kept; locked items stay and the others make up for
 * them. Empty when that cannot be (everything locked, or the locked ones alone weigh more).
 * @param totalG grams of batter wanted, above 0
 */
export function toTotal(formula: Formula, totalG: number, locked: readonly string[] = []): Change[] {
  const items = batterItems(formula);
  const fixed = items.filter((i) => locked.includes(i.id)).reduce((s, i) => s + usableGrams(i.grams), 0);
  const free = items.filter((i) => !locked.includes(i.id));
  const now = free.reduce((s, i) => s + usableGrams(i.grams), 0);
  if (now <= 0 || totalG <= fixed) return [];
  const k = (totalG - fixed) / now;
  return free.map((i) => ({ itemId: i.id, grams: tidy(usableGrams(i.grams) * k) }));
}

/**
 * One item's change with the batter's total kept: the other unlocked items give or take in proportion. The item moves
 * no further than the others can follow.
 */
export function keepingTotal(formula: Formula, change: Change, locked: readonly string[] = []): Change[] {
  const items = batterItems(formula);
  if (!items.some((i) => i.id === change.itemId)) return [change];
  const total = items.reduce((s, i) => s + usableGrams(i.grams), 0);
  const others = items.filter((i) => i.id !== change.itemId && !locked.includes(i.id));
  const room = others.reduce((s, i) => s + usableGrams(i.grams), 0);
  const rest = items
    .filter((i) => i.id !== change.itemId && locked.includes(i.id))
    .reduce((s, i) => s + usableGrams(i.grams), 0);
  if (room <= 0) return [];
  const grams = Math.min(Math.max(0, change.grams), total - rest - 0.05 * room);
  const k = (total - rest - grams) / room;
  return [
    { itemId: change.itemId, grams: tidy(grams) },
    ...others.map((i) => ({ itemId: i.id, grams: tidy(usableGrams(i.grams) * k) })),
  ];
}

/** The measures that a formula can be moved along on the map. */
export type Axis = 'fat' | 'sugar' | 'egg' | 'water';

/** Grams of the measure in a gram of a line that can be moved for it; 0 when it is not a carrier. */
const carries: Readonly<Record<Axis, (l: Line) => number>> = {
  fat: (l) => (l.ingredient.role === 'fat' && !l.whole ? l.ingredient.per100.fat / 100 : 0),
  sugar: (l) => (l.ingredient.role === 'sugar' && !l.whole ? l.ingredient.per100.sugar / 100 : 0),
  egg: (l) => (l.ingredient.role === 'egg' ? 1 : 0),
  water: (l) => (l.ingredient.role === 'liquid' ? l.ingredient.per100.water / 100 : 0),
};
const gramsOf: Readonly<Record<Axis, (t: Totals) => number>> = {
  fat: (t) => t.fatG,
  sugar: (t) => t.sugarG,
  egg: (t) => t.eggG,
  water: (t) => t.waterG,
};

/**
 * Changes that bring measures to wanted baker's percentages, each by scaling its unlocked carriers (fats, sugars, eggs,
 * liquids) together. Carriers bring a little of each other (butter its water), so it is done twice. A measure without
 * a carrier, or one the locked items already exceed, stays where it is.
 */
export function moveTo(
  formula: Formula,
  wanted: Partial<Readonly<Record<Axis, number>>>,
  kitchen: Kitchen = defaultKitchen,
  locked: readonly string[] = [],
): Change[] {
  let at = formula;
  const set = new Map<string, number>();
  for (let pass = 0; pass < 3; pass++)
    for (const axis of Object.keys(wanted) as Axis[]) {
      const lines = linesOf(at, kitchen);
      const t = totalsOf(lines);
      const mine = lines.filter((l) => carries[axis](l) > 0 && l.grams > 0 && !locked.includes(l.item.id));
      const moves = mine.reduce((s, l) => s + carries[axis](l) * l.grams, 0);
      if (moves <= 0 || t.flourG <= 0) continue;
      const need = ((wanted[axis] ?? 0) * t.flourG) / 100 - gramsOf[axis](t);
      const k = Math.max(0.02, 1 + need / moves);
      for (const l of mine) set.set(l.item.id, tidy(l.grams * k));
      at = applyChanges(
        formula,
        [...set].map(([itemId, grams]) => ({ itemId, grams })),
      );
    }
  return [...set].map(([itemId, grams]) => ({ itemId, grams }));
}

/** Where a formula stands on the map: baker's percentages of the four measures. */
export function placeOnMap(formula: Formula, kitchen: Kitchen = defaultKitchen): Readonly<Record<Axis, number>> {
  const t = totalsOf(linesOf(formula, kitchen));
  return { fat: t.fatPct, sugar: t.sugarPct, egg: t.eggPct, water: t.waterPct };
}

/** What a little more of one item would do; differences against the formula as it is. */
export interface ItemEffect {
  readonly itemId: string;
  /** The step that was tried, g. */
  readonly grams: number;
  /** mmol per 100 g of base. */
  readonly lift: number;
  /** g NaHCO3 per 100 g batter. */
  readonly leftSodaG: number;
  /** Points of the structure index; + is more tender. */
  readonly tender: number;
  /** Points of baker's percentage of water left after drinking. */
  readonly water: number;
  readonly sugar: number;
  /** Minutes that it may stand. */
  readonly standMin: number;
  /** In the kitchen's currency; null when the price is not known. */
  readonly cost: number | null;
}

/** A step a baker would think of: an eighth of a teaspoon of leavener or salt, half an egg, a gram of spice, else 10 g. */
export function stepOf(line: Line, kitchen: Kitchen): number {
  const { role, gPerMl } = line.ingredient;
  if (role === 'leavener' || role === 'salt') return (teaspoonMl(kitchen.measures) * gPerMl) / 8;
  if (role === 'egg') return 10;
  return line.grams < 25 ? 1 : line.grams > 1500 ? 100 : 10;
}

/** @returns null when the item is not in the batter */
export function effectOf(formula: Formula, itemId: string, kitchen: Kitchen = defaultKitchen): ItemEffect | null {
  const before = weigh(formula, kitchen);
  const line = before.lines.find((l) => l.item.id === itemId);
  if (!line) return null;
  const grams = tidy(stepOf(line, kitchen));
  const after = weigh(applyChanges(formula, [{ itemId, grams: line.grams + grams }]), kitchen);
  const price = kitchen.prices[ingredientFor(formula, line.item, kitchen).id];
  return {
    itemId,
    grams,
    lift: after.lift.mmolPer100gBase.typical - before.lift.mmolPer100gBase.typical,
    leftSodaG: after.ledger.leftSodaGPer100gBatter.typical - before.ledger.leftSodaGPer100gBatter.typical,
    tender: after.beam.index - before.beam.index,
    water: after.totals.availablePct - before.totals.availablePct,
    sugar: after.totals.sugarPct - before.totals.sugarPct,
    standMin: after.lift.standMin - before.lift.standMin,
    cost: price && price.perG > 0 ? (price.price * grams) / price.perG : null,
  };
}
