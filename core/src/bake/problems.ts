import type { Problem } from '../errors.js';
import type { BakeConditions, Kitchen } from '../formula/types.js';
import { degreesIn } from '../quantity/degrees.js';
import { heightFor, outlineOf, tinProblems } from '../tin/geometry.js';
import type { BakeInput, BatterParts } from './bake-input.js';
import { doneOf } from './composition.js';
import { covers } from './oven.js';

/** What is wrong with a bake that was asked for: what makes it impossible, and what is only doubtful. */
export interface Problems {
  readonly stops: readonly Problem[];
  readonly doubts: readonly Problem[];
}

const COLDEST_BATTER_C = -30;
/** Batter that is hotter than this is cooked before it comes into the oven: starch and egg have set. */
const HOTTEST_BATTER_C = 75;
const HOTTEST_OVEN_C = 320;
/** A middle comes near the air only slowly; nearer than this it is a matter of a night. */
const NEAREST_K = 2;
const SLOW_K = 15;
const ALTITUDE_M = [-430, 5500] as const;
const ROOM_C = [-20, 50] as const;
/** g/ml: a stiff foam, and more than any dough. */
const DENSITY = [0.15, 1.7] as const;
const RISE = [1, 4] as const;
const MOST_SAMPLES = 512;
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

/**
 * Looks through all that the bake model is told, before anything is reckoned. Whatever stops a bake has its place, what is wrong and what
 * to do; a figure that was left out is no fault.
 * @throws OrvinError `unknown-family`
 */
export function problemsOf(input: BakeInput, kitchen?: Kitchen): Problems {
  const scale = kitchen?.display.temperature;
  const deg = (c: number): string => degreesIn(scale, c);
  const done = doneOf(input);
  const [stops, doubts]: [Problem[], Problem[]] = [[], []];
  const add = (to: Problem[], id: string, words: string, remedy: string, place = 'bake'): void => void to.push({ id, place, words, remedy }); // prettier-ignore
  for (const p of tinProblems(input.tin)) (p.id === 'tin-capacity' ? doubts : stops).push(p);

  if (!(Number.isFinite(input.batterG) && input.batterG > 0))
    add(stops, 'no-batter', 'There is no batter in the tin.', 'Give the formula some weight, or put a tin in.');
  if (!inside(done, DONE_C))
    add(
      stops,
      'done',
      `A middle is done between ${deg(DONE_C[0])} and ${deg(DONE_C[1])}.`,
      'Leave it out for what is usual of its kind.',
    );
  else heats(input, kitchen, done, add, stops, doubts);
  const start = input.startC ?? done - NEAREST_K;
  if (input.startC !== undefined && !inside(start, [COLDEST_BATTER_C, HOTTEST_BATTER_C]))
    add(
      stops,
      'start',
      Number.isFinite(start)
        ? `Batter of ${deg(start)} ${start > 0 ? 'is cooked before it is in the oven' : 'is colder than a freezer'}.`
        : 'The batter has no temperature.',
      `Type what it is when it goes in, between ${deg(COLDEST_BATTER_C)} and ${deg(HOTTEST_BATTER_C)}; after Fahrenheit put an F.`,
    );
  if (input.ovenReachedC !== undefined && !inside(input.ovenReachedC, [COLDEST_BATTER_C, HOTTEST_OVEN_C]))
    add(
      stops,
      'reached',
      'What the oven has reached is no temperature of an oven.',
      'Type what a thermometer in it shows.',
    );
  const stages = input.stages ?? [];
  if (stages.some((s) => !(s.fromMin >= 0 && s.fromMin < 24 * 60) || (s.cover !== undefined && !(s.cover in covers))))
    add(
      stops,
      'stage',
      'A change of heat or cover has no time, or is none that is known.',
      'Give the minutes from the door, and none, tent or lid.',
    );
  if (input.composition && sharesOff(input.composition))
    add(
      stops,
      'composition',
      'The shares of water, fat and sugar are not between none and all of it.',
      'Give each as a share of the weight, 0 to 1.',
    );
  if ((input.layers ?? []).some((l) => !(l.g >= 0 && l.g < 1e5) || sharesOff(l)))
    add(
      stops,
      'layer',
      'Something that lies on the batter has no weight, or parts that are more than all of it.',
      'Give its weight, and what is in it.',
    );
  if (off(input.densityGPerMl, DENSITY) || off(input.rise, RISE))
    add(
      stops,
      'body',
      `No batter weighs ${fixed(input.densityGPerMl)} g a millilitre or rises ${fixed(input.rise)} times.`,
      `Between ${DENSITY.join(' and ')} g/ml, and ${RISE.join(' to ')} times.`,
    );
  if (off(input.samples, [0, MOST_SAMPLES * 64]) || off(input.seed, [-1e15, 1e15]) || off(input.count, [0, 1e5]))
    add(stops, 'figures', 'A count, a number of samples or a seed is none.', 'Leave it out, or give a whole number.');
  if (input.conditions && conditionsOff(input.conditions))
    add(
      stops,
      'conditions',
      'How the heat comes to it is not as any oven has it.',
      'Moving air is 0 to 1, a door opens at some minute, a thermostat swings by less than 50 K.',
    );
  const learned = input.calibration;
  if (
    learned &&
    (!inside(learned.speed, SPEED) || off(learned.biasC, [-OFF_K, OFF_K]) || off(learned.emissivity, SPEED))
  )
    add(stops, 'calibration', 'What was learned of the oven is beyond any oven.', 'Learn it anew from the log.');
  if (off(kitchen?.altitudeM, ALTITUDE_M) || off(kitchen?.roomC, ROOM_C))
    add(
      stops,
      'kitchen',
      'The kitchen’s height or its room’s temperature is beyond where people bake.',
      'Mend it in the Larder: metres above the sea, and degrees.',
    );
  if (input.hotTin && (input.tin.material === 'glass' || input.tin.material === 'ceramic'))
    add(
      doubts,
      'hot-glass',
      `Cold batter in a hot ${input.tin.material} tin can crack it.`,
      'Fill this one cold, or take one of metal.',
    );
  if (stops.length > 0) return { stops, doubts };
  const o = outlineOf(input.tin);
  const ml = input.batterG / (input.densityGPerMl ?? 1);
  const height = heightFor(input.tin, ml);
  if (height > 300 || (!o.free && height > o.depth * 3))
    add(stops, 'too-deep', `The batter would stand ${Math.round(height)} mm deep.`, 'Take more tins, or a bigger one.');
  if (height < 2) add(stops, 'too-thin', 'The batter would be thinner than 2 mm.', 'Take a smaller tin, or make more.');
  return { stops, doubts };
}

