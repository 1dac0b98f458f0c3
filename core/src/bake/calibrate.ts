import type { Kitchen } from '../formula/types.js';
import type { BakeInput } from './predict.js';
import { setupOf } from './setup.js';
import { simulate } from './run.js';

/** A bake whose time is known: the recipe's stated time, or one from the log. */
export interface KnownBake {
  readonly input: BakeInput;
  readonly minutes: number;
  readonly kind: 'stated' | 'logged';
}

export interface Calibration {
  /** Factor on heat transfer: above 1, this oven and tin heat faster than the model thought. */
  readonly speed: number;
  /** One sigma of ln(speed) that is left. */
  readonly sdLog: number;
  /** One sigma of ln(time) for a prediction made with it. */
  readonly timeSd: number;
  readonly used: number;
  readonly words: string;
  /** Observations that no plausible oven explains. */
  readonly doubts: readonly string[];
}

/** Heat transfer may plausibly be off by this factor either way. */
export const SPEED_BOUNDS = [0.7, 1.4] as const;
/** Before anything is known: one sigma of ln(speed). With the exponent below it makes 13 % in time. */
const PRIOR_SD = 0.22;
/** d ln(time) / d ln(speed), typical of tins between muffin and loaf. */
const TIME_EXPONENT = 0.6;
/** One sigma of a stated and of a logged time, in ln(time). */
const TIME_SD = { stated: 0.1, logged: 0.06 } as const;
/** What stays uncertain about a new tin however many bakes are known. */
const RESIDUAL_SD = 0.055;

/** The speed at which the model bakes this tin in the observed minutes; null when no speed between 0.35 and 2.8 does. */
export function speedFor(input: BakeInput, minutes: number, kitchen?: Kitchen): number | null {
  const at = (logSpeed: number): number => {
    const run = simulate({ ...setupOf(input, kitchen), speed: Math.exp(logSpeed), resolution: 0.75, untilDone: true });
    return Math.log((run.doneMin ?? 1e4) / minutes);
  };
  let x0 = 0;
  let f0 = at(x0);
  let x1 = Math.max(-0.8, Math.min(0.8, f0 / TIME_EXPONENT));
  if (Math.abs(f0) < 0.004) return 1;
  for (let i = 0; i < 5; i++) {
    const f1 = at(x1);
    if (Math.abs(f1) < 0.004) return Math.exp(x1);
    const slope = (f1 - f0) / (x1 - x0);
    if (!Number.isFinite(slope) || slope > -0.05) return null;
    [x0, f0, x1] = [x1, f1, x1 - f1 / slope];
    if (Math.abs(x1) > 1.03) return null;
  }
  return Math.exp(x1);
}

/**
 * Learns one factor on heat transfer from known bakes, each weighed by how much its time can be trusted, against a
 * prior of 22 % (13 % in time). One bake moves it part of the way, several move it nearly all.
 *
 * @param history bakes with known minutes; order does not matter
 */
export function calibrate(history: readonly KnownBake[], kitchen?: Kitchen): Calibration {
  let precision = 1 / (PRIOR_SD * PRIOR_SD);
  let weighted = 0;
  let used = 0;
  const doubts: string[] = [];
  for (const h of history) {
    if (!(h.minutes > 1 && h.minutes < 600)) continue;
    const speed = speedFor(h.input, h.minutes, kitchen);
    if (speed === null || speed < SPEED_BOUNDS[0] * 0.85 || speed > SPEED_BOUNDS[1] * 1.2) {
      doubts.push(
        `${Math.round(h.minutes)} min in ${h.input.tin.name || 'that tin'} is ${speed !== null && speed < 1 ? 'slower' : 'faster'} than any ordinary oven: check the time, the heat and the tin.`,
      );
      continue;
    }
    const sd = TIME_SD[h.kind] / TIME_EXPONENT;
    precision += 1 / (sd * sd);
    weighted += Math.log(speed) / (sd * sd);
    used++;
  }
  const log = weighted / precision;
  const speed = Math.min(SPEED_BOUNDS[1], Math.max(SPEED_BOUNDS[0], Math.exp(log)));
  const sdLog = 1 / Math.sqrt(precision);
  const timeSd = Math.hypot(sdLog * TIME_EXPONENT, used > 0 ? RESIDUAL_SD : 0);
  return { speed, sdLog, timeSd, used, words: wordsFor(speed, used), doubts };
}

function wordsFor(speed: number, used: number): string {
  if (used === 0) return 'No known time yet: an ordinary oven is assumed.';
  const pct = Math.round(100 * Math.abs(speed - 1));
  const from = used === 1 ? 'one known bake' : `${used} known bakes`;
  if (pct < 3)
    return `${from.charAt(0).toUpperCase()}${from.slice(1)} agree${used === 1 ? 's' : ''} with an ordinary oven.`;
  return `From ${from}: heats ${pct} % ${speed > 1 ? 'faster' : 'slower'} than an ordinary oven.`;
}
