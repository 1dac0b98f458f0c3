import Joi from 'joi';
import { formula } from './formula.js';
import { degrees, id, instant, minutesLong, positive, problem, tin, words } from './parts.js';

const DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
/** A day of the calendar, as 2026-10-03. */
const date = Joi.string().custom((value: string, helpers) => {
  const [, y, m, d] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(value)?.map(Number) ?? [];
  const leap = y !== undefined && y % 4 === 0 && (y % 100 !== 0 || y % 400 === 0);
  const last = m === 2 && !leap ? 28 : (DAYS[(m ?? 0) - 1] ?? 0);
  const there = y !== undefined && y >= 1970 && y < 2200 && d !== undefined && d >= 1 && d <= last;
  return there ? value : helpers.message({ custom: '{{#label}} is no day: 2026-10-03 would be one' });
});
/** A time of the day, as 09:30. */
const time = Joi.string().pattern(/^(?:[01]\d|2[0-3]):[0-5]\d$/);

/** What the baker said of the day. */
export const day = Joi.object({
  bakes: Joi.array().items(id).required(),
  without: Joi.array().items(id),
  serve: Joi.object({
    date: date.required(),
    time: time.required(),
    later: Joi.boolean().description('of a time that comes twice as the clock goes back, the second'),
  })
    .unknown(true)
    .allow(null)
    .required(),
  pins: Joi.object()
    .pattern(Joi.string(), Joi.object({ at: instant.required() }).unknown(true))
    .required(),
  quick: Joi.boolean(),
  frozen: Joi.array().items(id).description('formulas of which only what was frozen raw is baked'),
  people: Joi.number().integer().min(1).max(9),
}).unknown(true);

export const shoppingList = Joi.object({
  bakes: Joi.array()
    .items(Joi.object({ id: id.required(), times: Joi.number().greater(0).required() }).unknown(true))
    .required(),
  basket: Joi.array().items(Joi.string()).required(),
}).unknown(true);

const range = Joi.object({
  early: minutesLong.required(),
  likely: minutesLong.required(),
  late: minutesLong.required(),
}).unknown(true);

const fit = Joi.object({
  tin: tin.required(),
  count: Joi.number().integer().min(1).required(),
  batterG: positive.required(),
  perCupG: positive.required(),
  tinReadsG: positive.allow(null).required(),
  capacityMl: positive.required(),
  fill: positive.required(),
  batterMm: positive.required(),
  edgeMm: positive.required(),
  crownMm: positive.required(),
  rise: positive.required(),
  state: Joi.valid('low', 'ok', 'high', 'overflow').required(),
  words: words.required(),
  problems: Joi.array().items(problem).required(),
}).unknown(true);

const mark = Joi.object({
  kind: Joi.valid('turn', 'tent', 'change', 'first look', 'out', 'carry-over').required(),
  atMin: minutesLong.required(),
  words: words.required(),
  short: words,
}).unknown(true);

const calibration = Joi.object({
  speed: Joi.number().greater(0).required(),
  biasC: Joi.number(),
  emissivity: Joi.number().greater(0),
  sdLog: positive.required(),
  timeSd: positive.required(),
  used: positive.required(),
  doneK: Joi.number(),
}).unknown(true);

/** What each kind of happening has to say; a kind that is not listed says nothing that anything rests on. */
const SAYS: Readonly<Record<string, readonly string[]>> = {
  done: ['bakeId', 'stepId'],
  skip: ['bakeId', 'stepId'],
  weighed: ['bakeId', 'itemId', 'grams', 'by'],
  there: ['bakeId', 'itemId'],
  filled: ['bakeId', 'stepId', 'n', 'grams', 'by'],
  'probe in': ['bakeId'],
  probe: ['bakeId', 'c', 'by'],
  forecast: ['bakeId', 'early', 'likely', 'late'],
  felt: ['bakeId', 'stepId', 'words'],
  oven: ['bakeId', 'ovenC'],
  'not yet': ['bakeId', 'minutes'],
  timer: ['timerId', 'name', 'minutes'],
  'timer off': ['timerId'],
  heard: ['alarmId'],
  scaled: ['bakeId', 'factor'],
};
const told: Readonly<Record<string, Joi.Schema>> = {
  bakeId: id,
  stepId: id,
  itemId: id,
  timerId: id,
  alarmId: Joi.string(),
  name: words,
  words,
  by: Joi.string(),
  grams: positive,
  n: positive.integer(),
  c: degrees,
  ovenC: degrees,
  early: Joi.number(),
  likely: Joi.number(),
  late: Joi.number(),
  minutes: minutesLong,
  factor: Joi.number().greater(0),
};
const happening = Joi.object({ at: instant.required(), kind: Joi.string().required(), ...told })
  .unknown(true)
  .custom((value: Readonly<Record<string, unknown>>, helpers) => {
    const missing = (SAYS[value['kind'] as string] ?? []).find((key) => value[key] === undefined);
    return missing === undefined
      ? value
      : helpers.message({ custom: `{{#label}} is “${value['kind'] as string}” without its “${missing}”` });
  });

/** What is being made at the counter. */
export const making = Joi.object({
  id: id.required(),
  beganAt: instant.required(),
  clock: Joi.object({
    realAt: instant.required(),
    at: instant.required(),
    pace: Joi.number().positive().max(1000).required(),
    even: Joi.valid(true).description('the device’s clock was set back, and this one went on evenly'),
  }).unknown(true),
  bakes: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        formula: formula.required(),
        fits: Joi.array().items(fit).required(),
        minutes: range.allow(null).required(),
        marks: Joi.array().items(mark).required(),
        ovenId: id.required(),
        order: Joi.array().items(Joi.string()),
        calibration: calibration.allow(null),
        from: Joi.valid('freezer'),
      }).unknown(true),
    )
    .min(1)
    .required(),
  happenings: Joi.array().items(happening).required(),
}).unknown(true);
