import { wholeMassIn } from '../quantity/figures.js';
import { familyOf } from '../balance/families.js';
import { densityOf, totalsOf } from '../balance/totals.js';
import type { Problem } from '../errors.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, GroupRole, Item, Kitchen, TinUse } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { asMeasured, pieceGrams } from '../quantity/amount.js';
import { asFraction } from '../quantity/numbers.js';
import { areaAt, capacityOf, outlineOf } from '../tin/geometry.js';

export type ScaleTarget =
  | { readonly by: 'factor'; readonly factor: number }
  /** So many pieces, each as heavy as now, or of `pieceG` raw batter. */
  | { readonly by: 'pieces'; readonly pieces: number; readonly pieceG?: number }
  | { readonly by: 'tins'; readonly tins: readonly TinUse[] }
  | { readonly by: 'batterG'; readonly batterG: number }
  | { readonly by: 'item'; readonly itemId: string; readonly grams: number };

export interface Scaled {
  readonly formula: Formula;
  readonly factor: number;
  /** How the eggs come out: whole where near, else beaten and weighed. */
  readonly eggs: readonly { readonly itemId: string; readonly words: string }[];
  /** What the trimming school did to the leavener; null when it did nothing. */
  readonly leavener: string | null;
  readonly problems: readonly Problem[];
}

/** Share of a muffin cup that batter takes, by school: two thirds for a flat top, nearly brim-full for a domed one. */
const CUP_FILL = { 'two-thirds': 2 / 3, brim: 0.95 } as const;

/** Share of a larger tin that a muffin batter takes, whose crown needs the room. A judgement. */
const TIN_FILL = 0.55;

/** From this factor on the trimming school cuts leavener, by the middle of the usual 5 to 10 %: less gas is lost a kilo. */
const TRIM_FROM = 4;
const TRIM = 0.925;

/** Batter weight that a set of tins wants, g: what the formula's own tins hold, or the family's usual fill. */
export function batterForTins(formula: Formula, tins: readonly TinUse[], kitchen: Kitchen): number {
  const t = totalsOf(linesOf(formula, kitchen));
  const family = familyOf(formula.family);
  const volume = (uses: readonly TinUse[]): number => uses.reduce((s, u) => s + capacityOf(u.tin) * u.count, 0);
  const own = formula.tins ?? [];
  const free = tins.every((x) => outlineOf(x.tin).free);
  const cups = tins.every((x) => x.tin.shape === 'cup');
  const sameKind = own.every((u) => outlineOf(u.tin).free === free && (u.tin.shape === 'cup') === cups);
  if (own.length > 0 && volume(own) > 0 && sameKind) return (t.batterG * volume(tins)) / volume(own);
  // a family of cups says nothing of how full a loaf tin may be
  const ofCups = family.bakedIn[0] === 'cup';
  const usual = cups ? CUP_FILL[kitchen.schools.muffinFill] : ofCups ? TIN_FILL : (family.fill[0] + family.fill[1]) / 2;
  return volume(tins) * densityOf(t, family) * (free ? 1 : usual);
}

/** Surface that icing covers and that grease lines, cm2: the tops of some tins, and their sides. */
function surfacesOf(tins: readonly TinUse[]): { top: number; sides: number; layers: number } {
  let [top, sides, layers] = [0, 0, 0];
  for (const { tin, count } of tins) {
    const o = outlineOf(tin);
    const hollows = o.cups * count;
    const round = o.kind === 'round';
    top += (hollows * areaAt(o, o.depth)) / 100;
    sides += (hollows * o.depth * (round ? Math.PI * o.top : 2 * (o.top + o.top2))) / 100;
    layers += o.cups > 1 ? 0 : Math.max(0, count - 1) * (areaAt(o, o.depth) / 100);
  }
  return { top, sides, layers };
}

/**
 * By how much a group scales when the batter goes into other tins: what lies on top with the tops, icing with tops and
 * sides, filling with the layers between, grease with the inside; everything else with the batter.
 */
function groupFactor(
  role: GroupRole | undefined,
  factor: number,
  from: readonly TinUse[],
  to: readonly TinUse[],
): number {
  if (role !== 'top' && role !== 'icing' && role !== 'filling' && role !== 'grease') return factor;
  const [a, b] = [surfacesOf(from), surfacesOf(to)];
  const ratio = (x: number, y: number): number => (x > 0 && y > 0 ? y / x : factor);
  if (role === 'top') return ratio(a.top, b.top);
  if (role === 'filling') return ratio(a.layers, b.layers);
  return ratio(a.top + a.sides, b.top + b.sides);
}

/** Shapes of which each hollow or each lump is a piece; of others a piece is a slice, and how many nobody has said. */
const PIECES: ReadonlySet<string> = new Set(['cup', 'slab', 'mound']);

