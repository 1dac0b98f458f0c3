import { typicalSlopes } from '../bake/calibration.js';
import { donenessOf, knownOf, type Estimate } from '../bake/learned.js';
import { USUAL_WAIT_MIN, type ParamKey } from '../bake/priors.js';
import { mapped } from '../formula/bands.js';
import type { Band, Kitchen } from '../formula/types.js';

/** What the log has taught of one thing, against what is reckoned without it. */
export interface TaughtOf {
  readonly key: ParamKey;
  /** The tin's or the formula's id. */
  readonly of: string;
  /** Of a tin, ln of time; of height, density and loss, ln of the figure; of doneness, K; of standing, min. */
  readonly by: Estimate;
}

export type TaughtKind = 'tin' | 'done' | 'rise' | 'dense' | 'loss' | 'stand';

/** The parameter's own name, what it is to be added to, and how it is told. */
const kinds: Readonly<
  Record<
    TaughtKind,
    (of: string, kitchen: Kitchen) => readonly [keys: readonly ParamKey[], tell: (x: number) => number]
  >
> = {
  // prettier-ignore
  tin: (id, kitchen) => {
    const { perSpeed } = typicalSlopes(kitchen.tins.find((t) => t.id === id)?.shape ?? 'round');
    return [[`tin:${id}`], (x) => perSpeed * x];
  },
  done: (id) => [donenessOf(id).map(([k]) => k), (x) => x],
  rise: (id) => [['rise', `rise:${id}`], (x) => x],
  dense: (id) => [['dense', `dense:${id}`], (x) => x],
  loss: (id) => [['loss', `loss:${id}`], (x) => x],
  stand: (id) => [['stand', `stand:${id}`], (x) => USUAL_WAIT_MIN * Math.exp(x)],
};

/** All of a kind that the log speaks of, the best known first; what is being learned anew is left out. */
export function taughtOf(kind: TaughtKind, kitchen: Kitchen): TaughtOf[] {
  const l = kitchen.learned;
  if (!l) return [];
  return l.keys
    .filter((key): key is `${TaughtKind}:${string}` => key.startsWith(`${kind}:`) && !key.endsWith('~'))
    .map((key) => {
      const of = key.slice(kind.length + 1);
      const [keys, tell] = kinds[kind](of, kitchen);
      return { key, of, by: { ...inOrder(mapped(knownOf(l, keys), tell)), bakes: knownOf(l, [key]).bakes } };
    })
    .sort((a, b) => b.by.bakes - a.by.bakes || (a.of < b.of ? -1 : 1));
}

/** The lower end first, where what is told falls as the parameter grows. */
const inOrder = (b: Band): Band => (b.low <= b.high ? b : { low: b.high, typical: b.typical, high: b.low });
