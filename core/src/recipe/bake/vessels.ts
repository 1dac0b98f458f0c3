import type { Tin, TinMaterial, TinUse } from '../../formula/types.js';
import { numberPattern, readNumber } from '../../quantity/numbers.js';
import { readSpoken, spokenPattern } from '../../quantity/spoken.js';
import type { Mark } from '../draft.js';
import type { Prose } from './course.js';
import { durations } from './durations.js';
import { heatsIn } from './heats.js';
import { sizesIn, type Size } from './lengths.js';
import { sentencesIn } from './sentences.js';
import * as make from './tin-kinds.js';

/** A tin or a shape on a tray as a sentence names it. */
interface Mention {
  readonly use: TinUse;
  /** 3: a tin with its kind or size; 2: a shape that stands by itself; 1: a tray without size. */
  readonly sure: 1 | 2 | 3;
  /** True where the size is Orvin's guess. */
  readonly guessed: boolean;
  readonly from: number;
  readonly to: number;
}

const vesselWord =
  /\b(?:(?:sauce|frying|sheet|jelly[- ]roll|roasting|loaf|muffin|cake|tube|bundt|slice|bread|baking|bun|patty|sandwich|springform|lamington|traybake|brownie|cookie|baking|ring|bar|fluted)[\s-]+)?(?:tins?|pans?|moulds?|molds?|dish(?:es)?|trays?|sheets?|forms?|skillets?|springforms?|rings?|tubes?|bundts?|gugelhupf|kugelhopf|gugelhopf|casserole|pot|ramekins?|mugs?|frame|kastenform|springform|backform|gugelhupfform|förmchen|muffinförmchen|blech|moule|plaque|molde|stampo|teglia|pirottini|foil|liners?|cases?|wells|holes?|papers|cups?)\b|\b(?:loa(?:f|ves)|squares?|rounds?|layers?|sq(?=[.,;]|\s+(?:lined|greased|tin|pan)))\b(?=[\s,.;:]|$)/giu;

