import { compositionOf, doneAtC, setsAtC } from '../bake/composition.js';
import type { Assessment } from '../balance/assess.js';
import { hasRanges } from '../balance/families.js';
import { looseness } from '../balance/totals.js';
import type { Band, Formula, Kitchen, Tin, TinUse } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { pressureRatio } from '../leavening/volume.js';
import type { Span } from '../plausible/spans.js';
import { asFraction } from '../quantity/numbers.js';
import { capital } from '../text/plain.js';
import { batterOf, fitTins, riseOf } from '../tin/fit.js';
import { outlineOf } from '../tin/geometry.js';
import { cm } from '../tin/naming.js';

/** One thing that is seen of a slice: how much of it there is, in words, and what makes it so. */
export interface Seen {
  readonly id: 'height' | 'sinks' | 'cracks' | 'crumb' | 'bite' | 'mouth' | 'crust' | 'streak' | 'pieces';
  readonly name: string;
  /** −1 to 1 for crumb (tight to open), bite (firm to tender), mouth (dry to moist) and crust (pale to dark), millimetres for height, else 0 to 1. */
  readonly value: number;
  readonly words: string;
  /** What contributes, largest first; the value is their sum kept within its limits (of height, what moves it from the usual). */
  readonly terms: readonly (readonly [value: number, words: string])[];
}

/**
 * The slice that is to come, as a cut through the middle: an estimate, drawn from the same figures as the instruments.
 * Lengths in millimetres.
 */
export interface Slice {
  /** Where nobody named a tin it is drawn in one that is usual for the family. */
  readonly tin: Tin;
  readonly named: boolean;
  readonly free: boolean;
  /** Width at the base and at the rim, or across a piece that stands by itself. */
  readonly baseMm: number;
  readonly topMm: number;
  /** Rim over the base; null for what stands by itself. */
  readonly rimMm: number | null;
  readonly batterMm: number;
  readonly edgeMm: number;
  /** Middle of the top, below the edge where it sinks: low, likely, high. */
  readonly crownMm: Band;
  /** The same with as much lift as is usual for the rest, and nothing that sinks. */
  readonly usualCrownMm: number;
  readonly usualEdgeMm: number;
  /** How brown the crumb is, 0 white to 1 as cocoa. */
  readonly shade: number;
  /** How open the crumb is among all bakes, −1 close to 1 open: its family's, and more or less than that. */
  readonly openness: number;
  /** Share of the slice that is pieces, 0 to 1. */
  readonly pieces: number;
  readonly seen: Readonly<Record<Seen['id'], Seen>>;
  /** The whole in a sentence or two. */
  readonly words: string;
}

const clamp = (x: number, lo = 0, hi = 1): number => Math.max(lo, Math.min(hi, x));
type Terms = Seen['terms'];
const sum = (terms: Terms): number => terms.reduce((s, [v]) => s + v, 0);
const largestFirst = (terms: Terms): Terms =>
  terms.filter(([v]) => v !== 0).sort((a, b) => Math.abs(b[0]) - Math.abs(a[0]));

/** Where a figure stands in its span of 8 in 10: 0 usual, −1 and 1 its edges. */
const stand = (x: number, { low, usual, high }: Span): number =>
  x < usual ? (x - usual) / Math.max(usual - low, 1e-6) : (x - usual) / Math.max(high - usual, 1e-6);
const beyond = (x: number, from: number): number => Math.max(0, x - from);

/** Within so many millimetres of the rim it is level with it. */
const LEVEL = 4;
const lengthWords = (mm: number, unit: 'cm' | 'in'): string =>
  unit === 'cm' ? `${cm(mm)} cm` : `${asFraction(Math.max(0.25, Math.round((4 * mm) / IN_MM) / 4))} in`;
const IN_MM = 25.4;

/** A piece that is cut, dropped or spooned into a cup, g of dough or batter. Judgement: bakers' pieces weigh 60 to 90 g. */
const PIECE_G = 75;
/** Depth of the tins such a bake usually has, mm. Judgement. */
const DEPTH_MM = { cup: 35, loaf: 65, other: 60 } as const;

