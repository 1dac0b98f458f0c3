import { weigh } from '../balance/weigh.js';
import { batterItems, ingredientFor, usableGrams } from '../formula/formula.js';
import type { Formula, Ingredient, Item } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { linesOf } from '../leavening/parts.js';
import type { Asked } from './ask.js';
import { bowlOf, type Bowl } from './bowl.js';
import { distances } from './model.js';
import type { Preset } from './presets.js';
import { candidateOf } from './candidates.js';
import { replacements, type Replacement } from './replacements.js';
import { companions, swappedItem, withGum } from './substitute.js';
import type { Candidate, Request, Wish } from './types.js';
import { measuredOf } from './wishes.js';

/** How many stand-ins of a line the search may choose from. */
const CHOICES = 3;

/** The table as it is set for a search: what goes, who may come, and what is lost. */
export interface Planned {
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
export function planOf(formula: Formula, asked: Asked, preset: Preset, locked: readonly string[] = []): Planned {
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
    locked: locked.filter((id) => !asked.out.some((i) => i.id === id)),
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
