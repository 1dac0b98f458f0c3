import { aFamily, familyOf, families } from '../balance/families.js';
import { judgeFamily } from '../balance/infer.js';
import { outside } from '../balance/verdict.js';
import { LIFT_EDGE } from '../balance/verdicts.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { ingredientFor } from '../formula/formula.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { bowlOf, freshId, groupFor, type Bowl } from './bowl.js';
import { conflictOf } from './conflict.js';
import type { Limits, Solver } from './linear.js';
import { distances, type BandRow, type Weights } from './model.js';
import { proposalOf, shortName } from './proposal.js';
import { search, type Found, type Searched, type Terms } from './search.js';
import { solverOf } from './solver.js';
import type { AdaptOptions, Candidate, Conflict, NamedWish, Proposal, ProposalKind, Request, Wish } from './types.js';
import { isMet, pinned, shortOf } from './wishes.js';

/** A merit not worth a change; see `balance/advice.ts`. */
const TRIFLE = 0.03;
/** Merit that cannot be told apart from none. */
const HAIR = 1e-6;

const FEWEST: Weights = { merit: 400, touch: 3, change: 1, character: 1.2 };
const NEAREST: Weights = { merit: 400, touch: 0.6, change: 0.8, character: 6 };

export const limitsOf = (o: AdaptOptions): Limits => ({
  maxNodes: Math.max(1, Math.round(o.maxNodes ?? 4000)),
  gap: o.gap ?? 0.01,
  seed: o.seed ?? 1,
});

/** What is left of a merit once what advice would leave alone is taken off: lift at the very edge of its band. */
function worth(w: Weighed): number {
  const lift = w.family.id === 'free' ? 0 : outside(w.lift.mmolPer100gBase.typical, w.lift.target);
  return w.merit - (lift <= LIFT_EDGE ? lift : 0);
}

export const conflict = (
  why: Conflict['why'],
  words: string,
  wishes: readonly NamedWish[] = [],
  nearest: Proposal | null = null,
): Conflict => ({ kind: 'conflict', why, words, wishes, nearest });

/** What cannot be worked on at all, in words; null when it can. */
export function fault(formula: Formula, request: Request, kitchen: Kitchen): Conflict | null {
  if (!families.some((f) => f.id === formula.family))
    return conflict('no-family', `There is no family "${formula.family}" to judge it by. Choose one on the Bench.`);
  const w = weigh(formula, kitchen);
  if (w.totals.baseG <= 0)
    return conflict(
      'no-flour',
      'No flour: nothing here can set to a crumb, and nothing can be counted against it. Add flour first.',
    );
  if (formula.family === 'free' && (request.wishes ?? []).length === 0 && worth(w) <= TRIFLE)
    return conflict(
      'no-family',
      'No family chosen: there are no ranges to bring it into. Choose a family, or ask for something.',
    );
  return null;
}

/**
 * The smallest changes that make a formula balanced, properly lifted and measurable, under what is fixed, limited or
 * wanted. Up to three proposals, each weighed in full: its merit is strictly lower, or at most equal where it meets a
 * wish that was not met. Empty when nothing needs doing. A conflict, in words, when it cannot be had.
 *
 * @param request wishes, locked lines and lines that may come in; see `adapt/types.ts`
 * @param kitchen its spoons, eggs and scale make the steps; its stock is never exceeded by a line that grows
 * @param options solver, nodes and gap; nothing here depends on time or chance, so results repeat
 */
