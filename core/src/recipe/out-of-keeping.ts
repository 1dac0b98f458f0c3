import { heldAgainst } from '../balance/held.js';
import type { Weighed } from '../balance/weigh.js';
import { ingredientFor } from '../formula/formula.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { NamedSuspect } from '../plausible/plausible.js';
import { amount } from '../plausible/words.js';
import { plain } from '../quantity/numbers.js';
import { comesInAs, onStep } from '../quantity/steps.js';
import type { Choice, Doubt } from './draft.js';
import { amountOf, meant, type Places } from './places.js';

/** What a suspect would be if it were otherwise, as an answer. */
function answer(s: NamedSuspect, id: string, formula: Formula, w: Weighed, kitchen: Kitchen): Choice {
  const { batterG } = w.totals;
  const item = formula.groups.flatMap((g) => g.items).find((i) => i.id === s.itemId);
  const likely = s.likely === undefined ? undefined : ingredientOf(s.likely);
  if (!item) {
    const comesIn = likely ?? ingredientOf('plain-flour');
    const grams = comesInAs(comesIn, s.likelyG, batterG, kitchen);
    const name = comesIn.name.replace(/,.*/, '').toLowerCase();
    const words = `${plain(grams)} g ${name}`;
    const came: Item = { id: 'i1', ingredient: comesIn.id, words, entered: { value: grams, unit: 'g' }, grams };
    const said = amount(grams, comesIn, batterG, kitchen);
    const add = comesIn.role === 'egg' ? said : `${said} ${name}`;
    return { id, words: `add ${add}`, edit: { kind: 'item', item: came } };
  }
  if (s.slip === 'name' && likely) {
    const words = `${likely.name.toLowerCase()} is meant`;
    const edit = { kind: 'ingredient', itemId: item.id, ingredient: likely.id } as const;
    // as many spoons weigh a little otherwise, and stay as they were written
    if (Math.abs(Math.log(s.likelyG / item.grams)) < 0.2) return { id, words, edit: { ...edit, grams: s.likelyG } };
    const grams = onStep(likely, s.likelyG, batterG, kitchen);
    const much = amount(grams, likely, batterG, kitchen);
    return { id, words: `${words}, ${much}`, edit: { ...edit, grams, entered: { value: grams, unit: 'g' } } };
  }
  const i = ingredientFor(formula, item, kitchen);
  return amountOf(id, 'as the rest has it', item, onStep(i, s.likelyG, batterG, kitchen));
}

/**
 * The one line that does not fit the rest, or what is missing, where the judgement of the whole says so. Soda without acid is
 * one question with as many answers as would explain it.
 */
export function outOfKeeping(formula: Formula, w: Weighed, at: Places, kitchen: Kitchen): Doubt[] {
  const held = heldAgainst(formula, w, kitchen);
  const [s] = held?.suspects ?? [];
  if (!held || !s || s.sure === 'hint') return [];
  const readings = held.acidless > 0 ? held.suspects.filter((x) => x.sure !== 'hint') : [s];
  const choices = readings.map((r, n) => answer(r, n === 0 ? 'fits' : `fits-${n + 1}`, formula, w, kitchen));
  const likely = s.sure === 'plain' ? 'fits' : 'keep';
  if (s.itemId === undefined) {
    const none = { ...meant, words: held.acidless > 0 ? 'it has enough' : 'it has none' };
    return [
      { id: `without-${s.role}`, place: null, kind: 'unlisted', likely, words: s.words, choices: [...choices, none] },
    ];
  }
  return [
    {
      id: `${s.itemId}-fits`,
      place: at.item(s.itemId),
      kind: s.slip === 'name' ? 'leavener' : 'amount',
      itemId: s.itemId,
      likely,
      words: s.words,
      choices: [...choices, meant],
    },
  ];
}
