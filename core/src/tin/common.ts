import { tinMaterials, type Tin, type TinMaterial, type TinShape } from '../formula/types.js';
import { capital } from '../text/plain.js';
import { areaAt, capacityOf, outlineOf } from './geometry.js';

/** Where kitchens have a tin under that name. */
export const tinRegions = ['UK and Ireland', 'US and Canada', 'Australia and New Zealand', 'India', 'Europe'] as const;
export type TinRegion = (typeof tinRegions)[number];

/** A tin as shops sell it, to begin with: its sizes are to be checked against one's own. */
export interface CommonTin {
  readonly id: string;
  readonly region: TinRegion;
  readonly tin: Tin;
}

const UK = 'UK and Ireland', US = 'US and Canada', AU = 'Australia and New Zealand', IN = 'India', EU = 'Europe'; // prettier-ignore

type Row = readonly [region: TinRegion, name: string, shape: TinShape, topMm: number, top2Mm: number | null, depthMm: number, more?: Partial<Pick<Tin, 'baseMm' | 'base2Mm' | 'tubeMm' | 'cups' | 'capacityMl' | 'material'>>]; // prettier-ignore

/** Cups by name: rim, base and depth of one, mm. */
const muffins = (
  region: TinRegion,
  of: readonly (readonly [name: string, cups: number, top: number, base: number, depth: number, material?: TinMaterial])[],
): Row[] => of.map(([name, cups, top, base, depth, material]): Row => [region, name, 'cup', top, null, depth, { cups, baseMm: base, ...(material && { material }) }]); // prettier-ignore
/** Rounds or squares of several widths, mm, by one depth. */
const sizes = (region: TinRegion, shape: 'round' | 'square', depthMm: number, widths: readonly number[], name: (mm: number) => string, more: Row[6] = {}): Row[] => widths.map((mm): Row => [region, name(mm), shape, mm, null, depthMm, more]); // prettier-ignore
const cm = (mm: number): string => String(Math.round(mm / 10));
const inches = (mm: number): string => String(Math.round(mm / 25.4));

/**
 * A hundred and twenty common tins of five regions, inside sizes in mm, and what they hold, ml, where makers state that. General knowledge of what
 * shops sell, not looked up; tins of one name differ by some millimetres.
 */
