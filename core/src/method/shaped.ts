import type { CutOutline, Tin } from '../formula/types.js';
import { dropped, each, inTwo, intoTin, inVessel, measureIn, moreIn, other, outlineIn, piecesIn, saysHowMany, scoring, scraps, sizeIn, unscored, wholeIn } from './shape-words.js'; // prettier-ignore
import type { Operation, Place } from './types.js';
import type { VerbId } from './verbs.js';

/** What of an operation tells of a shape. */
export type ShapingWords = Pick<Operation, 'verb' | 'words' | 'remark' | 'phase' | 'place'>;

/** A dough that hands shape, as the run of operations leaves it before the oven. Lengths in mm. */
export interface ShapedDough {
  readonly how: 'cut' | 'drop' | 'whole';
  /** Null of cut pieces whose outline is not said. */
  readonly outline: 'round' | 'ball' | 'oval' | 'drop' | CutOutline | null;
  /** All of them; null where the words give no number. */
  readonly pieces: number | null;
  /** Of one piece, and of wedges the round they are cut from; of an oval its length. */
  readonly acrossMm: number | null;
  /** Area of one piece, mm², where it is given by two lengths. */
  readonly areaMm2: number | null;
  readonly thickMm: number | null;
  /** How many sheets or rounds the pieces are cut from. */
  readonly rounds: number;
  /** Dropped by a measure of so much, ml. */
  readonly measureMl: number | null;
  readonly scored: NonNullable<Tin['scored']> | null;
  /** The words that give it its last shape. */
  readonly place: Place | null;
  /** All words that shape it: what they say of rounds and squares is no tin. */
  readonly stretches: readonly Place[];
}

/** How the dough stands while the words are gone through. */
interface Standing {
  /** Into how many it was divided. */
  parts: number;
  /** What it is rolled, patted or shaped to, before it is cut. */
  sheet: Sheet;
  thickMm: number | null;
  /** The pieces, once there are any. */
  made: Made | null;
  scored: ShapedDough['scored'];
  /** Pieces that the scraps give. */
  more: number;
}
interface Sheet {
  readonly acrossMm: number | null;
  readonly areaMm2: number | null;
  readonly outline: CutOutline | null;
  readonly whole: 'round' | 'ball' | 'oval' | null;
  /** Said of each of several. */
  readonly each: boolean;
  readonly place: Place | null;
}
interface Made extends Pick<
  ShapedDough,
  'how' | 'outline' | 'acrossMm' | 'areaMm2' | 'rounds' | 'measureMl' | 'place'
> {
  pieces: number | null;
}

const bare: Sheet = { acrossMm: null, areaMm2: null, outline: null, whole: null, each: false, place: null };
const flat: ReadonlySet<VerbId> = new Set<VerbId>(['roll', 'pat', 'press', 'shape']);
/** What is shaped and is not the dough. */
const notDough = /\b(?:marzipan|almond paste|fondant|icing|frosting|streusel|crumble|pastry)\b/i;

/**
 * The shape that a run of operations gives a dough: divided, rolled, cut, rolled again, dropped or shaped, each with the sizes
 * and numbers its words say; null when no words shape one. What is cut and then rolled anew counts as it stands at the end.
 *
 * @param work operations in working order; those from the oven on are left aside
 */
export function shapedDough(work: readonly ShapingWords[]): ShapedDough | null {
  const s: Standing = { parts: 1, sheet: bare, thickMm: null, made: null, scored: null, more: 0 };
  const stretches: Place[] = [];
  for (const o of work) {
    if (o.phase === 'oven' || o.phase === 'after' || o.phase === 'later') continue;
    if (take(o, s) && o.place) stretches.push(o.place);
  }
  const { made, sheet } = s;
  if (made) {
    const sum = made.pieces === null ? null : made.pieces + s.more;
    return { ...made, pieces: sum, thickMm: s.thickMm, scored: s.scored, stretches };
  }
  const standsFree = sheet.whole !== null || s.scored !== null || (s.thickMm !== null && sheet.place !== null);
  if (!standsFree) return null;
  return {
    how: 'whole',
    outline: sheet.whole ?? 'round',
    pieces: s.parts,
    acrossMm: sheet.acrossMm,
    areaMm2: sheet.areaMm2,
    thickMm: s.thickMm,
    rounds: 1,
    measureMl: null,
    scored: s.scored,
    place: sheet.place ?? stretches.at(-1) ?? null,
    stretches,
  };
}