/** A tin that is usual for the family, where none is named, as large as the batter asks for. Judgement. */
function usualTin(a: Assessment): TinUse {
  const { shaped, bakedIn, fill } = a.family.as;
  const { batterG } = a.totals;
  const tin = (t: Omit<Tin, 'id' | 'name' | 'material'>): TinUse => ({
    count: 1,
    tin: { id: 'usual', name: '', material: 'light metal', ...t },
  });
  const cups = Math.max(1, Math.round(batterG / PIECE_G));
  // what hands shape has the size that its weight gives it
  if (shaped) return tin({ shape: 'mound', shaped, topMm: 60, depthMm: 25, cups: shaped === 'round' ? 1 : cups });
  const [shape] = bakedIn;
  if (shape === 'cup') return tin({ shape, topMm: 70, baseMm: 50, depthMm: DEPTH_MM.cup, cups });
  const depthMm = shape === 'loaf' ? DEPTH_MM.loaf : DEPTH_MM.other;
  const ml = batterG / Math.max(0.5, a.batter.densityGPerMl);
  const mm2 = (1000 * ml) / ((fill[0] + fill[1]) / 2) / depthMm;
  return shape === 'loaf'
    ? tin({ shape, topMm: Math.sqrt(2.1 * mm2), top2Mm: Math.sqrt(mm2 / 2.1), depthMm })
    : tin({ shape: 'round', topMm: Math.sqrt((4 / Math.PI) * mm2), depthMm });
}

/** A crumb that sets no earlier than so many kelvins before its middle is done sinks in part; one that sets with it, this much. Judgements. */
const SETS_BEFORE_K = 10;
const LATE_SINKS = 0.4;

