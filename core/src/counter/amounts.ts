import { asMeasured } from '../quantity/amount.js';
import type { Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import type { Matched } from './match.js';
import type { Stage } from './mixing.js';
import type { StepAmount } from './step.js';

const short = (text: string): string => {
  const first = text.split(/[.;]/)[0] ?? text;
  return first.length > 60 ? `${first.slice(0, 57).trimEnd()}…` : first;
};

/** `Butter, unsalted` is butter at the counter. */
export const plainName = (name: string): string => name.split(',')[0] ?? name;

export function amountOf(line: Line, kitchen: Kitchen, keepBack: string | null = null): StepAmount {
  const { item, ingredient, grams } = line;
  return {
    itemId: item.id,
    name: ingredient.id === 'unknown' ? item.words : ingredient.name,
    grams,
    measured: asMeasured(grams, ingredient, kitchen.measures, item.form),
    note: item.note ?? null,
    keepBack,
  };
}

/** Which lines go in at which entry of the method; each line once, where it first goes in. */
export interface Shares {
  readonly at: readonly (readonly StepAmount[])[];
  /** Lines that no entry speaks of, by the stage that takes their group. */
  readonly left: readonly Line[];
}

/**
 * Shares the lines of the batter over the entries of the method: by name or group first, then by the ids given, then to
 * the first stage that takes their group. What is named again later with "the rest" or "keep back" is to be kept back.
 */
export function shareLines(
  lines: readonly Line[],
  roles: ReadonlyMap<string, string>,
  entries: readonly Matched[],
  kitchen: Kitchen,
): Shares {
  const at: StepAmount[][] = entries.map(() => []);
  const left: Line[] = [];
  const takes = (e: Matched): boolean => e.place === 'mix' || e.place === 'fill' || e.place === 'finish';
  for (const line of lines) {
    const id = line.item.id;
    const named = entries.findIndex((e) => takes(e) && e.itemIds.includes(id));
    const given = named >= 0 ? named : entries.findIndex((e) => takes(e) && e.givenIds.includes(id));
    const ofGroup = (s: Stage): boolean => s.takes.some((r) => r === roles.get(id));
    const index = given >= 0 ? given : entries.findIndex((e) => takes(e) && e.stages.some(ofGroup));
    if (index < 0) {
      left.push(line);
      continue;
    }
    const again = entries.findIndex(
      (e, i) => i > index && e.itemIds.includes(id) && (e.backIds.includes(id) || entries[index]?.backIds.includes(id)),
    );
    const later = entries[again];
    at[index]?.push(amountOf(line, kitchen, later ? `some of it goes in later: “${short(later.text)}”` : null));
  }
  return { at, left };
}

const FEEL =
  /\b(?:a (?:splash|little|dash|drop|spoonful|pinch|handful) (?:more )?(?:of )?[\w -]{2,24}?(?= if\b|,? to taste|\.|;|$)(?: if [^.;,]{2,40})?|flour for (?:the board|dusting)|[\w ]{2,20} to taste)/gi;

/** What a text leaves to the baker's feel. */
export const feelIn = (text: string): string[] =>
  [...text.matchAll(FEEL)].map((m) => m[0].trim()).filter((w) => /\bif\b|taste|more|dusting|board/i.test(w));
