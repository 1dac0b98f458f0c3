import { aFamily, familyOf, hasRanges } from '../balance/families.js';
import { nearestFamily } from '../plausible/kinship.js';
import { textureOf } from '../balance/texture.js';
import { goesInAt } from '../balance/temperature.js';
import { densityOf, heaviness, looseness } from '../balance/totals.js';
import { outBy } from '../plausible/clues.js';
import { FAR_OFF, spanOf } from '../plausible/judge.js';
import { waterLeft } from '../plausible/spans.js';
import { NAMED } from '../plausible/suspects.js';
import { measures as measured, type Measured } from '../plausible/view.js';
import type { Held } from '../balance/held.js';
import type { Weighed } from '../balance/weigh.js';
import type { Kitchen } from '../formula/types.js';
import { plain } from '../quantity/numbers.js';
import { general, judgement, type Explanation } from './types.js';
import { capital } from '../text/plain.js';

export function explainMeasure(
  m: 'fat' | 'sugar' | 'egg' | 'water' | 'salt',
  w: Weighed,
  held: Held | null,
): Explanation {
  const t = w.totals;
  const grams = { fat: t.fatG, sugar: t.sugarG, egg: t.eggG, water: t.waterG, salt: t.saltG }[m];
  const pct = { fat: t.fatPct, sugar: t.sugarPct, egg: t.eggPct, water: t.waterPct, salt: t.saltPct }[m];
  const { family } = w;
  const span = held?.spans[m];
  const kind = !hasRanges(family) ? 'such a bake' : aFamily(family);
  const what = {
    fat: `Pure fat of butter, oil, creams and chocolate; fat of milk, yolk and nuts is apart (${Math.round(t.otherFatG)} g here).`,
    sugar: 'All sugars and syrup solids; fruit’s and milk’s own are apart.',
    egg: 'Eggs without shell.',
    water: 'All water but flour’s own and that inside whole pieces.',
    salt: 'Salt, and that of salted butter and cheese.',
  }[m];
  return {
    words: `${what} ${span ? `With the rest as it is, ${kind} has about ${plain(span.usual)} %; 8 of 10 have ${plain(span.low)}–${plain(span.high)} % (from ${held?.against} ordinary formulas, those most like it counting most).` : ''}`,
    equation: `${plain(grams)} g ÷ ${plain(t.flourG)} g flour × 100 = ${plain(pct)} %`,
    inputs: [
      { name: m, value: grams, unit: 'g', from: 'composition of the lines' },
      { name: 'all flour', value: t.flourG, unit: 'g', from: 'sum of the flour lines' },
    ],
    ...(span && { band: { low: span.low, typical: span.usual, high: span.high } }),
    source: general,
  };
}

/** How ordinary the whole is, what each measure is expected to be, and which lines would explain it. */
export function explainPlausible(held: Held | null): Explanation {
  if (!held) return { words: 'There is no flour to judge the rest by.', equation: '0', inputs: [], source: judgement };
  const { expected, suspects, typical, against, told } = held;
  const out = measured.map((m) => ({ m, by: outBy(expected[m]) })).sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const odder = Math.round(100 * typical);
  return {
    words: `Each measure against what the rest leads one to expect, learned from ${against} ordinary formulas of many countries, those most like this one counting most. ${odder} of 100 ordinary ones look as odd as this or odder; below ${Math.round(100 * NAMED)} a line is named. ${suspects
      .map((s) => s.words)
      .slice(0, 3)
      .join(' ')}`,
    equation: `log odds of a slip in some line ${told.any.toFixed(1)} → as odd as ${odder} of 100`,
    inputs: out.slice(0, 6).map(({ m, by }) => ({
      name: MEASURED[m],
      value: by,
      unit: 'spreads',
      from: `expected ${plain(spanOf(expected[m], m).usual)}, here ${plain(spanOf(expected[m], m).is)}`,
    })),
    source: judgement,
  };
}

