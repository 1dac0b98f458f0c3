import { familyOf } from '../balance/families.js';
import { ingredientFor } from '../formula/formula.js';
import { clausesIn } from '../method/clauses.js';
import { verbs } from '../method/verbs.js';
import type { FamilyId, Formula, Group, GroupRole, Item, Kitchen, MethodStep } from '../formula/types.js';
import { isDry } from '../ingredient/kinds.js';

type Slot = 'dry' | 'fat-sugar' | 'egg' | 'wet' | 'fold-in';
type Order = readonly { readonly slot: Slot; readonly name: string; readonly role: GroupRole }[];

const orders: Readonly<Record<'creaming' | 'rub-in' | 'muffin', Order>> = {
  creaming: [
    { slot: 'fat-sugar', name: 'Cream together', role: 'fat-sugar' },
    { slot: 'egg', name: 'Beat in, one at a time', role: 'egg' },
    { slot: 'dry', name: 'Dry', role: 'dry' },
    { slot: 'wet', name: 'In turns with the dry', role: 'wet' },
    { slot: 'fold-in', name: 'Fold in', role: 'fold-in' },
  ],
  'rub-in': [
    { slot: 'dry', name: 'Dry', role: 'dry' },
    { slot: 'fat-sugar', name: 'Rub in', role: 'fat-sugar' },
    { slot: 'egg', name: 'Bind', role: 'egg' },
    { slot: 'wet', name: 'Wet', role: 'wet' },
    { slot: 'fold-in', name: 'Fold in', role: 'fold-in' },
  ],
  muffin: [
    { slot: 'dry', name: 'Dry', role: 'dry' },
    { slot: 'wet', name: 'Wet', role: 'wet' },
    { slot: 'fold-in', name: 'Fold in', role: 'fold-in' },
  ],
};

/** Puts batter items into groups in mixing order, by the way the method or the family mixes. */
export function intoGroups(
  items: readonly Item[],
  formula: Formula,
  family: FamilyId,
  method: readonly MethodStep[],
  kitchen: Kitchen,
): Group[] {
  const said = method
    .map((m) => m.text)
    .join(' ')
    .toLowerCase();
  // "Greased 9 inch tin, 350 for 40 min" tells nothing of the bowl
  const mixes =
    /\ball[- ]in[- ]one\b|\bbeaters?\b|\bmelted\b/.test(said) ||
    method.some((m) => clausesIn(m.text, 0).some((c) => c.verb !== null && verbs[c.verb].at === 'mix'));
  const fat = items.some((i) => ingredientFor(formula, i, kitchen).role === 'fat');
  const usual = familyOf(family).methods[0];
  const way = /\bcream\b[^.]*\b(?:sugar|butter)|beat (?:the )?(?:soft )?butter/.test(said)
    ? 'creaming'
    : /\brub\b|cut (?:in )?the (?:cold )?butter/.test(said)
      ? 'rub-in'
      : !mixes && fat && (usual === 'creaming' || usual === 'rub-in')
        ? usual
        : 'muffin';
  const slotOf = (item: Item): Slot => {
    const i = ingredientFor(formula, item, kitchen);
    if (item.pieces ?? i.pieces) return 'fold-in';
    if (isDry(i)) return 'dry';
    if (way !== 'muffin' && (i.role === 'fat' || (i.role === 'sugar' && way === 'creaming'))) return 'fat-sugar';
    if (way === 'rub-in' && i.role === 'sugar') return 'dry';
    if (way !== 'muffin' && i.role === 'egg') return 'egg';
    if (i.role === 'addin') return 'fold-in';
    return 'wet';
  };
  return orders[way]
    .map(({ slot, name, role }) => ({ id: slot, name, role, items: items.filter((i) => slotOf(i) === slot) }))
    .filter((g) => g.items.length > 0);
}
