import { familyOf } from '../balance/families.js';
import { workOf } from '../method/operations.js';
import { totalsOf } from '../balance/totals.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';
import type { Operation } from '../method/types.js';
import { FROM_FROZEN } from '../counter/from-freezer.js';
import { ofFrozen } from '../method/put-away.js';
import { shared } from '../method/together.js';
import { fitTins } from '../tin/fit.js';
import { defaultKitchen } from '../kitchen/default.js';

/** Something to do on another day: so many days after the bake, at an hour of the clock on the wall. */
export interface Later {
  readonly id: string;
  /** Below 0: on a day before, at the latest so many days. */
  readonly afterDays: number;
  /** Hour of the day it suits, 0–23; the wall's clock, whatever becomes of it in spring and autumn. */
  readonly hour: number;
  readonly words: string;
  readonly detail: string;
  readonly caution: string | null;
  /** Of what was frozen raw: it can be baked on any day. */
  readonly fromFreezer?: true;
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

/** "It keeps a week", "up to five days": how long it lasts, not how long to wait. */
const KEEPS_UP_TO =
  /\b(?:it |they |this |which |that )?(?:keeps|will keep|lasts|up to|freezes|best (?:eaten )?within)\b|\bfreez/i;
/** When the raw half in the freezer is baked, where nothing is said: a week later. A judgement; it keeps some two months. */
const FROZEN_DAYS = 7;
const MOST_FEEDS = 40;
const READYING: ReadonlySet<string> = new Set(['heat', 'grease', 'line']);

/** What is done again and again, by the baker's own count of days. */
function repeated(o: Operation, title: string): Later[] {
  const { everyDays, forDays } = o.repeat ?? { everyDays: 7, forDays: 21 };
  const n = Math.min(MOST_FEEDS, Math.max(1, Math.floor(forDays / everyDays + 1e-9)));
  const spirit =
    /\b(?:whisky|whiskey|brandy|rum|sherry|spirit|bourbon|port|liqueur)\b/i.test(o.words) || o.verb === 'feed';
  return Array.from({ length: n }, (_, i) => ({
    id: `${o.verb === 'feed' ? 'feed' : o.id}-${i + 1}`,
    afterDays: Math.max(1, Math.round((i + 1) * everyDays)),
    hour: 18,
    words: `${o.verb === 'feed' ? 'Feed' : 'Go back to'} ${title}`,
    detail: o.words,
    caution: spirit ? ALCOHOL : null,
  }));
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
  const { batterG } = totalsOf(linesOf(formula, kitchen));
  const { operations } = workOf(formula, kitchen);
  const afterwards = operations.filter((o) => o.phase === 'after' || o.phase === 'later');
  // "keep two days", "don't touch it for two days"; what it keeps at most is no wait
  const waitsFor = afterwards.filter(
    (o) =>
      (o.verb === 'keep' || o.verb === 'wrap' || o.verb === 'rest') &&
      o.days !== undefined &&
      !KEEPS_UP_TO.test(o.words),
  );
  const wait = waitsFor.reduce((d, o) => Math.max(d, o.days ?? 0), 0);
  const feeds = afterwards.filter((o) => o.repeat !== undefined);
  const out: Later[] = [];
  const add = (
    id: string,
    afterDays: number,
    hour: number,
    words: string,
    detail: string,
    caution: string | null = null,
  ): void => void out.push({ id, afterDays, hour, words, detail, caution });
  const stored = operations.findLastIndex((o) => o.phase === 'ahead' && (o.verb === 'keep' || o.verb === 'wrap'));
  if (stored >= 0) {
    const made = operations.slice(0, stored + 1).filter((o) => o.phase === 'ahead' && o.by === 'baker' && !READYING.has(o.verb)); // prettier-ignore
    add('ahead', -1, 18, `Make the dry mix of ${formula.title}`, made.map((o) => `${o.words.replace(/[.;,]+$/, '')}.`).join(' ')); // prettier-ignore
  }
  for (const o of feeds) out.push(...repeated(o, formula.title));
  const fits = formula.tins ? fitTins(formula, formula.tins, kitchen) : [];
  const { away } = shared(operations, fits);
  const baked = afterwards.filter((x) => x.phase === 'later' && (x.verb === 'bake' || x.verb === 'put in'));
  const which = away?.pieces ? (away.pieces === 1 ? 'the other one' : `the other ${away.pieces}`) : 'the rest';
  const frozen = (days: number, detail: string): void =>
    void out.push({
      id: 'frozen',
      afterDays: days,
      hour: 10,
      words: `Bake ${which} of ${formula.title} from the freezer`,
      detail,
      caution: LOCAL,
      ...(away?.pieces && { fromFreezer: true as const }),
    });
  for (const o of baked) frozen(o.days ?? FROZEN_DAYS, o.words);
  if (away && baked.length === 0) frozen(FROZEN_DAYS, ofFrozen(operations) ?? FROM_FROZEN);
  if (formula.family === 'fruit-cake-rich' && feeds.length === 0) {
    const school = FEEDS[options.feeding ?? 'little and often'];
    const grams = school.share.map((s) => Math.max(1, Math.round(s * batterG)));
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
