import { methodsOf } from '../balance/methods.js';
import type { MixingMethod } from '../balance/families.js';
import type { Formula, Group, Item } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import type { Family } from '../balance/families.js';
import type { Totals } from '../balance/totals.js';
import { soak, stages, type Stage } from './mixing.js';

/** Where an entry of the method belongs in the work. */
export type Place = 'mix' | 'wait' | 'fill' | 'bake' | 'finish' | 'keep';

/** One entry of the baker's method with what it is about. */
export interface Matched {
  readonly text: string;
  readonly place: Place;
  /** Stages of the mixing method that it is about, in their order; none when it is not about mixing. */
  readonly stages: readonly Stage[];
  /** Ids of the lines it names, or whose group it speaks of. */
  readonly itemIds: readonly string[];
  /** Ids of lines that the reader, or the baker, hung on it besides. */
  readonly givenIds: readonly string[];
  /** Ids of lines it names beside "the rest", "most of", "keep back". */
  readonly backIds: readonly string[];
  /** Minutes it asks to wait, when it says so or says "until warm". */
  readonly waitMin: number | null;
  readonly heats: boolean;
  readonly bakes: boolean;
}

const FILLS =
  /\b(spoon|pour|scrape|spread|level|share|divide|drop|fill|pat|cut|press|shape|smooth|turn)\b[^.;]*\b(tins?|tray|hollows?|cups?|pan|skillet|rounds?|heaps?|top|thick|cases)\b/i;
const BAKES = /\bbak(e|es|ing)\b(?! powder)|\binto the oven\b/i;
const HEATS = /\b(heat|preheat)\b[^.;]*\b(oven|skillet|tin|pan)\b/i;
const KEEPS = /\b(wrap|keep|store|freeze)\b[^.;]*\b(days?|weeks?|cold|cutting|overnight)\b/i;
const NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  half: 0.5,
};
/** Minutes that "until barely warm" or "until cool" takes, from a simmer. A judgement. */
const UNTIL_WARM_MIN = 30;

/** A wait that a sentence asks for, minutes; baking and beating are no waits. */
export function waitIn(text: string): number | null {
  for (const part of text.split(/[.;]/)) {
    if (BAKES.test(part) || !/\b(leave|rest|soak|chill|stand|cool|freeze|wait)\b/i.test(part)) continue;
    if (KEEPS.test(part)) continue;
    const m =
      /(\d+(?:[.,]\d+)?|\b(?:an?|one|two|three|four|five|six|eight|ten|fifteen|twenty|thirty|forty|half an?)\b)\s*(minutes?|min|hours?|h)\b/i.exec(
        part,
      );
    if (m?.[1]) {
      const word = m[1].toLowerCase();
      const n =
        NUMBERS[word.startsWith('half') ? 'half' : word === 'an' ? 'a' : word] ?? Number(word.replace(',', '.'));
      const minutes = n * (/^h/i.test(m[2] ?? '') ? 60 : 1);
      if (Number.isFinite(minutes) && minutes > 0 && minutes <= 24 * 60) return Math.round(minutes);
    }
    if (/\buntil\b[^,]*\b(warm|cool|cold)\b/i.test(part)) return UNTIL_WARM_MIN;
    if (/\bovernight\b/i.test(part)) return 9 * 60;
  }
  return null;
}

const plainWord = (s: string): string =>
  s
    .toLowerCase()
    .replace(/ies$/, 'y')
    .replace(/(es|s)$/, '');
const wordsOf = (text: string): string[] => text.toLowerCase().split(/[^a-zà-ÿ]+/);
/** Words that say how an ingredient is, or which of its kind, but not what it is. */
const DULL = new Set(
  `plain white caster light dark brown baking fresh dried ground natural fine hard mixed neutral golden stem cold soft
  softened warm hot melted large small medium beaten whole unsalted salted room temperature and for the with plus into
  finely coarsely chopped grated diced sliced cut`.split(/\s+/),
);

/** Whether a text names an ingredient: by any of its words that is not dull. */
function names(text: ReadonlySet<string>, item: Item, name: string): boolean {
  return wordsOf(`${name} ${item.words.replace(/\(.*?\)|,.*$/g, '')}`)
    .filter((w) => w.length > 2 && !DULL.has(w))
    .some((w) => text.has(plainWord(w)));
}

/** What only says how warm things are to be, and a spoonful taken from a line that goes in elsewhere. */
const ASIDE =
  /\b(have|let)\b[^.;]*\b(room temperature|at \d+ ?°)[^.;]*|\ba (spoon|spoonful|little|handful) of (the )?\w+/gi;
const BACK =
  /\b(keep back|hold back|kept back|held back|reserved?|set aside|most of|all but|rest of|remaining|half of)\b/i;
