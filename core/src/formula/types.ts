/**
 * The values that every part of Orvin shares. All are plain, immutable and serialisable: no classes, dates or
 * functions. The unit of a number is the suffix of its name: G grams, Ml millilitres, Mm millimetres, C degrees
 * Celsius, Min minutes, S seconds, Pct per cent, Mmol millimoles, Meq milliequivalents.
 */

/** An uncertain figure: about 10 % of cases lie below `low`, 10 % above `high`. */
export interface Band {
  readonly low: number;
  readonly typical: number;
  readonly high: number;
}

/** An amount as the baker entered it; a range is kept as `[low, high]`. */
export interface Entered {
  readonly value: number | readonly [number, number];
  /** A unit id of `quantity/units.ts`, or `'piece'`. */
  readonly unit: string;
}

export type FlourHabit = 'sifted' | 'spooned' | 'dipped' | 'packed';
export type SaltKind = 'fine' | 'coarse' | 'flake';
export type EggSize = 'us-s' | 'us-m' | 'us-l' | 'us-xl' | 'us-jumbo' | 'eu-s' | 'eu-m' | 'eu-l' | 'eu-xl';

/** The measures a formula was written in. They turned its lines into grams, once. */
export interface Source {
  /** Millilitres in a cup, for example 236.6, 240, 250 or 284. */
  readonly cupMl: number;
  /** Millilitres in a teaspoon; a value above 10 is taken as a tablespoon of three teaspoons. */
  readonly spoonMl: number;
  readonly flourHabit: FlourHabit;
  readonly saltKind: SaltKind;
  readonly eggSize: EggSize;
}

/** States that change what a cup holds. `sifted` is meant before measuring. */
export type Form =
  | 'packed'
  | 'loose'
  | 'sifted'
  | 'melted'
  | 'whipped'
  | 'mashed'
  | 'chopped'
  | 'sliced'
  | 'slivered'
  | 'grated'
  | 'ground'
  | 'powdered'
  | 'whole';

export interface Item {
  readonly id: string;
  /** Catalogue id or the id of an own ingredient; `'unknown'` while a doubt about it is open. */
  readonly ingredient: string;
  /** The baker's own words for the line. */
  readonly words: string;
  readonly entered: Entered | null;
  /** The truth of the amount, from the moment the line was read. */
  readonly grams: number;
  readonly optional?: boolean;
  /** True when it is folded in whole, so that its water and acid hardly meet the batter. */
  readonly pieces?: boolean;
  /** For soda: true when it is stirred into something sour before it meets the flour, false when it is not. */
  readonly premixed?: boolean;
  /** What the line calls for besides: "softened", "plus extra for dusting", an alternative. */
  readonly note?: string;
  /** The state it was measured in, where that changes what a cup of it weighs. */
  readonly form?: Form;
}

/** `batter` groups count in baker's %; the others (topping, filling, icing, soak, greasing) do not. */
export type GroupRole =
  | 'batter'
  | 'dry'
  | 'wet'
  | 'fat-sugar'
  | 'egg'
  | 'fold-in'
  | 'top'
  | 'filling'
  | 'icing'
  | 'soak'
  | 'grease';

export interface Group {
  readonly id: string;
  readonly name: string;
  readonly role?: GroupRole;
  readonly items: readonly Item[];
}

export interface MethodStep {
  readonly text: string;
  readonly itemIds: readonly string[];
}

/**
 * A piece of the work that the baker has put elsewhere, named by its own words: into another phase, before another piece, or
 * last of that phase. It holds as long as the method has the words; all else stays in the order of the text.
 */
export interface WorkMove {
  readonly words: string;
  readonly phase: 'ahead' | 'mix' | 'shape' | 'oven' | 'after' | 'later';
  /** Words of the piece it comes before; null for last. */
  readonly before: string | null;
}

export interface BakeStage {
  readonly fromMin: number;
  readonly ovenC: number;
  /** What lies over the bake from then on: loose foil, or a lid. */
  readonly cover?: 'none' | 'tent' | 'lid';
}

