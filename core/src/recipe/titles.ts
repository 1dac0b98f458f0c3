import { scanAmounts } from '../quantity/scan.js';
import { capital } from '../text/plain.js';

/** Names of what is baked, as the last word of a title. */
const bakeNouns = String.raw`cakes?|breads?|loa(?:f|ves)|muffins?|scones?|biscuits?|buns?|brownies?|blondies?|cupcakes?|squares?|sponge|traybake|slab|slice|cornbread|gingerbread|parkin|damper|shortcakes?|rolls|brack|kuchen|gâteau|bizcocho|torta|ciambell\w+|drops|nuggets|wedges|farls|bannocks?|rusks`;
export const bakeNoun = new RegExp(String.raw`\b(?:${bakeNouns})\b`, 'i');
const bake = new RegExp(String.raw`\b(?:${bakeNouns})\b(?!\s+(?:tin|pan|flour|mix|of\b))`, 'iu');
/** Words in front of a bake that are no part of its name. */
const around = new Set(
  "do so okay ok right well now today welcome hey hi hello the this that these those it its it's is are was my your our his her here here's a an and or how make makes made for of to about you i me we thing think let er um need want like bring baked batch another with what goes in into one two three four five six eight ten twelve twenty thirty forty fifty dozen".split(
    ' ',
  ),
);
/** How a sentence begins that is no title. */
const sentence =
  /^(?:so|okay|ok|well|right|now|you|your|I|the|it|my|this|these|we|welcome|hey|today|dear|hi|hello|good|here|take|mix|for|what|how|which|who|do|does|can|could|and|since|as|if|when|er|um|let)\b/i;

/** A title as it is called, without the marks and the words around it: "recipe for the plum cake please?" */
export function titleOf(text: string): string {
  const bare = text
    // "Rock buns. Reg. 5, 15-20 mins."
    .replace(/(?<=\p{L}{3})\.\s+(?=(?:reg|gas|oven|makes|serves|bakes?|mod|hot)\b\D{0,20}\d|\d).*$/iu, '')
    // "Soda bread, 1200 g dough"
    .replace(/\s*[,(–-]\s*\d+(?:[.,]\d+)?\s*k?g\s+(?:of\s+)?(?:dough|batter)\)?$/i, '')
    // "The choc cake!! makes one round and six cupcakes"
    .replace(
      /[\s!,.(–-]*\b(?:makes|gives|serves)\s+(?:about\s+)?(?:\d|one|two|three|four|six|eight|ten|twelve|a\s).*$/iu,
      '',
    )
    .replace(/(?:[:#*]|!{2,})+$/, '')
    .replace(/^\*+/, '')
    .trim();
  const asked = bare
    .replace(/^(?:(?:the|your|my|a)\s+)?recipe\s+(?:for|of)\s+(?:(?:the|that|your|my|a)\s+)?/i, '')
    .replace(/(?:[\s,]*\b(?:pls|plz|please|thanks)\b)?\s*\?+$/i, '');
  if (asked !== bare && asked !== '') return capital(asked);
  // said, not written over it: "Now farls.", "Your maize muffins won the village show"
  const said =
    /^(?:hey|hi|hello|how|what|can|could|do|so|now|ok(?:ay)?|right|your|these are|this is|here(?:'s| is| are)|today)\b/i.test(
      bare,
    );
  return (said ? titleIn(bare) : null) ?? bare;
}

/** The title of a recipe told without one: a short head of its own, else the first bake it speaks of, as it is called there. */
export function titleIn(text: string): string | null {
  const head = /^([^.:;!?\n]{3,60}?)(?:[.:;!?]|\s[-–—]\s)/.exec(text)?.[1]?.trim();
  if (head && scanAmounts(head).length === 0 && head.split(/\s+/).length <= 7 && !sentence.test(head))
    return capital(head);
  const start = text.slice(0, 400);
  const m = bake.exec(start);
  if (!m) return null;
  const before = start.slice(0, m.index).match(/[\p{L}\d'’-]+\s+/gu) ?? [];
  const said: string[] = [];
  // what stands directly in front of it, until a word that is none of its name
  let at = m.index;
  for (const word of before.reverse()) {
    if (said.length === 3 || !start.slice(0, at).endsWith(word) || word.includes('\n')) break;
    const plain = word.trim().toLowerCase().replace('’', "'");
    if (around.has(plain) || /\d/.test(plain)) break;
    said.unshift(word.trim());
    at -= word.length;
  }
  return capital([...said, m[0]].join(' '));
}
