import { ingredients } from '../ingredient/catalogue.js';
import type { Ingredient, Kitchen } from '../formula/types.js';

const plainText = (s: string): string =>
  s
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9%' -]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

interface Name {
  readonly words: string;
  readonly id: string;
}

const namesOf = (list: readonly Ingredient[]): Name[] =>
  list.flatMap((i) =>
    [i.name, ...i.aliases]
      .map((n) => ({ words: plainText(n.replace(/,.*/, '')), id: i.id }))
      .filter((n) => n.words !== ''),
  );

const catalogueNames = namesOf(ingredients);
const byWords = new Map<string, string>();
for (const n of catalogueNames) if (!byWords.has(n.words)) byWords.set(n.words, n.id);
const byFullName = new Map(ingredients.map((i) => [plainText(i.name), i.id]));
const MAX_WORDS = 6;

/** The ingredient whose full name the phrase is, commas and all ("Butter, salted"); null when it is none's. */
export function exactName(phrase: string): Match | null {
  const words = plainText(phrase);
  const id = byFullName.get(words);
  return id ? { id, words } : null;
}

export interface Match {
  readonly id: string;
  readonly words: string;
}

const singular = (w: string): string =>
  w.endsWith('ies')
    ? `${w.slice(0, -3)}y`
    : w.endsWith('oes')
      ? w.slice(0, -2)
      : w.endsWith('s') && !w.endsWith('ss')
        ? w.slice(0, -1)
        : w;

/**
 * Finds the ingredient named in a phrase. The head of an English phrase comes last ("vanilla yogurt" is yogurt), so the
 * match that ends last wins, and of those the longest. Null when no name of the catalogue or kitchen is in it.
 */
export function matchIngredient(phrase: string, kitchen?: Kitchen): Match | null {
  const own = new Map(namesOf(kitchen?.ownIngredients ?? []).map((n) => [n.words, n.id]));
  const words = plainText(phrase).split(' ').filter(Boolean).slice(0, 24);
  for (let end = words.length; end > 0; end--)
    for (let start = Math.max(0, end - MAX_WORDS); start < end; start++) {
      const said = words.slice(start, end);
      for (const form of [said.join(' '), [...said.slice(0, -1), singular(said.at(-1) ?? '')].join(' ')]) {
        const id = own.get(form) ?? byWords.get(form);
        if (id) return { id, words: form };
      }
    }
  return null;
}

const pairs = (s: string): Set<string> => {
  const out = new Set<string>();
  for (let i = 0; i + 1 < s.length; i++) out.add(s.slice(i, i + 2));
  return out;
};

/** Ingredients whose names look most like a phrase, best first: for a doubt's choices, never taken silently. */
export function lookAlikes(phrase: string, n: number): Match[] {
  const said = pairs(plainText(phrase));
  const best = new Map<string, { score: number; words: string }>();
  for (const name of catalogueNames) {
    const its = pairs(name.words);
    let shared = 0;
    for (const p of its) if (said.has(p)) shared++;
    const score = (2 * shared) / Math.max(1, said.size + its.size);
    if (score > (best.get(name.id)?.score ?? 0.25)) best.set(name.id, { score, words: name.words });
  }
  return [...best]
    .sort((a, b) => b[1].score - a[1].score)
    .slice(0, n)
    .map(([id, m]) => ({ id, words: m.words }));
}
