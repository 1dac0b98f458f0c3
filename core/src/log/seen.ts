import { stageAt } from '../bake/oven.js';
import { allStages } from '../bake/stages.js';
import { bakedAs, type BakeInput } from '../bake/bake-input.js';
import type { BakeRecord, Result } from './types.js';

/** What the bake model has to know of a logged bake. */
export const inputOf = (b: BakeRecord): BakeInput => ({
  family: b.family,
  tin: b.tin.tin,
  batterG: b.batterG,
  ovenC: b.ovenC,
  fan: b.fan,
  ovenId: b.ovenId,
  formulaId: b.formulaId,
  densityGPerMl: b.densityGPerMl,
  rise: b.rise,
  ...(b.rack && { rack: b.rack }),
  ...bakedAs(b),
});

/** What a thermometer in the middle read when it came out, min and °C: measured by hand, or the probe's last. */
export function centreOf(b: BakeRecord): { readonly min: number; readonly c: number } | null {
  if (b.result?.centreC !== undefined) return { min: b.minutes, c: b.result.centreC };
  const last = b.observed?.probe?.at(-1);
  return last && last.min > 0 && last.min <= b.minutes * 1.05 ? last : null;
}

/** Readings on the rack before this many minutes are the open door's, not the oven's. A judgement. */
const SETTLED_MIN = 10;

/** How much more than the dial a thermometer on the rack read once the oven had settled, K, and from how many readings. */
export function rackOff(b: BakeRecord): { readonly k: number; readonly readings: number } | null {
  const settled = (b.observed?.ovenReadings ?? []).filter((x) => x.min >= SETTLED_MIN);
  if (settled.length === 0) return null;
  const stages = allStages(inputOf(b));
  const sum = settled.reduce((s, x) => s + x.ovenC - stageAt(stages, 60 * x.min).ovenC, 0);
  return { k: sum / settled.length, readings: settled.length };
}

/** A crown stands so much above the mean height of a sound bake: the dome of `tin/fit.ts` at ordinary heat. */
const CROWN = 1.12;

/** The mean height of what was measured, mm: middle and edge together, or the middle less its dome; null without one. */
export function meanHeight(r: Result | undefined): number | null {
  const { heightMm, edgeMm } = r ?? {};
  if (heightMm === undefined || !(heightMm > 0)) return null;
  return edgeMm !== undefined && edgeMm > 0 ? (heightMm + edgeMm) / 2 : heightMm / CROWN;
}
