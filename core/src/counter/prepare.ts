import type { Family } from '../balance/families.js';
import { outlineOf } from '../tin/geometry.js';
import type { TinFit } from '../tin/fit.js';

/** Cocoa, % of flour, from which a tin is dusted with cocoa rather than flour, so that no white shows. */
const DARK_FROM = 8;

/** Families that rise little and bake long: double paper, so that the sides do not burn. */
const LONG = new Set(['fruit-cake-rich', 'fruit-cake-light', 'pound-cake']);
const SHAPED = new Set(['biscuit', 'scone', 'soda-bread', 'drop-biscuit']);

/**
 * How a tin is got ready for a family's batter: grease, line, dust, paper cups. General baking knowledge.
 * @param cocoaPct cocoa, % of flour
 */
export function prepareTin(fit: Pick<TinFit, 'tin'>, family: Family, cocoaPct: number, hotTin: boolean): string {
  const { tin } = fit;
  const o = outlineOf(tin);
  const dust = cocoaPct >= DARK_FROM ? 'cocoa' : 'flour';
  if (hotTin) return 'leave it in the oven to heat, empty; grease it just before the batter goes in';
  if (o.free || tin.shape === 'slab')
    return SHAPED.has(family.id) ? 'line the tray with paper, or dust it with flour' : 'line the tray with paper';
  if (tin.material === 'silicone') return 'oil it thinly; stand it on a tray, it bends when full';
  if (tin.shape === 'cup') return 'paper cups in the hollows, or grease them and their rims well';
  if (tin.shape === 'tube')
    return `brush every fold with soft fat, dust with ${dust} and knock out what does not stick`;
  if (LONG.has(family.id))
    return family.id === 'fruit-cake-rich'
      ? 'grease, line base and sides with double paper standing 5 cm above the rim, tie paper round the outside'
      : 'grease, line base and sides with paper';
  if (tin.shape === 'loaf')
    return tin.material === 'glass' || tin.material === 'ceramic'
      ? 'grease, lay a strip of paper along it with ends to lift it by; let it not be fridge-cold'
      : 'grease, lay a strip of paper along it with ends to lift it by';
  if (family.id === 'maize-bread' || family.id === 'soda-loaf') return 'grease it well';
  return `grease, line the base with paper, ${dust === 'cocoa' ? 'cocoa' : 'flour'} on the sides`;
}

/** Fridge and target temperatures of butter for creaming, °C, and its diffusivity, m²/s; general knowledge. */
const FRIDGE_C = 5;
const SOFT_C = 18;
const DIFFUSIVITY = 1.0e-7;
/** Conductivity of butter and the still air's coefficient round a lump on a plate, W/(m K), W/(m² K). Judgements. */
const CONDUCTS = 0.2;
const AIR_H = 7;
const DENSITY = 950;

export interface Waits {
  readonly minutes: number;
  readonly words: string;
  /** The same, shortened: what to do, and how long it takes then; null when it cannot be. */
  readonly short: { readonly minutes: number; readonly words: string } | null;
}

/**
 * How long a lump of butter takes from the fridge to 18 °C, as a sphere of its weight in still air that warms through
 * its surface (lumped, with the inside's own lag added): t = (r ρ c / 3 h) ln((room - fridge) / (room - 18)) + r² / (π² a).
 * Below 19 °C of room the kitchen itself is too cold, and the words say so. At most three hours.
 *
 * @param lumpG weight of one piece, g
 */
export function butterWait(lumpG: number, roomC: number): Waits {
  const cut = Math.max(10, Math.min(30, lumpG / 6));
  const whole = warming(lumpG, roomC);
  const cubes = warming(cut, roomC);
  const cold = roomC < SOFT_C + 1;
  const minutes = Math.round(whole / 5) * 5;
  const quick = Math.max(10, Math.round(cubes / 5) * 5);
  return {
    minutes,
    words: cold
      ? `in one piece about ${minutes} minutes; at ${Math.round(roomC)} °C it stays firm, so put it near the warming oven at the end`
      : `in one piece about ${minutes} minutes at ${Math.round(roomC)} °C`,
    short: quick < minutes ? { minutes: quick, words: `as ${Math.round(cut)} g cubes, side by side` } : null,
  };
}

function warming(lumpG: number, roomC: number): number {
  const room = Math.max(SOFT_C + 1, roomC);
  const r = Math.cbrt((3 * (Math.max(5, lumpG) / 1000)) / (4 * Math.PI * DENSITY));
  // c from a = k / (rho c)
  const rhoC = CONDUCTS / DIFFUSIVITY;
  const outside = ((r * rhoC) / (3 * AIR_H)) * Math.log((room - FRIDGE_C) / (room - SOFT_C));
  const inside = (r * r) / (Math.PI * Math.PI * DIFFUSIVITY);
  return Math.min(180, (outside + inside) / 60);
}

/** Eggs and dairy from the fridge: by room temperature, or in hot tap water. General knowledge: 30 to 60 minutes. */
export function eggWait(roomC: number): Waits {
  const minutes = Math.round(Math.min(60, Math.max(30, 45 * Math.pow(20 / Math.max(14, roomC), 1.5))) / 5) * 5;
  return {
    minutes,
    words: `about ${minutes} minutes, to 20–22 °C`,
    short: {
      minutes: 10,
      words: 'eggs in their shells 5–10 minutes in hot tap water; dairy in a bowl over warm water',
    },
  };
}
