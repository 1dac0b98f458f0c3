import type { GroupRole } from '../formula/types.js';
import { scanAmounts } from '../quantity/scan.js';

/** The words over and beside the parts of a recipe: over the list, the method and the rest, and over groups of the list. */

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
  [
    /icing|frosting|glaze|drizzle|buttercream|ganache|to (?:finish|decorate|ice)|glasur|guss|glaçage|glasa|glassa/i,
    'icing',
  ],
  [/filling|custard|curd|sandwich|to fill|füllung|garniture|relleno|ripieno/i, 'filling'],
  [/syrup|soak|\bsauce\b|leches|sirup|sirop|almíbar|sciroppo|poured over|to pour over/i, 'soak'],
  [
    /topping|streusel|crumble|\bcrumbs?\b(?! (?:cake|muffin|bread))|\btempering\b|\bcoat(?:ing)?\b|\btops?\b|to (?:serve|sprinkle|garnish|top|scatter|brush)|on top|sprinkl|serving|streusel|zum bestreuen|decoration/i,
    'top',
  ],
  [/\btins?\b|\bpan\b|greas|dusting|für die form|pour le moule/i, 'grease'],
  [/\bdry\b|trocken|secs\b|secos/i, 'dry'],
  [/\bwet\b|liquid|in turns with|bind|flüssig/i, 'wet'],
  [/\bcream(?:ed|ing)?\b (?:together|mix)|rub in|fat and sugar|butter and sugar/i, 'fat-sugar'],
  [/beat in|\beggs?\b/i, 'egg'],
  [/fold in|^(?:then )?add$|stir[- ]?ins?|add[- ]?ins|mix[- ]?ins|inclusions|stir through/i, 'fold-in'],
];
export const roleOfHeading = (name: string): GroupRole => roleWords.find(([re]) => re.test(name))?.[1] ?? 'batter';

export interface GroupHead {
  readonly name: string;
  readonly role: GroupRole;
  /** True when the text gives the group its role outright, so that it is kept as it stands. */
  readonly said: boolean;
}

const component =
  /^(?:the )?(?:(?:[a-z]+ ){0,3}(?:streusel|crumble|frosting|icing|glaze|drizzle|buttercream|syrup|sauce|filling|custard|ganache)(?: topping)?|[a-z]+ topping|tops?|topping|streusel|crumble(?: topping)?|soak(?:ing)?|leches|dry(?: ingredients| stuff| things| mix)?|wet(?: ingredients| stuff| things| mix)?|cake|base|batter|muffins|loaf|dough|scones|sponge|teig|belag|füllung|guss|glasur|streusel|pâte|masa|relleno|impasto)$/i;
const forThe =
  /^(?:for (?:the )?|to (?=make|finish|decorate|serve|ice|pour|brush|fill|top|scatter|sprinkle)|für (?:den|die|das)\s|pour (?:la|le|les|l')\s?|para (?:la|el)\s|per (?:la|il|l')\s?).{2,50}$/i;
const notGroup =
  /\bmethod$|^(?:(?:hot|moderate|medium|cool|slow|quick|warm)\s+oven|hi|hello|hey|dear|thanks|makes|serves|yields?|oven|bake|baking|prep|time|tin|temperature|total|cook|servings|keeps|storage|tips?|notes?|makes about)\b/i;

/** A heading over a group: "For the frosting", "Dry ingredients:", "Streusel (top):". Null when the line is none. */
export function groupHead(raw: string, text: string, inList: boolean): GroupHead | null {
  const bare = text.replace(/\s*:$/, '').replace(/^\*+|\*+$/g, '');
  const said = /^(.*?)\s*\(([a-z-]+)\)$/.exec(bare);
  const role = roles.find((r) => r === said?.[2]);
  if (role && said?.[1]) return { name: said[1], role, said: true };
  if (text.length > 64 || scanAmounts(text).length > 0 || /[.!?]$/.test(text)) return null;
  const marked = /:$/.test(text) || /^\*\*.*\*\*$/.test(raw.trim()) || /^#{2,6}\s/.test(raw);
  if (!(forThe.test(bare) || component.test(bare) || (marked && inList)) || notGroup.test(bare)) return null;
  return { name: bare, role: roleOfHeading(bare), said: false };
}

/** A label in front of a list on one line: "Glaze: juice of a lemon and 50 g sugar". */
export interface Label {
  /** What stands behind it, and where that begins. */
  readonly rest: string;
  readonly at: number;
  /** The group that the label names; null when it only says what to do ("boil:", "you need:"). */
  readonly group: GroupHead | null;
}

