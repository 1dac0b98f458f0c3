import { OrvinError } from '../errors.js';
import { allItems, applyChanges, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { withSetting } from '../bake/stages.js';
import { asMeasured } from '../quantity/amount.js';
import { degreesIn } from '../quantity/degrees.js';
import { onStep } from '../quantity/steps.js';
import { scale } from '../scale/scale.js';

/** One thing that is varied: an ingredient's amount, the oven, the time, or something that is done or not. */
export type Factor =
  | { readonly kind: 'amount'; readonly itemId: string; readonly times: readonly number[] }
  | { readonly kind: 'oven'; readonly ovenC: readonly number[] }
  | { readonly kind: 'hand'; readonly ways: readonly string[] };

/** A small batch of a series. What it is stays hidden behind its label until the tasting is over. */
export interface Batch {
  /** Three figures that say nothing: tasters would read a meaning into A and B, or 1 and 2. */
  readonly label: string;
  /** Which level of each factor it has. */
  readonly levels: readonly number[];
  readonly words: string;
  readonly formula: Formula;
}

/** What a taster gave a batch: 1 disliked very much, 5 neither, 9 liked very much. */
export type Liking = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8 | 9;
export const likingWords: Readonly<Partial<Record<Liking, string>>> = {
  1: 'dislike very much',
  3: 'dislike a little',
  5: 'neither',
  7: 'like a little',
  9: 'like very much',
};

export interface Taster {
  readonly name: string;
  readonly likes: Readonly<Record<string, Liking>>;
}

/** A series of small batches of one formula, in the order in which they are baked. */
export interface Series {
  readonly id: string;
  readonly at: number;
  readonly formulaId: string;
  readonly title: string;
  /** Share of the formula that each batch is. */
  readonly share: number;
  readonly factors: readonly Factor[];
  readonly batches: readonly Batch[];
  readonly tasters: readonly Taster[];
  /** Once the labels are opened nothing can be added. */
  readonly opened: boolean;
}

export const MOST_BATCHES = 4;

const levelsOf = (f: Factor): number => (f.kind === 'amount' ? f.times : f.kind === 'oven' ? f.ovenC : f.ways).length;

/** Figures from a seed, even in 0–1. */
function figures(seed: number): () => number {
  let x = (Math.imul(seed, 2654435761) + 1013904223) >>> 0;
  return () => {
    x = (Math.imul(x ^ (x >>> 15), 2246822519) + 0x9e3779b9) >>> 0;
    return ((x ^ (x >>> 13)) >>> 0) / 4294967296;
  };
}

/** Three-digit labels that are unlike each other and have no meaning of their own. */
function labelsFrom(next: () => number, n: number): string[] {
  const out: string[] = [];
  while (out.length < n) {
    const label = String(101 + Math.floor(next() * 898));
    const plain = /(\d).*\1|^(?:123|234|345|456|567|678|789)$|0/.test(label);
    if (!plain && out.every((l) => l[0] !== label[0])) out.push(label);
  }
  return out;
}

function shuffled<T>(list: readonly T[], next: () => number): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [out[i], out[j]] = [out[j] as T, out[i] as T];
  }
  return out;
}

/** The formula with one level of a factor, and what that is in words. */
function at(f: Formula, factor: Factor, level: number, kitchen: Kitchen): { formula: Formula; words: string } {
  if (factor.kind === 'oven') {
    const ovenC = factor.ovenC[level] as number;
    return {
      formula: { ...f, bake: withSetting(f.bake ?? { ovenC, fan: false }, { ovenC }) },
      words: degreesIn(kitchen.display.temperature, ovenC),
    };
  }
  if (factor.kind === 'hand') {
    const way = factor.ways[level] as string;
    return { formula: { ...f, method: [...f.method, { text: way, itemIds: [] }] }, words: way };
  }
  const item = allItems(f).find((i) => i.id === factor.itemId);
  if (!item) throw new OrvinError('unknown-item', `There is no line '${factor.itemId}' to vary.`);
  const ingredient = ingredientFor(f, item, kitchen);
  const batterG = allItems(f).reduce((s, i) => s + i.grams, 0);
  const times = factor.times[level] as number;
  const grams = times === 1 ? item.grams : onStep(ingredient, item.grams * times, batterG, kitchen);
  return {
    formula: applyChanges(f, [{ itemId: item.id, grams }]),
    words: `${ingredient.name.replace(/,.*/, '').toLowerCase()} ${asMeasured(grams, ingredient, kitchen.measures, item.form)}`,
  };
}