// prettier-ignore
const rows: readonly Row[] = [
  ...sizes(UK, 'round', 38, [180, 200, 230], (mm) => `${cm(mm)} cm (${inches(mm)} in) sandwich tin`),
  ...sizes(UK, 'round', 75, [150, 180, 200, 230, 250], (mm) => `deep ${cm(mm)} cm (${inches(mm)} in) round`),
  ...sizes(UK, 'round', 68, [200, 230], (mm) => `${cm(mm)} cm (${inches(mm)} in) springform`, { material: 'dark metal' }),
  ...sizes(UK, 'square', 75, [150, 180, 200, 230], (mm) => `deep ${cm(mm)} cm (${inches(mm)} in) square`),
  [UK, '1 lb (450 g) loaf tin', 'loaf', 165, 95, 60, { baseMm: 150, base2Mm: 80 }],
  [UK, '2 lb (900 g) loaf tin', 'loaf', 222, 120, 68, { baseMm: 205, base2Mm: 103 }],
  [UK, '3 lb loaf tin', 'loaf', 265, 135, 80, { baseMm: 250, base2Mm: 120 }],
  [UK, '8 mini loaf tray', 'cup', 62, null, 34, { cups: 8, baseMm: 55 }],
  [UK, '30 × 20 cm traybake', 'rect', 300, 200, 40],
  [UK, '33 × 23 cm Swiss roll tin', 'rect', 330, 230, 20],
  [UK, '20 × 30 cm enamel pie dish', 'rect', 300, 200, 50, { material: 'dark metal' }],
  ...muffins(UK, [['12-hole bun tray', 12, 65, 48, 20], ['12-hole muffin tray', 12, 70, 51, 32], ['6-hole deep muffin tray', 6, 76, 55, 40], ['24-hole mini muffin tray', 24, 45, 32, 23], ['4-hole pudding tray', 4, 100, 88, 24]]),
  [UK, '150 ml pudding basin', 'cup', 80, null, 50, { cups: 1, baseMm: 48 }],
  [UK, '1 pint (570 ml) pudding basin', 'round', 125, null, 80, { baseMm: 75, capacityMl: 570, material: 'ceramic' }],
  [UK, '2 pint (1.1 l) pudding basin', 'round', 155, null, 95, { baseMm: 90, capacityMl: 1140, material: 'ceramic' }],
  [UK, '23 cm ring tin', 'tube', 230, null, 60, { tubeMm: 75, capacityMl: 1500 }],

  ...sizes(US, 'round', 51, [152, 203, 229, 254, 305], (mm) => `${inches(mm)} × 2 in round`),
  ...sizes(US, 'round', 76, [203, 229], (mm) => `${inches(mm)} × 3 in round`),
  ...sizes(US, 'round', 70, [229, 254], (mm) => `${inches(mm)} in springform`, { material: 'dark metal' }),
  ...sizes(US, 'square', 51, [203, 229], (mm) => `${inches(mm)} × 2 in square`),
  [US, '8 in glass square dish', 'square', 203, null, 51, { material: 'glass' }],
  [US, '9 × 13 in pan', 'rect', 330, 229, 51],
  [US, '9 × 13 in glass dish', 'rect', 325, 222, 51, { material: 'glass' }],
  [US, '11 × 7 in pan', 'rect', 279, 178, 51],
  [US, 'quarter sheet, 13 × 9 × 1 in', 'rect', 314, 219, 25],
  [US, 'jelly roll pan, 15 × 10 × 1 in', 'rect', 381, 254, 25],
  [US, 'half sheet, 18 × 13 × 1 in', 'rect', 432, 305, 25],
  [US, 'two-thirds sheet, 21 × 15 × 1 in', 'rect', 521, 368, 25],
  [US, '8½ × 4½ in loaf pan', 'loaf', 213, 114, 64, { baseMm: 200, base2Mm: 102 }],
  [US, '9 × 5 in loaf pan', 'loaf', 226, 124, 70, { baseMm: 210, base2Mm: 108 }],
  [US, '9 × 5 in glass loaf dish', 'loaf', 222, 120, 70, { baseMm: 200, base2Mm: 100, material: 'glass' }],
  [US, '10 × 5 in loaf pan', 'loaf', 250, 124, 76, { baseMm: 235, base2Mm: 110 }],
  [US, '5¾ × 3 in mini loaf pan', 'loaf', 143, 76, 54, { baseMm: 130, base2Mm: 64 }],
  [US, '13 × 4 in long lidded loaf pan', 'loaf', 330, 102, 102, { baseMm: 325, base2Mm: 98 }],
  [US, '12-cup fluted tube pan', 'tube', 254, null, 95, { tubeMm: 75, capacityMl: 2840 }],
  [US, '10-cup fluted tube pan', 'tube', 241, null, 90, { tubeMm: 72, capacityMl: 2370 }],
  [US, '6-cup fluted tube pan', 'tube', 203, null, 75, { tubeMm: 60, capacityMl: 1420 }],
  [US, '10 in plain tube pan, 16 cups', 'tube', 254, null, 108, { tubeMm: 80, capacityMl: 3790 }],
  ...muffins(US, [['12-cup muffin pan', 12, 70, 51, 36], ['24-cup mini muffin pan', 24, 45, 32, 22], ['6-cup jumbo muffin pan', 6, 89, 70, 48], ['24-cup muffin pan', 24, 70, 51, 36], ['12-cup silicone muffin pan', 12, 70, 50, 35, 'silicone']]),
  [US, '4 oz ramekin', 'cup', 80, null, 40, { cups: 1, baseMm: 72, material: 'ceramic' }],
  [US, '6 oz ramekin', 'cup', 90, null, 45, { cups: 1, baseMm: 82, material: 'ceramic' }],
  [US, '12 oz mug', 'cup', 80, null, 95, { cups: 1, baseMm: 76, material: 'ceramic' }],
  [US, '8 in iron skillet', 'round', 205, null, 45, { baseMm: 178, material: 'cast iron' }],
  [US, '10 in iron skillet', 'round', 254, null, 51, { baseMm: 225, material: 'cast iron' }],
  [US, '12 in iron skillet', 'round', 300, null, 55, { baseMm: 265, material: 'cast iron' }],
  [US, '9 in pie dish, glass', 'round', 229, null, 38, { baseMm: 180, material: 'glass' }],
  [US, '1 lb coffee can', 'round', 100, null, 140],

  ...sizes(AU, 'round', 60, [180, 200, 220, 240], (mm) => `${cm(mm)} cm round`),
  ...sizes(AU, 'round', 45, [200, 220], (mm) => `${cm(mm)} cm sandwich tin`),
  ...sizes(AU, 'round', 68, [220, 240], (mm) => `${cm(mm)} cm springform`),
  ...sizes(AU, 'square', 75, [190, 200, 230], (mm) => `deep ${cm(mm)} cm square`),
  [AU, '20 × 30 cm lamington tin', 'rect', 300, 200, 32],
  [AU, '18 × 28 cm slice tin', 'rect', 280, 180, 32],
  [AU, '25 × 30 cm Swiss roll tin', 'rect', 300, 250, 22],
  [AU, '21 × 11 cm loaf tin', 'loaf', 206, 105, 65, { baseMm: 190, base2Mm: 90 }],
  [AU, '25 × 12 cm loaf tin', 'loaf', 240, 113, 68, { baseMm: 225, base2Mm: 98 }],
  [AU, '8 × 25 cm bar tin', 'loaf', 245, 78, 42, { baseMm: 238, base2Mm: 70 }],
  [AU, '10-hole friand tray', 'cup', 72, null, 30, { cups: 10, baseMm: 62 }],
  ...muffins(AU, [['12-hole ⅓ cup muffin tray', 12, 67, 50, 33], ['6-hole ¾ cup texas muffin tray', 6, 85, 66, 45], ['12-hole patty pan tray', 12, 60, 42, 20], ['24-hole mini muffin tray', 24, 43, 30, 20]]),
  [AU, '22 cm ring tin', 'tube', 220, null, 80, { tubeMm: 60, capacityMl: 1900 }],
  [AU, '23 cm fluted ring tin', 'tube', 230, null, 85, { tubeMm: 65, capacityMl: 2200 }],
  [AU, '1 l ceramic loaf dish', 'loaf', 200, 100, 62, { baseMm: 180, base2Mm: 82, material: 'ceramic' }],
  [AU, 'nut roll tin', 'round', 80, null, 180],

  ...sizes(IN, 'round', 64, [127, 152, 178, 203, 229, 254], (mm) => `${inches(mm)} in round`),
  ...sizes(IN, 'square', 64, [152, 178, 203, 229], (mm) => `${inches(mm)} in square`),
  [IN, '8 × 4 in bread tin', 'loaf', 203, 102, 89, { baseMm: 198, base2Mm: 97 }],
  [IN, '7 × 3 in bar cake tin', 'loaf', 178, 76, 60, { baseMm: 168, base2Mm: 68 }],
  [IN, '9 × 4 in loaf tin', 'loaf', 229, 102, 70, { baseMm: 215, base2Mm: 90 }],
  [IN, '10 × 8 in tray', 'rect', 254, 203, 40],
  [IN, '12 × 10 in oven tray', 'rect', 305, 254, 20, { material: 'dark metal' }],
  [IN, '8 in fluted ring tin', 'tube', 203, null, 75, { tubeMm: 60, capacityMl: 1400 }],
  [IN, '8 in steel dish', 'round', 203, null, 70, { material: 'shiny metal' }],
  [IN, '1.5 l glass dish', 'rect', 220, 150, 55, { material: 'glass' }],
  [IN, '8 in glass round', 'round', 203, null, 50, { material: 'glass' }],
  ...muffins(IN, [['12-cup muffin tray', 12, 70, 50, 30], ['6-cup muffin tray', 6, 70, 50, 32], ['24-cup mini muffin tray', 24, 45, 32, 22], ['6-cup silicone muffin tray', 6, 70, 50, 35, 'silicone']]),

  ...sizes(EU, 'round', 68, [180, 200, 240, 260, 280], (mm) => `${cm(mm)} cm springform`, { material: 'dark metal' }),
  [EU, '30 cm round tin', 'round', 300, null, 45],
  [EU, '28 cm tart tin', 'round', 280, null, 30],
  [EU, '24 cm square tin', 'square', 240, null, 50],
  [EU, '25 cm box tin', 'loaf', 245, 108, 70, { baseMm: 232, base2Mm: 90, material: 'dark metal' }],
  [EU, '30 cm box tin', 'loaf', 295, 112, 75, { baseMm: 282, base2Mm: 92, material: 'dark metal' }],
  [EU, '35 cm saddle tin', 'loaf', 345, 110, 65, { baseMm: 330, base2Mm: 70 }],
  [EU, '26 cm cake mould', 'loaf', 255, 100, 72, { baseMm: 240, base2Mm: 82 }],
  [EU, '1.5 l rectangular loaf mould', 'loaf', 240, 100, 72, { baseMm: 225, base2Mm: 85, capacityMl: 1500 }],
  [EU, '22 cm Gugelhupf tin', 'tube', 220, null, 105, { tubeMm: 60, capacityMl: 2500 }],
  [EU, '16 cm Gugelhupf tin', 'tube', 160, null, 85, { tubeMm: 45, capacityMl: 1000 }],
  [EU, '26 cm wreath tin', 'tube', 260, null, 60, { tubeMm: 95, capacityMl: 2000 }],
  [EU, '24 cm savarin ring', 'tube', 240, null, 55, { tubeMm: 110, capacityMl: 1500 }],
  [EU, '26 cm ciambella ring', 'tube', 260, null, 85, { tubeMm: 80, capacityMl: 2800 }],
  [EU, '42 × 32 cm oven tray', 'rect', 420, 320, 35, { material: 'dark metal' }],
  [EU, '44 × 37 cm oven tray', 'rect', 440, 370, 25, { material: 'dark metal' }],
  [EU, '40 × 30 cm bradepande', 'rect', 400, 300, 40],
  [EU, '60 × 40 cm bakery tray', 'rect', 580, 380, 20],
  [EU, '25 × 35 cm roasting tin', 'rect', 350, 250, 60],
  ...muffins(EU, [['12-hole muffin tray', 12, 70, 50, 30, 'dark metal'], ['24-hole mini tray', 24, 47, 33, 22, 'dark metal'], ['6-hole silicone tray', 6, 70, 50, 40, 'silicone'], ['9 madeleine shells', 9, 58, 40, 16]]),
  [EU, '0.2 l preserving glass', 'cup', 70, null, 65, { cups: 1, baseMm: 62, material: 'glass' }],
  [EU, '8 cm soufflé dish', 'cup', 80, null, 45, { cups: 1, baseMm: 76, material: 'ceramic' }],
  [EU, '24 cm cast iron pot', 'round', 240, null, 110, { baseMm: 215, material: 'cast iron' }],
];

