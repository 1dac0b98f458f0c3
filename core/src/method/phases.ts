import { tinWords } from './lexicon.js';
import type { Draft } from './read.js';
import type { Things } from './things.js';
import type { Phase } from './types.js';
import { verbs, type VerbId } from './verbs.js';

export interface Phased {
  readonly d: Draft;
  phase: Phase;
  /** Beside the main line of work: what was boiled while it bakes, the half that goes into the freezer. */
  meanwhile: boolean;
}

const set = (...v: VerbId[]): ReadonlySet<VerbId> => new Set(v);
const oven = set(
  'put in',
  'bake',
  'turn',
  'swap',
  'cover',
  'uncover',
  'lower',
  'raise',
  'switch off',
  'test',
  'take out',
);
const readying = set('heat', 'grease', 'line');
const shaping = set(
  'divide',
  'fill',
  'roll',
  're-roll',
  'pat',
  'shape',
  'cut',
  'drop',
  'place',
  'score',
  'hollow',
  'glaze',
);
/** What only a raw dough goes through. */
const handled = set('roll', 're-roll', 'pat', 'shape', 'knead', 'divide', 'score');
/** What dresses the batter where it bakes, once it is mixed. */
const dressing = set('sprinkle', 'top', 'brush', 'press', 'spread', 'layer', 'swirl', 'level', 'dust');
const bowl = set(
  'sift',
  'mix',
  'whisk',
  'beat',
  'cream',
  'whip',
  'rub in',
  'cut in',
  'fold',
  'add',
  'pour',
  'melt',
  'boil',
  'warm',
  'dissolve',
  'blend',
  'bring together',
  'well',
  'simmer',
  'toss',
  'mash',
);

const dayBefore =
  /\b(?:the |on the )?(?:day|night|evening)s? before\b(?! (?:cut|eat|serv|slic|you (?:cut|eat)))|\bthe night ahead\b|\bthe previous (?:day|night|evening)\b/i;
const dayOf = /\b(?:next|following) (?:day|morning)\b|\bin the morning\b|\bon the day\b|\bthe day after\b|\bto bake\b/i;
const storing =
  /\b(?:jars?|tubs?|airtight|containers?|bag(?:s|ged)? (?:it|them|up|the)|into? (?:a |the )?(?:\w+ )?bags?|keeps?|store[sd]?)\b/i;
const frozen = /\bfrozen\b|\b(?:from|out of) (?:the )?freezer\b|\banother day\b|\blater in the week\b/i;
const apart =
  /\b(?:half|thirds?|quarters?|some|one (?:lot|of)|the (?:other|second)|\d+|two|three|four|five|six|seven|eight|nine|ten|twelve|dozen|the rest|those|a few|any)\b|[½⅓⅔¼¾]/i;
/** "Wrap one disc and freeze it." */
const oneOf =
  /\b(?:one|the other|the second)\s+(?:disc|disk|round|circle|half|slab|batch|tray|lot|piece|loaf|portion)\b/i;
const whileIn =
  /\b(?:while|whilst|as)\s+(?:it|they|the (?:\w+ )?\w+|that)(?:'s|'re| is| are| are all)?\s+(?:bak\w*|in\b|cook\w*)|\bbefore the end\b|\bduring (?:the )?bak/i;
const outOf =
  /\b(?:comes?|came|is|it's|'s|they're|are|been)\s+out\b|\bout of the oven\b|\bonce baked\b|\bwhen (?:it's |it is )?(?:done|baked|ready)\b|\bafter baking\b|\b(?:while|when|whilst) (?:it(?:'s| is)? |they(?:'re| are)? )?(?:still )?(?:a bit |a little )?(?:hot|warm|cold|cool\w*)\b/i;
const again = /\b(?:more|another|further|longer|again|back|return|continue|remaining|last|extra|rest of the time)\b/i;

/** The oven's own words in a clause: its name, a heat, or a time of its own. */
const ovenly = (d: Draft): boolean =>
  /\boven\b/i.test(d.clause.text) ||
  d.heatC !== null ||
  d.clock.forMin !== null ||
  /\b(?:it|they) goes? in\b|\bin (?:it|they) goe?s?\b|\bin with it\b/i.test(d.clause.text);

/** So much work is no icing. */
const A_FEW = 2;

/** "220 °C, heavy tray inside." above the mixing, with a bake to come, is the oven getting hot. */
function heatedAhead(drafts: readonly Draft[]): void {
  const mixes = (d: Draft): boolean => bowl.has(d.verb);
  drafts.forEach((d, i) => {
    const behind = drafts.slice(i + 1);
    if (
      d.verb === 'bake' &&
      d.heatC !== null &&
      d.clock.forMin === null &&
      !/\bbak(?:e|ed|ing)\b|\bcook/i.test(d.clause.text) &&
      !drafts.slice(0, i).some(mixes) &&
      behind.some(mixes) &&
      behind.slice(behind.findIndex(mixes)).some((x) => x.verb === 'bake' || x.verb === 'put in')
    )
      d.verb = 'heat';
  });
}

