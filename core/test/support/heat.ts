import type { BakeInput, FamilyId, Tin } from '../../src/index.js';
import { evaporationFor } from '../../src/bake/physics.js';
import { middleCell } from '../../src/bake/readings.js';
import type { Setup } from '../../src/bake/setup.js';
import { temperatureOf, type Model, type State, type Wall } from '../../src/bake/state.js';
import { setupOf } from '../../src/bake/setup.js';

/** Home-baking times as commonly stated: light metal tin, middle rack, still oven. Depth 2 in where not said. */
export interface HomeCase {
  readonly name: string;
  readonly kind: 'layer' | 'muffin' | 'loaf' | 'scone' | 'soda bread';
  readonly tin: Tin;
  readonly kg: number;
  readonly ovenF: number;
  readonly early: number;
  readonly late: number;
}

/** An ordinary cake's crumb, for `tabulate`. */
export const crumb = {
  kS: 0.33,
  beta: 0.35,
  wetWalls: 2.7,
  aw: 0.93,
  eps0: 0.15,
  rise: 1.7,
  rho: 980,
  cp: 2650,
  water: 0.3,
  pressure: 101325,
};
const metal: Wall = { law: { h: 5, eps: 0.6, evaporation: 0 }, capacity: 2200, resistance: 0 };
/** The open face of a cake in a still oven, and a light metal tin around it. */
export const openTop: Wall = { law: { h: 5, eps: 0.9, evaporation: evaporationFor(5) }, capacity: 0, resistance: 0 };
export const tinned: Model['walls'] = { base: metal, tin: metal, 'inner tin': metal, open: openTop };

/** The coldest temperature in the middle of a bake, °C. */
export const coldest = (s: State): number => temperatureOf(s, middleCell(s));

/** A 23 cm round of light metal. */
export const round23: Tin = {
  id: 'r',
  name: 'round',
  shape: 'round',
  topMm: 229,
  baseMm: 229,
  depthMm: 55,
  material: 'light metal',
};

const inch = 25.4;
type Size = readonly [top: number, depth: number, more?: Partial<Record<'top2' | 'base' | 'tube', number>>];
const tin = (shape: Tin['shape'], [top, depth, more]: Size): Tin => ({
  id: shape,
  name: `${top} in ${shape}`,
  shape,
  topMm: top * inch,
  baseMm: (more?.base ?? top) * inch,
  depthMm: depth * inch,
  material: shape === 'slab' || shape === 'mound' ? 'none' : 'light metal',
  ...(more?.top2 && { top2Mm: more.top2 * inch, base2Mm: more.top2 * inch }),
  ...(more?.tube && { tubeMm: more.tube * inch }),
});
const c = (
  name: string,
  kind: HomeCase['kind'],
  shape: Tin['shape'],
  size: Size,
  kg: number,
  ovenF: number,
  early: number,
  late: number,
): HomeCase => ({ name, kind, tin: tin(shape, size), kg, ovenF, early, late });

// prettier-ignore
export const homeTable: readonly HomeCase[] = [
  c('8 in layer', 'layer', 'round', [8, 2], 0.6, 350, 30, 35),
  c('9 in layer', 'layer', 'round', [9, 2], 0.68, 350, 27, 33),
  c('10 in layer', 'layer', 'round', [10, 2], 1.05, 350, 35, 40),
  c('12 in layer', 'layer', 'round', [12, 2], 1.6, 350, 38, 45),
  c('13 x 9 sheet', 'layer', 'rect', [13, 2, { top2: 9 }], 1.4, 350, 35, 40),
  c('8 in square', 'layer', 'square', [8, 2], 0.75, 350, 30, 38),
  c('half sheet', 'layer', 'rect', [17, 1, { top2: 12 }], 1.5, 350, 18, 23),
  c('cupcake', 'muffin', 'cup', [2.75, 1.4, { base: 2 }], 0.055, 350, 18, 21),
  c('muffin, hot', 'muffin', 'cup', [2.75, 1.4, { base: 2 }], 0.085, 400, 18, 22),
  c('mini muffin', 'muffin', 'cup', [1.75, 0.9, { base: 1.25 }], 0.019, 350, 10, 13),
  c('jumbo muffin', 'muffin', 'cup', [3.5, 1.9, { base: 2.75 }], 0.17, 375, 26, 32),
  c('loaf 9 x 5', 'loaf', 'loaf', [8.5, 2.7, { top2: 4.6 }], 1.2, 350, 57, 68),
  c('loaf 8.5 x 4.5', 'loaf', 'loaf', [8, 2.6, { top2: 4.1 }], 0.95, 350, 50, 60),
  c('mini loaf', 'loaf', 'loaf', [5.5, 2.1, { top2: 2.8 }], 0.32, 350, 30, 38),
  c('tube, 12 cup', 'loaf', 'tube', [9.5, 3.5, { tube: 3.2 }], 1.7, 350, 50, 60),
  c('tube, pound cake', 'loaf', 'tube', [9.5, 3.5, { tube: 3.2 }], 2, 325, 75, 90),
  c('scone', 'scone', 'slab', [2.6, 1], 0.075, 425, 13, 16),
  c('biscuit', 'scone', 'slab', [2.6, 0.8], 0.06, 450, 11, 14),
  c('soda bread round', 'soda bread', 'mound', [7, 2], 0.85, 400, 40, 48),
];

const families: Readonly<Record<HomeCase['kind'], FamilyId>> = {
  layer: 'butter-cake-lean',
  muffin: 'muffin',
  loaf: 'quick-bread',
  scone: 'scone',
  'soda bread': 'soda-bread',
};
const exceptions: Readonly<Record<string, FamilyId>> = {
  cupcake: 'butter-cake-lean',
  biscuit: 'biscuit',
  'tube, 12 cup': 'pound-cake',
  'tube, pound cake': 'pound-cake',
};

/** The case as the public `predictBake` takes it; density, rise, doneness and composition are the family's own. */
export const inputFor = (x: HomeCase): BakeInput => ({
  tin: x.tin,
  batterG: x.kg * 1000,
  family: exceptions[x.name] ?? families[x.kind],
  ovenC: ((x.ovenF - 32) * 5) / 9,
  startC: 21,
});
export const setupFor = (x: HomeCase): Setup => setupOf(inputFor(x));
export const middleOf = (x: HomeCase): number => Math.sqrt(x.early * x.late);
export const rms = (x: readonly number[]): number => Math.sqrt(x.reduce((s, e) => s + e * e, 0) / x.length);

/** Bessel function of the first kind, order 0 or 1, by its power series (good below 20). */
export function bessel(order: 0 | 1, x: number): number {
  let term = order === 0 ? 1 : x / 2;
  let sum = term;
  for (let m = 1; m < 60; m++) {
    term *= (-x * x) / 4 / (m * (m + order));
    sum += term;
  }
  return sum;
}
