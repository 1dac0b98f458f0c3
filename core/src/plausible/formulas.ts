import { catalogueRow } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import type { FamilyId, Group } from '../formula/types.js';
import { cookings, type Cooking } from '../text/cooked.js';
import { workingOf, type Said } from './said.js';

/**
 * An ordinary formula to judge by. A line of the tables reads
 * `families | country | kind | mixing | plain-flour 250, butter 60, fold-in: raisins 80, icing: …`: the family it is
 * named for first, then those it could pass for; what it is cooked in behind the mixing, where that is not the oven; grams of
 * each line; a word with a colon begins another part.
 */
export interface Ordinary {
  readonly id: string;
  readonly families: readonly FamilyId[];
  readonly country: string;
  readonly kind: string;
  readonly mixing: string;
  readonly cooking: Cooking;
  readonly lines: readonly (readonly [ingredient: string, grams: number, part: NonNullable<Group['role']>])[];
  /** False for those that other hands weighed. */
  readonly own: boolean;
  /** Written with the others in view: no evidence of how well strangers are judged. */
  readonly since: boolean;
  /** Written since, but with recipes in view that are in no table: in the ground that others are judged by, and not judged. */
  readonly beside: boolean;
}

/** @throws Error when a line does not read as it should, with the line: a mistake of ours. */
export function readOrdinary(text: string, ownHand: boolean, since = false, beside = false): Ordinary[] {
  return text
    .split('\n')
    .filter((l) => l.trim() !== '')
    .map((line) => {
      const [families, country, kind, mixing, list] = line.split(' | ');
      if (!families || !country || !kind || !mixing || !list) throw new Error(`Not a formula: ${line}`);
      const [by = mixing, heat = 'oven'] = mixing.split(', ');
      const cooking = cookings.find((c) => c === heat);
      if (!cooking) throw new Error(`Not a way of cooking: ${heat} in ${kind}`);
      let part = 'batter';
      const lines = list.split(', ').map((one) => {
        const m = /^(?:([a-z-]+): )?([a-z-]+) ([\d.]+)$/.exec(one.trim());
        if (!m?.[2]) throw new Error(`Not an amount: ${one} in ${kind}`);
        part = m[1] ?? part;
        return [catalogueRow(m[2]).id, Number(m[3]), part as NonNullable<Group['role']>] as const;
      });
      return {
        id: `${country} ${kind}`,
        families: families.split('/') as FamilyId[],
        country,
        kind,
        mixing: by,
        cooking,
        lines,
        own: ownHand,
        since,
        beside,
      };
    });
}

/** What its name and its way of mixing say of it. */
export const saidOfOrdinary = (f: Ordinary): Said => ({
  title: f.kind,
  working: workingOf(f.mixing),
  cooking: f.cooking,
});

/** The batter of an ordinary formula, as lines. */
export function batterOf(f: Ordinary): Line[] {
  return f.lines
    .filter(([, , part]) => part === 'batter' || part === 'fold-in')
    .map(([id, grams], n) => {
      const ingredient = catalogueRow(id);
      const item = { id: `i${n}`, ingredient: id, words: id, entered: { value: grams, unit: 'g' }, grams };
      return { item, ingredient, grams, whole: ingredient.pieces ?? false };
    });
}
