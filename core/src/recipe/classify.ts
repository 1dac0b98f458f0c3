import type { GroupRole, Kitchen } from '../formula/types.js';
import { scanAmounts } from '../quantity/scan.js';
import { matchIngredient } from './match.js';

export type Kind = 'title' | 'heading' | 'ingredient' | 'method' | 'blank' | 'other';
/** What a line of the text is. */
export interface Classified {
  readonly kind: Kind;
  readonly text: string;
  readonly no: number;
  /** Where the text begins in its line. */
  readonly at: number;
  readonly group?: { readonly name: string; readonly role: GroupRole };
}

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

/** Tells title, headings, ingredient lines and method apart, line by line. */
export function classify(lines: readonly string[], kitchen: Kitchen): Classified[] {
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
      void out.push({ kind, text, no, at: Math.max(0, raw.indexOf(text)), ...(group && { group }) });
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