/** A time with what it was stated for; `batterG` in one tin, when that is not what the formula has now. */
export interface Stated extends Omit<BakeSetting, 'stated'> {
  readonly batterG?: number;
}

/** How the heat comes to a bake where that is not the plain air around one rack; each for the whole of it. */
export interface BakeConditions {
  /** Stands in hot water to half its height, open to the oven; or covered, so that it steams. */
  readonly bath?: 'open' | 'covered';
  /** A tray of boiling water stands in the oven. */
  readonly steam?: true;
  /** What carries it, hot when it comes in: a baking stone, or a tray that was left in the oven. */
  readonly on?: 'stone' | 'hot tray';
  /** Another tray stands over it, under it, or both. */
  readonly shaded?: 'above' | 'below' | 'both';
  /** How much the air moves, 0 of a still oven to 1 of a fan; it takes the place of `fan`. */
  readonly airflow?: number;
  /** Minutes from the start at which the door is opened. */
  readonly openedMin?: readonly number[];
  /** By how much the thermostat swings either way, K. */
  readonly swingK?: number;
}

export interface BakeSetting {
  readonly ovenC: number;
  readonly fan: boolean;
  readonly minutes?: { readonly early: number; readonly late: number };
  readonly stages?: readonly BakeStage[];
  /** The empty tin is heated in the oven first, as a skillet for maize bread. */
  readonly hotTin?: boolean;
  /** How warm it goes in, °C: −18 from the freezer, 5 from the fridge; as it was mixed when left out. */
  readonly startC?: number;
  readonly conditions?: BakeConditions;
  /** A stated time of this formula at another heat than it has now, or of another weight of batter in a tin. */
  readonly stated?: Stated;
}

export interface TinUse {
  readonly tin: Tin;
  readonly count: number;
  /** Of unlike tins baked together: the time that the recipe gives this one, minutes. */
  readonly minutes?: { readonly early: number; readonly late: number };
}

/** What a recipe says of itself and no figure is reckoned from. */
export interface About {
  /** Who wrote it down. */
  readonly by?: string;
  readonly description?: string;
  /** Work before the oven, and all of it with the oven, as the recipe says, minutes. */
  readonly prepMinutes?: number;
  readonly totalMinutes?: number;
}

export interface Formula {
  readonly format: 'orvin.formula';
  readonly version: 1;
  readonly id: string;
  readonly title: string;
  readonly family: FamilyId;
  readonly source: Source;
  /** In mixing order. */
  readonly groups: readonly Group[];
  readonly method: readonly MethodStep[];
  /** Corrections of the order in which the method is worked. */
  readonly work?: readonly WorkMove[];
  readonly bake?: BakeSetting;
  readonly tins?: readonly TinUse[];
  readonly yield?: { readonly pieces: number; readonly name?: string };
  readonly ingredients?: readonly Ingredient[];
  /** Allergens that may be there in traces, as the baker says. */
  readonly mayContain?: readonly string[];
  readonly about?: About;
  readonly notes?: string;
}

export const tinShapes = ['round', 'square', 'rect', 'loaf', 'cup', 'tube', 'sheet', 'mound', 'slab'] as const;
export type TinShape = (typeof tinShapes)[number];
export const tinMaterials = [
  'light metal',
  'shiny metal',
  'dark metal',
  'glass',
  'ceramic',
  'silicone',
  'cast iron',
  'none',
] as const;
export type TinMaterial = (typeof tinMaterials)[number];

export const tinLinings = ['none', 'paper', 'double'] as const;
export type TinLining = (typeof tinLinings)[number];

export const shapedAs = ['round', 'ball', 'oval', 'drop', 'cut'] as const;
export const scoredAs = ['cross', 'slashes', 'wedges'] as const;
export const cutOutlines = ['rounds', 'squares', 'wedges', 'fingers'] as const;
/** What pieces of a rolled dough look like from above. */
export type CutOutline = (typeof cutOutlines)[number];

