import { heavyIn } from '../quantity/figures.js';
import type { Formula } from '../formula/types.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Kitchen } from '../formula/types.js';
import { LEFT_SODA_STEPS, TANG_MEQ, type Ledger } from '../leavening/ledger.js';
import type { Lift } from '../leavening/lift.js';
import type { Line } from '../leavening/parts.js';
import { hasRanges, aFamily, type Family } from './families.js';
import { LEAN_USUAL, type Beam, type WaterLine } from './pulls.js';
import type { Totals } from './totals.js';
import { capital } from '../text/plain.js';
import type { NamedSuspect } from '../plausible/plausible.js';
import type { Spans } from '../plausible/spans.js';
import type { SuspectRole } from '../plausible/sums.js';
import { outside, whole, type Verdict } from './verdict.js';

/** What lies a hair outside, up to 3 % of the width, is not counted. */
const slack = (d: number): number => (d > 0.03 ? d : 0);

type Measure = 'fat' | 'sugar' | 'egg' | 'water' | 'salt';
type Range = readonly [number, number];
export const measures: readonly Measure[] = ['fat', 'sugar', 'egg', 'water', 'salt'];

export const pctOf = (t: Totals, m: Measure): number =>
  ({ fat: t.fatPct, sugar: t.sugarPct, egg: t.eggPct, water: t.waterPct, salt: t.saltPct })[m];

/** The range that applies: an eggless formula has no egg minimum, and low salt is bland, not wrong. */
export function rangeOf(family: Family, m: Measure, t: Totals): Range {
  const [lo, hi] = family[m];
  if (m === 'egg' && t.eggPct < 0.5) return [0, hi];
  return [lo, hi];
}

const says: Readonly<Record<Measure, readonly [low: string, high: string]>> = {
  fat: ['little fat: firmer, dries sooner', 'a lot of fat: short and tender, may weep or sink'],
  sugar: ['not sweet: firmer crumb, paler crust', 'a lot of sugar: sets late, may sink and crust dark'],
  egg: ['little egg to hold it up', 'a lot of egg: springy, may taste of egg and dry out'],
  water: ['dry: stiff, tight crumb', 'wet: sets late, may be gummy in the middle'],
  salt: ['bland', 'salty'],
};

/** The same of what hands shape: it spreads where a batter would sink. */
const saysOfDough: typeof says = {
  ...says,
  fat: ['little fat: firmer, stales sooner', 'a lot of fat: short and crumbly, may spread'],
  sugar: ['hardly sweet: paler crust', 'a lot of sugar: spreads, browns fast'],
  egg: ['little egg', 'a lot of egg: richer, drier the day after'],
  water: ['dry: cracks as it is shaped, a tight crumb', 'wet: sticks, and spreads before it sets'],
};

const name: Readonly<Record<Measure, string>> = {
  fat: 'Fat',
  sugar: 'Sugar',
  egg: 'Egg',
  water: 'Water',
  salt: 'Salt',
};

/** How far water is outside: where something drinks, a wet formula is judged by what is left, a dry one by the worse of both. */
export function waterOutside(t: Totals, water: WaterLine, family: Family): number {
  const left = slack(outside(water.availablePct, water.usual));
  return t.waterPct > family.water[1] && drinks(water) ? left : Math.max(outside(t.waterPct, family.water), left);
}

/** Per cent of flour that must be drunk for it to count as a reason. */
const drinks = (water: WaterLine): boolean => water.drunkPct > 8;

/** What the judgement of the whole formula says of one of its measures. */
export interface Against {
  readonly spans: Spans;
  readonly suspects: readonly NamedSuspect[];
  /** How many ordinary formulas it was held against. */
  readonly against: number;
}

const rolesOf: Readonly<Record<Measure, SuspectRole>> = {
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  water: 'liquid',
  salt: 'salt',
};

/** A verdict from a suspect that is more than a hint; null where there is none of that role. */
function suspected(id: string, role: SuspectRole, { suspects, against }: Against): Verdict | null {
  const s = suspects.find((x) => x.role === role && x.sure !== 'hint' && !x.acid);
  if (!s) return null;
  return {
    id,
    state: s.factor < 1 ? 'low' : 'high',
    severity: s.sure === 'plain' ? 'faulty' : 'unusual',
    short: capital(s.short),
    words: s.words,
    rule: `One line against the rest, by ${against} ordinary formulas`,
    suspect: s,
  };
}

/** Soda without acid: what it was likely meant to be, and what else it may have been; null where it has some. */
function acidVerdict({ suspects, against }: Against): Verdict | null {
  const [s, or] = suspects.filter((x) => x.acid);
  if (!s) return null;
  return {
    id: 'ledger',
    state: 'high',
    severity: 'unusual',
    short: capital(s.short),
    words: or?.slip === 'name' ? `${s.words} Or is it ${or.short}` : s.words,
    rule: `Soda left to taste, most of it unmet, and less gas than 8 of 10 like it have; by ${against} ordinary formulas`,
    suspect: s,
  };
}

