import { LEFT_SODA_STEPS } from '../leavening/ledger.js';
import { FIZZED } from '../leavening/pool.js';
import { SPLIT } from '../leavening/lift.js';
import { SODA_G_PER_MOL } from '../leavening/acids.js';
import { LEAN_USUAL } from '../balance/pulls.js';
import { measures, rangeOf } from '../balance/verdicts.js';
import type { Weighed } from '../balance/weigh.js';
import type { Bowl } from './bowl.js';
import { characterOf, type Figures } from './character.js';
import { combine, constant, minus, plus, Programme, scaled, valueOf, type Linear } from './linear.js';
import type { Quantity } from './rates.js';

/** What a search cares for, in one currency: touches of a line. */
export interface Weights {
  /** A whole unit of straying. */
  readonly stray: number;
  /** Each line that is touched. */
  readonly touch: number;
  /** A line changed by its whole weight. */
  readonly change: number;
  /** Each measure by half its usual width away from what it is to be like. */
  readonly character: number;
}

/** A band of the ranges, and the variable that says how far outside it is. */
export interface BandRow {
  readonly id: 'fat' | 'sugar' | 'egg' | 'water' | 'salt' | 'lift' | 'beam' | 'soda';
  readonly side: 'low' | 'high';
  readonly slack: string;
}

export interface Model extends Figures {
  readonly programme: Programme;
  /** Weight of line i. */
  readonly amount: (i: number) => Linear;
  readonly bands: readonly BandRow[];
  /** How far outside each band the lines are when every one of them is pinned, in units of straying. */
  readonly distances: () => readonly (readonly [BandRow['id'], number])[];
}

/** Half a per cent of a band's width is kept clear, so that rounding does not end outside. */
const CLEAR = 0.005;
const UNBOUNDED = 1e5;
/** Steps to either side that a first answer is refined within. */
const AROUND = 1;
const COARSE_AROUND = 2;
/** A line that moves by more than this share of itself is no longer the same recipe: each further step costs more. */
const FAR = 0.35;
const FAR_COST = 3;
/** A touch that costs less than this. */
const FREELY = 0.7;
/** A line of fewer steps than this has coarse ones. */
const COARSE = 14;
/**
 * The mixed-integer programme of a bowl. Every line weighs (1 − y) · what it weighs now + n · its step, with y = 1 when
 * it is touched and n whole. Shares are linear once multiplied by the flour; what is met of the soda is min(soda, acid),
 * with one yes-or-no variable for which of the two runs out. The distances from the ranges are exact at 0 and, outside a band,
 * counted against the flour as it is now; the full assessment has the last word (`search.ts`).
 *
 * @param about a first answer to refine: number of steps of each line (null for one that stays). Without it the number
 *   of steps is only whole where a step is coarse (eggs, spoons of leavener), which is solved ten times as quickly; with
 *   it every number is whole, and within a few steps of the first answer.
 */