/**
 * Plans a series: one factor in two to four levels, or two factors in two levels each, as small batches with blind
 * labels, in an order of chance. The amounts vary on the whole formula and are then made small, so that what can be
 * measured stays so.
 *
 * @param share of the formula that each batch is, for instance a half or a third
 * @param seed decides labels and order
 * @throws OrvinError `bad-argument` when it would be fewer than two or more than four batches
 */
export function planSeries(
  formula: Formula,
  factors: readonly Factor[],
  { share, seed, id, at: when }: { share: number; seed: number; id: string; at: number },
  kitchen: Kitchen,
): Series {
  const counts = factors.map(levelsOf);
  const n = counts.reduce((a, b) => a * b, 1);
  if (factors.length < 1 || factors.length > 2 || n < 2 || n > MOST_BATCHES || counts.some((c) => c < 2))
    throw new OrvinError('bad-argument', 'A series has one or two things that vary, and two to four batches in all.');
  const next = figures(seed);
  const cells = Array.from({ length: n }, (_, i) => (counts.length === 1 ? [i] : [Math.floor(i / (counts[1] as number)), i % (counts[1] as number)])); // prettier-ignore
  const labels = labelsFrom(next, n);
  const batches = cells.map((levels, i): Batch => {
    let whole = formula;
    const words: string[] = [];
    factors.forEach((factor, k) => {
      const made = at(whole, factor, levels[k] as number, kitchen);
      whole = made.formula;
      words.push(made.words);
    });
    const small = share === 1 ? whole : scale(whole, { by: 'factor', factor: share }, { ...kitchen, schools: { ...kitchen.schools, eggs: 'weighed' } }).formula; // prettier-ignore
    return { label: labels[i] as string, levels, words: words.join(', '), formula: small };
  });
  return {
    id,
    at: when,
    formulaId: formula.id,
    title: formula.title,
    share,
    factors,
    batches: shuffled(batches, next),
    tasters: [],
    opened: false,
  };
}

/** The order in which a taster tries the batches: turned by one for each taster, so that none is always first. */
export const orderFor = (s: Series, taster: number): readonly string[] => {
  const sorted = [...s.batches].map((b) => b.label).sort();
  return sorted.map((_, i) => sorted[(i + taster) % sorted.length] as string);
};

/** How much better one level is liked than another, in points of nine. */
export interface Contrast {
  readonly factor: number;
  readonly from: string;
  readonly to: string;
  readonly by: number;
  /** 80 % range of it. */
  readonly low: number;
  readonly high: number;
  /** How likely it is that the second is really liked better, 0–1. */
  readonly better: number;
  readonly words: string;
}

export interface SeriesResult {
  /** Mean liking of each batch, by its label; null without any marks. */
  readonly means: readonly { readonly label: string; readonly words: string; readonly mean: number | null }[];
  readonly contrasts: readonly Contrast[];
  readonly words: string;
}

/** One sigma of one taster's liking of the same crumb twice, of a batch from another of the same, and of real effects. */
const SD = { taster: 1.2, batch: 0.5, effect: 1 } as const;
/** How many tasters' worth of trust the usual spread has. */
const TRUST = 4;

/**
 * What a tasting says, with honest uncertainty: each taster's marks against their own mean; the spread between tasters
 * from what is there and what is usual; what one batch of a kind cannot say of the next; and effects of more than a
 * point or so being rare.
 */
