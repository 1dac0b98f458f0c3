import type { Kitchen } from '../formula/types.js';
import { middle, scanAmounts, type Found } from '../quantity/scan.js';
import { plainChars } from './anatomy.js';
import { matchIngredient } from './match.js';

/** A thing of a line that holds several, and where it begins in it. */
export interface Piece {
  readonly text: string;
  readonly at: number;
}

const known = (words: string, kitchen: Kitchen): boolean => {
  const m = matchIngredient(words, kitchen);
  return m !== null && !m.behind && m.odd.length === 0;
};
const leads = (text: string): boolean => scanAmounts(text)[0]?.from === text.length - text.trimStart().length;

/**
 * Several things in one line, each with its amount: parted by semicolons ("8 oz flour; 3 oz butter or lard; 1 egg"), by
 * commas where one of them is a choice, or by nothing ("150 ml oil 3 eggs"). Null for any other line.
 */
export function seriesIn(line: string, kitchen: Kitchen): readonly Piece[] | null {
  const text = plainChars(line);
  const parted = text.includes(';') ? /\s*;\s*/g : /\sor\s/i.test(text) || text.split(', ').length > 2 ? /,\s+/g : null;
  return (parted ? byMarks(text, line, parted, kitchen) : null) ?? inRow(text, line, kitchen);
}

function byMarks(text: string, line: string, mark: RegExp, kitchen: Kitchen): readonly Piece[] | null {
  const pieces: Piece[] = [];
  let from = 0;
  for (const m of [...text.matchAll(mark), { index: text.length, 0: '' }]) {
    const piece = { text: line.slice(from, m.index), at: from };
    const last = pieces.at(-1);
    // what is no thing of its own is a remark on the one before it
    if (!last || leads(text.slice(from, m.index)) || known(piece.text.replace(/[.!]\s*$/, ''), kitchen))
      pieces.push(piece);
    else pieces[pieces.length - 1] = { text: line.slice(last.at, m.index), at: last.at };
    from = m.index + m[0].length;
  }
  const counted = pieces.filter(
    (p) => leads(p.text) && matchIngredient(p.text.replace(/^[\d\s./½¼¾⅓⅔⅛-]+/, ''), kitchen),
  );
  // "200 of caster sugar" has its unit from what stands before it
  const bare = pieces.some((p) => {
    const [a] = scanAmounts(plainChars(p.text));
    return a !== undefined && a.unit === null && middle(a.value) >= 20;
  });
  return !bare && pieces.length > 1 && counted.length > 1 && counted.length >= pieces.length - 1
    ? pieces.filter((p) => p.text.trim() !== '').map((p) => ({ ...p, text: p.text.replace(/[.;]\s*$/, '') }))
    : null;
}

function inRow(text: string, line: string, kitchen: Kitchen): readonly Piece[] | null {
  if (/[,;()/+]|\b(?:and|or|plus|x|each|to)\b/i.test(text)) return null;
  const amounts = scanAmounts(text);
  const [first] = amounts;
  if (amounts.length < 2 || first?.from !== text.length - text.trimStart().length) return null;
  const end = (i: number): number => amounts[i + 1]?.from ?? text.length;
  const named = (a: Found, i: number): boolean => known(text.slice(a.to, end(i)).replace(/[.!]\s*$/, ''), kitchen);
  return amounts.every(named)
    ? amounts.map((a, i) => ({ text: line.slice(a.from, end(i)).trimEnd(), at: a.from }))
    : null;
}
