import { familyOf } from '../balance/families.js';
import type { Problem } from '../errors.js';
import type { BakeStage, FamilyId, Kitchen, Rack, Tin } from '../formula/types.js';
import { heightFor, outlineOf, tinProblems } from '../tin/geometry.js';
import { calibrate, type Calibration, type KnownBake } from './calibrate.js';
import { browningWords, type Browning } from './browning.js';
import { heatAdvice, planOf, type PlanMark } from './plan.js';
import { allStages } from './stages.js';
import { degreesIn } from '../quantity/degrees.js';
import type { Sample, Section } from './record.js';
import { simulate } from './run.js';
import { calibrationFor } from './calibration.js';
import { learnedFactor, placeOf } from './learned.js';
import { rangeFrom, sampleTimes, Z80 } from './sample.js';
import { setupOf } from './setup.js';

export type { PlanMark } from './plan.js';

export interface Known {
  readonly tin: Tin;
  readonly batterG: number;
  readonly ovenC: number;
  readonly minutes: number;
}

export interface BakeInput {
  /** Batter in one tin, all its cups together, g. */
  readonly batterG: number;
  readonly tin: Tin;
  readonly count?: number;
  readonly family: FamilyId;
  /** Dial temperature, °C. */
  readonly ovenC: number;
  readonly fan?: boolean;
  readonly ovenId?: string;
  /** Where it stands in the oven; the middle when left out. */
  readonly rack?: Rack;
  /** Whose batter it is, for what the log has taught of it. */
  readonly formulaId?: string;
  readonly startC?: number;
  /** What the oven has really reached when the tin goes in, °C; when left out, the dial. */
  readonly ovenReachedC?: number;
  /** Whether the empty tin was heated in the oven first. */
  readonly hotTin?: boolean;
  /**
   * Mass fractions of all water, flour's own too, of fat, and of what colours a crust: sugar, and milk's and egg's
   * solids; left-over soda in g per 100 g. Without it the family's ordinary batter is taken.
   */
  readonly composition?: {
    readonly water: number;
    readonly fat: number;
    readonly sugar?: number;
    readonly milk?: number;
    readonly leftSoda?: number;
  };
  readonly densityGPerMl?: number;
  readonly rise?: number;
  readonly stages?: readonly BakeStage[];
  /** A time the baker trusts, for instance the recipe's own. */
  readonly known?: Known;
  /** What known bakes have taught already (`calibrate`); it takes the place of `known`. */
  readonly calibration?: Calibration;
  /** How many samples make the range; without any it is stated from the documented errors. At least 8. */
  readonly samples?: number;
  /** Shifts the samples' design; results repeat for the same seed. */
  readonly seed?: number;
  /** Whether the temperatures through the middle are wanted too. */
  readonly section?: boolean;
}

export interface BakePrediction {
  /** 80 % range and the likely time; all 0 when a problem makes a bake impossible. */
  readonly minutes: { readonly early: number; readonly likely: number; readonly late: number };
  /** 0–1, from the one-sigma error: 1 is certain, 0.35 is uncalibrated. */
  readonly confidence: number;
  readonly sure: string;
  readonly calibration: Calibration | null;
  readonly doneC: number;
  readonly curve: readonly Sample[];
  /** The middle after it was taken out, until it falls; and how much it gains, K. */
  readonly after: readonly { readonly s: number; readonly centreC: number }[];
  readonly carryK: number;
  /** 1 is golden, 8 dark; a relative scale. */
  readonly browning: Browning & { readonly words: string };
  readonly plan: readonly PlanMark[];
  /** What the crust says of the heat; null when it suits. */
  readonly heatAdvice: string | null;
  /** Present when it was asked for. */
  readonly section: Section | null;
  readonly lossPct: number;
  readonly batterMm: number;
  readonly problems: readonly Problem[];
}

function problemsOf(input: BakeInput, kitchen?: Kitchen): Problem[] {
  const out = [...tinProblems(input.tin)];
  const add = (id: string, words: string, remedy: string): void => void out.push({ id, place: 'bake', words, remedy });
  if (!(Number.isFinite(input.batterG) && input.batterG > 0))
    add('no-batter', 'There is no batter in the tin.', 'Give the formula some weight, or put a tin in.');
  const done = familyOf(input.family).doneC[0];
  const hottest = Math.max(input.ovenC, ...(input.stages ?? []).map((s) => s.ovenC));
  if (!Number.isFinite(input.ovenC)) add('no-heat', 'The oven has no temperature.', 'Type one, in °C or °F.');
  else if (input.ovenC < done + 15)
    add(
      'oven-cold',
      `At ${degreesIn(kitchen?.display.temperature, input.ovenC)} the middle would never reach ${degreesIn(kitchen?.display.temperature, done)} in good time.`,
      'Turn the oven up; if the figure was meant in Fahrenheit, type F after it.',
    );
  else if (hottest > 320)
    add(
      'oven-hot',
      `${degreesIn(kitchen?.display.temperature, hottest)} is beyond a home oven.`,
      'If it was meant in Fahrenheit, type F after it.',
    );
  if (input.hotTin && (input.tin.material === 'glass' || input.tin.material === 'ceramic'))
    add(
      'hot-glass',
      `Cold batter in a hot ${input.tin.material === 'glass' ? 'glass' : 'ceramic'} tin can crack it.`,
      'Fill this one cold, or take one of metal.',
    );
  if (!out.some((x) => fatal.has(x.id))) {
    const o = outlineOf(input.tin);
    const height = heightFor(input.tin, input.batterG / (input.densityGPerMl ?? 1));
    if (height > 300 || (!o.free && height > o.depth * 3))
      add('too-deep', `The batter would stand ${Math.round(height)} mm deep.`, 'Take more tins, or a bigger one.');
    if (height < 2) add('too-thin', 'The batter would be thinner than 2 mm.', 'Take a smaller tin, or make more.');
  }
  return out;
}

