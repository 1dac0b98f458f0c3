import { toldAll } from '../quantity/figures.js';
import type { Problem } from '../errors.js';
import { tinLinings, tinMaterials, tinShapes, type Kitchen, type Tin } from '../formula/types.js';

/** A tin's inner outline, in millimetres, at base and rim; free shapes stand on a tray and have no wall. */
export interface Outline {
  readonly kind: 'round' | 'box' | 'oval';
  readonly free: boolean;
  /** Base diameter or length. */
  readonly base: number;
  readonly base2: number;
  readonly top: number;
  readonly top2: number;
  readonly depth: number;
  readonly tube: number;
  /** Hollows in one tin: cups of a tray, pieces of a slab; otherwise 1. */
  readonly cups: number;
}

const roundShapes = new Set(['round', 'cup', 'tube', 'mound', 'slab']);

/** A few degrees of draft are usual; when only the rim is known the base is taken a little smaller. */
const DRAFT: Readonly<Record<Tin['shape'], number>> = {
  round: 0.99,
  square: 0.98,
  rect: 0.97,
  loaf: 0.93,
  cup: 0.74,
  tube: 0.88,
  sheet: 0.98,
  mound: 1,
  slab: 1,
};

export function outlineOf(tin: Tin): Outline {
  const draft = DRAFT[tin.shape];
  const kind = tin.shape === 'mound' && tin.top2Mm ? 'oval' : roundShapes.has(tin.shape) ? 'round' : 'box';
  const top = tin.topMm;
  const top2 = tin.top2Mm ?? (tin.shape === 'loaf' ? tin.topMm * 0.55 : tin.topMm);
  return {
    kind,
    free: tin.shape === 'mound' || tin.shape === 'slab',
    base: tin.baseMm ?? top * draft,
    base2: tin.base2Mm ?? (tin.shape === 'square' ? (tin.baseMm ?? top2 * draft) : top2 * draft),
    top,
    top2: kind === 'round' ? top : top2,
    depth: tin.depthMm,
    tube: tin.tubeMm ?? (tin.shape === 'tube' ? top * 0.3 : 0),
    cups: Math.max(1, Math.round(tin.cups ?? 1)),
  };
}

/** Plan area of one hollow at height z, mm2. Area is quadratic in z, so Simpson's rule below is exact. */
export function areaAt(o: Outline, z: number): number {
  const t = o.depth > 0 ? z / o.depth : 0;
  const a = o.base + (o.top - o.base) * t;
  const b = o.base2 + (o.top2 - o.base2) * t;
  if (o.kind === 'box') return Math.max(0, a * b);
  return (Math.PI / 4) * Math.max(0, o.kind === 'oval' ? a * b : a * a - o.tube * o.tube);
}

/** Volume of one hollow filled to height z, ml, by geometry alone. */
export const volumeTo = (o: Outline, z: number): number =>
  (z / 6 / 1000) * (areaAt(o, 0) + 4 * areaAt(o, z / 2) + areaAt(o, z));

/**
 * What a tube tin holds of its outline's volume: its flutes, its rounded base and a tube that widens downwards take the rest.
 * Common ones, 25 cm across and 9 deep, hold 2.8 l; general knowledge, not looked up.
 */
const TUBE_HOLDS = 0.85;

/** Measured over geometric capacity: fluting, rounded corners and thick walls in one figure. */
export function capacityFactor(tin: Tin): number {
  if (!tin.capacityMl) return tin.shape === 'tube' ? TUBE_HOLDS : 1;
  const o = outlineOf(tin);
  const geometric = volumeTo(o, o.depth) * o.cups;
  return geometric > 0 ? tin.capacityMl / geometric : 1;
}

/** Water capacity of the whole tin to the rim, ml. Measured capacity wins over geometry. */
export function capacityOf(tin: Tin): number {
  const o = outlineOf(tin);
  return tin.capacityMl ?? volumeTo(o, o.depth) * o.cups * capacityFactor(tin);
}

