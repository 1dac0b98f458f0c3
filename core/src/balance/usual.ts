import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import type { Span } from '../plausible/spans.js';
import { spansFor } from './held.js';
import { weigh } from './weigh.js';

/** Where an ingredient's weight usually lies, all else being as it is; the scale of its bar. */
export interface Usual {
  readonly itemId: string;
  /** Grams at the edges of the usual range and in its middle; null when nothing is said about it. */
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
 * The usual range of every item: where its measure lies in 8 of 10 bakes that are else like this one, shared among its
 * carriers as they are now; for leaveners, the weights at which the lift meets the ends of its span while everything
 * else stays.
 */
export function usualRanges(formula: Formula, kitchen: Kitchen = defaultKitchen): Usual[] {
  const w = weigh(formula, kitchen);
  const { totals: t } = w;
  const spans = spansFor(formula, w, kitchen);
  return w.lines.map(({ item, ingredient, grams }) => {
    const none = { itemId: item.id, low: null, usual: null, high: null, full: fullFor(grams, null) };
    if (!spans || t.flourG <= 0 || grams <= 0) return none;
    const whole = item.pieces ?? ingredient.pieces ?? false;
    const ranged = ({ low, usual, high }: Span, gramsAt: (x: number) => number): Usual => {
      const [lo, mid, hi] = [low, usual, high].map((x) => Math.max(0, gramsAt(x))) as [number, number, number];
      return { itemId: item.id, low: lo, usual: mid, high: Math.max(lo, hi), full: fullFor(grams, Math.max(lo, hi)) };
    };
    if (ingredient.leavener === 'powder' || ingredient.leavener === 'soda') {
      const own = w.ledger.entries
        .filter((e) => e.itemId === item.id && e.side === 'soda')
        .reduce((s, e) => s + e.meq.typical, 0);
      const perGram = ((own / grams) * 100) / t.baseG;
      const now = w.lift.mmolPer100gBase.typical;
      return perGram > 0 ? ranged(spans.lift, (x) => grams + (x - now) / perGram) : none;
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
    if (measure === null) return none;
    if (measure === 'water') {
      // liquids take up what the other water leaves open
      const perGram = ingredient.per100.water / 100;
      return perGram > 0.3 ? ranged(spans.water, (x) => grams + ((x - t.waterPct) * t.flourG) / 100 / perGram) : none;
    }
    const total = { salt: t.saltG, egg: t.eggG, fat: t.fatG, sugar: t.sugarG }[measure];
    return total > 0 ? ranged(spans[measure], (x) => ((grams / total) * x * t.flourG) / 100) : none;
  });
}
