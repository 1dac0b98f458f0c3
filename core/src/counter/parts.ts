import type { Family } from '../balance/families.js';
import type { BakePrediction } from '../bake/predict.js';
import { exactly } from '../formula/bands.js';
import { ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Group, Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { dialIn } from '../quantity/degrees.js';
import type { TinFit } from '../tin/fit.js';
import { amountOf, type Shares } from './amounts.js';
import type { Matched } from './match.js';
import type { Stage } from './mixing.js';
import type { Step, StepAmount } from './step.js';

/** What all steps of a formula are made from. */
export interface Parts {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly lines: readonly Line[];
  readonly family: Family;
  readonly batterG: number;
  readonly flourG: number;
  readonly fatPct: number;
  readonly fits: readonly TinFit[];
  readonly prediction: BakePrediction | null;
  /** The baker's method, but for what only heats the oven, and the lines that go in at each entry. */
  readonly entries: readonly Matched[];
  readonly shares: Shares;
  /** What the method says of heating the oven, or a tin in it. */
  readonly heats: string;
  readonly stages: readonly Stage[];
  readonly rubbed: boolean;
  readonly creamed: boolean;
}

/** Fats that are hard in the fridge. */
export const SOLID_FAT = /^(butter|plant-butter|ghee|margarine|spread|lard|shortening|coconut-oil)/;

/** A step of which nothing more is said. */
export const none = { own: false, detail: null, amounts: [], looks: null, wrong: [], wanted: null, feel: [], mixer: false, marks: [], caution: null, soak: false } as const; // prettier-ignore

export const waitStep = (id: string, minutes: number, words: string): Step => ({
  ...none,
  id,
  kind: 'wait',
  words,
  minutes: exactly(minutes),
  hands: false,
});

export const heatWords = ({ formula, kitchen }: Parts): string =>
  formula.bake
    ? `${dialIn(kitchen.display.temperature, formula.bake.ovenC)}${formula.bake.fan ? ' fan' : ''}`
    : 'its heat';

export const groupAmounts = (p: Parts, g: Group): StepAmount[] =>
  p.lines.filter((l) => g.items.includes(l.item)).map((l) => amountOf(l, p.kitchen));

export const apartAmounts = (f: Formula, g: Group, kitchen: Kitchen): StepAmount[] =>
  g.items.map((item) =>
    amountOf(
      { item, ingredient: ingredientFor(f, item, kitchen), grams: usableGrams(item.grams), whole: false },
      kitchen,
    ),
  );