const fixed = (x: number | undefined): string => (x === undefined ? 'so much' : Number.isFinite(x) ? String(Number(x.toPrecision(3))) : 'nothing'); // prettier-ignore

type Add = (to: Problem[], id: string, words: string, remedy: string) => void;

/** The dial and its later stages. */
function heats(
  input: BakeInput,
  kitchen: Kitchen | undefined,
  done: number,
  add: Add,
  stops: Problem[],
  doubts: Problem[],
): void {
  // prettier-ignore
  const deg = (c: number): string => degreesIn(kitchen?.display.temperature, c);
  const all = [input.ovenC, ...(input.stages ?? []).map((s) => s.ovenC)];
  const hottest = Math.max(...all);
  if (!all.every(Number.isFinite)) add(stops, 'no-heat', 'The oven has no temperature.', 'Type one, in °C or °F.');
  else if (hottest < done + NEAREST_K)
    add(
      stops,
      'oven-cold',
      `At ${deg(hottest)} the middle never reaches ${deg(done)}.`,
      'Turn the oven up; if the figure was meant in Fahrenheit, type F after it.',
    );
  else if (hottest > HOTTEST_OVEN_C)
    add(stops, 'oven-hot', `${deg(hottest)} is beyond a home oven.`, 'If it was meant in Fahrenheit, type F after it.');
  else if (hottest < done + SLOW_K)
    add(
      doubts,
      'oven-slow',
      `At ${deg(hottest)} it bakes for hours, and how many hangs on every degree of the oven.`,
      'Go by a thermometer in the middle, and cover it well.',
    );
}
