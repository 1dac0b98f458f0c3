import type { Lift } from '../leavening/lift.js';
import type { Thumb } from '../leavening/thumb.js';
import type { Line } from '../leavening/parts.js';
import { hasRanges, aFamily, type Family } from './families.js';
import type { Methods } from './methods.js';
import { LEAN_USUAL, type Beam, type WaterLine } from './pulls.js';
import type { Warning } from './temperature.js';
import type { Totals } from './totals.js';
import { outside, whole, type Verdict } from './verdict.js';

/** The ratio school: flour, liquid, egg and fat by weight, in the family's own number of flour parts. */
export interface Parts {
  readonly flour: number;
  readonly liquid: number;
  readonly egg: number;
  readonly fat: number;
  readonly sugar: number;
  /** What the school teaches for this kind of bake; null where it teaches nothing. */
  readonly taught: {
    readonly words: string;
    readonly liquid: number;
    readonly egg: number;
    readonly fat: number;
  } | null;
}

const TAUGHT: Readonly<Record<string, Parts['taught']>> = {
  muffin: { words: '2 flour : 2 liquid : 1 egg : 1 fat', liquid: 2, egg: 1, fat: 1 },
  'quick-bread': { words: '2 flour : 2 liquid : 1 egg : 1 fat', liquid: 2, egg: 1, fat: 1 },
  biscuit: { words: '3 flour : 1 fat : 2 liquid', liquid: 2, egg: 0, fat: 1 },
  'pound-cake': { words: '1 flour : 1 fat : 1 egg : 1 sugar', liquid: 0, egg: 1, fat: 1 },
  'equal-weight-sponge': { words: '1 flour : 1 fat : 1 egg : 1 sugar', liquid: 0, egg: 1, fat: 1 },
};

/** The batter as parts by weight: fats as weighed, liquids and wet fruit together. */
export function partsOf(lines: readonly Line[], t: Totals, family: Family): Parts {
  const unit = t.flourG > 0 ? family.flourParts / t.flourG : 0;
  const sum = (test: (l: Line) => boolean): number => lines.filter(test).reduce((s, l) => s + l.grams, 0) * unit;
  return {
    flour: t.flourG * unit,
    liquid: sum(
      (l) =>
        !l.whole &&
        (l.ingredient.role === 'liquid' || (l.ingredient.role === 'fruit' && l.ingredient.per100.water > 60)),
    ),
    egg: t.eggG * unit,
    fat: sum((l) => l.ingredient.role === 'fat'),
    sugar: sum((l) => l.ingredient.role === 'sugar'),
    taught: TAUGHT[family.id] ?? null,
  };
}

const CAKES = new Set(['butter-cake-lean', 'butter-cake-high-ratio', 'oil-cake', 'pound-cake', 'equal-weight-sponge']);

/** Rules of thumb that bakers teach, each named with its school. They are notes, never faults: good formulas break them. */
export function thumbVerdicts(t: Totals, parts: Parts, thumb: Thumb, family: Family): Verdict[] {
  const out: Verdict[] = [];
  const school = 'rules of balance';
  const note = (id: string, state: Verdict['state'], words: string, rule: string, by = school): void =>
    void out.push({ id: `rule:${id}`, state, severity: 'note', words, rule, school: by });
  const pct = (g: number): number => (t.flourG > 0 ? (100 * g) / t.flourG : 0);
  if (CAKES.has(family.id) && t.flourG > 0 && t.eggPct > 0.5) {
    const high = t.sugarPct >= 100;
    const wet = pct(t.eggG + t.liquidG);
    const fat = t.fatPct;
    const d = (x: number): string => `${Math.abs(Math.round(x))} % of flour`;
    note(
      'egg-fat',
      t.eggPct >= fat - 2 ? 'ok' : 'low',
      t.eggPct >= fat - 2
        ? 'Eggs weigh at least as much as the fat.'
        : `Eggs weigh less than the fat, by ${d(fat - t.eggPct)}.`,
      high ? 'Sweet cake: eggs at least as heavy as the fat' : 'Lean cake: pure fat no heavier than the eggs',
    );
    if (high)
      note(
        'liquid-sugar',
        wet < t.sugarPct - 2 ? 'low' : wet > 1.35 * t.sugarPct + 2 ? 'high' : 'ok',
        wet < t.sugarPct - 2
          ? `Eggs and liquid weigh less than the sugar, by ${d(t.sugarPct - wet)}.`
          : wet > 1.35 * t.sugarPct + 2
            ? `Eggs and liquid are more than 1.35 times the sugar, by ${d(wet - 1.35 * t.sugarPct)}.`
            : 'Eggs and liquid cover the sugar.',
        'Sweet cake: eggs and liquid from 1 to 1.35 times the sugar',
      );
    else
      note(
        'liquid-flour',
        wet < 88 ? 'low' : wet > 137 ? 'high' : 'ok',
        wet < 88
          ? `Eggs and liquid are below 0.9 of the flour, by ${d(90 - wet)}.`
          : wet > 137
            ? `Eggs and liquid are above 1.35 of the flour, by ${d(wet - 135)}.`
            : 'Eggs and liquid suit the flour.',
        'Lean cake: eggs and liquid 0.9 to 1.35 of the flour',
      );
  }
  if (parts.taught && t.flourG > 0) {
    const far = (have: number, want: number): boolean => want > 0 && (have < 0.6 * want || have > 1.5 * want);
    const off = (['liquid', 'egg', 'fat'] as const).filter((p) => far(parts[p], parts.taught?.[p] ?? 0));
    const have = `${whole(parts.flour)} flour : ${whole(parts.liquid)} liquid : ${whole(parts.egg)} egg : ${whole(parts.fat)} fat`;
    note(
      'parts',
      off.length === 0 ? 'ok' : parts[off[0] as 'liquid'] > (parts.taught[off[0] as 'liquid'] ?? 0) ? 'high' : 'low',
      off.length === 0
        ? `In parts ${have}: near the taught ratio.`
        : `In parts ${have}; the ${off.join(' and the ')} ${off.length > 1 ? 'are' : 'is'} off the taught ratio.`,
      parts.taught.words,
      'ratio school',
    );
  }
  note(
    'per-cup',
    thumb.state,
    thumb.words,
    thumb.range
      ? `${whole(thumb.range[0])}–${whole(thumb.range[1])} tsp of powder per cup of flour`
      : 'No rule per cup for this kind',
    'powder per cup',
  );
  return out;
}

