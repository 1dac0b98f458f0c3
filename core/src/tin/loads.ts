import type { Oven } from '../formula/types.js';
import { piecesIn, type TinFit } from './fit.js';
import { outlineOf } from './geometry.js';
import { rackPlan } from './rack.js';

/** What goes into the oven together, one load after another. */
export interface Loads {
  readonly each: readonly (readonly TinFit[])[];
  /** Whether the words ask for it, or the oven has no room for all; null where all goes in at once. */
  readonly why: 'said' | 'room' | null;
}

/** A part of what some tins and pieces hold: the first `pieces` of them behind the first `from`; grams in proportion. */
export function somePieces(fits: readonly TinFit[], pieces: number, from = 0): TinFit[] {
  let [skip, left] = [Math.max(0, from), Math.max(0, pieces)];
  const out: TinFit[] = [];
  for (const fit of fits) {
    const cups = outlineOf(fit.tin).cups;
    // cups of one tray and pieces of one dough can be parted, and so can tins of a kind
    const all = fit.count * cups;
    const here = Math.max(0, Math.min(all - skip, left));
    skip = Math.max(0, skip - all);
    if (here === 0) continue;
    left -= here;
    if (here === all) out.push(fit);
    else if (cups === 1) out.push({ ...fit, count: here });
    else {
      const trays = Math.ceil(here / cups);
      const each = here / trays;
      const k = each / cups;
      // of a tray only partly filled, its hollows that are
      out.push({
        ...fit,
        count: trays,
        tin: { ...fit.tin, cups: Math.ceil(each) },
        batterG: fit.batterG * k,
        capacityMl: fit.capacityMl * k,
        tinReadsG: fit.tinReadsG === null ? null : fit.tinReadsG - fit.batterG * (1 - k),
      });
    }
  }
  return out;
}

/**
 * Shares what is baked over loads as even as whole pieces allow: as many as the words ask for, or as the oven has room for.
 *
 * @param fits what is baked, all of it; one tin that cannot be parted is one load
 * @param said loads that the words ask for, 1 where they ask for none
 */
export function loadsOf(
  fits: readonly TinFit[],
  said: number,
  oven?: Pick<Oven, 'litres' | 'rackMm' | 'racks'>,
): Loads {
  const all = piecesIn(fits);
  const uses = fits.map(({ tin, count }) => ({ tin, count }));
  const plan = oven && said < 2 ? rackPlan(uses, oven) : null;
  const placed = plan ? plan.racks.reduce((n, r) => n + r.length, 0) : 0;
  const room = plan && plan.left > 0 && placed > 0 ? Math.ceil((placed + plan.left) / placed) : 1;
  const n = Math.min(Math.max(said, room), all);
  if (n < 2) return { each: [fits], why: null };
  const share = Math.ceil(all / n);
  const each = Array.from({ length: n }, (_, i) => somePieces(fits, share, i * share)).filter((x) => x.length > 0);
  return each.length > 1 ? { each, why: said > 1 ? 'said' : 'room' } : { each: [fits], why: null };
}
