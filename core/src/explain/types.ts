import type { Band, Kitchen } from '../formula/types.js';
import { massValue, told } from '../quantity/figures.js';
import { toFahrenheit } from '../quantity/units.js';

export interface Explanation {
  readonly words: string;
  /** The equation with this formula's numbers in it. */
  readonly equation: string;
  readonly inputs: readonly {
    readonly name: string;
    readonly value: number;
    readonly unit: string;
    readonly from: string;
  }[];
  readonly band?: Band;
  readonly source: string;
}

export const general = 'General baking knowledge, not looked up; docs/science/balance.md';
export const chemistry = 'Stoichiometry (computed) with acid values of general knowledge; docs/science/leavening.md';
export const judgement = 'A judgement of ours, from documented sums; docs/science/balance.md';

/** An explanation in the kitchen's units: its sentences, its equation, and the inputs that are weights, lengths or heats. */
export function inUnits(e: Explanation, kitchen: Kitchen | undefined): Explanation {
  if (!kitchen) return e;
  const d = kitchen.display;
  const inputs = e.inputs.map((i) => {
    const from = told(kitchen, i.from);
    const name = told(kitchen, i.name);
    const [first = '', ...more] = i.unit.split(' ');
    const unit = (u: string): string => [u, ...more].join(' ');
    if (first === 'g' && d.weight === 'oz') return { ...i, name, from, value: massValue(d, i.value), unit: unit('oz') };
    if (first === '°C' && d.temperature === 'F')
      return { ...i, name, from, value: toFahrenheit(i.value), unit: unit('°F') };
    if (first === 'mm' && d.length === 'in')
      return { ...i, name, from, value: Math.round(i.value / 2.54) / 10, unit: unit('in') };
    return { ...i, name, from };
  });
  // an equation of chemistry stays in the units of chemistry, or it would not add up
  const equation = /\b(?:mmol|meq|mg|n R T)\b/.test(e.equation) ? e.equation : told(kitchen, e.equation);
  return { ...e, words: told(kitchen, e.words), equation, inputs };
}
