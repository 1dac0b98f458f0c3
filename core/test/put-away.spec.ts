import { asFrozen, defaultKitchen, fitTins, frozenFits, laterOf, piecesIn, planDay, putAway, readRecipe, shared, steps, workOf, type Formula } from '../src/index.js'; // prettier-ignore

const biscuits = (method: string): Formula =>
  readRecipe(`Chive biscuits
300 g plain flour
1 tbsp baking powder
1 tsp salt
90 g cold butter
2 tbsp chopped chives
220 ml milk

Whisk the flour, baking powder and salt. Rub in the butter. Stir in the chives and the milk. ${method}`).formula;

const cut = 'Pat to 2 cm thick and cut 12 rounds of 6 cm.';
const ways: readonly (readonly [string, number, number | null])[] = [
  [`${cut} Freeze half of them on a tray. Bake the others at 220C for 14 minutes.`, 1 / 2, 6],
  [`${cut} Put four of them in the freezer for up to 2 months. Bake the rest at 220C for 14 minutes.`, 1 / 3, 4],
  [`${cut} Freeze ⅔ of them for another day. Bake the rest at 220C for 14 minutes.`, 2 / 3, 8],
  [`${cut} Freeze half a dozen, 4 cm apart on a board. Bake the others at 220C for 14 minutes.`, 1 / 2, 6],
  [`${cut} Freeze all but four of them on a board. Bake those at 220C for 14 minutes.`, 2 / 3, 8],
  ['Divide the batter between 12 muffin cases. Freeze a third of them raw. Bake the rest at 200C for 20 minutes.', 1 / 3, 4],
  ['Shape into two rounds. Freeze one of them, well wrapped. Bake the other at 200C for 40 minutes.', 1 / 2, 1],
]; // prettier-ignore

describe('what is frozen raw while the rest is baked', () => {
  for (const [method, share, pieces] of ways)
    it(`is counted in "${method.slice(method.indexOf('. ') + 2, method.lastIndexOf('. '))}"`, () => {
      const f = biscuits(method);
      const fits = fitTins(f, f.tins ?? []);
      const away = putAway(workOf(f).operations, piecesIn(fits));
      expect(away?.share).toBeCloseTo(share, 9);
      expect(away?.pieces).toBe(pieces);
      // what goes in and what stays out are all there is
      const into = steps(f).find((s) => s.kind === 'in');
      const [goes, stays] = [...(into?.detail ?? '').matchAll(/\d+/g)].map((m) => Number(m[0]));
      expect((goes ?? 0) + (stays ?? 0)).toBe(piecesIn(fits));
      expect(stays).toBe(pieces ?? 0);
      // and it is baked on another day, once
      const after = laterOf(f).filter((l) => l.id === 'frozen');
      expect(after.length).toBe(1);
      expect(after[0]?.words).toContain(pieces === 1 ? 'the other one' : `the other ${pieces}`);
    });

  it('is nothing where all of it is chilled, where it is frozen baked, or where nobody says how much', () => {
    for (const method of [
      `${cut} Freeze for 15 minutes. Bake at 220C for 14 minutes.`,
      `${cut} Freeze some in 2 bags for another day. Bake the others at 220C for 14 minutes.`,
      `${cut} Bake at 220C for 14 minutes. Cool and freeze half.`,
      `${cut} Bake at 220C for 14 minutes.`,
    ]) {
      const f = biscuits(method);
      expect(putAway(workOf(f).operations, 12))
        .withContext(method)
        .toBeNull();
      expect(steps(f).find((s) => s.kind === 'in')?.detail).not.toContain('freezer');
    }
  });

  it('grows with the batch in pieces, and stays the same part of it', () => {
    const f = biscuits(ways[0]?.[0] ?? '');
    const more = { ...f, tins: (f.tins ?? []).map((t) => ({ ...t, count: 2 * t.count })) };
    const [one, two] = [f, more].map((x) => putAway(workOf(x).operations, piecesIn(fitTins(x, x.tins ?? []))));
    expect(two?.share).toBe(one?.share);
    expect(two?.pieces).toBe(2 * (one?.pieces ?? 0));
  });
});

