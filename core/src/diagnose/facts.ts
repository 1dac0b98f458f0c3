import { weightIn } from '../bake/bake-input.js';
import { ovenOff, sigmaOf } from '../bake/learned.js';
import { predictBake } from '../bake/predict.js';
import { assess, type Assessment } from '../balance/assess.js';
import { familyFor, type Family } from '../balance/families.js';
import { consistencyWords } from '../balance/totals.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { SODA_G_PER_MOL } from '../leavening/acids.js';
import { centreOf, inputOf, meanHeight, rackOff } from '../log/seen.js';
import type { BakeRecord } from '../log/types.js';
import { degreesIn, degreesMore } from '../quantity/degrees.js';
import { bowlPlan } from '../scale/bowls.js';
import { scale } from '../scale/scale.js';
import { fitTins } from '../tin/fit.js';

/**
 * What is known of a bake in numbers. Each fact is a z-score: 0 is what is ordinary, and one sigma of ordinary bakes is
 * 1; where a fault would show, it moves up (or down, where a cause says so). What was not seen is left out and speaks
 * for nothing and against nothing.
 */
export interface Fact {
  readonly z: number;
  /** What it says in words and numbers, whatever it speaks for. */
  readonly words: string;
}
export type FactId =
  | 'lift' | 'left soda' | 'unmet soda' | 'left acid' | 'free soda' | 'sugar' | 'fat' | 'water' | 'lean' | 'whole grain'
  | 'flour weighed' | 'by the cup' | 'thin' | 'pieces' | 'alkali colours' | 'powder' | 'rises'
  | 'time' | 'centre' | 'loss' | 'air' | 'dial' | 'height'
  | 'fill' | 'depth' | 'dark tin' | 'light tin' | 'rack' | 'stood' | 'batch' | 'fill spread' | 'warm room' | 'cold things'
  | 'tins skipped' | 'cooling skipped' | 'second tin'; // prettier-ignore
export type Facts = Partial<Readonly<Record<FactId, Fact>>>;

/** Facts that say the same thing twice: the strongest counts, the others by `ECHO`. */
export const echoes: readonly (readonly FactId[])[] = [
  ['centre', 'time', 'loss'],
  ['air', 'dial'],
  ['left soda', 'unmet soda', 'free soda'],
  ['powder', 'rises', 'height'],
  ['flour weighed', 'by the cup', 'water'],
];
export const ECHO = 0.3;

/** One sigma of an ordinary oven's air against its dial, K, as a thermometer on the rack reads it. A judgement. */
export const AIR_K = 7;

/** Where an edge of a usual range lies in sigmas: outside of it are about one ordinary formula in eight. */
const EDGE = 1.5;
const placed = (x: number, [lo, hi]: readonly [number, number]): number =>
  (EDGE * (x - (lo + hi) / 2)) / Math.max(1e-9, (hi - lo) / 2);
const whole = (x: number): string => (Math.abs(x) < 9.95 ? x.toFixed(1).replace(/\.0$/, '') : String(Math.round(x)));
const pct = (x: number): string => `${Math.round(100 * Math.abs(x))} %`;

export interface Diagnosed {
  readonly formula: Formula;
  readonly bake: BakeRecord | null;
  readonly assessment: Assessment;
  readonly family: Family;
  readonly facts: Facts;
  /** What the middle should have reached, °C, and the time that this kitchen would have needed, min. */
  readonly doneC: number | null;
  readonly neededMin: number | null;
}

/** Gathers what is known of a formula, and of one bake of it. */
export function factsOf(formula: Formula, bake: BakeRecord | null, kitchen: Kitchen): Diagnosed {
  const assessment = assess(formula, kitchen);
  const family = familyFor(formula.family, assessment.totals, formula.title);
  const facts: Partial<Record<FactId, Fact>> = {};
  const set = (id: FactId, z: number, words: string): void => {
    if (Number.isFinite(z)) facts[id] = { z: Math.max(-4, Math.min(6, z)), words };
  };
  ofFormula(formula, assessment, family, kitchen, set);
  const { doneC, neededMin } = bake
    ? ofBake(formula, bake, assessment, family, kitchen, set)
    : { doneC: null, neededMin: null };
  return { formula, bake, assessment, family, facts, doneC, neededMin };
}

type Set = (id: FactId, z: number, words: string) => void;

