import { durationAt, durations } from '../text/durations.js';
import { barelyHeat, heatsIn } from '../text/heats.js';
import { leads, type Clause } from './clauses.js';
import { tinWords } from './lexicon.js';
import { verbs, type VerbId } from './verbs.js';

/** Words that fill a pause or join, and say nothing of the work. */
const opening =
  /^(?:[\s,;:.–—-]|\b(?:and|then|so|now|um+|uh+|erm?|oh|okay|ok|right|well|next|finally|lastly|but|plus|also|meanwhile|after that|&)\b)+/i;

interface Pattern {
  readonly verb: VerbId;
  readonly says: RegExp;
  /** Also behind a verb, as a piece of its own between commas; or only ahead of the clause's verb. */
  readonly strong?: true | 'ahead';
}
const r = (source: string): RegExp => new RegExp(source, 'iu');
const some = String.raw`(?:[\p{L}\d½¼¾'’.&+/-]+\s+){0,7}?`;

/** Work that is said without a verb. The first that fits is meant. */
const patterns: readonly Pattern[] = [
  { verb: 'take out', says: r(String.raw`^out$`), strong: true },
  {
    verb: 'drop',
    says: r(
      String.raw`^(?:(?:in )?(?:rough|small|large|rocky|heaped|little)\s+)*(?:heaps?|mounds?|spoonfuls?|dollops?)\b.*\b(?:tray|trays|sheet|sheets)\b`,
    ),
    strong: true,
  },
  {
    verb: 'fill',
    says: r(String.raw`^(?:the )?(?:rest of|remaining|other half of) (?:the )?(?:batter|mixture|dough)\b`),
    strong: true,
  },
  {
    verb: 'fill',
    says: r(
      String.raw`^(?:the )?(?:whole lot|lot|rest|mixture|batter|dough|it all|all of it|everything)(?: goes)?(?: back| straight)? (?:in|into|in to) (?:the |a |an |your )?(?:[\p{L}-]+ ){0,3}?${tinWords}\b`,
    ),
    strong: true,
  },
  {
    verb: 'mix',
    says: r(String.raw`^(?:the )?(?:wet|dry)(?: \w+)? (?:in|into|to|onto) (?:the )?(?:dry|wet)\b`),
    strong: true,
  },
  {
    verb: 'mix',
    says: r(String.raw`^in (?:another|a (?:second|separate|big|large|small|different)|the other) (?:bowl|jug|basin)\b`),
  },
  { verb: 'heat', says: r(String.raw`^(?:the |your )?oven(?:'s|’s| is| has)?\b(?! door)[^,;]*`) },
  { verb: 'heat', says: r(String.raw`^(?:set|pre-?heated|moderate|slow|hot|very hot|mod\.?|cool) oven\b`) },
  {
    verb: 'uncover',
    says: r(String.raw`^(?:the |its )?(?:foil|lid|cover)\s+(?:comes? )?off\b|^uncovered\b`),
    strong: true,
  },
  {
    verb: 'cover',
    says: r(
      String.raw`^(?:(?:a |the )?(?:bit|sheet|piece) of |loose |the |a |some )?(?:foil|lid|paper)\s+(?:over|on|goes on)\b|^with (?:a |the )?(?:lid|foil) on\b|^(?:${some})so (?:foil|lid|paper) (?:over|on)\b|^(?:a |the )?(?:tea )?(?:towel|cloth) over\b`,
    ),
    strong: true,
  },
  {
    verb: 'unmould',
    says: r(
      String.raw`^(?:the )?(?:ring|sides?|paper)\s+off\b|^out with (?:it|them)\b|^out (?:of (?:the|its|their) (?:tins?|pans?)|on(?:to)? (?:a |the )?(?:\w+ )?(?:rack|wire|plate))`,
    ),
    strong: true,
  },
  { verb: 'take out', says: r(String.raw`^out of the oven\b`), strong: true },
  {
    verb: 'put in',
    says: r(
      String.raw`^(?:straight |back |and )?(?:in|into|in to) (?:with it|it goes|(?:a |the |an )?${some}oven)\b|^in (?:they|it) goe?s?\b`,
    ),
    strong: true,
  },
  { verb: 'freeze', says: r(String.raw`^(?:${some})(?:in|into) (?:the )?freezer\b`), strong: true },
  {
    verb: 'chill',
    says: r(String.raw`^(?:${some})(?:in|into) (?:the )?(?:fridge|refrigerator)\b|^fridge\b`),
    strong: true,
  },
  {
    verb: 'sandwich',
    says: r(
      String.raw`^(?:${some})(?:(?:in )?between|in the middle)\b(?: (?:the )?(?:layers|them|halves))?(?:\s*(?:&|\band\b).*)?\s*$`,
    ),
  },
  {
    verb: 'score',
    says: r(
      String.raw`^(?:a |one |two |three |four )?(?:deep |good |big )?(?:cross|slash(?:es)?|slits?|cuts)\b(?! (?:the|it|each))`,
    ),
    strong: true,
  },
  {
    verb: 'cool',
    says: r(String.raw`^(?:then )?(?:on|onto) (?:a |the )?(?:\w+ )?(?:rack|wire)\b|^(?:(?:wire|cooling) )?rack\b`),
    strong: true,
  },
  {
    verb: 'wrap',
    says: r(String.raw`^(?:${some})?(?:in|into) (?:a |the )?(?:clean )?(?:tea )?(?:towel|cloth)\b`),
    strong: true,
  },
  {
    verb: 'grease',
    says: r(String.raw`^(?:\w+ )?(?:greased|buttered|oiled)\b(?! (?:and )?\w* ?(?:tin|pan|tray|tube|dish))`),
  },
  {
    verb: 'fill',
    says: r(
      String.raw`^(?:${some})(?:straight )?(?:in|into|in to|between)\s+(?:the |a |an |your |one |two |three |its |\d+ )?(?:[\p{L}\d"”'’.×x-]+\s+){0,5}?${tinWords}\b(?! of\b)`,
    ),
    strong: 'ahead',
  },
  {
    verb: 'fill',
    says: r(
      String.raw`^(?:the |a |an |your |one |two |three |\d+ )?(?:(?:well |un)?(?:greased|buttered|lined|floured|oiled)[\p{L} &,-]*|[\p{L}\d"”'’.½¼×x-]+\s+){0,6}?${tinWords}\b(?! of\b)`,
    ),
  },
  {
    verb: 'place',
    says: r(
      String.raw`^(?:${some})(?:on|onto|on to)\s+(?:the |a |an |your )?(?:[\p{L}-]+\s+){0,3}?(?:trays?|sheets?|board|table|counter|worktop|surface)\b`,
    ),
    strong: true,
  },
  {
    verb: 'add',
    says: r(
      String.raw`^(?:${some})(?:in|into|in to) (?:the |a |your )?(?:(?:big|large|dry|mixing|other) )?(?:bowl|basin|jug|mixer)\b`,
    ),
    strong: 'ahead',
  },
  { verb: 'add', says: r(String.raw`^(?:all )?(?:the )?(?:dry|flour)\b.{0,30}?\b(?:on top|over)\s*$`), strong: true },
  {
    verb: 'top',
    says: r(
      String.raw`^(?!(?:brown|golden|dark|risen)\b)${some}(?:on (?:the )?tops?|over the top|on them)(?: only| like .*| in rows.*)?\s*$`,
    ),
    strong: true,
  },
  {
    verb: 'add',
    says: r(
      String.raw`^(?!(?:while|whilst|when|once|if|as|until|till)\b)(?!(?:one|half)\b)(?!(?:${some})?(?:minutes?|mins?|hours?|risen)\b)${some}(?:goe?s? )?in(?: (?:last|next|too|then|now|after|with .{2,40}|all at once|(?:one|1|two|2) at a time|one by one|1 by 1|one after (?:the other|another)|bit by bit))?\s*[.!]?$`,
    ),
    strong: true,
  },
  { verb: 'add', says: r(String.raw`^(?:the )?[\p{L} +&]{3,40} last\s*$`), strong: true },
  { verb: 'rest', says: r(String.raw`^(?:${some})(?:minutes?|mins?)[’']? rest\b`), strong: true },
  {
    verb: 'cream',
    says: r(
      String.raw`^(?:the )?(?:soft )?butter\b.{0,30}?\b(?:till?|until) (?:\w+ (?:and|&) )?(?:fluffy|pale|light|creamy|white)\b`,
    ),
  },
  {
    verb: 'cut',
    says: r(String.raw`^(?:\(.*\) )?(?:with )?(?:a |the )?[\d½¼¾.,]+\s*-?(?:cm|inch|in) cutter\b`),
    strong: true,
  },
  {
    verb: 'rub in',
    says: r(String.raw`^(?:the )?(?:cold )?(?:butter|fat|lard|marg\w*) (?:in|into)(?: the)? (?:flour|dry)\b`),
  },
  { verb: 'mix', says: r(String.raw`^${some}to (?:loosen|slacken|bind)\s*$`), strong: true },
  {
    verb: 'sprinkle',
    says: r(String.raw`^${some}(?:sugar|cinnamon|nuts|seeds|oats|cheese|almonds|crumbs|crumble|streusel) over\s*$`),
    strong: true,
  },
  {
    verb: 'add',
    says: r(String.raw`^(?!(?:and|or)\b)${some}(?:one after (?:the other|another)|one (?:by one|at a time))\s*$`),
    strong: true,
  },
];

