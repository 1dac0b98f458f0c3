import { acidOf, bicarbonateOf, type Line } from '../leavening/parts.js';
import { typically } from '../formula/bands.js';
import type { Kitchen } from '../formula/types.js';

/**
 * The lines that may be wrong as one: flour, what is poured, fat, sugar, egg, what raises, salt. A suspect names one of
 * them, or the line itself.
 */
export const roles = ['flour', 'liquid', 'fat', 'sugar', 'egg', 'leavener', 'salt'] as const;
export type SuspectRole = (typeof roles)[number];

/** The role of a line; null for what is folded in, flavours and fruit, which vary too freely to be judged. */
export function roleOf({ ingredient: i }: Pick<Line, 'ingredient'>): SuspectRole | null {
  if (i.leavener === 'powder' || i.leavener === 'soda') return 'leavener';
  if (i.base === 'flour') return 'flour';
  const known = { fat: 'fat', sugar: 'sugar', egg: 'egg', liquid: 'liquid', salt: 'salt' } as const;
  return i.role in known ? known[i.role as keyof typeof known] : null;
}

/** What a batter is made of, in grams unless named otherwise: all that its plausibility is judged by. */
export interface Sums {
  batter: number;
  flour: number;
  /** Ground nuts, cocoa. */
  nut: number;
  cocoa: number;
  /** Water but flour's own and that of whole pieces, less what bran, cocoa and the like drink. */
  water: number;
  fat: number;
  sugar: number;
  egg: number;
  salt: number;
  /** Salt that comes with cheese, olives, salted butter. */
  saltAlong: number;
  /** mmol of free soda, of powder's soda, of that in powder lines alone; meq of acid. */
  soda: number;
  powder: number;
  powderLines: number;
  acid: number;
  pieces: number;
  oil: number;
  maize: number;
  semolina: number;
  syrup: number;
  wholeGrain: number;
  bran: number;
  starch: number;
  glutenFree: number;
  selfRaising: number;
  puree: number;
  driedFruit: number;
  savoury: number;
  chocolate: number;
  binder: number;
  milky: number;
  sweetMilk: number;
  alcohol: number;
  /** 1 when anything in it is from an animal. */
  animal: number;
}

export const noSums = (): Sums => ({
  batter: 0, flour: 0, nut: 0, cocoa: 0, water: 0, fat: 0, sugar: 0, egg: 0, salt: 0, saltAlong: 0, soda: 0, powder: 0,
  powderLines: 0, acid: 0, pieces: 0, oil: 0, maize: 0, semolina: 0, syrup: 0, wholeGrain: 0, bran: 0, starch: 0,
  glutenFree: 0, selfRaising: 0, puree: 0, driedFruit: 0, savoury: 0, chocolate: 0, binder: 0, milky: 0, sweetMilk: 0,
  alcohol: 0, animal: 0,
}); // prettier-ignore

/** Sums the lines of a batter. */
export function sumsOf(lines: readonly Line[], kitchen?: Kitchen): Sums {
  const s = noSums();
  for (const line of lines) {
    const { ingredient: i, grams, whole } = line;
    if (grams <= 0) continue;
    const c = i.per100;
    const share = grams / 100;
    const flour = i.base === 'flour';
    s.batter += grams;
    if (flour) s.flour += grams;
    if (i.base === 'nut') s.nut += grams;
    if (i.base === 'cocoa') s.cocoa += grams;
    if (i.role === 'egg') s.egg += grams;
    s.salt += (i.saltG ?? 0) * share;
    if (i.role !== 'salt') s.saltAlong += (i.saltG ?? 0) * share;
    if (whole) s.pieces += grams;
    else {
      if (!flour) s.water += c.water * share;
      s.water -= (i.drinks ?? 0) * grams;
      if (i.fatCounts) s.fat += c.fat * share;
      if (i.sugarCounts) s.sugar += c.sugar * share;
    }
    const gas = bicarbonateOf(line, typically, kitchen);
    s.soda += gas.free;
    s.powder += gas.powder;
    if (i.leavener === 'powder') s.powderLines += gas.powder;
    s.acid += acidOf(line, typically);
    if (i.fatState === 'oil') s.oil += grams;
    if (i.grain === 'maize') s.maize += grams;
    if (i.grain === 'semolina') s.semolina += grams;
    if (i.role === 'sugar' && c.water >= 10) s.syrup += grams;
    if (i.role === 'sugar' && i.allergens.includes('milk')) s.sweetMilk += grams;
    if (i.wholeGrain) s.wholeGrain += grams;
    if (flour && c.fibre > 15) s.bran += grams;
    if (flour && c.protein < 1) s.starch += grams;
    if (flour && i.grain !== 'maize' && !i.allergens.includes('wheat')) s.glutenFree += grams;
    if (i.co2Mmol) s.selfRaising += grams;
    if (i.role === 'fruit') {
      if (c.water > 60) s.puree += grams;
      else if (c.sugar > 30) s.driedFruit += grams;
    }
    if (i.savoury) s.savoury += grams;
    if (i.chocolate) s.chocolate += grams;
    if (i.binder) s.binder += grams;
    if (i.allergens.includes('milk')) s.milky += grams;
    s.alcohol += (i.alcohol ?? 0) * grams;
    if (i.from || i.allergens.includes('milk') || i.allergens.includes('egg')) s.animal = 1;
  }
  return s;
}

/** Gas (mmol), soda left over (mmol) and acid left over (meq), as the pool of docs/science/leavening.md settles them. */
export function settled(s: Sums): { gas: number; leftSoda: number; leftAcid: number } {
  const acid = Math.max(0, s.acid);
  const free = Math.min(acid, s.soda);
  const byAcid = Math.min(acid - free, s.powder);
  const open = s.soda - free + s.powder - byAcid;
  const own = Math.min(s.powder, open);
  const leftSoda = open - own;
  return {
    gas: free + byAcid + own + HEAT_SPLITS * leftSoda,
    leftSoda,
    leftAcid: acid - free - byAcid + s.powder - own,
  };
}
/** Share of left-over soda that heat splits, as in leavening/lift.ts. */
const HEAT_SPLITS = 0.25;
