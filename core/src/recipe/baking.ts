import type { BakeSetting, Tin, TinMaterial, TinUse } from '../formula/types.js';
import { toCelsius } from '../quantity/units.js';

/** Heat, time, tin and yield as found in a text, each with where. */
export interface Baking {
  readonly bake: BakeSetting | null;
  /** Set when the scale was not said, or what was said is far from any baking temperature. */
  readonly heatDoubt: {
    readonly said: string;
    readonly asC: number;
    readonly asF: number;
    readonly likely: 'C' | 'F';
  } | null;
  readonly tins: readonly TinUse[];
  readonly pieces: { readonly pieces: number; readonly name?: string } | null;
  readonly line: number;
}

const heat =
  /(?<![\d.])(\d{2,3})\s*(?:°|º|degrees?|deg\.?)?\s*(c|f|celsius|centigrade|fahrenheit)?(?![\w/])(?:\s*(fan|convection))?/gi;
const gas = /gas\s*(?:mark)?\s*(\d)/i;
const minutes = /(\d+)\s*(?:-|–|to|or)?\s*(\d+)?\s*(?:min\b|mins\b|minutes?\b)/i;
const hours =
  /(\d+(?:\.\d+)?|\d+\s*½|½)\s*(?:(?:-|–|to)\s*(\d+(?:\.\d+)?|\d+\s*½))?\s*(?:h\b|hrs?\b|hours?\b)(?:\s*(?:and\s*)?(\d+)\s*min)?/i;

const number = (s: string): number => (s.includes('½') ? Number(s.replace('½', '').trim() || 0) + 0.5 : Number(s));