export function modelOf(bowl: Bowl, at: Weighed, weights: Weights, about?: ReadonlyMap<number, number | null>): Model {
  const p = new Programme();
  const { moves, like, family } = bowl;

  const amounts = moves.map((m, i): Linear => {
    if (m.fixedG !== null) return constant(m.fixedG);
    const near = about?.get(i);
    if (near === null) return constant(m.fromG);
    const reach = m.high / m.step < COARSE ? COARSE_AROUND : AROUND;
    const around = near === undefined ? null : ([near - reach, near + reach] as const);
    const least = Math.max(0, Math.ceil(m.low / m.step - 1e-9), Math.floor(around?.[0] ?? 0));
    const most = Math.max(least, Math.min(Math.floor(m.high / m.step + 1e-9), Math.ceil(around?.[1] ?? Infinity)));
    const away = p.slack(`d${i}`, (weights.change * m.weight) / m.scaleG);
    const departs = (amount: Linear): Linear => {
      p.row(plus(amount, scaled(constant(m.fromG), -1), scaled(away, -1)), '<=');
      p.row(plus(amount, scaled(constant(m.fromG), -1), away), '>=');
      if (m.candidate === null) {
        const far = p.slack(`f${i}`, (FAR_COST * weights.change * m.weight) / m.scaleG);
        p.row(plus(away, scaled(far, -1), scaled(constant(FAR * m.scaleG), -1)), '<=');
      }
      return amount;
    };
    // where touching a line hardly costs, the first answer needs no yes or no
    if (about === undefined && weights.touch < FREELY && m.candidate === null)
      return departs(
        scaled(p.variable(`n${i}`, Math.min(m.low, m.fromG) / m.step, Math.max(most, m.fromG / m.step)), m.step),
      );
    const y = p.variable(`y${i}`, 0, 1, true);
    const n = p.variable(`n${i}`, 0, most, about !== undefined || m.high / m.step < COARSE);
    p.row(plus(n, scaled(y, -most)), '<=');
    if (least > 0) p.row(plus(n, scaled(y, -least)), '>=');
    p.cost(`y${i}`, weights.touch * m.touch);
    return departs(plus(constant(m.fromG), scaled(y, -m.fromG), scaled(n, m.step)));
  });
  const sums = new Map<Quantity, Linear>();
  const total = (q: Quantity): Linear => {
    const known = sums.get(q);
    if (known) return known;
    const sum = combine(amounts.map((a, i) => [a, moves[i]?.rates[q] ?? 0] as const));
    sums.set(q, sum);
    return sum;
  };

  // the soda's fate: left = max(0, soda − acid − powder's own), exactly
  const open = plus(total('soda'), scaled(total('acid'), -1), scaled(total('ownAcid'), -1));
  const big =
    400 +
    4 * (at.ledger.bicarbonateMmol + at.ledger.acidMeq.typical) +
    moves.reduce((s, m) => s + m.high * Math.max(m.rates.soda, m.rates.acid, m.rates.ownAcid), 0);
  const left = p.variable('left', 0, big);
  const runsOver = p.variable('over', 0, 1, true);
  p.row(minus(left, open), '>=');
  p.row(plus(left, scaled(runsOver, -big)), '<=');
  p.row(plus(left, scaled(open, -1), scaled(runsOver, big), scaled(constant(big), -1)), '<=');
  const tang = minus(left, open);
  const gasOf: (readonly [Linear, number])[] = [
    [total('soda'), 1],
    [left, SPLIT.typical - 1],
  ];
  if (bowl.premixed) {
    // what of the free soda is met, and fizzes away: the less of acid and soda
    const met = p.variable('met', 0, big);
    const sour = p.variable('sour', 0, 1, true);
    p.row(minus(met, total('acid')), '<=');
    p.row(minus(met, total('freeSoda')), '<=');
    p.row(plus(met, scaled(total('acid'), -1), scaled(sour, big)), '>=');
    p.row(plus(met, scaled(total('freeSoda'), -1), scaled(sour, -big), constant(big)), '>=');
    gasOf.push([met, -FIZZED.typical]);
  }
  const gas = combine(gasOf);

  const bands: BandRow[] = [];
  const edges: (readonly [BandRow['id'], Linear, number])[] = [];
  const flour0 = Math.max(like.totals.flourG > 0 ? like.totals.flourG : like.totals.baseG, 1);
  const base0 = Math.max(like.totals.baseG, 1);
  const batter0 = Math.max(like.totals.batterG, 1);
  /** `e` at most 0 but for the slack, of which `unit` is a whole unit of straying. */
  const atMost = (id: BandRow['id'], side: BandRow['side'], e: Linear, unit: number): void => {
    const nth = `${id}_${side}${bands.filter((b) => b.id === id && b.side === side).length || ''}`;
    const slack = `s_${nth}`;
    // what was outside before may stay outside by as much
    const excused = bowl.excused?.get(id) ?? 0;
    const free = excused > 0 ? p.variable(`x_${nth}`, 0, excused) : constant(0);
    p.row(plus(e, scaled(p.slack(slack, weights.stray), -unit), scaled(free, -unit)), '<=');
    bands.push({ id, side, slack });
    edges.push([id, e, unit]);
  };
  const within = (
    id: BandRow['id'],
    sum: Linear,
    per: Linear,
    [lo, hi]: readonly [number, number],
    unit: number,
  ): void => {
    const clear = hi < UNBOUNDED ? CLEAR * (hi - lo) : 0;
    if (lo > 0) atMost(id, 'low', plus(scaled(per, (lo + clear) / 100), scaled(sum, -1)), unit);
    if (hi < UNBOUNDED) atMost(id, 'high', plus(sum, scaled(per, -(hi - clear) / 100)), unit);
  };
  const eggless = moves.every((m) => m.line.ingredient.role !== 'egg' || (m.fixedG ?? m.high) <= 0);
  if (family.id !== 'free') {
    const flour = total('flour');
    const [waterLo, waterHi] = family.water;
    for (const m of measures) {
      if (m === 'water') continue;
      const range: readonly [number, number] =
        m === 'egg' && eggless
          ? [0, family.egg[1]]
          : m === 'salt'
            ? [0, family.salt[1]]
            : rangeOf(family, m, { ...like.totals, eggPct: 50 });
      const [lo, hi] = family[m];
      within(m, total(m), flour, range, ((m === 'salt' ? hi - lo : range[1] - range[0]) / 100) * flour0);
    }
    // water there, and water left once all have drunk; where something drinks, too much is judged by what is left
    const water = total('water');
    const free = minus(water, total('drunk'));
    const unit = ((waterHi - waterLo) / 100) * flour0;
    const drinks = at.water.drunkPct > 8;
    within('water', water, flour, [waterLo, drinks ? UNBOUNDED : waterHi], unit);
    within('water', free, flour, at.water.usual, unit);
    const [beamLo, beamHi] = at.beam.usual;
    const [middle, half] = [(beamLo + beamHi) / 2, (beamHi - beamLo) / 2];
    const lean = (edge: number): Linear => {
      const index = (middle + edge * half) / 100;
      return plus(scaled(total('tenders'), 1 - index), scaled(total('holds'), -1 - index));
    };
    const pull0 = at.beam.holds + at.beam.tenders;
    const beamUnit = Math.max(1e-6, ((2 * half) / 100) * pull0);
    atMost('beam', 'high', lean(LEAN_USUAL - 0.02), beamUnit);
    atMost('beam', 'low', scaled(lean(-LEAN_USUAL + 0.02), -1), beamUnit);
    const [liftLo, liftHi] = at.lift.target;
    within('lift', gas, total('base'), [liftLo, liftHi], ((liftHi - liftLo) / 100) * base0);
  }
  const step = at.masked ? LEFT_SODA_STEPS.soapy : LEFT_SODA_STEPS.unusualPlain;
  const leftG = scaled(left, SODA_G_PER_MOL / 1000);
  atMost('soda', 'high', plus(leftG, scaled(total('batter'), -(step - 0.005) / 100)), (0.2 * batter0) / 100);

  if (weights.character > 0) characterOf(p, bowl, at, weights.character, { total, left, tang, gas });
  return {
    programme: p,
    amount: (i) => amounts[i] as Linear,
    total,
    left,
    tang,
    gas,
    bands,
    distances: () => {
      const spare = valueOf(open, new Map());
      const values = new Map([['left', Math.max(0, spare)]]);
      return edges.map(([id, e, unit]) => [id, Math.max(0, valueOf(e, values) / unit)] as const);
    },
  };
}

/** How far outside each band the formula of a bowl is as it stands, in units of straying. */
export function distances(bowl: Bowl): ReadonlyMap<BandRow['id'], number> {
  const pinned = { ...bowl, moves: bowl.moves.map((m) => ({ ...m, fixedG: m.line.grams })) };
  const out = new Map<BandRow['id'], number>();
  for (const [id, d] of modelOf(pinned, bowl.start, { stray: 1, touch: 0, change: 0, character: 0 }).distances())
    out.set(id, Math.max(out.get(id) ?? 0, d));
  return out;
}
