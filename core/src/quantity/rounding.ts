import { massIn } from './figures.js';
import type { Ingredient, Kitchen, Source } from '../formula/types.js';
import { asMeasured, readAmount } from './amount.js';
import { roundTo } from './numbers.js';

/** An amount as one way of measuring gives it. */
export interface Rounded {
  readonly words: string;
  readonly grams: number;
  /** Signed, per cent of what is wanted. */
  readonly errorPct: number;
}

export interface Roundings {
  /** On the kitchen's scale. */
  readonly weighed: Rounded;
  /** With the kitchen's cups, spoons and eggs. */
  readonly measured: Rounded;
  /** Set where the rounding matters: a leavener more than 5 % off, however it is measured. */
  readonly warning: string | null;
}

/** A leavener this far off, per cent, is felt in the lift. Judgement. */
const MATTERS_PCT = 5;

/**
 * What becomes of an amount when it is weighed on the kitchen's scale or measured with its spoons.
 * Scales are taken to read to their last figure; spoons go down to an eighth, cups to a quarter and a third.
 */
export function roundings(
  grams: number,
  ingredient: Ingredient,
  measures: Kitchen['measures'],
  display?: Kitchen['display'],
): Roundings {
  const error = (g: number): number => (grams > 0 ? Math.round((1000 * (g - grams)) / grams) / 10 : 0);
  const onScale = Math.round(1000 * roundTo(grams, measures.scaleG)) / 1000;
  const words = asMeasured(grams, ingredient, measures satisfies Source);
  const spooned =
    grams > 0
      ? (readAmount(words.replace(/^a pinch$/, '1 pinch').replace(/ pieces?$/, ' whole'), ingredient, measures)
          ?.grams ?? grams)
      : 0;
  const weighed = { words: massIn(display, onScale), grams: onScale, errorPct: error(onScale) };
  const measured = { words, grams: Math.round(100 * spooned) / 100, errorPct: error(spooned) };
  return { weighed, measured, warning: ingredient.role === 'leavener' && grams > 0 ? warn(weighed, measured) : null };
}

function warn(weighed: Rounded, measured: Rounded): string | null {
  const off = (r: Rounded): boolean => Math.abs(r.errorPct) > MATTERS_PCT;
  const by = (r: Rounded): string => `${r.errorPct > 0 ? '+' : '−'}${Math.abs(Math.round(r.errorPct))} %`;
  if (off(weighed) && off(measured))
    return `${by(weighed)} on this scale, ${by(measured)} by the spoon: weigh it finer, or make a batch that rounds better.`;
  if (off(weighed)) return `${by(weighed)} on this scale: use the spoon.`;
  if (off(measured)) return `${by(measured)} by the spoon: weigh it.`;
  return null;
}
