import type { MixingMethod } from '../balance/families.js';
import type { GroupRole } from '../formula/types.js';
import type { Rescue } from './step.js';

/** One stage of a mixing method. Times and looks are general baking knowledge, not looked up. */
export interface Stage {
  readonly id: string;
  readonly words: string;
  /** Minutes for an ordinary home batch. */
  readonly minutes: readonly [low: number, typical: number, high: number];
  readonly looks: string;
  readonly wrong: readonly Rescue[];
  /** Roles of the lines that go in here. */
  readonly takes: readonly GroupRole[];
  readonly wanted?: string;
  readonly mixer?: true;
  /** What the baker's own words for this stage hold. */
  readonly says: RegExp;
  /** What is often added by feel here. */
  readonly feel?: readonly string[];
}

const OVERMIXED: Rescue = {
  sign: 'it turns smooth and stretchy',
  rescue: 'stop at once: more stirring makes it tall, then tough and full of tunnels. Let it stand 5 minutes first',
};
const STREAKS: Rescue = {
  sign: 'streaks at the bottom of the bowl',
  rescue: 'scrape down to the base once and give two or three more turns',
};

const dry = (takes: readonly GroupRole[] = ['dry']): Stage => ({
  id: 'dry',
  words: 'Whisk the dry things together',
  minutes: [0.7, 1, 2],
  looks: 'one even colour, no lumps of soda or cocoa',
  wrong: [{ sign: 'lumps of soda, powder or cocoa', rescue: 'press them through a sieve; they do not dissolve later' }],
  takes,
  says: /\b(whisk|sift|stir|mix|toss)\b[^.;]*\b(dry|flours?|powder|soda)\b|everything dry/i,
});
const fold: Stage = {
  id: 'fold',
  words: 'Fold in the additions',
  minutes: [0.5, 1, 2],
  looks: 'evenly spread, the batter hardly touched',
  wrong: [{ sign: 'they sink at once', rescue: 'the batter is thin: scatter half of them on top instead' }],
  takes: ['fold-in'],
  says: /\bfold\b[^.;]*\bin\b|\b(scatter|stir|toss)\b[^.;]*\bthrough\b|\bstir in\b[^.;]*\b(nuts?|fruit|berries|chips|raisins)\b/i,
};
const wet: Stage = {
  id: 'wet',
  words: 'Whisk the wet things and the sugar until smooth',
  minutes: [1, 2, 3],
  looks: 'smooth, the sugar mostly dissolved, no strings of egg white',
  wrong: [
    {
      sign: 'specks of fat that set',
      rescue: 'something was cold: stand the bowl in warm water and whisk until they melt',
    },
  ],
  takes: ['wet', 'egg', 'fat-sugar'],
  wanted: 'eggs and dairy at 20–22 °C, melted fat below 45 °C',
  says: /\b(whisk|beat|stir|mix)\b[^.;]*\b(wet|eggs?|oil|milk|yogurt|buttermilk|sugar)\b/i,
};

