import { ingredientOf } from '../ingredient/catalogue.js';
import type { EggSize, Entered, Ingredient, Item, Kitchen, Source } from '../formula/types.js';
import { gramsOf, printEntered, volumeTolerance } from '../quantity/amount.js';
import { plain } from '../quantity/numbers.js';
import { scanAmounts, type Found } from '../quantity/scan.js';
import { sizeOf, unitOf } from '../quantity/units.js';
import type { Choice, Doubt } from './draft.js';
import { exactName, lookAlikes, matchIngredient } from './match.js';

export interface ReadLine {
  readonly item: Item;
  readonly doubts: readonly Doubt[];
}

const nameOf = (i: Ingredient): string => i.name.replace(/,.*/, '').toLowerCase();
const eggSizes: readonly (readonly [RegExp, string])[] = [
  [/\bextra[- ]large\b|\bxl\b/i, 'xl'],
  [/\bjumbo\b/i, 'jumbo'],
  [/\blarge\b/i, 'l'],
  [/\bmedium\b/i, 'm'],
  [/\bsmall\b/i, 's'],
];

/** The egg size a line names, in the region of the source's own eggs. */
function sourceFor(line: string, ingredient: Ingredient, source: Source): Source {
  if (ingredient.role !== 'egg') return source;
  const said = eggSizes.find(([re]) => re.test(line))?.[1];
  if (!said) return source;
  const region = source.eggSize.slice(0, 2);
  const size = (region === 'eu' && said === 'jumbo' ? 'eu-xl' : `${region}-${said}`) as EggSize;
  return { ...source, eggSize: size };
}

/** The phrase that names the ingredient: the line without amounts, brackets and what follows the first comma. */
function phraseOf(line: string, amounts: readonly Found[]): string {
  let bare = line;
  for (const a of [...amounts].reverse()) bare = `${bare.slice(0, a.from)} ${bare.slice(a.to)}`;
  bare = bare
    .replace(/\([^)]*\)?/g, ' ')
    .replace(/^[\s\-–—*•·]+/, '')
    .replace(/^\s*(?:of|plus|\+|x)\s+/i, '');
  return bare;
}

const isMass = (f: Found): boolean => f.unit !== null && unitOf(f.unit).dimension === 'mass' && f.unit !== 'stick';
const isVolume = (f: Found): boolean =>
  f.unit !== null && (unitOf(f.unit).dimension === 'volume' || f.unit === 'stick');

/** Amounts of one kind that are to be added: "½ cup plus 2 tablespoons". */
function sum(
  found: readonly Found[],
  line: string,
): { readonly parts: readonly Found[]; readonly first: Found } | null {
  const first = found[0];
  if (!first) return null;
  const parts = [first];
  for (const next of found.slice(1)) {
    const between = line.slice((parts.at(-1) as Found).to, next.from);
    if (/^\s*(?:\+|plus|and|&)\s*$/i.test(between)) parts.push(next);
  }
  return { parts, first };
}

/**
 * Reads one ingredient line. Grams come from a weight when there is one, else from the volume or count by the source's
 * measures. When weight and volume disagree by more than honest filling explains, or the name or amount is unclear,
 * a doubt says so; nothing is guessed silently.
 */
