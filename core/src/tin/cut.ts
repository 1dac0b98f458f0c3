import { told } from '../quantity/figures.js';
import type { CutOutline, Kitchen, Tin } from '../formula/types.js';
import { cutName } from './naming.js';

/** Share of a rolled slab that rounds take in a hexagonal pattern; scraps are gathered and rolled once more. General baking knowledge: 70 to 80 %. */
const ROUNDS_SHARE = 0.75;

/** Outlines that a slab can be cut to by size; fingers are cut by hand. */
export type CutShape = Exclude<CutOutline, 'fingers'>;
/** More pieces than this no kitchen cuts from one dough. */
export const MOST_PIECES = 96;

export interface Cut {
  /** Pieces from the first rolling, and from the scraps rolled once. */
  readonly first: number;
  readonly second: number;
  /** Weight of a piece, and of what is left to shape by hand, g. */
  readonly pieceG: number;
  readonly leftG: number;
  /** Area that the slab takes at its thickness, cm2. */
  readonly areaCm2: number;
  readonly words: string;
}

/**
 * Pieces from a slab of dough. Squares and wedges leave no scraps: the slab is cut as near to the wanted size as its
 * area divides.
 *
 * @param doughG weight of the dough; densityGPerMl of the raw dough
 * @param sizeMm diameter of a round, edge of a square, or diameter of the round that wedges are cut from
 * @param thickMm thickness of the slab
 * @param wedges into how many a round is cut
 */
export function cutSlab(
  doughG: number,
  densityGPerMl: number,
  shape: CutShape,
  sizeMm: number,
  thickMm: number,
  wedges = 8,
  kitchen?: Pick<Kitchen, 'display' | 'measures'>,
): Cut {
  const cut = cutMetric(doughG, densityGPerMl, shape, sizeMm, thickMm, wedges);
  return { ...cut, words: told(kitchen, cut.words) };
}

function cutMetric(
  doughG: number,
  densityGPerMl: number,
  shape: CutShape,
  sizeMm: number,
  thickMm: number,
  wedges: number,
): Cut {
  const none: Cut = { first: 0, second: 0, pieceG: 0, leftG: 0, areaCm2: 0, words: 'nothing to cut' };
  if (![doughG, densityGPerMl, sizeMm, thickMm, wedges].every((x) => Number.isFinite(x) && x > 0)) return none;
  const areaMm2 = ((doughG / densityGPerMl) * 1000) / thickMm;
  const areaCm2 = areaMm2 / 100;
  if (shape === 'wedges') {
    const rounds = Math.max(1, Math.round(areaMm2 / ((Math.PI / 4) * sizeMm * sizeMm)));
    const n = rounds * Math.max(2, Math.round(wedges));
    return {
      first: n,
      second: 0,
      pieceG: doughG / n,
      leftG: 0,
      areaCm2,
      words: `${rounds === 1 ? 'one round' : `${rounds} rounds`}, ${n} wedges of ${Math.round(doughG / n)} g`,
    };
  }
  const each = shape === 'squares' ? sizeMm * sizeMm : (Math.PI / 4) * sizeMm * sizeMm;
  const pieceG = (each * thickMm * densityGPerMl) / 1000;
  const whole = Math.floor(doughG / pieceG + 1e-6);
  const first = shape === 'squares' ? whole : Math.min(whole, Math.floor((areaMm2 * ROUNDS_SHARE) / each + 1e-9));
  const scraps = areaMm2 - first * each;
  const second = shape === 'squares' ? 0 : Math.min(whole - first, Math.floor((scraps * ROUNDS_SHARE) / each + 1e-9));
  const leftG = doughG - (first + second) * pieceG;
  const rest = leftG > 0.4 * pieceG ? `; ${Math.round(leftG)} g left to shape by hand` : '';
  return {
    first,
    second,
    pieceG,
    leftG,
    areaCm2,
    words: `${first}${second > 0 ? ` and ${second} from the scraps` : ''}, ${Math.round(pieceG)} g each${rest}`,
  };
}

/**
 * The pieces as the bake model and the drawings take them: cylinders as high as the slab, which hold all of the dough,
 * scraps and remainder shared out among them; `null` when there is no piece.
 *
 * @param doughMl volume of the dough
 * @param fill how full of it the pieces it was cut into before were, so that they hold as much as those did
 */
export function cutTin(
  cut: Cut,
  shape: CutShape,
  sizeMm: number,
  thickMm: number,
  doughMl: number,
  fill: number,
  kitchen?: Pick<Kitchen, 'display' | 'measures'>,
): Tin | null {
  const n = cut.first + cut.second;
  if (n < 1 || !(doughMl > 0 && fill > 0)) return null;
  const across = Math.sqrt(((doughMl * 1000) / n / thickMm) * (4 / Math.PI));
  const rounds =
    shape === 'wedges' ? Math.max(1, Math.round((cut.areaCm2 * 100) / ((Math.PI / 4) * sizeMm * sizeMm))) : 1;
  const nominal = shape === 'squares' ? (2 * sizeMm) / Math.sqrt(Math.PI) : sizeMm / Math.sqrt(n / rounds);
  const piece: Tin = {
    id: `cut-${shape}-${Math.round(sizeMm)}-${Math.round(thickMm)}-${n}`,
    name: '',
    shape: 'slab',
    cut: shape,
    ...(rounds > 1 && { rounds }),
    topMm: shape === 'rounds' ? sizeMm : nominal,
    depthMm: Math.round((100 * thickMm) / fill) / 100,
    cups: n,
    material: 'none',
  };
  return { ...piece, name: told(kitchen, cutName(piece)), topMm: Math.round(100 * across) / 100 };
}
