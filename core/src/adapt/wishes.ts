import { told } from '../quantity/figures.js';
import { allItems } from '../formula/formula.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { Formula, Ingredient, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import { SODA_G_PER_MOL } from '../leavening/acids.js';
import { textureOf } from '../balance/texture.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { formulaWith, type Bowl } from './bowl.js';
import { combine, constant, minus, scaled, type Linear, type Sense } from './linear.js';
import type { Model } from './model.js';
import { ratesOf } from './rates.js';
import type { Measured, Request, TraitId, Wish } from './types.js';
import { BATTER_WITHIN_PCT } from './settings.js';

export const measuredWords: Readonly<Record<Measured, string>> = {
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  water: 'water',
  salt: 'salt',
  wholegrain: 'whole grain',
  sodium: 'sodium',
};
/** What more and less of a trait is called. */
export const traitWords: Readonly<Record<TraitId, readonly [less: string, more: string]>> = {
  crumb: ['tighter', 'lighter, more open'],
  bite: ['firmer', 'more tender'],
  mouth: ['drier', 'moister'],
  colour: ['paler', 'darker'],
};

const round = (x: number): string => (Math.abs(x) < 10 ? String(Math.round(x * 10) / 10) : String(Math.round(x)));

/** Shares as they stand: % of flour; sodium in mg per 100 g batter. */
export function measuredOf(w: Weighed, kitchen: Kitchen): Readonly<Record<Measured, number>> {
  const t = w.totals;
  const rates = w.lines.map((l) => ({ l, r: ratesOf(l, kitchen, false) }));
  const sum = (q: 'wholegrain' | 'sodiumMg'): number => rates.reduce((s, { l, r }) => s + r[q] * l.grams, 0);
  return {
    fat: t.fatPct,
    sugar: t.sugarPct,
    egg: t.eggPct,
    water: t.waterPct,
    salt: t.saltPct,
    wholegrain: t.flourG > 0 ? (100 * sum('wholegrain')) / t.flourG : 0,
    sodium: t.batterG > 0 ? (100 * sum('sodiumMg')) / t.batterG : 0,
  };
}

/** The crumb to expect, as four sums that 0 is usual for: not kept within ±1, so that what is beyond can still be brought nearer. */
export function traitsOf(w: Weighed): Readonly<Record<TraitId, number>> {
  const traits = textureOf(w.lines, w.totals, w.lift, w.ledger, w.beam, w.water, w.family, w.methods.chosen);
  const at = (id: TraitId): number => traits.find((x) => x.id === id)?.terms.reduce((s, [v]) => s + v, 0) ?? 0;
  return { crumb: at('crumb'), bite: at('bite'), mouth: at('mouth'), colour: at('colour') };
}

/** Turns wishes that speak of what is there now into figures, so that the same request can be asked again. */
export function pinned(formula: Formula, request: Request, kitchen: Kitchen): Request {
  const wishes = request.wishes ?? [];
  if (!wishes.some((w) => w.kind === 'change' || w.kind === 'texture')) return request;
  const w = weigh(request.like ?? formula, kitchen);
  const now = measuredOf(w, kitchen);
  const traits = traitsOf(w);
  return {
    ...request,
    wishes: wishes.map((wish): Wish => {
      if (wish.kind === 'change') {
        const to = Math.max(0, now[wish.of] * (1 + wish.byPct / 100));
        return {
          kind: 'measure',
          of: wish.of,
          ...(wish.byPct < 0 ? { max: to } : { min: to }),
          words: wishWords(wish, formula, kitchen),
        };
      }
      if (wish.kind === 'texture') {
        const to = traits[wish.trait] + wish.by;
        return {
          kind: 'trait',
          trait: wish.trait,
          ...(wish.by < 0 ? { max: to } : { min: to }),
          words: wishWords(wish, formula, kitchen),
        };
      }
      return wish;
    }),
  };
}

const ingredientName = (id: string, formula: Formula, kitchen: Kitchen): string =>
  ingredientOf(id, formula.ingredients, kitchen).name.replace(/,.*/, '').toLowerCase();

