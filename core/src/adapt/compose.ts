import { families, familyOf, type Family } from '../balance/families.js';
import { weigh } from '../balance/weigh.js';
import type { FamilyId, Formula, Group, Ingredient, Item, Kitchen, TinShape, TinUse } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { dietsOf, type Diet } from '../ingredient/diet.js';
import { defaultKitchen } from '../kitchen/default.js';
import { batterForTins } from '../scale/scale.js';
import { bowlOf } from './bowl.js';
import { methodText } from './method-text.js';
import { capital, proposalOf, shortName } from './proposal.js';
import { conflict, limitsOf } from './rebalance.js';
import { replacements } from './replacements.js';
import { search } from './search.js';
import { flavourPct, skeletons, type Skeleton } from './skeletons.js';
import { solverOf } from './solver.js';
import { isBread, jobOf, standIns } from './stand-ins.js';
import { onStep } from './steps.js';
import { withGum } from './substitute.js';
import type { AdaptOptions, Conflict, Proposal, Request, TraitId, Wish } from './types.js';
import { pinned } from './wishes.js';

/** What a new formula should be. */
export interface ComposeWishes {
  readonly family: FamilyId;
  /** Ingredients that it is to taste of: catalogue ids, or own ones. */
  readonly flavours?: readonly string[];
  /** The crumb wanted, against the family's middle. */
  readonly texture?: readonly { readonly trait: TraitId; readonly by: number }[];
  readonly tins?: readonly TinUse[];
  readonly pieces?: number;
  readonly batterG?: number;
  /** Only from what the kitchen has in stock. */
  readonly stock?: boolean;
  readonly suits?: readonly Diet[];
  readonly title?: string;
}

/** Batter for one tin, or for so many pieces, when nothing says how much, g. */
const USUAL_BATTER_G = 900;

interface Part {
  readonly ingredient: Ingredient;
  readonly pct: number;
  readonly group: 'dry' | 'wet' | 'fold-in' | 'fat-sugar' | 'egg';
}

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
  const against = (wishes.flavours ?? []).map(find).filter((i) => !suits.every((d) => dietsOf(i).includes(d)));
  if (against.length > 0)
    return conflict(
      'wishes',
      `These cannot be had together: ${against.map(shortName).join(', ')}; and ${suits.join(', ')}.`,
      [
        { index: null, words: `${against.map(shortName).join(', ')} in it` },
        { index: null, words: suits.join(', ') },
      ],
    );

  const parts = settled(
    partsFor(family, skeletons[wishes.family], (wishes.flavours ?? []).map(find), find),
    wishes,
    kitchen,
    find,
  );
  const missing = parts.missing;
  if (missing.length > 0)
    return conflict('wishes', `There is no ${missing.join(', ')} in stock, and nothing there to take its place.`, [
      { index: null, words: 'nothing but what is in stock' },
    ]);

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
      `${Math.round(batterG)} g of batter is no batch for a kitchen. Choose other tins, or fewer pieces.`,
    );
  const now = weigh(gummed, kitchen).totals.batterG;
  const start = roundedTo(gummed, batterG / now, batterG, kitchen);

  const stock: Wish[] = wishes.stock ? [{ kind: 'stock' }] : [];
  const texture = (wishes.texture ?? []).map((t): Wish => ({ kind: 'texture', ...t }));
  const request: Request = pinned(
    start,
    { wishes: [...texture, ...stock, { kind: 'batter', grams: batterG, withinPct: 7 }] },
    kitchen,
  );
  const solver = await solverOf(options);
  const limits = limitsOf(options);
  // its amounts are nobody's yet: any may move, but its character is the family's plain one
  const weights = { merit: 400, touch: 0.5, change: 0.6, character: 5 };
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
    const asked = [...texture, ...stock];
    return conflict(
      'wishes',
      `That cannot be had all together in ${family.plural}: ${(wishes.texture ?? []).length > 0 ? 'ask for less of a texture' : 'something is short in stock'}.`,
      asked.map((_, index) => ({
        index,
        words: index < texture.length ? 'the texture' : 'nothing but what is in stock',
      })),
      near.kind === 'found' ? finished(near.formula, start, { ...wishes, tins }, kitchen, bowl, near, request) : null,
    );
  }
  return [finished(found.formula, start, { ...wishes, tins }, kitchen, bowl, found, request)];
}

