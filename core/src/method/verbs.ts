/**
 * The trade's plain verbs, and what each is to hands and clock. `at` says where in the work it belongs when its words do not:
 * `ready` before anything, `mix` in the bowl, `shape` between bowl and oven, `oven`, `after` it, `keep` on later days, `time` where
 * it stands. `minutes` is what it takes in an ordinary home batch (10 %, likely, 90 %); general baking knowledge, not looked up.
 */
export type Belongs = 'ready' | 'mix' | 'shape' | 'oven' | 'after' | 'keep' | 'time';

interface Row {
  readonly at: Belongs;
  readonly minutes: readonly [low: number, typical: number, high: number];
}
const row = (at: Belongs, low: number, typical: number, high: number): Row => ({ at, minutes: [low, typical, high] });

export const verbs = {
  // before anything
  heat: row('ready', 0.5, 1, 2),
  grease: row('ready', 1, 2, 3),
  line: row('ready', 1, 3, 6),
  'take from the cold': row('ready', 0.3, 0.5, 1),
  chop: row('ready', 2, 4, 8),
  grate: row('ready', 2, 3, 6),
  mash: row('ready', 1, 2, 4),
  peel: row('ready', 2, 4, 8),
  squeeze: row('ready', 1, 2, 4),
  toast: row('ready', 5, 8, 12),
  weigh: row('ready', 2, 4, 8),
  // in the bowl
  sift: row('mix', 0.7, 1, 2),
  mix: row('mix', 0.7, 1.5, 3),
  whisk: row('mix', 1, 2, 4),
  beat: row('mix', 1, 2.5, 5),
  cream: row('mix', 3, 5, 10),
  whip: row('mix', 2, 4, 7),
  'rub in': row('mix', 3, 5, 8),
  'cut in': row('mix', 2, 4, 7),
  toss: row('mix', 0.3, 0.7, 1.5),
  fold: row('mix', 0.5, 1, 2),
  add: row('mix', 0.4, 0.8, 1.5),
  pour: row('mix', 0.3, 0.6, 1.2),
  well: row('mix', 0.1, 0.3, 0.6),
  melt: row('mix', 4, 6, 10),
  warm: row('mix', 2, 4, 7),
  boil: row('mix', 3, 6, 12),
  simmer: row('mix', 3, 6, 15),
  fry: row('mix', 4, 7, 12),
  dissolve: row('mix', 0.5, 1, 3),
  blend: row('mix', 0.5, 1.5, 3),
  'bring together': row('mix', 0.7, 1.5, 3),
  knead: row('mix', 0.5, 1, 3),
  scrape: row('mix', 0.2, 0.4, 0.8),
  'keep back': row('mix', 0.2, 0.4, 1),
  make: row('mix', 0.2, 0.5, 1),
  // between bowl and oven
  divide: row('shape', 0.5, 1.5, 4),
  fill: row('shape', 0.7, 1.5, 4),
  level: row('shape', 0.2, 0.5, 1),
  spread: row('shape', 0.5, 1.5, 3),
  roll: row('shape', 1, 2, 4),
  're-roll': row('shape', 1, 2, 4),
  pat: row('shape', 0.5, 1, 2),
  press: row('shape', 0.5, 1.5, 4),
  shape: row('shape', 1, 2, 5),
  cut: row('shape', 1, 2, 5),
  score: row('shape', 0.2, 0.4, 1),
  prick: row('shape', 0.2, 0.5, 1),
  hollow: row('shape', 0.1, 0.3, 0.6),
  place: row('shape', 0.3, 1, 3),
  drop: row('shape', 1, 3, 6),
  layer: row('shape', 1, 2, 5),
  glaze: row('shape', 0.5, 1, 2),
  brush: row('shape', 0.5, 1, 2),
  sprinkle: row('shape', 0.2, 0.5, 1.5),
  top: row('shape', 0.5, 1, 3),
  swirl: row('shape', 0.2, 0.5, 1),
  wrap: row('shape', 0.5, 1, 3),
  // what takes time alone
  rest: row('time', 10, 15, 30),
  soak: row('time', 20, 30, 60),
  chill: row('time', 20, 30, 60),
  freeze: row('time', 60, 120, 240),
  cool: row('time', 20, 45, 90),
  set: row('time', 20, 40, 90),
  drain: row('time', 10, 20, 30),
  // in the oven
  'put in': row('oven', 0.5, 1, 2),
  bake: row('oven', 30, 40, 55),
  turn: row('oven', 0.3, 0.5, 1),
  swap: row('oven', 0.3, 0.7, 1.5),
  cover: row('oven', 0.3, 0.6, 1.5),
  uncover: row('oven', 0.2, 0.4, 1),
  lower: row('oven', 0.1, 0.2, 0.5),
  raise: row('oven', 0.1, 0.2, 0.5),
  'switch off': row('oven', 0.1, 0.2, 0.5),
  test: row('oven', 0.3, 0.7, 1.5),
  'take out': row('oven', 0.5, 1, 2),
  // after it
  unmould: row('after', 0.7, 1.5, 4),
  loosen: row('after', 0.3, 0.6, 1.5),
  move: row('after', 0.5, 1, 2),
  trim: row('after', 1, 2, 5),
  frost: row('after', 4, 8, 15),
  sandwich: row('after', 2, 4, 8),
  drizzle: row('after', 1, 2, 4),
  dust: row('after', 0.3, 0.6, 1.5),
  slice: row('after', 1, 2, 5),
  serve: row('after', 0.5, 1, 3),
  // on later days
  keep: row('keep', 0.5, 1, 2),
  feed: row('keep', 1, 2, 4),
  thaw: row('keep', 60, 180, 480),
} as const satisfies Readonly<Record<string, Row>>;

export type VerbId = keyof typeof verbs;

/** What takes time and no hands. */
export const waits = (v: VerbId): boolean => verbs[v].at === 'time' || v === 'thaw';

/** Putting something away to freeze while the rest goes on takes hands for a moment, min; not the hours it freezes. A judgement. */
export const PUT_AWAY_MIN = [1, 2, 4] as const;
