import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/**
 * Chance that is the same for the same seed.
 *
 * @param {string | number} seed
 */
export function chance(seed) {
  const number = [...String(seed)].reduce((h, c) => Math.imul(h ^ (c.codePointAt(0) ?? 0), 16777619) >>> 0, 2166136261);
  const source = xoroshiro128plus(number);
  const even = () => uniformFloat64(source);
  return {
    /** @param {number} from @param {number} to */
    even: (from, to) => from + (to - from) * even(),
    /** Normal with mean 0, after Box and Muller. @param {number} sd */
    normal: (sd) => sd * Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
    /** @param {number} share */
    happens: (share) => even() < share,
  };
}
/** @typedef {ReturnType<typeof chance>} Chance */
