import { weightIn } from '../bake/bake-input.js';
import { airOf, donenessOf, heatAt, type Place } from '../bake/learned.js';
import { priorSd, USUAL_NOISE, USUAL_WAIT_MIN } from '../bake/priors.js';
import { fitRows, without, type Fitted, type Row } from '../bake/normal.js';
import { reckon, timeAt, type Reckoned } from '../bake/reckon.js';
import type { Kitchen, Learned } from '../formula/types.js';
import { meant } from './doubts.js';
import { centreOf, inputOf, meanHeight, rackOff } from './seen.js';
import type { BakeRecord } from './types.js';

/** A simulated oven or a clock that ran faster says nothing of the kitchen's own. */
const tried = (b: BakeRecord): boolean => (b.observed?.simulated ?? []).some((x) => x !== 'scale');

/** Whether a bake may teach: not left out by the baker, not simulated, and with a time that can be one. */
export const teaches = (b: BakeRecord): boolean =>
  !b.excluded && !b.fromFreezer && !tried(b) && b.minutes > 0 && b.minutes < 600;

/** What the model says of a logged bake in an ordinary kitchen; null when it would never be done. */
export const reckonBake = (b: BakeRecord, kitchen: Kitchen): Reckoned | null => reckon(inputOf(b), kitchen);

/** All that `reckonBake` depends on, as a key to keep its result by. */
export const reckonKey = (b: BakeRecord, kitchen: Kitchen): string => {
  const { formulaId: _formulaId, rack: _rack, ...input } = inputOf(b);
  const { name: _name, ...tin } = input.tin;
  const bias = kitchen.ovens.find((o) => o.id === b.ovenId)?.biasC ?? 0;
  return JSON.stringify([{ ...input, tin }, bias, kitchen.altitudeM, kitchen.roomC]);
};

/** How far an outcome moves the time that was wanted, in ln, and one sigma of that. Judgements. */
const WANTED: Readonly<Record<BakeRecord['outcome'], readonly [shift: number, sd: number]>> = {
  good: [0, 0],
  fine: [0, 0.02],
  under: [0.1, 0.08],
  over: [-0.1, 0.08],
  dry: [-0.05, 0.07],
  sunk: [0.04, 0.08],
  dense: [0, 0.03],
};
/** The same for a step of the moisture mark away from moist. */
const PER_STEP = -0.025;
/** One sigma of a thermometer in the middle (where it is put), K, and of the model's own course, ln. */
const CENTRE_SD = { k: 1.5, log: 0.03 } as const;
/** One sigma of one reading on the rack, K: the thermostat's swing. */
const RACK_SD = 4;
/** One sigma of a height measured with a rule, of a cup of batter, and of a loss by the scale, in ln. */
const RESULT_SD = { rise: 0.06, dense: 0.04, loss: 0.12, stand: 0.5 } as const;

/** A parameter's name at an instant: what was to be forgotten keeps teaching the rest under another name. */
export function nameAt(key: string, at: number, kitchen: Kitchen): string {
  const by = key.startsWith('rack:') || key.startsWith('pace:') ? `bias:${key.split(':')[1] ?? ''}` : key;
  const from = Math.max(kitchen.forgotten?.[key] ?? 0, kitchen.forgotten?.[by] ?? 0, kitchen.forgotten?.['all'] ?? 0);
  return at < from ? `${key}~` : key;
}

const placeOfBake = (b: BakeRecord): Place => ({
  ovenId: b.ovenId,
  ...(b.rack && { rack: b.rack }),
  tin: b.tin.tin,
  formulaId: b.formulaId,
});

/** ln of the time that was wanted over the time it was baked for, and one sigma of it. */
function wanted(b: BakeRecord): readonly [number, number] {
  const [shift, sd] = WANTED[b.outcome];
  const moist = b.result?.marks?.moisture;
  return moist === undefined ? [shift, sd] : [shift + PER_STEP * (moist - 3), Math.hypot(sd, 0.02)];
}

/** The slopes of the time row of a bake: what is predicted when nothing is known but where and what it is. */
export function timeAtPlace(b: BakeRecord, r: Reckoned, kitchen: Kitchen): (readonly [string, number])[] {
  return [...heatAt(placeOfBake(b), r), ...donenessOf(b.formulaId, r.perDoneK)].map(
    ([k, s]) => [nameAt(k, b.at, kitchen), s] as const,
  );
}

