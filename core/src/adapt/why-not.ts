import { aFamily, familyOf } from '../balance/families.js';
import { heldAgainst } from '../balance/held.js';
import { nearestFamily } from '../plausible/kinship.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { bowlOf } from './bowl.js';
import { conflictOf } from './conflict.js';
import { conflict } from './faults.js';
import type { Limits, Solver } from './linear.js';
import { proposalOf, shortName } from './proposal.js';
import { search, type Searched } from './search.js';
import { FEWEST, HAIR, NEAREST, TRIFLE } from './settings.js';
import type { Conflict, NamedWish, Proposal, Request } from './types.js';

/** What was asked of which formula. */
interface Asking {
  readonly start: Weighed;
  /** Something is wished for that is not there, rather than only to be put right. */
  readonly aimed: boolean;
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
  const bowl = bowlOf(
    formula,
    asked,
    kitchen,
    wishes.filter((w) => w.kind === 'hold'),
  );
  const near = search(
    bowl,
    { wishes: wishes.filter((w) => w.kind !== 'hold'), weights: FEWEST, maxMerit: hunt.start.merit, bending: 60 },
    solver,
    limits,
  );
  const nearest =
    near.kind === 'found' && near.touched.length > 0 && near.weighed.merit <= hunt.start.merit + HAIR
      ? proposalOf('possible', formula, bowl, near, asked)
      : null;
  const named = hunt.aimed
    ? conflictOf(formula, asked, kitchen, solver, limits)
    : lockedOut(formula, asked, kitchen, hunt, solver, limits);
  if (named.length === 0)
    return conflict(
      'cannot',
      hunt.aimed
        ? 'That cannot be had in steps that can be measured; ask for a little less of it.'
        : `No change that can be measured makes it better than it is as ${familyOf(formula.family).name}.`,
      [],
      nearest,
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
  const other = band ? asAnother(formula, asked, kitchen, solver, limits) : null;
  return conflict(locked ? 'locked' : 'wishes', words, named, other ?? nearest);
}

/** The wishes met with no family's bands in the way, where another family then suits the formula; null when none does. */
function asAnother(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  solver: Solver,
  limits: Limits,
): Proposal | null {
  const wishes = asked.wishes ?? [];
  const bowl = { ...bowlOf(formula, asked, kitchen, wishes), family: familyOf('free') };
  const found = search(bowl, { wishes, weights: NEAREST }, solver, limits);
  if (found.kind !== 'found' || !found.met) return null;
  const held = heldAgainst(found.formula, found.weighed, kitchen);
  const { nearest } = nearestFamily(formula.family, held?.kin ?? []);
  if (nearest === formula.family || nearest === 'free') return null;
  const family = familyOf(nearest);
  const now: Formula = { ...found.formula, family: nearest };
  if (weigh(now, kitchen).merit > TRIFLE) return null;
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

/** The fewest locks that stand in the way of any betterment. */
function lockedOut(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  hunt: Asking,
  solver: Solver,
  limits: Limits,
): NamedWish[] {
  const locks = [
    ...(asked.locked ?? []).map((itemId) => ({ itemId, index: null as number | null })),
    ...(asked.wishes ?? []).flatMap((w, index) =>
      w.kind === 'hold' || w.kind === 'amount' || w.kind === 'have'
        ? [{ itemId: w.kind === 'have' ? '' : w.itemId, index }]
        : [],
    ),
  ];
  if (locks.length === 0) return [];
  const helps = (open: readonly (typeof locks)[number][]): boolean => {
    const request: Request = {
      ...asked,
      locked: (asked.locked ?? []).filter((id) => !open.some((o) => o.index === null && o.itemId === id)),
      wishes: (asked.wishes ?? []).filter((_, i) => !open.some((o) => o.index === i)),
    };
    const bowl = bowlOf(formula, request, kitchen, request.wishes ?? []);
    const found = search(bowl, { wishes: request.wishes ?? [], weights: FEWEST }, solver, limits);
    return found.kind === 'found' && found.met && found.weighed.merit < hunt.start.merit - HAIR;
  };
  const name = (l: (typeof locks)[number]): NamedWish => {
    const item = formula.groups.flatMap((g) => g.items).find((i) => i.id === l.itemId);
    const what = item ? shortName(ingredientFor(formula, item, kitchen)) : 'a limit';
    return { index: l.index, ...(l.itemId !== '' && { itemId: l.itemId }), words: `${what} held` };
  };
  for (const l of locks) if (helps([l])) return [name(l)];
  return helps(locks) ? locks.map(name) : [];
}
