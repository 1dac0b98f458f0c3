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

/** Browning at which a crust is golden, and at which it is dark enough to cover. A relative scale. */
export const GOLDEN = 1;
export const DARK = 8;
/** Below this it is pale. */
export const PALE = 0.2;

/** A crust's browning doubles with every so many kelvins; 10 to 12 above 120 °C. A judgement. */
const DOUBLES_K = 11;
/** Surface temperature at which an ordinary crust gains 1 a minute; set so that a 23 cm layer at 177 °C ends golden. */
const UNIT_C = 156;

/** A crust that touches the tin stays moister than one in the air and colours at this share of the pace. A judgement. */
export const IN_TIN = 0.55;

/** Browning per minute of a surface at `t` °C, for a crust of pace 1. */
export const browningRate = (t: number): number => (Number.isFinite(t) ? Math.pow(2, (t - UNIT_C) / DOUBLES_K) : 0);

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
  x < PALE ? 'pale' : x < 0.75 * GOLDEN ? 'light gold' : x < 3 ? 'golden' : x < DARK ? 'well browned' : 'dark';

/** The crust in words, top first. */
export function browningWords(b: Browning): string {
  const [top, side, base] = [shade(b.top), shade(b.side), shade(b.base)];
  if (side === top) return base === top ? `${top} all round` : `top and sides ${top}, base ${base}`;
  return `top ${top}, ${side === base ? 'sides and base' : 'sides'} ${side}`;
}
