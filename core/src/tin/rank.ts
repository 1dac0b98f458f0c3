import { told } from '../quantity/figures.js';
import { consistencyOf, totalsOf } from '../balance/totals.js';
import type { FamilyId, Formula, Kitchen, Tin, TinShape, TinUse } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import { batterOf, fitTins, type TinFit } from './fit.js';
import { capacityOf, outlineOf, tinProblems } from './geometry.js';

export interface TinChoice {
  readonly use: TinUse;
  readonly fit: TinFit;
  /** 0 is ideal; above 1 it hardly suits. */
  readonly off: number;
  readonly suits: boolean;
  readonly reason: string;
}

/** More tins of one kind than this are a bakery's. */
const MOST = 6;

/** A tray of which only some cups are filled. */
function withCups(tin: Tin, cups: number): Tin {
  const all = outlineOf(tin).cups;
  return {
    ...tin,
    cups,
    ...(tin.capacityMl !== undefined && { capacityMl: (tin.capacityMl * cups) / all }),
  };
}

/** How many of a tin this batter takes at the family's usual fill; of a tray, how many of its cups. */
export function usesOf(formula: Formula, tin: Tin, kitchen: Kitchen): TinUse {
  const { batterG, density, family } = batterOf(formula, kitchen);
  const ml = batterG / density;
  const o = outlineOf(tin);
  const fill = o.free
    ? 1
    : tin.shape === 'cup'
      ? kitchen.schools.muffinFill === 'brim'
        ? 0.92
        : 0.7
      : (family.fill[0] + family.fill[1]) / 2;
  const each = (capacityOf(tin) / o.cups) * fill;
  const hollows = Math.max(1, Math.round(ml / Math.max(each, 1e-6)));
  if (o.cups === 1) return { tin, count: Math.min(60, hollows) };
  const trays = Math.ceil(hollows / o.cups);
  return trays <= 1 ? { tin: withCups(tin, hollows), count: 1 } : { tin, count: Math.min(60, trays) };
}

/** Shapes a family is usually baked in; others do too, but look or bake unusual. General baking knowledge. */
const USUAL: Readonly<Partial<Record<FamilyId, readonly TinShape[]>>> = {
  biscuit: ['slab', 'mound'],
  'drop-biscuit': ['mound'],
  scone: ['slab', 'mound'],
  'soda-bread': ['mound', 'round'],
  'soda-loaf': ['loaf'],
  muffin: ['cup'],
  'quick-bread': ['loaf'],
  'tea-loaf': ['loaf'],
  'pound-cake': ['loaf', 'tube', 'round'],
  'maize-bread': ['round', 'square', 'rect'],
};
const CAKES: readonly TinShape[] = ['round', 'square', 'rect', 'sheet', 'tube', 'cup'];
/** Families whose dough can stand without a tin. */
const STANDS: readonly FamilyId[] = ['biscuit', 'drop-biscuit', 'scone', 'soda-bread', 'free'];

const countWords = ['', 'one', 'two', 'three', 'four', 'five', 'six'];

/** Why a tin does or does not suit, and how far off it is. */
function judge(
  formula: Formula,
  fit: TinFit,
  own: TinUse | undefined,
  kitchen: Kitchen,
): { off: number; reason: string } {
  const o = outlineOf(fit.tin);
  const consistency = consistencyOf(totalsOf(linesOf(formula, kitchen)));
  const bad = tinProblems(fit.tin)[0];
  if (bad) return { off: 9, reason: told(kitchen, bad.words) };
  if (o.free && fit.tin.shape === 'slab' && consistency !== 'dough')
    return { off: 5, reason: 'too soft to roll and cut' };
  if (o.free && (consistency === 'thick' || consistency === 'pourable' || !STANDS.includes(formula.family)))
    return { off: 6, reason: 'this batter would run off the tray' };
  if (fit.count > MOST) return { off: 3, reason: `it would take ${fit.count} of them` };
  const { family } = batterOf(formula, kitchen);
  const middle = (family.fill[0] + family.fill[1]) / 2;
  const half = Math.max(0.08, (family.fill[1] - family.fill[0]) / 2);
  const n = countWords[fit.count] ?? String(fit.count);
  const cups = o.cups > 1 && !o.free;
  const holds = cups
    ? `${o.cups * fit.count} cups of ${Math.round(fit.perCupG)} g`
    : o.free
      ? fit.words
      : `${fit.count === 1 ? 'one holds it' : `${n}, ${Math.round(fit.batterG)} g each`}, ${Math.round(100 * fit.fill)} % full`;
  if (fit.state === 'overflow') return { off: 4, reason: told(kitchen, `${holds}: it would run over`) };
  const fill = o.free ? 0.2 : Math.abs(fit.fill - middle) / half / 2;
  const deep = !o.free && fit.batterMm < 12 ? 1 : 0;
  const more = 0.25 * (fit.count - 1);
  const usual = (USUAL[formula.family] ?? CAKES).includes(fit.tin.shape) ? 0 : 0.6;
  const iron = fit.tin.material === 'cast iron' && formula.family !== 'maize-bread' ? 0.25 : 0;
  const other = usual + iron + (own && own.tin.shape !== fit.tin.shape ? 0.15 : 0);
  const reason = deep
    ? `${holds}: a thin layer, quick and dry`
    : fit.state === 'high'
      ? `${holds}: on the full side`
      : fit.state === 'low'
        ? `${holds}: on the shallow side`
        : holds;
  return { off: fill + deep + more + other, reason: told(kitchen, reason) };
}

/** Which tins suit this batter as it is, the best first, each with how many it takes and why. */
export function rankTins(formula: Formula, tins: readonly Tin[], kitchen: Kitchen): TinChoice[] {
  const own = formula.tins?.[0];
  return tins
    .flatMap((tin) => {
      const use = tin.id === own?.tin.id ? { tin: own.tin, count: own.count } : usesOf(formula, tin, kitchen);
      const fit = fitTins(formula, [use], kitchen)[0];
      if (!fit) return [];
      const { off, reason } = judge(formula, fit, own, kitchen);
      return [{ use, fit, off, suits: off <= 1, reason }];
    })
    .sort((a, b) => a.off - b.off);
}
