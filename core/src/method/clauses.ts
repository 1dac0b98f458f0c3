import { sentencesIn } from '../text/sentences.js';
import { surfaceOf, senseOf, type Surface } from './lexicon.js';
import type { VerbId } from './verbs.js';

/** A stretch of an entry that says one thing. */
export interface Clause {
  readonly entry: number;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** The sentence's number within the entry, so that what is said in one breath is known. */
  readonly sentence: number;
  /** What is done; null when nothing is. */
  readonly verb: VerbId | null;
  /** Where in `text` the verb's own words begin and end. */
  readonly verbFrom: number;
  readonly verbTo: number;
  /** "do not", "without": said in order not to be done. */
  readonly negated: boolean;
  /** What goes before with a comma behind it: "when it is cold", "the next day". */
  readonly lead: string;
  /** Said to be done while something else runs: "while you stir". */
  readonly meanwhile: boolean;
  /** The verb's plain form, where its words begin with it in another: "turning", "before cutting". */
  readonly plainly: string | null;
  /** Its verb is that of the question before it. */
  readonly answers?: true;
  /** Nothing stands between this verb and the next but "and": "grease and line". */
  readonly bare: boolean;
}

interface Token {
  readonly w: string;
  readonly from: number;
  readonly to: number;
  readonly punct: boolean;
}

const list = (s: string): ReadonlySet<string> => new Set(s.trim().split(/\s+/));
const adverbs =
  list(`just gently carefully quickly lightly well again first then now still also really only finally next lastly slowly
  briefly thoroughly roughly evenly firmly generously loosely immediately simply always usually either all both not too very quite
  coarsely finely thinly thickly softly straight instead afterwards together later once twice half constantly occasionally`);
const conjunctions = list('and then or but & + so plus n before');
const people = list(
  "i you we they she he who i'll you'll we'll i've you've we've you'd i'd we'd he'll she'll y'all she'd he'd they'd",
);
const modals = list(
  "it'll they'll that'll it'd can will should must may might could would do please 'll to let's gonna always never let i'd you'd",
);
const been = list(
  "is are be been being was were am i'm you're we're it's they're gets get got getting having have has had i've you've we've they've",
);
const determiners =
  list(`the a an my our your its their his her this these those each every some any no one two three four five six
  good quick nice big little light final last second further little bit of in into with on onto for at from by over under about as like per than
  hot cold warm deep fresh own more`);
const subordinators = list(
  'until till til if unless because when once while whilst as after before where so that which minute moment',
);
/** How a cake is when its next work begins: "when cold dust it". */
const states = list('cold cool cooled hot warm done out ready baked risen set golden firm dry brown over up');
const negators = list("don't dont not never without avoid no cannot can't won't needn't shouldn't mustn't nor");

function tokensOf(text: string): Token[] {
  return [...text.matchAll(/[\p{L}][\p{L}'’-]*|[½¼¾⅓⅔]|\d+(?:[.,/:]\d+)*|[^\s\p{L}\d]/gu)].map((m) => ({
    w: m[0].toLowerCase().replace(/’/g, "'"),
    from: m.index,
    to: m.index + m[0].length,
    punct: /^[^\p{L}\d½¼¾⅓⅔&+]$/u.test(m[0]),
  }));
}

interface Head {
  readonly at: number;
  readonly surface: Surface;
  readonly negated: boolean;
  readonly meanwhile: boolean;
  /** Begins its clause without a comma or "and" before it. */
  readonly unparted?: true;
}

const tens =
  /^(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\w+teen|(?:twen|thir|for|fif|six|seven|eigh|nine)ty(?:-\w+)?)$/;