/** The shape of tin that each family is usually baked in, in the order of liking. */
const SHAPES: Readonly<Record<string, readonly TinShape[]>> = {
  muffin: ['cup'],
  biscuit: ['slab'],
  scone: ['slab'],
  'drop-biscuit': ['mound'],
  'soda-bread': ['mound'],
  'soda-loaf': ['loaf'],
  'quick-bread': ['loaf'],
  'tea-loaf': ['loaf'],
  'pound-cake': ['loaf', 'tube', 'round'],
  'fruit-cake-rich': ['round', 'square'],
  'fruit-cake-light': ['round', 'loaf'],
};

/** The tins that were wished for, or else one of the kitchen's that suits the family. */
function tinsFor(wishes: ComposeWishes, kitchen: Kitchen): readonly TinUse[] {
  if (wishes.tins && wishes.tins.length > 0) return wishes.tins;
  for (const shape of SHAPES[wishes.family] ?? ['round', 'square', 'rect']) {
    const tin = kitchen.tins.find((t) => t.shape === shape && !/mini/i.test(t.name));
    if (tin) return [{ tin, count: 1 }];
  }
  return [];
}

const SAVOURY_SUGAR_PCT = 5;
/** Flavours that go in with the wet part. */
const WET_FLAVOUR = /extract|spirit|liqueur|flower-water|food-colour|^mustard$/;
/** What makes a muffin a savoury one. */
const SAVOURY =
  /cheese|parmesan|feta|bacon|onion|olives|tomato|pepper-sweet|spinach|sweetcorn|garlic|^herbs|mustard|chilli|curry/;

