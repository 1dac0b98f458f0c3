import type { CutOutline } from '../formula/types.js';
import { numberPattern, readNumber } from '../quantity/numbers.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { durations } from '../text/durations.js';
import { heatsIn } from '../text/heats.js';
import { lengthsIn, type Size } from '../text/lengths.js';
import { MOST_PIECES } from '../tin/cut.js';
import type { VerbId } from './verbs.js';

/** What words tell of a dough that is shaped: its pieces and how many, its sizes, its outline. */

const outlines: readonly (readonly [RegExp, CutOutline])[] = [
  [/\b(?:wedges?|triangles?|farls?|quarters)\b/i, 'wedges'],
  [/\bsquares?\b/i, 'squares'],
  [/\b(?:fingers?|oblongs?|bars?|strips?|rusks?|rectangles?|batons?|sticks?)\b/i, 'fingers'],
  [/\b(?:rounds|circles|discs|disks|cutter|glass|hearts|stars|diamonds|scones|biscuits)\b/i, 'rounds'],
];
const piece = String.raw`(?:rounds?|circles?|discs?|wedges?|squares?|triangles?|fingers?|oblongs?|bars?|strips?|scones?|biscuits?|pieces?|portions?|parts?|farls?|hearts?|stars?|diamonds?|buns?|rolls?|balls?|quarters|rusks?|cakes?|mounds?|heaps?|dollops?|drops?|scoops?|(?:tea|table|dessert)?spoonfuls?|lumps?|blobs?|ovals?|loa(?:f|ves)|logs?|batons?)`; // prettier-ignore
const figure = String.raw`(?:${numberPattern}|${spokenPattern}|a dozen|half a dozen)`;
/** "8 rounds", "twelve rough heaps", "24 heaped spoonfuls". */
const ofPieces = new RegExp(String.raw`(?<![\p{L}\d.,/])(${figure})\s+(?:(?:\p{L}|-)+\s+){0,3}?${piece}\b`, 'giu');
/** "into twelve", "in six", "out 10", "cut 8". */
const intoSo = new RegExp(
  String.raw`\b(?:in|into|out|cut|stamp|slice|mark|score|divide)(?:\s+(?:about|roughly|some|around))?\s+(${figure})(?![\p{L}\d/]|\.\d|\s+(?:(?:\p{L}|-)+\s+)?(?:more|turns?|times|trays?|sheets?|batches|tins?|cases|goes|lots|hands?|knives|forks?|layers?|parts? flour))`,
  'giu',
);
/** "you should get 12", "I get fourteen", "makes about 10", "(12)". */
const comesTo = new RegExp(
  String.raw`(?:\b(?:get|gets|makes?|gives?|yields?|there (?:are|will be|should be))\s+(?:about\s+|around\s+|roughly\s+|you\s+)*|\((?:about\s+|around\s+|roughly\s+|some\s+)?)(${figure})(?=\s*(?:\)|[.;,]|$|of\b|in all|${piece}))|(?<![\p{L}\d.,/])(${figure})(?=\s+(?:in all|altogether|all told|in total)\b)`,
  'giu',
);
/** "three by four": rows and columns. */
const rowsBy = new RegExp(String.raw`\b(${figure})\s+(?:by|x|×)\s+(${figure})(?![\s-]*(?:cm|mm|in\b|inch|["”]))`, 'iu');
/** "12 on each of two trays". */
const eachOf = new RegExp(String.raw`\b(?:on|onto|to) each of (?:the )?(${figure})\s+(?:\p{L}+\s+){0,2}?(?:trays|sheets)\b`, 'iu'); // prettier-ignore
/** "3 more", "another 3 from the trimmings". */
const further = new RegExp(
  String.raw`\b(?:another|a further)\s+(${figure})(?!\s*(?:min|hour|turn|time|tbsp|tsp|spoon|cup|g\b|ml\b))|(?<![\p{L}\d.,/])(${figure})\s+(?:more|further|extra)\b(?!\s*(?:min|hour|turn|time|tbsp|tsp|spoon|cup|g\b|ml\b))`,
  'giu',
);
export const inTwo = /\bin half\b|\bhalve|\bin two\b|\binto two\b|\binto halves\b/i;
export const inVessel = /\b(?:tins?|pans?|moulds?|molds?|dish|cases?|rings?|forms?|skillets?|bowls?|jugs?|cutters?)\b/i;
export const intoTin =
  /\b(?:in|into|to|between|among)\b[^,;.]*\b(?:tins?|pans?|moulds?|molds?|dish(?:es)?|cases|cups|rings?|ramekins?|muffin)\b(?![^,;.]*\btray\b)/i;
