import type { BakeSetting } from '../formula/types.js';
import { numberPattern, readNumber } from '../quantity/numbers.js';
import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { toCelsius } from '../quantity/units.js';
import type { Mark } from './draft.js';

/** A line of prose and where it stands in the text. */
export interface Prose {
  readonly text: string;
  readonly no: number;
  readonly at: number;
}

/** One statement of heat, with every way in which it was put: "180C/160C fan/gas 4". */
interface Heat {
  readonly kind: 'heat';
  readonly ovenC: number;
  readonly fan: boolean;
  readonly said: string;
  readonly value: number;
  /** The scale as written; null when the number stands alone. */
  readonly scale: 'C' | 'F' | 'gas' | null;
  /** The other scale's figure when both are given and disagree by more than rounding. */
  readonly clashC: number | null;
  readonly from: number;
  readonly to: number;
}

interface Time {
  readonly kind: 'time';
  readonly early: number;
  readonly late: number;
  readonly from: number;
  readonly to: number;
}

export interface HeatDoubt {
  readonly said: string;
  readonly asC: number;
  readonly asF: number;
  readonly likely: 'C' | 'F';
  readonly place: { readonly line: number; readonly from: number; readonly to: number };
}

export interface HeatRead {
  readonly bake: BakeSetting | null;
  readonly doubt: HeatDoubt | null;
  readonly marks: readonly Mark[];
}

/** °C of a still oven by gas mark; the usual British table, quarter and half marks included. */
const gasC: Readonly<Record<string, number>> = {
  '1/4': 110,
  '¼': 110,
  '1/2': 120,
  '½': 120,
  '1': 140,
  '2': 150,
  '3': 170,
  '4': 180,
  '5': 190,
  '6': 200,
  '7': 220,
  '8': 230,
  '9': 240,
};

