import { presetOf, type PresetId, type Wish } from '@orvin/core';

/** What a wish is worked out from. */
export interface AskedNow {
  /** How much less, per cent, where something is to be less. */
  readonly lessPct: number;
  readonly batterG: number;
}

/** Something to ask of a formula with one press. */
export interface Ask {
  readonly id: string;
  readonly name: string;
  /** Where it stands apart from its row: `less sugar`. */
  readonly says: string;
  readonly title: string;
  /** Wishes join; presets stand alone. */
  readonly wish?: (now: AskedNow) => Wish;
  readonly preset?: PresetId;
}

const ask = (id: string, name: string, title: string, wish: Wish | ((now: AskedNow) => Wish)): Ask => ({
  id,
  name,
  says: id.startsWith('less-') ? `less ${name}` : id === 'as-much' ? 'as much batter as now' : name,
  title,
  wish: typeof wish === 'function' ? wish : () => wish,
});
/** Less of something, by as much as is said. */
const less = (of: 'sugar' | 'fat' | 'sodium', name: string, title: string): Ask =>
  ask(`less-${name}`, name, title, ({ lessPct }) => ({ kind: 'change', of, byPct: -lessPct }));
const preset = (id: PresetId, name: string, title: string): Ask => ({
  id,
  name,
  says: presetOf(id)?.name ?? name,
  title,
  preset: id,
});

/** The presses, by what they are: wishes that join, what is to stay out, and whom or what it is for. */
export const asks: readonly { readonly name: string; readonly asks: readonly Ask[] }[] = [
  {
    name: 'make it',
    asks: [
      ask('lighter', 'lighter', 'A more open crumb', { kind: 'texture', trait: 'crumb', by: 0.35 }),
      ask('moister', 'moister', 'Moister to eat', { kind: 'texture', trait: 'mouth', by: 0.35 }),
      ask('tender', 'softer', 'A more tender bite', { kind: 'texture', trait: 'bite', by: 0.3 }),
      ask('darker', 'darker', 'A little soda left over, for a darker, softer crumb', {
        kind: 'left-soda',
        min: 0.13,
        max: 0.22,
      }),
      ask(
        'as-much',
        'as much as now',
        'No more batter than now, and no less: it has to fill the same tin',
        ({ batterG }) => ({
          kind: 'batter',
          grams: batterG,
        }),
      ),
    ],
  },
  {
    name: 'less',
    asks: [
      less('sugar', 'sugar', 'A quarter less sugar, or as much as you say'),
      less('fat', 'fat', 'A quarter less fat, or as much as you say'),
      less('sodium', 'salt', 'A quarter less sodium, or as much as you say; leavener counts'),
    ],
  },
  {
    name: 'without',
    asks: [
      preset('eggless', 'egg', 'Something else to bind and moisten'),
      preset('dairy-free', 'milk', 'No butter, milk, cheese or cream'),
      preset('vegan', 'anything animal', 'Vegan'),
      preset('nut-free', 'nuts', 'No tree nuts and no peanut'),
      preset('gluten-free', 'gluten', 'No wheat, rye, barley or oats'),
    ],
  },
  {
    name: 'for',
    asks: [
      preset('whole-grain', 'more whole grain', 'Half of the flour, or as much as the crumb bears'),
      preset('small-child', 'a small child', 'Less sugar and salt, nothing hard, no honey'),
      preset('high-altitude', 'high up', 'Thin air: less leavener, more liquid, a hotter oven'),
      preset('what-i-have', 'what I have', 'Nothing but what the Larder lists in stock'),
    ],
  },
];

/** How much less, per cent, where something is to be less. */
export const shares: readonly { readonly pct: number; readonly name: string }[] = [
  { pct: 10, name: 'a tenth' },
  { pct: 25, name: 'a quarter' },
  { pct: 33, name: 'a third' },
  { pct: 50, name: 'half' },
];
export const isLess = (a: Ask | undefined): boolean => a?.id.startsWith('less-') === true;

const all = asks.flatMap((g) => g.asks);
export const askOf = (id: string): Ask | undefined => all.find((a) => a.id === id);
