import { isChilled } from '../ingredient/kinds.js';
import { nutAllergens } from '../ingredient/diet.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { CautionKind, Formula, GroupRole, Ingredient, Item, Kitchen } from '../formula/types.js';
import { awayOf } from '../text/cooked.js';

export interface Caution {
  readonly id: string;
  readonly words: string;
}

/** A line with what it is and the part it stands in. */
interface Seen {
  readonly item: Item;
  readonly ingredient: Ingredient;
  readonly part: GroupRole;
  /** What its line and its name say, in small letters. */
  readonly said: string;
}
/** All lines, and the words of title and method. */
interface Whole {
  readonly formula: Formula;
  readonly lines: readonly Seen[];
  readonly text: string;
}

interface Rule extends Caution {
  readonly when: (w: Whole) => boolean;
}

const any = (test: (l: Seen) => boolean) => (w: Whole): boolean => w.lines.some(test); // prettier-ignore
const asks = (kind: CautionKind): ((w: Whole) => boolean) => any((l) => l.ingredient.cautions?.includes(kind) ?? false);
const said = (re: RegExp) => (w: Whole): boolean => re.test(w.text) || w.lines.some((l) => re.test(l.said)); // prettier-ignore
const either = (...tests: ((w: Whole) => boolean)[]) => (w: Whole): boolean => tests.some((t) => t(w)); // prettier-ignore
/** Parts that meet the cake when it is baked. */
const after = (l: Seen): boolean => l.part === 'icing' || l.part === 'soak' || l.part === 'filling';
/** Fresh, so soft once it has baked, but hard or round where it stays raw. */
const raw = (l: Seen): boolean => after(l) || l.part === 'top';
/** Said of nothing but what is not baked. */
const HEATED = /pasteuri[sz]ed|\bbain[- ]marie|\bdouble boiler|\bover (?:(?:barely |gently )?simmering|hot) water/i;
const COOKS = /\b(?:cook|boil|simmer|thicken|scald)/i;
const OF_EGG = /\b(?:eggs?|yolks?|whites?|meringue|custard|curd|icing|frosting|syrup)\b/i;
/** Whether the words cook the egg of an icing or a filling, in a sentence that speaks of it: to cook the cake is no such thing. */
const cooksEgg = (text: string): boolean =>
  HEATED.test(text) || text.split(/[.;]/).some((s) => COOKS.test(s) && OF_EGG.test(s));

/** Alcohol, share of the weight, from which its vapour burns when it is warm: sherry and more. */
const BURNS = 0.12;

