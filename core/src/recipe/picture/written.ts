import { scanAmounts } from '../../quantity/scan.js';
import { matchIngredient } from '../match.js';

/** A rectangle in a picture, as shares of its width and height from the top left corner, 0–1. */
export interface PictureBox {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** A word as a text recogniser saw it. */
export interface SeenWord {
  readonly text: string;
  readonly box: PictureBox;
  /** How sure it was of each sign of `text`, 0–1. */
  readonly signs: readonly number[];
  /** What it reads as, the likelier first, where the picture itself was looked at again; one alone is sure. */
  readonly again?: readonly string[];
}

/** A line of print, its words from left to right. */
export interface SeenLine {
  readonly words: readonly SeenWord[];
  readonly box: PictureBox;
}

/** A picture's lines in reading order; columns one behind the other. */
export interface SeenPage {
  readonly lines: readonly SeenLine[];
  /** Height of the picture by its width. */
  readonly aspect: number;
}

/** Where a line of the text stands in the pictures. */
export interface PicturePlace extends PictureBox {
  /** Which of the pictures, from 0. */
  readonly page: number;
}

/** A stretch of a line with a number in it that may be another. */
export interface Unsure {
  readonly from: number;
  readonly to: number;
  /** Of the sign it was least sure of, 0–1. */
  readonly certainty: number;
  /** Other readings of the stretch, the likelier first. */
  readonly maybe: readonly string[];
}

/** A line of the text that was read from pictures; one between paragraphs has no place. */
export interface PictureLine {
  readonly place: PicturePlace | null;
  readonly unsure: readonly Unsure[];
}

/** A text that was read from pictures, with what is known of each of its lines. */
export interface Written {
  readonly text: string;
  readonly lines: readonly PictureLine[];
}

/** A recogniser for English has no sign for a fraction: it sees one of these instead. */
const oddFraction = /^(?<whole>\d{0,2})(?:[%¥]|[YV](?![\p{L}]{2}))[\d%/;:,)sixao.]{0,3}$/u;
const fractions = ['½', '¼', '¾', '⅓', '⅔'];
/** Digits that a lens takes for one another. */
const alike: Readonly<Record<string, string>> = { 1: '7', 3: '8', 4: '9', 5: '6', 6: '5', 7: '1', 8: '3', 9: '4' };
/**
 * Surer than this of each sign, a number is taken as it was seen. Judgement, set on printed cards: in plain faces wrong figures
 * lay below it, in faces like handwriting some lay above (docs/science/pictures.md counts them as silent).
 */
const SURE = 0.97;
/** Less sure than this, a number is asked about though nothing that looks like it comes to mind; judgement. */
const DIM = 0.9;

const measured = (word: string | undefined): boolean => {
  if (word === undefined) return false;
  const [a] = scanAmounts(`2 ${word.replace(/[,;)]+$/, '')}`);
  return (a?.unit !== null && a !== undefined && a.to >= word.replace(/[,;)]+$/, '').length) || /^(?:inch(?:es)?|in\.?|x|"|hours?|hrs?)$/i.test(word); // prettier-ignore
};
const least = (w: SeenWord): number => Math.min(1, ...w.signs);

/** Whether a word may be, or end with, a fraction: one that a measure follows, with a sign that is none of a number. */
export function mayBeFraction(line: SeenLine, at: number): boolean {
  const word = line.words[at];
  if (!word || !measured(line.words[at + 1]?.text)) return false;
  return oddFraction.test(word.text) || (/^\d{1,2}[%;:)]?$/.test(word.text) && least(word) < SURE);
}

/** A word with its other readings. */
function readingsOf(line: SeenLine, at: number): { text: string; maybe: readonly string[] } {
  const word = line.words[at] as SeenWord;
  const [again, ...maybe] = word.again ?? [];
  if (again !== undefined) return { text: again, maybe };
  const text = spelled(word.text);
  const odd = measured(line.words[at + 1]?.text) ? oddFraction.exec(word.text) : null;
  if (odd) {
    const [first = '', ...others] = fractions.map((f) => `${odd.groups?.['whole'] ?? ''}${f}`);
    return { text: first, maybe: others };
  }
  // "2509 flour": the unit's letter that is shaped like a nine
  const rest = line.words
    .slice(1, 4)
    .map((w) => w.text)
    .join(' ');
  if (at === 0 && /^\d{2,4}9$/.test(text) && !measured(line.words[1]?.text) && matchIngredient(rest) !== null)
    return { text: `${text.slice(0, -1)} g`, maybe: [text] };
  // "in 2 20 x 30 cm tin": an article, seen as a number
  if (text === '2' && /^in(?:to)?$/i.test(line.words[at - 1]?.text ?? '') && /^\d/.test(line.words[at + 1]?.text ?? ''))
    return { text, maybe: ['a'] };
  return { text, maybe: /\d/.test(text) ? swapped(word, text) : [] };
}

