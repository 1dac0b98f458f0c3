import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { measures, rangeOf } from './verdicts.js';
import { weigh } from './weigh.js';

/** Where an ingredient's weight usually lies in this formula's family; the scale of its bar. */
export interface Usual {
  readonly itemId: string;
  /** Grams at the edges of the usual range and in its middle; null when the family says nothing about it. */
  readonly low: number | null;
  readonly usual: number | null;
  readonly high: number | null;
  /** Grams at the bar's full length. */
  readonly full: number;
}

/** A nice full length for a bar: no shorter than what it must hold, and steady while a weight moves a little. */
function fullFor(grams: number, high: number | null): number {
  const need = Math.max(high === null ? grams * 1.6 : high * 1.15, grams * 1.08, 0.5);
  const magnitude = Math.pow(10, Math.floor(Math.log10(need)));
  const steps = [1, 1.25, 1.6, 2, 2.5, 3.2, 4, 5, 6.4, 8, 10];
  return magnitude * (steps.find((s) => s * magnitude >= need) ?? 10);
}

/**
 * The usual range of every item: each measure's range in the family, shared among its carriers as they are now; for
 * leaveners, the weights at which the lift meets the edges of its band while everything else stays.
 */
export function usualRanges(formula: Formula, kitchen: Kitchen = defaultKitchen): Usual[] {
  const w = weigh(formula, kitchen);
  const { family, totals: t } = w;
  return w.lines.map(({ item, ingredient, grams }) => {
    const none = { itemId: item.id, low: null, usual: null, high: null, full: fullFor(grams, null) };
    if (family.id === 'free' || t.flourG <= 0 || grams <= 0) return none;
    const whole = item.pieces ?? ingredient.pieces ?? false;
    const ranged = (low: number, high: number): Usual => {
      const lo = Math.max(0, low);
      const hi = Math.max(lo, high);
      return { itemId: item.id, low: lo, usual: (lo + hi) / 2, high: hi, full: fullFor(grams, hi) };
    };
    if (ingredient.leavener === 'powder' || ingredient.leavener === 'soda') {
      const own = w.ledger.entries
        .filter((e) => e.itemId === item.id && e.side === 'soda')
        .reduce((s, e) => s + e.meq.typical, 0);
      const perGram = ((own / grams) * 100) / t.baseG;
      const now = w.lift.mmolPer100gBase.typical;
      return perGram > 0
        ? ranged(grams + (w.lift.target[0] - now) / perGram, grams + (w.lift.target[1] - now) / perGram)
        : none;
    }
    if (whole) return none;
    const measure =
      ingredient.role === 'salt'
        ? 'salt'
        : ingredient.role === 'egg'
          ? 'egg'
          : ingredient.fatCounts && ingredient.role === 'fat'
            ? 'fat'
            : ingredient.sugarCounts && ingredient.role === 'sugar'
              ? 'sugar'
              : ingredient.role === 'liquid'
                ? 'water'
                : null;
    if (measure === null || !measures.includes(measure)) return none;
    const total = { salt: t.saltG, egg: t.eggG, fat: t.fatG, sugar: t.sugarG, water: t.waterG }[measure];
    if (total <= 0) return none;
    const [lo, hi] = rangeOf(family, measure, t);
    if (measure === 'water') {
      // liquids take up what the other water leaves open
      const perGram = ingredient.per100.water / 100;
      if (perGram <= 0.3) return none;
      return ranged(
        grams + ((lo - t.waterPct) * t.flourG) / 100 / perGram,
        grams + ((hi - t.waterPct) * t.flourG) / 100 / perGram,
      );
    }
    const share = grams / total;
    return ranged((share * lo * t.flourG) / 100, (share * hi * t.flourG) / 100);
  });
}
