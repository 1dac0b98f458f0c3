import { asMeasured } from '../quantity/amount.js';
import type { Kitchen } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import type { Operation, Take } from '../method/types.js';
import type { StepAmount } from './step.js';

const short = (text: string): string => {
  const first = text.split(/[.;]/)[0] ?? text;
  return first.length > 60 ? `${first.slice(0, 57).trimEnd()}…` : first;
};

/** `Butter, unsalted` is butter at the counter. */
export const plainName = (name: string): string => name.split(',')[0] ?? name;

export function amountOf(
  line: Line,
  kitchen: Kitchen,
  keepBack: string | null = null,
  part: string | null = null,
): StepAmount {
  const { item, ingredient, grams } = line;
  return {
    itemId: item.id,
    name: ingredient.id === 'unknown' ? item.words : ingredient.name,
    grams,
    measured: asMeasured(grams, ingredient, kitchen.measures, item.form),
    note: item.note ?? null,
    keepBack,
    part,
  };
}

const PARTS: readonly (readonly [number, string])[] = [
  [1 / 4, 'a quarter of it'],
  [1 / 3, 'a third of it'],
  [1 / 2, 'half of it'],
  [2 / 3, 'two thirds of it'],
  [3 / 4, 'three quarters of it'],
];
const partWords = (share: number): string =>
  PARTS.find(([x]) => Math.abs(x - share) < 0.02)?.[1] ?? `${Math.round(100 * share)} % of it`;

/**
 * What goes in at each operation, in grams: its share of the line, or what the operations before it left. What is only "some"
 * is shown whole, with the word to keep the rest back.
 */
export function amountsFor(
  list: readonly Operation[],
  lines: readonly Line[],
  kitchen: Kitchen,
): ReadonlyMap<string, readonly StepAmount[]> {
  const byId = new Map(lines.map((l) => [l.item.id, l]));
  const left = new Map<string, number>();
  const vague = new Set<string>();
  const out = new Map<string, readonly StepAmount[]>();
  list.forEach((o, i) => {
    const amounts = o.takes.flatMap((t: Take): StepAmount[] => {
      const line = byId.get(t.itemId);
      if (!line) return [];
      const has = left.get(t.itemId) ?? 1;
      const again = list.slice(i + 1).find((q) => q.takes.some((x) => x.itemId === t.itemId));
      const later = again ? `some of it goes in later: “${short(again.words)}”` : null;
      if (t.share === 'some') {
        vague.add(t.itemId);
        return [amountOf(line, kitchen, later, again ? 'some of it' : null)];
      }
      if (typeof t.share !== 'number') {
        left.set(t.itemId, 0);
        if (vague.has(t.itemId))
          return [{ ...amountOf({ ...line, grams: 0 }, kitchen), measured: '', part: 'the rest' }];
        // "the rest", with what is kept back to come: the figure is all of it, and says so
        const kept = t.share === 'rest' && again !== undefined;
        return [amountOf({ ...line, grams: has * line.grams }, kitchen, kept ? later : null, kept || has < 0.999 ? 'the rest' : null)]; // prettier-ignore
      }
      const part = Math.min(t.share, has);
      left.set(t.itemId, has - part);
      return [
        amountOf(
          { ...line, grams: part * line.grams },
          kitchen,
          part < 0.999 ? later : null,
          part < 0.999 ? partWords(part) : null,
        ),
      ];
    });
    out.set(o.id, amounts);
  });
  return out;
}

const FEEL =
  /\b(?:a (?:splash|little|dash|drop|spoonful|pinch|handful) (?:more )?(?:of )?[\w -]{2,24}?(?= if\b|,? to taste|\.|;|$)(?: if [^.;,]{2,40})?|flour for (?:the board|dusting)|[\w ]{2,20} to taste)/gi;

/** What a text leaves to the baker's feel. */
export const feelIn = (text: string): string[] =>
  [...text.matchAll(FEEL)].map((m) => m[0].trim()).filter((w) => /\bif\b|taste|more|dusting|board/i.test(w));