/** A tin, by its inner dimensions. `topMm` is the diameter or length at the rim, `top2Mm` the width at the rim. */
export interface Tin {
  readonly id: string;
  readonly name: string;
  readonly shape: TinShape;
  readonly topMm: number;
  readonly top2Mm?: number;
  readonly baseMm?: number;
  readonly base2Mm?: number;
  readonly depthMm: number;
  readonly tubeMm?: number;
  /** Hollows in the tray, for cups. */
  readonly cups?: number;
  /** Measured water capacity of the whole tin (all cups); it wins over geometry. */
  readonly capacityMl?: number;
  readonly tareG?: number;
  readonly material: TinMaterial;
  /** Paper inside, or paper inside and wrapped outside, as for a rich fruit cake. */
  readonly lining?: TinLining;
  /** Of dough that hands shape: how; its size then follows its weight, and the figures here are only where none is known. */
  readonly shaped?: (typeof shapedAs)[number];
  /** Of pieces cut from dough: their outline; the model bakes each as a round of the same area. */
  readonly cut?: CutOutline;
  /** Of wedges: how many rounds all of them come from; 1 where it is not given. */
  readonly rounds?: number;
  /** How the top of a dough that stands by itself is cut into: a cross, slashes, or marked into wedges. */
  readonly scored?: (typeof scoredAs)[number];
  /** True when its height is stated, so that its width alone follows. */
  readonly patted?: true;
}

export type FamilyId =
  | 'biscuit'
  | 'drop-biscuit'
  | 'scone'
  | 'soda-bread'
  | 'soda-loaf'
  | 'muffin'
  | 'quick-bread'
  | 'tea-loaf'
  | 'maize-bread'
  | 'treacle-cake'
  | 'butter-cake-lean'
  | 'butter-cake-high-ratio'
  | 'equal-weight-sponge'
  | 'pound-cake'
  | 'oil-cake'
  | 'chocolate-cake'
  | 'fruit-cake-rich'
  | 'fruit-cake-light'
  | 'free';

export type Role =
  | 'flour'
  | 'sugar'
  | 'fat'
  | 'egg'
  | 'liquid'
  | 'fruit'
  | 'cocoa'
  | 'addin'
  | 'leavener'
  | 'salt'
  | 'flavour'
  | 'acid';

/** Where a data row comes from. Nothing here was measured by Orvin. */
export type Basis = 'computed' | 'general knowledge, not looked up' | "from the baker's label" | `package:${string}`;

/** Grams per 100 g. `other` is what is left: ash, acids, alcohol, salt, tannins. */
export interface Composition {
  readonly water: number;
  readonly fat: number;
  readonly sugar: number;
  readonly protein: number;
  readonly starch: number;
  readonly fibre: number;
  readonly other: number;
}