const plainly = (text: string): string => (BACK.test(text) ? text : text.replace(ASIDE, ' '));

/** Which whole group a text speaks of. */
function groupsIn(text: string, groups: readonly Group[]): readonly Group[] {
  const all = /\b(mix|stir|beat|whisk|put|tip)\b[^.;]*\b(everything|all the)\b/i.test(text);
  const dry = /\bdry\b/i.test(text);
  const wet = /\bwet\b/i.test(text);
  // a role says what a group is; only without one does its name
  const plain = (g: Group): boolean => g.role === undefined || g.role === 'batter';
  return groups.filter(
    (g) =>
      (dry && (g.role === 'dry' || (plain(g) && /^(the )?dry/i.test(g.name)))) ||
      (wet && (g.role === 'wet' || (plain(g) && /^(the )?wet/i.test(g.name)))) ||
      (all && !dry && g.role !== 'top' && g.role !== 'icing' && !/fold|top|soak/i.test(g.name)),
  );
}

/**
 * An entry in the pieces that are done one after another: a sentence with work of its own begins a new one, a remark stays
 * with what it is about. One paragraph of a whole method so becomes steps.
 */
function piecesOf(text: string, list: readonly Stage[]): string[] {
  const works = (s: string): boolean =>
    [soak, ...list].some((x) => x.says.test(s)) || FILLS.test(s) || BAKES.test(s) || KEEPS.test(s) || HEATS.test(s);
  const out: string[] = [];
  for (const sentence of text.split(/(?<=[.!?])\s+(?=[A-Z0-9])/)) {
    const last = out.at(-1);
    if (last === undefined || (works(sentence) && works(last))) out.push(sentence);
    else out[out.length - 1] = `${last} ${sentence}`;
  }
  return out;
}

/**
 * The baker's method, piece by piece, against the stages of the way it is mixed. Each line that goes in is sought by the
 * ids the reader found, by its name, and by the group the text speaks of ("the dry things").
 */
export function matchMethod(
  formula: Formula,
  lines: readonly Line[],
  totals: Totals,
  family: Family,
): { readonly method: MixingMethod; readonly entries: readonly Matched[] } {
  const { chosen } = methodsOf(formula, lines, totals, family);
  const list = stages[chosen];
  const roles = new Map(formula.groups.flatMap((g) => g.items.map((i) => [i.id, g.role ?? 'batter'] as const)));
  let reached = 0;
  let baked = false;
  const pieces = formula.method.flatMap((m) => piecesOf(m.text, list).map((text) => ({ text, itemIds: m.itemIds })));
  const entries = pieces.map((m): Matched => {
    const text = plainly(m.text);
    const named = (t: string): Line[] => {
      const words = new Set(wordsOf(t).map(plainWord));
      return lines.filter((l) => names(words, l.item, l.ingredient.name));
    };
    const said = groupsIn(text, formula.groups).flatMap((g) => g.items);
    const byName = named(text);
    const items = lines.filter((l) => said.includes(l.item) || byName.includes(l)).map((l) => l.item.id);
    const back = m.text.split(/[.;,]/).flatMap((part) => (BACK.test(part) ? [part.slice(part.search(BACK))] : []));
    const found = list.filter((s) => s.says.test(text));
    // a stage that was passed is not come back to, unless the words fit no other
    const ahead = found.filter((s) => list.indexOf(s) >= reached);
    const hits = ahead.length > 0 ? ahead : found;
    // "fold in" is also how the dry things go in
    const folds = byName.some((l) => roles.get(l.item.id) === 'fold-in');
    const own = hits.filter((s) => s.id !== 'fold' || folds || hits.length === 1);
    const heats = HEATS.test(m.text) && items.length === 0 && !baked;
    const these = heats ? [] : soak.says.test(m.text) ? [soak] : own;
    // additions may go in anywhere, so that they do not say how far it is
    reached = Math.max(reached, ...these.map((s) => (s.id === 'fold' ? 0 : list.indexOf(s))));
    const [fills, bakes, keeps, waitMin] = [FILLS.test(m.text), BAKES.test(m.text), KEEPS.test(m.text), waitIn(m.text)];
    // what comes after the bake and is no mixing is finishing; what fits nowhere is said where it stands
    const place =
      these.length > 0 && !baked
        ? 'mix'
        : fills && !baked
          ? 'fill'
          : bakes
            ? 'bake'
            : keeps
              ? 'keep'
              : baked
                ? 'finish'
                : waitMin !== null && items.length === 0
                  ? 'wait'
                  : 'mix';
    baked ||= bakes;
    return {
      text: m.text,
      place,
      stages: these,
      itemIds: items,
      givenIds: m.itemIds,
      backIds: back.flatMap(named).map((l) => l.item.id),
      waitMin,
      heats,
      bakes,
    };
  });
  return { method: chosen, entries };
}