/** @returns null where there is nothing to bake, or nothing yet to judge it by */
export function sliceOf(formula: Formula, a: Assessment, kitchen: Kitchen = defaultKitchen): Slice | null {
  const { totals: t, lift, beam, plausible } = a;
  if (t.baseG <= 0 || t.batterG <= 0 || !plausible) return null;
  const named = (formula.tins ?? []).length > 0;
  const tins = named ? (formula.tins as readonly TinUse[]) : [usualTin(a)];
  const fit = fitTins(formula, tins, kitchen).sort((x, y) => y.batterG - x.batterG)[0];
  if (!fit || !(fit.batterMm > 0)) return null;
  const o = outlineOf(fit.tin);
  const { family } = batterOf(formula, kitchen);
  // as it is judged, with as much lift as does the same where the air is thin
  const { as } = a.family;
  const thin = pressureRatio(kitchen.altitudeM);
  const liftRange = [as.lift[0] * thin, as.lift[1] * thin] as const;
  const { spans } = plausible;
  const gas = lift.mmolPer100gBase;
  // beyond what the rest expects and beyond its family too: else a line that is missing makes the others look like too much
  const both = (x: number, span: Span, [low, high]: readonly [number, number]): number => {
    const z = stand(x, span);
    if (!hasRanges(as)) return z;
    const own = stand(x, { low, usual: (low + high) / 2, high });
    return Math.sign(z) !== Math.sign(own) ? 0 : Math.sign(z) * Math.min(Math.abs(z), Math.abs(own));
  };
  const z = {
    lift: both(gas.typical, spans.lift, liftRange),
    fat: both(t.fatPct, spans.fat, as.fat),
    sugar: both(t.sugarPct, spans.sugar, as.sugar),
    water: both(t.waterPct, spans.water, as.water),
  };
  const lean = hasRanges(as) ? beam.lean : 0;

  const parts = compositionOf(formula, kitchen, a);
  const lateK = parts ? setsAtC(parts) - (doneAtC(as, parts) - SETS_BEFORE_K) : 0;
  // one figure beyond its span is made up for by the others where the whole is ordinary
  const odd = 0.25 + 0.75 * clamp((0.25 - plausible.typical) / 0.18);
  // how it stands: as in its tin, with the middle fallen back by what makes it sink
  const sinkTerms: Terms = [
    [odd * 0.35 * beyond(z.lift, 1), 'more gas than it can hold'],
    [odd * (0.28 * beyond(z.sugar, 1) + LATE_SINKS * clamp(lateK / SETS_BEFORE_K)), 'much sugar sets late'],
    [odd * 0.25 * beyond(z.water, 1), 'much water sets late'],
    [odd * 0.3 * beyond(z.fat, 1.2), 'more fat than it can hold'],
    [odd * 0.3 * beyond(lean, 1.25), 'little flour and egg to hold it up'],
  ];
  const sinks = clamp(sum(sinkTerms));
  const toRise = (mmol: number): number => riseOf(family, mmol, liftRange);
  const stretch = (mmol: number): number => toRise(mmol) / toRise(gas.typical);
  const crownAt = (mmol: number): number => {
    const crown = fit.batterMm + (fit.crownMm - fit.batterMm) * lengthen(stretch(mmol), fit.rise);
    return crown - sinks * Math.max(0, crown - 0.95 * fit.batterMm);
  };
  const usual = lengthen(stretch(spans.lift.usual), fit.rise);
  const crownMm: Band = {
    low: 0.94 * Math.min(crownAt(gas.low), crownAt(gas.high)),
    typical: crownAt(gas.typical),
    high: 1.06 * Math.max(crownAt(gas.low), crownAt(gas.high)),
  };
  const hot = ((formula.bake?.ovenC ?? 175) - 175) / 60;
  const crackTerms: Terms = [
    [as.cracks ? 0.45 : 0.08, as.cracks ? 'such a bake cracks' : 'a slow even rise'],
    [0.3 * beyond(z.lift, 0.5), 'much gas'],
    [0.25 * beyond(-lean, 0.6), 'a stiff crumb'],
    [0.15 * clamp(hot, -0.5, 1.5), hot > 0 ? 'a hot oven sets the top early' : 'a slow oven'],
    [fit.state === 'overflow' || fit.state === 'high' ? 0.2 : 0, 'a full tin'],
    [-0.8 * sinks, 'it sinks instead'],
  ];
  const cracks = clamp(sum(crackTerms));
  const streakTerms: Terms = [
    [odd * 0.45 * beyond(z.water, 1), 'more water than the flour can set'],
    [odd * 0.3 * beyond(z.fat, 1.2), 'fat settles'],
    [odd * 0.3 * beyond(-z.lift, 1), 'little gas to lift it'],
  ];
  const streak = clamp(sum(streakTerms));
  const trait = (id: 'crumb' | 'bite' | 'mouth' | 'colour'): Terms => a.texture.find((x) => x.id === id)?.terms ?? [];
  const gasAlone: Terms = [[0.4 * clamp(z.lift, -2, 2), z.lift > 0 ? 'much gas' : 'little gas']];
  const traits = {
    crumb: a.texture.length > 0 ? trait('crumb') : gasAlone,
    bite: trait('bite'),
    mouth: trait('mouth'),
    crust: trait('colour'),
  };
  const index = (terms: Terms): number => clamp(sum(terms), -1, 1);
  const between = (id: keyof typeof traits, name: string, low: string, high: string): Seen =>
    said(id, name, index(traits[id]), traits[id], [
      [-0.6, low],
      [-0.25, `rather ${low}`],
      [0.25, 'as usual'],
      [0.6, `rather ${high}`],
      [2, high],
    ]);

  const lines = linesOf(formula, kitchen);
  const grams = (is: (l: (typeof lines)[number]) => unknown): number =>
    lines.reduce((s, l) => s + (is(l) ? l.grams : 0), 0);
  const shade = clamp((2.6 * t.cocoaG + 0.35 * grams((l) => l.ingredient.browns) + 0.25 * grams((l) => l.ingredient.wholeGrain)) / t.baseG); // prettier-ignore
  const pieces = clamp(t.piecesG / t.batterG);
  const loose = looseness(t);
  const sunkTerms: Terms = pieces < 0.02 ? [] : [[1.6 * beyond(loose, 1.6), 'a loose batter lets them down']];
  const sunk = clamp(sum(sunkTerms));

  const rim = o.free ? null : o.depth;
  const over = rim === null ? null : crownMm.typical - rim;
  const high = (mm: number): string => lengthWords(mm, kitchen.display.length);
  const rise = crownMm.typical / fit.batterMm;
  const seen: Slice['seen'] = {
    height: {
      id: 'height',
      name: 'Height',
      value: crownMm.typical,
      words: `about ${high(crownMm.typical)} high in the middle${over === null ? '' : over >= LEVEL ? `, ${high(over)} over the rim` : over <= -LEVEL ? `, ${high(-over)} under the rim` : ', level with the rim'}; rises to ${rise.toFixed(1)} times the batter`,
      terms: largestFirst([[z.lift, z.lift > 0 ? 'more lift than usual' : 'less lift than usual']]),
    },
    sinks: said('sinks', 'Middle', sinks, sinkTerms, [[0.08, 'stands'], [0.35, 'may sink a little'], [2, 'sinks in the middle']]),
    cracks: said('cracks', 'Top', cracks, crackTerms, [[0.25, 'smooth'], [0.55, 'a fine crack'], [2, 'cracked open']]),
    crumb: between('crumb', 'Crumb', 'tight', 'open'),
    bite: between('bite', 'Bite', 'firm', 'tender'),
    mouth: between('mouth', 'To eat', 'dry', 'moist'),
    crust: between('crust', 'Crust', 'pale', 'dark'),
    streak: said('streak', 'Base', streak, streakTerms, [[0.15, 'even to the base'], [0.45, 'may be damp at the base'], [2, 'a wet, close streak at the base']]),
    pieces: said('pieces', 'Pieces', sunk, sunkTerms, pieces < 0.02 ? [[2, 'none']] : [[0.2, 'spread all through'], [0.55, 'mostly in the lower half'], [2, 'sunk to the base']]),
  }; // prettier-ignore
  return {
    tin: fit.tin,
    named,
    free: o.free,
    baseMm: o.kind === 'box' ? Math.min(o.base, o.base2) : o.base,
    topMm: o.kind === 'box' ? Math.min(o.top, o.top2) : o.top,
    rimMm: rim,
    batterMm: fit.batterMm,
    edgeMm: Math.max(0.9 * fit.batterMm, fit.edgeMm * (1 - 0.15 * sinks)),
    crownMm,
    usualCrownMm: fit.batterMm + (fit.crownMm - fit.batterMm) * usual,
    usualEdgeMm: fit.batterMm + (fit.edgeMm - fit.batterMm) * usual,
    shade,
    openness: clamp(as.open + OPENER * seen.crumb.value, -1, 1),
    pieces,
    seen,
    words: sentenceOf(seen),
  };
}

