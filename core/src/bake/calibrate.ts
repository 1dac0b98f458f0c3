import type { Kitchen } from '../formula/types.js';
import type { BakeInput } from './bake-input.js';
import { degreesMore } from '../quantity/degrees.js';
import { gaussNewton } from './least-squares.js';
import { materials } from './materials.js';
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
  /** How much hotter the air is than the dial, K, beyond the declared bias; only from many bakes. */
  readonly biasC?: number;
  /** Factor on the tins' emissivity; only from many bakes in unlike tins. */
  readonly emissivity?: number;
  /** One sigma of ln(speed) that is left. */
  readonly sdLog: number;
  /** One sigma of ln(time) for a prediction made with it. */
  readonly timeSd: number;
  readonly used: number;
  /** K by which this baker takes it out warmer in the middle than the family's temperature. */
  readonly doneK?: number;
  /** From the log (`calibrationFor`): `timeSd` is then all that is unsure, and samples only give a range its shape. */
  readonly learned?: boolean;
  readonly words: string;
  /** Observations that no plausible oven explains. */
  readonly doubts: readonly string[];
}

/**
 * Heat transfer may plausibly be off by this factor either way, the oven's own pace and the model's error for a tin
 * together. A factor of 2 moves a loaf's time by a quarter and a layer's by two fifths. A judgement.
 */
export const SPEED_BOUNDS = [0.5, 2] as const;
/** Before anything is known: one sigma of ln(speed), which makes 10 % in a loaf's time and 15 % in a layer's. */
const PRIOR_SD = 0.22;
/** −d ln(time) / d ln(speed), typical of tins between loaf (0.44) and layer (0.69). */
const TIME_EXPONENT = 0.55;
/** One sigma of a stated and of a logged time, in ln(time). */
const TIME_SD = { stated: 0.1, logged: 0.06 } as const;
/** What stays uncertain about a new tin however many bakes are known. */
const RESIDUAL_SD = 0.055;

/** A time this near, in ln, is met. */
const NEAR = 0.004;

/** The speed at which the model bakes this tin in the observed minutes; null when no speed between 0.35 and 2.8 does. */
export const speedFor = (input: BakeInput, minutes: number, kitchen?: Kitchen): number | null =>
  met(input, minutes, kitchen)?.speed ?? null;

/** That speed, and how much this tin's time follows it: −d ln(time) / d ln(speed) on the way there. */
function met(input: BakeInput, minutes: number, kitchen?: Kitchen): { speed: number; exponent: number } | null {
  const at = (logSpeed: number): number => Math.log(minutesAt(input, { speed: Math.exp(logSpeed) }, kitchen) / minutes);
  const free = at(0);
  let [x0, f0] = [0, free];
  if (Math.abs(f0) < NEAR) return { speed: 1, exponent: TIME_EXPONENT };
  let x1 = Math.max(-0.8, Math.min(0.8, f0 / TIME_EXPONENT));
  let best = { x: x0, f: f0 };
  for (let i = 0; i < 6; i++) {
    const f1 = at(x1);
    if (Math.abs(f1) < Math.abs(best.f)) best = { x: x1, f: f1 };
    if (Math.abs(f1) < NEAR) break;
    // a secant; where two points lie too close to tell a slope, the usual one
    const slope = (f1 - f0) / (x1 - x0);
    const next = x1 - f1 / (slope < -0.15 && slope > -2 ? slope : -TIME_EXPONENT);
    [x0, f0, x1] = [x1, f1, next];
    if (Math.abs(x1) > 1.03) return null;
  }
  if (Math.abs(best.f) >= 0.03) return null;
  // over a short way the slope is mostly rounding
  const exponent = Math.abs(best.x) > 0.05 ? (free - best.f) / best.x : TIME_EXPONENT;
  return { speed: Math.exp(best.x), exponent: Math.min(1, Math.max(0.2, exponent)) };
}

/** Minutes that the model gives with some of a calibration, on a coarser grid; very many when it is never done. */
function minutesAt(
  input: BakeInput,
  x: { speed: number; biasC?: number; emissivity?: number },
  kitchen: Kitchen | undefined,
): number {
  const setup = setupOf(input, kitchen);
  const stages = setup.stages.map((s) => ({ ...s, ovenC: s.ovenC + (x.biasC ?? 0) }));
  return (
    simulate({ ...setup, stages, speed: x.speed, emissivity: x.emissivity ?? 1, resolution: 0.7 }, { untilDone: true })
      .doneMin ?? 1e4
  );
}

interface Seen {
  readonly bake: KnownBake;
  readonly sd: number;
}

/**
 * Learns from known bakes, each weighed by how much its time can be trusted: one factor on heat transfer first, against
 * a prior of 22 % (10 to 15 % in time); from five bakes at heats 20 K apart the oven's error against its dial (prior 10 K)
 * beside it; from six in tins of unlike surface their emissivity too (prior 30 %). One bake moves it part of the way,
 * several move it nearly all.
 *
 * @param history bakes with known minutes; order does not matter
 */