export function readLine(line: string, lineNo: number, id: string, source: Source, kitchen?: Kitchen): ReadLine {
  const amounts = scanAmounts(line).filter(
    (a) => !/^\s*(?:%|cm|mm|in\b|inch|°|percent|per cent)/i.test(line.slice(a.to)),
  );
  const place = { line: lineNo, from: 0, to: line.length };
  const phrase = phraseOf(line, amounts);
  const main = phrase.split(/,| - | or | for (?:dusting|greasing|the tin)/i)[0] ?? phrase;
  const match = exactName(phrase) ?? matchIngredient(main, kitchen) ?? matchIngredient(phrase, kitchen);
  const ingredient = ingredientOf(match?.id ?? 'unknown', undefined, kitchen);
  const measures = sourceFor(line, ingredient, source);
  const doubts: Doubt[] = [];
  const weightIn = (f: Found): number | null =>
    gramsOf({ value: f.value, unit: f.unit ?? 'piece' }, ingredient, measures);

  const mass = sum(amounts.filter(isMass), line);
  const volume = sum(amounts.filter(isVolume), line);
  const count = amounts.find((f) => f.unit === null || f.unit === 'piece');
  const total = (s: { readonly parts: readonly Found[] } | null): number | null =>
    s === null ? null : s.parts.reduce<number | null>((t, f) => addOr(t, weightIn(f)), 0);
  const byMass = total(mass);
  const byVolume = total(volume);
  const byCount = count ? weightIn(count) : null;

  const entered = (f: Found | undefined, parts: number, grams: number): Entered | null =>
    !f
      ? null
      : parts > 1
        ? { value: Math.round(grams * 10) / 10, unit: 'g' }
        : { value: f.value, unit: f.unit ?? 'piece' };
  let grams = byMass ?? byVolume ?? byCount ?? 0;
  let amount =
    byMass !== null
      ? entered(mass?.first, mass?.parts.length ?? 1, byMass)
      : byVolume !== null
        ? entered(volume?.first, volume?.parts.length ?? 1, byVolume)
        : entered(count, 1, grams);

  if (byMass !== null && byVolume !== null && byVolume > 0 && mass && volume && match) {
    const [lo, hi] = volumeTolerance(ingredient);
    const ratio = byMass / byVolume;
    if (ratio < lo || ratio > hi) {
      const byWeight: Choice = {
        id: 'weight',
        words: `${plain(byMass)} g, as weighed`,
        edit: { kind: 'amount', itemId: id, grams: byMass, entered: { value: byMass, unit: 'g' } },
      };
      const filled: Entered = { value: volume.first.value, unit: volume.first.unit ?? 'cup' };
      const byCup: Choice = {
        id: 'volume',
        words: `${printEntered(filled)}, that is ${plain(byVolume)} g`,
        edit: { kind: 'amount', itemId: id, grams: byVolume, entered: filled },
      };
      doubts.push({
        id: `${id}-disagree`,
        place,
        kind: 'disagree',
        itemId: id,
        likely: 'volume',
        words: `${printEntered(filled)} of ${nameOf(ingredient)} weighs about ${plain(byVolume)} g, not ${plain(byMass)} g. Which is meant?`,
        choices: [byCup, byWeight],
      });
      grams = byVolume;
      amount = filled;
    }
  }
  if (!match) {
    const near = lookAlikes(main, 4);
    const choices: Choice[] = near.map((m) => {
      const as = ingredientOf(m.id, undefined, kitchen);
      const first = mass?.first ?? volume?.first ?? count;
      const g =
        byMass ?? (first ? gramsOf({ value: first.value, unit: first.unit ?? 'piece' }, as, source) : null) ?? 0;
      return { id: m.id, words: as.name, edit: { kind: 'ingredient', itemId: id, ingredient: m.id, grams: g } };
    });
    choices.push(
      { id: 'keep', words: 'keep it as weight only', edit: { kind: 'keep' } },
      { id: 'drop', words: 'not an ingredient', edit: { kind: 'drop', itemId: id } },
    );
    doubts.push({
      id: `${id}-unknown`,
      place,
      kind: 'unknown-ingredient',
      itemId: id,
      likely: near[0]?.id ?? 'keep',
      words: `"${main.trim() || line.trim()}" is not in the larder. What is it?`,
      choices,
    });
  } else if (grams <= 0 && !/to taste|for dusting|for greasing|optional/i.test(line)) {
    doubts.push(noAmount(line, id, place, ingredient, measures));
  } else if (!(grams < 50_000)) {
    doubts.push({
      id: `${id}-amount`,
      place,
      kind: 'amount',
      itemId: id,
      likely: 'keep',
      words: `${plain(grams / 1000)} kg of ${nameOf(ingredient)} is a caterer's amount. Is a decimal missing?`,
      choices: [
        { id: 'keep', words: 'it is meant', edit: { kind: 'keep' } },
        ...[10, 100].map((k): Choice => ({
          id: `by-${k}`,
          words: `${plain(grams / k)} g`,
          edit: { kind: 'amount', itemId: id, grams: grams / k, entered: { value: grams / k, unit: 'g' } },
        })),
      ],
    });
  }
  if (match && grams > 0 && /\bheap(?:ed|ing)\b/i.test(line) && byMass === null)
    doubts.push(heaped(grams, id, place, ingredient));
  const optional = /\boptional\b/i.test(line);
  const whole = wholePieces(line, ingredient);
  return {
    item: {
      id,
      ingredient: match ? ingredient.id : 'unknown',
      words: line.trim(),
      entered: amount,
      grams: Math.max(0, Math.round(grams * 100) / 100),
      ...(optional && { optional }),
      ...(whole !== (ingredient.pieces ?? false) && { pieces: whole }),
    },
    doubts,
  };
}