/** Goes through the words of one operation; whether they shape. */
function take(o: ShapingWords, s: Standing): boolean {
  const { verb, words, place } = o;
  if (notDough.test(words)) return false;
  // "drop spoonfuls by turns into a ring tin": that fills it
  if (verb === 'drop' && intoTin.test(words)) return false;
  // "Dip the cutter in flour every time": that it is cut is not said otherwise
  if (verb !== 'cut' && !s.made && /\bcutter\b/i.test(`${words} ${o.remark ?? ''}`))
    return cut('cut', 'cut out with the cutter', `${words} ${o.remark ?? ''}`, place, s);
  const text = o.remark ? `${words.replace(/[.;,]+$/, '')}. ${o.remark}` : words;
  if (o.remark && scoring.test(o.remark)) score(o.remark, s);
  if (verb === 'divide' && !/\b(?:between|among|tins?|cases|cups?|pans?)\b/i.test(text)) {
    s.parts = piecesIn(text) ?? (inTwo.test(text) ? 2 : s.parts);
    if (wholeIn(text)) shapeWhole(text, place, s);
    return true;
  }
  if (verb === 'cut' || verb === 'chop') return cut(verb, words, text, place, s);
  if (verb === 're-roll') {
    s.more += moreIn(text);
    const n = piecesIn(text);
    if (s.made?.pieces === null && n !== null && saysHowMany(text)) s.made.pieces = n;
    return s.made !== null;
  }
  if (verb === 'score') return score(text, s);
  if (verb === 'drop' || ((verb === 'place' || verb === 'fill' || verb === 'add') && dropped.test(text) && !/\b(?:jam|icing|butter)\b/i.test(text)))
    return drop(text, place, s); // prettier-ignore
  if (other.test(words) || (!flat.has(verb) && inVessel.test(text))) return false;
  return roll(verb, text, place, s);
} // prettier-ignore

function cut(verb: VerbId, words: string, text: string, place: Place | null, s: Standing): boolean {
  const outline = outlineIn(words);
  const n = piecesIn(text);
  if (verb === 'chop' && outline === null) return false;
  if ((n === null && outline === null) || (other.test(words) && outline === null)) {
    if (s.made) s.more += moreIn(text);
    return false;
  }
  if (unscored.test(text)) {
    s.scored = 'wedges';
    return true;
  }
  if (s.made?.how === 'cut') {
    // what the scraps give, or a second saying of the same
    s.more += moreIn(text);
    s.made.pieces ??= n;
    return true;
  }
  const size = sizeIn(text, verb);
  s.thickMm = size.thick ?? s.thickMm;
  const kind = outline ?? (s.sheet.whole === 'round' ? 'wedges' : s.sheet.outline);
  // each of several sheets or rounds is cut so
  const alike = each.test(text) || (s.sheet.each && (kind === 'wedges' || kind === 'squares'));
  const rounds = alike || kind === 'wedges' ? s.parts : 1;
  s.more = moreIn(text);
  s.made = {
    how: 'cut',
    outline: kind,
    pieces: n === null ? null : n * (alike ? s.parts : 1),
    acrossMm: kind === 'wedges' ? (s.sheet.acrossMm ?? size.across) : size.across,
    areaMm2: size.area ?? (n !== null && s.sheet.areaMm2 !== null ? s.sheet.areaMm2 / n : null),
    rounds,
    measureMl: null,
    place,
  };
  return true;
}

