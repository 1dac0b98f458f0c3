import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { defaultKitchen } from '../src/index.js';
import { checkKitchenFile, readFile, type KitchenFile } from '../src/format/index.js';
import { demo, demoIds, demoKitchen } from './support/make.js';
import { size } from './support/runs.js';

const log = JSON.parse(readFileSync(new URL('../../demo/log.json', import.meta.url), 'utf8')) as Pick<KitchenFile, 'bakes' | 'versions'>; // prettier-ignore
const whole: KitchenFile = {
  format: 'orvin.kitchen',
  version: 1,
  exportedAt: 1790845200000,
  kitchen: demoKitchen(),
  formulas: demoIds.slice(0, 3).map((id) => ({ formula: demo(id), plan: { tins: demo(id).tins ?? [] } })),
  versions: log.versions.slice(0, 1),
  bakes: log.bakes.slice(0, 3),
  day: { bakes: ['a'], serve: { date: '2026-10-03', time: '10:00' }, pins: {} },
  shopping: { bakes: [{ id: 'a', times: 2 }], basket: ['salt'] },
};
type Loose = Record<string | number, unknown>;
const copy = (): Loose => JSON.parse(JSON.stringify(whole)) as Loose;
const at = (x: unknown, path: readonly (string | number)[]): Loose => path.reduce((o: Loose, k) => o[k] as Loose, x as Loose); // prettier-ignore
const paths = (x: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] =>
  typeof x !== 'object' || x === null
    ? [path]
    : [...(path.length > 0 ? [path] : []), ...Object.entries(x).flatMap(([k, v]) => paths(v, [...path, Array.isArray(x) ? Number(k) : k]))]; // prettier-ignore
const places = paths(whole).filter((p) => p[0] !== 'format' && p[0] !== 'version');
const spoilt = (...changes: (readonly [readonly (string | number)[], unknown])[]): string => {
  const file = copy();
  for (const [path, value] of changes) at(file, path.slice(0, -1))[path.at(-1) as string] = value;
  return JSON.stringify(file);
};
const taken = (text: string): Extract<ReturnType<typeof readFile>, { kind: 'kitchen' }> => {
  const read = readFile(text);
  if (read.kind !== 'kitchen') throw new Error(JSON.stringify(read));
  return read;
};

describe('a kitchen’s file that does not fit', () => {
  it('is not led astray by names that every object has of itself', () => {
    for (const name of ['toString', 'constructor', 'hasOwnProperty', 'valueOf']) {
      const read = taken(spoilt([['kitchen', 'stock', name], 'x'], [['kitchen', 'measures', name], { a: 1 }]));
      expect(checkKitchenFile(JSON.parse(JSON.stringify(read.value))).ok).toBeTrue();
      expect(read.amiss.map((p) => p.place)).toEqual([`kitchen › stock › ${name}`]);
    }
  });

  it('is taken whole where it does', () => {
    expect(taken(JSON.stringify(whole))).toEqual({ kind: 'kitchen', value: whole, amiss: [] });
  });

  it('gives what fits, wherever and however it is spoilt, and names what does not', () => {
    const bad = fc.constantFrom<unknown>(null, 5, -1, 1e20, 'x', '', [], [null], {}, true);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...places), bad), { minLength: 1, maxLength: 4 }), (changes) => {
        let text: string;
        try {
          text = spoilt(...changes);
        } catch {
          // an earlier change took away what a later one would spoil
          return;
        }
        const { value, amiss } = taken(text);
        expect(checkKitchenFile(value)).toEqual({ ok: true, value });
        const fitted = checkKitchenFile(JSON.parse(text));
        expect(amiss.length === 0).toBe(fitted.ok);
        for (const p of amiss) expect(p.words).toMatch(/; .*(?:is left out|stands there)/);
      }),
      { numRuns: size(1500, 60) },
    );
  });

  it('stands in with what is usual only where a kitchen must have it, and says what stands there', () => {
    const { value, amiss } = taken(
      spoilt(
        [['kitchen', 'powders'], [null]],
        [['kitchen', 'bowls'], null],
        [['kitchen', 'locale', 'currency'], 'Euro'],
        [['kitchen', 'locale', 'zone'], 'Mars/Olympus'],
        [['kitchen', 'mixer'], 7],
      ),
    );
    expect(value.kitchen.powders).toEqual([]);
    expect(value.kitchen.bowls).toEqual(defaultKitchen.bowls);
    expect(value.kitchen.locale).toEqual({
      ...whole.kitchen.locale,
      currency: 'EUR',
      zone: defaultKitchen.locale.zone,
    });
    expect('mixer' in value.kitchen).toBeFalse();
    expect(amiss.map((p) => [p.place, p.words])).toContain([
      'kitchen › locale › currency',
      '“currency” is no currency: EUR or INR would be one; EUR stands there.',
    ]);
    // nothing else moved
    expect(value.kitchen.tins).toEqual(whole.kitchen.tins);
    expect([value.formulas, value.bakes, value.day]).toEqual([whole.formulas, whole.bakes, whole.day]);
  });

  it('leaves out a formula with a wrong line as a whole, a bake that is at no time, a mark that is none alone', () => {
    const { value, amiss } = taken(
      spoilt(
        [['formulas', 1, 'formula', 'groups', 0, 'items', 0, 'grams'], 'a bit'],
        [['formulas', 0, 'plan', 'locked'], 5],
        [['bakes', 0, 'at'], 1e20],
        [['bakes', 2, 'result'], { heightMm: 44, marks: { crumb: 9 } }],
      ),
    );
    expect(value.formulas.map((f) => f.formula.id)).toEqual([demoIds[0] as string, demoIds[2] as string]);
    expect(value.formulas[0]?.plan).toEqual(whole.formulas[0]?.plan as object);
    expect(value.bakes.map((b) => b.id)).toEqual(whole.bakes.slice(1).map((b) => b.id));
    expect(value.bakes[1]?.result).toEqual({ heightMm: 44, marks: {} });
    expect(amiss.find((p) => p.place.startsWith('formulas › 1'))?.words).toContain(`“${demo(demoIds[1] as string).title}” is left out as a whole`); // prettier-ignore
  });

  it('refuses what is no kitchen, of another version, or empty of all that could be used', () => {
    for (const text of [
      '{"format":"orvin.kitchen"}',
      JSON.stringify({ ...whole, version: 2 }),
      '{"format":"orvin.kitchen","version":1,"formulas":[{}]}',
    ])
      // prettier-ignore
      expect(readFile(text).kind).withContext(text.slice(0, 60)).toBe('problem');
  });

  it('knows a day that is none, and a time that is none', () => {
    for (const [date, ok] of [
      ['2026-02-28', true],
      ['2026-02-29', false],
      ['2028-02-29', true],
      ['2100-02-29', false],
      ['2026-13-01', false],
      ['2026-04-31', false],
    ] as const)
      expect(taken(spoilt([['day', 'serve', 'date'], date])).amiss.length === 0)
        .withContext(date)
        .toBe(ok);
    expect(taken(spoilt([['day', 'serve', 'time'], '24:10'])).value.day).toBeNull();
    for (const at of [null, 1e20, 'then']) {
      const { value, amiss } = taken(spoilt([['exportedAt'], at]));
      expect(amiss.map((p) => p.place)).toEqual(['exportedAt']);
      expect(checkKitchenFile(value).ok).toBeTrue();
    }
  });
});
