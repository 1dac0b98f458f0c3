/** Orvin's open files: what they look like and whether a file is one. Apart from `@orvin/core`, since it brings Joi. */
import type { Making } from '../counter/making.js';
import type { Problem } from '../errors.js';
import type { Formula, Kitchen } from '../formula/types.js';
import type { Series } from '../log/series.js';
import type { BakeRecord } from '../log/types.js';
import { check, type Checked } from './check.js';
import { salvage } from './salvage.js';
import { day, making, shoppingList } from './schema/doing.js';
import { kitchenFile } from './schema/file.js';
import { formula } from './schema/formula.js';
import { kitchen } from './schema/kitchen.js';
import { bakeRecord, series } from './schema/log.js';
import { tin } from './schema/parts.js';
import type { KitchenFile } from './types.js';

export type { Checked } from './check.js';
export { PHOTO_TYPES, type KitchenFile, type PhotoEntry, type VersionRecord } from './types.js';

/** Checks one formula; docs/formats/formula.schema.json says the same. The value is returned untouched. */
export const checkFormula = (data: unknown): Checked<Formula> => check(formula, data, 'formula');
/** Checks a whole kitchen; docs/formats/kitchen.schema.json says the same. */
export const checkKitchenFile = (data: unknown): Checked<KitchenFile> => check(kitchenFile, data, 'kitchen');
/** Checks a kitchen's profile alone, as the Larder edits it. */
export const checkKitchen = (data: unknown): Checked<Kitchen> => check(kitchen, data, 'kitchen');
export const checkBake = (data: unknown): Checked<BakeRecord> => check(bakeRecord, data, 'bake');
export const checkTin = (data: unknown): Checked<Formula['tins']> => check(tin, data, 'tin');
export const checkShopping = (data: unknown): Checked<object> => check(shoppingList, data, 'shopping');
export const checkSeries = (data: unknown): Checked<Series> => check(series, data, 'series');
/** Checks what is being made at the counter. */
export const checkMaking = (data: unknown): Checked<Making> => check(making, data, 'making');
/** Checks what the baker said of the day. */
export const checkDay = (data: unknown): Checked<object> => check(day, data, 'day');

/**
 * Reads a file's text: a formula, a whole kitchen, or problems in words. Never throws. Of a kitchen all that can be used
 * is taken; `amiss` names what was left out or set to what is usual.
 *
 * @param usual what stands in for what a kitchen must have and the file does not say
 */
export function readFile(
  text: string,
  usual?: Kitchen,
):
  | { readonly kind: 'formula'; readonly value: Formula }
  | { readonly kind: 'kitchen'; readonly value: KitchenFile; readonly amiss: readonly Problem[] }
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
    if (c.ok) return { kind: 'kitchen', value: c.value, amiss: [] };
    const saved = salvage(data, usual);
    return saved ? { kind: 'kitchen', ...saved } : { kind: 'problem', problems: c.problems };
  }
  if (format === 'orvin.formula') {
    const c = checkFormula(data);
    return c.ok ? { kind: 'formula', value: c.value } : { kind: 'problem', problems: c.problems };
  }
  return { kind: 'text' };
}
