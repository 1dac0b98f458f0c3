import { familyOf } from '../balance/families.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { BakeSetting, Formula, Item, Kitchen } from '../formula/types.js';
import { degreesIn } from '../quantity/degrees.js';
import { scanAmounts, type Found } from '../quantity/scan.js';
import { unitOf } from '../quantity/units.js';
import { plainChars } from './anatomy.js';
import { durations } from '../text/durations.js';
import { cookedIn, cookingWords } from '../text/cooked.js';
import type { Baking } from './baking.js';
import * as make from './bake/tin-kinds.js';
import { readYieldLine } from './cards.js';
import type { Classified } from './parts.js';
import type { Doubt, Fate, Mark, Place, Stretch } from './draft.js';
import { hasKind } from './kin.js';
import { exactName, matchIngredient } from './match.js';
import { packed } from './prose.js';

/**
 * What became of every stretch of the text: each ends as title, heading, line, method, heat, time, tin or yield, as a
 * note or a story that is kept and not used, or as a doubt. A number with a unit, a time or a known food that ended
 * nowhere is asked about, with one press to make it what it is.
 */
export interface Accounted {
  readonly stretches: readonly Stretch[];
  readonly doubts: readonly Doubt[];
}

const fateOf: Readonly<Record<Classified['kind'], Fate>> = {
  title: 'title',
  heading: 'heading',
  ingredient: 'line',
  method: 'method',
  note: 'note',
  story: 'story',
  other: 'note',
  blank: 'note',
};
const finer: Partial<Readonly<Record<Mark['what'], Fate>>> = {
  heat: 'heat',
  time: 'time',
  tin: 'tin',
  yield: 'yield',
  title: 'title',
  group: 'heading',
};

const overlaps = (a: { from: number; to: number }, b: { from: number; to: number }): boolean =>
  a.from < b.to && b.from < a.to;
const weighs = (a: Found): boolean => a.unit !== null && ['mass', 'volume'].includes(unitOf(a.unit).dimension);

/** A stretch of a part that nothing was read from, though it says how much of something. */
interface Loose extends Place {
  readonly said: string;
  /** The thing it names, when it names one. */
  readonly food: string | null;
  /** True where it is put in by a verb and its name is none that is known: "stir in 35 g of lychees". */
  readonly strange: boolean;
}

/** A verb that puts something in, and what may stand before the amount. */
const putIn =
  /\b(?:add|(?:stir|mix|fold|pour|beat|whisk|tip|work|sift|toss|throw)(?:\s+(?:it|them|them all))?\s+(?:in|into it|through)|stir through)\s+(?:\p{L}+\s+){0,3}$/iu;
/** The same with the amount behind the name: "add the lychees, 35 g". */
const putInBefore =
  /\b(?:add|(?:stir|mix|fold|pour|beat|whisk|tip|work|sift)\s+(?:in|through))\s+((?:the\s+)?(?:\p{L}+\s+){0,2}?\p{L}{3,})\s*[,(]\s*$/iu;
/** What an amount in a method may be of without being a thing of the list. */
const ofBatter =
  /^\s*(?:each|more|extra|at a time|(?:of\s+)?(?:the|it|them|this|that|these|batter|dough|mix\w*|paste|filling|icing|frosting|glaze|syrup|topping|crumble|streusel|water|liquid|mass|portions?|pieces?|balls?|rounds?|heaps?|dollops?|tins?|pans?)\b)|^[\s.,;)]*$/i;

