import { LEFT_SODA_STEPS } from '../leavening/ledger.js';
import { SODA_G_PER_MOL } from '../leavening/powders.js';
import type { Expected } from './expect.js';
import type { Sums } from './sums.js';

/** Share of the soda that no acid meets, from which it is without one. Judgement. */
const UNMET = 0.6;
/** Share of ordinary formulas that have soda without its acid: 1 of 273 with soda and left out, so 5 of them at most (95 %). */
export const ACIDLESS = 0.02;
/** What it adds to how implausible a formula is, besides the spreads that its gas lies below the low edge. Judgement. */
const WORTH = 1;

/**
 * How implausible soda without acid makes a formula, as a part of its merit: soda is left to taste, most of it unmet, and the
 * gas is less than eight in ten of those like it have. Each alone is ordinary: some bakes hardly rise, and dates, cocoa and
 * spice hide soda, so that many are made with hardly any acid; those are told from where they would taste soapy.
 * @param gas what the rest leads one to expect of the gas
 * @param low below which, as a logarithm, it lifts less than its like
 * @returns 0 where the soda has its acid
 */
export function withoutAcid(s: Sums, gas: Expected, low: number): number {
  const leftG = (s.leftSoda * SODA_G_PER_MOL) / 10 / s.batter;
  const { dark, soapyMasked } = LEFT_SODA_STEPS;
  const tasted = s.masking > s.flour ? soapyMasked : dark;
  if (leftG < tasted || s.leftSoda < UNMET * s.soda || gas.is >= low) return 0;
  return WORTH + (low - gas.is) / gas.spread;
}
