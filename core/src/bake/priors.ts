/**
 * What is believed before anything is known, in one place: how far ovens, tins, batters and bakers differ from what the
 * model takes them for, and how much a bake tells. Everything that learns or states a range takes its figures from here.
 */

interface Prior {
  /** One sigma. */
  readonly sd: number;
  /** K, or ln of a factor. */
  readonly unit: 'K' | 'ln';
}

export const PRIORS = {
  /** How much hotter an oven’s air is than its dial, beyond what the baker declared: thermometers in home ovens commonly read 5 to 15 K off; general knowledge. */
  bias: { sd: 10, unit: 'K' },
  /** How much hotter it is at the top or the bottom than in the middle: half of an oven’s own error; a judgement. */
  rack: { sd: 5, unit: 'K' },
  /** Heat transfer of an oven, in all tins: moving air and sooty walls: 6 % in a layer’s time; a judgement. */
  pace: { sd: 0.1, unit: 'ln' },
  /** Heat transfer of all tins of a shape: mostly the model’s own error: 4 to 7 % by shape on bakes of other authors. */
  shape: { sd: 0.1, unit: 'ln' },
  /** Heat transfer of one tin: metal, colour and age: 8 % in time; a judgement. */
  tin: { sd: 0.14, unit: 'ln' },
  /** Heat transfer of one formula’s batter: the model’s error by formula: 5 % in time; a judgement. */
  batter: { sd: 0.08, unit: 'ln' },
  /** How much warmer in the middle a baker takes bakes, or one formula, out: a pick, a touch and a thermometer differ by 2 to 4 minutes; a judgement. */
  done: { sd: 1.5, unit: 'K' },
  /** How much a rack thermometer reads too much: common for a dial of bimetal; general knowledge. */
  thermometer: { sd: 2, unit: 'K' },
  /** Density of a batter over the reckoned one: a cup weighed by different hands; a judgement. */
  dense: { sd: 0.06, unit: 'ln' },
  /** Baked height over the reckoned one: half of a family’s range; a judgement. */
  rise: { sd: 0.1, unit: 'ln' },
  /** Water lost over the reckoned one: families’ ranges are half as wide as their middles; a judgement. */
  loss: { sd: 0.25, unit: 'ln' },
  /** How long a batter waits, over `USUAL_WAIT_MIN`: from straight in to a quarter of an hour; a judgement. */
  stand: { sd: 0.7, unit: 'ln' },
} as const satisfies Record<string, Prior>;

export type PriorId = keyof typeof PRIORS;
type Own = 'done' | 'dense' | 'rise' | 'loss' | 'stand';
/**
 * A parameter by name: of an oven, its rack, a shape, a tin, a formula's batter; of the whole kitchen, and of one formula. One that
 * was to be learned anew is called as before with `~` at its end.
 */
export type ParamKey =
  | `${'bias' | 'pace' | 'shape' | 'tin' | 'batter'}:${string}`
  | `rack:${string}:${string}`
  | 'thermometer'
  | 'thermometer~'
  | Own
  | `${Own}~`
  | `${Own}:${string}`;

/** One sigma of a parameter before anything is known. */
export const priorSd = (key: string): number => PRIORS[key.split(/[:~]/)[0] as PriorId].sd;

/** How long a batter waits between the end of mixing and the oven, min, until a kitchen has shown otherwise. */
export const USUAL_WAIT_MIN = 4;
/** One sigma of ln(time) from bake to bake, before the log has shown its own. */
export const USUAL_NOISE = 0.06;
/** One sigma of ln of a recipe's stated time: the spread of recipes, and its author's oven. */
export const STATED_SD = 0.12;
/** The same of a time that a baker has of their own oven and tin, to the minute. A judgement. */
export const OWN_TIME_SD = 0.08;
/**
 * One sigma of ln(time) of a kitchen of which nothing is known: what the model was off by on 173 bakes of other authors, their own
 * ovens and their rounding in it (docs/science/bake.md).
 */
export const UNKNOWN_SD = 0.1;
/** The same once one time is known of it: another weight, heat or tin brings its own error. A judgement. */
export const KNOWN_SD = 0.08;
/** What is known can only narrow this; a log whose bakes differ more than authors do may widen it so far. A judgement. */
export const WIDEST_SD = 0.13;
/** Half-width of an 80 % range in sigmas of a normal distribution. */
export const Z80 = 1.2816;
