import { ingredientFor } from '../formula/formula.js';
import type { Formula, Ingredient, Kitchen } from '../formula/types.js';
import { Things } from './things.js';

/** `Butter, unsalted` in a sentence. */
const inWords = (i: Ingredient): string => (i.name.split(',')[0] ?? i.name).toLowerCase();

/** Lines that are the same place of the list with another thing in it. */
function replaced(was: Formula, now: Formula, kitchen?: Kitchen): ReadonlyMap<string, string> {
  const before = new Map(was.groups.flatMap((g) => g.items).map((i) => [i.id, i]));
  const out = new Map<string, string>();
  for (const i of now.groups.flatMap((g) => g.items)) {
    const old = before.get(i.id);
    if (old && old.ingredient !== i.ingredient && i.ingredient !== 'unknown')
      out.set(i.id, inWords(ingredientFor(now, i, kitchen)));
  }
  return out;
}

/**
 * A formula whose method speaks of what is in it now: where a line's thing was replaced, the words that named the old one and
 * nothing else name the new one. Words that could mean several lines stay as they are.
 */
export function reworded(was: Formula, now: Formula, kitchen?: Kitchen): Formula {
  const to = replaced(was, now, kitchen);
  if (to.size === 0 || now.method.length === 0) return now;
  const things = new Things(was, kitchen);
  const method = now.method.map((m) => {
    const text = things
      .alone(m.text)
      .filter((n) => to.has(n.itemId))
      .toReversed()
      .reduce((t, n) => {
        const word = to.get(n.itemId) ?? '';
        const capital = /^\p{Lu}/u.test(t.slice(n.from)) ? word.charAt(0).toUpperCase() + word.slice(1) : word;
        return t.slice(0, n.from) + capital + t.slice(n.to);
      }, m.text);
    return text === m.text ? m : { ...m, text };
  });
  return { ...now, method };
}