export async function rebalance(
  formula: Formula,
  request: Request = {},
  kitchen: Kitchen = defaultKitchen,
  options: AdaptOptions = {},
): Promise<Proposal[] | Conflict> {
  const wrong = fault(formula, request, kitchen);
  if (wrong) return wrong;
  const asked = pinned(formula, request, kitchen);
  const start = weigh(formula, kitchen);
  const wishes = asked.wishes ?? [];
  const unmet = wishes.filter((w) => !isMet(w, formula, start, kitchen, formula));
  if (unmet.length === 0 && (asked.out ?? []).length === 0 && worth(start) <= TRIFLE) return [];

  const solver = await solverOf(options);
  const limits = limitsOf(options);
  const stop = async (): Promise<boolean> => (await options.cancelled?.()) === true;
  const aimed = unmet.length > 0 || (asked.out ?? []).length > 0;
  const good = (f: Found): boolean =>
    f.met && (aimed ? f.weighed.merit <= start.merit + HAIR : f.weighed.merit < start.merit - HAIR);

  const hunt = new Hunt(formula, asked, kitchen, start, aimed, solver, limits);
  const first = hunt.best(FEWEST);
  if (await stop()) return conflict('cancelled', 'Stopped before it was done.');
  if (first.found.kind !== 'found' || !good(first.found))
    return whyNot(formula, asked, kitchen, hunt, first.found, solver, limits);

  const out: { kind: ProposalKind; bowl: Bowl; found: Found }[] = [
    { kind: 'fewest', bowl: first.bowl, found: first.found },
  ];
  const offer = (kind: ProposalKind, bowl: Bowl, found: Searched): void => {
    if (found.kind !== 'found' || !good(found)) return;
    // a proposal that leaves more to mend than the first is no alternative
    if (found.weighed.merit > (first.found as Found).weighed.merit + TRIFLE) return;
    if (!out.some((o) => alike(o.found.formula, found.formula))) out.push({ kind, bowl, found });
  };
  offer('nearest', first.bowl, hunt.again(first.bowl, NEAREST));
  if (await stop()) return conflict('cancelled', 'Stopped before it was done.');
  if (
    Object.keys(kitchen.stock).length > 0 &&
    shortOf(formula, kitchen).length > 0 &&
    !wishes.some((w) => w.kind === 'stock')
  ) {
    const withStock: Request = { ...asked, wishes: [...wishes, { kind: 'stock' }] };
    const bowl = bowlOf(formula, withStock, kitchen, withStock.wishes ?? []);
    offer('stock', bowl, hunt.again(bowl, NEAREST, withStock.wishes));
  }
  if (await stop()) return conflict('cancelled', 'Stopped before it was done.');
  if (out.length < 3) {
    const other = hunt.again(
      first.bowl,
      FEWEST,
      wishes,
      out.map((o) => o.found.touched).filter((t) => t.length > 0),
    );
    // another way is worth a thought only when it is not a far longer one
    if (
      other.kind === 'found' &&
      effort(first.bowl, other) <= 1.8 * effort(first.bowl, first.found) + 0.5 &&
      !movesFlour(first.bowl, other, first.found)
    )
      offer('another', first.bowl, other);
  }
  return out.slice(0, 3).map(({ kind, bowl, found }) => proposalOf(kind, formula, bowl, found, asked));
}

/** Everything is counted against the flour, so another way that moves it much is not the same bake. */
function movesFlour(bowl: Bowl, other: Found, than: Found): boolean {
  const flour = (w: Weighed): number => w.totals.flourG;
  const by = (f: Found): number => Math.abs(flour(f.weighed) / Math.max(1, flour(bowl.start)) - 1);
  return by(other) > 0.15 && by(than) < 0.5 * by(other);
}

/** What a solution asks of the baker, by the same reckoning as the programme: lines touched and how far they move. */
const effort = (bowl: Bowl, found: Found): number =>
  bowl.moves.reduce((s, m, i) => {
    const by = Math.abs((found.grams[i] ?? 0) - m.fromG);
    return by < 0.005 ? s : s + m.touch + (m.weight * by) / m.scaleG;
  }, 0);

const alike = (a: Formula, b: Formula): boolean => {
  const items = (f: Formula): string =>
    f.groups.flatMap((g) => g.items.map((i) => `${i.id}:${i.ingredient}:${i.grams.toFixed(2)}`)).join();
  return items(a) === items(b);
};

/** One request's searches: they share the bowl, the limits and what may be brought in. */
class Hunt {
  private readonly outside: ReadonlyMap<BandRow['id'], number>;

  constructor(
    readonly formula: Formula,
    readonly request: Request,
    readonly kitchen: Kitchen,
    readonly start: Weighed,
    readonly aimed: boolean,
    readonly solver: Solver,
    readonly limits: Limits,
  ) {
    this.outside = distances(bowlOf(formula, {}, kitchen, []));
  }

  /** With what is in the formula; where that leaves much to mend, with what it lacks brought in. */
  best(weights: Weights): { bowl: Bowl; found: Searched } {
    const wishes = this.request.wishes ?? [];
    const bowl = bowlOf(this.formula, this.request, this.kitchen, wishes);
    const found = this.again(bowl, weights);
    if (this.request.candidates !== undefined || bowl.moves.every((m) => m.fixedG !== null)) return { bowl, found };
    const left = found.kind === 'found' && found.met ? found.weighed.merit : Infinity;
    if (left <= TRIFLE * 2) return { bowl, found };
    const missing = missingFrom(this.formula, found.kind === 'found' ? found.weighed : this.start, this.kitchen);
    if (missing.length === 0) return { bowl, found };
    const wider = bowlOf(this.formula, { ...this.request, candidates: missing }, this.kitchen, wishes);
    const more = this.again(wider, weights);
    return more.kind === 'found' && more.met && more.weighed.merit < left - TRIFLE
      ? { bowl: wider, found: more }
      : { bowl, found };
  }

