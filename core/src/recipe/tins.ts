import { tinLinings, tinMaterials, tinShapes, type Tin, type TinMaterial, type TinUse } from '../formula/types.js';

/**
 * A tin in words that read back exactly: its name, and behind it what was measured. "2 × Deep round [round, top 203 mm,
 * base 200 mm, deep 48 mm, dark metal, 232 g empty]".
 */
export function tinWords({ tin, count }: TinUse): string {
  const more = (name: string, v: number | undefined, unit = 'mm'): string[] =>
    v === undefined ? [] : [`${name} ${v} ${unit}`.trim()];
  const parts = [
    tin.shape,
    ...more('top', tin.topMm),
    ...more('wide', tin.top2Mm),
    ...more('base', tin.baseMm),
    ...more('base wide', tin.base2Mm),
    ...more('deep', tin.depthMm),
    ...more('tube', tin.tubeMm),
    ...(tin.cups === undefined ? [] : [`${tin.cups} cups`]),
    ...more('holds', tin.capacityMl, 'ml'),
    tin.material,
    ...(tin.lining && tin.lining !== 'none' ? [`${tin.lining} lined`] : []),
    ...(tin.tareG === undefined ? [] : [`${tin.tareG} g empty`]),
    `id ${tin.id}`,
  ];
  return `${count} × ${tin.name.replace(/[[\]]/g, '')} [${parts.join(', ')}]`;
}

/** Reads what `tinWords` writes; null for anything else. */
function readMeasured(line: string): TinUse | null {
  const m =
    /^(?:[^[\]]*?:\s*)??(\d+)\s*×\s*([^[\]]{0,120}?)\s*\[((?:round|square|rect|loaf|cup|tube|sheet|mound|slab)\s*,[^\]]*)\]/i.exec(
      line,
    );
  if (!m?.[3]) return null;
  const parts = m[3].split(',').map((p) => p.trim());
  const number = (name: string): number | undefined => {
    const found = parts.map((p) => new RegExp(`^${name} ([\\d.]+)`).exec(p)?.[1]).find((x) => x !== undefined);
    return found === undefined ? undefined : Number(found);
  };
  const shape = tinShapes.find((s) => s === parts[0]?.toLowerCase());
  const [topMm, depthMm] = [number('top'), number('deep')];
  if (!shape || !topMm || !depthMm) return null;
  const cups = /(\d+) cups/.exec(m[3])?.[1];
  const tare = /([\d.]+) g empty/.exec(m[3])?.[1];
  const lining = tinLinings.find((x) => x !== 'none' && parts.includes(`${x} lined`));
  const id = parts.map((p) => /^id (\S+)$/.exec(p)?.[1]).find((x) => x !== undefined);
  const name = (m[2] ?? '').trim();
  const some = <K extends keyof Tin>(key: K, v: number | undefined): Partial<Tin> =>
    v === undefined ? {} : { [key]: v };
  return {
    tin: {
      id: id ?? `${shape}-${Math.round(topMm)}`,
      name: name || shape,
      shape,
      topMm,
      ...some('top2Mm', number('wide')),
      ...some('baseMm', number('base')),
      ...some('base2Mm', number('base wide')),
      depthMm,
      ...some('tubeMm', number('tube')),
      ...some('cups', cups === undefined ? undefined : Number(cups)),
      ...some('capacityMl', number('holds')),
      ...some('tareG', tare === undefined ? undefined : Number(tare)),
      material: tinMaterials.find((x) => parts.includes(x)) ?? 'light metal',
      ...(lining && { lining }),
    },
    count: Number(m[1]),
  };
}

