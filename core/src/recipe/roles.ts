import { ingredientOf } from '../ingredient/catalogue.js';
import type { Formula, GroupRole, Item, Kitchen } from '../formula/types.js';
import { workOf } from '../method/operations.js';
import { isWarm } from '../method/added.js';
import type { Operation } from '../method/types.js';
import type { VerbId } from '../method/verbs.js';

/** More things than these are no recipe's, and no method tells where each of them goes; nor does one longer than that. */
export const MOST_ITEMS = 120;
const MOST_LETTERS = 20_000;

const puts: Readonly<Partial<Record<VerbId, GroupRole>>> = {
  pour: 'soak',
  brush: 'soak',
  drizzle: 'icing',
  frost: 'icing',
  spread: 'icing',
  sandwich: 'filling',
  layer: 'filling',
  dust: 'top',
  sprinkle: 'top',
  top: 'top',
};
const onTop: ReadonlySet<VerbId> = new Set<VerbId>(['sprinkle', 'top', 'press', 'dust', 'place', 'brush', 'glaze']);
const BETWEEN = /\b(?:between|sandwich\w*|in the middle|fill\w* with)\b/i;

/** What becomes of a thing that goes in at an operation outside the batter, by what is done with it next. */
function roleAt(ops: readonly Operation[], at: number): GroupRole | null {
  const here = ops[at] as Operation;
  if (here.phase === 'shape') {
    if (here.verb === 'layer' || BETWEEN.test(here.words)) return 'filling';
    return onTop.has(here.verb) ? 'top' : null;
  }
  const outside =
    here.phase === 'after' || here.phase === 'later' || (here.phase === 'oven' && here.meanwhile === true);
  if (!outside) return null;
  for (const o of ops.slice(at)) {
    if (BETWEEN.test(o.words) && (o.verb === 'sandwich' || o.verb === 'spread' || o.verb === 'fill')) return 'filling';
    const role = puts[o.verb];
    if (!role) continue;
    if (role === 'soak' || role === 'icing') {
      // thick stuff on a cold cake is an icing, thin stuff on a hot one soaks in
      const iced =
        /\b(?:icing|frosting|glaze|buttercream)\b/i.test(
          ops
            .slice(at, ops.indexOf(o) + 1)
            .map((x) => x.words)
            .join(' '),
        ) || /\b(?:icing|powdered|confectioner|conf)\b/i.test(here.words);
      if (iced || o.verb === 'frost' || o.verb === 'spread') return 'icing';
      return isWarm(o) || role === 'soak' || ops.slice(Math.max(0, at - 2), at + 3).some((x) => x.verb === 'prick')
        ? 'soak'
        : 'icing';
    }
    return role;
  }
  return null;
}

/**
 * Items of the batter that the method only uses outside it, with the part they go to: jam that is only ever spread between,
 * almonds only scattered, juice and sugar poured over the hot cake. What any operation of the bowl takes stays in the batter.
 */
/** So much sugar to the flour, as a share, is more than a dusting. Judgement. */
const SUGARED = 0.2;

export function usedApart(formula: Formula, items: readonly Item[], kitchen: Kitchen): Map<string, GroupRole> {
  const out = new Map<string, GroupRole>();
  const letters = formula.method.reduce((s, m) => s + m.text.length, 0);
  if (items.length > MOST_ITEMS || letters > MOST_LETTERS) return out;
  const { operations } = workOf(formula, kitchen);
  if (operations.length < 3) return out;
  const flourG = items.reduce((g, i) => g + (ingredientOf(i.ingredient, undefined, kitchen).base === undefined ? 0 : i.grams), 0); // prettier-ignore
  for (const item of items) {
    const at = operations.flatMap((o, i) => (o.takes.some((t) => t.itemId === item.id) ? [i] : []));
    const roles = at.map((i) => roleAt(operations, i));
    const [first] = roles;
    // flour, leavening and salt are never the cake's dress
    const { role } = ingredientOf(item.ingredient, undefined, kitchen);
    if (role === 'flour' || role === 'leavener' || role === 'salt') continue;
    // nor is all the sugar of a batter: "sugar on top" means some more
    if (role === 'sugar' && item.grams > SUGARED * flourG && items.every((i) => i === item || ingredientOf(i.ingredient, undefined, kitchen).role !== 'sugar')) continue; // prettier-ignore
    if (first && roles.every((r) => r !== null)) out.set(item.id, first);
  }
  return out;
}
