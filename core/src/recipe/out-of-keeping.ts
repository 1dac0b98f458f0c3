import { heldAgainst } from '../balance/held.js';
import type { Weighed } from '../balance/weigh.js';
import { ingredientFor } from '../formula/formula.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { amount } from '../plausible/words.js';
import { plain } from '../quantity/numbers.js';
import { comesInAs, onStep } from '../quantity/steps.js';
import type { Choice, Doubt } from './draft.js';
import { amountOf, meant, type Places } from './places.js';

/** The one line that does not fit the rest, or what is missing, where the judgement of the whole says so. */
export function outOfKeeping(formula: Formula, w: Weighed, at: Places, kitchen: Kitchen): Doubt[] {
  const s = heldAgainst(formula, w, kitchen)?.suspects[0];
  if (!s || s.sure === 'hint') return [];
  const likely = s.sure === 'plain' ? 'fits' : 'keep';
  const item = formula.groups.flatMap((g) => g.items).find((i) => i.id === s.itemId);
  if (!item) {
    const comesIn = ingredientOf(s.likely ?? 'plain-flour');
    const grams = comesInAs(comesIn, s.likelyG, w.totals.batterG, kitchen);
    const words = `${plain(grams)} g ${comesIn.name.replace(/,.*/, '').toLowerCase()}`;
    const came: Item = { id: 'i1', ingredient: comesIn.id, words, entered: { value: grams, unit: 'g' }, grams };
    const said = amount(grams, comesIn, w.totals.batterG, kitchen);
    const name = comesIn.name.replace(/,.*/, '').toLowerCase();
    const add: Choice = {
      id: 'fits',
      words: `add ${comesIn.role === 'egg' ? said : `${said} ${name}`}`,
      edit: { kind: 'item', item: came },
    };
    return [
      {
        id: `without-${s.role}`,
        place: null,
        kind: 'unlisted',
        likely,
        words: s.words,
        choices: [add, { ...meant, words: 'it has none' }],
      },
    ];
  }
  const choice: Choice =
    s.slip === 'name' && s.likely
      ? {
          id: 'fits',
          words: `${ingredientOf(s.likely).name.toLowerCase()} is meant`,
          edit: { kind: 'ingredient', itemId: item.id, ingredient: s.likely, grams: s.likelyG },
        }
      : amountOf(
          'fits',
          'as the rest has it',
          item,
          onStep(ingredientFor(formula, item, kitchen), s.likelyG, w.totals.batterG, kitchen),
        );
  return [
    {
      id: `${item.id}-fits`,
      place: at.item(item.id),
      kind: s.slip === 'name' ? 'leavener' : 'amount',
      itemId: item.id,
      likely,
      words: s.words,
      choices: [choice, meant],
    },
  ];
}
