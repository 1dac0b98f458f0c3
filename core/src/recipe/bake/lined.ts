import type { TinUse } from '../../formula/types.js';

/** Paper in two layers, or wrapped around the outside too, as for a rich fruit cake. */
const DOUBLE =
  /\bdoubl[ey][\s-]+(?:thickness|lin\w+|lay\w+)|\blin(?:e|ed|ing)\b[^.;]{0,40}\b(?:twice|double|two layers|a double (?:layer|thickness))|\b(?:brown|news)[\s-]?paper\b[^.;]{0,30}\b(?:round|around|outside)|\bpaper (?:round|around) the outside\b/i;
/** Tins that are deep, or have a name for their height; general knowledge. */
const DEPTHS: readonly (readonly [RegExp, number])[] = [
  [/\bsandwich (?:tins?|pans?|cake tins?)\b/i, 38],
  [/\bdeep\b(?![\s-]*(?:fr|gold|brown|dark))/i, 75],
  [/\bspring[\s-]?forms?\b/i, 68],
];
/** What a tin is taken as where nothing is said of its depth, mm. */
const USUAL_MM = 50;

/** The tins with the lining and the depth that the words around them have, where no figure says better. */
export function lined(tins: readonly TinUse[], lines: readonly string[]): readonly TinUse[] {
  const text = lines.join('\n');
  const double = DOUBLE.test(text);
  const deep = DEPTHS.find(([re]) => re.test(text))?.[1];
  return tins.map((use) => {
    const { shape, depthMm, lining } = use.tin;
    const flat = shape === 'round' || shape === 'square';
    return {
      ...use,
      tin: {
        ...use.tin,
        ...(double &&
          lining === undefined &&
          (flat || shape === 'loaf' || shape === 'rect') && { lining: 'double' as const }),
        ...(deep !== undefined && flat && depthMm === USUAL_MM && { depthMm: deep }),
      },
    };
  });
}