/** The lines of a family's plain formula with flavours in their places, % of flour. */
function partsFor(
  family: Family,
  s: Skeleton,
  flavours: readonly Ingredient[],
  find: (id: string) => Ingredient,
): Part[] {
  const parts = new Map<string, Part>();
  const put = (id: string, pct: number, group: Part['group']): void => {
    const had = parts.get(id);
    if (pct > 0) parts.set(id, { ingredient: find(id), pct: (had?.pct ?? 0) + pct, group });
  };
  const is = (test: (i: Ingredient) => boolean): Ingredient | undefined => flavours.find(test);
  const bread = isBread(family.id);

  // flours: what is wished for takes its share of the plain flour
  const besides = [...(s.beside ?? []).filter(([id]) => find(id).base === 'flour')];
  const wished = flavours.filter(
    (i) => i.base === 'flour' && !besides.some(([id]) => id === i.id) && i.id !== 'plain-flour',
  );
  const share = (i: Ingredient): number => {
    const most = standIns.flour?.find((x) => x.id === i.id)?.most?.[bread ? 0 : 1] ?? 1;
    return 100 * Math.min(most, wished.length > 1 ? 0.3 : most === 1 ? 1 : most);
  };
  const taken = besides.reduce((a, [, p]) => a + p, 0) + wished.reduce((a, i) => a + share(i), 0);
  const fit = taken > 100 ? 100 / taken : 1;
  put('plain-flour', Math.max(0, 100 - taken * fit), 'dry');
  for (const [id, pct] of besides) put(id, pct * fit, 'dry');
  for (const i of wished) put(i.id, share(i) * fit, 'dry');

  const cocoa = is((i) => i.base === 'cocoa');
  const skeletonCocoa = (s.beside ?? []).find(([id]) => find(id).base === 'cocoa');
  if (cocoa ?? skeletonCocoa) put(cocoa?.id ?? (skeletonCocoa?.[0] as string), skeletonCocoa?.[1] ?? 12, 'dry');
  const nut = is((i) => i.base === 'nut');
  if (nut) put(nut.id, 25, 'dry');

  const fat = is((i) => i.role === 'fat') ?? find(s.fat[0]);
  put(fat.id, (s.fat[1] * find(s.fat[0]).per100.fat) / Math.max(20, fat.per100.fat), 'fat-sugar');

  const savoury =
    family.id === 'muffin' && flavours.some((i) => SAVOURY.test(i.id)) && !flavours.some((i) => i.role === 'sugar');
  // sweetness stays as it is when a wished-for sugar or syrup brings a part of it, and sweet purées bring theirs
  const sweet = flavours.filter((i) => i.role === 'sugar');
  const drySugar = s.sugar.reduce((a, [, p]) => a + p, 0);
  const part = sweet.length > 0 ? (drySugar <= 10 ? 1 : 0.45) : 0;
  for (const [id, pct] of s.sugar) put(id, savoury ? SAVOURY_SUGAR_PCT : pct * (1 - part), 'fat-sugar');
  for (const i of sweet)
    put(i.id, ((drySugar * part) / sweet.length) * (100 / Math.max(40, i.per100.sugar)), 'fat-sugar');

  put('egg', s.eggPct, 'egg');
  put('salt', savoury ? 1.5 * s.saltPct : s.saltPct, 'dry');

  const purees = flavours.filter((i) => i.role === 'fruit' && !i.pieces);
  const liquid = is((i) => i.role === 'liquid') ?? (s.liquid ? find(s.liquid[0]) : undefined);
  const pureePct = purees.length > 0 ? Math.min(90, Math.max(30, s.carriesPct + 20)) : 0;
  for (const i of purees) put(i.id, pureePct / purees.length, 'wet');
  const juice = is((i) => i.role === 'acid');
  if (juice) put(juice.id, 10, 'wet');
  const brought = purees.reduce((a, i) => a + ((pureePct / purees.length) * i.per100.water) / 100, 0) + (juice ? 9 : 0);
  if (liquid && s.liquid) {
    const wants = (s.liquid[1] * find(s.liquid[0]).per100.water) / 100;
    put(liquid.id, (100 * Math.max(0.15 * wants, wants - 0.9 * brought)) / Math.max(40, liquid.per100.water), 'wet');
  }

  const whole = flavours.filter((i) => i.pieces && i.role !== 'flavour');
  const flavourings = flavours.filter((i) => i.role === 'flavour');
  const addins = flavours.filter(
    (i) => (i.role === 'addin' || i.role === 'cocoa') && !i.pieces && i.base === undefined,
  );
  for (const i of whole) {
    const weightOf =
      i.role === 'fruit' ? 1 : /cheese|parmesan|feta/.test(i.id) ? 0.55 : jobOf(i) === 'nuts' ? 0.42 : 0.6;
    put(i.id, (s.carriesPct * weightOf) / Math.max(1, whole.length * 0.75), 'fold-in');
  }
  for (const i of addins) put(i.id, i.drinks && i.drinks > 1 ? 4 : 25, 'dry');
  const flavourGroup = (i: Ingredient): Part['group'] =>
    i.pieces ? 'fold-in' : WET_FLAVOUR.test(i.id) ? 'wet' : 'dry';
  for (const i of flavourings) put(i.id, flavourPct[i.id] ?? 1, flavourGroup(i));
  if (flavourings.length + whole.length + purees.length === 0 && !nut && !juice)
    for (const [id, pct] of s.plainly ?? []) put(id, pct, flavourGroup(find(id)));
  else if (/fruit-cake|tea-loaf/.test(family.id) && whole.length === 0)
    for (const [id, pct] of s.plainly ?? []) if (find(id).pieces) put(id, pct, 'fold-in');

  leaven(parts, family, put);
  return [...parts.values()];
}