/** How many pieces a formula makes: as it says, or what its tins hold or its dough is cut into; null where nothing says so. */
function piecesOf(formula: Formula): number | null {
  if (formula.yield) return formula.yield.pieces > 0 ? formula.yield.pieces : null;
  const tins = (formula.tins ?? []).filter((u) => PIECES.has(u.tin.shape));
  return tins.length > 0 ? tins.reduce((s, u) => s + (u.tin.cups ?? 1) * u.count, 0) : null;
}

function factorOf(formula: Formula, target: ScaleTarget, kitchen: Kitchen): number {
  const batterG = totalsOf(linesOf(formula, kitchen)).batterG;
  switch (target.by) {
    case 'factor':
      return target.factor;
    case 'pieces':
      if (target.pieceG !== undefined) return (target.pieces * target.pieceG) / batterG;
      return target.pieces / (piecesOf(formula) ?? NaN);
    case 'tins':
      return batterForTins(formula, target.tins, kitchen) / batterG;
    case 'batterG':
      return target.batterG / batterG;
    case 'item':
      return target.grams / (allItems(formula).find((i) => i.id === target.itemId)?.grams ?? 0);
  }
}

const untouched = (formula: Formula, id: string, words: string, remedy: string): Scaled => ({
  formula,
  factor: 1,
  eggs: [],
  leavener: null,
  problems: [{ id, place: 'scale', words, remedy }],
});

function scaleItem(item: Item, factor: number): Item {
  if (factor === 1) return item;
  const e = item.entered;
  const value =
    e === null
      ? null
      : typeof e.value === 'number'
        ? e.value * factor
        : ([e.value[0] * factor, e.value[1] * factor] as const);
  return { ...item, grams: item.grams * factor, entered: e && value !== null ? { ...e, value } : e };
}

/**
 * Scales every line by one factor, but what covers a surface by the surface when the tins change; ratios, and so every baker's percentage, stay as they are, unless the kitchen is of
 * the school that trims leavener in large batches, which is said in `leavener`. An impossible target leaves the formula untouched and says why.
 */
export function scale(formula: Formula, target: ScaleTarget, kitchen: Kitchen = defaultKitchen): Scaled {
  const factor = factorOf(formula, target, kitchen);
  const open = target.by === 'pieces' && target.pieceG === undefined && piecesOf(formula) === null;
  if (open)
    return untouched(
      formula,
      'pieces',
      'How many pieces it makes now is not said, so that so many more or fewer is no amount yet.',
      'Say how many it makes, or how heavy each is to be; or scale by a factor, the batter’s weight or the tins.',
    );
  if (!Number.isFinite(factor) || factor <= 0 || factor > 1000)
    return untouched(
      formula,
      'scale',
      'There is nothing to scale to: the target or the batter weighs nothing.',
      'Give an amount above zero, and check that the formula has weights.',
    );
  const onTins = target.by === 'tins' && (formula.tins?.length ?? 0) > 0 ? target.tins : null;
  const tins = target.by === 'tins' ? target.tins : formula.tins;
  const pieces = formula.yield
    ? {
        ...formula.yield,
        pieces: Math.max(1, Math.round(target.by === 'pieces' ? target.pieces : formula.yield.pieces * factor)),
      }
    : undefined;
  const leavens = (i: Item): boolean => ['soda', 'powder'].includes(ingredientFor(formula, i, kitchen).leavener ?? '');
  const trims = factor > TRIM_FROM && kitchen.schools.leavenerAtScale === 'trimmed' && allItems(formula).some(leavens);
  const scaled: Formula = {
    ...formula,
    groups: formula.groups.map((g) => {
      const own = onTins ? groupFactor(g.role, factor, formula.tins ?? [], onTins) : factor;
      return { ...g, items: g.items.map((i) => scaleItem(i, trims && leavens(i) ? own * TRIM : own)) };
    }),
    ...(tins && { tins }),
    ...(pieces && { yield: pieces }),
  };
  const leavener = trims
    ? `leavener trimmed by ${Math.round(100 * (1 - TRIM))} %, as this kitchen does above ${TRIM_FROM} times`
    : null;
  return { formula: scaled, factor, eggs: eggWords(scaled, kitchen), leavener, problems: [] };
}

function eggWords(formula: Formula, kitchen: Kitchen): { itemId: string; words: string }[] {
  return allItems(formula).flatMap((item) => {
    const ingredient = ingredientFor(formula, item, kitchen);
    const piece = ingredient.role === 'egg' ? pieceGrams(ingredient, kitchen.measures) : null;
    if (!piece) return [];
    const n = item.grams / piece.typical;
    const near = kitchen.schools.eggs === 'whole' && Math.abs(n - Math.round(n)) < 0.12;
    const words = near
      ? `${asMeasured(item.grams, ingredient, kitchen.measures)}`
      : `${asFraction(n)} eggs: beat ${Math.ceil(n)} and weigh ${wholeMassIn(kitchen.display, item.grams)}`;
    return [{ itemId: item.id, words }];
  });
}
