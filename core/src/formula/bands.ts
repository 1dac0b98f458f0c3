import type { Band } from './types.js';

export const band = (low: number, typical: number, high: number): Band => ({ low, typical, high });
export const exactly = (x: number): Band => ({ low: x, typical: x, high: x });
export const times = (b: Band, k: number): Band => ({ low: b.low * k, typical: b.typical * k, high: b.high * k });

/** A band with the same rising function applied to each of its three values. */
export const mapped = (b: Band, f: (x: number) => number): Band => ({
  low: f(b.low),
  typical: f(b.typical),
  high: f(b.high),
});

/** Orders three scenario values into a band; typical stays what it is and is always inside. */
export const enclose = (a: number, typical: number, b: number): Band => ({
  low: Math.min(a, typical, b),
  typical,
  high: Math.max(a, typical, b),
});

/** Joint readings that a band on a result is made of; odd, so that one of them is the median. */
export const READINGS = 31;

/**
 * Where an uncertain quantity stands in each of the joint readings, as quantiles 0–1: one from each of `READINGS` equal
 * strata, in an order that depends on the name alone. Two lines of the same ingredient share a name and so rise and
 * fall together; different names are as good as independent. No randomness: the same name always gives the same order.
 */
export function quantilesOf(name: string): Float64Array {
  const known = orders.get(name);
  if (known) return known;
  let seed = 2166136261;
  for (let i = 0; i < name.length; i++) seed = Math.imul(seed ^ name.charCodeAt(i), 16777619);
  const out = Float64Array.from({ length: READINGS }, (_, i) => (i + 0.5) / READINGS);
  for (let i = READINGS - 1; i > 0; i--) {
    seed = (Math.imul(seed, 1664525) + 1013904223) | 0;
    const j = Math.floor(((seed >>> 0) / 4294967296) * (i + 1));
    [out[i], out[j]] = [out[j] as number, out[i] as number];
  }
  orders.set(name, out);
  return out;
}
const orders = new Map<string, Float64Array>();

/** The value of a band at a quantile: its low at 0.1, typical at 0.5, high at 0.9, straight between and beyond. */
export function atQuantile(b: Band, q: number): number {
  const x =
    q < 0.5
      ? b.typical - ((b.typical - b.low) * (0.5 - q)) / 0.4
      : b.typical + ((b.high - b.typical) * (q - 0.5)) / 0.4;
  return b.low >= 0 && x < 0 ? 0 : x;
}

/** Reads a band: at its typical value, or where its name stands in one of the joint readings. */
export type Reading = (b: Band, name: string) => number;
export const typically: Reading = (b) => b.typical;
export const readings: readonly Reading[] = Array.from(
  { length: READINGS },
  (_, i): Reading =>
    (b, name) =>
      atQuantile(b, quantilesOf(name)[i] as number),
);

/** The band that joint readings of a result make: 10 % lie below `low`, 10 % above `high`. */
export function bandOfReadings(values: readonly number[], typical: number): Band {
  const sorted = Float64Array.from(values).sort();
  const edge = (sorted.length - 1) * 0.1;
  return enclose(sorted[Math.round(edge)] ?? typical, typical, sorted[Math.round(sorted.length - 1 - edge)] ?? typical);
}