export const scraps = /\b(?:scraps?|trimmings?|off-?cuts?|left-?overs?|what is left|remains)\b/i;
export const each = /\beach\b|\bboth\b|\bevery\b/i;
/** Not dough: what else is cut, pressed or rolled. */
export const other =
  /^\s*\p{L}+\s+(?:(?:the|a|an|your|in|on|out|some|cold|frozen|little|of|over|more|few|chopped|flaked|sugar and)\s+){0,4}(?:butter|fat|lard|shortening|margarine|oleo|marzipan|almond paste|fondant|icing|parchment|paper|foil|seeds?|nuts?|walnuts?|pecans?|almonds?|cherr\p{L}+|apples?|plums?|cheese)\b/iu;
export const unscored =
  /\b(?:almost|nearly|not)\b[^.;]*\bthrough\b|\bhalf-?way (?:down|through)\b|\bnot all the way\b/i;

const numberOf = (s: string | undefined): number => {
  const t = (s ?? '').toLowerCase().trim();
  return /dozen$/.test(t) ? (/^half/.test(t) ? 6 : 12) : (readNumber(t) ?? readSpoken(t) ?? NaN);
};

/** Lengths, times and heats are no numbers of pieces: they are blanked; places stay. */
function withoutMeasures(text: string): string {
  let out = text;
  const lengths = lengthsIn(text).filter((s) => s.unit || Math.max(...s.mm) > 8 * 25.4);
  for (const x of [...lengths, ...durations(text), ...heatsIn(text, () => false).filter((h) => h.marked)])
    out = out.slice(0, x.from) + ' '.repeat(x.to - x.from) + out.slice(x.to);
  return out;
}

/** How many pieces some words make, in whole ones; null where they give no number. */
export function piecesIn(text: string): number | null {
  const plain = withoutMeasures(text);
  const rows = rowsBy.exec(plain);
  const product = rows ? numberOf(rows[1]) * numberOf(rows[2]) : NaN;
  const all = [product, ...[ofPieces, intoSo, comesTo].flatMap((re) => [...plain.matchAll(re)].map((m) => numberOf(m[1] ?? m[2])))]; // prettier-ignore
  const n = all.find((x) => Number.isInteger(x) && x > 1 && x <= MOST_PIECES) ?? null;
  const times = numberOf(eachOf.exec(plain)?.[1]);
  return n !== null && Number.isInteger(times) && n * times <= MOST_PIECES ? n * times : n;
}

/** Whether they say how many it comes to: "you should get 12". */
export const saysHowMany = (text: string): boolean => withoutMeasures(text).search(comesTo) >= 0;

export const moreIn = (text: string): number =>
  [...withoutMeasures(text).matchAll(further)]
    .map((m) => numberOf(m[1] ?? m[2]))
    .filter((n) => Number.isInteger(n) && n > 0)
    .reduce((s, n) => s + n, 0);

const THICK = /^\s*-?\s*(?:thick|high|deep|tall|in (?:thickness|height|depth))\b/i;
const ACROSS = /^\s*-?\s*(?:across|wide|in diameter|diameter|long|(?:plain |fluted |round |floured |metal )*(?:rounds?|circles?|discs?|disks?|squares?|cutters?|glass|balls?|loaf|oval|cake)\b)/i; // prettier-ignore
const APART = /^\s*-?\s*(?:apart|between|from the edge|of space)\b/i;
/** What a dough is rolled to without more being said is its thickness up to this, and its width from there on, mm. */
const THICKEST = 70;

