import { familyOf } from '../balance/families.js';
import { densityOf } from '../balance/totals.js';
import { weigh } from '../balance/weigh.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { capacityOf, outlineOf } from '../tin/geometry.js';
import type { Baking } from './baking.js';
import type { Choice, Doubt } from './draft.js';

/** Doubts that only the whole recipe shows: leavener out of proportion, odd heat, too small a tin, an unclear family. */
export function across(
  formula: Formula,
  baking: Baking,
  familyConfidence: number,
  lineOf: ReadonlyMap<string, number>,
  kitchen: Kitchen,
): Doubt[] {
  const out: Doubt[] = [];
  const w = weigh(formula, kitchen);
  const flour = w.totals.flourG;
  const place = (item: Item): Doubt['place'] => ({ line: lineOf.get(item.id) ?? 0, from: 0, to: item.words.length });
  for (const item of allItems(formula)) {
    const kind = ingredientFor(formula, item, kitchen).leavener;
    if (flour <= 0 || !kind || kind === 'acid') continue;
    const share = (100 * item.grams) / flour;
    if (kind === 'soda' && share > 3) {
      const choices: Choice[] = [
        {
          id: 'powder',
          words: 'baking powder is meant',
          edit: { kind: 'ingredient', itemId: item.id, ingredient: 'baking-powder', grams: item.grams * 0.9 },
        },
        {
          id: 'third',
          words: `a third of it, ${(item.grams / 3).toFixed(1)} g`,
          edit: {
            kind: 'amount',
            itemId: item.id,
            grams: item.grams / 3,
            entered: { value: Math.round((item.grams / 3) * 10) / 10, unit: 'g' },
          },
        },
        { id: 'keep', words: 'it is meant', edit: { kind: 'keep' } },
      ];
      out.push({
        id: `${item.id}-soda`,
        place: place(item),
        kind: 'leavener',
        itemId: item.id,
        likely: share > 4.5 ? 'powder' : 'third',
        words: `"${item.words}" is ${share.toFixed(1)} g soda to 100 g flour; 0.5 to 1.5 is usual. A spoon of another size, or powder?`,
        choices,
      });
    }
    if (kind === 'powder' && share > 9) {
      const choices: Choice[] = [
        {
          id: 'third',
          words: `teaspoons are meant, ${(item.grams / 3).toFixed(1)} g`,
          edit: {
            kind: 'amount',
            itemId: item.id,
            grams: item.grams / 3,
            entered: { value: Math.round((item.grams / 3) * 10) / 10, unit: 'g' },
          },
        },
        { id: 'keep', words: 'it is meant', edit: { kind: 'keep' } },
      ];
      out.push({
        id: `${item.id}-powder`,
        place: place(item),
        kind: 'leavener',
        itemId: item.id,
        likely: 'third',
        words: `"${item.words}" is ${share.toFixed(0)} g powder to 100 g flour; 3 to 6 is usual. Teaspoons rather than tablespoons?`,
        choices,
      });
    }
  }
  const bake = formula.bake;
  const odd = baking.heatDoubt;
  if (bake && odd) {
    const as = (scale: 'C' | 'F', ovenC: number): Choice => ({
      id: scale,
      words: scale === 'C' ? `${ovenC} °C` : `${odd.said} °F, that is ${ovenC} °C`,
      edit: { kind: 'bake', bake: { ...bake, ovenC } },
    });
    out.push({
      id: 'heat',
      place: { line: baking.line, from: 0, to: 0 },
      kind: 'temperature',
      likely: odd.likely,
      words: `"${odd.said}": Celsius or Fahrenheit?`,
      choices: [as('C', odd.asC), as('F', odd.asF)],
    });
  }
  const tin = formula.tins?.[0];
  if (tin && !outlineOf(tin.tin).free) {
    const ml = w.totals.batterG / densityOf(w.totals, familyOf(formula.family));
    const holds = capacityOf(tin.tin) * tin.count;
    if (ml > holds) {
      const need = Math.ceil((ml / holds) * tin.count * 1.4);
      out.push({
        id: 'tin',
        place: null,
        kind: 'tin',
        likely: 'more',
        words: `${Math.round(ml)} ml of batter do not fit ${tin.count === 1 ? 'a' : tin.count} ${tin.tin.name} of ${Math.round(holds)} ml.`,
        choices: [
          { id: 'more', words: `${need} such tins`, edit: { kind: 'tins', tins: [{ tin: tin.tin, count: need }] } },
          { id: 'keep', words: 'keep it and see', edit: { kind: 'keep' } },
        ],
      });
    }
  }
  if (familyConfidence < 0.25) {
    const ids = [
      ...new Set([formula.family, 'quick-bread', 'muffin', 'butter-cake-lean', 'oil-cake', 'free'] as const),
    ].slice(0, 5);
    out.push({
      id: 'family',
      place: null,
      kind: 'family',
      likely: formula.family,
      words: 'What is it? Its family decides which ranges it is judged by.',
      choices: ids.map((id) => ({ id, words: familyOf(id).name, edit: { kind: 'family', family: id } })),
    });
  }
  return out;
}