/** The tin with the base that makes it hold what is said of it: no water has measured this one yet. */
function holding({ capacityMl, ...tin }: Tin): Tin {
  if (capacityMl === undefined) return tin;
  let [lo, hi] = [0.4 * tin.topMm, tin.topMm];
  for (let i = 0; i < 30; i++) {
    const baseMm = (lo + hi) / 2;
    if (capacityOf({ ...tin, baseMm }) < capacityMl) lo = baseMm;
    else hi = baseMm;
  }
  return { ...tin, baseMm: Math.round(hi) };
}

/** All of them, with ids that stay. */
export const commonTins: readonly CommonTin[] = rows.map(([region, name, shape, topMm, top2Mm, depthMm, more]) => {
  // the ids of tins that are hung up begin with it
  const id = `${region.slice(0, 2).toLowerCase()}-${name.toLowerCase().normalize('NFKD').replace(/[^a-z0-9½¾⅓]+/g, '-').replace(/^-|-$/g, '')}`; // prettier-ignore
  const tin: Tin = { id, name: capital(name), shape, topMm, ...(top2Mm !== null && { top2Mm }), depthMm, material: 'light metal', ...more }; // prettier-ignore
  return { id, region, tin: holding(tin) };
});

/** Weight of a wall, kg/m2: 0.5 mm of tinplate, 0.8 of dark steel, 4 of iron, 5 of glass, 7 of ceramic, 1.5 of silicone. General knowledge. */
const WALL_KG_M2: Readonly<Record<TinMaterial, number>> = Object.fromEntries(
  tinMaterials.map((m) => [m, { 'light metal': 3.8, 'shiny metal': 4.5, 'dark metal': 5.2, glass: 12, ceramic: 15, silicone: 1.8, 'cast iron': 30, none: 0 }[m]]), // prettier-ignore
) as Record<TinMaterial, number>;
/** Tube tins are cast, or pressed from thicker metal. */
const TUBE_HEAVIER = 1.3;
/** What a rolled rim adds, and how much lighter the sheet of trays is. Judgements. */
const RIM = 1.1;
const TRAY_LIGHTER = 0.65;