describe('what was frozen raw, baked on another day', () => {
  const f = biscuits(
    `${cut} Freeze half of them on a tray. Bake the others at 220C for 14 minutes. From frozen they take 18 to 20 minutes.`,
  );

  it('needs the oven, a tray and nothing weighed or mixed; it takes the time its words give', () => {
    const list = steps(f, { from: 'freezer' });
    expect(list.slice(0, 6).map((s) => s.kind)).toEqual(['oven on', 'tins', 'fill', 'in', 'bake', 'out']);
    expect(list.find((s) => s.kind === 'fill')?.words).toContain('The 6 from the freezer');
    expect(list.find((s) => s.kind === 'bake')?.minutes).toEqual(jasmine.objectContaining({ low: 18, high: 20 }));
    expect(piecesIn(frozenFits(f, defaultKitchen)) + piecesIn(shared(workOf(f).operations, fitTins(f, f.tins ?? [])).loads.each[0] ?? [])).toBe(12); // prettier-ignore
    const unsaid = biscuits(`${cut} Freeze half of them on a tray. Bake the others at 220C for 14 minutes.`);
    const minutes = steps(unsaid, { from: 'freezer' }).find((s) => s.kind === 'bake')?.minutes;
    expect(minutes).toEqual(jasmine.objectContaining({ low: 17, high: 19 }));
    // what is large takes longer by its share, and where no time is known none is made up
    const round = biscuits(
      'Shape into two rounds. Freeze one of them, well wrapped. Bake the other at 200C for 40 minutes.',
    );
    expect(asFrozen(round, defaultKitchen)?.bake?.minutes).toEqual({ early: 48, late: 54 });
    const untimed = biscuits(`${cut} Freeze half of them on a tray. Bake the others at 220C. They take five minutes longer from frozen.`); // prettier-ignore
    expect(asFrozen(untimed, defaultKitchen)?.bake?.minutes).toBeUndefined();
    expect(frozenFits(biscuits(`${cut} Bake at 220C for 14 minutes.`), defaultKitchen)).toEqual([]);
  });

  it('has a day of its own, with the oven hot before it', () => {
    const serve = Date.UTC(2026, 4, 16, 16);
    const plan = planDay([{ id: 'b', formula: f, from: 'freezer' }], defaultKitchen, serve, 0);
    expect(plan.problems).toEqual([]);
    expect(plan.tasks.some((t) => t.kind === 'weigh' || t.kind === 'mix')).toBeFalse();
    const at = (kind: string): number => plan.tasks.find((t) => t.kind === kind)?.startsAt ?? NaN;
    expect(at('oven on')).toBeLessThan(at('in'));
    expect(at('tins')).toBeLessThan(at('fill'));
    expect(at('fill')).toBeLessThan(at('in'));
    expect((at('out') - at('in')) / 60_000).toBeCloseTo(19, 0);
  });

  it('goes in at the heat its words give it', () => {
    const other = biscuits(`${cut} Freeze half of them on a tray. Bake the others at 220C for 14 minutes. From frozen, bake at 200C for 20 minutes.`); // prettier-ignore
    expect(other.bake?.ovenC).toBe(220);
    expect(asFrozen(other, defaultKitchen)?.bake).toEqual({
      ovenC: 200,
      fan: false,
      startC: -18,
      minutes: { early: 20, late: 20 },
    });
    const plan = planDay([{ id: 'b', formula: other, from: 'freezer' }], defaultKitchen, Date.UTC(2026, 4, 16, 16), 0);
    expect(plan.stays.map((s) => s.ovenC)).toEqual([200]);
    expect(plan.tasks.find((t) => t.kind === 'oven on')?.words).toContain('200');
    expect(steps(other, { from: 'freezer' }).find((s) => s.kind === 'bake')?.words).toContain('200');
  });
});
