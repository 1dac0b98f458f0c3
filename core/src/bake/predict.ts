import { familyOf } from '../balance/families.js';
import type { Problem } from '../errors.js';
import type { BakeStage, FamilyId, Kitchen, Tin } from '../formula/types.js';
import { heightFor, outlineOf, tinProblems } from '../tin/geometry.js';
import { calibrate, type Calibration, type KnownBake } from './calibrate.js';
import { GOLDEN, simulate, type Run, type Sample } from './run.js';
import { setupOf } from './setup.js';

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
  readonly startC?: number;
  /** Mass fractions of all water, flour's own too, and of fat. */
  readonly composition?: { readonly water: number; readonly fat: number };
  readonly densityGPerMl?: number;
  readonly rise?: number;
  readonly stages?: readonly BakeStage[];
  /** A time the baker trusts, for instance the recipe's own. */
  readonly known?: Known;
  /** What known bakes have taught already (`calibrate`); it takes the place of `known`. */
  readonly calibration?: Calibration;
  /** Samples for the range; the first version states it from documented errors instead. */
  readonly samples?: number;
  readonly seed?: number;
}

export interface PlanMark {
  readonly kind: 'first look' | 'turn' | 'tent' | 'test' | 'out';
  readonly atMin: number;
  readonly words: string;
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
  readonly browning: { readonly top: number; readonly side: number; readonly base: number; readonly words: string };
  readonly plan: readonly PlanMark[];
  readonly lossPct: number;
  readonly batterMm: number;
  readonly problems: readonly Problem[];
}

/** Half-width of an 80 % range in sigmas. */
const Z80 = 1.2816;
/** One sigma of ln(time) when nothing is known: 13 % on tins the model had not seen. */
const UNCALIBRATED_SD = 0.13;

function problemsOf(input: BakeInput): Problem[] {
  const out = [...tinProblems(input.tin)];
  const add = (id: string, words: string, remedy: string): void => void out.push({ id, place: 'bake', words, remedy });
  if (!(Number.isFinite(input.batterG) && input.batterG > 0))
    add('no-batter', 'There is no batter in the tin.', 'Give the formula some weight, or put a tin in.');
  const done = familyOf(input.family).doneC[0];
  if (!Number.isFinite(input.ovenC)) add('no-heat', 'The oven has no temperature.', 'Type one, in °C or °F.');
  else if (input.ovenC < done + 15)
    add(
      'oven-cold',
      `At ${Math.round(input.ovenC)} °C the middle would never reach ${done} °C in good time.`,
      'Turn the oven up; if the figure was meant in Fahrenheit, type F after it.',
    );
  else if (input.ovenC > 320)
    add(
      'oven-hot',
      `${Math.round(input.ovenC)} °C is beyond a home oven.`,
      'If it was meant in Fahrenheit, type F after it.',
    );
  if (out.length === 0) {
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
 * one factor on heat transfer. Synchronous; some 10 ms for a round and 50 ms for a loaf, several times that with known
 * times, so that it belongs in a worker.
 */
export function predictBake(input: BakeInput, kitchen?: Kitchen): BakePrediction {
  const problems = problemsOf(input);
  if (problems.some((x) => fatal.has(x.id))) return nothing(problems);
  const calibration = input.calibration ?? (input.known ? calibrate([statedBake(input, input.known)], kitchen) : null);
  const setup = { ...setupOf(input, kitchen), speed: calibration?.speed ?? 1 };
  const run = simulate(setup);
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
  const sd = calibration?.timeSd ?? UNCALIBRATED_SD;
  const likely = run.doneMin;
  const minutes = { early: likely * Math.exp(-Z80 * sd), likely, late: likely * Math.exp(Z80 * sd) };
  return {
    minutes,
    confidence: Math.max(0, Math.min(1, 1 - 5 * sd)),
    sure: `4 bakes in 5 within ${Math.round(100 * (Math.exp(Z80 * sd) - 1))} % of it${calibration && calibration.used > 0 ? '' : '; a known time would narrow it'}`,
    calibration,
    doneC: setup.doneC,
    curve: run.curve,
    browning: { ...run.browning, words: browningWords(run) },
    plan: planOf(run, minutes),
    lossPct: run.lossPct,
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

/** The bake that a known time speaks of: the same batter and family in its own tin and heat. */
export function statedBake(input: BakeInput, k: Known): KnownBake {
  const { known: _known, calibration: _calibration, stages: _stages, ...rest } = input;
  return { input: { ...rest, tin: k.tin, batterG: k.batterG, ovenC: k.ovenC }, minutes: k.minutes, kind: 'stated' };
}

function browningWords(run: Run): string {
  const x = run.browning.top;
  const top =
    x < 0.35
      ? 'top stays pale'
      : x < 0.8 * GOLDEN
        ? 'top light gold'
        : x < 2
          ? 'top golden'
          : x < 3.5
            ? 'top well browned'
            : 'top gets dark: cover it';
  const side = run.browning.side > 2.5 * Math.max(x, 0.8) ? '; sides darker than the top' : '';
  return `${top}${side}`;
}

/** First look at 0.95 of the early end, and not before the middle has likely reached 85 °C. */
function planOf(run: Run, m: BakePrediction['minutes']): PlanMark[] {
  const at85 = (run.curve.find((x) => x.centreC >= 85)?.s ?? 0) / 60;
  const round = (x: number): number => Math.max(1, Math.round(x));
  const marks: PlanMark[] = [];
  if (m.likely > 15)
    marks.push({
      kind: 'turn',
      atMin: round(Math.max(m.likely * 0.6, Math.min(at85, m.early * 0.9))),
      words: 'turn it once, if your oven browns unevenly',
    });
  const tent = run.topBrownMin !== null && run.topBrownMin < m.likely * 0.95 ? run.topBrownMin : null;
  if (tent !== null)
    marks.push({
      kind: 'tent',
      atMin: round(Math.max(tent, at85 * 0.9)),
      words: 'cover loosely if the top is dark; foil away from the element',
    });
  const firstLook = Math.min(m.likely, Math.max(m.early * 0.95, at85));
  marks.push({ kind: 'first look', atMin: round(firstLook), words: 'look through the glass first' });
  marks.push({ kind: 'out', atMin: round(m.likely), words: 'likely done' });
  return marks.sort((a, b) => a.atMin - b.atMin);
}

const nothing = (problems: readonly Problem[]): BakePrediction => ({
  minutes: { early: 0, likely: 0, late: 0 },
  confidence: 0,
  sure: 'no prediction',
  calibration: null,
  doneC: 0,
  curve: [],
  browning: { top: 0, side: 0, base: 0, words: '' },
  plan: [],
  lossPct: 0,
  batterMm: 0,
  problems,
});
