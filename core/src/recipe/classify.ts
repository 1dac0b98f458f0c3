import type { GroupRole, Kitchen } from '../formula/types.js';
import { scanAmounts } from '../quantity/scan.js';
import { plainChars } from './anatomy.js';
import { matchIngredient } from './match.js';

export type Kind = 'title' | 'heading' | 'ingredient' | 'method' | 'blank' | 'note' | 'other';
/** What a line of the text is. */
export interface Classified {
  readonly kind: Kind;
  readonly text: string;
  readonly no: number;
  /** Where the text begins in its line. */
  readonly at: number;
  readonly group?: { readonly name: string; readonly role: GroupRole; readonly said: boolean };
}

const roles: readonly GroupRole[] = [
  'batter',
  'dry',
  'wet',
  'fat-sugar',
  'egg',
  'fold-in',
  'top',
  'filling',
  'icing',
  'soak',
  'grease',
];
const roleWords: readonly (readonly [RegExp, GroupRole])[] = [
  [/icing|frosting|glaze|drizzle|buttercream|ganache|to (?:finish|decorate|ice)/i, 'icing'],
  [/filling|custard|curd|sandwich/i, 'filling'],
  [/syrup|soak/i, 'soak'],
  [/topping|streusel|crumble|to (?:serve|sprinkle|garnish|top)|on top|sprinkl|serving/i, 'top'],
  [/\btins?\b|\bpan\b|greas|dusting/i, 'grease'],
  [/\bdry\b/i, 'dry'],
  [/\bwet\b|liquid|in turns with|bind/i, 'wet'],
  [/\bcream(?:ed|ing)?\b (?:together|mix)|rub in|fat and sugar|butter and sugar/i, 'fat-sugar'],
  [/beat in|\beggs?\b/i, 'egg'],
  [/fold in|add[- ]?ins|mix[- ]?ins|inclusions|stir through/i, 'fold-in'],
];
export const roleOfHeading = (name: string): GroupRole => roleWords.find(([re]) => re.test(name))?.[1] ?? 'batter';

/** A heading over a group: "For the frosting", "Dry ingredients:", "Streusel (top):". Null when the line is none. */
function groupOf(raw: string, text: string, inList: boolean): Classified['group'] | null {
  const bare = text.replace(/\s*:$/, '').replace(/^\*+|\*+$/g, '');
  const said = /^(.*?)\s*\(([a-z-]+)\)$/.exec(bare);
  const role = roles.find((r) => r === said?.[2]);
  if (role && said?.[1]) return { name: said[1], role, said: true };
  if (text.length > 64 || scanAmounts(text).length > 0 || /[.!?]$/.test(text)) return null;
  const forThe = /^(?:for (?:the )?|to (?=make|finish|decorate|serve|ice)).{2,50}$/i.test(bare);
  const colon = /:$/.test(text) || /^\*\*.*\*\*$/.test(raw.trim()) || /^#{2,6}\s/.test(raw);
  const known =
    /^(?:the )?(?:(?:[a-z]+ )?(?:streusel|crumble|frosting|icing|glaze|drizzle)(?: topping)?|[a-z]+ topping|topping|streusel|crumble(?: topping)?|icing|frosting|glaze|filling|syrup|soak|drizzle|dry(?: ingredients)?|wet(?: ingredients)?|cake|batter|muffins|loaf|dough|scones|sponge)$/i.test(
      bare,
    );
  if (
    !(forThe || known || (colon && inList)) ||
    /^(?:makes|serves|yields?|oven|bake|baking|prep|time|tin|temperature)\b/i.test(bare)
  )
    return null;
  return { name: bare, role: roleOfHeading(bare), said: false };
}

const verbs =
  /\b(?:preheat|heat|mix|stir|whisk|beat|cream|fold|bake|pour|spoon|grease|line|rub|add|combine|turn|cool|sift|melt|mash|knead|divide|spread|serve|leave|rest|put|set|place|toss|soak|make|cover|cut|roll|shape|brush|let|remove|drop|fill|tip|scrape|blend|simmer|boil|bring|sprinkle|drizzle|grate|peel|work|pat|press|dust)\b/i;

