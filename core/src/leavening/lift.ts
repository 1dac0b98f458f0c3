import { band, bandOfReadings, mapped, readings, typically, type Reading } from '../formula/bands.js';
import type { Family } from '../balance/families.js';
import type { Band } from '../formula/types.js';
import type { Pool, Pools } from './pool.js';
import {
  halfLifeMin,
  leakAt,
  MIXING_MIN,
  standingOf,
  streamAt,
  streamOf,
  type StandPoint,
  type Standing,
  type Stream,
} from './standing.js';
import { airMmol, dissolvesMmol, pressureRatio, volumeOf, type Volume } from './volume.js';

/** mol CO2 that heat splits from each mol of left-over bicarbonate in a crumb that reaches 95–99 °C. */
export const SPLIT: Band = band(0.15, 0.25, 0.35);
/** First-order rates of the fast reaction at the bench, per minute: dissolved acid, and powder. General knowledge. */
const QUICK_PER_MIN = { dissolved: 0.9, powder: 0.35 } as const;

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
  /** Joint readings that end in that state, 0–1. */
  readonly sure: number;
  /** Minutes the batter may stand before it has lost a fifth of its lift or fallen out of its band. */
  readonly standMin: number;
  readonly bestBeforeMin: Band;
  /** Lift left after standing, before the oven. */
  readonly standing: readonly StandPoint[];
  /** What `standingAt` needs to answer for any minute, per 100 g of base. */
  readonly release: {
    readonly streams: readonly (Stream & { readonly source: LiftSource })[];
    readonly leakPerMin: number;
    readonly halfLifeMin: Band;
    /** CO2 that the cold batter's water can hold. */
    readonly dissolvesMmol: number;
  };
  /** Gas lost because the soda was stirred into the acid first, mmol per 100 g of base. */
  readonly fizzedMmol: Band;
  /** Air beaten in, ml for the whole batter; it lifts beside the gas. */
  readonly airMl: Band;
  /** The same, mmol per 100 g of base, to be set against the gas; the family's band speaks of gas alone. */
  readonly airMmolPer100gBase: Band;
  readonly volume: Volume;
}

/** What the lift is worked out from, beside the pools. */
export interface LiftInput {
  readonly baseG: number;
  readonly batterG: number;
  readonly waterG: number;
  readonly looseness: number;
  readonly airMl: Band;
  readonly family: Family;
  readonly altitudeM: number;
  readonly batterC: number;
}

const liftMmol = (p: Pool, read: Reading): number =>
  p.metFree - p.fizzed + p.metPowder + p.metOwn + p.leftSoda * read(SPLIT, 'split');

/** The streams of gas of one reading, per 100 g of base. */
function streamsOf(p: Pool, read: Reading, k: number): (Stream & { source: LiftSource })[] {
  const dissolved = (source: LiftSource, mmol: number) => ({
    source,
    ...streamOf(mmol * k, p.bench, QUICK_PER_MIN.dissolved, p.slowPerMin),
  });
  return [
    dissolved('soda met by acid', p.metFree - p.fizzed),
    dissolved('powder met by acid', p.metPowder),
    { source: 'powder' as const, ...streamOf(p.metOwn * k, p.ownBench, QUICK_PER_MIN.powder, p.ownSlowPerMin) },
    { source: 'soda split by heat' as const, ...streamOf(p.leftSoda * k * read(SPLIT, 'split'), 0, 0, 0) },
  ].filter((s) => s.mmol > 1e-12);
}