/** Everything that one bake says, as rows of the joint fit. */
export function rowsOf(b: BakeRecord, r: Reckoned | null, kitchen: Kitchen, noise = USUAL_NOISE): Row[] {
  if (!teaches(b)) return [];
  const out: Row[] = [];
  const add = (at: readonly (readonly [string, number])[], y: number, sd: number): void => {
    if (Number.isFinite(y)) out.push({ of: b.id, at: at.map(([k, s]) => [nameAt(k, b.at, kitchen), s] as const), y, sd, robust: !b.confirmed }); // prettier-ignore
  };
  const own = (key: string): readonly (readonly [string, number])[] => [
    [key, 1],
    [`${key}:${b.formulaId}`, 1],
  ];
  if (r) {
    const heat = heatAt(placeOfBake(b), r);
    const [shift, sd] = wanted(b);
    const centre = centreOf(b);
    const reached = centre && timeAt(r.path, centre.c);
    if (centre && reached !== null) {
      // a thermometer tells the heat it got from when it was taken out
      const perMin = Math.max(1e-3, r.perDoneK);
      add(heat, Math.log(centre.min / reached), Math.hypot(CENTRE_SD.log, CENTRE_SD.k * perMin));
      add(donenessOf(b.formulaId), centre.c - r.doneC + shift / perMin, Math.hypot(CENTRE_SD.k, noise / perMin, sd / perMin)); // prettier-ignore
    } else {
      add([...heat, ...donenessOf(b.formulaId, r.perDoneK)], Math.log(b.minutes / r.minutes) + shift, Math.hypot(noise, sd)); // prettier-ignore
    }
    const [height, outG] = [meanHeight(b.result), b.result?.outG];
    if (height !== null && r.batterMm > 0) add(own('rise'), Math.log(height / (r.batterMm * b.rise)), RESULT_SD.rise);
    if (outG !== undefined && outG > 0 && outG < weightIn(b) && r.lossPct > 0)
      add(own('loss'), Math.log((100 * (1 - outG / weightIn(b))) / r.lossPct), RESULT_SD.loss);
  }
  const cup = b.result?.cup;
  if (cup && cup.ml > 0 && cup.g > 0) add(own('dense'), Math.log(cup.g / cup.ml / b.densityGPerMl), RESULT_SD.dense);
  const stood = b.observed?.stoodMin;
  if (stood !== undefined) add(own('stand'), Math.log(Math.max(0.5, stood) / USUAL_WAIT_MIN), RESULT_SD.stand);
  const off = rackOff(b);
  if (off)
    add(
      [...airOf(b), ['thermometer', 1]],
      off.k - (kitchen.ovens.find((o) => o.id === b.ovenId)?.biasC ?? 0),
      RACK_SD / Math.sqrt(Math.min(4, off.readings)),
    );
  return out;
}

/** Whether a parameter is one formula's own. */
const hangsOn = (key: string, formulaId: string): boolean =>
  /^(?:batter|done|rise|dense|loss|stand):/.test(key) &&
  key.slice(key.indexOf(':') + 1).replace(/~$/, '') === formulaId;

/** A bake that says something so unlike all others that it should be asked about. */
export interface LogDoubt {
  readonly bakeId: string;
  readonly words: string;
  /** What was more likely meant, min; when there is such a figure. */
  readonly meantMin?: number;
}

/** One bake's time, as it was reckoned and as it is foretold by all the other bakes. */
export interface Told {
  readonly bakeId: string;
  readonly minutes: number;
  readonly before: number;
  readonly after: number;
  /** One sigma of ln(after), bake-to-bake noise included. */
  readonly sd: number;
}

export interface LogErrors {
  /** Median and root mean square of |ln(time / foretold)|, before and after learning. */
  readonly before: { readonly median: number; readonly rms: number };
  readonly after: { readonly median: number; readonly rms: number };
  /** Share of bakes inside the 80 % range that the others give. */
  readonly within: number;
  readonly each: readonly Told[];
}

export interface Lesson {
  readonly learned: Learned;
  readonly doubts: readonly LogDoubt[];
  /** Leave-one-out over the newest bakes that came out and are not doubted; null when there are fewer than three. */
  readonly errors: LogErrors | null;
  /** How much each bake still counts, 0–1.25, by its id: a wild one hardly. */
  readonly counts: Readonly<Record<string, number>>;
}

/** Bakes of a formula that count apart; older ones of many other formulas teach only what is shared. */
const FORMULAS_APART = 60;
/** Newest bakes that the leave-one-out looks at. */
const LOOKED_AT = 120;
/** Sigmas from which a time is asked about. */
const WILD = 3.5;
/** How many bakes' worth of trust the usual noise has. */
const NOISE_TRUST = 12;

/**
 * Learns from the whole log at once, whatever order it comes in; taking a bake out takes out all it taught.
 *
 * @param reckoned what the model says of each bake (`reckonBake`), by its id
 */
