import { toTotal } from '../balance/change.js';
import type { Family } from '../balance/families.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { allItems, applyChanges, isBatter } from '../formula/formula.js';
import type { Formula, Kitchen, Role } from '../formula/types.js';
import { linesOf, premixed, type Line } from '../leavening/parts.js';
import { ratesOf, type Rates } from './rates.js';
import { onStep, stepG } from '../quantity/steps.js';
import { BATTER_WITHIN_PCT } from './settings.js';
import type { Candidate, Request, Wish } from './types.js';

/** A line of the batter as the programme sees it. */
export interface Move {
  readonly line: Line;
  readonly rates: Rates;
  readonly fromG: number;
  /** Weight it is pinned to; null when it may move. */
  readonly fixedG: number | null;
  readonly step: number;
  readonly low: number;
  readonly high: number;
  /** What a whole change of it costs, against that of a liquid. */
  readonly weight: number;
  readonly touch: number;
  /** Grams that count as a whole change. */
  readonly scaleG: number;
  readonly candidate: Candidate | null;
}

/**
 * What makes it the same batch still, g: its batter's weight, its flour where flour is not what changes, and what it has of
 * sugar, fat and egg where nothing speaks of them.
 */
export interface Keeps {
  readonly batterG: number;
  readonly flourG: number | null;
  readonly figures: readonly { readonly of: 'sugar' | 'fat' | 'egg'; readonly low: number; readonly high: number }[];
}

/** Everything a search works on: the lines, what they are to be like, and what they are judged as. */
export interface Bowl {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly moves: readonly Move[];
  /** The formula whose character is kept. */
  readonly like: Weighed;
  /** As it is now. */
  readonly start: Weighed;
  readonly family: Family;
  readonly premixed: boolean;
  readonly nutIsBase: boolean;
  readonly request: Request;
  /** What makes it the same batch still. */
  readonly keeps: Keeps;
  /** How far each band may be outside at no cost, in widths: as far as it was before a swap. */
  readonly excused?: ReadonlyMap<string, number>;
  /** Figures that what is asked changes of itself, and that are not kept as they were. */
  readonly changes?: ReadonlySet<string>;
}

/** How unwillingly a baker changes a line, by what it is. Judgement: flour moves every percentage, flavour is the point. */
const UNWILLING: Readonly<Record<Role, number>> = {
  flour: 4,
  sugar: 1.1,
  fat: 1.2,
  egg: 2.6,
  liquid: 0.8,
  fruit: 3.2,
  cocoa: 2.6,
  addin: 3,
  leavener: 0.5,
  salt: 0.6,
  flavour: 3,
  acid: 0.9,
};

/** Less sodium comes out of the salt first: a bake that does not rise is no bake. */
const UNWILLING_LIFT = 3;
const lifts = (l: Line): boolean => l.ingredient.role === 'leavener';

/** Whether a line moves of its own: what is folded in or strewn through, and what flavours (cocoa too), stays as it is. */
const moves = ({ whole, ingredient: i, grams }: Line): boolean =>
  !whole && i.role !== 'flavour' && i.role !== 'cocoa' && (i.role !== 'addin' || i.base !== undefined || i.binder === true) && i.id !== 'unknown' && grams > 0; // prettier-ignore

function limits(line: Line, step: number, like: Weighed): { low: number; high: number } {
  const flour = Math.max(like.totals.flourG, like.totals.baseG, 1);
  const g = line.grams;
  switch (line.ingredient.role) {
    case 'leavener':
      return { low: 0, high: Math.max(3 * g, 0.05 * flour) };
    case 'salt':
      return { low: 0, high: Math.max(2 * g, 0.025 * flour) };
    case 'acid':
      return { low: 0, high: Math.max(4 * g, 0.2 * flour) };
    default:
      return { low: Math.min(g, Math.max(step, 0.15 * g)), high: Math.max(4 * g, step * 4) };
  }
}

/**
 * Lays out the lines for a search.
 * @param wishes those that are to hold; fewer than were asked while a conflict is looked for
 */