  again(
    bowl: Bowl,
    weights: Weights,
    wishes: readonly Wish[] = this.request.wishes ?? [],
    notAgain: readonly (readonly number[])[] = [],
  ): Searched {
    const terms: Terms = {
      wishes: [...wishes, ...this.stockLimits(bowl, wishes)],
      weights,
      notAgain,
      // what is wished for may not be paid for with another figure
      ...(this.aimed && { maxMerit: this.start.merit, bandLimit: this.outside }),
    };
    return search(bowl, terms, this.solver, this.limits);
  }

  /** A line may not grow beyond what the kitchen has of it, where the kitchen says what it has. */
  private stockLimits(bowl: Bowl, wishes: readonly Wish[]): Wish[] {
    if (wishes.some((w) => w.kind === 'stock')) return [];
    const ids = new Set(bowl.moves.map((m) => m.line.ingredient.id));
    return [...ids].flatMap((id): Wish[] => {
      const have = this.kitchen.stock[id];
      if (have === undefined) return [];
      const needs = bowl.formula.groups
        .flatMap((g) => g.items)
        .reduce((s, i) => s + (i.ingredient === id ? i.grams : 0), 0);
      return [{ kind: 'have', ingredient: id, grams: Math.max(have, needs) }];
    });
  }
}

/** Lines that would mend what is left and are not in the formula at all: a leavener, a liquid, fat, sugar or egg. */
function missingFrom(formula: Formula, w: Weighed, kitchen: Kitchen): Candidate[] {
  const { totals: t, family: f } = w;
  const has = (test: (l: (typeof w.lines)[number]) => boolean): boolean => w.lines.some((l) => l.grams > 0 && test(l));
  const out: Candidate[] = [];
  const add = (ingredient: string, maxG: number, why: string): void => {
    if (has((l) => l.ingredient.id === ingredient)) return;
    out.push({ ...candidateOf(formula, ingredient, maxG, kitchen), reluctance: 1.6, why });
  };
  const flour = Math.max(t.flourG, 1);
  const left = w.ledger.leftSodaGPer100gBatter.typical;
  if (w.lift.state === 'low' && !has((l) => l.ingredient.leavener === 'powder'))
    add('baking-powder', 0.09 * flour, 'it rises as it should');
  if (left > 0.1) {
    add('cream-of-tartar', 0.05 * flour, 'acid for the soda that has none');
    add('lemon-juice', 0.2 * flour, 'acid for the soda that has none');
  }
  if (f.id === 'free') return out;
  if (t.waterPct < f.water[0] && !has((l) => l.ingredient.role === 'liquid'))
    add('milk', 1.3 * flour, 'enough water for the flour');
  if (t.fatPct < f.fat[0] && !has((l) => l.ingredient.role === 'fat' && !l.whole))
    add(
      f.creamed || f.methods[0] === 'rub-in' ? 'butter' : 'neutral-oil',
      f.fat[1] * 0.012 * flour,
      'tender, and it keeps longer',
    );
  if (t.sugarPct < f.sugar[0] && !has((l) => l.ingredient.role === 'sugar'))
    add('caster-sugar', f.sugar[1] * 0.01 * flour, 'moister and better coloured');
  return out;
}

/** A new line of an ingredient, not in the formula yet. */
export function candidateOf(
  formula: Formula,
  ingredient: string,
  maxG: number,
  kitchen: Kitchen,
  taken?: ReadonlySet<string>,
): Candidate {
  const row = catalogueRow(ingredient);
  const item: Item = {
    id: freshId(formula, ingredient, taken),
    ingredient,
    words: row.name.toLowerCase(),
    entered: null,
    grams: 0,
  };
  return { item, groupId: groupFor(formula, row.role, kitchen), reluctance: 1, maxG };
}

/** Why there is nothing to propose: which wishes, locks and bands stand against each other, and how near it can be had. */
function whyNot(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  hunt: Hunt,
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
  const other = hunt.aimed ? asAnother(formula, asked, kitchen, solver, limits) : null;
  const named = hunt.aimed
    ? conflictOf(formula, asked, kitchen, solver, limits)
    : lockedOut(formula, asked, kitchen, hunt, solver, limits);
  if (named.length === 0)
    return conflict(
      'cannot',
      `No change that can be measured makes it better than it is as ${familyOf(formula.family).name}.`,
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
  return conflict(locked ? 'locked' : 'wishes', words, named, band && other ? other : nearest);
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
  const { nearest } = judgeFamily(formula.family, found.weighed.totals, found.weighed.lift.mmolPer100gBase.typical);
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

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join('; ')}; and ${names.at(-1)}`;

/** The fewest locks that stand in the way of any betterment. */
function lockedOut(
  formula: Formula,
  asked: Request,
  kitchen: Kitchen,
  hunt: Hunt,
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