const label =
  /^\*{0,2}([\p{L}][\p{L}'’&/ -]{1,36}?|for \d{1,3}(?: \p{L}+)?(?: \([^()]{2,40}\))?)\s*(?::|\*{0,2}\s[-–—]\s|\*{2}:)\*{0,2}\s*(?=\S)/iu;

/** "Glaze 180g icing sugar, 3 tbsp lemon juice": the label straight in front of an amount. */
const bareLabel =
  /^((?:\p{L}+ )?(?:glaze|icing|frosting|topping|filling|syrup|streusel|crumble|drizzle|sauce|buttercream))\s+(?=[\d½¼¾⅓⅔])/iu;

/** Takes the label off a line that goes on behind it with a list. Null when there is none. */
export function labelOf(text: string, listed: (rest: string) => boolean): Label | null {
  const m = label.exec(text) ?? bareLabel.exec(text);
  const name = m?.[1]?.trim() ?? '';
  if (!m || name.split(/\s+/).length > 6 || notGroup.test(name)) return null;
  const rest = text.slice(m[0].length);
  if (!listed(rest)) return null;
  const names = component.test(name) || forThe.test(name) || roleOfHeading(name) !== 'batter';
  return { rest, at: m[0].length, group: names ? { name, role: roleOfHeading(name), said: false } : null };
}

export const listHeading =
  /^(?:the )?(?:ingredients?|you(?:'ll| will)? need|what (?:you(?:'ll)? need|goes in(?:to it)?)|shopping list|things you need|zutaten|ingr[ée]dients?|ingredientes|ingredienti)\b.{0,24}:?$/i;
export const methodHeading =
  /^(?:the )?(?:methods?|directions?|instructions?|steps?|preparation|procedure|how to(?: make(?: it| them)?)?|to make(?: it| them)?|what to do|make it|recipe steps|zubereitung|anleitung|so geht'?s|préparation|preparaci[oó]n|elaboraci[oó]n|preparazione|procedimento|modo de hacerlo)\b.{0,12}:?$/i;
/** The same in front of the method on its line: "Method: rub in the butter, ...". */
export const methodLabel =
  /^(?:the )?(?:methods?|directions?|instructions?|preparation|procedure|how to(?: make(?: it| them)?)?|what to do|zubereitung|anleitung|préparation|preparaci[oó]n|elaboraci[oó]n|preparazione|procedimento)\s*(?::|\s[-–—]\s)\s*(?=\S)/iu;
export const noteHeading =
  /^(?:(?:recipe |cook'?s |baker'?s )?notes?|tips?(?: and tricks)?|hints?|variations?|nutrition(?:al)?(?: \(.*\))?(?: information| facts)?|storage|equipment|to store|keeping|substitutions?|tipps?|nährwerte.*|conseils?|astuces?|consejos?|consigli)\s*(?:\(.*\))?:?$/i;
/** What a page has behind its recipe and around it. */
export const afterHeading =
  /^(?:comments?|reviews?|leave a (?:reply|comment)|reader (?:comments|reviews)|related(?: posts| recipes)?|you (?:might|may) also like|more recipes|faqs?|frequently asked.*|did you make (?:this|it).*|share this|about the author|\d+ (?:thoughts|comments|responses|replies|reviews)(?: on)?\b.*|kommentare.*|commentaires.*|comentarios.*|commenti.*)[:?!]?$|^(?:\d+\s+)?(?:comments?|reviews?)\s*(?:\(\d+\))?\s*:\s*["“‘'(]/i;
export const furniture =
  /\bjump to\b|\bskip to\b|\bprint(?: recipe)?\b\s*(?:$|[|·])|\bpin (?:it|recipe)\b|[★☆⭐]|\b\d+(?:[.,]\d+)?\s*(?:\(|from )?\s*[\d,.]+\s*(?:votes?|ratings?|reviews?)\)?|^home\b.*[»>›/]|\b(?:published|modified|updated|posted)\b\s*(?:on\b|:)|affiliate links?|contains ads|tag (?:us|me)\b|subscribe|newsletter|cookies? policy|all rights reserved|^(?:share|save)(?:\s*[|·]\s*\w+|\s+(?:recipe|this))*\s*$|\brate this\b|^\s*(?:US customary|US|metric|imperial|cups|1x|2x|3x)(?:[\s|/·-]+(?:US customary|US|metric|imperial|cups|1x|2x|3x))+\s*$|^\s*(?:US customary|metric)\s*$/i;
