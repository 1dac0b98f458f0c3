import type { NamedSuspect } from '../plausible/plausible.js';

/** A judgement in plain words, with the rule it follows and how grave it is. */
export interface Verdict {
  readonly id: string;
  readonly state: 'low' | 'ok' | 'high';
  readonly severity: 'note' | 'unusual' | 'faulty';
  readonly words: string;
  /** The same in a few words, where there are any. */
  readonly short?: string;
  readonly rule: string;
  /** The school that teaches the rule, where bakers disagree. */
  readonly school?: string;
  /** What it is about, in its own unit, and where 8 of 10 lie. */
  readonly figure?: { readonly value: number; readonly unit: string };
  readonly band?: readonly [low: number, high: number];
  /** The line at fault and what fits, where the judgement of the whole formula says so. */
  readonly suspect?: NamedSuspect;
}

/** Distance outside a range over its width; 0 inside. */
export function outside(x: number, [lo, hi]: readonly [number, number]): number {
  const width = Math.max(hi - lo, 1e-6);
  return x < lo ? (lo - x) / width : x > hi ? (x - hi) / width : 0;
}

/** Tenths below ten, else whole. */
export const whole = (x: number): string => (x < 9.95 ? x.toFixed(1).replace(/\.0$/, '') : String(Math.round(x)));
