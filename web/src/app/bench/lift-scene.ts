import { standingAt, type Lift, type LiftSource } from '@orvin/core';

/** The drawing's own units; about one to a pixel at 1280. */
export const LIFT = {
  W: 568,
  H: 172,
  floor: 142,
  top: 12,
  column: 176,
  columnWidth: 84,
  /** Beaten-in air stands beside the gas, inside the same walls. */
  airWidth: 19,
  airGap: 3,
  strip: 300,
  stand: 324,
  oven: 502,
  end: 564,
} as const;

/** The sides and the rounded base of the tin round the column. */
export const WALL = ((): string => {
  const { column: left, columnWidth: w, floor, top } = LIFT;
  const right = left + w;
  return (
    `M${left - 5} ${top} L${left - 2} ${floor - 4} Q${left - 1} ${floor + 3} ${left + 8} ${floor + 3} ` +
    `H${right - 8} Q${right + 1} ${floor + 3} ${right + 2} ${floor - 4} L${right + 5} ${top}`
  );
})();

/** mmol at the top of the drawing: in steps, so that it does not breathe with every gram. */
const STEPS = [8, 12, 16, 20, 25, 30, 40, 50, 65, 80, 120, 200, 400, 1000];
export const scaleFor = (need: number): number => STEPS.find((s) => s >= need) ?? need;

export interface Layer {
  readonly key: LiftSource;
  readonly kind: 'acid' | 'powder' | 'split';
  /** Hatched: in the batter already. Plain: to come in the oven. */
  readonly heldY: number;
  readonly heldH: number;
  readonly comingY: number;
  readonly comingH: number;
  readonly midY: number;
  readonly labelY: number;
  /** The line from its label to it. */
  readonly lead: string;
  readonly mmol: number;
}

const kindOf = (s: LiftSource): Layer['kind'] =>
  s === 'soda split by heat' ? 'split' : s === 'powder' ? 'powder' : 'acid';
const LINE = 17;
/** No label higher than this: the large figure stands above. */
const HEADED = 62;

/** The column after `min` minutes of standing, source by source, with its labels kept apart. */
export function layersOf(lift: Lift, min: number, y: (mmol: number) => number): Layer[] {
  let sum = 0;
  const raw = standingAt(lift, min)
    .bySource.filter((s) => s.held + s.toCome > 0.03)
    .map((s) => {
      const from = y(sum);
      const mid = y(sum + s.held);
      sum += s.held + s.toCome;
      const to = y(sum);
      return {
        key: s.source,
        kind: kindOf(s.source),
        heldY: mid,
        heldH: Math.max(0, from - mid),
        comingY: to,
        comingH: Math.max(0, mid - to),
        midY: (from + to) / 2,
        mmol: s.held + s.toCome,
      };
    });
  // from the bottom up, never closer than a line
  let last = LIFT.floor + LINE - 2;
  const spread = raw.map((l) => {
    last = Math.min(l.midY + 4, last - LINE);
    return { ...l, labelY: last };
  });
  const over = Math.max(0, HEADED - (spread.at(-1)?.labelY ?? 99));
  return spread.map((l) => {
    const labelY = l.labelY + over;
    return { ...l, labelY, lead: `M${LIFT.column - 6} ${l.midY} L${LIFT.column - 15} ${labelY - 4} h-5` };
  });
}

/** How many minutes the strip shows: enough for this batter's best-before, in steps. */
export const spanFor = (bestBefore: number): number => (bestBefore <= 22 ? 30 : bestBefore <= 46 ? 60 : 120);

export const ticksFor = (span: number): number[] => [0, span / 3, (2 * span) / 3, span];

export interface Strip {
  readonly held: string;
  readonly kept: string;
  readonly top: string;
  readonly low: string;
  readonly high: string;
}

/** The strip: what is held and what is to come from the first stir, through standing, up to the oven. */
export function stripOf(lift: Lift, span: number, x: (min: number) => number, y: (mmol: number) => number): Strip {
  const all = lift.release.streams.reduce((s, r) => s + r.mmol, 0);
  const minutes = Array.from({ length: 25 }, (_, i) => (i / 24) * span);
  const at = minutes.map((m) => standingAt(lift, m));
  const line = (points: readonly (readonly [number, number])[]): string =>
    points.map(([px, py]) => `${px.toFixed(1)} ${py.toFixed(1)}`).join(' L');
  const kept: [number, number][] = [[LIFT.strip, y(all)], ...at.map((s): [number, number] => [x(s.min), y(s.kept)])];
  const held: [number, number][] = [[LIFT.strip, y(0)], ...at.map((s): [number, number] => [x(s.min), y(s.held)])];
  const close = `L${x(span).toFixed(1)} ${y(0)} L${LIFT.strip} ${y(0)} Z`;
  const shown = lift.standing.filter((p) => p.min <= span);
  return {
    kept: `M${line(kept)} ${close}`,
    held: `M${line(held)} ${close}`,
    top: `M${line(kept)}`,
    low: `M${line(shown.map((p): [number, number] => [x(p.min), y(p.mmol.low)]))}`,
    high: `M${line(shown.map((p): [number, number] => [x(p.min), y(p.mmol.high)]))}`,
  };
}