/** How implausible the whole is, and from what on something is worth mending. */
export function explainMerit(held: Held | null): Explanation {
  if (!held) return { words: 'There is no flour to judge the rest by.', equation: '0', inputs: [], source: judgement };
  const { told, mendFrom, apart, acidless, merit } = held;
  return {
    words: 'How implausible the formula is: 0 where it is as ordinary as three fifths of the ordinary formulas are.',
    equation: `over(slip here − slip there) + over(distance − all of them) + soda without acid = ${plain(merit)}`,
    inputs: [
      { name: 'log odds of a slip here', value: told.any, unit: '', from: 'how far each measure is out' },
      { name: 'of the ordinary one that two fifths look odder than', value: mendFrom, unit: '', from: 'judgement.md' },
      { name: 'distance of the third nearest ordinary formula', value: apart, unit: 'spreads', from: 'all measures' },
      { name: 'beyond which no ordinary one lies', value: FAR_OFF, unit: 'spreads', from: 'plausibility.md' },
      { name: 'soda without acid', value: acidless, unit: '', from: 'plausibility.md' },
    ],
    source: judgement,
  };
}

const MEASURED: Readonly<Record<Measured, string>> = {
  flour: 'flour to 100 of fat, sugar, egg and water',
  water: 'free water, without the eggs’',
  fat: 'fat',
  sugar: 'sugar',
  egg: 'egg',
  salt: 'salt',
  gas: 'gas, mmol',
  leftSoda: 'soda left over',
  leftAcid: 'acid left over',
  soda: 'free soda, mmol',
  powder: 'soda in powder, mmol',
};

function explainBeam(w: Weighed): Explanation {
  const { beam } = w;
  const strongest = (side: 'holds' | 'tenders') =>
    [...beam.pulls]
      .filter((p) => p[side] > 0.5)
      .sort((a, b) => b[side] - a[side])
      .slice(0, 3)
      .map((p) => ({
        name: `${p.name.replace(/,.*/, '').toLowerCase()} ${side === 'holds' ? 'holds' : 'tenders'}`,
        value: p[side],
        unit: 'points',
        from:
          side === 'holds'
            ? 'flour protein and starch, egg and milk protein, cocoa'
            : 'fat 0.8, sugar 0.45, bran 0.8 points per g',
      }));
  return {
    words: `One point is the hold of a gram of plain flour. What holds the crumb up against what makes it tender, as one index from −100 to +100; the family usually stands from ${plain(beam.usual[0])} to ${plain(beam.usual[1])}. A judgement to compare formulas with, not a measurement.`,
    equation: `100 × (${plain(beam.tenders)} − ${plain(beam.holds)}) ÷ (${plain(beam.tenders)} + ${plain(beam.holds)}) = ${plain(beam.index)}`,
    inputs: [...strongest('holds'), ...strongest('tenders')],
    source: judgement,
  };
}

function explainPull(w: Weighed, itemId: string): Explanation {
  const pull = w.beam.pulls.find((p) => p.itemId === itemId);
  const wet = w.water.entries.find((e) => e.itemId === itemId);
  const line = w.lines.find((l) => l.item.id === itemId);
  if (!pull || !line)
    return { words: 'It stands outside the batter.', equation: '0 points', inputs: [], source: judgement };
  const c = line.ingredient.per100;
  return {
    words: line.whole
      ? 'It goes in whole: it neither holds the crumb nor makes it tender, and keeps its water.'
      : `${capital(line.ingredient.name.replace(/,.*/, '').toLowerCase())} holds the crumb together with ${plain(pull.holds)} points and makes it tender with ${plain(pull.tenders)}.${wet ? ` It brings ${plain(wet.bringsG)} g of water${wet.drinksG > 0.5 ? ` and drinks ${plain(wet.drinksG)} g` : ''}.` : ''}`,
    equation: `${plain(pull.holds)} − ${plain(pull.tenders)} = ${plain(pull.holds - pull.tenders)} points`,
    inputs: [
      { name: 'weight', value: line.grams, unit: 'g', from: 'this line' },
      { name: 'fat', value: c.fat, unit: '%', from: line.ingredient.basis },
      { name: 'sugar', value: c.sugar, unit: '%', from: line.ingredient.basis },
      { name: 'protein', value: c.protein, unit: '%', from: line.ingredient.basis },
    ],
    source: judgement,
  };
}