/** Soda for most of the acid that the batter brings, and powder for the rest of the family's middle lift. */
function leaven(
  parts: ReadonlyMap<string, Part>,
  family: Family,
  put: (id: string, pct: number, group: Part['group']) => void,
): void {
  const list = [...parts.values()];
  const meq = list.reduce(
    (a, p) => a + ((p.ingredient.acidMeq?.typical ?? 0) * p.pct * (p.ingredient.pieces ? 0.1 : 1)) / 100,
    0,
  );
  const base = list.reduce(
    (a, p) => a + (p.ingredient.base === 'flour' || p.ingredient.base === 'cocoa' ? p.pct : 0),
    0,
  );
  const own = list.reduce((a, p) => a + ((p.ingredient.co2Mmol?.typical ?? 0) * p.pct) / 100, 0);
  const wanted = ((0.55 * family.lift[0] + 0.45 * family.lift[1]) * base) / 100 - own;
  if (wanted <= 0.5) return;
  const bySoda = meq > 3 ? Math.min(0.85 * meq, 0.8 * wanted) : 0;
  // 1 g of soda is 11.9 mmol; a gram of double-acting powder gives about 3.45
  if (bySoda > 1) put('baking-soda', bySoda / 11.9, 'dry');
  const rest = wanted - bySoda;
  if (rest > 1) put('baking-powder', rest / 3.45, 'dry');
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
    suits.every((d) => dietsOf(i).includes(d)) && (!wishes.stock || i.id === 'water' || (kitchen.stock[i.id] ?? 0) > 0);
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

const groupNames: Readonly<Record<Part['group'], string>> = {
  dry: 'Dry',
  'fat-sugar': 'Fat and sugar',
  egg: 'Egg',
  wet: 'Wet',
  'fold-in': 'Fold in',
};

function formulaOf(
  wishes: ComposeWishes,
  family: Family,
  parts: readonly Part[],
  kitchen: Kitchen,
  flourG: number,
): Formula {
  const { scaleG, ...source } = kitchen.measures;
  void scaleG;
  const order: readonly Part['group'][] = family.creamed
    ? ['fat-sugar', 'egg', 'dry', 'wet', 'fold-in']
    : ['dry', 'fat-sugar', 'egg', 'wet', 'fold-in'];
  const item = (p: Part): Item => {
    const grams = (p.pct * flourG) / 100;
    return {
      id: p.ingredient.id,
      ingredient: p.ingredient.id,
      words: shortName(p.ingredient),
      entered: { value: grams, unit: 'g' },
      grams,
    };
  };
  const groups = order.flatMap((role): Group[] => {
    const items = parts.filter((p) => p.group === role && p.pct > 0).map(item);
    return items.length === 0 ? [] : [{ id: role, name: groupNames[role], role, items }];
  });
  const ovenC = 5 * Math.round((family.ovenC[0] + family.ovenC[1]) / 10);
  return {
    format: 'orvin.formula',
    version: 1,
    id: slug(titleOf(wishes, family, parts)),
    title: titleOf(wishes, family, parts),
    family: family.id,
    source,
    groups,
    method: [],
    bake: { ovenC, fan: false },
    ...(wishes.tins && wishes.tins.length > 0 && { tins: wishes.tins }),
  };
}

const slug = (s: string): string =>
  s
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '') || 'new-formula';

function titleOf(wishes: ComposeWishes, family: Family, parts: readonly Part[]): string {
  if (wishes.title !== undefined && wishes.title.trim() !== '') return wishes.title.trim();
  const wished = (wishes.flavours ?? [])
    .map((id) => parts.find((p) => p.ingredient.id === id)?.ingredient)
    .filter((i) => i !== undefined);
  const names = wished
    .slice(0, 3)
    .map((i) =>
      one(
        shortName(i).replace(/^(ground|grated|ripe|plain|fresh|hard|brewed|mixed) | (purée|flour|juice|powder)$/g, ''),
      ),
    );
  const of = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : (names[0] ?? 'plain');
  const many = skeletons[wishes.family as Exclude<FamilyId, 'free'>].piece === family.plural;
  return capital(`${of} ${many || /muffin|scone|biscuit/.test(family.id) ? family.plural : family.name}`);
}

/** One of them, as in a title: `raisins` is `raisin`. */
const one = (s: string): string =>
  /ss$/.test(s)
    ? s
    : s
        .replace(/ies$/, 'y')
        .replace(/(tomato|potato)es$/, '$1')
        .replace(/s$/, '');

/** The formula at another size, each line on a step that can be measured. */
function roundedTo(formula: Formula, factor: number, batterG: number, kitchen: Kitchen): Formula {
  return {
    ...formula,
    groups: formula.groups.map((g) => ({
      ...g,
      items: g.items.flatMap((i): Item[] => {
        const grams = onStep(ingredientOf(i.ingredient, undefined, kitchen), i.grams * factor, batterG, kitchen);
        return grams > 0 ? [{ ...i, grams, entered: { value: grams, unit: 'g' } }] : [];
      }),
    })),
  };
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
      words: `${i.grams} g ${shortName(ingredientOf(i.ingredient, undefined, kitchen))}`,
    })),
  }));
  const formula: Formula = {
    ...made,
    groups: words,
    method: methodText(made, w, best, tins),
    yield: { pieces, name: s.piece },
  };
  const proposal = proposalOf('new', start, bowl, { ...found, formula }, request, { title: formula.title });
  return {
    ...proposal,
    words: `${formula.title}: ${Math.round(w.totals.batterG)} g of batter, ${pieces} ${s.piece}; ${proposal.after.words}`,
    // a new formula has nothing to change from
    lines: [],
    changes: [],
    costs: [],
  };
}
