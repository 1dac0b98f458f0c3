import type { Ingredient, Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import { powderTypeOf } from '../leavening/parts.js';
import { units } from '../quantity/units.js';
import { powderKind, SODA_G_PER_MOL } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { fits, measureOf, spanOf, type Judged } from './judge.js';
import { slips, type Slip } from './slips.js';
import { roleOf, sumsOf, type Sums, type SuspectRole } from './sums.js';
import { figures, flourOf, toLog, type Measured } from './view.js';

/** A hint is for whoever asks; likely and plain ones are verdicts. */
export type Sure = 'hint' | 'likely' | 'plain';

/** One line, or one thing that is missing, which if it were otherwise would make the rest ordinary. */
export interface Suspect {
  /** The line, where there is one. */
  readonly itemId?: string;
  readonly role: SuspectRole;
  readonly slip: 'times' | 'missing' | 'unit' | 'name' | 'twice';
  /** What stands there over what was likely meant; 0 where it is missing. */
  readonly factor: number;
  /** Grams of the line that fit the rest; of something usual for it where it is missing. */
  readonly likelyG: number;
  /** What it is made with when it comes in anew or under another name. */
  readonly likely?: string;
  /** One of the things that soda without acid may have been meant to be. */
  readonly acid?: true;
  /** Log odds of this against nothing being wrong. */
  readonly gain: number;
  readonly sure: Sure;
}

/**
 * Shares of ordinary formulas that may look odder, for a suspect to be named at all and to be called plain. The first is
 * the false alarms that are accepted; docs/science/plausibility.md has what each finds.
 */
export const NAMED = 0.07;
export const PLAIN = 0.02;
/** A second suspect is named beside the first when it is so much less likely at most (log odds). */
const BESIDE = 0.7;

/** What comes in where a role is missing; in a batter without anything of milk, what has none either. */
const COMES_IN: Readonly<Record<SuspectRole, readonly [usual: string, withoutMilk?: string]>> = {
  flour: ['plain-flour'],
  liquid: ['milk', 'water'],
  fat: ['butter', 'neutral-oil'],
  sugar: ['white-sugar'],
  egg: ['egg'],
  leavener: ['baking-powder'],
  salt: ['salt'],
};

/** How much of its role's measure a gram of an ingredient brings, g. */
function perGram(role: SuspectRole, i: Ingredient): number {
  const part = { fat: i.per100.fat, liquid: i.per100.water, sugar: i.per100.sugar };
  return role in part ? part[role as keyof typeof part] / 100 : 1;
}

/** What is missing, with as much of it as the rest leads one to expect. */
function missing(
  role: SuspectRole,
  j: Judged,
  lines: readonly Line[],
  kitchen: Kitchen | undefined,
): Pick<Suspect, 'likelyG' | 'likely'> {
  const s = sumsOf(lines, kitchen);
  const [usually, otherwise] = COMES_IN[role];
  const likely = s.milky > 0 ? usually : (otherwise ?? usually);
  const { usual, is } = spanOf(j.expected[measureOf[role]], measureOf[role]);
  if (role === 'leavener') return missingLeavener(j, lines, s, Math.max(0, usual - is), kitchen);
  return { likely, likelyG: (Math.max(0, usual - is) * flourOf(s)) / 100 / perGram(role, catalogueRow(likely)) };
}

/** Powder for the lift that is expected, or soda for the soda that is: whichever leaves gas, soda and acid more as expected. */
function missingLeavener(
  j: Judged,
  lines: readonly Line[],
  s: Sums,
  gas: number,
  kitchen: Kitchen | undefined,
): Pick<Suspect, 'likelyG' | 'likely'> {
  const base = ((flourOf(s) + s.cocoa) * s.thin) / 100;
  const powder = catalogueRow('baking-powder');
  const soda = catalogueRow('baking-soda');
  const perGramOf = gasMmolPerG(powderKind(powderTypeOf(powder, kitchen)));
  const ways = [
    { ingredient: powder, grams: (gas * base) / perGramOf },
    { ingredient: soda, grams: (spanOf(j.expected.soda, 'soda').usual * base * SODA_G_PER_MOL) / 1000 },
  ];
  const [best] = ways
    .map(({ ingredient, grams }) => {
      const item = { id: '', ingredient: ingredient.id, words: '', entered: null, grams };
      return { likely: ingredient.id, likelyG: grams, odds: leavenedAs([...lines, { item, ingredient, grams, whole: false }], j, kitchen) }; // prettier-ignore
    })
    .sort((a, b) => b.odds - a.odds);
  return { likely: best?.likely, likelyG: best?.likelyG ?? 0 };
}

/** What a role's lines bring of its own measure, in its own unit (% of flour; mmol to 100 of flour and cocoa). */
function broughtBy(role: SuspectRole, lines: readonly Line[], kitchen: Kitchen | undefined): number {
  const all = sumsOf(lines, kitchen);
  const mine = sumsOf(
    lines.filter((l) => roleOf(l) === role),
    kitchen,
  );
  const flour = flourOf(all);
  switch (role) {
    case 'flour':
      return flour;
    case 'leavener': {
      const rest = lines.filter((l) => roleOf(l) !== role);
      return figures(all).gas - figures({ ...all, gas: sumsOf(rest, kitchen).gas }).gas;
    }
    case 'liquid':
      return (100 * mine.water) / flour;
    default:
      return (100 * mine[role]) / flour;
  }
}

/** Whether a line is one that a slip is about, as it stands: powder that is called soda stands there as soda. */
function isOf(slip: Slip, l: Line): boolean {
  if (roleOf(l) !== slip.role || l.grams <= 0) return false;
  if (slip.only === undefined) return true;
  return (l.ingredient.leavener === slip.only) !== (slip.kind === 'name');
}

/** The line that a slip of a role is in: the largest of what the slip is about. */
const lineOf = (slip: Slip, lines: readonly Line[]): Line | undefined =>
  lines.filter((l) => isOf(slip, l)).sort((a, b) => weightOf(b) - weightOf(a))[0];
/** Soda counts for more than three times its weight in powder. */
const weightOf = (l: Line): number => l.grams * (l.ingredient.leavener === 'soda' ? 3.4 : 1);

/** Factor by which a role's lines would have to change for its measure to be what the rest expects. */
function fitting(
  role: SuspectRole,
  line: Line,
  lines: readonly Line[],
  j: Judged,
  kitchen: Kitchen | undefined,
): number {
  const m = measureOf[role];
  const { usual, is } = spanOf(j.expected[m], m);
  if (role === 'flour') return is > 0 ? usual / is : 1;
  if (role === 'leavener') return fittingLeavener(line, lines, j, kitchen);
  const mine = broughtBy(role, lines, kitchen);
  return mine > 0 ? Math.max(0, (usual - (is - mine)) / mine) : 1;
}

/** The same of one leavener, by gas, soda and acid together: soda beyond its acid brings no gas, and is too much all the same. */
function fittingLeavener(line: Line, lines: readonly Line[], j: Judged, kitchen: Kitchen | undefined): number {
  const tries = Array.from({ length: 29 }, (_, i) => 2 ** ((i - 16) / 4));
  const odds = tries.map((k) =>
    leavenedAs(lines.map((l) => (l === line ? { ...l, grams: k * l.grams } : l)), j, kitchen),
  ); // prettier-ignore
  return tries[odds.indexOf(Math.max(...odds))] as number;
}

/** How well a formula's gas, soda and acid are as the rest expects, in log odds; with the tails of a t of five degrees, as in the fit. */
function leavenedAs(lines: readonly Line[], j: Judged, kitchen: Kitchen | undefined): number {
  const was = figures(sumsOf(lines, kitchen));
  const off = LEAVENED.map((m) => (toLog(m, was[m]) - j.expected[m].mean) / j.expected[m].spread);
  return -3 * off.reduce((sum, z) => sum + Math.log(1 + (z * z) / 5), 0);
}
const LEAVENED: readonly Measured[] = ['gas', 'leftSoda', 'leftAcid', 'soda', 'powder'];

/** How much how often a slip is made counts beside what it leaves, where one leavener is told from another. Judgement. */
const OFTEN = 0.4;

/** The likeliest slip of a role: by the odds, and of leaveners by which, undone, leaves gas, soda and acid as expected. */
function likelySlip(role: SuspectRole, j: Judged, lines: readonly Line[], kitchen: Kitchen | undefined): Slip {
  const mine = slips
    .map((slip, i) => ({ slip, odds: j.told.slips[i] as number }))
    .filter(({ slip }) => slip.role === role);
  const best = (x: readonly { slip: Slip; odds: number }[]): Slip =>
    [...x].sort((a, b) => b.odds - a.odds)[0]?.slip as Slip;
  if (role !== 'leavener' || !lines.some((l) => roleOf(l) === role && l.grams > 0)) return best(mine);
  return best(
    mine
      .filter(({ slip }) => slip.kind !== 'missing' && lines.some((l) => isOf(slip, l)))
      .map(({ slip }) => ({ slip, odds: OFTEN * Math.log(slip.often) + leavenedAs(undone(lines, slip), j, kitchen) })),
  );
}

/** The lines as they would be without a slip. */
const undone = (lines: readonly Line[], slip: Slip): Line[] =>
  lines.map((l) => {
    if (!isOf(slip, l)) return l;
    return slip.kind === 'name'
      ? { ...l, ingredient: catalogueRow(slip.only === 'powder' ? 'baking-powder' : 'baking-soda') }
      : { ...l, grams: l.grams / slip.factor };
  });

/**
 * The line under the other leavener's name: as many spoons of it, or the same weight where it was weighed; where that lifts
 * less or more than eight in ten do, as much as fits.
 */
export function renamed(
  line: Line,
  lines: readonly Line[],
  j: Judged,
  kitchen: Kitchen | undefined,
): Pick<Suspect, 'likelyG' | 'likely'> {
  const likely = line.ingredient.leavener === 'soda' ? 'baking-powder' : 'baking-soda';
  const ingredient = catalogueRow(likely);
  const spooned = units.find((u) => u.id === line.item.entered?.unit)?.dimension === 'volume';
  const same = spooned ? (line.grams * ingredient.gPerMl) / line.ingredient.gPerMl : line.grams;
  const as = { ...line, ingredient, grams: same };
  const then = lines.map((l) => (l === line ? as : l));
  const { gas } = figures(sumsOf(then, kitchen));
  return { likely, likelyG: fits(j.expected.gas, 'gas', gas) ? same : same * fittingLeavener(as, then, j, kitchen) };
}

/** Of the flour, below which leavener is no more than a trace: a twentieth of what cakes have. Judgement. */
const TRACE_OF_LEAVENER = 0.0025;

/** What stands there is not said to be more times what fits than this: of a pinch too much any number would do. */
const MOST_TIMES = 100;

/** A spoon of the other size is so common a slip that what it leads to may lie wider off than what is expected, in spreads. */
const SPOON_WITHIN = 2.5;
/** What a line in spoons would be times in spoons of the other size, where that is the way it is off; else null. */
function anotherSpoon({ item }: Line, by: number): number | null {
  if (item.entered?.unit === 'tbsp' && by < 0.6) return 1 / 3;
  return item.entered?.unit === 'tsp' && by > 2 ? 3 : null;
}
/** The batter's flour with no other line of a role than this one. */
const only = (lines: readonly Line[], line: Line): Line[] =>
  lines.filter((l) => l === line || roleOf(l) !== roleOf(line));

const isTwice = (line: Line, lines: readonly Line[]): boolean =>
  lines.some((l) => l !== line && l.ingredient.id === line.ingredient.id && Math.abs(l.grams / line.grams - 1) < 0.02);

/** What would put a role's line right, if the slip is in it. */
function mended(
  role: SuspectRole,
  j: Judged,
  lines: readonly Line[],
  kitchen?: Kitchen,
): Omit<Suspect, 'gain' | 'sure'> {
  const slip = likelySlip(role, j, lines, kitchen);
  const line = lineOf(slip, lines) ?? lineOf({ ...slip, only: undefined }, lines);
  if (!line) return { role, slip: 'missing', factor: 0, ...missing(role, j, lines, kitchen) };
  const itemId = line.item.id;
  if (slip.kind === 'name') return { itemId, role, slip: 'name', factor: 1, ...renamed(line, lines, j, kitchen) };
  const m = measureOf[role];
  const { is } = spanOf(j.expected[m], m);
  const mine = role === 'flour' ? is : broughtBy(role, lines, kitchen);
  const back = 1 / slip.factor;
  // the round slip where it explains all, else what the rest expects
  const round = slip.factor > 0 && fits(j.expected[m], m, is + (back - 1) * mine);
  // a trace of leavener is none: what is missing is told by the gas
  const trace = role === 'leavener' && line.grams < TRACE_OF_LEAVENER * flourOf(sumsOf(lines, kitchen));
  const anew = trace ? missing(role, j, lines, kitchen) : null;
  const whole = anew && anew.likely === line.ingredient.id ? anew.likelyG / line.grams : null;
  const by = whole ?? (round ? back : fitting(role, line, lines, j, kitchen));
  const factor = by > 0 ? Math.min(1 / by, MOST_TIMES) : 0;
  const spoon = anotherSpoon(line, by);
  if (spoon !== null) {
    const meant =
      is + (spoon - 1) * (role === 'leavener' || role === 'salt' ? broughtBy(role, only(lines, line), kitchen) : mine);
    if (fits(j.expected[m], m, meant, SPOON_WITHIN))
      return { itemId, role, slip: 'unit', factor: 1 / spoon, likelyG: line.grams * spoon };
  }
  const kind = round && slip.factor === 2 && isTwice(line, lines) ? 'twice' : 'times';
  return { itemId, role, slip: kind, factor, likelyG: line.grams * by };
}

/** The suspects, likeliest first: at most one of each role. */
export function suspectsOf(j: Judged, lines: readonly Line[], kitchen?: Kitchen): Suspect[] {
  const first = j.told.roles[j.ranked[0] as SuspectRole];
  const loud: Sure = j.typicalByAmounts <= PLAIN ? 'plain' : j.typicalByAmounts <= NAMED ? 'likely' : 'hint';
  return (
    j.ranked
      .slice(0, MOST)
      .map((role): Suspect => {
        const gain = j.told.roles[role];
        const s = { ...mended(role, j, lines, kitchen), gain };
        // what hardly differs from what stands there is no suspect
        return { ...s, sure: first - gain <= BESIDE && matters(s, lines) ? loud : 'hint' };
      })
      // and as a hint says nothing
      .filter((s, n) => n === 0 || s.sure !== 'hint' || (s.gain > FAR_FETCHED && matters(s, lines)))
  );
}

/** How many roles are looked at: one line is wrong, and a baker asks for a few at most. */
const MOST = 4;

/** Salt, g in 100 g of batter, below which nobody tastes too much of it: cakes have 0.3 to 0.6, breads 1.1. Judgement. */
const SALTY = 0.9;
/** Whether it is said to be too much salt where nobody would taste it. */
export function isBland({ role, factor }: Pick<Suspect, 'role' | 'factor'>, lines: readonly Line[]): boolean {
  if (role !== 'salt' || factor <= 1) return false;
  const s = sumsOf(lines);
  return s.salt < (SALTY * s.batter) / 100;
}

/** Whether so little is missing that it is not worth a word. */
export const isTrace = (s: Pick<Suspect, 'slip' | 'role' | 'likelyG'>, lines: readonly Line[]): boolean =>
  s.slip === 'missing' && s.likelyG < TRACE[s.role] * flourOf(sumsOf(lines));

/** Of what is missing, less than this share of the flour is not worth a word: a teaspoon of egg, a pinch of powder. Judgement. */
const TRACE: Readonly<Record<SuspectRole, number>> = {
  flour: 0.1,
  liquid: 0.06,
  fat: 0.04,
  sugar: 0.05,
  egg: 0.08,
  leavener: 0.004,
  salt: 0.002,
};

/** Whether a suspect says anything to a baker: it differs from what stands there, by more than a trace, and one would taste it. */
export const matters = (s: Omit<Suspect, 'gain' | 'sure'>, lines: readonly Line[]): boolean =>
  tells(s) && !isTrace(s, lines) && !isBland(s, lines);

/** Log odds below which a hint is not worth a thought. */
const FAR_FETCHED = -8;
/** Whether what fits differs from what stands there by more than a seventh: less is the same to a baker. */
export const tells = (s: Pick<Suspect, 'slip' | 'factor' | 'likelyG'>): boolean =>
  s.slip === 'name' || (s.slip === 'missing' ? s.likelyG > 0.5 : Math.abs(Math.log(Math.max(1e-3, s.factor))) > 0.16);
