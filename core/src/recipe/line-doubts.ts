import { ingredientOf } from '../ingredient/catalogue.js';
import type { Entered, Ingredient, Item, Kitchen, Source } from '../formula/types.js';
import { gramsOf, printEntered } from '../quantity/amount.js';
import { asFraction, plain } from '../quantity/numbers.js';
import { sizeOf, unitOf } from '../quantity/units.js';
import type { Segment, Stated } from './anatomy.js';
import type { Choice, Doubt, Place } from './draft.js';
import { lookAlikes, type Match } from './match.js';

/** Where a doubt about a line belongs. */
export interface LineContext {
  readonly itemId: string;
  readonly place: Place;
  readonly namePlace: Place;
  readonly text: string;
}

interface Way {
  readonly grams: number;
  readonly entered: Entered;
  readonly stated: Stated;
}

const nameOf = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();
const keep = (words: string): Choice => ({ id: 'keep', words, edit: { kind: 'keep' } });
const drop = (itemId: string): Choice => ({ id: 'drop', words: 'not an ingredient', edit: { kind: 'drop', itemId } });
const grams = (itemId: string, id: string, words: string, g: number, entered?: Entered): Choice => ({
  id,
  words,
  edit: {
    kind: 'amount',
    itemId,
    grams: g,
    entered: entered ?? { value: Math.round(g * 10) / 10, unit: 'g' },
  },
});
const spanOf = (c: LineContext, s: Stated): Place => ({
  ...c.place,
  from: c.place.from + s.from,
  to: c.place.from + s.to,
});

/** A volume and a weight in one line that cannot both be right. */
export function disagree(weight: Way, volume: Way, ingredient: Ingredient, c: LineContext): Doubt {
  return {
    id: `${c.itemId}-disagree`,
    place: spanOf(c, volume.stated),
    kind: 'disagree',
    itemId: c.itemId,
    likely: 'volume',
    words: `${printEntered(volume.entered)} of ${nameOf(ingredient)} weighs about ${plain(volume.grams)} g, not ${plain(weight.grams)} g. Which is meant?`,
    choices: [
      grams(
        c.itemId,
        'volume',
        `${printEntered(volume.entered)}, that is ${plain(volume.grams)} g`,
        volume.grams,
        volume.entered,
      ),
      grams(c.itemId, 'weight', `${plain(weight.grams)} g, as weighed`, weight.grams, {
        value: weight.grams,
        unit: 'g',
      }),
    ],
  };
}

export function twoWeights(a: Way, b: Way, ingredient: Ingredient, c: LineContext): Doubt {
  const as = (w: Way, id: string): Choice =>
    grams(c.itemId, id, `${printEntered(w.entered)}, that is ${plain(w.grams)} g`, w.grams, w.entered);
  return {
    id: `${c.itemId}-weights`,
    place: spanOf(c, a.stated),
    kind: 'disagree',
    itemId: c.itemId,
    likely: 'first',
    words: `Two weights of ${nameOf(ingredient)} that differ: ${plain(a.grams)} g and ${plain(b.grams)} g. Which is meant?`,
    choices: [as(a, 'first'), as(b, 'second')],
  };
}

export function eachOrAll(w: Way, ingredient: Ingredient, c: LineContext): Doubt {
  return {
    id: `${c.itemId}-each`,
    place: spanOf(c, w.stated),
    kind: 'amount',
    itemId: c.itemId,
    likely: 'each',
    words: `Is that the weight of each ${w.stated.container ?? 'one'} of ${nameOf(ingredient)}, or of all together?`,
    choices: [
      grams(c.itemId, 'each', `each, ${plain(w.grams)} g in all`, w.grams),
      grams(c.itemId, 'all', `all together, ${plain(w.grams / w.stated.times)} g`, w.grams / w.stated.times),
    ],
  };
}

/** "1 can pumpkin": how large is the can? */
export function container(
  word: string,
  count: number,
  sizes: readonly number[],
  ingredient: Ingredient,
  c: LineContext,
): Doubt {
  return {
    id: `${c.itemId}-size`,
    place: c.place,
    kind: 'no-amount',
    itemId: c.itemId,
    likely: 'size-0',
    words: `How large is the ${word.toLowerCase().replace(/s$/, '')} of ${nameOf(ingredient)}? The line does not say.`,
    choices: [
      ...sizes.map((g, n) =>
        grams(c.itemId, `size-${n}`, count === 1 ? `${g} g` : `${asFraction(count)} × ${g} g`, g * count),
      ),
      drop(c.itemId),
    ],
  };
}

function asIngredient(m: Match, c: LineContext, g: number, kitchen?: Kitchen): Choice {
  return {
    id: m.id,
    words: ingredientOf(m.id, undefined, kitchen).name,
    edit: { kind: 'ingredient', itemId: c.itemId, ingredient: m.id, grams: g },
  };
}

