import type { Family } from '../balance/families.js';
import type { FamilyId, Formula, Group, Item, Kitchen, TinUse } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { Diet } from '../ingredient/diet.js';
import { onStep, stepG, tidy } from '../quantity/steps.js';
import type { Part } from './parts.js';
import { shortName } from './proposal.js';
import { skeletons } from './table/skeletons.js';
import type { TraitId } from './types.js';
import { capital, enumerated } from '../text/plain.js';

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

const groupNames: Readonly<Record<Part['group'], string>> = {
  dry: 'Dry',
  'fat-sugar': 'Fat and sugar',
  egg: 'Egg',
  wet: 'Wet',
  'fold-in': 'Fold in',
};

/** The formula that the parts make, on so much flour, with no method yet. */
export function formulaOf(
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
  const of = names.length > 0 ? enumerated(names) : 'plain';
  const many = skeletons[wishes.family as Exclude<FamilyId, 'free'>].piece === family.plural;
  const diet = (wishes.suits ?? []).flatMap((d) => IN_TITLES[d] ?? []).join(' ');
  const what = many || /muffin|scone|biscuit/.test(family.id) ? family.plural : family.name;
  return capital([of, diet, what].filter((w) => w !== '').join(' '));
}

/** What a bake made for a diet is called by: it is judged by its name too. */
const IN_TITLES: Readonly<Partial<Record<Diet, string>>> = {
  vegan: 'vegan',
  'egg-free': 'eggless',
  'gluten-free': 'gluten-free',
};

/** One of them, as in a title: `raisins` is `raisin`. */
const one = (s: string): string =>
  /ss$/.test(s)
    ? s
    : s
        .replace(/ies$/, 'y')
        .replace(/(tomato|potato)es$/, '$1')
        .replace(/s$/, '');

/** The formula at another size, each line on a step that can be measured; a trace of what was wished for stays in. */
export function roundedTo(
  formula: Formula,
  factor: number,
  batterG: number,
  kitchen: Kitchen,
  wished: readonly string[],
): Formula {
  return {
    ...formula,
    groups: formula.groups.map((g) => ({
      ...g,
      items: g.items.flatMap((i): Item[] => {
        const ingredient = ingredientOf(i.ingredient, undefined, kitchen);
        const near = onStep(ingredient, i.grams * factor, batterG, kitchen);
        const least = wished.includes(i.ingredient) ? tidy(stepG(ingredient, i.grams * factor, batterG, kitchen)) : 0;
        const grams = Math.max(near, least);
        return grams > 0 ? [{ ...i, grams, entered: { value: grams, unit: 'g' } }] : [];
      }),
    })),
  };
}
