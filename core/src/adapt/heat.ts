import { dialIn, dialStep } from '../quantity/degrees.js';
import { withSetting } from '../bake/stages.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { ProposalLine } from './types.js';

/**
 * The oven hotter or cooler, in steps of 5 °C, as a line of a proposal; all stages with it.
 * @param byC degrees, + hotter; below half a step nothing changes
 */
export function heatBy(
  formula: Formula,
  byC: number,
  kitchen?: Kitchen,
): { formula: Formula; line: ProposalLine | null } {
  const by = 5 * Math.round(byC / 5);
  const bake = formula.bake;
  if (!bake || by === 0) return { formula, line: null };
  const toC = bake.ovenC + by;
  const scale = kitchen?.display.temperature;
  return {
    formula: {
      ...formula,
      bake: withSetting(bake, {
        ovenC: toC,
        ...(bake.stages && { stages: bake.stages.map((s) => ({ ...s, ovenC: s.ovenC + by })) }),
      }),
    },
    line: {
      id: 'bake',
      kind: 'heat',
      name: 'Oven',
      fromG: 0,
      toG: 0,
      fromC: bake.ovenC,
      toC,
      words: `oven ${dialStep(scale, Math.abs(by))} ${by < 0 ? 'lower' : 'hotter'}, ${dialIn(scale, bake.ovenC)} → ${dialIn(scale, toC)}`,
      reason:
        by < 0 ? 'it browns sooner; give it a few minutes more' : 'a crumb that sets before thin air lets it fall',
    },
  };
}