/** Joint checks: things that no single percentage shows. */
export function jointVerdicts(t: Totals, lift: Lift, beam: Beam, water: WaterLine, family: Family): Verdict[] {
  const out: Verdict[] = [];
  if (!hasRanges(family)) return out;
  const d = outside(water.availablePct, water.usual);
  const dry = water.availablePct < water.usual[0];
  const raw = outside(t.waterPct, family.water);
  const who = [...water.entries].filter((e) => e.drinksG > 2).sort((a, b) => b.drinksG - a.drinksG)[0];
  // where plain water is out of range already, that is said; here only what drinking adds
  if (d > 0.03 && (dry ? who && d > raw + 0.03 : raw <= 0.03)) {
    out.push({
      id: 'hydration',
      state: dry ? 'low' : 'high',
      severity: 'note',
      short: dry ? 'Stiff once all have drunk.' : 'Loose even once all have drunk.',
      words: dry
        ? `${who?.name.replace(/,.*/, '')} drinks ${Math.round((100 * (who?.drinksG ?? 0)) / Math.max(t.waterG, 1e-9))} % of the water, which leaves ${whole(Math.max(0, water.availablePct))} %: stiffer than most ${family.plural}.`
        : `Looser than most ${family.plural} even once all have drunk: ${whole(water.availablePct)} % of water is left, and it sets late.`,
      rule: `Water left after cocoa, bran, whole grain and coconut have drunk: ${whole(water.usual[0])}–${whole(water.usual[1])} % of flour in ${aFamily(family)}`,
    });
  }
  const lean = beam.lean;
  const far = Math.abs(lean) > LEAN_USUAL;
  out.push({
    id: 'structure',
    state: lean > LEAN_USUAL ? 'high' : lean < -LEAN_USUAL ? 'low' : 'ok',
    severity: 'note',
    short: far ? (lean > 0 ? 'More tender than most.' : 'Firmer than most.') : 'In balance.',
    words: far
      ? lean > 0
        ? `More tender than most ${family.plural}: fat and sugar outweigh flour and egg.`
        : `Firmer than most ${family.plural}: flour and egg outweigh fat and sugar.`
      : lean > 0.45
        ? `A shade tender for ${aFamily(family)}.`
        : lean < -0.45
          ? `A shade firm for ${aFamily(family)}.`
          : `In balance for ${aFamily(family)}.`,
    rule: `Structure against tenderness, index ${whole1(beam.usual[0])} to ${whole1(beam.usual[1])} in ${aFamily(family)}`,
  });
  const load = t.baseG > 0 ? t.piecesG / t.baseG : 0;
  const most = family.carries[1];
  if (load > most)
    out.push({
      id: 'load',
      state: 'high',
      severity: 'note',
      words: `Pieces weigh ${whole(load)} times the flour: it rises less, and they may sink in so ${t.waterPct > 110 ? 'loose' : 'heavy'} a batter.`,
      rule: `Pieces up to about ${whole(most)} times the flour in 97 of 100 ${family.plural}`,
    });
  if (lift.fizzedMmol.typical > 0.3)
    out.push({
      id: 'fizzed',
      state: 'low',
      severity: lift.fizzedMmol.typical > 0.35 * lift.mmolPer100gBase.typical ? 'unusual' : 'note',
      words: `Soda stirred into the acid first loses about ${whole(lift.fizzedMmol.typical)} mmol before there is a batter to hold it. Mix the soda into the flour instead.`,
      rule: '50–85 % of such gas is gone before it meets the flour',
    });
  return out;
}

const whole1 = (x: number): string => `${x < 0 ? '−' : ''}${whole(Math.abs(x))}`;

export function processVerdicts(methods: Methods, warnings: readonly Warning[], family: Family): Verdict[] {
  const out: Verdict[] = warnings.map((w) => ({
    id: `warm:${w.id}`,
    state: 'ok' as const,
    severity: 'note' as const,
    words: w.words,
    rule: 'Temperature of what goes in',
  }));
  const mine = methods.fits.find((f) => f.method === methods.chosen);
  const best = methods.fits[0];
  if (methods.read && mine?.fit === 'poor' && best && best.method !== mine.method && hasRanges(family))
    out.push({
      id: 'method',
      state: 'low',
      severity: 'note',
      words: `The method says ${mine.name}, but ${mine.words}; ${best.name} suits it: ${best.words}.`,
      rule: 'Mixing method against fat, sugar and water',
    });
  return out;
}