/** A verb on its own behind a comma that only goes on: "then the flour", "followed by the carrots". */
const goesOn = /^(?:[\s,;]*(?:and\s+)?(?:then|followed by|finally|next|lastly|after that|last of all)\b)/i;

/** After these a time of its own is the oven's. */
const towardsOven: ReadonlySet<VerbId> = new Set<VerbId>([
  'heat',
  'put in',
  'bake',
  'cover',
  'uncover',
  'lower',
  'raise',
  'turn',
  'swap',
]);
const inTheTin: ReadonlySet<VerbId> = new Set<VerbId>([
  'fill',
  'level',
  'divide',
  'drop',
  'place',
  'sprinkle',
  'glaze',
  'spread',
  'top',
  'brush',
  'press',
  'swirl',
  'hollow',
  'score',
  'layer',
]);
/** Done in a moment, and the last thing before the oven: "brush with milk, 14 to 17 minutes". */
const dressed: ReadonlySet<VerbId> = new Set<VerbId>(['brush', 'glaze', 'sprinkle', 'dust', 'prick', 'score', 'top']);
/** "thirty-five minutes like that", "then another fifteen to twenty": a time and nothing else. */
export function onlyTime(text: string): boolean {
  const body = text.replace(opening, '').replace(/^(?:(?:another|a further|about|around|for|give it)\s+)+/i, '');
  const d = durationAt(body, 0);
  return (
    d !== null &&
    (d.unit || /another|further/i.test(text)) &&
    d.late >= 4 &&
    /^(?:\s+(?:like that|more|longer|or so|ish|(?:on )?(?:one|each|the (?:first|other|second)) side|at that.*|covered|uncovered|in all))?[\s.!]*$/i.test(
      body.slice(d.to),
    )
  );
}

