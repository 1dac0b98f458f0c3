import Joi from 'joi';
import { families } from '../../balance/families.js';
import type { Form, GroupRole, Role } from '../../formula/types.js';
import { powders } from '../../leavening/powders.js';
import { band, degrees, id, minutesLong, positive, source, tinUse, words } from './parts.js';

const roles = ['flour', 'sugar', 'fat', 'egg', 'liquid', 'fruit', 'cocoa', 'addin', 'leavener', 'salt', 'flavour', 'acid'] as const satisfies readonly Role[]; // prettier-ignore
const groupRoles = ['batter', 'dry', 'wet', 'fat-sugar', 'egg', 'fold-in', 'top', 'filling', 'icing', 'soak', 'grease'] as const satisfies readonly GroupRole[]; // prettier-ignore
const forms = ['packed', 'loose', 'sifted', 'melted', 'whipped', 'mashed', 'chopped', 'sliced', 'slivered', 'grated', 'ground', 'powdered', 'whole'] as const satisfies readonly Form[]; // prettier-ignore
export const powderType = Joi.valid(...powders.map((p) => p.type));
export const family = Joi.valid(...families.map((f) => f.id));

const entered = Joi.object({
  value: Joi.alternatives(
    Joi.number(),
    Joi.array().ordered(Joi.number().required(), Joi.number().required()),
  ).required(),
  unit: Joi.string().required(),
}).unknown(true);
const item = Joi.object({
  id: id.required(),
  ingredient: id.required().description('catalogue id, or the id of an own ingredient'),
  words: words.required().description('the baker’s own words for the line'),
  entered: entered.allow(null).required(),
  grams: positive.required().description('the truth of the amount'),
  optional: Joi.boolean(),
  pieces: Joi.boolean(),
  premixed: Joi.boolean(),
  note: words,
  form: Joi.valid(...forms),
}).unknown(true);
export const ownIngredient = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  aliases: Joi.array().items(Joi.string()).required(),
  role: Joi.valid(...roles).required(),
  per100: Joi.object(
    Object.fromEntries(
      ['water', 'fat', 'sugar', 'protein', 'starch', 'fibre', 'other'].map((part) => [part, Joi.number().required()]),
    ),
  )
    .unknown(true)
    .required(),
  gPerMl: Joi.number().greater(0).required(),
  gPerMlAs: Joi.object().pattern(Joi.string(), Joi.number().greater(0)),
  acidMeq: band,
  pieceG: band,
  pieces: Joi.boolean(),
  fatCounts: Joi.boolean(),
  sugarCounts: Joi.boolean(),
  saltG: positive,
  drinks: Joi.number(),
  structure: Joi.number(),
  base: Joi.valid('flour', 'nut', 'cocoa'),
  leavener: Joi.valid('soda', 'powder', 'acid'),
  powder: powderType,
  co2Mmol: band,
  allergens: Joi.array().items(Joi.string()).required(),
  from: Joi.valid('animal', 'meat'),
  basis: Joi.string().required(),
}).unknown(true);
const minutes = Joi.object({ early: minutesLong.required(), late: minutesLong.required() }).unknown(true);

export const stage = Joi.object({
  fromMin: minutesLong.required(),
  ovenC: degrees.required(),
  cover: Joi.valid('none', 'tent', 'lid'),
}).unknown(true);

export const conditions = Joi.object({
  bath: Joi.valid('open', 'covered').description('in hot water; covered, so that it steams'),
  steam: Joi.valid(true).description('a tray of boiling water in the oven'),
  on: Joi.valid('stone', 'hot tray').description('hot when it comes in'),
  shaded: Joi.valid('above', 'below', 'both').description('where another tray stands'),
  airflow: Joi.number().min(0).max(1).description('0 a still oven, 1 a fan'),
  openedMin: Joi.array().items(minutesLong),
  swingK: Joi.number().min(0).max(50),
}).unknown(true);
export const startC = Joi.number().min(-40).max(90).description('°C when it goes in');

const setting = Joi.object({
  ovenC: degrees.required(),
  fan: Joi.boolean().required(),
  minutes,
  stages: Joi.array().items(stage),
  hotTin: Joi.boolean(),
  startC,
  conditions,
}).unknown(true);

export const formula = Joi.object({
  format: Joi.valid('orvin.formula').required(),
  version: Joi.valid(1).required(),
  id: id.required(),
  title: words.required(),
  family: family.required(),
  source: source.required(),
  groups: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        name: words.required(),
        role: Joi.valid(...groupRoles),
        items: Joi.array().items(item).required(),
      }).unknown(true),
    )
    .required(),
  method: Joi.array()
    .items(
      Joi.object({
        text: words.required(),
        itemIds: Joi.array().items(Joi.string()).required(),
      }).unknown(true),
    )
    .required(),
  work: Joi.array().items(
    Joi.object({
      words: words.required(),
      phase: Joi.valid('ahead', 'mix', 'shape', 'oven', 'after', 'later').required(),
      before: words.allow(null).required(),
    }).unknown(true),
  ),
  bake: setting.keys({ stated: setting.keys({ batterG: positive }) }),
  tins: Joi.array().items(tinUse),
  yield: Joi.object({ pieces: Joi.number().greater(0).required(), name: Joi.string() }).unknown(true),
  ingredients: Joi.array().items(ownIngredient),
  mayContain: Joi.array().items(Joi.string()),
  about: Joi.object({
    by: Joi.string(),
    description: Joi.string(),
    prepMinutes: positive,
    totalMinutes: positive,
  }).unknown(true),
  notes: words,
}).unknown(true);