export function learn(
  bakes: readonly BakeRecord[],
  reckoned: Readonly<Record<string, Reckoned | null>>,
  kitchen: Kitchen,
): Lesson {
  const teaching = bakes.filter(teaches);
  const newest = [...teaching].sort((a, b) => b.at - a.at || (a.id < b.id ? -1 : 1));
  const apart = new Set(newest.map((b) => b.formulaId).filter((x, i, all) => all.indexOf(x) === i).slice(0, FORMULAS_APART)); // prettier-ignore
  const rowsWith = (noise: number): Row[] =>
    teaching.flatMap((b) =>
      rowsOf(b, reckoned[b.id] ?? null, kitchen, noise).map((row) =>
        apart.has(b.formulaId) ? row : { ...row, at: row.at.filter(([k]) => !hangsOn(k, b.formulaId)) },
      ),
    );
  let fit = fitRows(rowsWith(USUAL_NOISE), priorSd);
  const timed = newest.filter((b) => reckoned[b.id] && (b.outcome === 'good' || b.outcome === 'fine'));
  const told = (noise: number): Told[] => timed.slice(0, LOOKED_AT).map((b) => tell(b, reckoned[b.id] as Reckoned, fit, noise, kitchen)); // prettier-ignore
  // what the others leave unexplained, over how unsure they are, is this kitchen's own noise
  const scale = told(USUAL_NOISE).map((t) => Math.min(9, (Math.log(t.minutes / t.after) / t.sd) ** 2));
  const noise = USUAL_NOISE * Math.sqrt((NOISE_TRUST + scale.reduce((a, b) => a + b, 0)) / (NOISE_TRUST + scale.length)); // prettier-ignore
  if (scale.length > 0) fit = fitRows(rowsWith(noise), priorSd);
  const counts: Record<string, number> = {};
  fit.rows.forEach((r, k) => (counts[r.of] = Math.min(counts[r.of] ?? 2, fit.weights[k] as number)));
  const seen = new Map<string, Set<string>>();
  for (const r of fit.rows) for (const [k] of r.at) (seen.get(k) ?? seen.set(k, new Set()).get(k))?.add(r.of);
  const doubts = newest.flatMap((b) => {
    const r = reckoned[b.id];
    if (!r || b.confirmed || b.outcome === 'under' || b.outcome === 'over') return [];
    const t = tell(b, r, fit, noise, kitchen);
    const off = Math.log(b.minutes / t.after) / t.sd;
    return Math.abs(off) < WILD ? [] : [doubtOf(b, t)];
  });
  // a time that is asked about says nothing of how well times are foretold
  const sure = told(noise).filter((t) => !doubts.some((d) => d.bakeId === t.bakeId));
  return {
    learned: {
      keys: fit.keys,
      mean: fit.mean,
      cov: fit.cov,
      bakes: fit.keys.map((k) => seen.get(k)?.size ?? 0),
      noise,
    },
    doubts,
    errors: sure.length >= 3 ? errorsOf(sure) : null,
    counts,
  };
}

/** A bake's time by all the others. */
function tell(b: BakeRecord, r: Reckoned, fit: Fitted, noise: number, kitchen: Kitchen): Told {
  const t = without(fit, b.id, timeAtPlace(b, r, kitchen), priorSd);
  const shift = wanted(b)[0];
  return {
    bakeId: b.id,
    minutes: b.minutes,
    before: r.minutes,
    after: r.minutes * Math.exp(t.mean - shift),
    sd: Math.hypot(t.sd, noise),
  };
}

function doubtOf(b: BakeRecord, t: Told): LogDoubt {
  const likely = meant(b.minutes, t.after, t.sd);
  const about = `${Math.round(t.after)} min would be expected from your other bakes`;
  return {
    bakeId: b.id,
    words:
      likely === null
        ? `${b.minutes} min is far off: ${about}. It hardly counts until it is put right or confirmed.`
        : `${b.minutes} min is far off: ${about}. Was ${likely} min meant? It hardly counts until then.`,
    ...(likely !== null && { meantMin: likely }),
  };
}

function errorsOf(each: readonly Told[]): LogErrors {
  const of = (pick: (t: Told) => number): { median: number; rms: number } => {
    const logs = each.map((t) => Math.abs(Math.log(t.minutes / pick(t)))).sort((a, b) => a - b);
    const mid = logs.length >> 1;
    return {
      median: logs.length % 2 ? (logs[mid] as number) : ((logs[mid - 1] as number) + (logs[mid] as number)) / 2,
      rms: Math.sqrt(logs.reduce((s, x) => s + x * x, 0) / logs.length),
    };
  };
  return {
    before: of((t) => t.before),
    after: of((t) => t.after),
    within: each.filter((t) => Math.abs(Math.log(t.minutes / t.after)) <= 1.2816 * t.sd).length / each.length,
    each,
  };
}
