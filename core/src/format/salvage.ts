import type Joi from 'joi';
import type { Problem } from '../errors.js';
import { defaultKitchen } from '../kitchen/default.js';
import type { Kitchen } from '../formula/types.js';
import { faultsOf, placeOf } from './check.js';
import { day, making, shoppingList } from './schema/doing.js';
import { formulaDocument, photo, version } from './schema/file.js';
import { kitchen, kitchenLists } from './schema/kitchen.js';
import { bakeRecord, series } from './schema/log.js';
import { instant } from './schema/parts.js';
import type { KitchenFile } from './types.js';

type Path = readonly (string | number)[];
type Loose = Record<string | number, unknown>;
const isObject = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);
/** What is at a place of a value; what every object has of itself, such as `toString`, is nothing of its. */
const at = (from: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (x, key) => (typeof x === 'object' && x !== null && Object.hasOwn(x, key) ? (x as Loose)[key] : undefined),
    from,
  );
const copy = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T;

/** Deepest a record goes; each round takes a fault at least one step up. */
const MOST_ROUNDS = 16;
/** Fields that a place is named by, so that a baker finds it without counting. */
const NAMES = ['title', 'name', 'label'] as const;

const WHOLE = 'all of it is left out';

/** What can be used of a file, and what was left out of it or set to what is usual, in words with their places. */
export interface Salvaged {
  readonly value: KitchenFile;
  readonly amiss: readonly Problem[];
}

/** One place at which a record did not fit, and what became of it. */
interface Mended {
  readonly path: Path;
  readonly words: string;
  readonly fate: string;
}

/**
 * Makes a record fit by leaving out fields that do not, the smallest part first; what is needed is set to what is usual,
 * where there is something usual, and otherwise takes with it what needs it. Entries of lists are never left out singly,
 * since a formula without one of its lines is another formula. `value` is null when nothing is left.
 */
function mend(schema: Joi.ObjectSchema, data: unknown, usual?: object): { value: unknown; mended: readonly Mended[] } {
  let value = copy(data);
  const first = faultsOf(schema, value) ?? [];
  const gone: Path[] = [];
  const set = new Map<string, unknown>();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const faults = faultsOf(schema, value);
    if (!faults) break;
    for (const f of faults) {
      const stand = at(usual, f.path);
      if (stand !== undefined && isObject(at(value, f.path.slice(0, -1)))) {
        (at(value, f.path.slice(0, -1)) as Loose)[f.path.at(-1) as string] = copy(stand);
        set.set(f.path.join('.'), stand);
        continue;
      }
      // what is missing takes along what needs it
      let path: Path = f.type === 'any.required' ? f.path.slice(0, -1) : f.path;
      while (typeof path.at(-1) === 'number') path = path.slice(0, -1);
      gone.push(path);
      if (path.length === 0) value = usual === undefined ? null : copy(usual);
      else {
        const owner = at(value, path.slice(0, -1));
        if (isObject(owner)) delete owner[path.at(-1) as string];
      }
    }
    if (value === null) break;
  }
  if (value !== null && faultsOf(schema, value)) value = null;
  return { value, mended: first.map((f) => ({ path: f.path, words: f.message, fate: fateOf(f.path, value, gone, set) })) }; // prettier-ignore
}

function fateOf(path: Path, value: unknown, gone: readonly Path[], set: ReadonlyMap<string, unknown>): string {
  if (value === null) return WHOLE;
  for (let n = 1; n <= path.length; n++) {
    const usual = set.get(path.slice(0, n).join('.'));
    if (usual !== undefined) return typeof usual === 'object' ? 'what is usual stands there' : `${String(usual)} stands there`; // prettier-ignore
  }
  const out = gone
    .filter((g) => g.length < path.length && g.every((key, i) => key === path[i]))
    .sort((a, b) => a.length - b.length)[0];
  return out && out.length > 0 ? `“${String(out.at(-1))}” is left out` : 'it is left out';
}

