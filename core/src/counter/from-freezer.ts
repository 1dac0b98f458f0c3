import { band } from '../formula/bands.js';
import type { DayBake } from '../day/task.js';
import type { BakeSetting, Formula, Kitchen } from '../formula/types.js';
import { workOf } from '../method/operations.js';
import { ofFrozen } from '../method/put-away.js';
import { shared } from '../method/together.js';
import { statedSetting } from '../bake/stages.js';
import { durations } from '../text/durations.js';
import { heatsIn } from '../text/heats.js';
import { capital } from '../text/plain.js';
import { fitTins, piecesIn, type TinFit } from '../tin/fit.js';
import { loadsOf, somePieces } from '../tin/loads.js';
import type { Parts } from './parts.js';
import { none } from './parts.js';
import type { Step } from './step.js';

/**
 * What it takes longer from the freezer, as a share of its fresh time and in minutes at least. Coming up from
 * −18 °C takes 84 kJ/kg and thawing 101 (38 % water, eight tenths of it ice, 334 kJ/kg), beside some 440 for baking and the water it loses:
 * four tenths more heat. Home bakers allow a fifth to a third more time. General knowledge; the bake model, whose ice melts, has
 * a third for scones and for a cake.
 */
const LONGER = { low: { share: 0.2, min: 3 }, high: { share: 0.35, min: 5 } } as const;
const FREEZER_C = -18;
const longerBy = (fresh: number, k: (typeof LONGER)['low' | 'high']): number => Math.round(Math.max(k.min, k.share * fresh)); // prettier-ignore

/** What a method freezes raw, as it is baked on another day; empty where it freezes nothing in whole pieces. */
export function frozenFits(formula: Formula, kitchen: Kitchen): readonly TinFit[] {
  const fits = formula.tins ? fitTins(formula, formula.tins, kitchen) : [];
  const { away } = shared(workOf(formula, kitchen).operations, fits);
  const all = piecesIn(fits);
  return away?.pieces ? somePieces(fits, away.pieces, all - away.pieces) : [];
}

/**
 * A formula as its frozen part is baked: at the heat and for the time that its method gives that, else at its own heat and a little
 * longer; null where it freezes nothing in whole pieces.
 */
export function asFrozen(formula: Formula, kitchen: Kitchen): Formula | null {
  if (frozenFits(formula, kitchen).length === 0) return null;
  const work = workOf(formula, kitchen).operations;
  const { bake } = formula;
  if (!bake) return formula;
  const said = ofFrozen(work);
  const heat = heatsIn(said ?? '', () => false).find((h) => h.marked);
  const m = frozenMinutes(said, statedSetting(bake)?.minutes ?? null);
  const { stages: _, stated: __, minutes: ___, ...rest } = bake;
  return {
    ...formula,
    bake: {
      ...rest,
      startC: FREEZER_C,
      ...(heat && { ovenC: heat.ovenC }),
      ...(m && { minutes: m }),
    },
  };
}

/** Heat and time of a bake of the day: of all of it fresh, or of what comes from the freezer. */
export const settingOf = (b: Pick<DayBake, 'formula' | 'from'>, kitchen: Kitchen): BakeSetting | undefined =>
  (b.from ? (asFrozen(b.formula, kitchen) ?? b.formula) : b.formula).bake;

/** The same work with only what comes out of the freezer: one share, loads of its own. */
export function onlyFrozen(p: Parts): Parts {
  const fits = frozenFits(p.formula, p.kitchen);
  const formula = asFrozen(p.formula, p.kitchen) ?? p.formula;
  return { ...p, formula, fits, away: null, loads: loadsOf(fits, 1, p.oven ?? p.kitchen.ovens[0]) };
}

/** Minutes from the freezer: as the method says, else longer than fresh; null where neither is known. */
function frozenMinutes(said: string | null, fresh: Stated | null): Stated | null {
  const [d] = said ? durations(said.replace(/(\d)\.\s*$/, '$1 min.')) : [];
  const more = /\b(?:longer|more|extra)\b/i.test(said ?? '') && (fresh === null || (d?.late ?? 0) < fresh.early);
  if (d && !more) return { early: d.early, late: d.late };
  if (fresh === null) return null;
  const by = d ?? { early: longerBy(fresh.early, LONGER.low), late: longerBy(fresh.late, LONGER.high) };
  return { early: fresh.early + by.early, late: fresh.late + by.late };
}
type Stated = NonNullable<BakeSetting['minutes']>;

/** What is said of baking it from the freezer where the method says nothing. */
export const FROM_FROZEN =
  'straight from the freezer into the hot oven, a fifth to a third longer than fresh, and less rise for a batter: go by the signs';

const READY: ReadonlySet<Step['kind']> = new Set<Step['kind']>(['oven on', 'tins']);

/** The steps of a batch as those of its frozen part: the oven, the tray, what stands ready in the freezer, and from the oven on all of it. */
export function fromFreezer(list: readonly Step[], p: Parts): Step[] {
  const into = list.findIndex((s) => s.kind === 'in');
  const n = piecesIn(p.fits);
  const said = ofFrozen(p.work);
  const set: Step = {
    ...none,
    id: 'from freezer',
    called: 'from the freezer',
    kind: 'fill',
    phase: 'shape',
    words: n === 1 ? 'The one from the freezer onto the tray' : `The ${n} from the freezer onto the tray, apart`,
    detail: 'straight from the freezer, not thawed: the fat stays hard, and the leavener asleep',
    minutes: band(0.5, 1, 2),
    hands: true,
    caution: 'Raw flour and egg: what was frozen raw is not to be tasted.',
  };
  const baked = list.slice(Math.max(0, into)).map((s): Step =>
    s.kind !== 'bake'
      ? s
      : {
          ...s,
          detail: said ?? `${capital(FROM_FROZEN)}.`,
          marks: s.marks.filter((m) => m.own === true),
        },
  );
  return [...list.slice(0, Math.max(0, into)).filter((s) => READY.has(s.kind)), set, ...baked];
}
