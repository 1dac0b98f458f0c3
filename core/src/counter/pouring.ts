import { massIn, wholeMassIn } from '../quantity/figures.js';
import type { Display } from '../formula/types.js';
/** What a scale shows: g with what stood on it taken off or not, whether it is at rest, whether it is overloaded. */
export interface Weight {
  readonly grams: number;
  readonly stable: boolean;
  readonly over: boolean;
}

/** Poured against wanted: fine, short, or over; when over, the factor by which all would have to grow instead. */
export interface Poured {
  readonly state: 'short' | 'right' | 'over';
  /** What is missing (positive) or too much (negative), g. */
  readonly missingG: number;
  readonly factor: number;
  readonly words: string;
}

/** Nobody wants to grow a batter by more than this because too much was poured. A judgement. */
export const MOST_SCALED = 1.5;

/** A weight is right within 2 %, and within half a step of the scale. */
export function pour(wantedG: number, pouredG: number, scaleG: number, display?: Display): Poured {
  const within = Math.max(0.02 * wantedG, scaleG / 2);
  const missingG = wantedG - pouredG;
  const factor = wantedG > 0 ? pouredG / wantedG : 1;
  const g = (x: number): string =>
    massIn(display, Math.abs(x) < 10 ? Math.round(Math.abs(x) * 10) / 10 : Math.round(Math.abs(x)));
  if (Math.abs(missingG) <= within) return { state: 'right', missingG, factor, words: 'right' };
  if (missingG > 0) return { state: 'short', missingG, factor, words: `${g(missingG)} more` };
  return {
    state: 'over',
    missingG,
    factor,
    words:
      factor <= MOST_SCALED
        ? `you poured ${g(pouredG)}: scale all by ${factor.toFixed(2)}, or take ${g(missingG)} out`
        : `you poured ${g(pouredG)}: take ${g(missingG)} out. Was the bowl’s own weight taken off?`,
  };
}

/** A bowl that is lifted takes at least this from the scale, g. */
const LIFTED_G = 15;
/** A bowl that is put back weighs what it did, within this, g. */
const SAME_G = 4;
/** A bowl that was put down settles within this, ms; nobody pours so soon. */
const SETTLES_MS = 1200;
/** A weight counts when it has been at rest for so long, ms: longer while more may still be poured, and when it is too much. */
const REST_MS = { right: 700, nearly: 1500, over: 1200 } as const;

const OVERLOADED = 'more than the scale can carry';

/** Following a scale while one thing is poured. All weights g, instants ms. */
export interface Pouring {
  /** What the scale showed with nothing of it in; null until the scale has come to rest. */
  readonly zeroG: number | null;
  /** Whether the baker is to say first that the bowl stands on it. */
  readonly asks: boolean;
  /** What was in before that: before the scale was silent, or the bowl changed. */
  readonly hadG: number;
  /** What is in by the last reading, and by the last one at rest. */
  readonly inG: number;
  readonly restG: number;
  /** Since when it rests at the same weight; null while it moves. */
  readonly since: number | null;
  /** The lowest it showed since the bowl was lifted; null while a bowl stands on it. */
  readonly emptyG: number | null;
  /** What the scale showed last at rest: where the next thing begins; and what it shows now. */
  readonly grossG: number | null;
  readonly shownG: number | null;
  /** Until when the zero follows what is shown, since the bowl was only just put down; null when it is fixed. */
  readonly settlesUntil: number | null;
  /** What has to be known of it, in words. */
  readonly words: string;
}

/**
 * Begins to follow.
 *
 * @param grossG what the scale shows at rest; null when it is not known: the baker says when the bowl is on it
 * @param hadG what is in already
 */
export const beginPouring = (grossG: number | null, hadG = 0): Pouring => ({
  zeroG: grossG,
  asks: grossG === null,
  hadG,
  inG: hadG,
  restG: hadG,
  since: null,
  emptyG: null,
  grossG,
  shownG: grossG,
  settlesUntil: null,
  words: '',
});

