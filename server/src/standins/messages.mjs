import Joi from 'joi';

const id = Joi.string().max(200).required();
const amount = (/** @type {number} */ least, /** @type {number} */ most) =>
  Joi.number().min(least).max(most).required();
const input = Joi.object({
  batterG: amount(1, 20_000),
  ovenC: amount(50, 350),
  family: Joi.string().max(40).required(),
  tin: Joi.object({ shape: Joi.string().max(20).required() })
    .unknown(true)
    .required(),
  stages: Joi.array().max(20),
})
  .unknown(true)
  .required();

const kinds = {
  // what any scale can be told
  tare: {},
  // what happens in the kitchen
  pour: { grams: amount(-10_000, 10_000), seconds: amount(0, 60) },
  clear: {},
  shake: {},
  plug: { device: Joi.valid('scale', 'probe').required(), in: Joi.boolean().required() },
  in: { bake: Joi.object({ id, input, roomC: amount(-20, 50), altitudeM: amount(-500, 6000) }).required(), elapsedS: amount(0, 30_000) },
  out: {},
  door: { seconds: amount(5, 300) },
  slip: { share: amount(0, 1) },
  pace: { pace: amount(1, 120) },
}; // prettier-ignore

const wish = Joi.alternatives(
  ...Object.entries(kinds).map(([kind, rest]) => Joi.object({ do: Joi.valid(kind).required(), ...rest })),
);

/**
 * @typedef {{ do: 'tare' | 'clear' | 'shake' | 'out' }
 *   | { do: 'pour', grams: number, seconds: number }
 *   | { do: 'plug', device: 'scale' | 'probe', in: boolean }
 *   | { do: 'in', bake: import('./oven.mjs').PutIn, elapsedS: number }
 *   | { do: 'door', seconds: number }
 *   | { do: 'slip', share: number }
 *   | { do: 'pace', pace: number }} Wish
 */

/**
 * A message as it came in.
 *
 * @param {string} text
 * @returns {{ wish: Wish } | { problem: string }}
 */
export function wishOf(text) {
  /** @type {unknown} */
  let data;
  try {
    data = JSON.parse(text);
  } catch {
    return { problem: 'This message is no JSON.' };
  }
  const { error, value } = wish.validate(data, { convert: false });
  return error ? { problem: `Not understood: ${error.message}.` } : { wish: value };
}
