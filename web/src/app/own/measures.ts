import type { Kitchen } from '@orvin/core';
import { eggG, massIn, tablespoonMl } from '@orvin/core';

const SIZES: Readonly<Record<string, string>> = { s: 'small', m: 'medium', l: 'large', xl: 'extra large', jumbo: 'jumbo' }; // prettier-ignore

/** What a kitchen measures with: "US cups and spoons; large eggs of 1.8 oz", "cups of 250 ml, tablespoons of 20 ml; medium eggs of 50 g". */
export function measuresOf({ measures, display }: Kitchen): string {
  const egg = `${SIZES[measures.eggSize.slice(3)] ?? ''} eggs of ${massIn(display, eggG[measures.eggSize])}`;
  const vessels =
    display.weight === 'oz'
      ? `${measures.cupMl > 270 ? 'imperial' : 'US'} cups and spoons`
      : measures.vessel === 'dl'
        ? `decilitres, tablespoons of ${tablespoonMl(measures)} ml`
        : `cups of ${measures.cupMl} ml, tablespoons of ${tablespoonMl(measures)} ml`;
  return `${vessels}; ${egg}`;
}
