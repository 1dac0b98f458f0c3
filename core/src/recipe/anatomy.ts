import { middle, scanAmounts, type Found } from '../quantity/scan.js';
import { unitOf } from '../quantity/units.js';
import { asides, containers, forOutside } from './words.js';

/** Characters `from`–`to` of the line. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** One way in which a line states an amount: parts to be added, times a count of containers or pieces. */
export interface Stated extends Span {
  readonly parts: readonly Found[];
  readonly times: number;
  /** The word behind a number that stands for a container: "can", "pot". */
  readonly container?: string;
  /** True when it is unclear whether the size is of each container or of all together. */
  readonly perEach?: 'said' | 'unclear';
}

/** One ingredient of a line: the ways its amount is stated, its name, and what else is said of it. */
export interface Segment extends Span {
  readonly stated: readonly Stated[];
  /** Text that names the ingredient: without amounts and brackets, up to the first comma. */
  readonly name: string;
  readonly nameSpan: Span;
  /** What follows the first comma or dash, and the brackets. */
  readonly tail: string;
  readonly brackets: readonly string[];
}

export interface Anatomy {
  readonly segments: readonly Segment[];
  /** The words from which a line no longer speaks of the batter: "plus extra for dusting". */
  readonly aside: string;
}

/** Same length as the text, so that places stay: odd spaces and quotes made plain. */
export const plainChars = (text: string): string =>
  text
    .replace(/[\u00a0\u2000-\u200a\u202f\u205f\u3000\t]/g, ' ')
    .replace(/[’‘`´]/g, "'")
    .replace(/\.{3,}|…+|\*{1,3}|_{1,3}(?=\S)|(?<=\S)_{1,3}|[¹²³†‡]/g, (m) => ' '.repeat(m.length))
    // what is said before the list begins: "ok so 4 tbsp flour", "you need 450 g"
    .replace(
      /^\s*(?:(?:ok(?:ay)?|so|right|well|um+|you(?:'ll)?\s+(?:need|want)|(?:you\s+)?take|it's|there's)[\s,:]+)+(?=[\d½¼¾⅓⅔])/i,
      (m) => ' '.repeat(m.length),
    ) // prettier-ignore
    // "180 c. sugar": nobody takes so many cups
    .replace(/(?<=(?<![\d/.])\d{2,3}\s)c\.(?=\s+sugar)/i, '  ')
    .replace(/^[^\d½¼¾⅓⅔:,;]{3,40}!+\s+(?=\d)/, (m) => ' '.repeat(m.length))
    // a number that only counts the lines
    .replace(/^\s*\d{1,2}[.)]\s+(?=[\d½¼¾⅓⅔]|an?\s)/i, (m) => ' '.repeat(m.length));

/** Numbers that are no amounts: sizes in cm, per cent, heat, minutes, types of flour, model numbers. */
function isAmount(line: string, a: Found): boolean {
  const after = line.slice(a.to, a.to + 14);
  const before = line.slice(Math.max(0, a.from - 12), a.from);
  if (
    /^\s*(?:-\s*)?(?:%|cm\b|mm\b|inch|in\.?\s|"|”|″|°|º|per\s?cent|degrees?\b|min(?:ute)?s?\b|hours?\b|hrs?\b|days?\b|seconds?\b)/i.test(
      after,
    ) &&
    a.unit === null
  )
    return false;
  // "the one with sprinkles"
  if (
    a.unit === null &&
    /\b(?:the|this|that|each|which|every)\s*$/i.test(before) &&
    /^ones?$/i.test(line.slice(a.from, a.to))
  )
    return false;
  if (/(?:\btype|\bno\.?|\bnumber|\bsize|\bgrade|\bmark)\s*$/i.test(before) && a.unit === null) return false;
  // "half-and-half"
  if (a.unit === null && (/^-\p{L}/u.test(after) || /\p{L}-$/u.test(before))) return false;
  // "00 flour", "10x sugar"
  return !(a.unit === null && /^0+$/.test(line.slice(a.from, a.to).trim()));
}

interface Bracket extends Span {
  readonly text: string;
}

function bracketsOf(line: string): Bracket[] {
  const out: Bracket[] = [];
  for (const m of line.matchAll(/[([]([^()[\]]*)(?:[)\]]|$)/g))
    out.push({ from: m.index, to: m.index + m[0].length, text: m[1] ?? '' });
  return out;
}

const dimension = (f: Found): string => (f.unit === null ? 'count' : unitOf(f.unit).dimension);
const measurable = (f: Found): boolean => dimension(f) === 'mass' || dimension(f) === 'volume';
const joins = /^\s*\)?\s*(?:,\s*)?(?:\+|plus|and|&)\s*(?:about\s+|another\s+)?$/i;
const sizeBetween = /^\s*(?:x|×|\*)?\s*\(?\s*$/i;
const outerUnits: readonly (readonly [string, string])[] = [
  ['lb', 'oz'],
  ['kg', 'g'],
  ['cup', 'tbsp'],
  ['cup', 'tsp'],
  ['tbsp', 'tsp'],
  ['l', 'ml'],
  ['pint', 'fl-oz'],
];

/** Gathers a run of amounts that speak of one ingredient into the ways its amount is stated. */
function gather(line: string, amounts: readonly Found[]): Stated[] {
  const out: Stated[] = [];
  let i = 0;
  while (i < amounts.length) {
    const a = amounts[i] as Found;
    const next = amounts[i + 1];
    const after = line.slice(a.to);
    const word = containers.exec(
      after.replace(/^[\s-]*(?:(?:large|small|medium|heaped|whole|big|family|standard|regular|level)\s+)*/i, ''),
    )?.[0];
    if (a.unit === null && next && measurable(next)) {
      const between = line.slice(a.to, next.from);
      const behind = line.slice(next.to).replace(/^[\s)-]*(?:each\s+)?(?:of\s+)?/i, '');
      const box = containers.exec(behind)?.[0];
      const sized =
        sizeBetween.test(between) &&
        (/[x×*]/i.test(between) || box !== undefined || /^\d+-\p{L}/u.test(line.slice(next.from, next.to)));
      const boxed =
        word !== undefined && new RegExp(`^[\\s-]*(?:\\w+\\s+)?${word}\\s*[(,]?\\s*(?:about\\s+)?$`, 'i').test(between);
      if (sized || boxed) {
        const each = /^\s*\)?\s*(?:each|per)\b/i.test(line.slice(next.to)) || sized;
        out.push({
          parts: [next],
          times: middle(a.value),
          from: a.from,
          to: next.to,
          ...(box || word ? { container: box ?? word ?? '' } : {}),
          perEach: each || middle(a.value) === 1 ? 'said' : 'unclear',
        });
        i += 2;
        continue;
      }
    }
    const parts = [a];
    let end = a.to;
    i++;
    while (i < amounts.length) {
      const b = amounts[i] as Found;
      const last = parts.at(-1) as Found;
      const between = line.slice(end, b.from);
      const added = joins.test(between) && (measurable(a) ? measurable(b) || b.unit === 'stick' : b.unit === a.unit);
      // "1 cup sugar plus 2 tbsp": what is added behind the name is of the same thing, or it had a name of its own
      const late =
        measurable(a) &&
        measurable(b) &&
        dimension(a) === dimension(b) &&
        /^[^()[\]]*(?:\bplus|\band|\+|&)\s*(?:another\s+|an extra\s+)?$/i.test(between);
      const inner = /^\s*$/.test(between) && outerUnits.some(([x, y]) => last.unit === x && b.unit === y);
      if (!(added || late || inner) || forOutside.test(line.slice(b.to))) break;
      parts.push(b);
      end = b.to;
      i++;
    }
    out.push({ parts, times: 1, from: a.from, to: end, ...(a.unit === null && word && { container: word }) });
  }
  return out;
}

/** Blanks out amounts and brackets, keeping places. */
function blank(line: string, spans: readonly Span[]): string {
  let out = line;
  for (const s of spans) out = out.slice(0, s.from) + ' '.repeat(Math.max(0, s.to - s.from)) + out.slice(s.to);
  return out;
}

const connective =
  /((?:,\s*)?(?:[;,]|\bplus\b|\band\b|\+|&|\b(?:mixed|blended|blitzed|whisked|whipped|melted|tossed|beaten|stirred|combined)\s+(?:\p{L}+\s+){0,3}with\b|\b(?:dissolved|soaked|steeped)\s+in\b))\s*(?:the\s+|about\s+|around\s+)?(?:(?:juice|zest|grated zest|finely grated zest)\s+of\s+)?$/iu;

/** "an egg", "the zest of an orange": an article counts one when nothing else does. */
function single(text: string, at: number): Found | null {
  const m =
    /(?<![\p{L}'])(an?)\s+(?!little|bit|few|lot|touch|tad|hint|of\b|kind|sort|good\s+\p{L}+ing)(?=[\p{L}])/iu.exec(
      text,
    );
  if (!m || /\bor\s+$/i.test(text.slice(0, m.index))) return null;
  return { value: 1, unit: null, from: at + m.index, to: at + m.index + (m[1]?.length ?? 1) };
}

/** "juice of a lemon and 2 limes": the first is one, though only the second has a number. */
const leading =
  /^(\s*(?:(?:the\s+)?(?:juice|zest|rind)\s+of\s+)?)(an?)\s+\p{L}+\s+(?:and|plus|&|\+)\s+(?=[\d½¼¾]|two|three|four)/iu;

/** A joining word: one ingredient ends before it, the next begins behind it. */
interface Cut {
  readonly end: number;
  readonly start: number;
}

/** What a thing is stirred into or with: "coffee in 1 tbsp boiling water", "cream whipped with 3 tbsp sugar". */
const stirredIn = /^\s*(?:of\s+)?(?:\p{L}+\s+){0,2}(?:water|milk|coffee|tea|rum|brandy|juice|oil|sugar|vinegar)\b/iu;

/** So many amounts behind commas make a line a list. */
const A_RUN = 4;
/** What goes in by the hand, without a number. */
const byHand = /^(?:a\s+)?(?:good\s+|big\s+|small\s+)?(?:pinch|handful|splash|dash|bit|knob|few|some)\s/i;

/**
 * "150 rye flour, 150 plain, 3 tsp BP", "225 butter / 225 caster / 4 eggs": where an amount begins each of four stretches and
 * more, each is a thing of its own, known or not; so is what stands between strokes, and what goes in by the hand.
 */
function listedBy(line: string, amounts: readonly Found[], inside: (at: number) => boolean): Cut[] {
  const seams = [...line.matchAll(/[,;]\s*|\s\/\s+|\s\|\s+/g)].filter((m) => !inside(m.index));
  const begins = (at: number): boolean => amounts.some((a) => a.from >= at && line.slice(at, a.from).trim() === '' && /\p{L}{2}/u.test(line.slice(a.to).split(/[,;]|\s\/\s/)[0] ?? '')); // prettier-ignore
  const begun = seams.filter((m) => begins(m.index + m[0].length));
  if (!begins(0) || begun.length < A_RUN - 1) return [];
  const strokes = begun.some((m) => /[/|]/.test(m[0]));
  return seams
    .filter(
      (m) => (strokes && /[/|]/.test(m[0])) || begun.includes(m) || byHand.test(line.slice(m.index + m[0].length)),
    )
    .map((m) => ({ end: m.index, start: m.index + m[0].length }));
}

/** Where a line changes from one ingredient to the next: "2 eggs plus 1 yolk". */
function cuts(
  line: string,
  amounts: readonly Found[],
  brackets: readonly Bracket[],
  named: (s: string) => boolean,
): Cut[] {
  const inside = (at: number): boolean => brackets.some((b) => b.from < at && at < b.to);
  const out: Cut[] = [];
  const run = listedBy(line, amounts, inside);
  for (const [i, a] of amounts.entries()) {
    const prev = amounts[i - 1];
    if (!prev || inside(a.from)) continue;
    // "2 cups milk, or 1 cup cream and 1 cup water": all behind it is instead, not besides
    if (/\bor\b/i.test(line.slice(amounts[0]?.to ?? 0, a.from))) break;
    const here = run.filter((c) => c.start > prev.to && c.start <= a.from);
    if (here.length > 0) {
      out.push(...here);
      continue;
    }
    // an amount in brackets belongs to what stands before them
    const bracket = brackets.find((b) => b.from < prev.from && prev.from < b.to);
    const prevTo = bracket ? Math.min(bracket.to, a.from) : prev.to;
    const between = line.slice(prevTo, a.from);
    const behind = /^\s*(?:[,;+&]|and\b|plus\b)\s*(.{3,})$/i.exec(between);
    const before = line.slice(out.at(-1)?.start ?? 0, bracket?.from ?? prev.from);
    if (behind && named(behind[1] ?? '') && named(before) && !named(line.slice(a.to).split(/[,;]/)[0] ?? '')) {
      const comma = prevTo + (/^\s*(?:[,;+&]|and\b|plus\b)/i.exec(between)?.[0].length ?? 1);
      out.push({ end: comma - 1, start: comma });
      continue;
    }
    // dictated without a pause: "200 g flour 2 tsp baking powder"
    const apart = (prev.unit !== null || a.unit !== null) && !/[(/=]|\bor\b|\babout\b/i.test(between);
    const next = amounts[i + 1]?.from ?? line.length;
    if (
      apart &&
      /[\p{L}]{2}/u.test(between) &&
      named(between) &&
      named(line.slice(a.to, next)) &&
      !connective.test(between)
    ) {
      out.push({ end: a.from, start: a.from });
      continue;
    }
    const m =
      connective.exec(between) ??
      (stirredIn.test(line.slice(a.to)) ? /((?:,\s*)?\b(?:in|with)\b)\s*$/i.exec(between) : null);
    if (!m) continue;
    const words = blank(between.slice(0, m.index), bracketsOf(between.slice(0, m.index)));
    if (/[\p{L}]{3}/u.test(words) && (named(words) || named(before)) && named(line.slice(a.to)))
      out.push({ end: prevTo + m.index, start: prevTo + m.index + (m[1]?.length ?? 0) });
  }
  const last = amounts.at(-1)?.to ?? 0;
  return [...out, ...run.filter((c) => c.start > last)];
}

/**
 * Takes an ingredient line apart without knowing what the things in it weigh.
 * @param named whether a text names something the larder knows
 */
export function anatomyOf(text: string, named: (s: string) => boolean): Anatomy {
  const said = plainChars(text);
  const tail = asides.exec(said);
  const asideAt = tail && tail.index > 0 ? tail.index : said.length;
  const line = said.slice(0, asideAt);
  const brackets = bracketsOf(line);
  const amounts = scanAmounts(line).filter((a) => isAmount(said, a));
  const lead = leading.exec(line);
  const [at, article] = lead ? [lead.index + (lead[1]?.length ?? 0), lead[2]?.length ?? 1] : [0, 0];
  if (lead && amounts[0] && amounts[0].from >= lead[0].length)
    amounts.unshift({ value: 1, unit: null, from: at, to: at + article });
  const joints = cuts(line, amounts, brackets, named);
  // "130 g sugar: 40 with the yolks, 90 with the whites" divides what was said
  const shared = joints.filter(
    (c) =>
      !/^\s*(?:about\s+)?[\d½¼¾/.\s]+(?:g|ml|tbsp|tsp|cups?)?\s*(?:with|for|in|into|on|to|at|of (?:it|which|that|these|the))\b/i.test(
        line.slice(c.start),
      ) || /^\s*(?:about\s+)?[\d½¼¾/.\s]+(?:g|ml|kg|tbsp|tsp|cups?|oz|lb|sticks?)\.?\s+of\b/i.test(line.slice(c.start)),
  );
  const starts = [0, ...shared.map((c) => c.start)];
  const ends = [...shared.map((c) => c.end), line.length];
  const segments: Segment[] = [];
  for (const [n, from] of starts.entries()) {
    const to = ends[n] ?? line.length;
    const mine = amounts.filter((a) => a.from >= from && a.to <= to);
    const kept = mine.filter((a, i) => i === 0 || !forOutside.test(line.slice(a.to, to)));
    const own = brackets.filter((b) => b.from >= from && b.from < to);
    const one = mine.length === 0 ? single(line.slice(from, to), from) : null;
    const bare = blank(line, [...mine, ...own]).slice(from, to);
    const start = bare.search(/[\p{L}\d%]/u);
    const body = start < 0 ? '' : bare.slice(start);
    // a comma, a dash between spaces or a preposition ends the name; "flour - 1 cup" leaves nothing behind it
    const stop =
      /[,;]|\s[-–—]+(?:\s|$)|\s*(?:→|=>|->)|:\s|\s(?:(?:soaked|mixed|blitzed|blended|dissolved|steeped|stirred|made|rubbed|warmed|heated|creamed|boiled)\s|from\s|for\s|with\s|w[./]\s|in\s|at\s|to\s(?!taste)|on\s|over\s|onto\s|size\s|the size\b|until\s|before\s|after\s|which\s|that\s|such as\s|eg\s|e\.g|i\.e)|=/i.exec(
        body,
      );
    const name = (stop && stop.index > 0 ? body.slice(0, stop.index) : body).trimEnd();
    const rest = stop && stop.index > 0 ? body.slice(stop.index + 1).trim() : '';
    segments.push({
      from,
      to,
      stated: gather(line, one ? [one] : kept),
      name,
      nameSpan: { from: from + Math.max(0, start), to: from + Math.max(0, start) + name.length },
      tail: rest.replace(/^[\s\-–—:;,]+|[\s\-–—:;,]+$/g, '').replace(/\s+/g, ' '),
      brackets: own.map((b) => b.text.trim()).filter((b) => b !== ''),
    });
  }
  return { segments, aside: said.slice(asideAt).replace(/^[\s,;(–—-]+|[\s)]+$/g, '') };
}
