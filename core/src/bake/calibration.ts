import type { Kitchen, Learned, Tin } from '../formula/types.js';
import { degreesMore } from '../quantity/degrees.js';
import { within } from '../text/plain.js';
import type { Calibration, KnownBake } from './bake-input.js';
import {
  airOf,
  bodyOf,
  donenessOf,
  heatAt,
  knownOf,
  NOTHING,
  ovenOff,
  placeOf,
  speedOf,
  type Place,
  type Slopes,
  type Sum,
} from './learned.js';
import { covarianceOf, sumOf } from './normal.js';
import { KNOWN_SD, OWN_TIME_SD, priorSd, STATED_SD, UNKNOWN_SD, WIDEST_SD } from './priors.js';
import { reckon } from './reckon.js';

/** Typical slopes where a bake's own are not worth a simulation: for how sure a time is. See docs/science/bake.md. */
export const typicalSlopes = (shape: Tin['shape']): Slopes =>
  shape === 'loaf' || shape === 'tube'
    ? { perK: -0.0072, perSpeed: -0.44, perDoneK: 0.022 }
    : { perK: -0.012, perSpeed: -0.62, perDoneK: 0.02 };

/** Sigmas from which a stated time is no time of this bake. */
const WILD = 4;
/** Heat transfer is believed to be off by no more than this, ln. */
const MOST_LOG_SPEED = 0.7;

interface Known {
  readonly mean: number;
  readonly sd: number;
}

/**
 * The one inference of what is to come: what the log, and a time that is known of this bake, say of the heat it really gets, and of when this
 * baker takes it out. A recipe's own time speaks of the formula and of tins of its shape, not of this kitchen's oven; a time of the
 * baker's own of all of it.
 *
 * @param known a time of this formula in its own tin, if there is one
 */
export function calibrationFor(place: Place, known: KnownBake | null, kitchen: Kitchen | undefined): Calibration {
  const learned = kitchen?.learned ?? NOTHING;
  const slopes = typicalSlopes(place.tin.shape);
  const [air, speed, done] = [airOf(place), speedOf(place), donenessOf(place.formulaId)];
  const time: Sum = [...heatAt(place, slopes), ...donenessOf(place.formulaId, slopes.perDoneK)];
  const news = known && newsOf(known, place, learned, kitchen);
  /** A sum as it is believed once the known time has been heard. */
  const heard = (sum: Sum): Known => {
    const before = sumOf(learned, sum, priorSd);
    if (!news || news.doubt !== null) return before;
    const cross = covarianceOf(learned, sum, news.of, priorSd);
    const gain = cross / news.spread ** 2;
    return { mean: before.mean + gain * news.gap, sd: Math.sqrt(Math.max(1e-8, before.sd ** 2 - gain * cross)) };
  };
  const [bias, pace, taken, whole] = [heard(air), heard(speed), heard(done), heard(time)];
  const logged = knownOf(learned, [`bias:${place.ovenId}`]).bakes;
  const told = news?.doubt === null && news.of.some(([k]) => speed.some(([x]) => x === k)) ? 1 : 0;
  const used = logged + told;
  const mean = Math.max(-MOST_LOG_SPEED, Math.min(MOST_LOG_SPEED, pace.mean));
  return {
    speed: Math.exp(mean),
    biasC: Math.round(10 * bias.mean) / 10,
    doneK: Math.round(10 * taken.mean) / 10,
    sdLog: pace.sd,
    sdK: bias.sd,
    timeSd: timeSdOf(logged, whole.sd, sumOf(learned, time, priorSd).sd, learned.noise),
    used,
    words: wordsOf(place, learned, logged, known && told > 0 ? known.kind : null, mean, bias.mean, kitchen),
    doubts: news?.doubt ? [news.doubt] : [],
  };
}

/**
 * One sigma of ln(time). Before a log, it is what the model is off by for other bakers, made narrower as a known time narrows the
 * parameters; with one, what the log leaves unsure.
 */
