import { familyOf } from '../balance/families.js';
import type { Formula } from '../formula/types.js';
import type { Build } from './builds.js';

/** What to do with a cake after it is baked, each with when it applies. */
export interface Keeping {
  readonly cool: string;
  readonly keep: string;
  readonly freeze: string;
  readonly thaw: string;
  readonly cautions: readonly string[];
}

const SHAPED = new Set(['biscuit', 'scone', 'drop-biscuit']);

/** Cooling, keeping, freezing and thawing by family and finish. General baking knowledge; local advice comes first. */
export function keepingOf(formula: Formula, build: Build | null = null): Keeping {
  const family = familyOf(formula.family);
  const shaped = SHAPED.has(formula.family);
  const warm = shaped || formula.family === 'soda-bread' || formula.family === 'maize-bread';
  const inTin = family.coolTinMin >= 120 ? 'in the tin until cold' : family.coolTinMin > 0 ? `${family.coolTinMin} minutes in the tin, then on a rack` : 'straight onto a rack'; // prettier-ignore
  const cautions = ['Local food-safety advice comes first.'];
  if (build?.fridge) cautions.push('What holds cream, cheese or egg white is out of the fridge for two hours at most.');
  cautions.push('Never seal cake in jars to store it: that is unsafe.');
  if (formula.family === 'fruit-cake-rich') cautions.push('Spirit vapour burns: feed it away from any flame.');
  return {
    cool: `${inTin}, ${family.coolRackMin} minutes${warm ? '; it may be eaten warm' : '; do not slice it hot, the steam is its moisture'}`,
    keep: !build ? family.keeps : build.fridge ? build.keeps : `${family.keeps}; the finish ${build.keeps}`,
    freeze: shaped
      ? 'shaped and raw on a tray, then bagged, 2 months; bake from frozen, a fifth to a third longer'
      : build
        ? `without the finish, cold right through, wrapped twice, 2–3 months`
        : 'cold right through, in slices with paper between, wrapped twice, 2–3 months',
    thaw: shaped
      ? 'no thawing: into the hot oven from frozen'
      : 'overnight in its wrapping, so that it does not turn wet; finish it when it is thawed',
    cautions,
  };
}
