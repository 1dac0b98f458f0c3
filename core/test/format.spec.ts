import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { checkFormula, checkKitchenFile, readFile } from '../src/format/index.js';
import { demoIds } from './support/make.js';
import { published } from './support/schemas.js';

const docs = new URL('../../docs/formats/', import.meta.url);
const text = (path: string): string => readFileSync(new URL(path, docs), 'utf8');
const ajv = new Ajv2020({ allErrors: true, strict: false });
const schemas = {
  formula: ajv.compile(JSON.parse(text('formula.schema.json'))),
  kitchen: ajv.compile(JSON.parse(text('kitchen.schema.json'))),
};
const files = (kind: string): string[] => readdirSync(new URL(`examples/${kind}/`, docs));
const judge = (kind: string, name: string): { joi: boolean; schema: boolean } => {
  const data: unknown = JSON.parse(text(`examples/${kind}/${name}`));
  const which = name.startsWith('kitchen') ? 'kitchen' : 'formula';
  return {
    joi: (which === 'kitchen' ? checkKitchenFile(data) : checkFormula(data)).ok,
    schema: schemas[which](data) as boolean,
  };
};

describe('the open formats', () => {
  it('accept the valid examples, by the documented schema and by the application alike', () => {
    expect(files('valid').length).toBeGreaterThanOrEqual(5);
    for (const name of files('valid'))
      expect(judge('valid', name)).withContext(name).toEqual({ joi: true, schema: true });
  });

  it('refuse the invalid ones, both', () => {
    expect(files('invalid').length).toBeGreaterThanOrEqual(10);
    for (const name of files('invalid'))
      expect(judge('invalid', name)).withContext(name).toEqual({ joi: false, schema: false });
  });

  it('are published as they are checked', () => {
    for (const [name, schema] of Object.entries(published()))
      expect(JSON.parse(text(name)) as object)
        .withContext(`${name}: npm run derive`)
        .toEqual(JSON.parse(JSON.stringify(schema)) as object);
  });

  it('cover the sample kitchen', () => {
    for (const id of demoIds)
      expect(
        schemas.formula(JSON.parse(readFileSync(new URL(`../../demo/formulas/${id}.json`, import.meta.url), 'utf8'))),
      )
        .withContext(id)
        .toBeTrue();
  });

  it('keep every field of a file, known or not', () => {
    const read = readFile(text('examples/valid/formula-unknown-fields.json'));
    expect(read.kind === 'formula' && (read.value as unknown as { aunt: string }).aunt).toBe('Isolde');
  });

  it('say where a file is wrong and what to do, and never throw', () => {
    const broken = readFile('{"format": "orvin.formula",\n "groups": [');
    expect(broken.kind === 'problem' && broken.problems[0]?.remedy).toMatch(/Nothing was changed/);
    const wrong = readFile(text('examples/invalid/formula-grams-in-words.json'));
    expect(wrong.kind === 'problem' && wrong.problems[0]?.place).toBe('groups › 0 › items › 0 › grams');
    for (const odd of ['', 'null', '[]', '{}', '42', '{"format":"orvin.kitchen"}', '\u0000\u0001'])
      expect(() => readFile(odd)).not.toThrow();
  });
});