function ofFormula(f: Formula, a: Assessment, family: Family, kitchen: Kitchen, set: Set): void {
  const t = a.totals;
  const ranged = family.id !== 'free' && t.flourG > 0;
  if (ranged) {
    const [lo, hi] = a.lift.target;
    const lift = a.lift.mmolPer100gBase.typical;
    set(
      'lift',
      placed(lift, a.lift.target),
      `Lift is ${whole((200 * lift) / Math.max(lo + hi, 1e-9))} % of the middle of what is usual; ${whole((200 * lo) / Math.max(lo + hi, 1e-9))} to ${whole((200 * hi) / Math.max(lo + hi, 1e-9))} % is.`,
    );
    for (const [id, x, range] of [
      ['sugar', t.sugarPct, family.sugar],
      ['fat', t.fatPct, family.fat],
    ] as const)
      set(id, placed(x, range), `${id === 'sugar' ? 'Sugar' : 'Fat'} is ${whole(x)} % of flour; ${whole(range[0])}–${whole(range[1])} is usual.`); // prettier-ignore
    set('water', placed(a.water.availablePct, a.water.usual), `Water left for the flour is ${whole(a.water.availablePct)} %; ${whole(a.water.usual[0])}–${whole(a.water.usual[1])} is usual.`); // prettier-ignore
    set('lean', -EDGE * a.beam.lean, `Structure against tenderness leans ${a.beam.lean < -0.3 ? 'to structure' : a.beam.lean > 0.3 ? 'to tenderness' : 'neither way'} (${a.beam.lean.toFixed(1)} of its usual half-width).`); // prettier-ignore
    if (a.water.drunkPct > 4)
      set('whole grain', 0.6 * placed(-a.water.availablePct, [-a.water.usual[1], -a.water.usual[0]]) + a.water.drunkPct / 14, `Bran, cocoa or coconut drink ${whole(a.water.drunkPct)} % of flour; ${whole(a.water.availablePct)} % is left, ${whole(a.water.usual[0])}–${whole(a.water.usual[1])} is usual.`); // prettier-ignore
    else set('whole grain', -1.5, 'Nothing in it drinks much water.');
  }
  const left = a.ledger.leftSodaGPer100gBatter.typical;
  set('left soda', (left - 0.12) / 0.1, left < 0.02 ? 'No soda is left over.' : `${left.toFixed(2)} g of soda is left over in 100 g batter; from 0.22 it darkens, from 0.48 it tastes.`); // prettier-ignore
  const soda = a.ledger.bicarbonateMmol;
  const unmet = soda > 0 ? ((left / SODA_G_PER_MOL) * 1000 * t.batterG) / 100 / soda : 0;
  set('unmet soda', soda > 0 ? (unmet - 0.2) / 0.2 : -1.5, soda > 0 ? `${pct(unmet)} of the soda has no acid to meet.` : 'There is no soda in it.'); // prettier-ignore
  set('left acid', (a.ledger.leftAcidMeqPer100gBatter.typical - 1) / 1.5, `${whole(a.ledger.leftAcidMeqPer100gBatter.typical)} meq of acid is left over in 100 g batter.`); // prettier-ignore
  const free = allItems(f).reduce((s, i) => s + (ingredientFor(f, i, kitchen).leavener === 'soda' ? i.grams : 0), 0);
  const powder = allItems(f).some((i) => ingredientFor(f, i, kitchen).leavener === 'powder');
  const per = t.baseG > 0 ? (100 * free) / t.baseG : 0;
  // soda is usually half a gram to one and a half for 100 g of flour; powder is three to five
  set('free soda', free > 0 ? (per - 1) / 0.5 + (powder ? -0.8 : 0.2) : -2.5, free > 0 ? `${per.toFixed(1)} g of soda to 100 g of flour; up to 1.5 is usual.` : 'No soda goes in by itself.'); // prettier-ignore
  const cup = allItems(f).find((i) => ingredientFor(f, i, kitchen).base === 'flour' && i.entered && !['g', 'kg', 'oz', 'lb'].includes(i.entered.unit)); // prettier-ignore
  set('by the cup', cup ? 1.4 : -1.6, cup ? 'The flour is measured by the cup, which can hold a third more than meant.' : 'The flour is weighed.'); // prettier-ignore
  set('thin', { pourable: 1.6, thick: 0, drop: -1.5, dough: -3 }[a.batter.consistency], `The batter: ${consistencyWords[a.batter.consistency]}.`); // prettier-ignore
  const share = t.batterG > 0 ? t.piecesG / t.batterG : 0;
  set('pieces', share > 0.02 ? share / 0.12 - 0.3 : -4, share > 0.02 ? `Pieces are ${pct(share)} of it.` : 'There are no pieces in it.'); // prettier-ignore
  const colours = a.crumb.effects.filter((e) => e.on === 'colour' && left > 0.03);
  set('alkali colours', colours.length > 0 ? 2.5 : -2, colours[0]?.words ?? 'Nothing in it turns colour with the little soda that is left.'); // prettier-ignore
  const strength = kitchen.powders[0]?.strength;
  if (powder && strength)
    set('powder', { vigorous: -0.6, weak: 2.4, none: 4 }[strength], `The powder is marked ${strength === 'none' ? 'dead' : strength} in hot water.`); // prettier-ignore
  else if (!powder) set('powder', -3, 'There is no powder in it.');
}

