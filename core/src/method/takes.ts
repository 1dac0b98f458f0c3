import { isBatter } from '../formula/formula.js';
import type { Group, Item } from '../formula/types.js';
import type { Phased } from './phases.js';
import type { Named, Things } from './things.js';
import type { Share, Take } from './types.js';
import type { VerbId } from './verbs.js';

/** Verbs that only get a thing ready, or hold it back: it goes in elsewhere. */
const prepares: ReadonlySet<VerbId> = new Set<VerbId>([
  'heat', 'grease', 'line', 'take from the cold', 'chop', 'grate', 'mash', 'peel', 'squeeze', 'toast', 'weigh', 'keep back', 'drain',
  'test', 'turn', 'swap', 'bake', 'put in', 'take out', 'lower', 'raise', 'switch off', 'unmould', 'loosen', 'move', 'slice', 'cover', 'uncover', 'well', 'keep', 'serve', 'make', 'rest', 'chill', 'cool', 'freeze', 'set', 'wrap',
]); // prettier-ignore
/** In these a thing that goes in later is only made ready, unless nothing later names it. */
const gently: ReadonlySet<VerbId> = new Set<VerbId>([
  'soak',
  'melt',
  'warm',
  'boil',
  'simmer',
  'fry',
  'toss',
  'sift',
  'mash',
  'toast',
]);

