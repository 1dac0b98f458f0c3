import type Joi from 'joi';
import type { Problem } from '../errors.js';

export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The most places that are named at once. */
export const MOST_NAMED = 8;
export const REMEDY = 'Mend it in the file, or export it again from where it came. Nothing was changed here.';

/** A place in a file, as a path into it. */
export const placeOf = (path: readonly (string | number)[]): string => path.join(' › ');

/** Every place at which a value does not fit its schema; null when it fits. */
export const faultsOf = (schema: Joi.ObjectSchema, data: unknown): readonly Joi.ValidationErrorItem[] | null =>
  schema.validate(data, { abortEarly: false, convert: false, errors: { label: 'key', wrap: { label: '“”' } } }).error
    ?.details ?? null;

/** Whether a value fits its schema, with the first places where it does not. The value is returned untouched. */
export function check<T>(schema: Joi.ObjectSchema, data: unknown, what: string): Checked<T> {
  const faults = faultsOf(schema, data);
  if (!faults) return { ok: true, value: data as T };
  return {
    ok: false,
    problems: faults.slice(0, MOST_NAMED).map((d, i) => ({
      id: `file-${i}`,
      place: d.path.length > 0 ? placeOf(d.path) : what,
      words: d.message,
      remedy: REMEDY,
    })),
  };
}
