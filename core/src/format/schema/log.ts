import Joi from 'joi';
import { markScales } from '../../log/marks.js';
import { symptomIds } from '../../log/symptoms.js';
import { outcomes } from '../../log/types.js';
import { conditions, family, formula, stage, startC } from './formula.js';
import { amounts, degrees, id, instant, minutesLong, positive, rack, tinUse, words } from './parts.js';

const foretold = Joi.object({
  early: minutesLong.required(),
  likely: minutesLong.required(),
  late: minutesLong.required(),
}).unknown(true);

export const bakeRecord = Joi.object({
  id: id.required(),
  formulaId: id.required(),
  versionId: Joi.string().allow(null).required(),
  title: words.required(),
  family: family.required(),
  densityGPerMl: Joi.number().greater(0).required(),
  rise: Joi.number().greater(0).required(),
  composition: Joi.object({
    water: positive.required(),
    fat: positive.required(),
    sugar: positive,
    egg: positive,
    milk: positive,
    pieces: Joi.object({ water: positive.required(), sugar: positive.required() }).unknown(true),
    leftSoda: positive,
    leftAcid: positive,
  }).unknown(true),
  layers: Joi.array().items(
    Joi.object({
      where: Joi.valid('over', 'within', 'under').required(),
      g: positive.required(),
      water: positive.required(),
      fat: positive.required(),
      sugar: positive.required(),
    }).unknown(true),
  ),
  doneC: Joi.number().min(60).max(110),
  startC,
  conditions,
  stages: Joi.array().items(stage),
  ovenReachedC: degrees,
  hotTin: Joi.boolean(),
  fromFreezer: Joi.boolean().description('frozen raw; it teaches nothing of the oven'),
  at: instant.required().description('taken out at, ms since 1970'),
  tin: tinUse.required(),
  batterG: positive.required(),
  ovenId: id.required(),
  ovenC: degrees.required(),
  fan: Joi.boolean().required(),
  predicted: foretold.allow(null).required(),
  minutes: minutesLong.required(),
  outcome: Joi.valid(...outcomes.map((o) => o.id)).required(),
  notes: words.required(),
  rack,
  factor: Joi.number().greater(0).description('times the formula as written'),
  used: amounts.description('what went in, g by ingredient'),
  photos: Joi.array().items(id).description('ids of photos'),
  excluded: Joi.boolean(),
  confirmed: Joi.boolean().description('a time that looked like a slip, and was none'),
  trial: Joi.object({ from: id.required(), cause: id.required(), words: words.required() }).unknown(true),
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
    beganAt: instant.required(),
    intoOvenAt: instant.required(),
    weighed: Joi.array()
      .items(Joi.object({ itemId: id.required(), grams: positive.required() }).unknown(true))
      .required(),
    added: Joi.array().items(Joi.string()).required(),
    skipped: Joi.array().items(Joi.string()).required(),
    ovenReadings: Joi.array()
      .items(Joi.object({ min: Joi.number().required(), ovenC: degrees.required() }).unknown(true))
      .required(),
    stoodMin: positive,
    probe: Joi.array().items(Joi.object({ min: Joi.number().required(), c: degrees.required() }).unknown(true)),
    filled: Joi.array().items(positive),
    simulated: Joi.array().items(Joi.valid('scale', 'probe', 'clock')),
  }).unknown(true),
}).unknown(true);

export const series = Joi.object({
  id: id.required(),
  at: instant.required(),
  formulaId: id.required(),
  title: words.required(),
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
        words: words.required(),
        formula: formula.required(),
      }).unknown(true),
    )
    .min(2)
    .required(),
  tasters: Joi.array()
    .items(
      Joi.object({
        name: words.required(),
        likes: Joi.object().pattern(Joi.string(), Joi.number().min(1).max(9)).required(),
      }).unknown(true),
    )
    .required(),
  opened: Joi.boolean().required(),
}).unknown(true);