const one =
  /(?:(fan|convection)\s*(?:oven)?\s*(?:at\s*)?)?(?<![\d.,/])(\d{2,3})\s*(?:[-–]\s*(\d{2,3})\s*)?(?:°|º|˚|degrees?|deg\.?)?\s*(c(?:elsius|entigrade)?|f(?:ahrenheit)?)?(?![\p{L}\d]|\.\d|\/\d{1,2}(?!\d))(?:\s*\(?\s*(fan|convection)\b)?|gas(?:\s*mark)?\s*(½|¼|1\/2|1\/4|\d)/giu;

function rawHeats(text: string): Heat[] {
  const out: Heat[] = [];
  for (const m of text.matchAll(one)) {
    const [said, before, low, high, unit, behind, gas] = m;
    const span = { from: m.index, to: m.index + said.length };
    if (gas !== undefined) {
      const c = gasC[gas];
      if (c !== undefined)
        out.push({ kind: 'heat', ovenC: c, fan: false, said, value: c, scale: 'gas', clashC: null, ...span });
      continue;
    }
    const value = high ? (Number(low) + Number(high)) / 2 : Number(low);
    const rest = text.slice(span.to);
    const marked = unit !== undefined || /[°º˚]|deg/i.test(said) || before !== undefined || behind !== undefined;
    if (value < 90 || value > 600) continue;
    if (!marked && /^\s*(?:-|–|to)?\s*\d*\s*(?:min|hour|hr|g\b|gr|ml|cm|mm|inch|in\b|"|x\b|×|%|kcal|cal)/i.test(rest))
      continue;
    // a bare number is heat only beside the oven, and not behind "step 2" or a year
    if (!marked && !/\b(?:oven|bake|preheat|heat|at|to|then|temperature)\b[^.]{0,24}$/i.test(text.slice(0, span.from)))
      continue;
    const scale = unit ? (/^c/i.test(unit) ? 'C' : 'F') : null;
    const asC = scale === 'F' || (scale === null && value >= 275) ? Math.round(toCelsius(value)) : value;
    out.push({
      kind: 'heat',
      ovenC: asC,
      fan: before !== undefined || behind !== undefined,
      said: said.trim().replace(/[\s(]+$/, ''),
      value,
      scale,
      clashC: null,
      ...span,
    });
  }
  return out;
}

/** Brings the ways of saying one heat together; the still oven's Celsius is the one that counts. */
function heats(text: string): Heat[] {
  const out: Heat[] = [];
  let group: Heat[] = [];
  const close = (): void => {
    const still = group.filter((h) => !h.fan);
    const best = still.find((h) => h.scale === 'C') ?? still.find((h) => h.scale === 'F') ?? still[0] ?? group[0];
    if (!best) return;
    const c = still.find((h) => h.scale === 'C');
    const f = still.find((h) => h.scale === 'F');
    const clash = c && f && Math.abs(c.ovenC - f.ovenC) > 9 ? f.ovenC : null;
    out.push({ ...best, clashC: clash, from: group[0]?.from ?? best.from, to: group.at(-1)?.to ?? best.to });
    group = [];
  };
  for (const h of rawHeats(text)) {
    const last = group.at(-1);
    if (
      last &&
      !/^[\s/(,;)]*(?:or|fan|for a fan oven|conventional|static|in a fan oven)?[\s/(,;:)]*$/i.test(
        text.slice(last.to, h.from),
      )
    )
      close();
    group.push(h);
  }
  close();
  return out;
}

const number = `(?:${numberPattern}|${spokenPattern}(?![\\p{L}])|an?(?=\\s+hour))`;
const times = new RegExp(
  `(?<![\\p{L}\\d.,/])(${number})\\s*(h(?:ou)?rs?\\b|h\\b|min(?:ute)?s?\\b)?(?:\\s*(?:-|–|—|to|or)\\s*(${number}))?\\s*(?:-\\s*)?(h(?:ou)?rs?\\b|h\\b|min(?:ute)?s?\\b)?(?:\\s*(?:and\\s+)?(a\\s+(?:half|quarter)|${numberPattern}\\s*min(?:ute)?s?\\b)(?:\\s*(?:-|–|to)\\s*(${numberPattern})\\s*min(?:ute)?s?\\b)?)?`,
  'giu',
);

const valueOf = (s: string | undefined): number | null =>
  s === undefined ? null : /^an?$/i.test(s.trim()) ? 1 : (readNumber(s) ?? readSpoken(s));
const isHour = (u: string | undefined): boolean => /^h/i.test(u ?? '');

function timesIn(text: string): Time[] {
  const out: Time[] = [];
  for (const m of text.matchAll(times)) {
    const [said, a, u1, b, u2, tail, tailTo] = m;
    const unit = u2 ?? u1;
    if (!unit) continue;
    const low = valueOf(a);
    if (low === null) continue;
    const high = valueOf(b);
    // "45 min to 1 hour" has two units, "1-1½ hours" one for both
    let early = low * (isHour(u1 ?? unit) ? 60 : 1);
    let late = high === null ? early : high * (isHour(unit) ? 60 : 1);
    if (tail && isHour(unit)) {
      const more = /half/i.test(tail) ? 30 : /quarter/i.test(tail) ? 15 : (valueOf(/[\d½¼¾./ ]+/.exec(tail)?.[0]) ?? 0);
      const end = tailTo ? (valueOf(tailTo) ?? more) : more;
      early += high === null ? more : 0;
      late += high === null ? end : more;
    }
    const to =
      m.index +
      (tail && !isHour(unit) ? said.length - said.slice(said.indexOf(unit) + unit.length).length : said.length);
    if (early > 0 && early < 24 * 60) out.push({ kind: 'time', early, late: Math.max(early, late), from: m.index, to });
  }
  // "then 160 for 25": the unit is left to the sense
  const bare = /\bfor\s+(?:another\s+)?(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?(?:\s+more)?\s*(?=[.,;]|$)/i.exec(text);
  const m = bare?.[1];
  if (bare && m && out.length > 0) {
    const from = bare.index + bare[0].indexOf(m);
    out.push({ kind: 'time', early: Number(m), late: Number(bare[2] ?? m), from, to: from + m.length });
  }
  return out;
}

const baking =
  /\b(?:bake[ds]?|baking|cook(?:ed|ing)?|return (?:it )?to the oven|in the oven|oven for|(?:hot|moderate|slow|cool|warm|medium) oven)\b/i;
const notBaking =
  /\b(?:cool|cooled|cooling|rest|resting|chill|stand|soak|leave|beat|whisk|cream|knead|mix|preheat|simmer|boil|freeze|keep|keeps|prep|total|preparation|check|turn the tin|steep)\b/i;
const lowering =
  /\b(?:then|reduce|lower|turn(?:ed|ing)?(?: the (?:oven|heat|temperature))?(?: it)? (?:down|up)|drop|turn|increase|raise|bring|down to|continue)\b/i;

interface Stage {
  heat: Heat | null;
  time: Time | null;
}

/** Cuts prose into sentences, places kept. */
function sentences(text: string): { readonly text: string; readonly at: number }[] {
  const out: { text: string; at: number }[] = [];
  const re = /[^.;!]+(?:\.(?=\d)[^.;!]+)*[.;!]?/g;
  for (const m of text.matchAll(re)) out.push({ text: m[0], at: m.index });
  return out;
}

/** Heat, time and stages of the bake, as the lines of a recipe say them; the first clear statement of each counts. */
export function readHeat(lines: readonly Prose[]): HeatRead {
  let preheat: Heat | null = null;
  let place = { line: 0, from: 0, to: 0 };
  const stages: Stage[] = [];
  const marks: Mark[] = [];
  let labelled: Time | null = null;
  for (const line of lines) {
    let started = stages.some((s) => s.time);
    for (const s of sentences(line.text)) {
      const hs = heats(s.text);
      const isBake =
        baking.test(s.text) &&
        !/\bbaking (?:powder|soda|tin|tray|sheet|dish|paper|parchment)\b(?![^]*\bbake\b)/i.test(s.text);
      const follows = started && lowering.test(s.text) && hs.length > 0;
      const oven =
        isBake ||
        follows ||
        /\boven\b|\bpreheat|\bheat\b|[°º˚]|\bgas mark|\bfan\b|\btemperature/i.test(s.text) ||
        lines.length === 1;
      if (!oven) continue;
      const mark = (x: Heat | Time, what: Mark['what']): void =>
        void marks.push({ line: line.no, from: line.at + s.at + x.from, to: line.at + s.at + x.to, what });
      const from = isBake ? Math.max(0, s.text.search(baking)) : 0;
      const ts = isBake || follows ? timesIn(s.text).filter((t) => !aside(s.text, t, from)) : [];
      for (const h of hs) {
        if (!preheat) {
          preheat = h;
          place = { line: line.no, from: line.at + s.at + h.from, to: line.at + s.at + h.to };
        }
        mark(h, 'heat');
      }
      for (const t of ts) mark(t, 'time');
      if (ts.length > 0) {
        if (started && !follows && !/\b(?:further|another|more|again|then|cover|continue|until)\b/i.test(s.text))
          continue;
        stages.push(...pair(s.text, hs, ts, stages.length > 0));
        started = true;
      } else if (follows && stages.length > 0 && hs[0]) stages.push({ heat: hs[0], time: null });
    }
    const label = /^\s*(?:bak(?:e|ing)|cook(?:ing)?)(?:\s+time)?\s*:\s*(.*)$/i.exec(line.text);
    if (label?.[1] && !labelled) labelled = timesIn(label[1])[0] ?? null;
  }
  return { ...settle(preheat, stages, labelled, place), marks };
}

/** Minutes that are not the bake's: cooling, turning half-way, resting. */
function aside(text: string, t: Time, bakeAt: number): boolean {
  const before = text.slice(Math.max(0, t.from - 34), t.from);
  const after = text.slice(t.to, t.to + 26);
  if (t.from < bakeAt && !/^\s*(?:at|in)\b/i.test(after)) return true;
  const clause = before.slice(Math.max(before.lastIndexOf(','), before.lastIndexOf(' and ')) + 1);
  return (
    notBaking.test(clause) ||
    /^\s*(?:before|into|in advance|of (?:cooling|resting)|in the tin\b(?! in))/i.test(after) ||
    /\bafter\s+(?:about\s+|the first\s+)?$/i.test(before) ||
    /\b(?:last|final|every)\s+$/i.test(before)
  );
}

/** Puts times to heats in one sentence: "20 min at 220, then 160 for 25"; "at 220 for 10 minutes, then lower to 180". */
function pair(text: string, hs: readonly Heat[], ts: readonly Time[], later: boolean): Stage[] {
  const tokens = [...hs, ...ts].sort((a, b) => a.from - b.from);
  const out: Stage[] = [];
  for (let i = 0; i < tokens.length; i++) {
    const x = tokens[i];
    const next = tokens[i + 1];
    if (!x) break;
    const between = next ? text.slice(x.to, next.from) : '';
    if (x.kind === 'time' && next?.kind === 'heat' && /^\s*(?:at|in an? oven at|in the oven at)\s*$/i.test(between)) {
      out.push({ heat: next, time: x });
      i++;
    } else if (x.kind === 'heat' && next?.kind === 'time' && !lowering.test(between)) {
      out.push({ heat: x, time: next });
      i++;
    } else if (x.kind === 'time') out.push({ heat: null, time: x });
    else if (out.length > 0 || later) out.push({ heat: x, time: null });
  }
  return out;
}

function settle(
  preheat: Heat | null,
  stages: readonly Stage[],
  labelled: Time | null,
  place: HeatDoubt['place'],
): { bake: BakeSetting | null; doubt: HeatDoubt | null } {
  const timed = stages.filter((s) => s.time);
  const first = timed[0]?.heat ?? preheat;
  if (!first) return { bake: null, doubt: null };
  const parts: { fromMin: number; ovenC: number }[] = [{ fromMin: 0, ovenC: first.ovenC }];
  let [early, late] = [0, 0];
  let now = first.ovenC;
  for (const s of stages) {
    if (s.heat && s.heat.ovenC !== now && early > 0) {
      parts.push({ fromMin: Math.round((early + late) / 2), ovenC: s.heat.ovenC });
      now = s.heat.ovenC;
    }
    if (s.time) {
      early += s.time.early;
      late += s.time.late;
    }
  }
  // several times at one heat are alternatives ("25 minutes for muffins, 45 for a loaf"), not stages
  if (parts.length === 1 && timed.length > 0 && timed[0]?.time) ({ early, late } = timed[0].time);
  if (timed.length === 0 && labelled) ({ early, late } = labelled);
  const bake: BakeSetting = {
    ovenC: first.ovenC,
    fan: first.fan,
    ...(late > 0 && { minutes: { early: Math.round(early), late: Math.round(late) } }),
    ...(parts.length > 1 && { stages: parts }),
  };
  return { bake, doubt: heatDoubt(first, place) };
}

function heatDoubt(h: Heat, place: HeatDoubt['place']): HeatDoubt | null {
  const asC = Math.round(h.value);
  const asF = Math.round(toCelsius(h.value));
  const odd = (h.scale === 'C' && h.value > 260) || (h.scale === 'F' && h.value < 250);
  const unsaid = h.scale === null && !h.fan && h.value > 230 && h.value < 300;
  if (h.clashC !== null) return { said: h.said, asC: h.ovenC, asF: h.clashC, likely: 'C', place };
  return odd || unsaid ? { said: h.said, asC, asF, likely: h.value >= 250 ? 'F' : 'C', place } : null;
}