/** Grams of a stated amount once it is known what it is of. */
function gramsAs(m: Match, segment: Segment, source: Source, kitchen?: Kitchen): number | null {
  const i = ingredientOf(m.id, undefined, kitchen);
  for (const s of segment.stated) {
    let g = 0;
    for (const p of s.parts) {
      const one = gramsOf({ value: p.value, unit: p.unit ?? 'piece' }, i, source);
      g = one === null ? NaN : g + one;
    }
    if (g * s.times > 0) return g * s.times;
  }
  return null;
}

export function unknown(segment: Segment, g: number, c: LineContext, source: Source, kitchen?: Kitchen): Doubt {
  const said = segment.name.trim() || c.text;
  const near = lookAlikes(said, 4);
  return {
    id: `${c.itemId}-unknown`,
    place: c.namePlace.to > c.namePlace.from ? c.namePlace : c.place,
    kind: 'unknown-ingredient',
    itemId: c.itemId,
    likely: near[0]?.id ?? 'keep',
    words: `"${said}" is not in the larder. What is it?`,
    choices: [
      ...near.map((m) => asIngredient(m, c, gramsAs(m, segment, source, kitchen) ?? g, kitchen)),
      keep('keep it as weight only'),
      drop(c.itemId),
    ],
  };
}

/** A name with words in it that might make it something else: "butter beans". */
export function oddName(said: string, match: Match, item: Item, c: LineContext, kitchen?: Kitchen): Doubt {
  const near = lookAlikes(said, 4).filter((m) => m.id !== match.id);
  return {
    id: `${c.itemId}-odd`,
    place: c.namePlace,
    kind: 'unknown-ingredient',
    itemId: c.itemId,
    likely: match.id,
    words: `"${said}" is taken as ${nameOf(ingredientOf(match.id, undefined, kitchen))}; "${match.odd.slice(0, 3).join(' ')}" may make it something else.`,
    choices: [
      asIngredient(match, c, item.grams, kitchen),
      ...near.slice(0, 3).map((m) => asIngredient(m, c, item.grams, kitchen)),
      drop(c.itemId),
    ],
  };
}

export function misspelling(said: string, match: Match, item: Item, c: LineContext, kitchen?: Kitchen): Doubt {
  const near = lookAlikes(said, 3).filter((m) => m.id !== match.id);
  return {
    id: `${c.itemId}-slip`,
    place: c.namePlace,
    kind: 'unknown-ingredient',
    itemId: c.itemId,
    likely: match.id,
    words: `"${said}" looks like ${nameOf(ingredientOf(match.id, undefined, kitchen))}. Is it?`,
    choices: [
      asIngredient(match, c, item.grams, kitchen),
      ...near.map((m) => asIngredient(m, c, item.grams, kitchen)),
      drop(c.itemId),
    ],
  };
}

/** "oil or melted butter": the first is taken, and the other is one press away. */
export function alternative(
  match: Match,
  other: Match,
  item: Item,
  c: LineContext,
  segment: Segment,
  source: Source,
  kitchen?: Kitchen,
): Doubt {
  const g = gramsAs(other, segment, source, kitchen) ?? item.grams;
  return {
    id: `${c.itemId}-or`,
    place: c.namePlace,
    kind: 'alternative',
    itemId: c.itemId,
    likely: match.id,
    words: `Either will do here: ${nameOf(ingredientOf(match.id, undefined, kitchen))} or ${nameOf(ingredientOf(other.id, undefined, kitchen))}. Which do you use?`,
    choices: [asIngredient(match, c, item.grams, kitchen), asIngredient(other, c, g, kitchen)],
  };
}

/** A weight as fine as a guess can be: whole grams from ten on, else tenths. */
const guess = (g: number): number => (g >= 10 ? Math.round(g) : Math.round(10 * g) / 10);

/** A doubt about how much: each way to see it, in words, as a multiple of what was read. */
function howMuch(
  c: LineContext,
  id: string,
  words: string,
  likely: string,
  g: number,
  ways: readonly (readonly [id: string, words: string, times: number])[],
): Doubt {
  // a guess has no tenths; what was read stays as it was
  const choices = ways.map(([way, said, times]) => {
    const x = times === 1 ? g : guess(g * times);
    return grams(c.itemId, way, `${said}, ${times === 1 ? '' : 'about '}${plain(x)} g`, x);
  });
  return { id: `${c.itemId}-${id}`, place: c.place, kind: 'amount', itemId: c.itemId, likely, words, choices };
}

/**
 * A heaped spoon holds about half as much again as a level one, a rounded one a quarter, more or less by the hand.
 * Judgement of kitchens, not measured.
 */
export function heaped(g: number, filled: string, ingredient: Ingredient, c: LineContext): Doubt {
  const rounded = /round/.test(filled);
  return howMuch(
    c,
    'heaped',
    `A ${rounded ? 'rounded' : 'heaped'} measure of ${nameOf(ingredient)} is a matter of the hand; it is counted level until you say. How full?`,
    rounded ? 'rounded' : 'heaped',
    g,
    [
      ['rounded', 'a quarter more', 1.25],
      ['heaped', 'half as much again', 1.5],
      ['level', 'as a level one', 1],
      ['high', 'twice', 2],
    ],
  );
}

