import type { Family } from './families.js';

/**
 * Families of bakes, a row each. Percentages are baker's (flour = 100), lift mmol CO2 to 100 g of flour and cocoa,
 * temperatures °C in a still oven, density g/ml of raw batter, rise baked height over batter's, fill share of the tin's
 * depth, loss % of the batter's weight. Basis: general baking literature, not looked up; see docs/science/balance.md.
 */
const ANY = [0, 1e6] as const;

// prettier-ignore
export const rows: readonly Family[] = [
  {
    id: 'biscuit', cracks: true, shaped: 'cut', name: 'biscuit', plural: 'biscuits',
    fat: [20, 50], sugar: [0, 15], egg: [0, 20], water: [50, 80], salt: [0, 2.2], lift: [13, 30],
    methods: ['rub-in'], creamed: false, flourParts: 3,
    carries: [0.14, 0.55], open: 0.25, dark: 0.15, cocoaPct: 0, bread: true, bakedIn: ['slab'],
    density: [1.05, 1.15], fill: [0, 1], rise: [1.6, 2.2], lossPct: [10, 16],
    ovenC: [200, 250], doneC: [93, 96], coolTinMin: 0, coolRackMin: 20,
    signs: 'tall, sides dry, golden top', keeps: '1–2 days; freeze shaped and raw',
  },
  {
    id: 'drop-biscuit', cracks: true, shaped: 'drop', name: 'drop biscuit', plural: 'drop biscuits',
    fat: [15, 45], sugar: [0, 15], egg: [0, 25], water: [75, 105], salt: [0, 2.2], lift: [13, 28],
    methods: ['rub-in', 'melt-and-stir'], creamed: false, flourParts: 3,
    carries: [0.15, 0.6], open: 0.1, dark: 0.15, cocoaPct: 0, bread: true, bakedIn: ['mound'],
    density: [1, 1.12], fill: [0, 1], rise: [1.5, 2], lossPct: [10, 16],
    ovenC: [200, 235], doneC: [93, 96], coolTinMin: 0, coolRackMin: 20,
    signs: 'craggy top well coloured, dry inside', keeps: '1–2 days',
  },
  {
    id: 'scone', cracks: true, shaped: 'cut', name: 'scone', plural: 'scones',
    fat: [12, 50], sugar: [4, 25], egg: [0, 30], water: [48, 80], salt: [0, 2], lift: [13, 30],
    methods: ['rub-in', 'coating'], creamed: false, flourParts: 3,
    carries: [0.14, 0.6], open: 0.15, dark: 0.15, cocoaPct: 0, bread: true, bakedIn: ['slab'],
    density: [1.1, 1.2], fill: [0, 1], rise: [1.6, 2.2], lossPct: [10, 16],
    ovenC: [190, 230], doneC: [93, 96], coolTinMin: 0, coolRackMin: 20,
    signs: 'risen, sides spring back, base sounds light', keeps: '1–2 days; best the same day',
  },
  {
    id: 'soda-bread', dome: 0.3, cracks: true, shaped: 'round', name: 'soda bread', plural: 'soda breads',
    fat: [0, 18], sugar: [0, 18], egg: [0, 15], water: [60, 88], salt: [0.8, 2.2], lift: [7, 16],
    methods: ['one-bowl', 'rub-in'], creamed: false, flourParts: 3,
    carries: [0.15, 0.45], open: -0.1, dark: 0.6, cocoaPct: 0, bread: true, bakedIn: ['mound'],
    density: [1, 1.12], fill: [0, 1], rise: [1.4, 1.8], lossPct: [10, 15],
    ovenC: [180, 230], doneC: [94, 98], coolTinMin: 0, coolRackMin: 45,
    signs: 'hollow knock on the base, cross well opened', keeps: '1–2 days',
  },
  {
    id: 'soda-loaf', cracks: true, name: 'soda loaf', plural: 'soda loaves',
    fat: [0, 18], sugar: [0, 18], egg: [0, 20], water: [80, 115], salt: [0.8, 2.2], lift: [8, 18],
    methods: ['one-bowl'], creamed: false, flourParts: 3,
    carries: [0.05, 0.4], open: -0.1, dark: 0.6, cocoaPct: 0, bread: true, bakedIn: ['loaf'],
    density: [1, 1.12], fill: [0.5, 0.85], rise: [1.3, 1.6], lossPct: [8, 14],
    ovenC: [180, 220], doneC: [95, 98], coolTinMin: 10, coolRackMin: 60,
    signs: 'hollow knock, sides come away', keeps: '2–4 days',
  },
  {
    id: 'muffin', dome: 0.28, name: 'muffin', plural: 'muffins',
    fat: [16, 60], sugar: [12, 95], egg: [18, 60], water: [85, 140], salt: [0, 2], lift: [10, 22],
    methods: ['muffin', 'creaming'], creamed: false, flourParts: 2,
    carries: [0.19, 1.2], open: 0.2, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['cup'],
    density: [0.95, 1.1], fill: [0.6, 1], rise: [1.6, 2], lossPct: [9, 13],
    ovenC: [170, 220], doneC: [94, 97], coolTinMin: 5, coolRackMin: 30,
    signs: 'clean pick or a few dry crumbs; top springs back', keeps: '2–3 days',
  },
  {
    id: 'quick-bread', dome: 0.22, cracks: true, name: 'quick bread', plural: 'quick breads',
    fat: [18, 70], sugar: [30, 125], egg: [22, 60], water: [75, 170], salt: [0, 2], lift: [7, 18],
    methods: ['muffin', 'creaming', 'one-bowl'], creamed: false, flourParts: 2,
    carries: [0.14, 1.5], open: 0.05, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['loaf'],
    density: [1, 1.15], fill: [0.6, 0.75], rise: [1.4, 1.7], lossPct: [5, 10],
    ovenC: [150, 190], doneC: [94, 97], coolTinMin: 10, coolRackMin: 90,
    signs: 'clean pick in several places; crack on top looks dry', keeps: '3–5 days',
  },
  {
    id: 'tea-loaf', name: 'tea loaf', plural: 'tea loaves',
    fat: [0, 15], sugar: [30, 85], egg: [0, 35], water: [70, 130], salt: [0, 1.5], lift: [10, 20],
    methods: ['one-bowl'], creamed: false, flourParts: 2,
    carries: [0.28, 3], open: -0.25, dark: 0.4, cocoaPct: 0, bread: true, bakedIn: ['loaf'],
    density: [1.05, 1.2], fill: [0.6, 0.8], rise: [1.25, 1.5], lossPct: [5, 10],
    ovenC: [150, 180], doneC: [94, 97], coolTinMin: 10, coolRackMin: 90,
    signs: 'firm in the middle, clean pick', keeps: '5–7 days, better on the second',
  },
  {
    id: 'maize-bread', cracks: true, name: 'maize bread', plural: 'maize breads',
    fat: [8, 45], sugar: [0, 60], egg: [20, 60], water: [100, 175], salt: [0.8, 2.4], lift: [11, 24],
    methods: ['muffin', 'melt-and-stir'], creamed: false, flourParts: 2,
    carries: [0.2, 1.7], open: -0.05, dark: 0.15, cocoaPct: 0, bread: true, bakedIn: ['round', 'square', 'rect'],
    density: [1, 1.12], fill: [0.4, 0.75], rise: [1.3, 1.6], lossPct: [7, 12],
    ovenC: [190, 230], doneC: [93, 96], coolTinMin: 10, coolRackMin: 20,
    signs: 'edges browned and leaving the pan', keeps: '1–2 days',
  },
  {
    id: 'treacle-cake', name: 'treacle cake', plural: 'treacle cakes',
    fat: [30, 65], sugar: [75, 130], egg: [12, 50], water: [75, 145], salt: [0, 1.8], lift: [7, 19],
    methods: ['melt-and-stir'], creamed: false, flourParts: 1,
    carries: [0.11, 0.5], open: 0, dark: 0.8, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [1, 1.12], fill: [0.45, 0.7], rise: [1.3, 1.6], lossPct: [6, 10],
    ovenC: [150, 180], doneC: [95, 98], coolTinMin: 15, coolRackMin: 90,
    signs: 'springs back; pick clean but sticky', keeps: '5–7 days, better on the third',
  },
  {
    id: 'butter-cake-lean', name: 'lean butter cake', plural: 'lean butter cakes',
    fat: [25, 65], sugar: [50, 100], egg: [28, 70], water: [75, 130], salt: [0, 1.8], lift: [8, 19],
    methods: ['creaming', 'coating'], creamed: true, flourParts: 1,
    carries: [0.2, 1.6], open: 0.05, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.8, 1], fill: [0.4, 0.66], rise: [1.6, 2], lossPct: [7, 12],
    ovenC: [160, 190], doneC: [95, 98], coolTinMin: 10, coolRackMin: 90,
    signs: 'springs back, edges leave the tin', keeps: '3–4 days',
  },
  {
    id: 'butter-cake-high-ratio', name: 'high-ratio butter cake', plural: 'high-ratio butter cakes',
    fat: [38, 75], sugar: [100, 155], egg: [45, 100], water: [95, 165], salt: [0, 2.5], lift: [7, 20],
    methods: ['creaming', 'coating'], creamed: true, flourParts: 1,
    carries: [0.13, 1.1], open: 0.1, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.8, 1], fill: [0.4, 0.66], rise: [1.6, 2], lossPct: [7, 12],
    ovenC: [160, 190], doneC: [95, 98], coolTinMin: 10, coolRackMin: 90,
    signs: 'springs back, edges leave the tin', keeps: '3–4 days',
  },
  {
    id: 'equal-weight-sponge', name: 'equal-weight sponge', plural: 'equal-weight sponges',
    fat: [72, 92], sugar: [85, 115], egg: [85, 120], water: [80, 115], salt: [0, 1.8], lift: [10, 24],
    methods: ['creaming', 'one-bowl'], creamed: true, flourParts: 1,
    carries: [0.08, 1], open: 0.35, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.8, 0.98], fill: [0.4, 0.66], rise: [1.5, 1.9], lossPct: [7, 12],
    ovenC: [160, 190], doneC: [95, 98], coolTinMin: 10, coolRackMin: 90,
    signs: 'springs back, edges leave the tin', keeps: '2–3 days',
  },
  {
    id: 'pound-cake', dome: 0.2, cracks: true, name: 'pound cake', plural: 'pound cakes',
    fat: [48, 110], sugar: [65, 170], egg: [60, 125], water: [55, 125], salt: [0, 1.6], lift: [0, 12],
    methods: ['creaming'], creamed: true, flourParts: 1,
    carries: [0.13, 0.7], open: -0.45, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['loaf', 'tube', 'round'],
    density: [0.82, 1], fill: [0.6, 0.75], rise: [1.3, 1.5], lossPct: [5, 10],
    ovenC: [145, 180], doneC: [96, 99], coolTinMin: 15, coolRackMin: 120,
    signs: 'clean pick; crack on top dry', keeps: '4–6 days',
  },
  {
    id: 'oil-cake', name: 'oil cake', plural: 'oil cakes',
    fat: [42, 105], sugar: [80, 170], egg: [40, 95], water: [85, 175], salt: [0, 2], lift: [8, 23],
    methods: ['one-bowl', 'muffin'], creamed: false, flourParts: 1,
    carries: [0.1, 1.4], open: 0.2, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.95, 1.1], fill: [0.4, 0.66], rise: [1.5, 1.9], lossPct: [7, 12],
    ovenC: [160, 185], doneC: [95, 98], coolTinMin: 10, coolRackMin: 90,
    signs: 'springs back, clean pick', keeps: '4–5 days',
  },
  {
    id: 'chocolate-cake', name: 'chocolate cake', plural: 'chocolate cakes',
    fat: [30, 100], sugar: [90, 200], egg: [35, 150], water: [95, 260], salt: [0, 2.6], lift: [8, 26],
    methods: ['creaming', 'one-bowl', 'melt-and-stir'], creamed: false, flourParts: 1,
    carries: [0.12, 0.8], open: 0.15, dark: 0.15, cocoaPct: 30, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.9, 1.08], fill: [0.4, 0.66], rise: [1.4, 1.9], lossPct: [6, 12],
    ovenC: [150, 185], doneC: [95, 98], coolTinMin: 10, coolRackMin: 90,
    signs: 'springs back; a few moist crumbs on the pick', keeps: '4–5 days',
  },
  {
    id: 'fruit-cake-rich', name: 'rich fruit cake', plural: 'rich fruit cakes',
    fat: [40, 95], sugar: [45, 115], egg: [45, 115], water: [50, 125], salt: [0, 1.5], lift: [0, 9],
    methods: ['creaming'], creamed: true, flourParts: 1,
    carries: [0.48, 8], open: -0.6, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square'],
    density: [1.1, 1.25], fill: [0.7, 0.9], rise: [1.1, 1.25], lossPct: [3, 7],
    ovenC: [120, 165], doneC: [95, 98], coolTinMin: 720, coolRackMin: 120,
    signs: 'stops singing; pick clean between the fruit', keeps: 'weeks, well wrapped',
  },
  {
    id: 'fruit-cake-light', name: 'light fruit cake', plural: 'light fruit cakes',
    fat: [25, 70], sugar: [40, 100], egg: [25, 80], water: [60, 130], salt: [0, 1.5], lift: [5, 18],
    methods: ['creaming', 'melt-and-stir', 'rub-in'], creamed: true, flourParts: 1,
    carries: [0.27, 3.3], open: -0.4, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'loaf'],
    density: [1.05, 1.2], fill: [0.6, 0.8], rise: [1.2, 1.45], lossPct: [4, 9],
    ovenC: [140, 175], doneC: [95, 98], coolTinMin: 20, coolRackMin: 120,
    signs: 'clean pick between the fruit; springs back', keeps: '5–7 days',
  },
  {
    id: 'free', name: 'free formula', plural: 'free formulas',
    fat: ANY, sugar: ANY, egg: ANY, water: ANY, salt: ANY, lift: ANY,
    methods: ['one-bowl'], creamed: false, flourParts: 1,
    carries: [0.15, 2.5], open: 0, dark: 0.15, cocoaPct: 0, bread: false, bakedIn: ['round', 'square', 'rect'],
    density: [0.9, 1.15], fill: [0.3, 0.8], rise: [1.2, 1.9], lossPct: [4, 14],
    ovenC: [120, 250], doneC: [95, 98], coolTinMin: 10, coolRackMin: 60,
    signs: 'clean pick', keeps: 'not known',
  },
];

