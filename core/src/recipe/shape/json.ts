import JSON5 from 'json5';
import { families } from '../../balance/families.js';
import type { Formula } from '../../formula/types.js';
import { pageOf } from './html.js';

type Read =
  | { readonly kind: 'formula'; readonly formula: Formula }
  | { readonly kind: 'text'; readonly text: string; readonly more: readonly string[] }
  | { readonly kind: 'broken'; readonly words: string }
  | { readonly kind: 'other' };

type Loose = Record<string, unknown>;
const isObject = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Without a byte-order mark and the fences that a chat or page puts around code. */
export const unwrapped = (text: string): string =>
  text
    .replace(/^\ufeff/, '')
    .replace(/^\s*```[a-z0-9+-]*\s*\n([\s\S]*?)\n?\s*```\s*$/i, '$1')
    .trim();

/** JSON, or what people take for it: with commas too many, comments and single quotes. @throws as `JSON.parse` does */
function loosely(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (e) {
    try {
      return JSON5.parse(text);
    } catch {
      throw e;
    }
  }
}

/** Reads JSON that was pasted or opened: Orvin's own formula, or a schema.org Recipe turned into its text. */
export function fromJson(whole: string): Read {
  let data: unknown;
  const text = unwrapped(whole);
  try {
    data = loosely(text);
  } catch (e) {
    const at = /position (\d+)/.exec(e instanceof Error ? e.message : '');
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : null;
    if (!/"(?:format|recipeIngredient|@type|@context)"/.test(text)) return { kind: 'other' };
    return {
      kind: 'broken',
      words: `This JSON breaks off${line === null ? '' : ` in line ${line}`}: a bracket, comma or quotation mark is missing, perhaps because only part of it was copied. Export or copy it again; nothing was changed.`,
    };
  }
  if (isObject(data) && data['format'] === 'orvin.formula') {
    const wrong = unsound(data);
    if (wrong === null) return { kind: 'formula', formula: data as unknown as Formula };
    return {
      kind: 'broken',
      words: `This is an Orvin formula, but ${wrong} is missing or is not what it should be. Export it again from where it came; nothing was changed.`,
    };
  }
  const recipes = recipesIn(data);
  const [first] = recipes;
  return first ? { kind: 'text', text: recipeText(first), more: recipes.slice(1).map(recipeText) } : { kind: 'other' };
}

/** The recipes of a page's embedded JSON-LD as text, none when it holds none or is broken. */
export function fromJsonLd(data: readonly string[]): string[] {
  return data.flatMap((d) => {
    try {
      return recipesIn(loosely(unwrapped(d))).map(recipeText);
    } catch {
      return [];
    }
  });
}

const text = (x: unknown): boolean => typeof x === 'string';
const listOf = (x: unknown, test: (e: Loose) => boolean): boolean =>
  Array.isArray(x) && x.every((e) => isObject(e) && test(e));

/**
 * What keeps a pasted formula from being used; null when it is sound. Only what the core relies on; files go through the
 * full check of `@orvin/core/format`.
 */
function unsound(f: Loose): string | null {
  if (f['version'] !== 1) return 'its version';
  if (!text(f['id']) || f['id'] === '' || !text(f['title'])) return 'its id or title';
  if (!families.some((x) => x.id === f['family'])) return 'its family';
  const source = f['source'];
  if (!isObject(source) || typeof source['cupMl'] !== 'number' || typeof source['spoonMl'] !== 'number')
    return 'its source measures';
  const item = (i: Loose): boolean =>
    text(i['id']) &&
    text(i['ingredient']) &&
    text(i['words']) &&
    typeof i['grams'] === 'number' &&
    (i['entered'] === null || isObject(i['entered']));
  if (!listOf(f['groups'], (g) => text(g['id']) && text(g['name']) && listOf(g['items'], item)))
    return 'a group or a line of it';
  if (!listOf(f['method'], (m) => text(m['text']) && Array.isArray(m['itemIds']))) return 'its method';
  const bake = f['bake'];
  if (bake !== undefined && (!isObject(bake) || typeof bake['ovenC'] !== 'number')) return 'its heat';
  const tin = (t: Loose): boolean =>
    isObject(t['tin']) &&
    typeof t['tin']['topMm'] === 'number' &&
    typeof t['tin']['depthMm'] === 'number' &&
    text(t['tin']['shape']) &&
    typeof t['count'] === 'number';
  if (f['tins'] !== undefined && !listOf(f['tins'], tin)) return 'a tin';
  if (
    f['ingredients'] !== undefined &&
    !listOf(f['ingredients'], (i) => text(i['id']) && text(i['name']) && isObject(i['per100']))
  )
    return 'an ingredient of its own';
  return null;
}

const MAX_RECIPES = 5000;

