import { LEFT_SODA_STEPS, TANG_MEQ } from '../leavening/ledger.js';
import { SODA_G_PER_MOL } from '../leavening/acids.js';
import { measures, pctOf, soapyFrom } from '../balance/verdicts.js';
import type { Weighed } from '../balance/weigh.js';
import type { Bowl } from './bowl.js';
import { constant, minus, plus, scaled, type Linear, type Programme } from './linear.js';
import type { Quantity } from './rates.js';

/** How far inside its band a measure that was outside is wanted, in widths, so that it does not end on the edge. */
const INSIDE = 0.12;
/** Where nothing says how wide a measure usually is (a free formula), % of flour. */
const WIDE: Readonly<Record<string, number>> = { fat: 40, sugar: 60, egg: 40, water: 60, salt: 2 };

const width = ([lo, hi]: readonly [number, number], m: string): number =>
  hi - lo > 1e3 ? (WIDE[m] ?? 50) : Math.max(hi - lo, 1e-6);

const clamp = (x: number, lo: number, hi: number): number => Math.min(Math.max(x, lo), hi);

/** What the character is told by, as expressions of the programme. */
export interface Figures {
  readonly total: (q: Quantity) => Linear;
  /** Bicarbonate that stays, and acid that stays, mmol. */
  readonly left: Linear;
  readonly tang: Linear;
  /** mmol CO2 of the whole batter. */
  readonly gas: Linear;
}

/** Keeps what the formula is like: each measure as it was, or just inside its band where it was outside. */
export function characterOf(p: Programme, bowl: Bowl, at: Weighed, weight: number, of: Figures): void {
  const { like, family } = bowl;
  const { total } = of;
  const t = like.totals;
  const flour0 = Math.max(t.flourG > 0 ? t.flourG : t.baseG, 1);
  const near = (name: string, e: Linear, unit: number, share = 1): void => {
    const off = p.slack(`c_${name}`, weight * share);
    p.row(plus(e, scaled(off, -unit)), '<=');
    p.row(plus(e, scaled(off, unit)), '>=');
  };
  /** Where it is wanted: as it was, or well inside its band where it was outside; and how much more that is worth. */
  const inside = (x: number, [lo, hi]: readonly [number, number], margin: number): readonly [number, number] =>
    bowl.excused !== undefined || (x >= lo && x <= hi)
      ? [x, 1]
      : [clamp(x, lo + margin * (hi - lo), hi - margin * (hi - lo)), 2];
  for (const m of measures) {
    // once eggs go, other figures say what has to hold it up
    if (m === 'egg' && eggsNow(bowl) < 0.8 * t.eggG) continue;
    if ((m === 'egg' && t.eggPct < 0.5) || bowl.changes?.has(m)) continue;
    const range = m === 'water' ? at.water.usual : family[m];
    const w = width(range, m);
    const now = m === 'water' ? t.availablePct : pctOf(t, m);
    const [wanted, worth] =
      family.id === 'free' || (m === 'salt' && now < range[1]) ? [now, 1] : inside(now, range, INSIDE);
    const sum = m === 'water' ? minus(total('water'), total('drunk')) : total(m);
    near(
      m,
      plus(sum, scaled(total('flour'), -wanted / 100)),
      ((w / 2) * flour0) / 100,
      m === 'water' ? 1.3 * worth : worth,
    );
  }
  const [beamLo, beamHi] = at.beam.usual;
  const half = (beamHi - beamLo) / 2;
  const index = clamp(like.beam.index, (beamLo + beamHi) / 2 - half, (beamLo + beamHi) / 2 + half) / 100;
  near(
    'beam',
    // what is to change takes structure against tenderness with it
    bowl.changes?.has('beam')
      ? constant(0)
      : plus(scaled(total('tenders'), 1 - index), scaled(total('holds'), -1 - index)),
    Math.max(1e-6, (half / 100) * (like.beam.holds + like.beam.tenders)),
  );
  const lift = like.lift.mmolPer100gBase.typical;
  const target = like.lift.target;
  const liftW = family.id === 'free' ? 12 : target[1] - target[0];
  const [wanted, worth] = family.id === 'free' ? [lift, 1] : inside(lift, target, 2 * INSIDE);
  near(
    'lift',
    plus(of.gas, scaled(total('base'), -wanted / 100)),
    ((liftW / 2) * Math.max(t.baseG, 1)) / 100,
    0.8 * worth,
  );
  const batter0 = Math.max(t.batterG, 1);
  near('batter', minus(total('batter'), constant(batterNow(bowl))), 0.12 * batter0, 0.8);
  // left-over soda as it was, unless it would be tasted; a little more tang than it had is no matter
  const leftNow = like.ledger.leftSodaGPer100gBatter.typical;
  const leftWanted = leftNow > soapyFrom(at.masked) ? (at.masked ? LEFT_SODA_STEPS.dark : 0.1) : leftNow;
  near(
    'left',
    plus(scaled(of.left, SODA_G_PER_MOL / 1000), scaled(total('batter'), -leftWanted / 100)),
    (0.12 * batter0) / 100,
  );
  const sourNow = Math.max(like.ledger.leftAcidMeqPer100gBatter.typical, TANG_MEQ * 0.6);
  const sour = p.slack('c_tang', weight);
  p.row(plus(of.tang, scaled(total('batter'), -sourNow / 100), scaled(sour, -(TANG_MEQ * batter0) / 100)), '<=');
}

/** Egg that is in the lines as the search starts, g. */
const eggsNow = (bowl: Bowl): number =>
  bowl.moves.reduce((s, m) => s + (m.candidate === null ? m.rates.egg * (m.fixedG ?? m.fromG) : 0), 0);

/** Weight of the batter the search starts from. */
const batterNow = (bowl: Bowl): number => bowl.moves.reduce((s, m) => s + (m.candidate ? 0 : m.line.grams), 0);
