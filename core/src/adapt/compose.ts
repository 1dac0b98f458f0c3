import { asMeasured } from '../quantity/amount.js';
import { massUnit, wholeMassIn } from '../quantity/figures.js';
import { families, familyOf } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import type { FamilyId, Formula, Ingredient, Kitchen, TinUse } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { dietsOf } from '../ingredient/diet.js';
import { defaultKitchen } from '../kitchen/default.js';
import { batterForTins } from '../scale/scale.js';
import { bowlOf } from './bowl.js';
import { formulaOf, roundedTo, type ComposeWishes } from './draft.js';
import { methodText } from './method-text.js';
import { proposalOf, shortName } from './proposal.js';
import { conflict } from './faults.js';
import { limitsOf } from './settings.js';
import { replacements } from './replacements.js';
import { search } from './search.js';
import { partsFor, type Part } from './parts.js';
import { skeletons } from './table/skeletons.js';
import { solverOf } from './solver.js';
import { withGum } from './substitute.js';
import { isConflict, type AdaptOptions, type Conflict, type Proposal, type Request, type Wish } from './types.js';
import { inStock, isMet, pinned, shortOf, wishWords } from './wishes.js';
import { capital } from '../text/plain.js';

export type { ComposeWishes };

/** Batter for one tin, or for so many pieces, when nothing says how much, g. */
const USUAL_BATTER_G = 900;

/**
 * A new formula from a family and wishes: the family's plain ratios, with what it is to taste of in the place that each
 * takes, made to suit diet and stock, then balanced and rounded by the search, with a method written for it.
 *
 * @returns one proposal, whose formula is the new one; a conflict in words when the wishes cannot be had together
 */