function measureVerdict(m: Measure, t: Totals, family: Family, judged: Against): Verdict {
  const wrong = suspected(m, rolesOf[m], judged);
  const x = pctOf(t, m);
  const { low, high } = judged.spans[m];
  const band = [low, high] as const;
  const figure = { value: x, unit: '%' };
  const state = x < low ? 'low' : x > high ? 'high' : 'ok';
  const kind = !hasRanges(family) ? 'such a bake' : aFamily(family);
  const rule = `${name[m]} ${whole(low)}–${whole(high)} % of flour in 8 of 10 that are else like this`;
  if (wrong) return { ...wrong, figure, band };
  if (state === 'ok')
    return {
      id: m,
      state,
      severity: 'note',
      words: `${name[m]} ${whole(x)} %: usual for ${kind}.`,
      rule,
      figure,
      band,
    };
  const edge = state === 'low' ? `from ${whole(low)}` : `up to ${whole(high)}`;
  const words = `${name[m]} ${whole(x)} % is ${state} for ${kind} like this (mostly ${edge} %): ${(family.shaped ? saysOfDough : says)[m][state === 'low' ? 0 : 1]}.`;
  return { id: m, state, severity: 'note', words, rule, figure, band };
}

function liftVerdict(lift: Lift, family: Family, judged: Against): Verdict {
  const [lo, hi] = lift.target;
  const x = lift.mmolPer100gBase.typical;
  const kind = !hasRanges(family) ? 'such a bake' : aFamily(family);
  const rest = {
    rule: `Lift ${whole(lo)}–${whole(hi)} mmol CO2 per 100 g flour and cocoa in 8 of 10 that are else like this`,
    figure: { value: x, unit: 'mmol' },
    band: lift.target,
  };
  const wrong = suspected('lift', 'leavener', judged);
  if (wrong) return { ...wrong, ...rest };
  if (lift.state === 'ok') {
    const near = (x - lo) / Math.max(hi - lo, 1e-6);
    const shade = near < 0.2 && lo > 0 ? 'Just enough' : near > 0.8 ? 'Plenty' : 'Right';
    const link = lift.volume.airShare >= 0.5 ? ', more air than gas; ' : ', and ';
    const wait =
      lift.standMin >= 60
        ? 'it is in no hurry'
        : lift.standMin <= 4
          ? 'bake it at once'
          : `it may wait about ${lift.standMin} minutes`;
    return { id: 'lift', state: 'ok', severity: 'note', words: `${shade} for ${kind}${link}${wait}.`, ...rest };
  }
  const words =
    lift.state === 'low'
      ? lift.volume.airShare >= 0.5
        ? 'Beaten-in air does the lifting: it rises as long as the foam holds.'
        : `Less lift than most that are like this: it will stay lower and closer.`
      : `More lift than most that are like this: ${family.shaped ? 'it may open sideways and crumble' : family.cracks ? 'a coarser crumb, and it may sink' : 'it may dome, then crack or sink'}.`;
  return { id: 'lift', state: lift.state, severity: 'note', words, ...rest };
}

/** Left-over soda, g in 100 g of batter, from which it tastes soapy in nearly any bake; more where it is hidden. */
export const soapyFrom = (masked: boolean): number => (masked ? LEFT_SODA_STEPS.soapyMasked : LEFT_SODA_STEPS.soapy);

/** Whether strong flavours hide a soapy taste: cocoa, treacle, spice, ripe banana, by the column `masksSoda`. */
export const masks = (lines: readonly Line[], t: Totals): boolean =>
  lines.reduce((s, l) => s + (l.ingredient.masksSoda ?? 0) * l.grams, 0) > Math.max(t.flourG, 1);

function ledgerVerdict(ledger: Ledger, masked: boolean): Verdict {
  const left = ledger.leftSodaGPer100gBatter.typical;
  const tang = ledger.leftAcidMeqPer100gBatter.typical;
  const rule =
    'Left-over soda as a share of the batter: unnoticed below 0.10 %, browner to 0.22 %, dark and soapy-risky above; tang from 3 meq of left-over acid in 100 g';
  const share = `${Math.round(100 * ledger.unmetShare)} % of the soda has no acid to meet`;
  if (ledger.bicarbonateMmol < 1e-6 && tang < TANG_MEQ)
    return { id: 'ledger', state: 'ok', severity: 'note', words: 'No soda or powder to settle.', rule };
  if (left >= LEFT_SODA_STEPS.dark) {
    // a taste that is there whatever the bake: the only bound of its own; the rest is for the whole formula to say
    const severity = left >= soapyFrom(masked) ? 'unusual' : 'note';
    const effect =
      severity === 'unusual'
        ? 'likely to taste soapy and bake very dark'
        : masked
          ? 'darker and more tender; the strong flavours hide the soda'
          : 'darker and more tender, with a risk of a soapy note';
    const short = `Too much soda for its acid: ${effect}.`;
    return { id: 'ledger', state: 'high', severity, short, words: `${short} ${share}.`, rule };
  }
  if (tang >= TANG_MEQ)
    return {
      id: 'ledger',
      state: 'low',
      severity: 'note',
      words: 'Acid to spare: tangy, with a pale, tight crumb.',
      rule,
    };
  if (left >= LEFT_SODA_STEPS.browner)
    return {
      id: 'ledger',
      state: 'ok',
      severity: 'note',
      short: 'A little soda to spare: browner and softer.',
      words: `A little soda to spare: browner and softer. ${share}.`,
      rule,
    };
  return {
    id: 'ledger',
    state: 'ok',
    severity: 'note',
    words: left > 0.02 ? 'Nearly all soda is used: nothing to taste.' : 'The soda is used up: nothing to taste.',
    rule,
  };
}

