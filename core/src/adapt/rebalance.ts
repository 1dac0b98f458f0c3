import { weigh, type Weighed } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { bowlOf, type Bowl } from './bowl.js';
import { lessSodium, missingFrom, sodiumFreeFor, wantedFor } from './candidates.js';
import { conflict, fault } from './faults.js';
import type { Limits, Solver } from './linear.js';
import { distances, type BandRow, type Weights } from './model.js';
import { wishCautions } from './presets.js';
import { cautioned, namesMore, proposalOf } from './proposal.js';
import { search, type Found, type Searched, type Terms } from './search.js';
import { repairs } from './repair.js';
import { FEWEST, limitsOf, MUCH, NEAREST, TRIFLE } from './settings.js';
import { solverOf } from './solver.js';
import { isConflict } from './types.js';
import type { AdaptOptions, Conflict, NamedWish, Proposal, ProposalKind, Request, TraitId, Wish } from './types.js';
import { listed, whyNot } from './why-not.js';
import { isMet, pinned, shortOf, wishWords } from './wishes.js';

/**
 * With nothing wished for that is not there already: what is wrong put right, in the one line that it is likeliest in
 * (`repair.ts`); each proposal lowers the merit. With wishes: the smallest changes that meet them, under what is fixed or
 * limited, with flour, batter and character kept. Up to three, each weighed in full. Empty when nothing needs doing. A
 * conflict, in words, when it cannot be had.
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
  const out = await proposalsFor(formula, request, kitchen, options);
  return cautioned(await gentler(out, formula, request, kitchen, options), wishCautions(request.wishes ?? []));
}

/** A texture is wished for as a direction: where all of it would spoil the bake, half of it is the nearest that can be had. */
async function gentler(
  out: Proposal[] | Conflict,
  formula: Formula,
  request: Request,
  kitchen: Kitchen,
  options: AdaptOptions,
): Promise<Proposal[] | Conflict> {
  const wishes = request.wishes ?? [];
  if (!wishes.some((w) => w.kind === 'texture')) return out;
  if (isConflict(out) ? out.nearest !== null || out.why === 'locked' || out.why === 'cancelled' : !out[0]) return out;
  if (!isConflict(out) && out[0] && !out[0].spoils) return out;
  const [all] = isConflict(out) ? [] : out;
  const half = wishes.map((w): Wish => (w.kind === 'texture' ? { ...w, by: w.by / 2 } : w));
  const less = await proposalsFor(formula, { ...request, wishes: half }, kitchen, options);
  const found = isConflict(less) ? undefined : less.find((p) => !p.spoils);
  const nearest = found ? { ...found, kind: 'possible' as const, title: 'Half of it' } : null;
  if (isConflict(out)) return { ...out, nearest };
  if (!all) return out;
  const index = wishes.findIndex((w) => w.kind === 'texture');
  const words = wishWords(wishes[index] as Wish, formula, kitchen);
  const spoils = [all.costs[0] ?? words, ...(namesMore(all.before, all.after) ? [all.after.words] : [])].join('; ');
  return {
    ...conflict('wishes', `That much would spoil it: ${spoils}.`, [{ index, words }], nearest),
    anyway: all,
  };
}

async function proposalsFor(
  formula: Formula,
  request: Request,
  kitchen: Kitchen,
  options: AdaptOptions,
): Promise<Proposal[] | Conflict> {
  const wrong = fault(formula, kitchen);
  if (wrong) return wrong;
  const asked = pinned(formula, request, kitchen);
  const start = weigh(formula, kitchen);
  const wishes = asked.wishes ?? [];
  const unmet = wishes.filter((w) => !isMet(w, formula, start, kitchen, formula));
  const aimed = unmet.length > 0 || (asked.out ?? []).length > 0;
  if (!aimed) return putRight(formula, asked, kitchen);

  const solver = await solverOf(options);
  const limits = limitsOf(options);
  const stop = async (): Promise<boolean> => (await options.cancelled?.()) === true;
  const room = [...roomFor(wishes, new Map()).values()].reduce((s, x) => s + x, 0);
  const good = (f: Found): boolean => f.met && f.weighed.stray <= start.stray + room + TRIFLE;

  const hunt = new Hunt(formula, asked, kitchen, start, solver, limits);
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
    if (found.weighed.stray > (first.found as Found).weighed.stray + TRIFLE) return;
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
    const bowl = hunt.bowl(withStock, withStock.wishes ?? []);
    offer('stock', bowl, hunt.again(bowl, NEAREST, withStock.wishes));
  }
  if (await stop()) return conflict('cancelled', 'Stopped before it was done.');
  if (asked.candidates === undefined && wishes.some(lessSodium)) {
    const candidates = sodiumFreeFor(formula, start, kitchen);
    const bowl = hunt.bowl({ ...asked, candidates }, wishes);
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
  return plausibleFirst(out.slice(0, 3).map(({ kind, bowl, found }) => proposalOf(kind, formula, bowl, found, asked)));
}

