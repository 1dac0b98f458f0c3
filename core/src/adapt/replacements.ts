import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { ingredients } from '../ingredient/catalogue.js';
import { dietsOf, type Diet } from '../ingredient/diet.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { equalG, holdOf, isBread, jobOf, type Job } from './jobs.js';
import { standIns, type StandIn } from './table/stand-ins.js';
import { tidy } from '../quantity/steps.js';

/** Something that could take an ingredient's place, before anything is solved. */
export interface Replacement {
  /** Catalogue id, or the id of an own ingredient. */
  readonly ingredient: string;
  readonly name: string;
  /** Where the search begins, g. */
  readonly grams: number;
  /** How like it is in its job, 0–1; the order. */
  readonly score: number;
  /** What it costs, in words; empty when it hardly differs. */
  readonly costs: string;
  /** Share of the flour that may be it, 0–1, and why; null when there is no limit. */
  readonly most: number | null;
  readonly whyMost: string;
  /** In stock, g; null when the kitchen does not list it. */
  readonly stockG: number | null;
  /** Allergens that it brings and the old one did not. */
  readonly brings: readonly string[];
  readonly diets: readonly Diet[];
  readonly coolerC: number;
  readonly check: string;
  /** Replacements of one kin are hardly a choice between them. */
  readonly kin: string;
  /** The same ingredient in another state: fruit from the freezer, or fresh again. */
  readonly state?: 'frozen' | 'fresh';
}

/** Distance in composition, as the job sees it: parts per hundred over what matters. */
function unlike(a: Ingredient, b: Ingredient, job: Job): number {
  const [p, q] = [a.per100, b.per100];
  const off = (x: number, y: number, scale: number): number => Math.abs(x - y) / scale;
  const acid = off(a.acidMeq?.typical ?? 0, b.acidMeq?.typical ?? 0, 12);
  switch (job) {
    case 'flour':
    case 'starch':
      return (
        off(holdOf(a), holdOf(b), 60) + off(p.fibre, q.fibre, 15) + off(a.drinks ?? 0, b.drinks ?? 0, 0.3) + 0.4 * acid
      );
    case 'solid fat':
    case 'oil':
      return off(p.fat, q.fat, 60) + off(p.protein, q.protein, 20) + 0.3 * acid;
    case 'dry sugar':
    case 'syrup':
      return off(p.sugar, q.sugar, 40) + off(p.water, q.water, 40) + 0.6 * acid;
    case 'nuts':
    case 'dried fruit':
    case 'fresh fruit':
    case 'cheese':
    case 'chocolate':
      return off(p.water, q.water, 40) + off(p.sugar, q.sugar, 40) + off(p.fat, q.fat, 50) + 0.2 * acid;
    default:
      return (
        off(p.water, q.water, 40) +
        off(p.fat, q.fat, 25) +
        off(p.sugar, q.sugar, 30) +
        off(p.protein, q.protein, 20) +
        acid
      );
  }
}

/** Jobs whose every ingredient can stand in for another, besides those of the table. */
const ALIKE: ReadonlySet<Job> = new Set([
  'flour',
  'solid fat',
  'oil',
  'dry sugar',
  'syrup',
  'milk',
  'sour milk',
  'cream',
  'purée',
  'nuts',
  'nut flour',
  'dried fruit',
  'fresh fruit',
  'chocolate',
  'cheese',
  'cocoa',
  'powder',
  'acid',
  'salt',
  'alcohol',
]);
/** A flour of one grain or root that holds nothing by gluten; a packet of one's own may be blended to. */
const withoutGluten = (i: Ingredient): boolean =>
  i.basis !== "from the baker's label" && !i.allergens.some((a) => a === 'wheat' || a === 'rye' || a === 'barley');
/** Of such a flour, where the table says nothing: this share of the flour at most. */
const WEAK_MOST = 0.3;

/**
 * What could take an item's place, from the whole catalogue and the kitchen's own ingredients, best first; quick, since
 * nothing is solved. `substitute` solves one of them.
 *
 * @param suits diets that it must suit
 * @returns empty when nothing does its job, or when there is no such item
 */
export function replacements(
  formula: Formula,
  itemId: string,
  kitchen: Kitchen = defaultKitchen,
  suits: readonly Diet[] = [],
): Replacement[] {
  const item = allItems(formula).find((i) => i.id === itemId);
  if (!item) return [];
  const from = ingredientFor(formula, item, kitchen);
  const job = jobOf(from);
  if (job === null) return [];
  const table = new Map((standIns[job] ?? []).map((s) => [s.id, s]));
  const flourG = linesOf(formula, kitchen).reduce((s, l) => s + (l.ingredient.base === 'flour' ? l.grams : 0), 0);
  const mine = (i: Ingredient): boolean =>
    i.id !== from.id && i.id !== 'unknown' && (table.has(i.id) || (ALIKE.has(job) && jobOf(i) === job && !i.odd));
  const other = [...kitchen.ownIngredients, ...ingredients]
    .filter((i) => mine(i) && suits.every((d) => dietsOf(i).includes(d)))
    .map((to): Replacement => {
      const known: StandIn | undefined = table.get(to.id);
      const grams = known?.per !== undefined ? item.grams * known.per : equalG(job, from, to, item.grams);
      const stockG = kitchen.stock[to.id] ?? null;
      const weak = !known && job === 'flour' && withoutGluten(to);
      const most = known?.most?.[isBread(formula.family) ? 0 : 1] ?? (weak ? WEAK_MOST : null);
      const likeness = 1 / (1 + unlike(from, to, job));
      const there = stockG !== null && stockG >= grams ? 0.08 : 0;
      // of a flour that is let in for a little only, the better stand-in is the one that can take the whole place
      const room = most === null || flourG <= 0 ? 1 : Math.min(1, (most * flourG) / Math.max(1, item.grams));
      return {
        ingredient: to.id,
        name: to.name,
        grams: tidy(grams),
        score: Math.min(1, 0.55 * (known?.ready ?? 0.15) + 0.37 * likeness * (0.6 + 0.4 * room) + there),
        costs: known?.costs ?? '',
        most,
        whyMost: known?.whyMost ?? (weak ? 'no gluten' : ''),
        stockG,
        brings: to.allergens.filter((a) => !from.allergens.includes(a)),
        diets: dietsOf(to),
        coolerC: known?.coolerC ?? 0,
        check: known?.check ?? '',
        kin: known?.kin ?? to.id,
      };
    })
    .sort((a, b) => b.score - a.score || (a.ingredient < b.ingredient ? -1 : 1));
  return job === 'fresh fruit' ? [inOtherState(item, from, kitchen), ...other] : other;
}

/** Fresh fruit can go in from the freezer, and frozen fruit fresh. */
function inOtherState(item: Item, from: Ingredient, kitchen: Kitchen): Replacement {
  const frozen = /frozen|freezer/i.test(`${item.words} ${item.note ?? ''}`);
  return {
    ingredient: from.id,
    name: `${from.name.replace(/,.*/, '')}, ${frozen ? 'fresh' : 'frozen'}`,
    grams: item.grams,
    score: 1,
    costs: frozen ? '' : 'a colder batter, a longer bake',
    most: null,
    whyMost: '',
    stockG: kitchen.stock[from.id] ?? null,
    brings: [],
    diets: dietsOf(from),
    coolerC: 0,
    check: '',
    kin: from.id,
    state: frozen ? 'fresh' : 'frozen',
  };
}
