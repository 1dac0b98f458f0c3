import fc from 'fast-check';
import {
  bakeInputOf,
  defaultKitchen,
  fitTins,
  predictBake,
  readRecipe,
  steps,
  ways,
  waysOf,
  withWay,
  write,
  type BakeInput,
  type BakeSetting,
  type Formula,
} from '../src/index.js';
import { withLayers } from '../src/bake/layers.js';
import { bathSettlesAt } from '../src/bake/oven.js';
import { freezesAt, setsAtC, waterActivity } from '../src/bake/composition.js';
import { begin, end, heatTaken, step, temperatureOf } from '../src/bake/state.js';
import { enthalpy } from '../src/bake/readings.js';
import { roundGrid } from '../src/bake/grid.js';
import { tabulate, thetaAt } from '../src/bake/physics.js';
import { crumb, round23 as round, tinned } from './support/heat.js';
import { demo } from './support/make.js';

const cake: BakeInput = { batterG: 700, tin: round, family: 'butter-cake-lean', ovenC: 177, startC: 21 };
const likely = (x: Partial<BakeInput>): number => predictBake({ ...cake, ...x }).minutes.likely;

describe('ways in which a bake goes in', () => {
  const settings = fc
    .array(fc.constantFrom(...ways), { maxLength: 6 })
    .map((list) => list.reduce<BakeSetting>((b, w) => withWay(b, w.group, w.id), { ovenC: 180, fan: false }));
  // and what no way names
  const measured = fc.record(
    {
      airflow: fc.integer({ min: 1, max: 99 }).map((x) => x / 100),
      openedMin: fc.array(fc.integer({ min: 1, max: 360 }), { minLength: 1, maxLength: 3 }),
      swingK: fc.integer({ min: 1, max: 50 }),
    },
    { requiredKeys: [] },
  );

  it('are one of a group at most, chosen last, and go without a trace', () => {
    fc.assert(
      fc.property(settings, fc.constantFrom(...ways), (b, w) => {
        const chosen = waysOf(withWay(b, w.group, w.id));
        expect(chosen.filter((x) => x.group === w.group)).toEqual([w]);
        expect(chosen.filter((x) => x.group !== w.group)).toEqual(waysOf(b).filter((x) => x.group !== w.group));
        const none = [...new Set(ways.map((x) => x.group))].reduce<BakeSetting>((s, g) => withWay(s, g, null), b);
        expect(none).toEqual({ ovenC: 180, fan: false });
      }),
    );
  });

  it('stand on the card and are read back from it', () => {
    const f = demo('rye-and-pear-loaf');
    fc.assert(
      fc.property(settings, measured, (way, more) => {
        const conditions = { ...way.conditions, ...more };
        const bake: BakeSetting = { ...way, ...(Object.keys(conditions).length > 0 && { conditions }) };
        const back = readRecipe(write({ ...f, bake: { ...bake, minutes: { early: 50, late: 60 } } }, 'text')).formula
          .bake;
        expect(back).toEqual({ ...bake, minutes: { early: 50, late: 60 } });
      }),
      { numRuns: 30 },
    );
  });

  it('are said at the oven, with their caution', () => {
    const f: Formula = {
      ...demo('rye-and-pear-loaf'),
      method: [],
      bake: { ovenC: 180, fan: false, conditions: { steam: true } },
    };
    const into = steps(f, {}).find((s) => s.kind === 'in');
    expect(into?.detail).toContain('over a tray of boiling water');
    expect(into?.caution).toMatch(/steam/i);
  });

  const bakeOf = (sentence: string): BakeSetting | undefined =>
    readRecipe(`Loaf\n200 g plain flour\n100 g sugar\n100 g butter\n2 eggs\n2 tsp baking powder\n\nMix. Pour into a greased 2 lb loaf tin. ${sentence} Bake at 180 C for 50 minutes.`).formula.bake; // prettier-ignore

  it('are read where a method says them, and not where water only melts chocolate', () => {
    const said = (s: string): string =>
      waysOf(bakeOf(s) ?? {})
        .map((w) => w.id)
        .join();
    expect(said('Stand it in a roasting tin half filled with hot water in the oven.')).toBe('bath');
    expect(said('Cover tightly with foil and set in a water bath.')).toBe('steamed');
    expect(said('Put a tray of boiling water on the oven floor.')).toBe('steam');
    expect(said('Put a roasting tin of boiling water on the bottom shelf.')).toBe('steam');
    expect(said('Fill a roasting tin with hot water and set it on the oven floor.')).toBe('steam');
    expect(said('Slide it onto the hot baking stone.')).toBe('stone');
    expect(said('Set it on a preheated baking tray.')).toBe('hot tray');
    expect(said('Melt the chocolate in a bowl over a pan of hot water.')).toBe('');
    expect(said('Dissolve the coffee in a cup of boiling water.')).toBe('');
  });

  it('tell the lining and the depth of a tin too', () => {
    const tin = (s: string) => readRecipe(`Fruit cake\n225 g plain flour\n225 g butter\n225 g sugar\n4 eggs\n900 g mixed dried fruit\n\n${s} Bake at 140 C for 4 hours.`).formula.tins?.[0]?.tin; // prettier-ignore
    expect(tin('Deep 20 cm round tin, double lined.')).toEqual(
      jasmine.objectContaining({ depthMm: 75, lining: 'double' }),
    );
    expect(tin('A 20 cm round tin.')).toEqual(jasmine.objectContaining({ depthMm: 50 }));
    expect(tin('A 20 cm round tin.')?.lining).toBeUndefined();
    // a figure is what it says; other deep things are no tin; foil over the top is no lining
    expect(tin('A 20 cm round tin, 5 cm deep.')?.depthMm).toBe(50);
    expect(tin('Mix in a deep bowl, pour into a 20 cm round tin.')?.depthMm).toBe(50);
    expect(tin('A 20 cm round tin. Bake until deep brown; deep flavours come with keeping.')?.depthMm).toBe(50);
    expect(tin('A 20 cm round tin. Cover with a double layer of foil.')?.lining).toBeUndefined();
    expect(tin('A 20 cm round tin. Lay a double thickness of paper over the top.')?.lining).toBeUndefined();
    expect(tin('A 20 cm springform.')?.depthMm).toBe(68);
  });
});

