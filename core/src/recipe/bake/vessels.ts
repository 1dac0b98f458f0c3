import type { Tin, TinMaterial, TinUse } from '../../formula/types.js';
import { numberPattern, readNumber } from '../../quantity/numbers.js';
import { readSpoken, spokenPattern } from '../../quantity/spoken.js';
import type { Mark } from '../draft.js';
import type { Prose } from './course.js';
import { durations } from '../../text/durations.js';
import { heatsIn } from '../../text/heats.js';
import { sizesIn, type Size } from '../../text/lengths.js';
import { sentencesIn } from '../../text/sentences.js';
import { readMethod } from '../../method/read.js';
import { shapedDough, type ShapedDough } from '../../method/shaped.js';
import type { Place } from '../../method/types.js';
import { mound, onTray, type OnTray } from './shaped-tins.js';
import * as make from './tin-kinds.js';

/** A tin or a tray as a sentence names it. */
interface Mention {
  readonly use: TinUse;
  /** 3: a tin with its kind or size; 1: a tray without size. */
  readonly sure: 1 | 3;
  /** True where the size is Orvin's guess. */
  readonly guessed: boolean;
  readonly from: number;
  readonly to: number;
}

const vesselWord =
  /\b(?:(?:sauce|frying|sheet|jelly[- ]roll|roasting|loaf|muffin|cake|tube|bundt|slice|bread|baking|bun|patty|sandwich|springform|lamington|traybake|brownie|cookie|baking|ring|bar|fluted)[\s-]+)?(?:tins?|pans?|moulds?|molds?|dish(?:es)?|trays?|sheets?|forms?|skillets?|springforms?|rings?|tubes?|bundts?|gugelhupf|kugelhopf|gugelhopf|casserole|pot|ramekins?|basins?|mugs?|frame|kastenform|springform|backform|gugelhupfform|förmchen|muffinförmchen|blech|moule|plaque|molde|stampo|teglia|pirottini|foil|liners?|cases?|wells|holes?|papers|cups?)\b|\b(?:loa(?:f|ves)|squares?|rounds?|layers?|sq(?=[.,;]|\s+(?:lined|greased|tin|pan)))\b(?=[\s,.;:)]|$)/giu;

const figure = `(?:${numberPattern}|(?:${spokenPattern})(?![\\p{L}])|an?|one|a dozen)`;
const counted = new RegExp(
  `(?<![\\p{L}\\d.,/½¼¾])(${figure})(?!\\s*,)\\s*(?:x|×)?\\s*(?:(?:of\\s+)?(?:the\\s+)?(?:well|lightly|un|non-?stick|double|single|loose-bottomed|loose-based|greased|ungreased|buttered|oiled|lined|floured|papered|paper|parchment|foil|paper-lined|deep|shallow|large|small|medium|mini|miniature|jumbo|giant|individual|regular|standard|big|little|ordinary|round|square|oblong|rectangular|straight|sided|metal|glass|silicone|dark|light|hot|and|&|,|cake|sandwich|victoria|layer|loaf|bread|muffin|cupcake|bun|fairy|patty|tea|ramekin|dariole|same|such|equal|tall|crumbed)[\\s,-]*)*$`,
  'iu',
);
const numberOf = (s: string): number => {
  const t = s.toLowerCase().trim();
  if (/^an?$/.test(t)) return 1;
  if (t === 'a dozen') return 12;
  return readNumber(t) ?? readSpoken(t) ?? 1;
};

/** The number that counts what stands behind it; null where there is none. */
function countBefore(text: string): number | null {
  const m = counted.exec(text);
  return m?.[1] ? numberOf(m[1]) : null;
}

const materials: readonly (readonly [RegExp, TinMaterial])[] = [
  [/\b(?:glass|pyrex)\b/i, 'glass'],
  [/\bceramic|earthenware|stoneware|pottery/i, 'ceramic'],
  [/\bsilicone\b/i, 'silicone'],
  [/cast[- ]iron|\biron\b|skillet/i, 'cast iron'],
  [/\bdark\b/i, 'dark metal'],
  [/\bshiny\b/i, 'shiny metal'],
];
const materialIn = (text: string): TinMaterial => materials.find(([re]) => re.test(text))?.[1] ?? 'light metal';

