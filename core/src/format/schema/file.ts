import Joi from 'joi';
import { PHOTO_TYPES } from '../types.js';
import { day, making, shoppingList } from './doing.js';
import { formula } from './formula.js';
import { kitchen } from './kitchen.js';
import { bakeRecord, series } from './log.js';
import { degrees, id, instant, positive, rack, tinUse, words } from './parts.js';

/** What a formula's document holds beside the formula. */
export const plan = Joi.object({
  tins: Joi.array().items(tinUse),
  sharing: Joi.valid('fill', 'depth', 'together'),
  ovenReachedC: degrees,
  ovenId: id,
  rack,
  trial: Joi.object({ from: id.required(), cause: id.required(), words: words.required() }).unknown(true),
  locked: Joi.array().items(id),
  version: id,
}).unknown(true);

export const photo = Joi.object({
  id: id.required(),
  bakeId: id.required(),
  type: Joi.valid(...PHOTO_TYPES).required(),
  width: positive.required(),
  height: positive.required(),
  file: Joi.string()
    .pattern(/^photos\/[\w.-]+$/)
    .required(),
}).unknown(true);

export const version = Joi.object({
  id: id.required(),
  formulaId: id.required(),
  n: positive.integer().required(),
  at: instant.required(),
  why: words.required(),
  formula: formula.required(),
  parent: Joi.string().allow(null),
  name: words,
  note: words,
  reasons: Joi.array().items(words),
}).unknown(true);

export const formulaDocument = Joi.object({ formula: formula.required(), plan }).unknown(true);

export const kitchenFile = Joi.object({
  format: Joi.valid('orvin.kitchen').required(),
  version: Joi.valid(1).required(),
  exportedAt: instant.required(),
  kitchen: kitchen.required(),
  formulas: Joi.array().items(formulaDocument).required(),
  versions: Joi.array().items(version).required(),
  bakes: Joi.array().items(bakeRecord).required(),
  series: Joi.array().items(series),
  photos: Joi.array().items(photo),
  day: day
    .allow(null)
    .description('what the baker said of the day: formulas, when all is ready by the clock on the wall, what is held'),
  making: making
    .allow(null)
    .description('what is being made: the bakes as they were begun, and all that has happened since'),
  shopping: shoppingList.allow(null).description('what is to be baked, and what lies in the basket'),
}).unknown(true);