function ofBake(
  f: Formula,
  b: BakeRecord,
  a: Assessment,
  family: Family,
  kitchen: Kitchen,
  set: Set,
): { doneC: number | null; neededMin: number | null } {
  const shown = kitchen.display.temperature;
  const o = b.observed;
  const r = b.result;
  const p = predictBake(inputOf(b), kitchen);
  const needed = p.minutes.likely > 0 ? p.minutes.likely : null;
  if (needed !== null) {
    const sd = Math.max(0.06, Math.log(p.minutes.late / p.minutes.early) / 2.563);
    const off = b.minutes / needed - 1;
    set('time', Math.log(b.minutes / needed) / sd, `It had ${whole(b.minutes)} min; ${whole(needed)} is likely here${Math.abs(off) > 0.03 ? `, ${pct(off)} ${off < 0 ? 'less' : 'more'} than it needs` : ''}.`); // prettier-ignore
  }
  // where its family sets, not where this baker likes it
  const doneC = p.doneC > 0 ? p.doneC - (p.calibration?.doneK ?? 0) : null;
  const centre = centreOf(b);
  if (centre && doneC !== null)
    set('centre', (centre.c - doneC) / 1.6, `The middle was ${degreesIn(shown, centre.c)}; it sets at ${degreesIn(shown, doneC)}.`); // prettier-ignore
  if (r?.outG !== undefined && r.outG > 0 && p.lossPct > 0) {
    const loss = 100 * (1 - r.outG / weightIn(b));
    set('loss', Math.log(Math.max(0.5, loss) / p.lossPct) / 0.25, `It lost ${whole(loss)} % of its weight; ${whole(p.lossPct)} % would be likely.`); // prettier-ignore
  }
  const read = rackOff(b);
  if (read)
    set('air', read.k / AIR_K, `A thermometer on the rack read ${degreesMore(shown, Math.abs(read.k))} ${read.k >= 0 ? 'more' : 'less'} than the dial.`); // prettier-ignore
  else {
    const off = ovenOff(kitchen, b.ovenId, b.rack);
    if (off.bakes >= 3 && sigmaOf(off) < 9) set('air', off.typical / Math.hypot(6, sigmaOf(off)), `From ${off.bakes} bakes, the air is about ${degreesMore(shown, Math.abs(off.typical))} ${off.typical >= 0 ? 'hotter' : 'cooler'} than the dial.`); // prettier-ignore
  }
  const dial = b.fan ? b.ovenC + 20 : b.ovenC;
  if (family.id !== 'free')
    set('dial', placed(dial, [family.ovenC[0] - 3, family.ovenC[1] + 3]), `The dial was at ${degreesIn(shown, b.ovenC)}${b.fan ? ' with the fan' : ''}; ${degreesIn(shown, family.ovenC[0])}–${degreesIn(shown, family.ovenC[1])} still is usual.`); // prettier-ignore
  const fit = fitTins({ ...f, bake: f.bake ?? { ovenC: b.ovenC, fan: b.fan } }, [{ tin: b.tin.tin, count: 1 }], kitchen)[0]; // prettier-ignore
  const free = b.tin.tin.shape === 'mound' || b.tin.tin.shape === 'slab';
  if (fit && !free && fit.capacityMl > 0) {
    const fill = b.batterG / a.batter.densityGPerMl / fit.capacityMl;
    set('fill', (fill - family.fill[1] + 0.04) / 0.09, `The tin was ${pct(fill)} full; up to ${pct(family.fill[1])} is usual.`); // prettier-ignore
  } else if (free) set('fill', -3, 'It stood free, without a rim.');
  const reckoned = p.batterMm;
  if (reckoned > 0) {
    const usual = { loaf: 52, tube: 55, cup: 25, slab: 25, mound: 35 }[b.tin.tin.shape as string] ?? 32;
    set('depth', (reckoned - usual) / (0.3 * usual), `The batter stood ${Math.round(reckoned)} mm deep.`);
  }
  const m = b.tin.tin.material;
  const slow = m === 'shiny metal' || m === 'silicone' || m === 'ceramic' || b.tin.tin.lining === 'double';
  set('dark tin', m === 'dark metal' || m === 'glass' || m === 'cast iron' ? 1.8 : -1.8, `The tin is ${m === 'none' ? 'none: it stood on the sheet' : m}.`); // prettier-ignore
  set('light tin', slow ? 2.2 : -1.6, `The tin is ${m === 'none' ? 'none' : m}${b.tin.tin.lining === 'double' ? ', double lined' : ''}.`); // prettier-ignore
  if (b.rack) set('rack', b.rack === 'bottom' ? 2 : -1.2, `It stood at the ${b.rack}.`);
  if (o?.stoodMin !== undefined) {
    const may = Math.max(4, a.lift.standMin);
    set('stood', 1.5 * (o.stoodMin / may) - 1.2, `It stood ${whole(o.stoodMin)} min before the oven; ${whole(may)} is what it can wait.`); // prettier-ignore
  }
  const factor = b.factor ?? 1;
  const big = bowlPlan(factor === 1 ? f : scale(f, { by: 'factor', factor }, kitchen).formula, kitchen).mixes > 1;
  set('batch', 1.4 * Math.log2(Math.max(0.25, factor)) - 0.8 + (big ? 0.9 : 0), factor > 1.2 ? `${whole(factor)} times the formula was mixed${big ? ', more than the bowl takes well' : ''}.` : 'It was mixed as written.'); // prettier-ignore
  if (o?.filled && o.filled.length > 1) {
    const mean = o.filled.reduce((x, y) => x + y, 0) / o.filled.length;
    const cv = Math.sqrt(o.filled.reduce((s, x) => s + (x - mean) ** 2, 0) / o.filled.length) / mean;
    set('fill spread', (cv - 0.03) / 0.03, `The fillings differed by ${pct(cv)}.`);
  }
  set('second tin', b.tin.count > 1 ? 0.8 : -4, b.tin.count > 1 ? `${b.tin.count} tins were filled.` : 'There was one tin.'); // prettier-ignore
  const flour = (o?.weighed ?? []).flatMap((w) => {
    const item = allItems(f).find((i) => i.id === w.itemId);
    return item && item.grams > 0 && ingredientFor(f, item, kitchen).base === 'flour' ? [{ w: w.grams, f: item.grams }] : []; // prettier-ignore
  });
  if (flour.length > 0) {
    const off = Math.log(flour.reduce((s, x) => s + x.w, 0) / flour.reduce((s, x) => s + x.f, 0) / factor);
    set('flour weighed', off / 0.04, `The scale read ${pct(Math.exp(off) - 1)} ${off < 0 ? 'less' : 'more'} flour than the formula has.`); // prettier-ignore
  }
  set('warm room', (kitchen.roomC - 22) / 2.2, `The kitchen has ${degreesIn(shown, kitchen.roomC)}.`);
  const skipped = o?.skipped ?? [];
  if (o) {
    const cold = skipped.some((x) => /^take out/.test(x));
    set('cold things', cold ? 2.6 : -0.8, cold ? 'Taking things out in time was left out.' : 'Nothing was left out of what had to warm up.'); // prettier-ignore
    const tins = skipped.some((x) => x === 'tins' || x.startsWith('tins:'));
    set('tins skipped', tins ? 3 : -0.9, tins ? 'Greasing and lining was left out.' : 'The tins were prepared.');
    const cool = skipped.some((x) => /^(?:cool|unmould)/.test(x));
    set('cooling skipped', cool ? 2.2 : -0.6, cool ? 'A step of cooling was left out.' : 'It was cooled as planned.');
  }
  const height = meanHeight(r);
  if (height !== null && p.batterMm > 0) {
    const off = Math.log(height / (p.batterMm * b.rise));
    set('height', off / 0.09, `It stood ${pct(Math.exp(off) - 1)} ${off < 0 ? 'lower' : 'higher'} than reckoned.`);
  }
  const rise = kitchen.learned ? kitchen.learned.keys.indexOf('rise') : -1;
  if (kitchen.learned && rise >= 0 && (kitchen.learned.bakes[rise] ?? 0) >= 3) {
    const mean = kitchen.learned.mean[rise] as number;
    set('rises', mean / 0.08, `Your bakes rise ${pct(Math.exp(mean) - 1)} ${mean < 0 ? 'less' : 'more'} than reckoned, from ${kitchen.learned.bakes[rise]}.`); // prettier-ignore
  }
  return { doneC, neededMin: needed };
}
