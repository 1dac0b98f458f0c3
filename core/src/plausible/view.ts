import type { Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { SODA_G_PER_MOL } from '../leavening/powders.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import { awayFromOven, kindsOf, titleWords, type Said, type Working } from './said.js';
import { sumsOf, type Sums } from './sums.js';

/**
 * What is expected of a formula, each from all the rest. Grams to 100 of flour but for `gas`, `soda` and `powder` (mmol
 * to 100 of flour and cocoa), `leftSoda` (g NaHCO3 in 100 g of batter) and `leftAcid` (meq in 100 g of batter); `flour`
 * is to 100 of fat, sugar, egg and water together.
 */
export const measures = [
  'flour',
  'water',
  'fat',
  'sugar',
  'egg',
  'salt',
  'gas',
  'leftSoda',
  'leftAcid',
  'soda',
  'powder',
] as const;
export type Measured = (typeof measures)[number];

/** What a measure is expected from: all the rest, as that measure sees it. Several are expected from the same. */
export const contextOf = {
  flour: 'flour',
  water: 'water',
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  salt: 'salt',
  gas: 'sour',
  leftSoda: 'sour',
  leftAcid: 'sour',
  soda: 'sour',
  powder: 'powder',
} as const satisfies Readonly<Record<Measured, string>>;
export type Context = (typeof contextOf)[Measured];
export const contexts: readonly Context[] = [...new Set(Object.values(contextOf))];

/** Added before the logarithm, so that none of something is a place of its own and a trace is not far from it. Judgement. */
const PLUS: Readonly<Record<Measured, number>> = {
  flour: 0,
  water: 8,
  fat: 4,
  sugar: 5,
  egg: 6,
  salt: 0.4,
  gas: 1.5,
  leftSoda: 0.05,
  leftAcid: 0.5,
  soda: 1,
  powder: 1,
};

/** A formula as the judgement sees it: the logarithm of each measure, what they are expected from, and what it is. */
export interface View {
  readonly is: Readonly<Record<Measured, number>>;
  readonly from: Readonly<Record<Context, readonly number[]>>;
  /** Kind of fat, cocoa, whole grain and the like: what explains, and is not judged. */
  readonly traits: readonly number[];
  /** What kind the title says it is, its words, and how it is worked where that is known. */
  readonly kinds: readonly number[];
  /** 1 for what it is cooked in where that is not the oven. */
  readonly away: readonly number[];
  readonly words: readonly string[];
  readonly working: Working | null;
}

const log = Math.log;
/** Log of a figure of a measure, and back. */
export const toLog = (m: Measured, x: number): number => log(Math.max(0, x) + PLUS[m]);
export const fromLog = (m: Measured, y: number): number => Math.max(0, Math.exp(y) - PLUS[m]);

/** Flour, with ground nuts where they stand for it: what percentages are of. */
export const flourOf = (s: Pick<Sums, 'flour' | 'nut'>): number => s.flour + (s.flour < s.nut / 5 ? s.nut : 0);

/** The figures of a formula, each in its own unit; all but `flour` are to its flour, soda and acid to the batter. */
export function figures(s: Sums): Record<Measured, number> {
  const flour = flourOf(s);
  const base = flour + s.cocoa;
  const water = Math.max(0, s.water - EGG_WATER * s.egg);
  return {
    flour: (100 * flour) / Math.max(s.fat + s.sugar + s.egg + water, 0.02 * flour),
    water: (100 * water) / flour,
    fat: (100 * s.fat) / flour,
    sugar: (100 * s.sugar) / flour,
    egg: (100 * s.egg) / flour,
    salt: (100 * s.salt) / flour,
    // as much as it does at the sea
    gas: (100 * s.gas) / base / s.thin,
    leftSoda: (s.leftSoda * SODA_G_PER_MOL) / 10 / s.batter,
    leftAcid: (100 * s.leftAcid) / s.batter,
    soda: (100 * s.soda) / base / s.thin,
    powder: (100 * s.powder) / base / s.thin,
  };
}
/** Share of an egg that is water. */
export const EGG_WATER = catalogueRow('egg').per100.water / 100;

/** @param s sums with some flour or ground nuts in them */
export function viewOf(s: Sums, { title, working, cooking }: Said): View {
  const f = figures(s);
  const is = {} as Record<Measured, number>;
  for (const m of measures) is[m] = toLog(m, f[m]);
  const flour = flourOf(s);
  const base = flour + s.cocoa;
  const pieces = log((100 * s.pieces) / flour + 20);
  const acid = log((100 * Math.max(0, s.acid)) / base + 1);
  const { fat, sugar, egg, water, soda } = is;
  // for the flour all else is to the rest of the batter
  const rest = (100 * flour) / f.flour;
  const to = (x: number, plus: number): number => log((100 * Math.max(0, x)) / rest + plus);
  const poured = Math.max(0, s.water - EGG_WATER * s.egg);
  const all = [fat, sugar, egg, water, pieces];
  const sour = [...all, acid];
  return {
    is,
    from: {
      fat: [sugar, egg, water, pieces, acid],
      sugar: [fat, egg, water, pieces, acid],
      egg: [fat, sugar, water, pieces, acid],
      water: [fat, sugar, egg, pieces],
      flour: [
        to(s.fat, PLUS.fat),
        to(s.sugar, PLUS.sugar),
        to(s.egg, PLUS.egg),
        to(poured, PLUS.water),
        to(s.pieces, 20),
        to(s.salt, PLUS.salt),
        to(Math.min(s.soda, Math.max(0, s.acid)) + s.powderLines, PLUS.gas),
        (100 * (s.powder - s.powderLines)) / flour / 8,
      ],
      salt: all,
      sour,
      powder: [...sour, soda],
    },
    traits: traitsOf(s, flour),
    kinds: kindsOf(title),
    away: awayFromOven(cooking),
    words: titleWords(title),
    working,
  };
}

function traitsOf(s: Sums, flour: number): number[] {
  const per = (x: number, most: number): number => Math.min(x / flour, most);
  return [
    s.oil / (s.fat + 0.02 * flour),
    per(s.cocoa, 0.6),
    per(s.chocolate, 1),
    per(s.maize, 1),
    s.syrup / (s.syrup + s.sugar + 0.005 * flour),
    per(s.wholeGrain, 1),
    per(s.wheatless, 1),
    per(s.puree, 2),
    per(s.savoury, 0.6),
    s.binder > 0.003 * flour ? 1 : 0,
    s.milky > 0.02 * flour ? 1 : 0,
    per(s.nut, 1.5),
    Math.min(log((100 * s.pieces) / flour + 20), 6),
    per(s.semolina, 1),
    s.animal,
    per(s.sweetMilk, 1),
    per(s.starch, 0.6),
    per(s.selfRaising, 1),
    per(s.alcohol, 0.2),
    per(s.bran, 0.6),
    Math.sqrt(per(s.driedFruit, 3)),
    Math.min((100 * s.saltAlong) / flour, 2),
    Math.sqrt(per(s.freshPieces, 2)),
    per(s.fatPieces, 2),
  ];
}

/** @returns null where there is no flour and nothing in its place to judge by */
export function viewOfLines(lines: readonly Line[], said: Said, kitchen?: Kitchen): View | null {
  const sums = sumsOf(lines, kitchen);
  return flourOf(sums) > 0 ? viewOf(sums, said) : null;
}
