import { enclose } from '../formula/bands.js';
import type { Consistency, Family } from '../balance/families.js';
import type { Band } from '../formula/types.js';
import type { Pool } from './ledger.js';
import { scenarios, type Scenario } from './parts.js';

/** Share of the gas from soda meeting dissolved acid that comes at the bench (70–90 %). */
const BENCH_SODA = 0.8;
/** mol CO2 that heat splits from each mol of left-over bicarbonate in a crumb that reaches 95–99 °C. */
export const SPLIT: Band = { low: 0.15, typical: 0.25, high: 0.35 };
/** Half-life of released gas in a standing batter, minutes, by consistency. */
export const LEAK_HALF_LIFE_MIN: Readonly<Record<Consistency, number>> = {
  pourable: 11,
  thick: 28,
  drop: 40,
  dough: 75,
};
/** Air that well-creamed fat and sugar hold, ml per g. */
const CREAMED_AIR: Band = { low: 0.4, typical: 0.6, high: 0.9 };
const MAX_STAND_MIN = 120;

export type LiftSource = 'soda met by acid' | 'powder met by acid' | 'powder' | 'soda split by heat';

export interface LiftPart {
  readonly source: LiftSource;
  readonly when: 'bowl' | 'oven';
  /** mmol CO2 per 100 g of flour and cocoa, like the total: the parts add up to it. */
  readonly mmol: Band;
}

export interface Lift {
  readonly mmolPer100gBase: Band;
  readonly bySource: readonly LiftPart[];
  readonly target: readonly [number, number];
  readonly state: 'low' | 'ok' | 'high';
  /** Minutes the batter may stand before it has lost a fifth of its lift or fallen out of its band. */
  readonly standMin: number;
  /** Air beaten in by creaming, ml for the whole batter; it lifts beside the gas. */
  readonly airMl: Band;
}

/** Dry air pressure at height h in metres, over that at sea level (international standard atmosphere). */
export const pressureRatio = (h: number): number => Math.pow(1 - 2.2558e-5 * Math.max(-500, Math.min(h, 6000)), 5.2559);

/** Share of a gas released at the bench that is still in the batter after standing. */
export const kept = (minutes: number, consistency: Consistency): number =>
  Math.pow(2, -minutes / LEAK_HALF_LIFE_MIN[consistency]);

export function liftOf(
  pools: Readonly<Record<Scenario, Pool>>,
  baseG: number,
  family: Family,
  consistency: Consistency,
  creamableG: number,
  altitudeM: number,
): Lift {
  const k = baseG > 0 ? 100 / baseG : 0;
  const of = (f: (p: Pool, s: Scenario) => number): Band => {
    const [a, b, c] = scenarios.map((s) => f(pools[s], s) * k) as [number, number, number];
    return enclose(a, b, c);
  };
  const all: LiftPart[] = [
    { source: 'soda met by acid', when: 'bowl', mmol: of((p) => p.metFree * BENCH_SODA) },
    { source: 'soda met by acid', when: 'oven', mmol: of((p) => p.metFree * (1 - BENCH_SODA)) },
    { source: 'powder met by acid', when: 'bowl', mmol: of((p) => p.metPowder * BENCH_SODA) },
    { source: 'powder met by acid', when: 'oven', mmol: of((p) => p.metPowder * (1 - BENCH_SODA)) },
    { source: 'powder', when: 'bowl', mmol: of((p) => p.metOwn * p.bench) },
    { source: 'powder', when: 'oven', mmol: of((p) => p.metOwn * (1 - p.bench)) },
    { source: 'soda split by heat', when: 'oven', mmol: of((p, s) => p.leftSoda * SPLIT[s]) },
  ];
  const bySource = all.filter((x) => x.mmol.high > 1e-9);
  const total = of((p, s) => p.metFree + p.metPowder + p.metOwn + p.leftSoda * SPLIT[s]);
  const thin = pressureRatio(altitudeM);
  const target = [family.lift[0] * thin, family.lift[1] * thin] as const;
  const state = total.typical < target[0] ? 'low' : total.typical > target[1] ? 'high' : 'ok';
  const bowl = bySource.filter((x) => x.when === 'bowl').reduce((sum, x) => sum + x.mmol.typical, 0);
  const factor = family.creamed ? creamableG : 0;
  return {
    mmolPer100gBase: total,
    bySource,
    target,
    state,
    standMin: standing(total.typical, bowl, target[0], consistency),
    airMl: { low: CREAMED_AIR.low * factor, typical: CREAMED_AIR.typical * factor, high: CREAMED_AIR.high * factor },
  };
}

/** Solves total − bowl·(1 − 2^(−t/h)) = max(band's low edge, 0.8 total) for t; 0 when the lift is low already. */
function standing(total: number, bowl: number, low: number, consistency: Consistency): number {
  const floor = Math.max(low, 0.8 * total);
  const spare = total - floor;
  if (spare <= 0 || total <= 0) return 0;
  if (spare >= bowl) return MAX_STAND_MIN;
  const t = -LEAK_HALF_LIFE_MIN[consistency] * Math.log2(1 - spare / bowl);
  return Math.min(MAX_STAND_MIN, Math.round(t));
}