/** Height (mm) to which `ml` fill the tin, straight on above the rim when it holds less. */
export function heightFor(tin: Tin, ml: number): number {
  const o = outlineOf(tin);
  const each = ml / o.cups / capacityFactor(tin);
  if (!(each > 0)) return 0;
  const full = volumeTo(o, o.depth);
  if (each >= full || o.free) {
    const rim = o.free ? areaAt(o, 0) : areaAt(o, o.depth);
    return o.free ? (each * 1000) / rim : o.depth + ((each - full) * 1000) / rim;
  }
  let lo = 0;
  let hi = o.depth;
  for (let i = 0; i < 50; i++) {
    const mid = (lo + hi) / 2;
    if (volumeTo(o, mid) < each) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

const MOST_CUPS = 400;
const MOST_ML = 60_000;

/** A kind of tin, wall or lining that is none, and hollows that cannot be counted. */
function unknownOf(tin: Tin, add: (id: string, words: string, remedy: string) => void): void {
  const known = (x: string | undefined, of: readonly string[]): boolean => x === undefined || of.includes(x);
  const kind = (id: string, what: string, x: string | undefined, of: readonly string[]): void => {
    if (!known(x, of)) add(id, `“${String(x)}” is no ${what} that is known.`, `Take one of these: ${of.join(', ')}.`);
  };
  kind('tin-shape', 'shape of tin', tin.shape ?? 'none given', tinShapes);
  kind('tin-material', 'material', tin.material ?? 'none given', tinMaterials);
  kind('tin-lining', 'lining', tin.lining, tinLinings);
  if (tin.capacityMl !== undefined && !(tin.capacityMl > 0 && tin.capacityMl < MOST_ML))
    add('tin-holds', 'What it holds is no amount.', 'Fill it with water on the scale: a gram is a millilitre.');
  if (tin.cups !== undefined && !(tin.cups >= 1 && tin.cups <= MOST_CUPS))
    add('tin-cups', 'The number of its hollows is none.', `Count them: 1 to ${MOST_CUPS}.`);
}

/** What is impossible or unlikely about a tin's dimensions, in words with a remedy. Empty when it can be used. */
export function tinProblems(tin: Tin, kitchen?: Pick<Kitchen, 'display' | 'measures'>): Problem[] {
  return toldAll(kitchen, problemsIn(tin), ['place', 'remedy']);
}

function problemsIn(tin: Tin): Problem[] {
  const out: Problem[] = [];
  const add = (id: string, words: string, remedy: string): void =>
    void out.push({ id, place: `tin ${tin.name || tin.id}`, words, remedy });
  unknownOf(tin, add);
  if (out.length > 0) return out;
  const o = outlineOf(tin);
  const sizes = [o.top, o.top2, o.base, o.base2, o.depth];
  if (sizes.some((x) => !Number.isFinite(x) || x <= 0)) {
    add(
      'tin-size',
      'A dimension is missing, zero or negative.',
      'Measure the inside: across the rim, across the base, and the depth.',
    );
    return out;
  }
  const small = tin.shape === 'cup' || o.free ? 25 : 60;
  if (Math.min(o.top, o.top2) < small)
    add(
      'tin-small',
      `${Math.round(Math.min(o.top, o.top2))} mm across is too small for a ${tin.shape} tin.`,
      'If you meant inches or centimetres, type the unit: 3 in, 20 cm.',
    );
  if (Math.max(o.top, o.top2) > 700)
    add('tin-large', `${Math.round(Math.max(o.top, o.top2))} mm is wider than a home oven.`, 'Check the unit.');
  if (o.depth > 250) add('tin-deep', `${Math.round(o.depth)} mm is deeper than a baking tin.`, 'Check the unit.');
  if (o.depth < 8) add('tin-shallow', `${Math.round(o.depth)} mm deep holds no batter.`, 'Check the unit.');
  if (o.tube >= Math.min(o.top, o.base))
    add('tin-tube', 'The tube is as wide as the tin.', 'Give the diameter of the tube, not of the tin.');
  const geometric = volumeTo(o, o.depth) * o.cups * (tin.shape === 'tube' ? TUBE_HOLDS : 1);
  if (
    tin.capacityMl !== undefined &&
    geometric > 0 &&
    (!(tin.capacityMl > 0) || tin.capacityMl / geometric > 1.35 || tin.capacityMl / geometric < 0.6)
  )
    add(
      'tin-capacity',
      `It holds ${Math.round(tin.capacityMl)} ml by your measure and ${Math.round(geometric)} ml by its size.`,
      'One of the two is off: fill it with water on the scale again, or measure again.',
    );
  return out;
}