function timeSdOf(logged: number, left: number, before: number, noise: number): number {
  if (logged > 0) return Math.min(WIDEST_SD, Math.hypot(left, noise));
  return Math.max(KNOWN_SD, (UNKNOWN_SD * Math.hypot(left, noise)) / Math.hypot(before, noise));
}

/** What a known time says: how far it is from what was believed, ln, and of which sum of parameters that is news. */
function newsOf(
  known: KnownBake,
  place: Place,
  learned: Learned,
  kitchen: Kitchen | undefined,
): { of: Sum; gap: number; spread: number; doubt: string | null } | null {
  const r = known.minutes > 0 && Number.isFinite(known.minutes) ? reckon(known.input, kitchen) : null;
  if (!r) return null;
  const there = {
    ...placeOf(known.input, kitchen),
    ...(place.formulaId !== undefined && { formulaId: place.formulaId }),
  };
  const own = known.kind === 'logged';
  const of = own ? [...heatAt(there, r), ...donenessOf(there.formulaId, r.perDoneK)] : bodyOf(there, r.perSpeed);
  const before = sumOf(learned, of, priorSd);
  const gap = Math.log(known.minutes / r.minutes) - before.mean;
  const spread = Math.hypot(before.sd, own ? OWN_TIME_SD : STATED_SD);
  const doubt =
    Math.abs(gap) > WILD * spread
      ? `${Math.round(known.minutes)} min in ${known.input.tin.name || 'that tin'} is ${gap > 0 ? 'slower' : 'faster'} than any ordinary oven: check the time, the heat and the tin.`
      : null;
  return { of, gap, spread, doubt };
}

const bakesWords = (n: number): string => (n === 1 ? 'one bake' : `${n} bakes`);

function wordsOf(
  place: Place,
  learned: Learned,
  logged: number,
  told: KnownBake['kind'] | null,
  logSpeed: number,
  biasK: number,
  kitchen: Kitchen | undefined,
): string {
  const out: string[] = [];
  const slopes = typicalSlopes(place.tin.shape);
  const by = slopes.perSpeed * logSpeed + (logged > 0 ? 0 : slopes.perK * biasK);
  const pct = Math.round(100 * Math.abs(Math.exp(by) - 1));
  const slower = by > 0;
  const scale = kitchen?.display.temperature;
  if (logged > 0 && kitchen) {
    const off = ovenOff(kitchen, place.ovenId, place.rack);
    const name = kitchen.ovens.find((o) => o.id === place.ovenId)?.name;
    const oven = kitchen.ovens.length > 1 && name ? `Your ${within(name)}` : 'Your oven';
    const about = Math.round(Math.abs(off.typical));
    out.push(
      about < 2
        ? `${oven} keeps to its dial, from ${bakesWords(logged)}.`
        : `${oven} runs about ${degreesMore(scale, about)} ${off.typical > 0 ? 'hot' : 'cool'}, from ${bakesWords(logged)}.`,
    );
    if (pct >= 3) out.push(`In this tin this batter takes ${pct} % ${slower ? 'longer' : 'less'} than reckoned${told ? ', its stated time counted' : ''}.`); // prettier-ignore
    const done = knownOf(
      learned,
      donenessOf(place.formulaId).map(([k]) => k),
    ).typical;
    if (Math.abs(done) >= 1) out.push(`You take it out about ${degreesMore(scale, Math.abs(done))} ${done > 0 ? 'warmer' : 'cooler'} in the middle than usual.`); // prettier-ignore
    return out.join(' ');
  }
  if (told === null) return 'No known time yet: an ordinary oven is assumed.';
  const from = told === 'logged' ? 'By one known bake' : 'By its stated time';
  return pct < 3
    ? `${told === 'logged' ? 'One known bake' : 'Its stated time'} agrees with an ordinary oven.`
    : `${from} it takes ${pct} % ${slower ? 'longer' : 'less'} than in an ordinary oven.`;
}
