import { scanAmounts } from '../../quantity/scan.js';
import { plainChars } from '../anatomy.js';
import { exactName, matchIngredient } from '../match.js';

/**
 * Makes lines of what was not typed as lines: quoted mail, messages with their senders, letters where a scan meant
 * figures, words and lines that a page's width broke, columns side by side. What is already a plain list stays as it is,
 * letter by letter.
 */
export function tidy(lines: readonly string[]): readonly string[] {
  const talk = unmessaged(unquoted(lines)).map(unbraced).map(unpointed).flatMap(inlined);
  const seen = talk.map(unscanned);
  const apart = uncolumned(seen);
  return unbroken(apart);
}

/** "100 g butter }", "50 g sugar } melt": lines that a card holds together with a brace. */
const unbraced = (line: string): string =>
  /^[^{[]*[}\]]/.test(line) ? line.replace(/\s*[}\]]\s*(?=\p{L})/u, ', ').replace(/\s*[}\]]\s*$/, '') : line;

/** "--> cream, eggs": an arrow in front of a step. */
const unpointed = (line: string): string => line.replace(/^\s*(?:[-=]{1,3}>|→|➔|⇒)\s*/, '');

/** Words of times and of what is in a portion: no list of things. */
const notThings =
  /\b(?:mins?|hrs?|hours?|serves|kcal|kJ|calories|energy|carbs?|carbohydrates?|protein|sodium|saturates|fibre|fiber|nutrition|prep)\b/i;