const nameOf = (x: unknown): string => {
  const inner = isObject(x) && isObject(x['formula']) ? x['formula'] : x;
  const name = isObject(inner) ? NAMES.map((key) => inner[key]).find((n) => typeof n === 'string' && n !== '') : undefined; // prettier-ignore
  return name === undefined ? '' : `“${name as string}”`;
};

/**
 * Takes what can be used out of a kitchen's file; null when it is none, or nothing in it can be used.
 *
 * @param usual what stands in for what a kitchen must have and the file does not say
 */
export function salvage(data: unknown, usual: Kitchen = defaultKitchen): Salvaged | null {
  if (!isObject(data) || data['format'] !== 'orvin.kitchen' || data['version'] !== 1) return null;
  const amiss: Problem[] = [];
  const tell = (where: Path, name: string, mended: readonly Mended[]): void => {
    const whole = name === '' ? WHOLE : `${name} is left out as a whole`;
    for (const m of mended)
      amiss.push({
        id: `file-${amiss.length}`,
        place: placeOf([...where, ...m.path]) + (name === '' ? '' : `, ${name}`),
        words: `${m.words}; ${m.fate === WHOLE ? whole : m.fate}.`,
        remedy: 'The file itself is unchanged: mend it there and import it again, or set it right here.',
      });
  };
  const list = (where: Path, schema: Joi.ObjectSchema, entries: unknown): unknown[] => {
    if (entries === undefined) return [];
    if (!Array.isArray(entries)) {
      tell(where, '', [{ path: [], words: `“${String(where.at(-1))}” is no list`, fate: WHOLE }]);
      return [];
    }
    return entries.flatMap((entry, i) => {
      const { value, mended } = mend(schema, entry);
      tell([...where, i], nameOf(entry), mended);
      return value === null ? [] : [value];
    });
  };
  const single = (key: string, schema: Joi.ObjectSchema): object => {
    if (data[key] === undefined || data[key] === null) return {};
    const { value, mended } = mend(schema, data[key]);
    tell([key], '', mended);
    return value === null ? {} : { [key]: value };
  };

  const profile = data['kitchen'];
  const lists = isObject(profile)
    ? Object.fromEntries(Object.entries(kitchenLists).filter(([key]) => Array.isArray(profile[key])).map(([key, schema]) => [key, list(['kitchen', key], schema, profile[key])])) // prettier-ignore
    : {};
  const own = mend(kitchen, isObject(profile) ? { ...profile, ...lists } : profile ?? null, usual); // prettier-ignore
  tell(['kitchen'], '', own.mended);
  // what is being made goes on from when the file was written, so without that it cannot
  const dated = instant.required().validate(data['exportedAt'], { convert: false }).error === undefined;
  if (!dated) tell(['exportedAt'], '', [{ path: [], words: '“exportedAt” is no instant', fate: 'it is left out, and what was being made with it' }]); // prettier-ignore
  const value = {
    ...data,
    exportedAt: dated ? data['exportedAt'] : 0,
    kitchen: own.value,
    formulas: list(['formulas'], formulaDocument, data['formulas']),
    versions: list(['versions'], version, data['versions']),
    bakes: list(['bakes'], bakeRecord, data['bakes']),
    ...(data['series'] !== undefined && { series: list(['series'], series, data['series']) }),
    ...(data['photos'] !== undefined && { photos: list(['photos'], photo, data['photos']) }),
    ...withoutNull(data, ['day', 'making', 'shopping']),
    ...single('day', day),
    ...(dated ? single('making', making) : {}),
    ...single('shopping', shoppingList),
  };
  const empty = value.formulas.length === 0 && value.versions.length === 0 && value.bakes.length === 0;
  return empty && !isObject(profile) ? null : { value: value as unknown as KitchenFile, amiss };
}

/** Fields that are to be checked by themselves, as if they were not there. */
const withoutNull = (data: Loose, keys: readonly string[]): object =>
  Object.fromEntries(keys.filter((key) => data[key] !== undefined).map((key) => [key, null]));
