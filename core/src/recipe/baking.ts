import { withWaysSaid } from './bake/ways-said.js';
import { lined } from './bake/lined.js';
import type { BakeSetting, TinUse } from '../formula/types.js';
import type { Mark } from './draft.js';
import { readHeat, type HeatDoubt, type HeatRead, type Prose } from './bake/course.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { capacityOf } from '../tin/geometry.js';
import { namesShape } from '../tin/spoken.js';
import { cookedIn, type Away } from '../text/cooked.js';
import { sizesIn } from '../text/lengths.js';
import type { OnTray } from './bake/shaped-tins.js';
import { cups, loafOfWeight } from './bake/tin-kinds.js';
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
  /** What it is cooked in where that is no oven, with the heat that was read, which is not one of an oven. */
  readonly away: { readonly cooking: Away; readonly bake: BakeSetting | null } | null;
}

const FUNCTION_WORD = /^(?:in|and|or|from|of|to|with|for|x)$/;
const yieldWords = new RegExp(
  String.raw`\b(makes|yields?|serves|servings|yield|portions|gives|enough for|recipe makes)\s*:?\s*(?:about\s*|abt\.?\s*|approx\.?\s*|around\s*)?(?:(\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?|(${spokenPattern}|an?)(?![\p{L}]))(?:\s+(?:large|small|medium|generous|big|thick|mini|standard|good-sized))*\s*([a-z]+)?`,
  'iu',
);
/** "Rock buns (12)", "Scones for the fete (about 16)". */
const titled =
  /^[^\d]{3,50}(?:\((?:about |makes |makes about )?(?<n>\d{1,2})(?: (?<what>\p{L}+))?\)$|(?<=(?:s|es)), (?:makes |about )?(?<bare>\d{1,2})$)/iu;
/** Pieces that are counted where heat and time are told: "400 F, 12 muffins, 18-20 minutes". */
const counted =
  /(?:^|[,;(]\s*)(?<n>\d{1,2})\s+(?:large |small |standard |mini )?(?<what>muffins|cup\s?cakes|scones|biscuits|buns|rolls|fairy cakes)(?=\s*(?:[,;.)]|$))/i;

/** A sentence of its own at the end, once a time is told: "18-20 minutes. About 20." */
const bareCount = /\bmin(?:ute)?s?\b[^.;]*[.;]\s+(?:about|approx\.?|around|roughly)\s+(?<n>\d{1,2})\s*[.!]?\s*$/i;

/** "Makes about 5 dozen", "yields 2 1/2 dozen small muffins", "gives a dozen". */
const dozens = new RegExp(
  String.raw`\b(?:makes|yields?|portions|gives|enough for|recipe makes)\s*:?\s*(?:about\s*|approx\.?\s*|around\s*)?(?:(\d{1,2})?\s*(½|1\/2|\.5)?|(half an?|${spokenPattern}|an?))(?:\s*(?:-|–|to)\s*\d{1,2})?\s*(?:doz\.|dozen\b)(?:\s+(?:large|small|medium|generous|big|thick|mini|standard|good-sized))*\s*([a-z]+)?`,
  'iu',
);
function dozensIn(m: RegExpExecArray): number {
  const said = (m[3] ?? '').toLowerCase();
  if (/^half/.test(said)) return 6;
  if (said !== '') return 12 * (/^an?$/.test(said) ? 1 : (readSpoken(said) ?? 0));
  return 12 * (Number(m[1] ?? 0) + (m[2] ? 0.5 : 0));
}

