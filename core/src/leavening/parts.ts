import { band, type Reading } from '../formula/bands.js';
import { batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen, PowderType } from '../formula/types.js';
import { acidById, acidOfIngredient, DISSOLVED, SODA_G_PER_MOL } from './acids.js';
import { powderKind, strengthShare, type PowderKind } from './powders.js';

/** Share of a whole piece's acid (berry, chip, raisin) that meets the batter: 0–20 %. */
const PIECES_SHARE = band(0, 0.1, 0.2);

export interface Line {
  readonly item: Item;
  readonly ingredient: Ingredient;
  readonly grams: number;
  /** Folded in whole, so that its water and acid hardly meet the batter. */
  readonly whole: boolean;
}

export const linesOf = (formula: Formula, kitchen?: Kitchen): Line[] =>
  batterItems(formula).map((item) => {
    const ingredient = ingredientFor(formula, item, kitchen);
    return {
      item,
      ingredient,
      grams: usableGrams(item.grams),
      whole: item.pieces ?? ingredient.pieces ?? false,
    };
  });

/** Milliequivalents of acid that an item lends to the batter, in one reading; negative when it is alkaline. */
export function acidOf({ ingredient, grams, whole }: Line, read: Reading): number {
  const acid = ingredient.acidMeq;
  if (!acid) return 0;
  return (read(acid, ingredient.id) * grams * (whole ? read(PIECES_SHARE, 'pieces') : 1)) / 100;
}

/** How soon an acid gives its gas: a leavening acid at its own rate, one in a liquid or fruit within minutes. */
export function paceOf({ ingredient }: Line): { bench: typeof DISSOLVED.bench; slowPerMin: number } {
  const id = acidOfIngredient[ingredient.id];
  return id ? acidById(id) : DISSOLVED;
}

/** Bicarbonate (mmol) that an item brings, in one reading. */
export interface Bicarbonate {
  readonly free: number;
  readonly powder: number;
  /** mmol that the powder's own acids can meet. */
  readonly ownAcid: number;
}

const none: Bicarbonate = { free: 0, powder: 0, ownAcid: 0 };

export function powderTypeOf(ingredient: Ingredient, kitchen?: Kitchen): PowderType {
  return ingredient.powder ?? kitchen?.powders[0]?.type ?? 'double-acting';
}

/** The powder in a line: of a powder itself or of a self-raising flour; null when it holds none. */
export function powderIn({ ingredient }: Line, kitchen?: Kitchen): PowderKind | null {
  if (ingredient.leavener === 'powder') return powderKind(powderTypeOf(ingredient, kitchen));
  return ingredient.co2Mmol ? powderKind('aluminium-free') : null;
}

/** How strong the kitchen's powder of that type still is, by its test; one that was never tested counts as vigorous. */
export function strengthOf(ingredient: Ingredient, kitchen?: Kitchen): 'vigorous' | 'weak' | 'none' {
  const type = powderTypeOf(ingredient, kitchen);
  return kitchen?.powders.find((p) => p.type === type)?.strength ?? 'vigorous';
}

export function bicarbonateOf(line: Line, read: Reading, kitchen?: Kitchen): Bicarbonate {
  const { ingredient, grams } = line;
  if (grams === 0) return none;
  if (ingredient.leavener === 'soda') return { ...none, free: (grams / SODA_G_PER_MOL) * 1000 };
  if (ingredient.leavener === 'powder') {
    const kind = powderKind(powderTypeOf(ingredient, kitchen));
    const strength = read(strengthShare[strengthOf(ingredient, kitchen)], 'strength');
    const powder = ((grams * read(kind.soda, ingredient.id)) / kind.gPerMol) * 1000 * Math.min(1, strength);
    return { free: 0, powder, ownAcid: powder * kind.met };
  }
  if (ingredient.co2Mmol) {
    const powder = (grams * read(ingredient.co2Mmol, ingredient.id)) / 100;
    return { free: 0, powder, ownAcid: powder };
  }
  return none;
}

const STIRRED = /\b(dissolv|stir|mix|whisk|fizz|foam|froth|bubbl|combin)/i;
const FIZZES = /fizz|foam|froth|bubbl|dissolv/i;

/**
 * Whether the soda is stirred into something sour before it meets the flour, so that much of its gas is gone before
 * there is a batter to hold it. Said by the item itself (`premixed`), by its words ("soda dissolved in the vinegar") or
 * by a step of the method that names soda and an acid together, before any flour.
 */
export function premixed(formula: Formula, lines: readonly Line[]): boolean {
  const sodas = lines.filter((l) => l.ingredient.leavener === 'soda' && l.grams > 0);
  if (sodas.length === 0) return false;
  if (sodas.some((l) => l.item.premixed !== undefined)) return sodas.some((l) => l.item.premixed === true);
  const sour = /vinegar|lemon|lime|juice|buttermilk|yogh?urt|curd|kefir|sour/i;
  if (sodas.some((l) => /\b(dissolved|stirred|mixed) (in|into|with)\b/i.test(l.item.words) && sour.test(l.item.words)))
    return true;
  const acidIds = new Set(
    lines.filter((l) => (l.ingredient.acidMeq?.typical ?? 0) >= 4 && !l.whole).map((l) => l.item.id),
  );
  const flourIds = new Set(lines.filter((l) => l.ingredient.base === 'flour').map((l) => l.item.id));
  for (const step of formula.method) {
    const names = (re: RegExp): boolean => re.test(step.text);
    const soda = names(/\b(soda|bicarb)/i) || sodas.some((l) => step.itemIds.includes(l.item.id));
    const acid = names(sour) || step.itemIds.some((id) => acidIds.has(id));
    const flour = names(/\b(flour|dry|batter)\b/i) || step.itemIds.some((id) => flourIds.has(id));
    if (soda && acid && !flour && STIRRED.test(step.text)) return FIZZES.test(step.text) || !names(/\begg|sugar\b/i);
    if (flour) return false;
  }
  return false;
}
