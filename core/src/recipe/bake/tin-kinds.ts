import type { Tin, TinMaterial } from '../../formula/types.js';

/**
 * Tins by kind and size as shops sell them: what a text leaves out (depth, taper, the width of a loaf tin) is the usual
 * one. Basis: general knowledge, not looked up.
 */

const round1 = (x: number): number => Math.round(x);
const cm = (mm: number): string => String(Math.round(mm / 10));

/** Hollows of a tray: mini, usual and jumbo, rim, base and depth in mm. */
const hollows = { mini: [45, 32, 23], usual: [70, 51, 36], jumbo: [89, 70, 48] } as const;

export function cups(n: number, size: keyof typeof hollows, material: TinMaterial): Tin {
  const [topMm, baseMm, depthMm] = hollows[size];
  const name = size === 'mini' ? `${n}-hole mini muffin tray` : `${n}-hole muffin tray`;
  return { id: `muffin-${n}`, name, shape: 'cup', topMm, baseMm, depthMm, cups: n, material };
}

export const round = (mm: number, depthMm: number | undefined, material: TinMaterial): Tin => ({
  id: `round-${round1(mm)}`,
  name: `${cm(mm)} cm round`,
  shape: 'round',
  topMm: round1(mm),
  depthMm: depthMm ?? 50,
  material,
});

export const square = (mm: number, depthMm: number | undefined, material: TinMaterial): Tin => ({
  id: `square-${round1(mm)}`,
  name: `${cm(mm)} cm square`,
  shape: 'square',
  topMm: round1(mm),
  depthMm: depthMm ?? 50,
  material,
});

export const tube = (mm: number, material: TinMaterial): Tin => ({
  id: `tube-${round1(mm)}`,
  name: `${cm(mm)} cm tube`,
  shape: 'tube',
  topMm: round1(mm),
  depthMm: 90,
  material,
});

/** A tube tin by what it holds, ml: one of 24 cm holds some 2.4 l. */
export function tubeOf(ml: number, material: TinMaterial): Tin {
  const mm = round1(240 * Math.cbrt(ml / 2400));
  return { ...tube(mm, material), depthMm: round1(0.375 * mm), capacityMl: round1(ml) };
}

/** The common loaf tin, 23 × 13 cm outside, called two pounds or 900 g; smaller and larger ones in its proportions. */
export function loafOfWeight(g: number, material: TinMaterial): Tin {
  if (g > 780 && g < 950)
    return { id: 'loaf-2lb', name: '2 lb loaf tin', shape: 'loaf', topMm: 222, top2Mm: 120, depthMm: 68, material };
  if (g > 380 && g < 520)
    return { id: 'loaf-1lb', name: '1 lb loaf tin', shape: 'loaf', topMm: 165, top2Mm: 95, depthMm: 60, material };
  const k = Math.cbrt(g / 907);
  return {
    id: `loaf-${round1(g)}g`,
    name: `${round1(g)} g loaf tin`,
    shape: 'loaf',
    topMm: round1(222 * k),
    top2Mm: round1(120 * k),
    depthMm: round1(68 * k),
    material,
  };
}

/** A loaf tin by what it holds, ml; the common one holds 1.6 l. */
export function loafOfVolume(ml: number, material: TinMaterial): Tin {
  const k = Math.cbrt(ml / 1600);
  return {
    id: `loaf-${round1(ml)}ml`,
    name: `${ml < 1000 ? `${round1(ml)} ml` : `${Number((ml / 1000).toFixed(1))} l`} loaf tin`,
    shape: 'loaf',
    topMm: round1(222 * k),
    top2Mm: round1(120 * k),
    depthMm: round1(68 * k),
    capacityMl: round1(ml),
    material,
  };
}

/** A loaf tin of which only the length is known: long ones are no wider than the common one. */
export const loafOfLength = (mm: number, material: TinMaterial): Tin => ({
  id: `loaf-${round1(mm)}`,
  name: `${cm(mm)} cm loaf`,
  shape: 'loaf',
  topMm: round1(mm),
  top2Mm: round1(Math.min(120, Math.max(80, 0.46 * mm))),
  depthMm: 68,
  material,
});

/** A tin of two sides, mm. Slim and small ones are loaf tins, whether the text says so or not. */
export function across(
  a: number,
  b: number,
  depth: number | undefined,
  said: { readonly loaf: boolean; readonly tray: boolean; readonly sheet: boolean; readonly material: TinMaterial },
): Tin {
  const long = round1(Math.max(a, b));
  const wide = round1(Math.min(a, b));
  const slim = long >= 180 && long <= 300 && wide >= 90 && wide <= 140 && long / wide > 1.6;
  const loaf = said.loaf || (slim && !said.tray);
  const shape = loaf ? 'loaf' : long === wide ? 'square' : 'rect';
  const depthMm = depth ? round1(depth) : loaf ? round1(wide * 0.58) : said.sheet ? 25 : 50;
  const name = `${cm(long)} × ${cm(wide)} cm ${loaf ? 'loaf' : shape === 'square' ? 'square' : 'sheet'}`;
  return {
    id: `${shape}-${long}-${wide}`,
    name,
    shape,
    topMm: loaf ? round1(long * 0.96) : long,
    ...(shape !== 'square' && { top2Mm: loaf ? round1(wide * 0.94) : wide }),
    depthMm,
    material: said.material,
  };
}
