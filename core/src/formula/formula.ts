import { massChange, massIn } from '../quantity/figures.js';
import { withNamed } from '../ingredient/named.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { Change, Formula, Group, GroupRole, Ingredient, Item, Kitchen } from './types.js';
import { withGrams } from '../quantity/amount.js';

/** Groups that are not batter: what lies on top, between or around stays out of baker's %. */
const apart = new Set(['top', 'filling', 'icing', 'soak', 'grease']);
export const isBatter = (g: Group): boolean => !apart.has(g.role ?? 'batter');

export const allItems = (f: Formula): readonly Item[] => f.groups.flatMap((g) => g.items);
export const batterItems = (f: Formula): readonly Item[] => f.groups.filter(isBatter).flatMap((g) => g.items);

/** The ingredient of an item: the formula's own first, then the kitchen's, then the catalogue; with allergens its words name. */
export const ingredientFor = (f: Formula, item: Item, kitchen?: Kitchen): Ingredient =>
  withNamed(ingredientOf(item.ingredient, f.ingredients, kitchen), item.words);

/**
 * A number a computation may use: a negative, absurd or missing weight counts as nothing, and a verdict says so; less
 * than a hundredth of a gram is nothing too, so that no ratio runs away.
 */
export const usableGrams = (g: number): number => (Number.isFinite(g) && g >= 0.01 && g < 1e6 ? g : 0);

/** Sets weights. Items that do not exist are left out; nothing else of the formula changes. */
export function applyChanges(formula: Formula, changes: readonly Change[]): Formula {
  if (changes.length === 0) return formula;
  const to = new Map(changes.map((c) => [c.itemId, c.grams]));
  return {
    ...formula,
    groups: formula.groups.map((g) =>
      g.items.some((i) => to.has(i.id))
        ? { ...g, items: g.items.map((i) => withGrams(i, to.get(i.id) ?? i.grams)) }
        : g,
    ),
  };
}

const dry = new Set(['flour', 'cocoa', 'leavener', 'salt']);

/** Roles of groups that suit an item, best first. */
function suits(formula: Formula, item: Item, kitchen?: Kitchen): readonly GroupRole[] {
  const i = ingredientFor(formula, item, kitchen);
  if (item.pieces ?? i.pieces) return ['fold-in', 'wet', 'batter'];
  if (dry.has(i.role)) return ['dry', 'batter'];
  if (i.role === 'egg') return ['egg', 'wet', 'batter'];
  if (i.role === 'fat' || i.role === 'sugar') return ['fat-sugar', 'wet', 'batter'];
  if (i.role === 'flavour') return ['dry', 'wet', 'batter'];
  return ['wet', 'batter'];
}

/** Index of the group that an item is mixed with; −1 where none suits. */
export function groupFor(formula: Formula, item: Item, kitchen?: Kitchen): number {
  const roleOf = (g: Group): GroupRole => g.role ?? 'batter';
  const role = suits(formula, item, kitchen).find((r) => formula.groups.some((g) => roleOf(g) === r));
  return formula.groups.findIndex((g) => roleOf(g) === role);
}

/** The formula with one line more, under an id of its own, in the group of a role or in the one it is mixed with. */
export function withItem(f: Formula, item: Item, role?: GroupRole): Formula {
  const taken = new Set(f.groups.flatMap((g) => g.items).map((i) => i.id));
  let id = item.id;
  let n = taken.size + 1;
  while (taken.has(id)) id = `i${n++}`;
  const made = { ...item, id };
  const mixed = groupFor(f, item);
  const at = role ? f.groups.findIndex((g) => g.role === role) : mixed < 0 ? f.groups.findIndex(isBatter) : mixed;
  if (at < 0)
    return {
      ...f,
      groups: [...f.groups, { id: role ?? 'g1', name: role ? '' : 'Batter', role: role ?? 'batter', items: [made] }],
    };
  return { ...f, groups: f.groups.map((g, i) => (i === at ? { ...g, items: [...g.items, made] } : g)) };
}

/** An ingredient that the method speaks of, put at the end of the batter's first group; its amount is still to come. */

export interface Difference {
  readonly kind: 'added' | 'removed' | 'replaced' | 'amount' | 'title' | 'family' | 'bake' | 'tins' | 'method';
  readonly itemId?: string;
  readonly words: string;
  readonly from?: number;
  readonly to?: number;
}

const tenth = (g: number): number => Math.round(g * 10) / 10;

/** What changed from `a` to `b`, in reading order, in words. */
export function differences(a: Formula, b: Formula, kitchen?: Kitchen): Difference[] {
  const d = kitchen?.display;
  const out: Difference[] = [];
  if (a.title !== b.title) out.push({ kind: 'title', words: `"${a.title}" is now "${b.title}"` });
  if (a.family !== b.family) out.push({ kind: 'family', words: `family ${a.family} → ${b.family}` });
  const before = new Map(allItems(a).map((i) => [i.id, i]));
  const after = new Map(allItems(b).map((i) => [i.id, i]));
  for (const [id, i] of after) {
    const old = before.get(id);
    const name = ingredientFor(b, i, kitchen).name;
    if (!old) out.push({ kind: 'added', itemId: id, words: `${name} added`, to: i.grams });
    else if (old.ingredient !== i.ingredient)
      out.push({
        kind: 'replaced',
        itemId: id,
        words: `${ingredientFor(a, old, kitchen).name} ${massIn(d, tenth(old.grams))} → ${name} ${massIn(d, tenth(i.grams))}`,
        from: old.grams,
        to: i.grams,
      });
    else if (Math.abs(old.grams - i.grams) > 0.005)
      out.push({
        kind: 'amount',
        itemId: id,
        words: `${name} ${massChange(d, tenth(old.grams), tenth(i.grams))}`,
        from: old.grams,
        to: i.grams,
      });
  }
  for (const [id, i] of before)
    if (!after.has(id))
      out.push({ kind: 'removed', itemId: id, words: `${ingredientFor(a, i, kitchen).name} left out`, from: i.grams });
  if (JSON.stringify(a.bake) !== JSON.stringify(b.bake)) out.push({ kind: 'bake', words: 'heat or time changed' });
  if (JSON.stringify(a.tins) !== JSON.stringify(b.tins)) out.push({ kind: 'tins', words: 'tins changed' });
  if (JSON.stringify(a.method) !== JSON.stringify(b.method)) out.push({ kind: 'method', words: 'method changed' });
  else if (JSON.stringify(a.work) !== JSON.stringify(b.work))
    out.push({ kind: 'method', words: 'order of work changed' });
  return out;
}
