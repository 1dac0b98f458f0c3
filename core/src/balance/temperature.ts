import { enclose } from '../formula/bands.js';
import type { Band } from '../formula/types.js';
import { isFirmFat } from '../ingredient/kinds.js';
import type { Line } from '../leavening/parts.js';
import type { MixingMethod } from './families.js';

/** kJ/kg to melt ice, and fat that is solid when cold. General knowledge; fat melts between 10 and 35 °C. */
const ICE = 334;
const FAT_MELTS = 85;
const FRIDGE_C = 5;
const FREEZER_C = -18;

/** Temperature that a line goes in at, °C: what its words say, else the room's, or the fridge's where the fat must stay cold. */
export function goesInAt(line: Line, method: MixingMethod, roomC: number): number {
  const said = line.item.words.toLowerCase();
  if (/boiling/.test(said)) return 92;
  if (/\bhot\b/.test(said) && line.ingredient.role === 'liquid') return 75;
  if (/melted/.test(said) || line.item.form === 'melted') return 40;
  if (/\b(luke)?warm\b/.test(said)) return 35;
  if (/frozen/.test(said)) return FREEZER_C;
  if (/room temperature|\bsoft(ened)?\b/.test(said)) return roomC;
  if (/\bcold\b|chilled|fridge|straight from/.test(said)) return FRIDGE_C;
  if (method === 'rub-in' && ['fat', 'liquid', 'egg'].includes(line.ingredient.role)) return FRIDGE_C;
  return roomC;
}

interface Heat {
  readonly grams: number;
  readonly water: number;
  readonly fat: number;
  /** Whether its fat sets in the cold. */
  readonly sets: boolean;
}

/** kJ/kg of an ingredient at T °C above 0 °C: water 4.18 (ice 2.1), fat 2.0, dry solids 1.5 kJ/kgK, and what melts. */
function enthalpy({ water, fat, sets }: Heat, c: number): number {
  const dry = 100 - water - fat;
  let h = ((2.0 * fat + 1.5 * dry) / 100) * c;
  if (water < 50) h += (4.18 * water * c) / 100;
  else h += c >= 0 ? (4.18 * water * c) / 100 : (water / 100) * (2.1 * Math.min(0, c + 1) - ICE * Math.min(1, -c));
  if (sets) h += (fat / 100) * FAT_MELTS * Math.min(1, Math.max(0, (c - 10) / 25));
  return h;
}

/**
 * Temperature of the mixed batter, °C, from the heat its ingredients bring (ice and fat that melt or set included),
 * with a degree more or less for mixing, bowl and flour.
 */
export function batterTemperature(lines: readonly Line[], method: MixingMethod, roomC: number): Band {
  const parts = lines
    .filter((l) => l.grams > 0)
    .map((line) => {
      const { water, fat } = line.ingredient.per100;
      const h: Heat = { grams: line.grams, water, fat, sets: fat > 1 && isFirmFat(line.ingredient) };
      return { h, at: goesInAt(line, method, roomC) };
    });
  if (parts.length === 0) return enclose(roomC - 2, roomC, roomC + 2);
  const heat = parts.reduce((s, p) => s + p.h.grams * enthalpy(p.h, p.at), 0);
  let lo = -20;
  let hi = 100;
  for (let i = 0; i < 24; i++) {
    const mid = (lo + hi) / 2;
    const h = parts.reduce((s, p) => s + p.h.grams * enthalpy(p.h, mid), 0);
    if (h < heat) lo = mid;
    else hi = mid;
  }
  const c = (lo + hi) / 2;
  return enclose(c - 2, c, c + 2);
}

export interface Warning {
  readonly id: string;
  readonly words: string;
}

/** Batter, °C, from which egg may set in it before the rest is mixed in; egg itself sets from 60 °C. Judgement. */
const SCRAMBLES_FROM = 50;

/** What temperature can spoil in the bowl, and the remedy. */
export function temperatureWarnings(
  lines: readonly Line[],
  method: MixingMethod,
  batterC: number,
  roomC: number,
): Warning[] {
  const out: Warning[] = [];
  const egg = lines.filter((l) => l.ingredient.role === 'egg' && l.grams > 0);
  const eggG = egg.reduce((s, l) => s + l.grams, 0);
  const fatG = lines.filter((l) => l.ingredient.role === 'fat').reduce((s, l) => s + l.grams, 0);
  const at = (l: Line): number => goesInAt(l, method, roomC);
  if (method === 'creaming' && eggG > 0.5 * fatG) {
    const coldest = Math.min(...egg.map(at));
    if (coldest < 17)
      out.push({
        id: 'curdles',
        words: `Eggs at about ${Math.round(coldest)} °C will curdle the creamed fat: warm them in hot tap water for 5–10 minutes. If it has curdled, a spoon of the flour and a warm bowl bring it back.`,
      });
  }
  // boiling water in a batter that is 40 °C warm of it cooks nothing: flour, sugar and the bowl take its heat
  if (
    egg.length > 0 &&
    batterC >= SCRAMBLES_FROM &&
    lines.some((l) => l.ingredient.role !== 'egg' && at(l) > 60 && l.grams > 0.1 * eggG)
  )
    out.push({
      id: 'scrambles',
      words: 'Let what is hot cool below 45 °C, or stream it in, before it meets the eggs: egg sets from 60 °C.',
    });
  else if (egg.length > 0 && lines.some((l) => l.ingredient.role === 'fat' && at(l) >= 40))
    out.push({ id: 'melted', words: 'Let melted fat cool below 45 °C before the eggs go in.' });
  if ((method === 'rub-in' || method === 'coating') && roomC > 24)
    out.push({
      id: 'soft-fat',
      words: `At ${Math.round(roomC)} °C the fat softens as you rub: freeze it 10–15 minutes first and work fast.`,
    });
  if (method === 'creaming' && (batterC > 26 || batterC < 16))
    out.push({
      id: 'emulsion',
      words:
        batterC > 26
          ? `A creamed batter at ${Math.round(batterC)} °C lets its air go: cooler, 20–24 °C, holds it.`
          : `A creamed batter at ${Math.round(batterC)} °C stiffens and may split: 20–24 °C holds it together.`,
    });
  if (method !== 'rub-in' && batterC > 45)
    out.push({
      id: 'hot-batter',
      words: 'A hot batter starts the powder at once: add it last, and bake straight away.',
    });
  return out;
}