/** What a relative is told by, and in what it differs from the family it is stored as. */
export interface Relative extends Partial<Omit<Family, 'id'>> {
  readonly name: string;
  readonly plural: string;
  /** Families that it is found among. */
  readonly among: readonly Family['id'][];
  /** Words of the title, one of which it must have; any title where not given. */
  readonly titled?: RegExp;
  /** What its amounts must be. */
  readonly when: (t: Amounts) => boolean;
}

/** What of a formula's totals its relatives are told by: g, and % of flour. */
export interface Amounts {
  readonly flourG: number;
  readonly nutG: number;
  readonly semolinaG: number;
  readonly fatPct: number;
  readonly sugarPct: number;
  readonly eggPct: number;
}

/** Sugar, % of flour, below which a muffin is meant to be savoury. */
const SAVOURY_BELOW = 12;
const cakes: readonly Family['id'][] = ['free', 'butter-cake-lean', 'butter-cake-high-ratio', 'equal-weight-sponge', 'pound-cake', 'oil-cake']; // prettier-ignore

/**
 * Relatives of the families, told by title and amounts, with rules of their own. Ranges are those of 9 in 10 of the
 * ordinary formulas of their kind (docs/science/plausibility.md), rounded outwards; the rest is general knowledge.
 */
// prettier-ignore
export const relatives: readonly Relative[] = [
  {
    name: 'savoury muffin', plural: 'savoury muffins', among: ['muffin'],
    when: (t) => t.flourG > 0 && t.sugarPct < SAVOURY_BELOW,
    sugar: [0, SAVOURY_BELOW], salt: [0.6, 2.4],
  },
  {
    name: 'rusk', shaped: 'round', cracks: true, plural: 'rusks', among: ['free', 'scone', 'quick-bread', 'muffin', 'soda-bread'], titled: /\brusks?\b/i,
    when: () => true,
    fat: [18, 50], sugar: [15, 90], egg: [5, 90], water: [35, 90], salt: [0, 2.2], lift: [9, 16],
    open: -0.1, density: [1.05, 1.2], rise: [1.3, 1.6], ovenC: [170, 190], doneC: [94, 97],
    signs: 'baked through first; then sliced and dried slowly until hard all through', keeps: 'weeks in a closed tin',
  },
  {
    name: 'rock cake', shaped: 'drop', cracks: true, plural: 'rock cakes', among: ['free', 'scone', 'drop-biscuit', 'biscuit'],
    titled: /\brock (?:cakes?|buns?)\b|\b(?:raspberry|coconut) buns\b/i, when: () => true,
    fat: [30, 55], sugar: [25, 55], egg: [15, 40], water: [20, 55], salt: [0, 1.5], lift: [10, 20],
    methods: ['rub-in'], open: -0.1, density: [1.1, 1.25], fill: [0, 1], rise: [1.2, 1.6], lossPct: [8, 13],
    ovenC: [180, 210], doneC: [94, 97], coolTinMin: 5, coolRackMin: 30,
    signs: 'rough peaks browned, firm underneath', keeps: '1–2 days',
  },
  {
    name: 'damper', shaped: 'round', cracks: true, plural: 'dampers', among: ['soda-bread', 'free', 'scone'], titled: /\bdampers?\b|\bbannocks?\b/i,
    when: (t) => t.fatPct < 25,
    fat: [0, 20], sugar: [0, 12], egg: [0, 15], water: [48, 75], salt: [0.5, 2.2], lift: [10, 18],
    methods: ['rub-in', 'one-bowl'], open: 0, density: [1.05, 1.15], fill: [0, 1], rise: [1.4, 1.8], lossPct: [10, 15],
    ovenC: [190, 220], doneC: [94, 98], coolTinMin: 0, coolRackMin: 30,
    signs: 'hollow knock on the base', keeps: 'the same day',
  },
  {
    name: 'brownie', plural: 'brownies', among: [...cakes, 'chocolate-cake'], titled: /\bbrownies?\b|\bblondies?\b/i,
    when: (t) => t.fatPct > 45 && t.sugarPct > 100,
    fat: [50, 130], sugar: [110, 260], egg: [25, 110], water: [20, 110], salt: [0, 2.4], lift: [0, 9],
    methods: ['melt-and-stir'], creamed: false, open: -0.7, density: [1.05, 1.25], fill: [0.4, 0.75], rise: [1.05, 1.3], lossPct: [4, 9],
    ovenC: [160, 180], doneC: [88, 94], coolTinMin: 60, coolRackMin: 60,
    signs: 'a papery top; moist crumbs on the pick, no wet streak', keeps: '4–5 days, cut cold',
  },
  {
    name: 'nut cake', plural: 'nut cakes', among: cakes, when: (t) => t.nutG > t.flourG,
    fat: [0, 170], sugar: [0, 370], egg: [45, 540], water: [0, 420], salt: [0, 3], lift: [0, 36],
    methods: ['whisking'],
    open: -0.2, density: [0.7, 1.1], fill: [0.5, 0.75], rise: [1.1, 1.4], lossPct: [6, 12],
    ovenC: [150, 180], doneC: [93, 97], signs: 'springs back; pick clean, the middle no longer wobbles', keeps: '4–5 days',
  },
  {
    name: 'semolina cake', plural: 'semolina cakes', among: cakes, when: (t) => t.semolinaG > 0.5 * t.flourG,
    fat: [15, 65], sugar: [35, 110], egg: [0, 95], water: [30, 150], salt: [0, 1.5], lift: [4, 15],
    open: -0.1, density: [1, 1.15], fill: [0.4, 0.75], rise: [1.2, 1.5], lossPct: [7, 13],
    ovenC: [165, 195], doneC: [94, 98], signs: 'deep gold, a clean pick', keeps: '4–5 days with its syrup',
  },
  {
    name: 'chiffon cake', plural: 'chiffon cakes', among: cakes,
    when: (t) => t.eggPct >= 80 && t.fatPct >= 28 && t.fatPct <= 70 && t.sugarPct >= 60, titled: /\bchiffon\b/i,
    fat: [40, 68], sugar: [60, 160], egg: [80, 290], water: [110, 310], salt: [0, 2.5], lift: [0, 23],
    methods: ['whisking'],
    open: 0.6, density: [0.38, 0.6], fill: [0.6, 0.8], rise: [1.2, 1.5], lossPct: [9, 14],
    ovenC: [150, 175], doneC: [95, 98], coolTinMin: 90, coolRackMin: 0,
    signs: 'springs back, cracks look dry; cool it upside down in its tin', keeps: '2–3 days',
  },
  {
    name: 'whisked sponge', plural: 'whisked sponges', among: ['free', 'equal-weight-sponge', 'butter-cake-lean'],
    when: (t) => t.flourG > t.nutG && t.eggPct >= 90 && t.fatPct < 45 && t.sugarPct >= 55,
    fat: [0, 45], sugar: [50, 175], egg: [85, 280], water: [70, 270], salt: [0, 2], lift: [0, 22],
    methods: ['whisking'],
    open: 0.5, density: [0.35, 0.65], fill: [0.5, 0.75], rise: [1.1, 1.5], lossPct: [8, 13],
    ovenC: [160, 200], doneC: [95, 98], signs: 'springs back, edges leave the tin', keeps: '1–2 days; fill or soak it soon',
  },
  {
    name: 'pancake', shaped: 'drop', plural: 'pancakes', among: ['free', 'scone', 'drop-biscuit', 'muffin', 'quick-bread', 'butter-cake-lean', 'maize-bread'],
    titled: /\bpan\s?cakes?\b|\bhot\s?cakes?\b|\bpikelets?\b|\bdrop(?:ped)? scones?\b|\bgriddle ?cakes?\b/i, when: () => true,
    fat: [0, 30], sugar: [0, 42], egg: [0, 245], water: [125, 320], salt: [0, 1.8], lift: [12, 26],
    open: 0.2, methods: ['muffin', 'one-bowl'], carries: [0.1, 0.8], signs: 'bubbles that burst and stay open; gold on both sides', keeps: 'the same day, or frozen',
  },
  {
    name: 'waffle', plural: 'waffles', among: ['free', 'muffin', 'quick-bread', 'butter-cake-lean', 'butter-cake-high-ratio', 'oil-cake'],
    titled: /\bwaffles?\b/i, when: () => true,
    fat: [15, 50], sugar: [0, 80], egg: [0, 67], water: [125, 215], salt: [0, 2.3], lift: [6, 23],
    open: 0.2, methods: ['muffin', 'creaming', 'whisking'], signs: 'gold, and hardly any steam left', keeps: 'the same day, or frozen and toasted',
  },
  {
    name: 'doughnut', shaped: 'cut', plural: 'doughnuts', among: ['free', 'scone', 'biscuit', 'muffin', 'quick-bread', 'butter-cake-lean'],
    titled: /\bdough\s?nuts?\b|\bdonuts?\b/i, when: () => true,
    fat: [7, 38], sugar: [45, 60], egg: [14, 40], water: [50, 104], salt: [0.8, 2], lift: [9, 19],
    methods: ['muffin', 'creaming'], signs: 'deep gold on both sides; one broken open is dry inside', keeps: 'the same day',
  },
  {
    name: 'sweet maize cake', plural: 'sweet maize cakes', among: ['maize-bread'], when: (t) => t.sugarPct >= 45,
    fat: [15, 60], sugar: [40, 120], egg: [0, 70], water: [80, 185], ovenC: [165, 195], doneC: [94, 98],
    signs: 'springs back, clean pick', keeps: '3–4 days',
  },
];
