import type { Family } from '../balance/families.js';
import { DARK } from './browning.js';
import type { BakeStage, Kitchen } from '../formula/types.js';
import { degreesMore, dialIn, dialStep } from '../quantity/degrees.js';
import type { Run } from './run.js';

export interface PlanMark {
  /** `change` is a change of heat or cover that was asked for; `tent` is foil if it proves needed. */
  readonly kind: 'turn' | 'tent' | 'change' | 'first look' | 'out' | 'carry-over';
  readonly atMin: number;
  readonly words: string;
  /** True of what the baker's own method asks for. */
  readonly own?: true;
  /** Of a change, in a word or two: "160 °C", "foil". */
  readonly short?: string;
}

/** What a plan needs of a run. */
type Baked = Pick<Run, 'doneMin' | 'curve' | 'after' | 'carryK' | 'topDarkMin'>;

interface Minutes {
  readonly early: number;
  readonly likely: number;
  readonly late: number;
}

/** Opening the door before the middle has reached this can sink it, °C. */
const SETS_C = 85;
const whole = (x: number): number => Math.max(1, Math.round(x));

/** When the middle reaches a temperature, min; null when it does not. */
function reaches(run: Baked, c: number): number | null {
  const i = run.curve.findIndex((x) => x.centreC >= c);
  const [a, b] = [run.curve[i - 1], run.curve[i]];
  if (!a || !b) return null;
  return (a.s + ((b.s - a.s) * (c - a.centreC)) / Math.max(1e-9, b.centreC - a.centreC)) / 60;
}

const COVERED = {
  none: 'take the cover off',
  tent: 'lay loose foil over it, clear of the element',
  lid: 'put the lid on',
} as const;
const COVERED_SHORT = { none: 'uncover', tent: 'foil', lid: 'lid' } as const;

/** Changes of heat and cover that were asked for and come before it is done. */
function changes(stages: readonly BakeStage[], likely: number, kitchen?: Kitchen): PlanMark[] {
  return stages.flatMap((s, i): PlanMark[] => {
    const before = stages[i - 1];
    if (!before || s.fromMin <= 0 || s.fromMin >= likely) return [];
    const cover = s.cover ?? 'none';
    const covers = cover !== (before.cover ?? 'none');
    const heats = s.ovenC !== before.ovenC;
    const heat = dialIn(kitchen?.display.temperature, s.ovenC);
    const words = [...(heats ? [`turn the dial to ${heat}`] : []), ...(covers ? [COVERED[cover]] : [])];
    const short = [...(heats ? [heat] : []), ...(covers ? [COVERED_SHORT[cover]] : [])];
    if (words.length === 0) return [];
    return [{ kind: 'change', atMin: s.fromMin, words: words.join(' and '), short: short.join(', ') }];
  });
}

/**
 * What to do when: turn once, cover when the top is dark before the middle is done, the first look (0.95 of the early
 * end, and not before the middle has likely set), out, and what it gains outside. The times are minutes from the door.
 */
export function planOf(
  run: Baked,
  m: Minutes,
  family: Family,
  known: boolean,
  stages: readonly BakeStage[] = [],
  kitchen?: Kitchen,
): PlanMark[] {
  const sets = reaches(run, SETS_C) ?? 0;
  const marks: PlanMark[] = changes(stages, m.likely, kitchen);
  const look = Math.min(m.likely, Math.max(m.early * 0.95, sets));
  const turn = Math.max(m.likely * 0.6, sets);
  // a piece that is done in a quarter of an hour is not worth opening the door for
  if (m.likely > 15 && turn < look - 3)
    marks.push({ kind: 'turn', atMin: whole(turn), words: 'turn it once, if your oven browns unevenly' });
  const dark = run.topDarkMin;
  if (dark !== null && dark < m.likely * 0.95)
    marks.push({
      kind: 'tent',
      atMin: whole(Math.max(dark, Math.min(sets, m.likely * 0.9))),
      words: 'if the top is dark, lay foil over it loosely; keep it off the element',
    });
  marks.push({
    kind: 'first look',
    atMin: whole(look),
    words: known ? `look for: ${family.signs}` : `look through the glass first, then for: ${family.signs}`,
  });
  marks.push({ kind: 'out', atMin: whole(m.likely), words: 'likely done; try several spots' });
  const peak = run.after.reduce((a, b) => (b.centreC > a.centreC ? b : a), { s: 0, centreC: -Infinity });
  if (run.carryK >= 0.5)
    marks.push({
      kind: 'carry-over',
      atMin: whole(Math.max(m.likely, peak.s / 60)),
      words: `the middle gains about ${degreesMore(kitchen?.display.temperature, run.carryK)} more in the tin`,
    });
  return marks.sort((a, b) => a.atMin - b.atMin);
}

/** Advice on heat that the crust gives: lower for sides that get too dark, a cover for the whole of a long bake. */
export function heatAdvice(run: Run, material: string, kitchen?: Kitchen): string | null {
  const lower = `${dialStep(kitchen?.display.temperature, 15)} lower`;
  const done = run.doneMin ?? 0;
  const { top, side, base } = run.browning;
  const tin = Math.max(Number.isFinite(side) ? side : 0, base);
  if (material !== 'none' && tin > DARK && tin > 0.8 * top)
    return material === 'light metal' || material === 'shiny metal'
      ? `Sides get dark before the middle is done: ${lower}, and longer.`
      : `This tin colours the sides early: ${lower}, and a little longer.`;
  if (run.topDarkMin !== null && run.topDarkMin < 0.55 * done)
    return `The top is dark at half-time: ${lower}, or covered from the start for the first half.`;
  return null;
}
