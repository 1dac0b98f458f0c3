import type { Formula, Kitchen } from '../formula/types.js';
import type { Doubt } from './draft.js';
import { kitchenSource } from './origin.js';

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

/** A formula with nothing in it yet, named after its text. */
export function emptyFormula(title: string, text: string, kitchen: Kitchen): Formula {
  return {
    format: 'orvin.formula',
    version: 1,
    id: `${slug(title)}-${hash(text)}`,
    title,
    family: 'free',
    source: kitchenSource(kitchen),
    groups: [],
    method: [],
  };
}

/** A doubt about the whole text, which can only be taken note of. */
export const alone = (id: Doubt['kind'], words: string): Doubt => ({
  id,
  place: null,
  kind: id,
  words,
  likely: 'keep',
  choices: [{ id: 'keep', words: 'understood', edit: { kind: 'keep' } }],
});
