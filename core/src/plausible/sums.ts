import { typically } from '../formula/bands.js';
import type { Kitchen } from '../formula/types.js';
import { isOil, isSyrup } from '../ingredient/kinds.js';
import { SPLIT } from '../leavening/lift.js';
import { bicarbonateOf, type Line } from '../leavening/parts.js';
import { pool } from '../leavening/pool.js';
import { pressureRatio } from '../leavening/volume.js';

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
  if (i.bulkSweetener) return 'sugar';
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
  /** mmol of free soda, of powder's soda, of that in powder lines alone; meq of acid, never below 0. */
  soda: number;
  powder: number;
  powderLines: number;
  acid: number;
  /** What they settle to (docs/science/leavening.md): gas and soda left over, mmol; acid left over, meq. */
  gas: number;
  leftSoda: number;
  leftAcid: number;
  /** Pressure over that at the sea, dry: where the air is thin less gas does as much. */
  thin: number;
  pieces: number;
  /** Of the pieces: fresh fruit and vegetables, which give water; nuts and chocolate, which give fat. */
  freshPieces: number;
  fatPieces: number;
  oil: number;
  maize: number;
  semolina: number;
  syrup: number;
  wholeGrain: number;
  bran: number;
  starch: number;
  wheatless: number;
  selfRaising: number;
  puree: number;
  driedFruit: number;
  savoury: number;
  chocolate: number;
  binder: number;
  /** How strongly a soapy taste is hidden, g: as much as the flour hides it. */
  masking: number;
  milky: number;
  sweetMilk: number;
  alcohol: number;
  /** 1 when anything in it is from an animal. */
  animal: number;
}

const noSums = (): Sums => ({
  batter: 0, flour: 0, nut: 0, cocoa: 0, water: 0, fat: 0, sugar: 0, egg: 0, salt: 0, saltAlong: 0, soda: 0, powder: 0,
  powderLines: 0, acid: 0, gas: 0, leftSoda: 0, leftAcid: 0, thin: 1, pieces: 0, freshPieces: 0, fatPieces: 0, oil: 0, maize: 0, semolina: 0, syrup: 0, wholeGrain: 0, bran: 0, starch: 0,
  wheatless: 0, selfRaising: 0, puree: 0, driedFruit: 0, savoury: 0, chocolate: 0, binder: 0, masking: 0, milky: 0, sweetMilk: 0,
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
    if (whole) {
      s.pieces += grams;
      if (c.water > 60) s.freshPieces += grams;
      if (c.fat > 25) s.fatPieces += grams;
    } else {
      if (!flour) s.water += c.water * share;
      s.water -= (i.drinks ?? 0) * grams;
      if (i.fatCounts) s.fat += c.fat * share;
      if (i.bulkSweetener) s.sugar += grams;
      else if (i.sugarCounts) s.sugar += c.sugar * share;
    }
    if (i.leavener === 'powder') s.powderLines += bicarbonateOf(line, typically, kitchen).powder;
    if (isOil(i)) s.oil += grams;
    if (i.grain === 'maize') s.maize += grams;
    if (i.grain === 'semolina') s.semolina += grams;
    if (isSyrup(i)) s.syrup += grams;
    if (i.role === 'sugar' && i.allergens.includes('milk')) s.sweetMilk += grams;
    if (i.wholeGrain && i.grain === undefined) s.wholeGrain += grams;
    if (flour && c.fibre > 15 && (i.drinks ?? 0) >= 0.4) s.bran += grams;
    if (flour && c.protein < 1) s.starch += grams;
    if (flour && i.grain !== 'maize' && !i.allergens.includes('wheat')) s.wheatless += grams;
    if (i.co2Mmol) s.selfRaising += grams;
    if (i.role === 'fruit') {
      if (c.water > 60) s.puree += grams;
      else if (c.sugar > 30) s.driedFruit += grams;
    }
    if (i.savoury) s.savoury += grams;
    if (i.chocolate) s.chocolate += grams;
    if (i.binder) s.binder += grams;
    s.masking += (i.masksSoda ?? 0) * grams;
    if (i.allergens.includes('milk')) s.milky += grams;
    s.alcohol += (i.alcohol ?? 0) * grams;
    if (i.from || i.allergens.includes('milk') || i.allergens.includes('egg')) s.animal = 1;
  }
  const p = pool(lines, typically, kitchen);
  s.soda = p.freeSoda;
  s.powder = p.powderSoda;
  s.acid = p.acid;
  s.leftSoda = p.leftSoda;
  s.leftAcid = p.leftAcid;
  s.gas = p.metFree + p.metPowder + p.metOwn + SPLIT.typical * p.leftSoda;
  s.thin = pressureRatio(kitchen?.altitudeM ?? 0);
  return s;
}
