import { typically } from '../formula/bands.js';
import type { Kitchen } from '../formula/types.js';
import { pullOf } from '../balance/pulls.js';
import { totalsOf } from '../balance/totals.js';
import { sodiumMgOf } from '../leavening/crumb.js';
import { acidOf, bicarbonateOf, type Line } from '../leavening/parts.js';
import { isWholeGrain } from '../ingredient/kinds.js';

/** What a gram of a line brings of everything that the balance counts; all of it adds up over the lines. */
export interface Rates {
  readonly batter: number;
  readonly flour: number;
  /** Flour, cocoa, and nut flour where it stands in for flour. */
  readonly base: number;
  readonly water: number;
  readonly drunk: number;
  readonly fat: number;
  readonly sugar: number;
  readonly egg: number;
  readonly salt: number;
  readonly holds: number;
  readonly tenders: number;
  /** meq of dissolved acid. */
  readonly acid: number;
  /** mmol of bicarbonate, free or in powder. */
  readonly soda: number;
  readonly freeSoda: number;
  /** meq of acid inside powder. */
  readonly ownAcid: number;
  readonly sodiumMg: number;
  /** Of flour: ground from the whole grain. */
  readonly wholegrain: number;
}

export type Quantity = keyof Rates;

/** @param nutIsBase whether nut flour counts as base, as it does where there is hardly any flour */
export function ratesOf(line: Line, kitchen: Kitchen, nutIsBase: boolean): Rates {
  const unit = { ...line, grams: 100 };
  const t = totalsOf([unit]);
  const pull = pullOf(unit);
  const soda = bicarbonateOf(unit, typically, kitchen);
  const { base } = line.ingredient;
  const of = (x: number): number => x / 100;
  return {
    batter: 1,
    flour: of(t.flourG),
    base: base === 'flour' || base === 'cocoa' || (base === 'nut' && nutIsBase) ? 1 : 0,
    water: of(t.waterG),
    drunk: of(t.drunkG),
    fat: of(t.fatG),
    sugar: of(t.sugarG),
    egg: of(t.eggG),
    salt: of(t.saltG),
    holds: of(pull.holds),
    tenders: of(pull.tenders),
    acid: of(acidOf(unit, typically)),
    soda: of(soda.free + soda.powder),
    freeSoda: of(soda.free),
    ownAcid: of(soda.ownAcid),
    sodiumMg: of(sodiumMgOf(unit, kitchen)),
    wholegrain: base === 'flour' && isWholeGrain(line.ingredient) ? 1 : 0,
  };
}
