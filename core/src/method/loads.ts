import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import type { Operation } from './types.js';

/** How the words share a bake over the oven: so many loads one after another. */
export interface SaidLoads {
  /** 1 where all goes in at once. */
  readonly loads: number;
  /** True where what waits is kept cold. */
  readonly cold: boolean;
  /** True where the same tin is filled again. */
  readonly again: boolean;
  /** "Bake three at a time": pieces of one load; null where the words do not count them. */
  readonly atATime: number | null;
}

const some = String.raw`(?:trays?|sheets?|batch(?:es)?|dozen|lots?|tins?|loads?|half|ones?|rounds?|panful|pan)`;
/** "bake the second", "then the other tray", "the remaining ones", "bake the rest". */
const next = new RegExp(
  String.raw`\b(?:the|your)\s+(?:second|third|fourth|next|other|remaining|last)\b(?:\s+(?:\p{L}+\s+)?${some})?(?=\s*(?:[.,;)]|$|in\b|at\b|for\b|the same|likewise|after|while|goes|go\b|just))|\bthe (?:rest|others|remainder)\b|\b(?:a second|another) (?:trays?|sheets?|batch|dozen|lot|tin|load)\b`,
  'iu',
);
const inSo = new RegExp(
  String.raw`\bin\s+(?:(\d+|${spokenPattern}|a couple of)\s+)?(?:batches|goes|lots|loads)\b|\b(\d+|${spokenPattern})\s+(?:batches|lots|loads)\b`,
  'iu',
);
const oneByOne =
  /\bone (?:tray|sheet|tin|batch)(?:ful)? at a time\b|\bone (?:tray|batch|sheet|tin) after (?:the other|another)\b|\b(?:trays|sheets|tins|batches|them) (?:one (?:after the other|after another|by one)|in turn|separately)\b|\bone (?:tray|batch|sheet)\b[^.;]*\bwhile\b[^.;]*\bthe (?:next|other|second)\b|\bonly (?:\p{L}+ )?(?:room|space|place) for one (?:tray|sheet|tin)\b|\bonly (?:get|fit|take|have)s? one (?:tray|sheet|tin)\b/iu;
/** "Then the second.", "Repeat with the remaining dough.": said behind the bake, without a verb of its own. */
const andAgain =
  /(?:^|[.;,]\s*)(?:and\s+)?then (?:do |comes? |goes? )?(?:the )?(?:second|other|next|remaining|rest)\b(?![^.;]*\b(?:min|icing|sugar)\b)|\brepeat with (?:the )?(?:rest|remaining|remainder|other|second|next)\b|\b(?:do|bake) the same with (?:the )?(?:rest|remaining|other|second)\b/i;
/** "The second tray waits in the fridge." */
const waitsItsTurn =
  /\b(?:second|other|next|remaining)\s+(?:tray|sheet|batch|tin|half|lot|ones?)?\b[^.;]*\b(?:waits?|has to wait|can wait|stays?|sits?|meanwhile|in the mean(?:time|while))\b/i;
const soManyAtATime = new RegExp(String.raw`\b(\d+|${spokenPattern})\s+(?:\p{L}+\s+)?at a time\b`, 'iu');
const twice = /\b(?:fill|use) (?:it|the tin|the tray) (?:twice|again)\b|\btwice over\b/i;
const frozen = /\bfrozen\b|\bfreezer\b|\banother day\b|\bif\b/i;
const longer = /\b(?:another|a further|for|some)\s+(?:\d|\w+ (?:min|more))|\bmore\b|\blonger\b|\bback\b/i;
const cold = /\b(?:fridge|cold|cool|chill|refrigerat\w*)\b/i;
const trays = new RegExp(String.raw`\b(\d+|${spokenPattern})\s+(?:\p{L}+\s+){0,2}?(?:trays|sheets)\b`, 'iu');

const numberOf = (s: string | undefined): number => (s === undefined ? NaN : Number(s) || (readSpoken(s) ?? 2));
/** What ends the first load's time in the oven, and is no work beside it. */
const ends: ReadonlySet<string> = new Set(['take out', 'unmould', 'cool', 'place', 'move', 'serve', 'slice']);

const bakes = (o: Operation): boolean => o.verb === 'bake' || o.verb === 'put in';

/**
 * Marks the operations of further loads, and brings what is done between two loads back to the oven: "bake one tray for a quarter
 * of an hour, keep the other in the fridge meanwhile, then bake the second".
 *
 * @param work operations in working order
 */
export function withLoads(work: readonly Operation[]): Operation[] {
  const first = work.findIndex((o) => o.phase === 'oven' && bakes(o));
  if (first < 0) return [...work];
  let load = 1;
  const begins = new Map<number, number>();
  work.forEach((o, i) => {
    if (i <= first || !bakes(o) || frozen.test(o.words) || o.meanwhile) return;
    if (next.test(o.words) && !(longer.test(o.words) && !/\b(?:tray|sheet|batch|dozen|tin)\b/i.test(o.words)))
      begins.set(i, ++load);
  });
  const last = Math.max(first, ...begins.keys());
  const inGoes = work.some((o) => o.phase === 'oven' && (inSo.test(o.words) || oneByOne.test(o.words) || andAgain.test(o.remark ?? ''))); // prettier-ignore
  return work.map((o, i): Operation => {
    const mine = begins.get(i);
    if (mine !== undefined) return { ...o, phase: 'oven', load: mine };
    const behind = i > first && (o.phase === 'after' || o.phase === 'later');
    const between =
      behind && (i < last || waitsItsTurn.test(o.words) || (inGoes && /\bmean(?:while|time)\b/i.test(o.words)));
    return between && !ends.has(o.verb) ? { ...o, phase: 'oven', meanwhile: true } : o;
  });
}

/** How many loads the words ask for; see `withLoads`. */
export function saidLoads(work: readonly Operation[]): SaidLoads {
  const said = work.filter((o) => o.phase === 'oven' || o.phase === 'shape');
  const marked = Math.max(1, ...work.map((o) => o.load ?? 1));
  const text = (o: Operation): string => `${o.words} ${o.remark ?? ''}`;
  const oven = said.filter((o) => o.phase === 'oven');
  const all = oven.map(text).join('. ');
  const so = inSo.exec(all);
  const on = trays.exec(said.map(text).join('. '));
  const single = oneByOne.test(all) || work.some((o) => oneByOne.test(text(o))) || oven.some((o) => waitsItsTurn.test(o.words)) || (marked === 1 && andAgain.test(all)); // prettier-ignore
  const loads = Math.max(
    marked,
    so ? ((so[1] ?? so[2]) ? numberOf(so[1] ?? so[2]) : 2) : 1,
    single ? Math.max(2, numberOf(on?.[1]) || 2) : 1,
  );
  const pieces = numberOf(soManyAtATime.exec(all)?.[1]);
  const again = said.some((o) => twice.test(text(o)));
  return {
    loads: Math.min(MOST_LOADS, Math.max(loads, again ? 2 : 1)),
    cold: oven.some((o) => cold.test(text(o)) && (o.meanwhile === true || /\bmean(?:while|time)\b|\bwaits?\b/i.test(text(o)) || o.load !== undefined)) || cold.test(so ? all.slice(so.index) : ''), // prettier-ignore
    again,
    atATime: Number.isInteger(pieces) && pieces > 1 ? pieces : null,
  };
}
/** More loads than this nobody bakes of one batch. */
export const MOST_LOADS = 6;
