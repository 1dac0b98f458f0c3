import type { FamilyId } from '../../formula/types.js';

/** The plainest formula of a family, % of flour, from the middle of its ranges; own ratios, for the search to round. */
export interface Skeleton {
  readonly fat: readonly [ingredient: string, pct: number];
  readonly sugar: readonly (readonly [ingredient: string, pct: number])[];
  readonly eggPct: number;
  readonly liquid: readonly [ingredient: string, pct: number] | null;
  readonly saltPct: number;
  /** What goes beside plain flour: whole grain, maize, cocoa. */
  readonly beside?: readonly (readonly [ingredient: string, pct: number])[];
  /** Usual flavour where the baker wishes for none. */
  readonly plainly?: readonly (readonly [ingredient: string, pct: number])[];
  /** Fruit, nuts and the like that such a bake usually carries, % of flour in all. */
  readonly carriesPct: number;
  readonly pieceG: number;
  readonly piece: string;
}

// prettier-ignore
export const skeletons: Readonly<Record<Exclude<FamilyId, 'free'>, Skeleton>> = {
  'biscuit': { fat: ['butter', 38], sugar: [['caster-sugar', 3]], eggPct: 0, liquid: ['buttermilk', 68], saltPct: 1.4, carriesPct: 20, pieceG: 70, piece: 'biscuits' },
  'drop-biscuit': { fat: ['butter', 32], sugar: [['caster-sugar', 3]], eggPct: 0, liquid: ['buttermilk', 90], saltPct: 1.4, carriesPct: 25, pieceG: 62, piece: 'biscuits' },
  'scone': { fat: ['butter', 25], sugar: [['caster-sugar', 13]], eggPct: 16, liquid: ['milk', 46], saltPct: 0.8, carriesPct: 28, pieceG: 78, piece: 'scones' },
  'soda-bread': { fat: ['butter', 5], sugar: [['caster-sugar', 3]], eggPct: 0, liquid: ['buttermilk', 78], saltPct: 1.5, carriesPct: 20, pieceG: 75, piece: 'slices' },
  'soda-loaf': { fat: ['butter', 4], sugar: [['treacle', 5]], eggPct: 0, liquid: ['buttermilk', 104], saltPct: 1.5, beside: [['wholemeal-flour', 60]], carriesPct: 18, pieceG: 75, piece: 'slices' },
  'muffin': { fat: ['neutral-oil', 34], sugar: [['caster-sugar', 48]], eggPct: 38, liquid: ['buttermilk', 82], saltPct: 1, plainly: [['vanilla-extract', 1.8]], carriesPct: 55, pieceG: 82, piece: 'muffins' },
  'quick-bread': { fat: ['neutral-oil', 38], sugar: [['light-brown-sugar', 65]], eggPct: 40, liquid: ['yogurt', 62], saltPct: 1.1, plainly: [['vanilla-extract', 1.8]], carriesPct: 60, pieceG: 85, piece: 'slices' },
  'tea-loaf': { fat: ['butter', 5], sugar: [['light-brown-sugar', 50]], eggPct: 22, liquid: ['tea', 84], saltPct: 0.6, plainly: [['mixed-spice', 0.9], ['raisins', 85]], carriesPct: 85, pieceG: 75, piece: 'slices' },
  'maize-bread': { fat: ['butter', 22], sugar: [['caster-sugar', 12]], eggPct: 36, liquid: ['buttermilk', 112], saltPct: 1.5, beside: [['maize-meal', 55]], carriesPct: 25, pieceG: 90, piece: 'wedges' },
  'treacle-cake': { fat: ['butter', 46], sugar: [['dark-brown-sugar', 45], ['treacle', 55], ['golden-syrup', 18]], eggPct: 32, liquid: ['milk', 60], saltPct: 0.9, plainly: [['ginger-ground', 2.2], ['cinnamon', 0.9]], carriesPct: 25, pieceG: 75, piece: 'squares' },
  'butter-cake-lean': { fat: ['butter', 52], sugar: [['caster-sugar', 76]], eggPct: 52, liquid: ['milk', 48], saltPct: 0.9, plainly: [['vanilla-extract', 1.8]], carriesPct: 35, pieceG: 85, piece: 'slices' },
  'butter-cake-high-ratio': { fat: ['butter', 68], sugar: [['caster-sugar', 120]], eggPct: 70, liquid: ['milk', 64], saltPct: 1, plainly: [['vanilla-extract', 1.8]], carriesPct: 30, pieceG: 85, piece: 'slices' },
  'equal-weight-sponge': { fat: ['butter', 100], sugar: [['caster-sugar', 100]], eggPct: 102, liquid: ['milk', 12], saltPct: 0.5, plainly: [['vanilla-extract', 1.6]], carriesPct: 20, pieceG: 75, piece: 'slices' },
  'pound-cake': { fat: ['butter', 96], sugar: [['caster-sugar', 100]], eggPct: 96, liquid: ['milk', 14], saltPct: 0.8, plainly: [['vanilla-extract', 1.6]], carriesPct: 35, pieceG: 75, piece: 'slices' },
  'oil-cake': { fat: ['neutral-oil', 68], sugar: [['light-brown-sugar', 112]], eggPct: 66, liquid: ['buttermilk', 66], saltPct: 1, plainly: [['vanilla-extract', 1.8]], carriesPct: 45, pieceG: 85, piece: 'pieces' },
  'chocolate-cake': { fat: ['butter', 62], sugar: [['light-brown-sugar', 130]], eggPct: 68, liquid: ['milk', 125], saltPct: 1.2, beside: [['cocoa-natural', 34]], plainly: [['vanilla-extract', 1.8]], carriesPct: 30, pieceG: 80, piece: 'squares' },
  'fruit-cake-rich': { fat: ['butter', 84], sugar: [['dark-brown-sugar', 80]], eggPct: 82, liquid: ['tea', 18], saltPct: 0.6, plainly: [['mixed-dried-fruit', 210], ['mixed-spice', 1.2]], carriesPct: 210, pieceG: 70, piece: 'slices' },
  'fruit-cake-light': { fat: ['butter', 56], sugar: [['light-brown-sugar', 66]], eggPct: 52, liquid: ['milk', 44], saltPct: 0.6, plainly: [['mixed-dried-fruit', 100], ['mixed-spice', 0.9]], carriesPct: 100, pieceG: 75, piece: 'slices' },
};

