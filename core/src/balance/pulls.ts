import type { Line } from '../leavening/parts.js';
import { hasRanges, type Family } from './families.js';
import type { Totals } from './totals.js';

/** Points of structure or tenderness; 1 is the hold of 1 g of plain wheat flour. All are judgement; see balance.md. */
const HOLD = {
  /** Share of a flour's hold that its protein gives; the rest is starch. Against plain flour: 10.3 % and 72.2 %. */
  proteinPart: 0.6,
  plainProtein: 10.3,
  plainStarch: 72.2,
  /** What flour protein without gluten holds, against wheat's. */
  noGluten: 0.25,
  /** Points of a gram of yolk's protein, of egg's and white's, of milk's. */
  yolk: 1.2,
  egg: 3.2,
  milk: 1.2,
  cocoa: 0.4,
} as const;
const TENDER = { fat: 0.8, heldFat: 0.25, sugar: 0.45, bran: 0.4, alcohol: 0.6 } as const;

/** What one line pulls: how much it holds the crumb up, and how much it makes it tender, in points. */
export interface Pull {
  readonly itemId: string;
  readonly name: string;
  readonly holds: number;
  readonly tenders: number;
}

export function pullOf({ item, ingredient, grams, whole }: Line): Pull {
  const c = ingredient.per100;
  const g = grams / 100;
  let holds = 0;
  let tenders = 0;
  if (!whole) {
    if (ingredient.base === 'flour') {
      const gluten = ingredient.gluten ?? (ingredient.allergens.includes('wheat') ? 1 : HOLD.noGluten);
      holds +=
        grams *
        ((HOLD.proteinPart * gluten * c.protein) / HOLD.plainProtein +
          ((1 - HOLD.proteinPart) * c.starch) / HOLD.plainStarch);
      tenders += TENDER.bran * g * Math.max(0, c.fibre - 3);
    } else if (ingredient.role === 'egg') holds += g * c.protein * (c.fat > 20 && c.water > 40 ? HOLD.yolk : HOLD.egg);
    else if (ingredient.base === 'cocoa') holds += HOLD.cocoa * grams;
    else if (ingredient.structure !== undefined) holds += ingredient.structure * grams;
    else if (ingredient.role === 'liquid') holds += g * c.protein * HOLD.milk;
    // fat inside ground nuts and coconut hardly comes out
    tenders += g * ((ingredient.role === 'addin' ? TENDER.heldFat : TENDER.fat) * c.fat + TENDER.sugar * c.sugar);
    tenders += (ingredient.alcohol ?? 0) * TENDER.alcohol * grams;
  }
  return { itemId: item.id, name: ingredient.name, holds, tenders };
}

/** How far from the family's middle, in halves of its usual width, the beam may lean before it is called unusual. */
export const LEAN_USUAL = 1.25;

/** Structure against tenderness, as one index. */
export interface Beam {
  readonly holds: number;
  readonly tenders: number;
  /** 100 (T − S) / (T + S): −100 all structure, +100 all tenderness. */
  readonly index: number;
  /** Where formulas of this family usually stand. */
  readonly usual: readonly [number, number];
  /** Points from the middle of the family, in halves of its usual width: within ±1 is usual, + is tender. */
  readonly lean: number;
  readonly pulls: readonly Pull[];
}

export const indexOf = (holds: number, tenders: number): number =>
  holds + tenders > 0 ? (100 * (tenders - holds)) / (holds + tenders) : 0;

/** Index of a plain formula of 100 flour with these baker's percentages, milk for the rest of its water. */
function plainIndex(family: Family, fat: number, sugar: number, egg: number): number {
  const cocoa = family.cocoaPct;
  const holds = 100 + 0.126 * egg * HOLD.egg + HOLD.cocoa * cocoa + 2;
  const tenders = TENDER.fat * (fat + 0.097 * egg + 2) + TENDER.sugar * (sugar + 2);
  return indexOf(holds, tenders);
}

const middles = new Map<Family, readonly [number, number]>();

