import { weigh } from '../balance/weigh.js';
import { allItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { ask, type Asked, type PresetOptions } from './ask.js';
import { freshId, type Bowl } from './bowl.js';
import { heatBy } from './heat.js';
import { planOf, type Planned } from './plan.js';
import { conflictOf } from './conflict.js';
import { presetOf, type Preset, type PresetId } from './presets.js';
import { cautioned, namesMore, proposalOf, shortName } from './proposal.js';
import { conflict, fault } from './faults.js';
import { rebalance } from './rebalance.js';
import { evened } from './repair.js';
import { limitsOf, MUCH, SWAP, TRIFLE } from './settings.js';
import type { Replacement } from './replacements.js';
import { search, type Found, type Terms } from './search.js';
import { solverOf } from './solver.js';
import { reworded } from '../method/reword.js';
import { eggCosts, methodCost, stillSaid, swappedItem } from './substitute.js';
import {
  isConflict,
  type AdaptOptions,
  type Conflict,
  type NamedWish,
  type Proposal,
  type ProposalLine,
  type Wish,
} from './types.js';
import { listed } from './why-not.js';
import { isMet, measuredOf, shortOf } from './wishes.js';
import { capital } from '../text/plain.js';

const BENT = 60;

/**
 * Adapts a formula to a preset: what cannot stay goes, what may take its place competes for it, and the search finds the
 * amounts that keep what the formula is like. Says what it could not keep.
 */
export async function adapt(
  formula: Formula,
  presetId: PresetId,
  kitchen: Kitchen = defaultKitchen,
  options: PresetOptions = {},
): Promise<Proposal[] | Conflict> {
  const preset = presetOf(presetId);
  if (!preset) return conflict('wishes', `There is no request called "${String(presetId)}".`);
  const asked = withWishes(ask(preset, formula, kitchen, options), options.wishes ?? []);
  const wrong = fault(formula, kitchen);
  if (wrong) return wrong;
  /** A conflict as the caller knows it: the preset by its name, and the caller's own wishes by their places. */
  const named = (wishes: readonly NamedWish[], c: Conflict): Conflict => {
    const own = asked.wishes.length - asked.besides.length;
    const list = wishes.map((n): NamedWish => {
      if (n.index === null) return n;
      const wish = asked.besides[n.index - own];
      return wish
        ? { ...n, index: options.wishes?.indexOf(wish) ?? null }
        : { index: null, words: preset.id === 'what-i-have' ? n.words : preset.name };
    });
    const others = list.filter((n) => n.words !== preset.name).map((n) => n.words);
    const words =
      others.length > 0 ? `These cannot be had together: ${listed([preset.name, ...new Set(others)])}.` : c.words;
    return { ...c, words, wishes: list.length > 0 ? list : [{ index: null, words: preset.name }] };
  };
  if (asked.out.length === 0 && asked.extra.length === 0 && !asked.bending && presetId !== 'what-i-have') {
    if (asked.wishes.length === 0) return [];
    const out = await rebalance(
      formula,
      { wishes: asked.wishes, locked: options.locked ?? [] },
      asked.kitchen,
      options,
    );
    const said = cautioned(out, preset.cautions);
    return isConflict(said)
      ? named(said.wishes, said)
      : said.map((p) => ({ ...p, costs: [...p.costs, ...asked.costs] }));
  }
  const plan = planOf(formula, asked, preset, options.locked ?? []);
  // what only flavours can be done without; what a batter is made of cannot
  const needed = preset.id === 'what-i-have' ? plan.lost.filter((i) => figuresIn(formula, i, kitchen)) : [];
  if (needed.length > 0) return notThere(needed.map((i) => ingredientFor(formula, i, kitchen)));
  const solver = await solverOf(options);
  const limits = limitsOf(options);
  const { pinnedWishes, bowl } = plan;
  const terms: Terms = { wishes: pinnedWishes, weights: SWAP, ...(asked.bending && { bending: BENT }) };
  const first = search(bowl, terms, solver, limits);
  if (first.kind === 'limit')
    return conflict(
      'limit',
      `The search was stopped after ${limits.maxNodes} steps before it found anything that holds.`,
    );
  if (first.kind === 'infeasible' || (!first.met && !asked.bending)) {
    const near = search(bowl, { ...terms, bending: BENT }, solver, limits);
    const nearest = near.kind === 'found' ? told(formula, preset, plan, near, asked) : null;
    const missing = presetId === 'what-i-have' ? shortOf(near.kind === 'found' ? near.formula : formula, kitchen) : [];
    if (missing.length > 0)
      return { ...notThere(missing.map((m) => ingredientOf(m.ingredient, formula.ingredients, kitchen))), nearest };
    return named(
      conflictOf(bowl.formula, plan.request, kitchen, solver, limits),
      conflict('wishes', `It cannot be had ${preset.name} and stay what it is.`, [], nearest),
    );
  }
  const out = [told(formula, preset, plan, first, asked)];
  if (await stopped(options)) return conflict('cancelled', 'Stopped before it was done.');
  // another choice of stand-ins, where there is one
  const chosen = plan.choices.map((ids) => ids.filter((id) => came(bowl, first, id)));
  const other = chosen.flat().map((id) => bowl.moves.findIndex((m) => m.line.item.id === id));
  if (other.length > 0 && plan.choices.some((c) => c.length > 1)) {
    const second = search(bowl, { ...terms, notAgain: [other] }, solver, limits);
    if (
      second.kind === 'found' &&
      (second.met || asked.bending) &&
      second.weighed.stray <= first.weighed.stray + TRIFLE
    )
      out.push({ ...told(formula, preset, plan, second, asked), kind: 'another' });
  }
  const start = weigh(formula, asked.kitchen).stray;
  const astray = (p: Proposal): boolean => weigh(p.formula, asked.kitchen).stray > start + TRIFLE;
  const best = out[0] as Proposal;
  if (astray(best) && namesMore(best.before, best.after))
    return conflict('cannot', `It can be had ${preset.name}, but not in balance: ${best.after.words}.`, [], best);
  const [one, alternative] = out.filter((p) => p === best || !astray(p));
  // of two choices of stand-ins, the one that leaves the more plausible bake comes first
  return one && alternative ? (alternative.merit < one.merit - MUCH ? [alternative, one] : [one, alternative]) : [best];
}

/** What was asked, and what the baker wishes besides of the lines that stay. */
function withWishes(asked: Asked, wishes: readonly Wish[]): Asked & { readonly besides: readonly Wish[] } {
  const gone = new Set(asked.out.map((i) => i.id));
  const besides = wishes.filter((w) => !('itemId' in w) || !gone.has(w.itemId));
  return { ...asked, wishes: [...asked.wishes, ...besides], besides };
}

const notThere = (what: readonly Ingredient[]): Conflict =>
  conflict(
    'wishes',
    `There is not enough in stock of ${what.map(shortName).join(', ')}, and nothing there to take its place.`,
    [{ index: null, words: 'nothing but what is in stock' }],
  );

/** Whether a line counts for more than its taste. */
const figuresIn = (formula: Formula, item: Item, kitchen: Kitchen): boolean => {
  const { role, pieces } = ingredientFor(formula, item, kitchen);
  return role !== 'flavour' && !(item.pieces ?? pieces ?? false);
};

const stopped = async (o: AdaptOptions): Promise<boolean> => (await o.cancelled?.()) === true;
const came = (bowl: Bowl, found: Found, id: string): boolean =>
  (found.grams[bowl.moves.findIndex((m) => m.line.item.id === id)] ?? 0) > 0;

/** Puts the chosen stand-ins in the places of what they stand in for, and says what it cost. */
function told(formula: Formula, preset: Preset, plan: Planned, found: Found, asked: Asked): Proposal {
  const { kitchen } = asked;
  const candidateIds = new Set(plan.chosenFor.keys());
  const came = new Map<string, { to: Item; replacement: Replacement }[]>();
  for (const i of allItems(found.formula)) {
    const c = plan.chosenFor.get(i.id);
    if (c && i.grams > 0) came.set(c.item.id, [...(came.get(c.item.id) ?? []), { to: i, replacement: c.replacement }]);
  }
  const placed: Formula = {
    ...found.formula,
    groups: found.formula.groups.map((g) => ({
      ...g,
      items: g.items
        .filter((i) => !candidateIds.has(i.id))
        .flatMap((i): Item[] => {
          const mine = came.get(i.id);
          if (!mine) return [i];
          return mine.map(({ to }, n) => ({
            ...swappedItem(i, ingredientOf(to.ingredient, formula.ingredients, kitchen), to.grams),
            ...(n > 0 && { id: freshId(formula, to.ingredient) }),
          }));
        }),
    })),
  };
  const merged = oneLineEach(placed, formula, plan.goes, kitchen);
  const title = titleOf(formula.title, preset);
  const keeps = (w: Wish, f: Formula): boolean => isMet(w, f, weigh(f, kitchen), kitchen, formula);
  // judged by the name that it then has
  const named = { ...merged, title };
  const had = plan.pinnedWishes.filter((w) => keeps(w, named));
  const even = evened(
    named,
    formula,
    plan.request.locked ?? [],
    kitchen,
    (f) =>
      had.every((w) => keeps(w, f)) &&
      allItems(f).every((i) => allItems(named).some((x) => x.ingredient === i.ingredient) || asked.fits(ingredientFor(f, i, kitchen))), // prettier-ignore
  );
  const heated = heatBy(even.formula, asked.heatC - coolerBy(formula, plan, came, kitchen), kitchen);
  const replaced = [...came.values()].flat().map((x) => x.replacement);
  const unmet = asked.bending
    ? plan.pinnedWishes
        .filter((w) => 'words' in w && !metBy(w, heated.formula, kitchen))
        .map((w) => `${'words' in w ? (w.words ?? '') : ''} only in part, to stay what it is`)
    : [];
  const proposal = proposalOf(
    'swap',
    formula,
    plan.bowl,
    found,
    { ...plan.request },
    {
      title: capital(preset.name),
      formula: heated.formula,
      reasons: even.reasons,
      costs: [
        ...(title === formula.title ? [] : [`called “${title}” from then on`]),
        ...[...new Set(replaced.map((r) => r.costs).filter((c) => c !== ''))],
        ...plan.lost.map(
          (i) => `${shortName(ingredientFor(formula, i, kitchen))} left out: nothing stands in for it here`,
        ),
        ...unmet,
        ...[...new Set(replaced.filter((r) => r.check !== '').map((r) => `check ${r.check}`))],
        ...(preset.id === 'eggless' || preset.id === 'vegan' ? eggCosts(formula, kitchen) : []),
        ...methodCost(formula, heated.formula, kitchen),
        ...stillSaid(
          reworded(formula, heated.formula, kitchen),
          [...plan.goes, ...plan.lost, ...plan.direct.map((d) => d.item)].map((i) =>
            ingredientFor(formula, i, kitchen),
          ),
        ),
        ...asked.costs,
      ],
      cautions: preset.cautions,
    },
  );
  const swapped = new Map([...came].flatMap(([id, list]) => list.map((x) => [id, x.replacement] as const)));
  const lines = proposal.lines.map((l): ProposalLine => {
    const r = swapped.get(l.id);
    if (r && l.kind === 'replaced') return { ...l, reason: 'in its place' };
    if (l.kind === 'replaced') return { ...l, reason: 'like for like' };
    if (plan.lost.some((i) => i.id === l.id)) return { ...l, reason: 'nothing stands in for it here' };
    if (
      l.kind === 'amount' &&
      [...swapped.values()].some((x) => x.ingredient === ingredientOfLine(l, heated.formula)) &&
      plan.goes.length > 0
    )
      return {
        ...l,
        reason: `stands in for ${listedNames(plan.goes, formula, kitchen, l, swapped, heated.formula)} too`,
      };
    if (l.kind === 'left out' && r)
      return { ...l, reason: `${r.name.replace(/,.*/, '').toLowerCase()} stands in for both` };
    return l.item?.ingredient === 'xanthan' ? { ...l, reason: 'holds what gluten would' } : l;
  });
  return { ...proposal, lines: heated.line ? [...lines, heated.line] : lines };
}

/** What it is without has a name of its own, and is judged by it: "Victoria sponge, without egg". */
const titleOf = (title: string, { name, suits }: Preset): string =>
  suits.length === 0 || title.toLowerCase().includes(name) ? title : `${title}, ${name}`;

const ingredientOfLine = (l: ProposalLine, f: Formula): string =>
  allItems(f).find((i) => i.id === l.id)?.ingredient ?? '';
/** The lines that went and whose stand-in is what this line holds. */
const listedNames = (
  goes: readonly Item[],
  was: Formula,
  kitchen: Kitchen,
  l: ProposalLine,
  swapped: ReadonlyMap<string, Replacement>,
  now: Formula,
): string =>
  goes
    .filter((i) => swapped.get(i.id)?.ingredient === ingredientOfLine(l, now))
    .map((i) => shortName(ingredientFor(was, i, kitchen)))
    .join(' and ');

function metBy(w: Wish, formula: Formula, kitchen: Kitchen): boolean {
  if (w.kind !== 'measure') return true;
  const x = measuredOf(weigh(formula, kitchen), kitchen)[w.of];
  return (w.max === undefined || x <= w.max * 1.02 + 0.1) && (w.min === undefined || x >= w.min * 0.98 - 0.1);
}

/** Two lines that have become the same ingredient in one group are one line: the one that was of its kind before. */
function oneLineEach(formula: Formula, was: Formula, goes: readonly Item[], kitchen: Kitchen): Formula {
  const touched = new Set(goes.map((i) => i.id));
  const roles = new Map(goes.map((i) => [i.id, ingredientFor(was, i, kitchen).role]));
  const ingredientRole = (i: Item): string => ingredientFor(formula, i, kitchen).role;
  return {
    ...formula,
    groups: formula.groups.map((g) => {
      const twins = (i: Item): Item[] => g.items.filter((x) => x.ingredient === i.ingredient && x.grams > 0);
      const stays = (i: Item): Item | undefined => {
        const all = twins(i);
        return all.find((x) => !touched.has(x.id)) ?? all.find((x) => roles.get(x.id) === ingredientRole(x)) ?? all[0];
      };
      const items = g.items.flatMap((i): Item[] => {
        const all = twins(i);
        if (all.length < 2 || !all.some((x) => touched.has(x.id))) return [i];
        if (stays(i) !== i) return [];
        const grams = all.reduce((s, x) => s + x.grams, 0);
        return [{ ...i, grams, entered: { value: grams, unit: 'g' } }];
      });
      return { ...g, items };
    }),
  };
}

/** What the stand-ins that brown early ask of the oven, °C. */
function coolerBy(
  formula: Formula,
  plan: Planned,
  came: ReadonlyMap<string, { replacement: Replacement }[]>,
  kitchen: Kitchen,
): number {
  const sugarG = weigh(formula, kitchen).totals.sugarG;
  if (sugarG <= 0) return 0;
  return plan.goes.reduce((s, item) => {
    const r = came.get(item.id)?.[0]?.replacement;
    const sugar = (ingredientFor(formula, item, kitchen).per100.sugar * usableGrams(item.grams)) / 100;
    return s + (r ? (r.coolerC * sugar) / sugarG : 0);
  }, 0);
}
