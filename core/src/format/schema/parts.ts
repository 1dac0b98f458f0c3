import Joi from 'joi';
import { cutOutlines, racks, scoredAs, shapedAs, tinLinings, tinMaterials, tinShapes } from '../../formula/types.js';

/** Pieces that several records share. Fields that no schema names are kept as they are. */

export const id = Joi.string().min(1).max(200);
export const words = Joi.string().allow('');
export const positive = Joi.number().min(0);
/** °C of anything in a kitchen. */
export const degrees = Joi.number().min(-50).max(500);
export const minutesLong = Joi.number().min(0).max(100_000);
/** An instant, ms since 1970; until the year 2200, beyond which a calendar is not to be trusted. */
export const instant = Joi.number().min(0).max(7_258_118_400_000);
export const band = Joi.object({
  low: Joi.number().required(),
  typical: Joi.number().required(),
  high: Joi.number().required(),
}).unknown(true);
export const rack = Joi.valid(...racks);
export const amounts = Joi.object().pattern(Joi.string(), positive);
export const instants = Joi.object().pattern(Joi.string(), instant);
export const tin = Joi.object({
  id: id.required(),
  name: words.required(),
  shape: Joi.valid(...tinShapes).required(),
  topMm: Joi.number().greater(0).required().description('inner diameter or length at the rim'),
  top2Mm: Joi.number().greater(0).description('inner width at the rim'),
  baseMm: Joi.number().greater(0),
  base2Mm: Joi.number().greater(0),
  depthMm: Joi.number().greater(0).required(),
  tubeMm: positive,
  cups: Joi.number().integer().min(1).description('hollows in the tray'),
  capacityMl: Joi.number().greater(0).description('measured water capacity of the whole tin; wins over geometry'),
  tareG: positive,
  material: Joi.valid(...tinMaterials).required(),
  lining: Joi.valid(...tinLinings),
  shaped: Joi.valid(...shapedAs).description('dough shaped by hand, whose size follows its weight'),
  patted: Joi.boolean().description('of shaped dough: its height is stated'),
  cut: Joi.valid(...cutOutlines).description('outline of pieces cut from dough'),
  rounds: Joi.number().integer().min(1).description('rounds that all the wedges come from'),
  scored: Joi.valid(...scoredAs).description('how the top of a free dough is cut into'),
}).unknown(true);
export const tinUse = Joi.object({
  tin: tin.required(),
  count: Joi.number().integer().min(1).required(),
  minutes: Joi.object({ early: minutesLong.required(), late: minutesLong.required() })
    .unknown(true)
    .description('of unlike tins baked together: the stated time of this one'),
}).unknown(true);
export const source = Joi.object({
  cupMl: Joi.number().greater(0).required(),
  spoonMl: Joi.number().greater(0).required().description('teaspoon; above 10 a tablespoon of three'),
  flourHabit: Joi.valid('sifted', 'spooned', 'dipped', 'packed').required(),
  saltKind: Joi.valid('fine', 'coarse', 'flake').required(),
  eggSize: Joi.valid('us-s', 'us-m', 'us-l', 'us-xl', 'us-jumbo', 'eu-s', 'eu-m', 'eu-l', 'eu-xl').required(),
}).unknown(true);
export const problem = Joi.object({
  id: Joi.string().required(),
  place: words.required(),
  words: words.required(),
  remedy: words.required(),
}).unknown(true);