/** About what a tin weighs empty, g, by its walls; only a scale knows. 0 of what stands free. */
export function typicalTareG(tin: Tin): number {
  const o = outlineOf(tin);
  if (o.free) return 0;
  const girth = (o.kind === 'box' ? 2 * (o.top + o.top2) : Math.PI * (o.top + o.tube)) * 0.97;
  const deck = tin.shape === 'cup' && o.cups > 1 ? (o.top + 15) ** 2 - areaAt(o, o.depth) : 0;
  const m2 = (o.cups * (areaAt(o, 0) + girth * o.depth + deck)) / 1e6;
  const grams = 1000 * RIM * m2 * WALL_KG_M2[tin.material] * (tin.shape === 'tube' ? TUBE_HEAVIER : deck > 0 ? TRAY_LIGHTER : 1); // prettier-ignore
  return 10 * Math.round(grams / 10);
}

/** Names of the tins that most kitchens of a region have, likeliest first: what somebody who sets up a kitchen is shown. Judgement. */
const likeliest: Readonly<Record<TinRegion, readonly string[]>> = {
  [UK]: ['2 lb (900 g) loaf tin', '12-hole muffin tray', 'Deep 20 cm (8 in) round', '20 cm (8 in) sandwich tin', '12-hole bun tray', '30 × 20 cm traybake', 'Deep 20 cm (8 in) square', '23 cm (9 in) springform', '1 lb (450 g) loaf tin'],
  [US]: ['9 × 5 in loaf pan', '12-cup muffin pan', '9 × 13 in pan', '9 × 2 in round', '8 × 2 in square', '8½ × 4½ in loaf pan', '12-cup fluted tube pan', '9 in springform', '10 in iron skillet'],
  [AU]: ['21 × 11 cm loaf tin', '12-hole ⅓ cup muffin tray', '20 cm round', '20 × 30 cm lamington tin', '22 cm springform', 'Deep 20 cm square', '18 × 28 cm slice tin', '12-hole patty pan tray', '22 cm ring tin'],
  [IN]: ['7 in round', '8 in round', '8 × 4 in bread tin', '8 in square', '6-cup muffin tray', '12-cup muffin tray', '6 in round', '10 × 8 in tray', '8 in fluted ring tin'],
  [EU]: ['26 cm springform', '30 cm box tin', '12-hole muffin tray', '42 × 32 cm oven tray', '22 cm Gugelhupf tin', '20 cm springform', '25 cm box tin', '28 cm springform', '24 cm square tin'],
}; // prettier-ignore

/** The tins to begin with in a region, likeliest first. */
export const likelyTins = (region: TinRegion): readonly CommonTin[] =>
  likeliest[region].flatMap((name) => commonTins.find((c) => c.region === region && c.tin.name === name) ?? []);
