import { familyOf } from '../balance/families.js';
import { inferFamily } from '../balance/infer.js';
import { densityOf } from '../balance/totals.js';
import { weigh } from '../balance/weigh.js';
import type { Formula, Group, GroupRole, Item, Kitchen, MethodStep, Source } from '../formula/types.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import { defaultKitchen } from '../kitchen/default.js';
import { scanAmounts } from '../quantity/scan.js';
import { capacityOf, outlineOf } from '../tin/geometry.js';
import { readBaking, type Baking } from './baking.js';
import type { Choice, Doubt, RecipeDraft } from './draft.js';
import { intoGroups } from './groups.js';
import { readLine } from './line.js';
import { matchIngredient } from './match.js';
import { fromJson } from './json.js';

/** More text than this is not one recipe; the rest is left unread, and a doubt says so. */
const MAX_CHARS = 60_000;
const MAX_LINES = 600;

type Kind = 'title' | 'heading' | 'ingredient' | 'method' | 'blank' | 'other';
interface Classified {
  readonly kind: Kind;
  readonly text: string;
  readonly no: number;
  readonly group?: { readonly name: string; readonly role: GroupRole };
}

const hash = (s: string): string => {
  let h = 0x811c9dc5;
  for (let i = 0; i < s.length; i++) h = Math.imul(h ^ s.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(36);
};

const slug = (s: string): string =>
  s
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'formula';

const groupHeading =
  /^(?:for\s+)?(?:the\s+)?(topping|streusel|crumble|icing|frosting|glaze|filling|syrup|soak|drizzle)\s*:?$/i;
const forHeading = /^for (?:the )?(.{2,40}?):?$/i;
const roleOfHeading = (word: string): GroupRole =>
  /icing|frosting|glaze|drizzle/i.test(word)
    ? 'icing'
    : /filling/i.test(word)
      ? 'filling'
      : /syrup|soak/i.test(word)
        ? 'soak'
        : /topping|streusel|crumble/i.test(word)
          ? 'top'
          : 'batter';

const verbs =
  /\b(?:preheat|heat|mix|stir|whisk|beat|cream|fold|bake|pour|spoon|grease|line|rub|add|combine|turn|cool|sift|melt|mash|knead|divide|spread|serve|leave|rest|put|set|place)\b/i;

function looksLikeIngredient(text: string, kitchen: Kitchen): boolean {
  if (text.length > 110) return false;
  const amounts = scanAmounts(text);
  const known = matchIngredient(text.split(',')[0] ?? text, kitchen) !== null;
  const leading = amounts[0] !== undefined && amounts[0].from <= 3;
  const withUnit = amounts.some((a) => a.unit !== null);
  if (/^(?:bake|makes|serves|yield|preheat|heat|oven)\b/i.test(text)) return false;
  if (/^\d+[.)]\s+[A-Z]/.test(text) && verbs.test(text)) return false;
  const sentence = /[.!]$/.test(text) && verbs.test(text) && text.split(' ').length > 5;
  if (sentence) return false;
  return (
    (leading && (withUnit || known)) || (withUnit && known) || (known && /to taste|a pinch|for dusting/i.test(text))
  );
}