/** Every schema.org Recipe in a value: alone, in a list, in `@graph` or `mainEntity`. */
function recipesIn(x: unknown, depth = 0, out: Loose[] = []): Loose[] {
  if (depth > 5 || out.length >= MAX_RECIPES) return out;
  if (Array.isArray(x)) {
    for (const e of x.slice(0, MAX_RECIPES)) recipesIn(e, depth + 1, out);
    return out;
  }
  if (!isObject(x)) return out;
  if (listKeys.some((k) => holdsList(x[k])) || groupKeys.some((k) => Array.isArray(x[k]) && groupsOf(x).length > 0))
    out.push(x);
  else
    for (const key of [
      '@graph',
      'mainEntity',
      'itemListElement',
      'item',
      'recipes',
      'recipe',
      'data',
      'results',
      'hasPart',
    ])
      if (key in x) recipesIn(x[key], depth + 1, out);
  return out;
}

const listKeys = ['recipeIngredient', 'ingredients', 'recipeIngredients', 'ingredient', 'ingredientList', 'zutaten'];
const groupKeys = [
  'ingredientGroups',
  'ingredient_groups',
  'sections',
  'components',
  'parts',
  'ingredients',
  'recipeIngredient',
];
const stepKeys = ['recipeInstructions', 'instructions', 'steps', 'directions', 'method', 'preparation'];
const titleKeys = ['name', 'title', 'headline', 'recipeName', 'label'];
const yieldKeys = ['recipeYield', 'yield', 'servings', 'serves', 'makes', 'portions'];
const cookKeys = ['cookTime', 'cook_time', 'bakeTime', 'baking_time', 'cookingTime'];
const amountKeys = ['amount', 'quantity', 'qty', 'value', 'menge', 'metricAmount', 'weight'];
const unitKeys = ['unit', 'units', 'measure', 'unitText', 'unitCode', 'uom', 'einheit'];
const nameKeys = ['name', 'ingredient', 'food', 'item', 'label', 'product', 'what'];
const noteKeys = ['note', 'notes', 'comment', 'preparation', 'prep', 'description'];

const holdsList = (x: unknown): boolean =>
  typeof x === 'string'
    ? /\d/.test(x)
    : Array.isArray(x)
      ? x.length > 0
      : isObject(x) && Array.isArray(x['itemListElement']);
const firstOf = (o: Loose, keys: readonly string[]): unknown =>
  keys.map((k) => o[k]).find((v) => v !== undefined && v !== null && v !== '');

/** Groups of a list, each with its name: sections that hold lists of their own. */
function groupsOf(o: Loose): { name: string; list: unknown[] }[] {
  for (const key of groupKeys) {
    const all = o[key];
    if (!Array.isArray(all)) continue;
    const found = all.filter(isObject).flatMap((g) => {
      const inner = firstOf(g, [...listKeys, 'items', 'itemListElement', 'list']);
      return Array.isArray(inner)
        ? [{ name: words(firstOf(g, [...titleKeys, 'group', 'section', 'heading'])), list: inner }]
        : [];
    });
    if (found.length > 0) return found;
  }
  return [];
}

/** An ingredient of a list as its line: a text as it stands, or the amount, unit, name and note of an object. */
function lineOf(x: unknown): string {
  if (!isObject(x)) return words(x);
  const whole = firstOf(x, ['text', 'original', 'raw', 'display', 'originalString']);
  if (typeof whole === 'string') return clean(whole);
  const said = firstOf(x, amountKeys);
  const inner = isObject(said) ? said : null;
  const amount = inner ? words(firstOf(inner, amountKeys)) : words(said);
  const unit = words((inner && firstOf(inner, unitKeys)) ?? firstOf(x, unitKeys));
  const name = words(firstOf(x, nameKeys));
  const note = words(firstOf(x, noteKeys));
  return `${[amount, unit, name].filter((s) => s !== '').join(' ')}${note === '' || note === name ? '' : `, ${note}`}`.trim();
}

const clean = (s: string): string => (/[<&]/.test(s) ? pageOf(s).text : s).trim();
const words = (x: unknown): string => {
  if (typeof x === 'string') return clean(x);
  if (typeof x === 'number') return String(x);
  if (Array.isArray(x)) return words(x[0]);
  return isObject(x) ? words(x['text'] ?? x['name'] ?? x['value'] ?? '') : '';
};
const list = (x: unknown): unknown[] => (Array.isArray(x) ? x : x === undefined || x === null ? [] : [x]);

/** Steps of a method: a text, strings, HowToStep, sections or lists with steps of their own, however they are nested. */
function stepsOf(x: unknown, depth = 0): string[] {
  if (depth > 5) return [];
  return list(x).flatMap((e) => {
    if (isObject(e)) {
      const inner = firstOf(e, ['itemListElement', 'steps', 'item', 'itemList', 'instructions']);
      if (Array.isArray(inner) || isObject(inner)) return stepsOf(inner, depth + 1);
      return linesIn(
        words(
          firstOf(e, [
            'text',
            'body',
            'description',
            'step',
            'instruction',
            'content',
            'detail',
            'html',
            'value',
            'name',
          ]),
        ),
      );
    }
    return linesIn(words(e));
  });
}
const linesIn = (s: string): string[] =>
  s
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '');