export function calibrate(history: readonly KnownBake[], kitchen?: Kitchen): Calibration {
  let precision = 1 / (PRIOR_SD * PRIOR_SD);
  let weighted = 0;
  const seen: Seen[] = [];
  const doubts: string[] = [];
  for (const h of history) {
    if (!(h.minutes > 1 && h.minutes < 600)) continue;
    const found = met(h.input, h.minutes, kitchen);
    if (!found || found.speed < SPEED_BOUNDS[0] || found.speed > SPEED_BOUNDS[1]) {
      const slow = found ? found.speed < 1 : minutesAt(h.input, { speed: 1 }, kitchen) < h.minutes;
      doubts.push(
        `${Math.round(h.minutes)} min in ${h.input.tin.name || 'that tin'} is ${slow ? 'slower' : 'faster'} than any ordinary oven: check the time, the heat and the tin.`,
      );
      continue;
    }
    const sd = TIME_SD[h.kind] / found.exponent;
    precision += 1 / (sd * sd);
    weighted += Math.log(found.speed) / (sd * sd);
    seen.push({ bake: h, sd: TIME_SD[h.kind] });
  }
  const used = seen.length;
  const bound = (x: number): number => Math.min(SPEED_BOUNDS[1], Math.max(SPEED_BOUNDS[0], x));
  const sdLog = 1 / Math.sqrt(precision);
  const first = weighted / precision;
  const more = refine(seen, first, kitchen);
  const speed = bound(Math.exp(more?.log ?? first));
  const timeSd = Math.hypot(sdLog * TIME_EXPONENT, used > 0 ? RESIDUAL_SD : 0);
  return {
    speed,
    ...(more?.biasC !== undefined && { biasC: more.biasC }),
    ...(more?.emissivity !== undefined && { emissivity: more.emissivity }),
    sdLog,
    timeSd,
    used,
    words: wordsFor(speed, used, more?.biasC, kitchen),
    doubts,
  };
}

const PRIOR = { speed: PRIOR_SD, biasC: 10, emissivity: 0.3 } as const;
/** Bakes from which a second and a third parameter are learned, and how far apart their heats have to lie, K. */
const FOR_BIAS = { bakes: 5, apartC: 20 };
const FOR_EMISSIVITY = 6;

/** Speed with the oven's bias, and with the tins' emissivity, by two Gauss–Newton steps; null when data are few. */
function refine(
  seen: readonly Seen[],
  log: number,
  kitchen: Kitchen | undefined,
): { log: number; biasC?: number; emissivity?: number } | null {
  const heats = seen.map((s) => s.bake.input.ovenC);
  if (seen.length < FOR_BIAS.bakes || Math.max(...heats) - Math.min(...heats) < FOR_BIAS.apartC) return null;
  const surfaces = new Set(seen.map((s) => materials[s.bake.input.tin.material].eps));
  const withEps = seen.length >= FOR_EMISSIVITY && surfaces.size > 1;
  const names = withEps ? (['speed', 'biasC', 'emissivity'] as const) : (['speed', 'biasC'] as const);
  const priors = names.map((n) => PRIOR[n]);
  let x = names.map((n) => (n === 'speed' ? log : 0));
  const logs = (at: readonly number[]): number[] =>
    seen.map((s) =>
      Math.log(
        minutesAt(
          s.bake.input,
          { speed: Math.exp(at[0] as number), biasC: at[1] ?? 0, emissivity: Math.exp(at[2] ?? 0) },
          kitchen,
        ) / s.bake.minutes,
      ),
    );
  for (let round = 0; round < 2; round++) {
    const now = logs(x);
    const step = [0.05, 3, 0.1];
    const slopes = names.map((_, k) =>
      logs(x.map((v, i) => (i === k ? v + (step[k] as number) : v))).map(
        (v, i) => (v - (now[i] as number)) / (step[k] as number),
      ),
    );
    const move = gaussNewton(
      slopes,
      now,
      seen.map((s) => 1 / (s.sd * s.sd)),
      priors.map((sd) => 1 / (sd * sd)),
      x,
    );
    x = x.map((v, i) => v + Math.max(-2 * (priors[i] as number), Math.min(2 * (priors[i] as number), move[i] ?? 0)));
  }
  return {
    log: x[0] as number,
    biasC: Math.round(10 * (x[1] as number)) / 10,
    ...(withEps && { emissivity: Math.exp(x[2] as number) }),
  };
}

function wordsFor(speed: number, used: number, biasC: number | undefined, kitchen?: Kitchen): string {
  if (used === 0) return 'No known time yet: an ordinary oven is assumed.';
  const pct = Math.round(100 * Math.abs(speed - 1));
  const from = used === 1 ? 'one known bake' : `${used} known bakes`;
  const oven =
    biasC !== undefined && Math.abs(biasC) >= 2
      ? `, and the air is about ${degreesMore(kitchen?.display.temperature, Math.abs(biasC))} ${biasC > 0 ? 'hotter' : 'cooler'} than the dial says`
      : '';
  if (pct < 3)
    return `${from.charAt(0).toUpperCase()}${from.slice(1)} agree${used === 1 ? 's' : ''} with an ordinary oven${oven}.`;
  return `From ${from}: heats ${pct} % ${speed > 1 ? 'faster' : 'slower'} than an ordinary oven${oven}.`;
}