const rules: readonly Rule[] = [
  {
    id: 'hot',
    words: 'The oven, the tin and the steam are hot; lift covers away from you.',
    when: () => true,
  },
  {
    id: 'fat',
    words:
      'Hot fat burns and catches fire: a deep pan at most a third full, a thermometer, never left alone, dough lowered in away from you. If it smokes or burns: heat off, a lid on it, never water.',
    when: (w) => awayOf(w.formula) === 'fat',
  },
  {
    id: 'raw',
    words: 'Do not taste raw batter: flour and egg can carry germs until baked.',
    when: any((l) => l.ingredient.role === 'flour' || l.ingredient.role === 'egg'),
  },
  {
    id: 'raw-egg',
    words:
      'Raw egg in what is not baked: use pasteurised egg, above all for children, in pregnancy, and for the old or ill.',
    when: (w) =>
      w.lines.some((l) => after(l) && l.ingredient.role === 'egg') &&
      !cooksEgg(w.text) &&
      !w.lines.some((l) => after(l) && (HEATED.test(l.said) || COOKS.test(l.said))),
  },
  {
    id: 'chilled',
    words: 'What holds cream, soft cheese or egg stays in the fridge, and is out of it for two hours at most.',
    when: any(
      (l) =>
        (l.part === 'icing' || l.part === 'filling' || (l.part === 'top' && l.ingredient.kind === 'cream')) &&
        ((l.ingredient.kind !== undefined && isChilled(l.ingredient)) || l.ingredient.role === 'egg'),
    ),
  },
  { id: 'honey', words: 'No honey for babies under 12 months, baked or not.', when: asks('honey') },
  {
    id: 'nuts',
    words: 'Whole nuts and hard pieces are a choking risk for children under 5.',
    when: any((l) => l.ingredient.pieces === true && l.ingredient.allergens.some((a) => nutAllergens.has(a))),
  },
  {
    id: 'choking',
    words:
      'Choking, under 5: grapes, cherries, berries and olives cut in quarters, raw apple grated, no marshmallows, popcorn or hard sweets.',
    when: either(
      any((l) => (l.ingredient.cautions?.includes('choking') ?? false) && (l.ingredient.per100.water < 60 || raw(l))),
      said(/\bgrapes?\b|\bpop\s?corn\b|\b(?:hard|boiled) sweets?\b|\bcand(?:y|ies)\b|\bmarshmallows?\b/i),
    ),
  },
  {
    id: 'alcohol',
    words: 'Alcohol vapour burns: brush spirit on away from flame, on a cake that is warm, not oven-hot.',
    when: any((l) => (l.ingredient.alcohol ?? 0) >= BURNS || SPIRITS.test(l.said)),
  },
  {
    id: 'alcohol-stays',
    words: 'A part of the alcohol stays in: not for children, in pregnancy, or for whoever avoids it.',
    when: any((l) => (l.ingredient.alcohol ?? 0) > 0 || SPIRITS.test(l.said)),
  },
  { id: 'stones', words: 'Leave out the stones: their kernels are poisonous raw.', when: asks('stones') },
  {
    id: 'kernels',
    words:
      'Bitter almonds and the kernels of apricot, peach, plum or cherry give off cyanide: leave them out, and use almond extract.',
    when: said(/\bbitter almonds?\b|\b(?:apricot|peach|plum|cherry) (?:kernels?|pits?)\b|\bmahlab|\bmahleb/i),
  },
  {
    id: 'foraged',
    words:
      'Wild plants, flowers and mushrooms only when someone who knows has named them, unsprayed; elderberries never raw.',
    when: either(
      asks('foraged'),
      said(
        /\b(?:foraged|wild garlic|ramsons|elder(?:flowers?|berr(?:y|ies))(?! (?:cordial|syrup|liqueur))|rowan|sloes?|hawthorn|acorns?|dandelions?|wild mushrooms?|violets?|rose petals?|edible flowers?)\b/i,
      ),
    ),
  },
  {
    id: 'potassium',
    words: 'Salt or powder with potassium is not for everyone: ask your doctor or pharmacist.',
    when: asks('potassium'),
  },
  {
    id: 'glass',
    words: 'Glass and stoneware can burst: never from the fridge into a hot oven, nor hot onto a cold or wet place.',
    when: (w) =>
      (w.formula.tins ?? []).some((t) => t.tin.material === 'glass' || t.tin.material === 'ceramic') ||
      /\b(?:glass|ceramic|stoneware|pyrex) (?:dish|pan|tin|loaf|mou?ld)/i.test(w.text),
  },
  {
    id: 'jars',
    words: 'Do not bake in jars, nor seal cake in them: glass bursts, and what is sealed warm can grow botulism.',
    when: (w) =>
      /\b(?:bak|cook|pour|divid)\w*[^.]*\bjars\b|\bjars?\b[^.]*\b(?:seal|lids? on|screw)|\bseal\w*[^.]*\bjars?\b|\bcake in a jar\b/i.test(w.text), // prettier-ignore
  },
];

/** Spirits that a line may name though its ingredient is not known. */
const SPIRITS = /\b(?:whisk(?:e?y|ies)|brandy|rum(?!p)|bourbon|cognac|armagnac|vodka|gin|tequila|kirsch|grappa|ouzo|raki|schnapps|calvados|arrack|cacha[çc]a|pisco|advocaat|amaretto|absinthe|sake)\b(?! (?:extract|essence|flavou?r))/i; // prettier-ignore

function wholeOf(formula: Formula, kitchen?: Kitchen): Whole {
  return {
    formula,
    lines: formula.groups.flatMap((g) =>
      g.items.map((item) => {
        const ingredient = ingredientFor(formula, item, kitchen);
        return { item, ingredient, part: g.role ?? 'batter', said: `${item.words} ${ingredient.name}`.toLowerCase() };
      }),
    ),
    text: [formula.title, ...formula.method.map((m) => m.text)].join('. '),
  };
}

const unknown = (l: Seen): boolean => l.ingredient.id === 'unknown';

/**
 * The usual cautions that apply to these ingredients, parts and words. Local advice and qualified people come first,
 * always. With a line that nobody knows they are said not to be complete.
 */
export function cautionsOf(formula: Formula, kitchen?: Kitchen): Caution[] {
  const w = wholeOf(formula, kitchen);
  const out: Caution[] = rules.filter((r) => r.when(w)).map(({ id, words }) => ({ id, words }));
  const strange = w.lines.filter(unknown).map((l) => l.item.words.trim() || 'a line without words');
  if (strange.length > 0)
    out.push({
      id: 'incomplete',
      words: `Cautions and allergens are not complete: ${strange.slice(0, 3).map((s) => `“${s}”`).join(', ')} ${strange.length === 1 ? 'is' : 'are'} not known.`,
    }); // prettier-ignore
  return out;
}

/** Allergens that the listed ingredients contain, in alphabetical order. Traces and brands are the baker's to check. */
export function allergensOf(formula: Formula, kitchen?: Kitchen): string[] {
  const found = new Set<string>();
  for (const item of allItems(formula)) for (const a of ingredientFor(formula, item, kitchen).allergens) found.add(a);
  const gluten = ['wheat', 'rye', 'barley', 'oats'].some((g) => found.has(g));
  if (gluten) found.add('gluten');
  return [...found].sort();
}