/** A wish in words, as the baker would say it. */
export function wishWords(wish: Wish, formula: Formula, kitchen: Kitchen): string {
  const nameOf = (itemId: string): string => {
    const item = allItems(formula).find((i) => i.id === itemId);
    return item ? ingredientName(item.ingredient, formula, kitchen) : itemId;
  };
  const mass = (g: number): string => told(kitchen, `${round(g)} g`);
  switch (wish.kind) {
    case 'hold':
      return `${nameOf(wish.itemId)} stays as it is`;
    case 'amount': {
      const { minG, maxG } = wish;
      const what = nameOf(wish.itemId);
      if (minG !== undefined && minG === maxG) return `exactly ${mass(minG)} of ${what}`;
      if (minG !== undefined && maxG !== undefined)
        return `${told(kitchen, `${round(minG)} to ${round(maxG)} g`)} of ${what}`;
      return minG !== undefined ? `at least ${mass(minG)} of ${what}` : `at most ${mass(maxG ?? 0)} of ${what}`;
    }
    case 'have':
      return `only ${mass(wish.grams)} of ${ingredientName(wish.ingredient, formula, kitchen)} is there`;
    case 'stock': {
      const short = shortOf(formula, kitchen).map((x) => ingredientName(x.ingredient, formula, kitchen));
      return `nothing but what is in stock${short.length > 0 ? ` (there is not enough ${short.join(', ')})` : ''}`;
    }
    case 'measure': {
      if (wish.words !== undefined) return wish.words;
      const unit = wish.of === 'sodium' ? ' mg in 100 g of batter' : ' % of the flour';
      const parts = [
        ...(wish.min !== undefined ? [`at least ${round(wish.min)}`] : []),
        ...(wish.max !== undefined ? [`at most ${round(wish.max)}`] : []),
      ];
      return `${measuredWords[wish.of]} ${parts.join(' and ')}${unit}`;
    }
    case 'change':
      return `${Math.abs(Math.round(wish.byPct))} % ${wish.byPct < 0 ? 'less' : 'more'} ${measuredWords[wish.of]}`;
    case 'texture':
      return traitWords[wish.trait][wish.by < 0 ? 0 : 1];
    case 'trait':
      return wish.words ?? traitWords[wish.trait][wish.max !== undefined && wish.min === undefined ? 0 : 1];
    case 'lift':
      return (
        wish.words ??
        (wish.max !== undefined ? `lift of at most ${round(wish.max)}` : `lift of at least ${round(wish.min ?? 0)}`)
      );
    case 'left-soda':
      return wish.min !== undefined ? 'soda left over, for a darker crumb' : 'no soda left over';
    case 'batter':
      return `${mass(wish.grams)} of batter`;
  }
}

export interface Row {
  readonly e: Linear;
  readonly sense: Sense;
  /** What counts as missing it by a whole unit, for wishes that have to give. */
  readonly unit: number;
}

/** Whether a wish is met by a formula, with a hair's allowance for steps. */
export function isMet(wish: Wish, formula: Formula, w: Weighed, kitchen: Kitchen, start: Formula): boolean {
  const grams = (id: string): number => allItems(formula).find((i) => i.id === id)?.grams ?? 0;
  const between = (x: number, lo: number | undefined, hi: number | undefined, hair: number): boolean =>
    (lo === undefined || x >= lo - hair) && (hi === undefined || x <= hi + hair);
  switch (wish.kind) {
    case 'hold':
      return Math.abs(grams(wish.itemId) - (allItems(start).find((i) => i.id === wish.itemId)?.grams ?? 0)) < 0.006;
    case 'amount':
      return between(grams(wish.itemId), wish.minG, wish.maxG, 0.006);
    case 'have':
      return used(formula, wish.ingredient) <= wish.grams + 0.006;
    case 'stock':
      return shortOf(formula, kitchen).length === 0;
    case 'measure':
      return between(measuredOf(w, kitchen)[wish.of], wish.min, wish.max, wish.of === 'sodium' ? 1 : 0.15);
    case 'trait':
      return between(traitsOf(w)[wish.trait], wish.min, wish.max, 0.02);
    case 'lift':
      return between(w.lift.mmolPer100gBase.typical, wish.min, wish.max, 0.1);
    case 'left-soda':
      return between(w.ledger.leftSodaGPer100gBatter.typical, wish.min, wish.max, 0.005);
    case 'batter':
      return Math.abs(w.totals.batterG / wish.grams - 1) <= (wish.withinPct ?? BATTER_WITHIN_PCT) / 100 + 1e-6;
    case 'change':
    case 'texture':
      return true;
  }
}

