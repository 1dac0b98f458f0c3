import { enclose } from '../formula/bands.js';
import type { Band, Ingredient, Kitchen } from '../formula/types.js';
import { SODA_G_PER_MOL, SODIUM_G_PER_MOL } from './acids.js';
import { LEFT_SODA_STEPS, TANG_MEQ, type Ledger } from './ledger.js';
import { powderIn, type Line } from './parts.js';

export type EffectOn = 'taste' | 'colour' | 'browning' | 'crumb' | 'spread';

/** What left-over soda or acid will do to this bake. */
export interface Effect {
  readonly id: string;
  readonly on: EffectOn;
  readonly words: string;
}

export interface Crumb {
  /** A likely band, never a single figure. */
  readonly pH: Band;
  readonly effects: readonly Effect[];
  /** mg of sodium; `salt` is salt itself and what salted ingredients bring, milk's and egg's own are not counted. */
  readonly sodium: { readonly leavenersMg: number; readonly saltMg: number; readonly mgPer100gBatter: number };
}

/** mg of sodium in a gram of salt. */
const SODIUM_MG_PER_G_SALT = 393.4;
/** How far a crumb can move from neutral before carbonate or acid buffers it flat. */
const PH_REACH = 2.9;

/**
 * Crumb pH: 7 + reach · tanh(net / (β · reach)), where net is what is left over, meq per 100 g of batter (soda counts
 * plus, acid minus), and β the buffer of protein and salts, meq per 100 g and unit of pH. β = 1.2 + 0.3 · protein (g in
 * 100 g), from 0.7 to 1.4 times that. Fitted by eye to what is generally said of crumbs: yellow cake 6.8–7.3, soda
 * bread 7.2–7.9, dark cocoa cake 7.8–8.8, buttermilk cake 6–6.6.
 */
function crumbPH(ledger: Ledger, proteinPct: number): Band {
  const beta = 1.2 + 0.3 * proteinPct;
  const net = (soda: number, acid: number): number => (soda / SODA_G_PER_MOL) * 1000 - acid;
  const at = (n: number, k: number): number => 7 + PH_REACH * Math.tanh(n / (k * beta * PH_REACH));
  const s = ledger.leftSodaGPer100gBatter;
  const a = ledger.leftAcidMeqPer100gBatter;
  const alkaline = net(s.high, a.low);
  const sour = net(s.low, a.high);
  // reaction salts of powders and the grist's own acid leave another fifth of a unit either way
  return enclose(
    at(sour, sour < 0 ? 0.7 : 1.4) - 0.2,
    at(net(s.typical, a.typical), 1),
    at(alkaline, alkaline > 0 ? 0.7 : 1.4) + 0.2,
  );
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

function effectsOf(lines: readonly Line[], ledger: Ledger, masked: boolean): Effect[] {
  const out: Effect[] = [];
  const add = (id: string, on: EffectOn, words: string): void => void out.push({ id, on, words });
  const left = ledger.leftSodaGPer100gBatter.typical;
  const tang = ledger.leftAcidMeqPer100gBatter.typical;
  const names = (test: (i: Ingredient) => boolean): string[] => [
    ...new Set(
      lines
        .filter((l) => l.grams > 0 && test(l.ingredient))
        .map((l) => l.ingredient.name.replace(/,.*/, '').toLowerCase()),
    ),
  ];
  if (left >= LEFT_SODA_STEPS.browner) {
    if (left >= LEFT_SODA_STEPS.soapyMasked || (!masked && left >= LEFT_SODA_STEPS.unusualPlain))
      add('soapy', 'taste', left >= LEFT_SODA_STEPS.soapy ? 'likely to taste soapy' : 'a risk of a soapy note');
    else if (left >= LEFT_SODA_STEPS.dark && masked) add('hidden', 'taste', 'the strong flavours hide the soda');
    add(
      'browns',
      'browning',
      left >= LEFT_SODA_STEPS.dark ? 'browns much faster, bakes dark' : 'browns a little faster',
    );
    add('softer', 'crumb', left >= LEFT_SODA_STEPS.dark ? 'a coarser, very tender crumb' : 'a softer crumb');
    if (left >= LEFT_SODA_STEPS.dark) add('spreads', 'spread', 'spreads more before it sets');
    const cocoa = names((i) => i.base === 'cocoa');
    if (cocoa.length > 0)
      add(
        'cocoa',
        'colour',
        left >= LEFT_SODA_STEPS.dark ? 'cocoa turns red-brown to nearly black' : 'cocoa turns redder',
      );
  }
  if (left >= LEFT_SODA_STEPS.dark * 0.7) {
    const blue = names((i) => i.stains === 'blue');
    if (blue.length > 0) add('blue', 'colour', `${listed(blue)} may streak blue-green`);
    const grey = names((i) => i.stains === 'grey');
    if (grey.length > 0) add('grey', 'colour', `${listed(grey)} may turn grey`);
    if (names((i) => i.stains === 'green').length > 0)
      add('green', 'colour', 'sunflower seeds may turn green, harmlessly');
  }
  if (tang >= TANG_MEQ / 2) {
    add('tang', 'taste', tang >= TANG_MEQ ? 'plainly tangy' : 'a faint tang');
    add('pale', 'browning', 'a paler crust');
    if (tang >= TANG_MEQ) add('tight', 'crumb', 'a tighter crumb that sets sooner');
  }
  return out;
}

/** mmol of sodium that a line's leaveners bring; salt apart. */
function leavenerSodium(line: Line, kitchen?: Kitchen): number {
  const { ingredient, grams } = line;
  const soda = ingredient.leavener === 'soda' ? (grams / SODA_G_PER_MOL) * 1000 : 0;
  const kind = powderIn(line, kitchen);
  if (!kind) return soda;
  // a self-raising flour holds as much powder as gives its gas
  const powderG = ingredient.co2Mmol
    ? (grams * ingredient.co2Mmol.typical) / 100 / ((kind.soda.typical / kind.gPerMol) * 1000 * kind.met)
    : grams;
  return soda + powderG * kind.sodiumMmolPerG;
}

/** mg of sodium in a line, its salt included. */
export const sodiumMgOf = (line: Line, kitchen?: Kitchen): number =>
  leavenerSodium(line, kitchen) * SODIUM_G_PER_MOL +
  (((line.ingredient.saltG ?? 0) * line.grams) / 100) * SODIUM_MG_PER_G_SALT;

function sodiumOf(lines: readonly Line[], saltG: number, batterG: number, kitchen?: Kitchen): Crumb['sodium'] {
  const leavenersMg = lines.reduce((sum, line) => sum + leavenerSodium(line, kitchen), 0) * SODIUM_G_PER_MOL;
  const saltMg = saltG * SODIUM_MG_PER_G_SALT;
  return { leavenersMg, saltMg, mgPer100gBatter: batterG > 0 ? ((leavenersMg + saltMg) / batterG) * 100 : 0 };
}

/** What comes out of the oven chemically: pH band, effects of what is left over, sodium. */
export function crumbOf(
  lines: readonly Line[],
  ledger: Ledger,
  t: { readonly batterG: number; readonly saltG: number; readonly proteinG: number },
  masked: boolean,
  kitchen?: Kitchen,
): Crumb {
  return {
    pH: crumbPH(ledger, t.batterG > 0 ? (100 * t.proteinG) / t.batterG : 0),
    effects: effectsOf(lines, ledger, masked),
    sodium: sodiumOf(lines, t.saltG, t.batterG, kitchen),
  };
}