export function explainHydration(w: Weighed, held: Held | null): Explanation {
  const t = w.totals;
  const [low, high] = held ? waterLeft(held.spans, w.water) : w.water.usual;
  const kind = !hasRanges(w.family) ? 'Such a bake' : capital(aFamily(w.family));
  const drinkers = w.water.entries.filter((e) => e.drinksG > 0.5).sort((a, b) => b.drinksG - a.drinksG);
  return {
    words: `Water that is left for the flour once cocoa, bran, whole grain and coconut have drunk. ${kind} that is else like this mostly keeps ${plain(low)}–${plain(high)} % of its flour.`,
    equation: `(${plain(t.waterG)} g − ${plain(t.drunkG)} g) ÷ ${plain(t.flourG)} g flour × 100 = ${plain(t.availablePct)} %`,
    inputs: drinkers.slice(0, 5).map((e) => ({
      name: `${e.name.toLowerCase()} drinks`,
      value: e.drinksG,
      unit: 'g',
      from: 'beyond what plain flour drinks; general knowledge, ±30 %',
    })),
    source: general,
  };
}

function explainTexture(w: Weighed, id: string): Explanation {
  const { family } = w;
  const traits = textureOf(w.lines, w.totals, w.lift, w.ledger, w.beam, w.water, family, w.methods.chosen);
  const trait = traits.find((x) => x.id === id);
  if (!trait) return { words: 'There is no family to compare with.', equation: '0', inputs: [], source: judgement };
  return {
    words: `From ${trait.low} to ${trait.high}, against what is usual for ${aFamily(family)}: ${trait.words}${trait.because === '' ? '' : ` (${trait.because})`}. An index of where the formula stands in its ranges, not a measurement.`,
    equation: `sum of the below, between −1 (${trait.low}) and +1 (${trait.high}) = ${trait.index.toFixed(2)}`,
    inputs: trait.terms.map(([value, name]) => ({ name, value, unit: '', from: 'docs/science/balance.md' })),
    source: judgement,
  };
}

/** Why a formula is taken for this family, and what it plainly is instead by its figures, if anything. */
export function explainFamily(w: Weighed, held: Held | null): Explanation {
  const { family } = w;
  const kin = held?.kin ?? [];
  if (kin.length === 0) return { words: 'Nothing to be compared yet.', equation: '0', inputs: [], source: general };
  const { nearest } = nearestFamily(family.id, kin);
  const other = nearest === family.id ? null : familyOf(nearest);
  const near = kin.filter((k) => k.weight >= 0.05).slice(0, 5);
  return {
    words: `Each of ${held?.against ?? 0} ordinary formulas counts for the family it is named for, by how like this one it is in fat, sugar, egg, free water, fruit and nuts, acid, kinds of ingredients and title. ${other ? `By that this is plainly ${aFamily(other)}.` : 'Another family would be named only if it had more than half, and its own less than a twentieth.'}`,
    equation: near.map((k) => `${familyOf(k.id).name} ${Math.round(100 * k.weight)} %`).join(' + ') + ' + …',
    inputs: near.map((k) => ({
      name: familyOf(k.id).name,
      value: Math.round(100 * k.weight),
      unit: '%',
      from: 'share of Σ (1 + d² / 2·0.8²)⁻⁴; docs/science/plausibility.md',
    })),
    source: general,
  };
}

