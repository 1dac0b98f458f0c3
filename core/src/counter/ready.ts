import { band } from '../formula/bands.js';
import { isBatter } from '../formula/formula.js';
import type { Band, Formula } from '../formula/types.js';
import { bowlPlan } from '../scale/bowls.js';
import { amountOf, plainName } from './amounts.js';
import { apartAmounts, groupAmounts, heatWords, none, SOLID_FAT, type Parts } from './parts.js';
import { butterWait, eggWait, isDairy, prepareTin } from './prepare.js';
import type { Step } from './step.js';

/** Oven from cold to steady, min: with the walls hot, not only the air. General knowledge: 15 to 30. */
export const PREHEAT_MIN = 25;
/** Setting out and weighing, min: a start, and so much a line. A judgement. */
const WEIGH_MIN = { start: 3, line: 0.8 } as const;

const weighMinutes = (f: Formula): Band => {
  const n = f.groups.reduce((s, g) => s + g.items.length, 0);
  const m = WEIGH_MIN.start + WEIGH_MIN.line * n;
  return band(0.7 * m, m, 1.6 * m);
};

/** What has to come out of the fridge, or go into the freezer, and how long before. */
export function takeOut({ lines, kitchen, rubbed, creamed, stages, fatPct }: Parts): Step[] {
  const out: Step[] = [];
  const solid = lines.filter((l) => l.ingredient.role === 'fat' && SOLID_FAT.test(l.ingredient.id) && l.grams >= 20);
  const fatG = solid.reduce((s, l) => s + l.grams, 0);
  const name = plainName(solid[0]?.ingredient.name ?? 'Fat');
  const soft = creamed || stages.some((s) => s.id === 'coat');
  if (rubbed && fatG > 0)
    out.push({
      ...none,
      id: 'take out:cold',
      kind: 'take out',
      words: `Cut the ${name.toLowerCase()} and put it in the freezer`,
      detail: '10–15 minutes: hard fat stays in flakes',
      minutes: band(10, 12, 15),
      hands: false,
      amounts: solid.map((l) => amountOf(l, kitchen)),
    });
  if (!rubbed && soft && fatG > 0) {
    const w = butterWait(fatG, kitchen.roomC);
    out.push({
      ...none,
      id: 'take out:butter',
      kind: 'take out',
      words: `${name} out of the fridge`,
      detail: `${w.words}${w.short ? `; ${w.short.words}, about ${w.short.minutes}` : ''}`,
      minutes: band(w.short?.minutes ?? w.minutes, w.minutes, 2 * w.minutes),
      hands: false,
      amounts: solid.map((l) => amountOf(l, kitchen)),
      wanted: 'butter at 18–20 °C',
    });
  }
  // what holds hardly any fat has nothing that cold liquid could set
  const cold = rubbed || fatPct < 8 ? [] : lines.filter((l) => l.ingredient.role === 'egg' || isDairy(l));
  if (cold.length > 0) {
    const w = eggWait(kitchen.roomC);
    const eggs = cold.some((l) => l.ingredient.role === 'egg');
    const dairy = cold.some((l) => l.ingredient.role !== 'egg');
    out.push({
      ...none,
      id: 'take out:eggs',
      kind: 'take out',
      words: `${eggs && dairy ? 'Eggs and dairy' : eggs ? 'Eggs' : 'Dairy'} out of the fridge`,
      detail: `${w.words}; or ${w.short?.words ?? ''}`,
      minutes: band(w.short?.minutes ?? w.minutes, w.minutes, 2 * w.minutes),
      hands: false,
      amounts: cold.map((l) => amountOf(l, kitchen)),
      wanted: 'eggs and dairy at 20–22 °C',
    });
  }
  return out;
}

/** The oven, the tins, and everything weighed. */
export function getReady(p: Parts): Step[] {
  const { formula, kitchen, fits, family, heats, lines } = p;
  const bake = formula.bake;
  const cocoa = lines.filter((l) => l.ingredient.base === 'cocoa').reduce((s, l) => s + l.grams, 0);
  const cocoaPct = p.flourG > 0 ? (100 * cocoa) / p.flourG : 0;
  const tins = fits.map((fit) => {
    const n = fit.count;
    return `${n === 1 ? '' : `${n} × `}${fit.tin.name}: ${prepareTin(fit, family, cocoaPct, bake?.hotTin ?? false)}`;
  });
  const greases = formula.groups.filter((g) => g.role === 'grease').flatMap((g) => apartAmounts(formula, g, kitchen));
  const bowls = bowlPlan(formula, kitchen);
  return [
    {
      ...none,
      id: 'oven on',
      kind: 'oven on',
      words: `Oven on, ${heatWords(p)}`,
      own: false,
      detail: `${heats === '' ? '' : `${heats} `}Rack in the middle, a thermometer on it: that is the truth, not the beep`,
      minutes: band(15, PREHEAT_MIN, 35),
      hands: false,
      caution: bake?.hotTin ? 'The empty tin gets as hot as the oven: dry cloths, and nobody small nearby.' : null,
    },
    {
      ...none,
      id: 'tins',
      kind: 'tins',
      words: fits.length === 0 ? 'Get the tin ready' : (tins[0] ?? ''),
      detail: tins.length > 1 ? tins.slice(1).join('. ') : null,
      minutes: band(
        2,
        2 +
          2 *
            Math.max(
              1,
              fits.reduce((s, x) => s + x.count, 0),
            ),
        12,
      ),
      hands: true,
      amounts: greases,
      wrong: [{ sign: 'bare patches', rescue: 'grease them again: a cake holds on to any spot that was missed' }],
    },
    {
      ...none,
      id: 'weigh',
      kind: 'weigh',
      words: 'Weigh everything out',
      detail: bowls.mixes > 1 ? bowls.words : null,
      minutes: weighMinutes(formula),
      hands: true,
      amounts: formula.groups.flatMap((g) => (isBatter(g) ? groupAmounts(p, g) : apartAmounts(formula, g, kitchen))),
      wrong: [
        {
          sign: 'a spoon too much tipped in',
          rescue: 'take it out dry before anything wet meets it, or scale the rest to it',
        },
      ],
    },
  ];
}