const breaks = (t: Token): boolean => t.punct && /[,;:.!?()—–\-/*]/.test(t.w);
const isAdverb = (w: string): boolean => adverbs.has(w) || (/ly$/.test(w) && w.length > 4);
const prepositions =
  list(`in into with on onto to by over through until till for at from and off out up under between together
  as well lightly gently evenly finely about alternately by`);

/** A dictated sentence of so many words without one comma is several: a verb with what it is done to begins each. */
const UNPARTED = 25;
const opensUnparted = (before: string, after: string): boolean =>
  !determiners.has(before) && !prepositions.has(before) && /^(?:it|them|that|those|with|into)$/.test(after);

/** The verbs of a sentence that somebody is to do. */
function headsIn(tokens: readonly Token[]): Head[] {
  const out: Head[] = [];
  /** Where a clause that only says when or why runs. */
  let aside: string | null = null;
  let negated = false;
  const unparted = tokens.length >= UNPARTED && !tokens.some(breaks);
  tokens.forEach((t, i) => {
    if (breaks(t)) {
      // "until smooth, pale and fluffy" goes on; a verb behind the comma ends it anyway
      aside = null;
      negated = false;
      return;
    }
    const surface = surfaceOf(t.w);
    const before = skipBack(tokens, i);
    // "3 Pat it out": a number that only counts
    const numbered = before === 0 && /^\d{1,2}$/.test(tokens[0]?.w ?? '') && i === 1 && surface?.form === 'base';
    const prev = before >= 0 && !numbered ? (tokens[before] as Token) : null;
    const starts = !prev || breaks(prev);
    const after = tokens[i + 1]?.w ?? '';
    if (negators.has(t.w)) negated = true;
    if (t.w === 'then' || t.w === 'and' || t.w === '&') negated = negated && t.w !== 'then';
    if (subordinators.has(t.w) && subordinates(tokens, i)) {
      aside = t.w;
      return;
    }
    if (!surface) return;
    const { form } = surface;
    const conj = prev !== null && conjunctions.has(prev.w);
    const person = prev !== null && people.has(prev.w);
    const next = { at: i, surface, negated, meanwhile: false };
    if (aside !== null) {
      // "while you stir", "before you cut it", "before cutting", "after which"
      const mine = person && prev?.w !== 'they' && (form === 'base' || form === 'past');
      if (/^(?:while|whilst)$/.test(aside) && mine) out.push({ ...next, meanwhile: true });
      else if (
        aside === 'before' &&
        (mine || form === 'ing') &&
        prev &&
        (person || prev.w === 'before') &&
        out.length > 0
      )
        out.push(next);
      else if (
        person &&
        form === 'base' &&
        !/^(?:if|because|that|which|where|until|till|til|so|as)$/.test(aside) &&
        !isFirst(tokens, i, aside)
      )
        out.push(next);
      else if (person && form === 'base' && leading(tokens, i, aside)) out.push(next);
      else if ((conj || starts) && form === 'base' && prev?.w !== 'or') out.push(next);
      else if (form === 'base' && prev && states.has(prev.w) && objectFollows(tokens, i, true)) out.push(next);
      else return;
      aside = null;
      return;
    }
    if (form === 'base') {
      const noun =
        prev !== null &&
        !starts &&
        !conj &&
        !person &&
        !modals.has(prev.w) &&
        !negators.has(prev.w) &&
        !isOrdinal(prev.w);
      // "to twelve ounces of flour put a teaspoon of soda"
      if (noun && tokens[0]?.w === 'to' && out.length === 0 && /^(?:put|add|allow)$/.test(t.w) && /^(?:a|an|the|one|two|half|\d.*)$/.test(after))
        return void out.push(next); // prettier-ignore
      if (noun && unparted && opensUnparted(prev.w, after)) return void out.push({ ...next, unparted: true });
      if (noun && t.w === 'go' && /^(?:in|into|on|onto|over)$/.test(after)) return void out.push(next);
      if (noun && !(determiners.has(prev.w) ? false : endsNoun(tokens, before) && !surface.lemma.thing)) return;
      if (prev?.w === 'to' && !willed(tokens, before)) return;
      if (surface.lemma.base === 'cream' && conj && out.length === 0) return;
      // "butter, sugar and cream": things in a row
      if (surface.lemma.thing && (starts || conj) && !objectFollows(tokens, i, out.length > 0)) return;
      if (surface.lemma.past?.includes(t.w) && after === 'into' && noun) return;
      out.push(next);
      return;
    }
    if (form === 's') {
      if (prev && (/^(?:he|she|it|that|this|they)$/.test(prev.w) || t.w === 'goes')) out.push(next);
      // "Keeps a week in a tin"
      else if (starts && /^(?:keep|freeze)$/.test(surface.lemma.base)) out.push(next);
      // "the honey dissolves in the milk"
      else if (/^(?:dissolve|melt|soak)$/.test(surface.lemma.base) && /^(?:in|into|with)$/.test(after)) out.push(next);
      return;
    }
    if (form === 'ing') {
      const doing = prev !== null && (been.has(prev.w) || /^(?:start|by|begin|continue|you)$/.test(prev.w));
      const partway = prev !== null && prev.punct && prev.w === ',' && !manner(tokens, i);
      const chained =
        conj && out.length > 0 && prev?.w !== 'or' && tokens.slice(0, i).some((x) => surfaceOf(x.w)?.form === 'ing');
      if (doing || (partway && out.length > 0) || chained) out.push(next);
      return;
    }
    // what is done to it: "is folded in", "I creamed", "flour folded in"
    if (prev === null || starts) {
      // told of the past, the one who did it left out: "Rolled it out half an inch", "Dredged with sugar"
      if (/^(?:it|them|that|those|these|the|out)$/.test(after) || (prev === null && after === 'with'))
        return void out.push(next);
      // "fifty butter, seventy-five flour, fifty sugar, rubbed"
      if (prev?.w === ',' && out.length === 0 && (after === '' || /^[,.;]$/.test(after)) && /^(?:rub|mix|cream|whisk|stir|fold|sift)$/.test(surface.lemma.base))
        return void out.push(next); // prettier-ignore
      // "juice of two limes and 60 g of sugar, stirred till it goes clear": the things, and what was done with them
      if (
        prev?.w === ',' &&
        out.length === 0 &&
        /^(?:stir|whisk|beat|mix|melt|boil|simmer|fold|blend|sift)$/.test(surface.lemma.base) &&
        /^(?:till|until|together|well|in|into|with|through|over)$/.test(after)
      )
        out.push(next);
      return;
    }
    if (person || been.has(prev.w)) {
      // "the milk you kept"
      if (prev.w === 'you' || prev.w === 'they') return;
      const whose = tokens[before - 1];
      if (person && form === 'past' && whose && !breaks(whose) && !conjunctions.has(whose.w) && !isAdverb(whose.w))
        return;
      if (form === 'past' && /^(?:is|are|be|been|being|was|were|it's|they're)$/.test(prev.w) && stateOnly(tokens, i))
        return;
      out.push(next);
      return;
    }
    if (conj && out.length > 0 && /^(?:it|them|that|those)$/.test(after)) return void out.push(next);
    if (determiners.has(prev.w) || conj) {
      if (
        conj &&
        out.length > 0 &&
        prepositions.has(after) &&
        tokens.slice(0, i).some((x, k) => out.some((h) => h.at === k && surfaceOf(x.w)?.form === 'past'))
      )
        out.push(next);
      return;
    }
    // "flour folded in", "buttermilk poured on": a noun, the participle, and where to; not "butter melted", which is how it is
    const lastBreak = tokens.slice(0, i).findLastIndex((x) => breaks(x) || x.w === 'then');
    const opens = tokens.slice(lastBreak + 1).find((x) => !/^(?:and|&|then)$/.test(x.w))?.w ?? '';
    // "butter and sugar beaten, eggs in"
    const both = tokens.slice(lastBreak + 1, i).some((x) => /^(?:and|&|\+|n)$/.test(x.w));
    const done = both && /^(?:[,;.]|)$/.test(after) && /^(?:cream|beat|whisk|mix|rub|stir)$/.test(surface.lemma.base);
    if (
      !out.some((h) => h.at > lastBreak) &&
      (prepositions.has(after) || done) &&
      (!surfaceOf(prev.w) || surfaceOf(prev.w)?.lemma.thing === true) &&
      !/^(?:with|of|in|and)$/.test(opens)
    )
      out.push(next);
  });
  return out;
}

const isOrdinal = (w: string): boolean =>
  /^(?:first|next|now|finally|meanwhile|lastly|firstly|secondly|thirdly|morning|day|hands|off|okay|ok|right|well)$/.test(
    w,
  );
/** "In the morning heat the oven", "10 minutes before serving dust": an adverbial of time in front of a verb. */
function endsNoun(tokens: readonly Token[], at: number): boolean {
  const head = tokens.slice(0, at + 1);
  const lastBreak = head.findLastIndex((x) => breaks(x));
  return /^(?:in the morning|on the day|next day|the next (?:day|morning)|the (?:day|night|evening) before|to (?:serve|finish|glaze|assemble)|for the \w+|when (?:it is |they are )?(?:cold|cool|cooled|done|baked|ready))$/.test(
    head
      .slice(lastBreak + 1)
      .map((x) => x.w)
      .join(' '),
  );
}
/** A base form behind "to" that is wanted, not the purpose of something else. */
const willed = (tokens: readonly Token[], to: number): boolean =>
  /^(?:going|want|need|have|like|remember|got|love|prefer|try|begin|start|wants|needs|gonna|used)$/.test(
    tokens[skipBack(tokens, to)]?.w ?? '',
  );

function skipBack(tokens: readonly Token[], i: number): number {
  let k = i - 1;
  while (
    k >= 0 &&
    (isAdverb((tokens[k] as Token).w) ||
      (/^(?:um|er|uh|okay|ok|right|so|well|oh|erm|and|then)$/.test((tokens[k] as Token).w) &&
        k > 0 &&
        isAdverb((tokens[k] as Token).w)))
  )
    k--;
  return k;
}

/** Whether a word that could open a clause of time or reason does so here. */
function subordinates(tokens: readonly Token[], i: number): boolean {
  const w = tokens[i]?.w ?? '';
  const next = tokens[i + 1]?.w ?? '';
  switch (w) {
    case 'so':
      return /^(?:that|it|they|the|there|its|it's|as)$/.test(next) && i > 0 && !breaks(tokens[i - 1] as Token);
    case 'as':
      return /^(?:soon|it|they|the|you|it's)$/.test(next);
    case 'that':
      return (
        /^(?:it|they|you|you've|has|have|goes|was|were|stands|is)$/.test(next) &&
        i > 0 &&
        !breaks(tokens[i - 1] as Token) &&
        !/^(?:and|then|so)$/.test(tokens[i - 1]?.w ?? '')
      );
    case 'minute':
    case 'moment':
      return tokens[i - 1]?.w === 'the' && !/^(?:you|and)$/.test(next);
    case 'when':
    case 'once':
      return !(
        w === 'once' &&
        (i + 1 >= tokens.length ||
          breaks(tokens[i + 1] as Token) ||
          /^(?:only|more|or|in|round)$/.test(next) ||
          surfaceOf(tokens[i - 1]?.w ?? '') !== null)
      );
    case 'after':
      return !/^(?:each|every|a|about|around|that|this|\d.*)$/.test(next) || /^(?:it|they|baking|cooling)$/.test(next);
    default:
      return true;
  }
}

/** Whether the verb at `i` is the first of its subordinate clause. */
function isFirst(tokens: readonly Token[], i: number, aside: string): boolean {
  for (let k = i - 1; k >= 0; k--) {
    const w = (tokens[k] as Token).w;
    if (w === aside) return true;
    if (surfaceOf(w) && !people.has(w)) return false;
  }
  return true;
}

/** "When it's out I turn it": the clause in front has had its verb, and a person begins the next. */
function leading(tokens: readonly Token[], i: number, aside: string): boolean {
  const from = tokens.slice(0, i).findLastIndex((t) => t.w === aside);
  return from >= 0 && i - from > 2;
}

/** Participles of how it is done, not of something more: "stirring all the time". */
const mannerly =
  /^(?:stir|whisk|beat|mix|scrape|fold|rub|alternate|take|be|make|use|leave|keep|fill|give|let|start|end|begin|finish|weigh|do|go|hold|press|push|pull|work|add|space|measure|set|get|check)$/;
function manner(tokens: readonly Token[], i: number): boolean {
  const s = surfaceOf((tokens[i] as Token).w);
  const rest = tokens
    .slice(i + 1, i + 8)
    .map((t) => t.w)
    .join(' ');
  if (
    /^(?:re-?roll|turn|rotate|cover|tent|swap|brush|sprinkle|scatter|lower|tap|chill|dust|cut)/.test(
      s?.lemma.base ?? '',
    )
  )
    return false;
  return (
    mannerly.test(s?.lemma.base ?? '') ||
    /^(?:all the time|well|after each|constantly|until|occasionally|once or twice|gently)/.test(rest)
  );
}

/** "is chilled", "are beaten": a state unless a time or a place follows. */
const stateOnly = (tokens: readonly Token[], i: number): boolean =>
  !/^(?:in|into|on|onto|over|with|together|for|through|out|off|up|overnight|until|till|well|straight|twice|once|again|three)$/.test(
    tokens[i + 1]?.w ?? '',
  );

/** Behind a word that is both thing and verb, what only a verb has: an object, a place, or nothing but "and" and a verb. */
function objectFollows(tokens: readonly Token[], i: number, begun: boolean): boolean {
  const here = tokens[i] as Token;
  const next = tokens[i + 1];
  if (!next || breaks(next)) {
    // "cream, eggs, flour": what is done first, and what goes in after
    if (here.w === 'cream' && i === 0) return surfaceOf(tokens[i + 2]?.w ?? '')?.form === 'base' || tokens.some((x) => /^eggs?$/.test(x.w)); // prettier-ignore
    return (
      /^(?:mix|whisk|cool|rest|wait|swirl|glaze|level|smooth|roll|toss|test|frost|shape|bag|fold)$/.test(here.w) &&
      (i === 0 ||
        tokens[i - 1]?.w === 'and' ||
        tokens[i - 1]?.w === '&' ||
        begun ||
        (next !== undefined && breaks(next)))
    );
  }
  if (next.w === 'of') return false;
  if (here.w === 'cream' && i === 0) return next.w !== 'cheese';
  if (
    /^(?:the|a|an|your|it|them|this|that|those|these|each|both|all|everything|in|into|on|onto|over|with|for|until|till|through|together|out|up|down|off|round|around|some|two|three|one|another|at|to|well|lightly|generously|gently|thickly|w|by|between|half|most|any|as|again|when|once|apart|straight|quickly|carefully|slowly|briefly|thoroughly|completely)$/.test(
      next.w,
    ) ||
    isAdverb(next.w) ||
    /^\d/.test(next.w)
  )
    return true;
  if (/^(?:and|&|or)$/.test(next.w))
    return surfaceOf(tokens[i + 2]?.w ?? '') !== null && !/^(?:flour|butter|oil)$/.test(tokens[i + 2]?.w ?? '');
  // an adjective or a thing as its object: "whisk flour", "dust icing sugar over"
  return (
    !/^(?:flour|butter|oil|cream|ice|stone|core|brown|thin|top|foil|paper|crumble|work|place|light|line|purée|zest|toast|peel)$/.test(
      here.w,
    ) || /^(?:loaf|round|square|deep|cake|tins?|soft|grated|butter|topping)$/.test(next.w)
  );
}

/** Things that open a clause before its verb, with a comma or without: "when cold", "meanwhile", "the next day". */
export const leads =
  /^\s*(?:(?:and|but|then|so|now|um|uh|er)[,\s]+)*(?:when|once|as soon as|after|before|while|whilst|if|meanwhile|in the mean(?:while|time)|the (?:day|night|evening|morning) (?:before|after)|(?:the )?next (?:day|morning)|in the morning|on the day|the minute|the moment|\w+ (?:minutes|hours|days|weeks) (?:before|after|later|ahead)|just before|to (?:serve|finish|make|glaze)|for the|from frozen|later|on (?:mon|tues|wednes|thurs|fri|satur|sun)day|at (?:the end|half[- ]time)|half-?way|as it|soon as|straight (?:from|away))\b/i;

/** Cuts a sentence at its verbs. */
function clausesOf(text: string, at: number, entry: number, sentence: number): Clause[] {
  // who asks does nothing: "Straight into the tin?"
  const asked = /\?["'’)\s]*$/.test(text);
  const tokens = asked ? [] : tokensOf(text);
  const does = (h: Head): VerbId | null => {
    const t = tokens[h.at] as Token;
    const found = senseOf(h.surface, text.slice(t.to));
    // "into that goes half a cup of oil"
    return (
      found ??
      (h.surface.lemma.base !== 'go'
        ? null
        : // "and in it goes for forty-five minutes"
          /(?:^|\band|\bthen|,)\s*(?:then\s+)?in (?:it|they|that) $/i.test(text.slice(0, t.from)) &&
            /^\s*(?:for|at)\b/i.test(text.slice(t.to))
          ? 'put in'
          : // "then a plate on top and over it goes"
            /(?:^|\band|\bthen|,)\s*over (?:it|they) $/i.test(text.slice(0, t.from))
            ? 'unmould'
            : /\b(?:in|into|on)\b[^,;.]*$/i.test(text.slice(0, t.from))
              ? 'add'
              : null)
    );
  };
  const heads = headsIn(tokens).filter((h) => does(h) !== null);
  const cuts: number[] = [];
  heads.forEach((h, n) => {
    if (n === 0) return;
    const last = (heads[n - 1] as Head).at;
    if (h.unparted) return void cuts.push(h.at);
    // the last break or "and" between the two verbs; a lead in between goes with what it leads to
    let cut = -1;
    for (let k = h.at - 1; k > last; k--) {
      const t = tokens[k] as Token;
      // "two hundred and fifty grams" is one number
      if (
        t.w === 'and' &&
        /^(?:hundred|thousand|\d+)$/.test(tokens[k - 1]?.w ?? '') &&
        tens.test(tokens[k + 1]?.w ?? '')
      )
        continue;
      // "the lard is rubbed in, and the sugar, seeds and powder are mixed through it"
      const passive = h.surface.form === 'past' && been.has(tokens[skipBack(tokens, h.at)]?.w ?? '');
      const seam = passive
        ? tokens.findIndex((x, m) => m > last && m < k && x.w === ',' && /^(?:and|then)$/.test(tokens[m + 1]?.w ?? ''))
        : -1;
      if (seam > last) {
        cut = seam;
        break;
      }
      if (
        breaks(t) ||
        (/^(?:and|then|&|or|but|while|whilst|before|n)$/.test(t.w) &&
          !(t.w === 'then' && k - 1 > last && /^(?:and|,)$/.test(tokens[k - 1]?.w ?? '')))
      ) {
        cut = k;
        break;
      }
    }
    if (cut < 0) {
      cuts.push(-1);
      return;
    }
    for (let k = cut - 1; k > last; k--) {
      const t = tokens[k] as Token;
      if (!breaks(t) && t.w !== 'and') continue;
      const piece = text.slice(t.to, (tokens[cut] as Token).from);
      if (leads.test(piece)) cut = k;
      break;
    }
    // ", and then": all of it belongs to what comes
    while (
      cut - 1 > last &&
      (/^(?:and|then|but|so)$/.test(tokens[cut - 1]?.w ?? '') ||
        (breaks(tokens[cut - 1] as Token) && /^[,;]$/.test(tokens[cut - 1]?.w ?? ''))) &&
      cut > 0
    )
      cut--;
    cuts.push(cut);
  });
  const out: Clause[] = [];
  let begin = 0;
  const put = (from: number, to: number, h: Head | null, next: Head | null): void => {
    const raw = text.slice(from, to);
    const open = /^[\s,;:.!?)—–-]*/.exec(raw)?.[0].length ?? 0;
    const body = raw.slice(open).replace(/[\s,;:(—–-]+$/, '');
    if (body === '' || !/[\p{L}\d]/u.test(body)) return;
    const start = from + open;
    const verbFrom = h ? Math.max(0, (tokens[h.at] as Token).from - start) : 0;
    const verbTo = h ? Math.max(0, (tokens[h.at] as Token).to - start) : 0;
    const rest = body.slice(verbTo);
    const lead = h ? body.slice(0, verbFrom) : '';
    const found = h ? (senseOf(h.surface, rest) ?? does(h)) : null;
    // "freezes well" tells how it keeps
    const verb = found === 'freeze' && h?.surface.form === 's' ? 'keep' : found;
    out.push({
      entry,
      from: at + start,
      to: at + start + body.length,
      text: body,
      sentence,
      verb,
      verbFrom,
      verbTo,
      negated: h?.negated ?? false,
      lead: leads.test(lead) ? lead.trim() : '',
      meanwhile: h?.meanwhile === true || /\bmean(?:while|time)\b/i.test(lead),
      plainly:
        h?.surface.form === 'ing' && /^(?:(?:and|then|before|or)\s+)*$/i.test(lead) ? h.surface.lemma.base : null,
      bare:
        next !== null &&
        /^[\s\p{L}]*$/u.test(rest) &&
        rest
          .trim()
          .split(/\s+/)
          .filter((w) => w !== '' && !isAdverb(w)).length === 0,
    });
  };
  if (heads.length === 0) {
    put(0, text.length, null, null);
    return out;
  }
  heads.forEach((h, n) => {
    const cut = n < heads.length - 1 ? (cuts[n] as number) : -1;
    // two verbs with nothing between them are one: "let it cool", "go and put"
    if (n < heads.length - 1 && cut < 0) {
      heads[n + 1] = better(h, heads[n + 1] as Head, tokens, text);
      return;
    }
    const end = n < heads.length - 1 ? (tokens[cut] as Token).from : text.length;
    put(begin, end, h, heads[n + 1] ?? null);
    begin = end;
  });
  return out;
}

/** Of two verbs in one clause, the one that says what is done. */
function better(a: Head, b: Head, tokens: readonly Token[], text: string): Head {
  const rest = (h: Head): string => text.slice((tokens[h.at] as Token).to);
  const va = senseOf(a.surface, rest(a));
  return va === null ? b : a;
}

/** Every clause of an entry, in the order of the text. */
export function clausesIn(text: string, entry: number): Clause[] {
  return sentencesIn(text).flatMap((s, n) => clausesOf(s.text, s.at, entry, n));
}