export function judgeSeries(s: Series): SeriesResult {
  const rows = s.tasters.flatMap((t) => {
    const marks = s.batches.map((b) => t.likes[b.label]);
    if (marks.some((m) => m === undefined)) return [];
    const mean = (marks as number[]).reduce((a, b) => a + b, 0) / marks.length;
    return [(marks as number[]).map((m) => m - mean)];
  });
  const n = rows.length;
  const means = s.batches.map((b) => {
    const got = s.tasters.flatMap((t) => (t.likes[b.label] === undefined ? [] : [t.likes[b.label] as number]));
    return {
      label: b.label,
      words: b.words,
      mean: got.length > 0 ? got.reduce((x, y) => x + y, 0) / got.length : null,
    };
  });
  if (n === 0) return { means, contrasts: [], words: 'Nobody has tasted all of them yet.' };
  const at = s.batches.map((_, i) => rows.reduce((sum, r) => sum + (r[i] as number), 0) / n);
  const left = rows.reduce((sum, r) => sum + r.reduce((x, v, i) => x + (v - (at[i] as number)) ** 2, 0), 0);
  const free = Math.max(0, (n - 1) * (s.batches.length - 1));
  const spread = (TRUST * SD.taster ** 2 + left) / (TRUST + free);
  const contrasts = s.factors.flatMap((factor, k) => {
    const levels = [...new Set(s.batches.map((b) => b.levels[k] as number))].sort((a, b) => a - b);
    return levels.slice(1).map((to): Contrast => {
      const side = (level: number): number[] => s.batches.flatMap((b, i) => (b.levels[k] === level ? [at[i] as number] : [])); // prettier-ignore
      const [a, b] = [side(0), side(to)];
      const mean = (x: readonly number[]): number => x.reduce((p, q) => p + q, 0) / x.length;
      const noise = (spread / n + SD.batch ** 2) * (1 / a.length + 1 / b.length);
      const trust = SD.effect ** 2 / (SD.effect ** 2 + noise);
      const by = trust * (mean(b) - mean(a));
      const sd = Math.sqrt(trust * noise);
      return { ...wordsOf(s, factor, k, to, by, sd, n), by, low: by - 1.28 * sd, high: by + 1.28 * sd };
    });
  });
  return { means, contrasts, words: contrasts.map((c) => c.words).join(' ') };
}

function wordsOf(
  s: Series,
  factor: Factor,
  k: number,
  to: number,
  by: number,
  sd: number,
  n: number,
): Pick<Contrast, 'factor' | 'from' | 'to' | 'better' | 'words'> {
  const name = (level: number): string => {
    const b = s.batches.find((x) => x.levels[k] === level) as Batch;
    return factor.kind === 'hand' ? (factor.ways[level] as string) : (b.words.split(', ')[k] ?? b.words);
  };
  const [from, later] = [name(0), name(to)];
  const better = normalBelow(by / sd);
  const sure = Math.max(better, 1 - better);
  const [good, bad] = by >= 0 ? [later, from] : [from, later];
  const tenths = Math.min(99, Math.round(100 * sure));
  const words =
    sure < 0.8
      ? `Too little to tell “${from}” from “${later}”: ${n === 1 ? 'one tasting' : `${n} tastings`}; the difference may lie between ${(by - 1.28 * sd).toFixed(1)} and ${(by + 1.28 * sd).toFixed(1)} points.`
      : `“${good}” is ${sure > 0.95 ? 'clearly' : 'probably'} liked better than “${bad}”, by ${Math.abs(by).toFixed(1)} points (${tenths} in 100).`;
  return { factor: k, from, to: later, better, words };
}

/** The standard normal distribution below z, by a polynomial good to 1e-6. */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail = 0.3989422804 * Math.exp((-z * z) / 2) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429)))); // prettier-ignore
  return z >= 0 ? 1 - tail : tail;
}
