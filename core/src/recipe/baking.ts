import type { BakeSetting, TinUse } from '../formula/types.js';
import type { Mark } from './draft.js';
import { readHeat, type HeatDoubt, type Prose } from './bake/course.js';
import { readTin } from './tins.js';

/** Heat, time, tin and yield as found in a text, each with where. */
export interface Baking {
  readonly bake: BakeSetting | null;
  readonly heatDoubt: HeatDoubt | null;
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
  const marks: Mark[] = [...heat.marks];
  let tins: TinUse[] = [];
  let pieces: Baking['pieces'] = null;
  for (const line of lines) {
    if (tins.length === 0) {
      // a measured tin is one of several on its line, "and" between them
      const parts = line.text.includes('[') ? line.text.split(/(?<=\])\s*(?:and|,|\+)\s*/) : sentencesOf(line.text);
      const found = parts.flatMap((p) => readTin(p) ?? []);
      const mentioned = line.text.includes('[') ? found : found.slice(0, 1);
      if (mentioned.length > 0) {
        tins = mentioned;
        marks.push({ line: line.no, ...tinSpan(line), what: 'tin' });
      }
    }
    if (!pieces) {
      const y = readYield(line);
      if (y) {
        pieces = y.pieces;
        marks.push(y.mark);
      }
    }
  }
  return { bake: heat.bake, heatDoubt: heat.doubt, tins, pieces, marks };
}

const sentencesOf = (text: string): string[] => text.split(/(?<=[.;])\s+(?=[A-Z])/);

/** The stretch that names the tin: from its size to the word for it. */
function tinSpan(line: Prose): { readonly from: number; readonly to: number } {
  const word = /\b(?:tins?|pans?|moulds?|dish|trays?|skillet|sheet|cutter|cases)\b/i.exec(line.text);
  const size = [...line.text.slice(0, word?.index ?? line.text.length).matchAll(/\b(?:an?|one|two|three|four|\d+)\b/gi)]
    .filter((m) => /^[^.;,]{0,40}$/.test(line.text.slice(m.index, word?.index ?? line.text.length)))
    .find((m) => !/^\S+\s*(?:min|hour|°|more|[cf]\b)/i.test(line.text.slice(m.index)));
  const from = size?.index ?? word?.index ?? 0;
  return { from: line.at + from, to: line.at + (word ? word.index + word[0].length : line.text.length) };
}
