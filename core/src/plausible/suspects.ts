import type { Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import { powderTypeOf } from '../leavening/parts.js';
import { powderKind } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { fits, measureOf, spanOf, type Judged } from './judge.js';
import { slips, type Slip } from './slips.js';
import { roleOf, sumsOf, type SuspectRole } from './sums.js';
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

/** What comes in where a role is missing, and grams of the role's measure in a gram of it. */
const COMES_IN: Readonly<Record<SuspectRole, { readonly ingredient: string; readonly perG: number }>> = {
  flour: { ingredient: 'plain-flour', perG: 1 },
  liquid: { ingredient: 'milk', perG: 0.88 },
  fat: { ingredient: 'butter', perG: 0.81 },
  sugar: { ingredient: 'white-sugar', perG: 1 },
  egg: { ingredient: 'egg', perG: 1 },
  leavener: { ingredient: 'baking-powder', perG: 3.45 },
  salt: { ingredient: 'salt', perG: 1 },
};

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
      const rest = sumsOf(
        lines.filter((l) => roleOf(l) !== role),
        kitchen,
      );
      return figures(all).gas - figures({ ...rest, flour: all.flour, nut: all.nut, cocoa: all.cocoa }).gas;
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
function fitting(role: SuspectRole, lines: readonly Line[], j: Judged, kitchen: Kitchen | undefined): number {
  const m = measureOf[role];
  const { usual, is } = spanOf(j.expected[m], m);
  if (role === 'flour') return is > 0 ? usual / is : 1;
  const mine = broughtBy(role, lines, kitchen);
  return mine > 0 ? Math.max(0, (usual - (is - mine)) / mine) : 1;
}

/** The likeliest slip of a role: by the odds, and of leaveners by which, undone, leaves gas, soda and acid as expected. */
function likelySlip(role: SuspectRole, j: Judged, lines: readonly Line[], kitchen: Kitchen | undefined): Slip {
  const mine = slips
    .map((slip, i) => ({ slip, odds: j.told.slips[i] as number }))
    .filter(({ slip }) => slip.role === role);
  const best = (x: readonly { slip: Slip; odds: number }[]): Slip =>
    [...x].sort((a, b) => b.odds - a.odds)[0]?.slip as Slip;
  if (role !== 'leavener' || !lines.some((l) => roleOf(l) === role && l.grams > 0)) return best(mine);
  const held: readonly Measured[] = ['gas', 'leftSoda', 'leftAcid', 'soda', 'powder'];
  return best(
    mine
      .filter(({ slip }) => slip.kind !== 'missing' && lines.some((l) => isOf(slip, l)))
      .map(({ slip }) => {
        const was = figures(sumsOf(undone(lines, slip), kitchen));
        const off = held.map((m) => (toLog(m, was[m]) - j.expected[m].mean) / j.expected[m].spread);
        // with the tails of a t of five degrees, as in the fit
        const odds = Math.log(slip.often) - 3 * off.reduce((sum, z) => sum + Math.log(1 + (z * z) / 5), 0);
        return { slip, odds };
      }),
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

const SPOONS = /^(?:tsp|tbsp|teaspoon|tablespoon)/;

/** The suspects, likeliest first: at most one of each role. */
export function suspectsOf(j: Judged, lines: readonly Line[], kitchen?: Kitchen): Suspect[] {
  const first = j.told.roles[j.ranked[0] as SuspectRole];
  const flour = flourOf(sumsOf(lines, kitchen));
  const all = j.ranked.slice(0, MOST).map((role): Suspect => {
    const gain = j.told.roles[role];
    const near = first - gain <= BESIDE;
    const sure: Sure = !near || j.typical > NAMED ? 'hint' : j.typical <= PLAIN ? 'plain' : 'likely';
    const slip = likelySlip(role, j, lines, kitchen);
    const line = lineOf(slip, lines) ?? lineOf({ ...slip, only: undefined }, lines);
    const m = measureOf[role];
    if (slip.kind === 'name' && line) {
      const soda = line.ingredient.leavener === 'soda';
      return {
        itemId: line.item.id, role, slip: 'name', factor: 1, likelyG: line.grams,
        likely: soda ? 'baking-powder' : 'baking-soda', gain, sure,
      }; // prettier-ignore
    }
    if (!line) {
      const { ingredient, perG } = COMES_IN[role];
      const per = role === 'leavener' ? gasMmolPerG(powderKind(powderTypeOf(catalogueRow(ingredient), kitchen))) : perG;
      const { usual, is } = spanOf(j.expected[m], m);
      const likelyG = (Math.max(0, usual - is) * flour) / 100 / per;
      return { role, slip: 'missing', factor: 0, likelyG, likely: ingredient, gain, sure };
    }
    const k = fitting(role, lines, j, kitchen);
    // the round slip where it explains all, else what the rest expects
    const undone = slip.factor > 0 ? 1 / slip.factor : k;
    const { is } = spanOf(j.expected[m], m);
    const mine = role === 'flour' ? is : broughtBy(role, lines, kitchen);
    const round = slip.factor > 0 && fits(j.expected[m], m, is + (undone - 1) * mine);
    const by = round ? undone : k;
    const entered = line.item.entered;
    const spoons =
      entered !== null && SPOONS.test(entered.unit) && round && (slip.factor === 3 || slip.factor === 1 / 3);
    const twice =
      round && slip.factor === 2 &&
      lines.some((l) => l !== line && l.ingredient.id === line.ingredient.id && Math.abs(l.grams / line.grams - 1) < 0.02); // prettier-ignore
    return {
      itemId: line.item.id,
      role,
      slip: twice ? 'twice' : spoons ? 'unit' : 'times',
      factor: by > 0 ? 1 / by : 0,
      likelyG: line.grams * by,
      gain,
      sure,
    };
  });
  // what hardly differs from what stands there is no suspect, and as a hint says nothing
  return all
    .map((s) => (tells(s) ? s : { ...s, sure: 'hint' as const }))
    .filter((s, n) => n === 0 || s.sure !== 'hint' || (s.gain > FAR_FETCHED && tells(s)));
}

/** How many roles are looked at: one line is wrong, and a baker asks for a few at most. */
const MOST = 4;

/** Log odds below which a hint is not worth a thought. */
const FAR_FETCHED = -8;
const tells = (s: Suspect): boolean =>
  s.slip === 'name' || (s.slip === 'missing' ? s.likelyG > 0.5 : Math.abs(Math.log(Math.max(1e-3, s.factor))) > 0.16);
