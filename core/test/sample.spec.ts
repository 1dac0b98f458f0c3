import { demoBakes, keptTaught, taught } from './support/sample.js';
import { demoKitchen } from './support/make.js';
import { learn, reckonKey } from '../src/index.js';

/** A processor or a browser may round a last figure otherwise. */
const CLOSE = 1e-6;
const leaves = (x: unknown): number[] =>
  typeof x === 'number' ? [x] : typeof x === 'object' && x !== null ? Object.values(x).flatMap(leaves) : [];

describe('what the sample kitchen’s log taught, as it is kept with it', () => {
  it('is what the model makes of it: npm run derive', () => {
    const [kept, now] = [keptTaught(), taught()];
    expect(kept.reckoned.map((r) => r.key)).toEqual(now.reckoned.map((r) => r.key));
    expect(kept.learned.keys).toEqual(now.learned.keys);
    const [a, b] = [leaves(kept), leaves(now)];
    expect(a.length).toBe(b.length);
    for (const [i, x] of a.entries()) {
      const y = b[i] ?? Number.NaN;
      if (!(Math.abs(x - y) <= CLOSE * Math.max(1, Math.abs(y))))
        fail(`figure ${i}: ${x} is kept, the model says ${y}`);
    }
  });

  it('does not hang on when the sample is loaded', () => {
    const { reckoned, learned } = keptTaught();
    const known = new Map(reckoned.map((r) => [r.key, r.value]));
    const kitchen = demoKitchen();
    const later = demoBakes().map((b) => ({ ...b, at: b.at + 90 * 86_400_000 }));
    const of = Object.fromEntries(later.map((b) => [b.id, known.get(reckonKey(b, kitchen)) ?? null]));
    expect(learn(later, of, kitchen).learned).toEqual(learned);
  });
});
