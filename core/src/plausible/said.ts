import { methodRead } from '../balance/methods.js';
import type { Formula } from '../formula/types.js';
import { cookingOf, type Cooking } from '../text/cooked.js';

/** How air and fat get into a batter, as far as its plausibility goes. */
export const workings = ['rubbed', 'creamed', 'whisked', 'stirred'] as const;
export type Working = (typeof workings)[number];

/** What the words of a formula say of it: its title, and how it is worked where its method tells. */
export interface Said {
  readonly title: string;
  readonly working: Working | null;
  /** What it is cooked in; null where nothing tells, and then the oven is likeliest. */
  readonly cooking: Cooking | null;
}

const WORKED: Readonly<Record<string, Working>> = {
  'rub-in': 'rubbed',
  coating: 'rubbed',
  creaming: 'creamed',
  whisked: 'whisked',
  whisking: 'whisked',
};
/** Of a way of mixing by its name, `creaming`, `one-bowl`; all that are not told apart are stirred. */
export const workingOf = (mixing: string): Working => WORKED[mixing] ?? 'stirred';

const MIXES = /\b(?:stir|mix|fold|whisk|combine|beat|blend|pour)/i;

/** How a formula is worked by the words of its method; null where they tell nothing of it. */
export function workingRead(formula: Formula): Working | null {
  const read = methodRead(formula);
  if (read) return workingOf(read);
  return MIXES.test(formula.method.map((s) => s.text).join(' ')) ? 'stirred' : null;
}

export const saidOf = (formula: Formula): Said => ({
  title: formula.title,
  working: workingRead(formula),
  cooking: cookingOf(formula),
});

/** What is not of the oven, each as a trait of its own. */
const AWAY: readonly Cooking[] = ['griddle', 'fat', 'steam', 'microwave'];
export const awayFromOven = (cooking: Cooking | null): number[] => AWAY.map((c) => (c === cooking ? 1 : 0));

/** Words that stand for one another and tell more than each alone. */
const EGGLESS = /egg-?\s?less|egg-?\s?free|no eggs?|without eggs?|vegan|lenten|wacky|depression|war cake|vinegar cake/i;
const KINDS: readonly RegExp[] = [
  /chiffon|castella|angel|whisked|g[eé]noise|sponge cake/i,
  /brownie|blondie|squares/i,
  EGGLESS,
];
export const kindsOf = (title: string): number[] => KINDS.map((k) => (k.test(title) ? 1 : 0));

/** Whether a title says that there is to be no egg in it. */
export const isEggless = (title: string): boolean => EGGLESS.test(title);

const MILKLESS = /\bvegan\b|\blenten\b|(?:dairy|milk|lactose)[\s-]?free|\b(?:no|without) (?:milk|dairy)\b/i;
/** Whether a title says that there is to be no milk in it. */
export const isMilkless = (title: string): boolean => MILKLESS.test(title);

/** The words of a title to compare it by, without number and each but once: `apple`, `crumble`, `muffin`. */
export function titleWords(title: string): string[] {
  const words = title.toLowerCase().match(/\p{L}{3,}/gu) ?? [];
  return [...new Set(words.map((w) => w.replace(/(?<!s)s$/, '')))];
}
