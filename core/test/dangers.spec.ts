import {
  adapt,
  allItems,
  assess,
  ingredientFor,
  isConflict,
  presets,
  rebalance,
  substitute,
  type Conflict,
  type Formula,
  type Proposal,
} from '../src/index.js';
import { saysItsDangers } from './support/dangers.js';
import { demo } from './support/make.js';
import { every } from './support/runs.js';

const had = (x: Proposal[] | Conflict): readonly Proposal[] => (isConflict(x) ? (x.nearest ? [x.nearest] : []) : x);
const lineOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';

describe('what a change could do to someone', () => {
  it('is said with a swap or a preset that brings it, beside the preset’s own cautions', async () => {
    const f = demo('cardamom-yogurt-round');
    const swap = async (from: string, to: string): Promise<string> => {
      const p = await substitute(f, lineOf(f, from), to);
      saysItsDangers(f, p);
      return p.cautions.join(' ');
    };
    expect(await swap('caster-sugar', 'honey')).toContain('12 months');
    expect(await swap('yogurt', 'soy-yogurt')).toContain('Brings soy');
    expect(await swap('yogurt', 'buttermilk')).toBe('');
    // an allergen is said though a caution of the same name was there before
    expect(await swap('pistachio', 'nuts')).toContain('Brings nuts');
    for (const preset of every(2, presets))
      for (const p of had(await adapt(f, preset.id))) {
        saysItsDangers(f, p);
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