/** How far a crumb as open as can be for its family is from its usual, among all bakes. */
const OPENER = 0.4;

/** How much longer the risen part is when the whole is so many times as high, 0 and more. */
const lengthen = (times: number, rise: number): number => Math.max(0, (times * rise - 1) / Math.max(rise - 1, 0.02));

/** An index in words: the first whose limit it is below. */
function said(
  id: Seen['id'],
  name: string,
  value: number,
  terms: Terms,
  words: readonly (readonly [below: number, words: string])[],
): Seen {
  return { id, name, value, terms: largestFirst(terms), words: words.find(([b]) => value < b)?.[1] ?? '' };
}

function sentenceOf(seen: Slice['seen']): string {
  const { sinks, cracks, crumb, mouth, crust, streak, pieces } = seen;
  const faults = [sinks.value >= 0.08 ? [sinks] : [], streak.value >= 0.15 ? [streak] : [], pieces.value >= 0.2 ? [pieces] : []].flat(); // prettier-ignore
  // the first says why; the rest of the reasons stand in the table
  const because = (s: Seen): string => (s === faults[0] && s.terms[0] ? ` (${s.terms[0][1]})` : '');
  const top =
    sinks.value >= 0.08 ? `${sinks.words}${because(sinks)}` : cracks.value >= 0.25 ? cracks.words : 'a smooth top';
  const a1 = (x: string): string => `${/^[aeiou]/.test(x) ? 'an' : 'a'} ${x}`;
  const inside = [
    crumb.words === 'as usual' ? 'its usual crumb' : `${a1(crumb.words)} crumb`,
    ...(mouth.words === 'as usual' ? [] : [mouth.words]),
    ...(crust.words === 'as usual' ? [] : [`${a1(crust.words)} crust`]),
  ];
  const wrong = faults
    .filter((s) => s !== sinks)
    .map((s) => `${s.id === 'pieces' ? `pieces ${s.words}` : s.words}${because(s)}`);
  return `${capital([seen.height.words.replace(/;.*/, ''), top, ...wrong, inside.join(', ')].join('; '))}.`;
}