/** The sign by which it is done names what is in already: "until no flour shows", "till the butter has melted". */
const signs = /\b(?:until|till|'til)\b[^,;.]*?(?=\s+(?:with|in|into)\s+(?:the|a|your)\b|[,;.]|$)/gi;
/** A clause's words without its verb, which may be a thing's name elsewhere ("cream", "flour"), and without its sign. */
const worded = (p: Phased): string => {
  const { text, verbFrom, verbTo } = p.d.clause;
  const bare = `${text.slice(0, verbFrom)}${' '.repeat(verbTo - verbFrom)}${text.slice(verbTo)}`;
  return bare.replace(signs, (m) => ' '.repeat(m.length));
};

/** What is kept back of a thing where its part is not said: so much of it is still there. A judgement; it is shown in words. */
const KEPT = 0.1;
const value = (s: Share, left: number, later: boolean, kept: boolean): number =>
  typeof s === 'number' ? Math.min(s, left) : s === 'some' && later ? 0.5 * left : s === 'rest' && kept ? (1 - KEPT) * left : left; // prettier-ignore

const DRY = new Set(['flour', 'leavener', 'salt', 'cocoa', 'flavour']);

/** Where each line is named by what it is called: how well at best and where, and where last. */
interface Naming {
  readonly level: number;
  readonly at: number;
  readonly last: number;
}

function namings(list: readonly Phased[], things: Things): ReadonlyMap<string, Naming> {
  const out = new Map<string, Naming>();
  list.forEach((p, i) => {
    if (prepares.has(p.d.verb)) return;
    for (const n of things.all(worded(p))) {
      const had = out.get(n.itemId);
      const better = n.level > (had?.level ?? 0);
      out.set(n.itemId, {
        level: better ? n.level : (had?.level ?? 0),
        at: better ? i : (had?.at ?? i),
        // "some sugar on top" is not where the sugar goes in
        last: n.itself && n.share !== 'some' ? i : (had?.last ?? -1),
      });
    }
  });
  return out;
}

/** Done outside the batter: once it is out, or beside the oven. */
const isOutside = (p: Phased): boolean =>
  p.phase === 'after' || p.phase === 'later' || (p.phase === 'oven' && p.meanwhile);

/** "Keep back a spoonful of egg and milk. Mix the rest in": the rest, without a name, of what is kept back just before. */
function restOfKept(list: readonly Phased[], i: number, things: Things): Named[] {
  const p = list[i];
  const kept = list[i - 1];
  if (!p || kept?.d.verb !== 'keep back' || !/\bthe (?:rest|remainder)\b(?!\s+of)/i.test(p.d.clause.text)) return [];
  if (things.all(worded(p)).some((n) => n.itself)) return [];
  return things
    .all(worded(kept))
    .filter((n) => n.itself)
    .map((n) => ({ ...n, share: 'rest' }));
}

/**
 * What goes in at each operation. A line goes in where it is first named by what it is called, or as one of its kind ("the dry
 * things"); once it is all in, naming it again speaks of what it has become. Shares of a line add to one.
 */
export function takesOf(
  list: readonly Phased[],
  things: Things,
  given: (entry: number) => readonly string[],
): Take[][] {
  const left = new Map(things.items.map(({ item }) => [item.id, 1]));
  const known = new Map(things.items.map((k) => [k.item.id, k]));
  const takes: Take[][] = list.map(() => []);
  const named = namings(list, things);
  /** Of two sugars the one that is called by its name later waits for that; so does what is only hinted at here. */
  const waits = (n: Named, at: number): boolean => {
    const best = named.get(n.itemId);
    return best !== undefined && best.at > at && best.level > n.level + 0.01;
  };
  const fits = (n: Named, at: number, all: readonly Named[]): boolean =>
    !waits(n, at) ||
    (n.level >= 0.9 && !all.some((x) => x !== n && x.token === n.token && x.token >= 0 && !waits(x, at)));
  let section: Group | null = null;
  let sentence = '';
  list.forEach((p, i) => {
    const { clause, verb } = p.d;
    const key = `${clause.entry}:${clause.sentence}`;
    const group = things.groupIn(`${clause.lead} ${clause.text}`);
    if (group) section = group;
    else if (key !== sentence && /\bfor the (?:batter|cake|muffins|loaf|scones|base|dough|sponge)\b/i.test(clause.text))
      section = null;
    sentence = key;
    if (prepares.has(verb)) return;
    const outside = isOutside(p);
    const prefer = ({ item, group: g }: { item: Item; group: Group }): boolean => {
      if ((left.get(item.id) ?? 0) <= 0.001) return false;
      if (section !== null && (group === section || outside)) return g === section || (outside && !isBatter(g));
      return outside ? !isBatter(g) : isBatter(g);
    };
    const found = [...things.in(worded(p), prefer), ...restOfKept(list, i, things)];
    // outside the batter a thing of the batter is meant only where no other can be
    const alone = outside ? new Set(things.alone(worded(p)).map((n) => n.itemId)) : null;
    const wanted = found.filter((n) => fits(n, i, found));
    const whole: Named[] =
      group && /\bingredients\b|\beverything\b|\ball\b/i.test(clause.text)
        ? group.items.map((x) => ({ itemId: x.id, share: 1, itself: true, level: 1, token: -1 }))
        : [];
    for (const n of [...wanted, ...whole.filter((w) => !wanted.some((x) => x.itemId === w.itemId))]) {
      const has = left.get(n.itemId) ?? 0;
      const own = known.get(n.itemId);
      if (has <= 0.001 || !own) continue;
      if (alone && isBatter(own.group) && !alone.has(n.itemId)) continue;
      const goesInLater = (named.get(n.itemId)?.last ?? -1) > i;
      const { role } = own.group;
      // an icing's things named before the oven are of the batter's kind: they wait for their own place
      const elsewhere =
        !isBatter(own.group) && role !== 'top' && role !== 'filling' && !outside && section !== own.group;
      if (elsewhere && goesInLater) continue;
      const kindOnly = (goesInLater && (!DRY.has(own.ingredient.role) || own.ingredient.role === 'flavour')) || role === 'fold-in'; // prettier-ignore
      if (!n.itself && kindOnly) continue;
      if (gently.has(verb) && n.share === 'some' && goesInLater) continue;
      const kept = (n.share === 'rest' || n.share === 1) && list.slice(i + 1).some((q) => !prepares.has(q.d.verb) && things.all(worded(q)).some((x) => x.itemId === n.itemId && (x.share === 'kept back' || x.share === 'rest'))); // prettier-ignore
      // "beat the egg into the milk … brush with what is left of the milk"
      const part = kept && n.share === 1 ? (1 - KEPT) * has : value(n.share, has, goesInLater, kept);
      const inWords = typeof n.share !== 'number';
      // how much of it is left is not said: so much as some
      const most = kept && n.share === 1;
      const share: Share = most
        ? 'some'
        : inWords
          ? n.share
          : n.share === 1 && has < 0.999
            ? 'rest'
            : Math.round(1000 * part) / 1000;
      takes[i]?.push({ itemId: n.itemId, share });
      left.set(n.itemId, has - part);
    }
  });
  settleRests(takes, left);
  leftOvers(list, things, takes, left, given);
  return takes;
}

/** What was to be "the rest" and is the first that is said of a line is all of it; what is left of a line goes in last. */
function settleRests(takes: Take[][], left: Map<string, number>): void {
  const all = new Map<string, { at: number; n: number }[]>();
  takes.forEach((list, at) => list.forEach((t, n) => all.set(t.itemId, [...(all.get(t.itemId) ?? []), { at, n }])));
  for (const [id, places] of all) {
    const over = left.get(id) ?? 0;
    const [only] = places;
    if (places.length === 1 && only) {
      (takes[only.at] as Take[])[only.n] = { itemId: id, share: 1 };
      left.set(id, 0);
    } else if (over > 0.001) {
      const end = places.at(-1) as { at: number; n: number };
      (takes[end.at] as Take[])[end.n] = { itemId: id, share: 'rest' };
      left.set(id, 0);
    }
  }
}

/** Where a group apart from the batter is put to use, by phase and verb, when no words name it. */
const goesOn: Readonly<Record<string, RegExp>> = {
  soak: /^after (?:pour|brush|drizzle)/,
  icing: /^after (?:spread|frost|drizzle|top|pour)/,
  filling: /^(?:after (?:sandwich|spread|fill)|shape (?:layer|spread))/,
  top: /^(?:shape|oven|after) (?:sprinkle|top|layer|dust)/,
};

/** Lines that no words name go where their kind goes. */
function leftOvers(
  list: readonly Phased[],
  things: Things,
  takes: Take[][],
  left: Map<string, number>,
  given: (entry: number) => readonly string[],
): void {
  const of = (i: number): readonly string[] => (takes[i] ?? []).map((t) => t.itemId);
  const known = new Map(things.items.map((k) => [k.item.id, k]));
  for (const k of things.items) {
    if ((left.get(k.item.id) ?? 0) <= 0.999) continue;
    const works = (p: Phased): boolean =>
      !prepares.has(p.d.verb) && (p.phase === 'mix' || p.phase === 'ahead' || p.phase === 'shape');
    const same = (want: (x: typeof k) => boolean): number =>
      list.findIndex((p, i) => (works(p) || !isBatter(k.group)) && of(i).some((id) => want(known.get(id) as typeof k)));
    let at = -1;
    if (!isBatter(k.group)) {
      at = same((x) => x.group === k.group);
      if (at < 0) at = list.findIndex((p) => !prepares.has(p.d.verb) && things.groupIn(p.d.clause.text) === k.group);
      if (at < 0)
        at = list.findIndex(
          (p) =>
            goesOn[k.group.role ?? '']?.test(`${p.phase} ${p.d.verb}`) === true &&
            (takes[list.indexOf(p)] ?? []).length === 0,
        );
    } else {
      const hinted = list.findIndex(
        (p) =>
          works(p) &&
          given(p.d.clause.entry).includes(k.item.id) &&
          list.filter((q) => q.d.clause.entry === p.d.clause.entry && works(q)).length <= 2,
      );
      at = hinted;
      if (at < 0 && DRY.has(k.ingredient.role)) at = same((x) => x.ingredient.base === 'flour' && isBatter(x.group));
      if (at < 0) at = same((x) => x.group === k.group && x.ingredient.role === k.ingredient.role);
      if (at < 0 && k.group.role !== undefined && k.group.role !== 'batter') at = same((x) => x.group === k.group);
      if (at < 0) at = same((x) => x.ingredient.role === 'egg');
      if (at < 0) at = list.findLastIndex((p) => works(p) && p.phase === 'mix' && p.d.verb !== 'rest');
    }
    if (at < 0) continue;
    takes[at]?.push({ itemId: k.item.id, share: 1 });
    left.set(k.item.id, 0);
  }
}
