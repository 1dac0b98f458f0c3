import { weigh } from '../balance/weigh.js';
import { allItems, batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { dietsOf, nutAllergens } from '../ingredient/diet.js';
import { defaultKitchen } from '../kitchen/default.js';
import { linesOf } from '../leavening/parts.js';
import { pressureRatio } from '../leavening/volume.js';
import { bowlOf, freshId, type Bowl } from './bowl.js';
import { heatBy } from './heat.js';
import { distances } from './model.js';
import { presetOf, type Preset, type PresetId } from './presets.js';
import { capital, proposalOf, shortName } from './proposal.js';
import { candidateOf, conflict, fault, limitsOf, rebalance } from './rebalance.js';
import { replacements, type Replacement } from './replacements.js';
import { search, type Found, type Terms } from './search.js';
import { solverOf } from './solver.js';
import { isBread, standIns } from './stand-ins.js';
import { companions, eggCosts, methodCost, SWAP, swappedItem, withGum } from './substitute.js';
import {
  isConflict,
  type AdaptOptions,
  type Candidate,
  type Conflict,
  type Proposal,
  type ProposalLine,
  type Request,
  type Wish,
} from './types.js';
import { measuredOf, shortOf } from './wishes.js';

export interface PresetOptions extends AdaptOptions {
  /** For less sugar, fat or salt: how much less, per cent; 25 unless said. */
  readonly byPct?: number;
  /** For high altitude: metres; the kitchen's own from 900 m, else 1500. */
  readonly altitudeM?: number;
  /** For whole grain: share of the flour, per cent; 50 unless said. */
  readonly sharePct?: number;
}

/** How many stand-ins of a line the search may choose from. */
const CHOICES = 3;
const BENT = 60;

/** What a preset asks: lines that cannot stay, wishes, and what is said besides. */
interface Asked {
  readonly out: readonly Item[];
  readonly wishes: readonly Wish[];
  /** Wishes that hold only as far as the family lets them. */
  readonly bending: boolean;
  readonly costs: readonly string[];
  readonly heatC: number;
  readonly extra: readonly { readonly ingredient: string; readonly maxG: number; readonly why: string }[];
  readonly kitchen: Kitchen;
  readonly fits: (i: Ingredient) => boolean;
}

function ask(preset: Preset, formula: Formula, kitchen: Kitchen, o: PresetOptions): Asked {
  const items = allItems(formula).filter((i) => i.grams > 0);
  const of = (i: Item): Ingredient => ingredientFor(formula, i, kitchen);
  const suits = (i: Ingredient): boolean => preset.suits.every((d) => dietsOf(i).includes(d));
  const base: Asked = {
    out: items.filter((i) => !suits(of(i))),
    wishes: [],
    bending: false,
    costs: [],
    heatC: 0,
    extra: [],
    kitchen,
    fits: suits,
  };
  const by = -Math.abs(o.byPct ?? 25);
  const w = weigh(formula, kitchen);
  switch (preset.id) {
    case 'less-sugar':
      return { ...base, wishes: [{ kind: 'change', of: 'sugar', byPct: by }] };
    case 'less-fat':
      return { ...base, wishes: [{ kind: 'change', of: 'fat', byPct: by }] };
    case 'lower-sodium':
      return { ...base, wishes: [{ kind: 'change', of: 'sodium', byPct: by }] };
    case 'whole-grain': {
      const bears =
        standIns.flour?.find((s) => s.id === 'wholemeal-flour')?.most?.[isBread(formula.family) ? 0 : 1] ?? 1;
      const to = Math.min(o.sharePct ?? 50, 100 * bears);
      const flours = w.lines.some((l) => l.ingredient.id === 'wholemeal-flour');
      return {
        ...base,
        wishes: [
          {
            kind: 'measure',
            of: 'wholegrain',
            min: Math.max(to, measuredOf(w, kitchen).wholegrain),
            words: `whole grain for ${Math.round(to)} % of the flour`,
          },
        ],
        extra: flours
          ? []
          : [{ ingredient: 'wholemeal-flour', maxG: 1.2 * w.totals.flourG, why: 'flour from the whole grain' }],
        costs: ['let it stand 10 minutes before baking: bran drinks slowly'],
      };
    }
    case 'small-child': {
      const no = (i: Ingredient): boolean =>
        i.id === 'honey' ||
        /^(spirit|liqueur|fortified-wine|wine|stout|cider|coffee|instant-coffee|tea)$/.test(i.id) ||
        (i.pieces === true && i.allergens.some((a) => nutAllergens.has(a)));
      return {
        ...base,
        out: items.filter((i) => no(of(i))),
        wishes: [
          { kind: 'change', of: 'sugar', byPct: -40 },
          { kind: 'change', of: 'salt', byPct: -70 },
        ],
        bending: true,
        // seeds are as hard as nuts
        fits: (i) => !no(i) && !(i.pieces === true && i.per100.fat > 30) && !/coffee|tea/.test(i.id),
      };
    }
    case 'high-altitude': {
      const at = o.altitudeM ?? (kitchen.altitudeM >= 900 ? kitchen.altitudeM : 1500);
      // a formula that is baked here already is balanced for here; one that is not comes from lower down
      const from = kitchen.altitudeM >= 900 && o.altitudeM === undefined ? 0 : kitchen.altitudeM;
      const thin = pressureRatio(at) / pressureRatio(from);
      const rise = Math.max(0, at - Math.max(from, 600));
      const now = w.lift.mmolPer100gBase.typical;
      const wetter = Math.min(0.25, 0.06 + (0.03 * Math.max(0, at - 900)) / 300);
      return {
        ...base,
        kitchen: { ...kitchen, altitudeM: at },
        wishes: [
          { kind: 'lift', max: now * thin * 1.04, words: `lift for ${Math.round(at)} m` },
          { kind: 'measure', of: 'water', min: w.totals.waterPct * (1 + wetter * 0.6), words: 'a little more liquid' },
          {
            kind: 'measure',
            of: 'sugar',
            max: w.totals.sugarPct * (1 - Math.min(0.08, rise / 30_000)),
            words: 'a little less sugar',
          },
        ],
        bending: true,
        heatC: at >= 900 ? 10 : 0,
        costs: [
          `for ${Math.round(at)} m: water boils at about ${Math.round(100 - at / 300)} °C, so test early and go by the middle, not the clock`,
        ],
      };
    }
    case 'what-i-have': {
      const short = shortOf(formula, kitchen);
      const gone = new Set(short.filter((s) => s.haveG < 0.35 * s.needG).map((s) => s.ingredient));
      return {
        ...base,
        out: items.filter((i) => gone.has(i.ingredient)),
        wishes: [{ kind: 'stock' }],
        fits: (i) => i.id === 'water' || (kitchen.stock[i.id] ?? 0) > 0,
      };
    }
    default:
      return base;
  }
}

/**
 * Adapts a formula to a preset: what cannot stay goes, what may take its place competes for it, and the search finds the
 * amounts that keep what the formula is like. Says what it could not keep.
 */
export async function adapt(
  formula: Formula,
  presetId: PresetId,
  kitchen: Kitchen = defaultKitchen,
  options: PresetOptions = {},
): Promise<Proposal[] | Conflict> {
  const preset = presetOf(presetId);
  if (!preset) return conflict('wishes', `There is no request called "${String(presetId)}".`);
  const asked = ask(preset, formula, kitchen, options);
  const wrong = fault(formula, { wishes: [{ kind: 'stock' }] }, kitchen);
  if (wrong) return wrong;
  if (asked.out.length === 0 && asked.extra.length === 0 && !asked.bending && presetId !== 'what-i-have') {
    if (asked.wishes.length === 0) return [];
    const out = await rebalance(formula, { wishes: asked.wishes }, asked.kitchen, options);
    return isConflict(out)
      ? out
      : out.map((p) => ({ ...p, costs: [...p.costs, ...asked.costs], cautions: preset.cautions }));
  }
  const plan = planOf(formula, asked, preset);
  // what only flavours can be done without; what a batter is made of cannot
  const needed = preset.id === 'what-i-have' ? plan.lost.filter((i) => figuresIn(formula, i, kitchen)) : [];
  if (needed.length > 0) return notThere(needed.map((i) => ingredientFor(formula, i, kitchen)));
  const solver = await solverOf(options);
  const limits = limitsOf(options);
  const { pinnedWishes, bowl } = plan;
  const terms: Terms = { wishes: pinnedWishes, weights: SWAP, ...(asked.bending && { bending: BENT }) };
  const first = search(bowl, terms, solver, limits);
  if (first.kind === 'limit')
    return conflict(
      'limit',
      `The search was stopped after ${limits.maxNodes} steps before it found anything that holds.`,
    );
  if (first.kind === 'infeasible' || (!first.met && !asked.bending)) {
    const near = search(bowl, { ...terms, bending: BENT }, solver, limits);
    const nearest = near.kind === 'found' ? told(formula, preset, plan, near, asked) : null;
    const missing = presetId === 'what-i-have' ? shortOf(near.kind === 'found' ? near.formula : formula, kitchen) : [];
    if (missing.length > 0)
      return { ...notThere(missing.map((m) => ingredientOf(m.ingredient, formula.ingredients, kitchen))), nearest };
    return conflict(
      'wishes',
      `It cannot be had ${preset.name} and stay what it is.`,
      asked.wishes.map((_, index) => ({ index, words: preset.name })),
      nearest,
    );
  }
  const out = [told(formula, preset, plan, first, asked)];
  if (await stopped(options)) return conflict('cancelled', 'Stopped before it was done.');
  // another choice of stand-ins, where there is one
  const chosen = plan.choices.map((ids) => ids.filter((id) => came(bowl, first, id)));
  const other = chosen.flat().map((id) => bowl.moves.findIndex((m) => m.line.item.id === id));
  if (other.length > 0 && plan.choices.some((c) => c.length > 1)) {
    const second = search(bowl, { ...terms, notAgain: [other] }, solver, limits);
    if (second.kind === 'found' && (second.met || asked.bending) && second.weighed.merit <= first.weighed.merit + 0.03)
      out.push({ ...told(formula, preset, plan, second, asked), kind: 'another' });
  }
  const start = weigh(formula, asked.kitchen).merit;
  const best = out[0] as Proposal;
  if (best.merit > start + 0.03)
    return conflict('cannot', `It can be had ${preset.name}, but not in balance: ${best.after.words}.`, [], best);
  return out.filter((p) => p.merit <= start + 0.03);
}

const notThere = (what: readonly Ingredient[]): Conflict =>
  conflict(
    'wishes',
    `There is not enough in stock of ${what.map(shortName).join(', ')}, and nothing there to take its place.`,
    [{ index: 0, words: 'nothing but what is in stock' }],
  );

/** Whether a line counts for more than its taste. */
const figuresIn = (formula: Formula, item: Item, kitchen: Kitchen): boolean => {
  const { role, pieces } = ingredientFor(formula, item, kitchen);
  return role !== 'flavour' && !(item.pieces ?? pieces ?? false);
};

const stopped = async (o: AdaptOptions): Promise<boolean> => (await o.cancelled?.()) === true;
const came = (bowl: Bowl, found: Found, id: string): boolean =>
  (found.grams[bowl.moves.findIndex((m) => m.line.item.id === id)] ?? 0) > 0;

interface Planned {
  readonly bowl: Bowl;
  readonly pinnedWishes: readonly Wish[];
  readonly request: Request;
  /** For each line that goes: the ids of the candidates for its place. */
  readonly choices: readonly (readonly string[])[];
  readonly goes: readonly Item[];
  readonly chosenFor: ReadonlyMap<string, { readonly item: Item; readonly replacement: Replacement }>;
  /** Lines that nothing takes the place of. */
  readonly lost: readonly Item[];
  /** Lines swapped at once, since no figure hangs on them. */
  readonly direct: readonly { readonly item: Item; readonly to: Ingredient }[];
}

/** Sets the table: what goes, who may come instead, and what else the batter may then need. */
function planOf(formula: Formula, asked: Asked, preset: Preset): Planned {
  const { kitchen } = asked;
  const batter = new Set(batterItems(formula).map((i) => i.id));
  const lines = new Map(linesOf(formula, kitchen).map((l) => [l.item.id, l]));
  const flourG = weigh(formula, kitchen).totals.flourG;
  const taken = new Set<string>();
  const candidates: Candidate[] = [];
  const choices: string[][] = [];
  const chosenFor = new Map<string, { item: Item; replacement: Replacement }>();
  const lost: Item[] = [];
  const direct: { item: Item; to: Ingredient }[] = [];
  const goes: Item[] = [];
  for (const item of asked.out) {
    const line = lines.get(item.id);
    const options = replacements(formula, item.id, kitchen, preset.suits).filter(
      (r) => !r.state && asked.fits(ingredientOf(r.ingredient, formula.ingredients, kitchen)),
    );
    const figures = line && batter.has(item.id) && !line.whole && line.ingredient.role !== 'flavour';
    if (options.length === 0) {
      lost.push(item);
      continue;
    }
    if (!figures) {
      direct.push({ item, to: ingredientOf((options[0] as Replacement).ingredient, formula.ingredients, kitchen) });
      continue;
    }
    goes.push(item);
    // the first stand-ins that a crumb bears in this amount
    const bearable = options.filter((r) => r.most === null || r.most * flourG >= 0.8 * item.grams);
    const few = (bearable.length > 0 ? bearable : options)
      .filter((r, n, all) => all.findIndex((x) => x.kin === r.kin) === n)
      .slice(0, CHOICES);
    const ids = few.map((r, rank) => {
      const c = candidateOf(formula, r.ingredient, 1.5 * r.grams, kitchen, taken);
      taken.add(c.item.id);
      candidates.push({
        ...c,
        groupId: groupOf(formula, item.id) ?? c.groupId,
        instead: item.id,
        reluctance: 0.3 + 1.1 * rank,
        minG: (line?.ingredient.role === 'egg' ? 0.5 : 0.75) * r.grams,
      });
      chosenFor.set(c.item.id, { item, replacement: r });
      return c.item.id;
    });
    choices.push(ids);
  }
  const left = dropped(formula, lost, direct);
  const without =
    preset.suits.includes('gluten-free') && goes.some((i) => ingredientFor(formula, i, kitchen).base === 'flour')
      ? withGum(left, kitchen, true)
      : left;
  for (const { item, replacement } of [...chosenFor.values()]) {
    const from = ingredientFor(formula, item, kitchen);
    const to = ingredientOf(replacement.ingredient, formula.ingredients, kitchen);
    for (const c of companions(formula, from, to, usableGrams(item.grams), kitchen))
      if (
        asked.fits(ingredientOf(c.item.ingredient, undefined, kitchen)) &&
        !candidates.some((x) => x.item.ingredient === c.item.ingredient)
      )
        candidates.push(c);
  }
  for (const e of asked.extra)
    candidates.push({ ...candidateOf(formula, e.ingredient, e.maxG, kitchen, taken), reluctance: 0.2, why: e.why });
  const request: Request = {
    like: formula,
    out: goes.map((i) => i.id),
    candidates,
    oneOf: choices,
    wishes: asked.wishes,
  };
  const wishes = pinnedFor(formula, asked);
  const bowl: Bowl = {
    ...bowlOf(without, { ...request, wishes }, kitchen, wishes),
    excused: distances(bowlOf(formula, {}, kitchen, [])),
  };
  return { bowl, pinnedWishes: wishes, request: { ...request, wishes }, choices, goes, chosenFor, lost, direct };
}

const groupOf = (f: Formula, itemId: string): string | undefined =>
  f.groups.find((g) => g.items.some((i) => i.id === itemId))?.id;

/** Relative wishes as figures of the formula as it was. */
function pinnedFor(formula: Formula, asked: Asked): readonly Wish[] {
  const now = measuredOf(weigh(formula, asked.kitchen), asked.kitchen);
  return asked.wishes.map((w): Wish =>
    w.kind === 'change'
      ? { kind: 'measure', of: w.of, max: now[w.of] * (1 + w.byPct / 100), words: `less ${w.of}` }
      : w,
  );
}

/** The formula without what nothing replaces, and with what is swapped like for like. */
function dropped(formula: Formula, lost: readonly Item[], direct: readonly { item: Item; to: Ingredient }[]): Formula {
  const gone = new Set(lost.map((i) => i.id));
  const swap = new Map(direct.map((d) => [d.item.id, d.to]));
  return {
    ...formula,
    groups: formula.groups.map((g) => ({
      ...g,
      items: g.items.map((i) => {
        const to = swap.get(i.id);
        return gone.has(i.id) ? { ...i, grams: 0 } : to ? swappedItem(i, to, i.grams) : i;
      }),
    })),
  };
}

/** Puts the chosen stand-ins in the places of what they stand in for, and says what it cost. */
function told(formula: Formula, preset: Preset, plan: Planned, found: Found, asked: Asked): Proposal {
  const { kitchen } = asked;
  const candidateIds = new Set(plan.chosenFor.keys());
  const came = new Map<string, { to: Item; replacement: Replacement }[]>();
  for (const i of allItems(found.formula)) {
    const c = plan.chosenFor.get(i.id);
    if (c && i.grams > 0) came.set(c.item.id, [...(came.get(c.item.id) ?? []), { to: i, replacement: c.replacement }]);
  }
  const placed: Formula = {
    ...found.formula,
    groups: found.formula.groups.map((g) => ({
      ...g,
      items: g.items
        .filter((i) => !candidateIds.has(i.id))
        .flatMap((i): Item[] => {
          const mine = came.get(i.id);
          if (!mine) return [i];
          return mine.map(({ to }, n) => ({
            ...swappedItem(i, ingredientOf(to.ingredient, formula.ingredients, kitchen), to.grams),
            ...(n > 0 && { id: freshId(formula, to.ingredient) }),
          }));
        }),
    })),
  };
  const merged = oneLineEach(placed, formula, plan.goes, kitchen);
  const heated = heatBy(merged, asked.heatC - coolerBy(formula, plan, came, kitchen));
  const replaced = [...came.values()].flat().map((x) => x.replacement);
  const unmet = asked.bending
    ? plan.pinnedWishes
        .filter((w) => 'words' in w && !metBy(w, heated.formula, kitchen))
        .map((w) => `${'words' in w ? (w.words ?? '') : ''} only in part, to stay what it is`)
    : [];
  const proposal = proposalOf(
    'swap',
    formula,
    plan.bowl,
    found,
    { ...plan.request },
    {
      title: capital(preset.name),
      formula: heated.formula,
      costs: [
        ...[...new Set(replaced.map((r) => r.costs).filter((c) => c !== ''))],
        ...plan.lost.map(
          (i) => `${shortName(ingredientFor(formula, i, kitchen))} left out: nothing stands in for it here`,
        ),
        ...unmet,
        ...[...new Set(replaced.filter((r) => r.check !== '').map((r) => `check ${r.check}`))],
        ...(preset.id === 'eggless' || preset.id === 'vegan' ? eggCosts(formula, kitchen) : []),
        ...methodCost(formula, heated.formula, kitchen),
        ...asked.costs,
      ],
      cautions: preset.cautions,
    },
  );
  const swapped = new Map([...came].flatMap(([id, list]) => list.map((x) => [id, x.replacement] as const)));
  const lines = proposal.lines.map((l): ProposalLine => {
    const r = swapped.get(l.id);
    if (r && l.kind === 'replaced') return { ...l, reason: 'in its place' };
    if (l.kind === 'replaced') return { ...l, reason: 'like for like' };
    if (plan.lost.some((i) => i.id === l.id)) return { ...l, reason: 'nothing stands in for it here' };
    if (
      l.kind === 'amount' &&
      [...swapped.values()].some((x) => x.ingredient === ingredientOfLine(l, heated.formula)) &&
      plan.goes.length > 0
    )
      return {
        ...l,
        reason: `stands in for ${listedNames(plan.goes, formula, kitchen, l, swapped, heated.formula)} too`,
      };
    if (l.kind === 'left out' && r)
      return { ...l, reason: `${r.name.replace(/,.*/, '').toLowerCase()} stands in for both` };
    return l.item?.ingredient === 'xanthan' ? { ...l, reason: 'holds what gluten would' } : l;
  });
  return { ...proposal, lines: heated.line ? [...lines, heated.line] : lines };
}

const ingredientOfLine = (l: ProposalLine, f: Formula): string =>
  allItems(f).find((i) => i.id === l.id)?.ingredient ?? '';
/** The lines that went and whose stand-in is what this line holds. */
const listedNames = (
  goes: readonly Item[],
  was: Formula,
  kitchen: Kitchen,
  l: ProposalLine,
  swapped: ReadonlyMap<string, Replacement>,
  now: Formula,
): string =>
  goes
    .filter((i) => swapped.get(i.id)?.ingredient === ingredientOfLine(l, now))
    .map((i) => shortName(ingredientFor(was, i, kitchen)))
    .join(' and ');

function metBy(w: Wish, formula: Formula, kitchen: Kitchen): boolean {
  if (w.kind !== 'measure') return true;
  const x = measuredOf(weigh(formula, kitchen), kitchen)[w.of];
  return (w.max === undefined || x <= w.max * 1.02 + 0.1) && (w.min === undefined || x >= w.min * 0.98 - 0.1);
}

/** Two lines that have become the same ingredient in one group are one line: the one that was of its kind before. */
function oneLineEach(formula: Formula, was: Formula, goes: readonly Item[], kitchen: Kitchen): Formula {
  const touched = new Set(goes.map((i) => i.id));
  const roles = new Map(goes.map((i) => [i.id, ingredientFor(was, i, kitchen).role]));
  const ingredientRole = (i: Item): string => ingredientFor(formula, i, kitchen).role;
  return {
    ...formula,
    groups: formula.groups.map((g) => {
      const twins = (i: Item): Item[] => g.items.filter((x) => x.ingredient === i.ingredient && x.grams > 0);
      const stays = (i: Item): Item | undefined => {
        const all = twins(i);
        return all.find((x) => !touched.has(x.id)) ?? all.find((x) => roles.get(x.id) === ingredientRole(x)) ?? all[0];
      };
      const items = g.items.flatMap((i): Item[] => {
        const all = twins(i);
        if (all.length < 2 || !all.some((x) => touched.has(x.id))) return [i];
        if (stays(i) !== i) return [];
        const grams = all.reduce((s, x) => s + x.grams, 0);
        return [{ ...i, grams, entered: { value: grams, unit: 'g' } }];
      });
      return { ...g, items };
    }),
  };
}

/** What the stand-ins that brown early ask of the oven, °C. */
function coolerBy(
  formula: Formula,
  plan: Planned,
  came: ReadonlyMap<string, { replacement: Replacement }[]>,
  kitchen: Kitchen,
): number {
  const sugarG = weigh(formula, kitchen).totals.sugarG;
  if (sugarG <= 0) return 0;
  return plan.goes.reduce((s, item) => {
    const r = came.get(item.id)?.[0]?.replacement;
    const sugar = (ingredientFor(formula, item, kitchen).per100.sugar * usableGrams(item.grams)) / 100;
    return s + (r ? (r.coolerC * sugar) / sugarG : 0);
  }, 0);
}
