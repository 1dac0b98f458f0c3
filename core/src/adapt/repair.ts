import { sodaIdeas } from '../balance/advice.js';
import { heldAgainst, type Held } from '../balance/held.js';
import { mended, reasonFor } from '../balance/mended.js';
import { soapyFrom } from '../balance/verdicts.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { allItems } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { NAMED, type Suspect, type Sure } from '../plausible/suspects.js';
import { namesMore, restoredProposal } from './proposal.js';
import type { Proposal } from './types.js';

/** Lines that one proposal undoes at most: one slip is likely, three are another recipe. */
const MOST_LINES = 3;
/** A second line has to lower the merit by so much, or it is not worth touching. */
const WORTH = 0.4;
/** Log odds within which one reading is about as likely as another. Judgement. */
const ABOUT = 1;
/** A way that makes the batter smaller by more than this, as a share, comes after those that do not, if nothing is plain. */
const SMALLER = 0.17;

/** Share of the flour below which a way that takes it down makes it another batch. Judgement. */
const HALVED = 0.6;

/** A formula on its way to being put right, with what each line that was touched is for. */
interface Way {
  readonly formula: Formula;
  readonly weighed: Weighed;
  readonly held: Held;
  readonly reasons: ReadonlyMap<string, string>;
  readonly sure: Sure;
  /** Log odds of the suspect it began with. */
  readonly gain: number;
}

/**
 * Ways to put a formula right, likeliest first: each undoes what a suspect is suspected of, in its one line and in amounts
 * that this kitchen measures; a second line is touched only where the first still leaves something to name. Each lowers the
 * merit and names nothing that was not named before. Nothing locked is touched, and no line grows beyond the stock.
 * @returns at most three; none where the formula is as ordinary as three fifths of them are
 */
export function repairs(formula: Formula, locked: readonly string[], kitchen: Kitchen): Proposal[] {
  const weighed = weigh(formula, kitchen);
  const held = heldAgainst(formula, weighed, kitchen);
  if (!held) return [];
  const start: Way = { formula, weighed, held, reasons: new Map(), sure: 'hint', gain: -Infinity };
  const soapy = isSoapy(weighed);
  if (held.merit <= 0 && !soapy) return [];
  const ways = [
    ...held.suspects.flatMap((s) =>
      tasted(furthered(step(start, s, locked, kitchen), locked, kitchen), locked, kitchen),
    ),
    ...(soapy ? sodaWays(start, locked, kitchen) : []),
  ];
  const smaller = ({ weighed: w }: Way): boolean => w.totals.batterG < (1 - SMALLER) * weighed.totals.batterG;
  // what still leaves something to name puts nothing right, where another does
  const atRest = ways.filter((w) => w.held.typical > NAMED && !isSoapy(w.weighed));
  const right = atRest.length > 0 ? atRest : ways;
  const seen = new Set<string>();
  // what is no more than a hint comes after what keeps the batter, and what is likely after what is as likely and keeps it
  const kept = Math.max(...right.map((w) => (smaller(w) ? -Infinity : w.gain)));
  // the flour is what a bake is counted by: that there is twice as much of it comes after all that leaves it
  const halved = ({ weighed: w }: Way): boolean => w.totals.flourG < HALVED * weighed.totals.flourG;
  const yields = (w: Way): boolean =>
    smaller(w) && (halved(w) || (w.sure !== 'plain' && (w.sure === 'hint' || kept > w.gain - ABOUT)));
  const tried = [...right.filter((w) => !yields(w)), ...right.filter(yields)]
    .filter(({ formula: f }) => {
      const key = allItems(f)
        .map((i) => `${i.ingredient}:${i.grams}`)
        .join();
      return !seen.has(key) && seen.add(key);
    })
    .map((w) => restoredProposal(formula, w.formula, w.reasons, w.sure, kitchen))
    .filter(({ before, after }) => !namesMore(before, after));
  // what would spoil the bake in another way comes last, and where there is a choice without it not at all
  const sound = tried.filter((p) => !p.spoils);
  return sound.length > 1 ? sound.slice(0, 3) : [...sound, ...tried.filter((p) => p.spoils)].slice(0, 2);
}

/** What a swap is followed by, with what each line is for. */
export interface Evened {
  readonly formula: Formula;
  readonly reasons: ReadonlyMap<string, string>;
}
/** Roles that even out a swap: what makes a batter wet and what lifts it; the rest is what it is. */
const EVEN_OUT: ReadonlySet<string> = new Set(['liquid', 'leavener']);

/**
 * Liquid or leavener made to fit what a swap has left, at most two lines, where the whole comes out much more plausible by it: eggs
 * beaten with butter lift, and yogurt in their place does not. A hint is enough for powder that is short once egg has gone.
 * @param allowed whether a formula still keeps to all that was asked: limits, stock, what is to stay out
 */
