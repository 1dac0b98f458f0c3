import { readFileSync } from 'node:fs';
import { simulate } from '../../src/bake/run.js';
import { setupOf } from '../../src/bake/setup.js';
import type { BakeInput, FamilyId } from '../../src/index.js';

/** A bake by another author: the formula as weighed, in the tin and at the heat that its words name, and the minutes they state. */
export interface OthersBake {
  readonly id: string;
  /** By a hash of its id: what was fitted never saw the test half. */
  readonly half: 'fit' | 'test';
  readonly minutes: readonly [number, number];
  readonly input: BakeInput;
}

/** Nearly two hundred ordinary bakes; a loaf that stands overnight in an oven of 100 °C is not among them. */
export const othersBakes: readonly OthersBake[] = (
  JSON.parse(readFileSync(new URL('../corpus/bakes.json', import.meta.url), 'utf8')) as (Omit<OthersBake, 'input'> & {
    readonly input: Omit<BakeInput, 'tin'> & { readonly tin: Omit<BakeInput['tin'], 'id' | 'name'> };
  })[]
)
  .map((b) => ({ ...b, input: { ...b.input, tin: { id: 't', name: 'tin', ...b.input.tin } } }))
  .filter((b) => b.input.ovenC > 120);

export const familyOfBake = (b: OthersBake): FamilyId => b.input.family;
export const isCut = (b: OthersBake): boolean => b.input.tin.shape === 'slab';
export const statedMin = (b: OthersBake): number => Math.sqrt(b.minutes[0] * b.minutes[1]);

/** ln of the model's minutes over the stated ones. */
export function errorOf(b: OthersBake, resolution = 0.7): number {
  const min = simulate({ ...setupOf(b.input), resolution }, { untilDone: true }).doneMin;
  return Math.log((min ?? 1e3) / statedMin(b));
}

export const mean = (x: readonly number[]): number => x.reduce((s, e) => s + e, 0) / Math.max(1, x.length);
export const medianOf = (x: readonly number[]): number =>
  [...x].map(Math.abs).sort((a, b) => a - b)[x.length >> 1] ?? NaN;