const lists: ReadonlySet<VerbId> = new Set<VerbId>([
  'add',
  'beat',
  'mix',
  'fold',
  'whisk',
  'cream',
  'pour',
  'spread',
  'sift',
  'mash',
  'melt',
  'rub in',
]);
/** A few words that name something, and no sentence of their own. */
function listed(text: string): boolean {
  const body = text.replace(opening, '');
  return body.split(/\s+/).length <= 16 && /\p{L}{3}/u.test(body) && !/\b(?:is|are|it's|you|will)\b/i.test(body);
}

/** Nothing but a few things by their names, behind "then" or as a sentence of its own. */
function onlyNamed(text: string, names: (text: string) => boolean): boolean {
  const body = text.replace(opening, '').replace(/[.!\s]+$/, '');
  const words = body.split(/\s+/).filter((w) => !/^(?:the|and|&|n|a|an|some|your|then|rest|of)$/i.test(w));
  return words.length > 0 && words.length <= 4 && /^[\p{L}\s&'’-]+$/u.test(body) && words.every((w, i) => names(w) || names(words.slice(i, i + 2).join(' ')) || (i > 0 && names(words.slice(i - 1, i + 1).join(' ')))); // prettier-ignore
}

interface Piece {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** A clause's stretches between commas and "then". */
function piecesOf(text: string): Piece[] {
  const out: Piece[] = [];
  let from = 0;
  for (const m of [
    ...text.matchAll(
      /(?:[,;:(](?!\d)|\bthen\b|[–—]|\s-\s|(?<=\boven\b[^,;]{0,24}\d)\s+(?:and|&)\s|\s+and\s+(?=(?:straight )?into the oven\b))/gi,
    ),
  ]) {
    if (text.slice(from, m.index).trim() !== '') out.push({ from, to: m.index, text: text.slice(from, m.index) });
    from = m.index;
  }
  if (text.slice(from).trim() !== '') out.push({ from, to: text.length, text: text.slice(from) });
  return out;
}

export const heatsOf = (text: string): ReturnType<typeof heatsIn> =>
  heatsIn(text, (from, to) => barelyHeat(text, from, to));

/** "then 180 for another 20": a time without its unit. */
const furtherOn = /\b(?:for|another)\s+(?:another\s+|a further\s+)?\d{1,3}(?!\s*(?:g\b|ml\b|\d|°))/i;

/** What a piece says without a verb; null when nothing. */
function verblessIn(text: string, behindVerb: boolean, rest: string, ahead: boolean, inOven: boolean): VerbId | null {
  if (/\?\s*$/.test(text)) return null;
  const body = text.replace(opening, '').replace(/[.!?\s]+$/, '');
  if (body === '') return null;
  const heats = heatsOf(body);
  const times = durations(body);
  const oven = /\boven\b/i.test(body);
  if (
    heats.length > 0 &&
    (times.length > 0 || furtherOn.test(body) || /\b\d{2}\s?[-–]\s?\d{2}\b/.test(body.slice(heats[0]?.to ?? 0)))
  )
    return 'bake';
  if (
    times.length > 0 &&
    /^(?:on )?(?:the )?(?:top|middle|centre|center|bottom|lower|upper) (?:shelf|rack)\b/i.test(body)
  )
    return 'bake';
  // "5 mins in tin": it stays there once it is out
  if (
    heats.length === 0 &&
    times.length > 0 &&
    /\bin (?:the |its |their )?(?:tins?|pans?)\b/i.test(body) &&
    /^\D{0,12}\d|^(?:a|ten|five|fifteen|twenty|half)\b/i.test(body)
  )
    return 'rest';
  if (heats.length === 0 && times.length > 0 && /\bon (?:the |a )?(?:\w+ )?(?:rack|wire)\b/i.test(body)) return 'cool';
  // "then it's one eighty, forty-five to fifty minutes"
  if (
    heats.length > 0 &&
    /^(?:it'?s |it is |at |that'?s |on |(?:the )?oven(?:'?s)?(?: at| on)? )?$/i.test(
      body.slice(0, heats[0]?.from ?? 0),
    ) &&
    durations(rest).length > 0
  )
    return 'bake';
  const hot = heats.some((h) => h.marked) || (heats.length > 0 && body.length < 12);
  if (hot && !behindVerb) return oven ? 'heat' : 'bake';
  if (hot && /^(?:it'?s |that'?s |at |on )?\D{0,12}$/i.test(body.slice(0, heats[0]?.from ?? 0)))
    return /^(?:the |your )?oven(?: on| to| at)?\s*\d/i.test(body) && times.length === 0 ? 'heat' : 'bake';
  for (const p of patterns) if (!(inOven && p.verb === 'place') && (!behindVerb || p.strong === true || (p.strong === 'ahead' && ahead)) && p.says.test(body)) return p.verb; // prettier-ignore
  return null;
}

/**
 * A clause with the work that is said in it without a verb taken out as clauses of its own: "sugar in, currants in",
 * "Gas 4, 25 mins", "then the treacle", "lid off".
 *
 * @param names whether words name a thing of the list
 */
export function withoutVerbs(c: Clause, before: VerbId | null, names: (text: string) => boolean): Clause[] {
  // who asks does nothing
  if (c.verb === null && /\?["'’)\s]*$/.test(c.text)) return [c];
  const out: { from: number; to: number; verb: VerbId | null; own: boolean }[] = [];
  let verb = c.verb ?? before;
  /** Where what only leads to the verb, or lists what it is done to, begins. */
  let pending: number | null = null;
  for (const p of piecesOf(c.text)) {
    const last = out.at(-1);
    const holds = c.verb !== null && p.from <= c.verbFrom && c.verbFrom < p.to;
    if (holds) {
      out.push({ from: pending ?? p.from, to: p.to, verb: c.verb, own: true });
      pending = null;
      continue;
    }
    const ahead = c.verb !== null && p.to <= c.verbFrom;
    if (ahead && (c.lead !== '' || c.negated)) {
      pending ??= p.from;
      continue;
    }
    const found =
      verblessIn(
        p.text,
        c.verb !== null || last !== undefined,
        c.text.slice(p.to),
        ahead && !out.some((o) => o.own),
        last?.verb === 'bake' || last?.verb === 'put in',
      ) ??
      (onlyTime(p.text) &&
      last?.verb !== 'bake' &&
      (towardsOven.has(last?.verb ?? before ?? 'mix') ||
        /\bat that\b/i.test(p.text) ||
        (dressed.has(last?.verb ?? 'mix') && (durationAt(p.text.replace(opening, ''), 0)?.early ?? 0) >= 8) ||
        ((c.verb === null || ahead) && out.length === 0 && inTheTin.has(before ?? 'mix')))
        ? 'bake'
        : null);
    const times = durations(p.text);
    const timed = times.length > 0 || (last?.verb === 'bake' && furtherOn.test(p.text));
    const time = times[0];
    const timeOnly = time !== undefined && p.text.replace(opening, '').trim().length - (time.to - time.from) < 26;
    const inOven = last && (last.verb === 'bake' || last.verb === 'put in' || (last.verb === 'heat' && !last.own));
    if (found !== null) {
      // the heat in one piece, its time in the next; a heat behind the verb that asks for it
      const joins =
        found === 'bake' &&
        last &&
        ((last.verb === 'bake' && (!timed || durations(c.text.slice(last.from, last.to)).length === 0)) ||
          (!timed &&
            (/^(?:heat|lower|raise|put in)$/.test(last.verb ?? '') ||
              /\boven (?:heats|warms|comes up|gets hot)\b/i.test(c.text.slice(last.from, last.to)))));
      if (joins) last.to = p.to;
      else out.push({ from: pending ?? p.from, to: p.to, verb: found, own: false });
      pending = null;
      if (found !== 'bake') verb = found;
    } else if (inOven && timeOnly) {
      last.to = p.to;
      if (last.verb === 'heat') last.verb = 'bake';
    } else if (ahead || (last === undefined && leads.test(p.text) && !/[.!?]\s*$/.test(p.text) && p.to < c.text.length))
      pending ??= p.from;
    else if (last && goesOn.test(p.text) && verb !== null && lists.has(verb) && listed(p.text) && names(p.text))
      out.push({
        from: p.from,
        to: p.to,
        verb: /^(?:cream|pour|mash|melt|rub in)$/.test(verb) ? 'add' : verb,
        own: false,
      });
    else if (last) last.to = p.to;
    // "Sugar.", "Then the eggs, one by one.": what goes in next is named, and no more
    else if (c.verb === null && before !== null && verbs[before].at === 'mix' && onlyNamed(p.text, names))
      out.push({ from: pending ?? p.from, to: p.to, verb: 'add', own: false });
    else out.push({ from: pending ?? p.from, to: p.to, verb: null, own: false });
  }
  return out.map((o, n): Clause => {
    const raw = c.text.slice(o.from, o.to);
    const open = n === 0 ? 0 : (/^[\s,;:(–—-]+/.exec(raw)?.[0].length ?? 0);
    const body = raw.slice(open).replace(/[\s,;:(–—-]+$/, '');
    const from = o.from + open;
    const { own } = o;
    return {
      ...c,
      from: c.from + from,
      to: c.from + from + body.length,
      text: body,
      verb: o.verb,
      verbFrom: own ? Math.max(0, c.verbFrom - from) : 0,
      verbTo: own ? Math.max(0, c.verbTo - from) : 0,
      negated: own && c.negated,
      lead: own ? c.lead : '',
      plainly: own ? c.plainly : null,
      meanwhile: own && c.meanwhile,
      bare: own && n === out.length - 1 && c.bare,
    };
  });
}
