import { families } from '../balance/families.js';
import type { Formula, Kitchen } from '../formula/types.js';

type Read =
  | { readonly kind: 'formula'; readonly formula: Formula }
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'broken'; readonly words: string }
  | { readonly kind: 'other' };

type Loose = Record<string, unknown>;
const isObject = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Reads JSON that was pasted or opened: Orvin's own formula, or a schema.org Recipe turned into its text. */
export function fromJson(text: string, _kitchen: Kitchen): Read {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (e) {
    const at = /position (\d+)/.exec(e instanceof Error ? e.message : '');
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : null;
    if (!/"(?:format|recipeIngredient|@type)"/.test(text)) return { kind: 'other' };
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
  const recipe = findRecipe(data, 0);
  return recipe ? { kind: 'text', text: recipeText(recipe) } : { kind: 'other' };
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

function findRecipe(x: unknown, depth: number): Loose | null {
  if (depth > 4) return null;
  if (Array.isArray(x)) {
    for (const e of x.slice(0, 50)) {
      const found = findRecipe(e, depth + 1);
      if (found) return found;
    }
    return null;
  }
  if (!isObject(x)) return null;
  if (Array.isArray(x['recipeIngredient'])) return x;
  return '@graph' in x ? findRecipe(x['@graph'], depth + 1) : null;
}

const words = (x: unknown): string =>
  typeof x === 'string' ? x : isObject(x) && typeof x['text'] === 'string' ? x['text'] : '';

function recipeText(r: Loose): string {
  const list = (x: unknown): string[] => (Array.isArray(x) ? x : [x]).map(words).filter((s) => s !== '');
  return [
    words(r['name']) || 'Untitled',
    'Ingredients',
    ...list(r['recipeIngredient']),
    'Method',
    ...list(r['recipeInstructions']),
    r['recipeYield'] ? `Makes ${words(r['recipeYield'])}` : '',
  ].join('\n');
}
