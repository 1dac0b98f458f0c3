import { Z80 } from '../bake/priors.js';
import type { BakePrediction } from '../bake/predict.js';
import { plain } from '../quantity/numbers.js';
import type { TinFit } from '../tin/fit.js';
import { outlineOf } from '../tin/geometry.js';
import type { Kitchen } from '../formula/types.js';
import { inUnits, type Explanation } from './types.js';

/** Where a predicted time comes from: the model, what known bakes did to it, and how sure it is. */
export function explainBake(fit: TinFit, p: BakePrediction, kitchen?: Kitchen): Explanation {
  return inUnits(bakeExplained(fit, p), kitchen);
}

function bakeExplained(fit: TinFit, p: BakePrediction): Explanation {
  const c = p.calibration;
  const { early, likely, late } = p.minutes;
  return {
    words:
      'Heat from the oven’s air and walls goes into the batter through its top and through the tin, while it rises, sets and loses a little water. What lies on it or under it is heated with it. The bake is done when its coldest point reaches the temperature its family is done at, a little later where sugar lets the crumb set late. ' +
      (c && c.used > 0 ? `${c.words} ` : '') +
      'The range says in how many minutes four bakes in five would be done: as wide as the model is off for other bakers, or as known times and the log leave it; varying the oven, the tin, the batter and the end point says how it lies on either side.',
    equation: `the middle reaches ${plain(p.doneC)} °C after ${plain(likely)} min; ${Math.round(early)}–${Math.round(late)} four times in five, give or take ${Math.round((100 * Math.log(late / early)) / (2 * Z80))} %`,
    inputs: [
      { name: 'batter in the tin', value: fit.batterG, unit: 'g', from: 'the formula, divided by capacity' },
      { name: 'it stands', value: p.batterMm, unit: 'mm deep', from: 'geometry of the tin' },
      {
        name: 'done at',
        value: p.doneC,
        unit: '°C in the middle',
        from: 'the family and what sets its crumb, less what water boils cooler at this height',
      },
      {
        name: 'heat against an ordinary oven',
        value: c?.speed ?? 1,
        unit: 'times',
        from: c && c.used > 0 ? `${c.used} known bakes` : 'no known time yet',
      },
      {
        name: 'water lost',
        value: p.lossPct,
        unit: '% of the batter, once cold',
        from: 'the model; a scale checks it',
      },
    ],
    band: { low: early, typical: likely, high: late },
    source: 'Physical model; equations, parameters and errors in docs/science/bake.md and validation.md',
  };
}

/** Where fill and rise in a tin come from. */
export function explainFit(fit: TinFit, kitchen?: Kitchen): Explanation {
  return inUnits(fitExplained(fit), kitchen);
}

function fitExplained(fit: TinFit): Explanation {
  const o = outlineOf(fit.tin);
  const ml = fit.fill * fit.capacityMl;
  return {
    words: o.free
      ? 'A piece that stands free is as thick as its share of the batter over its area.'
      : `The batter’s volume against the tin’s ${fit.tin.capacityMl ? 'measured' : 'geometric'} capacity. It rises by its family’s usual factor, placed by where the lift lies in its band; the crown stands a little above the mean.`,
    equation: o.free
      ? `${plain(fit.perCupG)} g each, ${plain(fit.batterMm)} mm thick`
      : `${plain(ml)} ml ÷ ${plain(fit.capacityMl)} ml = ${Math.round(100 * fit.fill)} %; ${plain(fit.batterMm)} mm × ${fit.rise.toFixed(2)}, crown at ${plain(fit.crownMm)} mm of ${plain(o.depth)} mm`,
    inputs: [
      { name: 'batter', value: fit.batterG, unit: 'g', from: 'the formula, divided by capacity' },
      {
        name: 'capacity',
        value: fit.capacityMl,
        unit: 'ml',
        from: fit.tin.capacityMl ? 'measured with water' : 'inner dimensions',
      },
      { name: 'rise', value: fit.rise, unit: 'times', from: 'family and lift; general knowledge, ±15 %' },
    ],
    source: 'Geometry (computed); rise is general baking knowledge, not looked up',
  };
}
