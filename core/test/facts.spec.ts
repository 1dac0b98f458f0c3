import {
  allItems,
  applyChanges,
  causes,
  diagnose,
  ingredientFor,
  symptomIds,
  symptoms,
  type BakeRecord,
  type Formula,
  type Ingredient,
  type Kitchen,
} from '../src/index.js';
import { looks } from '../src/diagnose/checks.js';
import { factsOf, type FactId } from '../src/diagnose/facts.js';
import { plantedBake } from './support/faults.js';
import { size } from './support/runs.js';
import { demo, demoKitchen } from './support/make.js';

const kitchen = demoKitchen();
const f = demo('cardamom-yogurt-round');
const base: BakeRecord = {
  ...plantedBake(5, null).bake,
  formulaId: f.id,
  family: f.family,
  tin: f.tins?.[0] as BakeRecord['tin'],
  batterG: 969,
  ovenC: 175,
  minutes: 40,
  result: {},
};
const { observed: _seen, ...bare } = base;
const observed = (more: Partial<NonNullable<BakeRecord['observed']>> = {}): BakeRecord['observed'] => ({ beganAt: 0, intoOvenAt: 0, weighed: [], added: [], skipped: [], ovenReadings: [], ...more }); // prettier-ignore
const z = (id: FactId, bake: BakeRecord | null = bare, formula: Formula = f, k: Kitchen = kitchen): number | undefined => factsOf(formula, bake, k).facts[id]?.z; // prettier-ignore
const times = (is: (i: Ingredient) => boolean, factor: number): Formula =>
  applyChanges(f, allItems(f).filter((i) => is(ingredientFor(f, i, kitchen))).map((i) => ({ itemId: i.id, grams: i.grams * factor }))); // prettier-ignore

describe('what is known of a bake in numbers', () => {
  it('moves with the formula: more of a thing, more of its fact', () => {
    for (const [fact, is] of [
      ['lift', (i: Ingredient) => i.leavener === 'powder'],
      ['sugar', (i: Ingredient) => i.role === 'sugar'],
      ['fat', (i: Ingredient) => i.role === 'fat'],
      ['water', (i: Ingredient) => i.role === 'liquid'],
      ['free soda', (i: Ingredient) => i.leavener === 'soda'],
    ] as const) {
      const at = [0.6, 1, 1.8].map((k) => z(fact, bare, times(is, k)) as number);
      expect(at[0])
        .withContext(fact)
        .toBeLessThan(at[1] as number);
      expect(at[1])
        .withContext(fact)
        .toBeLessThan(at[2] as number);
    }
    const much = times((i) => i.leavener === 'soda', 5);
    expect(z('left soda', bare, much)).toBeGreaterThan(2);
    expect(z('unmet soda', bare, much)).toBeGreaterThan(z('unmet soda') as number);
    expect(
      z(
        'lean',
        bare,
        times((i) => i.role === 'fat' || i.role === 'sugar', 0.3),
      ),
    ).toBeGreaterThan(1.5);
  });

  it('lies near nothing for a sound formula, baked as it should be', () => {
    const { facts, doneC } = factsOf(f, { ...bare, result: { centreC: 96.5 } }, kitchen);
    expect(doneC).toBeGreaterThan(94);
    for (const id of ['lift', 'sugar', 'fat', 'water', 'left soda', 'centre', 'time'] as const)
      expect(Math.abs(facts[id]?.z ?? 9))
        .withContext(id)
        .toBeLessThan(1.9);
  });

  it('is left out when it was not seen, and says nothing then', () => {
    for (const id of ['centre', 'loss', 'height', 'stood', 'flour weighed', 'fill spread', 'tins skipped', 'rack', 'air'] as const)
      expect(z(id)).withContext(id).toBeUndefined(); // prettier-ignore
    // a formula alone has no bake to speak of
    expect(z('time', null)).toBeUndefined();
    expect(z('fill', null)).toBeUndefined();
    expect(z('lift', null)).toBeDefined();
  });

  it('moves with the bake: what was measured, in its own direction', () => {
    const rising = (id: FactId, bakes: readonly BakeRecord[]): void => {
      const at = bakes.map((b) => z(id, b) as number);
      for (let i = 1; i < at.length; i++) expect(at[i]).withContext(`${id}, ${at.join(' ')}`).toBeGreaterThan(at[i - 1] as number); // prettier-ignore
    };
    rising('centre', [86, 93, 99].map((centreC) => ({ ...bare, result: { centreC } }))); // prettier-ignore
    rising('time', [28, 40, 55].map((minutes) => ({ ...bare, minutes }))); // prettier-ignore
    rising('loss', [940, 900, 840].map((outG) => ({ ...bare, result: { outG } }))); // prettier-ignore
    rising('height', [30, 42, 60].map((heightMm) => ({ ...bare, result: { heightMm } }))); // prettier-ignore
    rising('stood', [1, 14, 60].map((stoodMin) => ({ ...bare, observed: observed({ stoodMin }) as never }))); // prettier-ignore
    rising('air', [150, 175, 205].map((ovenC) => ({ ...bare, observed: observed({ ovenReadings: [{ min: 15, ovenC }] }) as never }))); // prettier-ignore
    rising('fill', [600, 969, 1500].map((batterG) => ({ ...bare, batterG }))); // prettier-ignore
    rising('dial', [150, 175, 215].map((ovenC) => ({ ...bare, ovenC }))); // prettier-ignore
    rising('batch', [1, 2, 4].map((factor) => ({ ...bare, factor }))); // prettier-ignore
    const flour = allItems(f).find((i) => i.ingredient === 'plain-flour')?.id ?? '';
    rising('flour weighed', [240, 255, 330].map((grams) => ({ ...bare, observed: observed({ weighed: [{ itemId: flour, grams }] }) as never }))); // prettier-ignore
    rising('fill spread', [[480, 482], [460, 510], [400, 570]].map((filled) => ({ ...bare, observed: observed({ filled }) as never }))); // prettier-ignore
  });

  it('hears what was left out, the room, the powder and the tin', () => {
    const skip = (s: string): BakeRecord => ({ ...bare, observed: observed({ skipped: [s] }) as never });
    expect(z('tins skipped', skip('tins'))).toBeGreaterThan(2);
    expect(z('cold things', skip('take out:eggs'))).toBeGreaterThan(2);
    expect(z('cooling skipped', skip('cool'))).toBeGreaterThan(2);
    expect(z('tins skipped', { ...bare, observed: observed() as never })).toBeLessThan(0);
    expect(z('warm room', bare, f, { ...kitchen, roomC: 30 })).toBeGreaterThan(2);
    const weak = { ...kitchen, powders: kitchen.powders.map((p) => ({ ...p, strength: 'none' as const })) };
    expect(z('powder', bare, f, weak)).toBeGreaterThan(3);
    const inTin = (material: BakeRecord['tin']['tin']['material']): BakeRecord => ({ ...bare, tin: { ...bare.tin, tin: { ...bare.tin.tin, material } } }); // prettier-ignore
    expect(z('dark tin', inTin('dark metal'))).toBeGreaterThan(1);
    expect(z('light tin', inTin('silicone'))).toBeGreaterThan(1);
    expect(z('dark tin', inTin('light metal'))).toBeLessThan(0);
  });

  it('says each of them in words with its figure', () => {
    const p = plantedBake(9, 'too wet');
    for (const [id, fact] of Object.entries(factsOf(p.formula, p.bake, p.kitchen).facts)) {
      expect(fact.words).withContext(id).toMatch(/[.!]$/);
      expect(fact.words)
        .withContext(id)
        .not.toMatch(/NaN|undefined|Infinity|null/);
    }
  });
});

