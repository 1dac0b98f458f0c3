import { waysOf } from '../bake/ways.js';
import { statedSetting } from '../bake/stages.js';
import { band } from '../formula/bands.js';
import type { Band } from '../formula/types.js';
import type { Operation } from '../method/types.js';
import { verbs } from '../method/verbs.js';
import { standingAt } from '../leavening/lift.js';
import { COLD_PACE } from '../method/standing.js';
import { piecesIn } from '../tin/fit.js';
import { outlineOf } from '../tin/geometry.js';
import { elsewhere, saidMinutes } from './elsewhere.js';
import { bakeMarks } from './bake-marks.js';
import { heatWords, none, type Parts } from './parts.js';
import type { Step } from './step.js';

/** Minutes in the oven: as predicted, as stated, or as its kind usually takes. */
export function ovenMinutes(p: Pick<Parts, 'predicted' | 'formula' | 'fits'>): {
  readonly minutes: Band;
  readonly known: boolean;
} {
  // what was reckoned for an oven says nothing of a pan
  const away = elsewhere(p.formula);
  if (away) return { minutes: away.minutes, known: false };
  const m = p.predicted && p.predicted.likely > 0 ? p.predicted : null;
  if (m) return { minutes: band(m.early, m.likely, m.late), known: true };
  const stated = statedSetting(p.formula.bake)?.minutes;
  if (stated) return { minutes: band(stated.early, Math.sqrt(stated.early * stated.late), stated.late), known: true };
  const free = p.fits[0] ? outlineOf(p.fits[0].tin).free : false;
  return { minutes: free ? band(14, 18, 24) : band(30, 40, 55), known: false };
}

const goesIn = (n: number): string => `${n} ${n === 1 ? 'goes' : 'go'} in`;

/** "6 go in, 6 stay in the freezer: ", "12 of the 24 go in: ". */
function whatGoesIn({ away, fits, loads }: Parts, load: number): string {
  const here = piecesIn(loads.each[load - 1] ?? []);
  const all = loads.each.reduce((n, x) => n + piecesIn(x), 0);
  const parts = [
    ...(loads.each.length > 1
      ? [
          load === 1
            ? `${here} of the ${all} ${here === 1 ? 'goes' : 'go'} in${loads.why === 'room' ? ', since the oven holds no more at once' : ''}`
            : `the other ${here} ${here === 1 ? 'goes' : 'go'} in`,
        ]
      : []),
    ...(away?.pieces && load === 1
      ? [
          ...(loads.each.length > 1 ? [] : [goesIn(piecesIn(fits) - away.pieces)]),
          `${away.pieces} ${away.pieces === 1 ? 'stays' : 'stay'} in the freezer`,
        ]
      : []),
  ];
  return parts.length > 0 ? `${parts.join(', ')}: ` : '';
}

const NTH = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'] as const;
/** "the second tray", "the second tin". */
const loadName = ({ loads }: Pick<Parts, 'loads'>, load: number): string => {
  const tin = loads.each[load - 1]?.[0]?.tin;
  return `the ${NTH[load - 1] ?? `${load}th`} ${tin && !outlineOf(tin).free && tin.shape !== 'cup' ? 'tin' : 'tray'}`;
};

/** From this share of its gas on a batter that has waited is said to have lost some. A judgement: 5 % is not seen. */
const LOST_FROM = 0.05;

/** What waiting outside the oven costs a later load: minutes, and the share of its gas that is gone then. */
function waited(p: Parts, load: number, bakesMin: number): string {
  const min = Math.round((load - 1) * (bakesMin + CHANGE_OVER_MIN));
  const { lift } = p;
  const [fresh, then] = [standingAt(lift, 0).kept, standingAt(lift, (p.said.cold ? COLD_PACE : 1) * min).kept];
  const lost = fresh > 0 ? 1 - then / fresh : 0;
  if (lost < LOST_FROM)
    return `it has waited some ${min} minutes${p.said.cold ? ' in the cold' : ''}, which costs it little`;
  const advice = p.said.cold ? '' : '; next time let it wait in the fridge';
  return `it has waited some ${min} minutes${p.said.cold ? ' in the cold' : ''} and lost about ${Math.round(20 * lost) * 5} % of its lift: a little flatter${advice}`;
}
/** Door open, out with one load and in with the next, min. A judgement. */
const CHANGE_OVER_MIN = 2;