/**
 * The bowl stands on the scale, the baker says: it counts from what is shown now, and for a moment from what it settles
 * to, since the bowl may only just have been put down.
 */
export const zeroScale = (p: Pouring, now: number): Pouring => ({
  ...beginPouring(p.shownG, p.hadG),
  asks: false,
  settlesUntil: now + SETTLES_MS,
});

/**
 * The scale went silent: what it showed last is in, and it counts on from where it comes back, since a scale that starts
 * again begins from nothing.
 */
export function scaleSilent(p: Pouring, display?: Display): Pouring {
  if (p.zeroG === null) return p;
  // with the bowl off it, what it shows says nothing of what is in
  const inG = p.emptyG === null ? Math.max(0, p.inG) : p.restG;
  const words = inG > 0.5 ? `${wholeMassIn(display, inG)} were in when it went silent` : '';
  return { ...beginPouring(null, inG), asks: false, words };
}

/** One reading further. */
export function readScale(was: Pouring, r: Weight, now: number): Pouring {
  const p: { -readonly [K in keyof Pouring]: Pouring[K] } = { ...was, shownG: r.grams };
  if (r.over) return { ...p, since: null, words: OVERLOADED };
  if (p.asks) return { ...p, grossG: r.stable ? r.grams : p.grossG };
  if (p.settlesUntil !== null) {
    if (now < p.settlesUntil) return { ...p, zeroG: r.grams, grossG: r.stable ? r.grams : p.grossG };
    p.settlesUntil = null;
  }
  // a scale that comes back begins from nothing: its first word is the zero, whatever is poured after it
  if (p.zeroG === null) return { ...p, zeroG: r.grams, grossG: r.stable ? r.grams : null };
  if (!r.stable) {
    const live = p.emptyG !== null ? p.inG : p.hadG + r.grams - p.zeroG;
    return { ...p, since: null, inG: live };
  }
  const since = p.since !== null && p.grossG !== null && Math.abs(r.grams - p.grossG) <= 1 ? p.since : now;
  const rest = { ...p, since, grossG: r.grams };
  if (p.emptyG !== null) {
    if (r.grams <= p.emptyG + LIFTED_G) return { ...rest, emptyG: Math.min(p.emptyG, r.grams), since: null };
    const back = Math.abs(p.hadG + r.grams - p.zeroG - p.restG) <= SAME_G;
    if (back) return { ...rest, emptyG: null, inG: p.hadG + r.grams - p.zeroG, words: '' };
    const kept = p.restG > SAME_G ? p.restG : 0;
    return {
      ...rest,
      zeroG: r.grams,
      hadG: kept,
      inG: kept,
      restG: kept,
      emptyG: null,
      words: 'another bowl: it counts as empty',
    };
  }
  const inG = p.hadG + r.grams - p.zeroG;
  if (r.grams - p.zeroG < -LIFTED_G)
    return { ...rest, emptyG: r.grams, since: null, words: 'the bowl is off the scale' };
  return { ...rest, inG, restG: inG, words: p.words === OVERLOADED ? '' : p.words };
}

/** What to make of it: nothing yet, right, or too much; only of a weight that has been at rest for a while. */
export function pouredNow(p: Pouring, wantedG: number, scaleG: number, now: number): 'wait' | 'right' | 'over' {
  if (p.zeroG === null || p.settlesUntil !== null || p.emptyG !== null || p.since === null) return 'wait';
  const rest = now - p.since;
  const { state } = pour(wantedG, p.restG, scaleG);
  if (state === 'right' && p.restG > scaleG / 2) {
    const all = p.restG >= wantedG - Math.max(0.01 * wantedG, scaleG / 2);
    return rest >= (all ? REST_MS.right : REST_MS.nearly) ? 'right' : 'wait';
  }
  return state === 'over' && rest >= REST_MS.over ? 'over' : 'wait';
}

/** Too little for a scale to show truly: less than five of its steps, g. */
export const tooLittleFor = (grams: number, stepG: number): boolean => grams < 5 * stepG;