const cupWord =
  /\b(?:muffins?|cup\s?cakes?|bun|fairy|patty|queen|paper cases|cases|liners|papers|wells|holes?|cups|ramekins|basins|muffinförmchen|förmchen|pirottini|darioles?)\b/i;
const stoveTop =
  /\b(?:melt|heat|warm|simmer|boil|fry|saucepan|stir|bring|over (?:a )?(?:low|gentle|medium)|put (?:the )?(?:butter|sugar|syrup))\b/i;
const poured = /\b(?:pour|spread|scrape|spoon|turn|tip|batter|smooth|divide|level|fill)\b/i;

/** Masks heats and times, so that their figures are no sizes; places stay. */
function masked(text: string): string {
  let out = text;
  for (const x of [...heatsIn(text, () => false).filter((h) => h.marked), ...durations(text)])
    out = out.slice(0, x.from) + ' '.repeat(x.to - x.from) + out.slice(x.to);
  return out;
}

interface Window {
  readonly text: string;
  readonly word: string;
  readonly before: string;
  readonly after: string;
  readonly from: number;
  readonly to: number;
}

/** "Makes one 20 cm round and 6 cupcakes". */
const givesBoth = /\b(?:makes|gives|enough for|does)\b/i;
const little =
  /(?:\d{1,2}|six|eight|nine|ten|twelve)\s+(?:small\s+|mini\s+)?(?:cup\s?cakes|muffins|fairy cakes|buns)\b/gi;