/** In, what is done beside it, the bake with what to do when, and out: of each load. */
export const baking = (ops: readonly Operation[], p: Parts): Step[] =>
  p.loads.each.flatMap((_, i) => oneLoad(ops, p, i + 1));

function oneLoad(ops: readonly Operation[], p: Parts, load: number): Step[] {
  const { family } = p;
  const place = elsewhere(p.formula);
  const ways = p.formula.bake && !place ? waysOf(p.formula.bake) : [];
  const first = load === 1;
  const of = (s: string): Pick<Step, 'id' | 'load'> => (first ? { id: s } : { id: `${s}:${load}`, load });
  const into = ops.find((o) => o.verb === 'put in' && o.load === undefined);
  const outOf = ops.find((o) => o.verb === 'take out');
  const beside = first ? ops.filter((o) => o.meanwhile) : [];
  const mine = ops.filter((o) => !o.meanwhile && (o.load ?? 1) === load);
  // words with a heat of their own stand beside the bake's, which may be another oven's
  const ownInto = first && into?.by === 'baker' && into.forMin === null && into.heatC === undefined;
  const bakes = mine.filter((o) => o !== outOf && o.by === 'baker' && !(o === into && ownInto));
  const own = place && saidMinutes(bakes, p.formula);
  const { minutes, known } = own ? { minutes: own, known: true } : ovenMinutes(p);
  // "Bake." says nothing that the step does not
  const said = bakes
    .filter((o) => o.remark || !/^bake\W*$/i.test(o.words))
    .map((o) => `${o.words.replace(/[.;,]+$/, '')}.${o.remark ? ` ${o.remark}` : ''}`);
  const name = loadName(p, load);
  return [
    {
      ...none,
      ...of('in'),
      kind: 'in',
      phase: 'oven',
      words: ownInto || (place && into) ? into.words : first ? 'Into the oven' : `Into the oven: ${name}`,
      own: ownInto,
      detail: first
        ? `${ownInto && into.remark ? `${into.remark} ` : ''}${whatGoesIn(p, load)}${ways.map((w) => `${w.words}; `).join('')}${place?.detail ?? 'quickly; the door costs heat'}`
        : `${p.said.again ? 'turn the ones before out and fill the tin again; ' : ''}${whatGoesIn(p, load)}${waited(p, load, minutes.typical)}`,
      minutes: band(0.5, 1, 2),
      hands: true,
      caution: place?.caution ?? ['Hot oven, hot steam: cloths, and stand aside from the door.', ...ways.flatMap((w) => w.caution ?? [])].join(' '), // prettier-ignore
    },
    ...beside.map((o): Step => {
      const [low, typical, high] = verbs[o.verb].minutes;
      return {
        ...none,
        id: o.id,
        kind: verbs[o.verb].at === 'time' ? 'wait' : 'finish',
        phase: 'oven',
        words: o.words,
        own: true,
        detail: o.remark ?? 'while it bakes',
        minutes: o.forMin ?? band(low, typical, high),
        hands: verbs[o.verb].at !== 'time',
        amounts: p.amounts.get(o.id) ?? [],
        operations: [o.id],
      };
    }),
    {
      ...none,
      ...of('bake'),
      kind: 'bake',
      phase: 'oven',
      words: place?.words ?? `Bake ${first ? '' : `${name} `}at ${heatWords(p)}`,
      detail: [...said, ...(known ? [] : ['Nothing is known of its time: look early.'])].join(' ') || null,
      minutes,
      hands: false,
      looks: family.signs,
      wrong: place
        ? []
        : [
            {
              sign: 'dark on top, wobbling in the middle',
              rescue: 'foil over it loosely, clear of the element, and on',
            },
            {
              sign: 'it sinks when the door opens',
              rescue: 'close the door; look through the glass until it springs back',
            },
          ],
      marks: place ? [] : bakeMarks(p, minutes.typical),
      operations: bakes.map((o) => o.id),
    },
    {
      ...none,
      ...of('out'),
      kind: 'out',
      phase: 'oven',
      words:
        outOf && (outOf.by === 'baker' || place)
          ? outOf.words
          : first
            ? 'Take it from the oven'
            : `Take ${name} from the oven`,
      own: outOf?.by === 'baker',
      detail: load < p.loads.each.length ? `${family.signs}; ${loadName(p, load + 1)} goes in at once` : family.signs,
      minutes: band(0.5, 1, 2),
      hands: true,
      looks: family.signs,
      caution: place?.outCaution ?? 'The tin is as hot as the oven for minutes yet.',
    },
  ];
}
