/** Orvin's open files: what they look like and whether a file is one. Apart from `@orvin/core`, since it brings Joi. */
import Joi from 'joi';
import type { Problem } from '../errors.js';
import { families } from '../balance/families.js';
import { racks, tinLinings, tinMaterials, tinShapes, type Formula, type Kitchen } from '../formula/types.js';
import type { Making } from '../counter/making.js';
import { markScales } from '../log/marks.js';
import type { Series } from '../log/series.js';
import { symptomIds } from '../log/symptoms.js';
import { outcomes, type BakeRecord } from '../log/types.js';

export interface VersionRecord {
  readonly id: string;
  readonly formulaId: string;
  readonly n: number;
  readonly at: number;
  readonly why: string;
  readonly formula: Formula;
  /** Id of the version it was made from; the first ones have none. */
  readonly parent?: string | null;
  /** What the baker calls it, and what is remarked of it. */
  readonly name?: string;
  readonly note?: string;
  /** Why each line was changed, in the words of the proposal that was kept. */
  readonly reasons?: readonly string[];
}

/** A whole kitchen in one file. Unknown fields are kept. */
export interface KitchenFile {
  readonly format: 'orvin.kitchen';
  readonly version: 1;
  /** Instant of the export, ms since 1970. */
  readonly exportedAt: number;
  readonly kitchen: Kitchen;
  readonly formulas: readonly { readonly formula: Formula; readonly plan: { readonly tins?: Formula['tins'] } }[];
  readonly versions: readonly VersionRecord[];
  readonly bakes: readonly BakeRecord[];
  /** What the baker said of the day, and what is being made: a bake in hand travels with its kitchen. */
  readonly day?: object | null;
  readonly making?: Making | null;
  /** What is to be shopped for, and what is in the basket. */
  readonly shopping?: object | null;
  /** Series of small batches. */
  readonly series?: readonly Series[];
  /** Photos of bakes: in a zip each is a file of its own; without one they are left out, which is said. */
  readonly photos?: readonly PhotoEntry[];
}

/** A photo that travels beside a kitchen's file, by the name it has there. */
export interface PhotoEntry {
  readonly id: string;
  readonly bakeId: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly file: string;
}

/** Kinds of picture that a photo may be kept as. */
export const PHOTO_TYPES = ['image/jpeg', 'image/webp', 'image/png', 'image/svg+xml'] as const;

const id = Joi.string().min(1).max(200);
const positive = Joi.number().min(0);
const band = Joi.object({
  low: Joi.number().required(),
  typical: Joi.number().required(),
  high: Joi.number().required(),
}).unknown(true);
const tin = Joi.object({
  id: id.required(),
  name: Joi.string().allow('').required(),
  shape: Joi.valid(...tinShapes).required(),
  topMm: Joi.number().greater(0).required(),
  top2Mm: Joi.number().greater(0),
  baseMm: Joi.number().greater(0),
  base2Mm: Joi.number().greater(0),
  depthMm: Joi.number().greater(0).required(),
  tubeMm: positive,
  cups: Joi.number().integer().min(1),
  capacityMl: Joi.number().greater(0),
  tareG: positive,
  material: Joi.valid(...tinMaterials).required(),
  lining: Joi.valid(...tinLinings),
}).unknown(true);
const tinUse = Joi.object({ tin: tin.required(), count: Joi.number().integer().min(1).required() }).unknown(true);
const source = Joi.object({
  cupMl: Joi.number().greater(0).required(),
  spoonMl: Joi.number().greater(0).required(),
  flourHabit: Joi.valid('sifted', 'spooned', 'dipped', 'packed').required(),
  saltKind: Joi.valid('fine', 'coarse', 'flake').required(),
  eggSize: Joi.valid('us-s', 'us-m', 'us-l', 'us-xl', 'us-jumbo', 'eu-s', 'eu-m', 'eu-l', 'eu-xl').required(),
}).unknown(true);
const entered = Joi.object({
  value: Joi.alternatives(
    Joi.number(),
    Joi.array().ordered(Joi.number().required(), Joi.number().required()),
  ).required(),
  unit: Joi.string().required(),
}).unknown(true);
const item = Joi.object({
  id: id.required(),
  ingredient: id.required(),
  words: Joi.string().allow('').required(),
  entered: entered.allow(null).required(),
  grams: Joi.number().required(),
  optional: Joi.boolean(),
  pieces: Joi.boolean(),
  premixed: Joi.boolean(),
  note: Joi.string().allow(''),
  form: Joi.string(),
}).unknown(true);
const ownIngredient = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  aliases: Joi.array().items(Joi.string()).required(),
  role: Joi.string().required(),
  per100: Joi.object().pattern(Joi.string(), Joi.number()).required(),
  gPerMl: Joi.number().greater(0).required(),
  acidMeq: band,
  pieceG: band,
  allergens: Joi.array().items(Joi.string()).required(),
  basis: Joi.string().required(),
}).unknown(true);
const minutes = Joi.object({ early: positive.required(), late: positive.required() }).unknown(true);