function looksLikeIngredient(text: string, kitchen: Kitchen): boolean {
  if (text.length > 140) return false;
  if (
    /^(?:bake|makes|serves|yields?|preheat|heat|oven|prep|total|cook(?:ing)?|time|tin|temperature|calories|ready in|tins?:|in:)\b/i.test(
      text,
    )
  )
    return false;
  const amounts = scanAmounts(plainChars(text));
  const head = text.split(',')[0] ?? text;
  const known = matchIngredient(head, kitchen) !== null || matchIngredient(text, kitchen) !== null;
  const leading = amounts[0] !== undefined && amounts[0].from <= 6;
  const withUnit = amounts.some((a) => a.unit !== null);
  if (/^\d+[.)]\s+\p{Lu}/u.test(text) && verbs.test(text)) return false;
  const first = /^[\p{L}]+/u.exec(text)?.[0] ?? '';
  if (verbs.test(first) && !known) return false;
  const sentence = verbs.test(text) && (/[.!]$/.test(text) || verbs.test(first)) && text.split(' ').length > 5;
  if (sentence && !/^(?:the )?(?:juice|zest|grated)/i.test(text)) return false;
  return (
    (leading && (withUnit || known)) ||
    (withUnit && known) ||
    (known &&
      amounts.length > 0 &&
      /^(?:the |finely |freshly |coarsely )?(?:grated|zest|juice|rind|peel)\b/i.test(text)) ||
    (known &&
      /to taste|a pinch|for dusting|for greasing|for the (?:tin|pan|board)|as needed|as required|to glaze/i.test(
        text,
      )) ||
    (/^an?\s/i.test(text) && known && text.split(' ').length < 8)
  );
}

const listHeading =
  /^(?:the )?(?:ingredients?|you(?:'ll| will)? need|what you(?:'ll)? need|shopping list|things you need)\b.{0,24}:?$/i;
const methodHeading =
  /^(?:the )?(?:method|directions?|instructions?|steps?|preparation|procedure|how to make(?: it| them)?|to make|what to do|make it|recipe steps)\b.{0,12}:?$/i;
const noteHeading =
  /^(?:notes?|tips?|hints?|variations?|nutrition(?:al)?(?: information| facts)?|storage|equipment|to store|cook's notes?|keeping)\s*:?$/i;

/** Tells title, headings, ingredient lines and method apart, line by line. */
export function classify(lines: readonly string[], kitchen: Kitchen): Classified[] {
  const out: Classified[] = [];
  let section: 'unknown' | 'ingredients' | 'method' | 'notes' = 'unknown';
  let titled = false;
  let listed = 0;
  // on a card that Orvin wrote the first line is the title, whatever it says
  const card = lines.slice(0, 12).some((l) => /^\s*(?:[-*]\s*)?Family: [a-z-]+\s*$/.test(l));
  lines.forEach((raw, no) => {
    const text = raw
      .replace(/^#+\s*/, '')
      .replace(/^[\s\-–—•·▢□☐○●◦‣➤✓]+(?=\S)/, '')
      .replace(/^\*+\s+(?=\S)/, '')
      .replace(/^\[[ x]?\]\s*/i, '')
      .trim();
    const add = (kind: Kind, group?: Classified['group']): void =>
      void out.push({ kind, text, no, at: Math.max(0, raw.indexOf(text)), ...(group && { group }) });
    if (text === '') return add('blank');
    if (card && !titled) {
      titled = true;
      return add('title');
    }
    const bare = text.replace(/^\*+|\*+$/g, '').trim();
    if (listHeading.test(bare)) {
      section = 'ingredients';
      return add('heading');
    }
    if (methodHeading.test(bare) && scanAmounts(bare).length === 0) {
      section = 'method';
      return add('heading');
    }
    if (noteHeading.test(bare)) {
      section = 'notes';
      return add('heading');
    }
    if (section === 'notes') return add('note');
    if (section === 'method' && /^(?:step\s*)?\d+[.):]\s/i.test(text)) return add('method');
    if (/^(?:measures|family|oven|makes|tins?):\s/i.test(text)) return add('other');
    const inList = section === 'ingredients' || (section === 'unknown' && titled);
    const group = section === 'method' ? null : groupOf(raw, text, inList);
    if (group && (titled || group.role !== 'batter')) return add('heading', group);
    const ingredient = section !== 'method' && looksLikeIngredient(text, kitchen);
    if (!titled && !ingredient && (/^#\s/.test(raw) || (!verbs.test(text.split(' ')[0] ?? '') && text.length < 90))) {
      titled = true;
      return add('title');
    }
    if (ingredient) {
      titled = true;
      listed++;
      return add('ingredient');
    }
    if (
      section === 'ingredients' &&
      text.split(' ').length <= 8 &&
      !/[.!]$/.test(text) &&
      !verbs.test(text) &&
      !/^(?:makes|serves|yield|bake|in:|tins?:)/i.test(text)
    ) {
      listed++;
      return add('ingredient');
    }
    // without headings the method begins at the first sentence that does something, once there is a list
    if (
      section === 'unknown' &&
      listed > 1 &&
      verbs.test(text.split(' ').slice(0, 4).join(' ')) &&
      text.split(' ').length > 5
    )
      section = 'method';
    add(verbs.test(text) || (section === 'method' && text.split(' ').length > 3) ? 'method' : 'other');
  });
  return out;
}
