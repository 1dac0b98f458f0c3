import type { Kitchen } from '../formula/types.js';
import { scanAmounts } from '../quantity/scan.js';
import { clausesIn } from '../method/clauses.js';
import { withoutVerbs } from '../method/pieces.js';
import { verbs as verbTable } from '../method/verbs.js';
import { durations } from '../text/durations.js';
import { barelyHeat, heatsIn } from '../text/heats.js';
import { sentencesIn } from '../text/sentences.js';
import { plainChars } from './anatomy.js';
import {
  afterHeading,
  furniture,
  groupHead,
  labelOf,
  listHeading,
  methodHeading,
  methodLabel,
  noteHeading,
  type GroupHead,
} from './headings.js';
import { isHeadLine, readAboutLine } from './cards.js';
import { matchIngredient } from './match.js';
import { bakeNouns } from './titles.js';

export type Kind = 'title' | 'heading' | 'ingredient' | 'method' | 'blank' | 'note' | 'story' | 'other';
/** What a line of the text is, or a part of one: a line may hold the name of a group and its list. */
export interface Classified {
  readonly kind: Kind;
  readonly text: string;
  readonly no: number;
  /** Where the text begins in its line. */
  readonly at: number;
  readonly group?: GroupHead;
  /** True for a group that ends with its line. */
  readonly inline?: boolean;
}

const verbs =
  /\b(?:preheat|heat|mix|stir|whisk|beat|cream|fold|bake|pour|spoon|grease|line|rub|add|combine|turn|cool|sift|sieve|melt|mash|knead|divide|spread|serve|leave|rest|put|set|place|toss|soak|make|cover|cut|roll|shape|brush|let|remove|drop|fill|tip|scrape|blend|simmer|boil|bring|sprinkle|drizzle|grate|peel|work|pat|press|dust|rühren|verrühren|mischen|unterheben|unterrühren|backen|füllen|schlagen|mélanger|ajouter|verser|cuire|battre|incorporer|préchauffer|fouetter|mezclar|batir|añadir|verter|hornear|precalentar|montare|unire|aggiungere|mescolare|versare|infornare|cuocere|sbattere)\b/i;
/** What begins a step without being said of what is done with a batter, so that it tells nothing elsewhere. */
const alsoBegins =
  /^(?:save|share|reserve|transfer|lift|loosen|chill|warm|scatter|swirl|toast|chop|slice|tap|level|smooth|prick|score|crush|wait|halve|slide)\s+\p{L}/iu;
const notListed =
  /^(?:(?:bake|makes|serves|yields?|preheat|heat|oven|prep|total|cook(?:ing)?|time|tin|temperature|calories|ready in|tins?:|in:)\b|\d{1,3}\s+(?:pieces|slices|squares|bars|servings|portions)\W*$)/i;
const units = /\d\s*(?:g|kg|ml|l|dl|cl|oz|lb|tsp|tbsp|cups?|el|tl)\b/i;

