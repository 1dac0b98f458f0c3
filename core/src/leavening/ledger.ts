import { bandOfReadings, enclose, readings, typically, type Reading } from '../formula/bands.js';
import type { Band, Kitchen } from '../formula/types.js';
import { SODA_G_PER_MOL } from './acids.js';
import { acidOf, bicarbonateOf, type Line } from './parts.js';
import type { Pool, Pools } from './pool.js';

/** One entry of the ledger: an acid or a bicarbonate, with the soda it can meet or is. */
export interface LedgerEntry {
  readonly itemId: string;
  readonly name: string;
  readonly side: 'acid' | 'soda';
  readonly within: 'batter' | 'powder';
  /** Milliequivalents; for a soda entry, mmol of bicarbonate. */
  readonly meq: Band;
  /** The same as grams of baking soda that it can meet (acid) or is (soda). */
  readonly sodaG: Band;
}

/** Left-over soda, g NaHCO3 per 100 g batter, from which each step begins. Judgement, not law. */
export const LEFT_SODA_STEPS = { browner: 0.1, dark: 0.22, unusualPlain: 0.3, soapy: 0.48, soapyMasked: 0.75 } as const;
/** Left-over acid, meq per 100 g batter, from which tang is plain. */
export const TANG_MEQ = 3;

export interface Ledger {
  readonly acidMeq: Band;
  readonly bicarbonateMmol: number;
  readonly leftSodaGPer100gBatter: Band;
  readonly leftAcidMeqPer100gBatter: Band;
  readonly entries: readonly LedgerEntry[];
  readonly state: 'balanced' | 'excess soda' | 'excess acid';
  /** Share of all bicarbonate that no acid meets, 0–1. */
  readonly unmetShare: number;
  /** Joint readings that end in each state, 0–1: how sure the state is. */
  readonly sure: number;
}

const stateOf = (leftSodaG: number, leftAcidMeq: number): Ledger['state'] =>
  leftSodaG >= LEFT_SODA_STEPS.dark ? 'excess soda' : leftAcidMeq >= TANG_MEQ ? 'excess acid' : 'balanced';

/** What one line brings to either side of the ledger; each band is that line's own, before anything meets. */
function entriesOf(line: Line, kitchen?: Kitchen): LedgerEntry[] {
  const { item, ingredient } = line;
  if (!ingredient.acidMeq && !ingredient.leavener && !ingredient.co2Mmol) return [];
  const out: LedgerEntry[] = [];
  const own = (f: (read: Reading) => number): Band => {
    const at = (edge: 'low' | 'high'): number => f((b) => b[edge]);
    return enclose(at('low'), f(typically), at('high'));
  };
  const g = (x: number): number => (x * SODA_G_PER_MOL) / 1000;
  const add = (side: 'acid' | 'soda', within: 'batter' | 'powder', meq: Band): void => {
    if (Math.abs(meq.high) > 1e-9 || Math.abs(meq.low) > 1e-9)
      out.push({
        itemId: item.id,
        name: ingredient.name,
        side,
        within,
        meq,
        sodaG: { low: g(meq.low), typical: g(meq.typical), high: g(meq.high) },
      });
  };
  add(
    'acid',
    'batter',
    own((read) => acidOf(line, read)),
  );
  if (ingredient.leavener || ingredient.co2Mmol) {
    add(
      'soda',
      'batter',
      own((read) => bicarbonateOf(line, read, kitchen).free),
    );
    add(
      'soda',
      'powder',
      own((read) => bicarbonateOf(line, read, kitchen).powder),
    );
    add(
      'acid',
      'powder',
      own((read) => bicarbonateOf(line, read, kitchen).ownAcid),
    );
  }
  return out;
}

export function ledgerOf(lines: readonly Line[], pools: Pools, batterG: number, kitchen?: Kitchen): Ledger {
  const per100 = batterG > 0 ? 100 / batterG : 0;
  const { typical } = pools;
  const across = (f: (p: Pool) => number): Band => bandOfReadings(pools.readings.map(f), f(typical));
  const leftG = (p: Pool): number => ((p.leftSoda * SODA_G_PER_MOL) / 1000) * per100;
  const leftMeq = (p: Pool): number => p.leftAcid * per100;
  const total = typical.freeSoda + typical.powderSoda;
  const state = stateOf(leftG(typical), leftMeq(typical));
  const alike = pools.readings.filter((p) => stateOf(leftG(p), leftMeq(p)) === state).length;
  return {
    acidMeq: across((p) => p.acid),
    bicarbonateMmol: total,
    leftSodaGPer100gBatter: across(leftG),
    leftAcidMeqPer100gBatter: across(leftMeq),
    entries: lines.flatMap((line) => entriesOf(line, kitchen)),
    state,
    unmetShare: total > 0 ? typical.leftSoda / total : 0,
    sure: pools.readings.length > 0 ? alike / readings.length : 1,
  };
}
