import type { BakeSetting, BakeStage } from '../../formula/types.js';
import { spokenPattern } from '../../quantity/spoken.js';
import { toCelsius } from '../../quantity/units.js';
import type { Mark } from '../draft.js';
import { durationAt, durations, type Duration } from '../../text/durations.js';
import { barelyHeat, heatsIn, type Heat } from '../../text/heats.js';
import { sentencesIn } from '../../text/sentences.js';

/** A line of prose and where it stands in the text. */
export interface Prose {
  readonly text: string;
  readonly no: number;
  readonly at: number;
}

export interface HeatDoubt {
  readonly said: string;
  readonly asC: number;
  readonly asF: number;
  readonly likely: 'C' | 'F';
  readonly place: Spot;
}

interface Spot {
  readonly line: number;
  readonly from: number;
  readonly to: number;
}

/** A time of the bake that goes with a tin or size of its own: "35-40 for the tray, 30-35 for rounds". */
export interface Alternative {
  readonly minutes: { readonly early: number; readonly late: number };
  /** The words that say for what. */
  readonly words: string;
}

export interface HeatRead {
  readonly bake: BakeSetting | null;
  readonly doubt: HeatDoubt | null;
  readonly marks: readonly Mark[];
  readonly alternatives: readonly Alternative[];
  /** Minutes stated where no heat is; kept for whoever asks for the heat. */
  readonly minutes: { readonly early: number; readonly late: number } | null;
  /** Heat given by words only: "a moderate oven". */
  readonly byWords: { readonly said: string; readonly ovenC: number; readonly place: Spot } | null;
}

type Role = 'bake' | 'other' | 'look';
interface Hit {
  readonly role: Role;
  readonly from: number;
  readonly to: number;
}

