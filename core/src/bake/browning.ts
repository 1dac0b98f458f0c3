/** What a batter holds that makes a crust colour sooner, as shares of the batter's weight. */
export interface BrowningParts {
  readonly sugar: number;
  /** Milk's and egg's proteins and lactose, roughly: dairy and egg solids. */
  readonly milk: number;
  /** Left-over soda, g per 100 g batter; it makes the crust alkaline. */
  readonly soda: number;
}

export interface Browning {
  readonly top: number;
  readonly side: number;
  readonly base: number;
}

/**
 * Browning of a golden crust, and of one dark enough to cover. Colour follows the logarithm of what has browned, so a
 * word spans a factor of about three, golden one of seven; the words' edges were set on 199 ordinary bakes by other authors, nine in ten of whose
 * tops are golden or well browned, while rich fruit cakes are dark and small unsweetened ones light (docs/science/bake.md).
 */
export const GOLDEN = 1;
export const DARK = 6.5;
/** Below this it is pale. */
export const PALE = 0.1;
const LIGHT = 0.33;
const WELL = 2.2;

/** What makes crumb brown, J/mol: Zanoni, Peri and Bruno, Modelling of browning kinetics of bread crust during baking (1995); recalled, not looked up. */
const ACTIVATION = 64_151;
const GAS = 8.314;
const ZERO_K = 273.15;
/** Surface temperature at which an ordinary crust gains 1 a minute, °C; set so that a 23 cm layer at 177 °C ends golden. */
const UNIT_C = 179;

/** A crust that touches the tin stays moister than one in the air and colours at this share of the pace. A judgement. */
export const IN_TIN = 0.55;

/** Browning per minute of a surface at `t` °C, for a crust of pace 1: Arrhenius' law, doubling in 17 K at 160 °C. */
export const browningRate = (t: number): number =>
  Number.isFinite(t) ? Math.exp((ACTIVATION / GAS) * (1 / (UNIT_C + ZERO_K) - 1 / (t + ZERO_K))) : 0;

/**
 * How much sooner than an ordinary cake's this crust colours: sugar and milk feed it, alkali speeds it. 1 for a cake
 * of a fifth sugar and a twentieth milk and egg solids; between 0.5 and 2.2. A judgement.
 */
export function browningPace(parts: BrowningParts | undefined): number {
  if (!parts) return 1;
  const sugar = 0.6 + 0.4 * Math.min(2, parts.sugar / 0.2);
  const milk = 0.8 + 0.2 * Math.min(2, parts.milk / 0.05);
  const soda = 1 + Math.min(0.5, 1.2 * Math.max(0, parts.soda));
  return Math.min(2.2, Math.max(0.5, sugar * milk * soda));
}

const shade = (x: number): string =>
  x < PALE ? 'pale' : x < LIGHT ? 'light gold' : x < WELL ? 'golden' : x < DARK ? 'well browned' : 'dark';

/** The crust in words, top first. */
export function browningWords(b: Browning): string {
  const [top, side, base] = [shade(b.top), shade(b.side), shade(b.base)];
  if (side === top) return base === top ? `${top} all round` : `top and sides ${top}, base ${base}`;
  return `top ${top}, ${side === base ? 'sides and base' : 'sides'} ${side}`;
}
