import { band } from '../formula/bands.js';
import type { Band, Formula } from '../formula/types.js';
import type { Operation } from '../method/types.js';
import { awayOf, type Away } from '../text/cooked.js';
import { durations } from '../text/durations.js';
import { sentencesIn } from '../text/sentences.js';

/** What the counter says where there is no oven. Minutes are of one batch; all of it is general knowledge, not looked up. */
export interface Elsewhere {
  readonly words: string;
  /** How it gets hot, what to know of it, and how long that takes, min. */
  readonly ready: string;
  readonly readyMin: Band;
  readonly detail: string;
  readonly caution: string;
  readonly outCaution: string;
  /** How long one batch takes where the method does not say, min. */
  readonly minutes: Band;
}
const places: Readonly<Record<Away, Elsewhere>> = {
  griddle: {
    words: 'Cook it',
    ready: 'Medium heat; it is hot when a drop of water dances on it',
    readyMin: band(3, 5, 10),
    detail: 'a few at a time, with room to turn them',
    caution: 'Hot iron and fat: the handle turned in, nobody small nearby.',
    outCaution: 'The pan stays hot for a long while yet.',
    minutes: band(2, 4, 15),
  },
  fat: {
    words: 'Fry it',
    ready: '170–190 °C by a thermometer; a deep pan at most a third full',
    readyMin: band(8, 12, 20),
    detail: 'a few at a time, lowered in away from you',
    caution: 'Never leave hot fat alone. If it smokes or burns: heat off, a lid on it, never water.',
    outCaution: 'Let the fat cool where it stands, out of reach of children.',
    minutes: band(2, 4, 10),
  },
  steam: {
    words: 'Steam it',
    ready: 'Simmering under the rack; boiling water to top it up stands ready',
    readyMin: band(5, 10, 15),
    detail: 'covered against drips; the pot must not boil dry',
    caution: 'Steam scalds: lift the lid away from you.',
    outCaution: 'Steam scalds: lift the lid away from you, cloths for the tin.',
    minutes: band(10, 40, 150),
  },
  microwave: {
    words: 'Cook it',
    ready: '',
    readyMin: band(0, 0, 1),
    detail: 'it rises over the rim and falls back',
    caution: 'No metal in it. The mug gets hot, what is in it hotter.',
    outCaution: 'Scalding inside: let it stand a minute.',
    minutes: band(0.5, 1.5, 5),
  },
};

/** Where something is cooked that is not baked; null for the oven. */
export function elsewhere(formula: Formula): Elsewhere | null {
  const away = awayOf(formula);
  return away && places[away];
}

const SIDES = /\b(?:a|per|each|every) side\b|\bboth sides\b/i;
const BY_WORD = /\b(?:steam(?:ed)?|microwave|fry|cook)\b|\b\d{3,4}\s*W\b/i;
/**
 * How long one batch takes by the baker's own words, both sides together, min: by the work that was read, else by the sentence
 * that steams or microwaves; null where they do not say.
 */
export function saidMinutes(own: readonly Operation[], formula: Formula): Band | null {
  const all = own.flatMap((o) => {
    const times = SIDES.test(o.words) ? 2 : 1;
    return o.forMin ? [band(times * o.forMin.low, times * o.forMin.typical, times * o.forMin.high)] : [];
  });
  const sum = (of: (b: Band) => number): number => all.reduce((s, b) => s + of(b), 0);
  if (all.length > 0) return band(sum((b) => b.low), sum((b) => b.typical), sum((b) => b.high)); // prettier-ignore
  const [d] = formula.method
    .flatMap((m) => sentencesIn(m.text))
    .filter((s) => BY_WORD.test(s.text))
    .flatMap((s) => durations(s.text.slice(s.text.search(BY_WORD))));
  return d ? band(d.early, Math.sqrt(d.early * d.late), d.late) : null;
}
