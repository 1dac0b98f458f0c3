import { toldAll } from '../quantity/figures.js';
import type { Problem } from '../errors.js';
import type { BakeConditions, Kitchen } from '../formula/types.js';
import { degreesIn } from '../quantity/degrees.js';
import { heightFor, outlineOf, tinProblems } from '../tin/geometry.js';
import { weightIn, type BakeInput, type BatterParts } from './bake-input.js';
import { doneOf } from './composition.js';
import { covers } from './oven.js';

/** What is wrong with a bake that was asked for: what makes it impossible, and what is only doubtful. */
export interface Problems {
  readonly stops: readonly Problem[];
  readonly doubts: readonly Problem[];
}

/** Colder than a freezer; hotter, and it is cooked before it comes into the oven: starch and egg have set. */
const BATTER_C = [-30, 75] as const;
const HOTTEST_OVEN_C = 320;
/** A middle comes near the air only slowly; nearer than this it is a matter of a night. */
const NEAREST_K = 2;
const SLOW_K = 15;
const ALTITUDE_M = [-430, 5500] as const;
const ROOM_C = [-20, 50] as const;
/** g/ml: a stiff foam, and more than any dough. */
const DENSITY = [0.15, 1.7] as const;
const RISE = [1, 4] as const;
const MOST = 100_000;
const DAY_MIN = [0, 24 * 60] as const;
const OFF_K = 100;
/** A middle at which anything is done, °C: moist brownies, and bread that is baked dry. */
const DONE_C = [75, 101] as const;
/** The least factor on heat transfer that is no slip of a pen, and the most. */
const SPEED = [0.2, 5] as const;

const inside = (x: number, [lo, hi]: readonly [number, number]): boolean => x >= lo && x <= hi;
/** Given and not inside; what is left out is no fault. */
const off = (x: number | undefined, range: readonly [number, number]): boolean => x !== undefined && !inside(x, range);

function sharesOff(c: Pick<BatterParts, 'water' | 'fat' | 'sugar' | 'egg' | 'milk'>): boolean {
  const { water, fat, sugar = 0, egg = 0, milk = 0 } = c;
  return [water, fat, sugar, egg, milk].some((x) => !inside(x, [0, 1])) || water + fat > 1.001 || water + sugar > 1.001;
}

const either = (x: unknown, of: readonly unknown[]): boolean => x === undefined || of.includes(x);
const conditionsOff = (c: BakeConditions): boolean =>
  !either(c.bath, ['open', 'covered']) ||
  !either(c.on, ['stone', 'hot tray']) ||
  !either(c.shaded, ['above', 'below', 'both']) ||
  off(c.airflow, [0, 1]) ||
  off(c.swingK, [0, 50]) ||
  (c.openedMin ?? []).some((m) => !inside(m, [0, 24 * 60]));

/** What the rules look at. */
interface Asked {
  readonly input: BakeInput;
  readonly kitchen: Kitchen | undefined;
  /** When its middle is done, °C, and the hottest it gets; NaN where a heat is none. */
  readonly done: number;
  readonly hottest: number;
  readonly deg: (c: number) => string;
}
interface Rule {
  readonly id: string;
  readonly when: (a: Asked) => boolean;
  readonly words: string | ((a: Asked) => string);
  readonly remedy: string | ((a: Asked) => string);
  /** True of what is only doubtful. */
  readonly doubt?: true;
}

const said = (x: number | undefined): string => (x === undefined ? 'so much' : Number.isFinite(x) ? String(Number(x.toPrecision(3))) : 'nothing'); // prettier-ignore
const FAHRENHEIT = 'if the figure was meant in Fahrenheit, type F after it.';

