import type { TinUse } from '../../formula/types.js';

/** Paper in two layers, or wrapped around the outside too, as for a rich fruit cake; foil that covers it is none. */
const DOUBLE =
  /\bdouble[\s-]+lin\w+|\blin(?:e|ed|ing)\b[^.;]{0,40}\b(?:twice|double|two layers)|\bdouble (?:thickness|layer) of [^.;]{0,24}(?:paper|parchment)|\b(?:brown|news)[\s-]?paper\b[^.;]{0,30}\b(?:round|around|outside)|\bpaper (?:round|around) the outside\b/i;
/** Paper that is laid over is no lining. */
const OVER = /\b(?:cover|over|top)\b/i;

const PAPERED: ReadonlySet<string> = new Set(['round', 'square', 'loaf', 'rect']);

/** The tins with the double lining that the words of a recipe give them. */
export function lined(tins: readonly TinUse[], lines: readonly string[]): readonly TinUse[] {
  const double = lines.some((l) => l.split(/(?<=[.;!])\s/).some((s) => DOUBLE.test(s) && !OVER.test(s)));
  if (!double) return tins;
  return tins.map((use) =>
    PAPERED.has(use.tin.shape) && use.tin.lining === undefined
      ? { ...use, tin: { ...use.tin, lining: 'double' as const } }
      : use,
  );
}