/** How far a formula is from what is wished of it as a whole, in the wish's own unit; 0 for wishes that speak of lines. */
export function missOf(wish: Wish, w: Weighed, kitchen: Kitchen): number {
  const off = (x: number, { min, max }: { readonly min?: number; readonly max?: number }): number =>
    Math.max(0, (min ?? x) - x, x - (max ?? x));
  switch (wish.kind) {
    case 'measure':
      return off(measuredOf(w, kitchen)[wish.of], wish);
    case 'trait':
      return off(traitsOf(w)[wish.trait], wish);
    case 'lift':
      return off(w.lift.mmolPer100gBase.typical, wish);
    case 'left-soda':
      return off(w.ledger.leftSodaGPer100gBatter.typical, wish);
    default:
      return 0;
  }
}

const used = (formula: Formula, ingredient: string): number =>
  allItems(formula).reduce((s, i) => s + (i.ingredient === ingredient ? i.grams : 0), 0);

/** Water comes from the tap. */
const ALWAYS = new Set(['water']);
/** Whether the kitchen has any of it. */
export const inStock = (i: Pick<Ingredient, 'id'>, kitchen: Kitchen): boolean =>
  ALWAYS.has(i.id) || (kitchen.stock[i.id] ?? 0) > 0;

/** What a formula needs more of than the kitchen has, g. What is not in the stock list is not there. */
export function shortOf(formula: Formula, kitchen: Kitchen): { ingredient: string; needG: number; haveG: number }[] {
  const ids = [...new Set(allItems(formula).map((i) => i.ingredient))].filter((id) => !ALWAYS.has(id));
  return ids
    .map((ingredient) => ({ ingredient, needG: used(formula, ingredient), haveG: kitchen.stock[ingredient] ?? 0 }))
    .filter((x) => x.needG > x.haveG + 0.006);
}

/**
 * No line grows beyond what the kitchen has of it, where the kitchen says what it has; what a formula needs already it
 * may keep, and what was chosen to stand in for another comes whether it is there or not.
 */
export function stockLimits(bowl: Bowl, wishes: readonly Wish[]): Wish[] {
  if (wishes.some((w) => w.kind === 'stock')) return [];
  const chosen = new Set(bowl.moves.flatMap((m) => (m.candidate?.instead === undefined ? [] : [m.line.ingredient.id])));
  const ids = new Set(bowl.moves.map((m) => m.line.ingredient.id));
  return [...ids].flatMap((ingredient): Wish[] => {
    const have = bowl.kitchen.stock[ingredient];
    if (have === undefined || chosen.has(ingredient)) return [];
    return [{ kind: 'have', ingredient, grams: Math.max(have, used(bowl.formula, ingredient)) }];
  });
}

/** How far a trait may be trusted to its slope: further than this, and it is looked at again from there. */
const TRAIT_STEP = 0.02;

/** A trait as a straight line through the point at hand: its value there and its slope by each line's weight. */
function traitLine(bowl: Bowl, model: Model, grams: readonly number[], trait: TraitId): Linear {
  const here = formulaWith(bowl, grams);
  const at = traitsOf(weigh(here, bowl.kitchen))[trait];
  const parts: (readonly [Linear, number])[] = [[constant(at), 1]];
  bowl.moves.forEach((m, i) => {
    if (m.fixedG !== null) return;
    const g = grams[i] ?? 0;
    // at a kink the slope is taken across it
    const h = Math.max(m.step, TRAIT_STEP * m.scaleG);
    const up = traitsOf(
      weigh(
        formulaWith(
          bowl,
          grams.map((x, j) => (j === i ? g + h : x)),
        ),
        bowl.kitchen,
      ),
    )[trait];
    const down =
      g >= h
        ? traitsOf(
            weigh(
              formulaWith(
                bowl,
                grams.map((x, j) => (j === i ? g - h : x)),
              ),
              bowl.kitchen,
            ),
          )[trait]
        : 2 * at - up;
    const slope = (up - down) / (2 * h);
    if (Math.abs(slope) < 1e-9) return;
    parts.push([model.amount(i), slope], [constant(g), -slope]);
  });
  return combine(parts);
}

