import { readNumber } from '../quantity/numbers.js';
import { scanAmounts } from '../quantity/scan.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';

/** A vessel of the house that a recipe measures with: "the yogurt pot is your measure, ours holds 125 ml". */
export interface OwnMeasure {
  readonly word: string;
  /** What one of it is, in words that are read as an amount. */
  readonly is: string;
  /** True where the text does not say how much it holds. */
  readonly guessed: boolean;
}

const vessels =
  'pots?|glass(?:es)?|mugs?|tubs?|beakers?|tumblers?|parts?|measures?|scoops?|jars?|cartons?|bowls?|ladles?|medidas?|vasos?|vasitos?|vasett[oi]|becher|verres?';
const number = `(?:half\\s+an?|\\d+(?:[.,/]\\d+)?|[½¼¾]|${spokenPattern}|an?)`;
const used = new RegExp(
  `(?<![\\p{L}\\d])(${number})\\s+(${vessels})\\s+(?:(?:of|de|di)\\s+)?(?!is\\b|of\\b)(?=\\p{L})`,
  'giu',
);
const singular = (w: string): string => w.toLowerCase().replace(/(?<=ss)es$|(?<!s)s$/, '');

/** What holds how much where a text is silent: judgement, and so always asked. */
const usual: Readonly<Record<string, string>> = {
  pot: '125 ml',
  glass: '200 ml',
  mug: '300 ml',
  tub: '150 ml',
  part: '100 g',
  measure: '100 g',
  medida: '125 ml',
  vasito: '125 ml',
  vasetto: '125 ml',
  becher: '200 ml',
  vaso: '200 ml',
  verre: '200 ml',
};

/** Words that may count weights as well as what a vessel holds. */
const WEIGHED = /^(?:part|measure|scoop)$/;

/** Finds the vessel that a text measures its ingredients with, at least three times; null when it has none. */
export function ownMeasure(text: string): OwnMeasure | null {
  const counts = new Map<string, number>();
  for (const m of text.matchAll(used)) {
    const w = singular(m[2] ?? '');
    counts.set(w, (counts.get(w) ?? 0) + 1);
  }
  const [word, n] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  if (!word || !n || n < 3) return null;
  const name = `(?:${word}(?:e?s)?|measures?)`;
  const cup = new RegExp(
    `\\b${name}\\b[^.\\n]{0,24}\\b(?:is|=|means|being)\\s+(?:an?|one|the)\\s+(?:US |metric |tea)?cup\\b`,
    'i',
  ).test(text);
  const size =
    new RegExp(`\\b${name}\\b[^\\n]{0,60}?(\\d{2,3})\\s*(ml|g)\\b`, 'i').exec(text) ??
    new RegExp(`(\\d{2,3})\\s*(ml|g)[\\s-]+${name}\\b`, 'i').exec(text);
  // a pot of 125 g yogurt holds as many millilitres: of flour it then holds half that weight
  const unit = size?.[2]?.toLowerCase() === 'g' && !WEIGHED.test(word) ? 'ml' : size?.[2]?.toLowerCase();
  const is = cup ? '1 cup' : size ? `${size[1]} ${unit}` : usual[word];
  return is ? { word, is, guessed: !cup && !size } : null;
}

/** The text with every amount in that vessel put into millilitres, grams or cups, so that it can be read. */
export function inPlain(text: string, measure: OwnMeasure): string {
  const one = scanAmounts(measure.is)[0];
  if (!one || typeof one.value !== 'number') return text;
  const per = one.value;
  return text.replace(used, (said, n: string, word: string) => {
    if (singular(word) !== measure.word) return said;
    const times = /^half/i.test(n) ? 0.5 : /^an?$/i.test(n) ? 1 : (readNumber(n) ?? readSpoken(n) ?? 1);
    return `${Number((times * per).toFixed(2))} ${one.unit ?? 'g'} `;
  });
}