/** The fewest changes come first, unless they spoil the bake or another way leaves a much more plausible one. */
function plausibleFirst(ways: readonly Proposal[]): Proposal[] {
  const sound = ways.filter((p) => !p.spoils);
  const least = Math.min(...sound.map((p) => p.merit));
  const first = sound.find((p) => p.merit < least + MUCH);
  return [...(first ? [first] : []), ...sound.filter((p) => p !== first), ...ways.filter((p) => p.spoils)];
}

/** What is wrong put right, with what is wished for kept; a conflict where only a lock stands in the way. */
function putRight(formula: Formula, { wishes = [], locked = [] }: Request, kitchen: Kitchen): Proposal[] | Conflict {
  const held = [...locked, ...wishes.flatMap((w) => (w.kind === 'hold' ? [w.itemId] : []))];
  const kept = (p: Proposal): boolean => {
    const w = weigh(p.formula, kitchen);
    return wishes.every((wish) => isMet(wish, p.formula, w, kitchen, formula));
  };
  // who wishes for what is there already asks for no hints
  const asked = wishes.some((w) => w.kind !== 'hold');
  const out = repairs(formula, held, kitchen).filter((p) => kept(p) && !(asked && p.kind === 'hint'));
  const free = out.length > 0 ? out : repairs(formula, [], kitchen);
  const [first] = free;
  if (out.length > 0 || !first || first.kind === 'hint') return out;
  const named = first.lines
    .filter((l) => held.includes(l.id))
    .map((l): NamedWish => {
      const at = wishes.findIndex((w) => w.kind === 'hold' && w.itemId === l.id);
      return { index: at < 0 ? null : at, words: `${l.name.replace(/,.*/, '').toLowerCase()} held`, itemId: l.id };
    });
  return named.length === 0
    ? conflict('cannot', `${first.words} would put it right, but not with what is asked for.`, [], first)
    : conflict('locked', `With ${listed(named.map((n) => n.words))}, nothing that is left can put it right.`, named, first); // prettier-ignore
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

/** How far beyond its family's range a measure may go that is wished to, in widths; and structure against tenderness with it. */
const WISHED_ROOM = 0.6;
const BEAM_ROOM = 0.4;
/** Bands that a trait of the crumb moves in, with the same room. */
const TRAIT_ROOM: Readonly<Record<TraitId, readonly (readonly [BandRow['id'], number])[]>> = {
  crumb: [['lift', 0.5]],
  bite: [['beam', BEAM_ROOM], ['fat', 0.4]],
  mouth: [['water', WISHED_ROOM], ['fat', 0.4], ['beam', BEAM_ROOM]],
  colour: [],
}; // prettier-ignore

/** Bands with room for what is wished: less sugar may be less than the family has. What it costs is said with it. */
export function roomFor(wishes: readonly Wish[], outside: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const room = new Map(outside);
  const more = (id: string, by: number): Map<string, number> => room.set(id, (outside.get(id) ?? 0) + by);
  for (const w of wishes) {
    if (w.kind === 'trait' || w.kind === 'texture') for (const [id, by] of TRAIT_ROOM[w.trait]) more(id, by);
    if (w.kind !== 'change' && w.kind !== 'measure') continue;
    more(w.of, WISHED_ROOM);
    more('beam', BEAM_ROOM);
  }
  return room;
}

/** One request's searches: they share the bowl, the limits and what may be brought in. */
class Hunt {
  private readonly outside: ReadonlyMap<BandRow['id'], number>;

  constructor(
    readonly formula: Formula,
    readonly request: Request,
    readonly kitchen: Kitchen,
    readonly start: Weighed,
    readonly solver: Solver,
    readonly limits: Limits,
  ) {
    this.outside = distances(bowlOf(formula, {}, kitchen, []));
  }

  /** With what is in the formula; where that leaves much to mend, with what it lacks brought in. */
  best(weights: Weights): { bowl: Bowl; found: Searched } {
    const wishes = this.request.wishes ?? [];
    const bowl = this.bowl(this.request, wishes);
    const found = this.again(bowl, weights);
    if (this.request.candidates !== undefined || bowl.moves.every((m) => m.fixedG !== null)) return { bowl, found };
    const left = found.kind === 'found' && found.met ? found.weighed.stray - this.start.stray : Infinity;
    if (left <= TRIFLE * 2) return { bowl, found };
    const missing = [
      ...missingFrom(this.formula, found.kind === 'found' ? found.weighed : this.start, this.kitchen),
      ...wantedFor(wishes, this.formula, this.start, this.kitchen),
    ];
    if (missing.length === 0) return { bowl, found };
    const wider = this.bowl({ ...this.request, candidates: missing }, wishes);
    const more = this.again(wider, weights);
    return more.kind === 'found' && more.met && more.weighed.stray - this.start.stray < left - TRIFLE
      ? { bowl: wider, found: more }
      : { bowl, found };
  }

  /** Bands that were left before may stay left by as much: what a baker makes so is no fault. */
  bowl(request: Request, wishes: readonly Wish[]): Bowl {
    return { ...bowlOf(this.formula, request, this.kitchen, wishes), excused: roomFor(wishes, this.outside) };
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
      maxStray: TRIFLE,
    };
    return search(bowl, terms, this.solver, this.limits);
  }
}