export async function compose(
  wishes: ComposeWishes,
  kitchen: Kitchen = defaultKitchen,
  options: AdaptOptions = {},
): Promise<Proposal[] | Conflict> {
  if (wishes.family === 'free' || !families.some((f) => f.id === wishes.family))
    return conflict(
      'no-family',
      wishes.family === 'free'
        ? 'A new formula needs a family to begin from.'
        : `There is no family "${String(wishes.family)}".`,
    );
  const family = familyOf(wishes.family);
  const find = (id: string): Ingredient => ingredientOf(id, undefined, kitchen);
  const unknown = (wishes.flavours ?? []).filter((id) => find(id).id === 'unknown');
  if (unknown.length > 0)
    return conflict(
      'wishes',
      `Nobody knows ${unknown.map((u) => `"${u}"`).join(' and ')} here. Add it to the Larder first, or choose another.`,
    );
  const suits = wishes.suits ?? [];
  const wished = [...new Set(wishes.flavours ?? [])].map(find);
  const against = wished.filter((i) => !suits.every((d) => dietsOf(i).includes(d)));
  if (against.length > 0)
    return conflict(
      'wishes',
      `These cannot be had together: ${against.map(shortName).join(', ')}; and ${suits.join(', ')}.`,
      [
        { index: null, words: `${against.map(shortName).join(', ')} in it` },
        { index: null, words: suits.join(', ') },
      ],
    );

  if (wishes.stock) {
    const away = wished.filter((i) => !inStock(i, kitchen)).map(shortName);
    if (away.length > 0)
      return conflict('wishes', `There is no ${away.join(', ')} in stock.`, [
        { index: null, words: `${away.join(', ')} in it` },
        { index: null, words: STOCK_ONLY },
      ]);
  }
  const parts = settled(partsFor(family, skeletons[wishes.family], wished, find), wishes, kitchen, find);
  const missing = parts.missing;
  if (missing.length > 0)
    return conflict('wishes', `There is no ${missing.join(', ')} in stock, and nothing there to take its place.`, [
      { index: null, words: STOCK_ONLY },
    ]);
  const placeless = wished.filter((i) => !parts.list.some((p) => p.ingredient.id === i.id));
  if (placeless.length > 0) {
    const names = placeless.map(shortName).join(', ');
    const flavours = (wishes.flavours ?? []).filter((id) => !placeless.some((i) => i.id === id));
    const rest = await compose({ ...wishes, flavours }, kitchen, options);
    return conflict(
      'wishes',
      `${capital(names)} has no place of its own in ${family.plural}. It can be put in by hand, on the Bench.`,
      [{ index: null, words: `${names} in it` }],
      isConflict(rest) ? rest.nearest : (rest[0] ?? null),
    );
  }

  const tins = tinsFor(wishes, kitchen);
  const skeleton = skeletons[wishes.family];
  const rough = formulaOf({ ...wishes, tins }, family, parts.list, kitchen, 300);
  const gummed = suits.includes('gluten-free') ? withGum(rough, kitchen) : rough;
  const batterG =
    wishes.batterG ??
    (wishes.pieces
      ? wishes.pieces * skeleton.pieceG
      : tins.length > 0
        ? batterForTins({ ...gummed, tins: [] }, tins, kitchen)
        : USUAL_BATTER_G);
  if (!(batterG >= 50 && batterG <= 50_000))
    return conflict(
      'wishes',
      `${wholeMassIn(kitchen.display, batterG)} of batter is no batch for a kitchen. Choose other tins, or fewer pieces.`,
    );
  const now = weigh(gummed, kitchen).totals.batterG;
  const start = roundedTo(gummed, batterG / now, batterG, kitchen, wishes.flavours ?? []);

  const stock: Wish[] = wishes.stock ? [{ kind: 'stock' }] : [];
  const texture = (wishes.texture ?? []).map((t): Wish => ({ kind: 'texture', ...t }));
  // an acid moves freely, but one that was wished for is to be tasted
  const kept = wished
    .filter((i) => i.role === 'acid')
    .map((i): Wish => ({ kind: 'amount', itemId: i.id, minG: 0.3 * (gramsOf(start, i.id) ?? 0) }));
  const request: Request = pinned(
    start,
    { wishes: [...texture, ...stock, ...kept, { kind: 'batter', grams: batterG, withinPct: 7 }] },
    kitchen,
  );
  const solver = await solverOf(options);
  const limits = limitsOf(options);
  // its amounts are nobody's yet: any may move, but its character is the family's plain one
  const weights = { stray: 400, touch: 0.5, change: 0.6, character: 5 };
  const terms = { wishes: request.wishes ?? [], weights };
  const bowl = { ...bowlOf(start, { ...request, wishes: [] }, kitchen, []), request };
  const found = search(bowl, terms, solver, limits);
  if (found.kind === 'limit')
    return conflict(
      'limit',
      `The search was stopped after ${limits.maxNodes} steps before it found anything that holds.`,
    );
  if (found.kind === 'infeasible' || !found.met) {
    const near = search(bowl, { ...terms, bending: 60 }, solver, limits);
    if (near.kind !== 'found')
      return conflict('wishes', `That cannot be had all together in ${family.plural}: ask for less at once.`);
    const short = shortOf(near.formula, kitchen).map((x) => shortName(find(x.ingredient)));
    // what the nearest has to leave unmet is what stands in the way
    const unmet = (request.wishes ?? []).filter((w) => !isMet(w, near.formula, near.weighed, kitchen, start));
    const remedies = [
      ...(wishes.stock && short.length > 0 ? [`there is not enough ${short.join(', ')} in stock`] : []),
      ...(unmet.some((w) => w.kind === 'trait') ? ['ask for less of a texture'] : []),
      ...(unmet.some((w) => w.kind === 'batter') ? ['choose another amount of batter'] : []),
    ];
    return conflict(
      'wishes',
      `That cannot be had all together in ${family.plural}: ${remedies.join(', and ') || 'ask for less at once'}.`,
      unmet.map((w) => ({ index: null, words: w.kind === 'stock' ? STOCK_ONLY : wishWords(w, start, kitchen) })),
      finished(near.formula, start, { ...wishes, tins }, kitchen, bowl, near, request),
    );
  }
  return [finished(found.formula, start, { ...wishes, tins }, kitchen, bowl, found, request)];
}

const STOCK_ONLY = 'nothing but what is in stock';
const gramsOf = (f: Formula, id: string): number | undefined =>
  f.groups.flatMap((g) => g.items).find((i) => i.id === id)?.grams;

