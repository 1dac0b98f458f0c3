import type { Family } from '../balance/families.js';
import type { Tin } from '../formula/types.js';

/** A scored top opens along its cuts and spreads, where a whole one is lifted and cracks: so much is left of its dome. A judgement. */
const SCORED_DOME = 0.6;
/** Of most bakes the crown stands by this share of their rise over the mean. A judgement. */
const DOMES = 0.14;

/**
 * Share of the mean rise by which the crown stands over the mean, and the edge below: a hotter oven sets the edge sooner,
 * so that the middle rises over it. A judgement.
 */
export const domeOf = (family: Family, tin: Tin, ovenC: number): number =>
  (family.dome ?? DOMES) * Math.min(1.5, Math.max(0.6, 1 + (ovenC - 175) / 90)) * (tin.scored ? SCORED_DOME : 1);