function readHeat(line: string): { ovenC: number; doubt: Baking['heatDoubt'] } | null {
  const around = /\b(?:bake|baked|oven|preheat|heat)\b/i;
  if (!around.test(line)) {
    if (!/°|º|\bfan\b|\bgas mark\b/i.test(line)) return null;
  }
  const found = [...line.matchAll(heat)].filter((m) => {
    const rest = line.slice((m.index ?? 0) + m[0].length);
    return !/^\s*(?:-|–|to)?\s*\d*\s*(?:min|hour|hr|g\b|ml|cm|mm|inch|in\b|")/i.test(rest) && Number(m[1]) >= 90;
  });
  const scaled = found.find((m) => /^c/i.test(m[2] ?? '')) ?? found.find((m) => /^f/i.test(m[2] ?? ''));
  const any = scaled ?? found[0];
  if (!any) {
    const mark = gas.exec(line);
    return mark ? { ovenC: Math.round(121 + 14 * Number(mark[1])), doubt: null } : null;
  }
  const value = Number(any[1]);
  const said = any[2]?.[0]?.toUpperCase();
  const asC = value;
  const asF = Math.round(toCelsius(value));
  const scale = said === 'C' || said === 'F' ? said : value >= 275 ? 'F' : 'C';
  const ovenC = scale === 'F' ? asF : asC;
  const odd = (scale === 'C' && value > 260) || (scale === 'F' && value < 250);
  const unsaid = said === undefined && value > 230 && value < 300;
  return { ovenC, doubt: odd || unsaid ? { said: any[0].trim(), asC, asF, likely: value >= 250 ? 'F' : 'C' } : null };
}

function readMinutes(line: string): { early: number; late: number } | null {
  if (!/\b(?:bake|baked|oven|cook)\b/i.test(line)) return null;
  const rest = line.slice(Math.max(0, line.search(/\b(?:bake|baked|cook)\b/i)));
  const h = hours.exec(rest);
  if (h?.[1]) {
    const early = number(h[1]) * 60 + Number(h[3] ?? 0);
    return { early, late: h[2] ? number(h[2]) * 60 : early };
  }
  const m = minutes.exec(rest);
  if (!m?.[1]) return null;
  const early = Number(m[1]);
  return { early, late: Math.max(early, Number(m[2] ?? m[1])) };
}

const round1 = (x: number): number => Math.round(x);
const materialWords: readonly (readonly [RegExp, TinMaterial])[] = [
  [/\bglass\b|\bpyrex\b/i, 'glass'],
  [/\bceramic|earthenware|stoneware/i, 'ceramic'],
  [/\bsilicone\b/i, 'silicone'],
  [/cast[- ]iron|skillet/i, 'cast iron'],
  [/\bdark\b.*\b(?:tin|pan)\b/i, 'dark metal'],
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
const one = /(\d+(?:\.\d+|½)?)\s*-?\s*(cm|mm|inch(?:es)?|in\b|"|”|″)/i;
const half = (s: string): number => (s.includes('½') || s.includes('1/2') ? parseInt(s, 10) + 0.5 : Number(s));

function scaleOf(unit: string | undefined, value: number): number {
  const u = (unit ?? '').toLowerCase();
  if (u === 'cm') return 10;
  if (u === 'mm') return 1;
  if (u !== '') return 25.4;
  return value <= 18 ? 25.4 : 10;
}

/** A tin named in words: "a 9x5 inch loaf tin", "two 20 cm round tins", "a 12-hole muffin tray". */
export function readTin(line: string): TinUse | null {
  const tinWord = /\b(?:tins?|pans?|moulds?|dish|tray|trays|skillet|sheet|rounds?|cases)\b/i;
  // "in a 23 × 13 cm loaf" names a tin without the word
  const sized = /\bin (?:an?|the|one|two|three|four|\d+)\b[^.]*\d\s*(?:cm|mm|inch|in\b|["”″])/i;
  if (!tinWord.test(line) && !sized.test(line)) return null;
  const material = materialWords.find(([re]) => re.test(line))?.[1] ?? 'light metal';
  const said =
    /\b(a|one|two|three|four|[1-4])\s+(?:(?:greased|lined|round|square|deep|loose-bottomed|buttered|and|\d+\s*(?:lb|cm|inch|in|x|×|"|-)+)\W*)*/i.exec(
      line,
    );
  const count = countWords[(said?.[1] ?? 'a').toLowerCase()] ?? 1;
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
  const two = dims.exec(line);
  if (two?.[1] && two[3]) {
    const unit = two[4] ?? two[2];
    const a = half(two[1]) * scaleOf(unit, half(two[1]));
    const b = half(two[3]) * scaleOf(unit, half(two[1]));
    const long = round1(Math.max(a, b));
    const wide = round1(Math.min(a, b));
    const loaf = /\bloaf|bread tin/i.test(line);
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
  const single = one.exec(line);
  if (single?.[1]) {
    const mm = round1(half(single[1]) * scaleOf(single[2], half(single[1])));
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

function readYield(line: string): Baking['pieces'] {
  const m = /\b(?:makes|yields?|serves|yield:)\s*:?\s*(?:about\s*)?(\d{1,3})\s*([a-z]+)?/i.exec(line);
  return m?.[1] ? { pieces: Number(m[1]), ...(m[2] && { name: m[2].toLowerCase() }) } : null;
}

/** Gathers heat, time, tins and yield from all lines; the first clear mention of each counts. */
export function readBaking(lines: readonly string[]): Baking {
  let h: ReturnType<typeof readHeat> = null;
  let t: ReturnType<typeof readMinutes> = null;
  let tin: TinUse | null = null;
  let pieces: Baking['pieces'] = null;
  let at = 0;
  let fan = false;
  lines.forEach((line, i) => {
    const found = readHeat(line);
    if (found && !h) [h, at] = [found, i];
    if (
      found &&
      /\bfan\b|\bconvection\b/i.test(line) &&
      !/no fan|fan off|conventional|\(.*fan.*\)|fan oven \d|\/.*fan|fan \d/i.test(line)
    )
      fan = true;
    t ??= readMinutes(line);
    tin ??= readTin(line);
    pieces ??= readYield(line);
  });
  const heatFound = h as ReturnType<typeof readHeat>;
  const time = t as ReturnType<typeof readMinutes>;
  const tinFound = tin as TinUse | null;
  const bake: BakeSetting | null = heatFound ? { ovenC: heatFound.ovenC, fan, ...(time && { minutes: time }) } : null;
  return { bake, heatDoubt: heatFound?.doubt ?? null, tins: tinFound ? [tinFound] : [], pieces, line: at };
}
