import Joi from 'joi';
import type { Learned } from '../../formula/types.js';
import { ownIngredient, powderType } from './formula.js';
import { amounts, id, instants, positive, source, tin } from './parts.js';

/** A check by the platform's own tables of languages, currencies and zones. */
const known = (test: (text: string) => unknown, words: string): Joi.StringSchema =>
  Joi.string().custom((value: string, helpers) => {
    try {
      test(value);
      return value;
    } catch {
      return helpers.message({ custom: words });
    }
  });
const language = known((l) => Intl.getCanonicalLocales(l), '{{#label}} is no language: en or en-GB would be one');
const currency = known(
  (c) => new Intl.NumberFormat('en', { style: 'currency', currency: c }),
  '{{#label}} is no currency: EUR or INR would be one',
);
const zone = known(
  (z) => new Intl.DateTimeFormat('en', { timeZone: z }),
  '{{#label}} is no time zone: Europe/Dublin would be one',
);

const numbers = (x: unknown, n: number): boolean =>
  Array.isArray(x) && x.length === n && x.every((v) => typeof v === 'number' && Number.isFinite(v));
/** What the log taught. Its table has the square of a hundred entries, so it is gone over as a whole. */
const learned = Joi.object({
  keys: Joi.array().items(Joi.string()).required(),
  mean: Joi.array().required(),
  cov: Joi.array().required(),
  bakes: Joi.array().required(),
  noise: positive.required(),
})
  .unknown(true)
  .custom((value: Learned, helpers) => {
    const n = value.keys.length;
    const whole =
      numbers(value.mean, n) &&
      numbers(value.bakes, n) &&
      value.cov.length === n &&
      value.cov.every((row) => numbers(row, n));
    return whole ? value : helpers.message({ custom: '{{#label}} is not whole: a figure is missing or is none' });
  });

const oven = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  litres: positive.required(),
  fan: Joi.boolean().required(),
  biasC: Joi.number().min(-150).max(150),
  racks: Joi.number().integer().min(1).max(40),
  rackMm: Joi.array().items(Joi.number().greater(0)).length(2).description('inside width and depth of a rack, mm'),
}).unknown(true);
const bowl = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  ml: Joi.number().greater(0).required(),
}).unknown(true);
const powder = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  type: powderType.required(),
  strength: Joi.valid('vigorous', 'weak', 'none').required(),
}).unknown(true);
/** The lists of a kitchen whose entries stand by themselves. */
export const kitchenLists = { ovens: oven, tins: tin, bowls: bowl, powders: powder, ownIngredients: ownIngredient };

export const kitchen = Joi.object({
  id: id.required(),
  name: Joi.string().required(),
  measures: source
    .keys({
      scaleG: Joi.number().greater(0).required(),
      vessel: Joi.valid('cup', 'dl').description('what larger amounts are measured in; the cup when left out'),
    })
    .required(),
  display: Joi.object({
    temperature: Joi.valid('C', 'F', 'gas').required(),
    length: Joi.valid('cm', 'in').required(),
    amounts: Joi.valid('both', 'weight').required(),
    weight: Joi.valid('g', 'oz').description('g when left out'),
  })
    .unknown(true)
    .required(),
  schools: Joi.object({
    leavenerAtScale: Joi.valid('linear', 'trimmed').required(),
    eggs: Joi.valid('whole', 'weighed').required(),
    muffinFill: Joi.valid('two-thirds', 'brim').required(),
  })
    .unknown(true)
    .required(),
  ovens: Joi.array().items(oven).min(1).required(),
  tins: Joi.array().items(tin).required(),
  bowls: Joi.array().items(bowl).required(),
  mixer: Joi.object({ name: Joi.string().required(), flourLimitG: positive }).unknown(true),
  powders: Joi.array().items(powder).required(),
  people: Joi.number().integer().min(1).max(9).description('pairs of hands; 1 when left out'),
  coolingRacks: Joi.number().integer().min(0).max(40).description('racks of about 45 × 30 cm; 2 when left out'),
  altitudeM: Joi.number().min(-500).max(6000).required(),
  roomC: Joi.number().min(-10).max(50).required(),
  ownIngredients: Joi.array().items(ownIngredient).required(),
  prices: Joi.object()
    .pattern(
      Joi.string(),
      Joi.object({ price: positive.required(), perG: Joi.number().greater(0).required() }).unknown(true),
    )
    .required(),
  stock: amounts.required(),
  stockAt: instants.description('when each was counted, ms since 1970'),
  forgotten: instants.description('from when on something is learned anew, ms since 1970'),
  exercises: instants.description('exercises that were got right, ms since 1970'),
  energyPerKwh: positive,
  learned,
  locale: Joi.object({
    language: language.required(),
    currency: currency.required(),
    temperature: Joi.valid('C', 'F').required(),
    zone: zone.required(),
    place: Joi.string().description('where the kitchen is, an id of core/src/kitchen/places.ts'),
  })
    .unknown(true)
    .required(),
}).unknown(true);