const verbs: readonly (readonly [RegExp, Role])[] = [
  [
    /\b(?:re)?bak(?:e[ds]?|ing)(?![\s-]+(?:powder|soda|tins?|trays?|sheets?|dish|paper|parchment|pans?|beans|stone|blend|spread|apple|potato))\b|\bcook(?:ed|ing|s)?(?![\s-]+(?:apple|choc|oil|spray))\b|\b(?:in|into|to)\s+(?:the|a|an)\s+(?:\w+\s+){0,3}oven\b|\boven\s+(?:for|time)\b|\bback\s+in\b|\bgoes?\s+in\b|\broast\b|\bbacken\b|\bbake-off\b|\bcuire\b|\benfourner\b|\bhornear\b|\bcuocere\b|\binfornare\b/giu,
    'bake',
  ],
  [
    /\b(?:cool(?:ed|ing|s)?|rest(?:s|ed|ing)?(?!\s+of|\s+go)|stand(?:s|ing)?|stood|chill(?:ed|ing)?|refrigerat\w*|fridge|soak(?:s|ed|ing)?|steep(?:s|ed|ing)?|leave|left|lie|swell|plump|beat(?:en|ing|s)?|whisk(?:ed|ing|s)?|whip(?:ped|ping)?|cream(?:ed|ing)?(?=\s+(?:the|those|them|this|butter|together|it|until|for|well|very|\d|sugar|marg|fat|long|a\b|both|in\b|for\b))|knead(?:ed|ing)?|mix(?:ed|ing)?|blend(?:ed)?|blitz(?:ed)?|stir(?:red|ring)?|sift|simmer(?:ed|ing)?|boil(?:ed|ing)?|melt(?:ed)?|warm(?:ed)?(?=\s+(?:the|it|up|for|through|\d))|freez\w*|keeps?|kept|wait|set aside|keep aside|drain(?:ed)?|microwave|process|pulse|prov(?:e|ing)|proof|rise|marinate|steam|toast(?:ed)?|fry|saut[eé]|dissolve|preheat(?:ed|ing)?|pre-heat|prep(?:aration)?|total|ready in|active|broil|grill(?:ed)?|thaw|defrost|serve|store[ds]?|lasts?|eat|old|fluff|hang|cure|feed|squeeze|let|ruhen|quellen|abkühlen|auskühlen|reposer|reposar|riposare|whizz|bubble|reduce(?=\s+the\s+(?:juice|syrup))|heat(?=s?\s+(?:the\s+)?(?:oven|up|butter|milk)))\b/giu,
    'other',
  ],
  [
    /\b(?:check|look(?:ing)?|test(?:ing)?|turn(?:ed|ing)?(?=\s+(?:once|the\s+(?:tins?|trays?|pans?|sheets?|tin)|it\s+(?:round|around)|round|around|half|pan|tray|them|after|at\b))|rotat\w*|swap(?:ping)?|switch(?:ing)?|chang(?:e|ing)|don'?t open|do not open|swivel|peek|peep)\b/giu,
    'look',
  ],
];

const behindOther =
  /^\s*(?:,\s*)?(?:(?:or so|about)\s+)?(?:in(?:side)? (?:the|its|their) (?:tins?|pans?|form|mould)\b(?!\s+at)|on (?:a|the) (?:rack|wire)|to (?:cool|rest|stand|swell|soak|plump|set|firm|chill)|of (?:rest|cooling|beating|mixing)|in (?:the )?(?:fridge|freezer|refrigerator)|before|ahead|beforehand|in advance|later|old|apart|rest\b|resting|cooling|chill|ago|running|by hand|on (?:high|medium|low)|per side|prep|with (?:an?|the) (?:\w+ )?(?:mixer|beaters?|whisk|spoon|machine)|after (?:it|they) (?:come|came)|from the|earlier|of (?:work|your time)|drive)/i;
const behindBake =
  /^\s*(?:,\s*)?(?:or\s+)?(?:until|till|in (?:the|an?|your) (?:\w+\s+){0,2}oven|at\s+\d|@|altogether|in all|in total|bake|baking)/i;
const beforeLook =
  /\b(?:after|at the|every|within|first check(?: at)?|from|halfway|half-way|until|past|the first|at)\s+(?:about\s+|around\s+|the first\s+)?$/i;
const lastOf = /\b(?:last|final)\s+(?:about\s+)?$/i;
const more =
  /\b(?:more|further|another|again|longer|additional|remaining|then|reduce[ds]?|reducing|lower(?:ed|ing)?|turn(?:ed|ing)?\s+(?:(?:the|it|your)\s+)?(?:\w+\s+)?(?:down|up|to)|drop(?:ped|ping)?\s+(?:the|to|it)|increase|raise|uncover(?:ed)?|take\s+(?:\w+\s+){0,3}off|remove\s+(?:the\s+)?(?:foil|lid|cover|paper)|lid off|foil off|back (?:in|into)|return|continue|followed by|plus|next|extra)\b/i;
const onlyIf =
  /\b(?:if|when|unless|from frozen|frozen|for (?:the )?(?:big|large|small|mini|individual|smaller|larger|bigger|two|one)\b|in my old|if you)\b/i;
const whole = /\b(?:altogether|in all|in total|total|all told|all in all)\b/i;
const waiting =
  /^(?:cool|rest|stand|stood|chill|refrig|fridge|soak|steep|leave|left|lie|swell|plump|freez|keep|kept|wait|set aside|drain|prov|proof|rise|marin|thaw|defrost|let|hang|pre)/i;
const cooled = /\b(?:cool(?:ed)?|cold|next day|overnight|slice[ds]?)\b/i;
const lowering =
  /\b(?:then|reduce[ds]?|reducing|lower(?:ed|ing)?|turn(?:ed|ing)?|drop(?:ped|ping)?|increase|raise|bring|down to|up to|continue)\b/i;
const forVessel =
  /^\s*(?:minutes?\s+)?(?:\(|for|in|as|if\b[^.,;)]{0,16}\b(?:in|using|making))\s*(?:an?\s+|the\s+|one\s+|two\s+)?((?:[\p{L}\d"-]+\s+){0,3}?(?:muffins?|cup\s?cakes?|loa(?:f|ves)|rounds?|tray(?:bake)?s?|sheets?|squares?|tins?|pans?|layers?|cakes?|minis?|buns?|rings?|bundts?|slab|big one|small ones?|large ones?|ones?))\b/iu;
/** "Take the muffins out at 22", "the little ones come out after 18 minutes": a time of some of what is in the oven. */
const outFirst =
  /\b(?:take|lift|get|bring)\s+(?:out\s+)?(?:the|your)\s+(muffins?|cup ?cakes?|small(?:er)? ones?|little ones?|minis?|buns?)\s+(?:out\s+)?(?:at|after)\s+(?:about\s+)?(?=\d)|\b(muffins?|cup ?cakes?|small(?:er)? ones?|little ones?|minis?|buns?)\s+(?:will )?(?:come|are|be)\s+(?:out|done|ready)\s+(?:at|after|in)\s+(?:about\s+)?(?=\d)/gi;
/** One of several by its size: "the small ones take", "the large one", "the little cakes". */
const sizedLead =
  /\b(?:the|my|your)\s+((?:small|smaller|little|mini|large|larger|big|bigger|tiny)\s+(?:ones?|cakes?|tins?|loa(?:f|ves)|buns?|trays?|rounds?)|slab|tray(?:bake)?)\s*(?:take|takes|need|needs|want|wants|:|for|will take|will need|about|,)?\s*(?:about\s+|some\s+)?$/i;
const vesselLead =
  /((?:mini\s+|large\s+|small\s+)?(?:muffins?|cup\s?cakes?|loa(?:f|ves)|rounds?|tray(?:bake)?s?|sheets?|squares?|layers?|buns?))\s*(?:take|need|want|:|for|will take|about|,)?\s*(?:about\s+)?$/i;
const coverOn =
  /\b(?:cover(?:ed|ing)?|foil (?:over|on|tight)|under foil|with foil|tent(?:ed)?|lid on|with (?:the |a )?lid|under (?:the |a )?lid|paper over)\b/i;
const coverOff =
  /\b(?:uncover(?:ed)?|(?:remove|take|lift|pull)\w*\s+(?:(?:it|the|that|off)\s+)*(?:\w+\s+)?(?:off|foil|lid|cover|paper)|foil off|lid off|without (?:the )?(?:foil|lid))\b/i;
const lidWord = /\blid\b|\bcovered at\b/i;
const labelled = /^\s*(?:bak(?:e|ing)|cook(?:ing)?)(?:\s+time)?\s*:\s*(.*)$/i;
const labels =
  /\b(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|ready in|active|hands[- ]on|rest(?:ing)?)(?:\s+time)?\s*:?\s*\d/gi;

interface Reading {
  preheat: Heat | null;
  place: Spot;
  readonly parts: { heat: Heat | null; time: Duration | null; cover: BakeStage['cover'] | null }[];
  labelled: Duration | null;
  total: Duration | null;
  /** Covers that begin at a minute of the bake, or so many minutes before its end. */
  readonly covers: { cover: NonNullable<BakeStage['cover']>; atMin?: number; lastMin?: number }[];
  readonly marks: Mark[];
  readonly alternatives: Alternative[];
  ovenSeen: boolean;
  /** What was said since the last time of the bake. */
  since: string;
  /** What the last sentence of the line was about. */
  topic: Role | null;
}

const hitsIn = (text: string): Hit[] =>
  verbs
    .flatMap(([re, role]) => [...text.matchAll(re)].map((m) => ({ role, from: m.index, to: m.index + m[0].length })))
    .sort((a, b) => a.from - b.from || b.to - a.to);

/** Times of a sentence, with a bare range taken where it stands right behind a heat: "400 20-25". */
function timesOf(text: string, heats: readonly Heat[]): Duration[] {
  const sure = durations(text);
  const out = [...sure];
  for (const h of heats) {
    const gap =
      /^(?:[\s,;:–-]|for|about|around|approx\.?|~|abt\.?|,\s*then|another)*/i.exec(text.slice(h.to))?.[0] ?? '';
    const d = gap.length > 0 ? durationAt(text, h.to + gap.length) : null;
    const next = d ? text.slice(d.to) : '';
    const fits =
      d &&
      !d.unit &&
      d.late <= 240 &&
      (d.early !== d.late ? d.early >= 5 : d.early >= 8 && /for|then|,\s*$/i.test(gap) && d.early !== h.value);
    if (
      d &&
      fits &&
      !/^\s*-?\s*(?:°|[cf]\b|cm|mm|in\b|inch|["”]|g\b|ml|x|×|hole|cup|cases|muffin|holes?|squares|pieces|slices|people)/i.test(
        next,
      ) &&
      !sure.some((s) => s.from < d.to && d.from < s.to)
    )
      out.push(d);
  }
  // "bake 18-20"
  for (const m of text.matchAll(/\bbakes?\s+(?:them\s+|it\s+)?(?:for\s+)?(?:about\s+)?(?=\d)/gi)) {
    const d = durationAt(text, m.index + m[0].length);
    if (!d || d.unit || d.early < 5 || d.late > 120 || d.early >= d.late) continue;
    if (
      /^\s*(?:[.,;)&!]|$|and\b|until\b|till?\b)/i.test(text.slice(d.to)) &&
      !out.some((o) => o.from < d.to && d.from < o.to)
    )
      // prettier-ignore
      out.push(d);
  }
  // "15 to 18 more"
  const extra = /(?<![\d.,/])(\d{1,2})\s*(?:-|–|to)\s*(\d{1,2})\s+(?:more|longer|further|extra)\b/i.exec(text);
  if (extra && !out.some((d) => d.from < extra.index + extra[0].length && extra.index < d.to))
    out.push({
      early: Number(extra[1]),
      late: Number(extra[2]),
      unit: false,
      from: extra.index,
      to: extra.index + extra[0].search(/\s+(?:more|longer|further|extra)/i),
    });
  // "give it forty-five more"
  const longer = new RegExp(`(?<![\\d.,/\\p{L}])(\\d{1,2}|${spokenPattern})\\s+(?:more|longer)\\b`, 'iu').exec(text);
  const [d] = longer ? [durationAt(text, longer.index)] : [];
  if (d && !d.unit && d.early >= 5 && !out.some((o) => o.from < d.to && d.from < o.to)) out.push(d);
  // "then 160 for 25": the unit is left to the sense
  const bare = new RegExp(
    `\\b(?:for|another)\\s+(?:another\\s+|about\\s+|the (?:last|final)\\s+)?(?=(?:\\d{1,3}|${spokenPattern})(?![\\d\\p{L}]))`,
    'giu',
  );
  if (sure.length > 0 || heats.length > 0)
    for (const m of text.matchAll(bare)) {
      const from = m.index + m[0].length;
      const x = durationAt(text, from);
      if (!x || x.unit || x.early < 5 || !/^(?:\s+more)?\s*(?:[.,;)]|$)/i.test(text.slice(x.to))) continue;
      if (!out.some((o) => o.from < x.to && x.from < o.to) && !heats.some((h) => h.from < x.to && x.from < h.to))
        out.push(x);
    }
  // "35-40 minutes for the tray, 18 for muffins": the second without its unit
  if (sure.length > 0)
    for (const m of text.matchAll(/[,;]\s+(?:and\s+|or\s+)?(?=\d)/g)) {
      const x = durationAt(text, m.index + m[0].length);
      if (!x || x.unit || x.early < 5 || x.late > 180 || !/^\s+for\b/.test(text.slice(x.to))) continue;
      if (forVessel.test(text.slice(x.to)) && !out.some((o) => o.from < x.to && x.from < o.to)) out.push(x);
    }
  // "the small ones take 25 to 28 minutes, the large one 50 to 55"
  if (sure.length > 0)
    for (const m of text.matchAll(
      /(?<=\b(?:ones?|(?:cup)?cakes?|muffins?|buns?|rounds?|squares?|tins?|loa(?:f|ves)|slab|tray|takes?|needs?|for)\s+(?:about\s+)?)\d/gi,
    )) {
      const x = durationAt(text, m.index);
      if (!x || x.unit || x.early < 5 || x.late > 180 || !/^\s*(?:[.,;)]|$)/.test(text.slice(x.to))) continue;
      const lead = text.slice(0, m.index);
      if ((sizedLead.test(lead) || vesselLead.test(lead)) && !out.some((o) => o.from < x.to && x.from < o.to))
        out.push(x);
    }
  // "so forty-five all told"
  const told = /\b(?:all told|altogether|in all|in total)\b/i.exec(text);
  if (told) {
    for (const m of text.slice(0, told.index).matchAll(/[\p{L}\p{N}-]+/gu)) {
      const d = durationAt(text, m.index);
      if (
        d &&
        !d.unit &&
        d.early >= 10 &&
        /^\s*$/.test(text.slice(d.to, told.index)) &&
        !out.some((o) => o.from < d.to && d.from < o.to)
      ) {
        out.push(d);
        break;
      }
    }
  }
  // "for thirty, thirty more" says one time twice
  const sorted = out.sort((a, b) => a.from - b.from);
  return sorted.filter((d, i) => {
    const before = sorted[i - 1];
    return !(
      before &&
      before.early === d.early &&
      before.late === d.late &&
      /^[\s,]*$/.test(text.slice(before.to, d.from))
    );
  });
}

/** A clause that tells of what comes out of the freezer. */
const fromFrozen =
  /\b(?:from (?:the )?(?:frozen|freezer)|if (?:they are |it is )?frozen|(?:the |those )?frozen (?:ones|half|biscuits|scones))\b/i;

/** What a time in a sentence is the time of. */
function roleOf(text: string, t: Duration, hits: readonly Hit[], heats: readonly Heat[], r: Reading): Role {
  // what it takes from the freezer is not its time, unless nothing else is said
  const clause = `${text.slice(0, t.from).split(/[.;]/).at(-1) ?? ''}${text.slice(t.from).split(/[.;]/)[0] ?? ''}`;
  if (fromFrozen.test(clause) && (/\b(?:longer|more|extra)\b/i.test(clause) || r.parts.some((p) => p.time)))
    return 'other';
  const before = text.slice(Math.max(0, t.from - 160), t.from);
  const after = text.slice(t.to, t.to + 160);
  if (/^\s*later\b/i.test(after) && /\b(?:comes?|take\w*|lift\w*) (?:\w+ )?out\b/i.test(before)) return 'bake';
  if (behindOther.test(after)) return 'other';
  // "bake 50 minutes, then cover it for the last 20" goes on; "2 hours, with foil for the last one" does not
  if (lastOf.test(before)) return /\bthen\b[^.;]*$/i.test(before) && r.parts.some((p) => p.time) ? 'bake' : 'look';
  const lead = hits.filter((h) => h.to <= t.from).at(-1);
  const heat = heats.filter((h) => h.to <= t.from).at(-1);
  // straight behind a heat, or "45 minutes at 180"
  if (
    heat &&
    (!lead || lead.to <= heat.from || (lead.role === 'bake' && lead.to <= t.from)) &&
    !/;|[.]\s+(?=\p{Lu})/u.test(text.slice(heat.to, t.from))
  ) {
    // "230 for the first 15 minutes": the first part of the bake, not a time to look at it
    if (beforeLook.test(before) && !/\b(?:at|until|for (?:about )?the first)\s+(?:about\s+)?$/i.test(before))
      return 'look';
    return 'bake';
  }
  if (
    heats.some(
      (h) =>
        h.from >= t.to &&
        /^\s*\)?\s*(?:at|in an? oven at|in the oven at|on|@|,|with)?\s*$/i.test(text.slice(t.to, h.from)),
    )
  )
    return 'bake';
  if (beforeLook.test(before) && !(lead?.role === 'bake' && /\b(?:from|at)\s*$/i.test(before))) return 'look';
  // what is melted or stirred is done once the tin comes; what is left to stand in the tin is not
  const past =
    lead?.role === 'other' &&
    !waiting.test(text.slice(lead.from, lead.to)) &&
    /\b(?:tins?|trays?|oven|sheets?|moulds?|cases|pans?)\b/i.test(text.slice(lead.to, t.from));
  if (lead && !past) return lead.role;
  if (behindBake.test(after)) return 'bake';
  const next = hits.find((h) => h.from >= t.to);
  if (next && next.role === 'other' && !/[,;]|\band\b|\bthen\b/.test(text.slice(t.to, next.from))) return 'other';
  // a time of its own: the bake's, once the oven has been spoken of
  if (r.topic === 'other' && t.early === t.late && heats.length === 0) return 'other';
  return r.ovenSeen && t.early >= 4 ? 'bake' : 'other';
}

const vesselOf = (text: string, t: Duration): string | null =>
  forVessel.exec(text.slice(t.to, t.to + 120))?.[1] ??
  vesselLead.exec(text.slice(Math.max(0, t.from - 60), t.from))?.[1] ??
  sizedLead.exec(text.slice(Math.max(0, t.from - 60), t.from))?.[1] ??
  null;

function readSentence(text: string, line: Prose, at: number, r: Reading): void {
  const heats = heatsIn(text, (from, to) => barelyHeat(text, from, to));
  const times = timesOf(text, heats);
  const hits = hitsIn(text);
  const mark = (x: { readonly from: number; readonly to: number }, what: Mark['what']): void =>
    void r.marks.push({ line: line.no, from: line.at + at + x.from, to: line.at + at + x.to, what });
  const spot = (x: Heat): Spot => ({ line: line.no, from: line.at + at + x.from, to: line.at + at + x.to });
  if (heats.length > 0 || /\b(?:oven|bake[ds]?|(?:au|le|du) four|ofen|horno|forno)\b/i.test(text)) r.ovenSeen = true;
  const tokens = [
    ...heats.map((h) => ({ kind: 'heat' as const, ...h })),
    ...times.map((t) => ({ kind: 'time' as const, ...t })),
  ].sort((a, b) => a.from - b.from);
  for (const m of text.matchAll(outFirst)) {
    const d = durationAt(text, m.index + m[0].length);
    if (d && d.early >= 5 && d.late <= 180) r.alternatives.push({ minutes: { early: Math.round(d.early), late: Math.round(d.late) }, words: m[1] ?? m[2] ?? '' }); // prettier-ignore
  }
  let pending: Heat | null = null;
  let end = 0;
  let covered = 0;
  for (const [i, x] of tokens.entries()) {
    const between = text.slice(end, x.from);
    if (x.kind === 'heat') {
      const started = r.parts.some((p) => p.time);
      // the same heat for a fan, said in a sentence of its own
      const same =
        r.preheat &&
        x.fan &&
        !r.preheat.fan &&
        !started &&
        r.preheat.ovenC - x.ovenC >= 5 &&
        r.preheat.ovenC - x.ovenC <= 30;
      mark(x, 'heat');
      end = x.to;
      if (same) continue;
      if (!r.preheat || (r.preheat.scale === 'words' && x.scale !== 'words')) {
        r.preheat = x;
        r.place = spot(x);
      }
      const before = tokens[i - 1];
      const last = r.parts.at(-1);
      // "45 minutes at 180": the heat of the time before it
      if (
        before?.kind === 'time' &&
        last?.time === before &&
        !last.heat &&
        /^\s*(?:at|in an? oven at|in the oven at|on|@|,|with|in an?)?\s*$/i.test(between)
      ) {
        last.heat = x;
        continue;
      }
      pending = x;
      if (
        started &&
        lowering.test(text.slice(Math.max(0, x.from - 60), x.from)) &&
        !tokens.slice(i + 1).some((y) => y.kind === 'time')
      )
        r.parts.push({ heat: x, time: null, cover: null });
      continue;
    }
    const role = roleOf(text, x, hits, heats, r);
    const said = text.slice(Math.max(0, x.from - 60), x.from);
    if (role !== 'bake') {
      noteCover(text, x, r, role);
      if (role === 'look') mark(x, 'time');
      continue;
    }
    mark(x, 'time');
    const vessel = vesselOf(text, x);
    if (vessel) r.alternatives.push({ minutes: { early: x.early, late: x.late }, words: vessel });
    const first = !r.parts.some((p) => p.time);
    // "an hour or just over (60-65 minutes)" says it once more, and closer
    const before = r.parts.at(-1);
    if (
      !first &&
      before?.time &&
      /^[^.;]{0,24}\($/.test(between) &&
      x.late >= 0.7 * before.time.early &&
      x.early <= 1.4 * before.time.late
    ) {
      before.time = x;
      end = x.to;
      continue;
    }
    const told = text.slice(covered, x.from);
    covered = x.to;
    const cover = coverOff.test(told)
      ? ('none' as const)
      : coverOn.test(told) && !/\bif\b|\bwhen\b/i.test(told)
        ? lidWord.test(told)
          ? ('lid' as const)
          : ('tent' as const)
        : null;
    const since = `${r.since} ${between}`;
    r.since = '';
    end = x.to;
    if (whole.test(text.slice(x.to, x.to + 20)) || /\b(?:total|altogether)\b[^.]{0,16}$/i.test(between)) {
      r.total = x;
      if (!first) continue;
    }
    if (first) {
      r.parts.push({ heat: pending, time: x, cover });
      pending = null;
      continue;
    }
    const tail = text.slice(x.to, x.to + 40).split(/[.;]/)[0] ?? '';
    const lastly = /\b(?:last|final)\s+(?:about\s+)?$/i.test(between);
    const adds =
      (lastly ||
        more.test(between) ||
        more.test(said.slice(Math.max(0, said.lastIndexOf('.')))) ||
        /^\s*(?:more|longer|further|again|extra|uncovered)\b/i.test(tail) ||
        cover !== null ||
        (pending !== null && !cooled.test(since))) &&
      !onlyIf.test(`${between.slice(-50)} ${tail}`) &&
      !(vessel && !more.test(between));
    if (adds) r.parts.push({ heat: pending, time: x, cover });
    pending = null;
  }
  r.since += ` ${text.slice(end)}`;
  r.topic = hits.at(-1)?.role ?? (heats.length > 0 ? 'bake' : null);
}

/** "cover for the last 20 minutes", "foil over the top after an hour". */
function noteCover(text: string, t: Duration, r: Reading, role: Role): void {
  if (role !== 'look') return;
  const before = text.slice(Math.max(0, t.from - 60), t.from);
  const after = text.slice(t.to, t.to + 40);
  const said = `${before} ${after}`;
  if (!coverOn.test(said) || /\b(?:if|should|in case|when it)\b/i.test(said)) return;
  const cover = coverOff.test(said) ? 'none' : lidWord.test(said) ? 'lid' : 'tent';
  if (lastOf.test(text.slice(Math.max(0, t.from - 30), t.from))) r.covers.push({ cover, lastMin: t.late });
  else r.covers.push({ cover, atMin: Math.round((t.early + t.late) / 2) });
}

const fillers =
  /\b(?:um+|uh+|er+m?|ehm|ah+|hmm+|well|oh|like|you know|what)\b(?=[\s,.…])|(?<=[,\s])(?:good|nice|full)(?=\s+(?:hour|half|ten|three|five|quarter))/gi;
/** "thirty five, no, forty minutes": a number that is said anew. */
const takenBack = new RegExp(
  `(?<![\\p{L}\\d])(?:\\d+|${spokenPattern})(?:\\s*(?:minutes?|mins?))?[,\\s–-]+(?:no|no,? wait|wait,? no|sorry|make (?:that|it)|I mean|or rather)\\b[,\\s]+(?=(?:\\d+|${spokenPattern})(?:[\\s-]*(?:\\d+|${spokenPattern}))?\\s*(?:minutes?|mins?|hours?)\\b)`,
  'giu',
);
/** Without the words that fill a pause and what is taken back; places stay. */
const unfilled = (text: string): string =>
  text
    .replace(fillers, (m) => ' '.repeat(m.length))
    .replace(/\.{2,}|…/g, (m) => ','.padEnd(m.length))
    .replace(takenBack, (m) => ' '.repeat(m.length))
    .replace(/,(?:\s*,)+/g, (m) => ','.padEnd(m.length));

const starting = (): Reading => ({
  preheat: null,
  place: { line: 0, from: 0, to: 0 },
  parts: [],
  labelled: null,
  total: null,
  covers: [],
  marks: [],
  alternatives: [],
  ovenSeen: false,
  since: '',
  topic: null,
});

/**
 * Heat, time and stages of the bake as the lines of a recipe say them, in sentences or in terse endings. Each time is
 * given to the verb that governs it, so that cooling, soaking and beating are not baking; a time beside a heat is the
 * bake's without any verb.
 */
export function readHeat(lines: readonly Prose[]): HeatRead {
  const r = starting();
  for (const line of lines) {
    const label = labelled.exec(line.text);
    if (label?.[1] && !r.labelled) r.labelled = durations(label[1])[0] ?? null;
    // "Prep 10 min | Cook 55 min | Total 65 min" is a head of figures, not a sentence
    const heads = [...line.text.matchAll(labels)];
    if (new Set(heads.map((h) => h[0].slice(0, 3).toLowerCase())).size > 1) {
      const cook = heads.find((h) => /^(?:cook|bak)/i.test(h[0]));
      const d = cook ? durations(line.text.slice(cook.index + cook[0].length - 1))[0] : undefined;
      if (d) {
        r.labelled ??= d;
        const from = cook ? cook.index + cook[0].length - 1 + d.from : 0;
        r.marks.push({ line: line.no, from: line.at + from, to: line.at + from + d.to - d.from, what: 'time' });
      }
      continue;
    }
    r.topic = null;
    for (const s of sentencesIn(unfilled(line.text))) readSentence(s.text, line, s.at, r);
  }
  return settle(r);
}

function settle(r: Reading): HeatRead {
  const timed = r.parts.filter((p) => p.time);
  const first = timed[0]?.heat ?? r.preheat;
  const { marks, alternatives } = r;
  let early = 0;
  let late = 0;
  const stages: BakeStage[] = [];
  let now = first?.ovenC ?? 0;
  for (const p of r.parts) {
    const heat = p.heat && first && p.heat.ovenC !== now && early > 0 ? p.heat.ovenC : null;
    const cover = p.cover ?? null;
    if (first && (heat !== null || (cover !== null && (early > 0 || cover !== 'none')))) {
      now = heat ?? now;
      stages.push({ fromMin: Math.round((early + late) / 2), ovenC: now, ...(cover && { cover }) });
    }
    if (p.time) {
      early += p.time.early;
      late += p.time.late;
    }
  }
  if (timed.length === 0 && r.labelled) ({ early, late } = r.labelled);
  if (r.total && r.total.late > late) ({ early, late } = r.total);
  const minutes = late > 0 ? { early: Math.round(early), late: Math.round(late) } : null;
  if (!first) return { bake: null, doubt: null, marks, alternatives, minutes, byWords: null };
  for (const c of r.covers) {
    const fromMin = c.atMin ?? Math.max(0, Math.round((early + late) / 2) - (c.lastMin ?? 0));
    if (fromMin > 0 && fromMin < late)
      stages.push({ fromMin, ovenC: heatAtMin(stages, first.ovenC, fromMin), cover: c.cover });
  }
  stages.sort((a, b) => a.fromMin - b.fromMin);
  const all = stages.length > 0 && stages[0]?.fromMin !== 0 ? [{ fromMin: 0, ovenC: first.ovenC }, ...stages] : stages;
  const bake: BakeSetting = {
    ovenC: first.ovenC,
    fan: first.fan,
    ...(minutes && { minutes }),
    ...(all.length > 0 && { stages: all }),
  };
  const byWords = first.scale === 'words' ? { said: first.said, ovenC: first.ovenC, place: r.place } : null;
  return { bake, doubt: heatDoubt(first, r.place), marks, alternatives, minutes, byWords };
}

const heatAtMin = (stages: readonly BakeStage[], start: number, min: number): number =>
  stages.filter((s) => s.fromMin <= min).reduce((_, s) => s.ovenC, start);

function heatDoubt(h: Heat, place: Spot): HeatDoubt | null {
  if (h.scale === 'gas' || h.scale === 'words') return null;
  const asC = Math.round(h.value);
  const asF = Math.round(toCelsius(h.value));
  if (h.clashC !== null) return { said: h.said, asC: h.ovenC, asF: h.clashC, likely: 'C', place };
  const odd = (h.scale === 'C' && h.value > 260) || (h.scale === 'F' && h.value < 250);
  const unsaid = h.scale === null && !h.fan && h.value > 230 && h.value < 300;
  return odd || unsaid ? { said: h.said, asC, asF, likely: h.value >= 250 ? 'F' : 'C', place } : null;
}
