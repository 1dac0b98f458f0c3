/** A line of a finish, by weight in parts. */
export interface BuildPart {
  readonly ingredient: string;
  readonly parts: number;
}

export type FinishId =
  'buttercream' | 'egg-white-buttercream' | 'cream-cheese' | 'ganache' | 'ganache-glaze' | 'water-icing' | 'jam' | 'syrup' | 'dusting'; // prettier-ignore

/** A finish with its own small formula. Proportions and densities are general baking knowledge, not looked up. */
export interface Build {
  readonly id: FinishId;
  readonly name: string;
  readonly parts: readonly BuildPart[];
  /** As it is spread, g/ml. */
  readonly gPerMl: number;
  /** Usual thickness between layers, on top and round the sides, mm; 0 where it is not put there. */
  readonly mm: { readonly between: number; readonly top: number; readonly sides: number };
  /** Swirled on a cup, g; 0 when it is spread there to `mm.top`. */
  readonly swirlG: number;
  /** Of the cake's own weight, %, for what soaks in; or g for each 100 cm2, for what is dusted. */
  readonly share?: readonly [low: number, high: number];
  readonly method: readonly string[];
  readonly looks: string;
  /** Whether it has to stay in the fridge. */
  readonly fridge: boolean;
  readonly keeps: string;
  readonly caution: string | null;
}

const PASTEURISED =
  'Use pasteurised egg white: this is not cooked. Babies, the old, the pregnant and the ill go without.';
const CHILLED = 'Cream, cheese and what holds them stay in the fridge and come out half an hour before eating.';

export const builds: readonly Build[] = [
  {
    id: 'buttercream',
    name: 'Simple buttercream',
    parts: [
      { ingredient: 'butter', parts: 1 },
      { ingredient: 'icing-sugar', parts: 2 },
      { ingredient: 'milk', parts: 0.1 },
    ],
    gPerMl: 0.9,
    mm: { between: 7, top: 8, sides: 6 },
    swirlG: 40,
    method: [
      'Beat the soft butter alone for three minutes, until white.',
      'Beat in the sugar in two parts, then the milk by the spoonful.',
    ],
    looks: 'pale and light; it holds a peak that bends',
    fridge: false,
    keeps: '3 days in a cool room, a week in the fridge',
    caution: null,
  },
  {
    id: 'egg-white-buttercream',
    name: 'Egg-white buttercream',
    parts: [
      { ingredient: 'egg-white', parts: 1 },
      { ingredient: 'caster-sugar', parts: 1.7 },
      { ingredient: 'butter', parts: 2.4 },
    ],
    gPerMl: 0.82,
    mm: { between: 8, top: 8, sides: 7 },
    swirlG: 35,
    method: [
      'Whisk the whites with the sugar over warm water until no grain is felt, then beat them cold and stiff.',
      'Beat in the soft butter a piece at a time; when it curdles, beat on.',
    ],
    looks: 'satin, without grains',
    fridge: true,
    keeps: '2 days in the fridge',
    caution: PASTEURISED,
  },
  {
    id: 'cream-cheese',
    name: 'Cream-cheese frosting',
    parts: [
      { ingredient: 'cream-cheese', parts: 2 },
      { ingredient: 'butter', parts: 1 },
      { ingredient: 'icing-sugar', parts: 2 },
    ],
    gPerMl: 0.98,
    mm: { between: 8, top: 8, sides: 6 },
    swirlG: 40,
    method: [
      'Beat the soft butter with the sugar until white.',
      'Stir in the cold cheese a third at a time, no longer than it takes: beaten too much it runs. Chill it.',
    ],
    looks: 'thick and smooth; the spoon leaves a track',
    fridge: true,
    keeps: '4–5 days in the fridge',
    caution: CHILLED,
  },
  {
    id: 'ganache',
    name: 'Ganache, to spread',
    parts: [
      { ingredient: 'dark-chocolate', parts: 2 },
      { ingredient: 'cream-double', parts: 1.4 },
    ],
    gPerMl: 1.15,
    mm: { between: 6, top: 6, sides: 5 },
    swirlG: 30,
    method: ['Heat the cream until it steams, pour it over the chopped chocolate, wait two minutes, stir from the middle.', 'Let it cool until it is as thick as soft butter.'], // prettier-ignore
    looks: 'glossy, as thick as soft butter',
    fridge: true,
    keeps: '4 days in the fridge',
    caution: CHILLED,
  },
  {
    id: 'ganache-glaze',
    name: 'Ganache, to pour',
    parts: [
      { ingredient: 'dark-chocolate', parts: 1 },
      { ingredient: 'cream-double', parts: 1 },
    ],
    gPerMl: 1.12,
    mm: { between: 0, top: 3, sides: 2 },
    swirlG: 0,
    method: ['Heat the cream until it steams, pour it over the chopped chocolate, wait two minutes, stir from the middle.', 'Pour it at 32–35 °C, in one go.'], // prettier-ignore
    looks: 'runs off the spoon in a ribbon',
    fridge: true,
    keeps: '4 days in the fridge',
    caution: CHILLED,
  },
  {
    id: 'water-icing',
    name: 'Water icing',
    parts: [
      { ingredient: 'icing-sugar', parts: 6 },
      { ingredient: 'lemon-juice', parts: 1 },
    ],
    gPerMl: 1.35,
    mm: { between: 0, top: 2, sides: 0 },
    swirlG: 0,
    method: ['Stir the juice into the sugar by the spoonful; it turns runny all at once.', 'Pour it on while the cake is barely warm.'], // prettier-ignore
    looks: 'a track closes in ten seconds',
    fridge: false,
    keeps: 'as long as the cake',
    caution: null,
  },
  {
    id: 'jam',
    name: 'Jam filling',
    parts: [{ ingredient: 'jam', parts: 1 }],
    gPerMl: 1.33,
    mm: { between: 4, top: 0, sides: 0 },
    swirlG: 0,
    method: ['Stir it smooth and spread it to a finger from the edge.'],
    looks: 'a thin, even layer',
    fridge: false,
    keeps: 'as long as the cake',
    caution: null,
  },
  {
    id: 'syrup',
    name: 'Syrup to soak',
    parts: [
      { ingredient: 'caster-sugar', parts: 1 },
      { ingredient: 'water', parts: 1 },
    ],
    gPerMl: 1.2,
    mm: { between: 0, top: 0, sides: 0 },
    swirlG: 0,
    share: [5, 15],
    method: ['Boil sugar and water for a minute and let it cool to warm.', 'Prick the warm cake all over and brush it on in three turns.'], // prettier-ignore
    looks: 'gone in before the next turn',
    fridge: false,
    keeps: 'two days longer than the cake without',
    caution: 'Boiling syrup burns worse than water.',
  },
  {
    id: 'dusting',
    name: 'Dusting of sugar',
    parts: [{ ingredient: 'icing-sugar', parts: 1 }],
    gPerMl: 0.5,
    mm: { between: 0, top: 0, sides: 0 },
    swirlG: 0,
    share: [3, 6],
    method: ['Sift it over just before serving, when the cake is cold.'],
    looks: 'white, even, still dry',
    fridge: false,
    keeps: 'until it turns damp',
    caution: null,
  },
];

/** The id of the group that a build becomes in a formula. */
export const groupIdOf = (b: Build): string => `finish-${b.id}`;
