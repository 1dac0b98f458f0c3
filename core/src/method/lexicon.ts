import type { VerbId } from './verbs.js';

/**
 * What a word of the text does: one of the trade's verbs, told apart by what follows it in its clause. The first sense whose
 * condition holds is meant; none means that the word is no work here ("I have four bananas").
 */
type Sense = VerbId | readonly [VerbId | null, RegExp];

interface Lemma {
  readonly base: string;
  /** Forms that the rules of spelling do not give. */
  readonly past?: readonly string[];
  /** The same letters are a thing more often than a verb: "oil", "butter", "top". */
  readonly thing?: true;
  readonly senses: readonly Sense[];
}

const oven = /^(?:[^,;]*?\b)?(?:oven|gas mark|regulo)\b/i;
const intoOven =
  /\b(?:in|into|to|back in|inside)\s+(?:(?:the|a|an|your|its)\s+)?(?:\w+\s+){0,3}oven\b|^\s*(?:it|them|the \w+)?\s*back\s+in\b(?! the (?:tin|bowl))/i;
export const tinWords = String.raw`(?:tins?|pans?|moulds?|molds?|cases|papers|cups|dish|skillet|forms?|rings?|hollows|holes|ramekins|springform|bundt|muffin tray|loaf tin)`;
const intoTin = new RegExp(String.raw`\b(?:in|into|to|between|among|over|amongst|inside)\b[^,;]*?\b${tinWords}\b`, 'i');
const onTray = /\b(?:on|onto|on to|to)\b[^,;]*?\b(?:trays?|sheets?|baking paper|parchment|griddle)\b/i;
const onBoard =
  /\b(?:on|onto|on to|to)\b[^,;]*?\b(?:boards?|table|worktop|work ?surface|surface|counter|bench|slab)\b/i;
const onRack = /\b(?:on|onto|on to|to)\b[^,;]*?\b(?:racks?|wires?|plate|platter|cloth|towel)\b/i;
const inFridge = /\b(?:fridge|refrigerator|larder|cold place|somewhere cold)\b/i;
const inFreezer = /\b(?:freezer|deep freeze)\b/i;
const aside = /^\s*(?:\w+\s+){0,6}?aside\b|^\s*to one side/i;
const part = /\b(?:cream|butter|sugar|egg|milk)\b/i;

