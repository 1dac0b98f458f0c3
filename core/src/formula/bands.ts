import type { Band } from './types.js';

export const band = (low: number, typical: number, high: number): Band => ({ low, typical, high });
export const exactly = (x: number): Band => ({ low: x, typical: x, high: x });
export const times = (b: Band, k: number): Band => ({ low: b.low * k, typical: b.typical * k, high: b.high * k });

/** Orders three scenario values into a band; typical stays what it is and is always inside. */
export const enclose = (a: number, typical: number, b: number): Band => ({
  low: Math.min(a, typical, b),
  typical,
  high: Math.max(a, typical, b),
});
