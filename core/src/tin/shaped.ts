import type { Tin } from '../formula/types.js';
import { cutSlab, MOST_PIECES } from './cut.js';
import { cm, cutName } from './naming.js';

/** How doughs stand that hands shape: the raw height over the width, and length over width. Judgements, by eye and rule. */
export const AS_SHAPED: Readonly<
  Record<NonNullable<Tin['shaped']>, { readonly tall: number; readonly long: number; readonly name: string }>
> = {
  // a soda bread of 0.85 kg of dough is some 18 cm across, and so 3½ cm high
  round: { tall: 0.19, long: 1, name: 'Round' },
  ball: { tall: 0.62, long: 1, name: 'Ball' },
  oval: { tall: 0.42, long: 1.8, name: 'Oval' },
  drop: { tall: 0.5, long: 1, name: 'Drops' },
  // a scone of 6 cm is cut from 2½ cm of dough
  cut: { tall: 0.42, long: 1, name: 'Pieces' },
};

/**
 * A dough that stands by itself has the size its weight gives it: width and height from the volume and the way it is shaped, or
 * the height that the baker pats it to. Tins, and shapes whose size is stated, come back as they are.
 *
 * @param grams weight of what it holds, all its pieces together, g
 * @param densityGPerMl of the raw dough
 */
export function shapedTin(tin: Tin, grams: number, densityGPerMl: number): Tin {
  if (!tin.shaped || !(grams > 0) || !(densityGPerMl > 0)) return tin;
  const { tall, long, name } = AS_SHAPED[tin.shaped];
  const mm3 = (grams / (tin.cups ?? 1) / densityGPerMl) * 1000;
  // π/4 · long · width² · height, with height = tall · width
  const wide = tin.patted
    ? Math.sqrt((4 * mm3) / (Math.PI * long * tin.depthMm))
    : Math.cbrt((4 * mm3) / (Math.PI * long * tall));
  const sized: Tin = {
    ...tin,
    topMm: Math.round(wide * long),
    ...(long > 1 && { top2Mm: Math.round(wide) }),
    depthMm: tin.patted ? tin.depthMm : Math.round(tall * wide),
  };
  if (tin.shaped === 'cut') return { ...sized, name: cutName(sized, true) };
  const size = long > 1 ? `${cm(wide * long)} × ${cm(wide)} cm` : `${cm(wide)} cm`;
  return { ...sized, name: `${name} of about ${size}` };
}

/** Raw dough of a piece, ml, where nothing is said of its size: a scone, a drop, a small ball weigh 55 to 75 g. A judgement. */
const PIECE_ML = 58;
/** What is rolled out without a thickness being said, mm. General baking knowledge: 2 to 2½ cm. */
export const ROLLED_MM = 22;

/**
 * How many pieces a dough makes whose number is not said: by the size and thickness they are cut to, scraps rolled once more; by
 * the measure they are dropped with; else of a usual size.
 *
 * @param doughMl volume of all the dough
 * @param measureMl of the spoon or scoop that each is dropped with
 */
export function piecesFor(tin: Tin, doughMl: number, measureMl: number | null): number {
  if (!(doughMl > 0)) return 1;
  const most = (n: number): number => Math.max(1, Math.min(MOST_PIECES, Math.round(n)));
  if (measureMl !== null) return most(doughMl / measureMl);
  if (tin.shaped) return most(doughMl / PIECE_ML);
  if (tin.cut === 'wedges') return 8 * (tin.rounds ?? 1);
  if (tin.cut === 'squares' || tin.cut === 'fingers')
    return most((doughMl * 1000) / ((Math.PI / 4) * tin.topMm * tin.topMm * tin.depthMm));
  const cut = cutSlab(doughMl, 1, 'rounds', tin.topMm, tin.depthMm);
  // what is left over is pressed into a last one
  return most(cut.first + cut.second + (cut.leftG > 0.4 * cut.pieceG ? 1 : 0));
}

/** The same dough cut into another number of pieces, of the size they were, or as their weight makes them. */
export function recut(tin: Tin, pieces: number): Tin {
  const cut: Tin = { ...tin, id: `cut-${tin.cut ?? 'rounds'}-${Math.round(tin.topMm)}-${pieces}`, cups: pieces };
  return { ...cut, name: cutName(cut, tin.shaped === 'cut') };
}
