import type { FamilyId, Formula, Kitchen } from '../formula/types.js';
import { allItems, usableGrams } from '../formula/formula.js';
import { defaultKitchen } from '../kitchen/default.js';
import type { Ledger } from '../leavening/ledger.js';
import type { Lift } from '../leavening/lift.js';
import { adviceFor, type Advice } from './advice.js';
import { allergensOf, cautionsOf, type Caution } from './cautions.js';
import { familyOf, type Consistency } from './families.js';
import { judgeFamily } from './infer.js';
import { batterTemperature, densityOf, type Totals } from './totals.js';
import { verdictsOf, type Verdict } from './verdicts.js';
import { weigh } from './weigh.js';

export interface Assessment {
  readonly items: readonly {
    readonly itemId: string;
    readonly grams: number;
    readonly bakersPct: number;
    readonly part: number;
  }[];
  readonly totals: Totals;
  readonly lift: Lift;
  readonly ledger: Ledger;
  readonly verdicts: readonly Verdict[];
  readonly batter: { readonly densityGPerMl: number; readonly temperatureC: number; readonly consistency: Consistency };
  readonly family: { readonly id: FamilyId; readonly confidence: number; readonly nearest: FamilyId };
  readonly cautions: readonly Caution[];
  readonly allergens: readonly string[];
  readonly advice: readonly Advice[];
  readonly merit: number;
}

/**
 * Weighs a formula up: amounts, lift, soda, balance and what to do about it. Pure, total for any formula (bad amounts
 * become verdicts) and fast enough to run on every keystroke.
 *
 * @param kitchen altitude, powder, room temperature and own ingredients; an undescribed kitchen when absent
 * @throws OrvinError `unknown-family` when `formula.family` is not one of `families`
 */
export function assess(formula: Formula, kitchen: Kitchen = defaultKitchen): Assessment {
  const family = familyOf(formula.family);
  const w = weigh(formula, kitchen);
  const { totals } = w;
  const per = totals.flourG > 0 ? 100 / totals.flourG : totals.baseG > 0 ? 100 / totals.baseG : 0;
  return {
    items: allItems(formula).map((i) => {
      const grams = usableGrams(i.grams);
      return { itemId: i.id, grams, bakersPct: grams * per, part: (grams * per * family.flourParts) / 100 };
    }),
    totals,
    lift: w.lift,
    ledger: w.ledger,
    verdicts: verdictsOf(formula, w.lines, totals, w.lift, w.ledger, family, kitchen),
    batter: {
      densityGPerMl: densityOf(totals, family),
      temperatureC: batterTemperature(w.lines, family, kitchen.roomC),
      consistency: w.consistency,
    },
    family: judgeFamily(formula, totals, w.lift.mmolPer100gBase.typical),
    cautions: cautionsOf(formula, kitchen),
    allergens: allergensOf(formula, kitchen),
    advice: adviceFor(formula, kitchen, w),
    merit: w.merit,
  };
}