export function bowlOf(formula: Formula, request: Request, kitchen: Kitchen, wishes: readonly Wish[]): Bowl {
  const asked = formula;
  const total = wishes.find((w) => w.kind === 'batter');
  const held = new Set([
    ...(request.locked ?? []),
    ...wishes.flatMap((w) => (w.kind === 'hold' ? [w.itemId] : [])),
    ...(request.out ?? []),
  ]);
  const exact = new Map(
    wishes.flatMap((w) =>
      w.kind === 'amount' && w.minG !== undefined && w.minG === w.maxG ? [[w.itemId, w.minG]] : [],
    ),
  );
  // a batter of another weight is the same one scaled, from where the search begins
  const start = weigh(asked, kitchen);
  const scaled =
    total?.kind === 'batter' &&
    Math.abs(start.totals.batterG / total.grams - 1) > (total.withinPct ?? BATTER_WITHIN_PCT) / 100
      ? scaledTo(asked, total.grams, [...held, ...exact.keys()], kitchen)
      : asked;
  const like = request.like ? weigh(request.like, kitchen) : start;
  const groupOf = new Map(asked.groups.flatMap((g) => g.items.map((i) => [i.id, g])));
  const nutIsBase = start.totals.baseG > start.totals.flourG + start.totals.cocoaG + 1e-9;
  const out = new Set(request.out);
  const eased = new Set(request.eased);
  const lessSodium =
    request.candidates === undefined &&
    wishes.some((w) => (w.kind === 'measure' || w.kind === 'change') && w.of === 'sodium');
  const lines = linesOf(scaled, kitchen);
  const batterG = like.totals.batterG;
  // a wish for more than a line would move to of itself opens its way
  const wantedG = new Map(
    wishes.flatMap((w) => (w.kind === 'amount' && w.minG !== undefined ? [[w.itemId, w.minG] as const] : [])),
  );
  const lowered = new Map(
    wishes.flatMap((w) => (w.kind === 'amount' && w.maxG !== undefined ? [[w.itemId, w.maxG] as const] : [])),
  );
  const known = lines.map((line): Move => {
    const step = stepG(line.ingredient, line.grams, batterG, kitchen);
    const own = limits(line, step, like);
    const pinned = out.has(line.item.id)
      ? 0
      : (exact.get(line.item.id) ??
        (held.has(line.item.id) || !(moves(line) || named(wishes, line)) ? line.grams : null));
    return {
      line,
      rates: ratesOf(line, kitchen, nutIsBase),
      fromG: line.grams,
      fixedG: pinned,
      step,
      low: Math.min(own.low, lowered.get(line.item.id) ?? own.low),
      high: Math.max(own.high, 1.5 * (wantedG.get(line.item.id) ?? 0)),
      weight: eased.has(line.item.id) ? 0.1 : lessSodium && lifts(line) ? UNWILLING_LIFT : UNWILLING[line.ingredient.role], // prettier-ignore
      // half an egg is a nuisance
      touch: eased.has(line.item.id) ? 0 : line.ingredient.role === 'egg' ? 1.6 : lessSodium && lifts(line) ? 2.5 : 1,
      scaleG: Math.max(line.grams, step),
      candidate: null,
    };
  });
  const added = (request.candidates ?? []).map((candidate): Move => {
    const [line] = linesOf(
      { ...asked, groups: [{ id: candidate.groupId, name: '', items: [candidate.item] }] },
      kitchen,
    ) as [Line];
    const step = stepG(line.ingredient, Math.min(candidate.maxG, 100), batterG, kitchen);
    const instead = candidate.instead === undefined ? undefined : groupOf.get(candidate.instead);
    const stood = instead?.items.find((i) => i.id === candidate.instead)?.grams ?? 0;
    return {
      line: { ...line, grams: 0 },
      rates: ratesOf(line, kitchen, nutIsBase),
      fromG: 0,
      fixedG: null,
      step,
      low: candidate.minG ?? 0,
      high: candidate.maxG,
      // one that stands in for another is meant to come; its amount is set by what it replaces
      weight: candidate.instead === undefined ? 0.4 : 0.15,
      touch: candidate.reluctance,
      scaleG: Math.max(stood, candidate.maxG / 4, step),
      candidate,
    };
  });
  const flourChanges = (id: string): boolean =>
    lines.some((l) => l.item.id === id && l.ingredient.base !== undefined && l.ingredient.base !== 'cocoa');
  const changed = [
    ...(request.out ?? []),
    ...(request.eased ?? []),
    ...wishes.flatMap((w) => (w.kind === 'amount' ? [w.itemId] : [])),
  ];
  return {
    formula: scaled,
    kitchen,
    keeps: {
      batterG: total?.kind === 'batter' ? total.grams : like.totals.batterG,
      flourG: total?.kind === 'batter' || changed.some(flourChanges) ? null : like.totals.flourG,
      figures: total?.kind === 'batter' ? [] : keptFigures(known, added, like, request, wishes, kitchen),
    },
    moves: [...known, ...added],
    like,
    start,
    family: like.family,
    premixed: premixed(asked, lines),
    nutIsBase,
    request,
  };
}

/** Most that sugar, fat and egg may come to differ where nobody speaks of them; and at least so much of the flour. */
const SAME_FIGURE = 0.2;
const FIGURE_ROOM = 0.05;

/**
 * What a batter is to keep of sugar, fat and egg where nobody speaks of them: as much as it had, less what the lines bring
 * that are to go, more what those may bring that come in.
 */
