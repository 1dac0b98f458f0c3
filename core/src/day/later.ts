import { familyOf } from '../balance/families.js';
import { matchMethod } from '../counter/match.js';
import { weigh } from '../balance/weigh.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';

/** Something to do on a later day: so many days after the bake, at an hour of the clock on the wall. */
export interface Later {
  readonly id: string;
  readonly afterDays: number;
  /** Hour of the day it suits, 0–23; the wall's clock, whatever becomes of it in spring and autumn. */
  readonly hour: number;
  readonly words: string;
  readonly detail: string;
  readonly caution: string | null;
}

/** Two schools of feeding a rich fruit cake with spirit. General baking knowledge. */
export type Feeding = 'little and often' | 'more and seldom';
const FEEDS: Readonly<
  Record<
    Feeding,
    { readonly every: readonly number[]; readonly weeks: number; readonly share: readonly [number, number] }
  >
> = {
  // 0.5–1 % of its weight twice a week for three weeks
  'little and often': { every: [3, 4], weeks: 3, share: [0.005, 0.01] },
  // 1–2 % each ten days for about six weeks
  'more and seldom': { every: [10], weeks: 6, share: [0.01, 0.02] },
};
const ALCOHOL = 'Spirit vapour burns: brush it on away from any flame, on a cold or warm cake, never a hot one.';
const LOCAL = 'Local food-safety advice comes first.';

/** Days of keeping that a method asks for before it is cut: "keep two days". */
function keepsDays(text: string): number {
  const m = /\bkeep\b[^.;]*?\b(an?|one|two|three|four|five|\d+) (days?|weeks?)\b/i.exec(text);
  if (!m) return 0;
  const n = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5 }[(m[1] ?? '').toLowerCase()] ?? Number(m[1]);
  return Math.round(n * (/^week/i.test(m[2] ?? '') ? 7 : 1));
}

/** Days at room temperature that "3–5 days" allows at most; 0 when it says weeks or nothing. */
const lastDay = (keeps: string): number =>
  Number(/(\d+)(?:–(\d+))? days?/.exec(keeps)?.[2] ?? /(\d+) day/.exec(keeps)?.[1] ?? 0);

/**
 * What is left to do on later days: wrapping, waiting for the day it is best, feeding a rich fruit cake, frosting a cold
 * cake the next day, thawing what was frozen, and when it has been kept long enough.
 *
 * @param options `feeding` which school feeds the fruit cake; `frozen` whether it, or part of it, goes into the freezer
 */
export function laterOf(
  formula: Formula,
  kitchen: Kitchen = defaultKitchen,
  options: { readonly feeding?: Feeding; readonly frozen?: boolean } = {},
): Later[] {
  const family = familyOf(formula.family);
  const w = weigh(formula, kitchen);
  const { entries } = matchMethod(formula, w.lines, w.totals, family);
  const wait = entries.reduce((d, e) => Math.max(d, keepsDays(e.text)), 0);
  const out: Later[] = [];
  const add = (
    id: string,
    afterDays: number,
    hour: number,
    words: string,
    detail: string,
    caution: string | null = null,
  ): void => void out.push({ id, afterDays, hour, words, detail, caution });
  if (formula.family === 'fruit-cake-rich') {
    const school = FEEDS[options.feeding ?? 'little and often'];
    const grams = school.share.map((s) => Math.max(1, Math.round(s * w.totals.batterG)));
    let day = 1;
    for (let n = 1; day <= 7 * school.weeks; n++) {
      add(
        `feed-${n}`,
        day,
        18,
        `Feed ${formula.title}`,
        `brush on ${grams[0]}–${grams[1]} g of spirit, turn it, wrap it again in paper, then foil`,
        ALCOHOL,
      );
      day += school.every[(n - 1) % school.every.length] as number;
    }
    return out;
  }
  if (wait > 0) {
    add('wrap', 0, 21, `Wrap ${formula.title}`, 'once it is cold right through: paper, then foil or a tin', null);
    add(
      'best',
      wait,
      10,
      `${formula.title} may be cut`,
      `it was to be kept ${wait === 1 ? 'a day' : `${wait} days`} first`,
      null,
    );
  }
  if (formula.groups.some((g) => g.role === 'icing' || g.role === 'filling'))
    add(
      'frost',
      1,
      10,
      `Fill and frost ${formula.title}`,
      'a cake that was wrapped overnight crumbles less; chill it an hour first',
      'Frosting with cream, cheese or egg stays in the fridge.',
    );
  if (options.frozen) {
    add(
      'freeze',
      0,
      21,
      `Freeze ${formula.title}`,
      'cold right through, wrapped twice, with the date; slices with paper between them',
      null,
    );
    add(
      'thaw',
      14,
      18,
      `Take ${formula.title} out of the freezer`,
      'overnight in its wrapping, so that it does not turn wet; it keeps frozen for 2–3 months',
      LOCAL,
    );
    return out;
  }
  const last = lastDay(family.keeps);
  if (last > 0)
    add(
      'last',
      wait + last,
      17,
      `Last day of ${formula.title}`,
      `it keeps ${family.keeps}; freeze what is left before then`,
      LOCAL,
    );
  return out.sort((a, b) => a.afterDays - b.afterDays || a.hour - b.hour);
}
