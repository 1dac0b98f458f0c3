import type { Family, MixingMethod } from '../balance/families.js';
import { dialFor } from '../bake/dial.js';
import type { PlanMark } from '../bake/plan.js';
import { ingredientFor, usableGrams } from '../formula/formula.js';
import type { Band, Formula, Group, Kitchen, Oven } from '../formula/types.js';
import type { Lift } from '../leavening/lift.js';
import type { Line } from '../leavening/parts.js';
import { dialIn } from '../quantity/degrees.js';
import { piecesIn, type TinFit } from '../tin/fit.js';
import type { PutAway } from '../method/put-away.js';
import type { Shared } from '../method/together.js';
import type { Operation, Phase } from '../method/types.js';
import { amountOf } from './amounts.js';
import type { Step, StepAmount } from './step.js';

/** What all steps of a formula are made from. */
export interface Parts extends Shared {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  /** Of the batter; and of all groups. */
  readonly lines: readonly Line[];
  readonly all: readonly Line[];
  readonly family: Family;
  readonly method: MixingMethod;
  readonly batterG: number;
  readonly lift: Lift;
  readonly flourG: number;
  readonly fits: readonly TinFit[];
  /** Marks and minutes of a prediction, where there is one. */
  readonly plan: readonly PlanMark[];
  readonly predicted: { readonly early: number; readonly likely: number; readonly late: number } | null;
  readonly oven?: Oven;
  /** The work in order, and what goes in at each operation by its id. */
  readonly work: readonly Operation[];
  readonly amounts: ReadonlyMap<string, readonly StepAmount[]>;
}

/** How much of what the tins hold is put away: "6 of the 12, about 320 g". */
export function putAwayWords(away: PutAway, fits: readonly TinFit[]): string {
  const grams = Math.round(away.share * fits.reduce((s, f) => s + f.count * f.batterG, 0));
  const part = away.pieces === null ? `${Math.round(100 * away.share)} %` : `${away.pieces} of the ${piecesIn(fits)}`;
  return grams > 0 ? `${part}, about ${grams} g` : part;
}

/** A step of which nothing more is said. */
export const none = { own: false, detail: null, amounts: [], looks: null, wrong: [], wanted: null, feel: [], mixer: false, marks: [], caution: null, soak: false } as const; // prettier-ignore

export const waitStep = (id: string, minutes: Band, words: string, phase: Phase): Step => ({
  ...none,
  id,
  kind: 'wait',
  phase,
  words,
  minutes,
  hands: false,
});

/** The heat as the dial of the oven it goes into has it. */
export function heatWords({ formula, kitchen, oven }: Pick<Parts, 'formula' | 'kitchen' | 'oven'>): string {
  if (!formula.bake) return 'its heat';
  const { ovenC, fan } = dialFor(formula.bake, oven);
  return `${dialIn(kitchen.display.temperature, ovenC)}${fan ? ' fan' : ''}`;
}

export const groupAmounts = (p: Parts, g: Group): StepAmount[] =>
  p.lines.filter((l) => g.items.includes(l.item)).map((l) => amountOf(l, p.kitchen));

export const apartAmounts = (f: Formula, g: Group, kitchen: Kitchen): StepAmount[] =>
  g.items.map((item) =>
    amountOf(
      { item, ingredient: ingredientFor(f, item, kitchen), grams: usableGrams(item.grams), whole: false },
      kitchen,
    ),
  );