export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly aliases: readonly string[];
  readonly role: Role;
  readonly per100: Composition;
  /** Grams per millilitre as a baker measures it (flour spooned and levelled, brown sugar packed, fat soft). */
  readonly gPerMl: number;
  /** Grams per millilitre in other states. */
  readonly gPerMlAs?: Partial<Readonly<Record<Form, number>>>;
  /** Grams of one piece without peel, stone or shell. */
  readonly pieceG?: Band;
  /** Acid to about pH 7, meq per 100 g; negative for an alkaline ingredient. */
  readonly acidMeq?: Band;
  /** True when it normally goes in whole or diced, so that its water and acid hardly meet the batter. */
  readonly pieces?: boolean;
  /** Whether its fat counts as the formula's fat (fats, creams, chocolate) or is shown apart (milk, yolk, nuts). */
  readonly fatCounts?: boolean;
  /** Whether its sugar counts as the formula's sugar, or is fruit's and milk's own. */
  readonly sugarCounts?: boolean;
  /** Grams of salt per 100 g. */
  readonly saltG?: number;
  /** Grams of water that 1 g of it binds out of the batter, beyond what plain flour does. */
  readonly drinks?: number;
  /** Share of its weight that stands in for flour as structure without being counted as flour. */
  readonly structure?: number;
  /** `'flour'` counts as flour, `'nut'` as nut flour, `'cocoa'` as cocoa. */
  readonly base?: 'flour' | 'nut' | 'cocoa';
  /** For leaveners. */
  readonly leavener?: 'soda' | 'powder' | 'acid';
  /** Powder type when `leavener` is `'powder'`; the kitchen's own powder when absent. */
  readonly powder?: PowderType;
  /** Carbon dioxide that a self-raising flour brings, mmol per 100 g. */
  readonly co2Mmol?: Band;
  readonly allergens: readonly string[];
  /** From an animal's milk or hive, or from its body, where the allergens do not say so. */
  readonly from?: 'animal' | 'meat';
  /** For a fat: pours at room temperature, is a paste that never sets, or is firm when cold. */
  readonly fatState?: 'oil' | 'paste' | 'firm';
  /** Flour or flakes of the whole grain; or bran, germ and malted flour, which have a part of it. */
  readonly wholeGrain?: 'grain' | 'part';
  /** For a flour: how strong its gluten is against bread wheat of the same protein, 0–1; 1 with wheat where not given. */
  readonly gluten?: number;
  /** A coarse meal that makes a kind of bake of its own. */
  readonly grain?: 'maize' | 'semolina';
  /** Grams of alcohol in a gram of it, 0–0.6. */
  readonly alcohol?: number;
  /** Makes a bake savoury: cheese, olives, onion, herbs, pepper. */
  readonly savoury?: boolean;
  /** Binds in the place of egg or gluten: flax, chia, psyllium, gums, egg replacer. */
  readonly binder?: boolean;
  readonly chocolate?: boolean;
  /** Sweetens and fills like sugar, gram for gram, and is none: a polyol. */
  readonly bulkSweetener?: boolean;
  /** How strongly a gram of it to a gram of flour hides a soapy taste; together 1 hides it. Judgement. */
  readonly masksSoda?: number;
  /** What it is in a kitchen, where its role does not say. */
  readonly kind?: IngredientKind;
  /** Brings glucose, fructose or milk sugar, which brown sooner than white sugar. */
  readonly browns?: boolean;
  /** Turns that colour in a crumb with soda left over. */
  readonly stains?: 'blue' | 'grey' | 'green';
  /** Where in a shop it stands, where its role does not say. */
  readonly shop?: ShopSection;
  /** Flakes and brans, which a cup holds alike however it is filled. */
  readonly flakes?: boolean;
  /** A self-raising flour without what raises it, by id. */
  readonly unraised?: string;
  /** What is poured in its place where the batter is to be sour, by id: buttermilk for milk. */
  readonly soured?: string;
  /** An odd one of its kind, that stands in for none of the others. */
  readonly odd?: boolean;
  /** What it asks caution for. */
  readonly cautions?: readonly CautionKind[];
  readonly basis: Basis;
}

export type IngredientKind =
  | 'cream'
  | 'sour milk'
  | 'cheese'
  | 'chocolate'
  | 'egg stand-in'
  | 'grated'
  | 'tea or coffee'
  | 'spice'
  | 'extract';

/** Sections of a shop, in the order one walks. */
export const shopSections = ['fruit and vegetables', 'chilled', 'eggs', 'flour and grain', 'sugar and syrup', 'baking shelf', 'nuts and dried fruit', 'oils and fats', 'spices', 'drinks', 'other'] as const; // prettier-ignore
export type ShopSection = (typeof shopSections)[number];

/** Kinds of caution that an ingredient asks for; their words stand in balance/cautions.ts. */
export type CautionKind = 'honey' | 'choking' | 'stones' | 'potassium' | 'foraged';

export type PowderType =
  | 'double-acting'
  | 'aluminium-free'
  | 'pyrophosphate'
  | 'single-acting tartrate'
  | 'low-sodium'
  | 'home-made 1:2:1';

export interface Powder {
  readonly id: string;
  readonly name: string;
  readonly type: PowderType;
  /** Result of the spoon-in-hot-water test. */
  readonly strength: 'vigorous' | 'weak' | 'none';
}

