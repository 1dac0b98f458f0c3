import { cutOutlines, type Tin, type TinUse } from '../../formula/types.js';
import type { ShapedDough } from '../../method/shaped.js';
import { MOST_PIECES } from '../../tin/cut.js';
import { cm, cutName } from '../../tin/naming.js';
import { AS_SHAPED, piecesFor, ROLLED_MM } from '../../tin/shaped.js';

/** What stands on a tray, as far as the words say; its number may have to be worked out from how much dough there is. */
export interface OnTray {
  readonly use: TinUse;
  /** Pieces of so much dough, ml, where the words do not count them. */
  readonly counted: ((doughMl: number) => TinUse) | null;
}

const asCut: ReadonlySet<string> = new Set(cutOutlines);

/** Dough that stands by itself on a tray; without a width, its size follows its weight. */
export function mound(
  shaped: 'round' | 'ball' | 'oval' | 'drop',
  acrossMm: number | null,
  thickMm: number | null,
  scored: Tin['scored'] | null,
): Tin {
  const free = acrossMm === null;
  const topMm = Math.round(acrossMm ?? (shaped === 'drop' ? 70 : shaped === 'ball' ? 60 : 180));
  const named = shaped === 'oval' ? 'Oval' : topMm < 100 ? 'Small round' : 'Free-form round';
  return {
    id: free ? `shaped-${shaped}` : `free-${shaped === 'oval' ? 'oval-' : ''}${topMm}`,
    name: free ? `${AS_SHAPED[shaped].name} on a tray` : `${named}, ${cm(topMm)} cm`,
    shape: 'mound',
    topMm,
    ...(shaped === 'oval' && !free && { top2Mm: Math.round(topMm / AS_SHAPED.oval.long) }),
    depthMm: Math.round(thickMm ?? (shaped === 'drop' ? 35 : 45)),
    ...(free && { shaped }),
    ...(free && thickMm !== null && { patted: true as const }),
    ...(scored && { scored }),
    material: 'none',
  };
}

/** Pieces cut from a rolled dough, by what is said of their number, size and thickness. */
function slab(d: ShapedDough, pieces: number): Tin {
  const cut = asCut.has(d.outline ?? '') ? (d.outline as NonNullable<Tin['cut']>) : null;
  const each = (mm: number): number =>
    cut === 'squares' ? (2 * mm) / Math.sqrt(Math.PI) : cut === 'wedges' ? mm / Math.sqrt(pieces / d.rounds) : mm;
  const across =
    d.areaMm2 !== null ? Math.sqrt((4 * d.areaMm2) / Math.PI) : d.acrossMm !== null && cut !== 'fingers' ? each(d.acrossMm) : null; // prettier-ignore
  const tin: Tin = {
    id: `cut-${cut ?? 'rounds'}-${Math.round(d.acrossMm ?? 0)}-${pieces}`,
    name: '',
    shape: 'slab',
    cut: cut ?? 'rounds',
    ...(d.rounds > 1 && { rounds: d.rounds }),
    topMm: Math.round(10 * (across ?? 60)) / 10,
    depthMm: Math.round(d.thickMm ?? ROLLED_MM),
    cups: pieces,
    ...(across === null && { shaped: 'cut' as const }),
    ...(across === null && d.thickMm !== null && { patted: true as const }),
    material: 'none',
  };
  return { ...tin, name: cutName(tin, across === null) };
}

/** A length that a dough can have, mm; others are slips of the reading. */
const likely = (mm: number | null, least: number, most: number): number | null =>
  mm !== null && mm >= least && mm <= most ? mm : null;

/**
 * A shaped dough as what stands on the tray.
 *
 * @param made pieces that the text says it makes
 */
export function onTray(dough: ShapedDough, made: number | null): OnTray {
  const d: ShapedDough = {
    ...dough,
    thickMm: likely(dough.thickMm, 2, 90),
    acrossMm: likely(dough.acrossMm, 20, 450),
    pieces: dough.pieces ?? (made !== null && made > 1 && made <= MOST_PIECES ? made : null),
  };
  const use = (n: number): TinUse => {
    if (d.how === 'cut') return { tin: slab(d, n), count: 1 };
    const shaped = d.outline === 'ball' || d.outline === 'oval' || d.outline === 'drop' ? d.outline : 'round';
    return { tin: mound(shaped, d.acrossMm, d.thickMm, d.scored), count: n };
  };
  if (d.pieces !== null) return { use: use(d.pieces), counted: null };
  return { use: use(8), counted: (ml) => use(piecesFor(use(8).tin, ml, d.measureMl)) };
}
