import type { Tin } from '../formula/types.js';
import type { Outline } from '../tin/geometry.js';
import { parameters as p } from './materials.js';

/** Whether a cup is one of a tray's; a mug, a ramekin or a basin stands alone, like a small round tin. */
export const inTray = (tin: Tin): boolean => tin.shape === 'cup' && tin.cups !== 1;

/** A usual tray of 12 cups, 24 small or 6 large ones, m2, by the gap above: what stands in the oven's air, however many of its cups are meant. */
export const TRAY_M2 = 0.085;

/**
 * Heat that the sides of a cup in a tray get, against a tin's that stands alone: all that comes in through the gaps
 * between the cups from below, and what the deck between them catches from above and conducts down (the share `fin` of
 * it), over the area of the sides. Small cups, which stand further apart for their size, get more. All lengths in mm.
 */
export function cupSides(o: Outline, fin: number): number {
  const disc = (d: number): number => (Math.PI / 4) * d * d;
  const cell = (o.top + p.cupGapMm) ** 2;
  const side = Math.PI * ((o.top + o.base) / 2) * Math.hypot(o.depth, (o.top - o.base) / 2);
  return (cell - disc(o.base) + fin * (cell - disc(o.top))) / side;
}