/** Dough that stands by itself: a shaped round, or pieces cut from a slab. */
function readFree(line: string): Tin | null {
  const mm = (n: string, unit: string): number =>
    Math.round(Number(n) * (/^in|"/i.test(unit) ? 25.4 : /^mm/i.test(unit) ? 1 : 10));
  const thick = /(\d+(?:\.\d+)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|")\s*(?:thick|high|deep)/i.exec(line);
  const cutter =
    /(\d+(?:\.\d+)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|")(?!\s*(?:thick|high|deep))[^.,;]{0,16}\b(?:cutter|rounds?\b(?! (?:tin|pan|cake)))/i.exec(
      line,
    );
  if (cutter?.[1] && cutter[2] && /\bcut|stamp/i.test(line)) {
    const topMm = mm(cutter[1], cutter[2]);
    const depthMm = thick?.[1] && thick[2] ? mm(thick[1], thick[2]) : 25;
    if (topMm > 20 && topMm < 200)
      return {
        id: `cut-${topMm}`,
        name: `${topMm / 10} cm cut rounds`,
        shape: 'slab',
        topMm,
        depthMm,
        cups: 8,
        material: 'none',
      };
  }
  const shaped =
    /\b(?:shape|form|pat|mould)\b[^.]*\b(?:round|ball|disc|circle|mound)\b(?![^.]{0,12}\b(?:tin|pan|dish)\b)/i.test(
      line,
    );
  const across = /(\d+(?:\.\d+)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|")(?!\s*(?:thick|high|deep|cutter))/i.exec(line);
  if (!shaped || !across?.[1] || !across[2]) return null;
  const topMm = mm(across[1], across[2]);
  if (topMm < 90 || topMm > 400) return null;
  return {
    id: `free-${topMm}`,
    name: `Free-form round, ${topMm / 10} cm`,
    shape: 'mound',
    topMm,
    depthMm: thick?.[1] && thick[2] ? mm(thick[1], thick[2]) : 45,
    material: 'none',
  };
}

const round1 = (x: number): number => Math.round(x);
const materialWords: readonly (readonly [RegExp, TinMaterial])[] = [
  [/\bglass\b/i, 'glass'],
  [/\bceramic|earthenware|stoneware/i, 'ceramic'],
  [/\bsilicone\b/i, 'silicone'],
  [/cast[- ]iron|skillet/i, 'cast iron'],
  [/\bdark\b.*\b(?:tin|pan|round|square|loaf)\b|,\s*dark\b/i, 'dark metal'],
  [/\bshiny\b/i, 'shiny metal'],
];
const countWords: Readonly<Record<string, number>> = {
  a: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  '2': 2,
  '3': 3,
  '4': 4,
  '1': 1,
};
const dims =
  /(\d+(?:\.\d+|½|\s1\/2)?)\s*(cm|mm|inch(?:es)?|in\b|"|”|″)?\s*(?:x|×|by)\s*(\d+(?:\.\d+|½|\s1\/2)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|"|”|″)?/i;
const single = /(\d+(?:\.\d+|½)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|"|”|″)/i;
const half = (s: string): number => (s.includes('½') || s.includes('1/2') ? parseInt(s, 10) + 0.5 : Number(s));

function scaleOf(unit: string | undefined, value: number): number {
  const u = (unit ?? '').toLowerCase();
  if (u === 'cm') return 10;
  if (u === 'mm') return 1;
  if (u !== '') return 25.4;
  return value <= 18 ? 25.4 : 10;
}

/** How many tins: the last count before the word for the tin that is no size of it. */
function countIn(line: string): number {
  const word = /\b(?:tins?|pans?|moulds?|dish|trays?|skillet|rounds?)\b/i.exec(line);
  const before = line.slice(0, word?.index ?? line.length);
  const found = [
    ...before.matchAll(
      /(?<![\d.x×-])\b(an?|one|two|three|four|[2-4](?!\s*(?:-?\s*(?:cm|mm|inch|in\b|lb|pound|hole|cup)|["”″x×\d/.°]|-)))\b/gi,
    ),
  ].at(-1);
  return countWords[(found?.[1] ?? 'a').toLowerCase().replace('an', 'a')] ?? 1;
}

/** A tin named in words: "a 9x5 inch loaf tin", "two 20 cm round tins", "a 12-hole muffin tray". */
export function readTin(line: string): TinUse | null {
  const exact = readMeasured(line);
  if (exact) return exact;
  const tinWord = /\b(?:tins?|pans?|moulds?|dish|tray|trays|skillet|sheet|rounds?|cases|cutter)\b/i;
  // "in a 23 × 13 cm loaf" names a tin without the word
  const sized = /\bin (?:an?|the|one|two|three|four|\d+)\b[^.]*\d\s*(?:cm|mm|inch|in\b|["”″])/i;
  if (!tinWord.test(line) && !sized.test(line)) return null;
  const material = materialWords.find(([re]) => re.test(line))?.[1] ?? 'light metal';
  const count = countIn(line);
  const muffin =
    /(\d+)[- ]?(?:hole|cup|well)?[- ](?:muffin|cupcake|bun)/i.exec(line) ??
    (/\bmuffin (?:tin|tray|pan|cases)|\bcupcake\b/i.test(line) ? ['', '12'] : null);
  if (muffin) {
    const cups = Number(muffin[1]);
    const mini = /\bmini\b/i.test(line);
    const jumbo = /\bjumbo\b/i.test(line);
    const [top, base, depth] = mini ? [45, 32, 23] : jumbo ? [89, 70, 48] : [70, 51, 36];
    return {
      tin: {
        id: `muffin-${cups}`,
        name: `${cups}-hole muffin tray`,
        shape: 'cup',
        topMm: top,
        baseMm: base,
        depthMm: depth,
        cups,
        material,
      },
      count: 1,
    };
  }
  const lb = /(\d)\s*-?\s*lb\b.*\bloaf/i.exec(line);
  if (lb) {
    const two = lb[1] === '2';
    return {
      tin: {
        id: `loaf-${lb[1]}lb`,
        name: `${lb[1]} lb loaf tin`,
        shape: 'loaf',
        topMm: two ? 222 : 165,
        top2Mm: two ? 120 : 95,
        depthMm: two ? 68 : 60,
        material,
      },
      count,
    };
  }
  const free = readFree(line);
  if (free) return { tin: free, count: 1 };
  const two = dims.exec(line);
  if (two?.[1] && two[3]) {
    const unit = two[4] ?? two[2];
    const a = half(two[1]) * scaleOf(unit, half(two[1]));
    const b = half(two[3]) * scaleOf(unit, half(two[1]));
    const long = round1(Math.max(a, b));
    const wide = round1(Math.min(a, b));
    // "two 8x4 pans": as long again as wide, and small, is a loaf tin whether it says so or not
    const slim = long >= 180 && long <= 300 && wide >= 90 && wide <= 140 && long / wide > 1.6;
    const loaf = /\bloaf|bread tin/i.test(line) || (slim && !/\b(?:dish|sheet|tray)\b/i.test(line));
    const square = long === wide;
    const shape: Tin['shape'] = loaf ? 'loaf' : square ? 'square' : 'rect';
    const depthMm = loaf ? Math.round(wide * 0.58) : 50;
    const name = `${Math.round(long / 10)} × ${Math.round(wide / 10)} cm ${loaf ? 'loaf' : square ? 'square' : 'sheet'}`;
    return {
      tin: {
        id: `${shape}-${long}-${wide}`,
        name,
        shape,
        topMm: loaf ? Math.round(long * 0.96) : long,
        top2Mm: loaf ? Math.round(wide * 0.94) : wide,
        depthMm,
        material,
      },
      count,
    };
  }
  const size = single.exec(line);
  if (size?.[1]) {
    const mm = round1(half(size[1]) * scaleOf(size[2], half(size[1])));
    const shape: Tin['shape'] = /\bsquare\b/i.test(line)
      ? 'square'
      : /\btube|bundt|ring\b/i.test(line)
        ? 'tube'
        : /\bloaf\b/i.test(line)
          ? 'loaf'
          : 'round';
    const name = `${Math.round(mm / 10)} cm ${shape}`;
    if (mm < 60) return null;
    return {
      tin: {
        id: `${shape}-${mm}`,
        name,
        shape,
        topMm: mm,
        depthMm: shape === 'tube' ? 90 : shape === 'loaf' ? 68 : 50,
        material,
      },
      count,
    };
  }
  if (/\bloaf (?:tin|pan)\b/i.test(line))
    return {
      tin: { id: 'loaf-900', name: '23 × 13 cm loaf', shape: 'loaf', topMm: 222, top2Mm: 120, depthMm: 68, material },
      count,
    };
  return null;
}
