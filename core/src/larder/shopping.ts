import { heavyIn } from '../quantity/figures.js';
import { pieceGrams } from '../quantity/amount.js';
import { shopSections, type Formula, type Kitchen, type ShopSection } from '../formula/types.js';
import { boughtFor, named, usedBy } from './used.js';
import { shopOf } from '../ingredient/kinds.js';

/** One thing to buy or to have. */
export interface ShoppingLine {
  readonly ingredient: string;
  readonly name: string;
  readonly section: ShopSection;
  /** What all bakes together take, what is there, and what is missing, g. */
  readonly needG: number;
  readonly haveG: number;
  readonly buyG: number;
  /** Packs to buy, of this weight; null when the pack is not known. */
  readonly packs: number | null;
  readonly packG: number | null;
  /** What the packs cost; null without a price. */
  readonly cost: number | null;
  /** "6 eggs", "2 packs of 250 g", "340 g". */
  readonly words: string;
  /** Which bakes take it, and how much, g. */
  readonly takenBy: readonly { readonly title: string; readonly grams: number }[];
  /** What will be left when all is baked, g. */
  readonly leftG: number;
}

export interface Shopping {
  /** By section, in the order one walks; what has to be bought. */
  readonly buy: readonly ShoppingLine[];
  /** What is there in full. */
  readonly have: readonly ShoppingLine[];
  readonly cost: number;
  /** What has no price and is missing from the sum. */
  readonly unpriced: readonly string[];
}

/** A bake of the plan: a formula, and how many times it. */
export interface PlannedBake {
  readonly formula: Formula;
  readonly factor?: number;
}

/** So little short counts as there: no scale in a kitchen would tell. */
const HAIR_G = 0.5;

/**
 * What a plan takes, less what is there, in the packs it is sold in: what is bought and what is there cover the plan,
 * and no pack could be left away.
 * @param stock what is there, g by ingredient (`stockNow`)
 */
export function shopping(
  plan: readonly PlannedBake[],
  stock: Readonly<Record<string, number>>,
  kitchen: Kitchen,
): Shopping {
  const need = new Map<string, { title: string; grams: number }[]>();
  for (const { formula, factor } of plan)
    for (const [id, grams] of Object.entries(boughtFor(usedBy(formula, factor ?? 1)))) {
      const list = need.get(id) ?? need.set(id, []).get(id);
      const same = list?.find((x) => x.title === formula.title);
      if (same) same.grams += grams;
      else list?.push({ title: formula.title, grams });
    }
  const formulas = plan.map((p) => p.formula);
  const lines = [...need].map(([id, takenBy]): ShoppingLine => {
    const i = named(formulas, kitchen, id);
    const needG = takenBy.reduce((s, x) => s + x.grams, 0);
    const haveG = Math.max(0, stock[id] ?? 0);
    const short = needG - haveG;
    const missing = short > HAIR_G || (short > 0 && needG <= HAIR_G) ? short : 0;
    const price = kitchen.prices[id];
    const pack = price && price.perG > 0 ? price.perG : null;
    const packs = missing > 0 && pack !== null ? Math.ceil(missing / pack - 1e-9) : missing > 0 ? null : 0;
    const bought = packs === null ? missing : pack === null ? 0 : packs * pack;
    const piece = id === 'egg' ? pieceGrams(i, kitchen.measures)?.typical : undefined;
    return {
      ingredient: id,
      name: i.name,
      section: shopOf(i),
      needG,
      haveG,
      buyG: missing,
      packs,
      packG: pack,
      cost: packs !== null && price ? packs * price.price : null,
      words: wordsOf(missing, packs, pack, piece, kitchen.display),
      takenBy,
      leftG: haveG + bought - needG,
    };
  });
  const order = (a: ShoppingLine, b: ShoppingLine): number => shopSections.indexOf(a.section) - shopSections.indexOf(b.section) || a.name.localeCompare(b.name); // prettier-ignore
  const buy = lines.filter((l) => l.buyG > 0).sort(order);
  return {
    buy,
    have: lines.filter((l) => l.buyG <= 0).sort(order),
    cost: buy.reduce((s, l) => s + (l.cost ?? 0), 0),
    unpriced: buy.filter((l) => l.cost === null).map((l) => l.name),
  };
}

function wordsOf(
  missing: number,
  packs: number | null,
  packG: number | null,
  pieceG: number | undefined,
  d: Kitchen['display'],
): string {
  if (missing <= 0) return 'enough';
  const grams = (g: number): string => heavyIn(d, g < 10 ? Number(g.toFixed(1)) : Math.ceil(g));
  if (pieceG !== undefined) {
    const n = Math.ceil(missing / pieceG - 1e-6);
    const box = packs !== null && packG !== null ? `, ${packs === 1 ? 'a box' : `${packs} boxes`} of ${Math.round(packG / pieceG)}` : ''; // prettier-ignore
    return `${n} ${n === 1 ? 'egg' : 'eggs'}${box}`;
  }
  return packs === null || packG === null ? grams(missing) : `${packs} × ${grams(packG)}`;
}
