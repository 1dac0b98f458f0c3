import type { BakeSetting, TinShape, TinUse } from '../formula/types.js';
import type { Mark } from './draft.js';
import { readHeat, type HeatDoubt, type HeatRead, type Prose } from './bake/course.js';
import { sizesIn } from './bake/lengths.js';
import { readVessels } from './bake/vessels.js';
import { readMeasured } from './tins.js';

/** Heat, time, tin and yield as found in a text, each with where. */
export interface Baking {
  readonly bake: BakeSetting | null;
  readonly heatDoubt: HeatDoubt | null;
  /** Heat that the text gives in words only: "a moderate oven". */
  readonly byWords: HeatRead['byWords'];
  /** A time found without a heat, minutes. */
  readonly minutes: BakeSetting['minutes'] | null;
  /** The tin whose size the text leaves open, and where it is named. */
  readonly openTin: Mark | null;
  /** A size of a tin that no oven takes, where it stands, and the tins that it would be without its first figure. */
  readonly hugeTin: { readonly said: string; readonly mark: Mark; readonly instead: readonly TinUse[] } | null;
  readonly tins: readonly TinUse[];
  readonly pieces: { readonly pieces: number; readonly name?: string } | null;
  readonly marks: readonly Mark[];
}

const yieldWords =
  /\b(makes|yields?|serves|servings|yield|portions|gives|enough for|recipe makes)\s*:?\s*(?:about\s*|approx\.?\s*|around\s*)?(?:(an?|one|two)\b|(\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?)(?:\s+(?:large|small|medium|generous|big|thick|mini|standard|good-sized))*\s*([a-z]+)?/i;
const counts: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, two: 2 };

function readYield(line: Prose): { pieces: { pieces: number; name?: string }; mark: Mark } | null {
  const m =
    yieldWords.exec(line.text) ??
    /\b(?<n>\d{1,3})\s+(?<what>servings|slices|squares|portions|pieces)\b(?!\s+of\b)/i.exec(line.text);
  if (!m) return null;
  const n = m.groups?.['n'] ? Number(m.groups['n']) : m[3] ? Number(m[3]) : (counts[(m[2] ?? '').toLowerCase()] ?? 0);
  const name = (m.groups?.['what'] ?? m[4])?.toLowerCase();
  if (n <= 0 || /^(?:cm|inch|g|kg|ml|minutes?|hours?)$/.test(name ?? '')) return null;
  const mark: Mark = { line: line.no, from: line.at + m.index, to: line.at + m.index + m[0].length, what: 'yield' };
  return { pieces: { pieces: n, ...(name && !/^(?:in|and|or|from|of|to|with|for)$/.test(name) && { name }) }, mark };
}

/** Gathers heat, time, tins and yield from the lines that are not ingredients; the first clear mention of each counts. */
export function readBaking(lines: readonly Prose[]): Baking {
  const heat = readHeat(lines);
  const rest = { heatDoubt: heat.doubt, byWords: heat.byWords, minutes: heat.bake ? null : heat.minutes };
  const marks: Mark[] = [...heat.marks];
  let pieces: Baking['pieces'] = null;
  for (const line of lines) {
    const y: ReturnType<typeof readYield> = pieces ? null : readYield(line);
    if (y) {
      pieces = y.pieces;
      marks.push(y.mark);
    }
  }
  const card = lines.find((l) => l.text.includes('[') && readMeasured(l.text));
  if (card) {
    // a measured tin is one of several on its line, "and" between them
    const tins = card.text.split(/(?<=\])\s*(?:and|,|\+)\s*/).flatMap((p) => readMeasured(p) ?? []);
    marks.push({ line: card.no, from: card.at, to: card.at + card.text.length, what: 'tin' });
    return { ...rest, bake: heat.bake, tins, pieces, marks, openTin: null, hugeTin: null };
  }
  const vessels = readVessels(lines, pieces?.pieces ?? null);
  marks.push(...vessels.marks);
  const bake = ofTin(heat, vessels.tins);
  const hugeTin = hugeIn(lines);
  if (hugeTin) marks.push(hugeTin.mark);
  return { ...rest, bake, tins: vessels.tins, pieces, marks, openTin: vessels.guessed ? vessels.place : null, hugeTin };
}

/** Wider than this, mm, no tin goes into an oven of a kitchen, whose inside is 45 to 60 cm. */
const WIDEST = 700;
function hugeIn(lines: readonly Prose[]): Baking['hugeTin'] {
  for (const line of lines)
    for (const size of sizesIn(line.text)) {
      const behind = line.text.slice(size.to, size.to + 24);
      if (
        Math.max(...size.mm) <= WIDEST ||
        !size.unit ||
        !/^\W*(?:\w+\W+){0,2}(?:tins?|pans?|dish|tray)\b/i.test(behind)
      )
        continue;
      const said = line.text.slice(size.from, size.to).trim();
      // a figure too many, as when a word or a speck before it is taken for one
      const shorter =
        line.text.slice(0, size.from) + said.replace(/\d{3,}/g, (n) => n.slice(1)) + line.text.slice(size.to);
      const instead = readVessels([{ ...line, text: shorter }], null).tins;
      return { said, mark: { line: line.no, from: line.at + size.from, to: line.at + size.to, what: 'tin' }, instead };
    }
  return null;
}

/** Words for tins, and the shapes they mean. */
const shapes: readonly (readonly [RegExp, readonly TinShape[]])[] = [
  [/muffin|cup\s?cake|bun|mini/i, ['cup']],
  [/loaf|loaves/i, ['loaf']],
  [/round|layer|sandwich/i, ['round']],
  [/square/i, ['square']],
  [/tray|sheet|slab/i, ['rect', 'sheet', 'square']],
  [/ring|bundt/i, ['tube']],
];

/** Of times that go with tins of their own, that of the tin the recipe has: "35 for the tray, 18 for muffins". */
function ofTin(heat: HeatRead, tins: readonly TinUse[]): BakeSetting | null {
  const shape = tins[0]?.tin.shape;
  if (!heat.bake || heat.bake.stages || heat.alternatives.length < 2 || !shape) return heat.bake;
  const own = heat.alternatives.find((a) => shapes.some(([said, of]) => said.test(a.words) && of.includes(shape)));
  return own ? { ...heat.bake, minutes: own.minutes } : heat.bake;
}
