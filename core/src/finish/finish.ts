import { told, toldAll } from '../quantity/figures.js';
import { OrvinError } from '../errors.js';
import { band } from '../formula/bands.js';
import type { Band, Group, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { asMeasured } from '../quantity/amount.js';
import { areaAt, outlineOf } from '../tin/geometry.js';
import type { TinFit } from '../tin/fit.js';
import { builds, groupIdOf, type Build, type FinishId } from './builds.js';

/** Round tins of one kind are stacked, or each is a cake of its own; a sheet or a square stays as it is. */
export interface FinishWish {
  readonly id: FinishId;
  readonly stacked?: boolean;
  /** Whether the sides are covered; taken as yes for a stack and no otherwise when left out. */
  readonly sides?: boolean;
  /** Times the usual thickness. */
  readonly thickness?: number;
}

/** One surface that is covered. */
export interface Covering {
  readonly where: 'between the layers' | 'on top' | 'round the sides' | 'on each' | 'all over';
  readonly areaCm2: number;
  readonly mm: number;
  readonly grams: number;
}

export interface FinishPlan {
  readonly build: Build;
  readonly covers: readonly Covering[];
  /** What it takes in all, with 5 % for bowl and knife, g. */
  readonly grams: Band;
  readonly lines: readonly {
    readonly ingredient: string;
    readonly name: string;
    readonly grams: number;
    readonly measured: string;
  }[];
  readonly words: string;
  /** Crumb coat and chilling, where the sides are covered. */
  readonly crumbCoat: string | null;
}

/** What stays in the bowl and on the knife. A judgement. */
const LEFT = 1.05;
/** Hands spread some thicker and some thinner. A judgement. */
const SPREAD = { low: 0.8, high: 1.25 } as const;
/** A crumb coat, mm. General baking knowledge. */
const CRUMB_MM = 1;

/** Surfaces of the baked cakes, cm2. Sides by the baked height at the edge. */
export function surfacesOf(
  fits: readonly TinFit[],
  stacked: boolean,
): { between: number; top: number; sides: number; cups: number } {
  const out = { between: 0, top: 0, sides: 0, cups: 0 };
  for (const fit of fits) {
    const o = outlineOf(fit.tin);
    const top = areaAt(o, Math.min(o.depth, fit.edgeMm)) / 100;
    if (o.cups > 1 || fit.tin.shape === 'cup') {
      out.cups += fit.count * o.cups;
      out.top += fit.count * o.cups * top;
      continue;
    }
    const round = o.kind === 'round';
    const wall = (fit.edgeMm * (round ? Math.PI * o.top : 2 * (o.top + o.top2))) / 100;
    const cakes = stacked ? 1 : fit.count;
    out.top += cakes * top;
    out.sides += fit.count * wall;
    if (stacked) out.between += (fit.count - 1) * top;
  }
  return out;
}

/**
 * How much of a finish some cakes take, by surface and thickness, with its own small formula scaled to it.
 * @throws OrvinError `bad-argument`
 */
export function finish(fits: readonly TinFit[], wish: FinishWish, kitchen: Kitchen = defaultKitchen): FinishPlan {
  const build = toldAll(
    kitchen,
    builds.find((b) => b.id === wish.id),
  );
  if (!build) throw new OrvinError('bad-argument', `There is no finish '${String(wish.id)}'.`);
  const stacked = wish.stacked === true && fits.some((f) => f.count > 1 && !outlineOf(f.tin).free);
  const sides = (wish.sides ?? stacked) && build.mm.sides > 0;
  const k = Math.max(0.2, Math.min(4, wish.thickness ?? 1));
  const s = surfacesOf(fits, stacked);
  const covers: Covering[] = [];
  const cover = (where: Covering['where'], areaCm2: number, mm: number): void => {
    if (areaCm2 > 0 && mm > 0) covers.push({ where, areaCm2, mm, grams: ((areaCm2 * mm) / 10) * build.gPerMl });
  };
  if (build.share) {
    const mean = (build.share[0] + build.share[1]) / 2;
    const batter = fits.reduce((sum, f) => sum + f.batterG * f.count, 0);
    const grams = k * (build.id === 'dusting' ? (s.top * mean) / 100 : (batter * mean) / 100);
    if (s.top > 0) covers.push({ where: 'all over', areaCm2: s.top, mm: 0, grams });
  } else if (s.cups > 0 && build.swirlG > 0) {
    covers.push({ where: 'on each', areaCm2: s.top, mm: 0, grams: k * s.cups * build.swirlG });
  } else {
    cover('between the layers', s.between, k * build.mm.between);
    cover('on top', s.top, k * build.mm.top);
    if (sides) cover('round the sides', s.sides, k * build.mm.sides);
  }
  const typical = LEFT * covers.reduce((sum, c) => sum + c.grams, 0);
  const spread = build.share ? { low: build.share[0] / ((build.share[0] + build.share[1]) / 2), high: build.share[1] / ((build.share[0] + build.share[1]) / 2) } : SPREAD; // prettier-ignore
  const all = build.parts.reduce((sum, p) => sum + p.parts, 0);
  const lines = build.parts.map((p) => {
    const ingredient = ingredientOf(p.ingredient, undefined, kitchen);
    const grams = (typical * p.parts) / all;
    return { ingredient: p.ingredient, name: ingredient.name, grams, measured: asMeasured(grams, ingredient, kitchen.measures) }; // prettier-ignore
  });
  const cakes = fits.reduce((n, f) => n + f.count, 0);
  const words =
    covers.length === 0
      ? `${build.name} is not put there.`
      : `about ${Math.round(typical / 10) * 10} g: ${covers.map((c) => `${Math.round(c.grams)} g ${c.where}${c.mm > 0 ? `, ${c.mm.toFixed(c.mm < 10 ? 1 : 0).replace(/\.0$/, '')} mm` : ''}`).join('; ')}${stacked ? `; ${cakes} layers take ${doubled(s)} as much as one` : ''}.`;
  return {
    build,
    covers,
    grams: band(typical * spread.low, typical, typical * spread.high),
    lines,
    words: told(kitchen, words),
    crumbCoat:
      sides && stacked
        ? told(kitchen, `First a crumb coat of ${CRUMB_MM} mm, about ${Math.round(((s.top + s.sides) * CRUMB_MM * build.gPerMl) / 10)} g of it, then 15–30 minutes in the fridge.`) // prettier-ignore
        : null,
  };
}

/** How many times the icing of one layer a stack takes, in words. */
function doubled(s: { between: number; top: number; sides: number }): string {
  const times = (s.between + s.top) / Math.max(1, s.top);
  return times >= 1.9 ? `${Math.round(times * 10) / 10} times` : 'more than once';
}

/** The finish as a group of the formula: its lines go into weighing, the day and shopping. One of a kind in a formula. */
export function asGroup(plan: FinishPlan): Group {
  const id = groupIdOf(plan.build);
  const role = plan.build.id === 'syrup' ? 'soak' : plan.build.id === 'jam' ? 'filling' : plan.build.id === 'dusting' ? 'top' : 'icing'; // prettier-ignore
  return {
    id,
    name: plan.build.name,
    role,
    items: plan.lines.map((l, i) => ({
      id: `${id}-${i + 1}`,
      ingredient: l.ingredient,
      words: l.name,
      entered: { value: Math.round(l.grams), unit: 'g' },
      grams: Math.round(l.grams),
    })),
  };
}
