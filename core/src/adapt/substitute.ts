import { batterTemperature } from '../balance/temperature.js';
import { weigh } from '../balance/weigh.js';
import { OrvinError } from '../errors.js';
import { allItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { bowlOf, freshId } from './bowl.js';
import { distances } from './model.js';
import { candidateOf } from './candidates.js';
import { heatBy } from './heat.js';
import { pairOf, proposalOf, shortName } from './proposal.js';
import { limitsOf, SWAP } from './settings.js';
import { evened } from './repair.js';
import { replacements, type Replacement } from './replacements.js';
import { search } from './search.js';
import { solverOf } from './solver.js';
import { jobOf } from './jobs.js';
import { onStep } from '../quantity/steps.js';
import { reworded } from '../method/reword.js';
import type { AdaptOptions, Candidate, Proposal, Request } from './types.js';
import { capital, enumerated } from '../text/plain.js';
import { isGum } from '../ingredient/kinds.js';

export interface SubstituteOptions extends AdaptOptions {
  /** `frozen` for fruit that goes in from the freezer. */
  readonly state?: 'frozen' | 'fresh';
}

/** Holds together what gluten would; g per 100 g of flour. */
const GUM_PCT = 0.6;

/** The line as it is to stand with another ingredient: its id is kept, so that the method still speaks of it. */
export function swappedItem(item: Item, to: Ingredient, grams: number): Item {
  const { form, note, pieces, premixed, ...rest } = item;
  void [form, note, premixed];
  return {
    ...rest,
    ingredient: to.id,
    words: shortName(to),
    entered: { value: grams, unit: 'g' },
    grams,
    // fruit that went in whole stays whole where its stand-in can be
    ...(pieces !== undefined && (to.pieces ?? false) !== pieces && to.role === 'fruit' ? { pieces } : {}),
  };
}

/** What a batter may need besides when one ingredient takes another's place: water, acid, gas, salt or a gum. */
export function companions(
  formula: Formula,
  from: Ingredient,
  to: Ingredient,
  grams: number,
  kitchen: Kitchen,
): Candidate[] {
  const lines = linesOf(formula, kitchen);
  const flourG = lines.reduce((s, l) => s + (l.ingredient.base === 'flour' ? l.grams : 0), 0);
  const has = (test: (i: Ingredient) => boolean): boolean => lines.some((l) => l.grams > 0 && test(l.ingredient));
  const lostWater =
    ((from.per100.water - to.per100.water) * grams) / 100 + ((to.drinks ?? 0) - (from.drinks ?? 0)) * grams;
  const acid = (i: Ingredient): number => i.acidMeq?.typical ?? 0;
  const lostAcid = ((acid(from) - acid(to)) * grams) / 100;
  const out: Candidate[] = [];
  const add = (ingredient: string, maxG: number, why: string, reluctance = 0.8): void => {
    if (!has((i) => i.id === ingredient))
      out.push({ ...candidateOf(formula, ingredient, maxG, kitchen), reluctance, why });
  };
  const plainLiquid = has((i) => i.role === 'liquid' && i.per100.water > 80 && (i.acidMeq?.typical ?? 0) < 4);
  if (lostWater > 4 && !plainLiquid && (lostWater > 20 || !has((i) => i.role === 'liquid')))
    add(
      has((i) => i.allergens.includes('milk')) && to.allergens.length > 0 ? 'milk' : 'water',
      2.5 * lostWater + 20,
      'makes up the water',
    );
  const soda = has((i) => i.leavener !== undefined && i.leavener !== 'acid') || from.leavener !== undefined;
  if (lostAcid > 3 && soda) {
    // the acid of a sour liquid is made good with another; that of cocoa or beer, by the leavener
    const sour = jobOf(from) === 'sour milk' || jobOf(from) === 'acid';
    add('lemon-juice', (150 * lostAcid) / 85, 'acid for the soda', sour ? 0.1 : 2);
    add('vinegar', (150 * lostAcid) / 83, 'acid for the soda', sour ? 0.3 : 2);
  }
  if (
    (lostAcid > 3 || from.leavener === 'soda' || (from.co2Mmol && !to.co2Mmol)) &&
    !has((i) => i.leavener === 'powder')
  )
    add('baking-powder', 0.07 * flourG, 'keeps the lift');
  if (lostAcid < -8 && !has((i) => i.leavener === 'soda')) add('baking-soda', 0.02 * flourG, 'meets the acid', 1.2);
  if (to.leavener === 'soda' && from.leavener === 'powder') {
    add('cream-of-tartar', 0.05 * flourG, 'acid for the soda');
    add('lemon-juice', 0.15 * flourG, 'acid for the soda', 1);
  }
  if ((from.saltG ?? 0) > 0.8 && from.role !== 'salt' && (to.saltG ?? 0) < 0.3 && !has((i) => i.role === 'salt'))
    add('salt', 0.02 * flourG, 'the salt that it brought');
  return out;
}

/**
 * Figures that a swap changes of itself and that nothing makes good: purée for butter is leaner and firmer, and taking eggs
 * out besides would not mend it. What holds a batter up has to be made good; what makes it tender need not.
 */
function consequences(from: Ingredient, to: Ingredient): readonly ('fat' | 'sugar' | 'beam')[] {
  if (from.role === to.role) return [];
  return from.role === 'fat' || from.role === 'sugar' ? [from.role, 'beam'] : [];
}

/** The formula with the ingredient in place, before anything is made good; and which lines the swap put in. */
function placed(
  formula: Formula,
  item: Item,
  to: Ingredient,
  r: Replacement | null,
  kitchen: Kitchen,
): { formula: Formula; eased: string[]; kept: number } {
  const w = weigh(formula, kitchen);
  const batterG = w.totals.batterG;
  const grams = usableGrams(item.grams);
  const already = w.lines.reduce((s, l) => s + (l.ingredient.id === to.id ? l.grams : 0), 0);
  const full = r?.grams ?? grams;
  // a weak flour is let in only as far as the crumb bears it
  const room = r?.most === null || r?.most === undefined ? full : Math.max(0, r.most * w.totals.flourG - already);
  const share = full > 0 ? Math.min(1, room / full) : 1;
  if (full > 0 && share < 0.07) return { formula, eased: [], kept: grams };
  const kept = share > 0.93 ? 0 : onStep(ingredientFor(formula, item, kitchen), grams * (1 - share), batterG, kitchen);
  const comes = onStep(to, full * (kept > 0 ? share : 1), batterG, kitchen) || full;
  const beside = w.lines.find((l) => l.ingredient.id === to.id && l.item.id !== item.id);
  const put = (i: Item): Item[] => {
    if (beside && i.id === beside.item.id)
      return [{ ...i, grams: i.grams + comes, entered: { value: i.grams + comes, unit: 'g' } }];
    if (i.id !== item.id) return [i];
    if (beside) return kept > 0 ? [{ ...i, grams: kept, entered: { value: kept, unit: 'g' } }] : [{ ...i, grams: 0 }];
    if (kept === 0) return [swappedItem(i, to, comes)];
    return [
      { ...i, grams: kept, entered: { value: kept, unit: 'g' } },
      { ...swappedItem(i, to, comes), id: freshId(formula, to.id) },
    ];
  };
  const next = { ...formula, groups: formula.groups.map((g) => ({ ...g, items: g.items.flatMap(put) })) };
  const eased = [beside?.item.id ?? (kept === 0 ? item.id : freshId(formula, to.id))];
  return { formula: next, eased, kept };
}

const gluten = (f: Formula, kitchen: Kitchen): boolean =>
  linesOf(f, kitchen).some(
    (l) =>
      l.ingredient.base === 'flour' &&
      l.grams > 0 &&
      l.ingredient.allergens.some((a) => ['wheat', 'rye', 'barley'].includes(a)),
  );
const gummed = (f: Formula, kitchen: Kitchen): boolean =>
  linesOf(f, kitchen).some((l) => isGum(l.ingredient) && l.grams > 0);

/**
 * Adds a gum where no flour is left that holds by gluten.
 * @param anyway although there is gluten still, since it is about to go
 */
export function withGum(formula: Formula, kitchen: Kitchen, anyway = false): Formula {
  if ((!anyway && gluten(formula, kitchen)) || gummed(formula, kitchen)) return formula;
  const w = weigh(formula, kitchen);
  const c = candidateOf(formula, 'xanthan', 0, kitchen);
  const grams = Math.max(1, Math.round((GUM_PCT * w.totals.flourG) / 100));
  return {
    ...formula,
    groups: formula.groups.map((g) =>
      g.id === c.groupId
        ? { ...g, items: [...g.items, { ...c.item, grams, entered: { value: grams, unit: 'g' } }] }
        : g,
    ),
  };
}

/**
 * One ingredient in another's place, with everything that follows from it made good: water, fat, sugar, acid and gas,
 * salt, heat. Always a proposal; where the bake suffers, its verdicts and costs say so.
 *
 * @param ingredient catalogue id, or the id of an own ingredient; usually one of `replacements`
 * @throws OrvinError `unknown-item` when there is no such line, `unknown-ingredient` when nobody knows the ingredient
 */
export async function substitute(
  formula: Formula,
  itemId: string,
  ingredient: string,
  kitchen: Kitchen = defaultKitchen,
  options: SubstituteOptions = {},
): Promise<Proposal> {
  const item = allItems(formula).find((i) => i.id === itemId);
  if (!item) throw new OrvinError('unknown-item', `The formula has no line '${itemId}'.`);
  const to = ingredientOf(ingredient, formula.ingredients, kitchen);
  if (to.id === 'unknown') throw new OrvinError('unknown-ingredient', `Nobody knows an ingredient '${ingredient}'.`);
  const from = ingredientFor(formula, item, kitchen);
  if (to.id === from.id) return inState(formula, item, from, options.state ?? 'fresh', kitchen);
  const r = replacements(formula, itemId, kitchen).find((x) => x.ingredient === ingredient) ?? null;

  const put = placed(formula, item, to, r, kitchen);
  if (put.eased.length === 0) return enough(formula, item, to, r, kitchen);
  const start = withGum(put.formula, kitchen);
  const gum = start !== put.formula;
  const bySwap = allItems(start).find((i) => i.id === put.eased[0])?.grams ?? 0;
  const flexible = to.role === 'egg' || from.role === 'egg' || to.leavener !== undefined ? [0.6, 1.35] : [0.82, 1.22];
  // of what is wetter, as little as brings the same water
  const wetter =
    to.per100.water > from.per100.water && from.role === 'liquid' ? from.per100.water / to.per100.water : 1;
  const request: Request = {
    like: formula,
    eased: put.eased,
    candidates: companions(start, from, to, usableGrams(item.grams), kitchen),
    wishes:
      put.eased[0] === undefined || bySwap <= 0
        ? []
        : [
            {
              kind: 'amount',
              itemId: put.eased[0],
              minG: bySwap * Math.min(flexible[0] ?? 1, 0.95 * wetter),
              maxG: bySwap * (flexible[1] ?? 1),
            },
          ],
    locked: [
      ...(options.locked ?? []).filter((id) => id !== item.id && !put.eased.includes(id)),
      ...(put.kept > 0 ? [item.id] : []),
    ],
  };
  const solver = await solverOf(options);
  const changes = consequences(from, to);
  const outside = distances(bowlOf(formula, {}, kitchen, []));
  const asPut = distances(bowlOf(start, {}, kitchen, []));
  const excused = new Map([...outside, ...changes.map((id) => [id, asPut.get(id) ?? 0] as const)]);
  const bowl = { ...bowlOf(start, request, kitchen, request.wishes ?? []), excused, changes: new Set<string>(changes) };
  const found = search(bowl, { wishes: request.wishes ?? [], weights: SWAP }, solver, limitsOf(options));
  const solved =
    found.kind === 'found'
      ? found
      : {
          kind: 'found' as const,
          formula: start,
          grams: bowl.moves.map((m) => m.line.grams),
          weighed: weigh(start, kitchen),
          touched: [],
          met: false,
        };
  const sugarG = weigh(formula, kitchen).totals.sugarG;
  const replacedSugar = Math.max(0, (from.per100.sugar * (usableGrams(item.grams) - put.kept)) / 100);
  const even = evened(solved.formula, formula, options.locked ?? [], kitchen);
  const lower =
    r && r.coolerC > 0 && sugarG > 0 ? heatBy(even.formula, (-r.coolerC * replacedSugar) / sugarG, kitchen) : null;
  const proposal = proposalOf('swap', formula, bowl, solved, request, {
    title: capital(`${pairOf(to, from)[0]} for ${pairOf(to, from)[1]}`),
    formula: lower?.formula ?? even.formula,
    reasons: even.reasons,
    costs: [
      ...(r && r.costs !== '' ? [r.costs] : []),
      ...(put.kept > 0 && r?.most ? [`no more than ${Math.round(100 * r.most)} % of the flour: ${r.whyMost}`] : []),
      ...(gum ? ['xanthan holds what gluten would'] : []),
      ...(r && r.check !== '' ? [`check ${r.check}`] : []),
      ...(from.role === 'egg' ? eggCosts(formula, kitchen) : []),
      ...methodCost(formula, even.formula, kitchen),
      ...(put.kept > 0 ? [] : stillSaid(reworded(formula, even.formula, kitchen), [from])),
    ],
  });
  const reasoned = proposal.lines.map((l) =>
    put.eased.includes(l.id) && (l.kind === 'replaced' || l.kind === 'added')
      ? { ...l, reason: 'in its place' }
      : l.id === item.id && (l.kind === 'left out' || l.kind === 'amount')
        ? { ...l, reason: `${shortName(to)} takes its place` }
        : l.item?.ingredient === 'xanthan'
          ? { ...l, reason: 'holds what gluten would' }
          : l,
  );
  return { ...proposal, lines: lower?.line ? [...reasoned, lower.line] : reasoned };
}

/** An egg-built crumb loses more with its eggs than any stand-in gives back. */
export function eggCosts(formula: Formula, kitchen: Kitchen): string[] {
  const pct = weigh(formula, kitchen).totals.eggPct;
  return pct > 55 ? ['egg built this crumb: cool it fully before cutting'] : [];
}

/** What the baker's own method still speaks of, although it is gone. */
export function stillSaid(formula: Formula, gone: readonly Ingredient[]): string[] {
  const text = formula.method.map((m) => m.text).join(' ');
  const words = gone
    .map((i) => shortName(i).split(' ').at(-1) ?? '')
    .filter((w) => w !== '' && new RegExp(`\\b${w}s?\\b`, 'i').test(text));
  const said = [...new Set(words)];
  return said.length > 0 ? [`your method still says ${enumerated(said)}`] : [];
}

/** When the way of mixing no longer suits: which one does. */
export function methodCost(was: Formula, now: Formula, kitchen: Kitchen): string[] {
  const poor = (f: Formula): string | null => {
    const { methods } = weigh(f, kitchen);
    const mine = methods.fits.find((x) => x.method === methods.chosen);
    const best = methods.fits[0];
    return methods.read && mine?.fit === 'poor' && best && best.method !== mine.method
      ? `mix it by ${best.name} now, not ${mine.name}`
      : null;
  };
  const after = poor(now);
  return after !== null && poor(was) === null ? [after] : [];
}

/** Nothing is swapped, since the crumb bears no more of it. */
function enough(formula: Formula, item: Item, to: Ingredient, r: Replacement | null, kitchen: Kitchen): Proposal {
  const bowl = bowlOf(formula, { locked: [item.id] }, kitchen, []);
  const grams = bowl.moves.map((m) => m.line.grams);
  const same = { kind: 'found' as const, formula, grams, weighed: bowl.start, touched: [], met: true };
  const out = proposalOf('swap', formula, bowl, same, {}, { title: `No more ${shortName(to)}` });
  const words = `there is as much ${shortName(to)} as this crumb bears, ${Math.round(100 * (r?.most ?? 1))} % of the flour: ${r?.whyMost ?? ''}`;
  return { ...out, words, costs: [words] };
}

/** Fruit from the freezer, or fresh again: nothing to solve, but the batter is colder and the bake longer. */
function inState(
  formula: Formula,
  item: Item,
  from: Ingredient,
  state: 'frozen' | 'fresh',
  kitchen: Kitchen,
): Proposal {
  const { note, ...rest } = item;
  void note;
  const words = state === 'frozen' ? `frozen ${shortName(from)}` : shortName(from);
  const next: Formula = {
    ...formula,
    groups: formula.groups.map((g) => ({
      ...g,
      items: g.items.map((i) =>
        i.id === item.id ? { ...rest, words, ...(state === 'frozen' && { note: 'from the freezer' }) } : i,
      ),
    })),
  };
  const bowl = bowlOf(formula, { locked: allItems(formula).map((i) => i.id) }, kitchen, []);
  const weighed = weigh(next, kitchen);
  const warm = (f: Formula): number => {
    const w = weigh(f, kitchen);
    return batterTemperature(w.lines, w.methods.chosen, kitchen.roomC).typical;
  };
  const by = Math.round(warm(next) - warm(formula));
  const proposal = proposalOf(
    'swap',
    formula,
    bowl,
    { kind: 'found', formula: next, grams: bowl.moves.map((m) => m.line.grams), weighed, touched: [], met: true },
    {},
    {
      title: state === 'frozen' ? `Frozen ${shortName(from)}` : `Fresh ${shortName(from)}`,
      costs:
        state === 'frozen'
          ? [`a batter ${Math.abs(by)} degrees colder: fold it in still frozen, and bake 3 to 6 minutes longer`]
          : [`a batter ${Math.abs(by)} degrees warmer: bake 3 to 6 minutes less`],
    },
  );
  return {
    ...proposal,
    lines: proposal.lines.map((l) => ({ ...l, reason: state === 'frozen' ? 'from the freezer' : 'fresh' })),
  };
}