/** Amounts and names in a part that no mark covers. */
function looseIn(p: Classified, marks: readonly Mark[], kitchen: Kitchen): Loose[] {
  const text = plainChars(p.text);
  const mine = marks
    .filter((m) => m.line === p.no && m.what !== 'method')
    .map((m) => ({ from: m.from - p.at, to: m.to - p.at }));
  const taken = [...mine, ...durations(text)];
  const amounts = scanAmounts(text).filter((a) => weighs(a) && !taken.some((t) => overlaps(t, a)));
  const unknown = (name: string): boolean => matchIngredient(name, kitchen) === null && !ofBatter.test(name);
  const sold = [...text.matchAll(packed)].flatMap((m): Loose[] => {
    const from = m.index + m[0].length;
    const name = /^(?:\p{L}+\s+){0,2}?\p{L}{3,}/u.exec(text.slice(from))?.[0] ?? '';
    const place = { line: p.no, from: p.at + m.index, to: p.at + from + name.length };
    if (name === '' || !unknown(name) || !putIn.test(text.slice(0, m.index)) || taken.some((t) => overlaps(t, { from: m.index, to: from }))) return []; // prettier-ignore
    return [{ ...place, said: text.slice(m.index, from + name.length), food: null, strange: true }];
  });
  const weighed = amounts.flatMap((a, i): Loose[] => {
    const named = putInBefore.exec(text.slice(0, a.from))?.[1]?.replace(/^the\s+/i, '');
    if (named && unknown(named)) {
      const from = text.lastIndexOf(named, a.from);
      return [{ line: p.no, from: p.at + from, to: p.at + a.to, said: `${p.text.slice(a.from, a.to)} ${named}`, food: null, strange: true }]; // prettier-ignore
    }
    const end = Math.min(amounts[i + 1]?.from ?? text.length, a.to + 48);
    const phrase = text.slice(a.to, end).split(/[,;.()]|\band\b|\bfor\b|\bwith\b|\bin\b|\bto\b/i)[0] ?? '';
    const match = matchIngredient(phrase, kitchen);
    const to = match && !match.behind ? a.to + phrase.trimEnd().length : a.to;
    return [
      {
        line: p.no,
        from: p.at + a.from,
        to: p.at + to,
        said: p.text.slice(a.from, match && !match.behind ? to : a.to + phrase.trimEnd().length).trim(),
        food: match && !match.behind ? match.id : null,
        strange: !match && /\p{L}{3}/u.test(phrase) && !ofBatter.test(phrase) && putIn.test(text.slice(0, a.from)),
      },
    ];
  });
  return [...weighed, ...sold];
}

/** A short line of a list that is nothing but a known name: "chives". */
const bareName = (p: Classified, kitchen: Kitchen): boolean =>
  p.kind === 'other' &&
  p.text.split(/\s+/).length <= 3 &&
  !/\d/.test(p.text) &&
  exactName(p.text.replace(/[.,;:]$/, ''), kitchen) !== null;

/** From so many amounts on a line is a list, and a name alone between its commas a thing of it. */
const A_RUN = 3;
/** Known names without an amount in a line that lists things with theirs: ", 1 gill milk, nutmeg." */
function namesAmong(p: Classified, marks: readonly Mark[], kitchen: Kitchen): Place[] {
  const mine = marks.filter((m) => m.line === p.no && m.what === 'amount');
  const from = Math.min(...mine.map((m) => m.from));
  if (mine.length < A_RUN) return [];
  return [
    ...plainChars(p.text).matchAll(/(?<=^|[,;]\s*(?:and\s+)?)[\p{L}][\p{L} -]{2,24}(?=\s*(?:[,;.]|$))/giu),
  ].flatMap((m): Place[] => {
    const place = { line: p.no, from: p.at + m.index, to: p.at + m.index + m[0].length };
    const taken = marks.some(
      (x) => x.line === p.no && finer[x.what] !== undefined && x.what !== 'method' && overlaps(x, place),
    );
    return place.from > from && !taken && exactName(m[0], kitchen) !== null ? [place] : [];
  });
}

/**
 * Goes over all parts of a text once it was read.
 *
 * @param item reads words as a line, for the choice that makes them one
 * @param minutes a time of the oven that was found without a heat
 */