/** "PT1H10M" in minutes; null when it is no duration. */
function minutesOf(x: unknown): number | null {
  if (typeof x === 'number' && x > 0) return x;
  const m = typeof x === 'string' ? /^P(?:\d+D)?T?(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?/i.exec(x) : null;
  const n = m ? Number(m[1] ?? 0) * 60 + Number(m[2] ?? 0) : 0;
  return n > 0 ? n : null;
}

/** Who wrote a recipe, what is said of it, and its times beside that of the oven. */
function aboutOf(r: Loose): string[] {
  const one = (keys: readonly string[]): string => words(firstOf(r, keys)).replace(/\s+/g, ' ');
  const [by, description] = [one(['author', 'by', 'creator', 'chef']), one(['description', 'summary', 'headnote'])];
  const prep = minutesOf(firstOf(r, ['prepTime', 'prep_time', 'preparationTime']));
  const total = minutesOf(firstOf(r, ['totalTime', 'total_time']));
  return [
    ...(by === '' ? [] : [`By: ${by}`]),
    ...(description === '' ? [] : [`About: ${description}`]),
    ...(prep === null ? [] : [`Preparation time: ${prep} minutes`]),
    ...(total === null ? [] : [`Total time: ${total} minutes`]),
  ];
}

/** A recipe as the lines of a card, so that it is read by the one reader. */
function recipeText(r: Loose): string {
  const properties = list(r['additionalProperty']).filter(isObject);
  const own = (name: string): string[] => properties.filter((p) => p['name'] === name).map((p) => words(p['value']));
  const groups = own('group').map((g) => /^(\d+) (.*)$/s.exec(g));
  const parts = groupsOf(r);
  const plainList = firstOf(r, listKeys);
  const flat = isObject(plainList) ? plainList['itemListElement'] : plainList;
  const ingredients =
    parts.length > 0
      ? parts.flatMap((g) => [...(g.name === '' ? [] : [`${g.name.replace(/:$/, '')}:`]), ...g.list.map(lineOf)])
      : list(flat)
          .flatMap((x) => (typeof x === 'string' ? clean(x.replace(/<br\s*\/?>/gi, '\n')).split('\n') : [x]))
          .map(lineOf)
          .filter((s) => s !== '');
  const lines = ingredients.flatMap((line, n) => [
    ...groups.filter((g) => g?.[1] === String(n)).flatMap((g) => ['', `${g?.[2] ?? ''}:`]),
    line,
  ]);
  const cook = minutesOf(firstOf(r, cookKeys));
  const yields = list(firstOf(r, yieldKeys)).map(words);
  const makes = yields.find((y) => /[a-z]/i.test(y)) ?? yields[0] ?? '';
  const said = stepsOf(firstOf(r, stepKeys));
  const spoken = /\d\s*(?:min|hour)/i.test(said.join(' '));
  const oven = firstOf(r, ['oven', 'ovenTemp', 'ovenTemperature', 'oven_temp', 'temperature', 'bakeTemp']);
  const heat = isObject(oven)
    ? `${words(firstOf(oven, ['temp', 'temperature', 'value', 'degrees', 'c', 'f']))} ${words(firstOf(oven, ['unit', 'scale', 'unitText']))}${firstOf(oven, ['fan']) === true ? ' fan' : ''}`
    : words(oven);
  const hot = /\d/.test(heat) && own('head').length === 0 && !/\d\s*(?:°|º|deg|[CF]\b)/.test(said.join(' '));
  const tin = words(firstOf(r, ['tin', 'pan', 'vessel', 'tinSize', 'panSize']));
  return [
    words(firstOf(r, titleKeys)) || 'Untitled',
    '',
    ...own('head'),
    ...(own('head').length > 0 ? [] : aboutOf(r)),
    ...(makes === '' || own('head').some((h) => h.startsWith('Makes:'))
      ? []
      : [/^\d+$/.test(makes) ? `Serves ${makes}` : /^(?:makes|serves|yield)/i.test(makes) ? makes : `Makes: ${makes}`]),
    '',
    'Ingredients',
    ...lines,
    '',
    'Method',
    ...(hot ? [`1. Heat the oven to ${heat.trim()}.`] : []),
    ...(tin === '' ? [] : [`1. Use ${tin}.`]),
    ...said.map((s) => `1. ${s}`),
    ...(cook !== null && !spoken && own('head').length === 0 ? [`Baking time: ${cook} minutes`] : []),
    ...(own('note').length > 0 ? ['', 'Notes', ...own('note')] : []),
  ].join('\n');
}