const stage = Joi.object({
  fromMin: positive.required(),
  ovenC: Joi.number().required(),
  cover: Joi.valid('none', 'tent', 'lid'),
}).unknown(true);

const setting = Joi.object({
  ovenC: Joi.number().required(),
  fan: Joi.boolean().required(),
  minutes,
  stages: Joi.array().items(stage),
  hotTin: Joi.boolean(),
}).unknown(true);

const formula = Joi.object({
  format: Joi.valid('orvin.formula').required(),
  version: Joi.valid(1).required(),
  id: id.required(),
  title: Joi.string().allow('').required(),
  family: Joi.valid(...families.map((f) => f.id)).required(),
  source: source.required(),
  groups: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        name: Joi.string().allow('').required(),
        role: Joi.string(),
        items: Joi.array().items(item).required(),
      }).unknown(true),
    )
    .required(),
  method: Joi.array()
    .items(
      Joi.object({
        text: Joi.string().allow('').required(),
        itemIds: Joi.array().items(Joi.string()).required(),
      }).unknown(true),
    )
    .required(),
  bake: setting.keys({ stated: setting.keys({ batterG: positive }) }),
  tins: Joi.array().items(tinUse),
  yield: Joi.object({ pieces: Joi.number().greater(0).required(), name: Joi.string() }).unknown(true),
  ingredients: Joi.array().items(ownIngredient),
  mayContain: Joi.array().items(Joi.string()),
  notes: Joi.string().allow(''),
}).unknown(true);

const kitchen = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  measures: source.keys({ scaleG: Joi.number().greater(0).required() }).required(),
  display: Joi.object().required(),
  schools: Joi.object().required(),
  ovens: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        name: Joi.string().required(),
        litres: positive.required(),
        fan: Joi.boolean().required(),
        biasC: Joi.number(),
        rackMm: Joi.array().items(Joi.number().greater(0)).length(2),
      }).unknown(true),
    )
    .min(1)
    .required(),
  tins: Joi.array().items(tin).required(),
  bowls: Joi.array().required(),
  powders: Joi.array().required(),
  people: Joi.number().integer().min(1).max(9),
  coolingRacks: Joi.number().integer().min(0).max(40),
  altitudeM: Joi.number().min(-500).max(6000).required(),
  roomC: Joi.number().min(-10).max(50).required(),
  ownIngredients: Joi.array().items(ownIngredient).required(),
  prices: Joi.object().required(),
  stock: Joi.object().required(),
  stockAt: Joi.object().pattern(Joi.string(), Joi.number()),
  forgotten: Joi.object().pattern(Joi.string(), Joi.number()),
  energyPerKwh: positive,
  locale: Joi.object().required(),
}).unknown(true);

