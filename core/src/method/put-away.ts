import { piecesIn, type TinFit } from '../tin/fit.js';
import { somePieces } from '../tin/loads.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import type { Operation } from './types.js';

/** What of a shaped dough or a filled batter goes into the freezer raw while the rest of it is baked. */
export interface PutAway {
  readonly operation: Operation;
  /** Part of the whole, more than 0 and less than 1. */
  readonly share: number;
  /** Whole pieces of it; null where it is not in pieces, or where the share does not come out in whole ones. */
  readonly pieces: number | null;
}

/** A figure or a spoken number that counts pieces: no time, no length, no heat, no bags or trays of them. */
const counted = new RegExp(
  String.raw`(?<![\d.])(?:([½⅓⅔¼¾])|(\d+)|\b(${spokenPattern}))(?![\d.-])(?!\s*(?:more\s+)?(?:h|hrs?|hours?|mins?|minutes?|days?|weeks?|months?|cm|mm|inch|in\b|g|kg|°|c\b|f\b|(?:\w+\s+)?(?:bags?|boxes|box|trays?|sheets?|tubs?|batches|lots|layers|packets?)\b))`,
  'gi',
);
/** "All but six": what is said is what stays. */
const BUT = /\b(?:all|everything|the lot|every one)\b[^.;]*\b(?:but|except|apart from|save)\s+(?:for\s+)?(?:the\s+)?$/i;
const vulgar: Readonly<Record<string, number>> = { '½': 1 / 2, '⅓': 1 / 3, '⅔': 2 / 3, '¼': 1 / 4, '¾': 3 / 4 };

/**
 * The part that a method freezes raw, by its own words: "half", "a third of them", "six of the twelve", "four". Null where
 * nothing is put away, or where the words do not say how much ("the rest", "some").
 *
 * @param work operations in working order
 * @param pieces how many pieces there are in all; a count of pieces means nothing without it
 * @param rounds of how many sheets or rounds they are cut: "one disc" is one of them
 */
export function putAway(work: readonly Operation[], pieces: number, rounds = 1): PutAway | null {
  const operation = work.find((o) => o.verb === 'freeze' && o.meanwhile && (o.phase === 'mix' || o.phase === 'shape'));
  if (!operation) return null;
  const before = work[work.indexOf(operation) - 1];
  const said = `${before && before.phase === operation.phase ? before.words : ''} ${operation.words}`;
  if (rounds > 1 && ONE_ROUND.test(said)) return part(operation, 1 / rounds, pieces);
  for (const m of operation.words.matchAll(counted)) {
    const [, sign, figure, spoken] = m;
    const n = sign ? vulgar[sign] : figure ? Number(figure) : readSpoken(spoken ?? '');
    if (n === undefined || n === null || !(n > 0)) continue;
    const share = n < 1 ? n : n / pieces;
    if (!(share < 1)) continue;
    return part(operation, BUT.test(operation.words.slice(0, m.index)) ? 1 - share : share, pieces);
  }
  return null;
}
const ONE_ROUND = /\b(?:one|the other|the second)\s+(?:disc|disk|round|circle|half|slab|batch|lot|piece|dough)\b/i;

function part(operation: Operation, share: number, pieces: number): PutAway {
  const whole = share * pieces;
  return { operation, share, pieces: pieces > 1 && Math.abs(whole - Math.round(whole)) < 1e-6 ? Math.round(whole) : null }; // prettier-ignore
}

/** What is baked of a dough or batter of which a part is put away raw; tins in the formula's order, grams in proportion. */
export function bakedNow(fits: readonly TinFit[], away: PutAway | null): readonly TinFit[] {
  if (!away) return fits;
  if (away.pieces !== null) return somePieces(fits, piecesIn(fits) - away.pieces);
  const stays = 1 - away.share;
  return fits.map((f) => ({ ...f, batterG: stays * f.batterG, perCupG: stays * f.perCupG, fill: stays * f.fill }));
}

/** What a method says of its frozen part, beside other work or as work of its own: "From frozen they want 20 to 22." */
export const ofFrozen = (work: readonly Operation[]): string | null =>
  [
    ...work.filter((o) => o.phase === 'later' && (o.verb === 'bake' || o.verb === 'put in')).map((o) => o.words),
    ...work.flatMap((o) => (o.remark ?? '').split(/(?<=[.!?])\s+/)),
  ].find((s) => /\bfrozen\b|\bfreezer\b/i.test(s) && /\d/.test(s)) ?? null;
