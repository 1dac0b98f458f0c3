import { capacityIn, massIn } from '../quantity/figures.js';
import { familyOf } from '../balance/families.js';
import { densityOf, totalsOf } from '../balance/totals.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { linesOf } from '../leavening/parts.js';

export interface BowlPlan {
  /** How many times the batter is mixed, and the share of every line that each mix takes. */
  readonly mixes: number;
  readonly share: number;
  readonly bowl: string | null;
  readonly words: string;
}

/** A bowl is mixed in comfortably when batter fills no more of it than this; whipped air needs the rest. General baking knowledge. */
const ROOM = { dough: 0.5, batter: 0.6 } as const;
/** Batter of chemically leavened bakes loses gas while a large batch is portioned; above this a baker mixes again, kg. */
const LARGE_KG = 6;

/**
 * Into how many mixes a batter has to be split by the kitchen's bowls and by what its mixer can turn, and in which
 * bowl. Every mix gets the same share, so that tins filled from different mixes are alike.
 */
export function bowlPlan(formula: Formula, kitchen: Kitchen): BowlPlan {
  const t = totalsOf(linesOf(formula, kitchen));
  const family = familyOf(formula.family);
  const ml = t.batterG / Math.max(0.3, densityOf(t, family));
  const rubbed = family.methods[0] === 'rub-in';
  const room = rubbed ? ROOM.dough : ROOM.batter;
  const bowls = [...kitchen.bowls].filter((b) => b.ml > 0).sort((a, b) => a.ml - b.ml);
  const largest = bowls.at(-1);
  const byBowl = largest ? Math.ceil(ml / (largest.ml * room) - 1e-9) : 1;
  const limit = kitchen.mixer?.flourLimitG;
  const machine = family.creamed && limit !== undefined && limit > 0;
  const byMixer = machine ? Math.ceil(t.flourG / limit - 1e-9) : 1;
  const mixes = Math.max(1, byBowl, byMixer);
  const bowl = bowls.find((b) => b.ml * room >= ml / mixes) ?? largest ?? null;
  const why =
    byMixer >= byBowl && byMixer > 1
      ? `the ${kitchen.mixer?.name ?? 'mixer'} turns ${massIn(kitchen.display, limit ?? 0)} of flour at most`
      : `the ${largest?.name.toLowerCase() ?? 'bowl'} holds ${capacityIn(kitchen, (largest?.ml ?? 0) * room)} with room to stir`;
  const stands = t.batterG > LARGE_KG * 1000 && mixes === 1 ? '; portion it fast, it loses gas while it stands' : '';
  const words =
    mixes === 1
      ? `${bowl ? `in the ${bowl.name.toLowerCase()}` : 'in one bowl'}${stands}`
      : `mix ${mixes === 2 ? 'twice' : `${mixes} times`}, ${mixes === 2 ? 'half' : `1/${mixes}`} of every line each time: ${why}`;
  return { mixes, share: 1 / mixes, bowl: bowl?.name ?? null, words };
}
