import type { FamilyId, Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { ACIDLESS, withoutAcid } from './acid.js';
import { cluesOf } from './clues.js';
import { expectedOf, type Expected } from './expect.js';
import { apartOf, onlyKin } from './ground.js';
import { kinshipOf, type Kinship } from './kinship.js';
import { oddEnough, theModel } from './model.js';
import type { Said } from './said.js';
import { roles, sumsOf, type SuspectRole } from './sums.js';
import { tell, type Told } from './tell.js';
import { flourOf, fromLog, toLog, viewOf, type Measured } from './view.js';

/** Which measure tells how much there is of a role. */
export const measureOf: Readonly<Record<SuspectRole, Measured>> = {
  flour: 'flour',
  liquid: 'water',
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  leavener: 'gas',
  salt: 'salt',
};

/** Standard deviations from the third nearest formula beyond which no ordinary one lies: half lie within 1.5, all within 4.5. */
export const FAR_OFF = 4.6;

/** Share of the ordinary formulas that look odder than one that leaves nothing to mend. Judgement. */
const NOTHING_TO_MEND = 0.4;

/** A formula judged: what the rest leads one to expect of each measure, and what a slip would explain. */
export interface Judged {
  readonly expected: Readonly<Record<Measured, Expected>>;
  readonly told: Told;
  /** Roles by how likely the slip is in one of their lines, likeliest first. */
  readonly ranked: readonly SuspectRole[];
  /** Share of ordinary formulas that look as odd as this or odder, 0–1. */
  readonly typical: number;
  /** The same by its amounts alone, whether or not its soda has acid. */
  readonly typicalByAmounts: number;
  /**
   * How implausible it is: log odds that a slip is in it, over those of the ordinary formula that two fifths of all look odder
   * than, and how much farther than all of them it is from what is known; 0 where it is as ordinary as three fifths of them are.
   */
  readonly merit: number;
  /** What soda without acid makes of that; 0 where it has some. */
  readonly acidless: number;
  /** Log odds of a slip in that ordinary formula. */
  readonly mendFrom: number;
  /** What it is by its figures and title alone, likeliest first. */
  readonly kin: readonly Kinship[];
  /** How far the third nearest ordinary formula is, in standard deviations. */
  readonly apart: number;
  /** How many ordinary formulas it was held against. */
  readonly against: number;
}

/**
 * @param said its title and how it is worked, which tell what is expected of it
 * @returns null where there is neither flour nor nuts to judge by, or nothing was given yet to judge with
 */
export function judge(lines: readonly Line[], family: FamilyId, said: Said, kitchen?: Kitchen): Judged | null {
  const sums = sumsOf(lines, kitchen);
  const model = flourOf(sums) > 0 ? theModel() : null;
  if (!model) return null;
  const view = viewOf(sums, said);
  const { ground, fitted, telling, odds } = model;
  const kin = onlyKin(family);
  const apart = apartOf(view, kin, ground);
  const expected = expectedOf(view, kin, ground, fitted, apart);
  const told = tell(cluesOf(expected), telling);
  const mendFrom = odds[Math.round(NOTHING_TO_MEND * (odds.length - 1))] as number;
  const { kin: like, apart: far } = kinshipOf(view, apart, ground);
  const acidless = withoutAcid(sums, expected.gas, expected.gas.mean - EIGHT_OF_TEN * expected.gas.spread);
  const byAmounts = far > FAR_OFF ? 0 : oddEnough(told.any, odds);
  return {
    expected,
    told,
    ranked: [...roles].sort((a, b) => told.roles[b] - told.roles[a]),
    // what is like nothing that is known is judged by nothing that is known
    typical: acidless > 0 ? Math.min(ACIDLESS, byAmounts) : byAmounts,
    typicalByAmounts: byAmounts,
    merit: Math.max(0, told.any - mendFrom) + Math.max(0, far - FAR_OFF) + acidless,
    acidless,
    mendFrom,
    kin: like,
    apart: far,
    against: ground.n,
  };
}

/** Spreads to either side that hold 8 of 10 formulas; a little more than of a normal distribution, whose tails are thinner. */
const EIGHT_OF_TEN = 1.4;

/** Where a measure usually lies for the rest of this formula (8 of 10), its middle, and what it is; in its own unit. */
export function spanOf(e: Expected, m: Measured): { low: number; usual: number; high: number; is: number } {
  const half = EIGHT_OF_TEN * e.spread;
  return {
    low: fromLog(m, e.mean - half),
    usual: fromLog(m, e.mean),
    high: fromLog(m, e.mean + half),
    is: fromLog(m, e.is),
  };
}

/** Whether a figure of a measure is about what is expected: within so many spreads. */
export const fits = (e: Expected, m: Measured, x: number, within = EIGHT_OF_TEN): boolean =>
  Math.abs(toLog(m, x) - e.mean) <= within * e.spread;