/** Where something is put decides what the putting is. */
const moving = (otherwise: VerbId | null): readonly Sense[] => [
  ['soak', /\bto (?:soak|steep|swell|plump)\b/i],
  ['keep back', /^\s*(?:\w+\s+){0,6}?(?:aside|to one side)\b|^\s*by\s*$/i],
  ['uncover', /^\s*(?:\w+\s+)?(?:the\s+)?(?:foil|lid|cover|paper)\s+off\b/i],
  [
    'cover',
    /\b(?:foil|lid|sheet of (?:paper|film)|paper|parchment|upturned bowl|plate|film|cling\w*|cloth|towel)\b[^,;]*\b(?:over|on|on top|loosely)\b|^\s*(?:over|on)\b[^,;]*\b(?:foil|lid)\b|\blid on\b|\bas a lid\b/i,
  ],
  ['freeze', inFreezer],
  ['put in', intoOven],
  // "put half of them in at 190C for 12 minutes"
  ['put in', /^\s*(?:[\p{L}']+\s+){0,4}?in\s+(?:at|for)\s+(?:about\s+)?(?:\d|gas\b|[\p{L}-]+\s+(?:min|degrees))/iu],
  ['chill', inFridge],
  [
    'line',
    /\b(?:paper|cases|parchment)\b[^,;]*\bin\b[^,;]*\b(?:tins?|tray|pan|hollows)\b|^\s*(?:paper|baking parchment|parchment) in\b/i,
  ],
  ['fill', intoTin],
  ['place', onTray],
  ['place', onBoard],
  ['move', onRack],
  ['top', /\bon (?:the )?top\b|\bover the (?:top|loaf|cake|batter)\b/i],
  ...(otherwise ? [otherwise] : []),
];

const lemmas: readonly Lemma[] = [
  // ready
  { base: 'preheat', senses: ['heat'] },
  { base: 'pre-heat', senses: ['heat'] },
  { base: 'heat', senses: [['heat', oven], ['heat', /\b(?:skillet|tin|griddle)\b/i], 'warm'] },
  { base: 'light', senses: [['heat', oven]] },
  { base: 'grease', senses: ['grease'] },
  { base: 'spray', senses: ['grease'] },
  {
    base: 'butter',
    thing: true,
    senses: [
      [
        'grease',
        new RegExp(
          String.raw`^\s*(?:and (?:line|flour|base-line)\s+)?(?:well\s+|generously\s+|lightly\s+)?(?:the|an?|your|two|three|both|\d+)\b[^,;]*\b(?:${tinWords}|trays?|sheets?|tray)\b|^\s+(?:and (?:line|flour))\b|^\s*(?:it|them)\b`,
          'i',
        ),
      ],
    ],
  },
  {
    base: 'oil',
    thing: true,
    senses: [
      [
        'grease',
        new RegExp(
          String.raw`^\s*(?:and (?:line|flour)\s+)?(?:well\s+|lightly\s+)?(?:the|an?|your|two|three|both|\d+)\b[^,;]*\b(?:${tinWords}|trays?|sheets?)\b`,
          'i',
        ),
      ],
    ],
  },
  {
    base: 'flour',
    thing: true,
    senses: [
      [
        'grease',
        new RegExp(
          String.raw`^\s*(?:the|an?|your|it|them|two|both)?\b[^,;]*\b(?:${tinWords}|trays?|sheets?)\b|^\s*(?:it|them)?\s*(?:well|lightly)?\s*$`,
          'i',
        ),
      ],
    ],
  },
  { base: 'line', thing: true, senses: [['line', /./]] },
  { base: 'base-line', senses: ['line'] },
  { base: 'soften', senses: [['take from the cold', /./], 'take from the cold'] },
  { base: 'soak', senses: ['soak'] },
  { base: 'steep', senses: ['soak'] },
  { base: 'plump', senses: ['soak'] },
  { base: 'drain', senses: ['drain'] },
  { base: 'squeeze', senses: ['squeeze'] },
  { base: 'wring', past: ['wrung'], senses: ['squeeze'] },
  { base: 'toast', thing: true, senses: [['toast', /./]] },
  { base: 'roast', thing: true, senses: [['toast', /\bnuts?|almonds|walnuts|pecans|hazelnuts|seeds\b/i], 'bake'] },
  { base: 'chop', senses: ['chop'] },
  { base: 'dice', senses: ['chop'] },
  { base: 'stone', thing: true, senses: [['chop', /^\s*(?:the|your|and)\b/i]] },
  { base: 'core', thing: true, senses: [['chop', /^\s*(?:the|your|and)\b/i]] },
  { base: 'shred', senses: ['grate'] },
  {
    base: 'grate',
    senses: [['cut in', /^\s+(?:it |that )?(?:straight )?in(?:to)?\b|\bbutter\b[^,;]*\b(?:in|into)\b/i], 'grate'],
  },
  { base: 'zest', thing: true, senses: [['grate', /^\s*(?:the|your|both|two)\b/i]] },
  { base: 'mash', thing: true, senses: [['mash', /./]] },
  { base: 'crush', senses: ['mash'] },
  { base: 'purée', thing: true, senses: [['mash', /^\s*(?:the|it|them|your)\b/i]] },
  {
    base: 'peel',
    thing: true,
    senses: [
      ['unmould', /^\s*(?:off|away)\b|\bpaper\b/i],
      ['peel', /./],
    ],
  },
  { base: 'weigh', senses: ['weigh'] },
  { base: 'measure', senses: ['weigh'] },
  // in the bowl
  { base: 'sift', senses: ['sift'] },
  { base: 'sieve', thing: true, senses: [['sift', /./]] },
  { base: 'mix', thing: true, senses: [['mix', /./], 'mix'] },
  { base: 'stir', senses: ['mix'] },
  { base: 'wet', thing: true, past: ['wetted'], senses: [['mix', /^\s*(?:it|them|the)\b/i]] },
  { base: 'combine', senses: ['mix'] },
  { base: 'incorporate', senses: ['mix'] },
  { base: 'slacken', senses: ['mix'] },
  {
    base: 'loosen',
    senses: [
      ['loosen', /\b(?:edges?|sides?|knife|round|around)\b|^\s*$/i],
      ['mix', /\bwith\b|\bw\b|\bit\b/i],
      'loosen',
    ],
  },
  { base: 'bind', past: ['bound'], senses: ['bring together'] },
  { base: 'thin', thing: true, senses: [['mix', /\bwith\b|\bdown\b/i]] },
  { base: 'whisk', thing: true, senses: [['whisk', /./], 'whisk'] },
  { base: 'beat', past: ['beat', 'beaten'], senses: ['beat'] },
  { base: 'cream', thing: true, senses: [['cream', /^(?!\s+on\b)(?:\s|ed|ing)/]] },
  { base: 'whip', senses: ['whip'] },
  { base: 'rub', senses: [['rub in', /./], 'rub in'] },
  {
    base: 'crumble',
    thing: true,
    senses: [
      ['top', /\b(?:over|on top|on)\b/i],
      ['rub in', /\bbutter\b/i],
    ],
  },
  { base: 'toss', senses: ['toss'] },
  {
    base: 'fold',
    thing: true,
    senses: [
      [
        'pat',
        /\blike a letter\b|\bin (?:three|half|thirds)\b(?! (?:parts?|lots|goes|batches|additions|turns|stages|times))|\bover (?:itself|like|twice)\b|\bthe dough\b/i,
      ],
      'fold',
    ],
  },
  { base: 'add', senses: ['add'] },
  { base: 'alternate', senses: ['add'] },
  { base: 'trickle', senses: ['pour'] },
  { base: 'dribble', senses: ['pour'] },
  { base: 'stream', senses: ['pour'] },
  {
    base: 'pour',
    senses: [
      ['fill', /^\s*(?:in )?(?:the |all the )?batter\s*(?:in\b|$|[,.;])/i],
      ...moving(null).filter((s) => s[0] === 'fill' || s[0] === 'line'),
      'pour',
    ],
  },
  { base: 'melt', senses: ['melt'] },
  {
    base: 'warm',
    senses: [
      ['heat', oven],
      ['warm', /./],
    ],
  },
  { base: 'boil', thing: true, senses: [['boil', /./], 'boil'] },
  { base: 'simmer', senses: ['simmer'] },
  {
    base: 'cook',
    senses: [
      ['bake', intoOven],
      ['boil', /\bpan\b|\bthick|\bsoft|\b(?:dates|apples?|fruit|rhubarb|water)\b|\bgently\b/i],
      'bake',
    ],
  },
  { base: 'stew', senses: ['boil'] },
  { base: 'fry', senses: ['fry'] },
  { base: 'sauté', senses: ['fry'] },
  { base: 'wilt', senses: ['fry'] },
  { base: 'brown', thing: true, senses: [['melt', /^\s*(?:the|your)?\s*butter\b/i]] },
  { base: 'dissolve', senses: ['dissolve'] },
  { base: 'blend', senses: ['blend'] },
  { base: 'blitz', senses: ['blend'] },
  { base: 'whizz', senses: ['blend'] },
  { base: 'process', thing: true, senses: [['blend', /./]] },
  { base: 'pulse', senses: ['blend'] },
  {
    base: 'bring',
    past: ['brought'],
    senses: [
      ['take from the cold', /\broom temp/i],
      ['boil', /\bto (?:the|a) (?:boil|simmer)\b/i],
      ['lower', /\bdown to\b/i],
      ['bring together', /\btogether\b|\bdough\b/i],
    ],
  },
  {
    base: 'work',
    thing: true,
    senses: [
      ['rub in', /\b(?:butter|fat|lard)\b[^,;]*\b(?:in|into)\b|\binto\b[^,;]*\bflour\b/i],
      ['mix', /\b(?:in|into|together|through|with|to)\b/i],
    ],
  },
  { base: 'knead', senses: ['knead'] },
  { base: 'gather', senses: [['re-roll', /\b(?:scraps?|trimmings?)\b/i], 'bring together'] },
  { base: 'squash', senses: [['re-roll', /\b(?:scraps?|trimmings?)\b/i], 'pat'] },
  {
    base: 'make',
    past: ['made'],
    senses: [
      ['well', /\bwell\b|\bhole\b/i],
      ['hollow', /\b(?:hollow|dip|dent)\b/i],
      ['bring together', /\b(?:dough|batter|paste)\b/i],
      [
        'shape',
        /^(?:\s+(?:it|the dough|this))?(?:\s+(?:in)?to)?(?:\s+[\p{L}\d-]+){0,4}?\s+(?:balls?|rolls|buns|rounds?|heaps|mounds|ovals?|logs?|cob|loaves)\b/iu,
      ],
      [
        'make',
        /\b(?:icing|frosting|syrup|glaze|sauce|topping|crumble|streusel|filling|buttercream|cream|caramel|ganache)\b/i,
      ],
    ],
  },
  {
    base: 'form',
    thing: true,
    senses: [['shape', /\b(?:into|round|ball|cake|rounds|balls|oval|log|each|a|discs?)\b/i]],
  },
  { base: 'hold', past: ['held'], senses: [['keep back', /\bback\b/i]] },
  { base: 'reserve', senses: ['keep back'] },
  { base: 'save', senses: ['keep back'] },
  // moving
  {
    base: 'put',
    past: ['put'],
    senses: [
      ['test', /\b(?:skewer|toothpick|needle|straw)\b[^,;.]*\bin\b/i],
      ['heat', /\b(?:the |your )?oven on\b/i],
      ...moving('add'),
    ],
  },
  { base: 'pop', senses: moving('add') },
  { base: 'place', thing: true, senses: moving('place') },
  { base: 'lay', past: ['laid'], senses: moving('place') },
  { base: 'arrange', senses: moving('place') },
  { base: 'space', thing: true, senses: [['place', /./]] },
  { base: 'transfer', senses: moving('move') },
  { base: 'move', senses: moving('move') },
  { base: 'lift', senses: [['unmould', /\b(?:out|off|from)\b/i], ...moving('move')] },
  { base: 'slide', past: ['slid'], senses: moving('move') },
  { base: 'return', senses: [['put in', /./]] },
  { base: 'throw', past: ['threw', 'thrown'], senses: moving('add') },
  { base: 'dump', senses: moving('add') },
  { base: 'chuck', senses: moving('add') },
  { base: 'bung', senses: moving('add') },
  { base: 'sling', past: ['slung'], senses: moving('add') },
  { base: 'whack', senses: moving('add') },
  { base: 'stick', past: ['stuck'], thing: true, senses: moving('add') },
  { base: 'shove', senses: moving('add') },
  { base: 'pack', thing: true, senses: moving('place') },
  { base: 'slather', senses: ['spread'] },
  { base: 'smear', senses: ['spread'] },
  {
    base: 'tip',
    thing: true,
    senses: [
      [
        'unmould',
        /^\s*(?:it|them|the (?:loaf|loaves|cakes?))?\s*out\b(?![^,;]*\b(?:board|table|worktop|surface|counter)\b)/i,
      ],
      ...moving('add'),
    ],
  },
  { base: 'empty', thing: true, senses: moving('add') },
  {
    base: 'spoon',
    thing: true,
    senses: [
      ...moving(null).filter((s) => s[0] === 'fill' || s[0] === 'place'),
      ['pour', /\b(?:over|on)\b/i],
      ['fill', /./],
    ],
  },
  { base: 'ladle', thing: true, senses: [['fill', /./]] },
  { base: 'scoop', thing: true, senses: [['drop', /./]] },
  { base: 'pipe', senses: ['fill'] },
  { base: 'pile', senses: [['drop', /./]] },
  { base: 'heap', thing: true, senses: [['drop', /./]] },
  {
    base: 'drop',
    thing: true,
    senses: [
      ['lower', /\boven\b|\bheat\b|\btemp|^\s*(?:it|down)?\s*(?:to|down)\b/i],
      ['drop', /./],
    ],
  },
  { base: 'dollop', thing: true, senses: [['drop', /./]] },
  { base: 'scrape', senses: [['scrape', /^\s*(?:down|the (?:bowl|sides|bottom))\b/i], ...moving('fill')] },
  {
    base: 'turn',
    thing: true,
    senses: [
      ['heat', /^\s*(?:on\b[^,;]*\boven|[^,;]*\boven on\b|[^,;]*\boven to \d)/i],
      ['switch off', /\boff\b/i],
      ['lower', /(?<!\bupside )\bdown\b/i],
      ['raise', /\bup\b(?!side)/i],
      [
        'place',
        /^\s*(?:it|them|the dough)?\s*(?:out\s+)?(?:on|onto|on to)\b[^,;]*\b(?:board|table|worktop|surface|counter|floured)\b/i,
      ],
      ['unmould', /\bout\b|\bupside down on|\bonto\b[^,;]*\b(?:rack|plate|wire|cloth)\b/i],
      ['fill', intoTin],
      [
        'turn',
        /\b(?:round|around|half|halfway|tray|trays|tins?|once|pan|over|upside down|back to front|after)\b|^\s*(?:it|them)\b/i,
      ],
      ['turn', /^\s*(?:and|$)/i],
    ],
  },
  {
    base: 'go',
    past: ['went', 'gone'],
    senses: [
      [
        'fill',
        new RegExp(
          String.raw`^(?:es)?\s*(?:in|into)\s+(?:the |a |its |your )?(?:[\p{L}-]+ ){0,2}?${tinWords}\b.*\band (?:straight )?into the oven`,
          'iu',
        ),
      ],
      ['put in', intoOven],
      ['freeze', inFreezer],
      ['chill', inFridge],
      ['fill', intoTin],
      ['place', onTray],
      ['top', /^(?:es)?\s*(?:on top|over)\b/i],
      ['divide', /\bin(?:to)? each\b/i],
      ['put in', /^\s*(?:in|into)\s+(?:a |at |for )*(?:\d{3}\b(?!\s*(?:g|ml|grams?)\b)|gas\b)/i],
      ['put in', /^\s*in\b\s*(?:for\b|at\b|,|\d|$)/i],
      ['add', /\b(?:in|into|last|over)\b/i],
    ],
  },
  { base: 'scale', thing: true, senses: [...moving(null).filter((s) => s[0] === 'fill')] },
  { base: 'use', senses: [] },
  // shaping
  { base: 'divide', senses: ['divide'] },
  { base: 'share', thing: true, senses: [['divide', /./]] },
  {
    base: 'split',
    past: ['split'],
    senses: [
      ['slice', /^\s*(?:and|$|them|open)/i],
      ['divide', /./],
    ],
  },
  { base: 'quarter', thing: true, senses: [['chop', /^\s*(?:the|them|it|each|and)\b/i]] },
  { base: 'halve', senses: [['divide', /\bdough\b|\bit\b|\bbatter\b|\bmixture\b/i], 'chop'] },
  { base: 'fill', senses: ['fill'] },
  {
    base: 'level',
    thing: true,
    senses: [['fill', /^\s*(?:it |them )?(?:in|into)\b[^,;]*\b(?:tins?|trays?|pans?)\b/i], ['level', /./], 'level'],
  },
  { base: 'smooth', thing: true, senses: [['level', /./], 'level'] },
  { base: 'flatten', senses: ['pat'] },
  { base: 'even', thing: true, senses: [['level', /^\s*(?:out|it out|the top)/i]] },
  { base: 'spread', past: ['spread'], senses: [...moving(null).filter((s) => s[0] === 'fill'), 'spread'] },
  { base: 'roll', thing: true, senses: [['shape', /\binto (?:\w+\s+)?(?:balls?|logs?)\b/i], ['roll', /./], 'roll'] },
  { base: 're-roll', senses: ['re-roll'] },
  { base: 'reroll', senses: ['re-roll'] },
  { base: 'pat', senses: ['pat'] },
  {
    base: 'push',
    senses: [
      ['level', /^\s*it down/i],
      ['press', /./],
    ],
  },
  {
    base: 'press',
    senses: [
      ['re-roll', /\b(?:scraps?|trimmings?)\b/i],
      ['bring together', /^\s*(?:it |everything )?together\b/i],
      ...moving(null).filter((s) => s[0] === 'fill'),
      'press',
    ],
  },
  { base: 'pinch', thing: true, senses: [['press', /^\s*(?:the|to|together|round)\b/i]] },
  { base: 'shape', thing: true, senses: [['shape', /./]] },
  { base: 'tidy', senses: [['shape', /\b(?:round|oval|ball|loaf|circle)\b/i]] },
  { base: 'stamp', senses: ['cut'] },
  {
    base: 'cut',
    past: ['cut'],
    senses: [
      [
        'cut in',
        /^\s*(?:in|into)\b(?=[^,;]*\b(?:butter|fat|lard|shortening|margarine)\b)(?!\s+(?:rounds|squares|wedges|slices))|\b(?:butter|fat|lard|shortening)\b[^,;]*\b(?:in|into)\b/i,
      ],
      ['score', /\b(?:cross|slash|slashes|slit|X|deep)\b/],
      [null, /^\s*sides?\b/i],
      ['mix', /^\s*through (?:it|the)\b/i],
      'cut',
    ],
  },
  { base: 'slash', senses: ['score'] },
  { base: 'score', senses: ['score'] },
  { base: 'mark', thing: true, senses: [['score', /./]] },
  { base: 'snip', senses: [['score', /\b(?:top|cross)\b/i], 'chop'] },
  { base: 'bless', senses: ['score'] },
  { base: 'run', past: ['ran'], senses: [['loosen', /\b(?:knife|spatula|palette)\b/i]] },
  { base: 'draw', past: ['drew', 'drawn'], senses: [['swirl', /\b(?:fork|knife|skewer)\b/i]] },
  { base: 'swirl', thing: true, senses: [['swirl', /./], 'swirl'] },
  { base: 'marble', senses: ['swirl'] },
  { base: 'prick', senses: ['prick'] },
  { base: 'stab', senses: ['prick'] },
  { base: 'poke', senses: [['test', /\b(?:skewer|stick|toothpick|straw)\b(?![^,;]*\ball over\b)/i], 'prick'] },
  { base: 'hollow', thing: true, senses: [['hollow', /^\s*(?:out|the)\b/i]] },
  { base: 'brush', senses: ['brush'] },
  { base: 'paint', senses: ['brush'] },
  { base: 'wash', senses: [['brush', /\b(?:egg|milk|tops?)\b/i]] },
  { base: 'dampen', senses: ['brush'] },
  { base: 'glaze', thing: true, senses: [['glaze', /./], 'glaze'] },
  { base: 'sprinkle', thing: true, senses: [['sprinkle', /./]] },
  { base: 'scatter', senses: ['sprinkle'] },
  { base: 'strew', past: ['strewn', 'strewed'], senses: ['sprinkle'] },
  { base: 'dredge', senses: ['dust'] },
  {
    base: 'dust',
    thing: true,
    senses: [
      ['grease', new RegExp(String.raw`\b(?:${tinWords}|trays?|sheets?)\b`, 'i')],
      ['dust', /./],
    ],
  },
  {
    base: 'coat',
    senses: [
      ['grease', new RegExp(String.raw`\b(?:${tinWords})\b`, 'i')],
      ['toss', /\bflour\b/i],
      ['sprinkle', /\bwith\b/i],
    ],
  },
  { base: 'top', thing: true, senses: [['top', /^\s*(?:w\/|w\.?\s|with|the \w+ with|each|them with|it with)/i]] },
  { base: 'decorate', senses: ['top'] },
  { base: 'finish', thing: true, senses: [['top', /\bwith\b/i]] },
  { base: 'stud', senses: ['press'] },
  { base: 'layer', thing: true, senses: [['layer', /./]] },
  { base: 'wrap', senses: ['wrap'] },
  { base: 'bag', thing: true, senses: [['wrap', /^\s*(?:it|them|up)\b|^\s*$/i]] },
  // time alone
  {
    base: 'rest',
    thing: true,
    // "2/3 in the tin, rest in the papers"
    senses: [['fill', /^\s*(?:goes\s+)?(?:in|into)\s+(?:the\s+)?(?:papers|cases|cups|muffin\w*|second|other|small\w*)\b(?!.*\bmin)/i], ['rest', /./], 'rest'], // prettier-ignore
  },
  { base: 'stand', past: ['stood'], senses: [['place', /^[^.;]*\b(?:tray|tin|pan|dish|bowl)(?:ful)? of [^.;]*\bwater\b/i], ['rest', /./], 'rest'] }, // prettier-ignore
  { base: 'sit', past: ['sat'], senses: [['rest', /./], 'rest'] },
  { base: 'wait', thing: true, senses: ['rest'] },
  { base: 'forget', past: ['forgot', 'forgotten'], senses: [['rest', /\babout it\b/i]] },
  { base: 'stay', senses: [['rest', /./]] },
  { base: 'relax', senses: ['rest'] },
  {
    base: 'leave',
    past: ['left'],
    senses: [
      [null, /^\s*(?:room|space|out|a (?:gap|space|border)|gaps|plenty|about \d+ ?cm)\b/i],
      ['chill', inFridge],
      ['soak', /\b(?:to )?(?:soak|steep|swell|plump|drink)\b/i],
      ['drain', /\bdrain\b/i],
      ['set', /\bset\b/i],
      ['cool', /\b(?:cool|cold|rack)\b/i],
      'rest',
    ],
  },
  {
    base: 'let',
    past: ['let'],
    senses: [
      [null, /\bboil\b/i],
      ['simmer', /\b(?:bubble|simmer)\b/i],
      ['soak', /\b(?:soak|steep|swell|plump|drink)\b/i],
      ['chill', /\b(?:chill)\b|\bfridge\b/i],
      ['drain', /\bdrain\b/i],
      ['set', /\bset\b/i],
      ['cool', /\b(?:cool|cold|firm)\b/i],
      ['take from the cold', /\broom temp/i],
      ['rest', /\b(?:rest|stand|sit|stay|wait|relax|prove|'em|hang)\b/i],
    ],
  },
  {
    base: 'allow',
    senses: [
      ['soak', /\b(?:soak|steep|swell)\b/i],
      ['set', /\bset\b/i],
      ['cool', /\b(?:cool|cold|firm)\b/i],
      ['rest', /./],
    ],
  },
  {
    base: 'set',
    past: ['set'],
    senses: [
      ['heat', oven],
      ['keep back', aside],
      ['chill', inFridge],
      ...moving(null).filter((s) => s[0] !== 'keep back'),
      ['place', /\b(?:the other|on top)\b/i],
      ['set', /^\s*(?:for|until|hard|firm|$)/i],
    ],
  },
  { base: 'chill', senses: ['chill'] },
  { base: 'refrigerate', senses: ['chill'] },
  { base: 'freeze', past: ['froze', 'frozen'], senses: ['freeze'] },
  { base: 'cool', thing: true, senses: [['cool', /./], 'cool'] },
  // oven
  { base: 'bake', senses: [[null, /^\s*(?:powder|soda|tins?|trays?|sheets?|paper|dish)\b/i], 'bake'] },
  { base: 'rotate', senses: ['turn'] },
  { base: 'swap', senses: ['swap'] },
  { base: 'switch', senses: [['switch off', /\boff\b/i], ['heat', /\bon\b/i], 'swap'] },
  {
    base: 'cover',
    thing: true,
    senses: [
      ['soak', /\bwith (?:\w+ )?(?:hot|boiling|cold|warm)?\s*(?:tea|water|milk|juice|stout|coffee)\b/i],
      ['layer', /\bwith (?:the |what )?(?:remaining|rest|other|apples?|fruit|batter|crumble|half)\b/i],
      ['cover', /./],
      'cover',
    ],
  },
  { base: 'tent', senses: ['cover'] },
  { base: 'foil', thing: true, senses: [['cover', /^\s*(?:it|the top|over)\b/i]] },
  { base: 'uncover', senses: ['uncover'] },
  { base: 'lower', senses: [[null, /^\s*(?:third|shelf|half|rack|part)\b/i], 'lower'] },
  { base: 'reduce', senses: [['lower', /\b(?:heat|oven|temp\w*|to)\b/i], 'simmer'] },
  { base: 'raise', senses: ['raise'] },
  { base: 'increase', senses: ['raise'] },
  { base: 'check', thing: true, senses: [['test', /./], 'test'] },
  { base: 'test', thing: true, senses: ['test'] },
  {
    base: 'look',
    thing: true,
    senses: [['test', /^\s*(?:at it|in|after|through|at (?:about )?(?:\d|[a-z]+ty\b|[a-z]+teen\b))\b/i]],
  },
  { base: 'peek', senses: ['test'] },
  { base: 'tap', senses: ['test'] },
  { base: 'knock', senses: ['test'] },
  { base: 'insert', senses: ['test'] },
  {
    base: 'get',
    past: ['got'],
    senses: [
      ['heat', oven],
      ['heat', /^\s*(?:the|your|that|it)\b[^,;]*\bhot\b/i],
    ],
  },
  {
    base: 'have',
    past: ['had'],
    senses: [
      ['take from the cold', /\broom temp/i],
      ['heat', /^\s*(?:the|your|an?)\s+(?:\w+\s+)?(?:oven|griddle|skillet|stone)\b/i],
      ['test', /^\s*a look\b/i],
      ['bake', /^\s*[\w\s-]{2,30}?(?:minutes?|mins?|hours?)\s+(?:in there|in the oven|at that)\b/i],
    ],
  },
  {
    base: 'give',
    past: ['gave', 'given'],
    senses: [
      ['beat', /\bbeat(?:ing)?\b/i],
      ['mix', /\b(?:stir|mix)\b/i],
      ['whisk', /\bwhisk\b/i],
      ['knead', /\bknead\b/i],
      [
        'rest',
        /\b(?:minutes?|mins?|hours?)\b[^,;.]*\b(?:in (?:the|its|their) (?:tins?|pans?)|to (?:rest|settle|stand|set)|before (?:you |it )?(?:turn|cut|slic|serv|com))/i,
      ],
      ['cool', /\b(?:minutes?|mins?|hours?)\b[^,;.]*\bon (?:the|a) (?:\w+ )?(?:rack|wire)\b|\bto cool\b/i],
      ['bake', /\b(?:minutes?|mins?|hours?|more|hour|quarter)\b/i],
    ],
  },
  { base: 'continue', senses: [['bake', /\b(?:bak|cook|for)/i]] },
  {
    base: 'take',
    past: ['took', 'taken'],
    senses: [
      ['divide', /^\s*(?:off\s+)?(?:pieces|lumps|bits|walnuts|balls)\b/i],
      ['chop', /\b(?:cores?|stones?|pips|skins?)\s+out\b/i],
      [null, /\bcare\b|\bto (?:put together|make|prepare|throw together)\b/i],
      [
        'uncover',
        /\b(?:foil|lid|cover|paper|cloth|bowl)\b[^,;]*\boff\b|^\s*off\b[^,;]*\b(?:foil|lid|cover)\b|^\s*it off\s*(?:and|$|again|for|at)/i,
      ],
      ['take out', /\bout of (?:the )?oven\b|\bfrom the oven\b/i],
      ['take from the cold', /\bfridge\b|\bgood time\b|\bin advance\b|\bahead\b|\bbeforehand\b/i],
      [
        'unmould',
        /\bring\b[^,;]*\boff\b|\bout of (?:the|its|their) (?:tins?|pans?|ring|paper)\b|^\s*(?:it|them) out\b/i,
      ],
      [
        'bake',
        /^\s*(?:about |around |roughly |a good )?(?:[\p{L}\d¼½¾–-]+\s+){0,6}?(?:minutes?|mins?|hours?|hrs?)\b/iu,
      ],
    ],
  },
  {
    base: 'want',
    senses: [
      [
        'bake',
        /^\s*(?:about |around |roughly |a good )?(?:[\p{L}\d¼½¾–-]+\s+){0,4}?(?:minutes?|mins?|hours?|hrs?)\b|^\s*an hour\b/iu,
      ],
    ],
  },
  {
    base: 'need',
    senses: [
      [
        'bake',
        /^\s*(?:about |around |roughly |a good )?(?:[\p{L}\d¼½¾–-]+\s+){0,4}?(?:minutes?|mins?|hours?|hrs?)\b/iu,
      ],
    ],
  },
  {
    base: 'remove',
    senses: [
      ['uncover', /\b(?:foil|lid|cover|paper)\b/i],
      ['unmould', /\bfrom (?:the |its |their )?(?:tins?|pans?|ring|moulds?|papers?)\b|\bsides?\b|\bring\b/i],
      ['take out', /./],
      'take out',
    ],
  },
  // after it
  { base: 'unmould', senses: ['unmould'] },
  { base: 'unmold', senses: ['unmould'] },
  { base: 'demould', senses: ['unmould'] },
  { base: 'invert', senses: ['unmould'] },
  { base: 'ease', thing: true, senses: [['unmould', /./]] },
  { base: 'flip', senses: [['unmould', /\bout\b|\bonto\b/i], 'turn'] },
  { base: 'trim', senses: ['trim'] },
  { base: 'ice', thing: true, senses: [['frost', /^(?:\s*(?:the|it|them|when|with|each|once|both|top)\b|d\b|\s*$)/i]] },
  { base: 'frost', thing: true, senses: [['frost', /./], 'frost'] },
  { base: 'sandwich', thing: true, senses: [['sandwich', /^\s*(?:the|them|it|together|with|two|layers|both)\b/i]] },
  { base: 'drizzle', thing: true, senses: [['drizzle', /./], 'drizzle'] },
  { base: 'slice', thing: true, senses: [['slice', /./], 'slice'] },
  { base: 'break', past: ['broke', 'broken'], senses: [['slice', /\b(?:apart|up|open|into)\b/i]] },
  { base: 'serve', senses: ['serve'] },
  { base: 'eat', past: ['ate', 'eaten'], senses: ['serve'] },
  { base: 'enjoy', senses: ['serve'] },
  {
    base: 'keep',
    past: ['kept'],
    senses: [
      ['keep back', /\bback\b|\b(?:for|to) (?:the )?(?:tops?|brush|glaz|later)\b/i],
      [null, /^\s*(?:an eye|the oven|it (?:warm|moving)|going|on|stirring)\b/i],
      'keep',
    ],
  },
  { base: 'store', senses: ['keep'] },
  { base: 'feed', past: ['fed'], senses: ['feed'] },
  { base: 'thaw', senses: ['thaw'] },
  { base: 'defrost', senses: ['thaw'] },
];

export type Form = 'base' | 's' | 'ing' | 'past';
export interface Surface {
  readonly lemma: Lemma;
  readonly form: Form;
}

const doubled = /(?:^|[^aeiou])[aeiou](b|d|g|l|m|n|p|r|t)$/;
const spelled = (base: string, ending: 'ed' | 'ing'): string =>
  base.endsWith('ie') && ending === 'ing'
    ? `${base.slice(0, -2)}ying`
    : base.endsWith('e')
      ? `${base.slice(0, -1)}${ending}`
      : ending === 'ed' && /[^aeiou]y$/.test(base)
        ? `${base.slice(0, -1)}ied`
        : doubled.test(base) && !/(?:ten|per|en|er)$/.test(base)
          ? `${base}${base.at(-1)}${ending}`
          : `${base}${ending}`;
const third = (base: string): string =>
  /(?:s|sh|ch|x|z|o)$/.test(base) ? `${base}es` : /[^aeiou]y$/.test(base) ? `${base.slice(0, -1)}ies` : `${base}s`;

const surfaces = new Map<string, Surface>();
for (const lemma of lemmas) {
  const put = (w: string, form: Form): void => void (surfaces.has(w) || surfaces.set(w, { lemma, form }));
  put(lemma.base, 'base');
  put(third(lemma.base), 's');
  put(spelled(lemma.base, 'ing'), 'ing');
  for (const p of lemma.past ?? [spelled(lemma.base, 'ed')]) put(p, 'past');
}

/** The verb that a word may be a form of; null for any other word. */
export const surfaceOf = (word: string): Surface | null => surfaces.get(word.toLowerCase()) ?? null;

/** What a verb does, by what follows it in its clause; null when it is no work. */
export function senseOf(s: Surface, rest: string): VerbId | null {
  for (const sense of s.lemma.senses) {
    if (typeof sense === 'string') return sense;
    if (sense[1].test(rest)) return sense[0];
  }
  return null;
}

/** Whether the words look like nothing but a verb's object: used where a thing and a verb share their letters. */
export const mayBeThing = (s: Surface): boolean => s.lemma.thing === true;
export const ingredientLike = (text: string): boolean => part.test(text);
