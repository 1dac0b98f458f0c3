import {
  adapt,
  allItems,
  assess,
  ingredientFor,
  isConflict,
  presets,
  rebalance,
  replacements,
  substitute,
  type Conflict,
  type Formula,
  type Proposal,
} from '../src/index.js';
import { demo, demoIds } from './support/make.js';

const had = (x: Proposal[] | Conflict): readonly Proposal[] => (isConflict(x) ? (x.nearest ? [x.nearest] : []) : x);
const lineOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';

describe('what a change could do to someone', () => {
  /** Every allergen and caution that is new in what is proposed is said with it. */
  const isSaid = (was: Formula, p: Proposal): void => {
    const [before, after] = [assess(was), assess(p.formula)];
    const cautions = p.cautions.join(' ');
    for (const a of after.allergens)
      if (!before.allergens.includes(a)) expect(cautions).withContext(`${was.id}: ${p.title}`).toContain(a);
    for (const c of after.cautions)
      if (!before.cautions.some((x) => x.id === c.id)) expect(p.cautions).withContext(p.title).toContain(c.words);
    if (after.allergens.every((a) => before.allergens.includes(a))) expect(cautions).not.toContain('not in it before');
  };

  it('is said with every swap that brings it, and only with those', async () => {
    let brought = 0;
    for (const id of demoIds.slice(0, 6)) {
      const f = demo(id);
      for (const item of allItems(f))
        for (const r of replacements(f, item.id).slice(0, 4)) {
          const p = await substitute(f, item.id, r.ingredient);
          isSaid(f, p);
          if (/not in it before/.test(p.cautions.join())) brought++;
        }
    }
    expect(brought).toBeGreaterThan(3);
    const yogurt = demo('cardamom-yogurt-round');
    const sweet = await substitute(yogurt, lineOf(yogurt, 'caster-sugar'), 'honey');
    expect(sweet.cautions.join(' ')).toContain('12 months');
  });

  it('is said with every preset, beside the preset’s own cautions', async () => {
    for (const id of demoIds)
      for (const preset of presets)
        for (const p of had(await adapt(demo(id), preset.id))) {
          isSaid(demo(id), p);
          for (const c of preset.cautions) expect(p.cautions).toContain(c);
        }
  });
});

describe('less sodium', () => {
  const quarter = { wishes: [{ kind: 'change', of: 'sodium', byPct: -25 }] } as const;

  it('may come from a powder with potassium, which leaves the salt for the taste, and is cautioned', async () => {
    for (const id of ['cheese-and-thyme-scones', 'rye-and-pear-loaf', 'maize-and-chive-skillet-bread']) {
      const f = demo(id);
      const all = had(await rebalance(f, quarter));
      const salt = (x: Formula): number => allItems(x).find((i) => i.ingredient === 'salt')?.grams ?? 0;
      const other = all.find((p) => allItems(p.formula).some((i) => i.ingredient === 'baking-powder-low-sodium'));
      expect(other).withContext(id).toBeDefined();
      if (!other) continue;
      expect(all[0]?.lines.length).toBe(1);
      expect(salt(other.formula)).toBeGreaterThan(salt(all[0]?.formula as Formula));
      expect(other.merit).toBeLessThanOrEqual(assess(f).merit);
      expect(other.cautions.join(' ')).toContain('potassium');
      expect(all[0]?.cautions.join(' ')).toContain('doctor');
      expect(all[0]?.cautions.join(' ')).not.toContain('potassium');
      // once it is in, it is not offered again
      const again = had(await rebalance(other.formula, quarter));
      for (const p of again)
        expect(
          p.lines.some((l) => l.kind === 'added' && l.item?.ingredient === 'baking-powder-low-sodium'),
        ).toBeFalse();
    }
  });

  it('and less sugar defer to whoever set the diet, however they are asked for', async () => {
    const f = demo('cardamom-yogurt-round');
    for (const p of had(await rebalance(f, { wishes: [{ kind: 'change', of: 'sugar', byPct: -10 }] })))
      expect(p.cautions.join(' ')).toContain('diabetes');
    for (const p of had(await rebalance(f, { wishes: [{ kind: 'change', of: 'fat', byPct: -10 }] })))
      expect(p.cautions).toEqual([]);
  });

  it('never calls for it where no powder lifts', async () => {
    const f = demo('wholemeal-seeded-soda-loaf');
    expect(allItems(f).some((i) => ingredientFor(f, i).leavener === 'powder')).toBeFalse();
    for (const p of had(await rebalance(f, quarter)))
      expect(p.lines.some((l) => l.item?.ingredient === 'baking-powder-low-sodium')).toBeFalse();
  });
});