export function evened(
  formula: Formula,
  was: Formula,
  locked: readonly string[],
  kitchen: Kitchen,
  allowed: (f: Formula) => boolean = () => true,
): Evened {
  const weighed = weigh(formula, kitchen);
  const held = heldAgainst(formula, weighed, kitchen);
  if (!held) return { formula, reasons: new Map() };
  const eggGone = weigh(was, kitchen).totals.eggG > 2 * weighed.totals.eggG;
  const short = (s: Suspect): boolean => eggGone && s.role === 'leavener' && s.factor < 1;
  let way: Way = { formula, weighed, held, reasons: new Map(), sure: 'hint', gain: -Infinity };
  for (let lines = 0; lines < 2; lines++) {
    const from = way;
    const next = from.held.suspects
      // what has just been put in its place is not called by another name
      .filter((s) => EVEN_OUT.has(s.role) && s.slip !== 'name' && (s.sure !== 'hint' || short(s)))
      .flatMap((s) => step(from, s, locked, kitchen) ?? [])
      .filter((w) => allowed(w.formula))
      .sort((a, b) => a.held.merit - b.held.merit)[0];
    if (!next || next.held.merit > from.held.merit - WORTH) break;
    way = next;
  }
  return way;
}

const isSoapy = (w: Weighed): boolean => w.ledger.leftSodaGPer100gBatter.typical > soapyFrom(w.masked);

/** One suspect undone; null where it may not be touched, or that does not help. */
function step(from: Way, s: Suspect, locked: readonly string[], kitchen: Kitchen): Way | null {
  if (s.itemId !== undefined && (locked.includes(s.itemId) || from.reasons.has(s.itemId))) return null;
  const m = mended(from.formula, s, from.weighed, kitchen);
  if (!m || beyondStock(m.ingredient.id, from.formula, m.formula, kitchen)) return null;
  const weighed = weigh(m.formula, kitchen);
  const held = heldAgainst(m.formula, weighed, kitchen);
  if (!held || held.merit >= from.held.merit) return null;
  const had = new Set(allItems(from.formula).map((i) => i.id));
  const id = m.line?.item.id ?? allItems(m.formula).find((i) => !had.has(i.id))?.id ?? '';
  const reasons = new Map([...from.reasons, [id, reasonFor(s, m, weighed.family)]]);
  return {
    formula: m.formula,
    weighed,
    held,
    reasons,
    ...(from.reasons.size > 0 ? { sure: from.sure, gain: from.gain } : { sure: s.sure, gain: s.gain }),
  };
}

/** The same with further lines, as long as something is still named and undoing it helps. */
function furthered(way: Way | null, locked: readonly string[], kitchen: Kitchen): Way | null {
  if (!way || way.held.typical > NAMED || way.reasons.size >= MOST_LINES) return way;
  const next = way.held.suspects
    .filter((s) => s.sure !== 'hint')
    .flatMap((s) => step(way, s, locked, kitchen) ?? [])
    .sort((a, b) => a.held.merit - b.held.merit)[0];
  return next && next.held.merit < way.held.merit - WORTH ? furthered(next, locked, kitchen) : way;
}

/** The same with soda as what its acid can meet, where it would still be tasted and that line is free. */
function tasted(way: Way | null, locked: readonly string[], kitchen: Kitchen): Way[] {
  if (!way) return [];
  if (!isSoapy(way.weighed) || way.reasons.size >= MOST_LINES) return [way];
  const [less] = sodaWays(way, [...locked, ...way.reasons.keys()], kitchen);
  return [
    less ? { ...less, sure: way.sure, gain: way.gain, reasons: new Map([...way.reasons, ...less.reasons]) } : way,
  ];
}

/** Soda as what its acid can meet, where it would be tasted. */
function sodaWays(from: Way, locked: readonly string[], kitchen: Kitchen): Way[] {
  return sodaIdeas(from.formula, from.weighed, kitchen, locked).flatMap(({ formula, changes, why }) => {
    const weighed = weigh(formula, kitchen);
    const held = heldAgainst(formula, weighed, kitchen);
    const reasons = new Map(changes.map((c) => [c.itemId, why]));
    const short = allItems(formula).some((i) => beyondStock(i.ingredient, from.formula, formula, kitchen));
    return held && !short && !isSoapy(weighed)
      ? [{ formula, weighed, held, reasons, sure: 'likely' as const, gain: 0 }]
      : [];
  });
}

/** Whether there would be more of an ingredient than the kitchen has, and than was asked for before. */
function beyondStock(id: string, was: Formula, is: Formula, kitchen: Kitchen): boolean {
  const have = kitchen.stock[id];
  const used = (f: Formula): number => allItems(f).reduce((s, i) => s + (i.ingredient === id ? i.grams : 0), 0);
  return have !== undefined && used(is) > Math.max(have, used(was)) + 0.005;
}