export function accountOf(
  parts: readonly Classified[],
  marks: readonly Mark[],
  asked: readonly Doubt[],
  formula: Formula,
  kitchen: Kitchen,
  item: (words: string, no: number) => Item,
  minutes: BakeSetting['minutes'] | null,
): Accounted {
  const stretches: Stretch[] = [];
  const doubts: Doubt[] = [];
  const there = new Set(allItems(formula).map((i) => i.ingredient));
  const doubted = (p: Place): boolean => asked.some((d) => d.place && d.place.line === p.line && overlaps(d.place, p));
  const ask = (place: Loose): void => {
    if (doubted(place)) return;
    const made = item(place.said, place.line);
    doubts.push({
      id: `loose-${place.line}-${place.from}`,
      place: { line: place.line, from: place.from, to: place.to },
      kind: 'unplaced',
      likely: place.food || place.strange ? 'line' : 'keep',
      words: `"${place.said}" was not used for anything. What is it?`,
      choices: [
        { id: 'line', words: `a line of the list, ${made.grams} g`, edit: { kind: 'item', item: made } },
        { id: 'keep', words: 'a remark', edit: { kind: 'keep' } },
      ],
    });
  };
  for (const p of parts) {
    if (p.kind === 'blank') continue;
    const whole: Place = { line: p.no, from: p.at, to: p.at + p.text.length };
    const inner = marks.filter(
      (m) => m.line === p.no && finer[m.what] !== undefined && m.from >= whole.from && m.to <= whole.to,
    );
    stretches.push({ ...whole, fate: fateOf[p.kind] });
    for (const m of inner) stretches.push({ line: m.line, from: m.from, to: m.to, fate: finer[m.what] ?? 'note' });
    if (p.kind === 'story' || p.kind === 'note' || p.kind === 'heading') continue;
    for (const loose of looseIn(p, marks, kitchen)) {
      // in the method and in a line, what speaks of a thing that is there divides or remarks it
      if (p.kind === 'method' && !loose.strange && (!loose.food || hasKind(loose.food, there, kitchen))) continue;
      if (p.kind === 'ingredient' && (!loose.food || there.has(loose.food))) continue;
      if (p.kind === 'title' && !loose.food) continue;
      ask(loose);
    }
    const bare =
      bareName(p, kitchen) && parts.some((x) => x.kind === 'ingredient') ? [whole] : namesAmong(p, marks, kitchen);
    for (const place of bare) {
      const said = p.text.slice(place.from - p.at, place.to - p.at);
      const made = item(said, p.no);
      if (!there.has(made.ingredient) && !doubted(place))
        doubts.push({
          id: place === whole ? `name-${p.no}` : `name-${p.no}-${place.from}`,
          place,
          kind: 'unplaced',
          likely: 'line',
          words: `"${said}" stands in the list without an amount.`,
          choices: [
            { id: 'line', words: 'a line of the list, amount to come', edit: { kind: 'item', item: made } },
            { id: 'keep', words: 'a remark', edit: { kind: 'keep' } },
          ],
        });
    }
  }
  doubts.push(...missing(parts, formula, kitchen, minutes));
  for (const d of [...asked, ...doubts]) if (d.place) stretches.push({ ...d.place, fate: 'doubt' });
  return { stretches, doubts };
}

/** That something is not baked: what was read of its heat is not an oven's, and stays in the method. */
export function awayFromOven(
  { cooking, bake }: NonNullable<Baking['away']>,
  marks: readonly Mark[],
  kitchen: Kitchen,
): Doubt {
  const at = marks.find((m) => m.what === 'heat' || m.what === 'time');
  const oven = bake && (bake.minutes?.early ?? 0) >= SHORTEST_BAKE ? bake : null;
  return {
    id: 'away',
    place: at ? { line: at.line, from: at.from, to: at.to } : null,
    kind: 'no-bake',
    likely: 'keep',
    words: `It is cooked ${cookingWords[cooking]}, by what the method says: its heat and times stay there, and no oven is reckoned for it.`,
    choices: [
      { id: 'keep', words: 'as it is', edit: { kind: 'keep' } },
      ...(oven
        ? [
            {
              id: 'oven',
              words: `it is baked in the oven, ${degreesIn(kitchen.display.temperature, oven.ovenC)}`,
              edit: { kind: 'bake' as const, bake: oven },
            },
          ]
        : []),
    ],
  };
}
/** Minutes below which nothing is baked in an oven. */
const SHORTEST_BAKE = 5;

const minutesWords = ({ early, late }: NonNullable<BakeSetting['minutes']>): string =>
  early === late ? `${early} minutes` : `${early} to ${late} minutes`;

const METAL = 'light metal';
const tinWord =
  /\b(?:(?:cake|loaf|bread|baking|square|round|muffin|bun|deep|shallow|sandwich|patty)\s+(?:tins?|pans?|dish|moulds?)|tins?|bundt|springform|ramekins?)\b(?!\s+(?:of\b(?!\s+(?:about\s+)?\d)|foil|opener))/i;
/** Where a tin is spoken of outside the list. */
function tinNamed(parts: readonly Classified[]): Place | null {
  for (const p of parts) {
    const m = p.kind === 'method' || p.kind === 'other' ? tinWord.exec(p.text) : null;
    if (m) return { line: p.no, from: p.at + m.index, to: p.at + m.index + m[0].length };
  }
  return null;
}