function score(text: string, s: Standing): boolean {
  const n = piecesIn(text);
  const wedges = /\bwedges?\b|\bquarters\b|\bfarls?\b|\bin(?:to)? (?:four|six|eight|ten|twelve|\d+)\b/i.test(text);
  s.scored = wedges && !/\bcross\b/i.test(text) ? 'wedges' : /\bcross|\bX\b|×/i.test(text) ? 'cross' : n || /\bslash|\bslit|\bcut/i.test(text) ? 'slashes' : 'cross'; // prettier-ignore
  // "make a cob of it and slash the top": the shape stands in the same breath
  const before = text.slice(0, /\b(?:slash|score|mark|cut)\b/i.exec(text)?.index ?? 0);
  if (!s.made && s.sheet.whole === null) s.sheet = { ...s.sheet, whole: wholeIn(before) };
  return false;
}

function drop(text: string, place: Place | null, s: Standing): boolean {
  s.made = {
    how: 'drop',
    outline: 'drop',
    pieces: piecesIn(text) ?? s.made?.pieces ?? (s.parts > 1 ? s.parts : null),
    acrossMm: null,
    areaMm2: null,
    rounds: 1,
    measureMl: measureIn(text),
    place,
  };
  return true;
}

/** Two or three rounds so thick, mm, are loaves; what is cut from a sheet is thinner. Judgement. */
const WHOLE_FROM = 35;

function roll(verb: VerbId, text: string, place: Place | null, s: Standing): boolean {
  const size = sizeIn(text, verb);
  const whole = wholeIn(text);
  if (scraps.test(text)) {
    s.more += moreIn(text);
    return true;
  }
  const told = (size.thick ?? size.across ?? size.area) !== null;
  if (s.made) {
    // "press straight down, you get ten"
    const n = piecesIn(text);
    if (!told && whole === null) {
      if (s.made.pieces === null && n !== null) s.made.pieces = n;
      return false;
    }
    // pieces that are flattened stay what they are; a dough that is stacked and rolled out again is whole
    if (s.made.how === 'cut' && s.made.pieces === null && flat.has(verb)) s.made = null;
    else {
      s.thickMm = size.thick ?? s.thickMm;
      return true;
    }
  }
  const many = piecesIn(text);
  if (!flat.has(verb) && (whole === null || (!told && many === null))) return false;
  if (!told && whole === null && outlineIn(text) === null) return flat.has(verb) && /\bout\b/i.test(text);
  s.thickMm = size.thick ?? s.thickMm;
  const parts = many !== null && whole !== null ? many : s.parts;
  // "3/4 inch thick, 8 rounds": rolled and cut in one breath
  const few = whole !== null && many !== null && many < 4 && (size.thick ?? 0) >= WHOLE_FROM;
  if (many !== null && size.thick !== null && outlineIn(text) !== null && whole !== 'ball' && !few)
    return cut(verb, text, text, place, s);
  if (whole !== null && parts >= 3) {
    s.made = several(whole, parts, size.across, place);
    return true;
  }
  s.parts = parts;
  s.sheet = {
    acrossMm: size.across ?? s.sheet.acrossMm,
    areaMm2: size.area,
    outline: outlineIn(text) ?? s.sheet.outline,
    whole: whole ?? s.sheet.whole,
    each: each.test(text),
    place,
  };
  return true;
}

function shapeWhole(text: string, place: Place | null, s: Standing): void {
  const whole = wholeIn(text);
  if (whole === null) return;
  const size = sizeIn(text, 'shape');
  s.sheet = { ...s.sheet, whole, acrossMm: size.across, place };
  s.thickMm = size.thick ?? s.thickMm;
  if (s.parts >= 3) s.made = several(whole, s.parts, size.across, place);
}

/** Many small ones, each shaped by hand: a small round is a ball. */
const several = (
  whole: 'round' | 'ball' | 'oval',
  pieces: number,
  acrossMm: number | null,
  place: Place | null,
): Made => ({
  how: 'whole',
  outline: whole === 'round' ? 'ball' : whole,
  pieces,
  acrossMm,
  areaMm2: null,
  rounds: 1,
  measureMl: null,
  place,
});