const figure = `(?:${numberPattern}|(?:${spokenPattern})(?![\\p{L}])|an?|one|a dozen)`;
const counted = new RegExp(
  `(?<![\\p{L}\\d.,/½¼¾])(${figure})\\s*(?:x|×)?\\s*(?:(?:of\\s+)?(?:the\\s+)?(?:well|lightly|un|non-?stick|double|single|loose-bottomed|loose-based|greased|ungreased|buttered|oiled|lined|floured|papered|paper|parchment|foil|paper-lined|deep|shallow|large|small|medium|mini|miniature|jumbo|giant|individual|regular|standard|big|little|ordinary|round|square|oblong|rectangular|straight|sided|metal|glass|silicone|dark|light|hot|and|&|,|cake|sandwich|victoria|layer|loaf|bread|muffin|cupcake|bun|fairy|patty|tea|ramekin|dariole|same|such|equal|tall|crumbed)[\\s,-]*)*$`,
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
  /\b(?:muffins?|cup\s?cakes?|bun|fairy|patty|queen|paper cases|cases|liners|papers|wells|holes?|cups|ramekins|muffinförmchen|förmchen|pirottini|darioles?)\b/i;
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
      next && /^(?:[\s-]*|\s+in\s+an?\s+|\s*\(?\s*)$/.test(text.slice(end, next.index)) && next.index - end < 8;
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
    (/\b(?:cut|stamp|shape|pat|roll|form|press|flatten|mark|score|divide|knead|make|turn|stir|go)\w*\b/i.test(lead) ||
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

  if (
    cupWord.test(word) ||
    (cupWord.test(text) &&
      !/\b(?:loaf|round|bundt|tube|ring|cake tin|springform)\b/i.test(word + w.after) &&
      !/^(?:sheets?|rounds?|squares?|loa)/.test(word))
  ) {
    if (/\b(?:measuring|tea)\s*cup|\bcups? of\b/i.test(text)) return null;
    const n = holes.exec(text)?.[1] ?? /(?:\(|\bof\s+)(\d{1,2})\)?(?!\s*(?:cm|mm|x|g\b|ml))/.exec(w.after)?.[1];
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
      return found(make.square(mm, deepMm, material), count);
    return found(make.round(mm, deepMm, material), count);
  }
  if (litre && !/^(?:rounds?|squares?|layers?)$/.test(word))
    return found(make.loafOfVolume(mlOf(litre), material), count);
  if (/\b(?:loaf|bread|cake)\s+(?:tins?|pans?)\b|\bkastenform\b|moule à cake|plumcake/i.test(text) && loaf)
    return found(make.loafOfWeight(900, material), count, 3, false);
  if (/\b(?:sheet|tray|blech|plaque|teglia)s?\b|\b(?:floured|greased|lined) tin\b/i.test(`${word} ${w.before}`))
    return found(make.mound(180, 45), 1, 1, true);
  if (
    /^(?:springforms?|rounds?)$/.test(word) ||
    (/\b(?:round|sandwich|layer)\s+(?:cake\s+)?$/i.test(w.before) && /^(?:tin|pan|cake|form|mould)/.test(word))
  ) {
    if (/^rounds?$/.test(word) && !/\b(?:greased|lined|papered|two|three)\s*$/i.test(w.before)) return null;
    return found(make.round(200, deepMm, material), count, 3, true);
  }
  if (/\b(?:square|sq|carr[eé]|cuadrado|quadrat\w*)\b/i.test(w.before) && /^(?:tin|pan)/.test(word))
    return found(make.square(200, deepMm, material), count, 3, true);
  return null;
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

const thickness =
  /(\d+(?:\.\d+)?(?:\s*[½¼¾])?|[½¼¾]|\d\/\d|\d+\s+\d\/\d|(?:an?|one|half an|three[- ]quarters? of an|two))[\s-]*(cm|mm|inch(?:es)?|in\b\.?|"|”|″)\s*(?:thick|high|deep|in thickness)?/gi;
const mmOf = (n: string, unit: string): number => {
  const t = n.toLowerCase();
  const v = /^half/.test(t) ? 0.5 : /^three/.test(t) ? 0.75 : numberOf(t);
  return v * (/^mm/i.test(unit) ? 1 : /^cm/i.test(unit) ? 10 : 25.4);
};
const pieceWord =
  '(?:rounds?|circles?|wedges?|squares?|triangles?|fingers?|scones?|biscuits?|pieces?|farls?|hearts?|diamonds?|discs?|buns?|quarters|oblongs?|rusks?)';
const cutting = new RegExp(
  `\\b(?:cut|stamp|punch|slice)\\b(?!\\s+(?:in|the|up|through)\\s+(?:the\\s+)?(?:butter|fat|lard|cold|shortening|marg))[^.;]*`,
  'i',
);
const pieces = new RegExp(`(?<![\\d.,/])(${figure})\\s+(?:\\w+[\\s-]+){0,3}?${pieceWord}\\b`, 'iu');
const into = new RegExp(
  `\\b(?:in|into|out)\\s+(?:about\\s+)?(${figure})(?![\\s-]*(?:cm|mm|inch|in\\b|"|½|¼|/))(?=[\\s.,;)]|$)`,
  'iu',
);
const dropping =
  /\b(?:drop(?:ped|ping)?\s+(?!the|in\b|it)|(?:rough|rocky|big|small|generous|even)?\s*(?:heap|mound|dollop)s?\b|heap(?:ed)?\s+(?:it|them|in|on)|spoonfuls?\s+(?:on|onto|apart)|scoops?\s+(?:on|onto|of (?:dough|batter))|scoop\s+(?:on|onto|in(?:to)?)|in\s+(?:rough\s+)?(?:heaps|mounds)|fork(?:ed)?\s+out\b|dollop\b|by (?:the )?spoonfuls?|drop from)/i;
const shaping =
  /\b(?:shap(?:e|ed|ing)|form(?:ed)?|pat(?:ted)?|mould(?:ed)?|flatten(?:ed)?|round(?:ed)? (?:it|the dough|up)|roll(?:ed)?|press(?:ed)?|make|gather|tip|turn|knead)\b[^.;]*?\b(?:(\w+)\s+)?(?:flat\s+|smooth\s+|rough\s+|neat\s+|big\s+|single\s+|flattish\s+|(?:\d+\s*-?\s*(?:cm|inch|in|")\s+))*(rounds?|balls?|discs?|disks?|circles?|cakes?|ovals?|loa(?:f|ves)|domes?|cob)\b(?!\s*(?:tin|pan|dish|mould|cake))/i;
const cross =
  /\b(?:cut|slash|score|mark)\w*\s+(?:with\s+)?(?:an?|the|deep|it|a deep)?\s*(?:deep\s+)?(?:cross|x\b|×)|\bcross (?:cut|in|on)|\bslash\b/i;

/** Dough that stands by itself: a shaped round, pieces cut from a slab, or spoonfuls dropped on a tray. */
function freeIn(text: string): Mention | null {
  const drop = dropping.exec(text);
  const cut = cutting.exec(text);
  const inside =
    cut &&
    /\b(?:butter|fat|shortening|lard|margarine|cold|oleo)\b/i.test(cut[0].slice(0, 40)) &&
    !/\b(?:round|wedge|square|cutter|triangle)/i.test(cut[0])
      ? null
      : cut;
  const thick = [...text.matchAll(thickness)].find(
    (m) =>
      /thick|high|deep/i.test(m[0]) ||
      /\b(?:pat|roll|press|flatten)\w*\s+(?:\w+\s+){0,4}$/i.test(text.slice(0, m.index)),
  );
  const depth = thick ? mmOf(thick[1] ?? '1', thick[2] ?? 'cm') : null;
  const where = (m: RegExpExecArray): { from: number; to: number } => ({
    from: m.index,
    to: m.index + m[0].trimEnd().length,
  });
  const shape = shaping.exec(text);
  const crossed = cross.exec(text);
  const marked =
    /\b(?:mark|score|cut)\w*\s+(?:\w+\s+){0,3}(?:almost through|not through|half-?way)/i.test(text) ||
    /\b(?:mark|score)\w*\b/i.test(inside?.[0] ?? '');
  if (inside && !crossed && !marked) {
    const after = text.slice(inside.index);
    const cutter = sizesIn(text).find(
      (x) =>
        x.mm.length === 1 &&
        x.unit &&
        /^(?!\s*(?:thick|high|deep|apart))[^.,;]{0,18}?\b(?:cutter|rounds?|circles?|squares?|biscuits?|scones?|across|glass)\b/i.test(
          text.slice(x.to),
        ),
    );
    const n = /\bcutter\b/i.test(after) || pieces.test(after) || into.test(after);
    if (cutter ?? (n || piecesIn(after) !== null || new RegExp(`\\b${pieceWord}\\b`, 'i').test(after))) {
      const topMm = Math.round(cutter?.mm[0] ?? 60);
      const each = /\beach\b/i.test(after) ? shares(text.slice(0, inside.index)) : 1;
      const some = piecesIn(after);
      const many = some === null ? null : some * each;
      const tin = make.slab(
        topMm > 20 && topMm < 200 ? topMm : 60,
        Math.round(depth && depth >= 8 && depth <= 60 ? depth : 25),
        many ?? 8,
      );
      return { use: { tin, count: 1 }, sure: 2, guessed: many === null, ...where(inside) };
    }
  }
  if (drop) {
    const many = new RegExp(
      `(?<![\\d.,/])(${figure})(?![\\s-]*(?:cm|mm|inch|in\\b|tbsp|tablespoon|cup|/|½|¼))\\s+(?:\\w+[\\s-]+){0,3}?(?:heaps?|mounds?|dollops?|spoonfuls?|drops?|scoops?|biscuits?|pieces|portions|lumps)`,
      'iu',
    ).exec(text);
    const n = many?.[1] ? numberOf(many[1]) : /,\s*(\w+)\s+of them/i.exec(text)?.[1];
    const found = typeof n === 'number' ? n : n ? numberOf(n) : null;
    return {
      use: { tin: make.mound(70, 35), count: found && found > 1 && found < 60 ? found : 1 },
      sure: 2,
      guessed: found === null || found < 2,
      ...where(drop),
    };
  }
  const loose = depth !== null && !inside ? new RegExp(`(?<![\\d.,/])(${figure})\\s+rounds\\b`, 'iu').exec(text) : null;
  if (loose?.[1] && depth) {
    const tin = make.slab(60, Math.round(depth >= 8 && depth <= 60 ? depth : 25), numberOf(loose[1]));
    return { use: { tin, count: 1 }, sure: 2, guessed: false, ...where(loose) };
  }
  const gathered =
    /\bround (?:it|the dough) (?:up|off)\b|\bflatten\w* (?:it )?to\b|\bmark (?:it )?in(?:to)? (?:four|quarters|six|eight)\b/i.exec(
      text,
    );
  if (shape ?? crossed ?? gathered) {
    const hit = shape ?? crossed ?? gathered;
    if (!hit) return null;
    const said = (shape?.[1] ?? '').toLowerCase();
    const many = /^(?:two|2|three|3|four|4|six|6|eight|8)$/.test(said)
      ? numberOf(said)
      : /\beach\b|\bballs\b|\brounds\b/i.test(shape?.[0] ?? '')
        ? shares(text)
        : 1;
    if (
      /\b(?:marzipan|almond paste|fondant|icing)\b/i.test(
        hit.input.slice(Math.max(0, hit.index - 30), hit.index + hit[0].length),
      )
    )
      return null;
    const size = sizesIn(text).find(
      (s) =>
        s.mm.length === 1 &&
        (s.mm[0] ?? 0) >= 90 &&
        (s.mm[0] ?? 0) <= 400 &&
        !/^\s*(?:thick|high|deep)/i.test(text.slice(s.to)),
    );
    const small = /\bballs?\b/i.test(shape?.[2] ?? '') && many > 2;
    return {
      use: {
        tin: make.mound(
          Math.round(size?.mm[0] ?? (small ? 60 : 180)),
          Math.round(depth && depth >= 10 && depth <= 90 ? depth : 45),
        ),
        count: many,
      },
      sure: 2,
      guessed: !size,
      ...where(hit),
    };
  }
  return null;
}

/** In how many parts the dough is divided: "divide in two", "halve". */
function shares(text: string): number {
  const m = new RegExp(`\\b(?:divid\\w*|part|split|cut|break)\\b[^.;]{0,24}?\\b(?:in|into)\\s+(${figure})`, 'iu').exec(
    text,
  );
  const n = m?.[1] ? numberOf(m[1]) : /\b(?:halve|halves|each half)\b/i.test(text) ? 2 : 1;
  return n >= 1 && n <= 60 ? n : 1;
}

/** How many pieces a stretch of text cuts: "8 wedges", "into nine", "rounds (12)". */
function piecesIn(text: string): number | null {
  const m = pieces.exec(text);
  const direct = m?.[1] ? numberOf(m[1]) : null;
  if (direct !== null && direct > 1 && direct <= 60) return direct;
  const i = into.exec(text);
  const n = i?.[1] ? numberOf(i[1]) : null;
  if (n !== null && n > 1 && n <= 60) return n;
  const by = new RegExp(
    `${pieceWord}\\s*[,(]?\\s*(?:about\\s+|makes\\s+|you get\\s+)?(\\d{1,2})(?![\\s-]*(?:cm|mm|inch|in\\b|min|"|°))`,
    'i',
  ).exec(text);
  const bare =
    /\bcut\s+(?:out\s+)?(?:about\s+)?(\d{1,2})(?=[\s.,;]|$)(?!\s*(?:cm|mm|inch|in\b|x\b|")|[¼½¾]|\s*\d?\/)/i.exec(text);
  const k = Number(by?.[1] ?? bare?.[1] ?? 0);
  return k > 1 && k <= 60 ? k : null;
}

export interface Vessels {
  readonly tins: readonly TinUse[];
  readonly marks: readonly Mark[];
  /** True where the text leaves the size open. */
  readonly guessed: boolean;
  readonly place: Mark | null;
}

/** The tin a sentence names, or the shape it gives the dough. */
function mentionsIn(text: string): Mention[] {
  const plain = masked(text);
  const vessels = windowsIn(plain).flatMap((w) => vesselIn(w, plain) ?? []);
  const free = freeIn(plain);
  return free ? [...vessels, free] : vessels;
}

/** A tin named in words: "a 9x5 inch loaf tin", "two 20 cm round tins", "a 12-hole muffin tray". */
export function vesselNamed(text: string): TinUse | null {
  const all = mentionsIn(text);
  // a size that the words leave open is no tin yet
  const said = all.filter((m) => !m.guessed || m.use.tin.shape === 'cup' || m.sure === 2);
  return (said.find((m) => m.sure === 3) ?? said.find((m) => m.sure === 2))?.use ?? null;
}

/**
 * The tins of a recipe. A tin with its kind or size wins over a tray; a dough that is cut, dropped or shaped stands on
 * the tray by itself, unless it is then put into a tin.
 *
 * @param made how many pieces the text says it makes, for dough that is cut or dropped
 */
export function readVessels(lines: readonly Prose[], made: number | null): Vessels {
  const all: (Mention & { readonly line: Prose; readonly at: number; readonly text: string })[] = [];
  let baked = false;
  for (const line of lines)
    for (const s of sentencesIn(line.text)) {
      // what is cut once it is out of the oven is no dough
      for (const m of mentionsIn(s.text))
        if (!(baked && m.sure === 2 && m.use.tin.shape === 'slab')) all.push({ ...m, line, at: s.at, text: s.text });
      baked ||=
        /\bbake[ds]?\b[^.]*\d\s*(?:min|hour|hr)|\d\s*(?:min|mins|minutes|hours?)\b[^.]*\b(?:oven|until|till)\b|\d\s*(?:°|[CF]\b)[^.]*\d\s*(?:min|hour|hr)/i.test(
          s.text,
        );
    }
  const tins = all.filter((m) => m.sure === 3);
  const first = tins.find((m) => !m.guessed || m.use.tin.shape === 'tube') ?? tins[0];
  // a tin named by its size alone is the one named with its kind elsewhere
  const tin = tins.find((m) => m !== first && first && unkind(first) && !unkind(m) && alike(m, first)) ?? first;
  const free = best(all.filter((m) => m.sure === 2));
  const tray = all.find((m) => m.sure === 1);
  const skillet = tin && /cast iron/.test(tin.use.tin.material);
  const inTin =
    tin && free && !skillet
      ? !/\b(?:tray|sheet)\b/i.test(tin.text) || tin.use.tin.shape !== 'rect' || poured.test(tin.text)
      : false;
  const chosen = tin && !free ? tin : free && (!tin || !inTin) ? free : (tin ?? free ?? tray);
  if (!chosen) return { tins: [], marks: [], guessed: false, place: null };
  const markOf = (m: (typeof all)[number]): Mark => {
    const from = m.line.at + m.at;
    return { line: m.line.no, from: from + m.from, to: from + m.to, what: 'tin' };
  };
  const mark = markOf(chosen);
  const beside = [tin, tray].filter((m) => m !== undefined).filter((m) => m !== chosen);
  const marks = [mark, ...beside.map(markOf)];
  const use = counts(chosen, made);
  return {
    tins: [use],
    marks,
    guessed: chosen.guessed && chosen.sure === 3 && use.tin.shape !== 'cup' && use.tin.shape !== 'tube',
    place: mark,
  };
}

/** A round only because nothing says otherwise. */
const unkind = (m: Mention & { readonly text: string }): boolean =>
  m.use.tin.shape === 'round' && !/\bround|sandwich|spring|layer/i.test(m.text.slice(m.from, m.to + 20));
const alike = (a: Mention, b: Mention): boolean => Math.abs(a.use.tin.topMm - b.use.tin.topMm) < 0.06 * b.use.tin.topMm;

/** Of several shapes the one that is baked: pieces that are cut or dropped, before the round they are cut from. */
const best = <T extends Mention>(all: readonly T[]): T | undefined =>
  all.find((m) => m.use.tin.shape === 'slab') ?? all.find((m) => m.use.count > 1) ?? all[0];

function counts(m: Mention, made: number | null): TinUse {
  const { tin, count } = m.use;
  if (!m.guessed || made === null || made < 2 || made > 60) return m.use;
  if (tin.shape === 'slab') return { tin: { ...tin, cups: made }, count };
  if (tin.shape === 'cup') return { tin: make.cups(made, 'usual', tin.material), count };
  if (tin.shape === 'mound' && tin.topMm < 100) return { tin, count: made };
  return m.use;
}