/** Null when nothing of the batter goes by that key. */
export function explainBatter(key: string, w: Weighed, kitchen: Kitchen): Explanation | null {
  const t = w.totals;
  const { family } = w;
  const base = { source: general };
  const [head, id] = key.split(':');
  if (head === 'pull') return explainPull(w, id ?? '');
  if (head === 'texture') return explainTexture(w, id ?? '');
  switch (key) {
    case 'structure':
      return explainBeam(w);
    case 'method': {
      const fits = w.methods.fits.filter((f) => f.fit !== 'poor');
      const mine = w.methods.fits.find((f) => f.method === w.methods.chosen);
      return {
        ...base,
        words: `${w.methods.read ? `Your method is ${mine?.name}` : `No method is written; ${mine?.name} fits best`}: ${mine?.words}. ${fits.map((f) => `${capital(f.name)}: ${f.words}`).join('. ')}.`,
        equation: `${fits.length} of ${w.methods.fits.length} ways of mixing suit this formula`,
        inputs: [
          { name: 'fat', value: t.fatPct, unit: '%', from: 'of flour' },
          { name: 'sugar', value: t.sugarPct, unit: '%', from: 'of flour' },
        ],
      };
    }
    case 'batterG':
      return {
        ...base,
        words: 'Everything that goes into the batter; toppings, fillings and icings are apart.',
        equation: `sum of ${w.lines.length} lines = ${plain(t.batterG)} g`,
        inputs: [],
      };
    case 'flourG':
      return {
        ...base,
        words: 'All flours, meals and starches together are 100 in baker’s percentages.',
        equation: `sum of the flour lines = ${plain(t.flourG)} g`,
        inputs: [],
      };
    case 'temperature':
      return {
        ...base,
        words:
          'Heat balance of the ingredients: room-warm unless the line says cold, melted, hot, boiling or frozen; fat and liquids from the fridge where the fat is rubbed in. Ice takes 334 kJ/kg to melt, cold fat 85.',
        equation: `heat of all that goes in = heat of the batter → ${plain(w.temperatureC.typical)} °C`,
        inputs: [
          { name: 'room', value: kitchen.roomC, unit: '°C', from: 'your kitchen' },
          ...w.lines
            .filter((l) => l.grams > 0)
            .map((l) => ({
              name: l.ingredient.name,
              value: goesInAt(l, w.methods.chosen, kitchen.roomC),
              unit: '°C',
              from: `${plain(l.grams)} g; ${plain(l.ingredient.per100.water)} % water, ${plain(l.ingredient.per100.fat)} % fat`,
            })),
        ],
        band: w.temperatureC,
      };
    case 'density': {
      const d = densityOf(t, family);
      return {
        ...base,
        words: `Raw batter of ${aFamily(family)}: lighter when creamed, heavier when wet.`,
        equation: `low + (high − low) · (${family.creamed ? '0.35 + 0.4' : '0.3 + 0.5'} · heavy) = ${d.toFixed(2)} g/ml`,
        inputs: [
          { name: 'low', value: family.density[0], unit: 'g/ml', from: aFamily(family) },
          { name: 'high', value: family.density[1], unit: 'g/ml', from: aFamily(family) },
          { name: 'heavy', value: heaviness(t), unit: '', from: '(looseness − 0.7) ÷ 1.4, within 0 and 1' },
        ],
        band: { low: family.density[0], typical: d, high: family.density[1] },
      };
    }
    case 'consistency':
      return {
        ...base,
        words:
          'Free water with a share of the fat and of the dissolved sugar, over flour and cocoa; below 0.82 a dough, below 1.15 it drops, below 1.72 it is thick, above it pours.',
        equation: `(water − 0.6 · drunk + 0.3 · fat + 0.25 · sugar) ÷ flour and cocoa = ${looseness(t).toFixed(2)}`,
        inputs: [
          { name: 'water', value: t.waterG, unit: 'g', from: 'composition' },
          { name: 'drunk by cocoa, bran, coconut', value: t.drunkG, unit: 'g', from: 'general knowledge' },
          { name: 'fat', value: t.fatG, unit: 'g', from: 'composition' },
          { name: 'sugar', value: t.sugarG, unit: 'g', from: 'composition' },
          { name: 'flour and cocoa', value: t.baseG, unit: 'g', from: 'as weighed' },
        ],
      };
    default:
      return null;
  }
}
