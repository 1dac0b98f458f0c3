import type { Line } from '../leavening/parts.js';
import type { VerbId } from '../method/verbs.js';
import type { Rescue } from './step.js';

/** What an operation looks like when it is right, what can go wrong by its sign, and what it wants. */
export interface Look {
  readonly looks: string;
  readonly wrong: readonly Rescue[];
  readonly wanted?: string;
  readonly feel?: readonly string[];
  readonly mixer?: true;
}

/** What has gone before and goes in, as far as it changes the look. */
export interface Scene {
  readonly takes: readonly Line[];
  /** All the flour is in the bowl, with liquid. */
  readonly wetted: boolean;
  readonly melted: boolean;
  /** A stiff dough, for which the fat was rubbed in. */
  readonly rubbed: boolean;
}

interface Row {
  readonly verbs: readonly VerbId[];
  readonly when?: (s: Scene) => boolean;
  readonly look: Look;
}

const OVERMIXED: Rescue = {
  sign: 'it turns smooth and stretchy',
  rescue: 'stop at once: more stirring makes it tall, then tough and full of tunnels. Let it stand 5 minutes first',
};
const STREAKS: Rescue = {
  sign: 'streaks at the bottom of the bowl',
  rescue: 'scrape down to the base once and give two or three more turns',
};
const role =
  (...roles: readonly string[]) =>
  (s: Scene): boolean =>
    s.takes.some((l) => roles.includes(l.ingredient.role));
const only =
  (...roles: readonly string[]) =>
  (s: Scene): boolean =>
    s.takes.length > 0 && s.takes.every((l) => roles.includes(l.ingredient.role) || l.ingredient.base !== undefined);
const stirring: readonly VerbId[] = ['mix', 'whisk', 'beat', 'add', 'fold', 'sift', 'blend', 'pour', 'toss'];