/** Moves a statement of the bake that stands above the mixing ("350, 45 min. Cream …") behind it. */
function belated(drafts: Draft[], things: Things): Draft[] {
  const first = drafts.findIndex((d) => d.verb === 'bake');
  if (first < 0) return drafts;
  // "mix dry", "everything but the coffee" name the flour too
  const flour = (d: Draft): boolean =>
    bowl.has(d.verb) &&
    things
      .all(d.clause.text)
      .some((n) => things.items.some((k) => k.item.id === n.itemId && k.ingredient.base === 'flour'));
  if (drafts.slice(0, first).some((d) => bowl.has(d.verb))) return drafts;
  const lastBowl = drafts.findLastIndex(
    (d, i) =>
      i > first &&
      (bowl.has(d.verb) || shaping.has(d.verb)) &&
      !outOf.test(d.clause.text) &&
      things.groupIn(d.clause.text) === null,
  );
  // "225 C, 10 min. Rub in, mix lightly, drop.": work on a batter that names nothing, before anything is taken out or cooled
  const out = drafts.findIndex((d, i) => i > first && verbs[d.verb].at === 'after');
  const hands = drafts
    .slice(first, out < 0 ? drafts.length : out)
    .filter((d) => (bowl.has(d.verb) || shaping.has(d.verb)) && things.groupIn(d.clause.text) === null);
  if ((!drafts.slice(first).some(flour) && hands.length < A_FEW) || lastBowl < 0) return drafts;
  let end = first + 1;
  while (end < drafts.length && oven.has((drafts[end] as Draft).verb)) end++;
  return [
    ...drafts.slice(0, first),
    ...drafts.slice(end, lastBowl + 1),
    ...drafts.slice(first, end),
    ...drafts.slice(lastBowl + 1),
  ];
}

/**
 * Puts each operation before, in or after the oven. Order in the text is the order of work; "meanwhile", "the night before",
 * "while it bakes", "from frozen" and a bake that is stated at the top are the exceptions.
 */
