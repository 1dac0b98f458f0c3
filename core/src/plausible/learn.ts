import type { FamilyId } from '../formula/types.js';
import { cluesOf } from './clues.js';
import { expectedOf, type Fitted } from './expect.js';
import { fitMeasures, fitTelling, type Example, type Telling } from './fit.js';
import { batterOf, saidOfOrdinary, type Ordinary } from './formulas.js';
import { groundOf, onlyKin, type Ground } from './ground.js';
import { planted, slips, type Slip } from './slips.js';
import { measures, viewOfLines, type Measured } from './view.js';

/** First half: what the rest of a formula leads one to expect of each measure. */
export interface Learned {
  readonly ground: Ground;
  readonly fitted: Readonly<Record<Measured, Fitted>>;
}

export function learnExpected(formulas: readonly Ordinary[]): Learned {
  const known = formulas.flatMap((f) => {
    const view = viewOfLines(batterOf(f), saidOfOrdinary(f));
    return view ? [{ view, family: f.families[0] as FamilyId }] : [];
  });
  const ground = groundOf(
    known.map((k) => k.view),
    known.map((k) => k.family),
  );
  return { ground, fitted: fitMeasures(ground, measures) };
}

/** A formula as it is, or with one slip in it, as the rest of the ground sees it. */
export interface Seen {
  readonly formula: Ordinary;
  readonly slip: Slip | null;
  readonly clues: Float64Array;
}

/**
 * What formulas that are not in the ground look like, as they are and with each slip that can be made in them.
 * @param asWeighed without how they are worked
 */
export function seenBy({ ground, fitted }: Learned, formulas: readonly Ordinary[], asWeighed = false): Seen[] {
  const out: Seen[] = [];
  for (const formula of formulas) {
    const lines = batterOf(formula);
    const kin = onlyKin(formula.families[0] as FamilyId);
    for (const slip of [null, ...slips]) {
      const slipped = slip ? planted(lines, slip) : lines;
      const view =
        slipped &&
        viewOfLines(slipped, asWeighed ? { ...saidOfOrdinary(formula), working: null } : saidOfOrdinary(formula));
      if (view) out.push({ formula, slip, clues: cluesOf(expectedOf(view, kin, ground, fitted)) });
    }
  }
  return out;
}

/** So many times a slip counts an ordinary formula: false alarms are worse than what is missed. Judgement. */
const ORDINARY = 20;

export const exampleOf = (s: Seen): Example => ({
  clues: s.clues,
  slip: s.slip ? 1 + slips.indexOf(s.slip) : 0,
  weight: s.slip ? s.slip.often : ORDINARY,
});

/** Second half: which slip, if any, makes a formula look so. */
export const learnTelling = (seen: readonly Seen[]): Telling => fitTelling(seen.map(exampleOf), slips.length + 1);