/** The stretch of a sentence that belongs to one vessel: from the end of the one before it to what parts it from the next. */
function windowsIn(text: string): Window[] {
  const words = [...text.matchAll(vesselWord)];
  const out: Window[] = [];
  let done = 0;
  for (const [i, m] of words.entries()) {
    const next = words[i + 1];
    const end = m.index + m[0].length;
    // "loaf tin", "muffin cases in a bun tin": one thing of two words
    const joined =
      next &&
      /^(?:[\s-]*(?:(?:deep|shallow|high|loose[- ](?:bottomed|based)|spring-?form|cake|metal|non-?stick)[\s-]+)*|\s+in\s+an?\s+|\s*\(?\s*)$/i.test(
        text.slice(end, next.index),
      ) &&
      next.index - end < 26;
    // "a tin of sweetcorn" is opened, not baked in
    if (
      joined ||
      (/^(?:tins?|pots?)$/i.test(m[0]) &&
        /^\s+of\s+(?!about|around|the|your|my|any|at|a\b|same|that|this|size|\d)\p{L}/iu.test(text.slice(end)))
    )
      continue;
    const from = Math.max(done, m.index - 70);
    const cut = Math.max(
      text.lastIndexOf(' into ', m.index),
      text.lastIndexOf(' or ', m.index),
      text.lastIndexOf(' on ', m.index),
      text.lastIndexOf(': ', m.index),
    );
    const begin = Math.max(from, cut > from && !/\d\s+or\s*$/.test(text.slice(0, cut + 4)) ? cut + 1 : from);
    const limit = next ? next.index : text.length;
    const stop = /(?<!^)[.;:!?]\s|\bfor\b|\band (?!crumbed|floured|lined|greased|buttered|papered)|\bthen\b/i.exec(
      text.slice(end, limit),
    );
    const to = Math.min(limit, end + (stop ? stop.index : 40), end + 40);
    out.push({
      text: text.slice(begin, to),
      word: m[0].toLowerCase(),
      before: text.slice(begin, m.index),
      after: text.slice(end, to),
      from: begin,
      to: end,
    });
    done = end;
  }
  // "9x13 greased": figures across each other are a tin without the word
  for (const s of sizesIn(text)) {
    if (s.mm.length < 2 || Math.min(...s.mm) < 80 || out.some((w) => w.from <= s.from && s.to <= w.to + 40)) continue;
    out.push({
      text: text.slice(s.from, s.to),
      word: 'tin',
      before: text.slice(s.from, s.to),
      after: '',
      from: s.from,
      to: s.to,
    });
  }
  // beside a tin in what it makes, small cakes are a tray of cups
  if (out.length > 0 && givesBoth.test(text))
    for (const m of text.matchAll(little))
      if (!out.some((w) => w.from < m.index + m[0].length && m.index < w.to))
        out.push({ text: m[0], word: 'cupcakes', before: m[0].replace(/\p{L}+$/u, ''), after: '', from: m.index, to: m.index + m[0].length }); // prettier-ignore
  return out.sort((a, b) => a.from - b.from);
}

const litres = /(\d+(?:[.,]\d+)?|\d+\s*[½¼¾]|[½¼¾]|\d+\s+\d\/\d)\s*-?\s*(l|lit(?:re|er)s?|ml|pints?|quarts?)\b/i;
const cupsOf = /(\d+(?:\.\d+)?|six|eight|ten|twelve)[\s-]*cups?\b/i;
const pounds = /(\d+(?:\.\d+)?|½|one|two|half)[\s-]*(lbs?|pounds?|kg|g)\b/i;
const holes =
  /(\d+|six|twelve|twenty-four|twenty|eighteen|nine|ten|eight)[\s-]*(?:hole|cup|well|cavity|mould|piece|bun|count)\b/i;

function mlOf(m: RegExpExecArray): number {
  const n = readNumber((m[1] ?? '').replace(',', '.')) ?? 0;
  const u = (m[2] ?? '').toLowerCase();
  return u === 'ml' ? n : u.startsWith('pint') ? n * 568 : u.startsWith('quart') ? n * 946 : n * 1000;
}

/** What a window names; null when it is no vessel for the oven. */
function vesselIn(w: Window, whole: string): Mention | null {
  const { text, word } = w;
  const material = materialIn(text);
  const begins =
    counted.exec(w.before)?.index ??
    /(?:\b(?:an?|the|your|one|lined|greased|buttered|floured|deep|large|small)\s+[^.;,:]{0,36}|\d[^.;,:]{0,30})$/i.exec(
      w.before,
    )?.index;
  const near = { from: w.from + (begins ?? w.before.length), to: w.to };
  const lead = whole.slice(0, w.from + w.before.length);
  const shaped =
    /^(?:rounds?|squares?|layers?|circles?)$/.test(word) &&
    !/\b(?:tin|pan|greased|lined|papered|buttered)\b/i.test(text) &&
    (/\b(?:cut|stamp|shape|pat|roll|form|press|flatten|mark|score|divide|knead|make(?!s\b)|turn|stir|go)\w*\b/i.test(
      lead,
    ) ||
      !/\d|\b(?:two|three|four)\s*$/i.test(w.before));
  if (shaped) return null;
  const found = (tin: Tin, count: number, sure: Mention['sure'] = 3, guessed = false): Mention => ({
    use: { tin, count: Math.max(1, Math.min(24, Math.round(count))) },
    sure,
    guessed,
    ...near,
  });
  const size = pick(sizesIn(text), w.before.length);
  const head = size && size.from < w.before.length ? text.slice(0, size.from) : w.before;
  const count = countBefore(head.replace(/[\s,(]+$/, ' ')) ?? (size ? null : countBefore(w.before)) ?? 1;

  if (
    /^(?:cups?|papers?|foil)$/.test(word) &&
    !/\b(?:muffin|paper|cup\s?cake|greased|lined|silicone|\d+\s*-?\s*hole)\b/i.test(w.before) &&
    !/^(?:\d+|twelve|ten|six)\s*(?:deep\s+)?(?:\w+-lined\s+)?$/i.test(
      w.before.trim().replace(/^(?:in|into|to|fill)\s+/i, ''),
    )
  )
    return null;
  if (/^(?:holes?|wells)$/.test(word) && !/(?:\d|six|twelve|ten|eight)[\s-]*(?:\w+[\s-]+)?$/i.test(w.before))
    return null;
  if (
    /\b(?:sauce|frying)[\s-]*pan/i.test(text) ||
    (/^(?:pan|pot)s?$/.test(word) && !size && stoveTop.test(whole) && !/\b(?:bak|oven|greased|lined)/i.test(whole))
  )
    return null;
  if (
    /^(?:sheets?|rounds?|squares?|layers?|rings?|frame|forms?|cases?)$/.test(word) &&
    /^\s+of\s+(?:parch|paper|foil|bak|dough|past|marz|film)/i.test(w.after)
  )
    return null;

  // "9 greased oval (1/2-cup) moulds"
  const moulds =
    /^(?:moulds?|molds?)$/.test(word) && !size
      ? /(?<![\d/.])(\d{1,2})\s+(?!\d|cm|mm|x\b)[^.;,]{0,40}$/.exec(w.before)?.[1]
      : undefined;
  if (moulds && Number(moulds) >= 4) return found(make.cups(Number(moulds), 'usual', material), 1);
  // "4 trays of 12"
  const perTray = /^(?:trays?|tins?|pans?)$/.test(word)
    ? /^\s+of\s+(\d{1,2}|six|nine|twelve|twenty-four)(?=\s*(?:[,.;)]|$|muffins?|holes?|cups?|and\b|at\b))/i.exec(
        w.after,
      )?.[1]
    : undefined;
  if (perTray && numberOf(perTray) > 3) return found(make.cups(numberOf(perTray), 'usual', material), count);
  if (
    cupWord.test(word) ||
    (cupWord.test(text) &&
      !/\b(?:loaf|round|bundt|tube|ring|cake tin|springform)\b/i.test(word + w.after) &&
      !/^(?:sheets?|rounds?|squares?|loa)/.test(word))
  ) {
    if (/\b(?:measuring|tea)\s*cup|\bcups? of\b/i.test(text)) return null;
    // "a 12 x 1/3 cup muffin pan" has twelve of a third of a cup
    const n =
      /(?<![\d/.])(\d{1,2})\s*[x×]\s*(?:\d\s*\/\s*\d|[½⅓¼]|\d+\s*ml)/i.exec(text)?.[1] ??
      holes.exec(text)?.[1] ??
      /(?:\((?:I (?:get|make|fill) |makes |about |it'?s )?|\bof\s+)(\d{1,2})\)?(?!\s*(?:cm|mm|x|g\b|ml))/i.exec(
        w.after,
      )?.[1];
    const given = n ? numberOf(n) : countBefore(w.before);
    const cups = given !== null && given > 1 ? given : null;
    const tin = make.cups(
      cups ?? 12,
      /\bmini(?:ature)?\b/i.test(text)
        ? 'mini'
        : /\b(?:jumbo|giant|texas|large|big)\b/i.test(text) && !/\blarge (?:bowl|egg)/i.test(text)
          ? 'jumbo'
          : 'usual',
      material,
    );
    return found(tin, 1, 3, cups === null);
  }
  const deepMm = deep(text);
  const tube =
    /\b(?:tube|bundt|ring|gugelhupf\w*|kranzform|kugelhopf|gugelhopf|babka|savarin|chiffon|fluted|angel[- ]food|ciambella|corona|couronne|with a hole|kranz\w*)\b/i.test(
      text,
    );
  const held = litres.exec(text);
  const litre = held && mlOf(held) >= 250 ? held : null;
  const byCups = cupsOf.exec(text);
  const loaf =
    /\b(?:loa(?:f|ves)|bread|kastenform|moule à cake|moule a cake|plumcake|pullman|ribbed)\b/i.test(text) ||
    /^kastenform$/.test(word);
  if (tube) {
    const ml = litre ? mlOf(litre) : byCups ? numberOf(byCups[1] ?? '') * 240 : null;
    if (size && size.mm.length === 1) return found(make.tube(size.mm[0] ?? 240, material), count);
    if (ml) return found(make.tubeOf(ml, material), count);
    return found(make.tube(240, material), count, 3, true);
  }
  const lb = pounds.exec(text);
  if (lb && /\b(?:tins?|pans?|loaf|loaves)\b/i.test(text)) {
    const g =
      (/^kg/i.test(lb[2] ?? '') ? 1000 : /^g/i.test(lb[2] ?? '') ? 1 : 453.6) *
      (lb[1] === 'half' || lb[1] === '½' ? 0.5 : numberOf(lb[1] ?? '1'));
    if (g >= 200 && g <= 2000) return found(make.loafOfWeight(g, material), countBefore(text.slice(0, lb.index)) ?? 1);
  }
  if (size && size.mm.length > 1) {
    const [a = 0, b = 0] = size.mm;
    if (Math.max(a, b) < 100 || Math.max(a, b) > 700) return null;
    return found(
      make.across(a, b, size.mm[2] ?? deepMm, {
        loaf,
        tray: /\b(?:dish|sheet|tray|slab)\b/i.test(text),
        sheet: /\b(?:sheet|jelly|swiss|rimmed)\b/i.test(text),
        material,
      }),
      count,
    );
  }
  if (size) {
    const mm = size.mm[0] ?? 0;
    if (
      mm < 60 ||
      mm > 500 ||
      /\b(?:thick|high|deep(?!\s+(?:\w+\s+)?(?:tin|pan|round|square|loaf|dish|cake|form|mould|tray))|apart|cutter|long strips|cubes|pieces)\b/i.test(
        text.slice(size.to, size.to + 26).replace(/[,.;].*$/, ''),
      )
    )
      return null;
    if (/^(?:foil|papers?|sheets?|liners?)$/.test(word)) return null;
    if (loaf || (/\blong\b/i.test(text) && mm > 200)) return found(make.loafOfLength(mm, material), count);
    if (/\b(?:square|sq|carr[eé]|cuadrado|quadrat\w*)\b/i.test(text))
      return found(make.square(mm, depthSaid(text), material), count);
    return found(make.round(mm, depthSaid(text), material), count);
  }
  if (litre && !/^(?:rounds?|squares?|layers?)$/.test(word))
    return found(make.loafOfVolume(mlOf(litre), material), count);
  if (/\b(?:loaf|bread|cake)\s+(?:tins?|pans?)\b|\bkastenform\b|moule à cake|plumcake/i.test(text) && loaf)
    return found(make.loafOfWeight(900, material), count, 3, false);
  if (/\b(?:sheet|tray|blech|plaque|teglia)s?\b|\b(?:floured|greased|lined) tin\b/i.test(`${word} ${w.before}`))
    return found(mound('round', null, null, null), 1, 1, true);
  if (
    /^(?:springforms?|rounds?)$/.test(word) ||
    (/\b(?:round|sandwich|layer)\s+(?:cake\s+)?$/i.test(w.before) && /^(?:tin|pan|cake|form|mould)/.test(word))
  ) {
    if (/^rounds?$/.test(word) && !/\b(?:greased|lined|papered|two|three)\s*$/i.test(w.before)) return null;
    return found(make.round(200, depthSaid(text), material), count, 3, true);
  }
  if (/\b(?:square|sq|carr[eé]|cuadrado|quadrat\w*)\b/i.test(w.before) && /^(?:tin|pan)/.test(word))
    return found(make.square(200, depthSaid(text), material), count, 3, true);
  return null;
}

/** Round and square tins that have a name for their height, mm; general knowledge. A deep bowl or a deep gold is none. */
const NAMED_DEEP: readonly (readonly [RegExp, number])[] = [
  [/\bsandwich\b/i, 38],
  [/\bdeep\b(?![\s-]*(?:fr[iy]|gold|brown|dark|amber|red|bowl|rich|flavou?r))/i, 75],
  [/\bspring[\s-]?forms?\b/i, 68],
];
/** How deep a tin is by its own words: by a figure, or by what such a tin is called. */
function depthSaid(text: string): number | undefined {
  const figure = deep(text);
  if (figure !== undefined || /\b1?\d\s*(?:mm|cm)\s*-?deep\b/i.test(text)) return figure;
  return NAMED_DEEP.find(([re]) => re.test(text))?.[1];
}

const deep = (text: string): number | undefined => {
  const m = /(\d+(?:\.\d+)?|\d+\s*½)\s*(?:-\s*\d+\s*)?-?\s*(cm|mm|inch(?:es)?|in\b|")\s*(?:deep|high)/i.exec(text);
  if (!m) return undefined;
  const mm = (readNumber(m[1] ?? '') ?? 0) * (/^mm/i.test(m[2] ?? '') ? 1 : /^cm/i.test(m[2] ?? '') ? 10 : 25.4);
  return mm >= 20 && mm <= 150 ? Math.round(mm) : undefined;
};

/** Of several sizes the one nearest to the word for the vessel; thickness and depth are no outline. */
function pick(all: readonly Size[], at: number): Size | null {
  const fit = all.filter((s) => Math.max(...s.mm) >= 60);
  return [...fit].sort((a, b) => distance(a, at) - distance(b, at))[0] ?? null;
}
const distance = (s: Size, at: number): number => (s.to <= at ? at - s.to : s.from - at) - (s.mm.length > 1 ? 10 : 0);

export interface Vessels {
  readonly tins: readonly TinUse[];
  readonly marks: readonly Mark[];
  /** True where the text leaves the size open. */
  readonly guessed: boolean;
  readonly place: Mark | null;
  /** The same of so much dough, ml, where its pieces are not counted. */
  readonly counted: OnTray['counted'];
}

/** The tins a sentence names; rounds and squares that hands make of the dough are none. */
function mentionsIn(text: string, shaped: readonly Stretch[]): Mention[] {
  const plain = masked(text);
  return windowsIn(plain)
    .filter((w) => !(byOutline.test(w.word) && shaped.some((x) => x.from < w.to && w.from < x.to)))
    .flatMap((w) => vesselIn(w, plain) ?? []);
}
interface Stretch {
  readonly from: number;
  readonly to: number;
}
const byOutline = /^(?:rounds?|squares?|layers?|loa(?:f|ves)|rings?)$/;

/** The dough as words that stand alone shape it; its places are those of the text. */
export function shapedIn(text: string): ShapedDough | null {
  const { drafts } = readMethod([{ text, itemIds: [] }], () => false);
  // a name without a verb: "8 wedges of a 20 cm round"
  if (drafts.length === 0 && /\b(?:wedges|squares|fingers|farls|triangles)\b/i.test(text))
    return shapedDough([{ verb: 'cut', words: text, phase: 'shape', place: { entry: 0, from: 0, to: text.length } }]);
  return shapedDough(
    drafts.map(({ verb, clause, remark }) => ({
      verb,
      words: clause.text,
      ...(remark !== '' && { remark }),
      phase: 'shape',
      place: { entry: 0, from: clause.from, to: clause.to },
    })),
  );
}

/** A tin named in words: "a 9x5 inch loaf tin", "two 20 cm round tins", "a 12-hole muffin tray", "8 wedges of a 20 cm round". */
export function vesselNamed(text: string): TinUse | null {
  const dough = shapedIn(text);
  // a size that the words leave open is no tin yet
  const said = mentionsIn(text, dough?.stretches ?? []).find((m) => m.sure === 3 && (!m.guessed || m.use.tin.shape === 'cup')); // prettier-ignore
  return said?.use ?? (dough && onTray(dough, null).use);
}

/** A shaped dough, and where its words stand among the lines. */
export interface ShapedHere {
  readonly dough: ShapedDough;
  /** Of a place in the method, the line and the characters of the text. */
  readonly markOf: (place: Place) => Mark;
}

/**
 * The tins of a recipe. A tin with its kind or size wins over a tray; a dough that is cut, dropped or shaped stands on
 * the tray by itself, unless it is then put into a tin.
 *
 * @param made how many pieces the text says it makes, for dough that is cut or dropped
 * @param shaped the dough as the method shapes it
 */
export function readVessels(lines: readonly Prose[], made: number | null, shaped: ShapedHere | null = null): Vessels {
  const all: Named[] = [];
  const stretches = shaped?.dough.stretches.map(shaped.markOf) ?? [];
  for (const line of lines)
    for (const s of sentencesIn(line.text)) {
      const from = line.at + s.at;
      const here = stretches.filter((x) => x.line === line.no).map((x) => ({ from: x.from - from, to: x.to - from }));
      for (const m of mentionsIn(s.text, here)) all.push({ ...m, line, at: s.at, text: s.text });
    }
  const tins = all.filter((m) => m.sure === 3);
  const first = tins.find((m) => !m.guessed || m.use.tin.shape === 'tube') ?? tins[0];
  // a tin named by its size alone is the one named with its kind elsewhere
  const tin = tins.find((m) => m !== first && first && unkind(first) && !unkind(m) && alike(m, first)) ?? first;
  const tray = all.find((m) => m.sure === 1);
  const markOf = (m: Named): Mark => {
    const from = m.line.at + m.at;
    return { line: m.line.no, from: from + m.from, to: from + m.to, what: 'tin' };
  };
  const marks = [tin, tray].flatMap((m) => (m ? [markOf(m)] : []));
  if (shaped && !(tin && filled(tin))) {
    const { use, counted } = onTray(shaped.dough, made);
    const place = shaped.dough.place ? shaped.markOf(shaped.dough.place) : null;
    return { tins: [use], marks: [...(place ? [place] : []), ...marks], guessed: false, place, counted };
  }
  const chosen = tin ?? tray;
  if (!chosen) return { tins: [], marks: [], guessed: false, place: null, counted: null };
  const use = counts(chosen, made);
  const beside = besides(chosen, tins);
  return {
    tins: [use, ...beside.map((m) => m.use)],
    marks: [...marks, ...beside.map(markOf)],
    guessed: chosen.guessed && chosen.sure === 3 && use.tin.shape !== 'cup' && use.tin.shape !== 'tube',
    place: markOf(chosen),
    counted: null,
  };
}

type Named = Mention & { readonly line: Prose; readonly at: number; readonly text: string };

const rest = /\b(?:the )?(?:rest|remain\w+|surplus|left-?over|extra)\b|\bwhat(?:'s| is|ever is) (?:left|over)\b/i;
const together = /^[^.;]*?(?:,|\band\b|\bplus\b|&|\+)\s*(?:also\s+)?(?:\d+\s+)?$/i;
/**
 * Tins that are filled beside the chosen one: with "the rest" of the batter, or named with it in one breath ("one 2 lb tin and
 * four small ones"); a tin "or" another is no second one.
 */
function besides(chosen: Named, tins: readonly Named[]): Named[] {
  const out: Named[] = [];
  let last = chosen;
  for (const m of tins.slice(tins.indexOf(chosen) + 1)) {
    const { tin } = m.use;
    const known = [chosen, ...out].some(
      (x) => x.use.tin.shape === tin.shape && Math.abs(x.use.tin.topMm - tin.topMm) < 8,
    );
    if (known) continue;
    const here = m.line === last.line && m.at === last.at;
    const before = m.text.slice(here ? last.to : 0, m.from);
    const lead = m.text.slice(0, last.from + 1);
    const one = here && together.test(before) && (poured.test(lead) || givesBoth.test(lead)) && before.length < 16;
    if (/\bor\b|\binstead\b|\bif\b/i.test(before) || !(one || rest.test(m.text.slice(here ? last.to : 0, m.to))))
      continue;
    out.push(m);
    last = m;
  }
  return out;
}

/** Whether a shaped dough is put into this tin: any but a hot skillet under it, a sheet that is not filled, a "round" in the title. */
const filled = (m: Named): boolean =>
  !(m.guessed && byOutline.test(m.text.slice(m.from, m.to).split(/\s+/).at(-1)?.toLowerCase() ?? '')) &&
  !/cast iron/.test(m.use.tin.material) &&
  (!/\b(?:tray|sheet)\b/i.test(m.text) || m.use.tin.shape !== 'rect' || poured.test(m.text));

/** A round only because nothing says otherwise. */
const unkind = (m: Mention & { readonly text: string }): boolean =>
  m.use.tin.shape === 'round' && !/\bround|sandwich|spring|layer/i.test(m.text.slice(m.from, m.to + 20));
const alike = (a: Mention, b: Mention): boolean => Math.abs(a.use.tin.topMm - b.use.tin.topMm) < 0.06 * b.use.tin.topMm;

function counts(m: Mention, made: number | null): TinUse {
  const { tin, count } = m.use;
  if (!m.guessed || made === null || made < 2 || made > 60) return m.use;
  if (tin.shape === 'cup') return { tin: make.cups(made, 'usual', tin.material), count };
  return m.use;
}
