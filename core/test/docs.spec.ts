import { readFileSync } from 'node:fs';
import { catalogueRow, families, powders } from '../src/index.js';
import { standIns } from '../src/adapt/table/stand-ins.js';
import { materials, parameters } from '../src/bake/materials.js';
import { PRIORS, UNKNOWN_SD } from '../src/bake/priors.js';
import { DISSOLVED, acids } from '../src/leavening/acids.js';
import type { Band } from '../src/index.js';

const read = (name: string): string => readFileSync(new URL(`../../docs/science/${name}`, import.meta.url), 'utf8');
/** Rows of every table of a document, as trimmed cells. */
const rows = (name: string): string[][] =>
  read(name)
    .split('\n')
    .filter((l) => l.startsWith('|') && !/^\|[ -]*-/.test(l))
    .map((l) =>
      l
        .split('|')
        .slice(1, -1)
        .map((c) => c.trim()),
    );
const rounded = (x: number): string => String(Math.round(1000 * x) / 1000);
const range = ([a, b]: readonly [number, number]): string => `${a}–${b}`;
const percents = (b: Band): string =>
  b.low === b.high ? rounded(100 * b.low) : [b.low, b.typical, b.high].map((x) => rounded(100 * x)).join('–');

describe('the documents of the science', () => {
  it('have the ranges of every family as the code has them', () => {
    const table = rows('balance.md');
    for (const f of families.filter((x) => x.id !== 'free'))
      expect(table.find((r) => r[0] === f.id))
        .withContext(f.id)
        .toEqual([f.id, ...[f.fat, f.sugar, f.egg, f.water, f.salt, f.lift, f.doneC, f.ovenC].map((r) => range(r))]);
  });

  it('have the bake model’s parameters as the code has them, and say which were fitted', () => {
    const table = rows('bake.md');
    const named: readonly (readonly [string, keyof typeof parameters])[] = [
      ['h, still oven', 'hcStill'],
      ['n, size', 'sizeExponent'],
      ['m_c, crust', 'mc'],
      ['β, vapour transport', 'beta'],
      ['w, wet walls', 'wetWalls'],
      ['gap between cups', 'cupGapMm'],
      ["a tube's air", 'tubeAir'],
      ['density of the matrix', 'matrixDensity'],
      ['h, fan', 'hcFan'],
    ];
    for (const [name, id] of named) expect(table.find((r) => r[0] === name)?.[1]).withContext(name).toBe(String(parameters[id])); // prettier-ignore
    const fitted = table.filter((r) => r[4]?.startsWith('**fitted**')).map((r) => r[0]);
    expect(new Set(fitted)).toEqual(new Set(named.slice(0, 6).map(([n]) => n)));
    expect(table.find((r) => r[0] === 'ε of light metal')?.[1]).toBe(String(materials['light metal'].eps));
    expect(table.find((r) => r[0] === 'nothing')?.[1]).toBe(`${rounded(100 * UNKNOWN_SD)} %`);
  });

  it('have what is believed before anything is known as the code has it', () => {
    const table = rows('learning.md');
    const letters: readonly (readonly [string, readonly (keyof typeof PRIORS)[]])[] = [
      ['b, r', ['bias', 'rack']],
      ['p, h, i, f', ['pace', 'shape', 'tin', 'batter']],
      ['d, d_f', ['done', 'done']],
      ['e', ['thermometer']],
    ];
    for (const [name, ids] of letters) {
      const said = (table.find((r) => r[0] === name)?.[2] ?? '').split(',').map((x) => parseFloat(x));
      expect(said)
        .withContext(name)
        .toEqual(ids.map((id) => PRIORS[id].sd));
    }
  });

  it('have every leavening acid with its value and its speed', () => {
    const table = rows('leavening.md');
    for (const a of acids)
      expect(table.find((r) => r[0] === a.name))
        .withContext(a.name)
        .toEqual([a.name, rounded(a.nv), percents(a.bench), rounded(100 * a.slowPerMin)]);
    const dissolved = table.find((r) => r[0]?.startsWith('dissolved'));
    expect(dissolved?.slice(2)).toEqual([percents(DISSOLVED.bench), rounded(100 * DISSOLVED.slowPerMin)]);
  });

  it('have every powder with its soda, and say how much of it its acids meet', () => {
    const table = rows('leavening.md');
    for (const p of powders) {
      const row = table.find((r) => r[0] === p.name);
      expect(row?.[1]?.replace(/ \(.*/, '')).withContext(p.name).toBe(percents(p.soda));
      expect(row?.[3])
        .withContext(p.name)
        .toBe(p.met === 1 ? 'all' : `${rounded(100 * p.met)} %`);
    }
  });

  it('have the share that each weak flour may be, and what stands in for an egg', () => {
    const table = rows('adapt.md');
    const named = (id: string): string => catalogueRow(id).name;
    for (const s of standIns.flour ?? [])
      if (s.most)
        expect(table.find((r) => r[0] === named(s.id)))
          .withContext(s.id)
          .toEqual([named(s.id), ...s.most.map((x) => `${rounded(100 * x)} %`), s.whyMost ?? '']);
    for (const s of standIns.egg ?? [])
      if (s.per !== undefined && s.id !== 'soy-yogurt')
        expect(table.find((r) => r[0] === named(s.id)))
          .withContext(s.id)
          .toEqual([named(s.id), String(Math.round(50 * s.per)), s.costs]);
  });
});