/** The thickness, the width and the area that some words give, mm and mm². */
export function sizeIn(
  text: string,
  verb: VerbId,
): { thick: number | null; across: number | null; area: number | null } {
  let thick: number | null = null;
  let across: number | null = null;
  let area: number | null = null;
  for (const s of lengthsIn(text)) {
    if (!s.unit) continue;
    const behind = text.slice(s.to);
    const [a = 0, b] = s.mm;
    if (APART.test(behind)) continue;
    if (b !== undefined) area ??= a * b;
    else if (THICK.test(behind)) thick ??= a;
    else if (ACROSS.test(behind) || sized(text, s) || verb === 'cut') across ??= a;
    else if (a <= THICKEST) thick ??= a;
    else across ??= a;
  }
  return { thick, across, area };
}

/** "rounds of 6 cm", "a cutter of 5 cm", "about 20 cm across". */
const sized = (text: string, s: Size): boolean =>
  new RegExp(String.raw`\b(?:${piece}|cutter|glass)\s*(?:,|\()?\s*(?:(?:of|about|each|roughly|some)\s+)*$`, 'i').test(text.slice(0, s.from)); // prettier-ignore

export const outlineIn = (text: string): CutOutline | null => outlines.find(([re]) => re.test(text))?.[1] ?? null;

const wholes: readonly (readonly [RegExp, 'round' | 'ball' | 'oval'])[] = [
  [/\b(?:ovals?|logs?|batons?|bloomers?|batards?|sausages?|torpedos?)\b/i, 'oval'],
  [/\b(?:balls?|buns?|rolls|cobs?|boules?|domes?|dumplings?)\b/i, 'ball'],
  [/\b(?:rounds?|circles?|discs?|disks?|cakes?|bannocks?|loa(?:f|ves))\b/i, 'round'],
];
export const wholeIn = (text: string): 'round' | 'ball' | 'oval' | null =>
  wholes.find(([re]) => re.test(text))?.[1] ?? null;

/** Cut into on top, in words that are no work of their own. */
export const scoring = /\b(?:slash|score|scoring)\w*\b|\bcross\b/i;
export const dropped =
  /\b(?:heaps?|mounds?|dollops?|blobs?|lumps?|spoonfuls?|scoops?|tablespoons?|tbsp|dessertspoons?)\b|\bdrop(?:s|ped)?\b|\bfork(?:ed)? out\b/i;

/** Spoons and cups that drop a dough, ml level, and heaped of a stiff dough. General baking knowledge. */
const measures: readonly (readonly [RegExp, number])[] = [
  [/\b(?:1\s*\/\s*4|¼|quarter)[- ]?(?:of a )?cups?\b/i, 60],
  [/\b(?:1\s*\/\s*3|⅓|third)[- ]?(?:of a )?cups?\b/i, 80],
  [/\b(?:1\s*\/\s*2|½|half)[- ]?(?:a |of a )?cups?\b/i, 120],
  [/\bice[- ]?cream scoops?\b/i, 60],
  [/\bheap(?:ed|ing)\b[^.;]*\b(?:tablespoons?|tbsp|tbs)\b|\b(?:big|large|generous|good) (?:tablespoons?|spoonfuls?)\b/i, 35],
  [/\bheap(?:ed|ing)\b[^.;]*\b(?:dessertspoons?|spoonfuls?)\b|\bserving spoons?\b/i, 30],
  [/\b(?:tablespoons?|tbsp|tbs)\b/i, 20],
  [/\bdessertspoons?\b/i, 15],
  [/\b(?:teaspoons?|tsp)\b/i, 7],
]; // prettier-ignore
/** What the spoon or cup that drops a dough holds, ml; null where none is named. */
export const measureIn = (text: string): number | null => measures.find(([re]) => re.test(text))?.[1] ?? null;