const sameWords =
  /^(?:and\s+)?(?:(?:the\s+|an?\s+)?(?:same|equal)(?:\s+(?:weight|amount|quantity|again))?|(?:their|its|the eggs['’]?)\s+weight)\s*(?:of|in|again of|again)?\s+(?=\p{L})/iu;
/** What a line says there is as much of as of the thing before it: "the same of sugar". Null when it says nothing of the kind. */
export function sameAs(text: string): string | null {
  const m = sameWords.exec(text);
  return m ? text.slice(m[0].length) : null;
}

/** A question, with or without its answer: no title. */
const asks =
  /\?\s+\S|^(?:so,?\s+|and,?\s+|but,?\s+)?(?:what|how|which|who|when|where|why|do|does|can|could|is|are)\b.*\?|\b(?:what|how|which|where)\b[^.]*\?\s*$/i;
/** How a letter ends. */
const farewell =
  /^(?:(?:much|lots of|all (?:my|our)|with|your(?:s)?|kind|warm|best|as ever)\s+)*(?:love|regards|wishes|yours|cheers|kisses|hugs|fondly|sincerely|affectionately|x{1,4})(?:\s+(?:from|to you all|always|ever|truly))?(?:\s*[,.!–-]|\s*$)/i;
/** Things of a line that have both an amount and a known name. */
function listedIn(text: string, kitchen: Kitchen): number {
  const plain = plainChars(text);
  const amounts = scanAmounts(plain);
  return amounts.filter((a, i) => {
    const end = amounts[i + 1]?.from ?? plain.length;
    return matchIngredient(plain.slice(a.to, end).split(/[,;(]/)[0] ?? '', kitchen) !== null;
  }).length;
}

/** A tin by its size, got ready. */
const ofTin =
  /^(?:\d+\s*x\s*)?[\d½¼.,]+\s*-?(?:lb|g|kg|cm|in|inch|")\s*(?:\w+ )?(?:tins?|pans?|moulds?)\s*(?:$|[,.;+&]|(?:well )?(?:oiled|greased|buttered|lined|floured|papered)\b)/i;

/** Things of a list with what is done with them behind a dash: "1 c. bran, 1 c. buttermilk - soak 10 min." */
function dashed(text: string, kitchen: Kitchen): number {
  const m = /\s[-–—]+\s+(?=\p{Ll})/u.exec(text);
  if (!m || /\p{L}{3}[.!?]+\s/u.test(text.slice(0, m.index)) || listedIn(text.slice(0, m.index), kitchen) < 2)
    return -1;
  const [first] = clausesIn(text.slice(m.index + m[0].length), 0);
  return first && first.verb !== null && first.verbFrom === 0 && !first.negated ? m.index : -1;
}

/** Whether a line of several things says what is done with them. */
const worksBeside = (text: string): boolean =>
  /\b(?:rubbed|mixed|melted|warmed|beaten|whisked|creamed|stirred|sifted|sieved|folded|boiled|pour|beat|stir|mix|whisk|fold|rub|melt)\b/i.test(
    text,
  ) && clausesIn(text, 0).some((c) => c.verb !== null && !c.negated && verbTable[c.verb].at === 'mix');

function looksLikeIngredient(text: string, kitchen: Kitchen, bareList: boolean): boolean {
  if (notListed.test(text)) return false;
  const same = sameAs(text);
  if (same !== null && text.length < 60 && matchIngredient(same, kitchen) !== null) return true;
  const plain = plainChars(text);
  // "2.5 cm, 6 cm cutter" is a size
  const amounts = scanAmounts(plain).filter((a) => a.unit !== null || !/^\s*(?:cm|mm|inch|min(?:ute)?s?\b|hours?\b|hrs?\b|°)/i.test(plain.slice(a.to))); // prettier-ignore
  // "400 - 20-25 min. 12 cups." is an oven and its time
  if (/\d\s*(?:min|mins|minutes|hrs?|hours?)\b/i.test(text) && listedIn(text, kitchen) === 0) return false;
  // "2lb tin oiled + lined, seeds on top" and "180 (160 fan) 22 mins, don't open" are no things
  if (ofTin.test(text) || heatsIn(text, (from, to) => barelyHeat(text, from, to)).some((h) => h.from < 3)) return false;
  // a question and its answer, or sentences that each tell of amounts, are told, not listed
  if (/\?\s+\S/.test(text) || asks.test(text)) return false;
  const sentences = text.split(/(?<=[\p{L})][.!])\s+(?=\p{Lu})/u).filter((s) => scanAmounts(plainChars(s)).length > 0);
  if (sentences.length > 1 && text.length > 40) return false;
  // "The one with sprinkles. Cuts into 20 squares."
  if (/^(?:the|this|that|these|it|we|i|my|you|if|when|they)\s/i.test(text) && /[.!]\s+\p{Lu}/u.test(text)) return false;
  const head = text.split(',')[0] ?? text;
  const known = matchIngredient(head, kitchen) !== null || matchIngredient(text, kitchen) !== null;
  const leading = amounts[0] !== undefined && amounts[0].from <= 6;
  const withUnit = amounts.some((a) => a.unit !== null);
  if (/^\d+[.)]\s+\p{Lu}/u.test(text) && verbs.test(text)) return false;
  const first = /^[\p{L}]+/u.exec(text)?.[0] ?? '';
  if (verbs.test(first) && !known) return false;
  const sentence = verbs.test(text) && (/[.!]$/.test(text) || verbs.test(first)) && text.split(' ').length > 5;
  const run = text.length > 60 ? listedIn(text, kitchen) : 0;
  const list = run > 1 && leading && !/[.!]\s+\p{Lu}/u.test(text);
  if (/^(?:the )?(?:yolks?|whites?) (?:of|from) \w+(?: eggs?)?(?:,|$)/i.test(text)) return true;
  if (sentence && !list && !/^(?:the )?(?:juice|zest|grated)/i.test(text)) return false;
  // so long a line is a list, or no line of one
  if (text.length > 140 && !(leading && withUnit && (run > 1 || known))) return false;
  return (
    (leading && (withUnit || known)) ||
    (withUnit && known) ||
    (bareList && known && amounts.length === 1 && text.length < 60) ||
    (known &&
      amounts.length > 0 &&
      /^(?:the |finely |freshly |coarsely )?(?:grated|zest|juice|rind|peel)\b/i.test(text)) ||
    (known &&
      /to taste|a pinch|for dusting|for greasing|for the (?:tin|pan|board)|as needed|as required|to glaze/i.test(
        text,
      )) ||
    (/^an?\s/i.test(text) && known && text.split(' ').length < 8)
  );
}

/** Whether the list gives its amounts behind the names and without units: "butter 100". */
const bareAmounts = (lines: readonly string[], kitchen: Kitchen): boolean =>
  lines.filter(
    (l) =>
      /^\s*[\p{L}][\p{L} ,.'-]{2,40}\s\d{1,4}(?:\s+[\p{L} .]{1,24})?\s*$/u.test(l) &&
      !units.test(l) &&
      matchIngredient(l.replace(/\d.*$/, ''), kitchen) !== null,
  ).length >= 3;

const bakeNoun = new RegExp(String.raw`\b(?:${bakeNouns})\b`, 'i');
/** A name at the top that happens to hold a number or a measure: "One bowl vanilla cake", "Drop biscuits". */
const namesBake = (text: string): boolean => {
  const before = text.split(/\d/)[0] ?? '';
  return (
    bakeNoun.test(before) &&
    !/^\d/.test(text) &&
    text.length < 90 &&
    // "oat drops" are no measure
    (!units.test(text.replace(bakeNoun, ' ')) || /[,:;(–-]\s*(?:\w+\s+)?$/.test(before))
  );
};

const textOf = (raw: string): string =>
  raw
    .replace(/^#+\s*/, '')
    .replace(/^[\s\-–—•·▢□☐○●◦‣➤✓]+(?=\S)/, '')
    .replace(/^\*+\s+(?=\S)/, '')
    .replace(/^\[[ x]?\]\s*/i, '')
    .trim();

/** Whether Orvin wrote it: such a card is read as it stands, and nothing in it is made out. */
export const isCard = (lines: readonly string[]): boolean =>
  lines.slice(0, 12).some((l) => /^\s*(?:[-*]\s*)?Family: [a-z-]+\s*$/.test(l));

/** Lines numbered from one on of which most begin with words and not with an amount: the steps of the work. */
function numberedSteps(lines: readonly string[]): ReadonlySet<number> {
  const found = new Set<number>();
  let run: { readonly no: number; readonly text: string }[] = [];
  const close = (): void => {
    const words = run.filter((l) => !/^(?:\d|[½¼¾⅓⅔]|an?\s)/i.test(l.text));
    if (run.length > 2 && words.length > run.length / 2) for (const l of run) found.add(l.no);
    run = [];
  };
  lines.forEach((raw, no) => {
    const m = /^\s*(\d{1,2})[.):]\s+(\S.*)$/.exec(raw);
    if (!m) return raw.trim() === '' ? undefined : close();
    if (Number(m[1]) !== run.length + 1) close();
    if (Number(m[1]) === run.length + 1) run.push({ no, text: m[2] ?? '' });
  });
  close();
  return found;
}

/** The line over the list of ingredients, when a list follows it; else -1. */
function listStart(lines: readonly string[], kitchen: Kitchen): number {
  const at = lines.findIndex((l) =>
    listHeading.test(
      textOf(l)
        .replace(/^\*+|\*+$/g, '')
        .trim(),
    ),
  );
  if (at < 0) return -1;
  const below = lines.slice(at + 1, at + 40).filter((l) => looksLikeIngredient(textOf(l), kitchen, false));
  return below.length > 1 ? at : -1;
}

/**
 * Tells title, headings, ingredient lines and method apart, line by line. What a page has around its recipe (ways to
 * share it, ratings, stories above the list, comments below) is story: kept, and not used.
 */
/** Where in a line of the list sentences begin in which something is done: two of them at least, so that it is no remark. */
function workBehind(text: string): number {
  if (text.length < 60) return -1;
  const all = sentencesIn(text);
  const works = (t: string): number =>
    /^\s*[\d½¼¾⅓⅔]/.test(t) ? 0 : clausesIn(t, 0).filter((c) => c.verb !== null && !c.negated).length;
  const first = all.findIndex((x, i) => i > 0 && works(x.text) > 0);
  if (first < 0 || all.slice(first).reduce((n, x) => n + works(x.text), 0) < 2) return -1;
  const at = all[first]?.at ?? -1;
  return at + (/^\s*/.exec(text.slice(at))?.[0].length ?? 0);
}

export function classify(lines: readonly string[], kitchen: Kitchen): Classified[] {
  const out: Classified[] = [];
  let section: 'unknown' | 'ingredients' | 'method' | 'notes' | 'after' = 'unknown';
  let titled = false;
  let listed = 0;
  // on a card that Orvin wrote the first line is the title, whatever it says
  const card = isCard(lines);
  const listAt = card ? -1 : listStart(lines, kitchen);
  const bareList = !card && bareAmounts(lines, kitchen);
  const numbered = card ? new Set<number>() : numberedSteps(lines);
  lines.forEach((raw, no) => {
    const text = textOf(raw);
    const start = Math.max(0, raw.indexOf(text));
    const add = (kind: Kind, group?: GroupHead): void =>
      void out.push({ kind, text, no, at: start, ...(group && { group }) });
    if (text === '') return add('blank');
    if (card && !titled) {
      titled = true;
      return add('title');
    }
    const bare = text.replace(/^\*+|\*+$/g, '').trim();
    // what a card holds as notes are notes to its end, be there a list in them
    if (card && section === 'notes') return add('note');
    if (listHeading.test(bare) && section !== 'after') {
      section = 'ingredients';
      return add('heading');
    }
    if (
      methodHeading.test(bare) &&
      scanAmounts(bare).length === 0 &&
      (listed > 0 || listAt < 0) &&
      section !== 'after'
    ) {
      section = 'method';
      return add('heading');
    }
    const begun = card || listed === 0 || section === 'after' ? null : methodLabel.exec(text);
    const told = begun ? text.slice(begun[0].length) : '';
    if (begun && verbs.test(told) && told.split(' ').length > 3) {
      section = 'method';
      out.push({ kind: 'heading', text: begun[0].trim(), no, at: start });
      out.push({ kind: 'method', text: told, no, at: start + begun[0].length });
      return;
    }
    if (!card && listed > 1 && afterHeading.test(bare)) section = 'after';
    if (section === 'after') return add('story');
    if (noteHeading.test(bare) && (listed > 0 || listAt < 0)) {
      section = 'notes';
      return add('heading');
    }
    if (section === 'notes') return add(afterHeading.test(bare) ? 'story' : 'note');
    if (!card && furniture.test(text)) return add('story');
    if ((section === 'method' && /^(?:step\s*)?\d+[.):]\s/i.test(text)) || (numbered.has(no) && listed > 0)) {
      if (section === 'unknown') section = 'method';
      return add('method');
    }
    if (/^(?:measures|family|oven|makes|tins?|may contain):\s/i.test(text) || readAboutLine(text) !== null)
      return add('other');
    const above = no < listAt;
    const inList = section === 'ingredients' || (section === 'unknown' && titled && !above);
    const group = section === 'method' ? null : groupHead(raw, text, inList);
    // the first line of all is the title, be it "Custard" or "Lemon drizzle"
    const first = !titled && listed === 0 && !/:$/.test(text) && !/^(?:for|to)\b/i.test(text) && !group?.said;
    if (group && !above && !first && (titled || group.role !== 'batter')) return add('heading', group);
    const greets =
      /^(?:my )?(?:dear|dearest|hi|hello|hey|good (?:morning|evening|day)|thank you|thanks)(?=[\s,!.]|$)/i.test(text) &&
      text.length < 60;
    if (greets && !titled && !bakeNoun.test(text)) return add('story');
    if (farewell.test(text) && text.split(' ').length < 7) return add('story');
    const named = !titled && (namesBake(text) || (above && !/[.!?]$/.test(text)));
    const ingredient = section !== 'method' && !above && !named && looksLikeIngredient(text, kitchen, bareList);
    if (
      !titled &&
      !ingredient &&
      !asks.test(text) &&
      (/^#\s/.test(raw) || named || (!verbs.test(text.split(' ')[0] ?? '') && text.length < 90))
    ) {
      titled = true;
      return add('title');
    }
    // above the list of a page stand stories; heads such as "Serves 12" and "Prep 10 min" are read
    if (above) return add(/\d/.test(text) && text.length < 90 && !/[.!?]$/.test(text) ? 'other' : 'story');
    // "MORNING: oven 220, tip the bag into a bowl"
    const when = card || listed === 0 ? null : /^(?:the\s+)?(?:morning|evening|afternoon|night|next (?:day|morning)|day \d|(?:mon|tues|wednes|thurs|fri|satur|sun)day|later|then)(?:\s+\w+)?\s*:\s*(?!\d)/i.exec(text); // prettier-ignore
    if (when && clausesIn(text.slice(when[0].length), 0).some((c) => c.verb !== null)) return add('method');
    const labelled = card
      ? null
      : section === 'method' || ingredient === false
        ? labelOf(
            text,
            (rest) =>
              section !== 'method' &&
              ((looksLikeIngredient(rest, kitchen, false) &&
                matchIngredient(rest.split(',')[0] ?? '', kitchen) !== null) ||
                listedIn(rest, kitchen) > 0),
          )
        : labelOf(
            text,
            (rest) =>
              (looksLikeIngredient(rest, kitchen, false) &&
                matchIngredient(rest.split(',')[0] ?? '', kitchen) !== null) ||
              listedIn(rest, kitchen) > 1,
          );
    if (labelled && (labelled.group || matchIngredient(text.slice(0, labelled.at), kitchen) === null)) {
      // the list may be followed by what is done with it
      const end = /[.!]\s+(?=\p{Lu})/u.exec(labelled.rest);
      const work = end ? end.index + end[0].length : card ? -1 : workBehind(labelled.rest);
      const list = work < 0 ? labelled.rest : labelled.rest.slice(0, work).trimEnd();
      titled = true;
      listed++;
      if (labelled.group)
        out.push({ kind: 'heading', text: labelled.group.name, no, at: start, group: labelled.group, inline: true });
      out.push({
        kind: 'ingredient',
        text: list.replace(/[.!]$/, ''),
        no,
        at: start + labelled.at,
        ...(labelled.group && { inline: true }),
      });
      // "Melt together: 120 g butter, 150 g syrup" is a step as well
      const name = text.slice(0, labelled.at).replace(/[\s:–-]+$/, '');
      if (!card && /\s/.test(name) && clausesIn(name, 0).some((c) => c.verb !== null && !c.negated) && list.length > 3)
        out.push({
          kind: 'method',
          text: work >= 0 ? text.slice(0, labelled.at + work).trimEnd() : text,
          no,
          at: start,
        });
      if (work >= 0) out.push({ kind: 'method', text: labelled.rest.slice(work), no, at: start + labelled.at + work });
      return;
    }
    const done = card || section === 'method' ? -1 : dashed(text, kitchen);
    if (done > 0) {
      titled = true;
      listed++;
      out.push({ kind: 'ingredient', text: text.slice(0, done).trimEnd(), no, at: start });
      out.push({ kind: 'method', text, no, at: start });
      return;
    }
    if (ingredient) {
      titled = true;
      // a line may hold a whole list
      listed += text.length > 60 ? Math.max(1, listedIn(text, kitchen)) : 1;
      const work = card ? -1 : workBehind(text);
      if (work < 0) {
        add('ingredient');
        // "115 g dark sugar in, then 115 g syrup and 250 ml milk warmed together": the list and the work in one
        if (!card && section === 'unknown' && listedIn(text, kitchen) > 1 && worksBeside(text)) add('method');
        return;
      }
      // a message that goes on in one breath from the list to what is done with it
      out.push({ kind: 'ingredient', text: text.slice(0, work).replace(/[\s.;]+$/, ''), no, at: start });
      out.push({ kind: 'method', text: text.slice(work), no, at: start + work });
      return;
    }
    if (
      section === 'ingredients' &&
      text.split(' ').length <= 8 &&
      !/[.!]$/.test(text) &&
      !verbs.test(text) &&
      !/^(?:makes|serves|yield|bake|in:|tins?:)/i.test(text)
    ) {
      listed++;
      return add('ingredient');
    }
    // without headings the method begins at the first sentence that does something, once there is a list
    if (
      section === 'unknown' &&
      listed > 1 &&
      verbs.test(text.split(' ').slice(0, 4).join(' ')) &&
      text.split(' ').length > 5
    )
      section = 'method';
    add(
      verbs.test(text) || (listed > 1 && alsoBegins.test(text)) || (section === 'method' && text.split(' ').length > 3)
        ? 'method'
        : 'other',
    );
  });
  const counted = out.map((p, i): Classified => (p.kind === 'other' && countedIn(out, i) ? { ...p, kind: 'ingredient' } : p)); // prettier-ignore
  return card ? counted : workAmong(counted, kitchen);
}

/** What is work by its own words: something is done in it, or it says how hot or how long. */
const saysWork = (text: string, kitchen: Kitchen): boolean =>
  clausesIn(text, 0)
    .flatMap((c) => withoutVerbs(c, null, (words) => matchIngredient(words, kitchen) !== null))
    .some((c) => c.verb !== null && !c.negated) ||
  durations(text).length > 0 ||
  heatsIn(text, () => false).some((h) => h.marked);

/**
 * Behind the list, what tells of work is a step wherever it stands and however few its words; so is what stands between two
 * steps, be it a question or a remark. Heads ("Makes 12") stay what they are.
 */
function workAmong(parts: readonly Classified[], kitchen: Kitchen): Classified[] {
  const lines = parts.filter((p) => p.kind === 'ingredient');
  const listed = lines.length > 1 || lines.some((p) => listedIn(p.text, kitchen) > 2);
  // where all is told there is no list to be behind of
  const told = lines.length === 0 && parts.some((p) => p.kind === 'method');
  const first = listed ? parts.findLastIndex((p) => p.kind === 'ingredient') : told ? parts.findIndex((p) => p.kind === 'other' || p.kind === 'method') : Infinity; // prettier-ignore
  const work = parts.map((p, i) => p.kind === 'method' || (p.kind === 'other' && i > first && !isHead(p.text) && saysWork(p.text, kitchen))); // prettier-ignore
  const [begin, end] = [work.indexOf(true), work.lastIndexOf(true)];
  const among = (p: Classified, i: number): boolean => i > first && i > begin && i < end && !isHead(p.text);
  return parts.map((p, i) => (p.kind === 'other' && (work[i] || among(p, i)) ? { ...p, kind: 'method' } : p));
}

/** "Makes 12", "Oven: 180 °C", "Prep 10 min": a fact of the whole, not a step. */
const isHead = (text: string): boolean =>
  isHeadLine(text) || (notListed.test(text) && !/^(?:bake|preheat|heat|oven)\b(?!\s*:)/i.test(text)) || /^[\p{L} ]{3,24}:/u.test(text); // prettier-ignore

/** Whether a part is a count of something that nobody knows, in the midst of a list: "2 quinces". */
function countedIn(all: readonly Classified[], i: number): boolean {
  const { text } = all[i] as Classified;
  const [first] = scanAmounts(plainChars(text));
  return (
    all[i - 1]?.kind === 'ingredient' &&
    first?.from === 0 &&
    /^[\s.]*\p{L}{2}/u.test(text.slice(first.to)) &&
    text.split(' ').length <= 8 &&
    !/[.!?:]$/.test(text) &&
    !verbs.test(text) &&
    !notListed.test(text) &&
    !bakeNoun.test(text) &&
    !/\b(?:min|mins|minutes|hrs?|hours?|days?|servings?|portions?|pieces|serves|people|calories|kcal|degrees|cm|inch(?:es)?|mm|tins?|pans?|°)\b/i.test(text) // prettier-ignore
  );
}