/** Problems that leave no bake to simulate; the others are warnings beside a result. */
const fatal = new Set([
  'no-batter',
  'no-heat',
  'oven-cold',
  'oven-hot',
  'too-deep',
  'too-thin',
  'tin-size',
  'tin-tube',
  'tin-large',
  'tin-deep',
  'tin-shallow',
  'tin-small',
]);

/**
 * Predicts time and heat for one tin from geometry and physics; docs/science/bake.md has the model. Known times scale
 * one factor on heat transfer. Synchronous; some 5 ms for a round and 30 ms for a loaf, several times that with known
 * times or samples, so that it belongs in a worker.
 */
export function predictBake(input: BakeInput, kitchen?: Kitchen): BakePrediction {
  const problems = problemsOf(input, kitchen);
  if (problems.some((x) => fatal.has(x.id))) return nothing(problems);
  const calibration = calibrationOf(input, kitchen);
  const asked: BakeInput = calibration ? { ...input, calibration } : input;
  const setup = setupOf(asked, kitchen);
  const run = simulate(setup, { section: input.section ?? false });
  if (run.doneMin === null)
    return nothing([
      ...problems,
      {
        id: 'never-done',
        place: 'bake',
        words: 'The middle is not done within six hours.',
        remedy: 'Turn the oven up, or divide the batter over more tins.',
      },
    ]);
  const logs = (input.samples ?? 0) > 0 ? sampleTimes(asked, kitchen, 0, Math.min(512, input.samples ?? 0)) : [];
  const { timeSd, ...minutes } = rangeFrom(run.doneMin, logs, calibration);
  const known = calibration !== null && calibration.used > 0;
  return {
    minutes,
    ...certainty(timeSd, known),
    calibration,
    doneC: setup.doneC,
    curve: run.curve,
    after: run.after,
    carryK: run.carryK,
    browning: { ...run.browning, words: browningWords(run.browning) },
    plan: planOf(run, minutes, familyOf(input.family), known, allStages(input), kitchen),
    heatAdvice: heatAdvice(run, input.tin.material, kitchen),
    section: run.section,
    lossPct: run.lossPct * learnedFactor(kitchen, 'loss', input.formulaId),
    batterMm: run.batterMm,
    problems: [
      ...problems,
      ...(calibration?.doubts ?? []).map((words) => ({
        id: 'known-time',
        place: 'known time',
        words,
        remedy: 'It is left out of the prediction until it is mended.',
      })),
    ],
  };
}

/** What is given, what a learned kitchen knows of it, or what the time that was stated for it says. */
function calibrationOf(input: BakeInput, kitchen: Kitchen | undefined): Calibration | null {
  if (input.calibration) return input.calibration;
  const known = input.known ? statedBake(input, input.known) : null;
  if (kitchen?.learned) return calibrationFor(placeOf(input, kitchen), known, kitchen);
  return known ? calibrate([known], kitchen) : null;
}

/** How sure a time is, as a figure and in words. */
function certainty(timeSd: number, known: boolean): { confidence: number; sure: string } {
  return {
    confidence: Math.max(0, Math.min(1, 1 - 5 * timeSd)),
    sure: `4 bakes in 5 within ${Math.round(100 * (Math.exp(Z80 * timeSd) - 1))} % of it${known ? '' : '; a known time would narrow it'}`,
  };
}

/**
 * A prediction with the range that samples give, for when they were made elsewhere (`sampleTimes`, spread over
 * workers). The marks that hang on the early end move with it.
 */
export function withRange(
  p: BakePrediction,
  logs: readonly number[],
  input: BakeInput,
  kitchen?: Kitchen,
): BakePrediction {
  if (p.minutes.likely === 0 || logs.length === 0) return p;
  const { timeSd, ...minutes } = rangeFrom(p.minutes.likely, logs, p.calibration);
  const known = (p.calibration?.used ?? 0) > 0;
  const run = {
    doneMin: p.minutes.likely,
    curve: p.curve,
    after: p.after,
    carryK: p.carryK,
    topDarkMin: p.plan.find((m) => m.kind === 'tent')?.atMin ?? null,
  };
  return {
    ...p,
    minutes,
    ...certainty(timeSd, known),
    plan: planOf(run, minutes, familyOf(input.family), known, allStages(input), kitchen),
  };
}

/** The bake that a known time speaks of: the same batter and family in its own tin and heat. */
export function statedBake(input: BakeInput, k: Known): KnownBake {
  const { known: _known, calibration: _calibration, stages: _stages, ...rest } = input;
  return { input: { ...rest, tin: k.tin, batterG: k.batterG, ovenC: k.ovenC }, minutes: k.minutes, kind: 'stated' };
}

const nothing = (problems: readonly Problem[]): BakePrediction => ({
  minutes: { early: 0, likely: 0, late: 0 },
  confidence: 0,
  sure: 'no prediction',
  calibration: null,
  doneC: 0,
  curve: [],
  after: [],
  carryK: 0,
  browning: { top: 0, side: 0, base: 0, words: '' },
  plan: [],
  heatAdvice: null,
  section: null,
  lossPct: 0,
  batterMm: 0,
  problems,
});
