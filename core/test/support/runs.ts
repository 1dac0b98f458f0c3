import fc from 'fast-check';

/** True for `npm run validate`, which tries everything; the gate tries a part of it, the same part each time. */
export const full = process.env['ORVIN_FULL'] === '1';

/** How often a property is tried: a tenth of it in the gate. */
export const runs = (all: number): number => (full ? all : Math.max(10, Math.ceil(all / 10)));

/** How large a study is: so large in full, so large in the gate. */
export const size = (all: number, inGate: number): number => (full ? all : inGate);

/** Every n-th of a list in the gate. */
export const every = <T>(n: number, list: readonly T[]): readonly T[] =>
  full ? list : list.filter((_, i) => i % n === 0);

// what the gate has tried once it tries again, so that it fails only for what was changed
// and a property that does not say how often it wants to be tried, a tenth of what is usual
if (!full) fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: 4711, numRuns: runs(100) });
