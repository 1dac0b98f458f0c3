import type { Kitchen } from '../formula/types.js';
import { degreesMore } from '../quantity/degrees.js';
import type { CauseId } from './causes.js';
import type { Diagnosed, FactId } from './facts.js';
import type { Ranked } from './rank.js';

/** Something to look at that tells causes apart. */
export interface Check {
  readonly id: string;
  /** What to do, and what each outcome would mean. */
  readonly words: string;
  /** Bits of what is still open that it would settle, on average. */
  readonly bits: number;
}

interface Look {
  readonly id: string;
  readonly words: string;
  /** Chance of a "yes" with each cause; what is not named has `else`. */
  readonly yes: Readonly<Record<CauseId, number>>;
  readonly else: number;
  /** What says already what it would. */
  readonly known?: FactId;
}

/** By how much air that matters differs from the dial, K; its place in the words. */
const AIR_OFF_K = 15;
const STEP = '{degrees}';

/** Looks that cost little. The chances are judgements. */
export const looks: readonly Look[] = [
  { id: 'middle', words: 'Next time put a thermometer into the middle before it comes out: below its setting temperature means too soon.', yes: { underbaked: 0.9, 'oven cool': 0.4, 'deep tin': 0.45, 'dark tin': 0.3, 'oven hot': 0.4 }, else: 0.08, known: 'centre' },
  { id: 'air', words: 'Hang a thermometer on the rack for a whole bake: {degrees} or more above the dial means a hot oven, as much below a cool one.', yes: { 'oven hot': 0.85, 'burnt base': 0.35 }, else: 0.1, known: 'air' },
  { id: 'air low', words: 'Hang a thermometer on the rack for a whole bake: {degrees} or more below the dial means a cool oven.', yes: { 'oven cool': 0.85, underbaked: 0.3 }, else: 0.08, known: 'air' },
  { id: 'hot water', words: 'Stir half a teaspoon of the powder into half a cup of hot water: if it hardly foams, the powder is spent.', yes: { 'old powder': 0.92 }, else: 0.04 },
  { id: 'weigh flour', words: 'Measure the flour as always, then weigh it: more than the formula says means a packed cup.', yes: { 'flour heavy': 0.9 }, else: 0.12, known: 'flour weighed' },
  { id: 'level', words: 'Lay a round lid with a spoon of water in it on the rack: water that runs to one side means the rack is not level.', yes: { 'oven tilts': 0.9 }, else: 0.06 },
  { id: 'weigh tins', words: 'Weigh the filled tins: more than 3 % apart means they were not alike.', yes: { 'uneven division': 0.92 }, else: 0.1, known: 'fill spread' },
  { id: 'cool first', words: 'Leave a slice until it is quite cold and look again: if it is dry then, it was cut too soon.', yes: { 'cut hot': 0.85, underbaked: 0.12, 'too wet': 0.12 }, else: 0.15 },
  { id: 'whose', words: 'Look at the sides: sealed and glossy where the cutter went means it was twisted, egg on the side means the wash ran.', yes: { 'twisted cutter': 0.85, 'egg wash ran': 0.15 }, else: 0.2 },
  { id: 'strokes', words: 'Mix one half batch with a dozen strokes only, lumps and all: if the tunnels are gone, it was the mixing.', yes: { overmixed: 0.85, 'big batch': 0.7 }, else: 0.12 },
  { id: 'straight in', words: 'Bake one spoonful at once and one after the usual wait: if the first rises more, it stood too long.', yes: { 'over-rested': 0.88, 'old powder': 0.15 }, else: 0.12, known: 'stood' },
  { id: 'through the glass', words: 'Watch through the glass and keep the door shut until it is nearly done: if it stands then, it was the door.', yes: { 'door opened': 0.85 }, else: 0.2 },
  { id: 'tap', words: 'Tap the filled tin twice on the counter: if the big holes are gone, they were air from filling.', yes: { 'not tapped': 0.85 }, else: 0.15 },
  { id: 'taste acid', words: 'Taste the crumb with a drop of lemon on it: if that takes the taste away, it was soda.', yes: { 'left soda': 0.85, 'soda for powder': 0.9, 'acid missing': 0.8 }, else: 0.1 },
  { id: 'base', words: 'Look at the base before the top: darker below than above means heat from below.', yes: { 'burnt base': 0.88, 'dark tin': 0.5 }, else: 0.12 },
  { id: 'rack', words: 'Turn it out onto a rack at its usual time: if the base is dry then, it was the cooling.', yes: { 'no rack': 0.9, 'cooled in the tin': 0.75 }, else: 0.15, known: 'cooling skipped' },
  { id: 'touch butter', words: 'Touch the shaped dough before it goes in: soft and shiny means the fat went warm; chill it for 15 minutes.', yes: { 'warm fat': 0.88 }, else: 0.15 },
  { id: 'eggs warm', words: 'Put the eggs into hot tap water for ten minutes first: if the batter stays smooth, they were too cold.', yes: { 'cold eggs': 0.88 }, else: 0.15 },
]; // prettier-ignore

const entropy = (list: readonly number[]): number => {
  const sum = list.reduce((a, b) => a + b, 0);
  return sum <= 0 ? 0 : list.reduce((s, p) => (p > 0 ? s - (p / sum) * Math.log2(p / sum) : s), 0);
};

/**
 * What would tell the likeliest causes apart: the looks by how many bits of the doubt between them each settles on
 * average. What is known already is not asked again.
 */
export function tellingApart(ranked: readonly Ranked[], nothing: number, d: Diagnosed, kitchen: Kitchen): Check[] {
  const more = degreesMore(kitchen.display.temperature, AIR_OFF_K);
  const open = ranked.slice(0, 8).filter((r) => r.probability > 0.02);
  const priors = [...open.map((r) => r.probability), nothing];
  const doubt = entropy(priors);
  return looks
    .filter((l) => !l.known || !d.facts[l.known])
    .map((l) => {
      const yes = [...open.map((r) => l.yes[r.cause.id] ?? l.else), l.else];
      const after = (chance: (i: number) => number): number => {
        const joint = priors.map((p, i) => p * chance(i));
        return joint.reduce((a, b) => a + b, 0) * entropy(joint);
      };
      const total = priors.reduce((a, b) => a + b, 0);
      const left = (after((i) => yes[i] ?? 0) + after((i) => 1 - (yes[i] ?? 0))) / total;
      return { id: l.id, words: l.words.replace(STEP, more), bits: doubt - left };
    })
    .filter((c) => c.bits > 0.08)
    .sort((a, b) => b.bits - a.bits)
    .slice(0, 3);
}