/**
 * The usual span of the index in a family: its value at the middle of the fat, sugar and egg ranges, and what each range
 * moves it by, joined as independent (root of the sum of squares) and taken at nine tenths.
 */
export function usualIndex(family: Family): readonly [number, number] {
  const known = middles.get(family);
  if (known) return known;
  const mid = ([a, b]: readonly [number, number]): number => (a + b) / 2;
  const [f, s, e] = [mid(family.fat), mid(family.sugar), mid(family.egg)];
  const at = plainIndex(family, f, s, e);
  const half = (low: number, high: number): number => Math.abs(high - low) / 2;
  const w = Math.hypot(
    half(plainIndex(family, family.fat[0], s, e), plainIndex(family, family.fat[1], s, e)),
    half(plainIndex(family, f, family.sugar[0], e), plainIndex(family, f, family.sugar[1], e)),
    half(plainIndex(family, f, s, family.egg[0]), plainIndex(family, f, s, family.egg[1])),
  );
  // to have none of what the family may do without is usual: a soda bread of flour and buttermilk alone
  const none = (r: readonly [number, number], m: number): number => (r[0] < 1 ? r[0] : m);
  const usual: readonly [number, number] = !hasRanges(family)
    ? [-100, 100]
    : [
        Math.min(at - 0.9 * w, plainIndex(family, none(family.fat, f), none(family.sugar, s), e)),
        Math.max(at + 0.9 * w, plainIndex(family, f, s, none(family.egg, e))),
      ];
  middles.set(family, usual);
  return usual;
}

export function beamOf(lines: readonly Line[], family: Family): Beam {
  const pulls = lines.map(pullOf);
  const holds = pulls.reduce((s, p) => s + p.holds, 0);
  const tenders = pulls.reduce((s, p) => s + p.tenders, 0);
  const index = indexOf(holds, tenders);
  const usual = usualIndex(family);
  const half = Math.max(1e-6, (usual[1] - usual[0]) / 2);
  return { holds, tenders, index, usual, lean: (index - (usual[0] + usual[1]) / 2) / half, pulls };
}

/** What one line brings of water, and what it drinks, g. */
export interface Wet {
  readonly itemId: string;
  readonly name: string;
  readonly bringsG: number;
  readonly drinksG: number;
}

/** The water line: who brings water, who drinks it, and what is left against what the family wants. */
export interface WaterLine {
  readonly entries: readonly Wet[];
  readonly broughtPct: number;
  readonly drunkPct: number;
  readonly availablePct: number;
  /** Available water that suits the family, % of flour. */
  readonly usual: readonly [number, number];
}

/** What a family's formulas usually lose to drinkers, % of flour: cocoa in a chocolate cake, whole grain in a soda bread. */
const USUALLY_DRUNK: Readonly<Record<string, number>> = {
  'chocolate-cake': 30,
  'maize-bread': 8,
  'soda-bread': 5,
  'soda-loaf': 6,
  'treacle-cake': 2,
};

export const usualWater = (family: Family): readonly [number, number] => {
  const drunk = USUALLY_DRUNK[family.id] ?? 3;
  return [Math.max(0, family.water[0] - drunk), Math.max(0, family.water[1] - drunk)];
};

export function waterLineOf(lines: readonly Line[], t: Totals, family: Family): WaterLine {
  const per = t.baseG > 0 ? 100 / (t.flourG > 0 ? t.flourG : t.baseG) : 0;
  return {
    entries: lines
      .filter((l) => !l.whole)
      .map((l) => ({
        itemId: l.item.id,
        name: l.ingredient.name,
        bringsG: l.ingredient.base === 'flour' ? 0 : (l.ingredient.per100.water * l.grams) / 100,
        drinksG: (l.ingredient.drinks ?? 0) * l.grams,
      }))
      .filter((e) => e.bringsG > 0 || e.drinksG > 0),
    broughtPct: t.waterG * per,
    drunkPct: t.drunkG * per,
    availablePct: t.availablePct,
    usual: usualWater(family),
  };
}
