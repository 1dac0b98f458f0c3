import { allItems, readRecipe, type RecipeDraft } from '@orvin/core';
import { distance } from 'fastest-levenshtein';

/** What became of a card that was read from its picture, beside the same card read from its text. */
export interface Measured {
  /** Share of letters that are right, 0–1. */
  readonly letters: number;
  readonly facts: number;
  readonly right: number;
  /** Facts that are wrong and not asked about. */
  readonly silent: readonly string[];
  /** Facts that are asked about and are right as they were read. */
  readonly needless: number;
}

const plain = (s: string): string => s.replace(/\s+/g, ' ').trim();
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

export function measured(card: string, text: string, draft: RecipeDraft): Measured {
  const truth = readRecipe(card);
  const letters = 1 - distance(plain(card), plain(text)) / plain(card).length;
  const asked = new Set(draft.doubts.map((d) => d.itemId));
  const there = [...allItems(draft.formula)];
  const facts: { readonly name: string; readonly right: boolean; readonly asked: boolean }[] = [];
  for (const item of allItems(truth.formula)) {
    const at = there.findIndex((i) => i.ingredient === item.ingredient);
    const [found] = at >= 0 ? there.splice(at, 1) : [];
    facts.push({
      name: `${item.words}: ${found ? `${found.grams} g for ${item.grams} g` : 'lost'}`,
      right: found !== undefined && Math.abs(found.grams - item.grams) <= 0.02 * item.grams,
      asked: found ? asked.has(found.id) : draft.doubts.some((d) => d.kind !== 'scan'),
    });
  }
  const wide = (kinds: readonly string[], mark: readonly string[]): boolean =>
    draft.doubts.some(
      (d) =>
        kinds.includes(d.kind) ||
        (d.kind === 'scan' && draft.marks?.some((m) => mark.includes(m.what) && m.line === d.place?.line)),
    );
  const [a, b] = [truth.formula, draft.formula];
  facts.push(
    { name: `heat: ${b.bake?.ovenC}`, right: a.bake?.ovenC === b.bake?.ovenC && a.bake?.fan === b.bake?.fan, asked: wide(['temperature', 'no-bake'], ['heat']) }, // prettier-ignore
    { name: `minutes: ${JSON.stringify(b.bake?.minutes)}`, right: same(a.bake?.minutes, b.bake?.minutes), asked: wide(['time', 'no-bake'], ['time']) }, // prettier-ignore
    { name: `tins: ${JSON.stringify(b.tins)}`, right: same(a.tins, b.tins), asked: wide(['tin'], ['tin']) },
    { name: `family: ${b.family}`, right: a.family === b.family, asked: wide(['family'], []) },
  );
  const wrong = facts.filter((f) => !f.right);
  return {
    letters,
    facts: facts.length,
    right: facts.length - wrong.length,
    silent: wrong.filter((f) => !f.asked).map((f) => f.name),
    needless: Math.max(0, draft.doubts.length - truth.doubts.length - wrong.filter((f) => f.asked).length),
  };
}