describe('heat that comes in other ways', () => {
  it('ice melts before it rises: from the freezer it takes a fifth to a half longer, from the fridge a little', () => {
    const fresh = likely({});
    expect(likely({ startC: 5 })).toBeGreaterThan(1.03 * fresh);
    expect(likely({ startC: -18 })).toBeGreaterThan(1.2 * fresh);
    expect(likely({ startC: -18 })).toBeLessThan(1.5 * fresh);
    const cold = [-25, -18, -10, -6, -4, -1, 0, 3].map((startC) => likely({ startC }));
    for (let i = 1; i < cold.length; i++) expect(cold[i]).toBeLessThan(cold[i - 1] as number);
  });

  it('conserves heat while ice melts, and starts at the temperature that is asked', () => {
    const tables = tabulate({ ...crumb, freezes: -5, ice: 0.3 });
    for (const c of [-30, -18, -6, -5, 0, 40]) {
      const state = begin({
        grid: roundGrid(0.1, 0, 0.03, 8, 10, 'tin'),
        tables,
        walls: tinned,
        aw: 0.93,
        mc: 1,
        waterKgM3: 300,
        startC: c,
      });
      expect(temperatureOf(state, 4)).withContext(`${c} °C`).toBeCloseTo(c, 1);
      for (let i = 0; i < 120; i++) step(state, 10, 180);
      expect(enthalpy(state) / heatTaken(state))
        .withContext(`${c} °C`)
        .toBeCloseTo(1, 6);
      end(state);
    }
    expect(thetaAt(tables, -18)).toBeLessThan(-40);
  });

  it('water holds the sides below boiling, steam bakes under a cover, stone and moving air hurry, a shade and a door delay', () => {
    const fresh = likely({});
    expect(bathSettlesAt(170, 101325)).toBeGreaterThan(50);
    expect(bathSettlesAt(170, 101325)).toBeLessThan(90);
    // in open water a crumb is done once it has set, long before its family's heat
    const open = predictBake({ ...cake, conditions: { bath: 'open' } });
    expect(open.doneC).toBeLessThan(90);
    expect(open.minutes.likely).toBeGreaterThan(fresh);
    // and once it is out it cools in the room's air, not in cold water
    expect(open.carryK).toBeGreaterThan(0);
    expect(likely({ conditions: { bath: 'covered' } })).toBeGreaterThan(fresh);
    expect(predictBake({ ...cake, conditions: { bath: 'covered' } }).lossPct).toBeLessThan(3);
    expect(predictBake({ ...cake, conditions: { steam: true } }).lossPct).toBeLessThan(predictBake(cake).lossPct);
    expect(likely({ conditions: { on: 'stone' } })).toBeLessThan(fresh);
    expect(likely({ conditions: { on: 'hot tray' } })).toBeLessThan(fresh);
    expect(likely({ conditions: { shaded: 'above' } })).toBeGreaterThan(fresh);
    expect(likely({ conditions: { shaded: 'both' } })).toBeGreaterThan(likely({ conditions: { shaded: 'above' } }));
    expect(likely({ conditions: { openedMin: [12, 20] } })).toBeGreaterThan(fresh + 1);
    const moving = [0, 0.3, 0.6, 1].map((airflow) => likely({ conditions: { airflow } }));
    for (let i = 1; i < moving.length; i++) expect(moving[i]).toBeLessThan(moving[i - 1] as number);
    expect(moving[0]).toBeCloseTo(fresh, 6);
    expect(moving[3]).toBeCloseTo(likely({ fan: true }), 6);
    // a thermostat that swings evenly bakes as its mean does
    expect(Math.abs(Math.log(likely({ conditions: { swingK: 12 } }) / fresh))).toBeLessThan(0.04);
  });
});

