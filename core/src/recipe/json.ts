import { families } from '../balance/families.js';
import type { Formula } from '../formula/types.js';
import { pageOf } from './html.js';

type Read =
  | { readonly kind: 'formula'; readonly formula: Formula }
  | { readonly kind: 'text'; readonly text: string; readonly more: readonly string[] }
  | { readonly kind: 'broken'; readonly words: string }
  | { readonly kind: 'other' };

type Loose = Record<string, unknown>;
const isObject = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Reads JSON that was pasted or opened: Orvin's own formula, or a schema.org Recipe turned into its text. */
export function fromJson(text: string): Read {
  let data: unknown;
  try {
    data = JSON.parse(text);
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
      return recipesIn(JSON.parse(d) as unknown).map(recipeText);
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
  if (
    Array.isArray(x['recipeIngredient']) ||
    typeof x['recipeIngredient'] === 'string' ||
    Array.isArray(x['ingredients'])
  )
    out.push(x);
  else
    for (const key of ['@graph', 'mainEntity', 'itemListElement', 'item', 'recipes'])
      if (key in x) recipesIn(x[key], depth + 1, out);
  return out;
}

const clean = (s: string): string => (/[<&]/.test(s) ? pageOf(s).text : s).trim();
const words = (x: unknown): string => {
  if (typeof x === 'string') return clean(x);
  if (typeof x === 'number') return String(x);
  if (Array.isArray(x)) return words(x[0]);
  return isObject(x) ? words(x['text'] ?? x['name'] ?? x['value'] ?? '') : '';
};
const list = (x: unknown): unknown[] => (Array.isArray(x) ? x : x === undefined || x === null ? [] : [x]);

/** Steps of a method: strings, HowToStep, or HowToSection with steps of its own. */
function stepsOf(x: unknown, depth = 0): string[] {
  if (depth > 3) return [];
  return list(x).flatMap((e) => {
    if (isObject(e) && Array.isArray(e['itemListElement'])) return stepsOf(e['itemListElement'], depth + 1);
    return words(e)
      .split('\n')
      .map((s) => s.trim())
      .filter((s) => s !== '');
  });
}

/** "PT1H10M" in minutes; null when it is no duration. */
function minutesOf(x: unknown): number | null {
  const m = typeof x === 'string' ? /^P(?:\d+D)?T?(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?/i.exec(x) : null;
  const n = m ? Number(m[1] ?? 0) * 60 + Number(m[2] ?? 0) : 0;
  return n > 0 ? n : null;
}

/** A recipe as the lines of a card, so that it is read by the one reader. */
function recipeText(r: Loose): string {
  const properties = list(r['additionalProperty']).filter(isObject);
  const own = (name: string): string[] => properties.filter((p) => p['name'] === name).map((p) => words(p['value']));
  const groups = own('group').map((g) => /^(\d+) (.*)$/s.exec(g));
  const ingredients = list(r['recipeIngredient'] ?? r['ingredients'])
    .flatMap((x) => (typeof x === 'string' ? x.split('\n') : [x]))
    .map(words)
    .filter((s) => s !== '');
  const lines = ingredients.flatMap((line, n) => [
    ...groups.filter((g) => g?.[1] === String(n)).flatMap((g) => ['', `${g?.[2] ?? ''}:`]),
    line,
  ]);
  const cook = minutesOf(r['cookTime']);
  const makes = words(r['recipeYield']);
  const said = stepsOf(r['recipeInstructions']);
  const spoken = /\d\s*(?:min|hour)/i.test(said.join(' '));
  return [
    words(r['name']) || 'Untitled',
    '',
    ...own('head'),
    ...(makes === '' || own('head').some((h) => h.startsWith('Makes:'))
      ? []
      : [/^\d+$/.test(makes) ? `Serves ${makes}` : /^(?:makes|serves|yield)/i.test(makes) ? makes : `Makes: ${makes}`]),
    '',
    'Ingredients',
    ...lines,
    '',
    'Method',
    ...said.map((s) => `1. ${s}`),
    ...(cook !== null && !spoken && own('head').length === 0 ? [`Baking time: ${cook} minutes`] : []),
    ...(own('note').length > 0 ? ['', 'Notes', ...own('note')] : []),
  ].join('\n');
}
