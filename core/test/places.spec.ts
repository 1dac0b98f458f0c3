import {
  asMeasured,
  catalogueRow,
  commonTins,
  defaultKitchen,
  ingredientOf,
  ingredients,
  kitchenIn,
  kitchenPlace,
  kitchenPlaces,
  likelyTins,
  movedTo,
  placeFor,
  powders,
  readRecipe,
  tinRegions,
} from '../src/index.js';
import { checkKitchen } from '../src/format/index.js';

describe('places to bake in', () => {
  it('each makes a kitchen that can be stored, with its own measures, units, money and powder', () => {
    for (const p of kitchenPlaces) {
      const k = kitchenIn(p, 'mine', 'Europe/London', {
        tins: likelyTins(p.tins)
          .slice(0, 3)
          .map((t) => t.tin),
      });
      expect(checkKitchen(k).ok).withContext(p.id).toBeTrue();
      expect(k.tins.length).toBe(5);
      expect(k.measures.cupMl).toBe(p.measures.cupMl);
      expect(powders.some((x) => x.type === p.powder)).toBeTrue();
      expect(() => new Intl.NumberFormat(p.language, { style: 'currency', currency: p.currency })).not.toThrow();
      for (const t of k.tins.filter((x) => x.material === 'none')) expect(t.name.includes('cm')).withContext(t.name).toBe(k.display.length === 'cm'); // prettier-ignore
    }
  });

  it('a browser’s language names its country, and none is guessed from a language alone', () => {
    expect(placeFor(['en-AU', 'en'])?.id).toBe('au');
    expect(placeFor(['en', 'de-AT'])?.id).toBe('de');
    expect(placeFor(['en', 'pt-BR'])).toBeNull();
  });

  it('moving keeps what the kitchen owns and has, and what it was can be moved back to', () => {
    const [us, uk] = [kitchenPlace('us'), kitchenPlace('uk')];
    if (!us || !uk) throw new Error('no such place');
    const home = movedTo(defaultKitchen, uk);
    const there = movedTo(home, us);
    expect(there.tins).toEqual(home.tins);
    expect(there.prices).toEqual(home.prices);
    expect(there.display.weight).toBe('oz');
    expect(movedTo(there, uk)).toEqual(home);
  });

  it('nine likely tins in every region, of those that are sold there', () => {
    for (const r of tinRegions) {
      expect(likelyTins(r).length).withContext(r).toBe(9);
      expect(likelyTins(r).every((t) => commonTins.includes(t) && t.region === r)).toBeTrue();
    }
  });

  it('things are called as in the shops there, each by a name of its own, and mean what they meant', () => {
    for (const p of kitchenPlaces) {
      const k = kitchenIn(p, 'mine', 'UTC');
      const names = ingredients.map((i) => ingredientOf(i.id, undefined, k));
      expect(new Set(names.map((i) => i.name.toLowerCase())).size)
        .withContext(p.id)
        .toBe(ingredients.length);
      for (const i of names) expect({ ...i, name: '' }).toEqual({ ...catalogueRow(i.id), name: '' });
    }
    const called = (place: string, id: string): string => {
      const p = kitchenPlace(place);
      return p ? ingredientOf(id, undefined, kitchenIn(p, 'mine', 'UTC')).name : '';
    };
    expect(called('us', 'plain-flour')).toBe('All-purpose flour');
    expect(called('ie', 'baking-soda')).toBe('Bread soda');
    expect(called('other', 'plain-flour')).toBe('Plain flour');
  });

  it('every local name is read as what it names', () => {
    for (const p of kitchenPlaces) {
      const k = kitchenIn(p, 'mine', 'UTC');
      for (const i of ingredients) {
        const name = ingredientOf(i.id, undefined, k).name;
        if (name === i.name) continue;
        const said = `Cake\n\n200 g ${name.toLowerCase()}\n100 g sugar\n\nBake.`;
        const items = readRecipe(said, k).formula.groups.flatMap((g) => g.items);
        const read = items.find((x) => x.words.toLowerCase().includes(name.toLowerCase().slice(0, 6)));
        expect(read?.ingredient).withContext(`${p.id}: ${name}`).toBe(i.id);
      }
    }
  });

  it('decilitres come whole and by halves, with spoons beside them', () => {
    const p = kitchenPlace('nordic');
    if (!p) throw new Error('no such place');
    const { measures } = kitchenIn(p, 'mine', 'UTC');
    const flour = catalogueRow('plain-flour');
    expect(asMeasured(flour.gPerMl * 300, flour, measures)).toBe('3 dl');
    expect(asMeasured(flour.gPerMl * 165, flour, measures)).toBe('1½ dl + 1 tbsp');
    expect(asMeasured(flour.gPerMl * 30, flour, measures)).toBe('2 tbsp');
  });
});
