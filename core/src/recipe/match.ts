import { distance } from 'fastest-levenshtein';
import MiniSearch from 'minisearch';
import { ingredients } from '../ingredient/catalogue.js';
import { localNames } from '../ingredient/local-names.js';
import { namesAbroad } from '../ingredient/names-abroad.js';
import type { Ingredient, Kitchen } from '../formula/types.js';
import { remembered } from '../quantity/remember.js';
import { harmless } from '../text/harmless.js';
import { plainText } from '../text/plain.js';

interface Name {
  readonly words: string;
  readonly id: string;
}

const namesOf = (list: readonly Ingredient[]): Name[] =>
  list.flatMap((i) =>
    [i.name, i.name.replace(/,.*/, ''), ...i.aliases]
      .map((n) => ({ words: plainText(n), id: i.id }))
      .filter((n) => n.words !== ''),
  );

const catalogueNames = namesOf(ingredients);
/** Names in other languages, of which none takes a word from an English one. */
const abroad: readonly Name[] = namesAbroad
  .flatMap(([id, ...languages]) =>
    languages.flatMap((list) => list.split('|').map((n) => ({ words: plainText(n).replace(/'/g, ' '), id }))),
  )
  .filter((n) => !harmless.has(n.words));
/** What shops of other places call things, whole and without what stands behind a comma or in brackets. */
const local: readonly Name[] = localNames.flatMap(([id, name]) =>
  [name, name.replace(/,.*/, ''), name.replace(/\s*\(.*\)/, '')].map((n) => ({ words: plainText(n), id })),
);
const byWords = new Map<string, string>();
const MAX_WORDS = 6;

export interface Match {
  readonly id: string;
  /** The words of the phrase that named it. */
  readonly words: string;
  /** Words of the phrase that neither belong to the name nor are known to leave it as it is. */
  readonly odd: readonly string[];
  /** True when an odd word stands behind the name, where English puts what a thing really is: "butter beans". */
  readonly behind?: boolean;
}

const singular = (w: string): string =>
  w.endsWith('ies')
    ? `${w.slice(0, -3)}y`
    : /(?:oes|ches|shes)$/.test(w)
      ? w.slice(0, -2)
      : w.endsWith('s') && !w.endsWith('ss')
        ? w.slice(0, -1)
        : w;

/** Shortened words of cards and lists, and the words they stand for. General knowledge, not looked up. */
const shortenings: Readonly<Record<string, string>> = {
  cinn: 'cinnamon',
  cinnam: 'cinnamon',
  allsp: 'allspice',
  nutm: 'nutmeg',
  butt: 'butter',
  "b'milk": 'buttermilk',
  bmilk: 'buttermilk',
  'b-milk': 'buttermilk',
  sug: 'sugar',
  sgr: 'sugar',
  fl: 'flour',
  flr: 'flour',
  br: 'brown',
  brn: 'brown',
  conf: 'confectioners',
  choc: 'chocolate',
  marg: 'margarine',
  rasp: 'raspberry',
  raspb: 'raspberry',
  blackb: 'blackberry',
  strawb: 'strawberry',
  ging: 'ginger',
  mol: 'molasses',
  molass: 'molasses',
  short: 'shortening',
  shortg: 'shortening',
  bkg: 'baking',
  bak: 'baking',
  pdr: 'powder',
  pwd: 'powder',
  pwdr: 'powder',
  rais: 'raisins',
  veg: 'vegetable',
  evap: 'evaporated',
  cond: 'condensed',
  gran: 'granulated',
  unsw: 'unsweetened',
  almds: 'almonds',
  walnts: 'walnuts',
  vin: 'vinegar',
  cocon: 'coconut',
  pineap: 'pineapple',
  pumpk: 'pumpkin',
  crm: 'cream',
  lem: 'lemon',
  oran: 'orange',
  wh: 'white',
  wht: 'white',
  dk: 'dark',
  lt: 'light',
  pow: 'powdered',
  powd: 'powdered',
  self: 'self',
  stg: 'strong',
  wm: 'wholemeal',
  bicarbonate: 'bicarbonate',
  mixd: 'mixed',
};

/** Whether a word beside a name may make it something else. */
export const isOdd = (w: string): boolean =>
  !harmless.has(w) && !/^[\d%'.,/-]+$/.test(w) && !/^\d+(?:g|ml|cm|mm|%|oz)$/.test(w);
const roles = new Map(ingredients.map((i) => [i.id, i.role]));

const singly = (words: string): string => words.replace(/\S+$/, singular);
for (const n of catalogueNames) if (!byWords.has(n.words)) byWords.set(n.words, n.id);
for (const n of catalogueNames) if (!byWords.has(singly(n.words))) byWords.set(singly(n.words), n.id);
for (const n of [...local, ...abroad]) if (!byWords.has(n.words)) byWords.set(n.words, n.id);

const ownNames = new WeakMap<readonly Ingredient[], ReadonlyMap<string, string>>();
function namesIn(kitchen: Kitchen | undefined): ReadonlyMap<string, string> | null {
  const own = kitchen?.ownIngredients;
  if (!own || own.length === 0) return null;
  let names = ownNames.get(own);
  if (!names)
    ownNames.set(
      own,
      (names = new Map(namesOf(own).flatMap((n) => [[singly(n.words), n.id] as const, [n.words, n.id] as const]))),
    );
  return names;
}

/** The ingredient whose name or other name the phrase is, word for word; null when it is none's. */
export function exactName(phrase: string, kitchen?: Kitchen): Match | null {
  const words = plainText(phrase);
  const own = namesIn(kitchen);
  for (const form of [words, singly(words)]) {
    const id = own?.get(form) ?? byWords.get(form);
    if (id) return { id, words: form, odd: [] };
  }
  return null;
}

/**
 * Finds the ingredient named in a phrase. The head of an English phrase comes last ("vanilla yogurt" is yogurt), so the
 * match that ends last wins, and of those the longest. Null when no name of the catalogue or kitchen is in it.
 */
export function matchIngredient(phrase: string, kitchen?: Kitchen): Match | null {
  const own = namesIn(kitchen);
  return own ? matched(phrase, own) : matchedPlainly(phrase);
}

function matched(phrase: string, own: ReadonlyMap<string, string> | null): Match | null {
  const words = plainText(phrase)
    .replace(/\b[dl]'(?=[a-z])/g, '')
    .replace(/'s\b/g, '')
    .split(' ')
    .filter((w) => w !== '' && w !== '-')
    .slice(0, 24);
  const found = longest(words, own);
  if (found && found.odd.length === 0) return found;
  // "1 t. cinn.": a shortened word is taken for the whole one only where it is none itself
  if (words.some((w) => Object.hasOwn(shortenings, w))) {
    const whole = longest(
      words.map((w) => (byWords.has(w) ? w : (shortenings[w] ?? w))),
      own,
    );
    if (whole && (!found || whole.odd.length < found.odd.length)) return whole;
  }
  return found;
}

/** Without ingredients of the kitchen's own a phrase always names the same. */
const matchedPlainly = remembered((phrase) => matched(phrase, null));

function longest(words: readonly string[], own: ReadonlyMap<string, string> | null): Match | null {
  for (let end = words.length; end > 0; end--)
    for (let start = Math.max(0, end - MAX_WORDS); start < end; start++) {
      const said = words.slice(start, end);
      for (const form of [said.join(' '), [...said.slice(0, -1), singular(said.at(-1) ?? '')].join(' ')]) {
        const id = own?.get(form) ?? byWords.get(form);
        if (!id) continue;
        const odd = [...words.slice(0, start), ...words.slice(end)].filter(isOdd);
        // "self-rising soft wheat flour": a word that belongs to the head though others stand between
        const apart = odd.length > 0 ? across(words.slice(0, start), said.at(-1) ?? '', own) : null;
        if (apart)
          return {
            ...apart,
            odd: odd.filter((w) => !apart.words.split(' ').includes(w)),
            ...(words.slice(end).some(isOdd) && { behind: true }),
          };
        // "besan flour": the particular name before the general one says more
        const finer = odd.length > 0 && byWords.get(words.slice(0, start).filter(isOdd).join(' '));
        if (finer && roles.get(finer) === roles.get(id))
          return { id: finer, words: form, odd: words.slice(end).filter(isOdd) };
        return { id, words: form, odd, ...(words.slice(end).some(isOdd) && { behind: true }) };
      }
    }
  return null;
}

/** The name of an earlier word and the head, whatever stands between them. */
function across(before: readonly string[], head: string, own: ReadonlyMap<string, string> | null): Match | null {
  for (const w of before) {
    if (!isOdd(w)) continue;
    for (const form of [`${w} ${head}`, `${w} ${singular(head)}`]) {
      const id = own?.get(form) ?? byWords.get(form);
      if (id) return { id, words: form, odd: [] };
    }
  }
  return null;
}

let index: MiniSearch<{ key: number; words: string }> | null = null;

function search(): NonNullable<typeof index> {
  if (!index) {
    index = new MiniSearch({ idField: 'key', fields: ['words'] });
    index.addAll(catalogueNames.map(({ words }, key) => ({ key, words })));
  }
  return index;
}

const content = (phrase: string): string =>
  plainText(phrase)
    .split(' ')
    .filter((w) => w.length > 1 && !harmless.has(w))
    .join(' ');

const unique = (found: readonly { id: string; words: string }[], n: number): Match[] => {
  const out = new Map<string, Match>();
  for (const f of found) if (!out.has(f.id)) out.set(f.id, { id: f.id, words: f.words, odd: [] });
  return [...out.values()].slice(0, n);
};

/** 0–1: how much of two phrases is the same, by letters in the words that fit best. */
function likeness(said: string, name: string): number {
  const [a, b] = [said.split(' '), name.split(' ')];
  const best = (w: string, all: readonly string[]): number =>
    Math.max(0, ...all.map((x) => 1 - distance(w, x) / Math.max(w.length, x.length)).map((x) => (x < 0.6 ? 0 : x)));
  const mean = (xs: readonly number[]): number => xs.reduce((t, x) => t + x, 0) / Math.max(1, xs.length);
  return 0.5 * mean(a.map((w) => best(w, b))) + 0.5 * mean(b.map((w) => best(w, a)));
}

/** Ingredients whose names look most like a phrase, best first: for a doubt's choices, never taken silently. */
export function lookAlikes(phrase: string, n: number): Match[] {
  const words = content(phrase) || plainText(phrase);
  const found = search()
    .search(words, { fuzzy: 0.3, prefix: true, maxFuzzy: 3 })
    .slice(0, 60)
    .flatMap((r) => catalogueNames[r.id as number] ?? [])
    .filter((x) => likeness(words, x.words) > 0.34);
  return unique(
    [...found].sort((a, b) => likeness(words, b.words) - likeness(words, a.words)),
    n,
  );
}

/** Letters that may differ in a word of so many letters for it still to be a slip of the keyboard. */
const mayDiffer = (letters: number): number => (letters < 4 ? 0 : letters < 7 ? 1 : 2);

/** Whether one phrase is the other but for a slip in each word; a slip seldom takes the first letter. */
function isSlip(said: string, name: string): boolean {
  const [a, b] = [said.split(' '), name.split(' ')];
  return (
    a.length === b.length &&
    a.every((w, i) => {
      const n = b[i] ?? '';
      const off = distance(w, n);
      return off <= mayDiffer(Math.min(w.length, n.length)) && (off < 2 || w[0] === n[0]);
    })
  );
}

/**
 * The name that a phrase is a slip of the keyboard from: every word of the phrase differs by a letter, in long words by
 * two, from a word of the name. Of several the nearest. Null when nothing is that near.
 */
export function misspelt(phrase: string): Match | null {
  const words = content(phrase);
  if (words === '') return null;
  const exact = byWords.get(words);
  if (exact) return { id: exact, words, odd: [] };
  const near = search()
    .search(words, { fuzzy: 0.26, maxFuzzy: 2, combineWith: 'AND' })
    .map((r) => catalogueNames[r.id as number])
    .filter((x): x is Name => x !== undefined && isSlip(words, x.words));
  const best = [...near].sort((a, b) => distance(words, a.words) - distance(words, b.words))[0];
  return best ? { id: best.id, words: best.words, odd: [] } : null;
}

/** Ingredients of the catalogue and the kitchen's own that a baker may mean by what is typed so far, best first. */
export function findIngredients(typed: string, kitchen: Kitchen | undefined, n: number): Ingredient[] {
  const words = plainText(typed);
  if (words === '') return [];
  const own = (kitchen?.ownIngredients ?? []).filter((i) => namesOf([i]).some((x) => x.words.includes(words)));
  const ids = [exactName(typed)?.id, ...lookAlikes(typed, n).map((m) => m.id)];
  const found = ids.flatMap((id) => ingredients.find((i) => i.id === id) ?? []);
  return [...new Set([...own, ...found])].slice(0, n);
}