export function byHand(g: number, unit: string, ingredient: Ingredient, c: LineContext): Doubt {
  return howMuch(
    c,
    'hand',
    `A ${unit} of ${nameOf(ingredient)} is a guess at about ${plain(guess(g))} g. How large is yours?`,
    'middling',
    g,
    [
      ['small', 'small', 0.6],
      ['middling', 'middling', 1],
      ['large', 'large', 1.6],
    ],
  );
}

export function tooMuch(g: number, ingredient: Ingredient, c: LineContext): Doubt {
  return {
    id: `${c.itemId}-amount`,
    place: c.place,
    kind: 'amount',
    itemId: c.itemId,
    likely: 'keep',
    words: `${plain(g / 1000)} kg of ${nameOf(ingredient)} is a caterer's amount. Is a decimal missing?`,
    choices: [keep('it is meant'), ...[10, 100].map((k) => grams(c.itemId, `by-${k}`, `${plain(g / k)} g`, g / k))],
  };
}

/** Spoons that are usual where a line gives no amount, in teaspoons. */
const usualTsp: Readonly<Record<string, number>> = { salt: 0.25, leavener: 1, flavour: 1 };

export function noAmount(stated: Stated | undefined, ingredient: Ingredient, c: LineContext, source: Source): Doubt {
  const tsp = usualTsp[ingredient.role];
  const choices: Choice[] = [];
  if (tsp !== undefined && !stated) {
    const g = tsp * sizeOf(unitOf('tsp'), source) * ingredient.gPerMl;
    choices.push(grams(c.itemId, 'usual', `${asFraction(tsp)} tsp, ${plain(g)} g`, g, { value: tsp, unit: 'tsp' }));
  }
  const weighs = stated
    ? [30, 60, 120].map((g) =>
        grams(
          c.itemId,
          `g-${g}`,
          `${asFraction(Number(stated.parts[0]?.value ?? 1) || 1)} of ${g} g`,
          g * (Number(stated.parts[0]?.value ?? 1) || 1),
        ),
      )
    : [];
  choices.push(...weighs, keep('leave it at nothing for now'), drop(c.itemId));
  return {
    id: `${c.itemId}-no-amount`,
    place: c.place,
    kind: 'no-amount',
    itemId: c.itemId,
    likely: choices[0]?.id ?? 'keep',
    words: stated
      ? `Orvin does not know what one ${nameOf(ingredient)} weighs. About how much?`
      : `How much ${nameOf(ingredient)}? "${c.text}" gives no amount.`,
    choices,
  };
}

/** "flour 300": grams, most likely, but the line does not say so. */
export function noUnit(g: number, ingredient: Ingredient, c: LineContext, source: Source): Doubt {
  const entered = { value: g, unit: 'ml' };
  const ml = gramsOf(entered, ingredient, source) ?? g;
  return {
    id: `${c.itemId}-unit`,
    place: c.place,
    kind: 'amount',
    itemId: c.itemId,
    likely: 'g',
    words: `${plain(g)} of what? "${c.text}" gives no unit.`,
    choices: [
      grams(c.itemId, 'g', `${plain(g)} g`, g),
      grams(c.itemId, 'ml', `${plain(g)} ml, ${plain(ml)} g`, ml, entered),
    ],
  };
}

/** "1.200 g": a decimal point, or a point between thousands? */
export function thousands(said: string, g: number, ingredient: Ingredient, c: LineContext): Doubt {
  const likely = g < 20 ? 'thousand' : 'decimal';
  return {
    id: `${c.itemId}-point`,
    place: c.place,
    kind: 'amount',
    itemId: c.itemId,
    likely,
    words: `Is the point in "${said}" a decimal point, or does it part the thousands?`,
    choices: [
      grams(c.itemId, 'decimal', `${plain(g)} g ${nameOf(ingredient)}`, g),
      grams(c.itemId, 'thousand', `${plain(g * 1000)} g ${nameOf(ingredient)}`, g * 1000),
    ],
  };
}

/** "1 batch streusel topping": something with a recipe of its own, which has a place of its own. */
export function subRecipe(item: Item, c: LineContext): Doubt {
  return {
    id: `${c.itemId}-sub`,
    place: c.place,
    kind: 'sub-recipe',
    itemId: c.itemId,
    likely: 'drop',
    words: `"${c.text}" has a recipe of its own. Give its lines under a heading, "For the topping", or bring it in as a formula.`,
    choices: [
      { id: 'drop', words: 'leave it out here', edit: { kind: 'drop', itemId: c.itemId } },
      keep(item.grams > 0 ? `keep it as ${plain(item.grams)} g of something` : 'keep it, weighing nothing yet'),
    ],
  };
}
