import { weigh, type Weighed } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { bowlOf, type Bowl } from './bowl.js';
import { missingFrom, sodiumFreeFor } from './candidates.js';
import { conflict, fault, worth } from './faults.js';
import type { Limits, Solver } from './linear.js';
import { distances, type BandRow, type Weights } from './model.js';
import { wishCautions } from './presets.js';
import { cautioned, proposalOf } from './proposal.js';
import { search, type Found, type Searched, type Terms } from './search.js';
import { FEWEST, HAIR, limitsOf, NEAREST, TRIFLE } from './settings.js';
import { solverOf } from './solver.js';
import type { AdaptOptions, Conflict, Proposal, ProposalKind, Request, Wish } from './types.js';
import { whyNot } from './why-not.js';
import { isMet, pinned, shortOf } from './wishes.js';

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
  return cautioned(await proposalsFor(formula, request, kitchen, options), wishCautions(request.wishes ?? []));
}

async function proposalsFor(
  formula: Formula,
  request: Request,
  kitchen: Kitchen,
  options: AdaptOptions,
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
  if (
    asked.candidates === undefined &&
    wishes.some((w) => w.kind === 'measure' && w.of === 'sodium' && w.max !== undefined)
  ) {
    const candidates = sodiumFreeFor(formula, start, kitchen);
    const bowl = bowlOf(formula, { ...asked, candidates }, kitchen, wishes);
    if (candidates.length > 0) offer('another', bowl, hunt.again(bowl, NEAREST));
  }
  if (out.length < 3 && !out.some((o) => o.kind === 'another')) {
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
      wishes,
      weights,
      notAgain,
      // what is wished for may not be paid for with another figure
      ...(this.aimed && { maxMerit: this.start.merit, bandLimit: this.outside }),
    };
    return search(bowl, terms, this.solver, this.limits);
  }
}