const addOr = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a + b);

function wholePieces(line: string, ingredient: Ingredient): boolean {
  if (/mashed|puré?e|grated|melted|juice/i.test(line) && ingredient.role === 'fruit' && /mashed|pur/i.test(line))
    return false;
  if (/melted/i.test(line) && /chocolate/.test(ingredient.id)) return false;
  return ingredient.pieces ?? false;
}

/** A heaped spoon holds about half as much again as a level one, more or less by the hand. */
function heaped(grams: number, id: string, place: Doubt['place'], ingredient: Ingredient): Doubt {
  const choice = (name: string, words: string, g: number): Choice => ({
    id: name,
    words: `${words}, ${plain(g)} g`,
    edit: { kind: 'amount', itemId: id, grams: g, entered: { value: Math.round(g * 10) / 10, unit: 'g' } },
  });
  return {
    id: `${id}-heaped`,
    place,
    kind: 'amount',
    itemId: id,
    likely: 'heaped',
    words: `A heaped spoon of ${nameOf(ingredient)} is a matter of the hand. How heaped?`,
    choices: [
      choice('heaped', 'half as much again', grams * 1.5),
      choice('level', 'as a level one', grams),
      choice('high', 'twice', grams * 2),
    ],
  };
}

function noAmount(line: string, id: string, place: Doubt['place'], ingredient: Ingredient, source: Source): Doubt {
  const usual =
    ingredient.role === 'salt'
      ? ['1/4 tsp', 'tsp', 0.25]
      : ingredient.role === 'leavener'
        ? ['1 tsp', 'tsp', 1]
        : ingredient.role === 'flavour'
          ? ['1 tsp', 'tsp', 1]
          : null;
  const choices: Choice[] = [];
  if (usual) {
    const entered: Entered = { value: usual[2] as number, unit: usual[1] as string };
    const g = (usual[2] as number) * sizeOf(unitOf('tsp'), source) * ingredient.gPerMl;
    choices.push({
      id: 'usual',
      words: `${String(usual[0])}, ${plain(g)} g`,
      edit: { kind: 'amount', itemId: id, grams: g, entered },
    });
  }
  choices.push(
    { id: 'keep', words: 'leave it at nothing for now', edit: { kind: 'keep' } },
    { id: 'drop', words: 'not an ingredient', edit: { kind: 'drop', itemId: id } },
  );
  return {
    id: `${id}-no-amount`,
    place,
    kind: 'no-amount',
    itemId: id,
    likely: choices[0]?.id ?? 'keep',
    words: `How much ${nameOf(ingredient)}? "${line.trim()}" gives no amount.`,
    choices,
  };
}
