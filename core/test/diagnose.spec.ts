import fc from 'fast-check';
import {
  applyChanges,
  causes,
  diagnose,
  differences,
  followUp,
  symptomIds,
  type BakeRecord,
  type Diagnosis,
  type Formula,
  type SymptomId,
} from '../src/index.js';
import { triable } from '../src/diagnose/next.js';
import { rank, speaksFor } from '../src/diagnose/rank.js';
import { diagnoseStudy } from '../bench/diagnose-study.js';
import { faults, plantedBake } from './support/faults.js';
import { demo, demoKitchen } from './support/make.js';
import { every, size } from './support/runs.js';

const kitchen = demoKitchen();
const sound = plantedBake(77, null);
const bakeOf = (more: Partial<BakeRecord>): BakeRecord => ({ ...sound.bake, result: {}, ...more });
const of = (d: Diagnosis, id: string): number => d.causes.find((c) => c.id === id)?.probability ?? 0;
const ask = (bake: BakeRecord, seen: readonly SymptomId[], formula: Formula = sound.formula, history: readonly BakeRecord[] = []): Diagnosis =>
  diagnose({ formula, bake, history }, seen, kitchen); // prettier-ignore

describe('a diagnosis', () => {
  it('finds planted faults, and finds none where there are none', () => {
    const log = spyOn(console, 'log');
    const f = diagnoseStudy(size(faults.length, 16), 31_000);
    log.and.callThrough();
    expect(f.first).toBeGreaterThan(0.65);
    expect(f.three).toBeGreaterThan(0.82);
    expect(f.alarms).toBeLessThan(0.1);
  });

  it('shares certainty out: all causes and nothing in particular make one, whatever was seen in whatever order', () => {
    fc.assert(
      fc.property(fc.subarray([...symptomIds]), fc.constantFrom(...causes), (seen, cause) => {
        const r = rank(seen, {}, 'muffin');
        expect(r.nothing + r.ranked.reduce((s, x) => s + x.probability, 0)).toBeCloseTo(1, 9);
        expect(rank([...seen].reverse(), {}, 'muffin')).toEqual(r);
        // one more symptom that a cause shows never makes it less likely
        const shown = Object.keys(cause.shows)[0] as SymptomId;
        const odds = (s: readonly SymptomId[]): number => {
          const x = rank(s, {}, 'free');
          return (x.ranked.find((y) => y.cause === cause)?.probability ?? 0) / x.nothing;
        };
        expect(odds([...new Set([...seen, shown])])).toBeGreaterThanOrEqual(odds(seen.filter((s) => s !== shown)));
      }),
      { numRuns: 40 },
    );
  });

  it('hears what is measured: the further a fact lies towards a cause, the more it speaks for it', () => {
    for (const shift of [-3, -1.5, 1, 2.6])
      for (let z = -4; z < 5; z += 0.25)
        expect(speaksFor((z + 0.25) * Math.sign(shift), shift)).toBeGreaterThanOrEqual(speaksFor(z * Math.sign(shift), shift) - 1e-9); // prettier-ignore
    const doneC = 96;
    const odds = (centreC: number): number => of(ask(bakeOf({ result: { centreC } }), ['sunk', 'gummy']), 'underbaked');
    expect(odds(doneC - 12)).toBeGreaterThan(odds(doneC - 3));
    expect(odds(doneC - 3)).toBeGreaterThan(odds(doneC + 2));
    expect(odds(doneC - 12)).toBeGreaterThan(0.6);
  });

  it('tells the formula from the hand by the formula: twice the powder, and the same without it', () => {
    const f = demo('malt-and-fig-tea-loaf');
    const powder = f.groups.flatMap((g) => g.items).find((i) => i.ingredient === 'baking-powder');
    const much = applyChanges(f, [{ itemId: powder?.id ?? '', grams: 2 * (powder?.grams ?? 0) }]);
    const seen: SymptomId[] = ['sunk', 'coarse'];
    const bake = bakeOf({ formulaId: f.id, family: f.family });
    expect(ask(bake, seen, much).causes[0]?.id).toBe('too much leavener');
    expect(of(ask(bake, seen, f), 'too much leavener')).toBeLessThan(
      0.7 * of(ask(bake, seen, much), 'too much leavener'),
    );
    const reasons = ask(bake, seen, much).causes[0]?.evidence ?? [];
    expect(reasons.some((e) => e.for && /Lift is/.test(e.words))).toBeTrue();
    for (let i = 1; i < reasons.length; i++)
      expect(reasons[i]?.factor).toBeLessThanOrEqual((reasons[i - 1]?.factor ?? 0) + 1e-9);
  });

  it('hears the history: clean bakes clear the formula, the same fault elsewhere points at the oven', () => {
    const seen: SymptomId[] = ['cracked', 'very dark'];
    const clean = Array.from({ length: 4 }, (_, i) =>
      bakeOf({ id: `c${i}`, outcome: 'good', result: { symptoms: [] } }),
    );
    const elsewhere = Array.from({ length: 3 }, (_, i) => bakeOf({ id: `e${i}`, formulaId: 'other', result: { symptoms: ['very dark'] } })); // prettier-ignore
    const bake = bakeOf({ id: 'now' });
    const alone = ask(bake, seen);
    expect(of(ask(bake, ['sunk', 'stuck'], sound.formula, clean), 'too sweet')).toBeLessThan(of(ask(bake, ['sunk', 'stuck']), 'too sweet') + 1e-9); // prettier-ignore
    expect(of(ask(bake, seen, sound.formula, elsewhere), 'oven hot')).toBeGreaterThan(of(alone, 'oven hot'));
    // what was left out by the baker says nothing
    expect(
      ask(
        bake,
        seen,
        sound.formula,
        elsewhere.map((b) => ({ ...b, excluded: true })),
      ),
    ).toEqual(alone);
  });

  it('is confirmed or refuted by the bake that tried its remedy', () => {
    const before = bakeOf({ id: 'before', outcome: 'sunk', result: { symptoms: ['sunk', 'gummy'] } });
    const trial = { from: 'before', cause: 'underbaked', words: 'Only this: 50 min.' };
    const good = bakeOf({ id: 'after', outcome: 'good', trial, result: { symptoms: [] } });
    const bad = bakeOf({ id: 'after', outcome: 'sunk', trial, result: { symptoms: ['sunk', 'gummy'] } });
    expect(followUp(before, good).state).toBe('confirmed');
    expect(followUp(before, bad).state).toBe('refuted');
    expect(followUp(before, bakeOf({ trial, outcome: 'fine', result: {} })).state).toBe('unclear');
    expect(followUp(before, { ...bad, result: { symptoms: ['gummy'] } }).state).toBe('unclear');
    const at = (after: BakeRecord[]): number => of(ask(before, ['sunk', 'gummy'], sound.formula, after), 'underbaked');
    expect(at([good])).toBeGreaterThan(at([]));
    expect(at([bad])).toBeLessThan(at([]));
  });

  it('has one thing to try for every cause, and just one', () => {
    expect([...triable].sort()).toEqual(causes.map((c) => c.id).sort());
    for (const [i, fault] of every(2, faults).entries()) {
      const p = plantedBake(500 + i, fault.id);
      const d = diagnose({ formula: p.formula, bake: p.bake }, p.symptoms, p.kitchen);
      for (const c of d.causes) {
        if (!c.next) continue;
        const kinds = new Set(differences(p.formula, c.next.formula).map((x) => x.kind));
        expect(kinds.size).withContext(`${fault.id}: ${c.id}: ${c.next.words}`).toBe(1);
        expect(c.next.words.length).toBeGreaterThan(20);
      }
      const [top] = d.causes;
      if (top && top.probability > 0.6) expect(top.next).withContext(top.id).not.toBeNull();
    }
  });

  it('asks for what would settle it, and not for what is known', () => {
    const bake = bakeOf({ tin: { ...sound.bake.tin } });
    const open = ask(bake, ['sunk', 'gummy']);
    expect(open.checks.some((c) => c.id === 'middle')).toBeTrue();
    const known = ask({ ...bake, result: { centreC: 97 } }, ['sunk', 'gummy']);
    expect(known.checks.some((c) => c.id === 'middle')).toBeFalse();
    for (const c of open.checks) expect(c.bits).toBeGreaterThan(0);
  });

  it('says nothing where there is nothing, and names what one cause leaves unexplained', () => {
    const calm = ask(bakeOf({ outcome: 'good' }), []);
    expect(calm.stands).toBeFalse();
    expect(calm.words).toContain('Nothing');
    const two = ask(bakeOf({ result: { centreC: 84 } }), ['sunk', 'gummy', 'specks']);
    expect(two.causes[0]?.id).toBe('underbaked');
    expect(two.unexplained).toEqual(['specks']);
  });
});
