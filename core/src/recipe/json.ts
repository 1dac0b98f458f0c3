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
  if (isObject(data) && data['format'] === 'orvin.formula' && Array.isArray(data['groups']))
    return { kind: 'formula', formula: data as unknown as Formula };
  const recipe = findRecipe(data, 0);
  return recipe ? { kind: 'text', text: recipeText(recipe) } : { kind: 'other' };
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