const bakeRecord = Joi.object({
  id: id.required(),
  formulaId: id.required(),
  versionId: Joi.string().allow(null).required(),
  title: Joi.string().allow('').required(),
  family: Joi.valid(...families.map((f) => f.id)).required(),
  densityGPerMl: Joi.number().greater(0).required(),
  rise: Joi.number().greater(0).required(),
  composition: Joi.object({
    water: positive.required(),
    fat: positive.required(),
    sugar: positive,
    milk: positive,
    leftSoda: positive,
  }).unknown(true),
  stages: Joi.array().items(stage),
  ovenReachedC: Joi.number(),
  hotTin: Joi.boolean(),
  at: Joi.number().required(),
  tin: tinUse.required(),
  batterG: positive.required(),
  ovenId: id.required(),
  ovenC: Joi.number().required(),
  fan: Joi.boolean().required(),
  predicted: Joi.object().allow(null).required(),
  minutes: positive.required(),
  outcome: Joi.valid(...outcomes.map((o) => o.id)).required(),
  notes: Joi.string().allow('').required(),
  rack: Joi.valid(...racks),
  factor: Joi.number().greater(0),
  used: Joi.object().pattern(Joi.string(), positive),
  photos: Joi.array().items(id),
  excluded: Joi.boolean(),
  confirmed: Joi.boolean(),
  trial: Joi.object({ from: id.required(), cause: id.required(), words: Joi.string().allow('').required() }).unknown(
    true,
  ),
  experiment: Joi.object({ id: id.required(), label: Joi.string().required() }).unknown(true),
  result: Joi.object({
    heightMm: Joi.number().greater(0).max(400),
    edgeMm: Joi.number().greater(0).max(400),
    outG: Joi.number().greater(0),
    centreC: Joi.number().min(-20).max(150),
    cup: Joi.object({ ml: Joi.number().greater(0).required(), g: Joi.number().greater(0).required() }).unknown(true),
    marks: Joi.object(Object.fromEntries(markScales.map((m) => [m.id, Joi.valid(1, 2, 3, 4, 5)]))).unknown(true),
    symptoms: Joi.array().items(Joi.valid(...symptomIds)),
  }).unknown(true),
  observed: Joi.object({
    beganAt: Joi.number().required(),
    intoOvenAt: Joi.number().required(),
    weighed: Joi.array()
      .items(Joi.object({ itemId: id.required(), grams: positive.required() }).unknown(true))
      .required(),
    added: Joi.array().items(Joi.string()).required(),
    skipped: Joi.array().items(Joi.string()).required(),
    ovenReadings: Joi.array()
      .items(Joi.object({ min: Joi.number().required(), ovenC: Joi.number().required() }).unknown(true))
      .required(),
    stoodMin: positive,
    probe: Joi.array().items(Joi.object({ min: Joi.number().required(), c: Joi.number().required() }).unknown(true)),
    filled: Joi.array().items(positive),
    simulated: Joi.array().items(Joi.valid('scale', 'probe', 'clock')),
  }).unknown(true),
}).unknown(true);

const series = Joi.object({
  id: id.required(),
  at: Joi.number().required(),
  formulaId: id.required(),
  title: Joi.string().allow('').required(),
  share: Joi.number().greater(0).max(4).required(),
  factors: Joi.array()
    .items(Joi.object({ kind: Joi.valid('amount', 'oven', 'hand').required() }).unknown(true))
    .min(1)
    .max(2)
    .required(),
  batches: Joi.array()
    .items(
      Joi.object({
        label: Joi.string().required(),
        levels: Joi.array().items(Joi.number().integer().min(0)).required(),
        words: Joi.string().allow('').required(),
        formula: formula.required(),
      }).unknown(true),
    )
    .min(2)
    .required(),
  tasters: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().allow('').required(),
        likes: Joi.object().pattern(Joi.string(), Joi.number().min(1).max(9)).required(),
      }).unknown(true),
    )
    .required(),
  opened: Joi.boolean().required(),
}).unknown(true);
const photo = Joi.object({
  id: id.required(),
  bakeId: id.required(),
  type: Joi.valid(...PHOTO_TYPES).required(),
  width: positive.required(),
  height: positive.required(),
  file: Joi.string()
    .pattern(/^photos\/[\w.-]+$/)
    .required(),
}).unknown(true);

const range = Joi.object({ early: positive.required(), likely: positive.required(), late: positive.required() });
const making = Joi.object({
  id: id.required(),
  beganAt: Joi.number().required(),
  clock: Joi.object({
    realAt: Joi.number().required(),
    at: Joi.number().required(),
    pace: Joi.number().positive().max(1000).required(),
  }).unknown(true),
  bakes: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        formula: formula.required(),
        fits: Joi.array().required(),
        minutes: range.unknown(true).allow(null).required(),
        marks: Joi.array().required(),
        ovenId: id.required(),
        order: Joi.array().items(Joi.string()),
      }).unknown(true),
    )
    .min(1)
    .required(),
  happenings: Joi.array()
    .items(Joi.object({ at: Joi.number().required(), kind: Joi.string().required() }).unknown(true))
    .required(),
}).unknown(true);

const day = Joi.object({
  bakes: Joi.array().items(id).required(),
  serve: Joi.object({
    date: Joi.string()
      .pattern(/^\d{4}-\d\d-\d\d$/)
      .required(),
    time: Joi.string()
      .pattern(/^\d\d:\d\d$/)
      .required(),
  })
    .unknown(true)
    .allow(null)
    .required(),
  pins: Joi.object()
    .pattern(Joi.string(), Joi.object({ at: Joi.number().required() }).unknown(true))
    .required(),
}).unknown(true);

const shoppingList = Joi.object({
  bakes: Joi.array()
    .items(Joi.object({ id: id.required(), times: Joi.number().greater(0).required() }).unknown(true))
    .required(),
  basket: Joi.array().items(Joi.string()).required(),
}).unknown(true);