const rules: readonly Rule[] = [
  {
    id: 'no-batter',
    when: ({ input }) => !(Number.isFinite(input.batterG) && input.batterG > 0),
    words: 'There is no batter in the tin.',
    remedy: 'Give the formula some weight, or put a tin in.',
  },
  {
    id: 'done',
    when: ({ done }) => !inside(done, DONE_C),
    words: ({ deg }) => `A middle is done between ${deg(DONE_C[0])} and ${deg(DONE_C[1])}.`,
    remedy: 'Leave it out for what is usual of its kind.',
  },
  {
    id: 'no-heat',
    when: ({ hottest }) => !Number.isFinite(hottest),
    words: 'The oven has no temperature.',
    remedy: 'Type one, in °C or °F.',
  },
  {
    id: 'oven-cold',
    when: ({ hottest, done }) => inside(done, DONE_C) && hottest < done + NEAREST_K,
    words: ({ hottest, done, deg }) => `At ${deg(hottest)} the middle never reaches ${deg(done)}.`,
    remedy: `Turn the oven up; ${FAHRENHEIT}`,
  },
  {
    id: 'oven-hot',
    when: ({ hottest }) => hottest > HOTTEST_OVEN_C,
    words: ({ hottest, deg }) => `${deg(hottest)} is beyond a home oven.`,
    remedy: `Turn it down; ${FAHRENHEIT}`,
  },
  {
    id: 'oven-slow',
    doubt: true,
    when: ({ hottest, done }) => hottest >= done + NEAREST_K && hottest < done + SLOW_K,
    words: ({ hottest, deg }) =>
      `At ${deg(hottest)} it bakes for hours, and how many hangs on every degree of the oven.`,
    remedy: 'Go by a thermometer in the middle, and cover it well.',
  },
  {
    id: 'start',
    when: ({ input }) => off(input.startC, BATTER_C),
    words: ({ input: { startC = NaN }, deg }) =>
      Number.isFinite(startC)
        ? `Batter of ${deg(startC)} ${startC > 0 ? 'is cooked before it is in the oven' : 'is colder than a freezer'}.`
        : 'The batter has no temperature.',
    remedy: ({ deg }) => `Type what it is when it goes in, between ${deg(BATTER_C[0])} and ${deg(BATTER_C[1])}; after Fahrenheit put an F.`, // prettier-ignore
  },
  {
    id: 'reached',
    when: ({ input }) => off(input.ovenReachedC, [BATTER_C[0], HOTTEST_OVEN_C]),
    words: 'What the oven has reached is no temperature of an oven.',
    remedy: 'Type what a thermometer in it shows.',
  },
  {
    id: 'stage',
    when: ({ input }) =>
      (input.stages ?? []).some((s) => !inside(s.fromMin, DAY_MIN) || (s.cover !== undefined && !(s.cover in covers))),
    words: 'A change of heat or cover has no time, or is none that is known.',
    remedy: 'Give the minutes from the door, and none, tent or lid.',
  },
  {
    id: 'composition',
    when: ({ input }) => input.composition !== undefined && sharesOff(input.composition),
    words: 'The shares of water, fat and sugar are not between none and all of it.',
    remedy: 'Give each as a share of the weight, 0 to 1.',
  },
  {
    id: 'layer',
    when: ({ input }) => (input.layers ?? []).some((l) => !(l.g >= 0 && l.g < 1e5) || sharesOff(l)),
    words: 'Something that lies on the batter has no weight, or parts that are more than all of it.',
    remedy: 'Give its weight, and what is in it.',
  },
  {
    id: 'body',
    when: ({ input }) => off(input.densityGPerMl, DENSITY) || off(input.rise, RISE),
    words: ({ input }) =>
      `No batter weighs ${said(input.densityGPerMl)} g a millilitre or rises ${said(input.rise)} times.`,
    remedy: `Between ${DENSITY.join(' and ')} g/ml, and ${RISE.join(' to ')} times.`,
  },
  {
    id: 'figures',
    when: ({ input }) => off(input.samples, [0, MOST]) || off(input.seed, [-1e15, 1e15]) || off(input.count, [0, MOST]),
    words: 'A count, a number of samples or a seed is none.',
    remedy: 'Leave it out, or give a whole number.',
  },
  {
    id: 'conditions',
    when: ({ input }) => input.conditions !== undefined && conditionsOff(input.conditions),
    words: 'How the heat comes to it is not as any oven has it.',
    remedy: 'Moving air is 0 to 1, a door opens at some minute, a thermostat swings by less than 50 K.',
  },
  {
    id: 'calibration',
    when: ({ input: { calibration: c } }) =>
      c !== undefined && (!inside(c.speed, SPEED) || off(c.biasC, [-OFF_K, OFF_K]) || off(c.emissivity, SPEED)),
    words: 'What was learned of the oven is beyond any oven.',
    remedy: 'Learn it anew from the log.',
  },
  {
    id: 'kitchen',
    when: ({ kitchen }) => off(kitchen?.altitudeM, ALTITUDE_M) || off(kitchen?.roomC, ROOM_C),
    words: 'The kitchen’s height or its room’s temperature is beyond where people bake.',
    remedy: 'Mend it in the Larder: metres above the sea, and degrees.',
  },
  {
    id: 'hot-glass',
    doubt: true,
    when: ({ input: { hotTin, tin } }) => hotTin === true && (tin.material === 'glass' || tin.material === 'ceramic'),
    words: ({ input }) => `Cold batter in a hot ${input.tin.material} tin can crack it.`,
    remedy: 'Fill this one cold, or take one of metal.',
  },
];

const DEEPEST_MM = 300;
const THINNEST_MM = 2;

/** How the batter stands in a tin of which nothing else is wrong. */
function depthProblems(input: BakeInput): Problem[] {
  const { tin, densityGPerMl = 1 } = input;
  const o = outlineOf(tin);
  const mm = heightFor(tin, weightIn(input) / densityGPerMl);
  const of = (id: string, words: string, remedy: string): Problem[] => [{ id, place: 'bake', words, remedy }];
  if (mm > DEEPEST_MM || (!o.free && mm > o.depth * 3))
    return of('too-deep', `The batter would stand ${Math.round(mm)} mm deep.`, 'Take more tins, or a bigger one.');
  if (mm < THINNEST_MM)
    return of('too-thin', `The batter would be thinner than ${THINNEST_MM} mm.`, 'Take a smaller tin, or make more.');
  return [];
}

/**
 * Looks through all that the bake model is told, before anything is reckoned. Whatever stops a bake has its place, what is wrong and what
 * to do; a figure that was left out is no fault.
 * @throws OrvinError `unknown-family`
 */
export function problemsOf(input: BakeInput, kitchen?: Kitchen): Problems {
  const heats = [input.ovenC, ...(input.stages ?? []).map((s) => s.ovenC)];
  const asked: Asked = {
    input,
    kitchen,
    done: doneOf(input),
    hottest: heats.every(Number.isFinite) ? Math.max(...heats) : NaN,
    deg: (c) => degreesIn(kitchen?.display.temperature, c),
  };
  const tell = (x: Rule['words']): string => (typeof x === 'string' ? x : x(asked));
  const found = rules.filter((r) => r.when(asked));
  const problem = (r: Rule): Problem => ({ id: r.id, place: 'bake', words: tell(r.words), remedy: tell(r.remedy) });
  const ofTin = tinProblems(input.tin);
  const stops = [...ofTin.filter((p) => p.id !== 'tin-capacity'), ...found.filter((r) => !r.doubt).map(problem)];
  const doubts = [...ofTin.filter((p) => p.id === 'tin-capacity'), ...found.filter((r) => r.doubt).map(problem)];
  return toldAll(kitchen, { stops: stops.length > 0 ? stops : depthProblems(input), doubts }, ['place', 'remedy']);
}
