/** Words by which recipe lines speak of packets, and of what never reaches the batter. */

/** What things are sold in. A number before one of these needs a size to be an amount. */
export const containers =
  /^(?:cans?|tins?|jars?|pots?|tubs?|cartons?|packets?|pkts?|packs?|packages?|pkgs?|bags?|bars?|boxe?s?|containers?|sachets?|envelopes?|bottles?|blocks?|bricks?|punnets?|tubes?|tetra ?packs?|squares?|pck|päckchen|packung(?:en)?|beutel|tütchen|sobres?|bustin[ae]|paquets?|dosen?|becher|vasetto|vasetti|boîtes?)(?![\p{L}])/iu;

const SACHET = /sachet|pack|pkg|envelope|pck|pkt|päckchen|beutel|tütchen|sobre|bustin|paquet/i;
/**
 * Sizes things are usually sold in, g: by container and kind of ingredient, the usual one first. Basis: general
 * knowledge, not looked up, and different from shop to shop; so each is offered as a doubt's choice, never just taken.
 */
export const soldIn: readonly {
  readonly what: RegExp;
  readonly in: RegExp;
  /** Words of the line that tell in which country it was bought. */
  readonly said?: RegExp;
  readonly g: readonly number[];
}[] = [
  { what: /^pumpkin-puree$/, in: /can|tin/i, g: [425, 822] },
  { what: /^condensed-milk$/, in: /can|tin/i, g: [397, 405] },
  { what: /^evaporated-milk$/, in: /can|tin/i, g: [354, 410] },
  { what: /^(?:coconut-milk|coconut-cream)$/, in: /can|tin/i, g: [400, 165] },
  { what: /^baking-powder/, in: SACHET, said: /levure/i, g: [11, 10, 16] },
  {
    what: /^baking-powder/,
    in: SACHET,
    g: [16, 11, 10],
  },
  {
    what: /^(?:vanilla-sugar)$/,
    in: SACHET,
    g: [8, 10],
  },
  {
    what: /^dried-yeast$/,
    in: SACHET,
    g: [7, 11],
  },
  { what: /^cream-cheese$/, in: /pack|block|brick|tub|box/i, g: [227, 200, 180] },
  { what: /yogurt/, in: /pot|tub|carton|container/i, g: [150, 125, 500] },
  { what: /^(?:cream|sour-cream|creme|buttermilk)/, in: /carton|pot|tub|container/i, g: [300, 284, 150] },
  { what: /chocolate/, in: /bar|block|pack/i, g: [100, 200] },
  { what: /chocolate/, in: /square/i, g: [28, 10, 5] },
  { what: /^(?:blueberry|raspberry|strawberry|blackberry|cranberry)$/, in: /punnet|pack|bag|box/i, g: [150, 125, 340] },
  { what: /^butter/, in: /pack|block|packet/i, g: [250, 227, 500] },
  { what: /chips/, in: /bag|pack|packet/i, g: [340, 200, 100] },
  { what: /./, in: /can|tin/i, g: [400, 425] },
  { what: /./, in: /./, g: [100, 200, 250] },
];

/** Tails of a line that name a use beside the batter, or hold amounts that are not to be weighed in. */
export const asides =
  /(?:[,;–—-]\s*|\(\s*|\s+)(?:(?:plus|and|\+|&|with)\s+(?:(?:a\s+(?:little|bit|touch)|some|an?\s+\S+)\s+)?(?:extra|more)\b|(?:save|reserve|reserving|keep|hold)\s+(?:back\s+)?(?:a\b|some|the|\d|½|¼)|(?:plus|and|\+|&)\s+(?:up to\s+)?(?:[\d½¼¾⅓⅔][\d½¼¾⅓⅔/.–\s-]*|an?\s+)[a-z]+\s*(?:more\s*|extra\s*)?(?:if|as|should)\b|less\s+\d|minus\s+\d|or\s+(?:as|enough|to taste|more|less|a bit|so)\b|as\s+(?:needed|required|necessary)|to\s+taste|\+\s*(?:extra|more)\b)/i;

/** Uses that need no amount: they never reach the batter. */
export const onTheTin =
  /\bfor\s+(?:the\s+)?(?:greasing|dusting|lining|tins?\b|pans?\b|board|rolling|work ?top|work surface|flouring|buttering|baking (?:tin|dish|tray))/i;

/** "plus 2 tbsp for dusting": an amount that goes on the tin or board. */
export const forOutside =
  /^[^,;()]{0,24}\bfor\s+(?:the\s+)?(?:dust|greas|sprinkl|tins?\b|pans?\b|board|roll|top|glaz|garnish|serv|brush|coat|finish|decorat|work)/i;
