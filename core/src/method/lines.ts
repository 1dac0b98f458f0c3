import type { Clause } from './clauses.js';

/** Openings that are no words of the work. */
const filler = /^(?:(?:right|okay|ok|so|well|oh|um+|uh+|er+m?|ah|now|and|but|then|&)(?![\p{L}])[\s,.…]*)+/iu;

/** Words as a line of their own: without what joins them to the one before, with a capital. */
export function asLine(text: string, bare = true): string {
  const body = text.replace(bare || !/^then\b/i.test(text) ? filler : /^(?!)/, '').trim();
  const words = body === '' ? text.trim() : body;
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A clause as a line, its verb in the plain form: "turning the tray" is "Turn the tray". */
export const clauseLine = (c: Clause): string =>
  c.answers && c.verb
    ? asLine(`${c.verb}: ${c.text.charAt(0).toLowerCase()}${c.text.slice(1)}`)
    : // "then the vanilla" has its verb from the clause before and needs its "then"
      c.verbTo === 0
      ? asLine(c.text.replace(/^(?:and|but|so)\s+(?=then\b)/i, ''), false)
      : asLine(c.plainly === null ? c.text : `${c.plainly}${c.text.slice(c.verbTo)}`);
