import { band } from '../formula/bands.js';
import type { MethodStep } from '../formula/types.js';
import { durations } from '../text/durations.js';
import { clausesIn, type Clause } from './clauses.js';
import { clockOf, coverOf, onlyIfOf, untilOf, vesselOf, type Clock } from './clock.js';
import { heatsOf, withoutVerbs } from './pieces.js';
import type { LaidOver, Unworked } from './types.js';
import type { VerbId } from './verbs.js';

/** An operation as it is read, before its place in the work and what goes in are known. */
export interface Draft {
  readonly clause: Clause;
  verb: VerbId;
  readonly clock: Clock;
  readonly until: string | null;
  readonly onlyIf: string | null;
  readonly heatC: number | null;
  readonly cover: LaidOver | null;
  readonly vessel: string | null;
  /** What is said beside it, behind it. */
  remark: string;
  /** The whole sentence, for words that hold for all of it. */
  readonly sentence: string;
  joined: boolean;
}

export interface ReadMethod {
  readonly drafts: Draft[];
  readonly unworked: Unworked[];
}

const whole = /^(?:or|else|otherwise)\b/i;

const asksHeat: ReadonlySet<VerbId> = new Set<VerbId>(['heat', 'bake', 'put in', 'lower', 'raise', 'toast', 'rest']);

/** "350 25-30", "bake 18-20", "one eighty, twenty to twenty-five": the time behind a heat without its unit. */
function bakeTime(verb: VerbId, clock: Clock, text: string, heat: number, behindVerb: number): Clock {
  if (verb !== 'bake' || clock.forMin !== null) return clock;
  // "bake 18-20", "then another eight": nothing but the figure behind it
  const alone = heat === 0 ? /^\D{0,3}(?=\d{1,3}\s*[-–])|^.*?\banother\s+/i.exec(text.slice(behindVerb)) : null;
  const behind = heat > 0 ? heat : alone ? behindVerb + alone[0].length : 0;
  if (behind === 0) return clock;
  const least = alone ? 5 : 8;
  const d = durations(text.slice(behind), true).find(
    (x) =>
      x.early >= least &&
      x.late <= 240 &&
      (alone === null || x.from === 0) &&
      !/^\s*(?:cm|in\b|["”]|g\b|ml)/i.test(text.slice(behind + x.to)),
  );
  return d ? { ...clock, forMin: band(d.early, (d.early + d.late) / 2, d.late) } : clock;
}

/** Reads the whole method: its clauses as operations, and what is none with the reason. */
export function readMethod(method: readonly MethodStep[], names: (text: string) => boolean): ReadMethod {
  const drafts: Draft[] = [];
  const unworked: Unworked[] = [];
  let before: VerbId | null = null;
  /** What is said before any work is said beside the first. */
  let opening = '';
  method.forEach((step, entry) => {
    const cut = clausesIn(step.text, entry).flatMap((c) => {
      const parts = withoutVerbs(c, before, names);
      before = parts.findLast((p) => p.verb !== null && !p.negated)?.verb ?? before;
      return parts;
    });
    cut.forEach((c) => {
      const place = { entry, from: c.from, to: c.to };
      const none = c.verb === null || c.negated || whole.test(c.text);
      if (none) {
        unworked.push({ place, reason: c.negated ? 'not to be done' : 'remark' });
        const last = drafts.at(-1);
        if (last) last.remark = `${last.remark} ${c.text}`.trim();
        else opening = `${opening} ${c.text}`.trim();
        return;
      }
      const sentence = cut
        .filter((x) => x.sentence === c.sentence)
        .map((x) => x.text)
        .join(' ');
      const heats = heatsOf(c.text);
      drafts.push({
        clause: c,
        verb: c.verb as VerbId,
        clock: bakeTime(c.verb as VerbId, clockOf(c.text), c.text, heats[0]?.to ?? 0, c.verbTo),
        until: untilOf(c.text.slice(c.verbTo)),
        onlyIf: onlyIfOf(c.text),
        // "two hundred grams" is no heat, but beside the oven's own verbs
        heatC: (heats.find((h) => h.marked) ?? (asksHeat.has(c.verb as VerbId) ? heats[0] : undefined))?.ovenC ?? null,
        cover: c.verb === 'cover' || /\bcovered|\blid on\b/i.test(c.text) ? coverOf(c.text) : null,
        vessel: vesselOf(c.text),
        remark: drafts.length === 0 ? opening : '',
        sentence,
        joined: c.bare,
      });
    });
  });
  return { drafts, unworked };
}