function readYield(line: Prose): { pieces: { pieces: number; name?: string }; mark: Mark } | null {
  const dozen = dozens.exec(line.text);
  if (dozen && dozensIn(dozen) >= 1) {
    const name = dozen[4]?.toLowerCase();
    const mark: Mark = { line: line.no, from: line.at + dozen.index, to: line.at + dozen.index + dozen[0].length, what: 'yield' }; // prettier-ignore
    return { pieces: { pieces: dozensIn(dozen), ...(name && !FUNCTION_WORD.test(name) && { name }) }, mark };
  }
  const m =
    yieldWords.exec(line.text) ??
    /\b(?<n>\d{1,3})\s+(?<what>servings|slices|squares|portions|pieces)\b(?!\s+of\b)/i.exec(line.text) ??
    titled.exec(line.text.trim()) ??
    counted.exec(line.text) ??
    bareCount.exec(line.text);
  if (!m) return null;
  // "makes one 20 cm round" counts tins, not pieces
  if (/^\s*\d+(?:[.,]\d+)?\s*-?(?:cm|mm|in\b|inch|")/i.test(line.text.slice(m.index + m[0].length))) return null;
  const said = (m[3] ?? '').toLowerCase();
  const figure = m.groups?.['n'] ?? m.groups?.['bare'];
  const n = figure ? Number(figure) : m[2] ? Number(m[2]) : /^an?$/.test(said) ? 1 : (readSpoken(said) ?? 0);
  const name = (m.groups?.['what'] ?? m[4])?.toLowerCase();
  if (n < 1 || !Number.isInteger(n) || /^(?:cm|inch|g|kg|ml|minutes?|hours?)$/.test(name ?? '')) return null;
  const mark: Mark = { line: line.no, from: line.at + m.index, to: line.at + m.index + m[0].length, what: 'yield' };
  return { pieces: { pieces: n, ...(name && !FUNCTION_WORD.test(name) && { name }) }, mark };
}

/**
 * Gathers heat, time, tins and yield from the lines that are not ingredients; the first clear mention of each counts.
 *
 * @param shaped the dough as the method shapes it, for what stands on a tray by itself
 * @param title tells what it is cooked in, and what stands in cups, where the lines do not; null where they are to be read as they stand
 */
export function readBaking(lines: readonly Prose[], shaped: ShapedHere | null, title: string | null = ''): Baking {
  if (title === null) return bakedIn(lines, shaped);
  const cooking = cookedIn(title, lines.map((l) => l.text).join('\n'));
  const read = bakedIn(lines, shaped);
  if (cooking === null || cooking === 'oven') return shaped ? read : inCups(read, title);
  // what a griddle or hot fat cooks stands in no tin and on no tray
  const tinned = cooking === 'steam' || cooking === 'microwave';
  const none = { bake: null, minutes: null, heatDoubt: null, byWords: null, counted: null, countedAt: null };
  const open = tinned ? {} : { tins: [], openTin: null, hugeTin: null };
  return { ...read, ...none, ...open, away: { cooking, bake: read.bake } };
}

const CUPPED = /\b(?:muffins|cup\s?cakes|fairy cakes)\b/i;
/** More loaves than this are no household's. */
const MOST_LOAVES = 8;
/** So many stand in one tray for the oven at most; more are several trays of twelve. */
const ONE_TRAY = 24;
/** What is called muffins and counted stands in cups, where the words name no more than a tray, or nothing. */
function inCups(read: Baking, title: string): Baking {
  const [use] = read.tins;
  const made = read.pieces?.pieces ?? 0;
  const open = read.tins.length === 0 || (read.tins.length === 1 && use?.tin.shape === 'mound' && use.count === 1);
  if (read.tins.length === 0 && made > 0 && made <= MOST_LOAVES && /^loa(?:f|ves)$/.test(read.pieces?.name ?? ''))
    return { ...read, openTin: null, tins: [{ tin: loafOfWeight(900, 'light metal'), count: made }] };
  if (!open || made < 4 || made > 120 || !CUPPED.test(`${title} ${read.pieces?.name ?? ''}`)) return read;
  const several = made > ONE_TRAY && made % 12 === 0;
  return {
    ...read,
    openTin: null,
    tins: [{ tin: cups(several ? 12 : made, 'usual', 'light metal'), count: several ? made / 12 : 1 }],
  };
}

function bakedIn(lines: readonly Prose[], shaped: ShapedHere | null): Baking {
  const heat = readHeat(lines);
  const minutes = heat.bake ? null : heat.minutes;
  const rest = { heatDoubt: heat.doubt, byWords: heat.byWords, minutes, away: null };
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
  const said = lines.map((l) => l.text);
  return {
    ...rest,
    bake: bake && withWaysSaid(bake, said),
    tins: lined(tins, said),
    pieces,
    marks,
    openTin,
    hugeTin,
    counted,
    countedAt: counted ? vessels.place : null,
  };
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
