import { band } from '../formula/bands.js';
import type { MethodStep } from '../formula/types.js';
import { durations } from '../text/durations.js';
import { clausesIn, type Clause } from './clauses.js';
import { senseOf, surfaceOf } from './lexicon.js';
import { clockOf, coverOf, onlyIfOf, untilOf, vesselOf, type Clock } from './clock.js';
import { heatsOf, onlyTime, withoutVerbs } from './pieces.js';
import type { LaidOver, Unworked } from './types.js';
import { verbs, type VerbId } from './verbs.js';

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
      !/^\s*-?\s*(?:cm|mm|in\b|inch|hole|["”]|g\b|ml|x\s*\d|×)/i.test(text.slice(behind + x.to)),
  );
  return d ? { ...clock, forMin: band(d.early, (d.early + d.late) / 2, d.late) } : clock;
}

/** "Do you knead it?", "How do you shape it?", "Then you roll it?": work that a question names and its answer only says more of. */
const asksOf =
  /\b(?:do|does|should|must|would|can) (?:you|one|we|they|I) (?:then |also |ever )?(\p{L}+)\b(.*)$|^\W*(?:(?:and|then|so)\W+)+(?:you|they) (\p{L}+) (?:it|them)\b(.*)$/iu;
/** What hands do and a question may name; "what do you bake it in" asks for the tin. */
const askable: ReadonlySet<VerbId> = new Set<VerbId>(['knead', 'shape', 'roll', 'chill', 'rest', 'sift', 'grease', 'cut', 'slice', 'glaze', 'brush', 'soak', 'toast', 'peel', 'score', 'prick']); // prettier-ignore
const denied = /^\W*(?:no|none|never|not|nothing|nor|don't|you don't|hardly)\b/i;

/** The verb that a question names; null for any other clause. */
function askedIn(c: Clause): VerbId | null {
  const m = /\?["'’)\s]*$/.test(c.text) ? asksOf.exec(c.text) : null;
  const surface = m ? surfaceOf(m[1] ?? m[3] ?? '') : null;
  const verb = surface && m ? senseOf(surface, m[2] ?? m[4] ?? '') : null;
  return verb && askable.has(verb) ? verb : null;
}

/** Clause by clause: an answer that has no verb of its own does what the question right before it named. */
function answering(): (c: Clause) => Clause {
  let asked: { readonly verb: VerbId; readonly entry: number; readonly sentence: number } | null = null;
  return (c) => {
    const question = asked;
    const named = askedIn(c);
    asked = named ? { verb: named, entry: c.entry, sentence: c.sentence } : null;
    if (!question || c.verb !== null || named || denied.test(c.text)) return c;
    const next = c.entry === question.entry ? c.sentence === question.sentence + 1 : c.entry === question.entry + 1 && c.sentence === 0; // prettier-ignore
    return next ? { ...c, verb: question.verb, verbFrom: 0, verbTo: 0, answers: true } : c;
  };
}

/** Minutes below which a time that stands alone is no bake. */
const A_BAKE = 8;
/** "30-35 min until golden.", with a heat said before the mixing and no time of the oven yet: that is how long it bakes. */
const bakesFor = (c: Clause, drafts: readonly Draft[]): boolean =>
  c.verb === null &&
  !c.negated &&
  onlyTime(c.text.replace(/,?\s*(?:or )?(?:until|till)\b.*$/i, '')) &&
  (durations(c.text)[0]?.early ?? 0) >= A_BAKE &&
  drafts.some((d) => (d.verb === 'bake' || d.verb === 'heat') && d.heatC !== null) &&
  drafts.some((d) => verbs[d.verb].at === 'mix') &&
  !drafts.some((d) => d.verb === 'bake' && d.clock.forMin !== null);

/** Reads the whole method: its clauses as operations, and what is none with the reason. */
export function readMethod(method: readonly MethodStep[], names: (text: string) => boolean): ReadMethod {
  const drafts: Draft[] = [];
  const unworked: Unworked[] = [];
  let before: VerbId | null = null;
  const answered = answering();
  /** What was asked goes with what answers it. */
  let asking = '';
  /** What is said before any work is said beside the first. */
  let opening = '';
  method.forEach((step, entry) => {
    const cut = clausesIn(step.text, entry).flatMap((c) => {
      const parts = withoutVerbs(c, before, names);
      before = parts.findLast((p) => p.verb !== null && !p.negated)?.verb ?? before;
      return parts;
    });
    cut.map(answered).forEach((said) => {
      const c = bakesFor(said, drafts) ? { ...said, verb: 'bake' as const, verbFrom: 0, verbTo: 0 } : said;
      const place = { entry, from: c.from, to: c.to };
      const none = c.verb === null || c.negated || whole.test(c.text);
      if (none) {
        unworked.push({ place, reason: c.negated ? 'not to be done' : 'remark' });
        const last = drafts.at(-1);
        if (/\?["'’)\s]*$/.test(c.text)) asking = `${asking} ${c.text}`.trim();
        else if (last) last.remark = `${last.remark} ${c.text}`.trim();
        else opening = `${opening} ${c.text}`.trim();
        return;
      }
      const sentence = cut
        .filter((x) => x.sentence === c.sentence)
        .map((x) => x.text)
        .join(' ');
      const heats = heatsOf(c.text);
      // a line that goes on where the one before it broke off: "bake in a loaf tin / at 180 °C for 50 minutes"
      const last = drafts.at(-1);
      const open = last?.verb === 'bake' && last.clock.forMin === null && last.heatC === null && c.entry === last.clause.entry + 1 && !/[.!?]\s*$/.test(method[last.clause.entry]?.text ?? '.'); // prettier-ignore
      if (last && open && c.verb === 'bake' && /^(?:at|for|until|in|on)\b/.test(c.text)) {
        const text = `${last.clause.text} ${c.text}`;
        unworked.push({ place, reason: 'what went before' });
        drafts[drafts.length - 1] = {
          ...last,
          clause: { ...last.clause, text },
          clock: bakeTime('bake', clockOf(text), text, heatsOf(text)[0]?.to ?? 0, last.clause.verbTo),
          heatC: heats[0]?.ovenC ?? null,
          until: untilOf(text.slice(last.clause.verbTo)),
        };
        return;
      }
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
        remark: `${drafts.length === 0 ? opening : ''} ${asking}`.trim(),
        sentence,
        joined: c.bare,
      });
      asking = '';
    });
  });
  const end = drafts.at(-1);
  if (end && asking !== '') end.remark = `${end.remark} ${asking}`.trim();
  return { drafts, unworked };
}
