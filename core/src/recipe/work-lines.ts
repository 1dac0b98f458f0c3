import type { Kitchen } from '../formula/types.js';
import { clausesIn } from '../method/clauses.js';
import { withoutVerbs } from '../method/pieces.js';
import { verbs } from '../method/verbs.js';
import { durations } from '../text/durations.js';
import { heatsIn } from '../text/heats.js';
import { sentencesIn } from '../text/sentences.js';
import { isHeadLine } from './cards.js';
import { listedIn, notListed } from './list-lines.js';
import { matchIngredient } from './match.js';
import type { Classified } from './parts.js';

/** What makes a line work, by the method's own grammar. */

/** Things of a list with what is done with them behind a dash: "1 c. bran, 1 c. buttermilk - soak 10 min." */
export function dashed(text: string, kitchen: Kitchen): number {
  const m = /\s[-–—]+\s+(?=\p{Ll})/u.exec(text);
  if (!m || /\p{L}{3}[.!?]+\s/u.test(text.slice(0, m.index)) || listedIn(text.slice(0, m.index), kitchen) < 2)
    return -1;
  const [first] = clausesIn(text.slice(m.index + m[0].length), 0);
  return first && first.verb !== null && first.verbFrom === 0 && !first.negated ? m.index : -1;
}

/** Whether a line of several things says what is done with them. */
export const worksBeside = (text: string): boolean =>
  /\b(?:rubbed|mixed|melted|warmed|beaten|whisked|creamed|stirred|sifted|sieved|folded|boiled|pour|beat|stir|mix|whisk|fold|rub|melt)\b/i.test(
    text,
  ) && clausesIn(text, 0).some((c) => c.verb !== null && !c.negated && verbs[c.verb].at === 'mix');

/** Lines numbered from one on of which most begin with words and not with an amount: the steps of the work. */
export function numberedSteps(lines: readonly string[]): ReadonlySet<number> {
  const found = new Set<number>();
  let run: { readonly no: number; readonly text: string }[] = [];
  const close = (): void => {
    const words = run.filter((l) => !/^(?:\d|[½¼¾⅓⅔]|an?\s)/i.test(l.text));
    if (run.length > 2 && words.length > run.length / 2) for (const l of run) found.add(l.no);
    run = [];
  };
  lines.forEach((raw, no) => {
    const m = /^\s*(\d{1,2})[.):]\s+(\S.*)$/.exec(raw);
    if (!m) return raw.trim() === '' ? undefined : close();
    if (Number(m[1]) !== run.length + 1) close();
    if (Number(m[1]) === run.length + 1) run.push({ no, text: m[2] ?? '' });
  });
  close();
  return found;
}

/** Where in a line of the list sentences begin in which something is done: two of them at least, so that it is no remark. */
export function workBehind(text: string): number {
  if (text.length < 60) return -1;
  const all = sentencesIn(text);
  const works = (t: string): number =>
    /^\s*[\d½¼¾⅓⅔]/.test(t) ? 0 : clausesIn(t, 0).filter((c) => c.verb !== null && !c.negated).length;
  const first = all.findIndex((x, i) => i > 0 && works(x.text) > 0);
  if (first < 0 || all.slice(first).reduce((n, x) => n + works(x.text), 0) < 2) return -1;
  const at = all[first]?.at ?? -1;
  return at + (/^\s*/.exec(text.slice(at))?.[0].length ?? 0);
}

/** What is work by its own words: something is done in it, or it says how hot or how long. */
const saysWork = (text: string, kitchen: Kitchen): boolean =>
  clausesIn(text, 0)
    .flatMap((c) => withoutVerbs(c, null, (words) => matchIngredient(words, kitchen) !== null))
    .some((c) => c.verb !== null && !c.negated) ||
  durations(text).length > 0 ||
  heatsIn(text, () => false).some((h) => h.marked);

/**
 * Behind the list, what tells of work is a step wherever it stands and however few its words; so is what stands between two
 * steps, be it a question or a remark. Heads ("Makes 12") stay what they are.
 */
export function workAmong(parts: readonly Classified[], kitchen: Kitchen): Classified[] {
  const lines = parts.filter((p) => p.kind === 'ingredient');
  const listed = lines.length > 1 || lines.some((p) => listedIn(p.text, kitchen) > 2);
  // where all is told there is no list to be behind of
  const told = lines.length === 0 && parts.some((p) => p.kind === 'method');
  const first = listed ? parts.findLastIndex((p) => p.kind === 'ingredient') : told ? parts.findIndex((p) => p.kind === 'other' || p.kind === 'method') : Infinity; // prettier-ignore
  const work = parts.map((p, i) => p.kind === 'method' || (p.kind === 'other' && i > first && !isHead(p.text) && saysWork(p.text, kitchen))); // prettier-ignore
  const [begin, end] = [work.indexOf(true), work.lastIndexOf(true)];
  const among = (p: Classified, i: number): boolean => i > first && i > begin && i < end && !isHead(p.text);
  return parts.map((p, i) => (p.kind === 'other' && (work[i] || among(p, i)) ? { ...p, kind: 'method' } : p));
}

/** "Makes 12", "Oven: 180 °C", "Prep 10 min": a fact of the whole, not a step. */
const isHead = (text: string): boolean =>
  isHeadLine(text) || (notListed.test(text) && !/^(?:bake|preheat|heat|oven)\b(?!\s*:)/i.test(text)) || /^[\p{L} ]{3,24}:/u.test(text); // prettier-ignore