describe('what a batter is made of', () => {
  it('binds its water by its sugar, freezes and sets later for it, and sooner for egg and acid', () => {
    const [dough, plain, rich] = [
      { water: 0.36, sugar: 0.05 },
      { water: 0.33, sugar: 0.25 },
      { water: 0.23, sugar: 0.39 },
    ];
    for (const [a, b] of [[dough, plain], [plain, rich]] as const) {
      expect(waterActivity(a)).toBeGreaterThan(waterActivity(b));
      expect(freezesAt(a)).toBeGreaterThan(freezesAt(b));
      expect(setsAtC({ ...a, fat: 0.15 })).toBeLessThan(setsAtC({ ...b, fat: 0.15 }));
    } // prettier-ignore
    expect(waterActivity(rich)).toBeGreaterThan(0.7);
    const cake = { water: 0.33, fat: 0.15, sugar: 0.25, egg: 0.1 };
    expect(setsAtC({ ...cake, sugar: 0.5 })).toBeGreaterThan(setsAtC(cake) + 10);
    expect(setsAtC({ ...cake, sugar: 0.5, egg: 0.3 })).toBeLessThan(setsAtC({ ...cake, sugar: 0.5 }));
    expect(setsAtC({ ...cake, leftAcid: 3 })).toBeLessThan(setsAtC(cake));
  });
});

describe('what is laid on, in or under a batter', () => {
  const layers = (text: string) => {
    const { formula } = readRecipe(text);
    const fit = fitTins(formula, formula.tins ?? [])[0];
    if (!fit) throw new Error('no tin');
    return (bakeInputOf(formula, fit, defaultKitchen).layers ?? []).map((l) => [l.where, Math.round(l.g)]);
  };
  const cake = '120 g butter\n120 g sugar\n2 eggs\n180 g self-raising flour\n80 ml milk\n';

  it('is told by the order of the work: under it, over it, or only once it is baked', () => {
    expect(
      layers(`Upside-down plum cake\n${cake}\nFor the topping:\n400 g plums, halved\n50 g brown sugar\n30 g butter\n
Melt the butter with the brown sugar in a 20 cm round tin and lay the plums in it, cut side down.
Cream the butter and sugar, beat in the eggs, fold in flour and milk. Pour the batter over the plums. Bake at 180 C for 50 minutes.`),
    ).toEqual([['under', 480]]); // prettier-ignore
    expect(
      layers(`Plum cake\n${cake}\nTopping:\n400 g plums, halved\n
Cream the butter and sugar, beat in the eggs, fold in flour and milk. Spread in a 20 cm round tin. Lay the plums on top. Bake at 180 C for 50 minutes.`),
    ).toEqual([['over', 400]]); // prettier-ignore
    expect(
      layers(`Lemon cake\n${cake}\nIcing:\n200 g icing sugar\n30 ml lemon juice\n
Cream the butter and sugar, beat in the eggs, fold in flour and milk. Spread in a 20 cm round tin. Bake at 180 C for 30 minutes. Cool, and pour the icing over.`),
    ).toEqual([]); // prettier-ignore
  });

  it('adds to weight, water and depth, and does not rise', () => {
    const batter = {
      batterG: 600,
      densityGPerMl: 0.9,
      rise: 1.8,
      composition: { water: 0.33, fat: 0.15, sugar: 0.25 },
    };
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        (g, water) => {
          const both = withLayers(batter, [{ where: 'over', g, water, fat: 0, sugar: 0.05 }]);
          expect(both.batterG).toBeCloseTo(600 + g, 6);
          expect(both.composition.water * both.batterG).toBeCloseTo(0.33 * 600 + water * g, 6);
          expect(both.rise).toBeLessThan(1.8);
          expect(both.batterG / both.densityGPerMl).toBeGreaterThan(600 / 0.9);
          // what rises is the batter alone
          expect((both.rise * both.batterG) / both.densityGPerMl).toBeCloseTo(
            (1.8 * 600) / 0.9 + both.batterG / both.densityGPerMl - 600 / 0.9,
            6,
          );
        },
      ),
    );
    expect(withLayers(batter, [])).toBe(batter);
  });
});
