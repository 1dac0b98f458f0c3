import { band, type Reading } from '../formula/bands.js';
import type { Kitchen } from '../formula/types.js';
import { DISSOLVED } from './acids.js';
import { acidOf, bicarbonateOf, paceOf, powderIn, type Line } from './parts.js';

/** Everything the pool settles to, in one reading, in mmol (bicarbonate) or meq (acid). */
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
  /** Gas that is gone before there is a batter, because the soda was stirred into the acid first. */
  readonly fizzed: number;
  /** Share of the gas from dissolved acid, and from the powder's own, that comes at the bench. */
  readonly bench: number;
  readonly ownBench: number;
  readonly slowPerMin: number;
  readonly ownSlowPerMin: number;
}

/** Share of the gas of soda stirred into acid that is lost before it meets the flour. General knowledge. */
export const FIZZED = band(0.5, 0.7, 0.85);

/**
 * Settles acid against bicarbonate in the fixed order: dissolved acid with free soda; what is left of it with the
 * powder's soda; the powder's own acids with what then remains. 1 meq of acid neutralises 1 mmol (84.0 mg) NaHCO3.
 */
export function pool(lines: readonly Line[], read: Reading, kitchen?: Kitchen, isPremixed = false): Pool {
  let net = 0;
  let sour = 0;
  let bench = 0;
  let slow = 0;
  let freeSoda = 0;
  let powderSoda = 0;
  let ownAcid = 0;
  let ownBench = 0;
  let ownSlow = 0;
  for (const line of lines) {
    const acid = acidOf(line, read);
    net += acid;
    if (acid > 0) {
      const pace = paceOf(line);
      sour += acid;
      bench += acid * Math.min(1, read(pace.bench, 'bench'));
      slow += acid * pace.slowPerMin;
    }
    const b = bicarbonateOf(line, read, kitchen);
    freeSoda += b.free;
    powderSoda += b.powder;
    ownAcid += b.ownAcid;
    if (b.powder > 0) {
      const kind = powderIn(line, kitchen);
      ownBench += b.powder * Math.min(1, read(kind?.bench ?? DISSOLVED.bench, 'powder bench'));
      ownSlow += b.powder * (kind?.slowPerMin ?? 0);
    }
  }
  const acid = Math.max(0, net);
  const metFree = Math.min(acid, freeSoda);
  const metPowder = Math.min(acid - metFree, powderSoda);
  const open = freeSoda - metFree + powderSoda - metPowder;
  const metOwn = Math.min(ownAcid, open);
  const fizzed = isPremixed ? metFree * Math.min(1, read(FIZZED, 'fizzed')) : 0;
  return {
    acid,
    freeSoda,
    powderSoda,
    metFree,
    metPowder,
    metOwn,
    leftSoda: open - metOwn,
    leftAcid: acid - metFree - metPowder + ownAcid - metOwn,
    fizzed,
    bench: sour > 0 ? bench / sour : 0,
    slowPerMin: sour > 0 ? slow / sour : 0,
    ownBench: powderSoda > 0 ? ownBench / powderSoda : 0,
    ownSlowPerMin: powderSoda > 0 ? ownSlow / powderSoda : 0,
  };
}

/** The pool at typical values, and in each joint reading when bands are wanted. */
export interface Pools {
  readonly typical: Pool;
  readonly readings: readonly Pool[];
}
