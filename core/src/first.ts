/**
 * What the first screen needs: a formula, its kitchen, what it amounts to and how it stands in its tin. Apart from
 * `working`, since whatever a page takes from a list of exports, it loads the whole of that list.
 */
export { assess } from './balance/assess.js';
export { familyOf } from './balance/families.js';
export { takenUp } from './counter/making.js';
export { allItems, applyChanges } from './formula/formula.js';
export { merge3, same } from './formula/merge.js';
export { defaultKitchen } from './kitchen/default.js';
export { outcomes } from './log/types.js';
export { degreesIn, degreesMore, dialIn } from './quantity/degrees.js';
export { massIn, massUnit, massValue } from './quantity/figures.js';
export { toCelsius } from './quantity/units.js';
export { fitTins } from './tin/fit.js';
export { capital, within } from './text/plain.js';
export { outlineOf } from './tin/geometry.js';
