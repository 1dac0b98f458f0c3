import type { BakeSetting, TinUse } from '../formula/types.js';
import type { Mark } from './draft.js';
import { readHeat, type HeatDoubt, type HeatRead, type Prose } from './bake/course.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { capacityOf } from '../tin/geometry.js';
import { namesShape } from '../tin/spoken.js';
import { sizesIn } from '../text/lengths.js';
import type { OnTray } from './bake/shaped-tins.js';
import { readVessels, type ShapedHere } from './bake/vessels.js';
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
  /** What the first of the tins is for so much dough, ml, where the words do not count the pieces. */
  readonly counted: OnTray['counted'];
  /** Where those pieces are made. */
  readonly countedAt: Mark | null;
  readonly pieces: { readonly pieces: number; readonly name?: string } | null;
  readonly marks: readonly Mark[];
}

const yieldWords = new RegExp(
  String.raw`\b(makes|yields?|serves|servings|yield|portions|gives|enough for|recipe makes)\s*:?\s*(?:about\s*|approx\.?\s*|around\s*)?(?:(\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?|(${spokenPattern}|an?)(?![\p{L}]))(?:\s+(?:large|small|medium|generous|big|thick|mini|standard|good-sized))*\s*([a-z]+)?`,
  'iu',
);
/** "Rock buns (12)", "Scones for the fete (about 16)". */
const titled = /^[^\d]{3,50}\((?:about |makes |makes about )?(?<n>\d{1,2})(?: (?<what>\p{L}+))?\)$/iu;

function readYield(line: Prose): { pieces: { pieces: number; name?: string }; mark: Mark } | null {
  const m =
    yieldWords.exec(line.text) ??
    /\b(?<n>\d{1,3})\s+(?<what>servings|slices|squares|portions|pieces)\b(?!\s+of\b)/i.exec(line.text) ??
    titled.exec(line.text.trim());
  if (!m) return null;
  // "makes one 20 cm round" counts tins, not pieces
  if (/^\s*\d+(?:[.,]\d+)?\s*-?(?:cm|mm|in\b|inch|")/i.test(line.text.slice(m.index + m[0].length))) return null;
  const said = (m[3] ?? '').toLowerCase();
  const n = m.groups?.['n']
    ? Number(m.groups['n'])
    : m[2]
      ? Number(m[2])
      : /^an?$/.test(said)
        ? 1
        : (readSpoken(said) ?? 0);
  const name = (m.groups?.['what'] ?? m[4])?.toLowerCase();
  if (n < 1 || !Number.isInteger(n) || /^(?:cm|inch|g|kg|ml|minutes?|hours?)$/.test(name ?? '')) return null;
  const mark: Mark = { line: line.no, from: line.at + m.index, to: line.at + m.index + m[0].length, what: 'yield' };
  return { pieces: { pieces: n, ...(name && !/^(?:in|and|or|from|of|to|with|for)$/.test(name) && { name }) }, mark };
}

/**
 * Gathers heat, time, tins and yield from the lines that are not ingredients; the first clear mention of each counts.
 *
 * @param shaped the dough as the method shapes it, for what stands on a tray by itself
 */
export function readBaking(lines: readonly Prose[], shaped: ShapedHere | null): Baking {
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
    return {
      ...rest,
      bake: heat.bake,
      tins,
      pieces,
      marks,
      openTin: null,
      hugeTin: null,
      counted: null,
      countedAt: null,
    };
  }
  const vessels = readVessels(lines, pieces?.pieces ?? null, shaped);
  marks.push(...vessels.marks);
  const { bake, tins } = ofTins(heat, vessels.tins);
  const hugeTin = hugeIn(lines);
  if (hugeTin) marks.push(hugeTin.mark);
  const openTin = vessels.guessed ? vessels.place : null;
  const { counted } = vessels;
  return { ...rest, bake, tins, pieces, marks, openTin, hugeTin, counted, countedAt: counted ? vessels.place : null };
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

const little = /\b(?:small\w*|little|mini|tiny)\b/i;
const large = /\b(?:large\w*|big\w*|cake|main)\b/i;

/** Of times that go with tins of their own, those of each tin the recipe has: "35 for the tray, 18 for muffins". */
function ofTins(heat: HeatRead, tins: readonly TinUse[]): { bake: BakeSetting | null; tins: readonly TinUse[] } {
  const { alternatives, bake } = heat;
  if (!bake || bake.stages || alternatives.length === 0) return { bake, tins };
  const size = (t: TinUse): number => capacityOf(t.tin) / (t.tin.shape === 'cup' ? (t.tin.cups ?? 1) : 1);
  const bySize = [...tins].sort((a, b) => size(b) - size(a));
  const own = (t: TinUse): HeatRead['alternatives'][number] | undefined =>
    alternatives.find((a) => namesShape(a.words, t.tin.shape)) ??
    (tins.length < 2
      ? undefined
      : alternatives.find((a) => (t === bySize[0] ? large : t === bySize.at(-1) ? little : /$^/).test(a.words)));
  if (tins.length < 2) {
    const one = alternatives.length > 1 && tins[0] ? own(tins[0]) : undefined;
    return { bake: one ? { ...bake, minutes: one.minutes } : bake, tins };
  }
  const timed = tins.map((t) => ({ ...t, ...(own(t) && { minutes: own(t)?.minutes }) })) as TinUse[];
  // the one that takes longest is the bake; the others come out while it is in
  timed.sort((a, b) => (b.minutes?.late ?? 0) - (a.minutes?.late ?? 0));
  const longest = timed[0]?.minutes;
  return { bake: longest ? { ...bake, minutes: longest } : bake, tins: timed };
}
