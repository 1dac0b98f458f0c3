import type { Formula, Kitchen } from '../formula/types.js';
import { aFamily } from '../balance/families.js';
import { bowlOf, type Bowl } from './bowl.js';
import type { Limits, Solver } from './linear.js';
import { distances, type BandRow } from './model.js';
import { feasible } from './search.js';
import type { NamedWish, Request, Wish } from './types.js';
import { stockLimits, wishWords } from './wishes.js';

/** Something that must hold: a wish, a lock, what is in stock, or one of the family's bands. */
interface Member {
  readonly named: NamedWish;
  readonly wish: Wish;
  readonly band?: BandRow['id'];
}

const bandWords: Readonly<Record<BandRow['id'], (family: string) => string>> = {
  fat: (f) => `as much fat as ${f} has`,
  sugar: (f) => `as much sugar as ${f} has`,
  egg: (f) => `as much egg as ${f} has`,
  water: (f) => `as wet as ${f} is`,
  salt: (f) => `no saltier than ${f} is`,
  lift: (f) => `lift for ${f}`,
  beam: (f) => `structure and tenderness in balance for ${f}`,
  soda: () => 'soda that its acid can meet',
};

const BANDS = Object.keys(bandWords) as BandRow['id'][];
const FREE = { stray: 0, touch: 0, change: 0, character: 0 };

/** Everything that a request wants to hold at once. */
function membersOf(whole: Bowl, request: Request, familyName: string): Member[] {
  const { formula, kitchen } = whole;
  const wishes = request.wishes ?? [];
  return [
    ...wishes.map((wish, index): Member => ({
      wish,
      named: {
        index,
        words: wishWords(wish, formula, kitchen),
        ...((wish.kind === 'hold' || wish.kind === 'amount') && { itemId: wish.itemId }),
      },
    })),
    ...(request.locked ?? []).map((itemId): Member => {
      const wish: Wish = { kind: 'hold', itemId };
      return { wish, named: { index: null, itemId, words: wishWords(wish, formula, kitchen) } };
    }),
    ...stockLimits(whole, wishes).map((wish): Member => ({
      wish,
      named: { index: null, words: wishWords(wish, formula, kitchen) },
    })),
    ...(familyName === ''
      ? []
      : BANDS.map((band): Member => ({
          wish: { kind: 'hold', itemId: '' },
          band,
          named: { index: null, band, words: bandWords[band](familyName) },
        }))),
  ];
}

/**
 * The smallest set of wishes, locks, stocks and bands of the family that cannot hold together, found by leaving members out one
 * by one and then looking for a smaller set; and further sets, as long as what is left is still impossible.
 *
 * @param reach how far outside each band may be; bands that are further out already are no wish
 */
export function conflictOf(
  formula: Formula,
  request: Request,
  kitchen: Kitchen,
  solver: Solver,
  limits: Limits,
): readonly NamedWish[] {
  const whole = bowlOf(formula, request, kitchen, request.wishes ?? []);
  const family = whole.family;
  const members = membersOf(whole, request, family.id === 'free' ? '' : aFamily(family));
  const outside = distances(whole);

  const possible = (set: readonly Member[]): boolean => {
    const wishes = set.filter((m) => m.band === undefined).map((m) => m.wish);
    const bowl = bowlOf(formula, { ...request, locked: [] }, kitchen, wishes);
    const bandLimit = new Map(
      set.flatMap((m) => (m.band ? [[m.band, (outside.get(m.band) ?? 0) + 1e-4] as const] : [])),
    );
    return feasible(bowl, { wishes, weights: FREE, bandLimit }, solver, { ...limits, gap: 1 });
  };

  const out: Member[] = [];
  let left = members;
  for (let round = 0; round < 3 && !possible(left); round++) {
    const core = smallest(left, possible);
    out.push(...core);
    left = left.filter((m) => !core.includes(m));
  }
  return out.map((m) => m.named);
}

function smallest(members: readonly Member[], possible: (set: readonly Member[]) => boolean): Member[] {
  // what the family expects goes first, then locks, so that the baker's own wishes are named where they are the cause
  const order = [...members].sort((a, b) => rank(b) - rank(a));
  let core = order;
  for (const m of order) {
    const without = core.filter((x) => x !== m);
    if (!possible(without)) core = without;
  }
  if (core.length <= 2) return core;
  for (const a of members)
    for (const b of members) {
      if (members.indexOf(b) < members.indexOf(a)) continue;
      const pair = a === b ? [a] : [a, b];
      if (!possible(pair)) return pair;
    }
  return core;
}
const rank = (m: Member): number => (m.band ? 2 : m.named.index === null ? 1 : 0);