function classify(lines: readonly string[], kitchen: Kitchen): Classified[] {
  const out: Classified[] = [];
  let section: 'unknown' | 'ingredients' | 'method' = 'unknown';
  let titled = false;
  lines.forEach((raw, no) => {
    const text = raw
      .replace(/^#+\s*/, '')
      .replace(/^[\s\-–—*•·]+(?=\S)/, '')
      .replace(/^\[[ x]?\]\s*/i, '')
      .trim();
    const add = (kind: Kind, group?: Classified['group']): void =>
      void out.push({ kind, text, no, ...(group && { group }) });
    if (text === '') return add('blank');
    if (/^(?:ingredients?|you (?:will )?need|what you need)\b.{0,20}:?$/i.test(text)) {
      section = 'ingredients';
      return add('heading');
    }
    if (/^(?:method|directions?|instructions?|steps?|preparation|how to make it|to make)\s*:?$/i.test(text)) {
      section = 'method';
      return add('heading');
    }
    const named = groupHeading.exec(text) ?? forHeading.exec(text);
    if (named?.[1] && section !== 'method' && scanAmounts(text).length === 0)
      return add('heading', { name: text.replace(/:$/, ''), role: roleOfHeading(named[1]) });
    const ingredient = section !== 'method' && looksLikeIngredient(text, kitchen);
    if (!titled && !ingredient && !verbs.test(text.split(' ')[0] ?? '') && text.length < 90) {
      titled = true;
      return add('title');
    }
    if (ingredient) return add('ingredient');
    if (section === 'ingredients' && text.split(' ').length <= 8 && !/[.!]$/.test(text) && !verbs.test(text))
      return add('ingredient');
    add(verbs.test(text) ? 'method' : 'other');
  });
  return out;
}

const sourceOf = (kitchen: Kitchen): Source => {
  const { cupMl, spoonMl, flourHabit, saltKind, eggSize } = kitchen.measures;
  return { cupMl, spoonMl, flourHabit, saltKind, eggSize };
};

function emptyFormula(title: string, text: string, kitchen: Kitchen): Formula {
  return {
    format: 'orvin.formula',
    version: 1,
    id: `${slug(title)}-${hash(text)}`,
    title,
    family: 'free',
    source: sourceOf(kitchen),
    groups: [],
    method: [],
  };
}

const alone = (id: Doubt['kind'], words: string): Doubt => ({
  id,
  place: null,
  kind: id,
  words,
  likely: 'keep',
  choices: [{ id: 'keep', words: 'understood', edit: { kind: 'keep' } }],
});

/**
 * Reads a recipe from plain text, Markdown or JSON. Every text gives a valid formula, perhaps without items; whatever
 * is unclear becomes a doubt with its place, the likely reading and the alternatives. Never throws.
 *
 * @param kitchen whose cups, spoons, flour habit and eggs the words are taken in
 */
export function readRecipe(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft {
  const refuse = (kind: Doubt['kind'], words: string): RecipeDraft => ({
    formula: emptyFormula('Untitled', text.slice(0, 5000), kitchen),
    doubts: [alone(kind, words)],
    confidence: 0,
  });
  if (text.trim() === '')
    return refuse(
      'empty',
      'There is nothing here yet. Paste a recipe: a title, the ingredients one to a line, and how it is baked.',
    );

  const strange = text.slice(0, 4000).match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g)?.length ?? 0;
  if (strange > 3)
    return refuse(
      'not-text',
      'This is not text: it looks like a picture, a document or another kind of file. Open it where it came from and copy its words, or save it as plain text.',
    );
  if (/^\s*[{[]/.test(text)) {
    const json = fromJson(text, kitchen);
    if (json.kind === 'formula') return { formula: json.formula, doubts: [], confidence: 1 };
    if (json.kind === 'broken') return refuse('broken-json', json.words);
    if (json.kind === 'text') return readRecipe(json.text, kitchen);
  }
  const long = text.length > MAX_CHARS;
  const lines = (long ? text.slice(0, MAX_CHARS) : text).split(/\r\n?|\n/).slice(0, MAX_LINES);
  return assemble(text, lines, long, kitchen);
}

function assemble(text: string, lines: readonly string[], long: boolean, kitchen: Kitchen): RecipeDraft {
  const source = sourceOf(kitchen);
  const parts = classify(lines, kitchen);
  const title =
    parts
      .find((p) => p.kind === 'title')
      ?.text.replace(/[:#*]+$/, '')
      .trim() ?? 'Untitled';
  const doubts: Doubt[] = [];
  const sections: { name: string; role: GroupRole; items: Item[] }[] = [{ name: '', role: 'batter', items: [] }];
  const lineOf = new Map<string, number>();
  let n = 0;
  for (const p of parts) {
    if (p.group) sections.push({ ...p.group, items: [] });
    if (p.kind !== 'ingredient') continue;
    const read = readLine(p.text, p.no, `i${++n}`, source, kitchen);
    lineOf.set(read.item.id, p.no);
    sections.at(-1)?.items.push(read.item);
    doubts.push(...read.doubts);
  }
  const methodLines = parts.filter((p) => p.kind === 'method' || p.kind === 'other');
  const baking = readBaking(parts.filter((p) => p.kind !== 'ingredient').map((p) => p.text));
  const batter = sections.filter((s) => s.role === 'batter').flatMap((s) => s.items);
  const method = methodLines
    .filter((p) => p.kind === 'method')
    .map((p) => step(p.text, [...sections.flatMap((s) => s.items)], kitchen));
  const bare: Formula = {
    ...emptyFormula(title, text, kitchen),
    groups: [{ id: 'g1', name: 'Batter', role: 'batter', items: batter }],
    method,
    ...(baking.bake && { bake: baking.bake }),
    ...(baking.tins.length > 0 && { tins: baking.tins }),
    ...(baking.pieces && { yield: baking.pieces }),
  };
  if (n === 0) {
    doubts.unshift(
      alone(
        'no-ingredients',
        'No line here looks like an ingredient. Give amounts and names one to a line, for instance "240 g plain flour" or "1 1/2 cups oats".',
      ),
    );
    return { formula: { ...bare, groups: [], notes: text.slice(0, 4000) }, doubts, confidence: 0 };
  }
  const w = weigh(bare, kitchen);
  const guess = inferFamily(title, baking.tins[0]?.tin.shape, w.totals, w.lift.mmolPer100gBase.typical);
  const apart: Group[] = sections
    .filter((s) => s.role !== 'batter' && s.items.length > 0)
    .map((s, i) => ({ id: `a${i + 1}`, name: s.name, role: s.role, items: s.items }));
  const formula: Formula = {
    ...bare,
    family: guess.family,
    groups: [...intoGroups(batter, bare, guess.family, method, kitchen), ...apart],
  };
  doubts.push(...across(formula, baking, guess.confidence, lineOf, kitchen));
  if (long)
    doubts.push(
      alone(
        'too-long',
        `This text is ${Math.round(text.length / 1000)} thousand characters long; the first ${MAX_CHARS / 1000} thousand were read. If it holds several recipes, paste them one at a time.`,
      ),
    );
  const confidence = Math.max(0, Math.min(1, 1 - doubts.length / (n + 2)));
  return { formula, doubts, confidence };
}

const step = (text: string, items: readonly Item[], kitchen: Kitchen): MethodStep => {
  const said = text.toLowerCase();
  const itemIds = items
    .filter((i) => {
      const name = ingredientFor({ ingredients: [] } as unknown as Formula, i, kitchen)
        .name.toLowerCase()
        .replace(/,.*/, '');
      const last = name.split(' ').at(-1) ?? name;
      return said.includes(last);
    })
    .map((i) => i.id);
  return { text: text.replace(/^\d+[.)]\s*/, ''), itemIds };
};

/** Doubts that only the whole recipe shows: leavener out of proportion, odd heat, too small a tin, an unclear family. */
function across(
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

/** Reads several recipes from one text, divided by lines of three or more dashes, equals signs or asterisks. */
export function readRecipes(text: string, kitchen: Kitchen = defaultKitchen): RecipeDraft[] {
  const parts = text.split(/^\s*(?:-{3,}|={3,}|\*{3,})\s*$/m).filter((p) => p.trim() !== '');
  return (parts.length === 0 ? [text] : parts).map((p) => readRecipe(p, kitchen));
}