/** What every bake has and the text does not say: heat, time, and something that makes a batter of it. */
function missing(
  parts: readonly Classified[],
  formula: Formula,
  kitchen: Kitchen,
  minutes: BakeSetting['minutes'] | null,
): Doubt[] {
  const text = parts.map((p) => p.text).join('\n');
  const items = allItems(formula);
  const out: Doubt[] = [];
  const cooking = cookedIn(formula.title, text);
  const stove = cooking !== null && cooking !== 'oven';
  const list = items.length >= 3;
  const done = parts.some(
    (p) =>
      p.kind === 'method' ||
      (p.kind === 'other' && /\b(?:oven|bake|\d+\s*(?:mins?|minutes?|hrs?|hours?))\b/i.test(p.text)),
  );
  if (list && done && !stove && (!formula.bake || !formula.bake.minutes)) {
    const family = formula.family === 'free' ? null : familyOf(formula.family);
    const usual = family ? Math.round((family.ovenC[0] + family.ovenC[1]) / 20) * 10 : 180;
    const bake: BakeSetting = formula.bake ?? { ovenC: usual, fan: false, ...(minutes && { minutes }) };
    const time = minutes && !formula.bake ? ` Its ${minutesWords(minutes)} are kept with the answer.` : '';
    const choices = formula.bake
      ? []
      : [
          {
            id: 'usual',
            words: `${degreesIn(kitchen.display.temperature, usual)}, as is usual`,
            edit: { kind: 'bake' as const, bake },
          },
        ];
    out.push({
      id: 'no-bake',
      place: null,
      kind: 'no-bake',
      likely: formula.bake ? 'keep' : 'usual',
      words: formula.bake
        ? 'No baking time was found; the time is Orvin’s estimate.'
        : `No heat of the oven was found. How hot?${time}`,
      choices: [...choices, { id: 'keep', words: 'leave it open', edit: { kind: 'keep' } }],
    });
  }
  const unread = (formula.tins ?? []).length > 0 || !list ? null : tinNamed(parts);
  if (unread)
    out.push({
      id: 'tin-unread',
      place: unread,
      kind: 'tin',
      likely: 'keep',
      words: 'A tin is named here, and its shape and size could not be read.',
      choices: [
        { id: 'keep', words: 'choose it later', edit: { kind: 'keep' } },
        ...[make.round(200, undefined, METAL), make.square(200, undefined, METAL), make.loafOfWeight(907, METAL)].map(
          (tin) => ({
            id: tin.id,
            words: tin.name,
            edit: { kind: 'tins' as const, tins: [{ tin, count: 1 }] },
          }),
        ),
      ],
    });
  const held = items.some((i) => {
    const x = ingredientFor(formula, i, kitchen);
    // flour and nuts have a base; starch and protein of anything else may hold a crumb as well
    return (
      x.base !== undefined ||
      x.role === 'flour' ||
      x.per100.starch > 10 ||
      (x.role === 'addin' && x.per100.protein > 12)
    );
  });
  if (list && !held && formula.method.length > 0)
    out.push({
      id: 'no-flour',
      place: null,
      kind: 'no-flour',
      likely: 'keep',
      words: 'There is no flour, meal or nut in what was read. Is a line missing?',
      choices: [
        { id: 'keep', words: 'it has none', edit: { kind: 'keep' } },
        {
          id: 'add',
          words: 'put plain flour on the list, amount to come',
          edit: { kind: 'add', ingredient: 'plain-flour', words: 'plain flour' },
        },
      ],
    });
  return out;
}

/** How much of the text was read without doubt, 0–1: by letters of what is no story, doubted stretches counted out. */
export function confidenceOf(account: Accounted, parts: readonly Classified[], doubts: readonly Doubt[]): number {
  const read = parts.filter((p) => p.kind !== 'story' && p.kind !== 'note' && p.kind !== 'blank');
  const letters = (p: { from: number; to: number }): number => Math.max(0, p.to - p.from);
  const all = read.reduce((s, p) => s + p.text.length, 0);
  if (all === 0) return 0;
  const unread = read
    .filter((p) => p.kind === 'other' && !readYieldLine(p.text))
    .reduce((s, p) => {
      const inner = account.stretches.filter((x) => x.line === p.no && x.fate !== 'note' && x.fate !== 'doubt');
      return s + Math.max(0, p.text.length - inner.reduce((t, x) => t + letters(x), 0));
    }, 0);
  const open = doubts.filter((d) => d.likely !== 'keep' || d.choices.length > 1);
  const placed = open.reduce((s, d) => s + (d.place ? Math.min(letters(d.place), 60) : 30), 0);
  return Math.max(0, Math.min(1, 1 - (0.5 * unread + placed) / (all + 60)));
}
