import type { Kitchen } from '../../formula/types.js';
import { durations } from '../../text/durations.js';
import { heatsIn } from '../../text/heats.js';
import { sizesIn } from '../../text/lengths.js';
import { matchIngredient } from '../match.js';
import { bakeNoun } from '../titles.js';

/** What parts things on one line where a list would have lines: "butter 120 | eggs 3 (150) | white spelt 140". */
const PARTED = /\s+[|·•∙/]\s+/;
/** From so many parts on a line is a list laid on its side. */
const A_ROW = 3;

const told = (part: string): boolean =>
  durations(part).length > 0 || sizesIn(part).some((s) => s.unit) || heatsIn(part, () => false).some((h) => h.marked);

/** Lists and heads that stand on one line, taken apart into lines. */
export function unrowed(lines: readonly string[], kitchen: Kitchen): string[] {
  return lines.flatMap((line) => {
    if (/^\s*\|/.test(line) || line.length > 600 || !PARTED.test(line)) return [line];
    const parts = line
      .split(PARTED)
      .map((p) => p.trim())
      .filter((p) => p !== '');
    if (parts.length < A_ROW || parts.some((p) => p.length > 80)) return [line];
    const things = parts.filter(
      (p) => /\d|[½¼¾⅓⅔]/.test(p) && matchIngredient(p.replace(/[\d.,/½¼¾⅓⅔]+/g, ' '), kitchen) !== null,
    );
    const [first = '', ...rest] = parts;
    const head = bakeNoun.test(first) && !/\d/.test(first) && rest.every(told);
    if (head) return [first, rest.join(', ')];
    return things.length * 3 >= parts.length * 2 ? parts : [line];
  });
}
