import { massChange, massIn, massUnit } from '../quantity/figures.js';
import { reworded } from '../method/reword.js';
import { assess } from '../balance/assess.js';
import { allergensOf, cautionsOf } from '../balance/cautions.js';
import { rangeOf, waterOutside } from '../balance/verdicts.js';
import { outside } from '../balance/verdict.js';
import { LEAN_USUAL } from '../balance/pulls.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { LEFT_SODA_STEPS } from '../leavening/ledger.js';
import { applyChanges, allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import type { Verdict } from '../balance/verdict.js';
import { asMeasured } from '../quantity/amount.js';
import type { Sure } from '../plausible/suspects.js';
import type { Bowl } from './bowl.js';
import { formulaWith } from './bowl.js';
import type { Found } from './search.js';
import {
  isConflict,
  type Conflict,
  type Judged,
  type Proposal,
  type ProposalKind,
  type ProposalLine,
  type Request,
  type Wish,
} from './types.js';
import { isMet, wishWords } from './wishes.js';
import { sliceChange, spoilt } from '../slice/change.js';
import { sliceOf, type Slice } from '../slice/slice.js';
import { capital } from '../text/plain.js';

/** A figure that a change is for. */
type Dim = 'lift' | 'soda' | 'tang' | 'water' | 'fat' | 'sugar' | 'egg' | 'salt' | 'beam' | 'batter';

/** What a line is for when its change brings a figure back: [it was too low, it was too high]. */
const MENDS: Readonly<Record<Dim, readonly [string, string]>> = {
  lift: ['it rises as it should', 'it will not dome, crack or sink'],
  soda: ['', 'only as much soda as its acid can meet'],
  tang: ['', 'less tang left over'],
  water: ['enough water for what drinks it, and for the flour', 'it sets through the middle'],
  fat: ['tender, and it keeps longer', 'not greasy, and it holds up'],
  sugar: ['moister and better coloured', 'it sets sooner and will not sink'],
  egg: ['something to hold it up', 'less springy'],
  salt: ['not bland', 'not salty'],
  beam: ['tender, as it should be', 'firm enough to stand'],
  batter: ['as much batter as before', 'no more batter than before'],
};
/** What a line is for when its change keeps a figure where it was. */
const KEEPS: Readonly<Record<Dim, string>> = {
  lift: 'keeps the lift',
  soda: 'keeps soda and acid even',
  tang: 'meets the acid that would be left',
  water: 'keeps the batter as wet as it was',
  fat: 'keeps it as rich as it was',
  sugar: 'keeps it as sweet as it was',
  egg: 'keeps as much egg',
  salt: 'keeps it as salty as it was',
  beam: 'keeps structure and tenderness even',
  batter: 'keeps the amount of batter',
};
const DIMS = Object.keys(MENDS) as Dim[];

/** How far outside its band each figure is, in units of straying, with the side. */
function offBand(w: Weighed): Readonly<Record<Dim, number>> {
  const { totals: t, family } = w;
  const none = { lift: 0, soda: 0, tang: 0, water: 0, fat: 0, sugar: 0, egg: 0, salt: 0, beam: 0, batter: 0 };
  if (t.baseG <= 0) return none;
  const step = w.masked ? LEFT_SODA_STEPS.soapy : LEFT_SODA_STEPS.unusualPlain;
  const soda = Math.max(0, w.ledger.leftSodaGPer100gBatter.typical - step) / 0.2;
  if (family.id === 'free') return { ...none, soda };
  return {
    ...none,
    soda,
    lift: outside(w.lift.mmolPer100gBase.typical, w.lift.target),
    water: waterOutside(t, w.water, family),
    fat: outside(t.fatPct, family.fat),
    sugar: outside(t.sugarPct, family.sugar),
    egg: outside(t.eggPct, rangeOf(family, 'egg', t)),
    salt: Math.max(0, t.saltPct - family.salt[1]) / 2,
    beam: Math.max(0, Math.abs(w.beam.lean) - LEAN_USUAL) / 2,
  };
}

/** Each figure on a scale of half its usual width, so that distances between two formulas compare. */
function standing(w: Weighed): Readonly<Record<Dim, number>> {
  const { totals: t, family: f } = w;
  const half = ([lo, hi]: readonly [number, number], wide: number): number =>
    (hi - lo > 1e3 ? wide : Math.max(hi - lo, 1)) / 2;
  return {
    lift: w.lift.mmolPer100gBase.typical / half(w.lift.target, 12),
    soda: w.ledger.leftSodaGPer100gBatter.typical / 0.12,
    tang: w.ledger.leftAcidMeqPer100gBatter.typical / 3,
    water: t.availablePct / half(w.water.usual, 50),
    fat: t.fatPct / half(f.fat, 30),
    sugar: t.sugarPct / half(f.sugar, 50),
    egg: t.eggPct / half(f.egg, 40),
    salt: t.saltPct / 1,
    beam: w.beam.lean,
    batter: t.batterG / Math.max(1, 0.12 * t.batterG),
  };
}

/** Two ingredients by names short enough to say, and different. */
export function pairOf(a: Ingredient, b: Ingredient): readonly [string, string] {
  const [x, y] = [shortName(a), shortName(b)];
  return x !== y ? [x, y] : [a.name.toLowerCase(), b.name.toLowerCase()];
}
export const shortName = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();

function amountWords(grams: number, ingredient: Ingredient, item: Item, kitchen: Kitchen): string {
  if (grams < 0.05) return 'none';
  const by = asMeasured(grams, ingredient, kitchen.measures, item.form);
  const small = ingredient.role === 'leavener' || ingredient.role === 'salt' || ingredient.role === 'flavour';
  // whoever weighs in ounces thinks in cups
  const byCup = small || ingredient.role === 'egg' || massUnit(kitchen.display) === 'oz';
  return byCup ? by : massIn(kitchen.display, Math.round(grams * 10) / 10);
}

function lineWords(
  kind: ProposalLine['kind'],
  from: Ingredient,
  to: Ingredient,
  fromG: number,
  toG: number,
  item: Item,
  kitchen: Kitchen,
): string {
  const was = amountWords(fromG, from, item, kitchen);
  const is = amountWords(toG, to, item, kitchen);
  switch (kind) {
    case 'added':
      return `add ${shortName(to)}, ${is}`;
    case 'left out':
      return `no ${shortName(from)}`;
    case 'heat':
    case 'family':
      return '';
    case 'replaced':
      if (from.id === to.id) return `${item.words}, ${is}`;
      // the same measure of something else is told by its name
      if (Math.abs(fromG - toG) < 0.03 * fromG) return `${pairOf(to, from)[0]} for ${pairOf(to, from)[1]}, ${is}`;
      return `${pairOf(to, from)[0]}, ${is}, for ${pairOf(to, from)[1]}, ${was}`;
    case 'amount':
      // where spoons or eggs read the same, grams tell them apart
      if (was === is)
        return `${toG < fromG ? 'less' : 'more'} ${shortName(to)}, ${massChange(kitchen.display, fromG, toG)}`;
      return toG < 0.05 ? `no ${shortName(from)}` : `${toG < fromG ? 'less' : 'more'} ${shortName(to)}, ${was} → ${is}`;
  }
}

/** How a formula stands, by the full assessment, with the slice that is to come of it. */
interface Standing {
  readonly judged: Judged;
  readonly slice: Slice | null;
  /** How long the batter may stand, min. */
  readonly standMin: number;
}

function standingOf(formula: Formula, kitchen: Kitchen): Standing {
  const a = assess(formula, kitchen);
  const verdicts = a.verdicts.filter((v) => v.severity !== 'note' || v.id === 'lift' || v.id === 'ledger');
  const off = a.verdicts.filter((v) => v.severity !== 'note');
  const words = off.length === 0 ? 'in balance' : off.map(offWords).join(', ');
  return {
    judged: { merit: a.merit, verdicts, words },
    slice: sliceOf(formula, a, kitchen),
    standMin: a.lift.standMin,
  };
}

const spoils = (was: Standing, is: Standing): boolean =>
  namesMore(was.judged, is.judged) || (was.slice !== null && is.slice !== null && spoilt(was.slice, is.slice));

/** What a change does in the bake: to the slice, and to how long the batter waits. */
function inTheBake(was: Standing, is: Standing): string[] {
  const [before, after] = [was.standMin, is.standMin];
  const waits = before - after >= 10 && after < 20;
  return [
    ...(was.slice && is.slice ? [sliceChange(was.slice, is.slice)] : []),
    ...(waits ? [after < 4 ? 'has to be baked at once' : `waits only about ${after} minutes`] : []),
  ];
}
const offWords = (v: Verdict): string => `${dimName(v.id)} ${v.state === 'low' ? 'low' : 'high'}`;
const dimName = (id: string): string =>
  ({ lift: 'lift', ledger: 'soda', hydration: 'water left', structure: 'tenderness' })[id] ?? id.replace(/:.*/, '');

/** The rows of a proposal: what changes from `asked` to `found`, each with what it is for. */
function linesOfProposal(asked: Formula, bowl: Bowl, found: Found, request: Request): ProposalLine[] {
  const { kitchen } = bowl;
  const before = weigh(asked, kitchen);
  const like = bowl.like;
  const wishes = request.wishes ?? [];
  const askedItems = new Map(allItems(asked).map((i) => [i.id, i]));
  const still = new Set(allItems(found.formula).map((i) => i.id));
  const gone = allItems(asked).filter((i) => !still.has(i.id) && i.grams >= 0.005);
  const all = [...allItems(found.formula), ...gone.map((i) => ({ ...i, grams: 0 }))];
  return all.flatMap((item): ProposalLine[] => {
    const old = askedItems.get(item.id);
    const ingredient = ingredientFor(found.formula, item, kitchen);
    const was = old ? ingredientFor(asked, old, kitchen) : ingredient;
    const swapped = old !== undefined && (old.ingredient !== item.ingredient || old.note !== item.note);
    const fromG = old?.grams ?? 0;
    if (old && !swapped && Math.abs(fromG - item.grams) < 0.005) return [];
    const kind: ProposalLine['kind'] = !old
      ? 'added'
      : swapped
        ? 'replaced'
        : item.grams < 0.005
          ? 'left out'
          : 'amount';
    const i = bowl.moves.findIndex((m) => m.line.item.id === item.id);
    const candidate = bowl.moves[i]?.candidate;
    const reason =
      wishReason(item.id, item.grams - fromG, wishes, asked, found, bowl, i) ??
      figureReason(bowl, found, i, before, like) ??
      candidate?.why ??
      (kind === 'left out'
        ? 'as you asked'
        : !found.met && wishes.length > 0
          ? 'as near to what you asked as it can be'
          : bowl.formula !== asked && wishes.some((w) => w.kind === 'batter')
            ? 'scaled with the rest'
            : 'goes with the other changes');
    return [
      {
        id: item.id,
        kind,
        name: ingredient.name,
        fromG,
        toG: item.grams,
        words: lineWords(kind, was, ingredient, fromG, item.grams, item, kitchen),
        reason: candidate?.why && kind !== 'amount' ? candidate.why : reason,
        ...(kind === 'added' || kind === 'replaced' ? { item } : {}),
        ...(kind === 'added'
          ? { groupId: found.formula.groups.find((g) => g.items.some((x) => x.id === item.id))?.id ?? '' }
          : {}),
      },
    ];
  });
}

/** The wish that is missed when this one line stays as it was. */
function wishReason(
  itemId: string,
  by: number,
  wishes: readonly Wish[],
  asked: Formula,
  found: Found,
  bowl: Bowl,
  i: number,
): string | null {
  if (wishes.length === 0) return null;
  const without = undone(bowl, found, i);
  const w = weigh(without, bowl.kitchen);
  const missed = wishes.find(
    (wish) =>
      isMet(wish, found.formula, found.weighed, bowl.kitchen, asked) && !isMet(wish, without, w, bowl.kitchen, asked),
  );
  if (!missed || by === 0) return null;
  if (missed.kind === 'amount' && missed.itemId === itemId) return 'as you asked';
  return missed.kind === 'batter'
    ? 'for the batter you asked for'
    : `you asked for ${wishWords(missed, asked, bowl.kitchen)}`;
}

function undone(bowl: Bowl, found: Found, i: number): Formula {
  return formulaWith(
    bowl,
    found.grams.map((g, j) => (j === i ? (bowl.moves[i]?.fromG ?? 0) : g)),
  );
}

/** The figure that suffers most when this one line stays as it was: mended by it, or kept by it. */
function figureReason(bowl: Bowl, found: Found, i: number, before: Weighed, like: Weighed): string | null {
  if (i < 0) return null;
  const without = weigh(undone(bowl, found, i), bowl.kitchen);
  const [offWith, offWithout] = [offBand(found.weighed), offBand(without)];
  const worst = DIMS.map((d) => [d, offWithout[d] - offWith[d]] as const).sort((a, b) => b[1] - a[1])[0];
  if (worst && worst[1] > 0.02) {
    const [d] = worst;
    const wasOff = offBand(before)[d] > 0.02;
    const low = standing(without)[d] < standing(found.weighed)[d];
    return wasOff ? MENDS[d][low ? 0 : 1] || KEEPS[d] : KEEPS[d];
  }
  const [is, would, ref] = [standing(found.weighed), standing(without), standing(like)];
  const drift = DIMS.map((d) => [d, Math.abs(would[d] - ref[d]) - Math.abs(is[d] - ref[d])] as const).sort(
    (a, b) => b[1] - a[1],
  )[0];
  return drift && drift[1] > 0.04 ? KEEPS[drift[0]] : null;
}

const TITLES: Readonly<Record<ProposalKind, string>> = {
  restored: 'Put right',
  hint: 'If something is off',
  fewest: 'Fewest changes',
  nearest: 'Nearest to what it was',
  stock: 'From what is there',
  another: 'Another way',
  swap: 'Swapped',
  new: 'A new formula',
  possible: 'As near as can be',
  anyway: 'All of it, anyway',
};

/** Puts a weighed solution into words. */
export function proposalOf(
  kind: ProposalKind,
  asked: Formula,
  bowl: Bowl,
  found: Found,
  request: Request,
  extra: {
    readonly title?: string;
    readonly costs?: readonly string[];
    readonly cautions?: readonly string[];
    readonly formula?: Formula;
    /** What lines are for that the search did not move, by item id. */
    readonly reasons?: ReadonlyMap<string, string>;
  } = {},
): Proposal {
  const formula = reworded(asked, tidied(extra.formula ?? found.formula, asked), bowl.kitchen);
  const lines = linesOfProposal(asked, bowl, { ...found, formula: extra.formula ?? found.formula }, request).map((l) =>
    extra.reasons?.has(l.id) ? { ...l, reason: extra.reasons.get(l.id) ?? l.reason } : l,
  );
  const changes = lines
    .filter((l) => l.kind === 'amount' || l.kind === 'left out')
    .map((l) => ({ itemId: l.id, grams: l.toG }));
  const [was, is] = [standingOf(asked, bowl.kitchen), standingOf(formula, bowl.kitchen)];
  const [before, after] = [was.judged, is.judged];
  return {
    id: `${kind}:${lines.map((l) => `${l.id}=${l.toG}`).join(',')}`,
    kind,
    title: extra.title ?? TITLES[kind],
    words: inAll(lines),
    formula,
    changes,
    lines,
    before,
    after,
    merit: after.merit,
    spoils: spoils(was, is),
    costs: [
      ...(kind === 'new' ? [] : inTheBake(was, is)),
      ...oddities(before, after, goneFrom(asked, formula, bowl.kitchen)),
      ...(extra.costs ?? []),
    ],
    cautions: [
      ...new Set([...(kind === 'new' ? [] : newDangers(asked, formula, bowl.kitchen)), ...(extra.cautions ?? [])]),
    ],
    request,
  };
}

/** What is named of the one that was not of the other. */
const newlyNamed = (before: Judged, after: Judged): readonly Verdict[] =>
  after.verdicts.filter(
    (v) => v.severity !== 'note' && !before.verdicts.some((b) => b.id === v.id && b.severity !== 'note'),
  );
export const namesMore = (before: Judged, after: Judged): boolean => newlyNamed(before, after).length > 0;

/** What is named anew, but for what was taken out on purpose: that there is no egg in it is no news then. */
function oddities(before: Judged, after: Judged, gone: ReadonlySet<string>): string[] {
  const odd = newlyNamed(before, after).filter((v) => !(v.suspect?.slip === 'missing' && gone.has(v.suspect.role)));
  return odd.length === 0 ? [] : [`out of the ordinary for its kind: ${odd.map(offWords).join(', ')}`];
}

/** Roles of which there was something, and is nothing. */
function goneFrom(was: Formula, is: Formula, kitchen: Kitchen): ReadonlySet<string> {
  const roles = (f: Formula): Set<string> =>
    new Set(allItems(f).flatMap((i) => (i.grams > 0 ? [ingredientFor(f, i, kitchen).role] : [])));
  const left = roles(is);
  return new Set([...roles(was)].filter((r) => !left.has(r)));
}

/** The whole of a proposal in a line. */
function inAll(lines: readonly ProposalLine[]): string {
  const said = lines
    .slice(0, 3)
    .map((l) => l.words)
    .join('; ');
  return `${capital(said)}${lines.length > 3 ? `; and ${lines.length - 3} more` : ''}`;
}

/**
 * Lines put right, with nothing searched for.
 * @param reasons what each line that was touched is for, by its id
 */
export function restoredProposal(
  asked: Formula,
  found: Formula,
  reasons: ReadonlyMap<string, string>,
  sure: Sure,
  kitchen: Kitchen,
): Proposal {
  const formula = reworded(asked, found, kitchen);
  const was = new Map(allItems(asked).map((i) => [i.id, i]));
  const lines = allItems(formula).flatMap((item): ProposalLine[] => {
    const reason = reasons.get(item.id);
    if (reason === undefined) return [];
    const old = was.get(item.id);
    const to = ingredientFor(formula, item, kitchen);
    const from = old ? ingredientFor(asked, old, kitchen) : to;
    const kind = !old ? 'added' : old.ingredient !== item.ingredient ? 'replaced' : 'amount';
    const fromG = old?.grams ?? 0;
    const groupId = formula.groups.find((g) => g.items.includes(item))?.id ?? '';
    return [
      {
        id: item.id,
        kind,
        name: to.name,
        fromG,
        toG: item.grams,
        words: lineWords(kind, from, to, fromG, item.grams, item, kitchen),
        reason,
        ...(kind !== 'amount' && { item }),
        ...(kind === 'added' && { groupId }),
      },
    ];
  });
  const kind: ProposalKind = sure === 'hint' ? 'hint' : 'restored';
  const [before, after] = [standingOf(asked, kitchen), standingOf(formula, kitchen)];
  return {
    id: `${kind}:${lines.map((l) => `${l.id}=${l.toG}`).join(',')}`,
    kind,
    title: TITLES[kind],
    words: inAll(lines),
    formula,
    changes: lines.filter((l) => l.kind === 'amount').map((l) => ({ itemId: l.id, grams: l.toG })),
    lines,
    before: before.judged,
    after: after.judged,
    merit: after.judged.merit,
    spoils: spoils(before, after),
    costs: before.slice && after.slice ? [sliceChange(before.slice, after.slice)] : [],
    cautions: newDangers(asked, formula, kitchen),
    request: {},
  };
}

/** What could hurt someone in this formula and could not in the one it came from: allergens first. */
function newDangers(was: Formula, is: Formula, kitchen: Kitchen): string[] {
  // apart: a caution and an allergen may go by the same name
  const held = new Set(allergensOf(was, kitchen));
  const warned = new Set(cautionsOf(was, kitchen).map((c) => c.id));
  const allergens = allergensOf(is, kitchen).filter((a) => !held.has(a));
  return [
    ...(allergens.length > 0 ? [`Brings ${allergens.join(' and ')}, which was not in it before.`] : []),
    ...cautionsOf(is, kitchen).flatMap((c) => (warned.has(c.id) ? [] : [c.words])),
  ];
}

/** Lines that a swap left at nothing are gone; a line that was at nothing before stays. */
function tidied(formula: Formula, asked: Formula): Formula {
  const had = new Map(allItems(asked).map((i) => [i.id, i.grams]));
  const gone = allItems(formula).filter((i) => i.grams < 0.005 && (had.get(i.id) ?? 0) >= 0.005);
  if (gone.length === 0) return formula;
  const ids = new Set(gone.map((i) => i.id));
  return {
    ...formula,
    groups: formula.groups.map((g) => ({ ...g, items: g.items.filter((i) => !ids.has(i.id)) })),
    method: formula.method.map((s) =>
      s.itemIds.some((id) => ids.has(id)) ? { ...s, itemIds: s.itemIds.filter((id) => !ids.has(id)) } : s,
    ),
  };
}

/**
 * A formula with only some lines of a proposal taken.
 * @param take ids of the lines to take; others stay as they are in `formula`
 */
export function withLines(formula: Formula, proposal: Proposal, take: readonly string[]): Formula {
  const mine = proposal.lines.filter((l) => take.includes(l.id));
  if (mine.length === proposal.lines.length) return proposal.formula;
  const gone = new Set(mine.filter((l) => l.kind === 'left out').map((l) => l.id));
  const amounts = mine.filter((l) => l.kind === 'amount').map((l) => ({ itemId: l.id, grams: l.toG }));
  const swapped = new Map(mine.flatMap((l) => (l.kind === 'replaced' && l.item ? [[l.id, l.item] as const] : [])));
  const added = mine.filter((l) => l.kind === 'added' && l.item);
  const base = applyChanges(formula, amounts);
  const heat = mine.some((l) => l.kind === 'heat') ? proposal.formula.bake : undefined;
  const taken: Formula = {
    ...base,
    ...(heat && { bake: heat }),
    ...(mine.some((l) => l.kind === 'family') && { family: proposal.formula.family }),
    groups: base.groups.map((g) => ({
      ...g,
      items: [
        ...g.items.filter((i) => !gone.has(i.id)).map((i) => swapped.get(i.id) ?? i),
        ...added.filter((l) => l.groupId === g.id).flatMap((l) => (l.item ? [l.item] : [])),
      ],
    })),
  };
  return reworded(formula, taken);
}

/** What came of a search, with what is to be said of every proposal in it. */
export function cautioned(out: Proposal[] | Conflict, cautions: readonly string[]): Proposal[] | Conflict {
  if (cautions.length === 0) return out;
  const said = (p: Proposal): Proposal => ({ ...p, cautions: [...new Set([...p.cautions, ...cautions])] });
  if (!isConflict(out)) return out.map(said);
  return { ...out, nearest: out.nearest && said(out.nearest), ...(out.anyway && { anyway: said(out.anyway) }) };
}
