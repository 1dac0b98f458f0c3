import { assess } from '../balance/assess.js';
import { allItems, applyChanges, ingredientFor } from '../formula/formula.js';
import type { BakeSetting, Change, Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { degreesIn, degreesMore } from '../quantity/degrees.js';
import { asMeasured } from '../quantity/amount.js';
import { onStep } from '../quantity/steps.js';
import { scale } from '../scale/scale.js';
import { withSetting } from '../bake/stages.js';
import type { Cause, CauseId } from './causes.js';
import { AIR_K, type Diagnosed } from './facts.js';
import { within } from '../text/plain.js';

/** The next experiment: the formula with one change, ready to be kept as a version. */
export interface NextTry {
  readonly words: string;
  readonly formula: Formula;
}

interface Line {
  readonly item: Item;
  readonly ingredient: Ingredient;
}
type Way = (d: Diagnosed, kitchen: Kitchen) => NextTry | null;

const linesOf = (f: Formula, kitchen: Kitchen): Line[] =>
  allItems(f)
    .map((item) => ({ item, ingredient: ingredientFor(f, item, kitchen) }))
    .filter((l) => l.item.grams > 0);
const shortName = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();

/** Some lines by a factor, on steps that can be measured; null when nothing moves. */
function by(d: Diagnosed, kitchen: Kitchen, pick: (l: Line) => boolean, factor: number, why: string): NextTry | null {
  const batterG = d.assessment.totals.batterG;
  const lines = linesOf(d.formula, kitchen).filter(pick);
  const changes: (Change & { line: Line })[] = lines.flatMap((line) => {
    const grams = onStep(line.ingredient, line.item.grams * factor, batterG, kitchen);
    return Math.abs(grams - line.item.grams) > 0.005 && grams > 0 ? [{ itemId: line.item.id, grams, line }] : [];
  });
  if (changes.length === 0) return null;
  const parts = changes.map(({ line, grams }) => {
    const read = (g: number): string => asMeasured(g, line.ingredient, kitchen.measures, line.item.form);
    return `${shortName(line.ingredient)} ${read(line.item.grams)} → ${read(grams)}`;
  });
  return {
    words: `Only this: ${parts.join(', ')}; ${why}.`,
    formula: applyChanges(d.formula, changes.map(({ itemId, grams }) => ({ itemId, grams }))), // prettier-ignore
  };
}

/** The factor on leaveners that brings the lift to the middle of its band. */
function toLift(d: Diagnosed): number {
  const { lift } = d.assessment;
  const aim = lift.state === 'ok' ? lift.mmolPer100gBase.typical * 0.8 : (lift.target[0] + lift.target[1]) / 2;
  return Math.min(1.8, Math.max(0.5, aim / Math.max(1, lift.mmolPer100gBase.typical)));
}
const leavener = (l: Line): boolean => l.ingredient.leavener === 'powder' || l.ingredient.leavener === 'soda';
const soda = (l: Line): boolean => l.ingredient.leavener === 'soda';
const sugary = (l: Line): boolean => l.ingredient.role === 'sugar';
const fatty = (l: Line): boolean => l.ingredient.role === 'fat';
const flour = (l: Line): boolean => l.ingredient.base === 'flour';
/** The largest line of a kind alone: one change at a time. */
const mainOf = (d: Diagnosed, kitchen: Kitchen, is: (l: Line) => boolean): ((l: Line) => boolean) => {
  const most = linesOf(d.formula, kitchen).filter(is).sort((a, b) => b.item.grams - a.item.grams)[0]; // prettier-ignore
  return (l) => l.item.id === most?.item.id;
};
const mainLiquid = (d: Diagnosed, kitchen: Kitchen): ((l: Line) => boolean) =>
  mainOf(d, kitchen, (l) => l.ingredient.role === 'liquid');

/** The same formula with something to mind in its method, before the step that a word names, or at its end. */
function minding(d: Diagnosed, words: string, before: RegExp | null = null): NextTry {
  const method = [...d.formula.method];
  const at = before ? method.findIndex((s) => before.test(s.text)) : -1;
  method.splice(at < 0 ? method.length : at, 0, { text: words, itemIds: [] });
  return { words, formula: { ...d.formula, method } };
}

/** The same formula at another heat or for another time. */
function heated(d: Diagnosed, change: Partial<BakeSetting>, words: string): NextTry | null {
  const now = d.formula.bake ?? (d.bake && { ovenC: d.bake.ovenC, fan: d.bake.fan });
  if (!now) return null;
  // another heat takes a time of its own; another time is just what is tried
  const bake = change.minutes ? { ...now, ...change } : withSetting(now, change);
  return { words, formula: { ...d.formula, bake } };
}

const dialOf = (d: Diagnosed): number => d.formula.bake?.ovenC ?? d.bake?.ovenC ?? 180;

/** Minutes to try: what this kitchen needs, or somewhat more or less than it had. */
function forTime(d: Diagnosed, kitchen: Kitchen, more: boolean): NextTry | null {
  const had = d.bake?.minutes ?? d.formula.bake?.minutes?.late;
  if (had === undefined) return null;
  const needed = d.neededMin ?? had;
  const aim = more ? Math.max(needed, had * 1.08) : Math.min(needed, had * 0.92);
  const [early, late] = [Math.round(aim * 0.96), Math.round(aim * 1.05)];
  const until = d.doneC === null ? '' : `, until the middle has ${degreesIn(kitchen.display.temperature, d.doneC)}`;
  return heated(
    d,
    { minutes: { early, late } },
    `Only this: ${early}–${late} min instead of ${Math.round(had)}${until}.`,
  );
}

/** The dial moved by what the air is off, a full ten degrees at least. */
function turned(d: Diagnosed, kitchen: Kitchen, sign: 1 | -1): NextTry | null {
  const off = Math.abs((d.facts.air?.z ?? 0) * AIR_K);
  const step = Math.max(10, Math.min(30, Math.round(off / 5) * 5));
  const to = dialOf(d) + sign * step;
  return heated(d, { ovenC: to }, `Only this: the dial at ${degreesIn(kitchen.display.temperature, to)}, ${degreesMore(kitchen.display.temperature, step)} ${sign > 0 ? 'hotter' : 'lower'}; it will take ${sign > 0 ? 'a little less' : 'somewhat longer'}.`); // prettier-ignore
}

const ways: Readonly<Record<CauseId, Way>> = {
  'too much leavener': (d, k) => by(d, k, leavener, Math.min(0.85, toLift(d)), 'it will set before it falls'),
  'low lift': (d, k) => by(d, k, (l) => l.ingredient.leavener === 'powder', Math.max(1.2, toLift(d)), 'more gas for the same batter') ?? by(d, k, leavener, Math.max(1.2, toLift(d)), 'more gas for the same batter'),
  'acid missing': (d, k) => byAdvice(d, k, 'soda-and-powder') ?? by(d, k, soda, 0.5, 'what its acid can meet'),
  'left soda': (d, k) => byAdvice(d, k, 'soda-to-its-acid') ?? by(d, k, soda, 0.6, 'what its acid can meet'),
  'soda for powder': (d, k) => byAdvice(d, k, 'soda-and-powder') ?? byAdvice(d, k, 'soda-to-its-acid') ?? by(d, k, soda, 0.28, 'soda is three to four times as strong as powder'),
  'too sweet': (d, k) => by(d, k, mainOf(d, k, sugary), 0.82, 'it sets sooner'),
  'too fat': (d, k) => by(d, k, mainOf(d, k, fatty), 0.8, 'no more than the crumb can hold'),
  'too wet': (d, k) => by(d, k, mainLiquid(d, k), 0.82, 'it sets through the middle'),
  'weak structure': (d, k) => by(d, k, mainOf(d, k, flour), 1.12, 'more to hold it up'),
  lean: (d, k) => by(d, k, mainOf(d, k, fatty), 1.3, 'a shorter, moister crumb') ?? by(d, k, mainOf(d, k, sugary), 1.25, 'a shorter, moister crumb'),
  'whole grain dry': (d, k) => by(d, k, mainLiquid(d, k), 1.15, 'enough for what drinks it'),
  'acid crust': (d, k) => by(d, k, soda, 1.3, 'less acid is left to keep it pale') ?? turned(d, k, 1),
  'alkali colours': (d, k) => by(d, k, soda, 0.6, 'little alkali is left to turn it'),
  'pieces too big': (d) => minding(d, 'Cut the pieces half as big, pat them dry, and keep a third of them for the top.', /fold|stir in|add the/i),
  'flour heavy': (d, k) => weighed(d, k),
  'old powder': (d) => minding(d, 'Open a fresh tin of powder for this one; everything else stays.', /./),
  underbaked: (d, k) => forTime(d, k, true),
  overbaked: (d, k) => forTime(d, k, false),
  'oven hot': (d, k) => turned(d, k, -1),
  'oven cool': (d, k) => turned(d, k, 1),
  'door opened': (d) => minding(d, 'Keep the door shut until the first look; watch through the glass.', /bake/i),
  'burnt base': (d) => minding(d, 'Bake it on the middle rack, on a second cold sheet if the base still darkens.', /bake/i),
  'oven tilts': (d) => minding(d, 'Level the rack, and turn the tin round at half-time.', /bake/i),
  overfull: (d, k) => filled(d, k),
  'deep tin': (d, k) => turned(d, k, -1),
  'dark tin': (d, k) => turned(d, k, -1),
  'light tin': (d, k) => turned(d, k, 1),
  'tin not prepared': (d) => minding(d, 'Grease the tin into its corners, line the base with paper, and dust it.', /./),
  'cooled in the tin': (d) => minding(d, 'Turn it out at its time, while it is still warm: not later.'),
  'no rack': (d) => minding(d, 'Cool it on a rack with air below.'),
  'cut hot': (d) => minding(d, 'Leave it until it is hand-warm all through before it is cut.'),
  overmixed: (d) => minding(d, 'Stop as soon as no dry flour shows: a dozen strokes, lumps and all.', /mix|stir|fold/i),
  'big batch': (d) => minding(d, 'Mix it as two batches, each with its own bowl and its own dozen strokes.', /mix|stir|fold|whisk/i),
  'over-rested': (d) => minding(d, 'Have the oven hot and the tins ready before wet meets dry; straight in.', /mix|stir|fold/i),
  'not tapped': (d) => minding(d, 'Tap the filled tin twice on the counter before it goes in.', /bake/i),
  'cold eggs': (d) => minding(d, 'Put the eggs into hot tap water for ten minutes first; add them one at a time.', /./),
  'broken emulsion': (d) => minding(d, 'Have all of it at room temperature, and the melted fat below 45 °C, before it is stirred in.', /./),
  'warm fat': (d) => minding(d, 'Chill the shaped pieces for 15 minutes before they go in.', /bake/i),
  'twisted cutter': (d) => minding(d, 'Press the cutter straight down, without a twist, floured each time.', /cut/i),
  'egg wash ran': (d) => minding(d, 'Brush only the tops; wipe what runs down.', /bake|brush/i),
  'uneven division': (d) => minding(d, 'Weigh each filled tin; no more than 10 g between them.', /bake|divide|fill/i),
}; // prettier-ignore

/** The change that the Bench advises too, when it does. */
function byAdvice(d: Diagnosed, kitchen: Kitchen, id: string): NextTry | null {
  const a = assess(d.formula, kitchen).advice.find((x) => x.id === id);
  return a ? { words: `Only this: ${within(a.words)}`, formula: applyChanges(d.formula, a.changes) } : null; // prettier-ignore
}

/** Flour by the scale instead of by the cup; what is weighed already, a little less. */
function weighed(d: Diagnosed, kitchen: Kitchen): NextTry | null {
  const line = linesOf(d.formula, kitchen)
    .filter(flour)
    .sort((a, b) => b.item.grams - a.item.grams)[0];
  if (!line) return null;
  const off = d.facts['flour weighed'];
  if ((off && off.z > 1) || line.item.entered?.unit !== 'g')
    return minding(
      d,
      `Weigh the flour: ${Math.round(line.item.grams)} g of ${shortName(line.ingredient)}, no more.`,
      /./,
    );
  return by(d, kitchen, (l) => l.item.id === line.item.id, 0.92, 'a looser batter');
}

/** A batter for the tin as it should be filled. */
function filled(d: Diagnosed, kitchen: Kitchen): NextTry | null {
  if (!d.bake) return null;
  const z = d.facts.fill?.z ?? 1;
  const factor = Math.max(0.6, Math.min(0.9, 1 / (1 + 0.09 * Math.max(0.6, z))));
  const scaled = scale(d.formula, { by: 'factor', factor }, kitchen).formula;
  return { words: `Only this: ${Math.round(100 * factor)} % of the batter in the same tin.`, formula: scaled };
}

/** What to try next against a cause: one change, of which nothing else follows. */
export const nextOf = (cause: Cause, d: Diagnosed, kitchen: Kitchen): NextTry | null => ways[cause.id]?.(d, kitchen) ?? null; // prettier-ignore
/** Causes that have a way to be tried; for a test. */
export const triable: readonly CauseId[] = Object.keys(ways);
