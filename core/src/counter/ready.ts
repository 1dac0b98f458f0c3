import { band } from '../formula/bands.js';
import { isBatter } from '../formula/formula.js';
import type { Band, Formula } from '../formula/types.js';
import { PREHEAT_MIN, isDairy, solidFats } from '../method/added.js';
import type { Operation } from '../method/types.js';
import { bowlPlan } from '../scale/bowls.js';
import { amountOf } from './amounts.js';
import { elsewhere } from './elsewhere.js';
import { apartAmounts, groupAmounts, heatWords, none, type Parts } from './parts.js';
import { butterWait, eggWait, prepareTin, type Waits } from './prepare.js';
import type { Step } from './step.js';
import { byVessel } from './vessels.js';
import { outlineOf } from '../tin/geometry.js';
import { capital, within } from '../text/plain.js';

/** Setting out and weighing, min: a start, and so much a line. A judgement. */
const WEIGH_MIN = { start: 3, line: 0.8 } as const;

const weighMinutes = (f: Formula): Band => {
  const n = f.groups.reduce((s, g) => s + g.items.length, 0);
  const m = WEIGH_MIN.start + WEIGH_MIN.line * n;
  return band(0.7 * m, m, 1.6 * m);
};

const softening = (w: Waits): Pick<Step, 'minutes'> => ({
  minutes: band(w.short?.minutes ?? w.minutes, w.minutes, 2 * w.minutes),
});

/** What comes out of the cold, or is made colder, and how long before. */
export function takeOut(o: Operation, p: Parts): Step {
  const { lines, kitchen } = p;
  const solid = solidFats(lines);
  const butter = o.id === 'take out:butter' || (o.by === 'baker' && /\b(?:butter|fat|marg)/i.test(o.words));
  const base = { ...none, id: butter && o.by === 'baker' ? 'take out:butter' : o.id, kind: 'take out', phase: o.phase, words: o.words, own: o.by === 'baker', hands: false } as const; // prettier-ignore
  const said = o.remark ? `${o.remark.replace(/[.;,]+$/, '')}. ` : '';
  if (o.id === 'take out:cold')
    return {
      ...base,
      detail: `${said}10–15 minutes where it is coldest: hard fat stays in flakes`,
      minutes: band(10, 12, 15),
      amounts: solid.map((l) => amountOf(l, kitchen)),
    };
  if (butter) {
    const w = butterWait(
      solid.reduce((s, l) => s + l.grams, 0),
      kitchen.roomC,
    );
    return {
      ...base,
      detail: `${said}${said === '' ? w.words : capital(w.words)}${w.short ? `; ${w.short.words}, about ${w.short.minutes}` : ''}`,
      ...softening(w),
      amounts: solid.map((l) => amountOf(l, kitchen)),
      wanted: 'butter at 18–20 °C',
    };
  }
  const w = eggWait(kitchen.roomC);
  const cold = o.by === 'baker' ? [] : lines.filter((l) => l.ingredient.role === 'egg' || isDairy(l));
  return {
    ...base,
    detail: `${said}${said === '' ? w.words : capital(w.words)}; or ${w.short?.words ?? ''}`,
    ...softening(w),
    amounts: cold.map((l) => amountOf(l, kitchen)),
    wanted: 'eggs and dairy at 20–22 °C',
  };
}

/** The oven, hot by the time it is wanted; the baker's own words for it beside the heat. */
export function ovenOn(own: readonly Operation[], p: Parts): Step {
  const place = elsewhere(p.formula);
  const said = own
    .filter((o) => o.by === 'baker')
    .map((o) => `${o.words.replace(/[.;,]+$/, '')}.${o.remark ? ` ${o.remark}` : ''}`)
    .join(' ');
  return {
    ...none,
    id: 'oven on',
    kind: 'oven on',
    phase: 'ahead',
    words: place ? (own.find((o) => o.by === 'orvin')?.words ?? 'Heat on') : `Oven on, ${heatWords(p)}`,
    detail: `${said === '' ? '' : `${said} `}${place?.ready ?? 'Rack in the middle, a thermometer on it: that is the truth, not the beep'}`,
    minutes: place?.readyMin ?? band(15, PREHEAT_MIN, 35),
    hands: false,
    caution: p.formula.bake?.hotTin
      ? 'The empty tin gets as hot as the oven: dry cloths, and nobody small nearby.'
      : (place?.caution ?? null),
    operations: own.map((o) => o.id),
  };
}

/** The tins, by what each needs and by what the baker says of them. */
export function tinsReady(own: readonly Operation[], p: Parts): Step {
  const { formula, kitchen, fits, family, lines } = p;
  const cocoa = lines.filter((l) => l.ingredient.base === 'cocoa').reduce((s, l) => s + l.grams, 0);
  const cocoaPct = p.flourG > 0 ? (100 * cocoa) / p.flourG : 0;
  const tins = fits.map((fit) => {
    const n = fit.count;
    const how = prepareTin(fit, family, cocoaPct, formula.bake?.hotTin ?? false);
    // a tray is got ready, not what will stand on it
    return outlineOf(fit.tin).free ? capital(how) : `${n === 1 ? '' : `${n} × `}${fit.tin.name}: ${how}`;
  });
  const said = own.filter((o) => o.by === 'baker').map((o) => o.words);
  const greases = formula.groups.filter((g) => g.role === 'grease').flatMap((g) => apartAmounts(formula, g, kitchen));
  const count = Math.max(
    1,
    // pieces that stand free share one tray
    fits.reduce((s, x) => s + (outlineOf(x.tin).free ? 1 : x.count), 0),
  );
  const words = said.length > 0 ? joinedWords(said) : (tins[0] ?? own[0]?.words ?? 'Get the tin ready');
  // what the baker says of them is how they are got ready
  const more =
    said.length > 0
      ? fits.filter((f) => !outlineOf(f.tin).free).map((f) => `${f.count > 1 ? `${f.count} × ` : ''}${f.tin.name}`)
      : tins.slice(1);
  return {
    ...none,
    id: 'tins',
    kind: 'tins',
    phase: 'ahead',
    words,
    own: said.length > 0,
    detail: [...own.flatMap((o) => (o.remark ? [o.remark] : [])), ...more].join('. ') || null,
    minutes: band(2, Math.min(12, 2 + 2 * count), 12),
    hands: true,
    amounts: greases,
    wrong: [{ sign: 'bare patches', rescue: 'grease them again: a cake holds on to any spot that was missed' }],
    operations: own.map((o) => o.id),
  };
}

/** "Grease" and "line a 2 lb tin" are one thing to do. */
const joinedWords = (said: readonly string[]): string =>
  said.map((w, i) => (i === 0 ? w.replace(/[.;,]+$/, '') : within(w))).join(' and ');

export function weighIn(o: Operation, p: Parts): Step {
  const { formula, kitchen } = p;
  const bowls = bowlPlan(formula, kitchen);
  return {
    ...none,
    id: 'weigh',
    kind: 'weigh',
    phase: 'ahead',
    words: o.words,
    detail: bowls.mixes > 1 ? bowls.words : null,
    minutes: weighMinutes(formula),
    hands: true,
    amounts: byVessel(
      formula.groups.flatMap((g) => (isBatter(g) ? groupAmounts(p, g) : apartAmounts(formula, g, kitchen))),
      p.all,
      p.work,
    ),
    wrong: [
      {
        sign: 'a spoon too much tipped in',
        rescue: 'take it out dry before anything wet meets it, or scale the rest to it',
      },
    ],
  };
}
