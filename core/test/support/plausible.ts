import type { Fitted } from '../../src/plausible/expect.js';
import type { Telling } from '../../src/plausible/fit.js';
import type { Ordinary } from '../../src/plausible/formulas.js';
import { learnExpected, learnTelling, seenBy, type Learned, type Seen } from '../../src/plausible/learn.js';
import type { Weights } from '../../src/plausible/model.js';
import { pack } from '../../src/plausible/packed.js';
import { roles } from '../../src/plausible/sums.js';
import { tell, type Told } from '../../src/plausible/tell.js';
import { measures, type Measured } from '../../src/plausible/view.js';

function hashed(words: string, parts: number): number {
  let h = 2166136261;
  for (const c of words) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return ((h ^ (h >>> 15)) >>> 0) % parts;
}
/** The part of so many that a formula belongs to, by what it is called: it does not change when others come in. */
export const partOf = (f: Ordinary, parts: number): number => hashed(f.id, parts);
/** The same by its country, so that no part has formulas of a country that another has. */
export const partByCountry = (f: Ordinary, parts: number): number => hashed(f.country.toLowerCase(), parts);

export interface Judgement extends Seen {
  readonly told: Told;
}

/**
 * Every formula, as it is and with each slip, judged by models that saw neither it nor slips in it.
 * Formulas written with others in view take no part; those that were written with neither in view (`beside`)
 * do, and are no figure of how others are judged.
 * @returns as it is told; and as weighed, without what is known of how it is worked, as one that comes as amounts alone
 */
export function crossValidated(
  all: readonly Ordinary[],
  part = partOf,
  parts = 10,
  tellings = 5,
): { readonly told: Judgement[]; readonly asWeighed: Judgement[] } {
  const blind = all.filter((f) => !f.since || f.beside);
  const learned = Array.from({ length: parts }, (_, p) => learnExpected(blind.filter((f) => part(f, parts) !== p)));
  const mine = (p: number): Ordinary[] => blind.filter((f) => part(f, parts) === p);
  const seen = learned.map((l, p) => seenBy(l, mine(p)));
  const bare = learned.map((l, p) => seenBy(l, mine(p), true));
  const each = Array.from({ length: tellings }, (_, q) => {
    const telling = learnTelling(seen.filter((_, p) => p % tellings !== q).flat());
    const judge = (of: readonly Seen[][]): Judgement[] =>
      judgedBy(telling, of.filter((_, p) => p % tellings === q).flat());
    return { told: judge(seen), asWeighed: judge(bare) };
  });
  return { told: each.flatMap((e) => e.told), asWeighed: each.flatMap((e) => e.asWeighed) };
}

export const judgedBy = (telling: Telling, seen: readonly Seen[]): Judgement[] =>
  seen.map((s) => ({ ...s, told: tell(s.clues, telling) }));

const packFitted = ({ mean, sd, miss, alpha, misses }: Fitted): Weights['expected'][Measured] => ({
  mean, sd, miss, alpha: pack(alpha), misses: pack(misses),
}); // prettier-ignore

/** What weights.ts holds: fitted to all, with the odds that ordinary formulas have when the others judge them. */
export function weightsOf({ fitted }: Learned, telling: Telling, judged: readonly Judgement[]): Weights {
  const odds = judged
    .filter((j) => j.slip === null)
    .map((j) => j.told.any)
    .sort((a, b) => b - a);
  return {
    expected: Object.fromEntries(measures.map((m) => [m, packFitted(fitted[m])])) as Weights['expected'],
    telling: {
      clues: telling.sd.length - 1,
      sd: pack(telling.sd),
      rows: pack(telling.rows),
    },
    odds: Array.from({ length: 101 }, (_, i) =>
      Number((odds[Math.min(odds.length - 1, Math.round((i / 100) * (odds.length - 1)))] as number).toFixed(3)),
    ),
  };
}

/** Slips that bakers make most, for the share that is found; the others are in the fit, and are not counted here. */
export const common = (j: Judgement): boolean => j.slip !== null && j.slip.often >= 0.8;
/** A role forgotten, leavener three times, powder called soda. */
export const gross = (j: Judgement): boolean => j.slip !== null && j.slip.often > 2;

export interface Shares {
  readonly falseAlarms: number;
  readonly found: number;
  readonly foundGross: number;
}

/** Log odds of any slip above which so large a share of the ordinary formulas lies. */
export function oddnessAt(judged: readonly Judgement[], falseAlarms: number): number {
  const ordinary = judged
    .filter((j) => j.slip === null)
    .map((j) => j.told.any)
    .sort((a, b) => b - a);
  return ordinary[Math.floor(falseAlarms * ordinary.length)] as number;
}

/** What is found when so large a share of the ordinary formulas is alarmed. */
export function sharesAt(judged: readonly Judgement[], falseAlarms: number): Shares {
  const from = oddnessAt(judged, falseAlarms);
  const share = (of: readonly Judgement[]): number =>
    of.filter((j) => j.told.any > from).length / Math.max(1, of.length);
  const slipped = judged.filter((j) => j.formula.families[0] !== 'free');
  return { falseAlarms, found: share(slipped.filter(common)), foundGross: share(slipped.filter(gross)) };
}

/** Share of slips whose role is the first suspect, and among the first three. */
export function namedRightly(judged: readonly Judgement[], which = common): { first: number; three: number } {
  const slipped = judged.filter((j) => which(j) && j.formula.families[0] !== 'free');
  const rank = (j: Judgement): number =>
    [...roles].sort((a, b) => j.told.roles[b] - j.told.roles[a]).indexOf(j.slip?.role ?? 'flour');
  const within = (n: number): number => slipped.filter((j) => rank(j) < n).length / Math.max(1, slipped.length);
  return { first: within(1), three: within(3) };
}