/** The first that fits is shown. General baking knowledge, not looked up. */
const table: readonly Row[] = [
  {
    verbs: ['cream'],
    look: {
      looks: 'pale, fluffy, nearly twice the volume; the sugar hardly crunches',
      wrong: [
        { sign: 'greasy and flat', rescue: 'the fat is too warm: chill the bowl for 5 minutes, then beat again' },
        { sign: 'lumps that stay', rescue: 'the fat is too cold: hold the bowl in warm water for half a minute' },
      ],
      wanted: 'butter at 18–20 °C: a finger leaves a dent, the butter does not shine',
      mixer: true,
    },
  },
  {
    verbs: ['rub in', 'cut in'],
    look: {
      looks: 'coarse crumbs, with flakes up to the size of a pea',
      wrong: [
        { sign: 'it turns greasy or yellow', rescue: 'into the freezer for 10 minutes, bowl and all, then go on' },
      ],
      wanted: 'fat straight from the fridge, or 10–15 minutes in the freezer',
    },
  },
  {
    verbs: ['melt', 'warm'],
    look: {
      looks: 'one glossy liquid, no grains left; it need not boil',
      wrong: [
        {
          sign: 'fat floats on top',
          rescue: 'whisk hard off the heat; it binds when it is cooler and the egg goes in',
        },
      ],
    },
  },
  {
    verbs: ['soak'],
    look: {
      looks: 'swollen and soft; most of the liquid has gone in',
      wrong: [{ sign: 'still hard', rescue: 'give it another ten minutes, or warm the liquid' }],
    },
  },
  {
    verbs: ['whip'],
    look: {
      looks: 'it holds a soft peak that bends',
      wrong: [{ sign: 'it turns grainy', rescue: 'stop, and stir in a spoonful of it unwhipped by hand' }],
      mixer: true,
    },
  },
  {
    verbs: ['bring together', 'knead'],
    look: {
      looks: 'shaggy; it holds when a handful is pressed',
      wrong: [
        { sign: 'dry crumbs in the bowl', rescue: 'a splash more of the liquid, only where it is dry' },
        { sign: 'it sticks like porridge', rescue: 'flour the board and your hands, not the dough; shape it quickly' },
        OVERMIXED,
      ],
      wanted: 'liquid straight from the fridge',
      feel: ['a splash more of the liquid', 'flour on the board'],
    },
  },
  {
    verbs: ['roll', 'pat', 're-roll', 'press'],
    when: (s) => s.rubbed,
    look: {
      looks: 'one thickness right to the edge',
      wrong: [{ sign: 'it springs back', rescue: 'leave it 5 minutes under a cloth, then go on' }],
      feel: ['flour on the board'],
    },
  },
  {
    verbs: ['cut'],
    look: {
      looks: 'clean sides',
      wrong: [
        {
          sign: 'the sides are smeared',
          rescue: 'flour the cutter and push straight down; twisted or dragged, they rise lopsided',
        },
      ],
    },
  },
  {
    verbs: ['score'],
    look: {
      looks: 'the cut stays open',
      wrong: [
        {
          sign: 'it closes again',
          rescue: 'cut once more, at least 12 mm deep: heat gets in by it, and it opens there and not at the side',
        },
      ],
    },
  },
  {
    verbs: ['glaze', 'brush'],
    look: {
      looks: 'a thin coat on top only',
      wrong: [{ sign: 'it runs down the sides', rescue: 'wipe it off: it glues the layers, and they rise crooked' }],
    },
  },
  {
    verbs: stirring,
    when: (s) => s.melted && role('egg')(s),
    look: {
      looks: 'smooth; barely warm to the finger',
      wrong: [
        { sign: 'threads of cooked egg', rescue: 'it was too hot: strain it, and cool the next one below 45 °C' },
      ],
      wanted: 'the melted part below 45 °C',
    },
  },
  {
    verbs: stirring,
    when: (s) => s.takes.length > 0 && s.takes.every((l) => l.ingredient.role === 'egg'),
    look: {
      looks: 'smooth and glossy, holding together after each egg',
      wrong: [
        {
          sign: 'it looks curdled',
          rescue: 'the eggs were cold. Warm the bowl a little and beat, or add a spoonful of the flour: it comes back',
        },
      ],
      wanted: 'eggs at 20–22 °C',
      mixer: true,
    },
  },
  {
    verbs: stirring,
    when: only('flour', 'leavener', 'salt', 'cocoa', 'flavour', 'sugar'),
    look: {
      looks: 'one even colour, no lumps of soda or cocoa',
      wrong: [
        { sign: 'lumps of soda, powder or cocoa', rescue: 'press them through a sieve; they do not dissolve later' },
      ],
    },
  },
  {
    verbs: stirring,
    when: (s) => s.takes.length > 0 && s.takes.every((l) => l.whole),
    look: {
      looks: 'evenly spread, the batter hardly touched',
      wrong: [{ sign: 'they sink at once', rescue: 'the batter is thin: scatter half of them on top instead' }],
    },
  },
  {
    verbs: stirring,
    when: (s) => !s.wetted && role('egg', 'liquid', 'fat')(s) && !role('flour')(s),
    look: {
      looks: 'smooth, no strings of egg white',
      wrong: [
        {
          sign: 'specks of fat that set',
          rescue: 'something was cold: stand the bowl in warm water and whisk until they melt',
        },
      ],
      wanted: 'eggs and dairy at 20–22 °C, melted fat below 45 °C',
    },
  },
  {
    verbs: stirring,
    when: (s) => s.wetted && s.rubbed,
    look: {
      looks: 'shaggy; it holds when a handful is pressed',
      wrong: [
        OVERMIXED,
        { sign: 'dry crumbs in the bowl', rescue: 'a splash more of the liquid, only where it is dry' },
      ],
    },
  },
  {
    verbs: stirring,
    when: (s) => s.wetted,
    look: {
      looks: 'just combined and without dry flour; a few small lumps go in the oven',
      wrong: [OVERMIXED, STREAKS],
      feel: ['a splash more of the liquid if it is stiff'],
    },
  },
];

/** What to look for at an operation; null where there is nothing to say. */
export const lookOf = (verb: VerbId, scene: Scene): Look | null =>
  table.find((r) => r.verbs.includes(verb) && (r.when?.(scene) ?? true))?.look ?? null;