/** The stages of each way of mixing, in order. */
export const stages: Readonly<Record<MixingMethod, readonly Stage[]>> = {
  creaming: [
    {
      id: 'cream',
      words: 'Cream the fat and sugar until pale and fluffy',
      minutes: [3, 5, 10],
      looks: 'pale, fluffy, nearly twice the volume; the sugar hardly crunches',
      wrong: [
        { sign: 'greasy and flat', rescue: 'the fat is too warm: chill the bowl for 5 minutes, then beat again' },
        { sign: 'lumps that stay', rescue: 'the fat is too cold: hold the bowl in warm water for half a minute' },
      ],
      takes: ['fat-sugar'],
      wanted: 'butter at 18–20 °C: a finger leaves a dent, the butter does not shine',
      mixer: true,
      says: /\bcream(ed|ing)?\b(?! (of|cheese))|pale and fluffy|light and fluffy|\bbeat\b[^.;]*\b(butter|fat)\b[^.;]*\bsugar\b/i,
    },
    {
      id: 'eggs',
      words: 'Beat in the eggs one at a time',
      minutes: [2, 3, 5],
      looks: 'smooth and glossy, holding together after each egg',
      wrong: [
        {
          sign: 'it looks curdled',
          rescue: 'the eggs were cold. Warm the bowl a little and beat, or add a spoonful of the flour: it comes back',
        },
      ],
      takes: ['egg'],
      wanted: 'eggs at 20–22 °C',
      mixer: true,
      says: /\b(beat|whisk|add|stir)\b[^.;]*\beggs?\b/i,
    },
    dry([]),
    {
      id: 'alternate',
      words: 'Fold in the dry things in three parts and the liquid in two, dry first and last',
      minutes: [2, 4, 6],
      looks: 'smooth, even, falling heavily from the spoon',
      wrong: [OVERMIXED, STREAKS],
      takes: ['dry', 'wet'],
      says: /\b(fold|beat|stir|add)\b[^.;]*\b(dry|flour|by thirds|in turns?|three parts)\b|\balternat/i,
    },
    fold,
  ],
  coating: [
    dry(),
    {
      id: 'coat',
      words: 'Work the soft fat into the dry things and sugar',
      minutes: [2, 3, 5],
      looks: 'like damp sand, no lump larger than a lentil',
      wrong: [{ sign: 'it gathers into a paste', rescue: 'the fat is too warm: chill the bowl for 10 minutes' }],
      takes: ['fat-sugar'],
      wanted: 'fat at 18–20 °C',
      mixer: true,
      says: /wet sand|damp sand|\b(work|beat|mix|rub)\b[^.;]*\b(butter|fat)\b/i,
    },
    {
      id: 'liquid',
      words: 'Beat in half the liquid, then the rest',
      minutes: [1.5, 2.5, 4],
      looks: 'thick, smooth, a little shiny',
      wrong: [OVERMIXED, STREAKS],
      takes: ['wet', 'egg'],
      wanted: 'eggs and liquid at 20–22 °C',
      mixer: true,
      says: /\b(beat|stir|pour|mix|whisk)\b[^.;]*\b(milk|liquid|eggs?|wet|yogurt|buttermilk)\b/i,
    },
    fold,
  ],
  'rub-in': [
    dry(),
    {
      id: 'rub',
      words: 'Rub in the cold fat',
      minutes: [3, 5, 8],
      looks: 'coarse crumbs, with flakes up to the size of a pea',
      wrong: [
        { sign: 'it turns greasy or yellow', rescue: 'into the freezer for 10 minutes, bowl and all, then go on' },
      ],
      takes: ['fat-sugar'],
      wanted: 'fat straight from the fridge, or 10–15 minutes in the freezer',
      says: /\brub\b|\bcut\b[^.;]*\b(butter|fat|lard)\b|\bgrate\b|coarse crumbs|breadcrumbs|than a pea/i,
    },
    { ...fold, words: 'Toss the additions through' },
    {
      id: 'liquid',
      words: 'Add the cold liquid and bring it together',
      minutes: [0.7, 1.5, 3],
      looks: 'shaggy; it holds when a handful is pressed',
      wrong: [
        { sign: 'dry crumbs in the bowl', rescue: 'a splash more of the liquid, only where it is dry' },
        { sign: 'it sticks like porridge', rescue: 'flour the board and your hands, not the dough; shape it quickly' },
        OVERMIXED,
      ],
      takes: ['wet', 'egg'],
      wanted: 'liquid straight from the fridge',
      says: /\b(pour|stir|add|mix|beat|bring)\b[^.;]*\b(milk|buttermilk|cream|liquid|together|yogurt)\b/i,
      feel: ['a splash more of the liquid', 'flour on the board'],
    },
  ],
  muffin: [
    dry(),
    wet,
    {
      id: 'combine',
      words: 'Tip the wet into the dry and turn it over',
      minutes: [0.4, 0.8, 1.5],
      looks: 'just combined: a few lumps, no dry flour',
      wrong: [OVERMIXED, STREAKS],
      takes: [],
      says: /\b(wet\b[^.;]*\binto|into the dry|just combined|barely combined|no flour shows|flour shows)/i,
      feel: ['a splash more milk if it is stiff'],
    },
    fold,
  ],
  'one-bowl': [
    dry(),
    wet,
    {
      id: 'combine',
      words: 'Stir everything together',
      minutes: [0.7, 1.5, 3],
      looks: 'even and without dry flour; it falls from the spoon',
      wrong: [OVERMIXED, STREAKS],
      takes: [],
      says: /\b(into the dry|together|combined|until smooth|mix to|pour in|dry at once|all at once)\b/i,
      feel: ['a splash more of the liquid'],
    },
    fold,
  ],
  'melt-and-stir': [
    {
      id: 'melt',
      words: 'Melt the fat with the sugar and syrup over a low heat',
      minutes: [4, 6, 10],
      looks: 'one glossy liquid, no grains left; it need not boil',
      wrong: [
        {
          sign: 'fat floats on top',
          rescue: 'whisk hard off the heat; it binds when it is cooler and the egg goes in',
        },
      ],
      takes: ['fat-sugar', 'wet'],
      says: /\b(melt|warm|boil|simmer|heat)\b/i,
    },
    {
      id: 'eggs',
      words: 'Beat in the eggs',
      minutes: [0.7, 1, 2],
      looks: 'smooth; barely warm to the finger',
      wrong: [
        { sign: 'threads of cooked egg', rescue: 'it was too hot: strain it, and cool the next one below 45 °C' },
      ],
      takes: ['egg'],
      wanted: 'the melted part below 45 °C',
      says: /\b(beat|whisk|stir|add)\b[^.;]*\beggs?\b/i,
    },
    {
      id: 'combine',
      words: 'Stir in the dry things',
      minutes: [1, 2, 3],
      looks: 'smooth and pourable; small lumps go in the oven',
      wrong: [OVERMIXED, STREAKS],
      takes: ['dry'],
      says: /\b(dry|flours?|sift|whisk smooth|into the dry)\b/i,
    },
    fold,
  ],
};

/** Work before or between the stages that every method can have. */
export const soak: Stage = {
  id: 'soak',
  words: 'Leave it to soak',
  minutes: [1, 2, 3],
  looks: 'swollen and soft; most of the liquid has gone in',
  wrong: [{ sign: 'still hard', rescue: 'give it another ten minutes, or warm the liquid' }],
  takes: [],
  says: /\bsoak\b|\bpour\b[^.;]*\bover\b[^.;]*\bleave\b/i,
};
