import { enclose } from '../formula/bands.js';
import type { Band, Kitchen } from '../formula/types.js';
import { acidOf, bicarbonateOf, scenarios, type Line, type Scenario } from './parts.js';
import { SODA_G_PER_MOL } from './powders.js';

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

/** Everything the pool settles to, in one scenario, in mmol (bicarbonate) or meq (acid). */
export interface Pool {
  readonly acid: number;
  readonly freeSoda: number;
  readonly powderSoda: number;
  /** Free soda met by dissolved acid. */
  readonly metFree: number;
  /** Powder's soda met by dissolved acid. */
  readonly metPowder: number;
  /** Bicarbonate met by the powder's own acids. */
  readonly metOwn: number;
  readonly leftSoda: number;
  readonly leftAcid: number;
  readonly bench: number;
}

/**
 * Settles acid against bicarbonate in the fixed order: dissolved acid with free soda; what is left of it with the
 * powder's soda; the powder's own acids with what then remains. 1 meq of acid neutralises 1 mmol (84.0 mg) NaHCO3.
 */
export function pool(lines: readonly Line[], s: Scenario, kitchen?: Kitchen): Pool {
  let net = 0;
  let freeSoda = 0;
  let powderSoda = 0;
  let ownAcid = 0;
  let benchWeighted = 0;
  for (const line of lines) {
    net += acidOf(line, s);
    const b = bicarbonateOf(line, s, kitchen);
    freeSoda += b.free;
    powderSoda += b.powder;
    ownAcid += b.ownAcid;
    benchWeighted += b.powder * b.bench;
  }
  const acid = Math.max(0, net);
  const metFree = Math.min(acid, freeSoda);
  const metPowder = Math.min(acid - metFree, powderSoda);
  const open = freeSoda - metFree + powderSoda - metPowder;
  const metOwn = Math.min(ownAcid, open);
  return {
    acid,
    freeSoda,
    powderSoda,
    metFree,
    metPowder,
    metOwn,
    leftSoda: open - metOwn,
    leftAcid: acid - metFree - metPowder + ownAcid - metOwn,
    bench: powderSoda > 0 ? benchWeighted / powderSoda : 0,
  };
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
}

const across = (f: (s: Scenario) => number): Band => {
  const [low, typical, high] = scenarios.map(f) as [number, number, number];
  return enclose(low, typical, high);
};

export function ledgerOf(
  lines: readonly Line[],
  pools: Readonly<Record<Scenario, Pool>>,
  batterG: number,
  kitchen?: Kitchen,
): Ledger {
  const per100 = batterG > 0 ? 100 / batterG : 0;
  const entries: LedgerEntry[] = [];
  for (const line of lines) {
    const { item, ingredient } = line;
    const acid = across((s) => acidOf(line, s));
    const share = (meq: Band): Band => ({
      low: (meq.low * SODA_G_PER_MOL) / 1000,
      typical: (meq.typical * SODA_G_PER_MOL) / 1000,
      high: (meq.high * SODA_G_PER_MOL) / 1000,
    });
    const add = (side: 'acid' | 'soda', within: 'batter' | 'powder', meq: Band): void => {
      if (Math.abs(meq.high) > 1e-9 || Math.abs(meq.low) > 1e-9)
        entries.push({ itemId: item.id, name: ingredient.name, side, within, meq, sodaG: share(meq) });
    };
    add('acid', 'batter', acid);
    add(
      'soda',
      'batter',
      across((s) => bicarbonateOf(line, s, kitchen).free),
    );
    add(
      'soda',
      'powder',
      across((s) => bicarbonateOf(line, s, kitchen).powder),
    );
    add(
      'acid',
      'powder',
      across((s) => bicarbonateOf(line, s, kitchen).ownAcid),
    );
  }
  const typical = pools.typical;
  const total = typical.freeSoda + typical.powderSoda;
  const leftSoda = across((s) => ((pools[s].leftSoda * SODA_G_PER_MOL) / 1000) * per100);
  const leftAcid = across((s) => pools[s].leftAcid * per100);
  return {
    acidMeq: across((s) => pools[s].acid),
    bicarbonateMmol: total,
    leftSodaGPer100gBatter: leftSoda,
    leftAcidMeqPer100gBatter: leftAcid,
    entries,
    state:
      leftSoda.typical >= LEFT_SODA_STEPS.dark
        ? 'excess soda'
        : leftAcid.typical >= TANG_MEQ
          ? 'excess acid'
          : 'balanced',
    unmetShare: total > 0 ? typical.leftSoda / total : 0,
  };
}