export function liftOf(pools: Pools, input: LiftInput): Lift {
  const { baseG, family, altitudeM } = input;
  const k = baseG > 0 ? 100 / baseG : 0;
  const { typical } = pools;
  const of = (f: (p: Pool, read: Reading) => number): Band =>
    bandOfReadings(
      pools.readings.map((p, i) => f(p, readings[i] as Reading) * k),
      f(typical, typically) * k,
    );
  const part = (source: LiftSource, when: 'bowl' | 'oven', f: (p: Pool, read: Reading) => number): LiftPart => ({
    source,
    when,
    mmol: of(f),
  });
  const bySource = [
    part('soda met by acid', 'bowl', (p) => (p.metFree - p.fizzed) * p.bench),
    part('soda met by acid', 'oven', (p) => (p.metFree - p.fizzed) * (1 - p.bench)),
    part('powder met by acid', 'bowl', (p) => p.metPowder * p.bench),
    part('powder met by acid', 'oven', (p) => p.metPowder * (1 - p.bench)),
    part('powder', 'bowl', (p) => p.metOwn * p.ownBench),
    part('powder', 'oven', (p) => p.metOwn * (1 - p.ownBench)),
    part('soda split by heat', 'oven', (p, read) => p.leftSoda * read(SPLIT, 'split')),
  ].filter((x) => x.mmol.high > 1e-9);
  const total = of(liftMmol);
  const thin = pressureRatio(altitudeM);
  const target = [family.lift[0] * thin, family.lift[1] * thin] as const;
  const stateAt = (x: number): Lift['state'] => (x < target[0] ? 'low' : x > target[1] ? 'high' : 'ok');
  const state = stateAt(total.typical);
  const alike = pools.readings.filter((p, i) => stateAt(liftMmol(p, readings[i] as Reading) * k) === state).length;

  const halfLife = halfLifeMin(input.looseness);
  const streams = streamsOf(typical, typically, k);
  const leakPerMin = Math.LN2 / halfLife.typical;
  const stands = standingOf(
    { streams, leakPerMin },
    pools.readings.map((p, i): Standing => ({
      streams: streamsOf(p, readings[i] as Reading, k),
      leakPerMin: leakAt(halfLife, i),
    })),
    target[0],
  );
  return {
    mmolPer100gBase: total,
    bySource,
    target,
    state,
    sure: pools.readings.length > 0 ? alike / pools.readings.length : 1,
    standMin: Math.round(stands.bestBeforeMin.typical),
    bestBeforeMin: stands.bestBeforeMin,
    standing: stands.curve,
    release: {
      streams,
      leakPerMin,
      halfLifeMin: halfLife,
      dissolvesMmol: k * dissolvesMmol(input.waterG, input.batterC, altitudeM),
    },
    fizzedMmol: of((p) => p.fizzed),
    airMl: input.airMl,
    airMmolPer100gBase: mapped(input.airMl, (ml) => k * airMmol(ml, altitudeM)),
    volume: volumeOf(
      { low: total.low / (k || 1), typical: total.typical / (k || 1), high: total.high / (k || 1) },
      input.airMl,
      input.batterG,
      altitudeM,
    ),
  };
}

/** A batter that has stood: what of each source is still in it, in bubbles or dissolved, what is to come and what is gone. */
export interface Stood {
  readonly min: number;
  /** mmol per 100 g of base; `held` is released and still there, `toCome` not released yet. */
  readonly bySource: readonly { readonly source: LiftSource; readonly held: number; readonly toCome: number }[];
  readonly held: number;
  /** Part of `held` that the cold batter's water keeps dissolved, so that it is not seen as rise until the oven. */
  readonly dissolved: number;
  readonly toCome: number;
  readonly lost: number;
  readonly kept: number;
}

/**
 * Splits the lift of a batter that has stood.
 * @param min minutes between the end of mixing and the oven, 0–120
 */
export function standingAt(lift: Pick<Lift, 'release'>, min: number): Stood {
  const { streams, leakPerMin, dissolvesMmol: room } = lift.release;
  const bySource = streams.map((s) => ({
    source: s.source,
    ...streamAt(s, leakPerMin, MIXING_MIN + Math.max(0, min)),
  }));
  const sum = (f: (x: (typeof bySource)[number]) => number): number => bySource.reduce((a, x) => a + f(x), 0);
  const held = sum((x) => x.held);
  const toCome = sum((x) => x.toCome);
  const all = streams.reduce((a, s) => a + s.mmol, 0);
  return {
    min,
    bySource,
    held,
    dissolved: Math.min(held, room),
    toCome,
    lost: Math.max(0, all - held - toCome),
    kept: held + toCome,
  };
}
