import type { Kitchen, Learned, Tin } from '../formula/types.js';
import { degreesMore } from '../quantity/degrees.js';
import type { Calibration, KnownBake } from './calibrate.js';
import { donenessOf, heatAt, knownOf, NOTHING, ovenOff, priorSd, type Place, type Slopes } from './learned.js';
import { sumOf } from './normal.js';
import { reckon } from './reckon.js';
import { UNCALIBRATED_SD } from './sample.js';
import { within } from '../text/plain.js';

/** Typical slopes where a bake's own are not worth a simulation: for how sure a time is. See docs/science/bake.md. */
const typicalSlopes = (shape: Tin['shape']): Slopes =>
  shape === 'loaf' || shape === 'tube'
    ? { perK: -0.0072, perSpeed: -0.44, perDoneK: 0.022 }
    : { perK: -0.012, perSpeed: -0.62, perDoneK: 0.02 };

/** One sigma of ln of a recipe's stated time: the spread of recipes, and its author's oven. */
const STATED_SD = 0.12;

/**
 * What the log, and a recipe's own stated time, say of one bake to come: the heat it really gets, and when this baker
 * takes it out. A stated time speaks of the formula and of tins of its shape, not of this kitchen's oven.
 *
 * @param known the formula's stated time in its own tin, if it has one
 */
export function calibrationFor(place: Place, known: KnownBake | null, kitchen: Kitchen | undefined): Calibration {
  const learned = kitchen?.learned ?? NOTHING;
  const slopes = typicalSlopes(place.tin.shape);
  const heat = heatAt(place, slopes);
  const speedKeys = heat.filter(([k]) => !/^(?:bias|rack):/.test(k)).map(([k]) => k);
  const biasKeys = heat.filter(([k]) => /^(?:bias|rack):/.test(k)).map(([k]) => k);
  const all = [...heat, ...donenessOf(place.formulaId, slopes.perDoneK)];
  let speed = knownOf(learned, speedKeys);
  const bias = knownOf(learned, biasKeys);
  const done = knownOf(
    learned,
    donenessOf(place.formulaId).map(([k]) => k),
  );
  let time = sumOf(learned, all, priorSd);
  const doubts: string[] = [];
  let stated = 0;
  const r = known && reckon(known.input, kitchen);
  if (known && r) {
    // of what the stated time can speak: this formula's batter, and the model in tins of that shape or that very tin
    const of = known.input.tin;
    const about = [
      ...(place.formulaId !== undefined ? [`batter:${place.formulaId}`] : []),
      `shape:${of.shape}`,
      `tin:${of.id}`,
    ];
    const shared = about.filter((k) => speedKeys.includes(k));
    const y = Math.log(known.minutes / r.minutes);
    const before = sumOf(
      learned,
      about.map((k) => [k, r.perSpeed] as const),
      priorSd,
    );
    const gap = y - before.mean;
    const spread = Math.hypot(before.sd, STATED_SD);
    if (Math.abs(gap) > 4 * spread)
      doubts.push(
        `${Math.round(known.minutes)} min in ${of.name || 'that tin'} is ${gap > 0 ? 'slower' : 'faster'} than any ordinary oven: check the time, the heat and the tin.`,
      );
    else {
      // how the sum of what is asked moves with the sum that was stated; what the log knows well hardly moves
      const cross = covariance(learned, speedKeys, about) * r.perSpeed;
      const gain = cross / spread ** 2;
      speed = { ...speed, mean: speed.mean + gain * gap, sd: Math.sqrt(Math.max(1e-6, speed.sd ** 2 - gain * cross)) };
      time = { ...time, sd: Math.sqrt(Math.max(1e-6, time.sd ** 2 - gain * cross * slopes.perSpeed ** 2)) };
      stated = shared.length > 0 ? 1 : 0;
    }
  }
  const logged = knownOf(learned, [`bias:${place.ovenId}`]).bakes;
  return {
    speed: Math.exp(Math.max(-0.7, Math.min(0.7, speed.mean))),
    biasC: Math.round(10 * bias.mean) / 10,
    doneK: Math.round(10 * done.mean) / 10,
    sdLog: speed.sd,
    // what is known can only narrow what is documented for a kitchen of which nothing is
    timeSd: Math.min(UNCALIBRATED_SD, Math.hypot(time.sd, learned.noise)),
    used: logged + stated,
    ...(logged + stated > 0 && { learned: true }),
    words: wordsOf(place, learned, logged, stated > 0, speed.mean, kitchen),
    doubts,
  };
}

/** Covariance of two sums of parameters; each parameter that nothing is known of has its prior alone. */
function covariance(l: Learned, a: readonly string[], b: readonly string[]): number {
  let sum = 0;
  for (const x of a)
    for (const y of b) {
      const [i, j] = [l.keys.indexOf(x), l.keys.indexOf(y)];
      sum += i >= 0 && j >= 0 ? ((l.cov[i] as readonly number[])[j] as number) : x === y ? priorSd(x) ** 2 : 0;
    }
  return sum;
}

const bakesWords = (n: number): string => (n === 1 ? 'one bake' : `${n} bakes`);

function wordsOf(
  place: Place,
  learned: Learned,
  logged: number,
  stated: boolean,
  logSpeed: number,
  kitchen: Kitchen | undefined,
): string {
  const out: string[] = [];
  const slope = typicalSlopes(place.tin.shape).perSpeed;
  const pct = Math.round(100 * Math.abs(Math.exp(slope * logSpeed) - 1));
  const slower = slope * logSpeed > 0;
  if (logged > 0 && kitchen) {
    const off = ovenOff(kitchen, place.ovenId, place.rack);
    const name = kitchen.ovens.find((o) => o.id === place.ovenId)?.name;
    const oven = kitchen.ovens.length > 1 && name ? `Your ${within(name)}` : 'Your oven';
    const about = Math.round(Math.abs(off.mean));
    out.push(
      about < 2
        ? `${oven} keeps to its dial, from ${bakesWords(logged)}.`
        : `${oven} runs about ${degreesMore(kitchen.display.temperature, about)} ${off.mean > 0 ? 'hot' : 'cool'}, from ${bakesWords(logged)}.`,
    );
    if (pct >= 3) out.push(`In this tin this batter takes ${pct} % ${slower ? 'longer' : 'less'} than reckoned${stated ? ', its stated time counted' : ''}.`); // prettier-ignore
    const done = knownOf(
      learned,
      donenessOf(place.formulaId).map(([k]) => k),
    ).mean;
    if (Math.abs(done) >= 1) out.push(`You take it out about ${degreesMore(kitchen.display.temperature, Math.abs(done))} ${done > 0 ? 'warmer' : 'cooler'} in the middle than usual.`); // prettier-ignore
    return out.join(' ');
  }
  if (!stated) return 'No known time yet: an ordinary oven is assumed.';
  return pct < 3
    ? 'Its stated time agrees with an ordinary oven.'
    : `By its stated time it takes ${pct} % ${slower ? 'longer' : 'less'} than in an ordinary oven.`;
}