describe('the table of causes', () => {
  it('names each once, shows what there is to see, and hangs on what is known', () => {
    expect(new Set(causes.map((c) => c.id)).size).toBe(causes.length);
    const seen = new Set(causes.flatMap((c) => Object.keys(c.shows)));
    expect([...seen].sort()).toEqual([...symptomIds].sort());
    for (const c of causes) {
      expect(Object.values(c.shows).every((p) => p > 0 && p < 1))
        .withContext(c.id)
        .toBeTrue();
      expect(c.base).toBeGreaterThan(0);
      expect(c.words).toMatch(/[.]$/);
      expect(c.tells.every(([, shift]) => Math.abs(shift) <= 5)).toBeTrue();
    }
    for (const s of symptoms) expect(s.words.length).toBeGreaterThan(10);
  });

  it('speaks of no cause that cannot be: a cutter turns only what is cut', () => {
    const d = diagnose({ formula: f, bake: bare }, ['lopsided'], kitchen);
    expect(d.causes.some((c) => c.id === 'twisted cutter')).toBeFalse();
    const scones = demo('cheese-and-thyme-scones');
    const own = {
      ...bare,
      family: scones.family,
      tin: scones.tins?.[0] as BakeRecord['tin'],
      batterG: 698,
      ovenC: 215,
      minutes: 17,
    };
    expect(diagnose({ formula: scones, bake: own }, ['lopsided'], kitchen).causes[0]?.id).toBe('twisted cutter');
  });

  it('takes its remedy back towards what is usual', () => {
    const moves = [['too much leavener', 'lift', -1], ['too sweet', 'sugar', -1], ['too fat', 'fat', -1], ['too wet', 'water', -1], ['left soda', 'left soda', -1], ['soda for powder', 'free soda', -1], ['low lift', 'lift', 1], ['lean', 'lean', -1], ['whole grain dry', 'water', 1]] as const; // prettier-ignore
    const seeds = size(4, 2);
    let tried = 0;
    for (const [cause, fact, sign] of moves)
      for (let seed = 0; seed < seeds; seed++) {
        const p = plantedBake(2000 + seed, cause);
        const next = diagnose({ formula: p.formula, bake: p.bake }, p.symptoms, p.kitchen).causes.find((c) => c.id === cause)?.next; // prettier-ignore
        if (!next) continue;
        const at = (g: Formula): number => factsOf(g, p.bake, p.kitchen).facts[fact]?.z ?? 0;
        const [before, after] = [at(p.formula), at(next.formula)];
        tried++;
        // what lies off the scale stays there until it comes back onto it
        if (Math.abs(before) < 5.9) expect(sign * (after - before)).withContext(`${cause}, ${seed}: ${next.words}`).toBeGreaterThan(0); // prettier-ignore
      }
    expect(tried).toBeGreaterThan((seeds / 2) * moves.length);
  });

  it('knows of every look which causes it speaks of', () => {
    const ids = new Set(causes.map((c) => c.id));
    for (const l of looks) {
      for (const id of Object.keys(l.yes)) expect(ids.has(id)).withContext(`${l.id}: ${id}`).toBeTrue();
      expect(Object.values(l.yes).every((p) => p > 0 && p < 1))
        .withContext(l.id)
        .toBeTrue();
    }
  });
});