export interface Oven {
  readonly id: string;
  readonly name: string;
  readonly litres: number;
  readonly fan: boolean;
  /** How much hotter the air really is than the dial says, as the baker declared it; 0 when not known. */
  readonly biasC?: number;
  readonly racks?: number;
  /** Inside width and depth of a rack, mm; reckoned from the litres when not measured. */
  readonly rackMm?: readonly [number, number];
}

/** Where in the oven a tin stands. */
export const racks = ['top', 'middle', 'bottom'] as const;
export type Rack = (typeof racks)[number];

/**
 * What the log has taught about this kitchen (`log/learn.ts`), as a joint normal distribution: means and covariances
 * of named parameters, all 0 when nothing is known. `bake/learned.ts` says what the names stand for and uses them.
 */
export interface Learned {
  readonly keys: readonly string[];
  readonly mean: readonly number[];
  readonly cov: readonly (readonly number[])[];
  /** How many bakes speak of each parameter. */
  readonly bakes: readonly number[];
  /** One sigma of ln(time) from bake to bake, which nothing explains. */
  readonly noise: number;
}

/** What a dial is marked in; a gas oven has marks, its middle is still said in °C. */
export const heatScales = ['C', 'F', 'gas'] as const;
export type HeatScale = (typeof heatScales)[number];
export type Vessel = 'cup' | 'dl';

/** The units in which a kitchen is shown its figures, and in which bare numbers that it types are read. */
export interface Display {
  readonly temperature: HeatScale;
  /** Lengths, and heights above the sea: centimetres and metres, or inches and feet. */
  readonly length: 'cm' | 'in';
  readonly amounts: 'both' | 'weight';
  /** Grams where it is left out. Of ounces, capacities are told in cups or pints. */
  readonly weight?: 'g' | 'oz';
}

export interface Kitchen {
  readonly id: string;
  readonly name: string;
  readonly measures: Source & {
    readonly scaleG: number;
    /** What larger amounts are measured in: the cup where it is left out, or the decilitre. */
    readonly vessel?: Vessel;
  };
  readonly display: Display;
  readonly schools: {
    readonly leavenerAtScale: 'linear' | 'trimmed';
    readonly eggs: 'whole' | 'weighed';
    readonly muffinFill: 'two-thirds' | 'brim';
  };
  readonly ovens: readonly Oven[];
  readonly tins: readonly Tin[];
  readonly bowls: readonly { readonly id: string; readonly name: string; readonly ml: number }[];
  readonly mixer?: { readonly name: string; readonly flourLimitG?: number };
  /** Pairs of hands in the kitchen; one when left out. */
  readonly people?: number;
  /** Cooling racks of about 45 × 30 cm; two when left out. */
  readonly coolingRacks?: number;
  readonly powders: readonly Powder[];
  readonly altitudeM: number;
  readonly roomC: number;
  readonly ownIngredients: readonly Ingredient[];
  readonly prices: Readonly<Record<string, { readonly price: number; readonly perG: number }>>;
  readonly stock: Readonly<Record<string, number>>;
  /** When each was counted, ms since 1970: bakes since then have taken from it. */
  readonly stockAt?: Readonly<Record<string, number>>;
  /** What a kWh costs, in the kitchen's money. */
  readonly energyPerKwh?: number;
  readonly learned?: Learned;
  /** Exercises that were got right, by id; instants, ms since 1970. */
  readonly exercises?: Readonly<Record<string, number>>;
  /** From when on a learned parameter was to be learned anew, by its name; instants, ms since 1970. */
  readonly forgotten?: Readonly<Record<string, number>>;
  readonly locale: {
    readonly language: string;
    readonly currency: string;
    readonly temperature: 'C' | 'F';
    readonly zone: string;
    /** Where the kitchen is, an id of `kitchen/places.ts`: what things are called in its shops follows from it. */
    readonly place?: string;
  };
}

export interface Change {
  readonly itemId: string;
  readonly grams: number;
}
