import type { Family } from '../balance/families.js';
import type { Ingredient } from '../formula/types.js';
import { gasPerG, jobOf } from './jobs.js';
import { flavourPct, type Skeleton } from './table/skeletons.js';
import { standIns } from './table/stand-ins.js';

/** A line of a formula that is being made up, as a share of its flour. */
export interface Part {
  readonly ingredient: Ingredient;
  readonly pct: number;
  readonly group: 'dry' | 'wet' | 'fold-in' | 'fat-sugar' | 'egg';
}

const SAVOURY_SUGAR_PCT = 5;
/** Flavours that go in with the wet part. */

/** The lines of a family's plain formula with flavours in their places, % of flour. */
export function partsFor(
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
  /** What is wished for of a kind shares the place of that kind. */
  const of = (test: (i: Ingredient) => boolean, usual?: string): readonly Ingredient[] => {
    const wished = flavours.filter(test);
    return wished.length > 0 || usual === undefined ? wished : [find(usual)];
  };
  const bread = family.bread;

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

  const usualCocoa = (s.beside ?? []).find(([id]) => find(id).base === 'cocoa');
  const cocoas = of((i) => i.base === 'cocoa', usualCocoa?.[0]);
  for (const i of cocoas) put(i.id, (usualCocoa?.[1] ?? 12) / cocoas.length, 'dry');
  const nuts = of((i) => i.base === 'nut');
  for (const i of nuts) put(i.id, 25 / nuts.length, 'dry');

  const fats = of((i) => i.role === 'fat', s.fat[0]);
  const fatPct = (s.fat[1] * find(s.fat[0]).per100.fat) / fats.length;
  for (const i of fats) put(i.id, fatPct / Math.max(20, i.per100.fat), 'fat-sugar');

  const savoury =
    family.id === 'muffin' && flavours.some((i) => i.savoury) && !flavours.some((i) => i.role === 'sugar');
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
  const liquids = of((i) => i.role === 'liquid', s.liquid?.[0]);
  const pureePct = purees.length > 0 ? Math.min(90, Math.max(30, s.carriesPct + 20)) : 0;
  for (const i of purees) put(i.id, pureePct / purees.length, 'wet');
  const juices = of((i) => i.role === 'acid');
  for (const i of juices) put(i.id, 10 / juices.length, 'wet');
  const brought =
    purees.reduce((a, i) => a + ((pureePct / purees.length) * i.per100.water) / 100, 0) + (juices.length > 0 ? 9 : 0);
  const wants = s.liquid ? (s.liquid[1] * find(s.liquid[0]).per100.water) / 100 : 0;
  const poured = Math.max(0.15 * wants, wants - 0.9 * brought) / Math.max(1, liquids.length);
  for (const i of liquids) put(i.id, (100 * poured) / Math.max(40, i.per100.water), 'wet');

  const whole = flavours.filter((i) => i.pieces && i.role !== 'flavour');
  const flavourings = flavours.filter((i) => i.role === 'flavour');
  const addins = flavours.filter(
    (i) => (i.role === 'addin' || i.role === 'cocoa') && !i.pieces && i.base === undefined,
  );
  for (const i of whole) {
    const weightOf = i.role === 'fruit' ? 1 : i.kind === 'cheese' ? 0.55 : jobOf(i) === 'nuts' ? 0.42 : 0.6;
    put(i.id, (s.carriesPct * weightOf) / Math.max(1, whole.length * 0.75), 'fold-in');
  }
  for (const i of addins) put(i.id, i.drinks && i.drinks > 1 ? 4 : 25, 'dry');
  const flavourGroup = (i: Ingredient): Part['group'] => (i.pieces ? 'fold-in' : i.kind === 'extract' ? 'wet' : 'dry');
  for (const i of flavourings) put(i.id, flavourPct[i.id] ?? 1, flavourGroup(i));
  if (flavourings.length + whole.length + purees.length + nuts.length + juices.length === 0)
    for (const [id, pct] of s.plainly ?? []) put(id, pct, flavourGroup(find(id)));
  else if (family.carries[0] > 0.25 && whole.length === 0)
    for (const [id, pct] of s.plainly ?? []) if (find(id).pieces) put(id, pct, 'fold-in');

  leaven(parts, family, put, find);
  return [...parts.values()];
}

/** Soda for most of the acid that the batter brings, and powder for the rest of the family's middle lift. */
function leaven(
  parts: ReadonlyMap<string, Part>,
  family: Family,
  put: (id: string, pct: number, group: Part['group']) => void,
  find: (id: string) => Ingredient,
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
  const leavener = (id: string, mmol: number): void => {
    if (mmol > 1) put(id, mmol / gasPerG(find(id)), 'dry');
  };
  leavener('baking-soda', bySoda);
  leavener('baking-powder', wanted - bySoda);
}