/** How much of a flavour is usual, g per 100 g of flour; general knowledge, for a start that is then tasted. */
export const flavourPct: Readonly<Record<string, number>> = {
  'vanilla-extract': 1.8,
  'vanilla-pod': 0.8,
  'almond-extract': 0.6,
  'flavour-extract': 0.8,
  'flower-water': 3,
  'citrus-zest': 1.8,
  cinnamon: 1.2,
  'ginger-ground': 1.8,
  'fresh-ginger': 6,
  cardamom: 1.2,
  'mixed-spice': 1.2,
  nutmeg: 0.4,
  cloves: 0.25,
  allspice: 0.7,
  mace: 0.4,
  'star-anise': 0.5,
  'fennel-seed': 1.2,
  caraway: 1,
  cumin: 1,
  'black-pepper': 1,
  'chilli-powder': 0.6,
  chilli: 4,
  'curry-powder': 1.5,
  'mustard-powder': 1,
  mustard: 4,
  turmeric: 0.5,
  saffron: 0.08,
  herbs: 2.5,
  'herbs-dried': 0.8,
  'spring-onion': 12,
  garlic: 2,
  lavender: 0.4,
  'instant-coffee': 2,
  'tea-leaves': 1.5,
  spirit: 6,
  liqueur: 8,
  'food-colour': 0.6,
};