/** Rows that hold when the wish is met. `grams` is where the search stands, for wishes that are not linear. */
export function rowsOf(wish: Wish, bowl: Bowl, model: Model, grams: readonly number[]): Row[] {
  const { total } = model;
  const limit = (e: Linear, lo: Linear | null, hi: Linear | null, unit: number): Row[] => [
    ...(lo
      ? [
          {
            e: minus(e, lo),
            sense: '>=' as const,
            unit,
          },
        ]
      : []),
    ...(hi
      ? [
          {
            e: minus(e, hi),
            sense: '<=' as const,
            unit,
          },
        ]
      : []),
  ];
  const times = (x: number | undefined, of: Linear): Linear | null => (x === undefined ? null : scaled(of, x));
  const plain = (x: number | undefined): Linear | null => (x === undefined ? null : constant(x));
  const sumOf = (ingredient: string): Linear =>
    combine(bowl.moves.map((m, i) => [model.amount(i), m.line.ingredient.id === ingredient ? 1 : 0] as const));
  const t = bowl.like.totals;
  switch (wish.kind) {
    case 'amount': {
      const i = bowl.moves.findIndex((m) => m.line.item.id === wish.itemId);
      return i < 0
        ? []
        : limit(model.amount(i), plain(wish.minG), plain(wish.maxG), Math.max(wish.minG ?? wish.maxG ?? 1, 1));
    }
    case 'have':
      return limit(
        sumOf(wish.ingredient),
        null,
        constant(Math.max(0, wish.grams - apart(bowl, wish.ingredient))),
        Math.max(wish.grams, 1),
      );
    case 'stock': {
      const ids = [...new Set(bowl.moves.map((m) => m.line.ingredient.id))].filter((id) => !ALWAYS.has(id));
      return ids.flatMap((id) => {
        const have = Math.max(0, (bowl.kitchen.stock[id] ?? 0) - apart(bowl, id));
        return limit(sumOf(id), null, constant(have), Math.max(have, 10));
      });
    }
    case 'measure': {
      if (wish.of === 'sodium')
        return limit(
          total('sodiumMg'),
          wish.min === undefined ? null : times(wish.min / 100, total('batter')),
          wish.max === undefined ? null : times(wish.max / 100, total('batter')),
          t.batterG,
        );
      const q = wish.of === 'wholegrain' ? 'wholegrain' : wish.of;
      return limit(
        total(q),
        wish.min === undefined ? null : times(wish.min / 100, total('flour')),
        wish.max === undefined ? null : times(wish.max / 100, total('flour')),
        // missed by a whole unit when it is a quarter of what was asked away
        (0.25 * Math.max(wish.max ?? wish.min ?? 0, 0.2) * Math.max(t.flourG, 1)) / 100,
      );
    }
    case 'trait':
      return limit(traitLine(bowl, model, grams, wish.trait), plain(wish.min), plain(wish.max), 0.5);
    case 'lift':
      return limit(
        model.gas,
        wish.min === undefined ? null : times(wish.min / 100, total('base')),
        wish.max === undefined ? null : times(wish.max / 100, total('base')),
        0.05 * Math.max(t.baseG, 1),
      );
    case 'left-soda':
      return limit(
        scaled(model.left, SODA_G_PER_MOL / 1000),
        wish.min === undefined ? null : times(wish.min / 100, total('batter')),
        wish.max === undefined ? null : times(wish.max / 100, total('batter')),
        0.002 * t.batterG,
      );
    case 'batter': {
      const by = (wish.withinPct ?? BATTER_WITHIN_PCT) / 100;
      return limit(total('batter'), constant(wish.grams * (1 - by)), constant(wish.grams * (1 + by)), 0.2 * wish.grams);
    }
    case 'hold': // pinned in the bowl
    case 'change': // turned into figures before
    case 'texture':
      return [];
  }
}

/** What lines outside the batter (toppings, fillings) take of an ingredient, g. */
function apart(bowl: Bowl, ingredient: string): number {
  const inBatter = new Set(linesOf(bowl.formula, bowl.kitchen).map((l) => l.item.id));
  return allItems(bowl.formula).reduce(
    (s, i) => s + (i.ingredient === ingredient && !inBatter.has(i.id) ? i.grams : 0),
    0,
  );
}
