import type { Job } from '../jobs.js';

/** An ingredient that stands in for others of a job, with what it costs. */
export interface StandIn {
  readonly id: string;
  /** How readily a baker reaches for it, 0–1. */
  readonly ready: number;
  /** Grams of it for a gram of what it replaces; where nothing is said, the job's own measure decides (its fat, its sugar). */
  readonly per?: number;
  /** Largest share of the flour that may be it, in breads and scones and in cakes; 1 unless said. */
  readonly most?: readonly [bread: number, cake: number];
  readonly whyMost?: string;
  /** What it does to the bake, beyond what the instruments show. */
  readonly costs: string;
  /** Degrees by which to lower a still oven when all the sugar is it. */
  readonly coolerC?: number;
  /** Stand-ins of one kin are hardly a choice between them. */
  readonly kin?: string;
  /** Diets that its name alone does not show are met: "check that it is free of milk". */
  readonly check?: string;
}

/**
 * What stands in for what, by the job it does. General knowledge of bakers, not looked up; shares and readiness are
 * judgement. Amounts come from the search, which makes good water, fat, sugar, acid, gas and structure; this table says
 * only who may come, how much of it a crumb bears, and what no figure shows.
 */
// prettier-ignore
export const standIns: Readonly<Partial<Record<Job, readonly StandIn[]>>> = {
  flour: [
    { id: 'plain-flour', ready: 1, costs: '' },
    { id: 'self-raising-flour', ready: 0.8, costs: 'brings its own powder' },
    { id: 'cake-flour', ready: 0.7, costs: 'a finer, softer crumb' },
    { id: 'wholemeal-flour', ready: 0.9, most: [1, 0.5], whyMost: 'bran cuts the crumb', costs: 'nuttier and closer; let it stand 10 minutes to drink' },
    { id: 'spelt-flour', ready: 0.85, costs: 'nutty; weaker gluten, so mix less' },
    { id: 'wholemeal-spelt-flour', ready: 0.7, most: [1, 0.6], whyMost: 'bran cuts the crumb', costs: 'nutty and closer; mix little' },
    { id: 'oat-flour', ready: 0.7, most: [0.4, 0.4], whyMost: 'oats have no gluten', costs: 'moist and crumbly' },
    { id: 'rolled-oats', ready: 0.5, most: [0.35, 0.3], whyMost: 'oats have no gluten', costs: 'chewy; let them soak in the liquid' },
    { id: 'rye-flour', ready: 0.6, most: [0.5, 0.4], whyMost: 'rye has hardly any gluten', costs: 'darker, moist and close' },
    { id: 'light-rye-flour', ready: 0.6, most: [0.5, 0.5], whyMost: 'rye has hardly any gluten', costs: 'moist and closer' },
    { id: 'buckwheat-flour', ready: 0.55, most: [0.3, 0.4], whyMost: 'no gluten, and a strong taste', costs: 'earthy, tender, crumbles more' },
    { id: 'millet-flour', ready: 0.45, most: [0.3, 0.3], whyMost: 'no gluten', costs: 'mild, dry and sandy' },
    { id: 'barley-flour', ready: 0.5, most: [0.4, 0.4], whyMost: 'little gluten', costs: 'sweet, soft, close' },
    { id: 'maize-meal', ready: 0.4, most: [0.4, 0.35], whyMost: 'no gluten', costs: 'grainy, yellow' },
    { id: 'chickpea-flour', ready: 0.25, most: [0.25, 0.2], whyMost: 'no gluten, and it tastes of pulses until baked', costs: 'savoury, firm' },
    { id: 'rice-flour', ready: 0.4, most: [0.3, 0.3], whyMost: 'no gluten', costs: 'sandy, pale' },
    { id: 'sorghum-flour', ready: 0.4, most: [0.3, 0.3], whyMost: 'no gluten', costs: 'mild, dry' },
    { id: 'gluten-free-blend', ready: 0.7, costs: 'needs a gum to hold, and 20 minutes to drink; dries sooner' },
    { id: 'gluten-free-self-raising', ready: 0.4, costs: 'brings its own powder; needs a gum to hold' },
    { id: 'coconut-flour', ready: 0.15, most: [0.12, 0.12], whyMost: 'it drinks more than twice its weight', costs: 'sweet, fibrous' },
  ],
  'nut flour': [
    { id: 'ground-almond', ready: 1, costs: '' },
    { id: 'ground-hazelnut', ready: 0.8, costs: 'tastes of hazelnut, browns more' },
    { id: 'ground-walnut', ready: 0.6, costs: 'darker, a little bitter' },
    { id: 'ground-pistachio', ready: 0.6, costs: 'green and sweet' },
    { id: 'desiccated-coconut', ready: 0.5, costs: 'tastes of coconut, drinks more' },
    { id: 'oat-flour', ready: 0.6, costs: 'less rich, a little drier' },
    { id: 'semolina', ready: 0.5, costs: 'less rich, a grainy bite' },
    { id: 'maize-meal', ready: 0.4, costs: 'less rich, a grainy bite' },
  ],
  egg: [
    { id: 'egg', ready: 1, costs: '' },
    { id: 'yogurt', kin: 'yogurt', ready: 0.75, per: 1.1, costs: 'moist and tender, a closer crumb; no foam' },
    { id: 'soy-yogurt', kin: 'yogurt', ready: 0.7, per: 1.1, costs: 'moist and tender, a closer crumb; no foam' },
    { id: 'aquafaba', ready: 0.65, per: 0.9, costs: 'can be beaten to a foam, binds little' },
    { id: 'ground-flax', ready: 0.7, per: 0.16, costs: 'binds well, specks and a nutty taste; let it gel 10 minutes in the liquid' },
    { id: 'chia-seed', ready: 0.4, per: 0.15, costs: 'binds well, seeds show; let it gel 15 minutes in the liquid' },
    { id: 'apple-puree', ready: 0.55, per: 1.1, costs: 'moist, close, a little sweet; binds little' },
    { id: 'banana', ready: 0.4, per: 1.1, costs: 'tastes of banana; moist and close' },
    { id: 'egg-replacer', ready: 0.5, per: 0.14, costs: 'sets as starch: a drier, more crumbly slice' },
    { id: 'silken-tofu', ready: 0.4, per: 1.1, costs: 'binds, dense; blend it smooth' },
  ],
  'solid fat': [
    { id: 'butter', ready: 1, costs: '' },
    { id: 'butter-salted', kin: 'block', ready: 0.8, costs: 'brings salt' },
    { id: 'plant-butter', kin: 'block', ready: 0.85, costs: 'less flavour', check: 'that it is free of milk' },
    { id: 'margarine', kin: 'block', ready: 0.6, costs: 'less flavour' },
    { id: 'neutral-oil', ready: 0.75, costs: 'moister and keeps longer; no creamed air, no butter taste' },
    { id: 'olive-oil', ready: 0.5, costs: 'tastes of olive; no creamed air' },
    { id: 'coconut-oil', ready: 0.6, costs: 'creams while it is firm, a little coconut; sets hard when cold' },
    { id: 'ghee', ready: 0.5, costs: 'nutty; holds no water' },
    { id: 'shortening', ready: 0.4, costs: 'very tender, no taste' },
    { id: 'lard', ready: 0.35, costs: 'very flaky, a savoury note' },
  ],
  oil: [
    { id: 'neutral-oil', ready: 1, costs: '' },
    { id: 'butter', ready: 0.85, costs: 'more flavour, firmer when cold; melt it' },
    { id: 'olive-oil', ready: 0.7, costs: 'tastes of olive' },
    { id: 'coconut-oil', ready: 0.6, costs: 'sets hard when cold; melt it' },
    { id: 'plant-butter', kin: 'block', ready: 0.55, costs: 'firmer when cold; melt it', check: 'that it is free of milk' },
    { id: 'ghee', ready: 0.4, costs: 'nutty; melt it' },
    { id: 'yogurt', kin: 'yogurt', ready: 0.3, per: 1, costs: 'much leaner: firmer, dries sooner' },
    { id: 'apple-puree', ready: 0.3, per: 1, costs: 'much leaner: springy, dries sooner' },
  ],
  'dry sugar': [
    { id: 'caster-sugar', ready: 1, costs: '' },
    { id: 'white-sugar', ready: 0.95, costs: '' },
    { id: 'light-brown-sugar', ready: 0.9, costs: 'moister, a caramel note, a little darker' },
    { id: 'dark-brown-sugar', ready: 0.7, costs: 'moist and dark, tastes of treacle' },
    { id: 'demerara-sugar', ready: 0.4, costs: 'coarse: dissolve it first' },
    { id: 'coconut-sugar', ready: 0.4, costs: 'dark, less sweet to taste' },
    { id: 'jaggery', ready: 0.4, costs: 'dark, a deep caramel' },
    { id: 'honey', ready: 0.6, costs: 'moist, keeps longer, browns early; cannot be creamed', coolerC: 15 },
    { id: 'golden-syrup', ready: 0.5, costs: 'moist and sticky, browns early; cannot be creamed', coolerC: 12 },
    { id: 'maple-syrup', ready: 0.45, costs: 'moist, browns early; cannot be creamed', coolerC: 12 },
    { id: 'date-syrup', ready: 0.3, costs: 'dark, moist, browns early', coolerC: 15 },
  ],
  syrup: [
    { id: 'golden-syrup', ready: 0.9, costs: 'milder, paler' },
    { id: 'honey', ready: 0.8, costs: 'flowery, browns early', coolerC: 5 },
    { id: 'treacle', ready: 0.6, costs: 'dark, bitter-sweet, sour' },
    { id: 'maple-syrup', ready: 0.6, costs: 'thinner, milder' },
    { id: 'date-syrup', ready: 0.55, costs: 'dark and fruity' },
    { id: 'agave-syrup', ready: 0.5, costs: 'mild, browns early', coolerC: 5 },
    { id: 'rice-syrup', ready: 0.45, costs: 'mild, less sweet' },
    { id: 'corn-syrup', ready: 0.4, costs: 'no taste of its own' },
    { id: 'dark-brown-sugar', ready: 0.4, costs: 'less sticky, keeps less long' },
  ],
  milk: [
    { id: 'milk', ready: 1, costs: '' },
    { id: 'oat-drink', kin: 'drink', ready: 0.8, costs: 'a little sweeter' },
    { id: 'soy-drink', kin: 'drink', ready: 0.75, costs: 'browns as milk does' },
    { id: 'milk-semi', ready: 0.7, costs: '' },
    { id: 'almond-drink', kin: 'drink', ready: 0.5, costs: 'thin, paler crust' },
    { id: 'plant-drink', kin: 'drink', ready: 0.6, costs: '' },
    { id: 'rice-drink', kin: 'drink', ready: 0.35, costs: 'thin and sweet' },
    { id: 'water', ready: 0.5, costs: 'plainer, paler crust, stales sooner' },
    { id: 'buttermilk', ready: 0.5, costs: 'tangy, tender' },
    { id: 'yogurt', kin: 'yogurt', ready: 0.4, costs: 'tangy, thicker' },
    { id: 'coconut-milk', ready: 0.3, costs: 'rich, tastes of coconut' },
  ],
  'sour milk': [
    { id: 'buttermilk', ready: 1, costs: '' },
    { id: 'yogurt', kin: 'yogurt', ready: 0.85, costs: 'thicker: thin it with a little milk' },
    { id: 'kefir', ready: 0.8, costs: '' },
    { id: 'milk-soured', ready: 0.75, costs: 'thinner; stir the acid in 5 minutes before' },
    { id: 'sour-cream', ready: 0.6, costs: 'richer' },
    { id: 'creme-fraiche', ready: 0.45, costs: 'much richer' },
    { id: 'soy-yogurt', kin: 'yogurt', ready: 0.7, costs: 'a little less tang' },
    { id: 'milk', ready: 0.6, costs: 'no tang of its own' },
    { id: 'yogurt-strained', kin: 'yogurt', ready: 0.5, costs: 'much thicker' },
    { id: 'quark', ready: 0.4, costs: 'thicker, lean' },
    { id: 'oat-drink', kin: 'drink', ready: 0.4, costs: 'no tang of its own' },
    { id: 'soy-drink', kin: 'drink', ready: 0.4, costs: 'no tang of its own' },
  ],
  cream: [
    { id: 'cream-double', ready: 0.8, costs: 'richer' },
    { id: 'cream-whipping', ready: 0.9, costs: '' },
    { id: 'sour-cream', ready: 0.8, costs: 'tangy' },
    { id: 'creme-fraiche', ready: 0.8, costs: 'a little tang' },
    { id: 'coconut-cream', ready: 0.5, costs: 'tastes of coconut' },
    { id: 'coconut-milk', ready: 0.45, costs: 'tastes of coconut' },
    { id: 'yogurt-strained', kin: 'yogurt', ready: 0.5, costs: 'leaner, tangy' },
  ],
  water: [
    { id: 'water', ready: 1, costs: '' },
    { id: 'tea', ready: 0.6, costs: '' },
    { id: 'coffee', ready: 0.6, costs: 'deepens cocoa and spice' },
    { id: 'apple-juice', ready: 0.5, costs: 'sweeter' },
    { id: 'orange-juice', ready: 0.4, costs: 'sweet and sour' },
    { id: 'milk', ready: 0.6, costs: 'softer, browner' },
    { id: 'oat-drink', kin: 'drink', ready: 0.5, costs: '' },
  ],
  'purée': [
    { id: 'apple-puree', ready: 1, costs: 'mild' },
    { id: 'pear-puree', ready: 0.8, costs: 'mild' },
    { id: 'pumpkin-puree', ready: 0.7, costs: 'less sweet' },
    { id: 'banana', ready: 0.7, costs: 'tastes of banana' },
    { id: 'sweet-potato', ready: 0.5, costs: 'dense' },
    { id: 'prune-puree', ready: 0.4, costs: 'dark and sweet' },
  ],
  grated: [
    { id: 'carrot', ready: 1, costs: 'sweeter, orange shreds' },
    { id: 'parsnip', ready: 0.8, costs: 'sweet and earthy' },
    { id: 'courgette', ready: 0.7, costs: 'wet: squeeze it first' },
    { id: 'beetroot', ready: 0.6, costs: 'red, earthy' },
    { id: 'sweet-potato', ready: 0.6, costs: 'sweet, denser' },
    { id: 'apple-puree', ready: 0.5, costs: 'no shreds; wetter' },
    { id: 'pumpkin-puree', ready: 0.5, costs: 'no shreds; wetter' },
  ],
  alcohol: [
    { id: 'tea', ready: 0.8, costs: 'no malt, no bitterness' },
    { id: 'coffee', ready: 0.8, costs: 'bitter and dark, no malt' },
    { id: 'apple-juice', ready: 0.7, costs: 'sweeter, fruity' },
    { id: 'water', ready: 0.5, costs: 'plainer' },
    { id: 'stout', ready: 0.6, costs: 'bitter and malty' },
    { id: 'cider', ready: 0.5, costs: 'sharper, fruity' },
  ],
  cocoa: [
    { id: 'cocoa-natural', ready: 0.9, costs: 'sharper, browner; sour' },
    { id: 'cocoa-alkalised', ready: 0.9, costs: 'milder, darker; not sour' },
  ],
  soda: [{ id: 'baking-powder', ready: 0.9, costs: 'three to four times as much; the acid that met the soda stays, as tang' }],
  powder: [
    { id: 'baking-powder', ready: 1, costs: '' },
    { id: 'baking-soda', ready: 0.6, costs: 'acts at once: bake without waiting' },
    { id: 'baking-powder-aluminium-free', ready: 0.8, costs: '' },
    { id: 'baking-powder-tartrate', ready: 0.6, costs: 'acts at once: bake without waiting' },
    { id: 'baking-powder-low-sodium', ready: 0.7, costs: 'far less sodium' },
  ],
  acid: [
    { id: 'lemon-juice', ready: 1, costs: '' },
    { id: 'lime-juice', ready: 0.8, costs: '' },
    { id: 'vinegar', ready: 0.8, costs: 'a taste only where much is used' },
    { id: 'cream-of-tartar', ready: 0.5, costs: 'dry, no taste of lemon' },
    { id: 'citric-acid', ready: 0.4, costs: 'strong: weigh it' },
  ],
  salt: [
    { id: 'salt', ready: 1, costs: '' },
    { id: 'salt-coarse', ready: 0.8, costs: 'more spoons for the same weight' },
    { id: 'salt-flake', ready: 0.6, costs: 'twice the spoons for the same weight' },
    { id: 'salt-low-sodium', ready: 0.5, costs: 'a little bitter; not for everyone: potassium' },
  ],
};
