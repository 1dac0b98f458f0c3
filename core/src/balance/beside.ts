import { ingredientFor, isBatter, usableGrams } from '../formula/formula.js';
import type { Formula, Item, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { assess, type Assessment } from './assess.js';

export interface Share {
  readonly grams: number;
  /** Per 100 flour of its own formula, so that batches of any size compare. */
  readonly pct: number;
}
/** One ingredient in two formulas; null where it is not in one of them. */
export interface BesideRow {
  readonly ingredient: string;
  readonly name: string;
  readonly a: Share | null;
  readonly b: Share | null;
}
export interface BesideFigure {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly a: number;
  readonly b: number;
  readonly digits: number;
}
export interface Beside {
  readonly rows: readonly BesideRow[];
  readonly figures: readonly BesideFigure[];
  /** What is different, most telling first, in words. */
  readonly words: readonly string[];
}

function sharesOf(f: Formula, per: number, kitchen: Kitchen): Map<string, { name: string; share: Share }> {
  const out = new Map<string, { name: string; share: Share }>();
  const add = (i: Item, batter: boolean): void => {
    const name = ingredientFor(f, i, kitchen).name;
    const key = `${i.ingredient === 'unknown' ? i.words : i.ingredient}${batter ? '' : ' (apart)'}`;
    const grams = usableGrams(i.grams) + (out.get(key)?.share.grams ?? 0);
    out.set(key, { name: batter ? name : `${name}, not in the batter`, share: { grams, pct: grams * per } });
  };
  for (const g of f.groups) for (const i of g.items) add(i, isBatter(g));
  return out;
}

const perFlour = (a: Assessment): number =>
  a.totals.flourG > 0 ? 100 / a.totals.flourG : a.totals.baseG > 0 ? 100 / a.totals.baseG : 0;

/** Lays two formulas, or two versions of one, side by side: line by line, figure by figure, and in words. */
export function beside(a: Formula, b: Formula, kitchen: Kitchen = defaultKitchen): Beside {
  const [x, y] = [assess(a, kitchen), assess(b, kitchen)];
  const [left, right] = [sharesOf(a, perFlour(x), kitchen), sharesOf(b, perFlour(y), kitchen)];
  const keys = [...new Set([...left.keys(), ...right.keys()])];
  const rows = keys.map((key) => ({
    ingredient: key,
    name: left.get(key)?.name ?? right.get(key)?.name ?? key,
    a: left.get(key)?.share ?? null,
    b: right.get(key)?.share ?? null,
  }));
  const figure = (id: string, name: string, unit: string, of: (z: Assessment) => number, digits = 0): BesideFigure => ({
    id,
    name,
    unit,
    a: of(x),
    b: of(y),
    digits,
  });
  const figures = [
    figure('lift', 'lift', 'mmol', (z) => z.lift.mmolPer100gBase.typical, 1),
    figure('stand', 'may wait', 'min', (z) => z.lift.standMin),
    figure('left', 'soda left', 'g/100 g', (z) => z.ledger.leftSodaGPer100gBatter.typical, 2),
    figure('fat', 'fat', '%', (z) => z.totals.fatPct),
    figure('sugar', 'sugar', '%', (z) => z.totals.sugarPct),
    figure('egg', 'egg', '%', (z) => z.totals.eggPct),
    figure('water', 'water left', '%', (z) => z.totals.availablePct),
    figure('salt', 'salt', '%', (z) => z.totals.saltPct, 1),
    figure('tender', 'tenderness', '', (z) => z.beam.index),
    figure('batter', 'batter', 'g', (z) => z.totals.batterG),
  ];
  return { rows, figures, words: wordsFor(x, y, rows) };
}

function wordsFor(x: Assessment, y: Assessment, rows: readonly BesideRow[]): string[] {
  const said: [number, string][] = [];
  const add = (weight: number, words: string): void => void said.push([weight, words]);
  const more = (d: number, up: string, down: string, unit: number): void => {
    if (Math.abs(d) >= unit) add(Math.abs(d) / unit, d > 0 ? up : down);
  };
  more(y.lift.mmolPer100gBase.typical - x.lift.mmolPer100gBase.typical, 'rises more', 'rises less', 1.5);
  more(y.beam.index - x.beam.index, 'more tender', 'firmer', 4);
  more(y.totals.availablePct - x.totals.availablePct, 'wetter', 'drier', 8);
  more(y.totals.sugarPct - x.totals.sugarPct, 'sweeter', 'less sweet', 8);
  more(
    y.ledger.leftSodaGPer100gBatter.typical - x.ledger.leftSodaGPer100gBatter.typical,
    'more soda left over: browner',
    'less soda left over: paler',
    0.06,
  );
  more(y.lift.standMin - x.lift.standMin, 'may wait longer', 'must be baked sooner', 6);
  const [only, gone] = [rows.filter((r) => !r.a), rows.filter((r) => !r.b)];
  const names = (list: readonly BesideRow[]): string =>
    list
      .slice(0, 3)
      .map((r) => r.name.replace(/,.*/, '').toLowerCase())
      .join(', ') + (list.length > 3 ? ` and ${list.length - 3} more` : '');
  const sorted = said.sort((p, q) => q[0] - p[0]).map(([, w]) => w);
  if (only.length > 0) sorted.push(`with ${names(only)}`);
  if (gone.length > 0) sorted.push(`without ${names(gone)}`);
  return sorted;
}
