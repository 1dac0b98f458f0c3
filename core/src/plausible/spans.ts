import type { WaterLine } from '../balance/pulls.js';
import type { Totals } from '../balance/totals.js';
import { spanOf, type Judged } from './judge.js';
import { EGG_WATER, flourOf, type Measured } from './view.js';

/** Where 8 of 10 bakes like this one lie, all else being as it is, and the middle of them. */
export interface Span {
  readonly low: number;
  readonly usual: number;
  readonly high: number;
}

/** The measures that have a gauge, in its unit: % of flour, and mmol to 100 g of flour and cocoa for `lift`. */
export type Gauge = 'fat' | 'sugar' | 'egg' | 'water' | 'salt' | 'lift';
export type Spans = Readonly<Record<Gauge, Span>>;

/**
 * The spans as the gauges have them: water with the eggs' and with what is drunk, lift with less where the air is thin.
 * @param thin pressure over that at the sea, dry, 0.7–1
 */
export function spansOf(j: Judged, t: Totals, thin: number): Spans {
  const per = t.flourG > 0 ? 100 / t.flourG : 100 / t.baseG;
  const nut = t.baseG - t.flourG - t.cocoaG;
  // where ground nuts stand for the flour, the gauges' percentage is of a smaller flour than the judgement's
  const k = (flourOf({ flour: t.flourG, nut: nut > 0 ? nut : 0 }) * per) / 100;
  const of = (m: Measured, by: number, plus = 0): Span => {
    const { low, usual, high } = spanOf(j.expected[m], m);
    return {
      low: Math.max(0, low * by + plus),
      usual: Math.max(0, usual * by + plus),
      high: Math.max(0, high * by + plus),
    };
  };
  return {
    fat: of('fat', k),
    sugar: of('sugar', k),
    egg: of('egg', k),
    salt: of('salt', k),
    water: of('water', k, EGG_WATER * t.eggPct + t.drunkG * per),
    lift: of('gas', thin),
  };
}

/** The span of the water line, which is of what is left once all have drunk. */
export const waterLeft = ({ water }: Spans, { drunkPct }: Pick<WaterLine, 'drunkPct'>): readonly [number, number] => [
  Math.max(0, water.low - drunkPct),
  Math.max(0, water.high - drunkPct),
];
