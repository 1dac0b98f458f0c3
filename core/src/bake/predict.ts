import { familyOf } from '../balance/families.js';
import type { Problem } from '../errors.js';
import type { Kitchen } from '../formula/types.js';
import { weightIn, type BakeInput, type Calibration, type Known, type KnownBake } from './bake-input.js';
import { browningWords, type Browning } from './browning.js';
import { heatAdvice, planOf, type PlanMark } from './plan.js';
import { allStages } from './stages.js';
import { problemsOf } from './problems.js';
import type { Sample, Section } from './record.js';
import { simulate } from './run.js';
import { calibrationFor } from './calibration.js';
import { learnedFactor, placeOf } from './learned.js';
import { Z80 } from './priors.js';
import { rangeFrom, sampleTimes } from './sample.js';
import { setupOf } from './setup.js';

export type { PlanMark } from './plan.js';

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
  /** Batter and what lies on it, g; and the water that has gone when it is cold, % of that. */
  readonly intoG: number;
  readonly lossPct: number;
  readonly batterMm: number;
  readonly problems: readonly Problem[];
}

/**
 * Predicts time and heat for one tin from geometry and physics; docs/science/bake.md has the model. Known times scale
 * one factor on heat transfer. Synchronous; some 5 ms for a round and 30 ms for a loaf, several times that with known
 * times or samples, so that it belongs in a worker.
 */
export function predictBake(input: BakeInput, kitchen?: Kitchen): BakePrediction {
  const { stops, doubts: problems } = problemsOf(input, kitchen);
  if (stops.length > 0) return nothing([...stops, ...problems]);
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
        words: 'The middle is not done within twelve hours.',
        remedy:
          input.conditions?.bath === 'open'
            ? 'Open water stays too cool for a crumb to set: cover it, or take the tin out of the water.'
            : 'Turn the oven up, or divide the batter over more tins.',
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
    intoG: weightIn(input),
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

/** What is given, or what the log and the time that is known say of it; null when there is neither. */
function calibrationOf(input: BakeInput, kitchen: Kitchen | undefined): Calibration | null {
  if (input.calibration) return input.calibration;
  const known = input.known ? ({ ...statedBake(input, input.known), kind: 'logged' } as const) : null;
  const wrong = known ? [...problemsOf(known.input, kitchen).stops, ...(known.minutes > 0 && known.minutes < 24 * 60 ? [] : [NO_TIME])] : []; // prettier-ignore
  if (!known && !kitchen?.learned) return null;
  const c = calibrationFor(placeOf(input, kitchen), wrong.length > 0 ? null : known, kitchen);
  return { ...c, doubts: [...c.doubts, ...wrong.map((p) => `The known time is left out: ${p.words}`)] };
}
const NO_TIME = { words: 'It has no minutes.' } as const;

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
  intoG: 0,
  lossPct: 0,
  batterMm: 0,
  problems,
});
