import { LEFT_SODA_STEPS, TANG_MEQ } from '../leavening/ledger.js';
import { FIZZED } from '../leavening/pool.js';
import { SPLIT } from '../leavening/lift.js';
import { SODA_G_PER_MOL } from '../leavening/acids.js';
import { LEAN_USUAL } from '../balance/pulls.js';
import { measures, pctOf, rangeOf } from '../balance/verdicts.js';
import type { Weighed } from '../balance/weigh.js';
import type { Bowl } from './bowl.js';
import { combine, constant, Programme, valueOf, type Linear } from './linear.js';
import type { Quantity } from './rates.js';

/** What a search cares for, in one currency: touches of a line. */
export interface Weights {
  /** A whole unit of merit. */
  readonly merit: number;
  /** Each line that is touched. */
  readonly touch: number;
  /** A line changed by its whole weight. */
  readonly change: number;
  /** Each measure by half its usual width away from what it is to be like. */
  readonly character: number;
}

/** A band of the merit, and the variable that says how far outside it is. */
export interface BandRow {
  readonly id: 'fat' | 'sugar' | 'egg' | 'water' | 'salt' | 'lift' | 'beam' | 'soda';
  readonly side: 'low' | 'high';
  readonly slack: string;
}

export interface Model {
  readonly programme: Programme;
  /** Weight of line i. */
  readonly amount: (i: number) => Linear;
  readonly total: (q: Quantity) => Linear;
  /** Bicarbonate that stays, and acid that stays, mmol. */
  readonly left: Linear;
  readonly tang: Linear;
  /** mmol CO2 of the whole batter. */
  readonly gas: Linear;
  readonly bands: readonly BandRow[];
  /** How far outside each band the lines are when every one of them is pinned, in units of merit. */
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
/** How far inside its band a measure that was outside is wanted, in widths, so that it does not end on the edge. */
const INSIDE = 0.12;
/** Where nothing says how wide a measure usually is (a free formula), % of flour. */
const WIDE: Readonly<Record<string, number>> = { fat: 40, sugar: 60, egg: 40, water: 60, salt: 2 };

const width = ([lo, hi]: readonly [number, number], m: string): number =>
  hi - lo > 1e3 ? (WIDE[m] ?? 50) : Math.max(hi - lo, 1e-6);

/**
 * The mixed-integer programme of a bowl. Every line weighs (1 − y) · what it weighs now + n · its step, with y = 1 when
 * it is touched and n whole. Shares are linear once multiplied by the flour; what is met of the soda is min(soda, acid),
 * with one yes-or-no variable for which of the two runs out. The merit's distances are exact at 0 and, outside a band,
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
      p.row(
        combine([
          [amount, 1],
          [constant(m.fromG), -1],
          [away, -1],
        ]),
        '<=',
      );
      p.row(
        combine([
          [amount, 1],
          [constant(m.fromG), -1],
          [away, 1],
        ]),
        '>=',
      );
      if (m.candidate === null) {
        const far = p.slack(`f${i}`, (FAR_COST * weights.change * m.weight) / m.scaleG);
        p.row(
          combine([
            [away, 1],
            [far, -1],
            [constant(FAR * m.scaleG), -1],
          ]),
          '<=',
        );
      }
      return amount;
    };
    // where touching a line hardly costs, the first answer needs no yes or no
    if (about === undefined && weights.touch < FREELY && m.candidate === null)
      return departs(
        combine([[p.variable(`n${i}`, Math.min(m.low, m.fromG) / m.step, Math.max(most, m.fromG / m.step)), m.step]]),
      );
    const y = p.variable(`y${i}`, 0, 1, true);
    const n = p.variable(`n${i}`, 0, most, about !== undefined || m.high / m.step < COARSE);
    p.row(
      combine([
        [n, 1],
        [y, -most],
      ]),
      '<=',
    );
    if (least > 0)
      p.row(
        combine([
          [n, 1],
          [y, -least],
        ]),
        '>=',
      );
    p.cost(`y${i}`, weights.touch * m.touch);
    return departs(
      combine([
        [constant(m.fromG), 1],
        [y, -m.fromG],
        [n, m.step],
      ]),
    );
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
  const open = combine([
    [total('soda'), 1],
    [total('acid'), -1],
    [total('ownAcid'), -1],
  ]);
  const big =
    400 +
    4 * (at.ledger.bicarbonateMmol + at.ledger.acidMeq.typical) +
    moves.reduce((s, m) => s + m.high * Math.max(m.rates.soda, m.rates.acid, m.rates.ownAcid), 0);
  const left = p.variable('left', 0, big);
  const runsOver = p.variable('over', 0, 1, true);
  p.row(
    combine([
      [left, 1],
      [open, -1],
    ]),
    '>=',
  );
  p.row(
    combine([
      [left, 1],
      [runsOver, -big],
    ]),
    '<=',
  );
  p.row(
    combine([
      [left, 1],
      [open, -1],
      [runsOver, big],
      [constant(big), -1],
    ]),
    '<=',
  );
  const tang = combine([
    [left, 1],
    [open, -1],
  ]);
  const gasOf: (readonly [Linear, number])[] = [
    [total('soda'), 1],
    [left, SPLIT.typical - 1],
  ];
  if (bowl.premixed) {
    // what of the free soda is met, and fizzes away: the less of acid and soda
    const met = p.variable('met', 0, big);
    const sour = p.variable('sour', 0, 1, true);
    p.row(
      combine([
        [met, 1],
        [total('acid'), -1],
      ]),
      '<=',
    );
    p.row(
      combine([
        [met, 1],
        [total('freeSoda'), -1],
      ]),
      '<=',
    );
    p.row(
      combine([
        [met, 1],
        [total('acid'), -1],
        [sour, big],
      ]),
      '>=',
    );
    p.row(
      combine([
        [met, 1],
        [total('freeSoda'), -1],
        [sour, -big],
        [constant(big), 1],
      ]),
      '>=',
    );
    gasOf.push([met, -FIZZED.typical]);
  }
  const gas = combine(gasOf);

  const bands: BandRow[] = [];
  const edges: (readonly [BandRow['id'], Linear, number])[] = [];
  const flour0 = Math.max(like.totals.flourG > 0 ? like.totals.flourG : like.totals.baseG, 1);
  const base0 = Math.max(like.totals.baseG, 1);
  const batter0 = Math.max(like.totals.batterG, 1);
  /** `e` at most 0 but for the slack, of which `unit` is a whole unit of merit. */
  const atMost = (id: BandRow['id'], side: BandRow['side'], e: Linear, unit: number): void => {
    const nth = `${id}_${side}${bands.filter((b) => b.id === id && b.side === side).length || ''}`;
    const slack = `s_${nth}`;
    // what was outside before may stay outside by as much
    const excused = bowl.excused?.get(id) ?? 0;
    const free = excused > 0 ? p.variable(`x_${nth}`, 0, excused) : constant(0);
    p.row(
      combine([
        [e, 1],
        [p.slack(slack, weights.merit), -unit],
        [free, -unit],
      ]),
      '<=',
    );
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
    if (lo > 0)
      atMost(
        id,
        'low',
        combine([
          [per, (lo + clear) / 100],
          [sum, -1],
        ]),
        unit,
      );
    if (hi < UNBOUNDED)
      atMost(
        id,
        'high',
        combine([
          [sum, 1],
          [per, -(hi - clear) / 100],
        ]),
        unit,
      );
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
    const free = combine([
      [water, 1],
      [total('drunk'), -1],
    ]);
    const unit = ((waterHi - waterLo) / 100) * flour0;
    const drinks = at.water.drunkPct > 8;
    within('water', water, flour, [waterLo, drinks ? UNBOUNDED : waterHi], unit);
    within('water', free, flour, at.water.usual, unit);
    const [beamLo, beamHi] = at.beam.usual;
    const [middle, half] = [(beamLo + beamHi) / 2, (beamHi - beamLo) / 2];
    const lean = (edge: number): Linear => {
      const index = (middle + edge * half) / 100;
      return combine([
        [total('tenders'), 1 - index],
        [total('holds'), -1 - index],
      ]);
    };
    const pull0 = at.beam.holds + at.beam.tenders;
    const beamUnit = Math.max(1e-6, ((2 * half) / 100) * pull0);
    atMost('beam', 'high', lean(LEAN_USUAL - 0.02), beamUnit);
    atMost('beam', 'low', combine([[lean(-LEAN_USUAL + 0.02), -1]]), beamUnit);
    const [liftLo, liftHi] = at.lift.target;
    within('lift', gas, total('base'), [liftLo, liftHi], ((liftHi - liftLo) / 100) * base0);
  }
  const step = at.masked ? LEFT_SODA_STEPS.soapy : LEFT_SODA_STEPS.unusualPlain;
  const leftG = combine([[left, SODA_G_PER_MOL / 1000]]);
  atMost(
    'soda',
    'high',
    combine([
      [leftG, 1],
      [total('batter'), -(step - 0.005) / 100],
    ]),
    (0.2 * batter0) / 100,
  );

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

const clamp = (x: number, lo: number, hi: number): number => Math.min(Math.max(x, lo), hi);

/** Keeps what the formula is like: each measure as it was, or just inside its band where it was outside. */
function characterOf(
  p: Programme,
  bowl: Bowl,
  at: Weighed,
  weight: number,
  of: Pick<Model, 'total' | 'left' | 'tang' | 'gas'>,
): void {
  const { like, family } = bowl;
  const { total } = of;
  const t = like.totals;
  const flour0 = Math.max(t.flourG > 0 ? t.flourG : t.baseG, 1);
  const near = (name: string, e: Linear, unit: number, share = 1): void => {
    const off = p.slack(`c_${name}`, weight * share);
    p.row(
      combine([
        [e, 1],
        [off, -unit],
      ]),
      '<=',
    );
    p.row(
      combine([
        [e, 1],
        [off, unit],
      ]),
      '>=',
    );
  };
  /** Where it is wanted: as it was, or well inside its band where it was outside; and how much more that is worth. */
  const inside = (x: number, [lo, hi]: readonly [number, number], margin: number): readonly [number, number] =>
    bowl.excused !== undefined || (x >= lo && x <= hi)
      ? [x, 1]
      : [clamp(x, lo + margin * (hi - lo), hi - margin * (hi - lo)), 2];
  for (const m of measures) {
    // once eggs go, other figures say what has to hold it up
    if (m === 'egg' && eggsNow(bowl) < 0.8 * t.eggG) continue;
    if (m === 'egg' && t.eggPct < 0.5) continue;
    const range = m === 'water' ? at.water.usual : family[m];
    const w = width(range, m);
    const now = m === 'water' ? t.availablePct : pctOf(t, m);
    const [wanted, worth] =
      family.id === 'free' || (m === 'salt' && now < range[1]) ? [now, 1] : inside(now, range, INSIDE);
    const sum =
      m === 'water'
        ? combine([
            [total('water'), 1],
            [total('drunk'), -1],
          ])
        : total(m);
    near(
      m,
      combine([
        [sum, 1],
        [total('flour'), -wanted / 100],
      ]),
      ((w / 2) * flour0) / 100,
      m === 'water' ? 1.3 * worth : worth,
    );
  }
  const [beamLo, beamHi] = at.beam.usual;
  const half = (beamHi - beamLo) / 2;
  const index = clamp(like.beam.index, (beamLo + beamHi) / 2 - half, (beamLo + beamHi) / 2 + half) / 100;
  near(
    'beam',
    combine([
      [total('tenders'), 1 - index],
      [total('holds'), -1 - index],
    ]),
    Math.max(1e-6, (half / 100) * (like.beam.holds + like.beam.tenders)),
  );
  const lift = like.lift.mmolPer100gBase.typical;
  const target = like.lift.target;
  const liftW = family.id === 'free' ? 12 : target[1] - target[0];
  const [wanted, worth] = family.id === 'free' ? [lift, 1] : inside(lift, target, 2 * INSIDE);
  near(
    'lift',
    combine([
      [of.gas, 1],
      [total('base'), -wanted / 100],
    ]),
    ((liftW / 2) * Math.max(t.baseG, 1)) / 100,
    0.8 * worth,
  );
  const batter0 = Math.max(t.batterG, 1);
  near(
    'batter',
    combine([
      [total('batter'), 1],
      [constant(batterNow(bowl)), -1],
    ]),
    0.12 * batter0,
    0.8,
  );
  // left-over soda as it was, unless it was too much; a little more tang than it had is no matter
  const leftNow = like.ledger.leftSodaGPer100gBatter.typical;
  const leftWanted = Math.min(leftNow, at.masked ? LEFT_SODA_STEPS.dark : 0.1);
  near(
    'left',
    combine([
      [of.left, SODA_G_PER_MOL / 1000],
      [total('batter'), -leftWanted / 100],
    ]),
    (0.12 * batter0) / 100,
  );
  const sourNow = Math.max(like.ledger.leftAcidMeqPer100gBatter.typical, TANG_MEQ * 0.6);
  const sour = p.slack('c_tang', weight);
  p.row(
    combine([
      [of.tang, 1],
      [total('batter'), -sourNow / 100],
      [sour, -(TANG_MEQ * batter0) / 100],
    ]),
    '<=',
  );
}

/** Egg that is in the lines as the search starts, g. */
const eggsNow = (bowl: Bowl): number =>
  bowl.moves.reduce((s, m) => s + (m.candidate === null ? m.rates.egg * (m.fixedG ?? m.fromG) : 0), 0);

/** Weight of the batter the search starts from. */
const batterNow = (bowl: Bowl): number => bowl.moves.reduce((s, m) => s + (m.candidate ? 0 : m.line.grams), 0);

/** How far outside each band the formula of a bowl is as it stands, in units of merit. */
export function distances(bowl: Bowl): ReadonlyMap<BandRow['id'], number> {
  const pinned = { ...bowl, moves: bowl.moves.map((m) => ({ ...m, fixedG: m.line.grams })) };
  const out = new Map<BandRow['id'], number>();
  for (const [id, d] of modelOf(pinned, bowl.start, { merit: 1, touch: 0, change: 0, character: 0 }).distances())
    out.set(id, Math.max(out.get(id) ?? 0, d));
  return out;
}
