import type { BakeSetting, Oven } from '../formula/types.js';

/** By how much a fan oven is set lower for the same bake, K; the usual kitchen rule. */
export const FAN_LESS_K = 20;

/** What the dial of an oven is set to for a bake: a fan oven lower than a setting that is meant for a still one. */
export function dialFor(bake: BakeSetting, oven: Oven | undefined): { readonly ovenC: number; readonly fan: boolean } {
  if (!oven || oven.fan === bake.fan) return { ovenC: bake.ovenC, fan: bake.fan };
  return oven.fan ? { ovenC: bake.ovenC - FAN_LESS_K, fan: true } : { ovenC: bake.ovenC + FAN_LESS_K, fan: false };
}