const kitchenFile = Joi.object({
  format: Joi.valid('orvin.kitchen').required(),
  version: Joi.valid(1).required(),
  exportedAt: Joi.number().required(),
  kitchen: kitchen.required(),
  formulas: Joi.array()
    .items(
      Joi.object({
        formula: formula.required(),
        plan: Joi.object({
          tins: Joi.array().items(tinUse),
          sharing: Joi.valid('fill', 'depth', 'together'),
          ovenReachedC: Joi.number(),
        }).unknown(true),
      }).unknown(true),
    )
    .required(),
  versions: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        formulaId: id.required(),
        n: positive.required(),
        at: Joi.number().required(),
        why: Joi.string().allow('').required(),
        formula: formula.required(),
        parent: Joi.string().allow(null),
        name: Joi.string().allow(''),
        note: Joi.string().allow(''),
        reasons: Joi.array().items(Joi.string().allow('')),
      }).unknown(true),
    )
    .required(),
  bakes: Joi.array().items(bakeRecord).required(),
  series: Joi.array().items(series),
  photos: Joi.array().items(photo),
  day: day.allow(null),
  making: making.allow(null),
  shopping: shoppingList.allow(null),
}).unknown(true);

export type Checked<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

function check<T>(schema: Joi.ObjectSchema, data: unknown, what: string): Checked<T> {
  const { error } = schema.validate(data, { abortEarly: false, convert: false });
  if (!error) return { ok: true, value: data as T };
  return {
    ok: false,
    problems: error.details.slice(0, 8).map((d, i) => ({
      id: `file-${i}`,
      place: d.path.length > 0 ? d.path.join(' › ') : what,
      words: d.message.replace(/"/g, '“').replace(/“([^“]*)“/g, '“$1”'),
      remedy: 'Mend it in the file, or export it again from where it came. Nothing was changed here.',
    })),
  };
}

/** Checks one formula; docs/formats/formula.schema.json says the same. The value is returned untouched. */
export const checkFormula = (data: unknown): Checked<Formula> => check(formula, data, 'formula');
/** Checks a whole kitchen; docs/formats/kitchen.schema.json says the same. */
export const checkKitchenFile = (data: unknown): Checked<KitchenFile> => check(kitchenFile, data, 'kitchen');
/** Checks a kitchen's profile alone, as the Larder edits it. */
export const checkKitchen = (data: unknown): Checked<Kitchen> => check(kitchen, data, 'kitchen');
export const checkBake = (data: unknown): Checked<BakeRecord> => check(bakeRecord, data, 'bake');
export const checkTin = (data: unknown): Checked<Formula['tins']> => check(tin, data, 'tin');

/** Reads a file's text: a formula, a whole kitchen, or problems in words. Never throws. */
export function readFile(
  text: string,
):
  | { readonly kind: 'formula'; readonly value: Formula }
  | { readonly kind: 'kitchen'; readonly value: KitchenFile }
  | { readonly kind: 'problem'; readonly problems: readonly Problem[] }
  | { readonly kind: 'text' } {
  if (!/^\s*[{[]/.test(text)) return { kind: 'text' };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (e) {
    const at = /position (\d+)/.exec(e instanceof Error ? e.message : '');
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : 1;
    return {
      kind: 'problem',
      problems: [
        {
          id: 'broken-json',
          place: `line ${line}`,
          words:
            'This file breaks off: a bracket, comma or quotation mark is missing, perhaps because only part of it was saved.',
          remedy: 'Export it again from where it came. Nothing was changed here.',
        },
      ],
    };
  }
  const format = typeof data === 'object' && data !== null ? (data as Record<string, unknown>)['format'] : undefined;
  if (format === 'orvin.kitchen') {
    const c = checkKitchenFile(data);
    return c.ok ? { kind: 'kitchen', value: c.value } : { kind: 'problem', problems: c.problems };
  }
  if (format === 'orvin.formula') {
    const c = checkFormula(data);
    return c.ok ? { kind: 'formula', value: c.value } : { kind: 'problem', problems: c.problems };
  }
  return { kind: 'text' };
}

export const checkShopping = (data: unknown): Checked<object> => check(shoppingList, data, 'shopping');
export const checkSeries = (data: unknown): Checked<Series> => check(series, data, 'series');

/** Checks what is being made at the counter. */
export const checkMaking = (data: unknown): Checked<Making> => check(making, data, 'making');

/** Checks what the baker said of the day. */
export const checkDay = (data: unknown): Checked<object> => check(day, data, 'day');