/** The tins that were wished for, or else one of the kitchen's that suits the family. */
function tinsFor(wishes: ComposeWishes, kitchen: Kitchen): readonly TinUse[] {
  if (wishes.tins && wishes.tins.length > 0) return wishes.tins;
  for (const shape of familyOf(wishes.family).bakedIn) {
    const tin = kitchen.tins.find((t) => t.shape === shape && !/mini/i.test(t.name));
    if (tin) return [{ tin, count: 1 }];
  }
  return [];
}

/** Each part as diet and stock allow it; what has no stand-in there is missing, unless it only flavours. */
function settled(
  parts: readonly Part[],
  wishes: ComposeWishes,
  kitchen: Kitchen,
  find: (id: string) => Ingredient,
): { list: readonly Part[]; missing: readonly string[] } {
  const suits = wishes.suits ?? [];
  const fits = (i: Ingredient): boolean =>
    suits.every((d) => dietsOf(i).includes(d)) && (!wishes.stock || inStock(i, kitchen));
  const missing: string[] = [];
  const list = parts.flatMap((p): Part[] => {
    if (fits(p.ingredient)) return [p];
    const probe = formulaOf({ ...wishes, flavours: [] }, familyOf(wishes.family), parts, kitchen, 300);
    const item = probe.groups.flatMap((g) => g.items).find((i) => i.ingredient === p.ingredient.id);
    const other = item
      ? replacements(probe, item.id, kitchen, suits).find(
          (r) => !r.state && fits(find(r.ingredient)) && (r.most === null || r.most > 0.7 || p.pct < 30),
        )
      : undefined;
    if (!other || !item) {
      if (p.ingredient.role !== 'flavour' && p.ingredient.role !== 'leavener' && p.ingredient.role !== 'salt')
        missing.push(shortName(p.ingredient));
      return [];
    }
    const to = find(other.ingredient);
    // what stands in for egg goes in where it belongs itself
    const group = p.group === 'egg' && to.role !== 'egg' ? (to.per100.water > 40 ? 'wet' : 'dry') : p.group;
    return [{ ...p, group, ingredient: to, pct: (p.pct * other.grams) / Math.max(0.01, item.grams) }];
  });
  const merged = new Map<string, Part>();
  for (const p of list) {
    const had = merged.get(p.ingredient.id);
    merged.set(p.ingredient.id, had ? { ...had, pct: had.pct + p.pct } : p);
  }
  return { list: [...merged.values()], missing };
}

/** Method, yield and words for the finished formula. */
function finished(
  made: Formula,
  start: Formula,
  wishes: ComposeWishes,
  kitchen: Kitchen,
  bowl: Parameters<typeof proposalOf>[2],
  found: Parameters<typeof proposalOf>[3],
  request: Request,
): Proposal {
  const w = weigh(made, kitchen);
  const s = skeletons[wishes.family as Exclude<FamilyId, 'free'>];
  const tins = wishes.tins ?? [];
  const best =
    w.family.methods.find((m) => w.methods.fits.some((f) => f.method === m && f.fit !== 'poor')) ??
    w.methods.fits[0]?.method ??
    'one-bowl';
  const cups = tins.reduce(
    (n, u) => n + (u.tin.shape === 'cup' || u.tin.shape === 'slab' ? (u.tin.cups ?? 1) * u.count : 0),
    0,
  );
  const pieces = wishes.pieces ?? (cups > 0 ? cups : Math.max(1, Math.round(w.totals.batterG / s.pieceG)));
  const words = made.groups.map((g) => ({
    ...g,
    items: g.items.map((i) => ({
      ...i,
      words: `${massUnit(kitchen.display) === 'oz' ? asMeasured(i.grams, ingredientOf(i.ingredient, undefined, kitchen), kitchen.measures) : `${i.grams} g`} ${shortName(ingredientOf(i.ingredient, undefined, kitchen))}`,
    })),
  }));
  const formula: Formula = {
    ...made,
    groups: words,
    method: methodText(made, w, best, tins, kitchen),
    yield: { pieces, name: s.piece },
  };
  const proposal = proposalOf('new', start, bowl, { ...found, formula }, request, { title: formula.title });
  return {
    ...proposal,
    words: `${formula.title}: ${wholeMassIn(kitchen.display, w.totals.batterG)} of batter, ${pieces} ${s.piece}; ${proposal.after.words}`,
    // a new formula has nothing to change from
    lines: [],
    changes: [],
  };
}