/** The number with one of the two figures it was least sure of taken for the one that looks like it. */
function swapped(word: SeenWord, text: string): string[] {
  if (word.signs.length !== text.length || least(word) >= SURE) return [];
  return [...text]
    .flatMap((c, at) => (alike[c] === undefined ? [] : [{ at, sure: word.signs[at] ?? 1 }]))
    .sort((a, b) => a.sure - b.sure)
    .slice(0, 2)
    .map(({ at }) => text.slice(0, at) + (alike[text[at] ?? ''] ?? '') + text.slice(at + 1));
}

/** Counts and measures as a lens misspells them. */
const spelled = (word: string): string =>
  word
    .replace(/^[lLIT|](?=(?:e[gq]{1,3}s?|cups?|tsp|tbsp|teaspoon|tablespoon|pinch)[.,;:]?$)/, '1')
    .replace(/^(\d*)e[gq]{1,3}(s?[.,;:]?)$/i, (_, n: string, s: string) => `${n}${n === '' ? '' : ' '}egg${s}`)
    .replace(/^(\d*)t[hlo0]sp(s?\.?,?)$/i, '$1tbsp$2')
    .replace(/^[\dSO–-]*\d[\dSO–-]*(?=(?:g|ml|°?[CF])?[.,;]?$)/, (n) => n.replace(/S/g, '5').replace(/O/g, '0'));
/** What stands before a line of a list: a dot, a box, a dash. */
const bullet = /^(?:[•*¢©®»«°=~–—\-.o☐□]|e|\+)$/;

/**
 * The text of pictures, line by line, with where each line stands and which of its numbers may be others. A wide gap
 * inside a line becomes three spaces and more, as between columns; a wide one between lines an empty line.
 *
 * @param pages in the order they are to be read
 */
export function written(pages: readonly SeenPage[]): Written {
  const out: { text: string; line: PictureLine }[] = [];
  for (const [page, seen] of pages.entries()) {
    const lines = seen.lines.filter((l) => l.words.some((w) => /[\p{L}\d]/u.test(w.text)));
    const pitch = pitchOf(lines);
    if (out.length > 0 && lines.length > 0) out.push({ text: '', line: { place: null, unsure: [] } });
    for (const [i, l] of lines.entries()) {
      const above = lines[i - 1];
      if (above && (l.box.y < above.box.y || l.box.y - above.box.y > 1.45 * pitch))
        out.push({ text: '', line: { place: null, unsure: [] } });
      out.push(lineOf(l, page, seen.aspect));
    }
  }
  return { text: out.map((o) => o.text).join('\n'), lines: out.map((o) => o.line) };
}

/** The usual step from a line to the next, as a share of the picture's height. */
function pitchOf(lines: readonly SeenLine[]): number {
  const steps = lines.flatMap((l, i) => {
    const step = l.box.y - (lines[i - 1]?.box.y ?? l.box.y);
    return step > 0 ? [step] : [];
  });
  return steps.sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 1;
}

function lineOf(line: SeenLine, page: number, aspect: number): { text: string; line: PictureLine } {
  const first = line.words.length > 1 && bullet.test(line.words[0]?.text ?? '') ? 1 : 0;
  const words = { ...line, words: line.words.slice(first) };
  const unsure: Unsure[] = [];
  let text = '';
  for (const [i, w] of words.words.entries()) {
    const before = words.words[i - 1];
    if (before) text += w.box.x - before.box.x - before.box.w > 2.5 * line.box.h * aspect ? '    ' : ' ';
    const r = readingsOf(words, i);
    const from = text.length;
    text += r.text;
    const number = /[\d½¼¾⅓⅔⅛]/.test(r.text);
    // a figure that was put for a letter is asked about, however sure the letter was
    const mended = !w.again && r.text !== w.text && number;
    const sure = w.again ? (w.again.length > 1 ? 0 : 1) : mended ? 0.5 : least(w);
    if (number && (r.maybe.length > 0 || sure < DIM))
      unsure.push({ from, to: text.length, certainty: sure, maybe: r.maybe });
  }
  return { text, line: { place: { page, ...line.box }, unsure } };
}
