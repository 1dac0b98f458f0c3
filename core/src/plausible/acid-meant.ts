import { familyOf } from '../balance/families.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import { judge, type Judged } from './judge.js';
import { isMilkless, saidOf } from './said.js';
import { renamed, type Suspect } from './suspects.js';
import { sumsOf } from './sums.js';

/** What is like one in seven of the ordinary formulas once it is undone was that slip. */
export const MENDED = 0.15;

/** Log odds against what is seldom: tartar, which few have in the house, and powder in what is named for its soda. Judgement. */
const SELDOM = 1.5;
const OF_SODA = /\bsoda\b/i;

/** A slip that would explain soda without acid, with the lines as they were meant. */
interface Reading {
  readonly slip: Omit<Suspect, 'gain' | 'sure'>;
  readonly meant: readonly Line[];
  /** Log odds against it before anything is known. */
  readonly rare: number;
}

/** Sweet milk or water where sour milk was meant: the largest line that has a sour counterpart, as much of it. */
function soured(lines: readonly Line[], title: string): Reading | null {
  const [line] = lines.filter((l) => l.ingredient.soured).sort((a, b) => b.grams - a.grams);
  if (!line?.ingredient.soured || (isMilkless(title) && !line.ingredient.allergens.includes('milk'))) return null;
  const ingredient = catalogueRow(line.ingredient.soured);
  return {
    slip: {
      itemId: line.item.id,
      role: 'liquid',
      slip: 'name',
      factor: 1,
      likely: ingredient.id,
      likelyG: line.grams,
      acid: true,
    },
    meant: lines.map((l) => (l === line ? { ...l, ingredient } : l)),
    rare: 0,
  };
}

/** Powder that is called soda. */
function powder(lines: readonly Line[], j: Judged, formula: Formula, kitchen: Kitchen): Reading | null {
  const line = lines.find((l) => l.ingredient.leavener === 'soda' && l.grams > 0);
  if (!line) return null;
  const { likely, likelyG } = renamed(line, lines, j, kitchen);
  if (likely === undefined) return null;
  const ingredient = catalogueRow(likely);
  return {
    slip: { itemId: line.item.id, role: 'leavener', slip: 'name', factor: 1, likely, likelyG, acid: true },
    meant: lines.map((l) => (l === line ? { ...l, ingredient, grams: likelyG } : l)),
    rare: OF_SODA.test(`${formula.title} ${familyOf(formula.family).name}`) ? SELDOM : 0,
  };
}

/** Cream of tartar that was forgotten beside the soda: as much as meets what is left of it. */
function tartar(lines: readonly Line[], kitchen: Kitchen): Reading | null {
  const ingredient = catalogueRow('cream-of-tartar');
  if (lines.some((l) => l.ingredient.leavener === 'acid' && l.grams > 0)) return null;
  const grams = (100 * sumsOf(lines, kitchen).leftSoda) / (ingredient.acidMeq?.typical ?? 1);
  const item = { id: '', ingredient: ingredient.id, words: '', entered: null, grams };
  return {
    slip: { role: 'leavener', slip: 'missing', factor: 0, likely: ingredient.id, likelyG: grams, acid: true },
    meant: [...lines, { item, ingredient, grams, whole: false }],
    rare: SELDOM,
  };
}

/** Any other slip: a half more flour makes the gas of little soda less to it. */
function other(lines: readonly Line[], { gain: _, sure: __, ...slip }: Suspect): Reading | null {
  const line = lines.find((l) => l.item.id === slip.itemId);
  if (!line || slip.slip === 'name') return null;
  return { slip, meant: lines.map((l) => (l === line ? { ...l, grams: slip.likelyG } : l)), rare: 0 };
}

/**
 * What soda without acid was likely meant to be, each judged in full: sour milk for sweet or for water, powder for soda, cream
 * of tartar that was forgotten, or what is suspected first without a thought of acid. Whichever leaves the whole most ordinary
 * comes first.
 * @returns none where the soda has its acid, or none of them makes the whole ordinary
 */
export function acidMeant(
  j: Judged,
  lines: readonly Line[],
  suspected: readonly Suspect[],
  formula: Formula,
  kitchen: Kitchen,
): Suspect[] {
  if (j.acidless <= 0) return [];
  const [first] = suspected;
  return [
    soured(lines, formula.title),
    powder(lines, j, formula, kitchen),
    tartar(lines, kitchen),
    first ? other(lines, first) : null,
  ]
    .flatMap((r) => {
      const then = r && judge(r.meant, formula.family, saidOf(formula), kitchen);
      if (!then || then.acidless > 0 || then.typical < MENDED) return [];
      return [{ ...r.slip, gain: j.merit - then.merit, odds: then.told.any + r.rare, sure: 'likely' as const }];
    })
    .sort((a, b) => a.odds - b.odds)
    .map(({ odds: _, ...s }) => s);
}
