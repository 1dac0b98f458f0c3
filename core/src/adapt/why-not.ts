import { aFamily, familyOf } from '../balance/families.js';
import { heldAgainst } from '../balance/held.js';
import { nearestFamily } from '../plausible/kinship.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { bowlOf, type Bowl } from './bowl.js';
import { conflictOf } from './conflict.js';
import { conflict } from './faults.js';
import type { Limits, Solver } from './linear.js';
import { proposalOf } from './proposal.js';
import { search, type Found, type Searched } from './search.js';
import { FEWEST, NEAREST, TRIFLE } from './settings.js';
import type { Conflict, Proposal, Request, Wish } from './types.js';
import { missOf } from './wishes.js';

/** What was asked of which formula. */
interface Asking {
  readonly start: Weighed;
}

/** Why there is nothing to propose: which wishes, locks and bands stand against each other, and how near it can be had. */
export function whyNot(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  hunt: Asking,
  found: Searched,
  solver: Solver,
  limits: Limits,
): Conflict {
  if (found.kind === 'limit')
    return conflict(
      'limit',
      `The search was stopped after ${limits.maxNodes} steps before it found anything that holds. Ask for less at once, or lock fewer lines.`,
    );
  const wishes = asked.wishes ?? [];
  const bowl = bowlOf(formula, asked, kitchen, wishes.filter(firm));
  const near = search(
    bowl,
    {
      wishes: wishes.filter((w) => !firm(w)),
      weights: FEWEST,
      maxStray: hunt.start.stray + TRIFLE,
      bending: 60,
    },
    solver,
    limits,
  );
  const nearest =
    near.kind === 'found' &&
    near.touched.length > 0 &&
    near.weighed.stray <= hunt.start.stray + TRIFLE &&
    nearer(wishes, hunt.start, near.weighed, kitchen)
      ? proposalOf('possible', formula, bowl, near, asked)
      : null;
  const named = conflictOf(formula, asked, kitchen, solver, limits);
  const unbound = withoutBands(formula, asked, kitchen, solver, limits);
  const anyway = unbound && proposalOf('anyway', formula, unbound.bowl, unbound.found, asked);
  const withAll = (c: Conflict): Conflict => ({ ...c, ...(anyway && { anyway }) });
  if (named.length === 0)
    return withAll(
      conflict(
        'cannot',
        anyway
          ? 'That goes beyond what such a bake usually is.'
          : 'That cannot be had in steps that can be measured; ask for a little less of it.',
        [],
        nearest,
      ),
    );
  const locked = named.every((n) => n.index === null && n.itemId !== undefined);
  const list = named.map((n) => n.words);
  const words = locked
    ? `With ${listed(list)}, nothing that is left can put it right.`
    : named.length === 1
      ? `This cannot be had: ${list[0]}.`
      : `These cannot be had together: ${listed(list)}.`;
  // what only the family forbids can be had as a bake of another kind
  const band = named.some((n) => n.band !== undefined);
  const other = band && unbound ? asAnother(formula, asked, kitchen, unbound) : null;
  return withAll(conflict(locked ? 'locked' : 'wishes', words, named, other ?? nearest));
}

/** The wishes met with neither a family's bands nor what it has of sugar, fat and egg in the way; null where they stand against each other. */
function withoutBands(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  solver: Solver,
  limits: Limits,
): { readonly bowl: Bowl; readonly found: Found } | null {
  const wishes = asked.wishes ?? [];
  const own = bowlOf(formula, asked, kitchen, wishes);
  const bowl = { ...own, family: familyOf('free'), keeps: { ...own.keeps, figures: [] } };
  const found = search(bowl, { wishes, weights: NEAREST }, solver, limits);
  return found.kind === 'found' && found.met ? { bowl, found } : null;
}

/** Whether it comes nearer to what is wished of the whole: what only moves lines to and fro is no answer. */
function nearer(wishes: readonly Wish[], was: Weighed, is: Weighed, kitchen: Kitchen): boolean {
  const before = wishes.map((w) => missOf(w, was, kitchen));
  const after = wishes.map((w) => missOf(w, is, kitchen));
  return before.every((b) => b === 0) || before.some((b, i) => b > 0 && (after[i] ?? 0) < 0.8 * b);
}

/** What is to be exactly so is so in the nearest too; shares and textures bend. */
const firm = (w: Wish): boolean =>
  w.kind === 'hold' || (w.kind === 'amount' && w.minG !== undefined && w.minG === w.maxG);

/** The same as a bake of another family, where one then suits the formula; null when none does. */
function asAnother(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  { bowl, found }: NonNullable<ReturnType<typeof withoutBands>>,
): Proposal | null {
  const held = heldAgainst(found.formula, found.weighed, kitchen);
  const { nearest } = nearestFamily(formula.family, held?.kin ?? []);
  if (nearest === formula.family || nearest === 'free') return null;
  const family = familyOf(nearest);
  const now: Formula = { ...found.formula, family: nearest };
  if (weigh(now, kitchen).stray > TRIFLE) return null;
  const p = proposalOf('possible', formula, bowl, found, asked, { title: `As ${aFamily(family)}`, formula: now });
  return {
    ...p,
    lines: [
      ...p.lines,
      {
        id: 'family',
        kind: 'family',
        name: 'Family',
        fromG: 0,
        toG: 0,
        words: `judge it as ${aFamily(family)}`,
        reason: 'that is what it then is, by its figures',
      },
    ],
  };
}

/** Wishes in one sentence: `a; b; and c`. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join('; ')}; and ${names.at(-1)}`;
