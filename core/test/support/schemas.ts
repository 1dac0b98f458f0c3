import type Joi from 'joi';
import { kitchenFile } from '../../src/format/schema/file.js';
import { formula } from '../../src/format/schema/formula.js';
import { tin } from '../../src/format/schema/parts.js';

interface Standard {
  readonly jsonSchema: { readonly input: (options: { target: string }) => object };
}
const plain = (schema: Joi.Schema): object =>
  (schema as unknown as { '~standard': Standard })['~standard'].jsonSchema.input({ target: 'draft-2020-12' });

/** Names what occurs several times once, under `$defs`. */
function shared(schema: object, parts: Readonly<Record<string, object>>): object {
  const named = new Map(Object.entries(parts).map(([name, part]) => [JSON.stringify(part), name]));
  const walk = (x: unknown, self?: string): unknown => {
    if (Array.isArray(x)) return x.map((y) => walk(y));
    if (typeof x !== 'object' || x === null) return x;
    const name = named.get(JSON.stringify(x));
    if (name !== undefined && name !== self) return { $ref: `#/$defs/${name}` };
    return Object.fromEntries(Object.entries(x).map(([key, y]) => [key, walk(y)]));
  };
  const defs = Object.fromEntries(Object.entries(parts).map(([name, part]) => [name, walk(part, name)]));
  return { ...(walk(schema) as object), $defs: defs };
}

const made = (
  schema: Joi.Schema,
  parts: Readonly<Record<string, Joi.Schema>>,
  title: string,
  words: string,
): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title,
  description: `${words} Fields that are not listed here are kept as they are.`,
  ...shared(plain(schema), Object.fromEntries(Object.entries(parts).map(([name, part]) => [name, plain(part)]))),
});

/** What docs/formats publishes, by the schemas that the application checks with. */
export const published = (): Readonly<Record<string, object>> => ({
  'formula.schema.json': made(formula, { tin }, 'Orvin formula, version 1', 'One formula.'),
  'kitchen.schema.json': made(
    kitchenFile,
    { formula, tin },
    'Orvin kitchen, version 1',
    'A whole kitchen: its profile, formulas, frozen versions and bakes.',
  ),
});