/** A name with its figure behind it. */
const figureLast =
  /^\p{L}[\p{L} .'’-]{1,30}?\s(?:\d{1,4}(?:[.,/]\d{1,3})?|[½¼¾⅓⅔]|\d\s?[½¼¾⅓⅔]|\d \d\/\d)(?:\s?(?:g|kg|ml|l|tsp|tbsp|cups?))?(?:\s\p{L}+)?$/u;

/** "For 2 trays: marg 900, sugar 900, eggs 18, coconut 250.": names with their figures behind them, in one line. */
function inlined(line: string): readonly string[] {
  const lead = /^[^:]{0,80}:\s+/.exec(line)?.[0] ?? '';
  const stop = /\.(?=\s+\p{Lu})|\.?\s*$/u.exec(line.slice(lead.length));
  const end = lead.length + (stop?.index ?? 0);
  const pieces = line.slice(lead.length, end).split(/[,;]\s+|\s\/\s+/);
  const named = pieces.filter((x) => figureLast.test(x.trim()));
  const [first] = pieces;
  // all but a pinch of something have their figures there
  if (notThings.test(line) || named.length < 4 || named.length < 0.7 * pieces.length || first !== named[0])
    return [line];
  const rest = line.slice(end).replace(/^[.\s]+/, '');
  return [...(lead.trim() === '' ? [] : [lead.replace(/:\s*$/, '')]), ...pieces, ...(rest === '' ? [] : [rest])];
}

const unquoted = (lines: readonly string[]): readonly string[] =>
  lines.filter((l) => /^\s*>/.test(l)).length >= Math.max(3, lines.length / 3)
    ? lines.map((l) => l.replace(/^(?:\s*>)+\s?/, ''))
    : lines;

const sender =
  /^\s*(?:\[?\(?\d{1,2}[:.]\d{2}(?:[:.]\d{2})?(?:\s*[ap]m)?[\])]?,?\s*(?:-\s*)?)?(?:\d{1,2}[/.]\d{1,2}[/.]\d{2,4},?\s*(?:\d{1,2}[:.]\d{2})?\s*(?:-\s*)?)?\p{Lu}[\p{L}.]{0,14}(?:\s\p{Lu}[\p{L}.]{0,14})?:\s+/u;
const stamped = /^\s*[[(]?\d{1,2}[:.]\d{2}/;
/** Messages without who sent them and when; an interview without its letters. */
function unmessaged(lines: readonly string[]): readonly string[] {
  const told = lines.filter((l) => l.trim() !== '');
  const stamps = told.filter((l) => stamped.test(l) && sender.test(l)).length;
  if (stamps >= 3 && stamps > told.length / 2) return lines.map((l) => l.replace(sender, ''));
  return interviewed(lines) ?? lines;
}

const speaker = /^\s*(\p{Lu}[\p{L}.]{0,14}(?:\s\p{Lu}[\p{L}.]{0,14})?)\s*[:.]\s+(?=\S)/u;
/** Words that stand before a colon in recipes. */
const noSpeaker =
  /^(?:ingredients?|method|topping|filling|icing|glaze|dry|wet|batter|cake|oven|bake|tin|pan|heat|time|yield|makes|serves|note|notes|tip|tips|step|prep|title|total|for)\b/i;
/**
 * An interview without who speaks: what was asked and all that was answered make one line, so that the answer is about
 * what was asked. Null for any other text.
 */
function interviewed(lines: readonly string[]): readonly string[] | null {
  const said = lines.filter((l) => l.trim() !== '').map((l) => speaker.exec(l)?.[1] ?? '');
  const names = new Set(said.filter((n) => n !== '' && !noSpeaker.test(n)));
  const spoken = said.filter((n) => names.has(n)).length;
  const each = [...names].every((n) => said.filter((x) => x === n).length > 1);
  const asks = lines.filter((l) => speaker.test(l) && /\?\s*$/.test(l)).length;
  if (names.size < 2 || names.size > 3 || spoken < 4 || spoken < 0.6 * said.length || !each) return null;
  // two who write to one another, without questions and answers: what each line says, and not who
  const initials = [...names].every((n) => n.length === 1);
  if (asks < 2) return initials ? lines.map((l) => (names.has(speaker.exec(l)?.[1] ?? '') ? l.replace(speaker, '') : l)) : null; // prettier-ignore
  const out: string[] = [];
  let [asker, goesOn] = ['', false];
  for (const line of lines) {
    const name = speaker.exec(line)?.[1] ?? '';
    const text = names.has(name) ? line.replace(speaker, '') : line;
    if (/\?\s*$/.test(text) && names.has(name)) asker = name;
    if (goesOn && name !== asker && text.trim() !== '') out[out.length - 1] = `${out.at(-1) ?? ''} ${text.trim()}`;
    else out.push(text);
    goesOn = asker !== '' && text.trim() !== '' && (name === asker || goesOn) && spoken > 0;
  }
  return out;
}

const unitBehind =
  '(?=\\s*(?:cups?|c\\.|tsp|tbsp|teaspoons?|tablespoons?|g\\b|kg\\b|ml\\b|l\\b|oz\\b|lb|pint|stick|egg|(?:large|small|medium|level|heaped)\\s+(?:eggs?|tsp|tbsp|tea|table|cup)|pkt|hr|hour|min|inch|cm|°))';
/** Letters that a scan put where figures stand, and figures where letters do: "18O°C", "l/2", "I cup", "f1our". */
export function unscanned(line: string): string {
  return (
    line
      // a figure among letters
      .replace(/(?<=\p{Ll})1(?=\p{Ll})|(?<=\b\p{L})1(?=\p{Ll}{2})/gu, 'l')
      .replace(/(?<=\p{Ll})0(?=\p{Ll})/gu, 'o')
      // letters among figures
      .replace(/(?<![\p{L}])[IlO|\dSo]*\d[IlO|\dSo]*(?![\p{L}])|(?<![\p{L}\d])[Il|](?=\d|O{1,2}\b)/gu, (m) =>
        /[IlO|So]/.test(m) && !/^\d+[lS]$|^\d+o$/.test(m)
          ? m.replace(/[Il|]/g, '1').replace(/[Oo]/g, '0').replace(/S/g, '5')
          : m,
      )
      .replace(/(?<![\p{L}\d])[Il|](?=\s*\/\s*[2348]\b)/gu, '1')
      .replace(/(?<=\b[1-9]\/)[Il|](?=\d?\b)/g, '1')
      .replace(/(?<![\p{L}\d])[IlO]{1,3}(?=O\s*(?:g|ml|°)\b)/gu, (m) => m.replace(/[Il]/g, '1').replace(/O/g, '0'))
      .replace(new RegExp(`(?<![\\p{L}\\d'’])(?:I|l|\\|)(?=\\s+\\d/\\d|\\s)${unitBehind}`, 'gu'), '1')
      .replace(/(?<=\d)O(?=O?\s*(?:g|ml|°|º|C\b|F\b|min|cm))/g, '0')
      // a number and its fraction run together: nobody measures eleven halves
      .replace(
        new RegExp(`(?<![\\d/.,])([1-9])(1/[2348]|3/[48]|2/3|[57]/8)(?![\\d/])(?=\\s)${unitBehind}`, 'gu'),
        '$1 $2',
      )
      // units that look like figures, and figures like them
      .replace(/(?<=(?:^|\s)\d{1,2}\s?)0[zZ2](?=\.?\s+\p{L})/gu, 'oz')
      .replace(/(?<=(?:^|\s)\d{2,4}\s?)[q¢](?=\.?\s+\p{L})/gu, 'g')
      .replace(/(?<![\p{L}\d])2est\b/gu, 'zest')
      .replace(/(?<=\b(?:loaf|muffin|round|square|cake|bun|deep|cm|inch)\s)fin\b/giu, 'tin')
      .replace(/(?<=(?:^|\s)[\d½¼¾⅓⅔/]+\s?)(oz|g|ml|tsp|tbsp|cups?)(\p{L}{3,})/giu, (m, unit: string, rest: string) =>
        exactName(rest) !== null && exactName(m) === null ? `${unit} ${rest}` : m,
      )
  );
}

/** What was changed in that way: "I75 → 175", each once. */
export function scanMended(lines: readonly string[]): string[] {
  const out = new Set<string>();
  for (const line of unmessaged(unquoted(lines))) {
    const [was, now] = [line, unscanned(line)].map((l) => l.trim().split(/\s+/)) as [string[], string[]];
    if (was.length === now.length) was.forEach((w, i) => w !== now[i] && out.add(`${w} → ${now[i]}`));
    else {
      // words were run together: all between what stayed the same
      const from = was.findIndex((w, i) => w !== now[i]);
      let tail = 0;
      while (tail < was.length - from && was.at(-1 - tail) === now.at(-1 - tail)) tail++;
      const part = (words: readonly string[]): string => words.slice(from, words.length - tail).join(' ');
      out.add(`${part(was)} → ${part(now)}`);
    }
  }
  return [...out];
}

const gap = /\S(?:\s{3,}|\t+)(?=\S)/;
const pieces = (line: string): { text: string; at: number }[] => {
  const out: { text: string; at: number }[] = [];
  for (const m of line.matchAll(/\S+(?:\s{1,2}\S+)*/g)) out.push({ text: m[0], at: m.index });
  return out;
};
const onlyAmount = (s: string): boolean => {
  const a = scanAmounts(s);
  return (
    (a.length > 0 &&
      /^[\s()~=%/.,]*$/.test(
        a.reduceRight((t, x) => t.slice(0, x.from) + t.slice(x.to), s).replace(/\b(?:of|about|approx|ca)\b/gi, ''),
      )) ||
    /^[\d.,½¼¾⅓⅔/\s-]+%?$/.test(s)
  );
};

/** "2 c. flour  1/4 c. sugar  3 t. soda": several things in a row, each with its amount. */
function inRow(line: string): string[] {
  const parts = line.trim().split(/\s{2,}/);
  const counted = parts.filter((p) => /^(?:[\d½¼¾⅓⅔⅛]|an?\s|one\s|two\s)/i.test(p) && !onlyAmount(p));
  return parts.length > 1 && counted.length === parts.length && !/\|/.test(line) ? parts : [line];
}

/** Lines whose parts stand side by side, one below the other: down the columns, or along the row where it is a list. */
function uncolumned(all: readonly string[]): readonly string[] {
  let lines = all;
  lines = lines.flatMap(inRow);
  const wide = lines.filter((l) => gap.test(l.trim()) && !/\||[;\t].*[;\t]/.test(l));
  if (wide.length < 2) return lines;
  // "Wholemeal flour        350 g": a name and its amount are one thing
  const whole = wide.filter((l) => {
    const p = pieces(l);
    return p.slice(1).every((x) => onlyAmount(x.text)) || p.slice(0, -1).every((x) => onlyAmount(x.text));
  });
  if (whole.length * 2 > wide.length) return lines;
  const starts = wide.flatMap((l) =>
    pieces(l)
      .slice(1)
      .map((p) => p.at),
  );
  const column = starts.find(
    (s) => starts.filter((x) => Math.abs(x - s) <= 1).length >= Math.max(3, 0.6 * wide.length),
  );
  if (column === undefined) return lines.flatMap((l) => (wide.includes(l) ? pieces(l).map((p) => p.text) : [l]));
  const left: string[] = [];
  const right: string[] = [];
  const out: string[] = [];
  const flush = (): void => {
    out.push(...left, ...(right.length > 0 ? ['', ...right] : []));
    left.length = 0;
    right.length = 0;
  };
  for (const l of lines) {
    const ps = pieces(l);
    const inside = ps.some((p) => Math.abs(p.at - column) <= 1);
    const onlyRight = ps.length > 0 && (ps[0]?.at ?? 0) >= column - 1;
    if (!inside && !onlyRight && (left.length === 0 || l.trim() === '')) {
      flush();
      out.push(l);
      continue;
    }
    const a = l.slice(0, column - 1).trim();
    const b = l.slice(Math.max(0, column - 1)).trim();
    if (a !== '' || b === '') left.push(inside || onlyRight ? a : l);
    if (b !== '' && (inside || onlyRight)) {
      // a line further in goes on with the one above it
      const deeper = ps.find((p) => p.at >= column - 1);
      if (right.length > 0 && deeper && deeper.at > column + 1 && !/^\d+[.)]/.test(b))
        right[right.length - 1] += ` ${b}`;
      else right.push(b);
    }
  }
  flush();
  return out;
}

const opens = /^\s*(?:[\d½¼¾⅓⅔⅛•▢□☐*–—-]|\(|an?\s)/i;
const hasFood = (s: string): boolean => matchIngredient(s.split(/[,(]/)[0] ?? s) !== null;
const hasAmount = (s: string): boolean => scanAmounts(plainChars(s)).length > 0;
const unfinished =
  /(?:[,&+(–]|\b(?:and|or|of|the|a|an|with|in|to|for|at|into|on|until|about|cold|fresh|large|plain|light|dark|brown|finely|self-raising|baking|und|et|y|e|de))\s*$/i;

const does =
  /^\s*(?:\d+[.)]\s*)?(?:heat|preheat|mix|stir|whisk|beat|cream|fold|bake|pour|spoon|grease|line|rub|add|melt|sift|put|bring|knead|roll|divide|spread|cut|then|in|into)\b/i;

/** A line that says a thing and how much of it, and so needs no other. */
const isItem = (s: string): boolean => hasFood(s) && (hasAmount(s) || /\s\d{1,4}\s*$/.test(s));

/** Lines that a narrow page broke: halves of words and of phrases are joined again. */
function unbroken(lines: readonly string[]): readonly string[] {
  const told = lines.filter((l) => l.trim() !== '');
  const small = told.filter((l) => /^\s*[\p{Ll}°%]/u.test(l)).length;
  // who types all in small letters has not broken a line with each of them
  const large = told.filter((l) => /^\s*\p{Lu}/u.test(l)).length;
  const hyphens = told.filter((l, i) => /\p{L}-\s*$/u.test(l) && /^\s*\p{Ll}/u.test(told[i + 1] ?? '')).length;
  const short = told.length > 0 && told.reduce((s, l) => s + l.trim().length, 0) / told.length < 46;
  if (!(hyphens > 1 || (small >= 3 && small > 0.22 * told.length && large > 0.25 * small && short))) return lines;
  // a page breaks its lines near its edge
  const widths = told.map((l) => l.trim().length).sort((a, b) => a - b);
  const edge = 0.5 * (widths[Math.floor(0.8 * widths.length)] ?? 0);
  const out: string[] = [];
  let fresh = true;
  for (const line of lines) {
    const text = line.trim();
    const last = out.at(-1)?.trim() ?? '';
    if (text === '' || last === '' || fresh) {
      out.push(line);
      fresh = text === '';
      continue;
    }
    if (/\p{L}-$/u.test(last) && /^\p{Ll}/u.test(text)) {
      out[out.length - 1] = `${last.slice(0, -1)}${text}`;
      continue;
    }
    const goesOn = /^[\p{Ll}°%(]/u.test(text) && !opens.test(text);
    const whole = isItem(text);
    const half =
      !whole &&
      hasAmount(last) &&
      scanAmounts(plainChars(last))[0]?.from === 0 &&
      !hasFood(last) &&
      last.length < 40 &&
      !opens.test(text);
    const sentence =
      goesOn &&
      !whole &&
      !isItem(last) &&
      !/[.!?:]$/.test(last) &&
      (last.length > 24 || does.test(last)) &&
      last.length >= edge &&
      out.length > 1;
    if (half || sentence || (!whole && unfinished.test(last) && !opens.test(text)))
      out[out.length - 1] = `${last} ${text}`;
    else out.push(line);
  }
  return out;
}
