import {
  bakeInputOf,
  fitTins,
  reckonBake,
  scale,
  type BakeInput,
  type BakeRecord,
  type Kitchen,
  type Reckoned,
  type TinFit,
} from '../../src/index.js';
import { simulate } from '../../src/bake/run.js';
import { setupOf } from '../../src/bake/setup.js';
import { demo, demoIds, demoKitchen } from './make.js';
import { dice } from './strange-oven.js';

/** A kitchen that the learner has to find out about, with bakes made in it. */
export interface SimulatedKitchen {
  readonly kitchen: Kitchen;
  readonly bakes: readonly BakeRecord[];
  readonly reckoned: Readonly<Record<string, Reckoned | null>>;
  /** How much hotter the air was than the dial, K: the mean over the bakes. */
  readonly biasC: number;
  /** What each bake would have taken but for the bake's own noise, min. */
  readonly without: readonly number[];
}

export interface Made {
  /** How many bakes, and of which share a thermometer tells something. */
  readonly bakes: number;
  readonly read: number;
}

interface Known {
  readonly id: string;
  readonly title: string;
  readonly fit: TinFit;
  readonly input: BakeInput & { readonly densityGPerMl: number; readonly rise: number };
}

const plain = demoKitchen();
const known = new Map<string, Known>();
/** A formula of the sample kitchen in its own tin or in another that suits its shape. */
function inTin(id: string, other: boolean): Known {
  const key = `${id}${other ? '+' : ''}`;
  const had = known.get(key);
  if (had) return had;
  const f = demo(id);
  const own = f.tins?.[0];
  if (!own) throw new Error(`${id} has no tin`);
  const kind = own.tin.shape;
  const swap = other ? plain.tins.find((t) => t.id !== own.tin.id && (t.shape === kind || (kind === 'square' && t.shape === 'round'))) : undefined; // prettier-ignore
  const use = swap ? { tin: swap, count: 1 } : own;
  const scaled = scale(f, { by: 'tins', tins: [use] }, plain).formula;
  const fit = fitTins(scaled, [use], plain)[0] as TinFit;
  const made = { id, title: f.title, fit, input: bakeInputOf(scaled, fit, plain) };
  known.set(key, made);
  return made;
}

const reckonings = new Map<string, Reckoned | null>();
const reckoned = (b: BakeRecord, key: string): Reckoned | null => {
  if (!reckonings.has(key)) reckonings.set(key, reckonBake(b, plain));
  return reckonings.get(key) ?? null;
};

/**
 * A kitchen of its own laws, which are not the learner's: its oven errs by a constant (one sigma 10 K) and more at high
 * heat, drifts from day to day and moves its air more or less; each tin takes its own share of time (10 %), each batter
 * carries more or less vapour, the baker likes it more or less done, and every bake has noise of 6 % and a time in full
 * minutes. A share of the bakes has a reading: on the rack, by a thermometer that is itself off, or in the middle.
 */
export function simulatedKitchen(seed: number, { bakes: n, read }: Made): SimulatedKitchen {
  const d = dice(seed);
  const offC = d.normal(10);
  const tilt = d.normal(0.05);
  const moves = Math.exp(d.normal(0.15));
  const likes = d.normal(0.03);
  const thermometer = d.normal(2);
  const tins = new Map<string, number>();
  const batters = new Map<string, number>();
  const of = (map: Map<string, number>, key: string, sd: number): number => {
    if (!map.has(key)) map.set(key, Math.exp(d.normal(sd)));
    return map.get(key) as number;
  };
  // a household makes some of its formulas, not all
  const favourites = Array.from({ length: 5 }, () => demoIds[Math.floor(d.even(0, demoIds.length - 1e-9))] as string);
  const bakes: BakeRecord[] = [];
  const without: number[] = [];
  const facts: Record<string, Reckoned | null> = {};
  let bias = 0;
  while (bakes.length < n) {
    const other = d.even(0, 1) < 0.25;
    const k = inTin(favourites[Math.floor(d.even(0, 4.999))] as string, other);
    const dial = k.input.ovenC + [0, 0, -10, 10][Math.floor(d.even(0, 3.999))]!; // oxlint-disable-line typescript/no-non-null-assertion
    const off = offC + tilt * (dial - 180) + d.normal(2);
    const setup = setupOf({ ...k.input, ovenC: dial }, plain);
    const run = simulate({
      ...setup,
      stages: setup.stages.map((s) => ({ ...s, ovenC: s.ovenC + off })),
      convection: moves,
      vapour: of(batters, k.id, 0.2),
      resolution: 0.6,
    });
    if (run.doneMin === null) continue;
    const tin = of(tins, k.fit.tin.id, 0.1);
    const wanted = run.doneMin * tin * Math.exp(likes);
    const minutes = Math.max(3, Math.round(wanted * Math.exp(d.normal(0.06))));
    const at = (min: number): number => {
      const s = (min / tin) * 60;
      const i = run.curve.findIndex((p) => p.s >= s);
      const [a, b] = [run.curve[Math.max(0, i - 1)], run.curve[i < 0 ? run.curve.length - 1 : i]];
      if (!a || !b || b.s === a.s) return b?.centreC ?? 0;
      return a.centreC + (b.centreC - a.centreC) * Math.min(1.5, (s - a.s) / (b.s - a.s));
    };
    const thermo = d.even(0, 1) < read;
    const onRack = d.even(0, 1) < 0.5;
    const id = `k${seed}-${bakes.length}`;
    const record: BakeRecord = {
      id,
      formulaId: k.id,
      versionId: null,
      title: k.title,
      family: k.input.family,
      densityGPerMl: k.input.densityGPerMl,
      rise: k.input.rise,
      ...(k.input.composition && { composition: k.input.composition }),
      ...(k.input.stages && { stages: k.input.stages }),
      ...(k.input.hotTin && { hotTin: true }),
      at: 1_000_000 * (bakes.length + 1),
      tin: { tin: k.fit.tin, count: 1 },
      batterG: k.input.batterG,
      ovenId: 'big',
      ovenC: dial,
      fan: k.input.fan ?? false,
      predicted: null,
      minutes,
      outcome: 'good',
      notes: '',
      ...(thermo && !onRack && { result: { centreC: Math.round(10 * (at(minutes) + d.normal(1))) / 10 } }),
      ...(thermo &&
        onRack && {
          observed: {
            beganAt: 0,
            intoOvenAt: 0,
            weighed: [],
            added: [],
            skipped: [],
            ovenReadings: [12, minutes].map((min) => ({ min: Math.max(12, min), ovenC: Math.round(dial + off + thermometer + d.normal(4)) })), // prettier-ignore
          },
        }),
    };
    bakes.push(record);
    without.push(wanted);
    facts[id] = reckoned(record, `${k.id}/${k.fit.tin.id}/${dial}`);
    bias += off / n;
  }
  return { kitchen: plain, bakes, reckoned: facts, biasC: bias, without };
}