export function phasesOf(read: readonly Draft[], things: Things): Phased[] {
  heatedAhead(read);
  const drafts = belated([...read], things).filter((d, i, all) => {
    // "take it off" the heat, before anything was covered
    const idle = d.verb === 'uncover' && !all.slice(0, i).some((x) => x.verb === 'cover' || x.cover !== null);
    const to = all[i - 1];
    if (idle && to) to.remark = `${to.remark} ${d.clause.text}`.trim();
    return !idle;
  });
  const flours = (d: Draft): boolean =>
    things
      .all(d.clause.text)
      .some((n) => n.itself && things.items.some((k) => k.item.id === n.itemId && k.ingredient.base === 'flour'));
  const later = (d: Draft): boolean =>
    (d.verb === 'bake' || d.verb === 'put in') && frozen.test(`${d.clause.lead} ${d.clause.text}`);
  const mixesAfter = (i: number): boolean => {
    const bake = drafts.findIndex((d, k) => k > i && d.verb === 'bake' && !later(d));
    return drafts.slice(i + 1, bake < 0 ? drafts.length : bake).some((d) => bowl.has(d.verb) || d.verb === 'fill');
  };
  drafts.forEach((d, i) => {
    // "give it a good three minutes", with the flour still to come
    if (
      d.verb === 'bake' &&
      d.heatC === null &&
      !/\boven\b|\bbak/i.test(d.clause.text) &&
      drafts.slice(i + 1).some((x) => bowl.has(x.verb) && flours(x))
    )
      d.verb = 'beat';
    // "butter the mould and dust it with flour"
    const ready = drafts[i - 1]?.verb;
    if (d.verb === 'dust' && (ready === 'grease' || ready === 'line') && /^\s*(?:it|them)\b/i.test(d.clause.text.slice(d.clause.verbTo))) d.verb = 'grease'; // prettier-ignore
    if (d.verb === 'keep back' && d.clock.forMin !== null) d.verb = 'rest';
    // "tip out, fold over twice, pat out 3 cm thick": out of the bowl
    const raw = !drafts.slice(0, i).some((x) => x.verb === 'bake' || x.verb === 'put in');
    if (d.verb === 'unmould' && raw && drafts.slice(i).some((x) => handled.has(x.verb))) d.verb = 'place';
    // "leave them another 22 to 25", with the oven on
    const hot = drafts[i - 1]?.verb;
    if (
      d.verb === 'rest' &&
      (hot === 'lower' || hot === 'bake' || hot === 'uncover' || hot === 'raise') &&
      /\banother\b|(?<!\bno )\bmore\b/i.test(d.clause.text) &&
      !outOf.test(`${d.clause.lead} ${d.clause.text}`)
    )
      d.verb = 'bake';
    const batter = drafts.slice(0, i).some((x) => bowl.has(x.verb));
    if (d.verb === 'put in' && mixesAfter(i)) {
      if (
        !batter &&
        /\b(?:skillet|casserole|tin|pan|pot|griddle|stone|tray)\b|\bwhile the oven\b|\bto (?:get )?(?:hot|heat)\b/i.test(
          d.clause.text,
        )
      )
        d.verb = 'heat';
      else if (!ovenly(d)) d.verb = 'add';
    }
    if (d.verb === 'warm' && drafts[i - 1]?.verb === 'heat' && d.heatC !== null) d.verb = 'heat';
  });
  const inAt = drafts.findIndex(
    (d, i) =>
      (d.verb === 'bake' || d.verb === 'put in') && !later(d) && !(d.verb === 'put in' && !ovenly(d) && mixesAfter(i)),
  );
  const bakesAfter = (i: number): boolean =>
    drafts.some(
      (d, k) =>
        k > i &&
        (d.verb === 'bake' || d.verb === 'put in') &&
        !later(d) &&
        again.test(d.clause.text) &&
        d.clock.days === undefined,
    );
  const afterStart =
    inAt >= 0
      ? inAt
      : drafts.findIndex(
          (d, i) =>
            i > 0 &&
            (verbs[d.verb].at === 'after' || outOf.test(d.clause.text)) &&
            drafts.slice(0, i).some((x) => bowl.has(x.verb)),
        );
  const preOven = (i: number): boolean => afterStart < 0 || i < afterStart;
  const named = (d: Draft): boolean =>
    things
      .all(d.clause.text)
      .some((n) =>
        things.items.some(
          (k) =>
            k.item.id === n.itemId &&
            n.itself &&
            (k.ingredient.base === 'flour' || k.ingredient.role === 'egg' || k.ingredient.role === 'leavener') &&
            k.group.role !== 'top',
        ),
      );
  const lastMix = drafts.findLastIndex(
    (d, i) =>
      preOven(i) &&
      ((bowl.has(d.verb) && d.verb !== 'pour' && d.verb !== 'toss') || named(d)) &&
      !shaping.has(d.verb) &&
      d.verb !== 'brush' &&
      d.verb !== 'glaze',
  );
  const shapeFrom = drafts.findIndex(
    (d, i) =>
      preOven(i) &&
      (shaping.has(d.verb) ||
        (dressing.has(d.verb) && i > lastMix && lastMix >= 0 && !/\bthrough\b|\binto\b/i.test(d.clause.text))) &&
      (i > lastMix || !drafts.slice(i).some((x, k) => preOven(i + k) && bowl.has(x.verb) && named(x))),
  );

  drafts.forEach((d, i) => {
    // "take it out", and only later out of the tin
    const out =
      d.verb === 'unmould' &&
      !preOven(i) &&
      /\b(?:take|took|takes|comes?|lift)\b[^,;]*\bout[\s.!]*$/i.test(d.clause.text);
    if (out && drafts.slice(i + 1).some((x) => x.verb === 'unmould' || x.verb === 'rest' || x.verb === 'cool'))
      d.verb = 'take out';
    if (!preOven(i)) return;
    if (d.verb === 'loosen') d.verb = 'score';
    if (d.verb === 'slice') d.verb = 'cut';
    if (d.verb === 'cut' && i < lastMix && things.all(d.clause.text).some((n) => n.itself)) d.verb = 'chop';
  });
  // a dry mix that is put by: nothing wet is in it, and what makes it a batter comes on another day
  const wet = (d: Draft): boolean =>
    things
      .all(d.clause.text)
      .some((n) => things.items.some((k) => k.item.id === n.itemId && n.itself && (k.ingredient.role === 'liquid' || k.ingredient.role === 'egg'))); // prettier-ignore
  const putBy = drafts.findLastIndex(
    (d, i) => preOven(i) && storing.test(d.clause.text) && !drafts.slice(0, i + 1).some(wet) && drafts.slice(i + 1).some((x, k) => preOven(i + 1 + k) && bowl.has(x.verb) && wet(x)), // prettier-ignore
  );
  let ahead = false;
  let isOut = false;
  let kept = false;
  let onLaterDays: number | null = null;
  let sideSentence: string | null = null;
  const out = drafts.map((d, i): Phased => {
    const { clause, verb } = d;
    const said = `${clause.lead} ${clause.text}`;
    if (preOven(i)) {
      if (dayBefore.test(d.sentence)) ahead = true;
      if (dayOf.test(said)) ahead = false;
      const aside =
        verb === 'freeze' &&
        (d.clock.forMin === null || d.clock.forMin.typical > 120) &&
        (apart.test(said) || frozen.test(said) || oneOf.test(d.sentence));
      if (readying.has(verb)) return { d, phase: 'ahead', meanwhile: clause.meanwhile };
      if (i <= putBy) {
        // what it is put into, and how long it keeps, is no wait of this day
        if (storing.test(clause.text)) d.verb = 'keep';
        return { d, phase: 'ahead', meanwhile: clause.meanwhile };
      }
      if (ahead) return { d, phase: 'ahead', meanwhile: clause.meanwhile };
      if (verb === 'keep' || verb === 'feed')
        return { d, phase: drafts.slice(0, i).some((x) => bowl.has(x.verb)) ? 'shape' : 'ahead', meanwhile: false };
      const shape = shapeFrom >= 0 && i >= shapeFrom;
      const begun = drafts.slice(0, i).some((x) => bowl.has(x.verb) || shaping.has(x.verb));
      if (!begun && (verbs[verb].at === 'ready' || verbs[verb].at === 'time'))
        return { d, phase: 'ahead', meanwhile: clause.meanwhile };
      return { d, phase: shape ? 'shape' : 'mix', meanwhile: clause.meanwhile || aside };
    }
    // from the oven on
    if (later(d) || (onLaterDays !== null && d.clause.sentence === onLaterDays && frozen.test(d.sentence))) {
      onLaterDays = clause.sentence;
      return { d, phase: 'later', meanwhile: false };
    }
    if (verb === 'keep' || verb === 'feed' || verb === 'thaw' || (verb === 'freeze' && i > afterStart)) {
      isOut = true;
      // what follows a wait of days is of those days
      kept ||= verb === 'feed' || d.clock.days !== undefined;
      return { d, phase: 'later', meanwhile: false };
    }
    if (
      (d.clock.days !== undefined || d.clock.repeat) &&
      verbs[verb].at !== 'time' &&
      (isOut || verbs[verb].at !== 'oven')
    ) {
      isOut = true;
      return { d, phase: 'later', meanwhile: false };
    }
    if (
      verb === 'bake' ||
      verb === 'put in' ||
      ((verb === 'lower' || verb === 'raise' || verb === 'uncover' || verb === 'swap') && bakesAfter(i - 1))
    ) {
      isOut = isOut && !again.test(said) && verb !== 'put in';
      return { d, phase: 'oven', meanwhile: false };
    }
    if (!isOut && !outOf.test(said) && (whileIn.test(said) || clause.meanwhile || sideSentence === sentenceKey(d))) {
      sideSentence = sentenceKey(d);
      return { d, phase: 'oven', meanwhile: true };
    }
    if (oven.has(verb) && !isOut) {
      if (verb === 'take out') isOut = true;
      return { d, phase: 'oven', meanwhile: false };
    }
    // what comes between two stages of the bake is done at the oven's door
    if (
      !isOut &&
      bakesAfter(i) &&
      !outOf.test(said) &&
      drafts
        .slice(i + 1)
        .some((x, k) => again.test(x.clause.text) && (x.verb === 'bake' || x.verb === 'put in') && k < 4)
    )
      return { d, phase: 'oven', meanwhile: false };
    isOut = true;
    if (kept) return { d, phase: 'later', meanwhile: false };
    if (
      verb === 'wrap' &&
      d.clock.days === undefined &&
      drafts[i + 1] &&
      ['keep', 'feed'].includes((drafts[i + 1] as Draft).verb) &&
      (drafts[i + 1] as Draft).clause.sentence === clause.sentence
    )
      return { d, phase: 'later', meanwhile: false };
    if (readying.has(verb) && new RegExp(`\\b(?:${tinWords})\\b`, 'i').test(said))
      return { d, phase: 'ahead', meanwhile: false };
    return { d, phase: 'after', meanwhile: clause.meanwhile };
  });
  // "before you start, set the oven", said at the end
  const front = out.filter(
    (p) => /\bbefore you (?:start|begin|do anything)\b/i.test(p.d.sentence) && p.phase === 'ahead',
  );
  return front.length > 0 ? [...front, ...out.filter((p) => !front.includes(p))] : out;
}

const sentenceKey = (d: Draft): string => `${d.clause.entry}:${d.clause.sentence}`;
