import { massIn, massUnit } from '../quantity/figures.js';
import { hasRanges, aFamily, type Family } from '../balance/families.js';
import type { Kitchen } from '../formula/types.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import { asMeasured } from '../quantity/amount.js';
import { comesInAs, onStep } from '../quantity/steps.js';
import type { Line } from '../leavening/parts.js';
import type { Ingredient } from '../formula/types.js';
import { isBland, isTrace, NAMED, tells, type Suspect } from './suspects.js';

/** Name of an ingredient within a sentence: "plain flour". */
const inSentence = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();

/** An amount as it is thought of: eggs by the piece, leavener and salt by the spoon, all else in grams; in ounces, by the cup as well. */
export function amount(grams: number, i: Ingredient, batterG: number, kitchen: Kitchen): string {
  const g = onStep(i, grams, batterG, kitchen) || grams;
  const weighed = massIn(kitchen.display, Number(g >= 10 ? g.toFixed(0) : g.toFixed(1)));
  const spooned = i.role === 'leavener' || i.role === 'salt' || i.role === 'egg' || massUnit(kitchen.display) === 'oz';
  return spooned ? `${asMeasured(grams, i, kitchen.measures)} (${weighed})` : weighed;
}

const RATIOS: readonly (readonly [at: number, words: string])[] = [
  [1 / 4, 'about a quarter of'],
  [1 / 3, 'about a third of'],
  [1 / 2, 'about half of'],
  [2 / 3, 'about two thirds of'],
  [3 / 2, 'half as much again as'],
  [2, 'about twice'],
  [3, 'about three times'],
  [4, 'about four times'],
];

/** "about twice": the nearest of what is said. */
function ratio(factor: number): string {
  if (factor < 0.2) return 'far less than';
  if (factor > 5) return 'many times';
  const near = RATIOS.map(([at, words]) => ({ words, d: Math.abs(Math.log(factor / at)) })).sort(
    (a, b) => a.d - b.d,
  )[0];
  const one = Math.abs(Math.log(factor));
  return near && near.d < one ? near.words : factor > 1 ? 'a little more than' : 'a little less than';
}

/** What is wrong, with the line and the amount that fits: `short` for a gauge, `long` for a sentence of its own. */
export interface SuspectWords {
  readonly short: string;
  readonly long: string;
}

export function wordsFor(s: Suspect, lines: readonly Line[], family: Family, kitchen: Kitchen): SuspectWords {
  const batterG = lines.reduce((sum, l) => sum + l.grams, 0);
  const line = lines.find((l) => l.item.id === s.itemId);
  const kind = !hasRanges(family) ? 'such a bake' : aFamily(family);
  const hint = s.sure === 'hint';
  if (s.slip === 'missing' || !line) {
    const i = catalogueRow(s.likely ?? 'plain-flour');
    const what = MISSING[s.role];
    const said = amount(comesInAs(i, s.likelyG, batterG, kitchen) || s.likelyG, i, batterG, kitchen);
    const sour = i.leavener === 'acid';
    const about = i.role === 'egg' ? `about ${said}` : `about ${said} of ${inSentence(i)}`;
    return {
      short: sour ? 'no acid for the soda' : `no ${what}`,
      long: hint
        ? isTrace(s, lines)
          ? 'No line stands out.'
          : `If something is off: there is no ${what}; ${about} is usual.`
        : sour
          ? `Hardly any acid meets the soda: ${about} beside it would.`
          : `There is no ${what}: with the rest as it is, ${kind} has ${about}.`,
    };
  }
  const name = line.ingredient.name.replace(/,.*/, '');
  const now = amount(line.grams, line.ingredient, batterG, kitchen);
  if (s.slip === 'name' && s.likely) {
    const meant = catalogueRow(s.likely);
    const other = inSentence(meant);
    const short = `${other} rather than ${inSentence(line.ingredient)}?`;
    if (hint) return { short, long: `If something is off: is it ${short}` };
    const instead = `${name} stands where ${other} is likely`;
    if (s.role !== 'leavener')
      return { short, long: `${instead}: hardly any acid meets the soda, and ${other} brings it.` };
    // as many spoons weigh a little otherwise
    const same = Math.abs(Math.log(s.likelyG / line.grams)) < 0.2;
    const as = same ? `as ${other} it` : `about ${amount(s.likelyG, meant, batterG, kitchen)} of ${other}`;
    return { short, long: `${instead}: ${now} does not fit the rest of ${kind}; ${as} does.` };
  }
  const fits = amount(s.likelyG, line.ingredient, batterG, kitchen);
  const short = `${inSentence(line.ingredient)} ${now}: about ${fits} fits`;
  const differs = now === fits || !tells(s) ? ' first' : `, ${now}: about ${fits} is usual`;
  if (hint && isBland(s, lines)) return { short, long: 'No line stands out.' };
  if (hint) return { short, long: `If something is off, look at the ${inSentence(line.ingredient)}${differs}.` };
  const why = s.slip === 'twice' ? ' It stands in the list twice.' : s.slip === 'unit' ? ` ${mixedUp(s.factor)}?` : '';
  return {
    short,
    long: `${name} is ${ratio(s.factor)} what fits the rest of ${kind}: ${now} where about ${fits} would be usual.${why}`,
  };
}

/** Which units were mixed up, by how many times too much there is. */
function mixedUp(factor: number): string {
  if (factor > 10) return 'Grams for ounces';
  if (factor < 0.1) return 'Ounces for grams';
  return factor > 1 ? 'A tablespoon for a teaspoon' : 'A teaspoon for a tablespoon';
}

const MISSING: Readonly<Record<Suspect['role'], string>> = {
  flour: 'flour',
  liquid: 'liquid',
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  leavener: 'soda or powder',
  salt: 'salt',
};

/** Where to look first, where fewer than one in five ordinary formulas look so odd; else nothing. */
export const hintOf = (typical: number, first: string | undefined): string => (typical < 0.2 ? (first ?? '') : '');

/** The whole in a sentence, by the share of ordinary formulas that look as odd or odder. */
export function wholeWords(typical: number, sure: Suspect['sure'] | undefined, family: Family): string {
  const kind = !hasRanges(family) ? 'a bake of its own kind' : aFamily(family);
  if (sure !== undefined && sure !== 'hint') return `Out of the ordinary for ${kind}.`;
  if (typical >= 0.35) return `Quite ordinary for ${kind}.`;
  if (typical >= 0.15) return `Ordinary for ${kind}.`;
  if (typical > NAMED) return `A little out of the ordinary for ${kind}.`;
  return `Not quite ordinary for ${kind}, though no one line stands out.`;
}
