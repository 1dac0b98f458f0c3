import { familyOf } from '../balance/families.js';
import { band, exactly } from '../formula/bands.js';
import type { Band, Formula, Kitchen } from '../formula/types.js';
import { asLine, clauseLine } from './lines.js';
import { withLoads } from './loads.js';
import { readMethod } from './read.js';
import { phasesOf, type Phased } from './phases.js';
import { takesOf } from './takes.js';
import { withAdded } from './added.js';
import { withMoves } from './moves.js';
import { Things } from './things.js';
import type { Operation, Unworked } from './types.js';

/** A whole method as it was read. */
export interface Work {
  readonly operations: readonly Operation[];
  /** Words that are no operation, with the reason. */
  readonly unworked: readonly Unworked[];
}

/** Minutes until what was on the stove, or came out of the oven, is only warm; and until a thing before the oven is cool. Judgements. */
const WARM = band(10, 15, 30);
const COOL = band(20, 30, 60);

function lastsFor(p: Phased, formula: Formula): Band | null {
  const { clock, clause, verb } = p.d;
  if (clock.forMin) return clock.forMin;
  if (clock.days !== undefined && (verb === 'rest' || verb === 'cool' || verb === 'soak' || verb === 'chill'))
    return exactly(clock.days * 24 * 60);
  const family = familyOf(formula.family);
  if (verb === 'rest' && p.phase !== 'after' && p.phase !== 'later') {
    if (/\b(?:until|till)\b[^,;]*\bwarm\b/i.test(clause.text)) return WARM;
    if (/\b(?:until|till)\b[^,;]*\b(?:cool|cold)\b/i.test(clause.text)) return COOL;
  }
  if (verb === 'cool') {
    if (/\b(?:slightly|a (?:little|bit)|warm|barely)\b/i.test(clause.text)) return WARM;
    if (p.phase === 'after') return band(0.8 * family.coolRackMin, family.coolRackMin, 1.3 * family.coolRackMin);
    return COOL;
  }
  return null;
}

/** The baker's text as operations in working order. Pure; the formula's stored corrections win. */
export function workOf(formula: Formula, kitchen?: Kitchen): Work {
  const things = new Things(formula, kitchen);
  const { drafts, unworked } = readMethod(formula.method, (text) => things.all(text).length > 0);
  const phased = withMoves(phasesOf(drafts, things), formula.work ?? []);
  const takes = takesOf(phased, things, (entry) => formula.method[entry]?.itemIds ?? []);
  const operations = phased.flatMap((p, i): Operation[] => {
    const { d } = p;
    const { clause, clock } = d;
    const op: Operation = {
      id: `op:${clause.entry}:${clause.from}`,
      verb: d.verb,
      phase: p.phase,
      takes: takes[i] ?? [],
      ...(d.vessel && { vessel: d.vessel }),
      forMin: lastsFor(p, formula),
      ...(d.until && { until: d.until }),
      ...(d.heatC !== null && { heatC: d.heatC }),
      ...(d.cover && { cover: d.cover }),
      ...(clock.atMin !== undefined && { atMin: clock.atMin }),
      ...(clock.beforeEnd && { beforeEnd: true }),
      ...(clock.atShare !== undefined && clock.atMin === undefined && { atShare: clock.atShare }),
      ...(p.meanwhile && { meanwhile: true }),
      ...(d.onlyIf && { onlyIf: d.onlyIf }),
      ...(clock.repeat && { repeat: clock.repeat }),
      ...(clock.days !== undefined && p.phase === 'later' && { days: clock.days }),
      ...(d.remark !== '' && { remark: d.remark }),
      words: clauseLine(clause),
      ...(d.joined && { joined: true }),
      place: { entry: clause.entry, from: clause.from, to: clause.to },
      by: 'baker',
    };
    return standsFirst(op) ? standing(op, formula) : [op];
  });
  return { operations: withLoads(operations), unworked };
}

/** "Ten minutes in the tin and then take the ring off": what is waited for first is a wait of its own. */
const standsFirst = (o: Operation): boolean =>
  (o.verb === 'unmould' || o.verb === 'move' || o.verb === 'loosen') && o.forMin !== null;
function standing(o: Operation, formula: Formula): Operation[] {
  const { place } = o;
  const text = place ? (formula.method[place.entry]?.text.slice(place.from, place.to) ?? '') : '';
  const cut = /(?:,|\band)\s+(?:then\b)?|\bthen\b|\bbefore\b/i.exec(text);
  const at = cut?.index ?? 0;
  if (!place || at < 4) return [o];
  const rest: Operation = {
    id: o.id,
    verb: 'rest',
    phase: o.phase,
    takes: [],
    forMin: o.forMin,
    words: asLine(text.slice(0, at).trim()),
    place: { ...place, to: place.from + at },
    by: 'baker',
  };
  return [
    rest,
    {
      ...o,
      id: `${o.id}:then`,
      forMin: null,
      words: asLine(text.slice(at).replace(/^[,\s]+/, '')),
      place: { ...place, from: place.from + at },
    },
  ];
}

/**
 * The work of a formula in order: the baker's own words as operations, and what they leave out, marked as Orvin's.
 *
 * @example operations(formula).map((o) => `${o.phase}: ${o.verb}`)
 */
export const operations = (formula: Formula, kitchen?: Kitchen): Operation[] =>
  withAdded(workOf(formula, kitchen).operations, formula, kitchen);
