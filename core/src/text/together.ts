import type { Ingredient } from '../formula/types.js';

/** Words by which a method speaks of several ingredients at once, and whom they mean. */
export const together: readonly (readonly [RegExp, (i: Ingredient) => boolean])[] = [
  [
    /\ball (?:of )?(?:the )?(?:other |remaining )?ingredients\b|\beverything\b|\b(?:the )?(?:remaining|other|rest of the) ingredients\b/,
    () => true,
  ],
  [
    /\b(?:whisk|mix|sift|sieve|stir|combine|blend|into|to) dry\b(?! (?:them|it|well|milk|mustard|ginger|yeast))|\bdry (?:ingredients|ingred|mix|things|stuff|bowl)\b|\bthe dry\b|\bdry into\b|\bdry in (?:two|three|2|3|thirds|halves)\b|\bdry last\b|\binto the dry\b|^(?:in )?dry\b(?! (?:them|it|well))/,
    (i) => ['flour', 'leavener', 'salt', 'cocoa', 'flavour', 'sugar', 'addin'].includes(i.role) || i.base !== undefined,
  ],
  [
    /\b(?:whisk|mix|beat|stir|combine|blend) wet\b|\b(?:wet|liquid) (?:ingredients|mix|things|stuff|bowl)\b|\bthe (?:wet|liquids?)\b|\bliquids\b|\bwet in\b|\bwet into\b|^(?:in )?wet\b/,
    (i) => ['liquid', 'egg', 'fat', 'acid', 'flavour', 'sugar', 'fruit'].includes(i.role),
  ],
  [/\bspices?\b/, (i) => i.role === 'flavour'],
  [/\b(?:raising|leavening) agents?\b|\bleaveners?\b|\bleavening\b/, (i) => i.role === 'leavener'],
  [/\bflours?\b/, (i) => i.base === 'flour'],
  [/\bsugars?\b|\bsyrups?\b/, (i) => i.role === 'sugar'],
  [/\bfruits?\b|\bberries\b|\bpur[ée]e\b|\bmash\b|\bpulp\b/, (i) => i.role === 'fruit'],
  [/\bnuts\b/, (i) => i.role === 'addin'],
  [/\bseeds?\b/, (i) => i.role === 'addin' || i.role === 'flavour'],
  [/\bmilk\b|\bcurd\b|\byogh?urt\b/, (i) => i.role === 'liquid'],
  [/\bfats?\b|\bshortening\b/, (i) => i.role === 'fat'],
  [/\bsoda\b|\bbicarb\b/, (i) => i.leavener === 'soda'],
  [/\bbaking powder\b/, (i) => i.leavener === 'powder'],
  [/\bchocolate\b|\bchips\b/, (i) => /choc/.test(i.id)],
  [/\bcheeses?\b/, (i) => i.kind === 'cheese' || i.id === 'cream-cheese'],
  [/\bjuice\b|\blemons?\b|\blimes?\b|\boranges?\b/, (i) => /juice|zest/.test(i.id)],
  [/\bzest\b|\brind\b/, (i) => /zest/.test(i.id)],
  [/\bherbs?\b/, (i) => /herb/.test(i.id)],
  [/\bfold-ins?\b|\badd-ins?\b|\bmix-ins?\b/, (i) => ['addin', 'fruit'].includes(i.role)],
];
