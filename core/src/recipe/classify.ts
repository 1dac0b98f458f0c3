import type { Kitchen } from '../formula/types.js';
import { clausesIn } from '../method/clauses.js';
import { scanAmounts } from '../quantity/scan.js';
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
import { readAboutLine } from './cards.js';
import { citrusAbroad } from './citrus.js';
import {
  asks,
  bareAmounts,
  besideList,
  countedIn,
  listedIn,
  looksLikeIngredient,
  nothingElse,
  units,
  verbs,
} from './list-lines.js';
import { matchIngredient } from './match.js';
import type { Classified, Kind } from './parts.js';
import { bakeNoun } from './titles.js';
import { dashed, numberedSteps, workAmong, workBehind, worksBeside } from './work-lines.js';

/** What begins a step without being said of what is done with a batter, so that it tells nothing elsewhere. */
const alsoBegins =
  /^(?:save|share|reserve|transfer|lift|loosen|chill|warm|scatter|swirl|toast|chop|slice|tap|level|smooth|prick|score|crush|wait|halve|slide)\s+\p{L}/iu;
/** How a letter ends. */
const farewell =
  /^(?:(?:much|lots of|all (?:my|our)|with|your(?:s)?|kind|warm|best|as ever)\s+)*(?:love|regards|wishes|yours|cheers|kisses|hugs|fondly|sincerely|affectionately|x{1,4})(?:\s+(?:from|to you all|always|ever|truly))?(?:\s*[,.!–-]|\s*$)/i;
/** A name at the top that happens to hold a number or a measure: "One bowl vanilla cake", "Drop biscuits". */
const namesBake = (text: string): boolean => {
  const before =
    text.replace(/^\d{1,2}(?=[- ](?:ingredient|minute|min|bowl|hour|day|egg)s?\b)/i, '').split(/\d/)[0] ?? '';
  return (
    bakeNoun.test(before) &&
    !/^\d(?!\d?[- ](?:ingredient|minute|min|bowl|hour|day|egg)s?\b)/i.test(text) &&
    text.length < 90 &&
    // "oat drops" are no measure
    (!units.test(text.replace(bakeNoun, ' ')) || /[,:;(–-]\s*(?:\w+\s+)?$/.test(before))
  );
};

/** What a page says of a recipe over its title: "Servings: 16", "Total time: 1 hr". */
const cardHead =
  /^(?:serves|makes|servings?|prep|yields?)\s+\d+\D{0,20}\b(?:prep|cook|bake|total|min|mins|hrs?|hour)\b|^sent from my\b|^(?:servings?|serves|yields?|makes|calories|(?:total|prep|cook|bake|active|hands-on)(?:ing)?(?:\s+time)?|course|cuisine|author|rating|category|keywords?|difficulty)\s*[:=]\s*\S/i;

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
    const ingredient =
      (section !== 'method' && !above && !card && citrusAbroad(text) !== null) ||
      ((section !== 'method' || (!card && nothingElse(text, kitchen))) &&
        !above &&
        !named &&
        looksLikeIngredient(text, kitchen, bareList));
    if (
      !titled &&
      !ingredient &&
      !asks.test(text) &&
      !cardHead.test(text) &&
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
      const names = !titled && labelled.group !== null && bakeNoun.test(text.slice(0, labelled.at));
      titled = true;
      listed++;
      if (names) out.push({ kind: 'title', text: text.slice(0, labelled.at).replace(/[\s:–-]+$/, ''), no, at: start });
      else if (labelled.group)
        out.push({ kind: 'heading', text: labelled.group.name, no, at: start, group: labelled.group, inline: true });
      out.push({
        kind: 'ingredient',
        text: list.replace(/[.!]$/, ''),
        no,
        at: start + labelled.at,
        ...(labelled.group && !names && { inline: true }),
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
  const counted = out.map((p, i): Classified => (p.kind === 'other' && (countedIn(out, i) || (!card && besideList(out, i, kitchen))) ? { ...p, kind: 'ingredient' } : p)); // prettier-ignore
  return card ? counted : workAmong(counted, kitchen);
}