/** Amounts that no kitchen means: negative, not a number, or heavier than a wheelbarrow. They count as nothing. */
function amountVerdicts(formula: Formula, kitchen?: Kitchen): Verdict[] {
  const out: Verdict[] = [];
  for (const item of allItems(formula)) {
    const g = item.grams;
    const bad = !Number.isFinite(g) || g < 0 || g >= 1e6;
    if (!bad && g <= 50_000) continue;
    const what = ingredientFor(formula, item, kitchen).name;
    out.push({
      id: `amount:${item.id}`,
      state: g < 0 ? 'low' : 'high',
      severity: bad ? 'faulty' : 'unusual',
      words: bad
        ? `${what}: ${String(g)} g cannot be weighed, so it counts as nothing. Type the amount again.`
        : `${what}: ${heavyIn(kitchen?.display, 1000 * Math.round(g / 1000))} is a caterer's amount. If a decimal slipped, type it again.`,
      rule: 'Amounts from 0 g to 50 kg',
    });
  }
  return out;
}

export function verdictsOf(
  formula: Formula,
  lines: readonly Line[],
  t: Totals,
  lift: Lift,
  ledger: Ledger,
  family: Family,
  judged: Against | null,
  kitchen?: Kitchen,
): Verdict[] {
  const out: Verdict[] = amountVerdicts(formula, kitchen);
  // cocoa alone does not make a crumb
  if (t.baseG - t.cocoaG <= 0) {
    out.push({
      id: 'flour',
      state: 'low',
      severity: 'faulty',
      words:
        lines.length === 0
          ? 'Nothing in the bowl yet. Add flour, or paste a recipe.'
          : 'No flour: nothing here can set to a crumb. Add flour, or check that the flour line was read.',
      rule: 'Every family is counted against its flour',
    });
    return out;
  }
  out.push((judged && acidVerdict(judged)) ?? ledgerVerdict(ledger, masks(lines, t)));
  if (!judged) return out;
  out.push(liftVerdict(lift, family, judged));
  const flour = suspected('flour', 'flour', judged);
  if (flour) out.push(flour);
  for (const m of measures) out.push(measureVerdict(m, t, family, judged));
  return out;
}

/** What a figure adds to the straying: its distance outside its range, over the range's width. */
interface StrayTerm {
  readonly name: string;
  readonly value: number;
}

/**
 * Sum of normalised distances outside the bands: each of fat, sugar, egg, water, salt and lift by its distance over the
 * band's width (salt only upward; water by what is there or by what is left after drinking, whichever is worse), the
 * beam beyond its usual span, and left-over soda above the step where it becomes unusual, per 0.2 g. 0 when all is
 * within. Every proposal strictly lowers it.
 */
function strayTerms(
  t: Totals,
  lift: Lift,
  ledger: Ledger,
  family: Family,
  masked: boolean,
  beam: Beam,
  water: WaterLine,
): StrayTerm[] {
  if (t.baseG <= 0) return [{ name: 'nothing to judge by', value: 10 }];
  const out: StrayTerm[] = [];
  // what is stored as free is aimed at nothing, though a relative gives it ranges to be described by
  if (family.id !== 'free') {
    for (const m of measures) {
      const d = outside(pctOf(t, m), rangeOf(family, m, t));
      if (m === 'salt' && pctOf(t, m) < family.salt[0]) continue;
      out.push({ name: m, value: m === 'water' ? waterOutside(t, water, family) : d });
    }
    out.push({ name: 'beam', value: Math.max(0, Math.abs(beam.lean) - LEAN_USUAL) / 2 });
    out.push({ name: 'lift', value: outside(lift.mmolPer100gBase.typical, lift.target) });
  }
  const step = masked ? LEFT_SODA_STEPS.soapy : LEFT_SODA_STEPS.unusualPlain;
  out.push({ name: 'soda left over', value: Math.max(0, ledger.leftSodaGPer100gBatter.typical - step) / 0.2 });
  return out;
}

export const strayOf = (...of: Parameters<typeof strayTerms>): number =>
  strayTerms(...of).reduce((s, { value }) => s + value, 0);