function keptFigures(
  known: readonly Move[],
  added: readonly Move[],
  like: Weighed,
  request: Request,
  wishes: readonly Wish[],
  kitchen: Kitchen,
): Keeps['figures'] {
  if (wishes.some((w) => w.kind === 'stock')) return [];
  const swapped = new Set([...(request.out ?? []), ...(request.eased ?? [])]);
  const before = like.lines.filter((l) => swapped.has(l.item.id));
  const now = known.filter((m) => swapped.has(m.line.item.id));
  const wished = known.filter((m) =>
    wishes.some(
      (w) =>
        (w.kind === 'amount' && w.itemId === m.line.item.id && !swapped.has(w.itemId)) ||
        (w.kind === 'have' && w.ingredient === m.line.ingredient.id),
    ),
  );
  return (['sugar', 'fat', 'egg'] as const).flatMap((of) => {
    const spokenOf = wishes.some((w) => 'of' in w && w.of === of) || wished.some((m) => m.rates[of] > 0.02);
    if (spokenOf) return [];
    const grams = like.totals[`${of}G`];
    const room = Math.max(SAME_FIGURE * grams, FIGURE_ROOM * like.totals.flourG);
    const goes = before.reduce((s, l) => s + ratesOf(l, kitchen, false)[of] * l.grams, 0);
    const comes = [...now.map((m) => m.rates[of] * 1.4 * m.fromG), ...added.map((m) => m.rates[of] * m.high)];
    return [{ of, low: grams - room - goes, high: grams + room + comes.reduce((s, g) => s + g, 0) }];
  });
}

/** The batter at another weight, each line on a step that can be measured. */
function scaledTo(formula: Formula, grams: number, held: readonly string[], kitchen: Kitchen): Formula {
  const big = applyChanges(formula, toTotal(formula, grams, held));
  return applyChanges(
    big,
    linesOf(big, kitchen)
      .filter((l) => !held.includes(l.item.id) && l.grams > 0)
      .map((l) => ({ itemId: l.item.id, grams: onStep(l.ingredient, l.grams, grams, kitchen) })),
  );
}

/** Lines that a wish names may move whatever they are. */
const named = (wishes: readonly Wish[], line: Line): boolean =>
  line.grams > 0 &&
  wishes.some(
    (w) =>
      (w.kind === 'amount' && w.itemId === line.item.id) ||
      (w.kind === 'have' && w.ingredient === line.ingredient.id) ||
      w.kind === 'stock',
  );

/** The formula with these weights: lines changed, candidates that came in put into their groups. */
export function formulaWith(bowl: Bowl, grams: readonly number[]): Formula {
  const changed = bowl.moves.flatMap((m, i) =>
    m.candidate || Math.abs((grams[i] ?? 0) - m.line.item.grams) < 1e-9
      ? []
      : [{ itemId: m.line.item.id, grams: grams[i] ?? 0 }],
  );
  const added = bowl.moves.flatMap((m, i) => (m.candidate && (grams[i] ?? 0) > 0 ? [{ m, g: grams[i] ?? 0 }] : []));
  const base = applyChanges(bowl.formula, changed);
  if (added.length === 0) return base;
  return {
    ...base,
    groups: base.groups.map((g) => {
      const mine = added.filter(({ m }) => m.candidate?.groupId === g.id);
      if (mine.length === 0) return g;
      return {
        ...g,
        items: [
          ...g.items,
          ...mine.map(({ m, g: grams }) => ({ ...m.line.item, grams, entered: { value: grams, unit: 'g' } })),
        ],
      };
    }),
  };
}

/** The group a new line of this role goes into: where others of the role are, or else the first of the batter. */
export function groupFor(formula: Formula, role: Role, kitchen: Kitchen): string {
  const lines = linesOf(formula, kitchen);
  const beside = (roles: readonly Role[]): string | undefined => {
    const id = lines.find((l) => roles.includes(l.ingredient.role))?.item.id;
    return formula.groups.find((g) => g.items.some((i) => i.id === id))?.id;
  };
  const dry: readonly Role[] = ['flour', 'leavener', 'salt', 'cocoa', 'addin', 'flavour'];
  const wet: readonly Role[] = ['liquid', 'egg', 'acid', 'fruit'];
  return (
    beside([role]) ??
    beside(dry.includes(role) ? dry : wet.includes(role) ? wet : ['fat', 'sugar']) ??
    formula.groups.find(isBatter)?.id ??
    'batter'
  );
}

/** An id that no item has yet. */
export function freshId(formula: Formula, base: string, taken: ReadonlySet<string> = new Set()): string {
  const used = new Set([...allItems(formula).map((i) => i.id), ...taken]);
  let id = base;
  for (let n = 2; used.has(id); n++) id = `${base}-${n}`;
  return id;
}
